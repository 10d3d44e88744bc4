import type { TitleLayer } from './form';

/** Beats of a bar. */
const BAR = 4;

/** What of a title says how its number is written. */
export type Written = Pick<TitleLayer, 'format' | 'digits' | 'decimals' | 'before' | 'after'>;

const padded = (value: number, digits: number): string =>
  String(Math.min(Math.floor(value), 10 ** digits - 1)).padStart(digits, '0');

/**
 * A value as text that always has the same number of letters. Parts of a step that are not shown are left off, as clocks do; a
 * value below none is none, and one too large for its digits is the largest they can say.
 * @param value in its own unit: a number, per cent, seconds or beats from 0
 * @param rate frames a second, for time with frames
 */
export function numberText({ format, digits, decimals, before, after }: Written, value: number, rate: number): string {
  // a little more, so that 3 that comes to 2.999… is 3
  const v = Math.max(0, value) + 1e-6;
  const clock = (seconds: number): string => `${padded(seconds / 60, digits)}:${padded(Math.floor(seconds) % 60, 2)}`;
  const texts: Record<Written['format'], () => string> = {
    plain: () => {
      const whole = padded(v, digits);
      if (decimals === 0) return whole;
      const most = v >= 10 ** digits ? 10 ** decimals - 1 : Math.floor((v % 1) * 10 ** decimals);
      return `${whole}.${String(most).padStart(decimals, '0')}`;
    },
    clock: () => clock(v),
    frames: () => `${clock(v)}:${padded((v % 1) * rate, 2)}`,
    beats: () => `${padded(v / BAR + 1, digits)}.${Math.floor(v % BAR) + 1}`,
  };
  return before + texts[format]() + after;
}
