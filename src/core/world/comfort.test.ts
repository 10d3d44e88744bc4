import { parsePiece } from './open';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../piece/schema';
import { setAt } from '../piece/paths';
import { crossesTriangle, nearestOnTriangle } from '../space/distance';
import { length, subtract, type Vec3 } from '../space/vector';
import { flightClearance } from './clearance';
import { flightComfort, type ComfortWarning } from './comfort';

const piece = (flight: object, layers: object[] = [], frames = 250): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'P',
    lap: { frames, rate: { num: 25, den: 1 } },
    tile: 8,
    layers,
    flight,
    look: {},
  });
const most = (values: Float32Array): number => Math.max(...values);
const mended = (p: Piece, { fixes }: ComfortWarning, which = 0): Piece =>
  fixes[which].changes.reduce((now, { path, value }) => setAt(now, path, value), p);

describe('comfort', () => {
  it('measures speed, turning and roll as they are', () => {
    const run = flightComfort(piece({ route: { kind: 'run', tilesPerLap: 2 } }), 24);
    for (const v of run.speed) expect(v).toBeCloseTo(1.6, 4);
    expect(most(run.turning)).toBeCloseTo(0, 3);
    const orbit = flightComfort(
      piece({ route: { kind: 'orbit', around: { ahead: 5 }, radius: 4 }, aim: 'target', aimAt: { ahead: 5 } }),
      24,
    );
    for (const v of orbit.turning) expect(v).toBeCloseTo(36, 2);
    for (const v of orbit.speed) expect(v).toBeCloseTo((2 * Math.PI * 4) / 10, 3);
    const roll = flightComfort(piece({ roll: { law: 'wound', start: 0, perLap: 2 } }), 24);
    for (const v of roll.rolling) expect(v).toBeCloseTo(72, 2);
  });

  it('apparent motion is the picture’s own: past a wall aside, speed over the width that is seen there', () => {
    const p = piece({
      route: {
        kind: 'keys',
        aside: {
          law: 'keyed',
          keys: [
            { id: 'a', at: 0, value: 0, ease: 'linear' },
            { id: 'b', at: 0.5, value: 10, ease: 'linear' },
          ],
        },
      },
      aim: 'own',
      focalMm: 36,
      focusM: 4,
    });
    // 10 m in 5 s, seen 4 m wide
    expect(flightComfort(p, 40).motion[10]).toBeCloseTo(2 / 4, 3);
  });

  it('warns of a long lens in a fast move, and its advice mends it', () => {
    const p = piece({ route: { kind: 'orbit', around: { ahead: 5 }, radius: 4 }, focalMm: 85, focusM: 8 }, [], 75);
    const [warning] = flightComfort(p).warnings;
    expect(warning.id).toBe('long-lens');
    warning.fixes.forEach((_, i) => {
      expect(flightComfort(mended(p, warning, i)).warnings.filter(({ id }) => id === 'long-lens')).toEqual([]);
    });
    expect(flightComfort(piece({ focalMm: 85 })).warnings).toEqual([]);
  });

  it('warns of dizzy roll, and its advice mends it', () => {
    for (const flight of [
      { roll: { law: 'wound', start: 0, perLap: 3 } },
      { roll: { law: 'swing', middle: 0, reach: 0.3, cycles: 2, wave: 'sine', shift: 0 } },
      {
        bank: 3,
        bankSoft: 0.2,
        route: {
          kind: 'circuit',
          points: [
            { id: 'a', aside: -4, above: 0, ahead: 2 },
            { id: 'b', aside: 4, above: 0, ahead: 8 },
            { id: 'c', aside: 4, above: 0, ahead: 2 },
            { id: 'd', aside: -4, above: 0, ahead: 8 },
          ],
        },
      },
    ]) {
      const p = piece(flight, [], 500);
      const warning = flightComfort(p).warnings.find(({ id }) => id === 'roll');
      if (!warning) throw new Error('no warning');
      const after = flightComfort(mended(p, warning)).warnings;
      expect(after.filter(({ id }) => id === 'roll')).toEqual([]);
    }
  });
});

describe('clearance', () => {
  const ground = { kind: 'ground', id: 'g', name: 'Mud', above: -2 };
  const tunnel = { kind: 'tunnel', id: 't', name: 'Wall', radius: 2, sides: 4, lines: 'none', wall: 'skin', twist: 0 };

  // a square tunnel whose corners are 2 m from its axis has walls √2 m from it
  it('is the distance to the nearest wall, not to its corners', () => {
    const { metres, warnings } = flightClearance(piece({}, [tunnel]), 24);
    for (const v of metres) expect(v).toBeCloseTo(Math.SQRT2, 2);
    expect(warnings).toEqual([]);
  });

  it('says when the camera goes through something, and a way that clears it', () => {
    const p = piece({ above: -1.2, aside: 1.2 }, [tunnel]);
    const { warnings } = flightClearance(
      piece({ aside: { law: 'swing', middle: 0, reach: 3, cycles: 1, wave: 'sine', shift: 0 } }, [tunnel]),
    );
    expect(warnings[0]).toMatchObject({ id: 'through', says: 'The camera goes through Wall.' });
    expect(most(flightClearance(p, 24).metres)).toBeLessThan(1);
    const low = piece({ above: -2.05 }, [{ ...ground, relief: 0 }]);
    const [warning] = flightClearance(low).warnings;
    expect(warning.fixes.length).toBeGreaterThan(0);
    expect(flightClearance(mended(low, warning)).warnings).toEqual([]);
  });

  it('bodies are met where they are, in every tile', () => {
    const box = { kind: 'copies', id: 'b', name: 'Boxes', arrangement: 'ring', count: 1, ahead: 4 };
    const p = piece({}, [box]);
    const { metres, layerId } = flightClearance(p, 40);
    expect(layerId).toBe('b');
    // two tiles later it is met again
    const far = flightClearance(
      { ...p, flight: { ...p.flight, route: { kind: 'run', tilesPerLap: 2, start: 0 } } },
      80,
    ).metres;
    for (let i = 0; i < 40; i++) expect(far[i]).toBeCloseTo(metres[i], 3);
  });

  it('the demo tunnel is flown through its middle', () => {
    const parsed = parsePiece(JSON.parse(readFileSync('demo/ropewalk-tunnel.isomorph.json', 'utf8')));
    if (!parsed.ok) throw new Error('no demo');
    expect(flightClearance(parsed.piece, 30).warnings).toEqual([]);
  });

  // closest point: minimising over a fine grid of barycentric coordinates
  it('nearest points of triangles and crossings are right', () => {
    const [a, b, c]: Vec3[] = [
      [0, 0, 0],
      [2, 0, 0.5],
      [0.5, 1.5, -0.3],
    ];
    for (const p of [
      [1, 0.4, 2],
      [-1, -1, 0],
      [3, 0, 1],
      [1.6, 1.4, 0],
      [0.2, 3, 0.1],
    ] as Vec3[]) {
      let least = Infinity;
      for (let i = 0; i <= 200; i++)
        for (let j = 0; i + j <= 200; j++) {
          const [u, v] = [i / 200, j / 200];
          const q = a.map((n, k) => n * (1 - u - v) + b[k] * u + c[k] * v) as Vec3;
          least = Math.min(least, length(subtract(p, q)));
        }
      expect(length(subtract(p, nearestOnTriangle(p, a, b, c)))).toBeCloseTo(least, 1);
      expect(length(subtract(p, nearestOnTriangle(p, a, b, c)))).toBeLessThanOrEqual(least + 1e-9);
    }
    expect(crossesTriangle([0.8, 0.4, 3], [0.8, 0.4, -3], a, b, c)).toBe(true);
    expect(crossesTriangle([0.8, 0.4, 3], [0.8, 0.4, 1], a, b, c)).toBe(false);
    expect(crossesTriangle([3, 0.4, 3], [3, 0.4, -3], a, b, c)).toBe(false);
  });
});
