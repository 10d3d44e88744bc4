import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../piece/schema';
import { dot, length, rotate, subtract, type Vec3 } from '../space/vector';
import { cameraPose } from './camera';
import { shakeAt, type ShakeSpec } from './shake';

const piece = (flight: object, layers: object[] = []): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 250, rate: { num: 25, den: 1 } },
    tile: 8,
    layers,
    flight,
    look: {},
  });
const helixTunnel = { kind: 'tunnel', id: 't', name: 'T', route: 'helix', helixRadius: 1.5, helixTurns: 1 };

describe('camera', () => {
  it('travels whole tiles at uniform speed and looks ahead', () => {
    const p = piece({ tilesPerLap: 2 });
    expect(cameraPose(p, 0.25).position).toEqual([0, 0, -4]);
    expect(cameraPose(p, 1).position[2] - cameraPose(p, 0).position[2]).toBe(-16);
    expect(rotate(cameraPose(p, 0.3).quaternion, [0, 0, -1]).map((v) => Math.round(v * 1e9) / 1e9 + 0)).toEqual([
      0, 0, -1,
    ]);
  });

  it('along a helix it keeps the tunnel’s axis, faces the tangent, and covers equal lengths in equal times', () => {
    const p = piece({ route: 'along', follow: 't' }, [helixTunnel]);
    const at = (phase: number): Vec3 => cameraPose(p, phase).position;
    const gaps = Array.from({ length: 200 }, (_, i) => length(subtract(at((i + 1) / 200), at(i / 200))));
    expect(Math.max(...gaps) / Math.min(...gaps)).toBeLessThan(1.001);
    for (const phase of [0, 0.2, 0.55]) {
      expect(Math.hypot(at(phase)[0], at(phase)[1])).toBeCloseTo(1.5, 9);
      const ahead = subtract(at(phase + 1e-5), at(phase - 1e-5)).map((v) => v / 2e-5) as Vec3;
      const view = rotate(cameraPose(p, phase).quaternion, [0, 0, -1]);
      expect(dot(view, ahead) / length(ahead)).toBeCloseTo(1, 6);
    }
  });

  it('a whole roll comes back upright', () => {
    const p = piece({ roll: { law: 'wound', start: 0, perLap: 1 } });
    const up = (phase: number): Vec3 => rotate(cameraPose(p, phase).quaternion, [0, 1, 0]);
    expect(up(1)[1]).toBeCloseTo(up(0)[1], 9);
    expect(up(0.5)[1]).toBeCloseTo(-1, 9);
  });

  it('carries the lens', () => {
    const pose = cameraPose(piece({ focalMm: 85, fNumber: 2.8, focusM: 4 }), 0.3);
    expect([pose.focalMm, pose.fNumber, pose.focusDistance, pose.sensorMm]).toEqual([85, 2.8, 4, 36]);
  });
});

// Amplitudes and rates: common practice among camera operators, no published source.
describe('handheld', () => {
  const spec = (name: ShakeSpec['name'], more: Partial<ShakeSpec> = {}): ShakeSpec => ({
    name,
    scale: 1,
    speed: 1,
    seed: 3,
    seconds: 20,
    ...more,
  });
  const steps = 4000;
  const track = (s: ShakeSpec, axis: 0 | 1 | 2): number[] =>
    Array.from({ length: steps }, (_, i) => shakeAt(s, i / steps).position[axis]);

  it('standing: a peak of 3 cm aside and up', () => {
    for (const axis of [0, 1] as const)
      expect(Math.max(...track(spec('standing'), axis).map(Math.abs))).toBeCloseTo(0.03, 3);
  });

  it('walking: 10 cm aside, 20 cm up, 1° on all axes', () => {
    expect(Math.max(...track(spec('walking'), 0).map(Math.abs))).toBeCloseTo(0.1, 3);
    expect(Math.max(...track(spec('walking'), 1).map(Math.abs))).toBeCloseTo(0.2, 3);
    const angles = Array.from({ length: steps }, (_, i) => Math.abs(shakeAt(spec('walking'), i / steps).rotation[2]));
    expect((Math.max(...angles) * 180) / Math.PI).toBeCloseTo(1, 1);
  });

  it.each([
    ['standing', 1],
    ['walking', 1.5],
  ] as const)('%s: the centre of its spectrum is within 20 % of %d Hz', (name, hz) => {
    const values = track(spec(name), 1);
    let power = 0;
    let moment = 0;
    for (let n = 1; n < 100; n++) {
      let re = 0;
      let im = 0;
      values.forEach((v, i) => {
        re += v * Math.cos((2 * Math.PI * n * i) / steps);
        im += v * Math.sin((2 * Math.PI * n * i) / steps);
      });
      power += re * re + im * im;
      moment += (n / 20) * (re * re + im * im);
    }
    expect(moment / power / hz).toBeGreaterThan(0.8);
    expect(moment / power / hz).toBeLessThan(1.2);
  });

  it('closes whatever its speed, seed and the length of the lap', () => {
    for (const more of [{ speed: 0.37 }, { seconds: 3.3 }, { seed: 99, speed: 2.1 }]) {
      const s = spec('running', more);
      const a = shakeAt(s, 0.123);
      const b = shakeAt(s, 1.123);
      a.position.forEach((v, i) => expect(b.position[i]).toBeCloseTo(v, 9));
      a.rotation.forEach((v, i) => expect(b.rotation[i]).toBeCloseTo(v, 9));
    }
  });
});
