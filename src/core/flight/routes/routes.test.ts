import { describe, expect, it } from 'vitest';
import { STRAIGHT } from '../../elements/course';
import { add, dot, fromAxis, length, rotate, subtract, type Vec3 } from '../../space/vector';
import { circuitPoints } from './circuit/circuit';
import type { RouteStart, RouteWorld } from './definition';
import { ROUTES, routeOf, type Route, type RouteKind } from './kinds';
import { viewTurn } from './view';

/** A world in which every target is a place that stands still, and the way is flown evenly. */
const world: RouteWorld = {
  tile: 12,
  frames: 100,
  routeOf: () => STRAIGHT,
  nameOf: () => 'A layer',
  share: (phase) => phase,
  sight: ({ aside, above, ahead }) => ({
    position: [Number(aside), Number(above), -Number(ahead)],
    rotation: [0, 0, 0, 1],
  }),
  readOf: () => null,
  middleOf: () => [0, 0, -6],
};
const start: RouteStart = {
  pose: { position: [0.5, 0.2, -1], quaternion: viewTurn({ yaw: 10, pitch: -5, roll: 0 }) },
  way: null,
  carrier: null,
  reads: null,
  middle: [0, 1, -6],
  radius: 3,
};
const made = (kind: RouteKind, fields: object = {}): Route =>
  ROUTES.schema.parse({ kind, ...routeOf(kind).begin(start), ...fields });
const apart = (a: Vec3, b: Vec3): number => length(subtract(a, b));

/** Routes of every kind as they begin, and some that are less simple. */
const cases: [string, Route][] = [
  ...ROUTES.names.map((kind): [string, Route] => [kind, made(kind)]),
  ['run by two tiles', made('run', { tilesPerLap: 2 })],
  ['circuit the other way, leaning', made('circuit', { rounds: -2, tilt: 20, toward: 40 })],
  ['circuit that strays', made('circuit', { stray: 0.4, seed: 5 })],
  ['orbit in a part of a turn', made('orbit', { symmetry: 20, turnsPerLap: 3 / 20, from: 33 })],
  ['orbit that leans', made('orbit', { tilt: 30, toward: 70, turnsPerLap: -1 })],
  ['keys that travel', made('keys', { ahead: { law: 'wound', start: 1, perLap: 12 } })],
];

describe.each(cases)('route: %s', (_, route) => {
  const definition = routeOf(route.kind);
  const track = definition.track(route, world);
  const phases = Array.from({ length: 24 }, (_, i) => i / 24);

  it('is a legal one, said in a few words', () => {
    expect(ROUTES.schema.safeParse(route).success).toBe(true);
    const words = definition.summary(route, world);
    expect(words.length).toBeGreaterThan(2);
    expect(words).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('has a place at every phase, with an upright square to the way ahead', () => {
    for (const phase of phases) {
      const { position, tangent, up } = track.at(phase);
      for (const v of [...position, ...tangent, ...up]) expect(Number.isFinite(v)).toBe(true);
      const ahead = length(tangent);
      // it rests, or the way ahead has a direction
      expect(ahead === 0 || Math.abs(ahead - 1) < 1e-6).toBe(true);
      if (ahead === 0) continue;
      expect(length(up)).toBeCloseTo(1, 6);
      expect(dot(up, tangent)).toBeCloseTo(0, 5);
    }
    expect(track.length).toBeGreaterThanOrEqual(0);
  });

  it('is carried onto itself by what a lap gains', () => {
    const { advance, turns, axis, centre } = definition.travel(route, world);
    const turn = fromAxis(axis, turns * 2 * Math.PI);
    const carried = (p: Vec3): Vec3 => add(add(centre, rotate(turn, subtract(p, centre))), [0, 0, -advance]);
    const off = (by: (p: Vec3) => Vec3): number =>
      Math.max(...phases.map((phase) => apart(by(track.at(phase).position), track.at(phase + 1).position)));
    expect(off(carried)).toBeLessThan(1e-6);
  });

  it('does not jump', () => {
    const steps = Array.from({ length: 400 }, (_, i) =>
      apart(track.at(i / 400).position, track.at((i + 1) / 400).position),
    );
    const mean = steps.reduce((sum, v) => sum + v, 0) / steps.length;
    expect(Math.max(...steps)).toBeLessThan(Math.max(1e-9, mean * 6));
  });

  it('asks for steps of what it has', () => {
    for (const [name, step] of Object.entries(definition.closingSteps(route, world))) {
      expect(Object.keys(definition.form.fields)).toContain(name);
      expect(step).toBeGreaterThan(0);
    }
  });
});

describe('routes that keep views', () => {
  const kinds = ROUTES.names.filter((kind) => routeOf(kind).keeping);
  it.each(kinds.map((kind) => [kind]))('%s: the camera is where the view was found, and looks as it did', (kind) => {
    const view = { aside: 2, above: -0.5, ahead: 4, yaw: 40, pitch: 12, roll: -6 };
    const position: Vec3 = [2, -0.5, -4];
    const { keeping } = routeOf(kind);
    const kept = keeping?.keep(
      made(kind),
      { view, position, phase: 0.25, frames: 100, id: 'new', turn: null },
      keeping.there === true,
    );
    if (!kept) throw new Error(`${kind} keeps nothing`);
    expect(ROUTES.schema.safeParse(kept.route).success).toBe(true);
    const track = routeOf(kind).track(kept.route, world);
    const nearest = Math.min(...Array.from({ length: 2000 }, (_, i) => apart(track.at(i / 2000).position, position)));
    expect(nearest).toBeLessThan(0.05);
  });

  it('there are some, and others say that they are none', () => {
    expect(kinds.length).toBeGreaterThanOrEqual(3);
    expect(routeOf('run').keeping).toBeUndefined();
  });
});

describe('orbit', () => {
  it('stays at its distance and height, and faces the middle', () => {
    const around = { on: 'point', aside: 1, above: 2, ahead: 5, layer: null, element: 0 };
    const route = made('orbit', { around, radius: 4, height: 1.5, turnsPerLap: 1 });
    const track = routeOf('orbit').track(route, world);
    for (const phase of [0, 0.2, 0.5, 0.9]) {
      const { position, own, faces } = track.at(phase);
      const [x, y, z] = subtract(position, [1, 2, -5]);
      expect(Math.hypot(x, z)).toBeCloseTo(4, 9);
      expect(y).toBeCloseTo(1.5, 9);
      expect(faces).toEqual([1, 2, -5]);
      if (!own) throw new Error('it faces nothing');
      const inwards = subtract([1, 2, -5], position);
      expect(dot(rotate(own, [0, 0, -1]), inwards) / length(inwards)).toBeCloseTo(1, 9);
    }
  });
});

describe('circuit', () => {
  it.each([0, 25])('leaning by %d degrees it passes through all its points, in order', (tilt) => {
    const route = made('circuit', { tilt, toward: 30 });
    if (route.kind !== 'circuit') throw new Error('no circuit');
    const track = routeOf('circuit').track(route, world);
    const samples = Array.from({ length: 4000 }, (_, i) => track.at(i / 4000).position);
    const reached = circuitPoints(route).map((point) => {
      const distances = samples.map((p) => apart(p, point));
      const least = Math.min(...distances);
      expect(least).toBeLessThan(0.02);
      return distances.indexOf(least);
    });
    // the first is at the join, which is its beginning or its end
    const inOrder = reached.slice(1);
    expect(inOrder).toEqual([...inOrder].sort((a, b) => a - b));
  });

  it('swung ahead and back is no travel, whatever its shift rounds to', () => {
    for (let i = 0; i < 50; i++) {
      const ahead = { law: 'swing', middle: 0.1 * i, reach: 0.2, cycles: 1 + (i % 4), wave: 'sine', shift: i / 50 };
      const route = ROUTES.schema.parse({ kind: 'keys', ahead });
      expect([i, routeOf('keys').travel(route, world).advance]).toEqual([i, 0]);
    }
  });
});
