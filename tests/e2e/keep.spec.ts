import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM_ARGS, CHROMIUM_ENV, chromiumPath } from '../../bin/browser.mjs';
import { saved } from './ui';

/** Tries of each way to leave; more are made by hand: KEEP_TRIES=10 npx playwright test keep */
const TRIES = Number(process.env['KEEP_TRIES'] ?? 1);

const name = (page: Page) => page.getByRole('textbox', { name: 'Name of the piece' });
const rename = async (page: Page, words: string): Promise<void> => {
  await name(page).fill(words);
  await name(page).press('Enter');
};
const blank = async (page: Page): Promise<string> => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New lap' }).click();
  await expect(name(page)).toBeVisible();
  await saved(page);
  return page.url();
};
const shownIn = async (page: Page, url: string): Promise<string> => {
  await page.goto(url);
  await expect(name(page)).toBeVisible();
  return name(page).inputValue();
};
/** Names of the pieces as the database has them. */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string[]>((resolve, reject) => {
        const open = indexedDB.open('isomorph');
        open.onerror = () => reject(open.error ?? new Error('closed'));
        open.onsuccess = () => {
          const all = open.result.transaction('pieces').objectStore('pieces').getAll();
          all.onsuccess = () => {
            open.result.close();
            resolve((all.result as { name: string; removedAt?: number }[]).map((row) => row.name));
          };
        };
      }),
  );
/** Leaves the browser no room to store anything, or room again. It looks anew only now and then, so this waits for it. */
async function room(page: Page, there: boolean): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const { origin } = new URL(page.url());
  await session.send('Storage.overrideQuotaForOrigin', { origin, ...(there ? {} : { quotaSize: 1 }) });
  const fits = () =>
    page.evaluate(
      () =>
        new Promise<boolean>((resolve) => {
          const open = indexedDB.open('isomorph');
          open.onsuccess = () => {
            const write = open.result.transaction('thumbnails', 'readwrite');
            write.objectStore('thumbnails').put({ key: 'try', blob: new Blob() });
            write.oncomplete = write.onabort = ({ type }) => {
              open.result.close();
              resolve(type === 'complete');
            };
          };
        }),
    );
  await expect.poll(fits, { timeout: 60_000, intervals: [1000] }).toBe(there);
}

const LEAVE: Record<string, (page: Page) => Promise<Page>> = {
  async reloading(page) {
    await page.reload();
    return page;
  },
  async 'going to another address'(page) {
    await page.goto('about:blank');
    return page;
  },
  async 'closing the tab'(page) {
    const { context } = { context: page.context() };
    await page.close({ runBeforeUnload: true });
    return context.newPage();
  },
  async 'going back'(page) {
    await page.goBack();
    return page;
  },
};

for (const [way, leave] of Object.entries(LEAVE))
  test(`the last edit survives ${way} at once`, async ({ page }) => {
    let tab = page;
    const url = await blank(tab);
    for (let i = 0; i < TRIES; i++) {
      expect(await shownIn(tab, url)).toBe(i === 0 ? 'Untitled lap' : `Edit ${i - 1}`);
      await rename(tab, `Edit ${i}`);
      tab = await leave(tab);
    }
    expect(await shownIn(tab, url)).toBe(`Edit ${TRIES - 1}`);
    // and it reaches the database from there
    await expect.poll(() => stored(tab)).toContain(`Edit ${TRIES - 1}`);
  });

test('what is being typed survives a reload too', async ({ page }) => {
  const url = await blank(page);
  await name(page).fill('Half typed');
  await page.reload();
  expect(await shownIn(page, url)).toBe('Half typed');
});

test('undo survives reloads and going back and forth', async ({ page }) => {
  await blank(page);
  for (const words of ['One', 'Two', 'Three']) await rename(page, words);
  await page.reload();
  await expect(name(page)).toHaveValue('Three');
  await page.keyboard.press('Control+z');
  await expect(name(page)).toHaveValue('Two');
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await page.goBack();
  await expect(name(page)).toHaveValue('Two');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(name(page)).toHaveValue('Untitled lap');
  await saved(page);
  await page.reload();
  for (const words of ['One', 'Two', 'Three']) {
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(name(page)).toHaveValue(words);
  }
});

test('an edit is not lost between pieces, nor an old state shown and stored over it', async ({ page }) => {
  const first = await blank(page);
  const second = await blank(page);
  for (let i = 0; i < TRIES; i++) {
    await page.goto(first);
    await expect(name(page)).toBeVisible();
    await rename(page, `First ${i}`);
    await page.evaluate((to) => (location.href = to), second);
    await expect(name(page)).toHaveValue(i === 0 ? 'Untitled lap' : `Second ${i - 1}`);
    await rename(page, `Second ${i}`);
    // the loops and back, at once
    await page.evaluate((to) => {
      location.hash = '#/';
      setTimeout(() => (location.href = to), 1);
    }, second);
    await page.waitForTimeout(300);
    await expect(name(page)).toHaveValue(`Second ${i}`);
    await page.waitForTimeout(700);
    expect((await stored(page)).sort()).toEqual([`First ${i}`, `Second ${i}`]);
  }
});

test('with no room left nothing is lost silently, and what waited arrives when there is room', async ({ page }) => {
  const notices = page.getByRole('region', { name: 'Notices' });
  await blank(page);
  await rename(page, 'Thrown away');
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await page.getByRole('button', { name: 'Remove Thrown away' }).click();
  await expect(notices).toContainText('“Thrown away” was removed');
  await notices.getByRole('button', { name: 'Dismiss' }).click();
  const url = await blank(page);
  await rename(page, 'Kept so far');
  await saved(page);
  await room(page, false);
  await rename(page, 'Precious');
  await expect(notices).toContainText('“Precious” is not saved: the browser has no room left for it');
  await expect(notices.getByRole('button', { name: 'Save a file' })).toBeVisible();
  // it stays through the loops
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await expect(page.getByRole('button', { name: 'Open Kept so far' })).toBeVisible();
  await expect(notices).toContainText('“Precious” is not saved');
  // a removed piece that cannot be brought back stays where it is
  await page.getByRole('button', { name: 'Bring back Thrown away' }).click();
  await expect(notices).toContainText('“Thrown away” was not brought back: the browser has no room left for it');
  await notices.getByRole('button', { name: 'Dismiss' }).click();
  await expect(page.getByRole('region', { name: 'Removed loops' })).toContainText('Thrown away');
  const file = page.waitForEvent('download');
  await notices.getByRole('button', { name: 'Save a file' }).click();
  expect((await file).suggestedFilename()).toBe('precious.isomorph.json');
  // whatever is begun opens all the same, and says that it is not saved
  await page.getByRole('button', { name: 'New lap' }).click();
  await expect(name(page)).toHaveValue('Untitled lap');
  await expect(notices).toContainText('“Untitled lap” is not saved');
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await page.getByRole('button', { name: 'Open Foam rise' }).click();
  await expect(name(page)).toHaveValue('Foam rise');
  await expect(notices).toContainText('“Foam rise” is not saved');
  // back in the first, which is as it was left, not as it is stored
  await page.evaluate((to) => (location.href = to), url);
  await expect(name(page)).toHaveValue('Precious');
  // over a reload it comes from the journal
  await page.reload();
  await expect(name(page)).toHaveValue('Precious');
  await room(page, true);
  await expect
    .poll(() => stored(page), { timeout: 40_000 })
    .toEqual(expect.arrayContaining(['Precious', 'Untitled lap', 'Foam rise']));
  await expect(notices).toHaveCount(0);
});

test('removed pieces can be brought back later, from a place of their own', async ({ page }) => {
  await blank(page);
  await rename(page, 'Tide table');
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await page.getByRole('button', { name: 'Remove Tide table' }).click();
  await expect(page.getByText('“Tide table” was removed.')).toBeVisible();
  await page.reload();
  const removed = page.getByRole('region', { name: 'Removed loops' });
  await expect(removed).toContainText('30 days left');
  await expect(page.getByRole('button', { name: 'Open Tide table' })).toHaveCount(0);
  await removed.getByRole('button', { name: 'Bring back Tide table' }).click();
  await expect(page.getByRole('button', { name: 'Open Tide table' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Tide table' }).click();
  await removed.getByRole('button', { name: 'Delete Tide table for good', exact: true }).click();
  await removed.getByRole('button', { name: 'Delete Tide table for good, now' }).click();
  await expect(removed).toHaveCount(0);
  expect(await stored(page)).toEqual([]);
});

test('a piece removed in another tab is said, and may be kept; neither overwrites the other', async ({
  page,
  context,
}) => {
  await blank(page);
  await rename(page, 'Two tabs');
  await saved(page);
  const other = await context.newPage();
  await other.goto('/');
  await other.getByRole('button', { name: 'Remove Two tabs' }).click();
  const notices = page.getByRole('region', { name: 'Notices' });
  await expect(notices).toContainText('“Two tabs” was removed in another tab');
  await rename(page, 'Edited after');
  await page.waitForTimeout(800);
  expect(await stored(page)).toEqual(['Two tabs']);
  await notices.getByRole('button', { name: 'Keep it' }).click();
  await saved(page);
  await expect(notices).toHaveCount(0);
  await expect(other.getByRole('button', { name: 'Open Edited after' })).toBeVisible();
});

test('a stored piece that cannot be read is shown as such, with its file, and hides nothing else', async ({ page }) => {
  await blank(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('isomorph');
        open.onsuccess = () => {
          const store = open.result.transaction('pieces', 'readwrite').objectStore('pieces');
          store.put({ id: 'odd', name: 'From tomorrow', piece: { what: 1 }, version: 99, updatedAt: 5 });
          store.put({ id: 'odder', piece: null, updatedAt: 6 });
          store.transaction.oncomplete = () => {
            open.result.close();
            resolve();
          };
        };
      }),
  );
  await page.goto('/');
  const card = page.getByRole('article', { name: 'From tomorrow, unreadable' });
  await expect(card).toContainText('newer Isomorph');
  await expect(page.getByRole('article', { name: 'Unnamed loop, unreadable' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Open Untitled lap' })).toBeVisible();
  const file = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Save its file' }).click();
  expect((await file).suggestedFilename()).toBe('from-tomorrow.isomorph.json');
});

test('a browser that is killed while a piece is edited loses at most the last second', async ({ baseURL }) => {
  test.setTimeout(TRIES * 30_000 + 60_000);
  const lost: number[] = [];
  const profile = mkdtempSync(join(tmpdir(), 'isomorph-'));
  const start = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(profile, {
      executablePath: chromiumPath() ?? '',
      args: CHROMIUM_ARGS,
      env: CHROMIUM_ENV,
      ...(baseURL ? { baseURL } : {}),
    });
  try {
    let context = await start();
    const first = await context.newPage();
    const url = await blank(first);
    await first.close();
    for (let i = 0; i < TRIES; i++) {
      const page = await context.newPage();
      await page.goto(url);
      await expect(name(page)).toBeVisible();
      let last = 0;
      await page.exposeBinding('made', (_, at: number) => (last = at));
      // a held key: an edit every 30 ms, each with the time it was made at
      await page.evaluate(() => {
        const input = document.querySelector<HTMLInputElement>('[aria-label="Name of the piece"]');
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
        const { made } = globalThis as unknown as { made(at: number): void };
        setInterval(() => {
          if (!input) return;
          const at = Date.now();
          input.focus();
          set?.call(input, String(at));
          input.dispatchEvent(new Event('input', { bubbles: true }));
          input.blur();
          made(at);
        }, 30);
      });
      const session = await context.browser()?.newBrowserCDPSession();
      const { processInfo } = (await session?.send('SystemInfo.getProcessInfo')) ?? { processInfo: [] };
      const browser = processInfo.find(({ type }) => type === 'browser');
      if (!browser) throw new Error('no browser process');
      await page.waitForTimeout(1000 + Math.random() * 1500);
      process.kill(browser.id, 'SIGKILL');
      await context.close().catch(() => undefined);
      context = await start();
      const shown = Number(await shownIn(await context.newPage(), url));
      lost.push(last - shown);
      expect(Math.max(...lost), `milliseconds lost: ${lost.join(' ')}`).toBeLessThanOrEqual(1000);
    }
    await context.close();
    console.log(`milliseconds lost: ${lost.join(' ')}`);
  } finally {
    rmSync(profile, { recursive: true, force: true, maxRetries: 10 });
  }
});
