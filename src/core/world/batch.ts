import { gradientTableAt } from '../colour/animated';
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
  const table = gradientTableAt(definitionOf(layer.kind).gradient(layer), phase);
  const color = new Float64Array(elements.count * 3);
  for (let i = 0; i < elements.count; i++) {
    // between the middles of texels, as a linear filter reads them
    const at = Math.min(255, Math.max(0, elements.place[i] * 256 - 0.5));
    const [low, share] = [Math.floor(at), at - Math.floor(at)];
    const high = Math.min(255, low + 1);
    for (let k = 0; k < 3; k++) color[i * 3 + k] = table[low * 4 + k] * (1 - share) + table[high * 4 + k] * share;
  }
  const { count, position, rotation, size, place, light } = elements;
  return { count, position, quaternion: rotation, scale: size, color, place, light };
}
