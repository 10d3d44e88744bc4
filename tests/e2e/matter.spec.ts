import { expect, type Page } from '@playwright/test';
import { gradientTableAt } from '../../src/core/colour/animated';
import { RF } from '../../src/core/kernel/scratch';
import { newLight } from '../../src/core/look/lights/kinds';
import { cellPattern, cellsBy, flowPattern } from '../../src/core/matter/pattern/pattern.gen';
import { fitNoise } from '../../src/core/noise/fit';
import { ramp } from '../../src/core/forms';
import { pieceOf } from '../pieces';
import { numbersOf, test } from './lab';

// What matter is covered with, on a wall five metres before the camera, seen without perspective: 0.05 m of the wall a pixel.

const SIZE = { width: 160, height: 90 };
const METRES = 8;
const WALL = 5;
const TILE = 400;

const wall = (fields: object, flight: object = {}, look: object = {}) =>
  pieceOf(
    {
      ...{
        kind: 'copies',
        arrangement: 'line',
        count: 1,
        source: 'plane',
        size: 40,
        variation: 0,
        ahead: WALL,
        once: true,
      },
      gradient: [{ at: 0, colour: '#ffffff' }],
      ...fields,
    } as never,
    {
      tile: TILE,
      flight: {
        ...{ route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, lens: 'orthographic', widthM: METRES },
        ...{ fNumber: 64, focusM: WALL },
        ...flight,
      },
      look: {
        ...{ background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, nearFade: 0.02, lights: [] },
        ...look,
      },
    },
  );

/** Linear light of each pixel, row by row from the bottom. */
const lightOf = async (page: Page, piece: object, frameIndex = 0): Promise<[number, number, number][]> => {
  const light = await numbersOf(page, piece, { ...SIZE, frameIndex });
  return Array.from({ length: light.length / 4 }, (_, i) => [light[i * 4], light[i * 4 + 1], light[i * 4 + 2]]);
};

/** Where on the wall a pixel looks. */
const placeOf = (i: number): [number, number] => [
  (((i % SIZE.width) + 0.5) / SIZE.width - 0.5) * METRES,
  (((Math.floor(i / SIZE.width) + 0.5) / SIZE.height - 0.5) * METRES * SIZE.height) / SIZE.width,
];

const METRES_A_PATCH = 1.3;
const { scale, period } = fitNoise(METRES_A_PATCH, TILE);
type Law = (p: [number, number, number], lap: number) => void;
const LAWS: Record<string, { pattern: object; law: Law }> = {
  cracks: {
    pattern: { kind: 'cells', by: 'edges', seed: 9, cycles: 3 },
    law: (p, lap) => cellPattern(...p, ...period, 9, lap, 3, cellsBy.edges),
  },
  domes: {
    pattern: { kind: 'cells', by: 'domes', seed: 9, cycles: 3 },
    law: (p, lap) => cellPattern(...p, ...period, 9, lap, 3, cellsBy.domes),
  },
  clouds: {
    pattern: { kind: 'flow', octaves: 2, seed: 4, cycles: 2 },
    law: (p, lap) => flowPattern(...p, ...period, 4, lap, 2, 2),
  },
};
const at = (law: Law, i: number, lap: number): { value: number; slope: [number, number, number] } => {
  const [x, y] = placeOf(i);
  law([x * scale[0], y * scale[1], -WALL * scale[2]], lap);
  return { value: RF[0], slope: [RF[1], RF[2], RF[3]] };
};
const inWorld = { lies: 'world', metres: METRES_A_PATCH, colour: 1 };

test('the patterns of the graphics card are those of the core, at other moments of the lap too', async ({ page }) => {
  const colours = ramp('#102030', '#c08040', '#ffffff');
  const table = gradientTableAt(colours, 0);
  for (const [name, { pattern, law }] of Object.entries(LAWS))
    for (const frame of [0, 37]) {
      const piece = wall({
        matter: { kind: 'emission', glowing: 1 },
        pattern: { ...pattern, ...inWorld, colours, contrast: 1.5, level: 0.4 },
      });
      const light = await lightOf(page, piece, frame);
      let [most, sum] = [0, 0];
      light.forEach((rgb, i) => {
        const v = Math.min(1, Math.max(0, (at(law, i, frame / 100).value - 0.4) * 1.5 + 0.5)) * 255;
        const [low, share] = [Math.min(254, Math.floor(v)), v - Math.min(254, Math.floor(v))];
        const off = rgb.map((c, k) => Math.abs(c - table[low * 4 + k] * (1 - share) - table[low * 4 + 4 + k] * share));
        most = Math.max(most, ...off);
        sum += Math.max(...off);
      });
      // tables are looked up in 256ths of a texel at the least (OpenGL ES 3.0): steeper colours than these are as far off
      expect([name, frame, most < 0.012, sum / light.length < 1e-3]).toEqual([name, frame, true, true]);
      // and it is no even wall that agrees
      expect(Math.max(...light.map(([r]) => r)) - Math.min(...light.map(([r]) => r))).toBeGreaterThan(0.5);
    }
});

test('relief leans the light as a surface of that height would', async ({ page }) => {
  const relief = 0.35;
  const { pattern, law } = LAWS.clouds;
  const from = [0.6, 0.3, 0.74].map((v) => v / Math.hypot(0.6, 0.3, 0.74));
  const sun = newLight('sun', 'a', {
    colour: '#ffffff',
    strength: 1,
    aside: 0.6,
    above: 0.3,
    behind: 0.74,
    shadow: false,
  });
  const matt = { matter: { kind: 'plain', rough: 1 } };
  const even = await lightOf(page, wall(matt, {}, { lights: [sun] }));
  const raised = await lightOf(
    page,
    wall({ ...matt, pattern: { ...pattern, ...inWorld, colour: 0, relief } }, {}, { lights: [sun] }),
  );
  const off: number[] = [];
  raised.forEach(([lit], i) => {
    // the height of a place is a share of a patch, and changes by that over a patch
    const { slope } = at(law, i, 0);
    const n = [-relief * slope[0], -relief * slope[1], 1];
    const expected = Math.max(0, n[0] * from[0] + n[1] * from[1] + n[2] * from[2]) / Math.hypot(...n) / from[2];
    // away from grazing light, where what is matt beneath a shine is not by the cosine alone
    if (expected > 0.45) off.push(Math.abs(lit / even[i][0] / expected - 1));
  });
  expect(off.length).toBeGreaterThan(10_000);
  off.sort((a, b) => a - b);
  expect(off[Math.floor(off.length * 0.5)]).toBeLessThan(0.02);
  expect(off[Math.floor(off.length * 0.95)]).toBeLessThan(0.08);
});

test('as the camera sees it a pattern covers what is near and far alike, and stays where it was put on', async ({
  page,
}) => {
  const seen = (ahead: number, size: number, frame: number, since: number) =>
    lightOf(
      page,
      wall(
        {
          ...{ ahead, size, matter: { kind: 'emission', glowing: 1 } },
          pattern: {
            kind: 'flow',
            octaves: 1,
            cycles: 0,
            lies: 'view',
            high: 0.3,
            colour: 1,
            frame: since,
            contrast: 2,
          },
        },
        { lens: 'perspective', focusM: ahead },
      ),
      frame,
    );
  const [near, far] = [await seen(5, 40, 0, 0), await seen(11, 88, 0, 0)];
  expect(Math.max(...near.map(([r], i) => Math.abs(r - far[i][0])))).toBeLessThan(0.02);
  expect(Math.max(...near.map(([r]) => r)) - Math.min(...near.map(([r]) => r))).toBeGreaterThan(0.4);
});

test('what is put on goes with what it is on: after a quarter of a turn it is the same, turned', async ({ page }) => {
  const turning = (frame: number, lies: 'layer' | 'view') =>
    lightOf(
      page,
      wall({
        matter: { kind: 'emission', glowing: 1 },
        pattern: { kind: 'flow', octaves: 1, cycles: 0, lies, high: 0.2, metres: 1.2, colour: 1, frame: 0 },
        treatments: [{ kind: 'turn', id: 't', what: 'each', axis: 'along' }],
      }),
      frame,
    );
  for (const lies of ['layer', 'view'] as const) {
    const [first, later] = [await turning(0, lies), await turning(25, lies)];
    const brightest = (n: number, x: number, y: number): number =>
      (n === 0 ? first : later)[(SIZE.height / 2 + y) * SIZE.width + SIZE.width / 2 + x][0];
    let [straight, turned] = [0, 0];
    for (let x = -40; x < 40; x++)
      for (let y = -40; y < 40; y++) {
        straight = Math.max(straight, Math.abs(brightest(0, x, y) - brightest(1, x, y)));
        // a quarter of a turn anticlockwise, between the middles of pixels
        turned = Math.max(turned, Math.abs(brightest(0, x, y) - brightest(1, -y - 1, x)));
      }
    expect([lies, turned < 0.01, straight > 0.2]).toEqual([lies, true, true]);
  }
});

test('emission is as bright as its colour whatever shines on it; by angle the middle has the first colour, the rim the last', async ({
  page,
}) => {
  const lamp = newLight('sun', 'a', { colour: '#ffffff', strength: 5, shadow: false });
  const middle = (SIZE.height / 2) * SIZE.width + SIZE.width / 2;
  const dark = await lightOf(page, wall({ matter: { kind: 'emission', glowing: 0.5 } }));
  const lit = await lightOf(page, wall({ matter: { kind: 'emission', glowing: 0.5 } }, {}, { lights: [lamp] }));
  expect(Math.abs(dark[middle][0] - 0.5)).toBeLessThan(0.002);
  expect(lit[middle]).toEqual(dark[middle]);
  const ball = await lightOf(
    page,
    wall({
      ...{ source: 'sphere', size: 4 },
      matter: { kind: 'facing', colours: ramp('#ff0000', '#0000ff'), glowing: 1, rough: 1, bend: 1 },
    }),
  );
  const row = ball.slice(middle - SIZE.width / 2, middle + SIZE.width / 2);
  const lightest = row.findIndex(([r, , b]) => r + b > 0.01);
  expect(row[lightest + 1][2]).toBeGreaterThan(row[lightest + 1][0]);
  expect(ball[middle][0]).toBeGreaterThan(0.95);
  expect(ball[middle][2]).toBeLessThan(0.02);
});

test('what is behind a ball of glass is seen where two refractions after Snell send the eye', async ({ page }) => {
  const [INDEX, RADIUS, AWAY, BEHIND, FOCAL] = [1.5, 1, 5, 9, 60];
  const metres = 0.9;
  const sized = fitNoise(metres, TILE);
  const noise = { kind: 'flow', octaves: 1, seed: 4, cycles: 0, lies: 'world', metres, colour: 1 };
  const behind = wall(
    {
      ...{ ahead: BEHIND, size: 60, matter: { kind: 'emission', glowing: 1 } },
      pattern: { ...noise, colours: ramp('#000000', '#ffffff') },
    },
    { lens: 'perspective', focalMm: FOCAL, focusM: BEHIND },
  );
  const ball = wall({
    ...{ id: 'ball', source: 'sphere', size: 2 * RADIUS, ahead: AWAY },
    matter: { kind: 'glass', index: INDEX, colours: ramp('#ffffff') },
  });
  const light = await lightOf(page, { ...behind, layers: [...behind.layers, ...ball.layers] });
  const table = gradientTableAt(ramp('#000000', '#ffffff'), 0);
  const shown = (x: number, y: number): number => {
    flowPattern(x * sized.scale[0], y * sized.scale[1], -BEHIND * sized.scale[2], ...sized.period, 4, 0, 1, 1);
    return table[Math.round(Math.min(1, Math.max(0, RF[0])) * 255) * 4];
  };
  type V = [number, number, number];
  const dot = (a: V, b: V): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const bent = (d: V, n: V, ratio: number): V => {
    const cosine = -dot(d, n);
    const k = Math.sqrt(1 - ratio * ratio * (1 - cosine * cosine));
    return [0, 1, 2].map((i) => ratio * d[i] + (ratio * cosine - k) * n[i]) as V;
  };
  const off: number[] = [];
  const straight: number[] = [];
  light.forEach(([lit], i) => {
    const px = [(i % SIZE.width) + 0.5 - SIZE.width / 2, Math.floor(i / SIZE.width) + 0.5 - SIZE.height / 2];
    const to: V = [px[0], px[1], (-SIZE.width * FOCAL) / 36];
    const far = Math.hypot(...to);
    const d = to.map((v) => v / far) as V;
    const c: V = [0, 0, -AWAY];
    const along = dot(d, c);
    const inside = RADIUS ** 2 - (dot(c, c) - along ** 2);
    // the middle of it, where little is mirrored
    if (inside < 0.5 * RADIUS ** 2) return;
    const p = d.map((v) => v * (along - Math.sqrt(inside))) as V;
    const n = p.map((v, k) => (v - c[k]) / RADIUS) as V;
    const within = bent(d, n, 1 / INDEX);
    const chord = -2 * RADIUS * dot(within, n);
    const q = p.map((v, k) => v + within[k] * chord) as V;
    const out = bent(within, q.map((v, k) => -(v - c[k]) / RADIUS) as V, INDEX);
    const t = (-BEHIND - q[2]) / out[2];
    const mirrored = 0.04 + 0.96 * (1 + dot(d, n)) ** 5;
    off.push(Math.abs(lit - (1 - mirrored) * shown(q[0] + out[0] * t, q[1] + out[1] * t)));
    straight.push(Math.abs(lit - (1 - mirrored) * shown((d[0] / -d[2]) * BEHIND, (d[1] / -d[2]) * BEHIND)));
  });
  const middle = (all: number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)];
  expect(off.length).toBeGreaterThan(500);
  // places are looked up to a pixel; seen as through nothing it would be off by much more
  expect(middle(off)).toBeLessThan(0.02);
  expect(middle(straight)).toBeGreaterThan(0.1);
});
