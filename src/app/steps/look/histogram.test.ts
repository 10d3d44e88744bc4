import { expect, it } from 'vitest';
import { tonesOf } from './histogram';

it('counts shares of dark and bright, and the average level', () => {
  const rgba = new Uint8Array([0, 0, 0, 255, 255, 255, 255, 255, 10, 10, 10, 255, 128, 128, 128, 255]);
  const tones = tonesOf(rgba);
  expect(tones.dark).toBe(0.5);
  expect(tones.bright).toBe(0.25);
  expect(tones.average).toBeCloseTo((0 + 255 + 10 + 128) / 4 / 255, 6);
  expect(tones.steps.reduce((a, b) => a + b)).toBeCloseTo(1, 9);
  expect(tones.steps[63]).toBe(0.25);
});

it('weights green most, as BT.709 does', () => {
  expect(tonesOf(new Uint8Array([0, 255, 0, 255])).average).toBeCloseTo(0.7152, 6);
});
