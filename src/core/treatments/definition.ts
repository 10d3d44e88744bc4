import type { z } from 'zod';
import type { Kernel, KernelValues } from '../kernel/kernel';
import type { LayerContext, LayerExtent, RouteShape } from '../layers/definition';
import type { Animated } from '../time/animated';

/** When and how often a treatment moves on which elements it acts; the fields of reach/. */
export interface ReachFields {
  reach: 'everywhere' | 'point' | 'plane' | 'route' | 'order' | 'noise';
  reachAside: Animated;
  reachAbove: Animated;
  reachAhead: Animated;
  reachInner: number;
  reachOuter: number;
  reachScale: number;
  reachCycles: number;
  reachInvert: boolean;
}

export interface TreatmentBase extends ReachFields {
  id: string;
  kind: string;
  off: boolean;
  seed: number;
}

/** What a treatment may know of the layer it is on. */
export interface TreatmentContext {
  world: LayerContext;
  /** the layer goes on from tile to tile, so everything must fit the tile */
  tiled: boolean;
  /** the layer stands once, not once a tile */
  once: boolean;
  /** where the layer's elements are before space is bent */
  extent: LayerExtent;
  /** the route the layer winds around, in metres and turns per metre */
  route: RouteShape;
  /** turns under which the layer looks the same: all of it about an axis, or each element about an axis of its own */
  turnStep(axis: Axis, each: boolean): number;
}

export type Axis = 'along' | 'up' | 'aside';
export const AXES: Record<Axis, string> = { along: 'Along the travel', up: 'Upright', aside: 'From side to side' };
/** The axes in the kernels' numbering and as unit vectors. */
export const AXIS_INDEX: Record<Axis, number> = { along: 0, up: 1, aside: 2 };
export const AXIS_VECTOR: Record<Axis, readonly [number, number, number]> = {
  along: [0, 0, 1],
  up: [0, 1, 0],
  aside: [1, 0, 0],
};

/**
 * The sorts, in the order in which they act on a layer whatever their order in the list:
 * time (which moment of the lap is shown), element (moves, turns, scales, tints, reveals one element), piece (breaks an
 * element's body), space (bends everything there is), echo (shows several moments at once).
 */
export type Sort = 'time' | 'element' | 'piece' | 'space' | 'echo';
export const SORTS: readonly Sort[] = ['time', 'element', 'piece', 'space', 'echo'];

/** What the core, the engine and the interface know about one kind of treatment. One per folder of `treatments/`. */
export interface TreatmentDefinition<T extends TreatmentBase> {
  kind: string;
  label: string;
  describe: string;
  sort: Sort;
  schema: z.ZodType<T>;
  /** element, piece and space sorts have one */
  kernel?: Kernel;
  /** parameters of the kernel that are the same for all elements */
  values?(treatment: T, context: TreatmentContext, phase: number): KernelValues;
  /** the extent that surely holds what the treatment makes of `extent` at any phase */
  widen?(treatment: T, extent: LayerExtent, context: TreatmentContext): LayerExtent;
  /** fields whose gain per lap, or value, must be a whole number of steps to close: name → step */
  closingSteps?(treatment: T, context: TreatmentContext): Record<string, number>;
  /** animated fields that must hold a whole number of steps at all times, or the layer does not tile: name → step */
  tileSteps?(treatment: T, context: TreatmentContext): Record<string, number>;
  /** its elements set off one after another, so that one of them may do so at the very seam */
  oneByOne?: boolean;
  /** only for layers of bodies */
  solidOnly?: boolean;
  /** a line for the card, such as "30 % of the time" */
  summary(treatment: T): string;
}
