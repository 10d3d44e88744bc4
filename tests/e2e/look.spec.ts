import { expect, test } from '@playwright/test';
import { drawn, drop, move, openRecipe, pause, saved, step } from './ui';

test('effects are added, switched off, put into another order, removed, and brought back by undo', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Look').click();
  const section = page.getByRole('region', { name: 'Effects' });
  const cards = section.getByRole('article');
  const names = (): Promise<string[]> => cards.locator('header b').allTextContents();
  expect(await names()).toEqual(['Glow', 'Vignette', 'Tone', 'Grain', 'Dither']);
  await page.getByRole('button', { name: 'Add an effect' }).click();
  await page.getByRole('menuitem', { name: 'Vignette' }).click();
  // the list stands as it acts: what acts on light is before tone
  expect(await names()).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Grain', 'Dither']);
  // it is opened, with rows of its own
  await expect(cards.nth(2).getByRole('textbox', { name: 'Amount' })).toBeVisible();
  await page.getByRole('button', { name: 'Switch Glow off' }).click();
  await expect(cards.nth(0)).toContainText('off');
  // tone is always there
  await expect(page.getByRole('button', { name: 'Remove Tone' })).toHaveCount(0);
  await move(page, 'Grain', 'ArrowDown');
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Dither', 'Grain']);
  // dither is of the display, and cannot come before there is one
  await move(page, 'Dither', 'ArrowUp');
  await page.waitForTimeout(500);
  expect(await names()).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Dither', 'Grain']);
  await page.getByRole('button', { name: 'Remove Dither' }).click();
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Grain']);
  await page.getByRole('button', { name: 'Brightness' }).click();
  await expect(page.getByText('Dither is off')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect.poll(names, { timeout: 30_000 }).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Grain']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Dither', 'Grain']);
});

test('lights are added, named, dimmed, switched off and removed', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Look').click();
  const cards = page.getByRole('region', { name: 'Lights' }).getByRole('article');
  const names = (): Promise<string[]> => cards.locator('header b').allTextContents();
  const before = await names();
  expect(before.slice(0, 4)).toEqual(['All lights', 'Key', 'Fill', 'Rim']);
  await page.getByRole('button', { name: 'Add a light' }).click();
  await page.getByRole('menuitem', { name: 'Sun' }).click();
  const added = cards.last();
  await added.getByRole('textbox', { name: 'Name of the light' }).fill('Low sun');
  await page.keyboard.press('Enter');
  expect(await names()).toEqual([...before, 'Low sun']);
  const strength = added.getByRole('textbox', { name: 'Strength' });
  await strength.fill('8');
  await strength.press('Enter');
  await expect(added).toContainText('8 ×');
  await page.getByRole('button', { name: 'Switch Low sun off' }).click();
  await expect(added.locator('header')).toContainText('off');
  // alone it is seen all the same, until all are again; and what is gone is not alone
  const mark = page.getByText('shown alone');
  await page.getByRole('button', { name: 'Show Low sun alone' }).click();
  await expect(mark).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(mark).toHaveCount(0);
  await page.getByRole('button', { name: 'Show Low sun alone' }).click();
  await expect(mark).toBeVisible();
  await page.getByRole('button', { name: 'Remove Low sun' }).click();
  await expect(mark).toHaveCount(0);
  await expect.poll(names).toEqual(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual([...before, 'Low sun']);
  await saved(page);
  await page.reload();
  await expect.poll(names, { timeout: 30_000 }).toEqual([...before, 'Low sun']);
});

test('lights are set up about the subject, dragged on the table, and cast shadows', async ({ page }) => {
  await openRecipe(page, 'Buoy ring');
  await pause(page);
  await step(page, 'Look').click();
  const cards = page.getByRole('region', { name: 'Lights' }).getByRole('article');
  await page.getByRole('button', { name: 'Set up lights' }).click();
  await page.getByRole('menuitem', { name: 'Three lamps' }).click();
  const names = (): Promise<string[]> => cards.locator('header b').allTextContents();
  await expect.poll(names).toEqual(['All lights', 'Key', 'Fill', 'Rim', 'Surroundings']);
  await expect(cards.nth(1)).toContainText('shadows');
  await cards.nth(1).locator('header b').click();
  const aside = cards.nth(1).getByRole('textbox', { name: 'Aside' }).first();
  const before = Number(await aside.inputValue());
  // the key is to the right of the middle, above the camera's edge of the plan
  const table = page.getByLabel('Light table: the lights about the subject');
  const box = await table.boundingBox();
  if (!box) throw new Error('there is no table');
  // it is looked for where the pointer becomes a hand, from outside: the end of its beam is nearer to the middle
  const hand = table.locator('xpath=ancestor::*[@data-over][1]');
  let found: [number, number] | null = null;
  for (let x = box.width / 2 - 5; x > box.width / 4 && !found; x -= 9)
    for (let y = box.height / 2; y < box.height && !found; y += 9) {
      await page.mouse.move(box.x + x, box.y + y);
      if ((await hand.getAttribute('data-over')) === 'true') found = [box.x + x, box.y + y];
    }
  if (!found) throw new Error('no light is on the right of the plan');
  await page.mouse.move(...found);
  await page.mouse.down();
  await page.mouse.move(found[0] + 12, found[1], { steps: 3 });
  await page.mouse.up();
  await expect.poll(async () => Number(await aside.inputValue())).not.toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => Number(await aside.inputValue())).toBe(before);
  await saved(page);
  await page.reload();
  await expect.poll(names, { timeout: 30_000 }).toEqual(['All lights', 'Key', 'Fill', 'Rim', 'Surroundings']);
});

test('a colour swings, is given keys that are moved in the unrolled lap, and is told when it does not close', async ({
  page,
}) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Look').click();
  const card = page.getByRole('article', { name: 'Background' });
  await card.getByRole('button').first().click();
  await card.getByRole('button', { name: /^Centre: Fixed/ }).click();
  await page.getByRole('menuitem', { name: 'Swing' }).click();
  await expect(card.getByRole('button', { name: /^Centre, swings to, #/ })).toBeVisible();
  // other than where it starts
  const hexOf = async (name: RegExp): Promise<string | undefined> =>
    /#[0-9a-f]{6}/.exec((await card.getByRole('button', { name }).getAttribute('aria-label')) ?? '')?.[0];
  expect(await hexOf(/^Centre, swings to/)).not.toBe(await hexOf(/^Centre, #/));
  await card.getByRole('button', { name: /^Centre: Swing/ }).click();
  await page.getByRole('menuitem', { name: 'Keyed' }).click();
  await page.getByRole('button', { name: 'Unrolled lap' }).click();
  const keys = page.getByRole('slider', { name: /^Key at frame \d+$/ });
  await expect(keys).toHaveCount(2);
  const name = await keys.nth(1).getAttribute('aria-label');
  await keys.nth(1).focus();
  await page.keyboard.press('ArrowRight');
  await expect(keys.nth(1)).not.toHaveAttribute('aria-label', name ?? '');
  await page.getByRole('img', { name: 'The colour over the lap' }).dblclick({ position: { x: 200, y: 20 } });
  await expect(keys).toHaveCount(3);
  // the new one is where it was put, with the colour that was there
  await expect(card.getByRole('button', { name: /^Key \d, value, #/ })).toHaveCount(3);
  await step(page, 'Seam').click();
  await expect(page.getByText('does not return')).toHaveCount(0);
  await saved(page);
});

test('a panorama lights from all around: one that ships, and a picture of one’s own that is dropped', async ({
  page,
}) => {
  await openRecipe(page, 'Buoy ring');
  await pause(page);
  await step(page, 'Look').click();
  const card = page.getByRole('region', { name: 'Lights' }).getByRole('article', { name: 'Studio' });
  await expect(card).toContainText('Studio, turned 108°');
  // eight by four pixels of the same light, as Radiance writes them
  const head = '#?RADIANCE\nFORMAT=32-bit_rle_rgbe\n\n-Y 4 +X 8\n';
  const sky = Buffer.concat([Buffer.from(head), Buffer.alloc(128, 128)]);
  await drop(page, [['sky.hdr', sky]]);
  await expect(page.getByText('“sky.hdr” lights the piece from all around.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Lights' })).toContainText('sky.hdr, turned');
  await drop(page, [['torn.hdr', Buffer.from('#?RADIANCE\nno size')]]);
  await expect(page.getByText(/“torn.hdr” is damaged: it does not say how large its picture is/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Lights' })).toContainText('sky.hdr, turned');
  await saved(page);
});

test('a grade is set by its wheels: keys, drags in one undo step, and where it acts', async ({ page }) => {
  await openRecipe(page, 'Ropewalk tunnel');
  await pause(page);
  await step(page, 'Look').click();
  await page.getByRole('button', { name: 'Add an effect' }).click();
  await page.getByRole('menuitem', { name: /^Grade/ }).click();
  const wheel = page.getByRole('slider', { name: 'Gamma wheel' });
  await expect(wheel).toHaveAttribute('aria-valuetext', '0 % red, 0 % green');
  await wheel.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(wheel).toHaveAttribute('aria-valuetext', '2 % red, -10 % green');
  await page.keyboard.press('Home');
  await expect(wheel).toHaveAttribute('aria-valuetext', '0 % red, 0 % green');
  const box = await wheel.boundingBox();
  if (!box) throw new Error('the wheel is nowhere');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.7, box.y + box.height * 0.5, { steps: 3 });
  // beyond the rim it stays on it
  await page.mouse.move(box.x + box.width * 1.5, box.y + box.height * 0.5, { steps: 3 });
  await page.mouse.up();
  await expect(wheel).toHaveAttribute('aria-valuetext', '100 % red, 0 % green');
  await page.keyboard.press('Control+z');
  await expect(wheel).toHaveAttribute('aria-valuetext', '0 % red, 0 % green');
  await page.getByRole('button', { name: 'Acts on' }).click();
  await page.getByRole('option', { name: 'In an ellipse' }).click();
  await expect(page.getByRole('textbox', { name: /^Wide/ })).toHaveValue('70');
  await drawn(page);
});

test('channels are seen in place of the picture; a dropped table colours it, and its card says what it lacks', async ({
  page,
}) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Look').click();
  const choice = page.getByRole('button', { name: /What of the frame is shown/ });
  for (const [name, words] of [
    ['Depth', /plane of focus/],
    [/^Matte of/, /^matte of/],
  ] as const) {
    await choice.click();
    await page.getByRole('option', { name }).first().click();
    await expect(page.getByText(words)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Show the picture' }).click();
  await expect(page.getByText(/^matte of/)).toHaveCount(0);
  // a table of one's own, dropped anywhere; one that is none is refused
  await drop(page, [['broken.cube', Buffer.from('LUT_3D_SIZE 2\n0 0 0\n')]]);
  await expect(page.getByText(/ends after 1 of 8 entries/)).toBeVisible();
  const negative = Array.from({ length: 8 }, (_, i) => `${1 - (i & 1)} ${1 - ((i >> 1) & 1)} ${1 - (i >> 2)}`);
  await drop(page, [['Negative.cube', Buffer.from(`LUT_3D_SIZE 2\n${negative.join('\n')}\n`)]]);
  const effects = page.getByRole('region', { name: 'Effects' });
  const card = effects.getByRole('article', { name: 'Lookup table' });
  await expect(card).toContainText('Negative.cube, 100 %');
  await card.getByRole('button', { name: /Acts on/ }).click();
  await page.getByRole('option', { name: 'Where a layer is' }).click();
  await expect(card).toContainText('choose one under');
  await page.keyboard.press('Control+z');
  await expect(card).toContainText('Negative.cube, 100 %');
});
