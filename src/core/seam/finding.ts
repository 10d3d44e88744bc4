/** A change of one field of the piece, or of all of it (a path of nothing), that mends a finding. */
export interface Repair {
  says: string;
  path: readonly (string | number)[];
  value: unknown;
}

export interface Finding {
  id: string;
  /** what is checked, in the user's words */
  subject: string;
  layerId: string | null;
  ok: boolean;
  /** how far apart the two sides of the seam are, as a share of what counts as large for this thing */
  gap: number;
  /** the same for the speed at which it moves */
  slopeGap: number;
  says: string;
  repair: Repair | null;
  /** what mends it otherwise, leaving what it does as it is: a longer lap */
  instead?: Repair | null;
}

/** A ten-thousandth of the extent: invisible, and well above what lens and curve tables round. */
export const TOLERANCE = 2e-4;
/** Slopes are differences over these shares of a lap, from what is quick and smooth to what is nearly the seam itself. */
const STEPS = [2 ** -12, 2 ** -24];
export const SLOPE_TOLERANCE = 0.02;

/**
 * The gap of slopes over ever shorter steps until it passes: a jerk at the seam shows in every one; an element that sets
 * off near it, as it might anywhere, soon lies outside.
 */
export function smallest(slopeGapOver: (step: number) => number): number {
  let gap = Infinity;
  for (const step of STEPS) {
    gap = Math.min(gap, slopeGapOver(step));
    if (gap < SLOPE_TOLERANCE) break;
  }
  return gap;
}
