import { expect, test, type Page } from '@playwright/test';
import { openRecipe, pause, saved, step } from './ui';

/** Moves a card by its handle and a key. */
async function move(page: Page, name: string, by: 'ArrowUp' | 'ArrowDown'): Promise<void> {
  await page.getByRole('button', { name: `Move ${name}`, exact: true }).focus();
  for (const key of ['Space', by, 'Space']) {
    await page.keyboard.press(key);
    // a move is measured before the next can be
    await page.waitForTimeout(300);
  }
}

test('effects are added, switched off, put into another order, removed, and brought back by undo', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Look').click();
  const cards = page.getByRole('article');
  const names = async (): Promise<string[]> => (await cards.locator('header b').allTextContents()).slice(3);
  expect(await names()).toEqual(['Glow', 'Vignette', 'Tone', 'Grain', 'Dither']);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Vignette' }).click();
  // the list stands as it acts: what acts on light is before tone
  expect(await names()).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Grain', 'Dither']);
  // it is opened, with rows of its own
  await expect(cards.nth(5).getByRole('textbox', { name: 'Amount' })).toBeVisible();
  await page.getByRole('button', { name: 'Switch Glow off' }).click();
  await expect(cards.nth(3)).toContainText('off');
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
  await expect(page.getByText('Dither is off')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect.poll(names, { timeout: 30_000 }).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Grain']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Vignette', 'Tone', 'Dither', 'Grain']);
});
