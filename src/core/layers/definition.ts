import type { AnimatedGradient } from '../colour/animated';
import type { RouteShape } from '../elements/course';
import type { Curve } from '../elements/curve';
import type { Axis } from '../elements/axis';
import type { Extent } from '../elements/extent';
import type { Placement } from '../elements/place/form';
import type { Land } from '../noise/land';
import type { World } from '../elements/world';
import type { FileKind, FileRef } from '../kept';
import type { Form } from '../forms';
import type { Kernel, KernelValues } from '../kernel/kernel';
import type { Quaternion, Vec3 } from '../space/vector';
import type { TreatmentStart } from '../treatments/kinds';
import type { Shape } from '../type/shape';
import type { Animated } from '../time/animated';
import type { Drawing, DrawingLook, Linking, Pictured } from './drawing';

/** A start for a layer that looks good at once: fields that differ from what they are at first, and treatments. */
export interface Preset<L> {
  label: string;
  fields: Partial<L>;
  treatments?: readonly TreatmentStart[];
}

/** What a layer may offer others and the flight: its own route, any route it lies along, its surface, a place it reads right from. */
export type Offer = 'route' | 'way' | 'ground' | 'reading';

/** A drawing of a layer in small: its elements, the lines of its own drawings, lines between pairs of its elements or between near ones, shapes as they are, or its colours as a sky. */
export type Sketch =
  | { as: 'dots' | 'lines' | 'sky' }
  | { as: 'near'; metres: number }
  | { as: 'pairs'; pairs: readonly number[] }
  | { as: 'shapes'; shapes: readonly Shape[] };

/** What a panel shows, by place among its numbers: left and top edge of its part of the picture, width and height of it; frames of a clip, the share of the second; how far it is loaded. */
export const PANEL = { rect: 0, first: 4, second: 5, share: 6, loaded: 7, numbers: 8 } as const;

/** Something with a seam of its own that a layer shows, as the clip on a panel: how that closes, and what would close it better. */
export interface OwnSeam {
  id: string;
  /** what it is called */
  subject: string;
  ok: boolean;
  /** how much more it changes there than usual, 0 where it is not to be seen */
  gap: number;
  says: string;
  /** from the layer inwards */
  repair: { says: string; path: readonly (string | number)[]; value: unknown } | null;
}

/** An element that lights what is in front of it, evenly from a rectangle that is so many of its sizes wide and high. */
export interface PanelLamp {
  element: number;
  wide: number;
  high: number;
  /** how bright what it shows is, beside white */
  gives: Animated;
  shows: Pick<Pictured, 'file' | 'kind'>;
}

/** Where a layer stands at a moment, how it is turned, and half its size in metres. */
export interface Standing {
  at: Vec3;
  turn: Quaternion;
  half: Vec3;
  /** it is to look flat to one who looks at it along its −z: from so many metres, or from far off where that is 0 */
  flat?: { distance: number };
}

/** What the core and the engine know about one kind of layer. One definition per folder of `layers/`. */
export interface LayerDefinition<L extends object, V extends KernelValues = KernelValues> {
  kind: string;
  label: string;
  /** the need it is offered under, in the words of the Add list */
  need: string;
  describe: string;
  /** other needs that it answers by a preset, offered beside its own */
  alsoFor?: readonly { need: string; describe: string; preset: string }[];
  form: Form<L>;
  /** the first is what Add gives */
  presets: readonly Preset<L>[];
  /** it surrounds everything, and has no middle of its own that a camera could go around */
  surrounds?: boolean;
  /** a camera may not go through it */
  solid?: boolean;
  /** every element counts where something is looked for among them, not only those drawn while working */
  countsAll?: boolean;
  /** its own route, that others may follow */
  route?(layer: L, tile: number): RouteShape;
  /** the layer whose route it takes */
  follows?(layer: L): string | null;
  /** whether its elements lie along that route; they do where nothing is said */
  liesAlong?(layer: L): boolean;
  /** its curve that is drawn in the map */
  curve?(layer: L, tile: number): Curve | null;
  /** elements of one row, which the map joins by a line */
  rowOf?(layer: L): number;
  /** its surface, that others may stand on */
  ground?(layer: L, tile: number): Land;
  /** the layer whose element carries it: what that did before shows later */
  carriedBy?(layer: L): string | null;
  /** other layers whose elements it is made of */
  madeOf?(layer: L): readonly (string | null)[];
  /** the layer as it is when it is asked for its extent by those it is made of */
  alone?(layer: L): L;
  /** how it is drawn in small: by dots where nothing is said */
  sketch?(layer: L): Sketch;
  /** four numbers an element that do not change over the lap, for kernels with a parameter `rest`; kept while the structure is */
  rest?(layer: L, world: World, share: number): Float32Array | null;
  /** what `rest` depends on besides the structure */
  restKey?(layer: L, world: World, share: number): string;
  /** its elements are bodies: meshes that are drawn once for each */
  bodies?(layer: L): boolean;
  /** what it does happens on whole frames: it is given the exposure of the frame (time/exposure.ts) */
  onFrames?(layer: L): boolean;
  /** the layer with a file taken up; null where it has no use for one of that kind */
  takesFile?(layer: L, kind: FileKind, file: FileRef): L | null;
  /** kinds of file that a new layer of this kind is made for, where none is open that has a use for them */
  madeFor?: readonly FileKind[];
  /** what is worth knowing of it, in sentences */
  notes?(layer: L): string[];
  /** what is amiss with it that is no error, in sentences */
  remarks?(layer: L): string[];
  /** it mirrors what stands on it, where it lies in a plane */
  mirrors?(layer: L): boolean;
  /** it hangs on the camera, and moves with it wherever it goes */
  rides?(layer: L): boolean;
  /** where it keeps to within the frame: the share of the shorter side that it leaves free at the borders */
  margin?(layer: L): number | null;
  /** where it stands at a phase, how it is turned, and half its size in metres, for layers that say it themselves */
  stands?(layer: L, world: World, phase: number): Standing;
  /**
   * Of one that reads right from one direction only: how its reader is turned, who looks along −z; metres from its middle that he stands
   * at, 0 where that is far off; half its width and half its height as he sees it. All before it is placed.
   */
  reads?(layer: L): { turn: Quaternion; distance: number; half: readonly [number, number] };
  /** where it stands, for layers that are moved as a whole */
  placed?(layer: L, tile: number): Placement;
  /** its outs are columns of elements.ts; those it does not name keep their rest */
  kernel: Kernel<V>;
  /** elements that others may name: what there are several of, how many, and the names of those that each of these has; they are numbered one after another */
  named?(layer: L): { one: string; many: number; names: readonly string[] } | null;
  /** the element that is so numbered by others, where it is not that element */
  numbered?(layer: L, number: number): number;
  /** elements of one tile, at a share 0..1 of the final count */
  elementCount(layer: L, share: number, world: World): number;
  /** the most elements it can have at the final count, where working out how many it has takes long */
  mostElements?(layer: L): number;
  /** the elements an artist counts: particles, rings */
  counted(layer: L, share: number, world: World): { count: number; noun: string };
  /** it goes on from tile to tile, so whatever bends it must fit the tile */
  tiled(layer: L): boolean;
  /** turns under which it looks the same: all of it about an axis, or each element about an axis of its own */
  turnStep(layer: L, axis: Axis, each: boolean): number;
  values(layer: L, world: World, phase: number, share: number): V;
  drawings(layer: L, share: number, world: World): Drawing[];
  /**
   * Of those that show a picture, what each shows of it at a phase: eight numbers an element (PANEL), in their order.
   * @param phase that it is seen at, which is not wrapped
   */
  panels?(layer: L, share: number, world: World, phase: number): Float32Array;
  /** which of its bodies each element shows on a whole frame of the lap, where its drawings say which they are of */
  bodiesOn?(layer: L, share: number, world: World, frame: number): Uint8Array;
  /** elements that light what is near them, as a screen does */
  lamps?(layer: L, world: World): readonly PanelLamp[];
  /** what {@link drawings} depends on besides the element count: they are made anew when it changes */
  structure(layer: L, world: World): unknown;
  /** for drawings of links */
  linking?(layer: L, phase: number): Linking;
  /** @param phase that it is seen at, which is not wrapped */
  look(layer: L, world: World, phase: number): DrawingLook;
  gradient(layer: L): AnimatedGradient;
  /** overall brightness at a phase */
  light(layer: L, phase: number): number;
  extent(layer: L, world: World): Extent;
  /** elements at other places on its gradient may show something else, in the same colour too */
  placesTell?: boolean;
  /** what it shows that has a seam of its own */
  ownSeams?(layer: L): OwnSeam[];
  /** fields whose gain per lap or per tile must be a whole number of steps to close: name → step in the field's unit */
  closingSteps(layer: L): Record<string, number>;
}
