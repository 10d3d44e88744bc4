import { routeOf } from '../../../../core/flight/routes/kinds';
import { setAt } from '../../../../core/piece/paths';
import type { Piece } from '../../../../core/piece/schema';
import type { Vec3 } from '../../../../core/space/vector';
import { pointKey } from '../../../parts/curvePoints';
import { curvesOf, movedBy, pointOf } from './curves';
import { GRIP_PX } from './handles';
import type { Lane, MapView } from './view';

/** A place of the flight that is marked in the map: a point of a circuit, a station, or a point that is a target. */
export interface Mark {
  id: string;
  /** a number from 1, or what the target is for */
  words: string;
  at: Vec3;
  target: boolean;
}

/** Targets of a flight by their field, with what each is for and when it is in use. */
const TARGETS = {
  aimAt: { words: 'aim', used: (f: Flight) => f.aim === 'target' },
  focusAt: { words: 'focus', used: (f: Flight) => f.focusOn === 'target' },
  pullAt: { words: 'pull', used: (f: Flight) => f.pullTo === 'target' },
  holdAt: { words: 'hold', used: (f: Flight) => f.lens === 'perspective' && f.hold !== 'none' },
} as const;
type Flight = Piece['flight'];
type TargetName = keyof typeof TARGETS;
const isTarget = (id: string): id is TargetName => id in TARGETS;

/** Points that are targets and stand still: those that move are set over the lap. */
function targetMarks(flight: Flight): Mark[] {
  return (Object.keys(TARGETS) as TargetName[]).flatMap((id) => {
    const { words, used } = TARGETS[id];
    const { on, aside, above, ahead } = flight[id];
    if (!used(flight) || on !== 'point') return [];
    if (typeof aside !== 'number' || typeof above !== 'number' || typeof ahead !== 'number') return [];
    return [{ id, words, at: [aside, above, -ahead] as Vec3, target: true }];
  });
}

/** What is marked of the flight, and the points of the chosen layer's route. */
export function routeMarks(piece: Piece, chosenLayer: string | null): Mark[] {
  const { flight } = piece;
  const numbered = (id: string, i: number, at: Vec3): Mark => ({ id, words: String(i + 1), at, target: false });
  const drawn = curvesOf(piece, chosenLayer).flatMap(({ path, points, toWorld }) =>
    points.map((point, i) => numbered(pointKey(path, point.id), i, toWorld(point, i))),
  );
  const marked = routeOf(flight.route.kind).marks?.(flight.route) ?? [];
  return [
    ...drawn,
    ...marked.map(({ id, aside, above, ahead }, i) => numbered(id, i, [aside, above, -ahead])),
    ...targetMarks(flight),
  ];
}

/** The mark under a pointer. */
export function hitPoint(
  piece: Piece,
  chosenLayer: string | null,
  view: MapView,
  x: number,
  y: number,
): { id: string; lane: Lane } | null {
  const lane = view.laneAt(x, y);
  const far = ({ at }: Mark): number =>
    Math.hypot(view.x(-at[2], lane) - x, view.y(at[lane === 'plan' ? 0 : 1], lane) - y);
  const nearest = routeMarks(piece, chosenLayer)
    .sort((a, b) => far(a) - far(b))
    .at(0);
  return nearest && far(nearest) < GRIP_PX ? { id: nearest.id, lane } : null;
}

const round = (v: number): number => Number(v.toFixed(3)) + 0;
type Pixels = readonly [number, number];

/** The piece with a mark dragged from one place of the map to another; sideways in plan, in height from the side. */
export function draggedPoint(
  piece: Piece,
  chosenLayer: string | null,
  id: string,
  lane: Lane,
  view: MapView,
  from: Pixels,
  to: Pixels,
): Piece {
  const ahead = (to[0] - from[0]) / view.perMetre;
  const across = -(to[1] - from[1]) / view.across;
  const drawn = pointOf(curvesOf(piece, chosenLayer), id);
  if (drawn) {
    const by: Vec3 = lane === 'plan' ? [across, 0, -ahead] : [0, across, -ahead];
    return setAt(piece, drawn.curve.path, movedBy(drawn.curve, drawn.index, by));
  }
  const side = lane === 'plan' ? 'aside' : 'above';
  const shifted = <T extends { aside: unknown; above: unknown; ahead: unknown }>(place: T): T => ({
    ...place,
    ahead: round(Number(place.ahead) + ahead),
    [side]: round(Number(place[side]) + across),
  });
  const { flight } = piece;
  if (isTarget(id)) return { ...piece, flight: { ...flight, [id]: shifted(flight[id]) } };
  const { marks, withMark } = routeOf(flight.route.kind);
  const place = marks?.(flight.route).find((mark) => mark.id === id);
  if (!place || !withMark) return piece;
  const { aside, above, ahead: before } = place;
  return setAt(piece, ['flight', 'route'], withMark(flight.route, shifted({ id, aside, above, ahead: before })));
}
