import { elementIn } from '../world/elements';
import { sceneOfPiece } from '../world/camera';
import { layerElements, worldOf, layerExtent } from '../world/layers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gradientAt } from '../colour/colour';
import { layerBatch } from '../world/batch';
import { definitionOf, LAYERS } from './kinds';
import { demoPiece as demo, pieceOf as pieceWith } from '../../../tests/pieces';

describe('a single element', () => {
  it.each(LAYERS.names)('%s: stands where it stands among all, at any phase, treated or not', (kind) => {
    for (const treatments of [
      [],
      [
        { kind: 'drift', id: 'd', amount: 0.4, cycles: 2 },
        { kind: 'turn', id: 't', what: 'all', axis: 'up', amount: { law: 'wound', start: 0.1, perLap: 1 } },
        { kind: 'taper', id: 'p', amount: 0.3, reach: 'point' },
      ],
    ]) {
      const piece = pieceWith({ kind, once: true, treatments } as never);
      for (const phase of [0.2, 0.7, 0.2]) {
        const all = layerElements(piece, 'one', phase);
        for (const index of [0, 3, all.count - 1].filter((n) => n < all.count)) {
          const one = elementIn(sceneOfPiece(piece), 'one', index, phase);
          for (let k = 0; k < 3; k++) expect(one?.position[k]).toBeCloseTo(all.position[index * 3 + k], 5);
          for (let k = 0; k < 4; k++) expect(one?.rotation[k]).toBeCloseTo(all.rotation[index * 4 + k], 5);
        }
        if (all.count === 0) expect(elementIn(sceneOfPiece(piece), 'one', 0, phase)).toBeNull();
        else
          expect(elementIn(sceneOfPiece(piece), 'one', 1e9, phase)).toEqual(
            elementIn(sceneOfPiece(piece), 'one', all.count - 1, phase),
          );
      }
    }
  });
});

describe('every layer stays within the extent it states', () => {
  it.each(['ropewalk-tunnel', 'plankton-bloom', 'slipway-spiral'])('%s', (name) => {
    const piece = demo(name);
    for (const layer of piece.layers) {
      const { halfWidth, halfHeight, centre, from, to, bend, carried } = layerExtent(piece, layer);
      for (const phase of [0, 0.4, 0.8]) {
        const { position, count } = layerElements(piece, layer.id, phase);
        let outside = -Infinity;
        for (let i = 0; i < count; i++) {
          const [x, y, ahead] = [position[i * 3] - centre[0], position[i * 3 + 1] - centre[1], -position[i * 3 + 2]];
          const beyond = Math.max(
            Math.abs(x) - halfWidth - bend,
            Math.abs(y) - halfHeight - bend,
            from - ahead,
            ahead - to,
          );
          outside = Math.max(outside, beyond - carried);
        }
        expect(outside).toBeLessThanOrEqual(1e-5);
      }
    }
  });
});

describe('every kind of layer', () => {
  it.each(LAYERS.names)('%s: has a summary, drawings and a batch of its own size', (kind) => {
    const piece = pieceWith({ kind });
    const batch = layerBatch(piece, 'one', 0.2);
    expect(batch.color.length).toBe(batch.count * 3);
    expect(Math.hypot(...batch.quaternion.subarray(0, 4))).toBeCloseTo(1, 5);
    expect(definitionOf(kind).drawings(piece.layers[0], 1, worldOf(piece)).length).toBeGreaterThan(0);
  });

  it('no NaN for any legal value', () => {
    const unit = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom('box', 'ball', 'shell', 'disc', 'corridor'),
        unit,
        unit,
        unit,
        unit,
        (shape, a, b, c, phase) => {
          const piece = pieceWith({
            kind: 'field',
            shape,
            hollow: a * 0.99,
            variation: b,
            glint: c,
            spread: a * 4,
            placeBy: 'noise',
            placeScale: 0.05 + a * 400,
            count: 64,
            width: 0.01 + b * 900,
          } as never);
          const e = layerElements(piece, 'one', phase * 3);
          for (const list of [e.position, e.size, e.place, e.light]) expect(list.every(Number.isFinite)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
    fc.assert(
      fc.property(
        unit,
        unit,
        unit,
        fc.integer({ min: 3, max: 24 }),
        fc.integer({ min: 1, max: 60 }),
        (a, b, c, sides, rings) => {
          const piece = pieceWith({
            kind: 'tunnel',
            sides,
            rings,
            nested: a * 0.99,
            twist: b * 32 - 16,
            wobble: a,
            accent: b,
            spread: c * 4,
            route: ['straight', 'helix', 'ring', 'closed', 'onward'][Math.floor(a * 4.99)],
            section: ['polygon', 'circle', 'super', 'drawn'][Math.floor(b * 3.99)],
            ringRadius: 0.05 + c * 400,
            helixRadius: 0.01 + b * 400,
            helixTurns: c * 32 - 16,
          } as never);
          const e = layerElements(piece, 'one', a * 3);
          for (const list of [e.position, e.size, e.place, e.light]) expect(list.every(Number.isFinite)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('colours are read from the gradient between its texels, as a linear filter does', () => {
    const piece = demo('plankton-bloom');
    const layer = piece.layers[0];
    const gradient = [
      { at: 0, colour: '#000000' },
      { at: 1, colour: '#ffffff' },
    ];
    const steep = { ...piece, layers: [{ ...layer, gradient }, ...piece.layers.slice(1)] } as typeof piece;
    const { color, place, count } = layerBatch(steep, layer.id, 0.2, 0.02);
    let worst = 0;
    for (let i = 0; i < count; i++) {
      const at = Math.min(1 - 0.5 / 256, Math.max(0.5 / 256, place[i]));
      worst = Math.max(worst, Math.abs(color[i * 3] - gradientAt(gradient, at)[0]));
    }
    // the nearest texel alone is off by up to half a texel's step, 0.006 here
    expect(worst).toBeLessThan(1e-4);
  });

  it('says which layer is missing', () => {
    expect(() => layerBatch(demo('ropewalk-tunnel'), 'gone', 0)).toThrow('no layer "gone"');
  });
});
