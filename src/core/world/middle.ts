import { halfDiagonal, middleOf } from '../elements/extent';
import { definitionOf } from '../layers/kinds';
import type { Vec3 } from '../space/vector';
import { rides, standsOnce } from './route';
import { extentIn, type Scene } from './scene';

/** Where something is, and the radius in metres of a ball that holds about all of it. */
export interface Middle {
  middle: Vec3;
  radius: number;
}

/** The middle of a layer, or of what stands in the world, and the radius in metres of a ball that holds about all of it. */
export function worldMiddle(scene: Scene, layerId?: string | null): Middle {
  const { piece } = scene;
  const layers = piece.layers.filter(
    (layer) =>
      (layerId === undefined ? !layer.hidden : layer.id === layerId) &&
      (layerId !== undefined || !(definitionOf(layer.kind).surrounds || rides(layer))),
  );
  const alone = layers.filter((layer) => standsOnce(piece, layer));
  const extents = (alone.length > 0 ? alone : layers).map((layer) => extentIn(scene, layer));
  if (extents.length === 0) return { middle: [0, 0, -piece.tile / 2], radius: 4 };
  const best = extents.reduce((a, b) => (halfDiagonal(b) < halfDiagonal(a) ? b : a));
  return { middle: middleOf(best), radius: Math.min(1000, Math.max(0.5, halfDiagonal(best))) };
}
