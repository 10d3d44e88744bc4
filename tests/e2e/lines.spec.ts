import { expect, type Page } from '@playwright/test';
import { pieceOf } from '../pieces';
import type { Piece } from '../../src/core/piece/schema';
import { decibels } from './decibels';
import { linesAlone } from '../../src/core/world/linesAlone';
import { redOf, test } from './lab';

// Drawn lines, alone on black: white ink of no light.

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

/** A ground, seen from where the flight says, without lights. */
const land = (fields: object, flight: object): Piece =>
  pieceOf({ ...{ kind: 'ground', gradient: [{ at: 0, colour: '#ffffff' }], ...fields } } as never, {
    tile: 8,
    flight: { ...{ route: { kind: 'run', tilesPerLap: 1 }, fNumber: 64, shutterDeg: 0 }, ...flight },
    look: { background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, reach: 60, lights: [] },
  });
const INK = { over: 'nothing', inks: [{ at: 0, colour: '#ffffff' }], taper: 0 };

test('the contour of hills lies where they hide what is behind them', async ({ page }) => {
  const hills = { above: -1.5, relief: 3, feature: 8, valley: 1, width: 40, rows: 40 };
  const flight = { focalMm: 24, pitch: 6 };
  const body = await lightOf(page, land({ ...hills, matter: { kind: 'emission', glowing: 1 } }, flight), 8);
  const wide = 2;
  const lines = { drawn: 'edges', creases: false, wide: wide / SIZE.height, ...INK };
  const line = await lightOf(page, land({ ...hills, lines }, flight), 8);
  const column = (of: readonly number[], x: number): number[] =>
    Array.from({ length: SIZE.height }, (_, y) => of[y * SIZE.width + x]);
  let [level, valley] = [0, 0];
  const off: number[] = [];
  for (let x = 0; x < SIZE.width; x++) {
    // rows from the bottom that the land fills, to parts of one; and the highest line
    const filled = column(body, x);
    const top = filled.findLastIndex((v) => v > 0.98) + 1;
    const edge = top + filled.slice(top).reduce((sum, v) => sum + v, 0);
    const drawn_ = column(line, x);
    const highest = drawn_.findLastIndex((v) => v > 0.02);
    // in the valley there are no hills before what is too far away to be seen
    if (Math.abs(highest - edge) > 2 * wide + 2) {
      valley++;
      continue;
    }
    const part = drawn_.map((v, y) => (y > highest - 2 * wide ? v : 0));
    const weight = part.reduce((sum, v) => sum + v, 0);
    // where it goes down steeply, or another begins below it, more of it is over one another
    if (Math.abs(weight - wide) > 0.3) continue;
    level++;
    off.push(part.reduce((sum, v, y) => sum + v * (y + 0.5), 0) / weight - edge);
  }
  expect(valley).toBeLessThan(SIZE.width / 6);
  expect(level).toBeGreaterThan(SIZE.width / 5);
  const mean = off.reduce((sum, v) => sum + v, 0) / level;
  expect(Math.abs(mean)).toBeLessThan(0.25);
  expect(Math.sqrt(off.reduce((sum, v) => sum + (v - mean) ** 2, 0) / level)).toBeLessThan(0.4);
});

test('a net of a ground covers as much as its lines are long and wide, however far its vertices are apart', async ({
  page,
}) => {
  for (const rows of [16, 40]) {
    const wide = 2;
    const lines = { drawn: 'wire', wide: wide / SIZE.height, ...INK };
    const flat = { above: -3, relief: 0, width: 40, rows, lines };
    // from above, without perspective
    const light = await lightOf(page, land(flat, { lens: 'orthographic', widthM: METRES, pitch: -90 }), 16);
    const apart = (8 / rows / METRES) * SIZE.width;
    // pixels of a side that lines from its middle on cover
    const covered = (side: number): number =>
      Array.from({ length: 199 }, (_, i) => (i - 99) * apart).reduce(
        (sum, at) => sum + Math.max(0, Math.min(at + wide / 2, side / 2) - Math.max(at - wide / 2, -side / 2)),
        0,
      ) / side;
    const share = 1 - (1 - covered(SIZE.width)) * (1 - covered(SIZE.height));
    const mean = light.reduce((sum, v) => sum + v, 0) / light.length;
    expect(Math.abs(mean / share - 1), `${String(rows)} rows`).toBeLessThan(0.015);
  }
});

test('ribs have lines at both ends, a skin only where it folds or turns away', async ({ page }) => {
  const wall = (fields: object, ink: object): Promise<number[]> =>
    lightOf(
      page,
      pieceOf(
        {
          ...{ kind: 'tunnel', section: 'polygon', sides: 4, nested: 0, lines: 'none', rings: 8, twist: 0, radius: 2 },
          ...fields,
          ink: { drawn: 'edges', wide: 2 / 180, ...INK, ...ink },
        } as never,
        {
          tile: 8,
          flight: { route: { kind: 'run', tilesPerLap: 1 }, fNumber: 64, shutterDeg: 0 },
          look: { background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, reach: 20, lights: [] },
        },
      ),
      8,
    );
  const sum = (light: readonly number[]): number => light.reduce((a, b) => a + b, 0);
  const folds = sum(await wall({ wall: 'skin' }, {}));
  // straight sides turn nowhere away from a camera between them, and end nowhere
  expect(sum(await wall({ wall: 'skin' }, { creases: false }))).toBe(0);
  expect(sum(await wall({ wall: 'ribs' }, { creases: false, borders: false }))).toBe(0);
  expect(sum(await wall({ wall: 'ribs' }, {}))).toBeGreaterThan(1.5 * folds);
  // a round one has no folds
  expect(folds).toBeGreaterThan(0);
  expect(sum(await wall({ wall: 'skin', section: 'circle' }, {}))).toBe(0);
});

test('the lines of a piece alone are as far there as they cover its picture', async ({ page }) => {
  const grey = [{ at: 0, colour: '#808080' }];
  const body = { source: 'box', heading: 30, pitch: 20, gradient: grey, matter: { kind: 'emission', glowing: 1 } };
  const piece = (lines: object): Piece => {
    const own = { drawn: 'edges', over: 'shaded', contours: true, creases: true, inks: [{ at: 0, colour: '#000000' }] };
    const one = drawn(body, { ...own, ...lines });
    return { ...one, look: { ...one.look, background: '#808080', backgroundEdge: '#808080' } };
  };
  const bare = await lightOf(page, piece({ drawn: 'none' }), 16);
  const inked = await lightOf(page, piece({}), 16);
  const alone = await lightOf(page, linesAlone(piece({})), 16);
  let [covered, most] = [0, 0];
  bare.forEach((light, i) => {
    const cover = 1 - inked[i] / light;
    covered += cover;
    most = Math.max(most, Math.abs(cover - alone[i]));
  });
  expect(covered).toBeGreaterThan(200);
  // a code of 255 is as much at a grey of a half
  expect(most).toBeLessThan(0.03);
});

test('of a tunnel the lines along its wall are alone, without its wires', async ({ page }) => {
  const wall = { kind: 'tunnel', section: 'polygon', nested: 0, rings: 12, wall: 'skin' };
  const ink = { drawn: 'wire', over: 'shaded', inks: [{ at: 0, colour: '#ff0000' }] };
  const of = (lines: string, more: object): Piece =>
    linesAlone(pieceOf({ ...wall, lines, ink: { ...ink, ...more } } as never, { flight: { route: { kind: 'run' } } }));
  const both = await lightOf(page, of('net', {}), 1);
  expect(both.reduce((sum, v) => sum + v, 0)).toBeGreaterThan(100);
  expect(both).toEqual(await lightOf(page, of('none', {}), 1));
  expect(Math.max(...(await lightOf(page, of('net', { drawn: 'none' }), 1)))).toBe(0);
});
