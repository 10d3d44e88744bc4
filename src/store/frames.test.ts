import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from './database';
import { clearFrames, frameBytes, framesOf, storeFrame } from './frames';

const frame = (key: string, bytes = 100) => ({ key, blob: new Blob([new Uint8Array(bytes)]) });
const there = async (...keys: string[]): Promise<boolean[]> => (await framesOf(keys)).map((blob) => blob !== undefined);

beforeEach(clearFrames);

describe('finished frames', () => {
  it('come back by their keys, in the order asked for', async () => {
    await storeFrame(frame('a', 10), new Set(), 1000);
    await storeFrame(frame('b', 20), new Set(), 1000);
    expect((await database.frames.toArray()).map(({ bytes }) => bytes)).toEqual([10, 20]);
    expect(await there('b', 'none', 'a')).toEqual([true, false, true]);
    expect(await frameBytes()).toBe(30);
  });

  it('make room for one another, oldest first', async () => {
    for (const key of ['a', 'b', 'c']) await storeFrame(frame(key), new Set(), 300);
    expect(await storeFrame(frame('d', 150), new Set(), 300)).toBe(true);
    expect(await there('a', 'b', 'c', 'd')).toEqual([false, false, true, true]);
    expect(await frameBytes()).toBeLessThanOrEqual(300);
  });

  it('never take the place of those still wanted', async () => {
    for (const key of ['a', 'b', 'c']) await storeFrame(frame(key), new Set(), 300);
    expect(await storeFrame(frame('d'), new Set(['a']), 300)).toBe(true);
    expect(await there('a', 'b', 'c', 'd')).toEqual([true, false, true, true]);
    expect(await storeFrame(frame('e'), new Set(['a', 'c', 'd']), 300)).toBe(false);
    expect(await there('a', 'c', 'd', 'e')).toEqual([true, true, true, false]);
  });

  it('stored again count once, and are young again', async () => {
    for (const key of ['a', 'b', 'c', 'a']) await storeFrame(frame(key), new Set(), 300);
    expect(await frameBytes()).toBe(300);
    await storeFrame(frame('d'), new Set(), 300);
    expect(await there('a', 'b', 'c', 'd')).toEqual([true, false, true, true]);
  });
});
