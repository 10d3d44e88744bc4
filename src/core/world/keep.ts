import { Trouble } from '../trouble';
import { newRoute } from './newRoute';
import type { Piece } from '../piece/schema';
import { evaluateAnimated, type Animated } from '../time/animated';
import type { CameraPose } from './camera';
import { circuitPoints, standing } from '../flight/routes/circuit/circuit';
import { nearestTurn, viewOf, type View } from '../flight/routes/view';
import type { Flight } from '../flight/form';
import { length, subtract } from '../space/vector';

/** What a view that was found by hand is kept as. */
export type KeptAs = 'key' | 'station' | 'point' | 'whole';

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

/** The value with a key at a phase; a value without keys becomes keyed there. */
function keyedAt(value: Animated, phase: number, v: number, id: string, frames: number): Animated {
  const near = 0.5 / frames;
  const keys = typeof value === 'object' && value.law === 'keyed' ? value.keys : [];
  const found = keys.find(({ at }) => Math.abs(at - phase) < near);
  const next = found
    ? keys.map((key) => (key === found ? { ...key, value: v } : key))
    : [...keys, { id, at: phase, value: v, ease: 'smooth' as const }];
  return { law: 'keyed', keys: [...next].sort((a, b) => a.at - b.at) };
}

/** Where in a circuit a new point belongs: after the point that begins the stretch whose middle is nearest. */
function placeInCircuit(points: readonly [number, number, number][], at: [number, number, number]): number {
  let best = 0;
  let least = Infinity;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    const detour = length(subtract(at, p)) + length(subtract(q, at)) - length(subtract(q, p));
    if (detour < least) [least, best] = [detour, i + 1];
  });
  return best;
}

/**
 * The piece with a view kept: as a key at a phase, as a new last station, as a point of the circuit, or for the whole lap.
 * A route of another kind gives way to one that can hold it.
 * @param id for what is new
 */
export function keepView(piece: Piece, as: KeptAs, pose: CameraPose, phase: number, id: string): Piece {
  const { flight } = piece;
  const view = viewOf(pose);
  const stands = flightAt(flight, view);
  switch (as) {
    case 'whole':
      return { ...piece, flight: stands };
    case 'key': {
      const before = flight.route.kind === 'keys' && flight.aim === 'own' ? flight : null;
      const { frames } = piece.lap;
      const set = (value: Animated | undefined, v: number): Animated => keyedAt(value ?? 0, phase, v, id, frames);
      // turned the shorter way from where the camera was
      const turned = (value: Animated | undefined, v: number, turn: number): Animated =>
        set(value, value === undefined ? v : nearestTurn(v / turn, evaluateAnimated(value, phase) / turn) * turn);
      const route = before?.route.kind === 'keys' ? before.route : undefined;
      return {
        ...piece,
        flight: {
          ...stands,
          route: {
            kind: 'keys',
            aside: set(route?.aside, view.aside),
            above: set(route?.above, view.above),
            ahead: set(route?.ahead, view.ahead),
          },
          yaw: turned(before?.yaw, view.yaw, 1),
          pitch: set(before?.pitch, view.pitch),
          roll: turned(before?.roll, view.roll / 360, 1 / 360),
        },
      };
    }
    case 'station': {
      const stop = { id, name: '', ...view, rest: 1, travel: 2 };
      const { route } = flight;
      const stations = route.kind === 'stations' ? route : newRoute('stations', piece, pose);
      if (stations.kind !== 'stations') throw new Trouble('impossible', 'a route of stations was asked for');
      const stops = route.kind === 'stations' ? [...route.stops, stop] : [stop];
      return {
        ...piece,
        flight: { ...stands, yaw: 0, pitch: 0, roll: 0, route: { ...stations, stops } },
      };
    }
    case 'point': {
      const { route } = flight;
      const circuit = route.kind === 'circuit' ? route : newRoute('circuit', piece, pose);
      if (circuit.kind !== 'circuit') throw new Trouble('impossible', 'a circuit was asked for');
      const at = placeInCircuit(circuitPoints(circuit), pose.position);
      const points = [...circuit.points];
      const where = standing({ ...circuit, stray: 0 }).fromWorld(pose.position, 0);
      points.splice(at, 0, { id, ...where });
      return { ...piece, flight: { ...flight, route: { ...circuit, points } } };
    }
  }
}
