import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import type { Piece } from '../piece/schema';
import { add, dot, rotate, subtract, type Vec3 } from '../space/vector';
import { cameraPose, flightOf } from './camera';
import { cornersAbout, filling, subjectOf } from './fill';

/** How far beside the middle of the picture a place is seen, in half widths and half heights. */
function seenAt(piece: Piece, place: Vec3): [number, number] {
  const { position, quaternion, focalMm, sensorMm } = cameraPose(piece, 0);
  const off = subtract(place, position);
  const ahead = dot(off, rotate(quaternion, [0, 0, -1]));
  const beside = (axis: Vec3): number => (dot(off, rotate(quaternion, axis)) / ahead) * ((2 * focalMm) / sensorMm);
  return [beside([1, 0, 0]), (beside([0, 1, 0]) * piece.frame.width) / piece.frame.height];
}

const piece = (flight: object = {}, layer: object = {}) =>
  pieceOf(
    { kind: 'copies', arrangement: 'line', count: 1, source: 'box', size: 1, variation: 0, distance: 8, ...layer },
    {
      flight: {
        route: { kind: 'run', tilesPerLap: 0 },
        aim: 'target',
        aimAt: { on: 'layer', layer: 'one' },
        ...flight,
      },
    },
  );

describe('a subject that fills the frame', () => {
  it('reaches from edge to edge, and is in focus', () => {
    for (const side of ['width', 'height'] as const) {
      const of = piece();
      const flight = filling(of, subjectOf(of), side, 0);
      if (!flight) throw new Error('nothing to fill it with');
      const filled = { ...of, flight };
      const { position } = flightOf(filled).sight(flight.holdAt, 0);
      const seen = cornersAbout(filled, flight.holdAt).map((corner) => seenAt(filled, add(position, corner)));
      const most = Math.max(...seen.map(([x, y]) => Math.abs(side === 'width' ? x : y)));
      expect([side, Math.abs(most - 1) < 1e-3]).toEqual([side, true]);
      expect(flight).toMatchObject({ hold: 'lens', focusOn: 'target', focusAt: { on: 'layer' } });
    }
  });

  it('is none where there is nothing with a size', () => {
    const of = piece();
    expect(filling(of, { ...of.flight.aimAt, on: 'point' }, 'width', 0)).toBeNull();
    expect(filling(of, { ...of.flight.aimAt, on: 'layer', layer: 'gone' }, 'width', 0)).toBeNull();
  });

  it('is what the camera aims at, or else the first layer that is made of something', () => {
    expect(subjectOf(piece())).toMatchObject({ on: 'layer', layer: 'one' });
    expect(subjectOf(piece({ aim: 'ahead', aimAt: {} }))).toMatchObject({ on: 'layer', layer: 'one' });
    expect(subjectOf(piece({ aim: 'ahead', aimAt: {} }, { hidden: true })).on).toBe('point');
  });
});
