import { wrapPhase } from './lap';

/**
 * The frame for which something is evaluated at other moments than its own, while the shutter is open: what happens on a
 * whole frame has happened for all of them or for none (laws: time is a circle).
 */
export interface Exposure {
  /** phase of the frame; not wrapped */
  frame: number;
  /** laps that the shutter is open before and after it */
  reach: number;
  /** of the lap */
  frames: number;
}

/** Phases this near to a frame are on it: keys are put on frames by division. */
const ON_FRAME = 1e-7;
/** How far beside a jump its sides are looked at. */
const BESIDE = 1e-9;

/**
 * The moment a jumping value is to be evaluated at: the one asked for, or, when a jump lies between it and its frame, the
 * last before that jump as seen from the frame. Moments outside the open shutter (trails, averages over the lap) belong to
 * the frame nearest to them.
 * @param jumps phases, 0 … 1, at which another value begins
 */
export function exposedPhase(jumps: readonly number[], phase: number, { frame, reach, frames }: Exposure): number {
  if (jumps.length === 0) return phase;
  const own = Math.abs(phase - frame) <= reach + BESIDE ? frame : frame + Math.round((phase - frame) * frames) / frames;
  let before = 1;
  let after = 1;
  for (const jump of jumps) {
    // a jump on the frame itself has happened
    const since = wrapPhase(own + ON_FRAME - jump) - ON_FRAME;
    before = Math.min(before, since);
    after = Math.min(after, 1 - since);
  }
  if (phase < own - before) return own - before + BESIDE;
  return phase >= own + after - BESIDE ? own + after - BESIDE : phase;
}

/** Something that happens on whole frames, as one frame's shutter sees it. */
export interface OnFrames {
  exposure?: Exposure;
}

/**
 * The phase of the whole frame that a moment belongs to: the frame whose shutter is open, for moments within it; otherwise the
 * last frame before the moment.
 */
export function wholeFrame({ exposure }: OnFrames, phase: number, frames: number): number {
  if (exposure && Math.abs(phase - exposure.frame) <= exposure.reach + BESIDE)
    return Math.round(exposure.frame * frames) / frames;
  return Math.floor(phase * frames + 1e-6) / frames;
}
