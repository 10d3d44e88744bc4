import type { Guilty } from './guilty';

/** Differences between neighbouring frames around a whole lap, and what they say of the join. */
export interface PictureReport {
  /** step[i]: how much frame i + 1 differs from frame i; frame F is frame 0 */
  step: number[];
  /** residual[i]: how far frame i is from the mean of its neighbours, in the worst block of the picture */
  residual: number[];
  verdict: 'closes' | 'jumps' | 'stops' | 'still';
  ok: boolean;
  /** residual at the join over the median of its neighbourhood */
  score: number;
  /** step at the join over the median of its neighbourhood */
  pace: number;
  /** how far the join's step stands out of the run of steps around it, over how far any other near it does */
  break: number;
  medianStep: number;
  /** block of the picture with the largest residual at the join: column, row, of columns, of rows */
  worstBlock: [number, number, number, number];
  /** what is too much at a jump: the residual of that block, or where only that stands out the step of the whole picture; and what is usual near it */
  excess: { of: 'block' | 'picture'; join: number; usual: number };
  /** what makes most of a jump; null where nothing does by itself, or it closes */
  guilty: Guilty | null;
}

/** Side of a block in pixels at the measured size. */
export const BLOCK = 16;
/** Frames on each side of the join that its values are compared with. */
const NEIGHBOURHOOD = 12;
/** A residual this many times that of the neighbourhood is a jump (tested against planted faults and all demo pieces). */
export const JUMP_SCORE = 2.2;
/** A step that stands out of its run this many times more than any near it, and by this share, is a jump too. */
export const BREAK_SCORE = 3;
const BREAK_SHARE = 0.12;
/** A step this small a share of the neighbourhood's is a stop. */
export const STOP_PACE = 0.35;
/** Code values 0..1 below which a difference cannot be seen. */
const INVISIBLE = 0.5 / 255;

export interface Neighbours {
  step: number;
  residual: number;
  block: number;
}

/**
 * How far a frame is from the mean of its neighbours in each block, and how much the next one differs from it there: roots of means of
 * squares and sums of squares; and how many numbers each block has.
 * @param before, here, after RGBA floats 0..1 of the same size
 */
function blocksOf(before: Float32Array, here: Float32Array, after: Float32Array, width: number, height: number) {
  const columns = Math.ceil(width / BLOCK);
  const residual = new Float64Array(columns * Math.ceil(height / BLOCK));
  const step = new Float64Array(residual.length);
  const count = new Float64Array(residual.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const block = Math.floor(y / BLOCK) * columns + Math.floor(x / BLOCK);
      const i = (y * width + x) * 4;
      for (let k = 0; k < 3; k++) {
        const r = here[i + k] - 0.5 * (before[i + k] + after[i + k]);
        const s = after[i + k] - here[i + k];
        residual[block] += r * r;
        step[block] += s * s;
      }
      count[block] += 3;
    }
  return { residual: residual.map((sum, b) => Math.sqrt(sum / count[b])), step, count };
}

/** How far a frame is from the mean of its neighbours in one block. */
export const residualIn = (block: number, ...frames: Parameters<typeof blocksOf>): number =>
  blocksOf(...frames).residual[block];

/** Compares a frame with its neighbours, block by block; the worst block counts, so that one popping mote is seen. */
export function compareFrames(...frames: Parameters<typeof blocksOf>): Neighbours {
  const { residual, step, count } = blocksOf(...frames);
  const worst = residual.indexOf(Math.max(...residual));
  const sum = (values: Float64Array): number => values.reduce((so, v) => so + v, 0);
  return { step: Math.sqrt(sum(step) / sum(count)), residual: residual[worst], block: worst };
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length ? sorted[sorted.length >> 1] : 0;
};

/**
 * The verdict on a lap from its neighbour differences. The join lies between frame F−1 and frame 0: its step is
 * step[F−1], its residuals are those of frames F−1 and 0. Both too much (a jump) and too little (a stop) fail.
 */
export function judge(step: number[], residual: number[], block: number, width: number, height: number): PictureReport {
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
  const columns = Math.ceil(width / BLOCK);
  const still = Math.max(...step) < INVISIBLE / 4;
  const lowest = Math.min(...nearSteps);
  const stops = typicalStep > INVISIBLE / 8 && pace < STOP_PACE && joinStep < 0.6 * lowest;
  // how far each step is from the mean of its neighbours; those beside the join hold its step and do not count
  const bend = (i: number): number =>
    Math.abs(step[(i + frames) % frames] - 0.5 * (step[(i - 1 + frames) % frames] + step[(i + 1) % frames]));
  const nearBends = around.flatMap((i) => [bend(i), bend(frames - 2 - i)]);
  const breaks = bend(frames - 1) / Math.max(...nearBends, INVISIBLE);
  const jumps =
    score > JUMP_SCORE ||
    (breaks > BREAK_SCORE && bend(frames - 1) > BREAK_SHARE * typicalStep && bend(frames - 1) > INVISIBLE);
  const verdict = still ? 'still' : jumps ? 'jumps' : stops ? 'stops' : 'closes';
  return {
    step,
    residual,
    verdict,
    ok: verdict === 'closes' || verdict === 'still',
    score,
    pace,
    break: breaks,
    medianStep,
    worstBlock: [block % columns, Math.floor(block / columns), columns, Math.ceil(height / BLOCK)],
    excess:
      score > JUMP_SCORE
        ? { of: 'block', join: joinResidual, usual: typicalResidual }
        : { of: 'picture', join: joinStep, usual: typicalStep },
    guilty: null,
  };
}
