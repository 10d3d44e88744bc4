import type { Axis } from '../elements/axis';
import type { RouteShape } from '../elements/course';
import type { Extent } from '../elements/extent';
import type { World } from '../elements/world';
import type { Form } from '../forms';
import type { Kernel, KernelValues } from '../kernel/kernel';
import type { Animated } from '../time/animated';

/** When and how often a treatment moves on which elements it acts; the fields of reach/. */
export interface ReachFields {
  reach: 'everywhere' | 'point' | 'plane' | 'route' | 'order' | 'noise' | 'cells';
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
  world: World;
  /** the layer goes on from tile to tile, so everything must fit the tile */
  tiled: boolean;
  /** the layer stands once, not once a tile */
  once: boolean;
  /** where the layer's elements are before space is bent */
  extent: Extent;
  /** how many there are */
  elements: number;
  /** the route the layer winds around, in metres and turns per metre */
  route: RouteShape;
  /** turns under which the layer looks the same: all of it about an axis, or each element about an axis of its own */
  turnStep(axis: Axis, each: boolean): number;
}

/**
 * The sorts, in the order in which they act on a layer whatever their order in the list:
 * time (which moment of the lap is shown), element (moves, turns, scales, tints, reveals one element), piece (breaks an
 * element's body), space (bends everything there is), echo (shows several moments at once).
 */
export type Sort = 'time' | 'element' | 'piece' | 'space' | 'echo';
export const SORTS: readonly Sort[] = ['time', 'element', 'piece', 'space', 'echo'];

/** A layer shown at a moment, the present one or an earlier one. */
export interface Echo {
  /** laps it lies behind */
  behind: number;
  /** factor on its brightness, 0..1 */
  light: number;
  /** ids of the treatments it is an earlier moment of */
  of: readonly string[];
}

/** What the core, the engine and the interface know about one kind of treatment. One per folder of `treatments/`. */
export interface TreatmentDefinition<T extends TreatmentBase, V extends KernelValues = KernelValues> {
  kind: string;
  label: string;
  describe: string;
  sort: Sort;
  form: Form<T>;
  /** element, piece and space sorts have one; one of echoes is used where they do not reach everywhere */
  kernel?: Kernel<V>;
  /**
   * parameters of the kernel that are the same for all elements
   * @param echoOf ids of the treatments this moment is an earlier one of
   */
  values?(treatment: T, context: TreatmentContext, phase: number, echoOf: readonly string[]): V;
  /** the moment that is shown in place of `at`, for time; of the frame at `framePhase` */
  moment?(treatment: T, at: number, framePhase: number, frames: number): number;
  /** the moments that are shown at once, the present one first, for echo */
  echoes?(treatment: T, phase: number, frames: number): Echo[];
  /** what a body is broken into */
  pieces?(treatment: T): { count: number; seed: number };
  /** the extent that surely holds what the treatment makes of `extent` at any phase */
  widen?(treatment: T, extent: Extent, context: TreatmentContext): Extent;
  /** fields whose gain per lap, or value, must be a whole number of steps to close: name → step */
  closingSteps?(treatment: T, context: TreatmentContext): Record<string, number>;
  /** animated fields that must hold a whole number of steps at all times, or the layer does not tile: name → step */
  tileSteps?(treatment: T, context: TreatmentContext): Record<string, number>;
  /** its elements set off one after another, so that one of them may do so at the very seam */
  oneByOne?: boolean;
  /** what it does happens on whole frames: it is given the exposure of the frame (time/exposure.ts) */
  onFrames?: boolean;
  /** only for layers of bodies */
  solidOnly?: boolean;
  /** a line for the card, such as "30 % of the time" */
  summary(treatment: T): string;
}
