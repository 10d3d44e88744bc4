import { stateReport } from '../seam/report';
import { handFields } from '../flight/handFields';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blurCircleMm, fieldOfViewDeg, imageDistanceMm } from '../lens/optics';
import { PieceSchema, type Piece } from '../piece/schema';
import { applySymmetry, sceneSymmetry, symmetryRotation } from '../seam/symmetry';
import { dot, inverse, length, multiply, rotate, scale, subtract, type Vec3 } from '../space/vector';
import { cameraPose, ISOMETRIC } from './camera';
import { HANDS } from '../flight/hand';

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
const ring = {
  kind: 'copies',
  id: 'ring',
  name: 'Ring',
  arrangement: 'ring',
  count: 12,
  once: true,
  ahead: 10,
  treatments: [{ kind: 'drift', id: 'd', amount: 0.6, cycles: 2, scale: 4 }],
};
const keyed = (...keys: [number, number][]) => ({
  law: 'keyed',
  keys: keys.map(([at, value], i) => ({ id: `k${i}`, at, value, ease: 'smooth' })),
});
const points = [
  [-3, 0, 4],
  [0.5, 1, 9],
  [1, 1.2, 9.5],
  [4, 0, 5],
  [2, -1, 1],
].map(([aside, above, ahead], i) => ({ id: `p${i}`, aside, above, ahead }));
const stops = [
  { id: 'a', aside: 0, above: 0, ahead: 0, yaw: 0, pitch: 0, roll: 0, rest: 2, travel: 3 },
  { id: 'b', aside: 3, above: 1, ahead: 6, yaw: -120, pitch: 10, roll: 0, rest: 1, travel: 2 },
  { id: 'c', aside: -2, above: 0.5, ahead: 9, yaw: 170, pitch: -20, roll: 15, rest: 1, travel: 1 },
];

/** A flight of every kind, each with all that can be added. */
const FLIGHTS: Record<string, object> = {
  run: { route: { kind: 'run', tilesPerLap: 2 } },
  'run with a speed': { route: { kind: 'run' }, speed: keyed([0.1, 1], [0.4, 3], [0.7, 0.5]) },
  along: { route: { kind: 'along', follow: 't' }, bank: 0.6 },
  circuit: { route: { kind: 'circuit', points }, bank: 0.8 },
  'carried circuit': { route: { kind: 'circuit', points, tilt: 30, stray: 0.5 }, horizon: 'carried', lookAhead: 1 },
  'circuit aimed softly at an element': {
    route: { kind: 'circuit', points, rounds: -1 },
    aim: 'target',
    aimAt: { on: 'element', layer: 'ring', element: 3 },
    aimSoft: 1.5,
  },
  orbit: {
    route: { kind: 'orbit', around: { ahead: 10 }, tilt: 20, radius: keyed([0, 6], [0.5, 9]) },
    aim: 'target',
    aimAt: { ahead: 10 },
  },
  'part of an orbit': {
    route: { kind: 'orbit', around: { ahead: 10 }, symmetry: 12, turnsPerLap: 1 / 12 },
    aim: 'target',
    aimAt: { ahead: 10 },
  },
  stations: { route: { kind: 'stations', stops }, aim: 'own' },
  'curved stations': { route: { kind: 'stations', stops, way: 'curved' }, aim: 'own' },
  keys: {
    route: { kind: 'keys', aside: keyed([0.1, 1], [0.5, -2]), above: 1, ahead: keyed([0.2, 0], [0.8, 4], [0.9, 5]) },
    aim: 'own',
    yaw: keyed([0.2, 10], [0.9, -40]),
  },
  'keys that travel on': { route: { kind: 'keys', ahead: { law: 'wound', start: 0, perLap: 16 } }, aim: 'own' },
  attached: { route: { kind: 'attached', to: { on: 'element', layer: 'ring', element: 5 } }, aim: 'own' },
  'a travelling aim': { route: { kind: 'run' }, aim: 'target', aimAt: { ahead: 12, aside: 2 }, focusOn: 'aim' },
  'dolly zoom': {
    route: { kind: 'keys', ahead: keyed([0, 0], [0.5, 6]) },
    aim: 'target',
    aimAt: { ahead: 12 },
    hold: 'lens',
    holdAt: { ahead: 12 },
    holdWidth: 3,
  },
  'pulled focus': {
    focusOn: 'target',
    focusAt: { ahead: 5, aside: 1 },
    pullTo: 'target',
    pullAt: { ahead: 20 },
    pull: keyed([0, 0], [0.5, 1]),
  },
  isometric: { lens: 'isometric', widthM: keyed([0, 10], [0.5, 14]) },
};
const everyFlight = Object.entries(FLIGHTS).map(([name, flight]): [string, Piece] => [
  name,
  piece({ ...handFields(HANDS.standing.swings), ...flight }, [helixTunnel, ring]),
]);

const numbers = (p: Piece, phase: number): number[] => {
  const pose = cameraPose(p, phase);
  return [...pose.position, ...pose.quaternion, pose.focalMm, pose.focusDistance, pose.orthoWidth ?? 0];
};

describe('every flight closes by construction', () => {
  it.each(everyFlight)('%s: the next lap is this one under the symmetry, in value and slope', (_, p) => {
    const g = sceneSymmetry(p);
    const carried = (phase: number): number[] => {
      const pose = cameraPose(p, phase);
      const q = multiply(symmetryRotation(g), pose.quaternion);
      const there = cameraPose(p, phase + 1).quaternion;
      const sign = q[0] * there[0] + q[1] * there[1] + q[2] * there[2] + q[3] * there[3] < 0 ? -1 : 1;
      return [
        ...applySymmetry(g, pose.position),
        ...q.map((v) => v * sign),
        pose.focalMm,
        pose.focusDistance,
        pose.orthoWidth ?? 0,
      ];
    };
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (phase) => {
        carried(phase).forEach((v, i) => expect(Math.abs(v - numbers(p, phase + 1)[i])).toBeLessThan(1e-6));
        // and its slope, whichever way the rotation's sign falls
        const h = 1e-4;
        const slopes = (at: (phase: number) => number[], where: number): number[] => {
          const [before, after] = [at(where - h), at(where + h)];
          return after.map((v, i) => (i >= 3 && i < 7 ? 0 : (v - before[i]) / (2 * h)));
        };
        const there = slopes((q) => numbers(p, q), phase + 1);
        slopes(carried, phase).forEach((v, i) =>
          expect(Math.abs(v - there[i])).toBeLessThan(1e-3 * Math.max(1, Math.abs(there[i]))),
        );
      }),
      { numRuns: 25 },
    );
  });

  it.each(everyFlight)('%s: the state report says that its camera closes', (_, p) => {
    const { findings } = stateReport({ ...p, layers: [] });
    // targets in layers are elsewhere without them, but close all the same
    expect(findings.filter(({ ok }) => !ok)).toEqual([]);
    expect(stateReport(p).findings.find(({ id }) => id === 'camera')).toMatchObject({ ok: true });
  });
});

describe('camera', () => {
  it('travels whole tiles at uniform speed and looks ahead', () => {
    const p = piece({ route: { kind: 'run', tilesPerLap: 2 } });
    expect(cameraPose(p, 0.25).position).toEqual([0, 0, -4]);
    expect(cameraPose(p, 1).position[2] - cameraPose(p, 0).position[2]).toBe(-16);
    expect(rotate(cameraPose(p, 0.3).quaternion, [0, 0, -1]).map((v) => Math.round(v * 1e9) / 1e9 + 0)).toEqual([
      0, 0, -1,
    ]);
  });

  it.each(['level', 'carried'])('along a helix (%s) it keeps the axis, faces the tangent, at one speed', (horizon) => {
    const p = piece({ route: { kind: 'along', follow: 't' }, horizon }, [helixTunnel]);
    const at = (phase: number): Vec3 => cameraPose(p, phase).position;
    const gaps = Array.from({ length: 200 }, (_, i) => length(subtract(at((i + 1) / 200), at(i / 200))));
    expect(Math.max(...gaps) / Math.min(...gaps)).toBeLessThan(1.001);
    for (const phase of [0, 0.2, 0.55]) {
      expect(Math.hypot(at(phase)[0], at(phase)[1])).toBeCloseTo(1.5, 9);
      const ahead = subtract(at(phase + 1e-5), at(phase - 1e-5)).map((v) => v / 2e-5) as Vec3;
      const view = rotate(cameraPose(p, phase).quaternion, [0, 0, -1]);
      expect(dot(view, ahead) / length(ahead)).toBeCloseTo(1, 6);
      const right = rotate(cameraPose(p, phase).quaternion, [1, 0, 0]);
      if (horizon === 'level') expect(right[1]).toBeCloseTo(0, 9);
    }
  });

  it('what follows a tunnel has its route', () => {
    const motes = { kind: 'field', id: 'm', name: 'M', follow: 't' };
    const [one, other] = ['t', 'm'].map((follow) => piece({ route: { kind: 'along', follow } }, [helixTunnel, motes]));
    expect(cameraPose(other, 0.3)).toEqual(cameraPose(one, 0.3));
  });

  it('a whole roll comes back upright', () => {
    const p = piece({ roll: { law: 'wound', start: 0, perLap: 1 } });
    const up = (phase: number): Vec3 => rotate(cameraPose(p, phase).quaternion, [0, 1, 0]);
    expect(up(1)[1]).toBeCloseTo(up(0)[1], 9);
    expect(up(0.5)[1]).toBeCloseTo(-1, 9);
  });

  it('looks at what it aims at, from wherever it is', () => {
    for (const route of [
      { kind: 'circuit', points },
      { kind: 'keys', above: 3 },
    ]) {
      const p = piece({ route, aim: 'target', aimAt: { aside: 1, above: 0.5, ahead: 5 } });
      for (const phase of [0, 0.31, 0.77]) {
        const { position, quaternion } = cameraPose(p, phase);
        const to = subtract([1, 0.5, -5], position);
        expect(dot(rotate(quaternion, [0, 0, -1]), to) / length(to)).toBeCloseTo(1, 9);
      }
    }
  });

  it('a softened aim moves less than its target, and is the target where that is still', () => {
    const aimAt = { on: 'point', aside: { law: 'swing', middle: 0, reach: 2, cycles: 8, wave: 'sine', shift: 0 } };
    const spread = (aimSoft: number): number => {
      const p = piece({ route: { kind: 'keys' }, aim: 'target', aimAt, aimSoft });
      const views = Array.from({ length: 64 }, (_, i) => rotate(cameraPose(p, i / 64).quaternion, [0, 0, -1])[0]);
      return Math.max(...views) - Math.min(...views);
    };
    // a Gaussian of deviation σ leaves exp(−2π²σ²f²) of a sine of f Hz: 1 s about each moment, 0.8 Hz
    expect(spread(1) / spread(0)).toBeCloseTo(Math.exp(-2 * (Math.PI * 0.5 * 0.8) ** 2), 1);
    const still = piece({ route: { kind: 'keys' }, aim: 'target', aimAt: { aside: 2 }, aimSoft: 2 });
    const view = rotate(cameraPose(still, 0.4).quaternion, [0, 0, -1]);
    expect(view[0] / -view[2]).toBeCloseTo(2 / 6, 6);
  });

  it('orbits at its radius, height and tilt', () => {
    const p = piece({ route: { kind: 'orbit', around: { ahead: 10, aside: 2 }, radius: 5, height: 1 } });
    const at = (phase: number): Vec3 => subtract(cameraPose(p, phase).position, [2, 0, -10]);
    expect(at(0).map((v) => Number(v.toFixed(9)) + 0)).toEqual([0, 1, 5]);
    expect(at(0.25)[0]).toBeCloseTo(5, 9);
    const tilted = piece({ route: { kind: 'orbit', around: { ahead: 10 }, radius: 5, tilt: 30 } });
    const heights = Array.from({ length: 100 }, (_, i) => cameraPose(tilted, i / 100).position[1]);
    expect(Math.max(...heights)).toBeCloseTo(5 * Math.sin(Math.PI / 6), 2);
    // lowest toward the way ahead, which is −z from the middle
    expect(cameraPose(tilted, 0.5).position[1]).toBeLessThan(-2.4);
  });

  it('rides on an element at its offset, turned as it is', () => {
    const p = piece(
      {
        route: { kind: 'attached', to: { on: 'element', layer: 'ring', element: 5 }, right: 0, over: 0, behind: 2 },
        aim: 'own',
      },
      [ring],
    );
    const aimed = {
      ...p,
      flight: {
        ...p.flight,
        focusOn: 'target' as const,
        focusAt: 'to' in p.flight.route ? p.flight.route.to : p.flight.focusAt,
      },
    };
    for (const phase of [0, 0.4]) expect(cameraPose(aimed, phase).focusDistance).toBeCloseTo(2, 5);
  });

  it('what looks at the camera can be looked at by it', () => {
    const facing = { ...ring, treatments: [{ kind: 'face', id: 'f', to: 'camera' }] };
    const p = piece({ aim: 'target', aimAt: { on: 'element', layer: 'ring', element: 1 } }, [facing]);
    expect(cameraPose(p, 0.3).position.every(Number.isFinite)).toBe(true);
  });

  it('offsets move it aside and up in its own frame', () => {
    const p = piece({ route: { kind: 'circuit', points }, aside: 0.5, above: -0.25 });
    const plain = piece({ route: { kind: 'circuit', points } });
    const moved = subtract(cameraPose(p, 0.2).position, cameraPose(plain, 0.2).position);
    const own = rotate(inverse(cameraPose(plain, 0.2).quaternion), moved);
    expect(own[0]).toBeCloseTo(0.5, 9);
    expect(own[1]).toBeCloseTo(-0.25, 9);
  });

  // the banking angle of a coordinated turn: tan θ = v²/(r·g), any textbook of mechanics
  it('banks into a curve as a coordinated turn does', () => {
    const circle = Array.from({ length: 16 }, (_, i) => {
      const a = (i / 16) * 2 * Math.PI;
      return { id: `c${i}`, aside: 10 * Math.sin(a), above: 0, ahead: 10 * Math.cos(a) };
    });
    const p = piece({ route: { kind: 'circuit', points: circle }, bank: 1 });
    const speed = (2 * Math.PI * 10) / 10;
    const wanted = Math.atan(speed ** 2 / 10 / 9.81);
    const { quaternion } = cameraPose(p, 0.3);
    const up = rotate(quaternion, [0, 1, 0]);
    expect(Math.acos(up[1])).toBeCloseTo(wanted, 2);
    // the inside of the curve is where the top of the camera leans
    const inwards = scale(cameraPose(p, 0.3).position, -1);
    expect(dot(up, inwards)).toBeGreaterThan(0);
  });
});

describe('lens', () => {
  it('carries what it is set to', () => {
    const pose = cameraPose(piece({ focalMm: 85, fNumber: 2.8, focusM: 4 }), 0.3);
    expect([pose.focalMm, pose.fNumber, pose.focusDistance, pose.sensorMm, pose.orthoWidth]).toEqual([
      85,
      2.8,
      4,
      36,
      null,
    ]);
  });

  it.each(['lens', 'camera'] as const)(
    'dolly zoom (%s): the subject keeps its size to a thousandth over the lap',
    (hold) => {
      const moving = hold === 'lens' ? { ahead: keyed([0, 0], [0.5, 7]) } : { ahead: 0 };
      const p = piece({
        route: { kind: 'keys', ...moving },
        aim: 'target',
        aimAt: { aside: 0.4, ahead: 12 },
        focalMm: hold === 'lens' ? 28 : keyed([0, 24], [0.5, 85]),
        hold,
        holdAt: { ahead: 12 },
        holdWidth: 3,
      });
      const sizes: number[] = [];
      const fields: number[] = [];
      for (let i = 0; i < 250; i++) {
        const pose = cameraPose(p, i / 250);
        const forward = rotate(pose.quaternion, [0, 0, -1]);
        const depth = dot(subtract([0, 0, -12], pose.position), forward);
        // width of one metre at the subject, as a share of the picture
        sizes.push(pose.focalMm / (pose.sensorMm * depth));
        fields.push(fieldOfViewDeg(pose.focalMm, pose.sensorMm));
      }
      expect(Math.max(...sizes) / Math.min(...sizes)).toBeLessThan(1.001);
      expect(1 / sizes[0]).toBeCloseTo(3, hold === 'lens' ? 9 : 3);
      // while the field behind it changes
      expect(Math.max(...fields) / Math.min(...fields)).toBeGreaterThan(1.8);
    },
  );

  it('focuses on a target whatever it aims at, along the line of sight', () => {
    const p = piece({
      route: { kind: 'keys' },
      aim: 'target',
      aimAt: { aside: 3, ahead: 4 },
      focusOn: 'target',
      focusAt: { ahead: 10 },
    });
    expect(cameraPose(p, 0).focusDistance).toBeCloseTo(10 * (4 / 5), 9);
  });

  it('pulls from mark to mark, arriving at both', () => {
    const pull = keyed([0, 0], [0.25, 0], [0.5, 1], [0.75, 1]);
    const p = piece({
      focusM: 2,
      pullTo: 'distance',
      pullM: 8,
      pull: { ...pull, keys: pull.keys.map((k) => ({ ...k, ease: [0.45, 0, 0.55, 1] })) },
    });
    expect(cameraPose(p, 0.1).focusDistance).toBeCloseTo(2, 9);
    expect(cameraPose(p, 0.6).focusDistance).toBeCloseTo(8, 9);
    // half way in the reciprocal
    expect(cameraPose(p, 0.375).focusDistance).toBeCloseTo(1 / ((1 / 2 + 1 / 8) / 2), 6);
  });

  // asin(tan 30°), in any book on technical drawing
  it('isometric looks down by 35.264° along a diagonal', () => {
    expect((ISOMETRIC * 180) / Math.PI).toBeCloseTo(35.2644, 3);
    const pose = cameraPose(piece({ lens: 'isometric', widthM: 12 }), 0.4);
    expect(pose.orthoWidth).toBe(12);
    const view = rotate(pose.quaternion, [0, 0, -1]);
    // all three axes are foreshortened alike, by √(2/3)
    for (const axis of [0, 1, 2]) {
      expect(Math.abs(view[axis])).toBeCloseTo(1 / Math.sqrt(3), 9);
      const unit: Vec3 = [0, 0, 0];
      unit[axis] = 1;
      const [x, y] = rotate(inverse(pose.quaternion), unit);
      expect(Math.hypot(x, y)).toBeCloseTo(Math.sqrt(2 / 3), 9);
    }
  });

  it('isometric keeps what is aimed at in the middle, wherever the route leads', () => {
    for (const flight of [
      { route: { kind: 'circuit', points }, aim: 'target', aimAt: { aside: 1, above: 0.5, ahead: 5 } },
      { route: { kind: 'orbit', around: { aside: 1, above: 0.5, ahead: 5 } }, aim: 'own' },
    ]) {
      const { position, quaternion } = cameraPose(piece({ ...flight, lens: 'isometric' }), 0.37);
      const [x, y, z] = rotate(inverse(quaternion), subtract([1, 0.5, -5], position));
      expect(Math.hypot(x, y)).toBeLessThan(1e-9);
      expect(z).toBeLessThan(0);
    }
  });

  it('with breathing the engine’s blur is the handbook’s', () => {
    const [f, n, s, d] = [85, 2, 3000, 4200];
    const pixels = 0.5 * (f / n) * imageDistanceMm(f, s) * (1 / s - 1 / d);
    expect(2 * pixels).toBeCloseTo(blurCircleMm(f, n, s, d), 9);
  });
});
