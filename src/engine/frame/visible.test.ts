import { layerElements, layerExtent, worldOf } from '../../core/world/layers';
import { standsOnce } from '../../core/world/route';
import { parsePiece } from '../../core/world/open';
import { readFileSync } from 'node:fs';
import * as THREE from 'three';
import { describe, expect, it } from 'vitest';
import { definitionOf, type Layer } from '../../core/layers/kinds';
import type { Piece } from '../../core/piece/schema';
import { shotAt } from './shot';
import { visibleParts } from './visible';

const demo = (name: string): Piece => {
  const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}.isomorph.json`, 'utf8')));
  if (!parsed.ok) throw new Error('the demo does not read');
  return parsed.piece;
};
const CONTEXT = worldOf(demo('ropewalk-tunnel'));
const partsOf = (layer: Layer) => {
  const [drawing] = definitionOf(layer.kind).drawings(layer, 1, CONTEXT);
  return drawing.as === 'sprites' ? drawing.parts : [{ from: 0, to: 1, first: 0, count: Infinity }];
};

const frameOf = (piece: Piece, layer: Layer) => ({
  piece,
  extent: layerExtent(piece, layer),
  once: standsOnce(piece, layer),
});

const SIZE = { width: 640, height: 360 };

/** Every element of every repetition that is in front of the lens and in reach, by brute force. */
function missed(piece: Piece, layer: Layer, phase: number): { seen: number; missed: number; outOfRange: number } {
  const shot = shotAt(piece, phase, SIZE, null);
  const found = visibleParts(
    { piece, extent: layerExtent(piece, layer), once: standsOnce(piece, layer) },
    shot,
    partsOf(layer),
  );
  const [drawing] = definitionOf(layer.kind).drawings(layer, 1, CONTEXT);
  const order = drawing.as === 'sprites' ? drawing.order : null;
  const { position, count } = layerElements(piece, layer.id, phase);
  const rank = new Uint32Array(count);
  for (let i = 0; i < count; i++) rank[order ? order[i] : i] = i;
  const { tile } = piece;
  const at = -shot.pose.position[2];
  const point = new THREE.Vector3();
  const out = { seen: 0, missed: 0, outOfRange: 0 };
  for (let k = Math.floor((at - piece.look.reach) / tile) - 1; k <= Math.ceil((at + piece.look.reach) / tile) + 1; k++)
    for (let id = 0; id < count; id += 7) {
      point.set(position[id * 3], position[id * 3 + 1], position[id * 3 + 2] - k * tile).applyMatrix4(shot.mid);
      const depth = -point.z;
      if (depth < 0.05 || depth > piece.look.reach) continue;
      out.seen++;
      const home = found.find(
        ({ offset, part }) =>
          Math.abs(offset - k * tile) < 1e-6 && rank[id] >= part.first && rank[id] < part.first + part.count,
      );
      if (!home) out.missed++;
      else if (depth < home.near - 1e-3 || depth > home.far + 1e-3) out.outOfRange++;
    }
  return out;
}

describe('what the camera can see', () => {
  for (const name of ['ropewalk-tunnel', 'plankton-bloom', 'slipway-spiral'])
    it.each([0, 0.31, 0.77])(
      `${name} at phase %d: nothing in front of the lens is left out, and depths are bounded`,
      (phase) => {
        const piece = demo(name);
        for (const layer of piece.layers) {
          const result = missed(piece, layer, phase);
          expect(result.seen).toBeGreaterThan(0);
          expect(result).toMatchObject({ missed: 0, outOfRange: 0 });
        }
      },
    );

  it('leaves out what is behind, as far as drift lets it be sure', () => {
    const piece = demo('plankton-bloom');
    const [, , layer] = piece.layers;
    const shot = shotAt(piece, 0.2, SIZE, null);
    const drawn = visibleParts(
      { piece, extent: layerExtent(piece, layer), once: standsOnce(piece, layer) },
      shot,
      partsOf(layer),
    );
    const all = (2 * piece.look.reach) / piece.tile;
    expect(drawn.length).toBeLessThan(all * 16 * 0.9);
  });

  it('a shorter reach draws less', () => {
    const piece = demo('ropewalk-tunnel');
    const near: Piece = { ...piece, look: { ...piece.look, reach: 6 } };
    const count = (p: Piece): number =>
      visibleParts(frameOf(p, p.layers[0]), shotAt(p, 0, SIZE, null), partsOf(p.layers[0])).length;
    expect(count(near)).toBeLessThan(count(piece) / 2);
  });
});
