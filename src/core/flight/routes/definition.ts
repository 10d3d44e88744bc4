import type { z } from 'zod';
import type { Piece } from '../../piece/schema';
import type { Quaternion, Vec3 } from '../../space/vector';
import type { CameraPose } from '../camera';
import type { Sighted } from '../sight';
import type { Target } from '../target';

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

/** What a route may know of its piece. */
export interface RouteWorld {
  piece: Piece;
  /** share of the lap's way that is behind at a phase: see flight/speed */
  share(phase: number): number;
  sight(target: Target, phase: number): Sighted;
  /** where a layer is */
  middleOf(layerId: string | null): Vec3;
}

/** What a new route is fitted to. */
export interface RouteStart {
  piece: Piece;
  /** the present view */
  pose: CameraPose;
  /** the middle of what stands in the world, and the radius in metres of a ball that holds about all of it */
  middle: Vec3;
  radius: number;
}

/** What the core and the interface know about one kind of route. One definition per folder of `routes/`. */
export interface RouteDefinition<R> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  schema: z.ZodType<R>;
  /** it keeps its own time: the speed curve does not apply */
  timed: boolean;
  /** fields of a new route of this kind that fits the piece and begins near the present view */
  begin(start: RouteStart): Partial<R>;
  travel(route: R, world: RouteWorld): Travel;
  track(route: R, world: RouteWorld): Track;
  /** in a few words, for the card */
  summary(route: R, piece: Piece): string;
  /** fields whose value or gain per lap must be a whole number of steps to close */
  closingSteps(route: R, piece: Piece): Record<string, number>;
}
