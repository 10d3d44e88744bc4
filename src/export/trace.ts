import type { FrameFacts } from './codecs/codec';
import { lightOf } from './light';

// What a file's pictures are compared with after it was written: traces taken of the frames as they were rendered.

/** Cells along the sides of a picture, at most; and pixels along the side of a cell, about and at least. */
const MOST_CELLS = 16;
const CELL_PX = 40;

/** Luma weights of ITU-R BT.709-6, §3.3, for encoded values. */
const [KR, KG, KB] = [0.2126, 0.7152, 0.0722];

/** The grid of cells that a picture of a size has. */
export function cellGrid(width: number, height: number): { columns: number; rows: number } {
  const [columns, rows] = [width, height].map((side) => Math.max(1, Math.min(MOST_CELLS, Math.floor(side / CELL_PX))));
  return { columns, rows };
}

/** Means over the cells of a grid of `luma(x, y)`. Every pixel counts once, or every few where there are many. */
function cellsOf(width: number, height: number, luma: (x: number, y: number) => number): Float32Array {
  const { columns, rows } = cellGrid(width, height);
  const cells = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [left, right] = [column, column + 1].map((c) => Math.floor((c * width) / columns));
      const [top, bottom] = [row, row + 1].map((r) => Math.floor((r * height) / rows));
      let total = 0;
      for (let y = top; y < bottom; y++) for (let x = left; x < right; x++) total += luma(x, y);
      cells[row * columns + column] = total / ((right - left) * (bottom - top));
    }
  return cells;
}

const rgbaCells = (rgba: ArrayLike<number>, width: number, height: number): Float32Array =>
  cellsOf(width, height, (x, y) => {
    const at = (y * width + x) * 4;
    return KR * rgba[at] + KG * rgba[at + 1] + KB * rgba[at + 2];
  });

/** Adler-32 (RFC 1950, §8.2) of bytes. */
export function sumOf(bytes: Uint8Array): number {
  let a = 1;
  let b = 0;
  for (let at = 0; at < bytes.length;) {
    // as many as the sums can hold before they are reduced
    for (const end = Math.min(bytes.length, at + 3600); at < end; at++) b += a += bytes[at];
    a %= 65521;
    b %= 65521;
  }
  return ((b << 16) | a) >>> 0;
}

/** Of what is kept of them: a hundredth of a code value is enough. */
const kept = (cells: Float32Array): number[] => Array.from(cells, (value) => Math.round(value * 100) / 100);

/** @param rgba bytes, top row first */
export const traceOf = (rgba: Uint8Array, width: number, height: number): FrameFacts => ({
  cells: kept(rgbaCells(rgba, width, height)),
  sum: sumOf(rgba),
  light: lightOf((sample) => rgba[sample], width, height),
});

/** @param rgba code values 0 … 1, four a pixel, top row first; @param sum of its samples as they are written */
export const traceOfNumbers = (rgba: Float32Array, width: number, height: number, sum: number): FrameFacts => ({
  cells: kept(
    cellsOf(width, height, (x, y) => {
      const at = (y * width + x) * 4;
      return 255 * Math.min(1, KR * rgba[at] + KG * rgba[at + 1] + KB * rgba[at + 2]);
    }),
  ),
  sum,
  light: lightOf((sample) => 255 * Math.min(1, Math.max(0, rgba[sample])) + 0.5, width, height),
});

/** A decoded picture's cells from its plane of luma in limited range, 16 … 235. @param by times as fine as that */
export const lumaCells = (
  plane: Uint8Array | Uint16Array,
  stride: number,
  width: number,
  height: number,
  by = 1,
): Float32Array => cellsOf(width, height, (x, y) => ((plane[y * stride + x] / by - 16) * 255) / 219);

export { rgbaCells };

/** Cells from pictures that were made as small as the grid, three bytes a cell. */
export const smallCells = (rgb: Uint8Array): Float32Array =>
  Float32Array.from({ length: rgb.length / 3 }, (_, i) => KR * rgb[3 * i] + KG * rgb[3 * i + 1] + KB * rgb[3 * i + 2]);

/**
 * How far the luma of a cell may be from what was rendered, in code values of 255. The codecs we write, at their lowest data
 * rate, change it by up to 8.4 over the demo pieces.
 */
const MOST_OFF = 14;
/** And all cells together, on average: measured up to 1.6. */
const MOST_OFF_MEAN = 4;

/** Whether decoded cells show the frame that was rendered. Frames darker than the tolerance cannot be told from black. */
export function shows(cells: Float32Array, trace: FrameFacts): boolean {
  let most = 0;
  let total = 0;
  cells.forEach((value, i) => {
    const off = Math.abs(value - trace.cells[i]);
    most = Math.max(most, off);
    total += off;
  });
  return most <= MOST_OFF && total / cells.length <= MOST_OFF_MEAN;
}

/** The largest difference of a cell, and the mean: for measuring the tolerance. */
export function offBy(cells: Float32Array, trace: FrameFacts): { most: number; mean: number } {
  const off = Array.from(cells, (value, i) => Math.abs(value - trace.cells[i]));
  return { most: Math.max(...off), mean: off.reduce((a, b) => a + b, 0) / off.length };
}
