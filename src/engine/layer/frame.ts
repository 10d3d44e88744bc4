import type * as THREE from 'three';
import type { Extent } from '../../core/elements/extent';
import type { DrawingLook } from '../../core/layers/drawing';
import type { Layer } from '../../core/layers/kinds';
import type { Piece } from '../../core/piece/schema';
import type { Pipeline } from '../../core/world/pipeline';

/** Phases at which the shutter opens, of the frame itself, and at which it closes; not wrapped. */
export type Phases = readonly [number, number, number];

/** One moment a layer is shown at: the present one, or an echo. */
export interface Moment {
  /** its place among the layer's moments: 0 is the present one */
  index: number;
  /** its elements when the shutter opens and closes: place, look, and for what needs them turn and mark */
  open: readonly THREE.Texture[];
  close: readonly THREE.Texture[];
  /** what light is multiplied by */
  light: number;
  /** how far it is there */
  fade: number;
  openPhase: number;
  closePhase: number;
  /** what its elements are while the shutter is open follows from this */
  state: string;
}

/** A layer at one frame. All that its drawings, and the passes of the frame, need of it is worked out here, once. */
export interface LayerFrame {
  piece: Piece;
  layer: Layer;
  phases: Phases;
  pipeline: Pipeline;
  extent: Extent;
  /** it stands once in the world rather than in every tile */
  once: boolean;
  look: DrawingLook;
  /** it keeps light off what is behind it, and others keep light off it */
  casts: boolean;
  receives: boolean;
  /** the colours of its gradient, 256 in a row */
  colours: THREE.Texture;
  /** the present one first */
  moments: readonly Moment[];
  /** the share 0..1 of its particles that is drawn, with the light of all */
  density: number;
  /** of every group of elements that lie in rows so many are worked out (picked.ts) */
  picked: number;
  /** the share 0..1 of its elements that is drawn of a layer */
  shareOf: (layer: Layer) => number;
}
