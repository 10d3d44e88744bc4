import type { z } from 'zod';
import type { Gradient } from '../piece/fields';

/** The route a layer's local space is wrapped around: a helix about −z, or straight when radius is 0. */
export interface RouteShape {
  radius: number;
  turnsPerMetre: number;
}

/** What a layer may know of the piece it is in. */
export interface LayerContext {
  /** metres along −z after which the world repeats */
  tile: number;
  /** duration of the lap in seconds */
  seconds: number;
  routeOf(layerId: string | null): RouteShape;
}

/** Kernel parameters by name; vectors as arrays. The order is the kernel's own signature. */
export type KernelValues = Record<string, number | readonly number[]>;

export interface KernelParameter {
  readonly name: string;
  readonly type: string;
  readonly direction: string;
}

/** An element kernel in both its forms. */
export interface ElementKernel {
  entry: string;
  source: string;
  signature: readonly KernelParameter[];
  /** the generated loop: (first, end, ...parameters, position, size, place, light) */
  run: (...args: never[]) => void;
}

/** A stretch of a layer's elements in drawing order, and where along its extent it lies, as shares 0..1. */
export interface Part {
  from: number;
  to: number;
  first: number;
  count: number;
}

/** How the engine draws a layer's elements. Segment and triangle indices refer to elements of one tile. */
export type Drawing =
  | { as: 'sprites'; order: Uint32Array; parts: Part[] }
  | { as: 'segments'; pairs: Uint32Array }
  | { as: 'surface'; triangles: Uint32Array };

/** What the drawing programs need of a layer besides its elements; uniforms, so changing them rebuilds nothing. */
export interface DrawingLook {
  /** 0 a disc with a clear edge .. 1 fades from its centre */
  softness: number;
  /** thickness of lines in metres */
  lineWidth: number;
  /** radius in metres that no particle exceeds; 0 when there are none */
  largestRadius: number;
}

export interface LayerExtent {
  /** half width and half height in metres about the centre, and the centre */
  halfWidth: number;
  halfHeight: number;
  centre: readonly [number, number];
  /** metres of advance where it begins and ends within the tile */
  from: number;
  to: number;
  /** metres that a winding route takes it aside */
  bend: number;
  /** metres that motion may carry an element out of these bounds */
  carried: number;
}

/** What the core and the engine know about one kind of layer. One definition per folder of `layers/`. */
export interface LayerDefinition<L> {
  kind: string;
  label: string;
  /** the need it is offered under, in the words of the Add list */
  need: string;
  describe: string;
  schema: z.ZodType<L>;
  kernel: ElementKernel;
  /** elements of one tile, at a share 0..1 of the final count */
  elementCount(layer: L, share: number): number;
  /** the elements an artist counts: particles, rings */
  counted(layer: L, share: number): { count: number; noun: string };
  /** metres along −z after which this layer repeats */
  tileOf(layer: L, context: LayerContext): number;
  values(layer: L, context: LayerContext, phase: number, share: number): KernelValues;
  drawings(layer: L, share: number): Drawing[];
  /** what {@link drawings} depends on besides the element count: they are made anew when it changes */
  structure(layer: L): unknown;
  look(layer: L): DrawingLook;
  gradient(layer: L): Gradient;
  /** overall brightness at a phase */
  light(layer: L, phase: number): number;
  extent(layer: L, context: LayerContext): LayerExtent;
  /** fields whose gain per lap or per tile must be a whole number of steps to close: name → step in the field's unit */
  closingSteps(layer: L): Record<string, number>;
}
