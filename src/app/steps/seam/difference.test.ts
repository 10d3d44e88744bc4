import { expect, it } from 'vitest';
import { differenceOf, mostApart, overlayOf } from './difference';

const one = Uint8Array.from([10, 20, 250, 255, 0, 0, 0, 255]);
const other = Uint8Array.from([12, 20, 200, 255, 0, 255, 0, 255]);

it('blows up what differs about grey, and holds it within what can be shown', () => {
  expect([...differenceOf(one, other, 8)]).toEqual([144, 128, 0, 255, 128, 255, 128, 255]);
  expect([...differenceOf(one, one, 64)]).toEqual([128, 128, 128, 255, 128, 128, 128, 255]);
});

it('lays two pictures over one another', () => {
  expect([...overlayOf(one, other)]).toEqual([11, 20, 225, 255, 0, 128, 0, 255]);
});

it('says the most that they are apart, whatever their alpha', () => {
  expect(mostApart(one, other)).toBe(255);
  expect(mostApart(one, Uint8Array.from([11, 20, 250, 0, 0, 0, 0, 9]))).toBe(1);
});
