import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import type { Bands } from '../../src/core/judging/bands';
import type { LapLevels } from '../../src/core/judging/lap';
import { startedEffect, type Effect } from '../../src/core/look/effects/kinds';
import { toDocument } from '../../src/core/piece/document';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { test as drawing } from './lab';
import { drawn, drop, step } from './ui';
import { test } from '@playwright/test';

// What is said of a picture, against pictures of which it is known.

const board = (effects: object[], frames = 48, look: object = {}): Piece =>
  PieceSchema.parse({
    ...{ id: 'board', name: 'Board', tile: 40, lap: { frames, rate: { num: 24, den: 1 } }, samples: 1 },
    layers: [{ kind: 'copies', id: 'boxes', name: 'Boxes', arrangement: 'scatter', count: 12, hidden: true }],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, fNumber: 22 },
    look: {
      background: '#10161c',
      backgroundEdge: '#040608',
      lights: [],
      effects: [{ kind: 'tone', id: 'tone', curve: 'straight' }, ...effects],
      ...look,
    },
  });
const dither = { kind: 'dither', id: 'dither' };

drawing('a dark gradient shows steps where it is only rounded, and none once it is dithered', async ({ page }) => {
  const bands = (piece: Piece): Promise<Bands> =>
    page.evaluate(
      (own) => lab.engine.api.bands({ piece: own, frameIndex: 3, width: 320, height: 180, passes: 1 }),
      piece,
    );
  const [rounded, dithered] = [await bands(board([])), await bands(board([dither]))];
  expect(rounded.worst).toBeGreaterThan(1.5);
  expect(rounded.share).toBeGreaterThan(0.5);
  expect(dithered.worst).toBeLessThan(0.5);
  expect(dithered.worstBare).toBeCloseTo(rounded.worstBare, 4);
});

drawing('what is at the ends of the range is painted, every pixel of it and no other', async ({ page }) => {
  const glowing = { kind: 'corner', id: 'corner', side: 'left', colour: '#ff8040', strength: 30, reach: 0.12 };
  const piece = board([glowing], 48, { background: '#000000', backgroundEdge: '#000000' });
  const pixels = (channel: 'picture' | 'range'): Promise<number[]> =>
    page.evaluate(
      async ([own, of]) => [
        ...(await lab.engine.api.pixels({
          piece: own,
          frameIndex: 0,
          width: 96,
          height: 54,
          passes: 1,
          texture: false,
          channel: { of },
        })),
      ],
      [piece, channel] as const,
    );
  const [picture, range] = [await pixels('picture'), await pixels('range')];
  const counts = { full: 0, black: 0, wrong: 0 };
  for (let i = 0; i < picture.length; i += 4) {
    const [most, [r, g, b]] = [Math.max(...picture.slice(i, i + 3)), range.slice(i, i + 3)];
    const [full, black] = [most === 255, most === 0];
    counts.full += Number(full);
    counts.black += Number(black);
    // red of what is full, blue of what is black, grey of all else
    if (full !== (r === 255) || black !== (b > 200 && r < 60) || (!full && !black && (r !== g || g !== b)))
      counts.wrong++;
  }
  expect(counts.wrong).toBe(0);
  expect(Math.min(counts.full, counts.black)).toBeGreaterThan(100);
});

const flashing = (beats: number): Effect =>
  ({ ...startedEffect('flash', 'flash'), beats, lights: 0, veil: 0.6, fades: 0.2 }) as Effect;

drawing('the flashes of a lap are counted as they are drawn', async ({ page }) => {
  const levels = (piece: Piece): Promise<LapLevels> =>
    page.evaluate(
      (own) =>
        lab.engine.api.levels(
          { piece: own, width: 64, height: 36, passes: 1 },
          lab.proxy(() => undefined),
        ),
      piece,
    );
  // a lap of two seconds
  const counts: (number | string | null)[][] = [];
  for (const beats of [4, 6, 12]) {
    const { flashes, average } = await levels(board([flashing(beats)]));
    counts.push([average.length, flashes.general.perSecond, flashes.fails]);
  }
  expect(counts).toEqual([
    [48, 2, null],
    [48, 3, null],
    [48, 6, 'picture'],
  ]);
});

/** Opens a piece that is dropped on the first screen, paused, in the look. */
async function openInLook(page: Page, piece: Piece): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open Slipway spiral' }).waitFor();
  await drop(page, [['board.isomorph.json', Buffer.from(JSON.stringify(toDocument(piece)))]]);
  await drawn(page);
  await page.getByRole('button', { name: 'Pause' }).click();
  await step(page, 'Look').click();
}

test('the picture is judged: steps are mended by dither, flashes by fewer beats, and it is compared by a line', async ({
  page,
}) => {
  await openInLook(page, board([flashing(12)], 24));
  const band = (name: string) => page.getByRole('button', { name, exact: true });
  await band('Brightness').click();
  await expect(page.getByText(/^average \d+ % · dark/)).toBeVisible();
  await band('Banding').click();
  // between two flashes
  const of = await page.getByText(/^of frame \d+$/).textContent();
  if (Number(/\d+/.exec(of ?? '')?.[0]) % 2 === 0) await page.getByRole('button', { name: 'One frame on' }).click();
  await expect(page.getByText(/^steps show in \d+ %/)).toBeVisible();
  await page.getByRole('button', { name: 'Dither the output' }).click();
  await expect(page.getByText('no steps show')).toBeVisible();
  await band('Flashes').click();
  await page.getByRole('button', { name: 'Measure the lap' }).click();
  await expect(page.getByText(/^12 flashes in a second over a quarter of the picture, on frames 0–23/)).toBeVisible();
  await page.getByRole('button', { name: 'Find what mends it' }).click();
  await expect(page.getByText('Flash on 3 beats of a lap instead of 12.')).toBeVisible();
  await page.getByRole('button', { name: 'Repair', exact: true }).click();
  await expect(page.getByText(/^It does not flash more than three times/)).toBeVisible();
  await page.getByRole('button', { name: /Compared with/ }).click();
  await page.getByRole('option', { name: 'Without Flash' }).click();
  const line = page.getByRole('slider', { name: 'Line between the two pictures' });
  await expect(
    page.getByRole('group', { name: 'The other picture' }).getByText('Without Flash', { exact: true }),
  ).toBeVisible();
  await line.press('ArrowLeft');
  await expect(line).toHaveAttribute('aria-valuenow', '48');
  await page.getByRole('button', { name: 'Compare no more' }).click();
  await expect(line).toHaveCount(0);
});

test('versions are kept, compared with, gone back to and opened beside the piece', async ({ page }) => {
  await openInLook(page, board([flashing(4)], 24));
  const cards = page.getByRole('region', { name: 'Effects' }).getByRole('article');
  await page.getByRole('button', { name: 'Keep a version' }).click();
  await expect(page.getByText('Kept as “Version 1”')).toBeVisible();
  await page.getByRole('button', { name: 'Remove Flash' }).click();
  await expect(cards.filter({ hasText: 'Flash' })).toHaveCount(0);
  const menu = async (): Promise<void> => {
    await page.getByRole('button', { name: /^Piece:/ }).click();
    await page.getByRole('menuitem', { name: 'Versions' }).click();
  };
  await menu();
  const name = page.getByRole('textbox', { name: 'Name of Version 1' });
  await name.fill('With flashes');
  await name.press('Enter');
  await page.getByRole('button', { name: 'Compare with With flashes' }).click();
  await expect(
    page.getByRole('group', { name: 'The other picture' }).getByText('With flashes', { exact: true }),
  ).toBeVisible();
  await menu();
  await page.getByRole('button', { name: 'Go back to With flashes' }).click();
  await expect(cards.filter({ hasText: 'Flash' })).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(cards.filter({ hasText: 'Flash' })).toHaveCount(0);
  await menu();
  await page.getByRole('button', { name: 'Remove With flashes' }).click();
  await expect(page.getByText('None is kept yet.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await menu();
  await page.getByRole('button', { name: 'Open With flashes beside it' }).click();
  await expect(page.getByRole('heading', { name: 'Board, With flashes' })).toBeAttached();
});

test('chains of effects are kept, taken over, and come as files', async ({ page }) => {
  await openInLook(page, board([flashing(4)], 24));
  const cards = page.getByRole('region', { name: 'Effects' }).getByRole('article');
  const cube = 'LUT_1D_SIZE 2\n1 1 1\n0 0 0\n';
  await drop(page, [['turned.cube', Buffer.from(cube)]]);
  await expect(cards.filter({ hasText: 'turned' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Chains' }).click();
  await page.getByRole('button', { name: 'Keep those of this piece' }).click();
  const name = page.getByRole('textbox', { name: 'Name of Board' });
  await name.fill('Blinking board');
  await name.press('Enter');
  const written = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write Blinking board to a file' }).click();
  const file = readFileSync(await (await written).path());
  // with the table it names
  expect(JSON.parse(file.toString())).toMatchObject({ tables: [{ name: 'turned.cube', text: cube }] });
  await page.getByRole('button', { name: 'Add Swelling' }).click();
  await expect(cards.filter({ hasText: 'Distortion' })).toHaveCount(1);
  await expect(cards.filter({ hasText: 'Flash' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Chains' }).click();
  await page.getByRole('button', { name: 'Take Lost signal' }).click();
  await expect(cards.filter({ hasText: 'Blocks' })).toHaveCount(1);
  await expect(cards.filter({ hasText: 'Flash' })).toHaveCount(0);
  await drop(page, [['blinking.effects.json', file]]);
  await expect(cards.filter({ hasText: 'Flash' })).toHaveCount(1);
  await expect(page.getByText('The effects are those of “Blinking board” now')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(cards.filter({ hasText: 'Blocks' })).toHaveCount(1);
  await drop(page, [['broken.effects.json', Buffer.from(file.toString().replace('"beats": 4', '"beats": 0'))]]);
  await expect(page.getByText(/^“broken.effects.json” was not opened: look.effects.\d.beats/)).toBeVisible();
});
