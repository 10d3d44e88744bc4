import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Raster } from '../../core/pictures/raster';
import { Pixels, type NeededFrames } from './pixels';

/** Frames that were asked of the clip from, and how many were decoded. */
const asked = vi.hoisted(() => ({ from: [] as number[], decoded: 0, closed: 0 }));
vi.mock('../../files/open', () => ({
  openFile: ({ hash }: { hash: string }) =>
    Promise.resolve(
      hash === 'gone'
        ? null
        : {
            async *from(frame: number): AsyncGenerator<[number, Raster]> {
              asked.from.push(frame);
              for (let i = frame; i < 100; i++) {
                asked.decoded++;
                await Promise.resolve();
                yield [i, { width: 16, height: 8, rgba: new Uint8Array(16 * 8 * 4).fill(i) }];
              }
            },
            close: () => Promise.resolve(void asked.closed++),
          },
    ),
}));

const need = (frames: number[], level = 0, hash = 'clip'): NeededFrames[] => [
  { file: { hash, name: hash }, kind: 'clip', frames: new Set(frames), level },
];
const BYTES = 16 * 8 * 4;

describe('decoded frames', () => {
  beforeEach(() => Object.assign(asked, { from: [], decoded: 0, closed: 0 }));

  it('are those asked for, in whatever order, and are decoded once', async () => {
    const pixels = new Pixels();
    await pixels.need(need([70, 3, 4, 98]));
    for (const frame of [70, 3, 4, 98]) expect(pixels.at('clip', frame, 0)?.rgba[0]).toBe(frame);
    // one that is near goes on from the one before, others begin anew
    expect(asked.from).toEqual([3, 70, 98]);
    expect(pixels.need(need([4, 98, 3]))).toBeNull();
    expect(pixels.at('clip', 5, 0)).toBeNull();
  });

  it('take no more memory than they may, however long the clip; those that are needed are always there', async () => {
    const pixels = new Pixels(10 * BYTES);
    for (let frame = 0; frame < 100; frame += 1) {
      const now = [frame, (frame + 50) % 100];
      await pixels.need(need(now));
      for (const one of now) expect(pixels.at('clip', one, 0)?.rgba[0]).toBe(one);
      expect(pixels.held).toBeLessThanOrEqual(10 * BYTES);
    }
    // more than there is room for are kept as long as they are needed
    await pixels.need(need(Array.from({ length: 30 }, (_, i) => i)));
    expect(pixels.held).toBe(30 * BYTES);
  });

  it('going on from what was shown is decoded ahead', async () => {
    const pixels = new Pixels();
    await pixels.need(need([10]));
    expect(asked.decoded).toBe(1);
    await pixels.need(need([11]));
    const before = asked.decoded;
    for (let frame = 12; frame < 30; frame++) expect(pixels.need(need([frame]))).toBeNull();
    expect(asked.decoded).toBe(before);
  });

  it('are kept as large as they were needed, and smaller ones are made of them', async () => {
    const pixels = new Pixels();
    await pixels.need(need([20], 1));
    expect(pixels.at('clip', 20, 1)).toMatchObject({ width: 8, height: 4 });
    expect(pixels.at('clip', 20, 0)).toBeNull();
    await pixels.need(need([20], 0));
    await pixels.need(need([19, 20], 2));
    expect(pixels.at('clip', 20, 0)).toMatchObject({ width: 16, height: 8 });
    expect(pixels.at('clip', 20, 2)).toMatchObject({ width: 4, height: 2 });
  });

  it('what is nowhere has a stand-in', async () => {
    const pixels = new Pixels();
    await pixels.need(need([3], 0, 'gone'));
    expect(pixels.at('gone', 3, 0)?.width).toBeGreaterThan(0);
    expect(asked.decoded).toBe(0);
  });

  it('no more files are open than browsers have decoders', async () => {
    const pixels = new Pixels();
    for (let i = 0; i < 12; i++) await pixels.need(need([0], 0, `clip ${i}`));
    expect(asked.closed).toBe(4);
  });
});
