/** How many particles a stream has, and how their births are spread. */
export interface Births {
  /** born in each lap, the same ones every lap */
  births: number;
  /** their rate per second after rounding to whole births */
  rate: number;
  /** multiplier that spreads any first ones of them evenly over the lap; shares no factor with `births` */
  step: number;
  /** laps that the longest life and a little rest span: each particle is there once for each */
  generations: number;
}

const MOST_BIRTHS = 60_000;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

const shareFactor = (a: number, b: number): boolean => {
  let [x, y] = [a, b];
  while (y > 0) [x, y] = [y, x % y];
  return x > 1;
};

/**
 * Births of a stream that returns after every lap (laws §5).
 * @param rate wanted, per second
 * @param seconds of the lap
 * @param longest life in seconds
 */
export function birthsOf(rate: number, seconds: number, longest: number): Births {
  const births = Math.min(MOST_BIRTHS, Math.max(1, Math.round(rate * seconds)));
  let step = Math.max(1, Math.round(births * GOLDEN));
  while (shareFactor(births, step)) step++;
  return { births, rate: births / seconds, step, generations: Math.floor(longest / seconds + 0.02) + 1 };
}
