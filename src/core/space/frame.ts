import { cross, dot, fromColumns, length, normalize, scale, subtract, type Quaternion, type Vec3 } from './vector';

export interface Frame {
  tangent: Vec3;
  right: Vec3;
  up: Vec3;
}

/** A route by arc length: s in metres, from 0 to `length`; beyond its ends it goes on by its own law. */
export interface Path {
  length: number;
  pointAt(s: number): Vec3;
  frameAt(s: number): Frame;
}

/**
 * Rotation-minimising frames along sampled points by double reflection
 * (Wang, Jüttler, Zheng, Liu, ACM TOG 27(1), 2008); fourth order in the step.
 * @param tangents unit tangents at the points
 * @param up first frame's up, perpendicular to the first tangent
 * @returns the up vector at every point
 */
export function doubleReflection(points: readonly Vec3[], tangents: readonly Vec3[], up: Vec3): Vec3[] {
  const out: Vec3[] = [normalize(up)];
  for (let i = 0; i + 1 < points.length; i++) {
    const v1 = subtract(points[i + 1], points[i]);
    const c1 = dot(v1, v1);
    const reflect = (v: Vec3, n: Vec3, c: number): Vec3 => subtract(v, scale(n, (2 / c) * dot(n, v)));
    const upL = reflect(out[i], v1, c1);
    const tangentL = reflect(tangents[i], v1, c1);
    const v2 = subtract(tangents[i + 1], tangentL);
    const c2 = dot(v2, v2);
    out.push(c2 < 1e-30 ? upL : reflect(upL, v2, c2));
  }
  return out;
}

/** Signed angle in radians from `a` to `b` about the unit axis. */
export const angleAbout = (axis: Vec3, a: Vec3, b: Vec3): number => Math.atan2(dot(axis, cross(a, b)), dot(a, b));

/** Length of a polyline in metres. */
export const polylineLength = (points: readonly Vec3[]): number =>
  points.reduce((sum, p, i) => (i === 0 ? 0 : sum + length(subtract(p, points[i - 1]))), 0);

/** The unit vector perpendicular to a unit tangent that points upwards most; away from the world's back where that is none. */
export function levelUp(tangent: Vec3): Vec3 {
  const across = cross(tangent, [0, 1, 0]);
  return length(across) > 1e-6 ? normalize(cross(across, tangent)) : [0, 0, tangent[1] > 0 ? 1 : -1];
}

/** The rotation of a camera that looks along a direction, with its upright as near to `up` as can be. */
export function facing(direction: Vec3, up: Vec3): Quaternion {
  const back = scale(normalize(direction), -1);
  const across = cross(up, back);
  const right = length(across) > 1e-6 ? normalize(across) : cross(levelUp(scale(back, -1)), back);
  return fromColumns(right, cross(back, right), back);
}
