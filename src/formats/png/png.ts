import { unzlibSync, zlibSync } from 'fflate';
import { joined } from '../bytes';
import { crc32 } from '../crc';

// PNG, second edition: W3C / ISO 15948:2003. Written by us so that the same pixels are the same bytes everywhere.
const SIGNATURE = [137, 80, 78, 71, 13, 10, 26, 10];

function chunk(type: string, data: Uint8Array): Uint8Array {
  const out = new Uint8Array(data.length + 12);
  const view = new DataView(out.buffer);
  view.setUint32(0, data.length);
  for (let i = 0; i < 4; i++) out[4 + i] = type.charCodeAt(i);
  out.set(data, 8);
  view.setUint32(8 + data.length, crc32(out.subarray(4, 8 + data.length)));
  return out;
}

/** A picture with grain takes twice as long at the next, and is a twentieth smaller. */
const LEVEL = 4;
const FILTER_UP = 2;
/** Colour types. */
const [RGB, RGBA] = [2, 6];

/** Samples of a picture, top row first: red, green, blue, and alpha where there are four. */
export interface PngPicture {
  width: number;
  height: number;
  channels: 3 | 4;
  /** 8-bit samples, or 16-bit ones */
  samples: Uint8Array | Uint16Array;
}

/** Samples as the bytes of a file: those of 16 bits have their greater byte first. */
function bytesOf(samples: Uint8Array | Uint16Array): Uint8Array {
  if (samples instanceof Uint8Array) return samples;
  const out = new Uint8Array(samples.length * 2);
  for (let i = 0; i < samples.length; i++) {
    out[2 * i] = samples[i] >> 8;
    out[2 * i + 1] = samples[i];
  }
  return out;
}

/** Rows, each less the row above it: smooth pictures pack well and fast. */
function filteredRows(bytes: Uint8Array, height: number): Uint8Array {
  const stride = bytes.length / height;
  const out = new Uint8Array(bytes.length + height);
  for (let y = 0; y < height; y++) {
    const [from, to] = [y * stride, y * (stride + 1)];
    out[to] = FILTER_UP;
    if (y === 0) out.set(bytes.subarray(0, stride), 1);
    else for (let i = 0; i < stride; i++) out[to + 1 + i] = bytes[from + i] - bytes[from - stride + i];
  }
  return out;
}

/**
 * A PNG of sRGB colours, 8 or 16 bits a sample by what its samples are.
 * @throws RangeError when the samples do not fill the size
 */
export function writePng({ width, height, channels, samples }: PngPicture): Uint8Array<ArrayBuffer> {
  const needed = width * height * channels;
  if (samples.length !== needed)
    throw new RangeError(`${width}×${height} needs ${needed} samples, not ${samples.length}`);
  const header = new Uint8Array(13);
  const view = new DataView(header.buffer);
  view.setUint32(0, width);
  view.setUint32(4, height);
  header.set([samples.BYTES_PER_ELEMENT * 8, channels === 4 ? RGBA : RGB, 0, 0, 0], 8);
  return joined([
    new Uint8Array(SIGNATURE),
    chunk('IHDR', header),
    chunk('sRGB', new Uint8Array([0])),
    chunk('IDAT', zlibSync(filteredRows(bytesOf(samples), height), { level: LEVEL })),
    chunk('IEND', new Uint8Array(0)),
  ]);
}

/** The chunks of a PNG in their order. @throws RangeError when one is damaged */
function chunksOf(bytes: Uint8Array): { type: string; data: Uint8Array }[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const chunks: { type: string; data: Uint8Array }[] = [];
  for (let at = SIGNATURE.length; at + 12 <= bytes.length;) {
    const length = view.getUint32(at);
    const end = at + 8 + length;
    if (end + 4 > bytes.length) throw new RangeError('the picture ends in the middle');
    if (crc32(bytes.subarray(at + 4, end)) !== view.getUint32(end)) throw new RangeError('the picture is damaged');
    chunks.push({ type: String.fromCharCode(...bytes.subarray(at + 4, at + 8)), data: bytes.subarray(at + 8, end) });
    at = end + 4;
  }
  return chunks;
}

/**
 * Reads a PNG as {@link writePng} writes it: RGB or RGBA of 8 or 16 bits, not interlaced, rows as they are or less the row above.
 * @throws RangeError in words when it is damaged or of another kind
 */
export function readPng(bytes: Uint8Array): PngPicture {
  if (SIGNATURE.some((value, i) => bytes[i] !== value)) throw new RangeError('this is no PNG');
  const chunks = chunksOf(bytes);
  const header = chunks.find(({ type }) => type === 'IHDR')?.data;
  const packed = chunks.filter(({ type }) => type === 'IDAT');
  if (!header || packed.length !== 1 || chunks.at(-1)?.type !== 'IEND')
    throw new RangeError('the picture is not whole');
  const view = new DataView(header.buffer, header.byteOffset, header.byteLength);
  const [width, height] = [view.getUint32(0), view.getUint32(4)];
  const [bits, colours] = [header[8], header[9]];
  if ((bits !== 8 && bits !== 16) || (colours !== RGB && colours !== RGBA) || header[12] !== 0)
    throw new RangeError('the picture is of another kind');
  const rows = unzlibSync(packed[0].data);
  const channels = colours === RGBA ? 4 : 3;
  const stride = (width * channels * bits) / 8;
  if (rows.length !== (stride + 1) * height) throw new RangeError('the picture is not whole');
  const own = new Uint8Array(stride * height);
  for (let y = 0; y < height; y++) {
    const from = y * (stride + 1);
    const filter = rows[from];
    if (filter !== 0 && filter !== FILTER_UP) throw new RangeError('the picture is of another kind');
    for (let x = 0; x < stride; x++)
      own[y * stride + x] = rows[from + 1 + x] + (filter === FILTER_UP && y > 0 ? own[(y - 1) * stride + x] : 0);
  }
  const samples =
    bits === 8 ? own : Uint16Array.from({ length: own.length / 2 }, (_, i) => (own[2 * i] << 8) | own[2 * i + 1]);
  return { width, height, channels, samples };
}
