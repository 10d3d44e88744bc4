import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newLayer } from '../layers/kinds';
import { PieceSchema } from '../piece/schema';
import { rotate, type Vec3 } from '../space/vector';
import { layerElements } from './layers';
import { tableFrame } from './lightMoves';
import { sweepUnder } from './sweep';

const box = {
  kind: 'copies',
  source: 'box',
  bevel: 0,
  size: 0.8,
  variation: 0,
  arrangement: 'line',
  count: 1,
} as const;

describe('a sweep under the subject', () => {
  it.each([0, 40, 135, -100])('is where the lowest corner is, before a camera that looks %d° aside', (yaw) => {
    const turn = (yaw * Math.PI) / 180;
    const [aside, ahead] = [5 * Math.sin(turn), 5 * Math.cos(turn)];
    const bare = pieceOf(
      { ...box, once: true, aside, ahead, above: 0.3, bank: 45 },
      {
        flight: { route: { kind: 'run', tilesPerLap: 0 }, yaw, focusM: 5 },
      },
    );
    const frame = tableFrame(bare, 0);
    const sweep = sweepUnder(bare, 0, frame, 'sweep');
    if (!sweep) throw new Error('there is none');
    const piece = PieceSchema.parse({ ...bare, layers: [...bare.layers, sweep] });
    const { position, rotation, size } = layerElements(piece, 'sweep', 0);
    const turned = (v: Vec3): Vec3 => rotate([rotation[0], rotation[1], rotation[2], rotation[3]], v);
    // the middle of its floor, and where its front looks
    expect(position[1] + size[0] * turned([0, -0.25, 0])[1]).toBeCloseTo(0.3 - 0.4 * Math.SQRT2, 3);
    const front = turned([0, 0, 1]);
    frame.towards.forEach((v, k) => expect(front[k]).toBeCloseTo(v, 3));
    // the subject stands on the floor, not behind the wall
    const off = frame.middle.map((v, k) => v - position[k]);
    const deep = off.reduce((sum, v, k) => sum + v * front[k], 0) / size[0];
    expect(deep).toBeGreaterThan(0);
    expect(deep).toBeLessThan(0.4);
  });

  it.each(['backdrop', 'ground'] as const)('is not set up where there is a %s', (kind) => {
    const piece = pieceOf(newLayer(kind, 'one', 'One', 1));
    expect(sweepUnder(piece, 0, tableFrame(piece, 0), 'sweep')).toBeNull();
  });
});
