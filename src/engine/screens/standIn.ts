import { NO_PICTURE } from '../../core/pictures/facts';
import type { Raster } from '../../core/pictures/raster';

let made: Raster | null = null;

/** What is shown in place of a picture that is not here: a dark field, framed and crossed. */
export function standIn(): Raster {
  if (made) return made;
  const [width, height] = [NO_PICTURE.width / 10, NO_PICTURE.height / 10];
  const rgba = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [(x + 0.5) / width, (y + 0.5) / height];
      const edge = Math.min(x, y, width - 1 - x, height - 1 - y) < 3;
      const cross = Math.min(Math.abs(u - v), Math.abs(u - 1 + v)) < 0.012;
      const tone = edge ? 150 : cross ? 96 : 34;
      rgba.set([tone, tone, tone, 255], (y * width + x) * 4);
    }
  return (made = { width, height, rgba });
}
