import { expect, test } from '@playwright/test';
import { openRecipe, pause, saved, step } from './ui';

test('effects are added, switched off, put into another order, removed, and brought back by undo', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Look').click();
  const cards = page.getByRole('article');
  const names = async (): Promise<string[]> => (await cards.locator('header b').allTextContents()).slice(3);
  expect(await names()).toEqual(['Glow', 'Vignette', 'Tone', 'Grain', 'Dither']);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Vignette' }).click();
  expect(await names()).toEqual(['Glow', 'Vignette', 'Tone', 'Grain', 'Dither', 'Vignette']);
  // it is opened, with rows of its own
  await expect(cards.last().getByRole('textbox', { name: 'Amount' })).toBeVisible();
  await page.getByRole('button', { name: 'Switch Glow off' }).click();
  await expect(cards.nth(3)).toContainText('off');
  // tone is always there
  await expect(page.getByRole('button', { name: 'Remove Tone' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Move Grain', exact: true }).focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) {
    await page.keyboard.press(key);
    // a move is measured before the next can be
    await page.waitForTimeout(300);
  }
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Grain', 'Tone', 'Dither', 'Vignette']);
  await page.getByRole('button', { name: 'Remove Dither' }).click();
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Grain', 'Tone', 'Vignette']);
  await expect(page.getByText('Dither is off')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect.poll(names, { timeout: 30_000 }).toEqual(['Glow', 'Vignette', 'Grain', 'Tone', 'Vignette']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(['Glow', 'Vignette', 'Grain', 'Tone', 'Dither', 'Vignette']);
});
