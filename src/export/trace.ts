// What a file's pictures are compared with after it was written: traces taken of the frames as they were rendered.

/** Cells along the sides of a picture, at most; and pixels along the side of a cell, about and at least. */
const MOST_CELLS = 16;
const CELL_PX = 40;

/** A frame as it was rendered, small: enough to tell it from any other, and from none. */
export interface FrameTrace {
  /** mean luma of each cell of a grid, 0 … 255, top row first */
  cells: Float32Array;
  /** checksum of its red, green and blue bytes */
  sum: number;
}

/** Luma weights of ITU-R BT.709-6, §3.3, for encoded values. */
const [KR, KG, KB] = [0.2126, 0.7152, 0.0722];

/** Means over the cells of a grid of `luma(x, y)`. Every pixel counts once, or every few where there are many. */
function cellsOf(width: number, height: number, luma: (x: number, y: number) => number): Float32Array {
  const [columns, rows] = [width, height].map((side) => Math.max(1, Math.min(MOST_CELLS, Math.floor(side / CELL_PX))));
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

const rgbaCells = (rgba: Uint8Array, width: number, height: number): Float32Array =>
  cellsOf(width, height, (x, y) => {
    const at = (y * width + x) * 4;
    return KR * rgba[at] + KG * rgba[at + 1] + KB * rgba[at + 2];
  });

/** Adler-32 (RFC 1950, §8.2) of the colours, without alpha. */
export function colourSum(pixels: Uint8Array, channels: 3 | 4): number {
  let a = 1;
  let b = 0;
  for (let at = 0; at < pixels.length;) {
    // as many as the sums can hold before they are reduced
    for (const end = Math.min(pixels.length, at + 1200 * channels); at < end; at += channels) {
      b += a += pixels[at];
      b += a += pixels[at + 1];
      b += a += pixels[at + 2];
    }
    a %= 65521;
    b %= 65521;
  }
  return ((b << 16) | a) >>> 0;
}

/** @param rgba bytes, top row first */
export const traceOf = (rgba: Uint8Array, width: number, height: number): FrameTrace => ({
  cells: rgbaCells(rgba, width, height),
  sum: colourSum(rgba, 4),
});

/** A decoded picture's cells from its plane of luma in limited range, 16 … 235. */
export const lumaCells = (plane: Uint8Array, stride: number, width: number, height: number): Float32Array =>
  cellsOf(width, height, (x, y) => ((plane[y * stride + x] - 16) * 255) / 219);

export { rgbaCells };

/**
 * How far the luma of a cell may be from what was rendered, in code values of 255. The codecs we write, at their lowest data
 * rate, change it by up to 8.4 over the demo pieces.
 */
const MOST_OFF = 14;
/** And all cells together, on average: measured up to 1.6. */
const MOST_OFF_MEAN = 4;

/** Whether decoded cells show the frame that was rendered. Frames darker than the tolerance cannot be told from black. */
export function shows(cells: Float32Array, trace: FrameTrace): boolean {
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
export function offBy(cells: Float32Array, trace: FrameTrace): { most: number; mean: number } {
  const off = Array.from(cells, (value, i) => Math.abs(value - trace.cells[i]));
  return { most: Math.max(...off), mean: off.reduce((a, b) => a + b, 0) / off.length };
}
