import { levelUp } from '../space/frame';
import { lapSeconds } from '../time/lap';
import { PeriodicTable } from '../time/periodic';
import type { Piece } from '../piece/schema';
import { cross, dot, fromAxis, rotate, scale, subtract, add, type Vec3 } from '../space/vector';
import { handOver, type HandOffset } from '../flight/hand';
import { handOf } from '../flight/handFields';
import { worldMiddle } from './middle';
import { sceneOf, type Means } from './scene';
import { readOf } from './reading';
import { routeSetting } from './setting';
import type { Place, RouteWorld, Sighted, Track, Travel } from '../flight/routes/definition';
import { routeOf } from '../flight/routes/kinds';
import type { Flight } from '../flight/form';
import { distanceShare } from '../flight/speed';
import { sightTarget } from './sight';
import type { Target } from '../flight/target';

/** Samples of a lap in which what is averaged over time is kept. */
const SAMPLES = 256;
/** Metres per second squared. */
const GRAVITY = 9.81;

/** A flight of a piece with all that is computed once for it. */
export interface Prepared {
  share(phase: number): number;
  travel: Travel;
  track: Track;
  hand(phase: number): HandOffset;
  /** radians the camera leans clockwise */
  bank(phase: number): number;
  /** a target, carried along with the flight */
  sight(target: Target, phase: number): Sighted;
  /** where the softened aim is */
  aimPoint(phase: number): Vec3;
}

/** A camera that stands: what layers see while targets among them are looked for. */
const standing = (flight: Flight): Flight => ({
  ...flight,
  route: { kind: 'keys', aside: 0, above: 0, ahead: 0 },
  aim: 'own',
  lens: 'perspective',
  hold: 'none',
  focusOn: 'distance',
  pullTo: 'none',
});

/** The share of a lap's gain that is gained at a distance share, as a motion of the whole world. */
export function carriedBy({ advance, turns, axis, centre }: Travel, share: number, point: Vec3): Vec3 {
  const turned =
    turns === 0 ? point : add(centre, rotate(fromAxis(axis, 2 * Math.PI * turns * share), subtract(point, centre)));
  return [turned[0], turned[1], turned[2] - advance * share];
}

function prepare(piece: Piece, means: Means): Prepared {
  const { flight } = piece;
  const seconds = lapSeconds(piece.lap.frames, piece.lap.rate);
  const still = sceneOf({ ...piece, flight: standing(flight) }, means);
  const own = sceneOf(piece, means);
  const share = distanceShare(flight.speed);
  const definition = routeOf(flight.route.kind);
  const raw = remembered((target: Target, phase: number): Sighted => sightTarget(still, target, phase));
  // a route that rides on something must not be carried by itself
  const world: RouteWorld = {
    ...routeSetting(piece),
    share,
    sight: raw,
    middleOf: (id) => worldMiddle(own, id).middle,
    readOf: (id, phase) => readOf(piece, id, phase),
  };
  const travel = definition.travel(flight.route, world);
  const track = definition.track(flight.route, world);
  const gone = definition.timed ? (phase: number): number => phase : share;
  const sight = (target: Target, phase: number): Sighted => {
    const { position, rotation } = raw(target, phase);
    return { position: carriedBy(travel, gone(phase), position), rotation };
  };
  let soft: PeriodicTable[] | null = null;
  const aimPoint = (phase: number): Vec3 => {
    if (flight.aimSoft <= 0) return sight(flight.aimAt, phase).position;
    soft ??= softened(raw, flight.aimAt, flight.aimSoft / seconds);
    const [x, y, z] = soft.map((table) => table.at(phase));
    return carriedBy(travel, gone(phase), [x, y, z]);
  };
  let leaning: PeriodicTable | null = null;
  const bank = (phase: number): number => {
    if (flight.bank === 0) return 0;
    leaning ??= bankOver(track, flight, seconds);
    return leaning.at(phase) * flight.bank;
  };
  const hand = handOver({
    swings: handOf(flight),
    speed: flight.handSpeed,
    seed: flight.handSeed,
    regular: flight.handPulse === 'regular',
    seconds,
  });
  return { share, travel, track, hand, bank, sight, aimPoint };
}

/** The same function, which remembers the last few answers: a frame asks for the same moments again and again. */
function remembered(sight: (of: Target, phase: number) => Sighted): (of: Target, phase: number) => Sighted {
  const last = new Map<Target, Map<number, Sighted>>();
  return (of, phase) => {
    let known = last.get(of);
    if (!known) last.set(of, (known = new Map<number, Sighted>()));
    let seen = known.get(phase);
    if (!seen) {
      if (known.size > 64) known.clear();
      known.set(phase, (seen = sight(of, phase)));
    }
    return seen;
  };
}

/** A Gaussian whose middle two standard deviations are the time given. */
const widthOf = (share: number): number => share / 2;

function softened(sight: (of: Target, phase: number) => Sighted, of: Target, lapShare: number): PeriodicTable[] {
  const places = Array.from({ length: SAMPLES }, (_, i) => sight(of, i / SAMPLES).position);
  return [0, 1, 2].map((k) => new PeriodicTable(Float64Array.from(places, (p) => p[k])).softened(widthOf(lapShare)));
}

/** The upright a place is seen by. */
export const uprightAt = ({ tangent, up }: Place, horizon: Flight['horizon']): Vec3 =>
  horizon === 'carried' || dot(tangent, tangent) === 0 ? up : levelUp(tangent);

/** Radians of lean at a bank of 1: atan(lateral acceleration / g), averaged around the lap. */
function bankOver(track: Track, flight: Flight, seconds: number): PeriodicTable {
  const h = 1 / 4096;
  const table = PeriodicTable.of(SAMPLES, (phase) => {
    const here = track.at(phase);
    const [before, after] = [track.at(phase - h).position, track.at(phase + h).position];
    const bend = add(subtract(after, here.position), subtract(before, here.position));
    const acceleration = scale(bend, 1 / (h * seconds) ** 2);
    const right = cross(here.tangent, uprightAt(here, flight.horizon));
    return Math.atan(dot(acceleration, right) / GRAVITY);
  });
  return table.softened(widthOf(flight.bankSoft / seconds));
}

const kept = new WeakMap<Flight, { piece: Piece; prepared: Prepared }>();

/**
 * The prepared flight of a piece; kept while the flight, the layers, the lap and the tile stay the same.
 * @param means what the camera of a piece sees, and where elements are: the flight is a part of that, and must not look for it itself
 */
export function preparedFlight(piece: Piece, means: Means): Prepared {
  const found = kept.get(piece.flight);
  if (
    found &&
    (found.piece === piece ||
      (found.piece.layers === piece.layers && found.piece.lap === piece.lap && found.piece.tile === piece.tile))
  )
    return found.prepared;
  const prepared = prepare(piece, means);
  kept.set(piece.flight, { piece, prepared });
  return prepared;
}
