import type { Quaternion } from '../space/vector';
import type { RouteShape } from './course';
import type { Extent } from './extent';

/** Height in metres and its derivatives at a place x, z of a ground's tile. */
export type GroundAt = (x: number, z: number) => { height: number; slopeX: number; slopeZ: number };

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
  groundKey(layerId: string): string;
  /** the extent of another layer; of a net, that of its own points */
  extentOf(layerId: string): Extent;
  /** how the camera is turned at a phase, which is not wrapped */
  cameraTurn(phase: number): Quaternion;
}
