import { ROUTES, routeOf, type Route, type RouteKind } from '../flight/routes/kinds';
import { definitionOf, offers } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import type { Lens } from '../flight/routes/definition';
import { readOf } from './reading';
import { sceneOfPiece, type CameraPose } from './camera';
import { worldMiddle } from './middle';

/** A new route of a kind that fits the piece and begins near the present view. */
export function newRoute(kind: RouteKind, piece: Piece, pose: CameraPose): Route {
  const { layers } = piece;
  const start = {
    pose,
    ...worldMiddle(sceneOfPiece(piece)),
    way: layers.find((layer) => offers(layer, 'route'))?.id ?? null,
    reads: layers.find((layer) => offers(layer, 'reading'))?.id ?? null,
    carrier: (layers.find((layer) => definitionOf(layer.kind).countsAll) ?? layers.at(0))?.id ?? null,
  };
  return ROUTES.schema.parse({ kind, ...routeOf(kind).begin(start) });
}

/** The lens that a route of a piece asks for when it is new. */
export const lensFor = (route: Route, piece: Piece): Partial<Lens> =>
  routeOf(route.kind).lens?.(
    route,
    { readOf: (id, phase) => readOf(piece, id, phase) },
    piece.frame.width / piece.frame.height,
  ) ?? {};
