import { expect, test as interfaceTest } from '@playwright/test';
import { meetsOf, stoodOf } from '../../src/core/layers/impossible/stood';
import type { ImpossibleLayer } from '../../src/core/layers/impossible/form';
import { newPattern } from '../../src/core/matter/pattern/kinds';
import { newMatter } from '../../src/core/matter/kinds';
import { inverse, rotate, type Vec3 } from '../../src/core/space/vector';
import { pieceOf } from '../pieces';
import { numbersOf, test } from './lab';
import { drawn, openRecipe, pause, step } from './ui';

const SIZE = { width: 320, height: 180 };
const WIDE = 5;

/** A piece with a figure in fog, seen from where it reads. */
const seen = (figure: object, flight: object = {}) =>
  pieceOf({ kind: 'impossible', once: true, ahead: 8, ...figure } as never, {
    flight: {
      ...{ route: { kind: 'reading', of: 'one', aside: 0, over: 0, back: 10 }, aim: 'own', lens: 'orthographic' },
      ...{ widthM: WIDE, fNumber: 64, shutterDeg: 0, ...flight },
    },
    look: {
      background: '#000000',
      backgroundEdge: '#000000',
      fogDistance: 3,
      fogColour: '#ff0000',
      nearFade: 0.02,
      lights: [],
    },
  });

/** What is seen where a place of a figure is read, `off` pixels to the right and up: linear red, green, blue, of rows from the bottom up. */
function at(pixels: ArrayLike<number>, layer: ImpossibleLayer, place: Vec3, off: [number, number]): number[] {
  const [x, y] = rotate(inverse(stoodOf(layer).reading), place);
  const scale = SIZE.width / WIDE;
  const [px, py] = [Math.round(SIZE.width / 2 + x * scale + off[0]), Math.round(SIZE.height / 2 + y * scale + off[1])];
  const i = (py * SIZE.width + px) * 4;
  return [pixels[i], pixels[i + 1], pixels[i + 2]];
}

test('a cut is not to be seen: not in fog, nor in what covers it, from where the figure reads', async ({ page }) => {
  const cells = newPattern('cells', { lies: 'layer', metres: 1.4, cycles: 0, colour: 1 });
  const sides = newMatter('sides', { glowing: 1 });
  for (const pattern of [newPattern('bare'), cells]) {
    const piece = seen({ figure: 'threeBeams', matter: sides, pattern });
    const [layer] = piece.layers;
    if (layer.kind !== 'impossible') throw new TypeError();
    const pixels = await numbersOf(page, piece, { ...SIZE, frameIndex: 0 });
    // along the beam that is cut, on both sides of the middle of what meets there
    const meets = meetsOf(layer).map(([place]) => place);
    const middle = [0, 1, 2].map((k) => meets.reduce((sum, place) => sum + place[k], 0) / meets.length) as Vec3;
    const [one, other] = [at(pixels, layer, middle, [-3.46, 2 + 3]), at(pixels, layer, middle, [3.46, -2 + 3])];
    expect(Math.max(...one)).toBeGreaterThan(0.05);
    // the patches go on: a step of eight pixels is a small part of one
    one.forEach((v, k) => expect(Math.abs(v - other[k])).toBeLessThan(pattern.kind === 'bare' ? 0.004 : 0.09));
  }
});

interfaceTest('a figure is added, looked at from where it reads, and left and come back to', async ({ page }) => {
  interfaceTest.setTimeout(120_000);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await openRecipe(page);
  await pause(page);
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: /^Draw the impossible/ }).click();
  await expect(page.getByText(/^Reads through a lens without perspective/)).toBeVisible();
  await page.getByRole('button', { name: 'Look from where it reads' }).click();
  await step(page, 'Fly').click();
  const route = page.getByRole('button', { name: /^Route where/ });
  await expect(route).toHaveText(/where Impossible figure reads/);
  await drawn(page);
  await page.keyboard.press('Control+z');
  await expect(route).toHaveCount(0);
  expect(errors).toEqual([]);
});

interfaceTest(
  'a list longer than there is room is beside its button, so that a plain click chooses nothing',
  async ({ page }) => {
    await openRecipe(page);
    await pause(page);
    await page.getByRole('button', { name: 'Add a layer' }).click();
    await page.getByRole('menuitem', { name: /^Draw the impossible/ }).click();
    // every slice of it has a name
    await page
      .getByRole('button', { name: /Figure$/ })
      .first()
      .click();
    await page.getByRole('option', { name: 'Two or three prongs' }).click();
    await step(page, 'Fly').click();
    await page.getByRole('article', { name: 'Route' }).getByRole('button').first().click();
    await page.getByRole('button', { name: 'Along a layer Route' }).click();
    await page.getByRole('option', { name: 'Attached' }).click();
    await page.getByRole('button', { name: / Layer$/ }).click();
    await page.getByRole('option', { name: 'Impossible figure' }).click();
    const button = page.getByRole('button', { name: / Element$/ });
    await expect(button).toHaveText(/^Figure/);
    // low on the screen the list hangs above it
    await page.setViewportSize({ width: 1280, height: 400 });
    const on = await button.boundingBox();
    if (!on) throw new Error('it is not there');
    await page.mouse.move(on.x + on.width / 2, on.y + on.height / 2);
    await page.mouse.down();
    const list = page.getByRole('listbox');
    await expect(list).toBeVisible();
    await page.mouse.up();
    // nothing of the list, however long, is over the button
    const over = await page.evaluate(
      ({ x, y, width, height }) =>
        [0.1, 0.5, 0.9].filter((share) =>
          document.elementFromPoint(x + width * share, y + height / 2)?.closest('[role=listbox]'),
        ).length,
      on,
    );
    expect(over).toBe(0);
    await expect(list.getByRole('option', { name: 'Figure', exact: true })).toHaveAttribute('aria-selected', 'true');
    expect(await list.getByRole('option').count()).toBeGreaterThan(100);
  },
);
