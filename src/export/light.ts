import { frameLevels, type FrameLevels } from '../core/judging/levels';

// How bright frames are and how they flash, as it is kept with what was written of a delivery.

/** What is kept of the levels of one frame. */
export interface FrameLight {
  average: number;
  light: number;
  peak: number;
  /** numbers of its cells, 0 … 1, as 16-bit integers in base64 */
  cells: string;
}

/** Most pixels across that levels are taken of: of larger pictures every few. */
const MOST_ACROSS = 640;

/** Every how many pixels of a picture count. */
export const strideOf = (width: number): number => Math.max(1, Math.ceil(width / MOST_ACROSS));

/** The size of a picture of which every few pixels count. */
const smaller = (side: number, stride: number): number => Math.max(1, Math.floor(side / stride));

/**
 * Levels of a frame.
 * @param code the code value 0 … 255 of a sample, four a pixel, top row first
 */
export function lightOf(code: (sample: number) => number, width: number, height: number): FrameLight {
  const stride = strideOf(width);
  const [across, down] = [smaller(width, stride), smaller(height, stride)];
  const rgba = new Uint8Array(across * down * 4);
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++) {
      const [to, from] = [(y * across + x) * 4, (y * stride * width + x * stride) * 4];
      for (let k = 0; k < 3; k++) rgba[to + k] = code(from + k);
    }
  const { cells, ...levels } = frameLevels(rgba, across, down);
  const words = Uint16Array.from(cells, (v) => Math.round(65_535 * Math.min(1, v)));
  return { ...levels, cells: btoa(String.fromCharCode(...new Uint8Array(words.buffer))) };
}

/** Levels as they were taken. */
export function levelsFrom({ cells, ...levels }: FrameLight): FrameLevels {
  const bytes = Uint8Array.from(atob(cells), (letter) => letter.charCodeAt(0));
  return { ...levels, cells: Float32Array.from(new Uint16Array(bytes.buffer), (v) => v / 65_535) };
}
