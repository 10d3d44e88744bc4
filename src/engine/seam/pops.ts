/** How far a frame stands out of its own neighbourhood somewhere in the picture. */
export interface Outlier {
  /** the residual of a block over the most of it and the blocks beside it in the frames around */
  score: number;
  block: number;
  /** that residual, and what it is measured against */
  residual: number;
  usual: number;
}

/** Frames on each side, without the next ones, that one is compared with: those hold half of what pops in it. */
const NEAR = 12;
const BESIDE = 1;

/**
 * For every frame of a lap the block that stands out most: a mote that pops in a dim corner does, however much goes on elsewhere. What
 * moves goes from block to block, so that the blocks beside it count as well.
 * @param residuals of each frame, block by block, rows of `columns`
 * @param least a residual that cannot be seen
 */
export function outliers(residuals: readonly Float64Array[], columns: number, least: number): Outlier[] {
  const frames = residuals.length;
  const blocks = residuals[0].length;
  const rows = blocks / columns;
  // the most of each block and those beside it
  const wide = residuals.map((own) => {
    const across = own.map((v, b) => {
      const column = b % columns;
      return Math.max(v, column > 0 ? own[b - 1] : 0, column < columns - 1 ? own[b + 1] : 0);
    });
    return across.map((v, b) => {
      const row = Math.floor(b / columns);
      return Math.max(v, row > 0 ? across[b - columns] : 0, row < rows - 1 ? across[b + columns] : 0);
    });
  });
  const near = Math.min(NEAR, Math.floor((frames - 1) / 2));
  return residuals.map((own, i) => {
    let most: Outlier = { score: 0, block: 0, residual: 0, usual: least };
    for (let b = 0; b < blocks; b++) {
      if (own[b] <= least || own[b] <= most.score * least) continue;
      let usual = least;
      for (let away = BESIDE + 1; away <= near; away++)
        usual = Math.max(usual, wide[(i + away) % frames][b], wide[(i - away + frames) % frames][b]);
      const score = own[b] / usual;
      if (score > most.score) most = { score, block: b, residual: own[b], usual };
    }
    return most;
  });
}

/** A block that stands out of its surroundings this much, and this much more than any does at another frame of the lap, pops. */
export const POP_SCORE = 2;
const POP_ALONE = 1.5;

/** Whether something pops at the join. */
export const popsAtJoin = ({ score, elsewhere }: { score: number; elsewhere: number }): boolean =>
  score > POP_SCORE && score > POP_ALONE * elsewhere;
