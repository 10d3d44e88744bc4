import { routeOfLayer } from '../flight/camera';
import { gradientTable } from '../look/colour';
import type { Piece } from '../piece/schema';
import { lapSeconds } from '../time/lap';
import type { KernelParameter, KernelValues, LayerContext } from './definition';
import { definitionOf } from './registry';

/** Elements of one tile of a layer, structure of arrays. */
export interface Batch {
  count: number;
  /** x, y, z in metres */
  position: Float32Array;
  /** x, y, z, w */
  quaternion: Float32Array;
  /** radius of a particle, distance of a ring's corner from its centre; metres */
  scale: Float32Array;
  /** linear r, g, b */
  color: Float32Array;
  /** place on the gradient, 0..1 */
  place: Float32Array;
  /** brightness factor */
  light: Float32Array;
}

/** What layers may know of their piece. */
export const layerContext = (piece: Piece): LayerContext => ({
  tile: piece.tile,
  seconds: lapSeconds(piece.lap.frames, piece.lap.rate),
  routeOf: (layerId) => (layerId === null ? { radius: 0, turnsPerMetre: 0 } : routeOfLayer(piece, layerId)),
});

/**
 * Kernel parameters in the kernel's own order, one number per component, without the element index and the results.
 * @throws RangeError naming a parameter that is missing or of the wrong width
 */
export function flattenValues(signature: readonly KernelParameter[], values: KernelValues): number[] {
  return signature
    .filter((p) => p.direction === 'in' && p.name !== 'id')
    .flatMap((p) => {
      const value = values[p.name];
      const width = /vec(\d)$/.exec(p.type)?.[1] ?? '1';
      const list = typeof value === 'number' ? [value] : value;
      if (list?.length !== Number(width)) throw new RangeError(`kernel parameter ${p.name} needs ${width} number(s)`);
      return list;
    });
}

/** Raw kernel results for one tile of a layer, without colours; the allocation-free core of {@link layerBatch}. */
export function layerElements(
  piece: Piece,
  layerId: string,
  phase: number,
  share = 1,
): Pick<Batch, 'count' | 'position' | 'scale' | 'place' | 'light'> {
  const layer = piece.layers.find((candidate) => candidate.id === layerId);
  if (!layer) throw new RangeError(`the piece has no layer "${layerId}"`);
  const definition = definitionOf(layer.kind);
  const count = definition.elementCount(layer, share);
  const flat = flattenValues(definition.kernel.signature, definition.values(layer, layerContext(piece), phase, share));
  const out = {
    count,
    position: new Float32Array(count * 3),
    scale: new Float32Array(count),
    place: new Float32Array(count),
    light: new Float32Array(count),
  };
  const run = definition.kernel.run as (...args: unknown[]) => void;
  run(0, count, ...flat, out.position, out.scale, out.place, out.light);
  return out;
}

/**
 * The elements of one tile of a layer at a phase (not wrapped), as the GPU draws them.
 * @param share of the final count, 0..1
 * @throws RangeError when the piece has no such layer
 */
export function layerBatch(piece: Piece, layerId: string, phase: number, share = 1): Batch {
  const elements = layerElements(piece, layerId, phase, share);
  const layer = piece.layers.find((candidate) => candidate.id === layerId);
  if (!layer) throw new RangeError(`the piece has no layer "${layerId}"`);
  const table = gradientTable(definitionOf(layer.kind).gradient(layer));
  const color = new Float32Array(elements.count * 3);
  const quaternion = new Float32Array(elements.count * 4);
  for (let i = 0; i < elements.count; i++) {
    const texel = Math.min(255, Math.floor(elements.place[i] * 256)) * 4;
    for (let k = 0; k < 3; k++) color[i * 3 + k] = table[texel + k];
    quaternion[i * 4 + 3] = 1;
  }
  return { ...elements, color, quaternion };
}
