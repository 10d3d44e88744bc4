import type { Piece } from '../../core/piece/schema';
import { startEngine, type EngineClient } from '../../engine/client';
import { database } from '../../store/database';

/** Pictures of a lap that a thumbnail moves through, evenly spaced, so that they loop too. */
export const STRIP_FRAMES = 24;
const WIDTH = 384;

let engine: EngineClient | null = null;
let queue: Promise<unknown> = Promise.resolve();

/** A short text that changes when anything about the picture does (FNV-1a over the document, 53 bits kept). */
export function contentKey(piece: Piece): string {
  const text = JSON.stringify({ ...piece, id: '', name: '', deliveries: [] });
  let h = 0xcbf29ce484222325n;
  for (let i = 0; i < text.length; i++) h = BigInt.asUintN(64, (h ^ BigInt(text.charCodeAt(i))) * 0x100000001b3n);
  return h.toString(36);
}

/** One picture of the strip: from the store, or drawn by an engine of its own, one after another. */
export function stripPicture(piece: Piece, index: number, wanted: () => boolean): Promise<Blob | null> {
  const key = `${contentKey(piece)}-${index}`;
  const make = async (): Promise<Blob | null> => {
    const known = await database.thumbnails.get(key);
    if (known) return known.blob;
    if (!wanted()) return null;
    engine ??= startEngine();
    const blob = await engine.api.still({
      piece,
      frameIndex: Math.floor((index * piece.lap.frames) / STRIP_FRAMES),
      width: WIDTH,
      height: Math.max(16, Math.round((WIDTH * piece.frame.height) / piece.frame.width)),
      passes: 1,
    });
    await database.thumbnails.put({ key, blob }).catch(() => undefined);
    return blob;
  };
  const made = queue.then(make, make);
  queue = made.catch(() => undefined);
  return made;
}

/** Frees the engine when the loops are left. */
export function closeThumbnails(): void {
  void queue.then(() => {
    engine?.close();
    engine = null;
  });
}
