import { expect, test, type Page } from '@playwright/test';
import { definitionOf, presetLayer, LAYERS } from '../../src/core/layers/kinds';
import { PieceSchema } from '../../src/core/piece/schema';
import { boxOf, scaleHandle } from '../../src/app/steps/build/map/handles';
import { mapView } from '../../src/app/steps/build/map/view';
import { writePng } from '../../src/formats/png/png';
import { drawn, move, openRecipe, pause, saved, step } from './ui';

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
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: need }).click();
};
const treatments = (page: Page) => page.getByRole('region', { name: 'Treatments' });
const value = (page: Page, name: RegExp | string) => page.getByRole('textbox', { name });

test('every need adds a layer that is drawn, and the lap still closes', async ({ page }) => {
  test.setTimeout(240_000);
  await newLap(page);
  for (const kind of LAYERS.names) {
    await add(page, definitionOf(kind).need);
    await drawn(page);
    // one at a time: all together are too much for a software GPU
    await page
      .getByRole('complementary')
      .getByRole('button', { name: /^Hide / })
      .first()
      .click();
  }
  const cards = page.getByRole('complementary').getByRole('article');
  await expect(cards).toHaveCount(LAYERS.names.length);
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
  await list.getByRole('button', { name: /^Twist/ }).click();
  await move(page, 'Twist', 'ArrowUp');
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
  // the same geometry as the map's own, for the layer the need adds to a new lap
  const grips = async () => {
    const layer = {
      ...presetLayer('links', 0, { id: 'l', name: 'L', seed: 2 }),
      ahead: Number(await ahead.inputValue()),
    };
    const lap = { frames: 250, rate: { num: 25, den: 1 } };
    const piece = PieceSchema.parse({ id: 'p', name: 'P', lap, layers: [layer], flight: {}, look: {} });
    const view = mapView(piece, box.width, box.height);
    const plan = boxOf(piece, piece.layers[0], 'plan', view, 0);
    const at = ([px, py]: readonly [number, number]) => [box.x + px, box.y + py] as const;
    const middle = at([(plan.left + plan.right) / 2, (plan.top + plan.bottom) / 2]);
    return { perMetre: view.perMetre, middle, corner: at(scaleHandle(plan)) };
  };
  const drag = async ([x, y]: readonly [number, number], byX: number, byY: number): Promise<void> => {
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + byX, y + byY, { steps: 4 });
    await page.mouse.up();
  };
  const before = await grips();
  await drag(before.middle, before.perMetre, 0);
  await expect(ahead).toHaveValue(/^(4\.9|5\.0)/);
  await drag((await grips()).corner, 30, 12);
  await expect(value(page, /^Scale/)).not.toHaveValue('1.00');
  await page.keyboard.press('Control+z');
  await expect(value(page, /^Scale/)).toHaveValue('1.00');
  await page.keyboard.press('Control+z');
  await expect(ahead).toHaveValue('4.00');
});

test('a layer is carried, turned and scaled in the picture itself, each in one undo step', async ({ page }) => {
  await openRecipe(page, 'Kit ring');
  await pause(page);
  const aside = value(page, /^Aside, m$/);
  const heading = value(page, /^Heading/);
  await expect(aside).toHaveValue('0.00');
  const drag = async (name: string, byX: number, byY: number): Promise<void> => {
    const box = await page.getByRole('button', { name: `${name} Kit ring`, exact: true }).boundingBox();
    if (!box) throw new Error('there is no such grip');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + byX / 2, y + byY / 2);
    await page.mouse.move(x + byX, y + byY);
    await page.mouse.up();
  };
  await drag('Carry', 40, 0);
  await expect(aside).not.toHaveValue('0.00');
  expect(Number(await aside.inputValue())).toBeGreaterThan(0.2);
  await drag('Turn', 60, 0);
  await expect(heading).toHaveValue('30.0');
  await page.getByRole('button', { name: 'Scale Kit ring' }).press('ArrowRight');
  await expect(value(page, /^Scale/)).toHaveValue('1.10');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect(aside).toHaveValue('0.00');
  await expect(heading).toHaveValue('0.0');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Carry Kit ring' })).toHaveCount(0);
});

test('the route of a tunnel is drawn in the map, its section as an outline, and a camera along it closes', async ({
  page,
}) => {
  await newLap(page);
  await add(page, 'Enclose the camera');
  const choose = async (label: string, option: string): Promise<void> => {
    await page.getByRole('button', { name: label }).click();
    await page.getByRole('option', { name: option, exact: true }).click();
  };
  await choose('Section', 'Drawn outline');
  await choose('Route', 'Closed curve');
  const points = page.getByRole('region', { name: 'Points of the curve' }).getByRole('button', { name: /^Point \d+$/ });
  await expect(points).toHaveCount(8);
  const map = page.getByLabel('Map', { exact: true });
  const box = await map.boundingBox();
  if (!box) throw new Error('the map is not shown');
  // the same geometry as the map's own
  const layer = {
    ...presetLayer('tunnel', 0, { id: 'l', name: 'L', seed: 1 }),
    section: 'drawn',
    route: 'closed',
    twist: 0,
  };
  const lap = { frames: 250, rate: { num: 25, den: 1 } };
  const piece = PieceSchema.parse({ id: 'p', name: 'P', lap, layers: [layer], flight: {}, look: {} });
  const view = mapView(piece, box.width, box.height, piece.layers[0]);
  const third = { x: view.x(12, 'plan'), y: view.y(2.5, 'plan') };
  await page.mouse.move(box.x + third.x, box.y + third.y);
  await page.mouse.down();
  await page.mouse.move(box.x + third.x, box.y + third.y - view.across, { steps: 4 });
  await page.mouse.up();
  await expect(value(page, 'Point 3, aside')).toHaveValue(/^3\.[45]/);
  await page.keyboard.press('Control+z');
  await expect(value(page, 'Point 3, aside')).toHaveValue('2.50');
  await map.dblclick({ position: { x: view.x(4, 'plan'), y: view.y(-0.5, 'plan') } });
  await expect(points).toHaveCount(9);
  await map.press('Delete');
  await expect(points).toHaveCount(8);
  await drawn(page);
  // what goes round in itself is told from a camera that travels on, and fits one that goes round with it
  await step(page, 'Seam').click();
  await expect(page.getByText(/a route that closes on itself/)).toBeVisible();
  await page.getByText('Fly round along it').locator('..').getByRole('button', { name: 'Repair' }).click();
  await expect(page.getByText(/a route that closes on itself/)).toBeHidden();
  // a fifth of a turn fitted the five sides it had, not the outline
  await expect(page.getByText('0.2 turns per tile does not close')).toBeVisible();
  await page.getByRole('button', { name: 'Repair' }).click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
});

test('a picture of one’s own becomes the sprite; what is no picture is said so, and nothing is lost', async ({
  page,
}) => {
  await newLap(page);
  await add(page, 'Fill a space');
  await page.getByRole('button', { name: 'Sprite' }).click();
  await page.getByRole('option', { name: 'A picture' }).click();
  await expect(page.getByRole('img', { name: 'Picture: a crystal' })).toBeVisible();
  const rgba = new Uint8Array(4 * 4 * 4).fill(255);
  const png = writePng({ width: 4, height: 4, channels: 4, samples: rgba });
  const file = page.getByLabel('Picture file');
  await file.setInputFiles({ name: 'sail.png', mimeType: 'image/png', buffer: Buffer.from(png) });
  await expect(page.getByRole('img', { name: 'Picture: your own' })).toBeVisible();
  await file.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('low tide at six') });
  await expect(page.getByRole('alert')).toContainText('“notes.txt” is not a picture this browser reads');
  await expect(page.getByRole('img', { name: 'Picture: your own' })).toBeVisible();
  await drawn(page);
  await page.getByRole('button', { name: 'Use the crystal' }).click();
  await expect(page.getByRole('img', { name: 'Picture: a crystal' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('img', { name: 'Picture: your own' })).toBeVisible();
  await saved(page);
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

test('matter and what covers it are chosen by balls, drawn in the layer’s own colours; lines along it by a word', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await newLap(page);
  await add(page, 'Repeat a shape');
  await drawn(page);
  const choose = async (row: string, ball: string): Promise<void> => {
    await page.getByRole('button', { name: new RegExp(`^${row}:`) }).click();
    const option = page.getByRole('option', { name: ball, exact: true });
    await expect(option.locator('img')).toBeVisible({ timeout: 60_000 });
    await option.click();
  };
  await choose('Made of', 'Glass');
  await expect(page.getByRole('button', { name: 'Made of: Glass' })).toBeVisible();
  await expect(value(page, 'Refracts')).toHaveValue('1.50');
  await choose('Covered with', 'Crackle');
  await expect(page.getByRole('button', { name: 'Covered with: Cells' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read as' })).toContainText('Cracks');
  await drawn(page);
  await page.getByRole('button', { name: 'Draws' }).click();
  await page.getByRole('option', { name: 'Its edges' }).click();
  await expect(page.getByRole('button', { name: 'As it is Over' })).toBeVisible();
  await drawn(page);
  for (const _ of ['lines', 'pattern', 'matter']) await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Made of: Plain' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Covered with: Even' })).toBeVisible();
});
