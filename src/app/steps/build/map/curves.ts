import { standing } from '../../../../core/flight/routes/circuit/circuit';
import { MOST_POINTS, type CurvePoint } from '../../../../core/piece/fields';
import type { Piece } from '../../../../core/piece/schema';
import type { Vec3 } from '../../../../core/space/vector';
import { pointKey, withPointAt } from '../../../parts/curvePoints';
import type { Lane, MapView } from './view';

/** A curve whose points are drawn in the map: the circuit of the flight, or the route of a tunnel. */
export interface DrawnCurve {
  /** of its points, in the piece */
  path: readonly (string | number)[];
  points: readonly CurvePoint[];
  /** metres ahead from its last point to the first of the next tile; 0 when it closes */
  gain: number;
  /** where a point is in the world, and back; an index beyond the last is for a new one */
  toWorld(point: CurvePoint, index: number): Vec3;
  fromWorld(place: Vec3, index: number): Omit<CurvePoint, 'id'>;
}

/** The curves of a piece whose points can be taken hold of: of tunnels, only that of the chosen layer. */
export function curvesOf(piece: Piece, chosenLayer: string | null): DrawnCurve[] {
  const { route } = piece.flight;
  const out: DrawnCurve[] = [];
  if (route.kind === 'circuit') {
    const { toWorld, fromWorld } = standing(route);
    // what strays does so by its index: a new point has none yet
    const loose = standing({ ...route, stray: 0 });
    out.push({
      path: ['flight', 'route', 'points'],
      points: route.points,
      gain: 0,
      toWorld,
      fromWorld: (place, i) => (i < route.points.length ? fromWorld : loose.fromWorld)(place, i),
    });
  }
  const index = piece.layers.findIndex(({ id }) => id === chosenLayer);
  const layer = piece.layers.at(index);
  if (index >= 0 && layer?.kind === 'tunnel' && !layer.hidden && (layer.route === 'closed' || layer.route === 'onward'))
    out.push({
      path: ['layers', index, layer.route === 'closed' ? 'curve' : 'onward'],
      points: layer.route === 'closed' ? layer.curve : layer.onward,
      gain: layer.route === 'closed' ? 0 : piece.tile,
      toWorld: ({ aside, above, ahead }) => [aside, above, -ahead],
      fromWorld: ([aside, above, z]) => ({ aside, above, ahead: -z }),
    });
  return out;
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
