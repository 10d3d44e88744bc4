import type * as THREE from 'three';
import type { Drawing, Part } from '../../core/layers/drawing';
import type { Pipeline } from '../../core/world/pipeline';
import type { View } from '../frame/view';
import type { VisiblePart } from '../frame/visible';
import type { Gpu } from '../gl/gpu';
import type { Covered } from '../matter/pattern/covered';
import type { Made } from '../matter/program';
import type { LayerFrame, Moment } from '../layer/frame';
import type { Screens } from '../screens/screens';
import type { Sorting } from '../seen/sorter';

/** Everything there is, as one part of a layer. */
export const WHOLE: readonly Part[] = [{ from: 0, to: 1, first: 0, count: Infinity }];

/** A layer has so many moments for everything that looks at it: the camera, then mirrors, then the views of lights. */
export const VIEW_MOMENTS = 64;
/** Mirrors there may be. */
export const MOST_MIRRORS = 3;
/** Moments before this number are seen as the camera sees them, by it or in a mirror; the others by lights. */
export const SEEN_MOMENTS = VIEW_MOMENTS * (1 + MOST_MIRRORS);

/** A moment of a layer as a mirror sees it. */
export const inMirror = (moment: Moment, mirror: number): Moment => ({
  ...moment,
  index: moment.index + VIEW_MOMENTS * (mirror + 1),
});
/** A moment of a layer as a view of a light sees it. */
export const inView = (moment: Moment, view: number): Moment => ({
  ...moment,
  index: moment.index + SEEN_MOMENTS + VIEW_MOMENTS * view,
});

/** What a drawing may use for as long as it lives. */
export interface DrawingMeans {
  gpu: Gpu;
  view: View;
  /** what moves the layer's elements; another of the same structure may come with a frame */
  pipeline: Pipeline;
  /** what the layer is made of and covered with */
  made: Made;
  covered: Covered;
  /** what panels show */
  screens: Screens;
}

interface DrawnBase {
  /** stretches of the elements that are drawn or left out together */
  readonly parts: readonly Part[];
  /** nothing of it is there on the frame it was updated for */
  absent?(): boolean;
  /** it shows the present moment alone, not the echoes of it */
  readonly momentary?: boolean;
  /** how its elements are sorted before the passes of a frame; without it all of every part in sight is drawn */
  readonly sorting?: Sorting;
  /** the same of lines along it, which the camera alone sees */
  readonly lineSorting?: Sorting;
  /** Once a frame. @param frameOf another layer at this frame, where it is drawn or asked for */
  update(frame: LayerFrame, frameOf: (id: string) => LayerFrame | undefined): void;
  dispose(): void;
}

/** What is behind everything; the first of a picture is drawn. */
export interface Behind extends DrawnBase {
  readonly stage: 'behind';
  /** puts what it is into the view, for the background and for what reflects it */
  surround(): void;
}

/** What hides what is behind it. */
export interface MatterDrawn extends DrawnBase {
  readonly stage: 'matter';
  /** whether it can keep light off what is behind it: what is before everything does not */
  readonly casts?: boolean;
  /** how far it is there follows from more than its elements: a film, a picture on it */
  readonly unsettled?: boolean;
  /** Makes it show one of the layer's moments, at a time 0..1 of the open shutter. */
  show(moment: Moment, time: number): void;
  /** Draws it wherever it is seen. What is sorted draws what was found instead. */
  draw(at: readonly VisiblePart[], target: THREE.WebGLRenderTarget): void;
  /** Draws the lines along it, when all matter is drawn; of the moment that it shows. */
  drawLines?(target: THREE.WebGLRenderTarget): void;
  /** Draws how far what is seen of it moves while the shutter is open, where the view's matter is as deep: see matter/moving.ts. */
  drawMotion?(target: THREE.WebGLRenderTarget): void;
  /** Takes what it mirrors in a pass, a picture of it and the plane in the view; null where there is none. */
  mirror?(picture: MirrorPicture | null, plane: THREE.Vector4): void;
  /** it is seen through: drawn when all else of a pass is lit */
  readonly seenThrough?: boolean;
  /** Draws its back, where what is seen through it comes out. */
  drawBacks?(at: readonly VisiblePart[], target: THREE.WebGLRenderTarget): void;
}

/** What a mirror shows in a pass. */
export interface MirrorPicture {
  /** light, and how far anything is there; with all levels */
  lit: THREE.WebGLRenderTarget;
  /** one over its depth in metres, and how far anything is there, at half the size; with all levels */
  near: THREE.WebGLRenderTarget;
  /** metres of added light over the mirror, in the middle */
  lightAbove: number;
}

/** Where light of one pass is drawn, by the size of its blur. */
export interface LightTargets {
  /** Makes what is drawn next that of one range of blur. @returns its target */
  level(n: number): THREE.WebGLRenderTarget;
  /** in this pass light that is as good drawn in a few passes of a frame is drawn too */
  few: boolean;
}

/** What is added to what is there, in a target by the size of its blur. */
export interface LightDrawn extends DrawnBase {
  readonly stage: 'light';
  /** particles of which a frame's density leaves some out */
  readonly thins?: number;
  show(moment: Moment, time: number): void;
  /** Draws what was found wherever it is seen. */
  draw(to: LightTargets): void;
}

export type Drawn = Behind | MatterDrawn | LightDrawn;

/** How drawings of one sort become light or matter. One a folder. */
export interface DrawingKind<D extends Drawing> {
  as: D['as'];
  /** it needs the rotations of the elements */
  turned?(drawing: D): boolean;
  make(drawing: D, means: DrawingMeans): Drawn;
}
