import { expect, test, type Page } from '@playwright/test';
import { drawn, openRecipe, pause, step } from './ui';

const picture = (page: Page) => page.getByRole('img', { name: /The piece, frame by frame/ });

test('letters typed in the finder are letters, whatever is highlighted', async ({ page }) => {
  await openRecipe(page, 'Net of lamps');
  await pause(page);
  await page.keyboard.press('/');
  const search = page.getByRole('searchbox');
  await expect(search).toBeFocused();
  await page.keyboard.press('ArrowDown');
  for (const text of ['focus', 'show', 'hand 1 2 3 4 5', 'owl ?']) {
    await search.fill('');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.type(text);
    await expect(search).toHaveValue(text);
  }
  await expect(step(page, 'Build')).toHaveAttribute('aria-current', 'step');
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  // and a result is still chosen by Enter
  await search.fill('focal length');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(step(page, 'Fly')).toHaveAttribute('aria-current', 'step');
  await expect(page.getByRole('button', { name: 'Observe' })).toHaveAttribute('aria-pressed', 'false');
});

test('a window made narrower takes the picture with it, and so does a wider one', async ({ page }) => {
  await openRecipe(page, 'Net of lamps');
  await pause(page);
  for (const width of [1024, 1280, 940, 1400, 1024]) {
    await page.setViewportSize({ width, height: 800 });
    await expect
      .poll(async () => {
        const cards = await page.getByRole('complementary').boundingBox();
        const shown = await picture(page).boundingBox();
        return cards && shown ? cards.x - shown.x - shown.width : -1;
      })
      .toBeGreaterThanOrEqual(14);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  }
});

test('at 320 pixels, or 400 % of 1280, everything is reachable by scrolling one way', async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 480 });
  await page.goto('/');
  const wide = (): Promise<number> =>
    page.evaluate(() => Math.max(...[...document.querySelectorAll('body, main, header')].map((e) => e.scrollWidth)));
  expect(await wide()).toBeLessThanOrEqual(320);
  await page.getByRole('button', { name: 'New lap' }).click();
  await drawn(page);
  for (const name of ['Build', 'Fly', 'Look', 'Seam', 'Export']) {
    await step(page, name).click();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
    const cards = page.getByRole('complementary');
    await cards.scrollIntoViewIfNeeded();
    const box = await cards.boundingBox();
    expect(box && box.x >= 0 && box.x + box.width <= 320).toBe(true);
    const shown = await picture(page).boundingBox();
    expect(shown && shown.width >= 240 && shown.height >= 100).toBe(true);
  }
});

test('notices stand below one another, and none grows over the application', async ({ page }) => {
  await page.goto('/');
  const drop = async (name: string, text: string): Promise<void> => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Open file' }).click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  };
  await drop(`${'long'.repeat(6000)}.json`, '{');
  await drop('second.json', '[]');
  await drop('third.json', 'no');
  const notices = page.getByRole('region', { name: 'Notices' });
  await expect(notices.getByRole('alert')).toHaveCount(3);
  const box = await notices.boundingBox();
  expect(box && box.height <= 330 && box.y > 300).toBe(true);
  await expect(notices).toContainText('second.json');
  await notices.getByRole('button', { name: 'Dismiss' }).first().click();
  await expect(notices.getByRole('alert')).toHaveCount(2);
});

test('what would be too much is refused in words, and the value stays', async ({ page }) => {
  const layer = { kind: 'copies', id: 'c', name: 'Blocks', arrangement: 'grid', countX: 6, countY: 90, countZ: 90 };
  const piece = {
    id: 'b',
    name: 'Blocks',
    lap: { frames: 24, rate: { num: 24, den: 1 } },
    layers: [layer],
    flight: {},
    look: {},
  };
  const file = (of: object) => ({
    name: 'blocks.isomorph.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ format: 'isomorph', version: 3, piece: of })),
  });
  const open = async (of: object): Promise<void> => {
    const chosen = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open file' }).click();
    await (await chosen).setFiles(file(of));
  };
  const notices = page.getByRole('region', { name: 'Notices' });
  await page.goto('/');
  await open({ ...piece, layers: [{ ...layer, countX: 400, countY: 400, countZ: 400 }] });
  await expect(notices).toContainText('“Blocks” would have 64,000,000 bodies; the most is 200,000');
  await notices.getByRole('button', { name: 'Dismiss' }).click();
  await open(piece);
  const across = page.locator('[data-row="layers.0.countX"]').getByRole('textbox');
  await expect(across).toHaveValue('6');
  await across.fill('400');
  await across.press('Enter');
  await expect(notices).toContainText('“Blocks” would have 3,240,000 bodies; the most is 200,000');
  await expect(across).toHaveValue('6');
  await across.fill('7');
  await across.press('Enter');
  await expect(across).toHaveValue('7');
  await expect(notices).toHaveCount(0);
});

test('grips are at least 24 pixels, and opening a piece puts the focus into it', async ({ page }) => {
  await openRecipe(page, 'Buoy ring');
  await pause(page);
  // nothing makes the page longer than its window
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBe(0);
  await page.getByRole('button', { name: 'Back to the loops' }).click();
  await expect(page.getByRole('main')).toBeFocused();
  await page.goBack();
  await expect(page.getByRole('main')).toBeFocused();
  await step(page, 'Fly').click();
  await page.getByRole('article', { name: 'Lens' }).getByRole('button').first().click();
  await page.locator('[data-row="flight.focalMm"]').click();
  const key = page.getByRole('slider', { name: /^Key at frame \d+$/ }).first();
  const box = await key.boundingBox();
  if (!box) throw new Error('no key');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const grasped = await page.evaluate(
    ([cx, cy]) =>
      [
        [-11, 0],
        [11, 0],
        [0, -11],
        [0, 11],
      ].map(([dx, dy]) => getComputedStyle(document.elementFromPoint(cx + dx, cy + dy) ?? document.body).cursor),
    [x, y],
  );
  expect(grasped).toEqual(['move', 'move', 'move', 'move']);
});

test('what goes wrong in a card or a band stays in it, and can be undone', async ({ page }) => {
  await openRecipe(page, 'Slipway spiral');
  await pause(page);
  const cards = page.getByRole('complementary').getByRole('article');
  const before = await cards.count();
  // a count that cannot be written breaks the one card that shows it
  await page.evaluate(() => {
    const write = Number.prototype.toLocaleString;
    Number.prototype.toLocaleString = function (this: number, ...args: []) {
      if (Number(this) === 7) throw new Error('seven is not written');
      return write.apply(this, args);
    };
  });
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: /Fill a space/ }).click();
  const count = page.getByRole('textbox', { name: /^Count/ }).first();
  await count.fill('7');
  await count.press('Enter');
  const failed = page.getByRole('alert', { name: /The card of .* failed/ });
  await expect(failed).toContainText('seven is not written');
  await expect(cards).toHaveCount(before);
  await expect(picture(page)).toBeVisible();
  await failed.getByRole('button', { name: 'Undo' }).click();
  await expect(failed).toHaveCount(0);
  await expect(cards).toHaveCount(before + 1);
  // and a band that cannot draw leaves the cards
  await page.evaluate(() => {
    CanvasRenderingContext2D.prototype.clearRect = () => {
      throw new Error('no band today');
    };
  });
  await step(page, 'Look').click();
  await expect(page.getByRole('alert', { name: 'This band failed' })).toContainText('no band today');
  await expect(page.getByRole('article', { name: 'Glow' })).toBeVisible();
});
