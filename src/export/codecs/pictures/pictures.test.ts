import * as THREE from 'three';
import { unzipSync } from 'fflate';
import { PNG } from 'pngjs';
import { EXRLoader } from 'three/addons/loaders/EXRLoader.js';
import { describe, expect, it } from 'vitest';
import { DELIVERY, SHEET } from '../../../core/deliveries/form';
import { readExr } from '../../../formats/exr/exr';
import { fromHalf } from '../../../formats/exr/half';
import { PieceSchema, type Piece } from '../../../core/piece/schema';
import { MemoryKept } from '../../kept/memory';
import { cutPicture, type Picture } from '../../picture';
import { renderDelivery } from '../../render';
import { settingsOf } from '../../settings';
import { CODECS } from '../list';

const [WIDTH, HEIGHT] = [18, 16];
const piece: Piece = PieceSchema.parse({
  id: 'p',
  name: 'Quay lamps',
  lap: { frames: 12, rate: { num: 24000, den: 1001 } },
  layers: [],
  flight: {},
  look: {},
});
type Draw = (frame: number) => Partial<Picture>;
const bytes: Draw = (frame) => ({
  bytes: new Uint8Array(WIDTH * HEIGHT * 4).fill(10 + frame * 20).map((v, i) => (i % 4 === 3 ? 255 : v)),
});
const numbers =
  (rgba: readonly number[], channels: NonNullable<Picture['numbers']>['channels'] = []): Draw =>
  () => ({ numbers: { rgba: Float32Array.from({ length: WIDTH * HEIGHT * 4 }, (_, i) => rgba[i % 4]), channels } });

async function rendered(more: object, draw: Draw) {
  const delivery = DELIVERY.schema.parse({ id: 'd', width: WIDTH, height: HEIGHT, last: 2, ...more });
  const settings = settingsOf(piece, delivery);
  const codec = CODECS[delivery.format];
  const { width, height } = settings;
  const result = await renderDelivery({
    ...{ settings, codec, kept: new MemoryKept() },
    draw: (frame) => Promise.resolve({ width, height, bytes: null, numbers: null, ...draw(frame) }),
    progress: () => undefined,
  });
  const file = new Uint8Array(await result.file.arrayBuffer());
  return { ...result, settings, codec, file };
}
const entries = ({ file }: { file: Uint8Array }) => Object.entries(unzipSync(file));
const wide = (png: Uint8Array): Uint16Array =>
  // its types know bytes only
  (PNG.sync.read as (bytes: Buffer, options: object) => { data: unknown })(Buffer.from(png), { skipRescale: true })
    .data as Uint16Array;

describe('numbered pictures', () => {
  it('stand under the piece’s name and the number in the lap', async () => {
    const made = await rendered({ format: 'png', first: 1, last: 3 }, bytes);
    expect(entries(made).map(([name]) => name)).toEqual([1, 2, 3].map((n) => `quay-lamps.000${n}.png`));
    expect(PNG.sync.read(Buffer.from(entries(made)[1][1])).data[0]).toBe(50);
    expect(made.verified).toMatchObject({ ok: true, frames: 3, says: '3 pictures, each as it was rendered' });
  });

  it('or by a pattern, counted from where it is wished', async () => {
    const asked = { format: 'exr', numbered: 'shot/lamps_######_v2', countFrom: 1001 };
    const made = await rendered(asked, numbers([0, 0, 0, 1]));
    expect(entries(made).map(([name]) => name)).toEqual([1, 2, 3].map((n) => `shot/lamps_00100${n}_v2.exr`));
    const short = { ...made.settings, delivery: { ...made.settings.delivery, numbered: 'a#' }, frames: [1, 11, 21] };
    expect(await made.codec.refusal(short)).toBeNull();
    expect(await made.codec.refusal({ ...short, frames: [3, 3] })).toContain('two pictures would be called a1004.exr');
  });

  it('one of another frame, a missing one and a damaged one are named', async () => {
    const { file, settings, codec } = await rendered({ format: 'png' }, bytes);
    const facts = (await rendered({ format: 'png' }, (frame) => bytes(frame === 1 ? 7 : frame))).settings;
    expect(facts.frames).toEqual([0, 1, 2]);
    const sums = async (draw: Draw) => {
      const kept = new MemoryKept();
      const at = { width: WIDTH, height: HEIGHT, bytes: null, numbers: null };
      const progress = () => undefined;
      await renderDelivery({ settings, codec, kept, draw: (f) => Promise.resolve({ ...at, ...draw(f) }), progress });
      return [...(await kept.list()).values()].flatMap(({ frames }) => frames);
    };
    const own = await sums(bytes);
    const other = await sums((frame) => bytes(frame === 1 ? 7 : frame));
    expect(await codec.verify(new Blob([file]), settings, own)).toMatchObject({ ok: true });
    const words = 'quay-lamps.0001.png is not the picture that was rendered';
    expect(await codec.verify(new Blob([file]), settings, other)).toMatchObject({ ok: false, says: words });
    const more = { ...settings, frames: [0, 1, 2, 3] };
    expect(await codec.verify(new Blob([file]), more, [...own, own[0]])).toMatchObject({
      ok: false,
      says: 'quay-lamps.0003.png is missing',
    });
    const damaged = file.slice();
    const second = Buffer.from(damaged).indexOf('quay-lamps.0001.png');
    damaged.fill(0, second + 80, second + 90);
    expect(await codec.verify(new Blob([damaged]), settings, own)).toMatchObject({ ok: false, says: words });
  });

  it('the same frames are the same file', async () => {
    const make = () => rendered({ format: 'png' }, bytes).then(({ file }) => file);
    expect(await make()).toEqual(await make());
  });
});

describe('alpha and depth', () => {
  // premultiplied: a blue that is half there, and red light that is added without alpha
  const half = numbers([0.75, 0, 0.25, 0.5]);

  it('premultiplied is as it is, and straight hides as much as it is bright', async () => {
    const [[, plain]] = entries(await rendered({ format: 'png', alpha: 'premultiplied' }, half));
    expect([...PNG.sync.read(Buffer.from(plain)).data.subarray(0, 4)]).toEqual([191, 0, 64, 128]);
    const [[, straight]] = entries(await rendered({ format: 'png', alpha: 'straight' }, half));
    // over black it is the same again: 255 × 191 / 255
    expect([...PNG.sync.read(Buffer.from(straight)).data.subarray(0, 4)]).toEqual([255, 0, 85, 191]);
  });

  it('what is not there is clear black, and what is wholly there as it is', async () => {
    const [[, clear]] = entries(await rendered({ format: 'png', alpha: 'straight' }, numbers([0, 0, 0, 0])));
    expect([...PNG.sync.read(Buffer.from(clear)).data.subarray(0, 4)]).toEqual([0, 0, 0, 0]);
    const [[, whole]] = entries(await rendered({ format: 'png', alpha: 'straight' }, numbers([0.2, 0.4, 0.6, 1])));
    expect([...PNG.sync.read(Buffer.from(whole)).data.subarray(0, 4)]).toEqual([51, 102, 153, 255]);
  });

  it('sixteen bits keep what eight round off', async () => {
    const codes = [12_345, 12_346, 60_001];
    const [r, g, b] = codes.map((code) => code / 65_535);
    const [[, png]] = entries(await rendered({ format: 'png', bits: '16' }, numbers([r, g, b, 1])));
    expect([...wide(png).subarray(0, 3)]).toEqual(codes);
  });
});

describe('EXR', () => {
  const Z = new Float32Array(WIDTH * HEIGHT).map((_, i) => (i === 0 ? 1e9 : i / 7));
  const channels = [
    { name: 'Z', values: Z },
    { name: 'normal', values: new Float32Array(WIDTH * HEIGHT * 3).map((_, i) => (i % 3) - 1) },
    { name: 'motion', values: new Float32Array(WIDTH * HEIGHT * 2).map((_, i) => (i % 2 ? 4.5 : -3)) },
    { name: 'matte.Sea_lamps', values: new Float32Array(WIDTH * HEIGHT).fill(0.25) },
  ];

  it('holds code values as linear light, and light as it is', async () => {
    const read = (exr: Uint8Array) => {
      const { data } = new EXRLoader().setDataType(THREE.FloatType).parse(exr.slice().buffer);
      return [...(data?.slice(0, 4) ?? [])];
    };
    const values = [0.5, 0.04, 1, 1];
    const [[, finished]] = entries(await rendered({ format: 'exr', numbers: 'float' }, numbers(values)));
    // IEC 61966-2-1
    expect(read(finished)[0]).toBeCloseTo(((0.5 + 0.055) / 1.055) ** 2.4, 6);
    expect(read(finished)[1]).toBeCloseTo(0.04 / 12.92, 7);
    const [[, scene]] = entries(
      await rendered({ format: 'exr', numbers: 'float', light: 'scene' }, numbers([7, 0.5, 0, 1])),
    );
    expect(read(scene)).toEqual([7, 0.5, 0, 1]);
  });

  it('holds every channel under its name, depth in full floats', async () => {
    const made = await rendered({ format: 'exr', alpha: 'premultiplied' }, numbers([0, 0, 0, 0.5], channels));
    const { channels: found, lines } = readExr(entries(made)[0][1]);
    expect(found.map(({ name, type }) => `${name} ${type}`)).toEqual([
      ...['A half', 'B half', 'G half', 'R half', 'Z float', 'matte.Sea_lamps half'],
      ...['motion.X half', 'motion.Y half', 'normal.X half', 'normal.Y half', 'normal.Z half'],
    ]);
    const view = new DataView(lines.buffer, lines.byteOffset);
    // the first line: four channels of halves, then the depths
    expect([0, 1, 2].map((i) => view.getFloat32(WIDTH * 8 + i * 4, true))).toEqual([...Z.subarray(0, 3)]);
    expect(fromHalf(view.getUint16(0, true))).toBe(0.5);
    expect(made.verified).toMatchObject({ ok: true, frames: 3 });
  });
});

describe('one picture', () => {
  it('is that frame', async () => {
    const made = await rendered({ format: 'poster', first: 5 }, bytes);
    expect(PNG.sync.read(Buffer.from(made.file)).data[0]).toBe(110);
    expect(made.verified).toMatchObject({ ok: true, says: 'one picture, as it was rendered' });
    const damaged = made.file.slice();
    damaged[60] ^= 1;
    const { settings, codec } = made;
    expect((await codec.verify(new Blob([damaged]), settings, [{ cells: [], sum: 1 }])).ok).toBe(false);
  });

  it('a contact sheet has nine frames of the whole lap side by side', async () => {
    const size = { width: WIDTH * SHEET, height: HEIGHT * SHEET };
    const made = await rendered({ format: 'sheet', ...size, last: 99_999 }, bytes);
    expect(made.settings.frames).toEqual([0, 1, 2, 4, 5, 6, 8, 9, 10]);
    const { data } = PNG.sync.read(Buffer.from(made.file));
    const seen = Array.from({ length: 9 }, (_, i) => {
      const [x, y] = [(i % 3) * WIDTH + 2, Math.floor(i / 3) * HEIGHT + 3];
      return (data[(y * size.width + x) * 4] - 10) / 20;
    });
    expect(seen).toEqual(made.settings.frames);
    expect(made.verified).toMatchObject({ ok: true, says: '9 frames side by side, as it was rendered' });
  });
});

describe('a part of a picture', () => {
  it('is those of its pixels, with its channels', () => {
    const [width, height] = [7, 5];
    const pixels = Array.from({ length: width * height }, (_, i) => i);
    const whole: Picture = {
      ...{ width, height, bytes: Uint8Array.from(pixels.flatMap((i) => [i, 0, 0, 255])) },
      numbers: {
        rgba: Float32Array.from(pixels.flatMap((i) => [i, 0, 0, 1])),
        channels: [{ name: 'motion', values: Float32Array.from(pixels.flatMap((i) => [i, -i])) }],
      },
    };
    const part = cutPicture(whole, { left: 2, top: 1, width: 3, height: 2 });
    const kept = [9, 10, 11, 16, 17, 18];
    expect([part.width, part.height]).toEqual([3, 2]);
    expect(part.bytes?.filter((_, i) => i % 4 === 0)).toEqual(Uint8Array.from(kept));
    expect(part.numbers?.rgba.filter((_, i) => i % 4 === 0)).toEqual(Float32Array.from(kept));
    expect([...(part.numbers?.channels[0].values ?? [])]).toEqual(kept.flatMap((i) => [i, -i]));
    expect(cutPicture(whole, { left: 0, top: 0, width, height })).toBe(whole);
  });
});
