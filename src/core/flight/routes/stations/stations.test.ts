import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../../../piece/schema';
import { inverse, length, multiply, subtract } from '../../../space/vector';
import { cameraPose } from '../../../world/camera';
import { viewPlace, viewTurn } from '../view';
import { timetable } from './stations';

const stops = [
  { id: 'a', name: 'Door', aside: 0, above: 0, ahead: 0, yaw: 0, pitch: 0, roll: 0, rest: 2, travel: 3 },
  { id: 'b', name: 'Sign', aside: 3, above: 1, ahead: 6, yaw: -120, pitch: 10, roll: 0, rest: 1, travel: 2 },
  { id: 'c', name: 'Quay', aside: -2, above: 0.5, ahead: 9, yaw: 170, pitch: -20, roll: 15, rest: 1, travel: 1 },
];
const piece = (ease: string, way: string): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'P',
    lap: { frames: 101, rate: { num: 25, den: 1 } },
    layers: [],
    flight: { route: { kind: 'stations', stops, ease, way }, aim: 'own' },
    look: {},
  });

describe('stations', () => {
  it.each([
    ['even', 'straight'],
    ['even', 'curved'],
    ['overshoot', 'straight'],
    ['linear', 'curved'],
  ])('%s, %s: arrives at every station exactly, and rests there as long as told', (ease, way) => {
    const p = piece(ease, way);
    const table = timetable(stops, 101);
    table.forEach(({ arrive, leave }, i) => {
      for (const frame of [arrive, (arrive + leave) / 2, leave]) {
        const { position, quaternion } = cameraPose(p, frame / 101);
        expect(length(subtract(position, viewPlace(stops[i])))).toBeLessThan(1e-9);
        const off = multiply(inverse(quaternion), viewTurn(stops[i]));
        expect(Math.hypot(off[0], off[1], off[2])).toBeLessThan(1e-9);
      }
    });
    expect(table[0].arrive).toBe(0);
  });

  it('eased travel starts and ends at rest', () => {
    const p = piece('even', 'straight');
    const [{ leave, next }] = timetable(stops, 101);
    const speed = (frame: number): number =>
      length(subtract(cameraPose(p, (frame + 0.01) / 101).position, cameraPose(p, (frame - 0.01) / 101).position)) /
      0.02;
    expect(speed(leave + 0.05)).toBeLessThan(0.05 * speed((leave + next) / 2));
    expect(speed(next - 0.05)).toBeLessThan(0.05 * speed((leave + next) / 2));
  });

  it('the timetable uses up the lap in whole frames, whatever the parts', () => {
    const part = fc.double({ min: 0, max: 9, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.record({ rest: part, travel: part }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 2, max: 2000 }),
        (list, frames) => {
          const table = timetable(list, frames);
          let at = 0;
          for (const { arrive, leave, next } of table) {
            expect([arrive, leave, next].every(Number.isInteger)).toBe(true);
            expect(arrive).toBe(at);
            expect(leave).toBeGreaterThanOrEqual(arrive);
            expect(next).toBeGreaterThanOrEqual(leave);
            at = next;
          }
          expect(at).toBe(frames);
        },
      ),
    );
  });
});
