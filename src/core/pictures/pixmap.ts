/** A small picture: sRGB bytes, red, green and blue of each pixel, rows from the top. */
export interface Picture {
  width: number;
  height: number;
  rgb: Uint8Array;
}

const PREFIX = 'data:image/x-portable-pixmap;base64,';

/** The longest side of a picture kept in a piece. */
export const MOST_PIXELS = 128;

/** A picture as the address of a portable pixmap (P6 of Netpbm), as pieces keep it. */
export function pixmapUrl({ width, height, rgb }: Picture): string {
  const head = `P6\n${width} ${height}\n255\n`;
  let bytes = head;
  for (const byte of rgb) bytes += String.fromCharCode(byte);
  return PREFIX + btoa(bytes);
}

/** The picture at the address of a portable pixmap; null when it is none, or too large to be kept. */
export function pixmapOf(url: string): Picture | null {
  if (!url.startsWith(PREFIX)) return null;
  let bytes: string;
  try {
    bytes = atob(url.slice(PREFIX.length));
  } catch {
    return null;
  }
  const head = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes);
  if (!head) return null;
  const [width, height] = [Number(head[1]), Number(head[2])];
  const first = head[0].length;
  if (width < 1 || height < 1 || Math.max(width, height) > MOST_PIXELS) return null;
  if (bytes.length !== first + width * height * 3) return null;
  const rgb = Uint8Array.from({ length: width * height * 3 }, (_, i) => bytes.charCodeAt(first + i));
  return { width, height, rgb };
}

/**
 * A picture from one with alpha, black where that is clear: what is added as light has no other way to be clear.
 * @param rgba straight alpha, rows from the top
 */
export function pictureFrom(rgba: ArrayLike<number>, width: number, height: number): Picture {
  const rgb = new Uint8Array(width * height * 3);
  for (let i = 0; i < width * height; i++)
    for (let k = 0; k < 3; k++) rgb[i * 3 + k] = Math.round((rgba[i * 4 + k] * rgba[i * 4 + 3]) / 255);
  return { width, height, rgb };
}
