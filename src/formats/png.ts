import { zlibSync } from 'fflate';

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

/** 8-bit RGB rows, each less the row above it: smooth pictures pack well and fast. */
function filteredRows(rgba: Uint8Array, width: number, height: number): Uint8Array {
  const stride = width * 3 + 1;
  const out = new Uint8Array(stride * height);
  for (let y = 0; y < height; y++) {
    out[y * stride] = FILTER_UP;
    for (let x = 0; x < width; x++)
      for (let k = 0; k < 3; k++) {
        const above = y > 0 ? rgba[((y - 1) * width + x) * 4 + k] : 0;
        out[y * stride + 1 + x * 3 + k] = rgba[(y * width + x) * 4 + k] - above;
      }
  }
  return out;
}

/**
 * An opaque 8-bit sRGB PNG.
 * @param rgba bytes, top row first; alpha is not written
 * @throws RangeError when the bytes do not fill the size
 */
export function writePng(rgba: Uint8Array, width: number, height: number): Uint8Array {
  if (rgba.length !== width * height * 4)
    throw new RangeError(`${width}×${height} needs ${width * height * 4} bytes, not ${rgba.length}`);
  const header = new Uint8Array(13);
  const view = new DataView(header.buffer);
  view.setUint32(0, width);
  view.setUint32(4, height);
  header.set([8, 2, 0, 0, 0], 8);
  const parts = [
    new Uint8Array(SIGNATURE),
    chunk('IHDR', header),
    chunk('sRGB', new Uint8Array([0])),
    chunk('IDAT', zlibSync(filteredRows(rgba, width, height), { level: 6 })),
    chunk('IEND', new Uint8Array(0)),
  ];
  const out = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}
