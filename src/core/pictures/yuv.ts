import type { Raster } from './raster';

/** Matrices between luma with two colour differences and red, green, blue: the shares of red and blue in luma. */
const SHARES = {
  /** Rec. ITU-R BT.709-6 §3 */
  bt709: { red: 0.2126, blue: 0.0722 },
  /** Rec. ITU-R BT.601-7 §2.5.1 */
  bt601: { red: 0.299, blue: 0.114 },
  /** Rec. ITU-R BT.2020-2, table 4, non-constant luminance */
  bt2020: { red: 0.2627, blue: 0.0593 },
} as const;
export type Matrix = keyof typeof SHARES;

/** A plane of samples: where it begins, how far it is from row to row, and from sample to sample. */
export interface Plane {
  offset: number;
  stride: number;
  step: number;
}

/** A frame as luma at every pixel and colour differences at every second one both ways, 8 bits each. */
export interface Luma {
  width: number;
  height: number;
  bytes: Uint8Array;
  y: Plane;
  u: Plane;
  v: Plane;
  matrix: Matrix;
  /** 0…255 rather than 16…235 */
  full: boolean;
}

/** Steps of a code value that the sums are worked out in. */
const UNIT = 1 << 16;

/**
 * Red, green and blue of a frame. Colour differences lie on the even columns and between the rows (H.264 §6.2, chroma type 0), and
 * are interpolated.
 */
export function rgbOf({ width, height, bytes, y, u, v, matrix, full }: Luma): Raster {
  const { red, blue } = SHARES[matrix];
  const green = 1 - red - blue;
  const [black, lumaScale, chromaScale] = full ? [0, 1, 1] : [16, 255 / 219, 255 / 224];
  const luma = Math.round(UNIT * lumaScale);
  // chroma comes in eighths: four of the rows, two of the columns
  const part = (factor: number): number => Math.round((UNIT * chromaScale * factor) / 8);
  const [toRed, toBlue] = [part(2 * (1 - red)), part(2 * (1 - blue))];
  const [greenU, greenV] = [part((2 * (1 - blue) * blue) / green), part((2 * (1 - red) * red) / green)];
  const [columns, rows] = [(width + 1) >> 1, (height + 1) >> 1];
  const out = new Uint8ClampedArray(width * height * 4);
  const rowU = new Int32Array(columns + 1);
  const rowV = new Int32Array(columns + 1);
  for (let row = 0, to = 0; row < height; row++) {
    const near = row >> 1;
    const far = Math.min(rows - 1, Math.max(0, near + (row & 1 ? 1 : -1)));
    for (let i = 0; i < columns; i++) {
      rowU[i] =
        3 * bytes[u.offset + near * u.stride + i * u.step] + bytes[u.offset + far * u.stride + i * u.step] - 512;
      rowV[i] =
        3 * bytes[v.offset + near * v.stride + i * v.step] + bytes[v.offset + far * v.stride + i * v.step] - 512;
    }
    rowU[columns] = rowU[columns - 1];
    rowV[columns] = rowV[columns - 1];
    for (let x = 0, at = y.offset + row * y.stride; x < width; x++, at += y.step, to += 4) {
      const i = x >> 1;
      const next = i + (x & 1);
      const cu = rowU[i] + rowU[next];
      const cv = rowV[i] + rowV[next];
      const light = (bytes[at] - black) * luma + UNIT / 2;
      out[to] = (light + cv * toRed) >> 16;
      out[to + 1] = (light - cu * greenU - cv * greenV) >> 16;
      out[to + 2] = (light + cu * toBlue) >> 16;
      out[to + 3] = 255;
    }
  }
  return { width, height, rgba: out };
}
