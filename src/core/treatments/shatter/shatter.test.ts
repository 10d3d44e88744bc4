import { layerPoints } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('shatter', () => {
  it('whole, a shattered body is where the body was', () => {
    const bare = { kind: 'copies', arrangement: 'ring', count: 3, source: 'sphere' } as const;
    const at = (amount: number) =>
      layerPoints(pieceWith(bare, [treat('shatter', { amount, pieces: 8, turns: 1, away: 2 })]), 'one', 0);
    const far = (points: ReturnType<typeof at>): number => {
      let most = 0;
      for (let i = 0; i < points.count; i++) {
        const [x, y, z] = points.position.subarray(i * 3, i * 3 + 3);
        most = Math.max(most, Math.abs(Math.hypot(x, y) - 2), Math.abs(z + 4));
      }
      return most;
    };
    expect(far(at(0))).toBeLessThanOrEqual(0.15 + 1e-6);
    expect(far(at(1))).toBeGreaterThan(0.3);
  });

  it('shatters only the bodies in its reach, and those by how far', () => {
    const line = { kind: 'copies', arrangement: 'line', count: 5, fill: false, spacing: 1, ahead: 4 } as const;
    const at = (more: object) =>
      layerPoints(
        pieceWith(line, [treat('shatter', { amount: 1, pieces: 8, away: 1, turns: 0, stagger: 0, ...more })]),
        'one',
        0,
      );
    const whole = at({ amount: 0 });
    const near = at({ reach: 'plane', reachAhead: 4, reachInner: 0.1, reachOuter: 1.9 });
    const all = at({});
    const moved = (points: ReturnType<typeof at>, body: number): number => {
      let most = 0;
      for (let i = 0; i < points.count; i++)
        if (points.owner[i] === body)
          for (let k = 0; k < 3; k++)
            most = Math.max(most, Math.abs(points.position[i * 3 + k] - whole.position[i * 3 + k]));
      return most;
    };
    // from 2 m before the plane to 2 m behind it
    const [first, second, middle, fourth, last] = [0, 1, 2, 3, 4].map((body) => moved(near, body));
    expect([first, last]).toEqual([0, 0]);
    expect(middle).toBeCloseTo(moved(all, 2), 9);
    for (const [between, body] of [
      [second, 1],
      [fourth, 3],
    ]) {
      expect(between).toBeGreaterThan(0.02);
      expect(between).toBeLessThan(0.9 * moved(all, body));
    }
  });
});
