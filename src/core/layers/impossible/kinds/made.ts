import type { Vec3 } from '../../../space/vector';
import type { Block } from '../blocks';

/** What a figure is made of, in metres; x to the right and towards the reader, y up, z to the left and towards the reader. */
export interface Made {
  blocks: Block[];
  /** towards where it reads right from; of any length */
  reads: Vec3;
  /** the way round it, from place to place; the last is seen where the first is */
  way: Vec3[];
  /** how far its bends are rounded, in metres */
  bends: number;
  /** how far before the middle of the beams it is, towards the reader */
  before: number;
  /** metres, as it is read, in which the way goes from the depth of one cut end to that of the other, beside the one that is farther */
  eases: number;
  /** places of it that seem to meet, and do not */
  meets: [Vec3, Vec3][];
}

export interface Sizes {
  /** metres of what is level, of what is upright, and of a beam */
  width: number;
  height: number;
  thickness: number;
  /** steps of the shortest flight of stairs */
  steps: number;
}

/** One kind of figure. */
export interface FigureKind {
  label: string;
  make(sizes: Sizes): Made;
}
