import { textKey } from '../../core/piece/key';
import type { Piece } from '../../core/piece/schema';

/** Pictures of a lap that a thumbnail moves through, evenly spaced, so that they loop too. */
export const STRIP_FRAMES = 24;
export const STRIP_WIDTH = 384;
/** The one that stands while it does not move: some laps begin with nothing. */
export const POSTER = 9;
/** Pictures beside one another in a shipped strip. */
export const STRIP_COLUMNS = 6;

export const stripHeight = (piece: Piece): number =>
  Math.max(16, Math.round((STRIP_WIDTH * piece.frame.height) / piece.frame.width));

/** A short text that changes when anything about the picture does. */
export const contentKey = (piece: Piece): string =>
  textKey(JSON.stringify({ ...piece, id: '', name: '', deliveries: [] }));

const files = import.meta.glob<string>('/stock/strips/*.webp', { eager: true, query: '?url', import: 'default' });

/** Where the shipped strip of each recipe is, by the key of its content. */
const shipped = new Map(Object.entries(files).map(([path, url]) => [path.split('.').at(-2) ?? '', url]));

const loaded = new Map<string, Promise<ImageBitmap>>();

/** One picture of a shipped strip; null when this piece has none. */
export async function shippedPicture(key: string, index: number, height: number): Promise<ImageBitmap | null> {
  const url = shipped.get(key);
  if (!url) return null;
  let sheet = loaded.get(key);
  if (!sheet) {
    sheet = fetch(url)
      .then((response) => response.blob())
      .then((blob) => createImageBitmap(blob));
    loaded.set(key, sheet);
  }
  const left = (index % STRIP_COLUMNS) * STRIP_WIDTH;
  const top = Math.floor(index / STRIP_COLUMNS) * height;
  return createImageBitmap(await sheet, left, top, STRIP_WIDTH, height);
}
