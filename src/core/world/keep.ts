import { Trouble } from '../trouble';
import { newRoute } from './newRoute';
import type { Piece } from '../piece/schema';
import type { CameraPose } from './camera';
import { routeOf, type RouteKind } from '../flight/routes/kinds';
import { viewOf, type View } from '../flight/routes/view';
import type { Flight } from '../flight/form';

/** What a view that was found by hand is kept as: in a route of a kind, or for the whole lap. */
export type KeptAs = RouteKind | 'whole';

/** A flight that stands at a view: for looking around, and as what is kept for the whole lap. The lens stays. */
export const flightAt = (flight: Flight, { aside, above, ahead, yaw, pitch, roll }: View): Flight => ({
  ...flight,
  route: { kind: 'keys', aside, above, ahead },
  speed: 1,
  aside: 0,
  above: 0,
  aim: 'own',
  yaw,
  pitch,
  roll: roll / 360,
  horizon: 'level',
  bank: 0,
  hold: 'none',
});

/**
 * The piece with a view kept, as its kind of route keeps views, or for the whole lap. A route of another kind gives way.
 * @param id for what is new
 * @throws Trouble `impossible` for a kind of route that keeps none
 */
export function keepView(piece: Piece, as: KeptAs, pose: CameraPose, phase: number, id: string): Piece {
  const { flight } = piece;
  const view = viewOf(pose);
  const stands = flightAt(flight, view);
  if (as === 'whole') return { ...piece, flight: stands };
  const { keeping, label } = routeOf(as);
  if (!keeping) throw new Trouble('impossible', `${label} keeps no views`);
  const already = flight.route.kind === as;
  const { yaw, pitch, roll } = flight;
  const turn = already && flight.aim === 'own' ? { yaw, pitch, roll } : null;
  const found = { view, position: pose.position, phase, frames: piece.lap.frames, id, turn };
  const kept = keeping.keep(already ? flight.route : newRoute(as, piece, pose), found, already);
  return { ...piece, flight: { ...(kept.turn ? stands : flight), ...kept.turn, route: kept.route } };
}
