// The finished lap: filled while nothing else is done, played instead of drawing, kept by what it shows.
import { PNG } from 'pngjs';
import { expect, test, type Page } from '@playwright/test';
import { drawn, pause } from './ui';

// compressed frames keep their light when they are not too small
test.use({ deviceScaleFactor: 0.5 });

const FRAMES = 10;
const piece = {
  id: 'short',
  name: 'Short',
  lap: { frames: FRAMES, rate: { num: 10, den: 1 } },
  frame: { width: 320, height: 180 },
  tile: 6,
  samples: 16,
  layers: [{ kind: 'field', id: 'a', name: 'Dust', seed: 3, count: 400, size: 0.01, light: 6, width: 4, height: 3 }],
  flight: { route: { kind: 'run', tilesPerLap: 1 } },
  look: { background: '#102030', backgroundEdge: '#102030', nearFade: 2 },
};

async function open(page: Page): Promise<void> {
  await page.goto('/');
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open file' }).click();
  const buffer = Buffer.from(JSON.stringify({ format: 'isomorph', version: 6, piece }));
  await (await chosen).setFiles({ name: 'short.isomorph.json', mimeType: 'application/json', buffer });
  await drawn(page);
}

const quality = (page: Page) => page.getByLabel('Quality of the picture');

async function finishAt(page: Page, choice: string): Promise<void> {
  await page.getByRole('button', { name: /Frames drawn live/ }).click();
  await page.getByRole('option', { name: choice, exact: true }).click();
}

/** Mean blue of the shown picture, 0..255. */
async function blue(page: Page): Promise<number> {
  const { data } = PNG.sync.read(await page.getByRole('img', { name: /^The piece/ }).screenshot());
  return data.filter((_, i) => i % 4 === 2).reduce((sum, v) => sum + v, 0) / (data.length / 4);
}

test('a lap is finished at rest, plays, and a change takes away what it changes until it is undone', async ({
  page,
}) => {
  await open(page);
  const live = await blue(page);
  await finishAt(page, 'Finish at 4');
  await expect(quality(page)).toHaveText(/\d+ of 10 · finish/);
  await expect(quality(page)).toHaveText('lap finished', { timeout: 60_000 });
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(quality(page)).toHaveText(/fps · finished/);
  // it is the same picture, out of its compressed form
  expect(Math.abs((await blue(page)) - live)).toBeLessThan(4);
  await pause(page);
  await expect(quality(page)).toHaveText('lap finished');
  // a change of all frames, seen at once
  await page.getByRole('button', { name: 'Hide Dust' }).click();
  await expect(quality(page)).toHaveText(/\d+ of 10/);
  await expect.poll(() => blue(page)).toBeLessThan(live - 1);
  await page.keyboard.press('Control+z');
  // nothing is drawn again: it is there at once
  await expect(quality(page)).toHaveText('lap finished', { timeout: 3000 });
  await expect.poll(async () => Math.abs((await blue(page)) - live)).toBeLessThan(4);
  // and after the page was left
  await page.reload();
  await drawn(page);
  await pause(page);
  await finishAt(page, 'Finish at 4');
  await expect(quality(page)).toHaveText('lap finished', { timeout: 5000 });
  await finishAt(page, 'Live');
  await expect(quality(page)).toHaveText(/16 passes, final/, { timeout: 30_000 });
});

test('filling yields to playing and goes on afterwards', async ({ page }) => {
  await open(page);
  await finishAt(page, 'Finish at 16');
  await expect(quality(page)).toHaveText(/[2-5] of 10 · finishing/, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await page.waitForTimeout(1500);
  await pause(page);
  await expect(quality(page)).toHaveText(/[2-7] of 10 · finish/);
  await expect(quality(page)).toHaveText('lap finished', { timeout: 60_000 });
});
