import { useEffect, useState } from 'react';
import { textKey } from '../../core/piece/key';
import { samplePiece, type Sampled } from '../../core/world/sample';
import { database } from '../../store/database';
import { Stills } from './stills';

/** Pixels a side, for displays of two pixels to one. */
const SIDE = 128;
const PASSES = 4;
/** Pictures that are kept. */
const MOST = 120;
/** The engine is let go of when nothing was asked of it for so long. */
const IDLE_MS = 20_000;

const known = new Map<string, Promise<string>>();
const stills = new Stills();
let idle: ReturnType<typeof setTimeout> | undefined;

const drawn = (sampled: Sampled): Promise<string> =>
  stills.next(async () => {
    const key = `ball ${textKey(JSON.stringify(sampled))}`;
    const kept = await database.thumbnails.get(key);
    if (kept) return URL.createObjectURL(kept.blob);
    clearTimeout(idle);
    const piece = samplePiece(sampled);
    const blob = await stills.draw({ piece, frameIndex: 0, width: SIDE, height: SIDE, passes: PASSES });
    idle = setTimeout(() => stills.close(), IDLE_MS);
    await database.thumbnails.put({ key, blob }).catch(() => undefined);
    return URL.createObjectURL(blob);
  });

/** The picture of a ball of some matter, as an address; drawn once. */
function pictureOf(sampled: Sampled): Promise<string> {
  const key = JSON.stringify(sampled);
  const found = known.get(key) ?? drawn(sampled);
  known.delete(key);
  known.set(key, found);
  found.catch(() => known.delete(key));
  for (const [oldest, picture] of known) {
    if (known.size <= MOST) break;
    known.delete(oldest);
    void picture.then((url) => URL.revokeObjectURL(url));
  }
  return found;
}

/** The picture of a ball of some matter, as an address; null while it is being drawn. */
export function useSample(sampled: Sampled): string | null {
  const key = JSON.stringify(sampled);
  const [shown, setShown] = useState<{ key: string; url: string } | null>(null);
  useEffect(() => {
    let live = true;
    // what is being dragged is not drawn for every step of it
    const soon = setTimeout(() => {
      pictureOf(JSON.parse(key) as Sampled).then(
        (url) => live && setShown({ key, url }),
        () => undefined,
      );
    }, 120);
    return () => {
      live = false;
      clearTimeout(soon);
    };
  }, [key]);
  return shown?.url ?? null;
}
