import type { Piece } from '../../core/piece/schema';
import { database } from '../../store/database';
import { Stills } from '../state/stills';
import { contentKey, shippedPicture, STRIP_FRAMES, STRIP_WIDTH, stripHeight } from './strip';

const stills = new Stills();

/** One picture of the strip: a recipe's shipped one, or from the store, or drawn by an engine of its own, one after another. */
export async function stripPicture(piece: Piece, index: number, wanted: () => boolean): Promise<ImageBitmap | null> {
  const known = await shippedPicture(contentKey(piece), index, stripHeight(piece));
  if (known) return known;
  const blob = await drawnPicture(piece, index, wanted);
  return blob && createImageBitmap(blob);
}

function drawnPicture(piece: Piece, index: number, wanted: () => boolean): Promise<Blob | null> {
  const key = `${contentKey(piece)}-${index}`;
  return stills.next(async () => {
    const known = await database.thumbnails.get(key);
    if (known) return known.blob;
    if (!wanted()) return null;
    const blob = await stills.draw({
      piece,
      frameIndex: Math.floor((index * piece.lap.frames) / STRIP_FRAMES),
      width: STRIP_WIDTH,
      height: stripHeight(piece),
      passes: 1,
    });
    await database.thumbnails.put({ key, blob }).catch(() => undefined);
    return blob;
  });
}

/** Frees the engine when the loops are left. */
export const closeThumbnails = (): void => stills.close();
