import { animatedIn } from '../forms/walk';
import { getAt, setAt, type PiecePath } from '../piece/paths';
import { partsOfPiece, type Piece } from '../piece/schema';
import { evaluateAnimated, type Animated, type Ease, type Keyed } from '../time/animated';
import type { Repair } from './finding';

/** Shares of the lap from the seam within which a key stands at it. */
const AT_SEAM = 1e-6;
/** A speed this small a share of the quickest is a stand. */
const STANDS = 0.35;

/** A value whose key at the seam, where there is one, is gone through as smoothly as its curve allows; itself where it is so already. */
export function smoothAtSeam<V extends { keys: readonly { id: string; at: number; ease: Ease }[] }>(value: V): V {
  const order = [...value.keys].sort((a, b) => a.at - b.at);
  const key = order.find(({ at }) => at < AT_SEAM || at > 1 - AT_SEAM);
  const before = key && order[(order.indexOf(key) + order.length - 1) % order.length];
  if (!key || !before || (key.ease === 'smooth' && before.ease === 'smooth')) return value;
  const smoothed = new Set([key.id, before.id]);
  return {
    ...value,
    keys: value.keys.map((one) => (smoothed.has(one.id) ? { ...one, ease: 'smooth' as const } : one)),
  };
}

const isKeyed = (value: Animated): value is Keyed => typeof value === 'object' && value.law === 'keyed';

/** What has keys at the seam that are not gone through smoothly, below a place of the piece. */
const brokenAt = (piece: Piece, root: PiecePath): { path: PiecePath; smooth: Keyed }[] =>
  partsOfPiece(piece)
    .filter(({ path }) => root.every((name, i) => path[i] === name))
    .flatMap(animatedIn)
    .flatMap(({ path, value }) => {
      if (!isKeyed(value)) return [];
      const smooth = smoothAtSeam(value);
      return smooth === value ? [] : [{ path, smooth }];
    });

/** What lets a camera go on that comes to a stand at the seam: its speed, or the eases of its keys there; null where neither is why. */
export function goesOn(piece: Piece): Repair | null {
  const { speed } = piece.flight;
  const keyed = isKeyed(speed);
  if (keyed && evaluateAnimated(speed, 0) < STANDS * Math.max(...speed.keys.map(({ value }) => value)))
    return { says: 'Travel evenly', path: ['flight', 'speed'], value: 1 };
  const found = brokenAt(piece, ['flight']);
  if (found.length === 0) return null;
  const [one] = found;
  if (found.length === 1) return { says: 'Go through its key at the seam', path: one.path, value: one.smooth };
  const mended = found.reduce((so, { path, smooth }) => setAt(so, path, smooth), piece);
  return { says: `Go through ${found.length} keys at the seam`, path: ['flight'], value: mended.flight };
}

/**
 * What brings the slopes on both sides of the seam together: eases of the keys that stand there.
 * @param root where in the piece what moves is: its flight, or a layer
 * @param closes whether it does in another piece
 * @returns null where no key stands at the seam, or that is not what is amiss
 */
export function matchSlopes(piece: Piece, root: PiecePath, closes: (mended: Piece) => boolean): Repair | null {
  const found = brokenAt(piece, root);
  if (found.length === 0) return null;
  const mended = found.reduce((so, { path, smooth }) => setAt(so, path, smooth), piece);
  if (!closes(mended)) return null;
  // those that are to blame by themselves are changed alone
  const [only] = found.filter(({ path, smooth }) => closes(setAt(piece, path, smooth)));
  if (only) return { says: 'Match its slopes at the seam', path: only.path, value: only.smooth };
  return { says: `Match the slopes of ${found.length} values at the seam`, path: root, value: getAt(mended, root) };
}
