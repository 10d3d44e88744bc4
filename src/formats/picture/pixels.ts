import type { PictureFacts } from '../../core/pictures/facts';
import type { Raster } from '../../core/pictures/raster';
import { Trouble } from '../../core/trouble';
import { isDrawing } from './facts';

const spoilt = (name: string): Trouble => new Trouble('refused', `“${name}” is damaged: its picture cannot be opened`);

let starting: Promise<void> | null = null;
/** What draws SVG: it fetches nothing and runs no script (resvg). Loaded when there is a drawing. */
async function drawer(): Promise<typeof import('@resvg/resvg-wasm')> {
  const resvg = await import('@resvg/resvg-wasm');
  starting ??= import('@resvg/resvg-wasm/index_bg.wasm?url').then(({ default: url }) => resvg.initWasm(fetch(url)));
  await starting;
  return resvg;
}

/** Straight from what was multiplied by alpha. */
function straightened(rgba: Uint8Array): Uint8Array {
  const out = rgba.slice();
  for (let i = 0; i < out.length; i += 4) {
    const alpha = out[i + 3];
    if (alpha === 0 || alpha === 255) continue;
    for (let k = 0; k < 3; k++) out[i + k] = Math.min(255, Math.round((out[i + k] * 255) / alpha));
  }
  return out;
}

async function drawnPixels(bytes: Uint8Array, { name, width, height }: PictureFacts): Promise<Raster> {
  const { Resvg } = await drawer();
  try {
    const drawing = new Resvg(bytes, {
      fitTo: width >= height ? { mode: 'width', value: width } : { mode: 'height', value: height },
      font: { loadSystemFonts: false },
    });
    const image = drawing.render();
    const raster = { width: image.width, height: image.height, rgba: straightened(image.pixels) };
    image.free();
    drawing.free();
    return raster;
  } catch {
    throw spoilt(name);
  }
}

/**
 * The pixels of a picture, its colours brought to sRGB and turned as it says. In a browser only.
 * @throws Trouble `refused` when it cannot be opened
 */
export async function picturePixels(bytes: Uint8Array<ArrayBuffer>, facts: PictureFacts): Promise<Raster> {
  if (isDrawing(bytes)) return drawnPixels(bytes, facts);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(new Blob([bytes]), { premultiplyAlpha: 'none' });
  } catch {
    throw spoilt(facts.name);
  }
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Trouble('refused', `there is no room to open “${facts.name}”`);
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { width, height, rgba: context.getImageData(0, 0, width, height).data };
}
