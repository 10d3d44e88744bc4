import type { z } from 'zod';
import type { Kernel, KernelValues } from '../kernel/kernel';
import type { Gradient } from '../piece/fields';
import type { Track } from '../space/track';
import type { Quaternion } from '../space/vector';
import type { Axis } from '../treatments/definition';
import type { Placement } from './base';
import type { Mesh } from '../solids/mesh';

/** The route a layer's local space is wrapped around: a helix about −z, straight when radius is 0, or a drawn track. */
export interface RouteShape {
  radius: number;
  turnsPerMetre: number;
  track: Track | null;
}

/** What a layer may know of the piece it is in. */
export interface LayerContext {
  /** metres along −z after which the world repeats */
  tile: number;
  /** duration of the lap in seconds */
  seconds: number;
  routeOf(layerId: string | null): RouteShape;
  /** the ground of another layer, and what tells its shape from others */
  groundOf(layerId: string): GroundAt | null;
  groundKey(layerId: string): string;
  /** the extent of another layer; of a net, that of its own points */
  extentOf(layerId: string): LayerExtent;
  /** how the camera is turned at a phase, which is not wrapped */
  cameraTurn(phase: number): Quaternion;
}

/** A stretch of a layer's elements in drawing order, and where along its extent it lies, as shares 0..1. */
export interface Part {
  from: number;
  to: number;
  first: number;
  count: number;
}

/**
 * How the engine draws a layer's elements. Segment and triangle indices refer to elements of one tile; bodies are a mesh
 * drawn once for each of a stretch of elements, always or only from one frame up to another.
 */
export type Drawing =
  | { as: 'sprites'; order: Uint32Array; parts: Part[] }
  | { as: 'segments'; pairs: Uint32Array }
  | { as: 'surface'; triangles: Uint32Array; smooth: boolean }
  | { as: 'dome' }
  | { as: 'links'; from: string | null; to: string | null }
  | { as: 'bodies'; mesh: Mesh; first: number; count: number; shown: Frames | null; parts?: Part[]; coarse?: Coarse };

/** A simpler mesh for what is farther than some metres. */
export interface Coarse {
  mesh: Mesh;
  beyond: number;
}

/** Ripples on water, and a sky at any distance: see passes/surface and passes/sky. */
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

/** Height in metres and its derivatives at a place x, z of a ground's tile. */
export type GroundAt = (x: number, z: number) => { height: number; slopeX: number; slopeZ: number };

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
  gradient: Gradient;
}

/** A stretch of the lap in whole frames, the last not in it, which may go on across the seam; or all the rest of the lap. */
export interface Frames {
  from: number;
  to: number;
  outside: boolean;
}

/** Whether a frame of a lap lies within a stretch. */
export function within(shown: Frames | null, frame: number, frames: number): boolean {
  if (!shown) return true;
  const wrap = (n: number): number => ((n % frames) + frames) % frames;
  const length = shown.to - shown.from >= frames ? frames : wrap(shown.to - shown.from);
  return wrap(frame - shown.from) < length !== shown.outside;
}

/** What a body or wall is made of. */
export interface Matter {
  /** 0 plastic or stone .. 1 metal */
  metal: number;
  /** 0 a mirror .. 1 chalk */
  rough: number;
  /** how much it shines by itself */
  glow: number;
  /** 0 none .. 1 the colours of a thin film by the angle of view */
  film: number;
}

/** What the drawing programs need of a layer besides its elements; uniforms, so changing them rebuilds nothing. */
export interface DrawingLook {
  /** 0 a disc with a clear edge .. 1 fades from its centre */
  softness: number;
  /** thickness of lines in metres */
  lineWidth: number;
  /** radius in metres that no particle exceeds; 0 when there are none */
  largestRadius: number;
  matter: Matter;
  /** what a particle in focus looks like: 0 disc, 1 ring, 2 star, 3 streak, 4 a picture */
  sprite: number;
  /** the address of that picture's pixmap; empty for the one made by us */
  picture?: string;
  ripple?: Ripple | null;
  sky?: Sky | null;
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
  /** metres from an element's centre to its farthest vertex, as the bounds above hold it; 0 for particles */
  body: number;
  /** the most its elements' own sizes are multiplied by */
  grown: number;
  /** how far treatments may lean elements out of their plane: the largest sine of the angle */
  tilted: number;
}

/** What the core and the engine know about one kind of layer. One definition per folder of `layers/`. */
export interface LayerDefinition<L> {
  kind: string;
  label: string;
  /** the need it is offered under, in the words of the Add list */
  need: string;
  describe: string;
  schema: z.ZodType<L>;
  /** four numbers an element that do not change over the lap, for kernels with a parameter `rest`; kept while the structure is */
  rest?(layer: L, context: LayerContext, share: number): Float32Array | null;
  /** what `rest` depends on besides the structure */
  restKey?(layer: L, context: LayerContext, share: number): string;
  /** its elements are bodies: meshes that are drawn once for each */
  bodies?(layer: L): boolean;
  /** where it stands, for layers that are moved as a whole */
  placed?(layer: L): Placement;
  /** its outs are columns of elements.ts; those it does not name keep their rest */
  kernel: Kernel;
  /** elements of one tile, at a share 0..1 of the final count */
  elementCount(layer: L, share: number, context: LayerContext): number;
  /** the most elements it can have at the final count, where working out how many it has takes long */
  mostElements?(layer: L): number;
  /** the elements an artist counts: particles, rings */
  counted(layer: L, share: number, context: LayerContext): { count: number; noun: string };
  /** it goes on from tile to tile, so whatever bends it must fit the tile */
  tiled(layer: L): boolean;
  /** turns under which it looks the same: all of it about an axis, or each element about an axis of its own */
  turnStep(layer: L, axis: Axis, each: boolean): number;
  values(layer: L, context: LayerContext, phase: number, share: number): KernelValues;
  drawings(layer: L, share: number, context: LayerContext): Drawing[];
  /** what {@link drawings} depends on besides the element count: they are made anew when it changes */
  structure(layer: L, context: LayerContext): unknown;
  /** for drawings of links */
  linking?(layer: L, phase: number): Linking;
  look(layer: L): DrawingLook;
  gradient(layer: L): Gradient;
  /** overall brightness at a phase */
  light(layer: L, phase: number): number;
  extent(layer: L, context: LayerContext): LayerExtent;
  /** fields whose gain per lap or per tile must be a whole number of steps to close: name → step in the field's unit */
  closingSteps(layer: L): Record<string, number>;
}
