import type { Axis } from '../elements/axis';
import type { FileRef } from '../kept';
import type { Outline } from './extrude';
import type { Mesh } from './mesh';

/** What the form of a solid depends on besides its size. */
export interface SolidShape {
  outline: Outline;
  sides: number;
  /** radius of rounded edges, as a multiple of the size */
  bevel: number;
  thickness: number;
  /** steps of rounding */
  detail: number;
  /** width, height and depth as multiples of the size */
  wide: number;
  high: number;
  deep: number;
  /** of a model its file, and which of its axes is up */
  model: FileRef | null;
  modelUp: ModelUp;
}

/** Which axis of a model is up: as its file says or is guessed, or as is said here. */
export type ModelUp = 'file' | 'y' | 'z' | 'x';

/** A star of four points: what an outline is at first. */
export const PLAIN_OUTLINE: Outline = [
  [0, 0.5],
  [0.14, 0.14],
  [0.5, 0],
  [0.14, -0.14],
  [0, -0.5],
  [-0.14, -0.14],
  [-0.5, 0],
  [-0.14, 0.14],
];

/** What bodies are where nothing is said of them but their kind. */
export const PLAIN_SHAPE: SolidShape = {
  ...{ outline: PLAIN_OUTLINE, sides: 6, bevel: 0.06, thickness: 0.18, detail: 4, wide: 1, high: 1, deep: 1 },
  ...{ model: null, modelUp: 'file' },
};

/** Of what is no model. */
export const NO_MODEL = { model: null, modelUp: 'file' } as const satisfies Partial<SolidShape>;

/** One kind of solid: a file of `kinds/`, and its name in list.ts. */
export interface Solid {
  kind: string;
  label: string;
  /** which values are its own, besides its proportions */
  uses: readonly ('outline' | 'sides' | 'bevel' | 'thickness' | 'detail' | 'model')[];
  /** it is made with its proportions; others are stretched */
  proportioned?: boolean;
  /** one unit across */
  mesh(shape: SolidShape): Mesh;
  /** turns about an axis of its own after which it looks the same */
  turnStep(shape: SolidShape, axis: Axis): number;
}

/** Steps around of what is turned on a lathe. */
export const stepsAround = ({ detail }: SolidShape): number => detail * 8;

/** Whether it is as wide one way across an axis as the other. */
export const isRound = ({ wide, high, deep }: SolidShape, axis: Axis): boolean =>
  axis === 'along' ? wide === high : axis === 'up' ? wide === deep : high === deep;

/** A step of its own where it is round about the axis; where it is not, half a turn if so many of the steps make that. */
export const roundStep = (shape: SolidShape, axis: Axis, step: number): number =>
  isRound(shape, axis) ? step : step <= 0.5 && Math.round(1 / step) % 2 === 0 ? 0.5 : 1;
