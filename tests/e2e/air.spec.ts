import { expect, type Page } from '@playwright/test';
import { depthOfMist, mistOf } from '../../src/core/air/mist';
import { newLight, type Light } from '../../src/core/look/lights/kinds';
import { redOf, test } from './lab';
import { pieceOf } from '../pieces';

// What the air does to light, pixel by pixel, against lines of sight worked out here: a camera at the world's middle that looks along -z.

type Place = [number, number, number];

const SIZE = { width: 96, height: 54 };
const FOCAL_MM = 24;
/** What a pixel's line of sight goes through at one metre of depth. */
const through = (x: number, y: number): Place => {
  const perPixel = 36 / FOCAL_MM / SIZE.width;
  return [(x + 0.5 - SIZE.width / 2) * perPixel, (y + 0.5 - SIZE.height / 2) * perPixel, -1];
};
const times = (v: Place, by: number): Place => [v[0] * by, v[1] * by, v[2] * by];

const CLEAR = {
  ...{ background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, fogColour: '#000000' },
  ...{ reach: 200, nearFade: 0.02, lights: [] as Light[] },
};
const flight = { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, focalMm: FOCAL_MM, fNumber: 64, focusM: 8 };

/** A wall that shines white so many metres ahead, or nothing. */
const scene = (wallAt: number | null, look: object, layers: object[] = []) => {
  const { layers: made, ...piece } = pieceOf(
    {
      ...{ kind: 'copies', arrangement: 'line', count: 1, source: 'plane', size: 80, variation: 0, once: true },
      ahead: wallAt ?? 8,
      gradient: [{ at: 0, colour: '#ffffff' }],
      matter: { kind: 'emission', glowing: 1 },
      hidden: wallAt === null,
    } as never,
    { tile: 60, flight, look: { ...CLEAR, ...look } },
  );
  return { ...piece, layers: [...made, ...layers] };
};

const lightOf = (page: Page, piece: object, passes = 1): Promise<number[]> => redOf(page, piece, SIZE, passes);

const pixels = function* (step = 1): Generator<[number, number, number]> {
  for (let y = 0; y < SIZE.height; y += step)
    for (let x = 0; x < SIZE.width; x += step) yield [x, y, y * SIZE.width + x];
};

test('mist before a wall, and before nothing, takes what it takes along the line of sight of each pixel', async ({
  page,
}) => {
  const mist = {
    ...{ mist: 'lies', mistClear: 6, mistFloor: -0.5, mistHeight: 0.9, mistColour: '#000000' },
    ...{ mistPatches: 0.9, mistSize: 3, mistSeed: 5 },
  };
  for (const at of [14, null]) {
    const white = { background: '#ffffff', backgroundEdge: '#ffffff' };
    const piece = scene(at, { ...mist, ...white });
    // one pass is blurred a little by what stands for its lens; many give the mean of what a pixel covers
    const [light, clear] = [await lightOf(page, piece, 64), await lightOf(page, scene(at, white), 16)];
    const lies = mistOf(pieceOf({ kind: 'copies' }, { look: mist }).look, piece.tile, 0);
    if (!lies) throw new Error('there is no mist');
    let most = 0;
    let darkest = 1;
    for (const [x, y, i] of pixels(3)) {
      let left = 0;
      for (let k = 0; k < 64; k++) {
        const way = through(x - 0.5 + ((k % 8) + 0.5) / 8, y - 0.5 + (Math.floor(k / 8) + 0.5) / 8);
        left += Math.exp(-depthOfMist(lies, [0, 0, 0], times(way, at ?? CLEAR.reach))) / 64;
      }
      most = Math.max(most, Math.abs(light[i] / clear[i] - left));
      darkest = Math.min(darkest, left);
    }
    expect(darkest).toBeLessThan(0.2);
    expect([at, most < 1e-3, most]).toEqual([at, true, most]);
  }
});

test('the air about a lamp is as bright as the sum of what every piece of a line of sight scatters', async ({
  page,
}) => {
  const haze = 0.04;
  const [lamp, strength, radius, reach]: [Place, number, number, number] = [[0.7, 0.4, -6], 5, 0.05, 9];
  const light = await lightOf(
    page,
    scene(null, {
      haze,
      hazeForward: 0,
      lights: [
        newLight('point', 'a', {
          ...{ colour: '#ffffff', strength, reach, radius, aside: lamp[0], above: lamp[1], ahead: -lamp[2] },
        }),
      ],
    }),
  );
  let most = 0;
  let brightest = 0;
  for (const [x, y, i] of pixels(4)) {
    const way = times(through(x, y), 1 / Math.hypot(...through(x, y)));
    let sum = 0;
    const step = 0.002;
    for (let t = step / 2; t < 20; t += step) {
      const away = Math.hypot(way[0] * t - lamp[0], way[1] * t - lamp[1], way[2] * t - lamp[2]);
      // to its reach it fades as everywhere
      const fade = Math.max(0, 1 - (away / reach) ** 4) ** 2;
      sum += (fade / (away * away + radius * radius)) * step;
    }
    // a share of it goes every way alike: over the whole sphere of directions
    const expected = (haze * strength * Math.PI * sum) / (4 * Math.PI);
    most = Math.max(most, Math.abs(light[i] / expected - 1));
    brightest = Math.max(brightest, expected);
  }
  expect(brightest).toBeGreaterThan(0.3);
  expect([most < 0.01, most]).toEqual([true, most]);
});

/** The light of the line of sight through metres aside and above, eight metres ahead. */
const at = (light: readonly number[], right: number, up: number): number => {
  const [px, py] = [right, up].map((v) => (v / 8) * (SIZE.width / (36 / FOCAL_MM)));
  return light[Math.floor(SIZE.height / 2 + py) * SIZE.width + Math.floor(SIZE.width / 2 + px)];
};

const SPOT = {
  ...{ colour: '#ffffff', strength: 80, aside: -3, above: 0, ahead: 8, heading: 90, tilt: 0, cone: 30, edge: 0 },
  ...{ reach: 40, radius: 0.02 },
};

test('a beam ends at its cone', async ({ page }) => {
  const light = await lightOf(page, scene(null, { haze: 0.05, lights: [newLight('spot', 'a', SPOT)] }));
  // it shines to the right, eight metres ahead; where its axis is farthest from the lamp its edge is a line through the lamp's picture
  const tan = Math.tan((15 * Math.PI) / 180);
  let inside = 0;
  let outside = 0;
  for (const [x, y, i] of pixels()) {
    const [right, up] = times(through(x, y), 8);
    const from = right + 3;
    // seen from aside the cone's edge is its silhouette; the camera is outside it
    const edge = Math.abs(up) - from * tan;
    if (edge > 0.3 || from < -0.3) {
      outside++;
      expect([x, y, light[i]]).toEqual([x, y, 0]);
    } else if (edge < -0.3 && from < 6) {
      inside++;
      expect([x, y, light[i] > 0.01]).toEqual([x, y, true]);
    }
  }
  expect(inside).toBeGreaterThan(200);
  expect(outside).toBeGreaterThan(1000);
});

test('the pattern of a spot is in its beam', async ({ page }) => {
  const bars = { ...SPOT, mask: 'bars', maskSoft: 0, maskTurn: 0.25, cone: 60 };
  const of = (light: Light): Promise<number[]> => lightOf(page, scene(null, { haze: 0.05, lights: [light] }), 16);
  const [barred, free] = [
    await of(newLight('spot', 'a', bars)),
    await of(newLight('spot', 'a', { ...bars, mask: 'none' })),
  ];
  // two and a half bars from the axis to the edge, dark on the axis and at whole ones
  const radius = 6 * Math.tan((30 * Math.PI) / 180);
  for (const [up, share] of [
    [0, 0],
    [0.5, 1],
    [1, 0],
  ] as const) {
    const left = at(barred, 3, (up * radius) / 2.5) / at(free, 3, (up * radius) / 2.5);
    expect([up, Math.abs(left - share) < 0.05, left]).toEqual([up, true, left]);
  }
});

/** A black plate across the upper half of the beam, one metre from the lamp. */
const plate = {
  ...pieceOf({
    ...{ kind: 'copies', arrangement: 'line', count: 1, source: 'box', size: 1, variation: 0, once: true },
    ...{ wide: 0.04, high: 2, deep: 4, ahead: 8, aside: -2, above: 1.0 },
    gradient: [{ at: 0, colour: '#000000' }],
  } as never).layers[0],
  id: 'plate',
};

test('what stands in a beam leaves a dark shaft behind it', async ({ page }) => {
  const lights = [newLight('spot', 'a', { ...SPOT, shadow: true })];
  const free = await lightOf(page, scene(null, { haze: 0.05, lights }), 16);
  const held = await lightOf(page, scene(null, { haze: 0.05, lights }, [plate]), 16);
  expect(at(free, 1, 0.5)).toBeGreaterThan(0.05);
  expect(at(held, 1, 0.5) / at(free, 1, 0.5)).toBeLessThan(0.05);
  expect(Math.abs(at(held, 1, -0.5) / at(free, 1, -0.5) - 1)).toBeLessThan(0.05);
});

test('motes that lamps light are seen in the beam alone, and not in the shadow', async ({ page }) => {
  const dust = {
    ...pieceOf({
      ...{ kind: 'field', shape: 'box', width: 12, height: 6, depth: 1.6, ahead: 8, count: 6000, size: 0.02 },
      ...{ light: 3, lit: true, glint: 0, once: true, gradient: [{ at: 0, colour: '#ffffff' }] },
    } as never).layers[0],
    id: 'dust',
  };
  const sumOf = (light: readonly number[]) => {
    const sums = { above: 0, below: 0, outside: 0 };
    for (const [x, y, i] of pixels()) {
      const [right, up] = times(through(x, y), 8);
      const edge = Math.abs(up) - (right + 3) * Math.tan((15 * Math.PI) / 180);
      if (edge > 0.6 || right < -3.6) sums.outside += light[i];
      else if (edge < -0.2 && right > -1 && Math.abs(up) > 0.15) sums[up > 0 ? 'above' : 'below'] += light[i];
    }
    return sums;
  };
  const lights = [newLight('spot', 'a', { ...SPOT, shadow: true })];
  const free = sumOf(await lightOf(page, scene(null, { lights }, [dust])));
  expect(free.above).toBeGreaterThan(1);
  expect(free.outside).toBeLessThan(0.01 * free.above);
  const held = sumOf(await lightOf(page, scene(null, { lights }, [dust, plate])));
  expect(held.above).toBeLessThan(0.05 * free.above);
  expect(Math.abs(held.below / free.below - 1)).toBeLessThan(0.05);
});
