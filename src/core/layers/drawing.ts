import type { AnimatedGradient } from '../colour/animated';
import type { FileRef } from '../kept';
import type { Lines } from '../lines/lines';
import type { Matter } from '../matter/kinds';
import type { Pattern } from '../matter/pattern/kinds';
import type { Mesh } from '../solids/mesh';
import type { Vec3 } from '../space/vector';

/** A stretch of a layer's elements in drawing order, and where along its extent it lies, as shares 0..1. */
export interface Part {
  from: number;
  to: number;
  first: number;
  count: number;
}

/**
 * How the engine draws a layer's elements. Segment and triangle indices refer to elements of one tile; sized ones are at each end twice as wide as the element there is large; bodies are a mesh
 * drawn once for each of a stretch of elements, all of them or cut off at the layer’s edge, in as
 * much detail as shows or always `whole`; or of those alone that show `body` on a frame (LayerDefinition.bodiesOn). A surface is made of quads between rings of so many corners, each of so many copies, with or without a
 * gap after every second ring, and round from corner to corner or not; behind those rings there are two more past the end, and the one before the first. A sheet is so many cells across and
 * along between elements in rows, one more of them each way, and is smooth matter. Of particles the first of every
 * `fair` by number are a fair sample, so that a live picture may leave out the others; of those in `rows` some of every few that
 * follow one another; of the rest none.
 */
export type Drawing =
  | { as: 'sprites'; order: Uint32Array; parts: Part[]; fair?: number; rows?: true }
  | { as: 'segments'; pairs: Uint32Array; sized?: true }
  | { as: 'surface'; corners: number; copies: number; rings: number; gaps: boolean; round: boolean }
  | { as: 'sheet'; across: number; along: number }
  | { as: 'dome' }
  | { as: 'links'; from: string | null; to: string | null }
  | {
      as: 'bodies';
      mesh: Mesh;
      first: number;
      count: number;
      parts?: Part[];
      cut?: boolean;
      rides?: Riding | null;
      whole?: boolean;
      pictured?: Pictured;
      body?: number;
    };

/** What bodies show on them: a kept file. What of it each shows is said by the layer's panels (LayerDefinition). */
export interface Pictured {
  file: FileRef | null;
  kind: 'picture' | 'clip';
  /** width over height of what it lies on */
  wide: number;
}

/** How something hangs on the camera: seen through the lens like all else, or before everything and always sharp. */
export type Riding = 'lens' | 'over';

/** Drawings of one sort. */
export type DrawingOf<As extends Drawing['as']> = Extract<Drawing, { as: As }>;

/** Ripples on water, and a sky at any distance: see the engine's drawings surface and dome. */
export interface Ripple {
  strength: number;
  /** metres */
  size: number;
  cycles: number;
}
export interface Sky {
  tight: number;
  clouds: number;
  cloudCycles: number;
  stars: number;
  starLight: number;
  twinkle: number;
  seed: number;
}

/** How a net's points are linked at a moment. */
export interface Linking {
  /** metres beyond which nothing is linked */
  limit: number;
  most: number;
  /** whether points at the end of a tile are linked to the start of the next */
  wraps: boolean;
  /** exponent of the closeness */
  falloff: number;
  /** share of the frame's height */
  thickness: number;
  light: number;
  /** from the longest link to the shortest */
  gradient: AnimatedGradient;
}

/** The numbers that the program of panels has for what is chosen: BACK_DARK, DOTS_ROUND … */
export const PANEL_CHOICES = {
  back: { dark: 0, same: 1, none: 2 },
  dots: { none: 0, round: 1, square: 2 },
  loads: { none: 0, rows: 1, chance: 2, middle: 3 },
  before: { coarse: 0, dark: 1, none: 2 },
} as const;

/** How panels show their pictures: see layers/screen/form.ts. */
export interface PanelLook {
  emission: number;
  surface: number;
  opacity: number;
  back: keyof typeof PANEL_CHOICES.back;
  /** linear red, green, blue of frames, backs and gaps, and how much of it they give off */
  edgeColour: readonly [number, number, number];
  edgeLight: number;
  /** share of the height */
  edge: number;
  /** rows from edge to edge, and the share of the pitch that is free */
  dots: keyof typeof PANEL_CHOICES.dots;
  dotRows: number;
  dotGap: number;
  /** nothing between the dots */
  open: boolean;
  smooth: boolean;
  behindLight: number;
  lineRows: number;
  lineDark: number;
  lineRun: number;
  /** in which order blocks come, how many rows there are of them, and what is there before */
  loads: keyof typeof PANEL_CHOICES.loads;
  blockRows: number;
  before: keyof typeof PANEL_CHOICES.before;
  /** whole pictures to the left and up over a lap */
  run: readonly [number, number];
}

/** What the drawing programs need of a layer besides its elements; uniforms, so changing them rebuilds nothing. */
export interface DrawingLook {
  /** 0 a disc with a clear edge .. 1 fades from its centre */
  softness: number;
  /** particles shine by the lamps alone */
  lit?: boolean;
  /** thickness of lines in metres */
  lineWidth: number;
  matter: Matter;
  /** what covers it; nothing where it is left out */
  pattern?: Pattern;
  /** lines drawn along it; none where it is left out */
  lines?: Lines;
  /** what a particle in focus looks like: 0 disc, 1 ring, 2 star, 3 streak, 4 a picture */
  sprite: number;
  /** the address of that picture's pixmap; empty for the one made by us */
  picture?: string;
  /** the way out from an edge that bodies are cut off at, of length 1: what is less far along it than an element's `cut` is not there */
  cut?: Vec3 | null;
  /** all of what has light of its own alone is as far into the air as this place, in the world */
  airAt?: Vec3 | null;
  ripple?: Ripple | null;
  /** all of it lies in a plane, across its elements' own upright */
  even?: boolean;
  sky?: Sky | null;
  /** how panels show their pictures, as drawings/bodies/panel.glsl reads it */
  panel?: PanelLook | null;
}
