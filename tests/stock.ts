// What ships, as tests read it from the disk.
import { readFileSync } from 'node:fs';
import { STOCK, type FileKind } from '../src/core/kept';
import { FONTS } from '../src/core/type/font';
import { openFont } from '../src/formats/font/font';

export const stockBytes = (path: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(new URL(`../stock/${path}`, import.meta.url)));

/** Takes in every file of a kind that ships, as the program does before it opens a piece. */
export function takeStock(kind: FileKind = 'font'): void {
  for (const { hash, name, path } of STOCK.filter((file) => file.kind === kind))
    FONTS.take(hash, openFont(stockBytes(path), name));
}
