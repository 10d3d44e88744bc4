import { expect, type Page } from '@playwright/test';
import { stockFile } from '../../src/core/kept';
import type { TitleLayer } from '../../src/core/layers/title/form';
import { newTreatment } from '../../src/core/treatments/kinds';
import { decibels } from './decibels';
import { numbersOf, test } from './lab';
import { pieceOf } from '../pieces';

// Titles as they are drawn: cut at an edge, sharpening, in the frame, counting.

const SIZE = { width: 192, height: 108 };
const GLOWING = { kind: 'plain', rough: 1, glowing: 1 } as const;
/** A flat, glowing title that fills most of a picture seen without perspective: 0.05 m of the world a pixel. */
const flat = (fields: Partial<TitleLayer>, flight: object = {}) =>
  pieceOf(
    {
      kind: 'title',
      text: 'HMB',
      font: stockFile('Unbounded'),
      size: 3,
      depth: 0,
      bevel: 0,
      gradient: [{ at: 0, colour: '#ffffff' }],
      matter: GLOWING,
      ...fields,
    } as Partial<TitleLayer> & { kind: 'title' },
    {
      flight: {
        route: { kind: 'keys', aside: 0, above: 0, ahead: 0 },
        lens: 'orthographic',
        widthM: 9.6,
        fNumber: 64,
        focusM: 4,
        ...flight,
      },
      look: {
        rig: 0,
        surround: 0,
        background: '#000000',
        backgroundEdge: '#000000',

        fogDistance: 10_000,
        nearFade: 0.02,
        lights: [],
      },
    },
  );

/** Linear light, row by row from the bottom: red of each pixel. */
const lightOf = async (page: Page, piece: object, passes: number, frameIndex = 0): Promise<number[]> =>
  [...(await numbersOf(page, piece, { ...SIZE, frameIndex, passes, version: 6 }))].filter((_, i) => i % 4 === 0);
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

test('a letter cut at an edge loses exactly what is beyond it, and nothing else', async ({ page }) => {
  const whole = await lightOf(page, flat({}), 16);
  // 0.775 m above the middle, which is the middle of a row of pixels
  const edgeAt = 0.775 / 3;
  const [cut, other] = [
    await lightOf(page, flat({ edge: 'below', edgeAt }), 16),
    await lightOf(page, flat({ edge: 'above', edgeAt }), 16),
  ];
  const row = SIZE.height / 2 + 15;
  const rows = (light: number[], from: number, to: number): number[] => light.slice(from * SIZE.width, to * SIZE.width);
  expect(sum(rows(whole, 0, row))).toBeGreaterThan(100);
  expect(sum(rows(cut, 0, row))).toBe(0);
  expect(rows(cut, row + 1, SIZE.height)).toEqual(rows(whole, row + 1, SIZE.height));
  // of the row that the edge goes through half is left, and the two sides are the whole
  expect(sum(rows(cut, row, row + 1)) / sum(rows(whole, row, row + 1))).toBeCloseTo(0.5, 2);
  expect(Math.max(...cut.map((v, k) => Math.abs(v + other[k] - whole[k])))).toBeLessThan(1e-6);
});

test('a letter slides out from behind an edge that stays where it is', async ({ page }) => {
  const at = (amount: number) => {
    const rising = newTreatment('stagger', 's', 1, { amount, overlap: 1, ease: 'even', grow: 0, fromY: -2.4 });
    return lightOf(page, flat({ text: 'I', edge: 'base', treatments: [rising] }), 4);
  };
  const base = (light: number[]): number => light.findIndex((v) => v > 0.5);
  const [none, half, all] = [await at(0), await at(0.5), await at(1)];
  expect(sum(none)).toBe(0);
  expect(Math.floor(base(half) / SIZE.width)).toBe(Math.floor(base(all) / SIZE.width));
  // half of its way it is half seen: its capital is 2.25 m high, and 1.2 m below its place
  expect(sum(half) / sum(all)).toBeCloseTo((2.25 - 1.2) / 2.25, 1);
});

test('a letter that sharpens is spread as far as is said, with all its light', async ({ page }) => {
  const soft = (blur: number, amount = 0) => {
    const sharpening = newTreatment('stagger', 's', 1, { amount, overlap: 1, ease: 'even', grow: 0, blur });
    // as wide at its distance, with perspective
    return flat({ text: 'I', size: 1, treatments: [sharpening] }, { lens: 'perspective', focalMm: 15 });
  };
  const [sharp, wide] = [await lightOf(page, soft(0), 64), await lightOf(page, soft(1), 64)];
  expect(sum(wide) / sum(sharp)).toBeCloseTo(1, 2);
  /** Mean square distance from the middle, in pixels. */
  const spread = (light: number[]): number => {
    const x = (i: number): number => (i % SIZE.width) + 0.5 - SIZE.width / 2;
    return sum(light.map((v, i) => v * x(i) ** 2)) / sum(light);
  };
  // a disc of radius r spreads along one axis by r²/4: the blur is 1 m wide, 20 pixels
  expect(spread(wide) - spread(sharp)).toBeGreaterThan(0.94 * 25);
  expect(spread(wide) - spread(sharp)).toBeLessThan(1.06 * 25);
  expect(await lightOf(page, soft(1, 1), 64)).toEqual(sharp);
  const one = decibels(await lightOf(page, soft(1), 1), wide);
  const unspread = decibels(await lightOf(page, soft(0), 1), wide);
  console.log(`one pass of a blurred letter: ${one.toFixed(1)} dB; of a sharp one ${unspread.toFixed(1)} dB`);
  expect(one).toBeGreaterThan(30);
  expect(unspread).toBeLessThan(27);
});

test('a title in the frame stays where it is while the camera moves, before everything', async ({ page }) => {
  const moving = {
    route: { kind: 'orbit', turnsPerLap: 1 },
    lens: 'perspective',
    handMove: 'walk',
    focalMm: 30,
    shutterDeg: 360,
  };
  const piece = flat({ text: 'TIDE', stands: 'frame', high: 0.4, anchor: 'middle' }, moving);
  /** Light that differs, as a share of all: of letters moved by a pixel a fifth. */
  const apart = (a: number[], b: number[]): number => sum(a.map((v, i) => Math.abs(v - b[i]))) / sum(a);
  const one = await lightOf(page, piece, 16, 3);
  const two = await lightOf(page, piece, 16, 61);
  expect(sum(one)).toBeGreaterThan(200);
  expect(apart(one, two)).toBeLessThan(0.02);
  const wall = {
    seed: 1,
    name: 'Wall',
    once: true,
    kind: 'copies',
    id: 'wall',
    arrangement: 'sphere',
    count: 200,
    radius: 3,
    size: 1.5,
    gradient: [{ at: 0, colour: '#000000' }],
    matter: { kind: 'plain' },
    treatments: [],
  };
  const before = await lightOf(page, { ...piece, layers: [wall, ...piece.layers] }, 16, 3);
  expect(apart(one, before)).toBeLessThan(0.02);
});

test('a number changes on whole frames, and never between', async ({ page }) => {
  const counting = (shutterDeg: number) =>
    flat(
      { shows: 'number', digits: 2, font: stockFile('Space Mono'), value: { law: 'wound', start: 0, perLap: 99 } },
      { shutterDeg },
    );
  // a shutter that is open for two frames sees one number: every pass the same
  const [closed, open] = [await lightOf(page, counting(1), 16, 41), await lightOf(page, counting(700), 16, 41)];
  expect(open).toEqual(closed);
  expect(await lightOf(page, counting(1), 16, 42)).not.toEqual(closed);
});
