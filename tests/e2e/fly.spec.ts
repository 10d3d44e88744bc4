import { expect, test, type Page } from '@playwright/test';
import { newLight } from '../../src/core/look/lights/kinds';
import { toDocument } from '../../src/core/piece/document';
import { pieceOf } from '../pieces';
import { drawn, drop, openRecipe, pause, saved, step } from './ui';

// The flight in the real interface: a circuit drawn in the map, flying by hand, curves across the seam, a dolly zoom.
let errors: string[] = [];
test.beforeEach(({ page }) => {
  errors = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
});
test.afterEach(() => expect(errors).toEqual([]));

const card = (page: Page, name: string) => page.getByRole('article', { name, exact: true });
const openCard = async (page: Page, name: string): Promise<void> =>
  card(page, name).getByRole('button').first().click();
const choose = async (page: Page, label: string, option: string): Promise<void> => {
  await page
    .getByRole('button', { name: new RegExp(`${label}$`) })
    .last()
    .click();
  await page.getByRole('option', { name: option, exact: true }).click();
};
const route = async (page: Page, option: string): Promise<void> => {
  await card(page, 'Route').locator('section').first().getByRole('button').click();
  await page.getByRole('option', { name: option, exact: true }).click();
};
const band = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Shown in the band' }).getByRole('button', { name });
const number = (page: Page, name: RegExp | string) => page.getByRole('textbox', { name });
const flying = async (page: Page, name = 'Salt lattice'): Promise<void> => {
  await openRecipe(page, name);
  await pause(page);
  await step(page, 'Fly').click();
};
const closes = async (page: Page): Promise<void> => {
  await step(page, 'Seam').click();
  await expect(page.getByRole('heading', { name: 'The lap closes' })).toBeVisible({ timeout: 60_000 });
};

test('a circuit is drawn in the map: points dragged, added, removed, raised and tilted, and it closes', async ({
  page,
}) => {
  await flying(page);
  await openCard(page, 'Route');
  await route(page, 'Circuit');
  await band(page, 'Map').click();
  const points = page.getByRole('region', { name: 'Points of the curve' });
  await expect(points.getByRole('button', { name: /^Point \d+$/ })).toHaveCount(8);
  const map = page.getByLabel('Map', { exact: true });
  const box = await map.boundingBox();
  if (!box) throw new Error('no map');
  // the first point is the nearest to the left edge of the plan, in its middle
  const aside = number(page, 'Point 1, aside');
  const before = Number(await aside.inputValue());
  await points.getByRole('button', { name: 'Point 1', exact: true }).click();
  const middle = box.y + 14 + (box.height - 20) / 2;
  let x = box.x;
  // find it by the pointer, as a hand would
  for (let dx = 2; dx < 200; dx += 3) {
    await page.mouse.move(box.x + dx, middle);
    if ((await map.getAttribute('data-over')) === 'true') {
      x = box.x + dx + 3;
      break;
    }
  }
  await page.mouse.move(x, middle);
  await page.mouse.down();
  await page.mouse.move(x, middle - 20, { steps: 4 });
  await page.mouse.up();
  await expect(aside).not.toHaveValue(before.toFixed(2));
  await page.keyboard.press('Control+z');
  await expect(aside).toHaveValue(before.toFixed(2));
  await map.dblclick({ position: { x: box.width * 0.2, y: box.height * 0.15 } });
  await expect(points.getByRole('button', { name: /^Point \d+$/ })).toHaveCount(9);
  await map.press('Delete');
  await expect(points.getByRole('button', { name: /^Point \d+$/ })).toHaveCount(8);
  await number(page, 'Point 4, above').fill('3');
  await number(page, 'Point 4, above').press('Enter');
  await number(page, /^Tilt, °/).fill('15');
  await number(page, /^Tilt, °/).press('Enter');
  await number(page, /^Stray/).fill('0.5');
  await number(page, /^Stray/).press('Enter');
  await closes(page);
});

test('flying by hand: keys and drags move the picture only; views are kept as keys and stations', async ({ page }) => {
  await flying(page);
  await openCard(page, 'Route');
  await page.getByRole('button', { name: 'Fly by hand' }).click();
  const room = page.getByRole('application');
  await expect(room).toBeVisible();
  await page.keyboard.down('d');
  await page.waitForTimeout(500);
  await page.keyboard.up('d');
  const box = await room.boundingBox();
  if (!box) throw new Error('no picture');
  await page.mouse.move(box.x + 300, box.y + 200);
  await page.mouse.down();
  await page.mouse.move(box.x + 360, box.y + 200, { steps: 3 });
  await page.mouse.up();
  // nothing of the piece has changed yet
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  const keyHere = page.getByRole('button', { name: /^Key at/ });
  const first = await keyHere.innerText();
  await keyHere.click();
  await expect(card(page, 'Route')).toContainText('free · keys at 1 frame');
  const aside = Number(await number(page, /^Aside, m/).inputValue());
  expect(aside).toBeGreaterThan(0.3);
  await page.keyboard.press('Escape');
  await expect(room).toHaveCount(0);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('h');
  await page.keyboard.down('w');
  await page.waitForTimeout(400);
  await page.keyboard.up('w');
  // a view is kept at the frame that is shown, which may lag behind the steps on a slow machine
  await expect(keyHere).not.toHaveText(first);
  await keyHere.click();
  await expect(card(page, 'Route')).toContainText('keys at 2 frames');
  await page.getByRole('button', { name: 'Station', exact: true }).click();
  await page.keyboard.down('a');
  await page.waitForTimeout(400);
  await page.keyboard.up('a');
  await page.getByRole('button', { name: 'Station', exact: true }).click();
  await expect(card(page, 'Route')).toContainText('2 stations');
  await page.getByRole('button', { name: 'Leave' }).click();
  await expect(page.getByRole('region', { name: 'Stations' })).toContainText('here from frame 0');
  await saved(page);
  await closes(page);
});

test('an observer sees the camera from outside, clearly marked, and exports stay the camera’s', async ({ page }) => {
  await flying(page);
  await page.getByRole('button', { name: 'Observe' }).click();
  await expect(page.getByText('Observer’s view: exports show what the camera sees')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.getByRole('button', { name: 'Back to the camera' }).click();
  await expect(page.getByText('Observer’s view')).toHaveCount(0);
});

test('the unrolled lap: keys chosen, dragged across the seam, bent by handles, eased at once, copied', async ({
  page,
}) => {
  await flying(page);
  await openCard(page, 'Aim');
  await page.keyboard.press('Home');
  await expect(page.getByRole('slider', { name: 'Time in the lap' })).toHaveAttribute('aria-valuenow', '0');
  await page.getByRole('button', { name: /^Look aside: Fixed/ }).click();
  await page.getByRole('menuitem', { name: 'Keyed' }).click();
  const own = page.getByRole('slider', { name: /^Key at frame \d+$/ });
  await expect(own).toHaveCount(2);
  // looking into a field sets no key; Enter does
  await page.keyboard.press('Shift+ArrowRight');
  const bead = page.getByRole('slider', { name: 'Time in the lap' });
  await expect(bead).not.toHaveAttribute('aria-valuenow', '0');
  await number(page, /^Look aside, °/).click();
  await page.keyboard.press('Tab');
  await expect(own).toHaveCount(2);
  await bead.focus();
  await page.keyboard.press('PageDown');
  await expect(bead).toHaveAttribute('aria-valuenow', '0');
  await number(page, /^Look aside, °/).fill('20');
  await number(page, /^Look aside, °/).press('Enter');
  // drag the first key back over the seam: it comes in again at the end of the lap
  const first = await own.first().boundingBox();
  const second = await own.nth(1).boundingBox();
  if (!first || !second) throw new Error('no keys');
  await page.mouse.move(first.x + 5, first.y + 5);
  await page.mouse.down();
  await page.mouse.move(first.x - 45, first.y + 5, { steps: 4 });
  await page.mouse.up();
  const names = async (): Promise<number[]> =>
    (await own.evaluateAll((all) => all.map((e) => e.getAttribute('aria-label') ?? ''))).map((n) =>
      Number(/\d+/.exec(n)?.[0]),
    );
  const frames = await names();
  expect(Math.max(...frames)).toBeGreaterThan(120);
  // the chosen key has handles; dragging one makes an own curve
  const handle = page.getByRole('button', { name: /^Handle that leaves/ }).first();
  const grip = await handle.boundingBox();
  if (!grip) throw new Error('no handle');
  await page.mouse.move(grip.x + 4, grip.y + 4);
  await page.mouse.down();
  await page.mouse.move(grip.x + 24, grip.y + 30, { steps: 4 });
  await page.mouse.up();
  await expect(
    page.getByRole('button', { name: /Own curve.*easing to the next|easing to the next.*Own curve/ }).first(),
  ).toBeVisible();
  await own.first().focus();
  await page.keyboard.press('Control+a');
  await page.getByRole('button', { name: /Ease 2 chosen keys/ }).click();
  await page.getByRole('option', { name: 'Gentle' }).click();
  await expect(page.getByRole('button', { name: /Gentle/ }).first()).toBeVisible();
  await own.first().focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+c');
  await page.getByRole('slider', { name: 'Time in the lap' }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageUp');
  await own.first().focus();
  await page.keyboard.press('Control+v');
  await expect(own).toHaveCount(4);
  await page.keyboard.press('Delete');
  await expect(own).toHaveCount(2);
  await closes(page);
});

test('a dolly zoom holds its subject, a focus is pulled between marks, and comfort is measured', async ({ page }) => {
  await flying(page);
  await openCard(page, 'Lens');
  const set = await number(page, /^Focal length/).inputValue();
  await choose(page, 'Holds in size', 'By zooming');
  await choose(page, 'Subject', 'A layer’s middle');
  await choose(page, 'Layer', 'Salt');
  await expect(number(page, /^Focal length/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Hold the size it has at this frame' }).click();
  await expect(number(page, /^Width there/)).not.toHaveValue('4.00');
  // held at the size it has: the lens is the one it was
  await expect(card(page, 'Lens')).toContainText(`${Number(set).toFixed(0)} mm`);
  await choose(page, 'Projection', 'Isometric');
  await expect(card(page, 'Lens')).toContainText('isometric');
  await expect(card(page, 'Aim')).toContainText('fixed by the isometric view');
  await choose(page, 'Projection', 'Perspective');
  await openCard(page, 'Focus');
  await choose(page, 'Pulls to', 'A distance');
  await expect(number(page, /^Pull, %/)).toBeVisible();
  await openCard(page, 'Handheld');
  await choose(page, 'Operator', 'Walking');
  await expect(number(page, /^Up and down, cm/)).toHaveValue('20.0');
  await number(page, /^Up and down, cm/).fill('5');
  await number(page, /^Up and down, cm/).press('Enter');
  await expect(card(page, 'Handheld')).toContainText('own figures');
  await openCard(page, 'Roll');
  await page.getByRole('button', { name: /^Roll: Fixed/ }).click();
  await page.getByRole('menuitem', { name: 'Wound' }).click();
  await number(page, /^Roll, steps per lap/).fill('3');
  await number(page, /^Roll, steps per lap/).press('Enter');
  await band(page, 'Comfort').click();
  const comfort = page.getByRole('status', { name: 'Comfort' });
  await expect(comfort).toContainText('makes people dizzy', { timeout: 30_000 });
  await comfort
    .getByRole('button', { name: /^Lengthen the lap/ })
    .last()
    .click();
  await expect(comfort).not.toContainText('makes people dizzy', { timeout: 30_000 });
});

test('an orbit, a carried camera and one that looks ahead on its way close; keys snap to beats', async ({ page }) => {
  await flying(page, 'Slipway spiral');
  await openCard(page, 'Aim');
  await number(page, /^Look ahead, m/).fill('2.5');
  await number(page, /^Look ahead, m/).press('Enter');
  await expect(card(page, 'Aim')).toContainText('2.5 m ahead on the way');
  // 20 beats in 300 frames: a beat every 15
  await page.getByRole('button', { name: /^Look aside: Fixed/ }).click();
  await page.getByRole('menuitem', { name: 'Keyed' }).click();
  const keys = page.getByRole('slider', { name: /^Key at frame \d+$/ });
  await expect(keys).toHaveCount(2);
  await page.getByText('Snap to beats').click();
  const framesOfKeys = (): Promise<number[]> =>
    keys.evaluateAll((all) => all.map((e) => Number(/\d+/.exec(e.getAttribute('aria-label') ?? '')?.[0])));
  // where they are made: at the playhead, wherever that rests
  const made = await framesOfKeys();
  const moved = async (): Promise<number[]> => (await framesOfKeys()).filter((frame) => !made.includes(frame));
  // while the curve is still being laid out the pointer may miss the key; what was moved is not moved again
  await expect(async () => {
    if ((await moved()).length > 0) return;
    const key = await keys.nth(1).boundingBox();
    if (!key) throw new Error('no key');
    await page.mouse.move(key.x + 5, key.y + 5);
    await page.mouse.down();
    await page.mouse.move(key.x + 52, key.y + 5, { steps: 4 });
    await page.mouse.up();
    await expect.poll(async () => (await moved()).length, { timeout: 5000 }).toBe(1);
  }).toPass({ timeout: 60_000, intervals: [2000] });
  const [frame, ...others] = await moved();
  expect(others).toEqual([]);
  expect(frame % 15).toBe(0);
  await closes(page);
  await step(page, 'Fly').click();
  await openCard(page, 'Route');
  await route(page, 'Orbit');
  await choose(page, 'Around', 'A layer’s middle');
  await number(page, /^Turns, turns per lap/).fill('2');
  await number(page, /^Turns, turns per lap/).press('Enter');
  await expect(card(page, 'Route')).toContainText('2 turns');
  await closes(page);
  await step(page, 'Fly').click();
  await route(page, 'Attached');
  await choose(page, 'Layer', 'Sparks');
  await expect(card(page, 'Route')).toContainText('Sparks');
  await closes(page);
  // a lap in beats may be one in frames again, of the same length
  await page.getByRole('button', { name: /^Lap and frame/ }).click();
  await page.getByRole('dialog', { name: 'Lap and frame' }).getByText('on', { exact: true }).click();
  await expect(number(page, 'Frames, f')).toHaveValue('300');
});

test('a dome is seen by a fisheye, and closes; another shape has a lens again', async ({ page }) => {
  const shape = async (name: string): Promise<void> => {
    await page.getByRole('button', { name: /^Lap and frame/ }).click();
    await choose(page, 'Frame', name);
    await expect(page.getByRole('listbox')).toHaveCount(0);
    const settings = page.getByRole('dialog', { name: 'Lap and frame' });
    await settings.press('Escape');
    await expect(settings).toHaveCount(0);
  };
  await flying(page);
  await shape('Dome, 2048 × 2048');
  await openCard(page, 'Lens');
  await expect(card(page, 'Lens')).toContainText('fisheye · 180°');
  await number(page, /^Middle raised/).fill('90');
  await number(page, /^Middle raised/).press('Enter');
  await expect(card(page, 'Lens')).toContainText('raised 90°');
  await closes(page);
  await step(page, 'Fly').click();
  await shape('16:9, 1920 × 1080');
  await expect(card(page, 'Lens')).toContainText(/mm · [\d.]+° wide/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(card(page, 'Lens')).toContainText('fisheye');
});

test('the parts of a turn after which a world looks the same are found and flown', async ({ page }) => {
  const ring = pieceOf(
    {
      ...{ kind: 'copies', arrangement: 'ring', count: 12, radius: 3, source: 'box', size: 0.4, variation: 0 },
      ...{ ahead: 5, once: true, pitch: 90, gradient: [{ at: 0, colour: '#d8a24a' }] },
    } as never,
    {
      flight: { route: { kind: 'orbit', around: { on: 'point', aside: 0, above: 0, ahead: 5 }, turnsPerLap: 1 } },
      look: { lights: [newLight('surroundings', 'around')] },
    },
  );
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Open Slipway spiral' })).toBeVisible();
  await drop(page, [['ring.isomorph.json', Buffer.from(JSON.stringify(toDocument(ring)))]]);
  await drawn(page);
  await pause(page);
  await step(page, 'Fly').click();
  await openCard(page, 'Route');
  const found = page.getByRole('region', { name: 'Parts of a turn' });
  await found.getByRole('button', { name: 'Find' }).click();
  await expect(found.getByRole('status')).toHaveText(/looks the same 12 times a turn/, { timeout: 30_000 });
  await found.getByRole('button', { name: '1/4' }).click();
  await expect(number(page, /^World repeats, times a turn/)).toHaveValue('4');
  await expect(number(page, /^Turns, turns per lap/)).toHaveValue('0.250');
  await closes(page);
});
