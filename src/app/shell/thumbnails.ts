import type { Piece } from '../../core/piece/schema';
import { Trouble } from '../../core/trouble';
import { startEngine, type EngineClient } from '../../engine/client';
import { database } from '../../store/database';
import { contentKey, shippedPicture, STRIP_FRAMES, STRIP_WIDTH, stripHeight } from './strip';

let engine: EngineClient | null = null;
let queue: Promise<unknown> = Promise.resolve();

/** One picture of the strip: a recipe's shipped one, or from the store, or drawn by an engine of its own, one after another. */
export async function stripPicture(piece: Piece, index: number, wanted: () => boolean): Promise<ImageBitmap | null> {
  const known = await shippedPicture(contentKey(piece), index, stripHeight(piece));
  if (known) return known;
  const blob = await drawnPicture(piece, index, wanted);
  return blob && createImageBitmap(blob);
}

function drawnPicture(piece: Piece, index: number, wanted: () => boolean): Promise<Blob | null> {
  const key = `${contentKey(piece)}-${index}`;
  const make = async (): Promise<Blob | null> => {
    const known = await database.thumbnails.get(key);
    if (known) return known.blob;
    if (!wanted()) return null;
    const blob = await drawing((api) =>
      api.still({
        piece,
        frameIndex: Math.floor((index * piece.lap.frames) / STRIP_FRAMES),
        width: STRIP_WIDTH,
        height: stripHeight(piece),
        passes: 1,
      }),
    );
    await database.thumbnails.put({ key, blob }).catch(() => undefined);
    return blob;
  };
  const made = queue.then(make, make);
  queue = made.catch(() => undefined);
  return made;
}

/** Longest that one picture may take, in milliseconds: the others wait for it. */
const MOST_MS = 20_000;

/** Draws with the engine; one that has ended, or takes too long, is given up, and the next picture starts another. */
async function drawing<T>(draw: (api: EngineClient['api']) => Promise<T>): Promise<T> {
  const own = (engine ??= startEngine());
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Trouble('too-slow', 'the picture takes too long')), MOST_MS);
  });
  try {
    return await Promise.race([draw(own.api), late]);
  } catch (error) {
    own.close();
    if (engine === own) engine = null;
    throw error;
  } finally {
    clearTimeout(timer);
  }
}

/** Frees the engine when the loops are left. */
export function closeThumbnails(): void {
  void queue.then(() => {
    engine?.close();
    engine = null;
  });
}
