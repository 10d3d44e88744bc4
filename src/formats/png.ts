import { joined } from './bytes';
import { unzlibSync, zlibSync } from 'fflate';

// PNG, second edition: W3C / ISO 15948:2003. Written by us so that the same pixels are the same bytes everywhere.
const SIGNATURE = [137, 80, 78, 71, 13, 10, 26, 10];

const crcTable = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c;
});

function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) crc = crcTable[(crc ^ byte) & 255] ^ (crc >>> 8);
  return (crc ^ 0xffffffff) >>> 0;
}

function chunk(type: string, data: Uint8Array): Uint8Array {
  const out = new Uint8Array(data.length + 12);
  const view = new DataView(out.buffer);
  view.setUint32(0, data.length);
  for (let i = 0; i < 4; i++) out[4 + i] = type.charCodeAt(i);
  out.set(data, 8);
  view.setUint32(8 + data.length, crc32(out.subarray(4, 8 + data.length)));
  return out;
}

const FILTER_UP = 2;
/** Colour types. */
const [RGB, RGBA] = [2, 6];

/** 8-bit rows of RGB, or RGBA, each less the row above it: smooth pictures pack well and fast. */
function filteredRows(rgba: Uint8Array, width: number, height: number, channels: 3 | 4): Uint8Array {
  const stride = width * channels + 1;
  const out = new Uint8Array(stride * height);
  for (let y = 0; y < height; y++) {
    out[y * stride] = FILTER_UP;
    for (let x = 0; x < width; x++)
      for (let k = 0; k < channels; k++) {
        const above = y > 0 ? rgba[((y - 1) * width + x) * 4 + k] : 0;
        out[y * stride + 1 + x * channels + k] = rgba[(y * width + x) * 4 + k] - above;
      }
  }
  return out;
}

/**
 * An 8-bit sRGB PNG.
 * @param rgba bytes, top row first, alpha straight
 * @param clear alpha is written too; without, it is opaque
 * @throws RangeError when the bytes do not fill the size
 */
export function writePng(rgba: Uint8Array, width: number, height: number, clear = false): Uint8Array {
  if (rgba.length !== width * height * 4)
    throw new RangeError(`${width}×${height} needs ${width * height * 4} bytes, not ${rgba.length}`);
  const header = new Uint8Array(13);
  const view = new DataView(header.buffer);
  view.setUint32(0, width);
  view.setUint32(4, height);
  header.set([8, clear ? RGBA : RGB, 0, 0, 0], 8);
  return joined([
    new Uint8Array(SIGNATURE),
    chunk('IHDR', header),
    chunk('sRGB', new Uint8Array([0])),
    chunk('IDAT', zlibSync(filteredRows(rgba, width, height, clear ? 4 : 3), { level: 6 })),
    chunk('IEND', new Uint8Array(0)),
  ]);
}

/** The bytes of a PNG's chunks of one type. @throws RangeError when a chunk is damaged */
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
 * Reads a PNG as {@link writePng} writes it: 8-bit RGB or RGBA, not interlaced, rows as they are or less the row above.
 * @returns bytes of three or four channels, top row first
 * @throws RangeError in words when it is damaged or of another kind
 */
export function readPng(bytes: Uint8Array): { width: number; height: number; channels: 3 | 4; pixels: Uint8Array } {
  if (SIGNATURE.some((value, i) => bytes[i] !== value)) throw new RangeError('this is no PNG');
  const chunks = chunksOf(bytes);
  const header = chunks.find(({ type }) => type === 'IHDR')?.data;
  const packed = chunks.filter(({ type }) => type === 'IDAT');
  if (!header || packed.length !== 1 || chunks.at(-1)?.type !== 'IEND')
    throw new RangeError('the picture is not whole');
  const view = new DataView(header.buffer, header.byteOffset, header.byteLength);
  const [width, height] = [view.getUint32(0), view.getUint32(4)];
  if (header[8] !== 8 || (header[9] !== RGB && header[9] !== RGBA) || header[12] !== 0)
    throw new RangeError('the picture is of another kind');
  const rows = unzlibSync(packed[0].data);
  const channels = header[9] === RGBA ? 4 : 3;
  const stride = width * channels;
  if (rows.length !== (stride + 1) * height) throw new RangeError('the picture is not whole');
  const pixels = new Uint8Array(stride * height);
  for (let y = 0; y < height; y++) {
    const from = y * (stride + 1);
    const filter = rows[from];
    if (filter !== 0 && filter !== FILTER_UP) throw new RangeError('the picture is of another kind');
    for (let x = 0; x < stride; x++)
      pixels[y * stride + x] = rows[from + 1 + x] + (filter === FILTER_UP && y > 0 ? pixels[(y - 1) * stride + x] : 0);
  }
  return { width, height, channels, pixels };
}
