import { CELL, type FrameLevels } from './levels';

/**
 * Flashes as WCAG 2.2, success criterion 2.3.1 ("general flash and red flash thresholds") and Recommendation ITU-R BT.1702 define them:
 * a pair of opposing changes of relative luminance by a tenth of the most or more, the darker below 0.8; or of any two opposing changes to or from
 * a saturated red, by more than 0.2 in CIE 1976 u′ v′. More than three in any second are too many where they fill a quarter of
 * the picture (BT.1702), or of any third of it either way (341 × 256 of 1024 × 768 pixels, WCAG).
 */
export type FlashSort = 'general' | 'red';

const CHANGE = 0.1;
const DARKER = 0.8;
const SATURATED = 0.8;
const APART = 0.2;
const AREA = 0.25;
/** Flashes in a second that are allowed. */
export const MOST_FLASHES = 3;
/** Part of a second within which changes belong to one: of three flashes in it, half of one. */
const TOGETHER = 1 / 6;

/** What a lap has of one sort. */
export interface Flashing {
  /** the most flashes in any second that fill a quarter of the picture, halves counted */
  perSecond: number;
  /** the most that fill a quarter of any third of it either way */
  perSecondInThird: number;
  /** frames of the lap within seconds that have too many, over the picture or else its worst third; in order */
  frames: number[];
}

/** What a lap has of both, and whether it has too much of one. */
export interface FlashReport {
  general: Flashing;
  red: Flashing;
  /** over a quarter of the picture; over a quarter of a third of it; or nowhere */
  fails: 'picture' | 'third' | null;
}

/**
 * @param lap levels of every frame of it, in cells as levels.ts has them
 * @param columns and rows of cells
 * @param rate frames a second
 */
export function flashesIn(lap: readonly FrameLevels[], columns: number, rows: number, rate: number): FlashReport {
  const second = Math.max(1, Math.round(rate));
  // it goes on as it begins: once round to be in the middle of it, then until the last frame has a second behind it
  const frames = lap.length * (2 + Math.ceil(second / lap.length));
  const of = (changesOf: ChangesOf): Flashing => {
    const states = Array.from({ length: columns * rows }, (_, cell) =>
      lately(
        changesOf((frame) => lap[frame % lap.length].cells.subarray(cell * CELL, (cell + 1) * CELL), frames, second),
        Math.max(1, Math.round(TOGETHER * rate)),
      ),
    );
    const [whole, ...thirds] = flashTimes(states, columns, partsOf(columns, rows)).map((times) =>
      busySeconds(times, lap.length, second),
    );
    const worst = thirds.reduce((a, b) => (b.most > a.most ? b : a), whole);
    return {
      perSecond: whole.most / 2,
      perSecondInThird: worst.most / 2,
      frames: whole.frames.length > 0 ? whole.frames : worst.frames,
    };
  };
  const [general, red] = [of(brightnessChanges), of(redChanges)];
  const most = (where: 'perSecond' | 'perSecondInThird'): number => Math.max(general[where], red[where]);
  return {
    ...{ general, red },
    fails: most('perSecond') > MOST_FLASHES ? 'picture' : most('perSecondInThird') > MOST_FLASHES ? 'third' : null,
  };
}

/** Of each frame 1 where a cell has become brighter, or red, by enough since it last changed; −1 darker, or no longer red; else 0. */
type Changes = Int8Array;
type Cell = (frame: number) => Float32Array;
type ChangesOf = (cell: Cell, frames: number, second: number) => Changes;

function brightnessChanges(cell: Cell, frames: number): Changes {
  const out: Changes = new Int8Array(frames);
  let low = cell(0)[0];
  let high = low;
  let way = 0;
  for (let frame = 1; frame < frames; frame++) {
    const [v] = cell(frame);
    low = Math.min(low, v);
    high = Math.max(high, v);
    // what goes on the same way is still that change
    if (way <= 0 && v - low >= CHANGE - ROUNDED && low < DARKER) {
      out[frame] = way = 1;
      high = v;
    } else if (way >= 0 && high - v >= CHANGE - ROUNDED && v < DARKER) {
      out[frame] = way = -1;
      low = v;
    }
  }
  return out;
}

function redChanges(cell: Cell, frames: number, second: number): Changes {
  const out: Changes = new Int8Array(frames);
  const reds = Array.from({ length: frames }, (_, frame) => cell(frame)[3] >= SATURATED);
  if (!reds.includes(true)) return out;
  let way = 0;
  let since = 0;
  for (let frame = 1; frame < frames; frame++) {
    const to = reds[frame] ? 1 : -1;
    if (to === way) continue;
    const [, u, v] = cell(frame);
    for (let before = frame - 1; before >= Math.max(since, frame - second); before--) {
      if (reds[before] === reds[frame]) continue;
      const [, u0, v0] = cell(before);
      if (Math.hypot(u - u0, v - v0) <= APART) continue;
      out[frame] = way = to;
      since = frame;
      break;
    }
  }
  return out;
}
/** Of code values, 8 bits a channel. */
const ROUNDED = 1e-3;

/** Of each frame how the cell changed last, where that was within so many frames; else 0. */
function lately(changes: Changes, together: number): Int8Array {
  const out = new Int8Array(changes.length);
  let last = -Infinity;
  for (let frame = 0; frame < changes.length; frame++) {
    if (changes[frame] !== 0) last = frame;
    if (frame - last < together) out[frame] = changes[last];
  }
  return out;
}

/** A part of the picture: its first cell either way, and how many. */
interface Part {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** The whole picture, then every third of it either way. */
function partsOf(columns: number, rows: number): Part[] {
  const [w, h] = [Math.max(1, Math.round(columns / 3)), Math.max(1, Math.round(rows / 3))];
  const parts = [{ x: 0, y: 0, w: columns, h: rows }];
  for (let y = 0; y + h <= rows; y++) for (let x = 0; x + w <= columns; x++) parts.push({ x, y, w, h });
  return parts;
}

/** Of each part the frames on which a quarter of it has changed together, the other way than before. */
function flashTimes(states: readonly Int8Array[], columns: number, parts: readonly Part[]): number[][] {
  const times = parts.map((): number[] => []);
  const ways = new Int8Array(parts.length);
  const rows = states.length / columns;
  // sums of all cells above and to the left (Crow, "Summed-area tables for texture mapping", 1984), of either way
  const wide = columns + 1;
  const sums = [new Int32Array(wide * (rows + 1)), new Int32Array(wide * (rows + 1))];
  for (let frame = 0; frame < states[0].length; frame++)
    for (const [i, sum] of sums.entries()) {
      const way = i === 0 ? 1 : -1;
      for (let y = 0; y < rows; y++)
        for (let x = 0; x < columns; x++) {
          const at = (y + 1) * wide + x + 1;
          const own = states[y * columns + x][frame] === way ? 1 : 0;
          sum[at] = sum[at - 1] + sum[at - wide] - sum[at - wide - 1] + own;
        }
      if (sum[sum.length - 1] === 0) continue;
      for (let p = 0; p < parts.length; p++) {
        const { x, y, w, h } = parts[p];
        const [from, to] = [y * wide + x, (y + h) * wide + x];
        if (ways[p] === way || sum[to + w] - sum[to] - sum[from + w] + sum[from] < AREA * w * h) continue;
        ways[p] = way;
        times[p].push(frame);
      }
    }
  return times;
}

interface Seconds {
  /** changes in the busiest second */
  most: number;
  /** frames of all seconds that have too many */
  frames: number[];
}

/** @param times of changes in a lap that goes on and on; of its second round the seconds are looked at */
function busySeconds(times: readonly number[], lap: number, second: number): Seconds {
  let most = 0;
  const frames = new Set<number>();
  times.forEach((first, i) => {
    if (first < lap || first >= 2 * lap) return;
    const within = times.slice(i).filter((time) => time - first < second);
    most = Math.max(most, within.length);
    if (within.length > 2 * MOST_FLASHES) for (const time of within) frames.add(time % lap);
  });
  return { most, frames: [...frames].sort((a, b) => a - b) };
}
