import { chromaticity, LINEAR, luma, luminance } from './light';

/** Cells of a picture across; as many down as are as high as wide. Finer patterns are seen as even. */
const CELLS_ACROSS = 32;

/** How bright one frame of a lap is, as a whole and cell by cell. */
export interface FrameLevels {
  /** average luma of the code values, 0..1: the average picture level */
  average: number;
  /** mean linear light, 0..1: what the power of a wall of LEDs follows */
  light: number;
  /** luma that one pixel in a thousand is above */
  peak: number;
  /** of each cell: relative luminance, CIE 1976 u′ and v′, and red of the sum of its linear light */
  cells: Float32Array;
}

/** Of one cell in {@link FrameLevels.cells}. */
export const CELL = 4;

/** Columns and rows of cells of a picture. */
export const cellsOf = (width: number, height: number): [columns: number, rows: number] => [
  Math.min(width, CELLS_ACROSS),
  Math.max(1, Math.min(height, Math.round((CELLS_ACROSS * height) / width))),
];

/** @param rgba encoded bytes, top row first */
export function frameLevels(rgba: Uint8Array, width: number, height: number): FrameLevels {
  const [columns, rows] = cellsOf(width, height);
  const sums = new Float64Array(columns * rows * 4);
  const lumas = new Uint32Array(256);
  let [average, light] = [0, 0];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      const v = luma(rgba[i], rgba[i + 1], rgba[i + 2]);
      lumas[Math.round(v)]++;
      average += v / 255;
      const cell = (Math.floor((y * rows) / height) * columns + Math.floor((x * columns) / width)) * 4;
      for (let k = 0; k < 3; k++) sums[cell + k] += LINEAR[rgba[i + k]];
      sums[cell + 3]++;
    }
  const cells = new Float32Array(columns * rows * CELL);
  for (let i = 0; i < sums.length; i += 4) {
    const [r, g, b] = [0, 1, 2].map((k) => sums[i + k] / sums[i + 3]);
    light += luminance(r, g, b) / (columns * rows);
    cells.set([luminance(r, g, b), ...chromaticity(r, g, b), r / Math.max(1e-6, r + g + b)], i);
  }
  const pixels = width * height;
  let peak = 255;
  for (let above = 0; peak > 0 && above + lumas[peak] <= pixels / 1000; peak--) above += lumas[peak];
  return { average: average / pixels, light, peak: peak / 255, cells };
}
