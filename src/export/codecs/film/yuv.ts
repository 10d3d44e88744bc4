// Video is encoded from our own conversion, not the browser's, so that every browser writes the same colours:
// BT.709 matrix, limited range (ITU-R BT.709-6, §3; quantisation §3.4), chroma averaged over 2×2 pixels.
const KR = 0.2126;
const KB = 0.0722;
const KG = 1 - KR - KB;

/** What the conversion produces, for the file's metadata. */
export const VIDEO_COLOUR = { primaries: 'bt709', transfer: 'bt709', matrix: 'bt709', fullRange: false } as const;

/** Bytes of an I420 frame. Width and height must be even. */
export const i420Bytes = (width: number, height: number): number => (width * height * 3) / 2;

/**
 * RGBA bytes, top row first, to planar I420.
 * @param out filled; of {@link i420Bytes} length
 * @returns it
 */
export function toI420Into(out: Uint8Array, rgba: Uint8Array, width: number, height: number): Uint8Array {
  const half = width >> 1;
  const cbAt = width * height;
  const crAt = cbAt + half * (height >> 1);
  const yr = KR * (219 / 255);
  const yg = KG * (219 / 255);
  const yb = KB * (219 / 255);
  const cbScale = 224 / 255 / (2 * (1 - KB)) / 4;
  const crScale = 224 / 255 / (2 * (1 - KR)) / 4;
  for (let row = 0; row < height; row += 2) {
    let top = row * width * 4;
    let bottom = top + width * 4;
    let y0 = row * width;
    let y1 = y0 + width;
    let c = (row >> 1) * half;
    for (let column = 0; column < half; column++) {
      let r = 0;
      let g = 0;
      let b = 0;
      for (let k = 0; k < 2; k++) {
        out[y0++] = 16.5 + yr * rgba[top] + yg * rgba[top + 1] + yb * rgba[top + 2];
        out[y1++] = 16.5 + yr * rgba[bottom] + yg * rgba[bottom + 1] + yb * rgba[bottom + 2];
        r += rgba[top] + rgba[bottom];
        g += rgba[top + 1] + rgba[bottom + 1];
        b += rgba[top + 2] + rgba[bottom + 2];
        top += 4;
        bottom += 4;
      }
      const luma = KR * r + KG * g + KB * b;
      out[cbAt + c] = 128.5 + (b - luma) * cbScale;
      out[crAt + c] = 128.5 + (r - luma) * crScale;
      c++;
    }
  }
  return out;
}

/**
 * Code values 0 … 1, top row first, to planes of ten bits a sample: black at 64, white at 940, chroma about 512 (ITU-R BT.709-6, §3.4).
 * @param rgba four a pixel; width and height must be even
 */
export function toTenBits(rgba: Float32Array, width: number, height: number): Uint16Array {
  const out = new Uint16Array(i420Bytes(width, height));
  const half = width >> 1;
  const cbAt = width * height;
  const crAt = cbAt + half * (height >> 1);
  for (let y = 0; y < height; y += 2)
    for (let x = 0; x < width; x += 2) {
      let [r, g, b] = [0, 0, 0];
      for (let k = 0; k < 4; k++) {
        const pixel = (y + (k >> 1)) * width + x + (k & 1);
        const at = pixel * 4;
        out[pixel] = 64.5 + 876 * (KR * rgba[at] + KG * rgba[at + 1] + KB * rgba[at + 2]);
        r += rgba[at] / 4;
        g += rgba[at + 1] / 4;
        b += rgba[at + 2] / 4;
      }
      const luma = KR * r + KG * g + KB * b;
      const c = (y >> 1) * half + (x >> 1);
      out[cbAt + c] = 512.5 + (896 * (b - luma)) / (2 * (1 - KB));
      out[crAt + c] = 512.5 + (896 * (r - luma)) / (2 * (1 - KR));
    }
  return out;
}
