import { unzipSync } from 'fflate';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { traceOf } from '../trace';
import type { SinkSettings } from './codec';
import { codecOf } from './registry';

const settings: SinkSettings = {
  width: 6,
  height: 4,
  rate: { num: 24000, den: 1001 },
  count: 3,
  first: 7,
  dataRate: 'high',
};
const frame = (v: number): Uint8Array => new Uint8Array(6 * 4 * 4).fill(v).map((x, i) => (i % 4 === 3 ? 255 : x));

describe('PNG sequence', () => {
  it('holds every frame under its number in the lap', async () => {
    const codec = codecOf('png');
    const sink = await codec.open(settings);
    for (const v of [10, 120, 240]) await sink.add(frame(v));
    const bytes = await sink.finish();
    const entries = unzipSync(bytes);
    expect(Object.keys(entries)).toEqual(['frame-00007.png', 'frame-00008.png', 'frame-00009.png']);
    expect(PNG.sync.read(Buffer.from(entries['frame-00008.png'])).data[0]).toBe(120);
    const traces = [10, 120, 240].map((v) => traceOf(frame(v), 6, 4));
    expect(await codec.verify(bytes, settings, traces)).toMatchObject({ ok: true, frames: 3 });
    // one picture of another frame, or a black one, is named
    const other = [traces[0], traceOf(frame(121), 6, 4), traces[2]];
    expect(await codec.verify(bytes, settings, other)).toMatchObject({
      ok: false,
      says: 'frame-00008.png is not the picture that was rendered',
    });
  });

  it('the same frames are the same file', async () => {
    const make = async (): Promise<Uint8Array> => {
      const sink = await codecOf('png').open(settings);
      for (const v of [1, 2, 3]) await sink.add(frame(v));
      return sink.finish();
    };
    expect(await make()).toEqual(await make());
  });

  it('verification names a missing picture', async () => {
    const sink = await codecOf('png').open(settings);
    for (const v of [1, 2]) await sink.add(frame(v));
    expect(await codecOf('png').verify(await sink.finish(), settings, [])).toMatchObject({
      ok: false,
      says: 'frame-00009.png is missing',
    });
  });
});

describe('video', () => {
  it('refuses odd sizes, and browsers without an encoder, in words', async () => {
    expect(await codecOf('mp4').refusal({ ...settings, width: 7 })).toBe('H.264 needs even sizes; 7×4 is not');
    // Node has no VideoEncoder: the same as a browser without one
    expect(await codecOf('mp4').refusal(settings)).toBe('this browser has no video encoder; a PNG sequence works');
  });
});
