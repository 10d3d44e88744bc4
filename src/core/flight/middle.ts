import { standsOnce } from '../layers/route';
import type { CameraPose } from './camera';
import { RouteSchema, routeOf, type Route, type RouteKind } from './routes/registry';
import { layerExtent } from '../layers/context';
import { halfDiagonal, middleOf } from '../treatments/base';
import type { Piece } from '../piece/schema';
import type { Vec3 } from '../space/vector';

/** Where something is, and the radius in metres of a ball that holds about all of it. */
export interface Middle {
  middle: Vec3;
  radius: number;
}

/** The middle of a layer, or of what stands in the world, and the radius in metres of a ball that holds about all of it. */
export function worldMiddle(piece: Piece, layerId?: string | null): Middle {
  const layers = piece.layers.filter(
    (layer) =>
      (layerId === undefined ? !layer.hidden : layer.id === layerId) &&
      (layerId !== undefined || (layer.kind !== 'backdrop' && layer.kind !== 'ground')),
  );
  const alone = layers.filter((layer) => standsOnce(piece, layer));
  const extents = (alone.length > 0 ? alone : layers).map((layer) => layerExtent(piece, layer));
  if (extents.length === 0) return { middle: [0, 0, -piece.tile / 2], radius: 4 };
  const best = extents.reduce((a, b) => (halfDiagonal(b) < halfDiagonal(a) ? b : a));
  return { middle: middleOf(best), radius: Math.min(1000, Math.max(0.5, halfDiagonal(best))) };
}

/** A new route of a kind that fits the piece and begins near the present view. */
export const newRoute = (kind: RouteKind, piece: Piece, pose: CameraPose): Route =>
  RouteSchema.parse({ kind, ...routeOf(kind).begin({ piece, pose, ...worldMiddle(piece) }) });
