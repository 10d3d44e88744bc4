import { gradientColoursAt } from '../colour/animated';
import { definitionOf } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import { sceneOfPiece } from './camera';
import { elementsIn, layerOf } from './elements';

/** Elements of one tile of a layer, structure of arrays. */
export interface Batch {
  count: number;
  /** x, y, z in metres */
  position: Float64Array;
  /** x, y, z, w */
  quaternion: Float64Array;
  /** radius of a particle, distance of a ring's corner from its centre, factor of a body; metres */
  scale: Float64Array;
  /** linear r, g, b */
  color: Float64Array;
  /** place on the gradient, 0..1 */
  place: Float64Array;
  /** brightness factor, with how far it is there */
  light: Float64Array;
}

/**
 * The elements of one tile of a layer at a phase (not wrapped), as the GPU draws them.
 * @param share of the final count, 0..1
 * @throws RangeError when the piece has no such layer
 */
export function layerBatch(piece: Piece, layerId: string, phase: number, share = 1): Batch {
  const scene = sceneOfPiece(piece);
  const elements = elementsIn(scene, layerId, phase, share);
  const layer = layerOf(scene, layerId);
  const color = gradientColoursAt(definitionOf(layer.kind).gradient(layer), phase, elements.place);
  const { count, position, rotation, size, place, light } = elements;
  return { count, position, quaternion: rotation, scale: size, color, place, light };
}
