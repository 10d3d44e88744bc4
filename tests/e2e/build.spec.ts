import { expect, test, type Page } from '@playwright/test';
import { definitionOf, layerKinds } from '../../src/core/layers/registry';
import { drawn, openRecipe, pause, saved, step } from './ui';

// Building a world: needs, treatments, the map and siblings, in the real interface.
let errors: string[] = [];
test.beforeEach(({ page }) => {
  errors = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
});
test.afterEach(() => expect(errors).toEqual([]));

const newLap = async (page: Page): Promise<void> => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New lap' }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await pause(page);
};
const add = async (page: Page, need: string): Promise<void> => {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: need }).click();
};
const treatments = (page: Page) => page.getByRole('region', { name: 'Treatments' });
const value = (page: Page, name: RegExp | string) => page.getByRole('textbox', { name });

test('every need adds a layer that is drawn, and the lap still closes', async ({ page }) => {
  await newLap(page);
  for (const kind of layerKinds) {
    await add(page, definitionOf(kind).need);
    await drawn(page);
  }
  const cards = page.getByRole('complementary').getByRole('article');
  await expect(cards).toHaveCount(layerKinds.length);
  await step(page, 'Seam').click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
});

test('a preset sets a layer, in one undo step', async ({ page }) => {
  await newLap(page);
  await add(page, 'Repeat a shape');
  await page.getByRole('button', { name: 'Preset' }).click();
  await page.getByRole('option', { name: 'Spiral of rings' }).click();
  await expect(page.getByRole('button', { name: 'Body' })).toContainText('Ring');
  await expect(treatments(page).getByRole('button', { name: /^Turn/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Body' })).toContainText('Box');
});

test('treatments: added, set, reordered, switched off, kept over a reload, removed, undone', async ({ page }) => {
  await newLap(page);
  await add(page, 'Fill a space');
  const list = treatments(page);
  const titles = () => list.locator('b').allTextContents();
  expect(await titles()).toEqual(['Drift']);
  for (const kind of ['Disorder', 'Twist']) {
    await list.getByRole('button', { name: 'Treat' }).click();
    await page.getByRole('menuitem', { name: new RegExp(`^${kind}`) }).click();
  }
  expect(await titles()).toEqual(['Drift', 'Disorder', 'Twist']);
  // a particle field has no bodies to break
  await list.getByRole('button', { name: 'Treat' }).click();
  await expect(page.getByRole('menuitem', { name: /^Shatter/ })).toHaveCount(0);
  await page.keyboard.press('Escape');
  // a twist through the tile snaps to whole turns: a cloud has no other symmetry
  const turns = value(page, /^Turns/);
  await turns.fill('0.8');
  await turns.press('Enter');
  const grip = list.getByRole('button', { name: 'Move Twist' });
  await grip.focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(150);
  await page.keyboard.press('ArrowUp');
  await page.waitForTimeout(150);
  await page.keyboard.press('Space');
  await expect.poll(titles).toEqual(['Drift', 'Twist', 'Disorder']);
  await list.getByRole('button', { name: 'Switch Disorder off' }).click();
  await expect(list.getByText('off', { exact: true })).toBeVisible();
  await saved(page);
  await page.reload();
  await drawn(page);
  await expect.poll(() => treatments(page).locator('b').allTextContents()).toEqual(['Drift', 'Twist', 'Disorder']);
  await treatments(page).getByRole('button', { name: 'Remove Drift' }).click();
  await expect.poll(titles).toEqual(['Twist', 'Disorder']);
  await page.keyboard.press('Control+z');
  await expect.poll(titles).toEqual(['Drift', 'Twist', 'Disorder']);
});

test('a layer is moved and scaled on the map, each in one undo step', async ({ page }) => {
  await newLap(page);
  await add(page, 'Connect points');
  const map = page.getByLabel('Map of the world: plan and side view with the camera');
  const box = await map.boundingBox();
  if (!box) throw new Error('the map is not shown');
  const ahead = value(page, /^Ahead/);
  await expect(ahead).toHaveValue('4.00');
  // three tiles of 8 m from 36 px on; the upper lane is the plan
  const perMetre = (box.width - 48) / 24;
  const [x, y] = [box.x + 36 + 4 * perMetre, box.y + 14 + (box.height - 14) / 4];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + perMetre, y, { steps: 4 });
  await page.mouse.up();
  await expect(ahead).toHaveValue(/^(4\.9|5\.0)/);
  const corner = [x + perMetre * 2.5, y + Math.min(perMetre, (box.height - 14) / 4 / 1.5 - 4 / 1.5) * 1.5] as const;
  await page.mouse.move(corner[0], corner[1]);
  await page.mouse.down();
  await page.mouse.move(corner[0] + perMetre, corner[1] + 10, { steps: 4 });
  await page.mouse.up();
  await expect(value(page, /^Scale/)).not.toHaveValue('1.00');
  await page.keyboard.press('Control+z');
  await expect(value(page, /^Scale/)).toHaveValue('1.00');
  await page.keyboard.press('Control+z');
  await expect(ahead).toHaveValue('4.00');
});

test('siblings: a fan of live pictures; choosing one adopts it in one undo step', async ({ page }) => {
  await openRecipe(page, 'Plankton bloom');
  await pause(page);
  const before = await page
    .getByRole('textbox')
    .evaluateAll((fields) => fields.map((f) => (f as HTMLInputElement).value));
  await page.getByRole('button', { name: /^Siblings of/ }).click();
  const fan = page.getByRole('region', { name: 'Siblings' });
  await expect(fan.locator('img')).toHaveCount(8, { timeout: 120_000 });
  await fan.getByRole('button', { name: 'Sibling 8, bold' }).click();
  const values = () =>
    page.getByRole('textbox').evaluateAll((fields) => fields.map((f) => (f as HTMLInputElement).value));
  expect(await values()).not.toEqual(before);
  await page.keyboard.press('Control+z');
  expect(await values()).toEqual(before);
});
