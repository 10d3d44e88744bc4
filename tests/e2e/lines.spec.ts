import { expect, test, type Page } from '@playwright/test';
import { pieceOf } from '../pieces';
import { decibels } from './decibels';
import { openLab, redOf } from './lab';

// Drawn lines, alone on black: white ink of no light.
test.beforeEach(({ page }) => openLab(page));

const SIZE = { width: 320, height: 180 };
const METRES = 4;

const drawn = (body: object, lines: object, flight: object = {}) =>
  pieceOf(
    {
      ...{
        kind: 'copies',
        arrangement: 'line',
        count: 1,
        source: 'sphere',
        size: 1.6,
        variation: 0,
        once: true,
        ahead: 6,
      },
      gradient: [{ at: 0, colour: '#ffffff' }],
      lines: {
        drawn: 'edges',
        over: 'nothing',
        inks: [{ at: 0, colour: '#ffffff' }],
        taper: 0,
        wide: 3 / 180,
        ...lines,
      },
      ...body,
    } as never,
    {
      flight: {
        ...{ route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, lens: 'orthographic', widthM: METRES, fNumber: 64 },
        ...{ focusM: 6, ...flight },
      },
      look: { background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, lights: [] },
    },
  );

const lightOf = (page: Page, piece: object, passes: number): Promise<number[]> => redOf(page, piece, SIZE, passes);

/** Decibels of what differs, of a range of 0..1, in linear light. */
const lightDecibels = (a: readonly number[], b: readonly number[]): number =>
  -10 * Math.log10(a.reduce((sum, v, i) => sum + (v - b[i]) ** 2, 0) / a.length);

test('the contour of a ball lies on its circle, all the way round', async ({ page }) => {
  const light = await lightOf(page, drawn({ detail: 6 }, {}), 16);
  const radius = (0.8 / METRES) * SIZE.width;
  const SECTORS = 72;
  const sums = Array.from({ length: SECTORS }, () => ({ of: 0, weight: 0 }));
  light.forEach((v, i) => {
    const [x, y] = [(i % SIZE.width) + 0.5 - SIZE.width / 2, Math.floor(i / SIZE.width) + 0.5 - SIZE.height / 2];
    const sector = sums[Math.floor(((Math.atan2(y, x) / (2 * Math.PI) + 1) % 1) * SECTORS)];
    sector.of += v * Math.hypot(x, y);
    sector.weight += v;
  });
  for (const { of, weight } of sums) {
    // a line three pixels wide, a seventy-second of the way round
    expect(Math.abs(weight / ((3 * 2 * Math.PI * radius) / SECTORS) - 1)).toBeLessThan(0.25);
    expect(Math.abs(of / weight - radius)).toBeLessThan(0.5);
  }
});

test('lines out of focus are those of many more passes', async ({ page }) => {
  const piece = drawn(
    { source: 'frame', size: 2.4, heading: 50, pitch: 20, bevel: 0 },
    { wide: 0.012 },
    { lens: 'perspective', focalMm: 50, fNumber: 1.4, focusM: 3.4 },
  );
  const [few, many] = [await lightOf(page, piece, 16), await lightOf(page, piece, 256)];
  const sharp = await lightOf(page, { ...piece, flight: { ...piece.flight, fNumber: 64 } }, 16);
  // as light 34 dB (35.8 measured); as it is shown, where dark lines count more, 32
  expect(lightDecibels(few, many)).toBeGreaterThanOrEqual(34);
  expect(decibels(few, many)).toBeGreaterThanOrEqual(32);
  // and the lens does something to them
  expect(decibels(sharp, many)).toBeLessThan(26);
});

test('a box has its nine seen edges, its three hidden ones faintly, and none where it has none to draw', async ({
  page,
}) => {
  const box = { source: 'box', size: 1, bevel: 0, heading: 30, pitch: 25 };
  const sum = async (lines: object): Promise<number> =>
    (await lightOf(page, drawn(box, lines), 16)).reduce((a, b) => a + b, 0);
  const [all, contours, hidden, nothing] = [
    await sum({}),
    await sum({ creases: false }),
    await sum({ hidden: 1 }),
    await sum({ creases: false, contours: false, borders: false }),
  ];
  expect(nothing).toBe(0);
  // six of the nine are its outline; ends are round and shared
  expect(contours / all).toBeGreaterThan(0.6);
  expect(contours / all).toBeLessThan(0.8);
  expect(hidden / all).toBeGreaterThan(1.2);
  expect(hidden / all).toBeLessThan(1.4);
});
