import type { FrameFacts } from './codecs/codec';

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

/**
 * Sentences about frames: how bright they are, which are black or one picture while others are not, and, of a whole lap, whether the step from the last
 * to the first stands out. None of this is wrong by itself.
 * @param frames their numbers in the lap
 * @param lap they are all of it
 */
export function judgeFrames(facts: readonly FrameFacts[], frames: readonly number[], lap: boolean): string[] {
  const shown = facts.filter(({ cells }) => cells.length > 0);
  if (shown.length === 0) return [];
  const means = shown.map(({ cells }) => cells.reduce((sum, value) => sum + value, 0) / cells.length);
  const percent = (value: number): string => `${Math.round((100 * value) / 255)} %`;
  const peak = shown.reduce((most, { cells }) => Math.max(most, ...cells), 0);
  const out = [
    `level ${percent(means.reduce((sum, v) => sum + v, 0) / means.length)} on average, ${percent(peak)} at most`,
  ];
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
