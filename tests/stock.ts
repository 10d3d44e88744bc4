// What ships, as tests read it from the disk.
import { readFileSync } from 'node:fs';
import { TABLES } from '../src/core/colour/table';
import { CLIPS } from '../src/core/clips';
import { STOCK } from '../src/core/kept';
import { PICTURES } from '../src/core/pictures/facts';
import { FONTS, withMore } from '../src/core/type/font';
import { MARKS } from '../src/core/type/mark';
import { MOTIONS } from '../src/core/motion/motion';
import { MODELS } from '../src/core/solids/models/model';
import { openFont } from '../src/formats/font/font';
import { preparedModel } from '../src/formats/model/prepared';
import { readBvh } from '../src/formats/motion/bvh';
import { pictureFacts } from '../src/formats/picture/facts';
import { readMark } from '../src/formats/svg/svg';
import { readCube } from '../src/formats/table/cube';

export const stockBytes = (path: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(new URL(`../stock/${path}`, import.meta.url)));

/** What the clips that ship are: opening them takes a moment that tests need not wait for. */
const CLIP = { width: 640, height: 360, frames: 100, seconds: 4, joins: null };

/** Takes in every file that ships but models, as the program does before it opens a piece. */
export function takeStock(): void {
  for (const { kind, hash, name, path, more } of STOCK)
    if (kind === 'picture') PICTURES.take(hash, pictureFacts(stockBytes(path), name));
    else if (kind === 'clip') CLIPS.take(hash, { ...CLIP, name });
    else if (kind === 'font') {
      const font = openFont(stockBytes(path), name);
      FONTS.take(hash, more === undefined ? font : withMore(font, openFont(stockBytes(more), name)));
    } else if (kind === 'table') TABLES.take(hash, readCube(stockBytes(path), name));
    else if (kind === 'motion') MOTIONS.take(hash, readBvh(stockBytes(path), name));
    else if (kind === 'mark') MARKS.take(hash, readMark(stockBytes(path), name));
}

/** Takes in the models that ship. */
export async function takeStockModels(): Promise<void> {
  for (const { kind, hash, name, path } of STOCK)
    if (kind === 'model') MODELS.take(hash, { ...(await preparedModel(stockBytes(path), name)), rasters: [] });
}
