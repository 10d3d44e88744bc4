import { Held } from '../kept';
import { hexToLinear, toLinear } from '../colour/colour';
import type { Panorama } from './panorama';

/** Pixels across a panorama as it is kept and mirrored. */
export const ACROSS = 256;

/** Every panorama that is known, of files of their own or of pictures. */
export const PANORAMAS = new Held<Panorama>();

/** What stands in for a panorama that is not there: the same faint light from everywhere. */
export const NO_PANORAMA: Panorama = {
  width: 2,
  height: 1,
  rgb: new Float32Array([...hexToLinear('#404448'), ...hexToLinear('#404448')]),
};

/**
 * A picture of any size as a panorama so many pixels across, each the mean of what it covers; stretched where it is not twice as
 * wide as high.
 * @param at linear light of a pixel, by rows from the top, into `out`
 */
export function reducedTo(
  width: number,
  height: number,
  at: (x: number, y: number, out: Float64Array) => void,
  across = ACROSS,
): Panorama {
  const [w, h] = [across, across / 2];
  const rgb = new Float32Array(w * h * 3);
  const light = new Float64Array(3);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const [x0, y0] = [Math.floor((x * width) / w), Math.floor((y * height) / h)];
      const x1 = Math.max(x0 + 1, Math.floor(((x + 1) * width) / w));
      const y1 = Math.max(y0 + 1, Math.floor(((y + 1) * height) / h));
      const sum = [0, 0, 0];
      for (let j = y0; j < y1; j++)
        for (let i = x0; i < x1; i++) {
          at(i, j, light);
          for (let k = 0; k < 3; k++) sum[k] += light[k];
        }
      for (let k = 0; k < 3; k++) rgb[(y * w + x) * 3 + k] = sum[k] / ((x1 - x0) * (y1 - y0));
    }
  return { width: w, height: h, rgb };
}

const LINEAR = Float64Array.from({ length: 256 }, (_, i) => toLinear(i / 255));

/** A picture of eight bits as a panorama: what is see-through is dark. */
export const panoramaOfPixels = ({
  width,
  height,
  rgba,
}: {
  width: number;
  height: number;
  rgba: ArrayLike<number>;
}): Panorama =>
  reducedTo(width, height, (x, y, out) => {
    const at = (y * width + x) * 4;
    for (let k = 0; k < 3; k++) out[k] = (LINEAR[rgba[at + k]] * rgba[at + 3]) / 255;
  });
