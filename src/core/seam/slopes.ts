import { animatedIn } from '../forms/walk';
import { getAt, setAt, type PiecePath } from '../piece/paths';
import { partsOfPiece, type Piece } from '../piece/schema';
import type { Animated, Keyed } from '../time/animated';
import type { Repair } from './finding';

/** Shares of the lap from the seam within which a key stands at it. */
const AT_SEAM = 1e-6;

/** A value whose key at the seam, where there is one, is gone through as smoothly as its curve allows; itself where it is so already. */
export function smoothAtSeam(value: Keyed): Keyed {
  const order = [...value.keys].sort((a, b) => a.at - b.at);
  const key = order.find(({ at }) => at < AT_SEAM || at > 1 - AT_SEAM);
  const before = key && order[(order.indexOf(key) + order.length - 1) % order.length];
  if (!key || !before || (key.ease === 'smooth' && before.ease === 'smooth')) return value;
  const smoothed = new Set([key.id, before.id]);
  return { ...value, keys: value.keys.map((one) => (smoothed.has(one.id) ? { ...one, ease: 'smooth' } : one)) };
}

const isKeyed = (value: Animated): value is Keyed => typeof value === 'object' && value.law === 'keyed';

/**
 * What brings the slopes on both sides of the seam together: eases of the keys that stand there.
 * @param root where in the piece what moves is: its flight, or a layer
 * @param closes whether it does in another piece
 * @returns null where no key stands at the seam, or that is not what is amiss
 */
export function matchSlopes(piece: Piece, root: PiecePath, closes: (mended: Piece) => boolean): Repair | null {
  const within = (path: PiecePath): boolean => root.every((name, i) => path[i] === name);
  const found = partsOfPiece(piece)
    .filter(({ path }) => within(path))
    .flatMap(animatedIn)
    .flatMap(({ path, value }) => {
      if (!isKeyed(value)) return [];
      const smooth = smoothAtSeam(value);
      return smooth === value ? [] : [{ path, smooth }];
    });
  if (found.length === 0) return null;
  const mended = found.reduce((so, { path, smooth }) => setAt(so, path, smooth), piece);
  if (!closes(mended)) return null;
  // those that are to blame by themselves are changed alone
  const [only] = found.filter(({ path, smooth }) => closes(setAt(piece, path, smooth)));
  if (only) return { says: 'Match its slopes at the seam', path: only.path, value: only.smooth };
  return { says: `Match the slopes of ${found.length} values at the seam`, path: root, value: getAt(mended, root) };
}
