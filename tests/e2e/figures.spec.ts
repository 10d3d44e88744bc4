import { expect, test as interfaceTest } from '@playwright/test';
import { pieceOf } from '../pieces';
import { wobblyBvh } from '../motions';
import { numbersOf, test } from './lab';
import { drawn, drop, openRecipe, pause, saved } from './ui';

test('a ribbon has the light of its width, whatever its steps, sharp or out of focus', async ({ page }) => {
  const SIZE = { width: 160, height: 90 };
  // thrown straight up without drag: a straight ribbon 1 m long, three pixels and more to each side, seen from 5 m
  const piece = (more: object, flight: object = {}): object =>
    pieceOf({ kind: 'stream' } as never, {
      layers: [
        {
          ...{
            kind: 'stream',
            id: 'r',
            name: 'R',
            seed: 2,
            once: true,
            form: 'point',
            sent: 'up',
            ahead: 5,
            above: -1,
          },
          ...{ rate: 1, life: 8, lifeSpread: 0, speed: 1, speedSpread: 0, spread: 0, drag: 0, turbulence: 0 },
          ...{ drawn: 'ribbons', ribbon: 1, nodes: 6, size: 0.15, variation: 0, sizeLife: Array(8).fill(1) },
          ...{ lightLife: Array(8).fill(1), ribbonLight: Array(8).fill(1), ribbonWidth: Array(8).fill(1), light: 0.1 },
          gradient: [{ at: 0, colour: '#ffffff' }],
          ...more,
        },
      ],
      flight: {
        ...{ route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, lens: 'orthographic', widthM: 8, shutterDeg: 0 },
        ...{ fNumber: 64, focusM: 5, ...flight },
      },
      look: { background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, nearFade: 0.02, lights: [] },
    });
  const lightOf = async (made: object): Promise<number> => {
    const light = await numbersOf(page, made, { ...SIZE, frameIndex: 50 });
    return light.filter((_, i) => i % 4 === 1).reduce((sum, v) => sum + v, 0);
  };
  const whole = await lightOf(piece({}));
  expect(whole).toBeGreaterThan(0.1);
  // twice the steps are the same ribbon
  expect((await lightOf(piece({ nodes: 30 }))) / whole).toBeCloseTo(1, 2);
  // twice the width is twice the light, half of it along half of its way three quarters
  expect((await lightOf(piece({ size: 0.3 }))) / whole).toBeCloseTo(2, 1);
  expect((await lightOf(piece({ nodes: 60, ribbonWidth: [1, 1, 1, 1, 0.5, 0.5, 0.5, 0.5] }))) / whole).toBeCloseTo(
    0.75,
    1,
  );
  // out of focus its light is spread, and is all there
  expect((await lightOf(piece({ size: 0.3 }, { fNumber: 2, focalMm: 85, focusM: 1 }))) / whole).toBeCloseTo(2, 0);
});

interfaceTest(
  'a motion is dropped, becomes a figure, another stretch of it is picked, and its joints are named',
  async ({ page }) => {
    interfaceTest.setTimeout(120_000);
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await openRecipe(page);
    await pause(page);
    await drop(page, [['quay walk.bvh', Buffer.from(wobblyBvh({ frames: 90, period: 30 }))]]);
    await expect(page.getByRole('button', { name: 'Motion: quay walk.bvh' })).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText(/^\d+ joints, 3\.6 s: frames \d+ to \d+ close, 1\.2 s/)).toBeVisible();
    await drawn(page);
    const from = page.getByRole('textbox', { name: 'From, frames' });
    const to = page.getByRole('textbox', { name: 'Up to, frames' });
    await expect(page.getByText('Its ends differ by 0.0 % of the height.')).toBeVisible();
    // a place beside the second bright line: frame 10 against about 70
    const likeness = page.getByRole('img', { name: /^Likeness of frames/ });
    await likeness.scrollIntoViewIfNeeded();
    const box = await likeness.boundingBox();
    if (!box) throw new Error('it is not there');
    await page.mouse.click(box.x + (box.width * 71) / 90, box.y + (box.height * 10.5) / 90);
    await expect(page.getByRole('button', { name: /^Chosen Stretch|Stretch.*Chosen/ })).toBeVisible();
    const [a, b] = [Number(await from.inputValue()), Number(await to.inputValue())];
    // it went to where the ends are alike: two times the thirty frames of the motion
    expect(b - a).toBe(60);
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: /The one that closes best/ })).toBeVisible();
    // a camera may ride on it
    await page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: 'Fly' }).click();
    await saved(page);
    await page.reload();
    await drawn(page);
    // what is no motion is refused in words, and changes nothing
    await drop(page, [['odd.bvh', Buffer.from('HIERARCHY\nROOT hips\n{\nOFFSET 0 0\n}')]]);
    await expect(page.getByText(/“odd.bvh” is not a motion that can be used: line 5/)).toBeVisible({ timeout: 30_000 });
    expect(errors).toEqual([]);
  },
);
