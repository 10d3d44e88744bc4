import { flashesIn, MOST_FLASHES } from '../core/judging/flashes';
import { cellsOf, type FrameLevels } from '../core/judging/levels';
import type { FrameFacts } from './codecs/codec';
import { levelsFrom, strideOf } from './light';

// What is to be said of the frames of a delivery besides that they are what was rendered.

/** Code values of 255 below which all of a picture is black. */
const BLACK = 1;
/** Times as much as between any two other frames that the last and the first may differ, and code values besides. */
const [MOST_STEP, SLACK] = [1.5, 2];

/** The greatest difference of a cell. */
const step = (a: FrameFacts, b: FrameFacts): number =>
  a.cells.reduce((most, value, i) => Math.max(most, Math.abs(value - b.cells[i])), 0);

/** Numbers as stretches: 3, 5–8. */
function stretches(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of numbers) {
    const last = runs.at(-1);
    if (last && last[1] === n - 1) last[1] = n;
    else runs.push([n, n]);
  }
  const words = runs.slice(0, 3).map(([from, to]) => (from === to ? String(from) : `${from}–${to}`));
  return words.join(', ') + (runs.length > 3 ? ' …' : '');
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** Of what is gone round in, how it flashes. @param size of a picture, in pixels; @param rate frames a second */
function flashWords(levels: readonly FrameLevels[], { size: [width, height], rate }: Judged): string {
  const stride = strideOf(width);
  const { general, red, fails } = flashesIn(
    levels,
    ...cellsOf(Math.floor(width / stride), Math.floor(height / stride)),
    rate,
  );
  const [sort, worst] = red.perSecondInThird > general.perSecondInThird ? ['red flashes', red] : ['flashes', general];
  if (!fails)
    return worst.perSecondInThird === 0
      ? 'nothing flashes'
      : `${sort} at most ${worst.perSecondInThird} times a second, within what is safe (${MOST_FLASHES})`;
  const [times, where] =
    fails === 'picture'
      ? [worst.perSecond, 'over the picture']
      : [worst.perSecondInThird, 'over a part of the picture'];
  return `${sort} ${times} times a second ${where}, first at frame ${worst.frames[0]}: more than ${MOST_FLASHES} can hurt (WCAG 2.3.1)`;
}

/** What of a delivery its frames are judged by. */
interface Judged {
  /** they are a whole lap */
  lap: boolean;
  size: readonly [width: number, height: number];
  /** frames a second */
  rate: number;
}

/**
 * Sentences about frames: how bright they are, how they flash, which are black or one picture while others are not, and, of a whole lap, whether the step
 * from the last to the first stands out. None of this is wrong by itself.
 * @param frames their numbers in the lap
 */
export function judgeFrames(facts: readonly FrameFacts[], frames: readonly number[], judged: Judged): string[] {
  const { lap } = judged;
  const shown = facts.filter(({ cells }) => cells.length > 0);
  if (shown.length === 0) return [];
  const levels = shown.flatMap(({ light }) => (light ? [levelsFrom(light)] : []));
  const mean = (of: (one: FrameLevels) => number): number =>
    levels.reduce((sum, one) => sum + of(one), 0) / levels.length;
  const out = [
    `level ${percent(mean(({ average }) => average))} on average, ${percent(Math.max(...levels.map(({ peak }) => peak)))} at most; ${percent(mean(({ light }) => light))} of full light`,
  ];
  if (lap && levels.length > 3) out.push(flashWords(levels, judged));
  const count = (numbers: readonly number[]): string => (numbers.length === 1 ? 'frame' : 'frames');
  const black = frames.filter((_, i) => shown[i]?.cells.every((value) => value < BLACK));
  if (black.length > 0 && black.length < shown.length)
    out.push(`${count(black)} ${stretches(black)} ${black.length === 1 ? 'is' : 'are'} black`);
  const same = (i: number): boolean => i > 0 && shown[i].sum === shown[i - 1].sum && step(shown[i], shown[i - 1]) === 0;
  // checksums of black are of black, which is said
  const still = frames.filter((_, i) => same(i) && !shown[i].cells.every((value) => value < BLACK));
  if (still.length > 0 && still.length < shown.length - 1)
    out.push(`${count(still)} ${stretches(still)} ${still.length === 1 ? 'is' : 'are'} the same as the one before`);
  if (lap && shown.length > 3) {
    const inside = shown.slice(1).reduce((most, facts, i) => Math.max(most, step(facts, shown[i])), 0);
    const join = step(shown[0], shown[shown.length - 1]);
    out.push(
      join > MOST_STEP * inside + SLACK
        ? `from the last to the first it changes ${(join / Math.max(inside, 0.1)).toFixed(1)} times as much as anywhere else`
        : 'from the last to the first it changes as it does elsewhere',
    );
  }
  return out;
}
