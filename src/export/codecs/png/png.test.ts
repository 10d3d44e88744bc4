import { unzipSync } from 'fflate';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { MemorySink } from '../../bytes/memory';
import { traceOf } from '../../trace';
import type { SinkSettings } from '../codec';
import { png } from './png';

const settings: SinkSettings = {
  width: 6,
  height: 4,
  rate: { num: 24000, den: 1001 },
  count: 3,
  first: 7,
  dataRate: 'high',
  clear: false,
};
const frame = (v: number): Uint8Array => new Uint8Array(6 * 4 * 4).fill(v).map((x, i) => (i % 4 === 3 ? 255 : x));

async function written(values: readonly number[]): Promise<Blob> {
  const out = new MemorySink();
  const sink = await png.open(settings, out);
  for (const v of values) await sink.add(frame(v));
  await sink.finish();
  return out.finish();
}
const bytesOf = async (file: Blob): Promise<Uint8Array<ArrayBuffer>> => new Uint8Array(await file.arrayBuffer());

describe('PNG sequence', () => {
  it('holds every frame under its number in the lap', async () => {
    const file = await written([10, 120, 240]);
    const entries = unzipSync(await bytesOf(file));
    expect(Object.keys(entries)).toEqual(['frame-00007.png', 'frame-00008.png', 'frame-00009.png']);
    expect(PNG.sync.read(Buffer.from(entries['frame-00008.png'])).data[0]).toBe(120);
    const traces = [10, 120, 240].map((v) => traceOf(frame(v), 6, 4));
    expect(await png.verify(file, settings, traces)).toMatchObject({ ok: true, frames: 3 });
    // one picture of another frame, or a black one, is named
    const other = [traces[0], traceOf(frame(121), 6, 4), traces[2]];
    expect(await png.verify(file, settings, other)).toMatchObject({
      ok: false,
      says: 'frame-00008.png is not the picture that was rendered',
    });
  });

  it('white on clear is as far there as it was white on black', async () => {
    const out = new MemorySink();
    const sink = await png.open({ ...settings, count: 2, clear: true }, out);
    for (const v of [0, 180]) await sink.add(frame(v));
    await sink.finish();
    const file = await out.finish();
    const entries = unzipSync(await bytesOf(file));
    const alphas = Object.values(entries).map((bytes) => [...PNG.sync.read(Buffer.from(bytes)).data.subarray(0, 4)]);
    expect(alphas).toEqual([
      [255, 255, 255, 0],
      [255, 255, 255, 180],
    ]);
    const traces = (...values: number[]) => values.map((v) => traceOf(frame(v), 6, 4));
    const verified = (...values: number[]) =>
      png.verify(file, { ...settings, count: 2, clear: true }, traces(...values));
    expect(await verified(0, 180)).toMatchObject({ ok: true, frames: 2 });
    expect(await verified(0, 181)).toMatchObject({ ok: false });
  });

  it('the same frames are the same file', async () => {
    expect(await bytesOf(await written([1, 2, 3]))).toEqual(await bytesOf(await written([1, 2, 3])));
  });

  it('verification names a missing picture, and one whose bytes were damaged', async () => {
    expect(await png.verify(await written([1, 2]), settings, [])).toMatchObject({
      ok: false,
      says: 'frame-00009.png is missing',
    });
    const bytes = await bytesOf(await written([10, 120, 240]));
    const second = Buffer.from(bytes).indexOf('frame-00008.png');
    bytes.fill(0, second + 60, second + 70);
    const traces = [10, 120, 240].map((v) => traceOf(frame(v), 6, 4));
    expect(await png.verify(new Blob([bytes]), settings, traces)).toMatchObject({
      ok: false,
      says: 'frame-00008.png is not the picture that was rendered',
    });
  });

  it('what cannot be written ends it', async () => {
    const out = new MemorySink();
    const sink = await png.open(settings, out);
    await sink.add(frame(1));
    out.write = () => Promise.reject(new Error('the disk is full'));
    await expect(sink.add(frame(2))).rejects.toThrow('the disk is full');
  });
});
