import { memo } from '../../core/memo';
import { NO_PICTURE } from '../../core/pictures/facts';
import type { Raster } from '../../core/pictures/raster';

const made = memo<Raster>(8);

/** What is shown in place of a picture that is not here, as large as is asked for: a dark field, framed and crossed. */
export const standIn = (width = NO_PICTURE.width / 10, height = NO_PICTURE.height / 10): Raster =>
  made(`${width} ${height}`, () => {
    const rgba = new Uint8Array(width * height * 4);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const [u, v] = [(x + 0.5) / width, (y + 0.5) / height];
        const edge = Math.min(u, v, 1 - u, 1 - v) < 0.025;
        const cross = Math.min(Math.abs(u - v), Math.abs(u - 1 + v)) < 0.012;
        const tone = edge ? 150 : cross ? 96 : 34;
        rgba.set([tone, tone, tone, 255], (y * width + x) * 4);
      }
    return { width, height, rgba };
  });
