import { unzlibSync, zlibSync } from 'fflate';
import type { Rate } from '../../core/time/lap';
import { joined } from '../bytes';
import { toHalf } from './half';

// OpenEXR, version 2, one part of scan lines, ZIP in blocks of sixteen: "The OpenEXR file layout" of the Academy Software
// Foundation. Written by us so that the same numbers are the same bytes everywhere.
const MAGIC = 20000630;
const VERSION = 2;
const ZIP = 3;
const LINES = 16;
const [HALF, FLOAT] = [1, 2];

/** A channel of a picture, by its whole name: layers are what stands before its last full stop. */
export interface ExrChannel {
  name: string;
  type: 'half' | 'float';
  /** top row first */
  values: Float32Array;
}

export interface ExrPicture {
  width: number;
  height: number;
  channels: readonly ExrChannel[];
  /** frames a second of the sequence it belongs to */
  rate?: Rate;
}

/** Chromaticities of ITU-R BT.709-6, §1, which are those of sRGB: red, green, blue, white. */
const CHROMATICITIES = [0.64, 0.33, 0.3, 0.6, 0.15, 0.06, 0.3127, 0.329];

/** Writes numbers one after another, lesser byte first. */
class Writer {
  private readonly parts: Uint8Array[] = [];

  bytes(bytes: Uint8Array): this {
    this.parts.push(bytes);
    return this;
  }

  int(...values: readonly number[]): this {
    return this.numbers(values, 4, (view, at, value) => view.setInt32(at, value, true));
  }

  float(...values: readonly number[]): this {
    return this.numbers(values, 4, (view, at, value) => view.setFloat32(at, value, true));
  }

  byte(...values: readonly number[]): this {
    return this.bytes(Uint8Array.from(values));
  }

  /** a name and its end */
  text(text: string): this {
    return this.bytes(new TextEncoder().encode(`${text}\0`));
  }

  attribute(name: string, type: string, value: Writer): this {
    const own = value.done();
    return this.text(name).text(type).int(own.length).bytes(own);
  }

  private numbers(values: readonly number[], size: number, set: (view: DataView, at: number, v: number) => void): this {
    const out = new Uint8Array(values.length * size);
    const view = new DataView(out.buffer);
    values.forEach((value, i) => set(view, i * size, value));
    return this.bytes(out);
  }

  done(): Uint8Array<ArrayBuffer> {
    return joined(this.parts);
  }
}

const sizeOf = (type: number): number => (type === HALF ? 2 : 4);

/** In the order that the format asks for. */
const sorted = (channels: readonly ExrChannel[]): ExrChannel[] =>
  [...channels].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));

/** Every other byte into each half, then each less the one before: what is smooth packs well. */
function foretold(bytes: Uint8Array): Uint8Array {
  const out = new Uint8Array(bytes.length);
  const half = (bytes.length + 1) >> 1;
  for (let i = 0; i < bytes.length; i++) out[(i & 1 ? half : 0) + (i >> 1)] = bytes[i];
  for (let i = bytes.length - 1; i > 0; i--) out[i] = out[i] - out[i - 1] + 128;
  return out;
}

function untold(bytes: Uint8Array): Uint8Array {
  const whole = bytes.slice();
  for (let i = 1; i < whole.length; i++) whole[i] = whole[i] + whole[i - 1] - 128;
  const half = (whole.length + 1) >> 1;
  const out = new Uint8Array(whole.length);
  for (let i = 0; i < out.length; i++) out[i] = whole[(i & 1 ? half : 0) + (i >> 1)];
  return out;
}

/** Scan lines as the format has them: a line's channels one after another, by their names. */
export function exrLines({ width, height, channels }: ExrPicture): Uint8Array {
  const line = channels.reduce((sum, { type }) => sum + width * (type === 'half' ? 2 : 4), 0);
  const out = new Uint8Array(line * height);
  const view = new DataView(out.buffer);
  const inOrder = sorted(channels);
  let at = 0;
  for (let y = 0; y < height; y++)
    for (const { type, values } of inOrder)
      for (let i = y * width; i < (y + 1) * width; i++)
        if (type === 'half') {
          view.setUint16(at, toHalf(values[i]), true);
          at += 2;
        } else {
          view.setFloat32(at, values[i], true);
          at += 4;
        }
  return out;
}

/**
 * A picture of scan lines.
 * @param lines as {@link exrLines} makes them
 * @throws RangeError when a channel does not fill the size, or two have one name
 */
export function writeExr(picture: ExrPicture, lines = exrLines(picture)): Uint8Array<ArrayBuffer> {
  const { width, height, rate } = picture;
  const channels = sorted(picture.channels);
  for (const [i, { name, values }] of channels.entries()) {
    if (values.length !== width * height)
      throw new RangeError(`${name} of ${width}×${height} needs ${width * height} numbers, not ${values.length}`);
    if (channels.at(i + 1)?.name === name) throw new RangeError(`two channels are called ${name}`);
  }
  const list = new Writer();
  for (const { name, type } of channels)
    list
      .text(name)
      .int(type === 'half' ? HALF : FLOAT)
      .byte(0, 0, 0, 0)
      .int(1, 1);
  const box = (): Writer => new Writer().int(0, 0, width - 1, height - 1);
  const head = new Writer()
    .int(MAGIC, VERSION)
    .attribute('channels', 'chlist', list.byte(0))
    .attribute('chromaticities', 'chromaticities', new Writer().float(...CHROMATICITIES))
    .attribute('compression', 'compression', new Writer().byte(ZIP))
    .attribute('dataWindow', 'box2i', box())
    .attribute('displayWindow', 'box2i', box());
  if (rate) head.attribute('framesPerSecond', 'rational', new Writer().int(rate.num, rate.den));
  head
    .attribute('lineOrder', 'lineOrder', new Writer().byte(0))
    .attribute('pixelAspectRatio', 'float', new Writer().float(1))
    .attribute('screenWindowCenter', 'v2f', new Writer().float(0, 0))
    .attribute('screenWindowWidth', 'float', new Writer().float(1))
    .byte(0);
  const start = head.done();
  const block = (lines.length / height) * LINES;
  const blocks = Array.from({ length: Math.ceil(height / LINES) }, (_, i) => {
    const raw = lines.subarray(i * block, (i + 1) * block);
    const packed = zlibSync(foretold(raw), { level: 4 });
    // what does not get smaller is left as it is
    const data = packed.length < raw.length ? packed : raw;
    return new Writer()
      .int(i * LINES, data.length)
      .bytes(data)
      .done();
  });
  const places = new Uint8Array(blocks.length * 8);
  const view = new DataView(places.buffer);
  let at = start.length + places.length;
  blocks.forEach((block, i) => {
    view.setBigUint64(i * 8, BigInt(at), true);
    at += block.length;
  });
  return joined([start, places, ...blocks]);
}

/** What is read of a file: its channels as the bytes that their numbers are, so that nothing of them is lost. */
export interface ExrRead {
  width: number;
  height: number;
  channels: { name: string; type: 'half' | 'float' }[];
  /** scan lines, each with its channels one after another */
  lines: Uint8Array;
}

/**
 * Reads a picture as {@link writeExr} writes it.
 * @throws RangeError in words when it is damaged or of another kind
 */
export function readExr(bytes: Uint8Array): ExrRead {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 8 || view.getInt32(0, true) !== MAGIC) throw new RangeError('this is no EXR');
  let at = 8;
  const text = (): string => {
    const end = bytes.indexOf(0, at);
    if (end < 0) throw new RangeError('the picture is not whole');
    const own = new TextDecoder().decode(bytes.subarray(at, end));
    at = end + 1;
    return own;
  };
  const channels: { name: string; type: number }[] = [];
  let [width, height, packing] = [0, 0, -1];
  for (let name = text(); name !== ''; name = text()) {
    text();
    const end = at + 4 + view.getInt32(at, true);
    at += 4;
    if (end > bytes.length) throw new RangeError('the picture is not whole');
    if (name === 'compression') packing = bytes[at];
    if (name === 'dataWindow') [width, height] = [8, 12].map((by) => view.getInt32(at + by, true) + 1);
    if (name === 'channels')
      while (bytes[at] !== 0) {
        channels.push({ name: text(), type: view.getInt32(at, true) });
        at += 16;
      }
    at = end;
  }
  if (packing !== ZIP || width < 1 || height < 1) throw new RangeError('the picture is of another kind');
  const stride = channels.reduce((sum, { type }) => sum + width * sizeOf(type), 0);
  const lines = new Uint8Array(stride * height);
  const blocks = Math.ceil(height / LINES);
  for (let i = 0; i < blocks; i++) {
    const start = Number(view.getBigUint64(at + i * 8, true));
    const [first, size] = [view.getInt32(start, true), view.getInt32(start + 4, true)];
    const data = bytes.subarray(start + 8, start + 8 + size);
    const wanted = stride * Math.min(LINES, height - i * LINES);
    if (first !== i * LINES || data.length !== size) throw new RangeError('the picture is not whole');
    const own = size < wanted ? untold(unzlibSync(data)) : data;
    if (own.length !== wanted) throw new RangeError('the picture is not whole');
    lines.set(own, i * LINES * stride);
  }
  return {
    width,
    height,
    channels: channels.map(({ name, type }) => ({ name, type: type === HALF ? 'half' : 'float' })),
    lines,
  };
}
