import { evaluateAnimated, type Animated } from '../time/animated';

const STEPS = 1024;

/**
 * The share of a lap's way that is behind at a phase, from a speed over the lap: its integral, scaled so that the lap is
 * exactly one way however fast it is flown. The phase is not wrapped; 1.25 gives 1 more than 0.25. A speed below zero
 * counts as none; where there is none at all the way is flown evenly.
 * @returns the share, continuous with a continuous slope
 */
export function distanceShare(speed: Animated): (phase: number) => number {
  if (typeof speed === 'number') return (phase) => phase;
  const at = (phase: number): number => Math.max(0, evaluateAnimated(speed, phase));
  const speeds = Float64Array.from({ length: STEPS + 1 }, (_, i) => at((i % STEPS) / STEPS));
  const behind = new Float64Array(STEPS + 1);
  // Simpson over each step, with the speed at its middle
  for (let i = 0; i < STEPS; i++)
    behind[i + 1] = behind[i] + (speeds[i] + 4 * at((i + 0.5) / STEPS) + speeds[i + 1]) / (6 * STEPS);
  const total = behind[STEPS];
  if (!(total > 1e-9)) return (phase) => phase;
  return (phase) => {
    const laps = Math.floor(phase);
    const x = (phase - laps) * STEPS;
    const i = Math.min(STEPS - 1, Math.floor(x));
    const t = x - i;
    // cubic with the known speeds as slopes, held so that it never turns back (Fritsch & Carlson, SIAM J. Numer. Anal. 17, 1980)
    const h = 1 / STEPS;
    const mean = (behind[i + 1] - behind[i]) / h;
    const [leaving, arriving] = [Math.min(speeds[i], 3 * mean), Math.min(speeds[i + 1], 3 * mean)];
    const u = 1 - t;
    const part =
      behind[i] * u * u * (1 + 2 * t) + behind[i + 1] * t * t * (3 - 2 * t) + h * t * u * (leaving * u - arriving * t);
    return laps + part / total;
  };
}
