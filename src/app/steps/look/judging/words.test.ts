import { expect, it } from 'vitest';
import { percent, runsOf } from './words';

it('says shares, and does not say none of a little', () =>
  expect([0, 0.0004, 0.2, 1].map(percent)).toEqual(['0 %', '0.04 %', '20 %', '100 %']));

it('names frames in runs', () => {
  expect(runsOf([])).toBe('');
  expect(runsOf([3])).toBe('3');
  expect(runsOf([3, 4, 6, 9, 90, 91])).toBe('3–6, 9, 90–91');
  expect(runsOf([3, 9, 20], 12)).toBe('3–20');
});
