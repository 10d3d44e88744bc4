import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { unzipSync } from 'fflate';
import { demoJson, openLab } from './lab';
import { drawn, openRecipe, pause, step } from './ui';

/** A demo piece as a short lap. */
function short(name: string, frames = 24): unknown {
  const json = demoJson(name) as { piece: { lap: { frames: number } } };
  json.piece.lap.frames = frames;
  return json;
}

/** Kills the browser's process that draws, as a crashing driver does. */
async function killGraphics(page: Page): Promise<void> {
  const session = await page.context().browser()?.newBrowserCDPSession();
  const { processInfo } = (await session?.send('SystemInfo.getProcessInfo')) ?? { processInfo: [] };
  const graphics = processInfo.find(({ type }) => type === 'GPU');
  if (!graphics) throw new Error('no graphics process');
  process.kill(graphics.id, 'SIGKILL');
}

/** Renders in the lab and brings the file back. */
const rendered = (page: Page, json: unknown, delivery: object) =>
  page.evaluate(
    async ([document, options]) => {
      const { size, verified } = await lab.render(lab.parse(document), options as object, (p) =>
        Object.assign(globalThis, { progressOfRender: p.done }),
      );
      return { verified, base64: await lab.slice(0, size) };
    },
    [json, delivery] as const,
  );

test('whatever is drawn while the context is lost is drawn again, to the same bytes', async ({ page }) => {
  await openLab(page);
  const report = await page.evaluate(
    async (json) => {
      const piece = lab.parse(json);
      const { api } = lab.engine;
      const request = { piece, frameIndex: 5, width: 96, height: 54, passes: 4 };
      const size = { piece, width: 48, height: 27, passes: 1 };
      const progress = lab.proxy(() => undefined);
      const bytes = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());
      const all = async (lose: () => Promise<unknown>) => {
        const out: unknown[] = [];
        await lose();
        out.push([...(await api.pixels(request))]);
        await lose();
        out.push([...(await bytes(await api.still(request)))]);
        await lose();
        out.push([...(await api.light(request))]);
        await lose();
        out.push(await api.seamPictures(size, progress));
        return out.map((value) => JSON.stringify(value));
      };
      const whole = await all(() => Promise.resolve());
      const inTheMiddle = await all(() => api.loseContextIn(1));
      const between = await all(() => api.loseContext('own', null));
      // the third frame of the comparison of frames
      await api.loseContextIn(3);
      const later = JSON.stringify(await api.seamPictures(size, progress));
      return {
        lit: (JSON.parse(whole[0]) as number[]).some((v, i) => i % 4 < 3 && v > 60),
        inTheMiddle: inTheMiddle.map((value, i) => value === whole[i]),
        between: between.map((value, i) => value === whole[i]),
        later: later === whole[3],
      };
    },
    short('net-of-lamps', 6),
  );
  expect(report).toEqual({
    lit: true,
    inTheMiddle: [true, true, true, true],
    between: [true, true, true, true],
    later: true,
  });
});

test('an export over crashes of the graphics process holds every frame as it is without', async ({ page }) => {
  await openLab(page);
  const json = short('foam-rise', 12);
  const delivery = { format: 'png', width: 96, height: 54, samples: '1' };
  const whole = await rendered(page, json, delivery);
  const running = rendered(page, json, delivery);
  for (const after of [2, 6]) {
    await page.waitForFunction((n) => (globalThis as { progressOfRender?: number }).progressOfRender === n, after);
    await killGraphics(page);
  }
  const crashed = await running;
  expect(crashed.verified).toMatchObject({ ok: true, frames: 12 });
  expect(crashed.base64).toBe(whole.base64);
  const pictures = Object.values(unzipSync(Buffer.from(crashed.base64, 'base64')));
  for (const png of pictures)
    expect(Math.max(...PNG.sync.read(Buffer.from(png)).data.filter((_, i) => i % 4 < 3))).toBeGreaterThan(40);
});

test('a video is decoded and compared with what was rendered', async ({ page }) => {
  await openLab(page);
  for (const format of ['mp4', 'webm']) {
    const { verified } = await rendered(page, short('salt-lattice', 12), {
      format,
      width: 160,
      height: 90,
      samples: '1',
      rate: 'proof',
    });
    expect(verified).toMatchObject({ ok: true, frames: 12 });
    expect(verified.says).toContain('each as it was rendered');
  }
  // what was written is on the disk, in a folder for each, and the parts are given back
  const files = await page.evaluate(async () => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('isomorph exports');
    const sizes: [string, number][] = [];
    for await (const own of root.values())
      if (own instanceof FileSystemDirectoryHandle)
        for await (const file of own.values())
          if (file instanceof FileSystemFileHandle) sizes.push([file.name, (await file.getFile()).size]);
    return sizes;
  });
  expect(files.map(([name]) => name).sort()).toEqual(['whole', 'whole', 'whole.json', 'whole.json']);
  expect(Math.min(...files.flatMap(([name, size]) => (name === 'whole' ? [size] : [])))).toBeGreaterThan(1000);
});

test('a picture lost again and again says so truly, and can be tried again', async ({ page }) => {
  await openRecipe(page, 'Net of lamps');
  await pause(page);
  const alert = page.getByRole('alert');
  const lose = (detail: number) =>
    page.evaluate((ms) => dispatchEvent(new CustomEvent('isomorph:lose-context', { detail: ms })), detail);
  for (let i = 0; i < 2; i++) {
    await lose(1500);
    await expect(alert).toContainText('It comes back by itself');
    await expect(alert).toHaveCount(0, { timeout: 30_000 });
  }
  await lose(-1);
  // heard of when the picture that is being drawn is done, whose programs are all built anew
  await expect(alert).toBeVisible({ timeout: 60_000 });
  await expect(alert).toContainText('has not given it back', { timeout: 10_000 });
  const again = alert.getByRole('button', { name: 'Try again' });
  // the words lie over what is in the picture to be taken hold of, wherever that stands
  await page.getByRole('button', { name: 'Carry Inner shell' }).evaluate(
    (grip, to) => {
      if (!to) throw new Error('no such button');
      const { left, top, width, height } = to.getBoundingClientRect();
      const room = grip.parentElement?.getBoundingClientRect();
      grip.style.left = `${left + width / 2 - (room?.left ?? 0)}px`;
      grip.style.top = `${top + height / 2 - (room?.top ?? 0)}px`;
    },
    await again.elementHandle(),
  );
  await again.click();
  await expect(alert).toHaveCount(0, { timeout: 30_000 });
  await drawn(page);
  await expect(page.getByLabel('Quality of the picture')).toContainText('final', { timeout: 60_000 });
});

test.describe('workers', () => {
  // every worker of the page, to end them as the browser does when there is no memory left
  test.beforeEach(({ page }) =>
    page.addInitScript(() => {
      const all: Worker[] = [];
      const Real = Worker;
      Object.assign(globalThis, {
        allWorkers: all,
        Worker: class extends Real {
          constructor(url: string | URL, options?: WorkerOptions) {
            super(url, options);
            all.push(this);
          }
        },
      });
    }),
  );
  const endWorkers = (page: Page) =>
    page.evaluate(() => (globalThis as unknown as { allWorkers: Worker[] }).allWorkers.forEach((w) => w.terminate()));

  test('one that dies ends with words, and the picture can be started again', async ({ page }) => {
    await openRecipe(page, 'Net of lamps');
    await pause(page);
    await endWorkers(page);
    const alert = page.getByRole('alert');
    await expect(alert).toContainText('What draws the picture has stopped', { timeout: 10_000 });
    await alert.getByRole('button', { name: 'Try again' }).click();
    await expect(alert).toHaveCount(0, { timeout: 30_000 });
    await drawn(page);
  });

  test('an export whose worker dies, or is paused in a long frame, ends at once', async ({ page }) => {
    await openRecipe(page, 'Net of lamps');
    await pause(page);
    await step(page, 'Export').click();
    await page.getByRole('button', { name: 'Proof and full size' }).click();
    const render = page.getByRole('button', { name: 'Render' }).nth(1);
    await render.click();
    await expect(page.getByText('starting')).toBeVisible();
    await page.waitForTimeout(2000);
    // from the press to the words, by the page's own clock
    const took = page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          let pressed = 0;
          addEventListener('pointerup', () => (pressed = performance.now()), { capture: true });
          new MutationObserver(() => {
            if (document.body.textContent.includes('rests, 0 of')) resolve(performance.now() - pressed);
          }).observe(document.body, { childList: true, subtree: true, characterData: true });
        }),
    );
    await page.getByRole('button', { name: /^Pause .+/ }).click();
    expect(await took).toBeLessThan(1000);
    // where the press was is what takes it back
    await expect(page.getByRole('button', { name: 'Go on' })).toBeFocused();
    await page.keyboard.press('Enter');
    await page.waitForTimeout(2000);
    await endWorkers(page);
    // a busy machine may not even have started it
    await expect(page.getByText(/^The export worker (has stopped|did not start)/)).toBeVisible({ timeout: 12_000 });
  });
});

for (const [how, block] of [
  ['refused', (page: Page) => page.route(/worker[^/]*\.js/, (route) => route.abort())],
  ['never answered', (page: Page) => page.route(/worker[^/]*\.js/, () => undefined)],
] as const)
  test(`a worker whose program is ${how} ends with words within 10 s, exports included`, async ({ page }) => {
    await block(page);
    // the page's own clock is moved on: what a busy machine takes besides is not what is looked at
    await page.clock.install();
    await page.goto('/');
    const endsWithin10s = async (start: () => Promise<void>, words: string): Promise<void> => {
      const asked = page.waitForRequest(/worker[^/]*\.js/);
      await start();
      await asked;
      // others may ask too: the one that is meant has by the time its step is there
      await expect(step(page, 'Export')).toBeVisible();
      await page.waitForTimeout(1000);
      await page.clock.fastForward(10_000);
      await expect(page.getByText(words).first()).toBeVisible({ timeout: 5000 });
    };
    await endsWithin10s(() => page.getByRole('button', { name: 'New lap' }).click(), 'could not be started');
    await step(page, 'Export').click();
    await page.getByRole('button', { name: 'Proof and full size' }).click();
    await endsWithin10s(
      () => page.getByRole('button', { name: 'Render' }).first().click(),
      'The export worker did not start',
    );
  });

test('an export works when the server is gone, and asks before it is left', async ({ page, context }) => {
  await openRecipe(page, 'Salt lattice');
  await pause(page);
  await page.waitForTimeout(3500);
  await context.setOffline(true);
  await step(page, 'Export').click();
  await page.getByRole('button', { name: 'Proof and full size' }).click();
  await page.getByRole('button', { name: 'Render' }).first().click();
  await expect(page.getByText(/of \d+ frames/)).toBeVisible({ timeout: 60_000 });
  const asked = page.waitForEvent('dialog');
  const left = page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await left;
  await expect(page.getByText(/of \d+ frames/)).toBeVisible();
});
