/** What makes most of a jump at the join. */
export interface Guilty {
  /** null where it is the camera, which moves everything */
  layerId: string | null;
  /** how much of the jump is gone without it, 0..1 */
  share: number;
}

/** A layer that makes less of a jump than this is not to blame by itself. */
const LEAST_SHARE = 0.25;

/**
 * The layer that makes most of a jump, found by hiding halves of them: twice as many measurements as the layers' number has binary places.
 * @param ids of the layers that are seen
 * @param whole how far the join is out of the run of frames around it with all of them
 * @param usual how far any frame near it is
 * @param without the same with some of them hidden; null when it was stopped
 * @returns null where none is to blame by itself, or it was stopped
 */
export async function guiltyLayer(
  ids: readonly string[],
  whole: number,
  usual: number,
  without: (hidden: readonly string[]) => Promise<number | null>,
): Promise<Guilty | null> {
  if (ids.length === 0) return null;
  let suspects = ids;
  let left = ids.length === 1 ? await without(ids) : whole;
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
  return share < LEAST_SHARE ? null : { layerId: suspects[0], share: Math.min(1, share) };
}
