import { animated, choice, integer, text, type FieldsValue } from '../../forms';
import { shows, words } from './words';

/** What a title counts, and how that is written. */
export const numberFields = {
  value: animated(
    {
      law: 'keyed',
      keys: [
        { id: 'k0', at: 0, value: 10, ease: 'linear' },
        { id: 'k1', at: 0.96, value: 0, ease: 'hold' },
      ],
    },
    {
      label: 'Value',
      counts: true,
      group: words,
      min: 0,
      max: 1_000_000,
      comfort: 100,
      decimals: 2,
      when: shows('number'),
      hint: 'What is counted: a number, seconds, or beats from 0. It changes on whole frames.',
    },
  ),
  format: choice(
    'plain',
    { plain: 'Number', clock: 'Minutes and seconds', frames: 'Minutes, seconds, frames', beats: 'Bars and beats' },
    { label: 'Written as', kept: true, group: words, when: shows('number'), hint: 'How the value is written.' },
  ),
  digits: integer(2, {
    label: 'Digits',
    kept: true,
    group: words,
    min: 1,
    max: 9,
    when: shows('number'),
    hint: 'Digits of the first part; there are always as many.',
  }),
  decimals: integer(0, {
    label: 'Decimals',
    kept: true,
    group: words,
    min: 0,
    max: 6,
    when: [shows('number'), { field: 'format', is: ['plain'] }],
    hint: 'Digits behind the point.',
  }),
  before: text('', {
    label: 'In front',
    given: true,
    group: words,
    most: 80,
    when: shows('number'),
    hint: 'Words in front of the number.',
  }),
  after: text('', {
    label: 'Behind',
    given: true,
    group: words,
    most: 80,
    when: shows('number'),
    hint: 'Words behind it, such as %.',
  }),
};

/** Beats of a bar. */
const BAR = 4;

/** What of a title says how its number is written. */
export type Written = Pick<FieldsValue<typeof numberFields>, 'format' | 'digits' | 'decimals' | 'before' | 'after'>;

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
