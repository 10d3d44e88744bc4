import { expect, it } from 'vitest';
import { remainingSeconds } from './estimate';

it('knows nothing before the first frame, and forgets the first once there are others', () => {
  expect(remainingSeconds([], 10)).toBeNull();
  expect(remainingSeconds([3000], 10)).toBe(30);
  expect(remainingSeconds([3000, 100, 100], 10)).toBe(1);
});

it('follows a change of speed', () => {
  const times = [0, ...Array<number>(100).fill(10), ...Array<number>(20).fill(50)];
  expect(remainingSeconds(times, 100)).toBe(5);
});
