import { expect, type Locator, type Page } from '@playwright/test';

/** Waits until the engine has shown a frame. */
export const drawn = (page: Page) =>
  expect(page.getByLabel('Quality of the picture')).toContainText(/fps|passes/, { timeout: 60_000 });

/** Opens a copy of a recipe by its address: the first screen need not be drawn. */
export async function openRecipe(page: Page, name = 'Slipway spiral'): Promise<void> {
  await page.goto(`/#/recipe/${name.toLowerCase().replaceAll(' ', '-')}`);
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible({ timeout: 60_000 });
  await drawn(page);
}

export async function pause(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
}

export const step = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name });

/** Types a number, or some text, into a field. */
export async function fill(page: Page, name: string, value: string): Promise<void> {
  const box = page.getByRole('textbox', { name });
  await box.fill(value);
  await box.press('Enter');
}

export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

/** Moves an item of a list by a key on its handle, which keeps the focus. */
export async function move(page: Page, name: string, by: 'ArrowUp' | 'ArrowDown'): Promise<void> {
  const grip = page.getByRole('button', { name: `Move ${name}`, exact: true });
  await grip.focus();
  await page.keyboard.press(by);
  await expect(grip).toBeFocused();
}

/** Drops files on the middle of the page, or on something. */
export async function drop(
  page: Page,
  files: readonly (readonly [name: string, bytes: Buffer])[],
  on?: Locator,
): Promise<void> {
  const given = files.map(([name, bytes]) => [name, bytes.toString('base64')] as const);
  await (on ?? page.locator('body')).evaluate((element, list) => {
    const data = new DataTransfer();
    for (const [name, text] of list)
      data.items.add(new File([Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0))], name));
    const on = element === document.body ? (document.elementFromPoint(300, 300) ?? element) : element;
    for (const type of ['dragenter', 'dragover', 'drop'])
      on.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer: data }));
  }, given);
}
