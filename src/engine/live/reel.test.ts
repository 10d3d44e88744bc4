import { describe, expect, it } from 'vitest';
import { Reel } from './reel';

/** Stands in for the browser's decoder: the picture of a blob is its text, and what is open is counted. */
function decoder() {
  const open = new Set<string>();
  const opened: string[] = [];
  return {
    open,
    opened,
    decode: async (blob: Blob) => {
      const text = await blob.text();
      if (text === 'broken') throw new DOMException('no picture', 'InvalidStateError');
      opened.push(text);
      open.add(text);
      return { text, close: () => void open.delete(text) };
    },
  };
}
const reelOf = (frames: number, decode: ReturnType<typeof decoder>['decode'], texts: Record<number, string>) =>
  new Reel(frames, decode, new Map(Object.entries(texts).map(([frame, text]) => [Number(frame), new Blob([text])])));
const lap = (frames: number): Record<number, string> =>
  Object.fromEntries(Array.from({ length: frames }, (_, i) => [i, `f${i}`]));
const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

describe('the reel of a finished lap', () => {
  it('opens each frame once while playing, the next ones ahead, over the seam too, and closes those behind', async () => {
    const { open, opened, decode } = decoder();
    const reel = reelOf(20, decode, lap(20));
    for (let i = 0; i < 25; i++) expect((await reel.at(i % 20))?.text).toBe(`f${i % 20}`);
    await settled();
    expect(opened.slice(0, 20)).toEqual(Object.values(lap(20)));
    expect(opened.slice(20, 25)).toEqual(['f0', 'f1', 'f2', 'f3', 'f4']);
    expect(open.size).toBe(6);
    reel.close();
    await settled();
    expect(open.size).toBe(0);
  });

  it('says what it does not have, and takes what comes later', async () => {
    const reel = reelOf(10, decoder().decode, { 3: 'three' });
    expect([reel.has(2), reel.has(3)]).toEqual([false, true]);
    expect(await reel.at(2)).toBeNull();
    reel.add(2, new Blob(['two']));
    expect((await reel.at(2))?.text).toBe('two');
  });

  it('forgets a frame that cannot be opened', async () => {
    const reel = reelOf(10, decoder().decode, { 3: 'broken' });
    expect(await reel.at(3)).toBeNull();
    expect(reel.has(3)).toBe(false);
  });

  it('opens no frame of a short lap twice', async () => {
    const { opened, decode } = decoder();
    const reel = reelOf(3, decode, lap(3));
    for (let i = 0; i < 9; i++) await reel.at(i % 3);
    expect(opened).toEqual(['f0', 'f1', 'f2']);
  });
});
