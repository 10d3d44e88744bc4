import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import AxeBuilder from 'axe-core';
import { expect, test, type Page } from '@playwright/test';
import { drawn, fill, move, openRecipe, pause, saved, step } from './ui';

let foreign: string[] = [];
let errors: string[] = [];
test.beforeEach(({ page }) => {
  foreign = [];
  errors = [];
  page.on('request', (request) => {
    if (!/^(http:\/\/127\.0\.0\.1:4399|blob:http:\/\/127|data:)/.test(request.url())) foreign.push(request.url());
  });
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
});
test.afterEach(() => {
  // no request leaves the machine, and nothing fails quietly
  expect(foreign).toEqual([]);
  expect(errors).toEqual([]);
});

test('the first screen shows the recipes, drawn by the engine, and finds them by name', async ({ page }) => {
  await page.goto('/');
  for (const name of ['Ropewalk tunnel', 'Plankton bloom', 'Slipway spiral'])
    await expect(page.getByRole('button', { name: `Open ${name}` })).toBeVisible();
  // those below the window are drawn when they come near it
  for (const loop of await page.getByRole('article').all()) await loop.scrollIntoViewIfNeeded();
  await expect(page.getByText('drawing…')).toHaveCount(0, { timeout: 60_000 });
  const lit = await page.evaluate(() =>
    [...document.querySelectorAll('canvas')].map((canvas) => {
      const data = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
      let most = 0;
      for (let i = 0; i < data.length; i += 4) most = Math.max(most, data[i]);
      return most;
    }),
  );
  expect(lit.every((most) => most > 60)).toBe(true);
  await page.getByRole('searchbox').fill('plank');
  await expect(page.getByRole('button', { name: /^Open .*(tunnel|bloom|spiral)/ })).toHaveCount(1);
  await page.getByRole('searchbox').fill('nothing like it');
  await expect(page.getByText('No loop is called that')).toBeVisible();
});

test('layers: add, name, hide, duplicate, reorder, delete, undo', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  const cards = page.getByRole('complementary').getByRole('article');
  await expect(cards).toHaveCount(3);
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: /Fill a space/ }).click();
  await expect(cards).toHaveCount(4);
  const name = page.getByLabel('Name of the layer');
  await name.fill('Salt dust');
  await name.press('Enter');
  await expect(page.getByRole('article', { name: 'Salt dust' })).toBeVisible();
  await page.getByRole('button', { name: 'Hide Salt dust' }).click();
  await expect(page.getByRole('button', { name: 'Show Salt dust', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(cards).toHaveCount(5);
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(cards).toHaveCount(4);
  // by keyboard: lift, down, drop
  await move(page, 'Salt dust', 'ArrowDown');
  await expect(cards.nth(1)).toHaveAccessibleName('Salt dust');
  for (let i = 0; i < 12; i++) await page.keyboard.press('Control+z');
  await expect(cards).toHaveCount(3);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.keyboard.press('Control+Shift+z');
  await expect(cards).toHaveCount(4);
});

test('a value is typed with a sum, dragged as one undo step, made to swing, and closes by whole cycles only', async ({
  page,
}) => {
  await openRecipe(page, 'Ropewalk tunnel');
  await pause(page);
  await step(page, 'Fly').click();
  await page.getByRole('article', { name: 'Lens' }).getByRole('button').first().click();
  const focal = page.getByRole('textbox', { name: 'Focal length, mm' });
  await focal.fill('20+15');
  await focal.press('Enter');
  await expect(focal).toHaveValue('35.0');
  const box = await focal.boundingBox();
  if (!box) throw new Error('the field is not shown');
  await page.mouse.move(box.x + 20, box.y + 8);
  await page.mouse.down();
  for (let i = 1; i <= 10; i++) await page.mouse.move(box.x + 20 + i * 6, box.y + 8);
  await page.mouse.up();
  await expect(focal).not.toHaveValue('35.0');
  await page.keyboard.press('Control+z');
  await expect(focal).toHaveValue('35.0');
  await page.getByRole('button', { name: /^Focal length: Fixed/ }).click();
  await page
    .getByRole('menuitemradio', { name: 'Swing' })
    .or(page.getByRole('menuitem', { name: 'Swing' }))
    .click();
  const cycles = page.getByRole('textbox', { name: 'Focal length, cycles per lap, × lap' });
  await cycles.fill('2.6');
  await cycles.press('Enter');
  await expect(cycles).toHaveValue('3');
  await expect(page.getByText('seam', { exact: true }).first()).toBeVisible();
});

test('a reload returns to the same piece, step, frame and change', async ({ page }) => {
  await openRecipe(page, 'Plankton bloom');
  await pause(page);
  await page.getByRole('slider', { name: 'Time in the lap' }).focus();
  await page.keyboard.press('Home');
  await page.getByRole('textbox', { name: 'Name of the piece' }).fill('Bloom, second try');
  await page.getByRole('textbox', { name: 'Name of the piece' }).press('Enter');
  await step(page, 'Look').click();
  const bead = page.getByRole('slider', { name: 'Time in the lap' });
  await bead.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageUp');
  await expect(bead).not.toHaveAttribute('aria-valuenow', '0');
  await page.waitForTimeout(1300);
  const frame = await bead.getAttribute('aria-valuenow');
  await saved(page);
  await page.reload();
  await drawn(page);
  await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue('Bloom, second try');
  await expect(step(page, 'Look')).toHaveAttribute('aria-current', 'step');
  // opened playing: the lap starts from where it was
  const now = Number(await bead.getAttribute('aria-valuenow'));
  expect(now).toBeGreaterThanOrEqual(Number(frame));
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await expect(page.getByRole('button', { name: 'Open Bloom, second try' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Bloom, second try' }).click();
  await expect(page.getByRole('button', { name: 'Open Bloom, second try' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('button', { name: 'Open Bloom, second try' })).toBeVisible();
});

test('a piece open in two tabs: the second is told, and may take over what the first saved', async ({
  page,
  context,
}) => {
  await openRecipe(page);
  await pause(page);
  const name = (tab: Page) => tab.getByRole('textbox', { name: 'Name of the piece' });
  await name(page).fill('From the first tab');
  await name(page).press('Enter');
  await saved(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByRole('alert')).toContainText('open in another tab');
  await expect(second.getByText('Not saved here')).toBeVisible();
  await name(page).fill('Changed in the first tab');
  await name(page).press('Enter');
  await page.waitForTimeout(800);
  await saved(page);
  await second.getByRole('button', { name: 'Work here instead' }).click();
  await expect(second.getByRole('alert')).toHaveCount(0);
  await expect(name(second)).toHaveValue('Changed in the first tab');
  await expect(page.getByRole('alert')).toContainText('Another tab has taken this piece over');
  await second.close();
});

test('what must close snaps to legal steps, and the pictures of the lap are judged', async ({ page }) => {
  test.setTimeout(240_000);
  await openRecipe(page, 'Net of lamps');
  await pause(page);
  await page.getByRole('button', { name: /^Lap and frame/ }).click();
  const frames = page.getByRole('textbox', { name: 'Frames, f' });
  await frames.fill('20');
  await frames.press('Enter');
  await frames.press('Escape');
  await expect(frames).toHaveCount(0);
  await step(page, 'Seam').click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
  await step(page, 'Fly').click();
  await page.getByRole('article', { name: 'Roll' }).getByRole('button').first().click();
  await page.getByRole('button', { name: /^Roll: Fixed/ }).click();
  await page.getByRole('menuitem', { name: 'Wound' }).click();
  const perLap = page.getByRole('textbox', { name: /^Roll, .*per lap/ });
  await perLap.fill('0.5');
  await perLap.press('Enter');
  await step(page, 'Seam').click();
  // the interface snaps to whole rolls, so the lap still closes
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Check the pictures' }).click();
  await expect(page.getByText(/join .* score/)).toBeVisible({ timeout: 180_000 });
  await expect(page.getByLabel(/^Neighbour differences; the join is/)).toBeVisible();
  await expect(page.getByRole('article', { name: 'What the pictures say' })).toContainText('The pictures close');
  // two frames in the picture's place
  await page.getByRole('button', { name: 'Difference', exact: true }).click();
  const join = page.getByRole('group', { name: 'Last and first frame' });
  await expect(join.getByRole('status')).toHaveText(/up to \d+ code values? apart/, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Which frames' }).click();
  await page.getByRole('option', { name: 'First frame, and a lap later' }).click();
  await expect(page.getByRole('group', { name: 'First frame, and a lap later' }).getByRole('status')).toHaveText(
    /the same|apart/,
    { timeout: 60_000 },
  );
  await page.getByRole('button', { name: 'Show the piece' }).click();
  await expect(join).toHaveCount(0);
  // the slow check goes on while another step is shown
  await page.getByRole('article', { name: 'At final quality' }).getByRole('button', { name: 'Check' }).click();
  await step(page, 'Look').click();
  await step(page, 'Seam').click();
  await expect(page.getByRole('progressbar', { name: 'Comparing frames at final quality' })).toBeVisible();
  await page.getByRole('article', { name: 'At final quality' }).getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar', { name: 'Comparing frames at final quality' })).toHaveCount(0);
});

test('a file may hold a fault: it is kept, found and mended', async ({ page }) => {
  const json = JSON.parse(readFileSync('demo/ropewalk-tunnel.isomorph.json', 'utf8')) as {
    piece: { name: string; layers: { treatments: { kind: string; amount: unknown }[] }[] };
  };
  json.piece.name = 'Faulty frames';
  const turn = json.piece.layers[1].treatments.find(({ kind }) => kind === 'turn');
  if (turn) turn.amount = { law: 'wound', start: 0, perLap: 1 / 7 };
  await page.goto('/');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open file' }).click();
  await (
    await chooser
  ).setFiles({ name: 'faulty.isomorph.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(json)) });
  await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue('Faulty frames');
  await step(page, 'Seam').click();
  await expect(page.getByRole('heading', { name: 'The join shows' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Wind 0.2 per lap instead')).toBeVisible();
  await page.getByRole('button', { name: 'Lengthen' }).first().click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: /^Lap and frame/ })).toContainText('1750 f');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'The join shows' })).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Repair' }).first().click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
});

test('bad files are refused in words and the open piece is untouched', async ({ page }, info) => {
  await openRecipe(page);
  const open = async (name: string, buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Piece: save, open, copy' }).click();
    await page.getByRole('menuitem', { name: 'Open a file' }).click();
    // from the disk: what is large would take long to the browser otherwise
    const file = info.outputPath(name);
    writeFileSync(file, buffer);
    await (await chooser).setFiles(file);
  };
  const said = async (words: RegExp): Promise<void> => {
    await expect(page.getByRole('alert')).toContainText(words);
    await page.getByRole('alert').getByRole('button', { name: 'Dismiss' }).click();
  };
  const demo = readFileSync('demo/slipway-spiral.isomorph.json', 'utf8');
  await open('notes.json', Buffer.from('dear client'));
  await said(/“notes.json” was not opened: it is not JSON.*Nothing was changed/);
  await open('package.json', Buffer.from('{"name":"x"}'));
  await said(/not an Isomorph piece/);
  await open('future.json', Buffer.from(demo.replace(/"version": \d+/, '"version": 99')));
  await said(/newer Isomorph/);
  await open('range.json', Buffer.from(demo.replace('"tile": 12', '"tile": -3')));
  await said(/tile must be between 0.1 and 10000 m/);
  await open('huge.json', Buffer.alloc(50 * 1024 * 1024 - 1024, 32));
  await said(/it is 52 MB; a piece is at most 34 MB/);
  await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue('Slipway spiral');
});

test('a proof is rendered, read back and saved while the page stays usable; another rests', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Export').click();
  await page.getByRole('button', { name: 'Proof and full size' }).click();
  await page.getByRole('article').first().getByRole('button').first().click();
  await fill(page, 'Width, px', '160');
  await fill(page, 'Height, px', '90');
  const last = page.getByRole('textbox', { name: 'Last frame' });
  await expect(last).toHaveValue('299');
  await fill(page, 'Last frame', '11');
  await expect(last).toHaveValue('11');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Render' }).first().click();
  await page.getByRole('button', { name: 'Render' }).nth(1).click();
  await step(page, 'Look').click();
  await expect(page.getByRole('article', { name: 'Glow' })).toBeVisible();
  const file = await (await download).path();
  expect((await download).suggestedFilename()).toBe('slipway-spiral-160x90-0-11.mp4');
  expect(statSync(file).size).toBeGreaterThan(1000);
  const probed = execFileSync(
    'ffprobe',
    [
      '-v',
      'error',
      '-count_frames',
      '-show_entries',
      'stream=nb_read_frames,r_frame_rate,width,height',
      '-of',
      'csv=p=0',
      file,
    ],
    { encoding: 'utf8' },
  );
  expect(probed.trim()).toBe('160,90,30/1,12');
  await step(page, 'Export').click();
  await expect(page.getByText(/^verified: 12 frames, 0\.400 s/)).toBeVisible();
  await page.getByRole('button', { name: /^Pause .+1920x1080/ }).click();
  await expect(page.getByText(/^rests, \d+ of 300 frames kept/)).toBeVisible();
  await page.getByRole('button', { name: /^Remove .*1920x1080/ }).click();
  await expect(page.getByText(/^rests/)).toHaveCount(0);
});

test('a lost graphics context is said in the picture’s place, and it comes back', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await page.evaluate(() => dispatchEvent(new CustomEvent('isomorph:lose-context')));
  await expect(page.getByRole('alert')).toContainText('took the picture away');
  await expect(page.getByRole('alert')).toHaveCount(0, { timeout: 30_000 });
  await drawn(page);
});

test('200 000 particles play at whatever rate the machine manages, and the page never waits for them', async ({
  page,
}) => {
  const json = JSON.parse(readFileSync('demo/plankton-bloom.isomorph.json', 'utf8')) as {
    piece: { name: string; layers: { count: number; working: number }[] };
  };
  json.piece.name = 'Very full bloom';
  Object.assign(json.piece.layers[0], { count: 200_000, working: 1 });
  await page.goto('/');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open file' }).click();
  const buffer = Buffer.from(JSON.stringify(json));
  await (await chooser).setFiles({ name: 'full.isomorph.json', mimeType: 'application/json', buffer });
  await expect(page.getByText('200 000 particles')).toBeVisible();
  await drawn(page);
  // a page that waited for its picture would come to its own work about once a frame
  const { frames, turns } = await page.evaluate(async () => {
    const bead = document.querySelector('[aria-label="Time in the lap"]');
    let [frames, turns] = [0, 0];
    let last = bead?.getAttribute('aria-valuenow');
    while (frames < 4) {
      await new Promise((resolve) => setTimeout(resolve, 10));
      turns++;
      const now = bead?.getAttribute('aria-valuenow');
      if (now !== last) frames++;
      last = now;
    }
    return { frames, turns };
  });
  expect(turns).toBeGreaterThan(1.5 * frames);
  for (const name of ['Fly', 'Look', 'Build']) {
    await step(page, name).click();
    await expect(step(page, name)).toHaveAttribute('aria-current', 'step');
  }
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
});

test('keys: step, seam, steps of the work, finding a value, the list of keys', async ({ page }) => {
  await openRecipe(page);
  await page.keyboard.press('Space');
  const bead = page.getByRole('slider', { name: 'Time in the lap' });
  await page.keyboard.press('Home');
  await expect(bead).toHaveAttribute('aria-valuenow', '0');
  await page.keyboard.press('ArrowLeft');
  await expect(bead).toHaveAttribute('aria-valuenow', '299');
  await page.keyboard.press('3');
  await expect(step(page, 'Look')).toHaveAttribute('aria-current', 'step');
  await page.keyboard.press('/');
  await page.getByRole('searchbox', { name: 'Find' }).fill('squeeze');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(step(page, 'Fly')).toHaveAttribute('aria-current', 'step');
  await expect(page.getByRole('textbox', { name: 'Squeeze, ×' })).toBeFocused();
  await page.keyboard.press('Escape');
  await page.locator('header').first().click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('every step is sound for assistive technology', async ({ page }) => {
  await page.goto('/');
  const check = async (where: string): Promise<void> => {
    await page.evaluate(AxeBuilder.source);
    const found = await page.evaluate(async () => {
      const { axe } = globalThis as unknown as {
        axe: { run(): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
      };
      const { violations } = await axe.run();
      return violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 160)}`);
    });
    expect([where, ...found]).toEqual([where]);
  };
  await expect(page.getByRole('button', { name: 'Open Plankton bloom' })).toBeVisible();
  await check('loops');
  await openRecipe(page);
  await pause(page);
  for (const name of ['Build', 'Fly', 'Look', 'Seam', 'Export']) {
    await step(page, name).click();
    await page.waitForTimeout(400);
    await check(name);
  }
});

test('without WebGL2 the picture says so and everything else works', async ({ page }) => {
  // a browser whose canvases offer no WebGL2, in the engine's worker too
  await page.route(/_astro\/worker-.*\.js$/, async (route) => {
    const response = await route.fetch();
    await route.fulfill({
      response,
      body: `OffscreenCanvas.prototype.getContext = () => null;\n${await response.text()}`,
    });
  });
  await page.goto('/');
  // the recipes' thumbnails are shipped
  await expect(page.getByText('cannot be drawn here')).toHaveCount(0);
  await page.getByRole('button', { name: 'Open Ropewalk tunnel' }).click();
  await expect(page.getByRole('alert')).toContainText('offers no WebGL2');
  await expect(page.getByRole('article', { name: 'Lamp motes' })).toBeVisible();
  await step(page, 'Seam').click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible();
});
