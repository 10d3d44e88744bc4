import { stateReport } from '../seam/report';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../piece/schema';
import { dot, inverse, length, multiply, rotate, subtract, type Quaternion, type Vec3 } from '../space/vector';
import { cameraPose, type CameraPose } from './camera';
import { circuitPoints } from '../flight/routes/circuit/circuit';
import { nearestTurn, viewOf, viewTurn } from '../flight/routes/view';
import { flightAt, keepView } from './keep';

const piece: Piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 100, rate: { num: 25, den: 1 } },
  layers: [],
  flight: { handUp: 0.1, focalMm: 40 },
  look: {},
});
const pose = (position: Vec3, yaw: number, pitch: number, roll = 0): CameraPose => ({
  ...cameraPose(piece, 0),
  position,
  quaternion: viewTurn({ yaw, pitch, roll }),
});
const apart = (a: Quaternion, b: Quaternion): number => {
  const q = multiply(inverse(a), b);
  return (2 * Math.atan2(Math.hypot(q[0], q[1], q[2]), Math.abs(q[3])) * 180) / Math.PI;
};
const calm = (p: Piece): Piece => ({ ...p, flight: { ...p.flight, handScale: 0 } });
const one = pose([1, 2, -3], 30, -10, 5);
const two = pose([-2, 1, -6], -150, 20);

describe('keeping a view', () => {
  it('a pose read as a view and back is the same', () => {
    for (const p of [one, two, pose([0, 0, 0], 179.5, 60, -120), pose([0, 0, 0], -90, 0)])
      expect(apart(p.quaternion, viewTurn(viewOf(p)))).toBeLessThan(0.02);
  });

  it('for the whole lap: the camera stands there, with its lens', () => {
    const kept = calm(keepView(piece, 'whole', one, 0.3, 'x'));
    for (const phase of [0, 0.6]) {
      expect(length(subtract(cameraPose(kept, phase).position, one.position))).toBeLessThan(2e-3);
      expect(apart(cameraPose(kept, phase).quaternion, one.quaternion)).toBeLessThan(0.02);
    }
    expect(kept.flight.focalMm).toBe(40);
    expect(kept.flight.handUp).toBe(0.1);
  });

  it('as keys: the camera passes through every kept view, smoothly, and the lap closes', () => {
    const kept = calm(keepView(keepView(piece, 'keys', one, 0.1, 'x'), 'keys', two, 0.6, 'y'));
    for (const [phase, view] of [
      [0.1, one],
      [0.6, two],
    ] as const) {
      expect(length(subtract(cameraPose(kept, phase).position, view.position))).toBeLessThan(2e-3);
      expect(apart(cameraPose(kept, phase).quaternion, view.quaternion)).toBeLessThan(0.02);
    }
    expect(stateReport(kept).ok).toBe(true);
    // a view kept again at the same frame replaces it
    const again = keepView(kept, 'keys', one, 0.602, 'z');
    expect(cameraPose(again, 0.6).position[0]).toBeCloseTo(1, 3);
  });

  it('turns the shorter way from key to key', () => {
    const near = keepView(piece, 'keys', pose([0, 0, 0], 170, 0), 0, 'x');
    const kept = keepView(near, 'keys', pose([0, 0, 0], -170, 0), 0.5, 'y');
    const yaw = kept.flight.yaw;
    if (typeof yaw !== 'object' || yaw.law !== 'keyed') throw new Error('not keyed');
    expect(yaw.keys.map(({ value }) => value)).toEqual([170, 190]);
    expect(nearestTurn(-170, 900)).toBe(910);
  });

  it('as stations: in the order they were kept', () => {
    const kept = calm(keepView(keepView(piece, 'stations', one, 0.5, 'x'), 'stations', two, 0.9, 'y'));
    const { route } = kept.flight;
    if (route.kind !== 'stations') throw new Error('no stations');
    expect(route.stops.map(({ id }) => id)).toEqual(['x', 'y']);
    expect(apart(cameraPose(kept, 0).quaternion, one.quaternion)).toBeLessThan(0.02);
    expect(stateReport(kept).ok).toBe(true);
  });

  it('as a point of the circuit: between its nearest neighbours, also when the circuit leans', () => {
    const points = [
      { id: 'a', aside: -4, above: 0, ahead: 4 },
      { id: 'b', aside: 0, above: 0, ahead: 8 },
      { id: 'c', aside: 4, above: 0, ahead: 4 },
      { id: 'd', aside: 0, above: 0, ahead: 0 },
    ];
    const flown = (tilt: number): Piece => ({
      ...piece,
      flight: PieceSchema.parse({ ...piece, flight: { route: { kind: 'circuit', points, tilt } } }).flight,
    });
    for (const tilt of [0, 25]) {
      const kept = keepView(flown(tilt), 'circuit', pose([3, 0.5, -7], 0, 0), 0, 'new');
      const { route } = kept.flight;
      if (route.kind !== 'circuit') throw new Error('no circuit');
      expect(route.points.map(({ id }) => id)).toEqual(['a', 'b', 'new', 'c', 'd']);
      // the middle has moved with it, so it stands about where it was kept
      expect(length(subtract(circuitPoints(route)[2], [3, 0.5, -7]))).toBeLessThan(tilt === 0 ? 1e-6 : 0.6);
    }
  });

  it('flying by hand changes where the camera is and nothing of its lens', () => {
    const flown = { ...piece, flight: flightAt(piece.flight, viewOf(one)) };
    const there = cameraPose(calm(flown), 0.77);
    expect(dot(rotate(there.quaternion, [0, 0, -1]), rotate(one.quaternion, [0, 0, -1]))).toBeCloseTo(1, 6);
    expect(there.focalMm).toBe(40);
  });
});
