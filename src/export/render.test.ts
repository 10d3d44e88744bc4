import { describe, expect, it, vi } from 'vitest';
import { DELIVERY } from '../core/deliveries/form';
import { PieceSchema } from '../core/piece/schema';
import type { ExportCodec, FrameFacts } from './codecs/codec';
import type { Kept, PartFacts } from './kept/kept';
import { MemoryKept } from './kept/memory';
import { bytesOf, type Picture } from './picture';
import { renderDelivery } from './render';
import { asksOf, settingsOf } from './settings';

const layer = (id: string, name: string, hidden = false): object => ({ kind: 'field', id, name, hidden });
const piece = PieceSchema.parse({
  id: 'p',
  name: 'Quay lamps',
  lap: { frames: 20, rate: { num: 24, den: 1 } },
  layers: [layer('a', 'Sea lamps'), layer('b', 'Sea lamps'), layer('c', 'Größe'), layer('d', 'Not seen', true)],
  flight: {},
  look: {},
});
const delivery = DELIVERY.schema.parse({ id: 'd', width: 16, height: 16 });
const settings = settingsOf(piece, delivery);

/** Three frames a part; a frame is its number. */
const codec: ExportCodec = {
  refusal: () => Promise.resolve(null),
  partFrames: () => 3,
  open() {
    const found: number[] = [];
    return Promise.resolve({
      add: (picture) => Promise.resolve(void found.push(bytesOf(picture)[0])),
      finish: () =>
        Promise.resolve({
          bytes: Uint8Array.from(found),
          frames: found.map((sum): FrameFacts => ({ cells: [], sum })),
        }),
      abandon: () => Promise.resolve(),
    });
  },
  async join(_, parts, whole) {
    const out = await whole();
    let at = 0;
    for (let i = 0; i < parts.count; i++) {
      const bytes = new Uint8Array(await (await parts.at(i)).arrayBuffer());
      await out.write(bytes, at);
      at += bytes.length;
    }
    return out.finish();
  },
  async verify(file, { frames }, facts) {
    const found = [...new Uint8Array(await file.arrayBuffer())];
    const ok = found.every((v, i) => v === frames[i] && facts[i].sum === v) && found.length === frames.length;
    return { frames: found.length, seconds: 0, ok, says: '' };
  },
};
const picture = (frame: number): Picture => ({ width: 16, height: 16, bytes: Uint8Array.of(frame), numbers: null });
const all = Array.from({ length: 20 }, (_, i) => i);

/** Renders until the so-manieth frame is asked for; that one never comes. */
async function until(last: number, kept: Kept): Promise<number[]> {
  const asked: number[] = [];
  const ended = new Promise<never>((_, reject) => {
    void renderDelivery({
      ...{ settings, codec, kept },
      progress: () => undefined,
      draw(frame) {
        asked.push(frame);
        if (asked.length > last) {
          reject(new Error('it crashed'));
          return new Promise(() => undefined);
        }
        return Promise.resolve(picture(frame));
      },
    });
  });
  await ended.catch(() => undefined);
  // the frame before is still on its way to the disk
  await new Promise((resolve) => setTimeout(resolve));
  return asked;
}

async function whole(kept: Kept) {
  const asked: number[] = [];
  const told: [number, number | null][] = [];
  const draw = (frame: number): Promise<Picture> => {
    asked.push(frame);
    return Promise.resolve(picture(frame));
  };
  const progress = ({ done, left }: { done: number; left: number | null }): void => void told.push([done, left]);
  const result = await renderDelivery({ settings, codec, kept, draw, progress });
  return { ...result, asked, told, bytes: [...new Uint8Array(await result.file.arrayBuffer())] };
}

describe('rendering a delivery', () => {
  it('draws every frame once, in order, and tells of each', async () => {
    // a tenth of a second each time it is asked for: a frame, a part and the first parts put together take as long
    let now = 0;
    const clock = vi.spyOn(performance, 'now').mockImplementation(() => (now += 100));
    const { asked, told, bytes, verified, found } = await whole(new MemoryKept());
    clock.mockRestore();
    expect(asked).toEqual(all);
    expect(bytes).toEqual(all);
    expect(verified.ok).toBe(true);
    expect(found).toBe(0);
    expect(told.map(([done]) => done)).toEqual([0, ...all.map((i) => i + 1)]);
    // the last part is yet to be kept, and all to be put together, as nine of them were
    expect(told.at(-1)?.[1]).toBeCloseTo(0.1 + (0.1 * all.length) / 9, 9);
  });

  it('an encoder whose files are not what was rendered is heard of after the first frames', async () => {
    const asked: number[] = [];
    const kept = new MemoryKept();
    const draw = (frame: number): Promise<Picture> => (asked.push(frame), Promise.resolve(picture(frame)));
    const wrong: ExportCodec = {
      ...codec,
      async join(given, parts, whole) {
        const file = await codec.join(given, parts, whole);
        return new Blob([Uint8Array.from(new Uint8Array(await file.arrayBuffer()), (v) => (v === 4 ? 5 : v))]);
      },
    };
    const failing = renderDelivery({ settings, codec: wrong, kept, draw, progress: () => undefined });
    await expect(failing).rejects.toThrow('the first 9 frames, read back, are not what was rendered');
    // the next was on its way
    expect(asked).toEqual(all.slice(0, 10));
    // a few frames are put together once
    const few = { ...settings, frames: all.slice(0, 12) };
    await renderDelivery({ settings: few, codec: wrong, kept: new MemoryKept(), draw, progress: () => undefined }).then(
      ({ verified }) => expect(verified.ok).toBe(false),
    );
  });

  it.each(all)('ended at frame %i and begun again it draws only what is missing, and comes to the same', async (at) => {
    const kept = new MemoryKept();
    await until(at, kept);
    const finished = (await kept.list()).size * 3;
    // a part that is not whole is none
    expect(finished).toBe(Math.floor(at / 3) * 3);
    const { asked, bytes, found, told } = await whole(kept);
    expect(asked).toEqual(all.slice(finished));
    expect(bytes).toEqual(all);
    expect(found).toBe(finished);
    expect(told[0]).toEqual([finished, null]);
  });

  it('pictures that are encoded at once, whichever is finished first, come to the same file; one that fails ends all', async () => {
    let [now, greatest] = [0, 0];
    const kept = new MemoryKept();
    const atOnce = (broken?: number): ExportCodec => ({
      ...codec,
      partFrames: () => 1,
      atOnce: () => 3,
      async open(given) {
        const sink = await codec.open(given);
        return {
          ...sink,
          async add(own) {
            greatest = Math.max(greatest, ++now);
            const [frame] = bytesOf(own);
            // later ones are ready earlier
            for (let wait = 0; wait < 4 - (frame % 3); wait++) await new Promise((resolve) => setTimeout(resolve));
            if (frame === broken) throw new Error('it cannot be encoded');
            await sink.add(own);
            now--;
          },
        };
      },
    });
    const asked: number[] = [];
    const rendered = (own: ExportCodec, told: number[] = []) =>
      renderDelivery({
        ...{ settings, kept, codec: own, progress: ({ done }) => void told.push(done) },
        draw: (frame) => (asked.push(frame), Promise.resolve(picture(frame))),
      });
    await expect(rendered(atOnce(9))).rejects.toThrow('it cannot be encoded');
    const before = [...(await kept.list()).keys()].sort((a, b) => a - b);
    expect(before.slice(0, 9)).toEqual(all.slice(0, 9));
    expect(before).not.toContain(9);
    expect(greatest).toBe(3);
    now = 0;
    asked.length = 0;
    const told: number[] = [];
    const { file, found, verified } = await rendered(atOnce(), told);
    expect([...new Uint8Array(await file.arrayBuffer())]).toEqual(all);
    expect(verified.ok).toBe(true);
    expect(found).toBe(before.length);
    expect(asked).toEqual(all.filter((frame) => !before.includes(frame)));
    expect(told).toEqual(all.concat(20).slice(found));
  });

  it('a part of another length than it should have is drawn again', async () => {
    const kept = new MemoryKept();
    const facts: PartFacts = { bytes: 1, crc: 0, frames: [{ cells: [], sum: 9 }] };
    await kept.put(0, Uint8Array.of(9), facts);
    expect((await whole(kept)).bytes).toEqual(all);
  });

  it('what goes wrong is told, and what was finished before stays', async () => {
    const kept = new MemoryKept();
    const draw = (frame: number): Promise<Picture> =>
      frame === 7 ? Promise.reject(new Error('no context')) : Promise.resolve(picture(frame));
    const failing = renderDelivery({ settings, codec, kept, draw, progress: () => undefined });
    await expect(failing).rejects.toThrow('no context');
    expect([...(await kept.list()).keys()]).toEqual([0, 1]);
    expect((await whole(kept)).asked).toEqual(all.slice(6));
  });

  it('a disk that is full ends it, and nothing is lost', async () => {
    class Full extends MemoryKept {
      room = 3;
      override async put(...given: Parameters<MemoryKept['put']>): Promise<void> {
        if (this.room-- <= 0) throw new Error('there is no room');
        await super.put(...given);
      }
    }
    const kept = new Full();
    await expect(whole(kept)).rejects.toThrow('no room');
    kept.room = 99;
    const { asked, bytes } = await whole(kept);
    expect(asked).toEqual(all.slice(9));
    expect(bytes).toEqual(all);
  });
});

describe('what a delivery asks of the engine', () => {
  const asks = (more: object) => asksOf(piece, DELIVERY.schema.parse({ id: 'd', ...more }));

  it.each([
    [{ format: 'mp4' }, { bytes: true, clear: false, step: 1 }],
    [
      { format: 'webm', tenBits: true },
      { bytes: false, step: 255 / 1023 },
    ],
    // what a format does not have is not asked for
    [
      { format: 'mp4', tenBits: true, alpha: 'straight', bits: '16' },
      { bytes: true, clear: false },
    ],
    [{ format: 'png' }, { bytes: true }],
    [
      { format: 'png', bits: '16' },
      { bytes: false, step: 255 / 65535, clear: false },
    ],
    [
      { format: 'png', alpha: 'straight' },
      { bytes: false, step: 1, clear: true },
    ],
    [
      { format: 'png', alpha: 'straight', shows: 'lines' },
      { bytes: false, clear: false },
    ],
    [
      { format: 'exr', light: 'scene' },
      { bytes: false, scene: true, step: 0 },
    ],
    [{ format: 'exr', light: 'scene', shows: 'lines' }, { scene: false }],
  ])('%j', (more, expected) => {
    expect(asks(more)).toMatchObject(expected);
  });

  it('channels by the names they have in the file; a matte for every layer that is seen', () => {
    const every = { depth: true, normal: true, motion: true, mattes: true, line: true };
    const { also, line } = asks({ format: 'exr', ...every });
    expect(also.map(({ name }) => name)).toEqual([
      ...['Z', 'normal', 'motion', 'matte.Sea_lamps', 'matte.Sea_lamps_2', 'matte.Gro_e'],
    ]);
    expect(line).toBe(true);
    expect(asks({ format: 'png', ...every })).toMatchObject({ also: [], line: false });
  });
});
