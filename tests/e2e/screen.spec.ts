import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { toLinear } from '../../src/core/colour/colour';
import { STOCK, stockFile, type FileRef } from '../../src/core/kept';
import type { ScreenLayer } from '../../src/core/layers/screen/form';
import { SHOWS } from '../../src/core/shows/kinds';
import { rgbOf } from '../../src/core/pictures/yuv';
import { pieceOf } from '../pieces';
import { numbersOf, test } from './lab';

// Pictures and clips as they are decoded and drawn.

const SIZE = { width: 192, height: 120 };
const shown = (kind: 'picture' | 'clip', file: FileRef, more: object = {}) =>
  SHOWS.schema.parse({ id: file.name, kind, file, ...more });

/** A panel of 16 : 10 that fills the picture, seen without perspective, lit by nothing. */
const filling = (fields: Partial<ScreenLayer>, lap = 100) =>
  pieceOf(
    {
      kind: 'screen',
      arrangement: 'line',
      count: 1,
      ...{ size: 6, edge: 0, emission: 1, surface: 0.02, back: 'none', shape: 'set', wide: 1.6, fitted: 'stretch' },
      ...fields,
    } as Partial<ScreenLayer> & { kind: 'screen' },
    {
      lap: { frames: lap, rate: { num: 25, den: 1 } },
      flight: {
        route: { kind: 'keys', aside: 0, above: 0, ahead: 0 },
        ...{ lens: 'orthographic', widthM: 9.6, fNumber: 64, focusM: 4 },
      },
      look: {
        ...{ rig: 0, surround: 0, background: '#000000', backgroundEdge: '#000000' },
        ...{ fogDistance: 10_000, nearFade: 0.02, lights: [] },
      },
    },
  );

interface Light {
  /** of a place 0..1 to the right and down: linear red, green, blue */
  at(x: number, y: number): number[];
  /** of all pixels and colours */
  sum: number;
  all: number[];
}
async function lightOf(page: Page, piece: object, passes = 16, frameIndex = 0): Promise<Light> {
  const all = [...(await numbersOf(page, piece, { ...SIZE, frameIndex, passes, version: 6 }))];
  const { width, height } = SIZE;
  return {
    all,
    sum: all.reduce((sum, v, i) => sum + (i % 4 < 3 ? v : 0), 0),
    at: (x, y) => {
      const at = ((height - 1 - Math.floor(y * height)) * width + Math.floor(x * width)) * 4;
      return all.slice(at, at + 3);
    },
  };
}
const linear = (hex: string): number[] => [1, 3, 5].map((i) => toLinear(parseInt(hex.slice(i, i + 2), 16) / 255));
const ffmpeg = (...args: string[]): Buffer =>
  execFileSync('ffmpeg', ['-loglevel', 'error', ...args], { maxBuffer: 1e9 });

for (const name of ['Tide chart', 'Lamp test'])
  test(`every frame of ${name} is the one ffmpeg decodes, in whatever order they are asked for`, async ({ page }) => {
    const { path, ...file } = STOCK.find((one) => one.name === name) ?? STOCK[0];
    const [width, height] = [640, 360];
    const planes = ffmpeg('-i', `stock/${path}`, '-f', 'rawvideo', '-pix_fmt', 'yuv420p', '-');
    const length = width * height * 1.5;
    const count = planes.length / length;
    const order = [50, 3, count - 1, 4, 0, 51, 50];
    const found = await page.evaluate(([f, o]) => lab.framesOf(f, 'clip', o), [file, order] as const);
    expect(found).toHaveLength(order.length);
    for (const [i, { width: wide, height: high, rgba }] of found.entries()) {
      expect([wide, high]).toEqual([width, height]);
      // what ffmpeg decodes, brought to red, green and blue by Rec. ITU-R BT.709 (core/pictures/yuv.test.ts)
      const theirs = rgbOf({
        ...{ width, height, matrix: 'bt709', full: false },
        bytes: planes.subarray(order[i] * length, (order[i] + 1) * length),
        y: { offset: 0, stride: width, step: 1 },
        u: { offset: width * height, stride: width / 2, step: 1 },
        v: { offset: width * height * 1.25, stride: width / 2, step: 1 },
      }).rgba;
      const ours = Buffer.from(rgba, 'base64');
      let most = 0;
      for (let k = 0; k < theirs.length; k++) most = Math.max(most, Math.abs(ours[k] - theirs[k]));
      expect(most).toBeLessThanOrEqual(2);
    }
    // and frames do differ: one for another would be seen
    expect(found[1].rgba).not.toBe(found[3].rgba);
    expect(found[0].rgba).toBe(found[6].rgba);
  });

test('a panel gives off the colours of its picture, upright, cropped and flipped', async ({ page }) => {
  const file = stockFile('Week flags');
  const whole = await lightOf(page, filling({ shows: [shown('picture', file)] }));
  // of the drawing: the first flag's upper bar, its middle bar, the upper left of the second, the ground between them
  const places = [
    [110, 50, '#f2b84b'],
    [110, 108, '#ff7a5c'],
    [300, 60, '#ff7a5c'],
    [202, 108, '#08131a'],
  ] as const;
  const near = (a: number[], b: number[]): number => Math.max(...a.map((v, k) => Math.abs(v - b[k])));
  for (const [x, y, hex] of places) expect(near(whole.at(x / 960, y / 600), linear(hex))).toBeLessThan(0.012);
  const flipped = await lightOf(page, filling({ shows: [shown('picture', file)], flip: 'both' }));
  for (const [x, y, hex] of places) expect(near(flipped.at(1 - x / 960, 1 - y / 600), linear(hex))).toBeLessThan(0.012);
  const part = await lightOf(
    page,
    filling({ shows: [shown('picture', file)], partWide: 0.5, partHigh: 0.5, partX: 0, partY: 0 }),
  );
  for (const [x, y, hex] of places)
    expect(near(part.at((x / 960) * 2, (y / 600) * 2), linear(hex))).toBeLessThan(0.012);
});

test('from afar dots give as much light as the picture without them; from near they leave gaps', async ({ page }) => {
  const shows = [shown('picture', stockFile('Salt crystals'))];
  const plain = await lightOf(page, filling({ shows }));
  for (const dots of ['round', 'square'] as const) {
    const far = await lightOf(page, filling({ shows, dots, dotRows: 240, dotGap: 0.4 }));
    expect(far.sum / plain.sum).toBeCloseTo(1, 1.5);
    const near = await lightOf(page, filling({ shows, dots, dotRows: 10, dotGap: 0.4, between: 'open' }));
    // twelve pixels to a dot: its middle shines, the corner between four is free
    expect(Math.max(...near.at(0.5 / 16, 0.5 / 10))).toBeGreaterThan(0.2);
    expect(near.at(1 / 16, 1 / 10)).toEqual([0, 0, 0]);
    expect(near.sum / plain.sum).toBeCloseTo(1, 1);
  }
});

test('a second plane shows its dots between those in front', async ({ page }) => {
  const base = {
    shows: [shown('picture', stockFile('Salt crystals'))],
    dots: 'round',
    dotRows: 10,
    dotGap: 0.5,
  } satisfies Partial<ScreenLayer>;
  const behind = await lightOf(
    page,
    filling({ ...base, between: 'open', second: true, behind: 0.05, behindLight: 0.5 }),
  );
  // in the corner between four dots, where without it nothing is
  expect(Math.max(...behind.at(2 / 16, 2 / 10))).toBeGreaterThan(0.1);
});

test('what a picture leaves free is not there, and its edges are as dark as it says', async ({ page }) => {
  const net = shown('picture', stockFile('Net and floats'));
  const { width, height, rgba } = (
    await page.evaluate((file) => lab.framesOf(file, 'picture', [0]), stockFile('Net and floats'))
  )[0];
  const bytes = Buffer.from(rgba, 'base64');
  let expected = 0;
  for (let i = 0; i < width * height; i++)
    for (let k = 0; k < 3; k++) expected += (toLinear(bytes[i * 4 + k] / 255) * bytes[i * 4 + 3]) / 255;
  const light = await lightOf(page, filling({ shows: [net] }), 64);
  expect(light.sum / (SIZE.width * SIZE.height)).toBeCloseTo(expected / (width * height), 2);
  expect(light.all.filter((v, i) => i % 4 === 0 && v === 0).length).toBeGreaterThan(1000);
});

test('half loaded, half of its blocks are there', async ({ page }) => {
  const base = {
    shows: [shown('picture', stockFile('Salt crystals'))],
    blockRows: 10,
    before: 'none',
  } satisfies Partial<ScreenLayer>;
  for (const loads of ['rows', 'chance'] as const) {
    const half = await lightOf(page, filling({ ...base, loads, loaded: 0.5 }));
    const there = Array.from({ length: 160 }, (_, i) =>
      half.at(((i % 16) + 0.5) / 16, (Math.floor(i / 16) + 0.5) / 10),
    );
    const count = there.filter(([red]) => red > 0).length;
    expect(Math.abs(count - 80)).toBeLessThan(loads === 'rows' ? 1 : 16);
    if (loads === 'rows') expect(there.slice(0, 80).every(([red]) => red > 0)).toBe(true);
  }
  const done = await lightOf(page, filling({ ...base, loads: 'chance', loaded: 1 }));
  const plain = await lightOf(page, filling({ shows: base.shows }));
  expect(done.all).toEqual(plain.all);
});

test('a clip that closes goes on at the seam as anywhere else, and the report says so', async ({ page }) => {
  const piece = filling({ shows: [shown('clip', stockFile('Tide chart'), { apart: 'together', times: 2 })] }, 60);
  const frames = new Map<number, number[]>();
  for (const frame of [57, 58, 59, 60, 61, 62, 0]) frames.set(frame, (await lightOf(page, piece, 1, frame)).all);
  const at = (frame: number): number[] => frames.get(frame) ?? [];
  expect(at(60)).toEqual(at(0));
  const apart = (a: number, b: number): number =>
    Math.sqrt(at(a).reduce((sum, v, i) => sum + (v - at(b)[i]) ** 2, 0) / at(a).length);
  const seam = apart(59, 60);
  for (const other of [apart(57, 58), apart(58, 59), apart(60, 61), apart(61, 62)]) {
    expect(seam / other).toBeLessThan(1.5);
    expect(seam / other).toBeGreaterThan(0.6);
  }
  const report = await page.evaluate(
    (p) => lab.stateReport(lab.parse({ format: 'isomorph', version: 6, piece: p })),
    piece as object,
  );
  expect(report.findings.filter(({ ok }) => !ok)).toEqual([]);
  expect(report.findings.find(({ id }) => id.startsWith('shown:'))).toMatchObject({
    subject: 'One: Tide chart',
    gap: 0,
  });
});

test('a clip that does not close is found, with what would close it, and mended in one step', async ({ page }) => {
  const path = join(mkdtempSync(join(tmpdir(), 'isomorph-')), 'part.mp4');
  // half of its frames, after which the tide is on its other side
  ffmpeg('-i', 'stock/clips/tide-chart.mp4', '-frames:v', '60', '-c:v', 'libx264', '-crf', '20', path);
  const kept = await page.evaluate((text) => lab.keep(text, 'part.mp4'), readFileSync(path).toString('base64'));
  expect(kept.kind).toBe('clip');
  const file = { hash: kept.hash, name: 'part.mp4' };
  const piece = filling({ shows: [shown('clip', file)] });
  const found = await page.evaluate(async (p) => {
    const piece = lab.parse({ format: 'isomorph', version: 6, piece: p });
    const before = (await lab.stateReport(piece)).findings.find(({ id }) => id.startsWith('shown:'));
    const repair = before?.repair;
    if (!repair) return { before, after: undefined };
    const mended = structuredClone(piece);
    (mended.layers[0] as unknown as { shows: unknown[] }).shows[Number(repair.path[3])] = repair.value;
    const after = (await lab.stateReport(mended)).findings.find(({ id }) => id.startsWith('shown:'));
    return { before, after };
  }, piece as object);
  expect(found.before).toMatchObject({ ok: false });
  expect(found.before?.gap).toBeGreaterThan(2);
  expect(found.before?.repair?.says).toMatch(/^Close it (to and fro|with its end blended)/);
  expect(found.after).toMatchObject({ ok: true, gap: 0 });
});

test('pictures of every kind are opened as they are, and a damaged one is refused', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'isomorph-'));
  const source = ['-f', 'lavfi', '-i', 'color=c=0x2f8f93:s=64x40,format=rgb24', '-frames:v', '1'];
  const made: readonly (readonly [string, string[]])[] = [
    ['flat.png', []],
    ['flat.jpg', ['-q:v', '2']],
    ['flat.webp', ['-lossless', '1']],
    ['flat.avif', ['-c:v', 'libaom-av1', '-still-picture', '1', '-crf', '10', '-pix_fmt', 'yuv444p']],
  ];
  for (const [name, options] of made) {
    const path = join(folder, name);
    ffmpeg(...source, ...options, path);
    const bytes = readFileSync(path);
    const kept = await page.evaluate(([text, called]) => lab.keep(text, called), [
      bytes.toString('base64'),
      name,
    ] as const);
    expect([name, kept.kind]).toEqual([name, 'picture']);
    const [frame] = await page.evaluate((file) => lab.framesOf(file, 'picture', [0]), { hash: kept.hash, name });
    expect([frame.width, frame.height]).toEqual([64, 40]);
    const rgba = Buffer.from(frame.rgba, 'base64');
    [0x2f, 0x8f, 0x93, 255].forEach((v, k) =>
      expect(Math.abs(rgba[(20 * 64 + 32) * 4 + k] - v)).toBeLessThanOrEqual(4),
    );
    // cut off in its middle it may still be opened as far as it goes, or is refused in words: it never breaks anything
    const cut = bytes.subarray(0, Math.floor(bytes.length / 3)).toString('base64');
    const words = await page.evaluate(
      ([text, called]) =>
        lab.keep(text, called).then(
          () => 'opened',
          (error: unknown) => String(error),
        ),
      [cut, name] as const,
    );
    expect(words).toMatch(/opened|damaged|neither/);
  }
});
