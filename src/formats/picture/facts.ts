import { imageSize } from 'image-size';
import { DRAWN_SIDE, MOST_PIXELS, MOST_SIDE, type PictureFacts } from '../../core/pictures/facts';
import { Trouble } from '../../core/trouble';

/** Whether bytes are those of an SVG drawing: of pictures only those begin with a letter of text. */
export const isDrawing = (bytes: Uint8Array): boolean => /^\s*</.test(new TextDecoder().decode(bytes.subarray(0, 64)));

/**
 * What is known of a picture by its first bytes: PNG, JPEG, WebP, AVIF, or an SVG drawing, which is drawn as large as is of use.
 * @throws Trouble `refused` when it says no size, or one that is too large
 */
export function pictureFacts(bytes: Uint8Array, name: string): PictureFacts {
  let size;
  try {
    size = imageSize(bytes);
  } catch {
    throw new Trouble('refused', `“${name}” is damaged: it does not say how large its picture is`);
  }
  const turned = (size.orientation ?? 1) >= 5;
  const [width, height] = turned ? [size.height, size.width] : [size.width, size.height];
  if (!(width > 0 && height > 0)) throw new Trouble('refused', `“${name}” is a picture without a size`);
  if (isDrawing(bytes)) {
    const scale = DRAWN_SIDE / Math.max(width, height);
    const side = (v: number): number => Math.max(1, Math.round(v * scale));
    return { name, width: side(width), height: side(height) };
  }
  if (Math.max(width, height) > MOST_SIDE || width * height > MOST_PIXELS)
    throw new Trouble('refused', `“${name}” is ${width} × ${height} pixels`, {
      would: `Bring it in at most ${MOST_SIDE} pixels a side and ${MOST_PIXELS / 1e6} million in all.`,
    });
  return { name, width, height };
}
