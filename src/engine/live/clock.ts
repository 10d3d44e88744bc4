import { lapSeconds, wrapPhase, type Rate } from '../../core/time/lap';

/** No step of the clock is longer than this share of a lap, however long a frame took. */
const MOST_STEP = 0.5;
/** Seconds that are played to either side of the seam when only that is. */
const BESIDE_SEAM = 0.5;

/**
 * Where in the lap the picture is after so long.
 * @param phase 0..1; @param ms since it was there; @param speed 1 for the piece's own
 * @param acrossSeam plays only the stretch around the seam
 */
export function advanced(
  phase: number,
  ms: number,
  { frames, rate }: { frames: number; rate: Rate },
  speed: number,
  acrossSeam: boolean,
): number {
  const seconds = lapSeconds(frames, rate);
  const next = wrapPhase(phase + Math.min(((ms / 1000) * speed) / seconds, MOST_STEP));
  const half = Math.min(0.5, BESIDE_SEAM / seconds);
  return acrossSeam && next > half && next < 1 - half ? wrapPhase(1 - half) : next;
}
