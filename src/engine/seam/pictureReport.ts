import type { Guilty } from './guilty';
import { outliers, POP_SCORE, popsAtJoin } from './pops';

/** Differences between neighbouring frames around a whole lap, and what they say of the join. */
export interface PictureReport {
  /** step[i]: how much frame i + 1 differs from frame i; frame F is frame 0 */
  step: number[];
  /** residual[i]: how far frame i is from the mean of its neighbours, in the worst block of the picture */
  residual: number[];
  verdict: 'closes' | 'jumps' | 'stops' | 'still' | 'differs' | 'remembers';
  ok: boolean;
  /** residual at the join over the median of its neighbourhood */
  score: number;
  /** step at the join over the median of its neighbourhood */
  pace: number;
  /** how far the join's step stands out of the run of steps around it, over how far any other near it does */
  break: number;
  /** how far the block that does so most stands out of its own surroundings, in each frame */
  alone: number[];
  /** the most of that at the join, and at any other frame of the lap */
  pop: { score: number; elsewhere: number };
  /** what frame 0 differs by from itself a lap later, where nothing is wrapped */
  later: Apart;
  /** code values by which frame 0 differs from itself, drawn again after all others: what is remembered from frame to frame */
  twice: number;
  medianStep: number;
  /** block of the picture with the largest residual at the join: column, row, of columns, of rows */
  worstBlock: [number, number, number, number];
  /**
   * what is too much: how far a frame is from itself a lap later; at a jump of what does come back the residual of that block, or where only
   * that stands out the step of the whole picture; and what is usual
   */
  excess: { of: 'later' | 'block' | 'picture'; join: number; usual: number };
  /** what makes most of that; null where nothing does by itself, or it closes */
  guilty: Guilty | null;
}

/** Side of a block in pixels of a picture of some width: a fortieth of it. */
export const blockSide = (width: number): number => Math.max(4, Math.round(width / 40));
/** Frames on each side of the join that its values are compared with. */
const NEIGHBOURHOOD = 12;
/** A residual this many times that of the neighbourhood is a jump (tested against planted faults and all demo pieces). */
export const JUMP_SCORE = 2.2;
/** A step that stands out of its run this many times more than any near it, and by this share, is a jump too. */
export const BREAK_SCORE = 3;
const BREAK_SHARE = 0.12;
/**
 * A frame a lap later has this share of other colours at most: places are a tile farther on and rounded there, so that an edge goes through the next
 * pixel, or one of two lines that lie in one another is the upper (up to 0.0035 over the demo pieces; the least of the planted faults makes 0.022).
 */
const LATER_SHARE = 0.01;
/** A step this small a share of the lap's median is a stand. */
export const STOP_PACE = 0.35;
/** Code values 0..1 below which a difference cannot be seen. */
const INVISIBLE = 0.5 / 255;

export interface Neighbours {
  /** how much the next frame differs from a frame */
  step: number;
  /** how far it is from the mean of its neighbours, block by block */
  residual: Float64Array;
}

/**
 * How far a frame is from the mean of its neighbours in each block, and how much the next one differs from it there: roots of means of
 * squares and sums of squares; and how many numbers each block has.
 * @param before, here, after RGBA floats 0..1 of the same size
 */
function blocksOf(before: Float32Array, here: Float32Array, after: Float32Array, width: number, height: number) {
  const side = blockSide(width);
  const columns = Math.ceil(width / side);
  const residual = new Float64Array(columns * Math.ceil(height / side));
  const step = new Float64Array(residual.length);
  const count = new Float64Array(residual.length);
  for (let y = 0; y < height; y++) {
    const row = Math.floor(y / side) * columns;
    for (let x = 0; x < width; x++) {
      const block = row + Math.floor(x / side);
      const i = (y * width + x) * 4;
      for (let k = 0; k < 3; k++) {
        const r = here[i + k] - 0.5 * (before[i + k] + after[i + k]);
        const s = after[i + k] - here[i + k];
        residual[block] += r * r;
        step[block] += s * s;
      }
      count[block] += 3;
    }
  }
  return { residual: residual.map((sum, b) => Math.sqrt(sum / count[b])), step, count };
}

/** How far a frame is from the mean of its neighbours in one block. */
export const residualIn = (block: number, ...frames: Parameters<typeof blocksOf>): number =>
  blocksOf(...frames).residual[block];

/** Compares a frame with its neighbours, block by block. */
export function compareFrames(...frames: Parameters<typeof blocksOf>): Neighbours {
  const { residual, step, count } = blocksOf(...frames);
  const sum = (values: Float64Array): number => values.reduce((so, v) => so + v, 0);
  return { step: Math.sqrt(sum(step) / sum(count)), residual };
}

/** How far two pictures are apart. */
export interface Apart {
  /** of all colours those that differ by more than one code value, 0..1 */
  share: number;
  /** the most that any does, in code values */
  most: number;
  /** root of the mean of squares of their differences, 0..1 */
  mean: number;
}

/** Compares two pictures, RGBA floats 0..1 of the same size. */
export function apart(one: Float32Array, other: Float32Array): Apart {
  let [count, most, sum] = [0, 0, 0];
  for (let i = 0; i < one.length; i += 4)
    for (let k = 0; k < 3; k++) {
      const codes = 255 * Math.abs(one[i + k] - other[i + k]);
      most = Math.max(most, codes);
      if (codes > 1) count++;
      sum += codes * codes;
    }
  const colours = one.length * 0.75;
  return { share: count / colours, most, mean: Math.sqrt(sum / colours) / 255 };
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length ? sorted[sorted.length >> 1] : 0;
};

/** Whether the picture comes to a stand at the join and nowhere else: what sways turns round twice in a lap. @param low a step that is a stand */
function standsAtJoin(step: readonly number[], low: number): boolean {
  const frames = step.length;
  const slow = step.map((v) => v < low);
  if (!slow[frames - 1] || slow.every(Boolean)) return false;
  // the frames about the join that belong to its own stand
  const after = slow.indexOf(false);
  const before = slow.lastIndexOf(false);
  return !slow.slice(after, before + 1).some(Boolean);
}

/** What is known of a lap before it is judged. */
export interface Measured extends Pick<PictureReport, 'later' | 'twice'> {
  step: number[];
  /** of each frame, block by block */
  residuals: Float64Array[];
  width: number;
  height: number;
}

/**
 * The verdict on a lap from its neighbour differences. The join lies between frame F−1 and frame 0: its step is
 * step[F−1], its residuals are those of frames F−1 and 0. Both too much (a jump) and too little (a stop) fail. The worst block of
 * the picture counts, and any that stands out of its own surroundings as none does elsewhere in the lap: the lap itself says what is usual.
 */
export function judge({ step, residuals, width, height, later, twice }: Measured): PictureReport {
  const residual = residuals.map((own) => Math.max(...own));
  const frames = step.length;
  const near = Math.min(NEIGHBOURHOOD, Math.floor((frames - 3) / 2));
  const around = Array.from({ length: near }, (_, i) => i + 1);
  const nearSteps = around.flatMap((i) => [step[(i - 1 + frames) % frames], step[(frames - 1 - i + frames) % frames]]);
  const nearResiduals = around.flatMap((i) => [residual[i % frames], residual[(frames - 1 - i + frames) % frames]]);
  const joinResidual = Math.max(residual[frames - 1], residual[0]);
  const joinStep = step[frames - 1];
  const typicalResidual = Math.max(median(nearResiduals), 0.6 * Math.max(...nearResiduals, 0), INVISIBLE);
  const medianStep = median(step);
  const typicalStep = median(nearSteps);
  const score = joinResidual / typicalResidual;
  const pace = typicalStep > 0 ? joinStep / typicalStep : 1;
  const side = blockSide(width);
  const columns = Math.ceil(width / side);
  const still = Math.max(...step) < INVISIBLE / 4;
  const stops = standsAtJoin(step, STOP_PACE * Math.max(medianStep, INVISIBLE / 8));
  // how far each step is from the mean of its neighbours; those beside the join hold its step and do not count
  const bend = (i: number): number =>
    Math.abs(step[(i + frames) % frames] - 0.5 * (step[(i - 1 + frames) % frames] + step[(i + 1) % frames]));
  const nearBends = around.flatMap((i) => [bend(i), bend(frames - 2 - i)]);
  const breaks = bend(frames - 1) / Math.max(...nearBends, INVISIBLE);
  const jumps =
    score > JUMP_SCORE ||
    (breaks > BREAK_SCORE && bend(frames - 1) > BREAK_SHARE * typicalStep && bend(frames - 1) > INVISIBLE);
  const out = outliers(residuals, columns, INVISIBLE);
  const joined = out[0].score > out[frames - 1].score ? out[0] : out[frames - 1];
  const elsewhere = Math.max(0, ...out.slice(2, frames - 2).map(({ score: most }) => most));
  const pop = { score: joined.score, elsewhere };
  const pops = popsAtJoin(pop);
  const differs = later.share > LATER_SHARE;
  const verdict =
    twice > 0
      ? 'remembers'
      : jumps || pops
        ? 'jumps'
        : differs
          ? 'differs'
          : still
            ? 'still'
            : stops
              ? 'stops'
              : 'closes';
  const worst = residual[frames - 1] > residual[0] ? residuals[frames - 1] : residuals[0];
  // what stands out of its own surroundings tells more than what moves most anyway
  const whole = score > JUMP_SCORE || joined.score <= POP_SCORE;
  const block = whole ? worst.indexOf(Math.max(...worst)) : joined.block;
  return {
    step,
    residual,
    verdict,
    ok: verdict === 'closes' || verdict === 'still',
    alone: out.map(({ score: most }) => most),
    pop,
    later,
    twice,
    score,
    pace,
    break: breaks,
    medianStep,
    worstBlock: [block % columns, Math.floor(block / columns), columns, Math.ceil(height / side)],
    excess: differs
      ? { of: 'later', join: later.mean, usual: 0 }
      : score > JUMP_SCORE
        ? { of: 'block', join: joinResidual, usual: typicalResidual }
        : pops
          ? { of: 'block', join: joined.residual, usual: joined.usual }
          : { of: 'picture', join: joinStep, usual: typicalStep },
    guilty: null,
  };
}
