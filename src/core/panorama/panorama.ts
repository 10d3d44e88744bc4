import type { Rgb } from '../colour/colour';
import type { Vec3 } from '../space/vector';

/**
 * Light from everywhere: linear, of each direction, in an equirectangular picture. Its middle lies ahead (−z), its right half to the
 * right (+x), its first row straight above; rgb by rows.
 */
export interface Panorama {
  width: number;
  height: number;
  rgb: Float32Array;
}

/** The direction of a place of the picture, each 0..1 from its left and its top. Of length 1. */
export function directionAt(u: number, v: number): Vec3 {
  const [around, down] = [2 * Math.PI * (u - 0.5), Math.PI * v];
  const level = Math.sin(down);
  return [level * Math.sin(around), Math.cos(down), -level * Math.cos(around)];
}

/** Where in the picture a direction of length 1 is seen: each 0..1 from its left and its top. */
export function placeOf([x, y, z]: Vec3): [number, number] {
  return [0.5 + Math.atan2(x, -z) / (2 * Math.PI), Math.acos(Math.min(1, Math.max(-1, y))) / Math.PI];
}

/** The picture that a law gives of every direction. */
export function panoramaOf(law: (direction: Vec3) => Rgb, width: number): Panorama {
  const height = width / 2;
  const rgb = new Float32Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      rgb.set(law(directionAt((x + 0.5) / width, (y + 0.5) / height)), (y * width + x) * 3);
  return { width, height, rgb };
}

/** The share of a ball of directions that each pixel of a row covers. */
export const shareOfRow = ({ width, height }: Panorama, y: number): number =>
  (Math.cos((Math.PI * y) / height) - Math.cos((Math.PI * (y + 1)) / height)) / 2 / width;

/** Adds the light from a place of the picture, between four pixels, to a sum: it goes on around, and ends above and beneath. */
function addAt({ width, height, rgb }: Panorama, u: number, v: number, weight: number, sum: Float64Array): void {
  const x = u * width - 0.5;
  const y = Math.min(height - 1, Math.max(0, v * height - 0.5));
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const [across, down] = [x - left, y - top];
  const x0 = ((left % width) + width) % width;
  const x1 = x0 + 1 === width ? 0 : x0 + 1;
  const [above, below] = [top * width, Math.min(height - 1, top + 1) * width];
  for (let k = 0; k < 3; k++) {
    const high = rgb[(above + x0) * 3 + k] * (1 - across) + rgb[(above + x1) * 3 + k] * across;
    const low = rgb[(below + x0) * 3 + k] * (1 - across) + rgb[(below + x1) * 3 + k] * across;
    sum[k] += weight * (high * (1 - down) + low * down);
  }
}

/** Adds the light from a direction of length 1 to a sum: without making anything, since that is done millions of times. */
export function addLight(of: Panorama, x: number, y: number, z: number, weight: number, sum: Float64Array): void {
  const v = Math.acos(Math.min(1, Math.max(-1, y))) / Math.PI;
  addAt(of, 0.5 + Math.atan2(x, -z) / (2 * Math.PI), v, weight, sum);
}

/** The light from a place of the picture: see {@link addAt}. */
export function lightAt(of: Panorama, u: number, v: number): Rgb {
  const sum = new Float64Array(3);
  addAt(of, u, v, 1, sum);
  return [sum[0], sum[1], sum[2]];
}

/** The picture at half its size and less, down to one of so many pixels across: each the mean of what it covers. */
export function halved(panorama: Panorama, least: number): Panorama[] {
  const out = [panorama];
  for (let of = panorama; of.width > least && of.height % 2 === 0;) {
    const [width, height] = [of.width / 2, of.height / 2];
    const rgb = new Float32Array(width * height * 3);
    for (let y = 0; y < height; y++) {
      const [a, b] = [shareOfRow(of, 2 * y), shareOfRow(of, 2 * y + 1)];
      for (let x = 0; x < width; x++)
        for (let k = 0; k < 3; k++) {
          const at = (row: number, column: number): number => of.rgb[(row * of.width + column) * 3 + k];
          rgb[(y * width + x) * 3 + k] =
            (a * (at(2 * y, 2 * x) + at(2 * y, 2 * x + 1)) + b * (at(2 * y + 1, 2 * x) + at(2 * y + 1, 2 * x + 1))) /
            (2 * (a + b));
        }
    }
    of = { width, height, rgb };
    out.push(of);
  }
  return out;
}
