import { toLinear } from '../colour/colour';

/** A picture as bytes: encoded sRGB red, green, blue and straight alpha of each pixel, the top row first. */
export interface Raster {
  width: number;
  height: number;
  rgba: Uint8Array | Uint8ClampedArray;
}

const LINEAR = Float32Array.from({ length: 256 }, (_, i) => toLinear(i / 255));
/** Steps of light between which no code value is skipped: sRGB is steepest at black, 12.92 · 255 codes to the unit. */
const STEPS = 16384;

let encoding: Uint8Array | null = null;
/** Code values of light in {@link STEPS} steps, made when they are first needed. */
function encoded(): Uint8Array {
  if (encoding) return encoding;
  encoding = new Uint8Array(STEPS + 1);
  let code = 0;
  for (let i = 0; i <= STEPS; i++) {
    while (code < 255 && i / STEPS > (LINEAR[code] + LINEAR[code + 1]) / 2) code++;
    encoding[i] = code;
  }
  return encoding;
}

/** What each pixel of a half as long row is made of: where it begins, and the shares of three neighbours. */
function tapsOf(size: number): { from: Int32Array; share: Float32Array; half: number } {
  const half = Math.max(1, size >> 1);
  const from = new Int32Array(half);
  const share = new Float32Array(half * 3);
  // an odd row has 2 + 1/half pixels to each of the half: the box filter takes its part of three
  for (let i = 0; i < half; i++) {
    const [start, end] = [(i * size) / half, ((i + 1) * size) / half];
    from[i] = Math.floor(start);
    for (let k = 0; k < 3; k++) {
      const over = Math.min(end, from[i] + k + 1) - Math.max(start, from[i] + k);
      share[i * 3 + k] = Math.max(0, over) / (end - start);
    }
  }
  return { from, share, half };
}

/** Of fewer pixels nothing is to be gained. */
const SMALL = 64;

/** The same for sides that are even, of what is there all over; null where some of it is not. */
function halvedEvenly({ width, height, rgba }: Raster): Raster | null {
  const [wide, high] = [width >> 1, height >> 1];
  const out = new Uint8Array(wide * high * 4);
  const codes = encoded();
  const line = width * 4;
  const scale = STEPS / 4;
  for (let y = 0, to = 0; y < high; y++)
    for (let x = 0, at = 2 * y * line; x < wide; x++, at += 8, to += 4) {
      if ((rgba[at + 3] & rgba[at + 7] & rgba[at + line + 3] & rgba[at + line + 7]) !== 255) return null;
      for (let k = 0; k < 3; k++) {
        const sum =
          LINEAR[rgba[at + k]] +
          LINEAR[rgba[at + 4 + k]] +
          LINEAR[rgba[at + line + k]] +
          LINEAR[rgba[at + line + 4 + k]];
        out[to + k] = codes[(sum * scale + 0.5) | 0];
      }
      out[to + 3] = 255;
    }
  return { width: wide, height: high, rgba: out };
}

/**
 * A picture of half the size: every pixel the mean light of those it covers, weighed by how far they are there. Sides that are
 * odd are halved downwards, as levels of a texture are.
 */
export function halved(raster: Raster): Raster {
  const { width, height, rgba } = raster;
  if (width % 2 === 0 && height % 2 === 0 && width * height > SMALL) {
    const even = halvedEvenly(raster);
    if (even) return even;
  }
  const [across, down] = [tapsOf(width), tapsOf(height)];
  const out = new Uint8Array(across.half * down.half * 4);
  const codes = encoded();
  for (let y = 0; y < down.half; y++)
    for (let x = 0; x < across.half; x++) {
      let [red, green, blue, alpha] = [0, 0, 0, 0];
      for (let j = 0; j < 3; j++) {
        const high = down.share[y * 3 + j];
        if (high === 0) continue;
        for (let i = 0; i < 3; i++) {
          const part = high * across.share[x * 3 + i];
          if (part === 0) continue;
          const at = ((down.from[y] + j) * width + across.from[x] + i) * 4;
          const there = part * rgba[at + 3];
          red += there * LINEAR[rgba[at]];
          green += there * LINEAR[rgba[at + 1]];
          blue += there * LINEAR[rgba[at + 2]];
          alpha += there;
        }
      }
      const to = (y * across.half + x) * 4;
      const scale = alpha > 0 ? STEPS / alpha : 0;
      out[to] = codes[Math.min(STEPS, Math.round(red * scale))];
      out[to + 1] = codes[Math.min(STEPS, Math.round(green * scale))];
      out[to + 2] = codes[Math.min(STEPS, Math.round(blue * scale))];
      out[to + 3] = Math.round(alpha);
    }
  return { width: across.half, height: down.half, rgba: out };
}

/** Pixels of a picture halved so many times. */
export const sizeAt = (width: number, height: number, times: number): [number, number] => [
  Math.max(1, width >> times),
  Math.max(1, height >> times),
];

/** A picture halved so many times. */
export function reduced(raster: Raster, times: number): Raster {
  let out = raster;
  for (let i = 0; i < times && (out.width > 1 || out.height > 1); i++) out = halved(out);
  return out;
}

/** A picture and all its halves, down to one pixel. */
export function levelsOf(raster: Raster): Raster[] {
  const levels = [raster];
  for (let last = raster; last.width > 1 || last.height > 1;) levels.push((last = halved(last)));
  return levels;
}

/** How many levels a picture has. */
export const levelCount = (width: number, height: number): number => Math.floor(Math.log2(Math.max(width, height))) + 1;

/** A picture with its light multiplied by how far each pixel is there; the same one where all of it is. */
export function premultiplied({ width, height, rgba }: Raster): Raster {
  const codes = encoded();
  let out: Uint8Array | null = null;
  for (let i = 0; i < rgba.length; i += 4) {
    const alpha = rgba[i + 3];
    if (alpha === 255) continue;
    out ??= Uint8Array.from(rgba);
    for (let k = 0; k < 3; k++) out[i + k] = codes[Math.round((LINEAR[rgba[i + k]] * alpha * STEPS) / 255)];
  }
  return { width, height, rgba: out ?? rgba };
}
