import { expect, it } from 'vitest';
import { Sized } from './sized';

it('makes one for each size in turn, and ends the one before', () => {
  const ended: string[] = [];
  let made = 0;
  const sized = new Sized((width, height) => {
    made++;
    return { name: `${width}x${height}`, dispose: () => void ended.push(`${width}x${height}`) };
  });
  expect(sized.last).toBeNull();
  const first = sized.at({ width: 4, height: 3 });
  expect(sized.at({ width: 4, height: 3 })).toBe(first);
  expect([made, ended]).toEqual([1, []]);
  expect(sized.at({ width: 4, height: 2 }).name).toBe('4x2');
  expect([made, ended]).toEqual([2, ['4x3']]);
  sized.dispose();
  expect([sized.last, ended]).toEqual([null, ['4x3', '4x2']]);
  expect(sized.at({ width: 4, height: 2 }).name).toBe('4x2');
  expect(made).toBe(3);
});
