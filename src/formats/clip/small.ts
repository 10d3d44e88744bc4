import { joinsOfClip, SMALL, type Joins } from '../../core/clips';
import { toLinear } from '../../core/colour/colour';
import type { Raster } from '../../core/pictures/raster';
import { Clip } from './clip';

const LINEAR = Float32Array.from({ length: 256 }, (_, i) => toLinear(i / 255));

/** A frame in small: mean linear light of the places of a coarse grid, red, green and blue of each. */
export function smallOf({ width, height, rgba }: Raster): Float32Array {
  const [across, down] = SMALL;
  const sums = new Float32Array(across * down * 3);
  const counts = new Float32Array(across * down);
  // of large frames a part of the pixels tells as much
  const stride = Math.max(1, Math.floor(Math.min(width / across, height / down) / 8));
  for (let y = 0; y < height; y += stride)
    for (let x = 0; x < width; x += stride) {
      const cell = Math.floor((y * down) / height) * across + Math.floor((x * across) / width);
      const at = (y * width + x) * 4;
      for (let k = 0; k < 3; k++) sums[cell * 3 + k] += LINEAR[rgba[at + k]];
      counts[cell]++;
    }
  return sums.map((v, i) => v / Math.max(1, counts[Math.floor(i / 3)]));
}

/** Of longer clips nobody looks for a join, and all of them would take long to decode. */
const LOOKED_AT = 240;

/**
 * How a clip would close each way, by its own frames; null for one that is too short to have a join, or too long.
 * @throws Trouble `refused` when it is no clip, or its frames cannot be decoded
 */
export async function clipJoins(blob: Blob, name: string): Promise<Joins | null> {
  const clip = await Clip.open(blob, name);
  try {
    const { frames } = clip.facts;
    if (frames < 2 || frames > LOOKED_AT) return null;
    const small: Float32Array[] = [];
    for await (const [, raster] of clip.from(0)) small.push(smallOf(raster));
    return small.length === frames ? joinsOfClip(small) : null;
  } finally {
    await clip.close();
  }
}
