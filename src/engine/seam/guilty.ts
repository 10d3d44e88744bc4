/** What may be why a picture jumps, and may be left out of it. */
export interface Suspect {
  part: 'layer' | 'effect' | 'light';
  id: string;
}

/** What makes most of a jump at the join. */
export interface Guilty {
  /** the camera moves everything */
  part: Suspect['part'] | 'camera';
  /** null for the camera */
  id: string | null;
  /** how much of the jump is gone without it, 0..1 */
  share: number;
}

/** What makes less of a jump than this is not to blame by itself. */
const LEAST_SHARE = 0.25;

/**
 * What makes most of a jump, found by leaving out halves: twice as many measurements as their number has binary places.
 * @param suspects what is seen
 * @param whole how far the join is out of the run of frames around it with all of them
 * @param usual how far any frame near it is
 * @param without the same with some of them hidden; null when it was stopped
 * @returns null where none is to blame by itself, or it was stopped
 */
export async function guiltyPart(
  all: readonly Suspect[],
  whole: number,
  usual: number,
  without: (hidden: readonly Suspect[]) => Promise<number | null>,
): Promise<Guilty | null> {
  if (all.length === 0) return null;
  let suspects = all;
  let left = all.length === 1 ? await without(all) : whole;
  // what others do there besides is in both measurements, so the half without which less is left is the one
  while (suspects.length > 1 && left !== null) {
    const middle = Math.ceil(suspects.length / 2);
    const halves = [suspects.slice(0, middle), suspects.slice(middle)];
    const [first, second] = [await without(halves[0]), await without(halves[1])];
    if (first === null || second === null) return null;
    suspects = halves[first <= second ? 0 : 1];
    left = Math.min(first, second);
  }
  if (left === null) return null;
  // residuals of layers that do not depend on one another add up as squares do
  const share = (whole ** 2 - left ** 2) / Math.max(1e-12, whole ** 2 - usual ** 2);
  return share < LEAST_SHARE ? null : { ...suspects[0], share: Math.min(1, share) };
}
