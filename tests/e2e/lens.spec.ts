// One pass against many: the lens and the shutter of the live picture must show what a finished frame does, as far as one
// picture from the middle of the lens can know it.
import { expect, type Page } from '@playwright/test';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { decibels } from './decibels';
import { numbersOf, test } from './lab';

const SIZE = { width: 320, height: 180 };

const light = async (page: Page, piece: Piece, passes: number): Promise<number[]> => [
  ...(await numbersOf(page, piece, { ...SIZE, frameIndex: 7, passes })),
];

const boxes = {
  kind: 'copies',
  id: 'a',
  name: 'A',
  seed: 5,
  gradient: [
    { at: 0, colour: '#ffffff' },
    { at: 1, colour: '#ff8030' },
  ],
  arrangement: 'scatter',
  count: 44,
  boxX: 7,
  boxY: 4,
  fill: true,
  size: 0.75,
  distance: 0.3,
};
const dots = {
  kind: 'field',
  id: 'b',
  name: 'B',
  seed: 8,
  shape: 'box',
  width: 9,
  height: 6,
  count: 1500,
  size: 0.03,
  light: 6,
};
const piece = (flight: object, layers: object[] = [boxes]): Piece =>
  PieceSchema.parse({
    id: 'lens',
    name: 'Lens',
    lap: { frames: 60, rate: { num: 25, den: 1 } },
    tile: 12,
    layers,
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 35, fNumber: 64, focusM: 6, shutterDeg: 0, ...flight },
    look: { fogDistance: 10_000, reach: 22, nearFade: 0.4, background: '#050608', backgroundEdge: '#050608' },
  });

const sideways = { aside: { law: 'swing', middle: 0, reach: 1.2, cycles: 3, wave: 'triangle', shift: 0 } };

for (const [name, flight, least, more] of [
  ['a fast lens', { fNumber: 0.5, focusM: 2.5 }, 25, 4],
  ['a fast lens of six blades, squeezed', { fNumber: 0.5, focusM: 2.5, blades: 6, squeeze: 1.6 }, 25, 4],
  ['a fast lens without perspective', { fNumber: 0.9, lens: 'orthographic', widthM: 7 }, 25, 4],
  ['an open shutter', { shutterDeg: 540, ...sideways }, 24, 4],
] as const)
  test(`${name}: one pass shows it, and is nearer to many than without it`, async ({ page }) => {
    const whole = await light(page, piece(flight), 64);
    const one = decibels(await light(page, piece(flight), 1), whole);
    const closed = decibels(await light(page, piece({ ...flight, fNumber: 64, shutterDeg: 0 }), 1), whole);
    console.log(`${name}: ${one.toFixed(1)} dB with it, ${closed.toFixed(1)} dB without`);
    expect(one).toBeGreaterThan(least);
    expect(one - closed).toBeGreaterThan(more);
  });

test('more passes are never farther from the finished frame', async ({ page }) => {
  const open = piece({ fNumber: 0.9, shutterDeg: 360, ...sideways }, [boxes, dots]);
  const whole = await light(page, open, 128);
  const steps: number[] = [];
  for (const passes of [1, 2, 4, 8, 16, 32]) steps.push(decibels(await light(page, open, passes), whole));
  console.log(steps.map((db) => db.toFixed(1)).join(' '));
  for (let i = 1; i < steps.length; i++) expect(steps[i]).toBeGreaterThan(steps[i - 1]);
});

test('what is sharp stays as it is before what is not', async ({ page }) => {
  // a box in focus, blue, before a wall far behind it, red
  const box = { ...boxes, arrangement: 'line', count: 1 };
  const sharp = {
    ...box,
    size: 1,
    ahead: 6,
    gradient: [{ at: 0, colour: '#0000ff' }],
    matter: { kind: 'plain', glowing: 1 },
  };
  const wall = {
    ...box,
    id: 'c',
    size: 9,
    ahead: 18,
    gradient: [{ at: 0, colour: '#ff0000' }],
    matter: { kind: 'plain', glowing: 1 },
  };
  const both = { ...piece({ fNumber: 0.5, focusM: 5.5, focalMm: 85 }, [sharp, wall]), tile: 30 };
  const [one, many] = [await light(page, both, 1), await light(page, both, 64)];
  // where nothing but the box is seen through any part of the lens
  const { width } = SIZE;
  const blue = (pixel: number): boolean => many[pixel * 4 + 2] > 0.9 && many[pixel * 4] < 0.05;
  const inside = Array.from({ length: many.length / 4 }, (_, pixel) => pixel).filter((pixel) =>
    [-2, -1, 0, 1, 2].every((x) => [-2, -1, 0, 1, 2].every((y) => blue(pixel + x + y * width))),
  );
  expect(inside.length).toBeGreaterThan(300);
  const off = inside.flatMap((pixel) => [0, 2].map((k) => Math.abs(one[pixel * 4 + k] - many[pixel * 4 + k])));
  expect(off.reduce((most, v) => Math.max(most, v), 0)).toBeLessThan(0.03);
});

test('light is hidden as softly as what hides it is there', async ({ page }) => {
  const near = { fNumber: 0.7, focusM: 14 };
  const of = async (passes: number, layers: object[]): Promise<number[]> => light(page, piece(near, layers), passes);
  const [one, many] = [await of(1, [boxes, dots]), await of(64, [boxes, dots])];
  const [oneDark, manyDark] = [await of(1, [boxes]), await of(64, [boxes])];
  const total = (lit: number[], dark: number[]): number =>
    lit.reduce((sum, v, i) => (i % 4 < 3 ? sum + v - dark[i] : sum), 0);
  const ratio = total(one, oneDark) / total(many, manyDark);
  console.log(`light past near bodies: ${ratio.toFixed(3)} of that of many passes`);
  expect(Math.abs(ratio - 1)).toBeLessThan(0.05);
});

for (const shape of ['box', 'grid'])
  test(`a quarter of the particles of a ${shape} shines as all of them do, and an export leaves out none`, async ({
    page,
  }) => {
    const many = piece({}, [{ ...dots, shape, count: 24_000, light: 0.4, glint: 0, variation: 0 }]);
    const total = async (density: number | undefined): Promise<number> => {
      const all = await page.evaluate(
        async ([p, size, share]) => [
          ...(await lab.engine.api.light({
            piece: p,
            frameIndex: 7,
            ...size,
            passes: 1,
            ...(share && { density: share }),
          })),
        ],
        [many, SIZE, density] as const,
      );
      return all.reduce((sum, v, i) => sum + (i % 4 < 3 ? v : 0), 0);
    };
    const [all, quarter, kept] = [await total(undefined), await total(0.25), await total(1)];
    expect(kept).toBe(all);
    // of 6 000, about a quarter of which is in sight: chance leaves 3 %
    expect(Math.abs(quarter / all - 1)).toBeLessThan(0.1);
    expect(quarter).not.toBe(all);
  });

test('coarser shapes are nearly the same, and an export has none', async ({ page }) => {
  const balls = piece({ fNumber: 64 }, [{ ...boxes, source: 'sphere', size: 0.6 }]);
  const drawn = (passes: number, coarseness: number): Promise<number[]> =>
    page.evaluate(
      async ([p, n, c, size]) => [
        ...(await lab.engine.api.light({ piece: p, frameIndex: 7, ...size, passes: n, coarseness: c })),
      ],
      [balls, passes, coarseness, SIZE] as const,
    );
  const off = decibels(await drawn(1, 2.5), await drawn(1, 1));
  console.log(`coarser shapes: ${off.toFixed(1)} dB`);
  expect(off).toBeGreaterThan(26);
  // they are coarser
  expect(off).toBeLessThan(80);
  expect(await drawn(16, 2.5)).toEqual(await drawn(16, 1));
});
