import { database } from './database';

/** Bytes that finished frames may take, and the share of the browser's room that they may take at most. */
const MOST_BYTES = 512 * 2 ** 20;
const MOST_SHARE = 0.2;

/** Bytes that finished frames may take in this browser. */
export async function frameRoom(): Promise<number> {
  try {
    const { quota } = await navigator.storage.estimate();
    return Math.min(MOST_BYTES, (quota ?? Infinity) * MOST_SHARE);
  } catch {
    return MOST_BYTES;
  }
}

/** Bytes that finished frames take. */
export async function frameBytes(): Promise<number> {
  const entries = await ages();
  return entries.reduce((sum, [, bytes]) => sum + bytes, 0);
}

/** When each was stored and its bytes, oldest first; the pictures themselves are not read. */
async function ages(): Promise<[at: number, bytes: number][]> {
  const keys = await database.frames.orderBy('[at+bytes]').keys();
  return keys.map((key) => {
    const [at, bytes] = Array.isArray(key) ? key.map(Number) : [0, 0];
    return [at, bytes];
  });
}

/** The frames of some keys, in that order; undefined where one is not there. */
export const framesOf = async (keys: readonly string[]): Promise<(Blob | undefined)[]> =>
  (await database.frames.bulkGet([...keys])).map((frame) => frame?.blob);

let last = 0;
/** Later than any before, so that the order of storing is that of age. */
const now = (): number => (last = Math.max(Date.now(), last + 1e-3));

/**
 * Stores a finished frame; the oldest go to make room, but none of those still wanted.
 * @param most bytes that all may take together
 * @returns whether there was room for it
 */
export async function storeFrame(
  frame: { key: string; blob: Blob },
  wanted: ReadonlySet<string>,
  most: number,
): Promise<boolean> {
  const bytes = frame.blob.size;
  return database.transaction('rw', database.frames, async () => {
    await database.frames.delete(frame.key);
    const known = await ages();
    let over = known.reduce((sum, [, own]) => sum + own, bytes) - most;
    if (over > 0) {
      const keys = await database.frames.orderBy('[at+bytes]').primaryKeys();
      const going: string[] = [];
      for (let i = 0; i < keys.length && over > 0; i++) {
        if (wanted.has(keys[i])) continue;
        going.push(keys[i]);
        over -= known[i][1];
      }
      if (over > 0) return false;
      await database.frames.bulkDelete(going);
    }
    await database.frames.put({ ...frame, bytes, at: now() });
    return true;
  });
}

/** Lets go of all finished frames. */
export const clearFrames = (): Promise<void> => database.frames.clear();
