import type { GroundAt, Land } from '../noise/land';
import type { Quaternion, Vec3 } from '../space/vector';
import type { RouteShape } from './course';
import type { Extent } from './extent';

/** What a camera sees at a phase. */
export interface CameraView {
  position: Vec3;
  /** turns camera axes (x right, y up, looking along −z) into the world */
  rotation: Quaternion;
  /** metres before which things fade away */
  near: number;
  /** metres along the line of sight to what is sharp */
  focus: number;
  /** metres that the shorter side of the frame spans at a distance */
  span(distance: number): number;
  /** half the width and half the height of the frame, in shares of its shorter side */
  half: readonly [number, number];
}

/** What a thing may know of the piece it is in. */
export interface World {
  /** metres along −z after which the world repeats */
  tile: number;
  /** duration of the lap in seconds */
  seconds: number;
  /** of the lap */
  frames: number;
  routeOf(layerId: string | null): RouteShape;
  /** the ground of another layer, and what tells its shape from others */
  groundOf(layerId: string): GroundAt | null;
  /** the law of that ground */
  landOf(layerId: string): Land | null;
  groundKey(layerId: string): string;
  /** the extent of another layer; of a net, that of its own points */
  extentOf(layerId: string): Extent;
  /** where an element of another layer is at a phase, by its number; null where there is none */
  elementAt(layerId: string, number: number, phase: number): Vec3 | null;
  /** what the camera sees at a phase, which is not wrapped */
  cameraView(phase: number): CameraView;
}
