import { MOST_POINTS, type CurvePoint } from '../../../../core/forms';
import type { Curve } from '../../../../core/elements/curve';
import { routeOf } from '../../../../core/flight/routes/kinds';
import { definitionOf } from '../../../../core/layers/kinds';
import type { PiecePath } from '../../../../core/piece/paths';
import type { Piece } from '../../../../core/piece/schema';
import type { Vec3 } from '../../../../core/space/vector';
import { pointKey, withPointAt } from '../../../parts/curvePoints';
import type { Lane, MapView } from './view';

/** A curve of a piece, and where its points are. */
export interface DrawnCurve extends Curve {
  path: PiecePath;
}

/** The curves of a piece whose points can be taken hold of: of layers, only that of the chosen one. */
export function curvesOf(piece: Piece, chosenLayer: string | null): DrawnCurve[] {
  const { route } = piece.flight;
  const flown = routeOf(route.kind).curve?.(route);
  const index = piece.layers.findIndex(({ id }) => id === chosenLayer);
  const layer = index < 0 || piece.layers[index].hidden ? undefined : piece.layers[index];
  const own = layer && definitionOf(layer.kind).curve?.(layer, piece.tile);
  return [
    ...(flown ? [{ ...flown, path: ['flight', 'route', flown.field] }] : []),
    ...(own ? [{ ...own, path: ['layers', index, own.field] }] : []),
  ];
}

/** The curve and the point that a mark of the map stands for. */
export function pointOf(curves: readonly DrawnCurve[], key: string): { curve: DrawnCurve; index: number } | null {
  for (const curve of curves) {
    const index = curve.points.findIndex(({ id }) => pointKey(curve.path, id) === key);
    if (index >= 0) return { curve, index };
  }
  return null;
}

const round = (v: number): number => Number(v.toFixed(3)) + 0;

/** The points of a curve with one moved in the world. */
export function movedBy({ points, toWorld, fromWorld }: DrawnCurve, index: number, by: Vec3): CurvePoint[] {
  return points.map((point, i) => {
    if (i !== index) return point;
    const [x, y, z] = toWorld(point, i);
    const moved = fromWorld([x + by[0], y + by[1], z + by[2]], i);
    return { id: point.id, aside: round(moved.aside), above: round(moved.above), ahead: round(moved.ahead) };
  });
}

type Pixels = readonly [number, number];
const apart = (a: Pixels, b: Pixels): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** A point more where the map was clicked, in the stretch of the curve it is nearest to. */
export function addPointAt(
  curves: readonly DrawnCurve[],
  view: MapView,
  [x, y]: Pixels,
): { curve: DrawnCurve; points: CurvePoint[]; id: string } | null {
  const lane: Lane = view.laneAt(x, y);
  const ahead = view.along(x, lane);
  const off = view.off(y, lane);
  const k = lane === 'plan' ? 0 : 1;
  const stretches = curves.flatMap((curve) => {
    const places = curve.points.map(curve.toWorld);
    return places.map((a, after) => {
      const last = after + 1 === places.length;
      const [nx, ny, nz] = places[last ? 0 : after + 1];
      const b: Vec3 = [nx, ny, nz - (last ? curve.gain : 0)];
      const [from, to]: [Pixels, Pixels] = [
        [-a[2], a[k]],
        [-b[2], b[k]],
      ];
      const detour = apart(from, [ahead, off]) + apart([ahead, off], to) - apart(from, to);
      // the third coordinate, which a lane does not show, lies between the neighbours
      return { curve, after, detour, hidden: (a[1 - k] + b[1 - k]) / 2 };
    });
  });
  const nearest = stretches.sort((a, b) => a.detour - b.detour).at(0);
  // one more than a curve may have would not be read again
  if (!nearest || nearest.curve.points.length >= MOST_POINTS) return null;
  const { curve, after, hidden } = nearest;
  const place: Vec3 = lane === 'plan' ? [off, hidden, -ahead] : [hidden, off, -ahead];
  return { curve, ...withPointAt(curve.points, after, curve.fromWorld(place, curve.points.length)) };
}
