import { expect, it } from 'vitest';
import { tonesOf, waveformOf } from './tones';

it('counts shares of dark and bright, and the average level', () => {
  const rgba = new Uint8Array([0, 0, 0, 255, 255, 255, 255, 255, 10, 10, 10, 255, 128, 128, 128, 255]);
  const tones = tonesOf(rgba);
  expect(tones).toMatchObject({ dark: 0.5, bright: 0.25, over: 0.25, under: 0.25 });
  expect(tones.average).toBeCloseTo((0 + 255 + 10 + 128) / 4 / 255, 6);
  for (const steps of Object.values(tones.steps)) expect(steps.reduce((a, b) => a + b)).toBeCloseTo(1, 9);
  expect(tones.steps.luma[63]).toBe(0.25);
});

it('weights green most, as BT.709 does, and tells the channels apart', () => {
  const green = tonesOf(new Uint8Array([0, 255, 0, 255]));
  expect(green.average).toBeCloseTo(0.7152, 6);
  expect([green.steps.red[0], green.steps.green[63], green.steps.blue[0]]).toEqual([1, 1, 1]);
  expect(green).toMatchObject({ over: 1, under: 0 });
});

it('spreads each column of a picture over its code values', () => {
  // two columns of two pixels
  const rgba = new Uint8Array([0, 0, 0, 255, 255, 64, 0, 255, 0, 0, 0, 255, 127, 64, 128, 255]);
  const { columns, rows, shares } = waveformOf(rgba, 2, 4);
  const at = (column: number, row: number): number[] => [
    ...shares.slice((column * rows + row) * 3, (column * rows + row) * 3 + 3),
  ];
  expect(columns).toBe(2);
  expect(at(0, 0)).toEqual([1, 1, 1]);
  expect(at(1, 0)).toEqual([0, 0, 0.5]);
  expect(at(1, 1)).toEqual([0.5, 1, 0]);
  expect(at(1, 2)).toEqual([0, 0, 0.5]);
  expect(at(1, 3)).toEqual([0.5, 0, 0]);
});
