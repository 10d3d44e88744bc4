// What is known of the layers of a piece: the same as of those of its scene.
import type { Elements } from '../elements/columns';
import type { Extent } from '../elements/extent';
import type { World } from '../elements/world';
import type { Layer } from '../layers/kinds';
import type { Links } from '../layers/links/neighbours';
import type { Piece } from '../piece/schema';
import type { TreatmentContext } from '../treatments/definition';
import { sceneOfPiece } from './camera';
import { elementsIn, linksIn, pointsIn, type LayerPoints } from './elements';
import { pipelineIn, type Pipeline } from './pipeline';
import { extentIn, treatedIn } from './scene';

/** What layers may know of their piece. */
export const worldOf = (piece: Piece): World => sceneOfPiece(piece).world;

export const treatmentContext = (piece: Piece, layer: Layer): TreatmentContext => treatedIn(sceneOfPiece(piece), layer);

export const layerExtent = (piece: Piece, layer: Layer): Extent => extentIn(sceneOfPiece(piece), layer);

export const pipelineOf = (piece: Piece, layer: Layer, share: number): Pipeline =>
  pipelineIn(sceneOfPiece(piece), layer, share);

/** @see elementsIn */
export const layerElements = (piece: Piece, layerId: string, at: number, share = 1, framePhase = at): Elements =>
  elementsIn(sceneOfPiece(piece), layerId, at, share, framePhase);

/** @see pointsIn */
export const layerPoints = (piece: Piece, layerId: string, at: number, share = 1, framePhase = at): LayerPoints =>
  pointsIn(sceneOfPiece(piece), layerId, at, share, framePhase);

/** @see linksIn */
export const layerLinks = (
  piece: Piece,
  layer: Layer,
  at: number,
  shareOf: (layer: Layer) => number,
  framePhase = at,
): Links => linksIn(sceneOfPiece(piece), layer, at, shareOf, framePhase);
