import type { RouteShape } from '../../elements/course';
import type { Form } from '../../forms';
import type { Quaternion, Vec3 } from '../../space/vector';
import type { Animated } from '../../time/animated';
import type { Exposure } from '../../time/exposure';
import type { Curve } from '../../elements/curve';
import type { Target } from '../target';
import type { Pose, View } from './view';

/** Where the camera is on its route. */
export interface Place {
  position: Vec3;
  /** the way ahead; of length 1, or zero where the camera rests */
  tangent: Vec3;
  /** the route's own upright, perpendicular to the tangent */
  up: Vec3;
  /** the direction the route itself gives the camera, for aims of its own */
  own: Quaternion | null;
  /** what its own direction faces, where that is a place */
  faces?: Vec3;
}

/** A route of one piece. */
export interface Track {
  /** metres travelled in a lap */
  length: number;
  /** at a phase, which is not wrapped: the second lap goes on */
  at(phase: number): Place;
}

/** What a lap of the flight gains: the one symmetry that carries the scene onto itself. */
export interface Travel {
  /** metres along −z */
  advance: number;
  /** turns about the axis through the centre */
  turns: number;
  axis: Vec3;
  centre: Vec3;
}

export const STAYS: Travel = { advance: 0, turns: 0, axis: [0, 0, 1], centre: [0, 0, 0] };

/** Where a target is, and how it is turned. */
export interface Sighted {
  position: Vec3;
  rotation: Quaternion;
}

/** Where a layer is read from that reads right from one direction only. */
export interface Read {
  middle: Vec3;
  /** how it stands, and on that how its reader is turned, who looks along −z */
  stands: Quaternion;
  turn: Quaternion;
  /** metres from its middle that he is; 0: far off */
  distance: number;
  /** half its width and half its height, as he sees it */
  half: readonly [number, number];
}

/** What of its piece a route is described by. */
export interface RouteSetting {
  /** metres after which the world repeats */
  tile: number;
  /** frames of the lap */
  frames: number;
  /** the route of a layer; straight where it has none */
  routeOf(layerId: string | null): RouteShape;
  /** @param element one of its elements, by its number: then that is said too */
  nameOf(layerId: string | null, element?: number): string | undefined;
}

/** What a route may know of its piece. */
export interface RouteWorld extends RouteSetting {
  /** share of the lap's way that is behind at a phase: see flight/speed */
  share(phase: number): number;
  sight(target: Target, phase: number): Sighted;
  /** where a layer is read from at a phase; null of those that look as they look from everywhere */
  readOf(layerId: string | null, phase: number): Read | null;
  /** where a layer is */
  middleOf(layerId: string | null): Vec3;
}

/** What a new route is fitted to. */
export interface RouteStart {
  /** the present view */
  pose: Pose;
  /** a layer with a route of its own, and one whose elements can carry a camera; null where there is none */
  way: string | null;
  carrier: string | null;
  /** one that reads right from one direction only */
  reads: string | null;
  /** the middle of what stands in the world, and the radius in metres of a ball that holds about all of it */
  middle: Vec3;
  radius: number;
}

/** A place of a route that has a name of its own. */
export interface MarkedPlace {
  id: string;
  aside: number;
  above: number;
  ahead: number;
}

/** Where a camera faces: along the way, at a target, or by its route's own direction turned by so much. */
export type Facing =
  | { aim: 'ahead' }
  | { aim: 'target'; aimAt: Target; yaw: number; pitch: number }
  | { aim: 'own'; yaw: number; pitch: number; roll: number };

/** By the route's own direction. */
export const OWN: Facing = { aim: 'own', yaw: 0, pitch: 0, roll: 0 };

/** A view that was found by hand, and when. */
export interface FoundView {
  view: View;
  position: Vec3;
  phase: number;
  /** of the lap */
  frames: number;
  /** for what is new */
  id: string;
  /** how the camera is turned now from its route's own direction; null where it is not, or its route is of another kind */
  turn: Turn | null;
}

/** Degrees to the right and up, turns clockwise. */
export interface Turn {
  yaw: Animated;
  pitch: Animated;
  roll: Animated;
}

/** How a kind of route keeps views that were found by hand. */
export interface Keeping<R extends object> {
  /** what such a view becomes, in a word or two */
  label(frame: number): string;
  /** only a route that is there already can take one */
  there?: boolean;
  /**
   * The route with the view in it.
   * @param already whether the route was flown before; else it is a new one
   * @returns how the camera is turned then from the route's own direction; null leaves all but the route as it is
   */
  keep(route: R, found: FoundView, already: boolean): { route: R; turn: Turn | null };
}

/** A lens as a route may ask for it: its projection, and how wide it sees. */
export interface Lens {
  lens: 'perspective' | 'orthographic';
  widthM: number;
  sensorMm: number;
  focalMm: number;
}

/** What the core and the interface know about one kind of route. One definition per folder of `routes/`. */
export interface RouteDefinition<R extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<R>;
  /** it keeps its own time: the speed curve does not apply */
  timed: boolean;
  /** fields of a new route of this kind that fits the piece and begins near the present view */
  begin(start: RouteStart): Partial<R>;
  travel(route: R, world: RouteWorld): Travel;
  track(route: R, world: RouteWorld): Track;
  /** in a few words, for the card */
  summary(route: R, setting: RouteSetting): string;
  /** fields whose value or gain per lap must be a whole number of steps to close */
  closingSteps(route: R, setting: RouteSetting): Record<string, number>;
  /** the same route in one of so many parts of a turn, for those that may close in one; null where they may not as they are */
  inParts?(route: R, parts: number): R | null;
  /** the same flown as often as there are laps in one longer lap, for those whose places stand in a list */
  overLaps?(route: R, laps: number): R;
  /** the route as one frame's shutter sees it, for those that jump on a frame */
  exposed?(route: R, exposure: Exposure): R;
  /** the curve it is, whose points are drawn in the map */
  curve?(route: R): Curve;
  /** places of it that are marked and dragged in the map, in order, and the route with one of them elsewhere */
  marks?(route: R): readonly MarkedPlace[];
  withMark?(route: R, place: MarkedPlace): R;
  /** how it keeps views that were found by hand */
  keeping?: Keeping<R>;
  /** fields whose keys stand at the same frames as those of the camera's turn, and are moved with them */
  keyed?: readonly string[];
  /** the lens it is for, when such a route is new */
  lens?(route: R, world: Pick<RouteWorld, 'readOf'>, aspect: number): Partial<Lens>;
  /** where the camera faces when such a route is new */
  facing(route: R, view: View): Facing;
}
