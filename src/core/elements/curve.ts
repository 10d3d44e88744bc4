import type { CurvePoint } from '../forms';
import type { Vec3 } from '../space/vector';

/** A curve whose points are drawn in the map. */
export interface Curve {
  /** the field that holds its points */
  field: string;
  points: readonly CurvePoint[];
  /** metres ahead from its last point to the first of the next tile; 0 when it closes */
  gain: number;
  /** where a point is in the world, and back; an index beyond the last is for a new one */
  toWorld(point: CurvePoint, index: number): Vec3;
  fromWorld(place: Vec3, index: number): Omit<CurvePoint, 'id'>;
}

/** A curve whose points are where they are said to be. */
export const plainCurve = (field: string, points: readonly CurvePoint[], gain: number): Curve => ({
  field,
  points,
  gain,
  toWorld: ({ aside, above, ahead }) => [aside, above, -ahead],
  fromWorld: ([aside, above, z]) => ({ aside, above, ahead: -z }),
});
