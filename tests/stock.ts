// What ships, as tests read it from the disk.
import { readFileSync } from 'node:fs';
import { STOCK } from '../src/core/kept';
import { FONTS, withMore } from '../src/core/type/font';
import { MARKS } from '../src/core/type/mark';
import { openFont } from '../src/formats/font/font';
import { readMark } from '../src/formats/svg/svg';

export const stockBytes = (path: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(new URL(`../stock/${path}`, import.meta.url)));

/** Takes in every file that ships, as the program does before it opens a piece. */
export function takeStock(): void {
  for (const { kind, hash, name, path, more } of STOCK)
    if (kind === 'font') {
      const font = openFont(stockBytes(path), name);
      FONTS.take(hash, more === undefined ? font : withMore(font, openFont(stockBytes(more), name)));
    } else MARKS.take(hash, readMark(stockBytes(path), name));
}
