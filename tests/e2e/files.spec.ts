import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { unzipSync, zipSync } from 'fflate';
import { drop, drawn, move, pause, saved } from './ui';

// Files that are brought in: kept once, used, packed with the piece, and never believed.
let errors: string[] = [];
test.beforeEach(({ page }) => {
  errors = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
});
test.afterEach(() => expect(errors).toEqual([]));

const FONT = readFileSync('node_modules/@fontsource/spectral/files/spectral-latin-600-normal.woff');
const MARK = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>';

async function newTitle(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New lap' }).click();
  await page.getByRole('button', { name: 'Set a title' }).click();
  await drawn(page);
  await pause(page);
}

/** The first screen, ready for what is dropped on it. */
async function loops(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByRole('button', { name: 'Kept files' }).click();
  await expect(page.getByRole('dialog', { name: 'Kept files' })).toBeVisible();
  await page.keyboard.press('Escape');
}
const font = (page: Page) => page.getByRole('button', { name: /^Font:/ });
const savedFile = async (page: Page): Promise<{ name: string; path: string }> => {
  const download = page.waitForEvent('download');
  await page.keyboard.press('Control+s');
  const done = await download;
  const path = join(mkdtempSync(join(tmpdir(), 'isomorph-')), done.suggestedFilename());
  await done.saveAs(path);
  return { name: done.suggestedFilename(), path };
};

test('a font dropped anywhere becomes that of the open title, undone in one step, kept, listed, and packed', async ({
  page,
}) => {
  await newTitle(page);
  await page.getByRole('textbox', { name: 'Text', exact: true }).fill('Slipway\nRopewalk');
  await expect(page.getByText('15 letters').first()).toBeVisible();
  await drop(page, [['Harbour.woff', FONT]]);
  await expect(font(page)).toHaveAccessibleName('Font: Harbour.woff');
  await page.keyboard.press('Control+z');
  await expect(font(page)).toHaveAccessibleName('Font: Anton');
  await expect(page.getByRole('textbox', { name: 'Text', exact: true })).toHaveValue('Slipway\nRopewalk');
  await page.keyboard.press('Control+Shift+z');
  await expect(font(page)).toHaveAccessibleName('Font: Harbour.woff');
  await saved(page);
  const { name, path } = await savedFile(page);
  expect(name).toBe('untitled-lap.isomorph.zip');
  const entries = unzipSync(readFileSync(path));
  expect(Object.keys(entries)).toHaveLength(2);
  expect(Object.values(entries).some((bytes) => Buffer.from(bytes).equals(FONT))).toBe(true);
  // the sheet says where it is used, and lets go of nothing that is
  await page.getByRole('button', { name: 'Piece: save, open, copy' }).click();
  await page.getByRole('menuitem', { name: 'Kept files' }).click();
  const sheet = page.getByRole('dialog', { name: 'Kept files' });
  await expect(sheet.getByRole('listitem')).toContainText(['Harbour.woff']);
  await expect(sheet).toContainText('in Untitled lap');
  await expect(sheet.getByRole('button', { name: 'Remove Harbour.woff' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(font(page)).toHaveAccessibleName('Font: Harbour.woff');
  await expect(page.getByText(/is not here/)).toHaveCount(0);
});

test('a drawing becomes a layer; what is no use, or hostile, is refused in words and changes nothing', async ({
  page,
}) => {
  await newTitle(page);
  await drop(page, [['harbour.svg', Buffer.from(MARK)]]);
  await expect(page.getByRole('button', { name: 'Mark: harbour.svg' })).toBeVisible();
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  const hostile = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><script>fetch('/stolen')</script><image href="http://localhost:1/a.png"/><use href="http://localhost:1/b.svg#c"/><rect width="9" height="9"/></svg>`;
  await drop(page, [
    ['hostile.svg', Buffer.from(hostile)],
    ['notes.txt', Buffer.from('low tide at six')],
    ['broken.otf', Buffer.concat([Buffer.from('OTTO'), Buffer.alloc(400, 7)])],
    [
      'lines.svg',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><path fill="none" stroke="red" d="M0 0h9"/></svg>'),
    ],
    ['odd.zip', Buffer.from(zipSync({ '../../evil': new Uint8Array(9) }))],
  ]);
  await expect(
    page.getByText(
      /“notes.txt” is neither a font, a drawing, a picture, a panorama, a clip, a table of colours, a model, a motion nor a sound/,
    ),
  ).toBeVisible();
  await expect(page.getByText(/“broken.otf” is not a font that can be read/)).toBeVisible();
  await expect(page.getByText(/“lines.svg”.*no filled shapes/)).toBeVisible();
  await expect(page.getByText(/“odd.zip”.*a place outside of itself/)).toBeVisible({ timeout: 15_000 });
  // the hostile drawing is its square, and nothing it asked for was fetched
  await expect(page.getByRole('button', { name: 'Mark: hostile.svg' })).toBeVisible();
  expect(asked.filter((url) => /stolen|localhost:1\//.test(url))).toEqual([]);
});

test('a packed piece is opened with its files; one without says so and draws stand-ins; what nothing uses can go', async ({
  page,
  browser,
}) => {
  await newTitle(page);
  await drop(page, [['Harbour.woff', FONT]]);
  await expect(font(page)).toHaveAccessibleName('Font: Harbour.woff');
  const { path } = await savedFile(page);
  // another browser knows nothing of it
  const other = await (await browser.newContext()).newPage();
  await loops(other, page.url().split('#')[0]);
  await drop(other, [['lap.isomorph.zip', readFileSync(path)]]);
  await expect(font(other)).toHaveAccessibleName('Font: Harbour.woff', { timeout: 20_000 });
  await expect(other.getByText(/is not here/)).toHaveCount(0);
  const entries = unzipSync(readFileSync(path));
  const without = { 'piece.isomorph.json': entries['piece.isomorph.json'] };
  const third = await (await browser.newContext()).newPage();
  await loops(third, page.url().split('#')[0]);
  await drop(third, [['lap.isomorph.zip', Buffer.from(zipSync(without))]]);
  await expect(third.getByText(/“Harbour.woff” is not in it/)).toBeVisible({ timeout: 20_000 });
  await expect(third.getByText(/frames stand in for its letters/)).toBeVisible();
  await drawn(third);
  // brought in again, it is as it was
  await drop(third, [['again.woff', FONT]]);
  await expect(third.getByText(/frames stand in/)).toHaveCount(0);
  await other.close();
  await third.close();
  // what nothing names can be removed
  await drop(page, [['spare.svg', Buffer.from(MARK)]]);
  await expect(page.getByRole('button', { name: 'Mark: spare.svg' })).toBeVisible();
  // its piece goes for good
  await saved(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Remove Untitled lap' }).click();
  await page.getByRole('button', { name: 'Delete Untitled lap for good' }).click();
  await page.getByRole('button', { name: /now$/ }).click();
  await page.getByRole('button', { name: 'Kept files' }).click();
  const spare = page.getByRole('listitem').filter({ hasText: 'spare.svg' });
  await expect(spare).toContainText('not used');
  await spare.getByRole('button', { name: 'Remove spare.svg' }).click();
  await expect(spare).toHaveCount(0);
  await page.getByRole('button', { name: 'Remove Harbour.woff' }).click();
  await expect(page.getByText('Nothing is kept yet')).toBeVisible();
});

test('render and check take a packed piece, and refuse one without its files', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'isomorph-'));
  const hash = 'ab'.repeat(32);
  const piece = {
    id: 'p',
    name: 'Packed',
    lap: { frames: 4, rate: { num: 25, den: 1 } },
    layers: [{ kind: 'title', id: 't', name: 'T', seed: 1, text: 'AB', font: { hash, name: 'Harbour.woff' } }],
    flight: { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 } },
    look: {},
  };
  const run = (...args: string[]): Promise<{ code: number; text: string }> =>
    new Promise((resolve) => {
      execFile('node', ['bin/isomorph.mjs', ...args], { encoding: 'utf8', maxBuffer: 1e8 }, (error, out, err) =>
        resolve({ code: typeof error?.code === 'number' ? error.code : error ? 1 : 0, text: out + err }),
      );
    });
  const pack = (named: string, files: Record<string, Uint8Array>): string => {
    const json = JSON.stringify({ format: 'isomorph', version: 6, piece }).replaceAll(hash, named);
    const file = join(folder, `${named.slice(0, 6)}.isomorph.zip`);
    writeFileSync(file, zipSync({ 'piece.isomorph.json': new TextEncoder().encode(json), ...files }));
    return file;
  };
  const { createHash } = await import('node:crypto');
  const own = createHash('sha256').update(FONT).digest('hex');
  const whole = pack(own, { [`files/${own}`]: new Uint8Array(FONT) });
  const out = join(folder, 'a.png');
  expect(await run('render', whole, '--size', '96x54', '--samples', '1', '--frames', '0', '--out', out)).toMatchObject({
    code: 0,
  });
  expect(await run('check', whole)).toMatchObject({ code: 0 });
  const lacking = await run('check', pack(hash, {}));
  expect(lacking.code).toBe(2);
  expect(lacking.text).toContain('Harbour.woff');
});

test('a picture becomes a screen, a clip joins it with how it closes, and both are packed', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New lap' }).click();
  await page.getByRole('button', { name: 'Place a screen' }).click();
  await drawn(page);
  await pause(page);
  const list = page.getByRole('group', { name: 'Shows', exact: true });
  await expect(list.getByText('Tide chart')).toBeVisible();
  // other bytes than what ships, so that they are the user's own
  const own = (path: string): Buffer => Buffer.concat([readFileSync(path), Buffer.alloc(8)]);
  await drop(page, [['planks.webp', own('stock/pictures/weathered-planks.webp')]]);
  await expect(list.getByText('planks.webp')).toBeVisible();
  await expect(list.getByText('Tide chart')).toHaveCount(0);
  await drop(page, [['lamps.webm', own('stock/clips/lamp-test.webm')]]);
  await list
    .getByRole('button', { name: /lamps.webm/ })
    .first()
    .click();
  // 72 frames at 24 a second in a lap of ten seconds: three times is nearest
  await expect(list.getByText('3 times a lap, 0.90 of its speed')).toBeVisible();
  await expect(list.getByRole('button', { name: /^3 × at 0.90, proposed/ })).toHaveAttribute('aria-pressed', 'true');
  await list.getByRole('button', { name: /^4 × at 1.20/ }).click();
  await expect(list.getByText('4 times a lap, 1.20 of its speed')).toBeVisible();
  await expect(list.getByRole('button', { name: /^As it is: unseen, proposed/ })).toBeVisible({ timeout: 20_000 });
  await list.getByRole('button', { name: 'Add a picture' }).click();
  await page.getByRole('menuitem', { name: 'Gauge dial' }).click();
  await expect(list.getByText('Gauge dial').first()).toBeVisible();
  await move(page, 'Gauge dial', 'ArrowUp');
  // dropped on a line it takes its place
  const dial = list.getByRole('button', { name: /Gauge dial/ }).first();
  await drop(page, [['crystals.webp', own('stock/pictures/salt-crystals.webp')]], dial);
  await expect(list.getByRole('button', { name: /crystals.webp/ }).first()).toBeVisible();
  await expect(list.getByText('Gauge dial')).toHaveCount(0);
  await saved(page);
  const entries = unzipSync(readFileSync((await savedFile(page)).path));
  // the piece and three files of its own
  expect(Object.keys(entries)).toHaveLength(4);
  await page.getByRole('button', { name: 'Piece: save, open, copy' }).click();
  await page.getByRole('menuitem', { name: 'Kept files' }).click();
  const sheet = page.getByRole('dialog', { name: 'Kept files' });
  await expect(sheet.getByRole('listitem')).toContainText(['crystals.webp', 'lamps.webm', 'planks.webp']);
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(list.getByText('lamps.webm')).toBeVisible();
  await expect(page.getByText(/is not here/)).toHaveCount(0);
});
