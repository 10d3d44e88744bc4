import { expect, it } from 'vitest';
import { mp4 } from '../mp4/mp4';

it('refuses odd sizes, and browsers without an encoder, in words', async () => {
  const rest = { rate: { num: 24, den: 1 }, count: 3, first: 0, dataRate: 'high' } as const;
  expect(await mp4.refusal({ ...rest, width: 7, height: 4 })).toBe('H.264 needs even sizes; 7×4 is not');
  // Node has no VideoEncoder: the same as a browser without one
  expect(await mp4.refusal({ ...rest, width: 6, height: 4 })).toBe(
    'this browser has no video encoder; a PNG sequence works',
  );
});
