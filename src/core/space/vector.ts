export type Vec3 = [number, number, number];
/** x, y, z, w; a rotation when of length 1 */
export type Quaternion = [number, number, number, number];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, s: number): Vec3 => [a[0] * s, a[1] * s, a[2] * s];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const length = (a: Vec3): number => Math.hypot(a[0], a[1], a[2]);
export const normalize = (a: Vec3): Vec3 => scale(a, 1 / (length(a) || 1));
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Rotation about a unit axis by an angle in radians. */
export function fromAxis(axis: Vec3, angle: number): Quaternion {
  const s = Math.sin(angle / 2);
  return [axis[0] * s, axis[1] * s, axis[2] * s, Math.cos(angle / 2)];
}

/** The rotation that does `b` first, then `a`. */
export const multiply = (a: Quaternion, b: Quaternion): Quaternion => [
  a[3] * b[0] + a[0] * b[3] + a[1] * b[2] - a[2] * b[1],
  a[3] * b[1] - a[0] * b[2] + a[1] * b[3] + a[2] * b[0],
  a[3] * b[2] + a[0] * b[1] - a[1] * b[0] + a[2] * b[3],
  a[3] * b[3] - a[0] * b[0] - a[1] * b[1] - a[2] * b[2],
];

export function rotate(q: Quaternion, v: Vec3): Vec3 {
  const u: Vec3 = [q[0], q[1], q[2]];
  const t = scale(cross(u, v), 2);
  return add(add(v, scale(t, q[3])), cross(u, t));
}

/** The rotation whose matrix has these orthonormal columns (Shepperd, J. Guidance and Control 1(3), 1978). */
export function fromColumns(x: Vec3, y: Vec3, z: Vec3): Quaternion {
  const trace = x[0] + y[1] + z[2];
  if (trace > 0) {
    const s = 2 * Math.sqrt(trace + 1);
    return [(y[2] - z[1]) / s, (z[0] - x[2]) / s, (x[1] - y[0]) / s, s / 4];
  }
  if (x[0] > y[1] && x[0] > z[2]) {
    const s = 2 * Math.sqrt(1 + x[0] - y[1] - z[2]);
    return [s / 4, (y[0] + x[1]) / s, (z[0] + x[2]) / s, (y[2] - z[1]) / s];
  }
  if (y[1] > z[2]) {
    const s = 2 * Math.sqrt(1 + y[1] - x[0] - z[2]);
    return [(y[0] + x[1]) / s, s / 4, (z[1] + y[2]) / s, (z[0] - x[2]) / s];
  }
  const s = 2 * Math.sqrt(1 + z[2] - x[0] - y[1]);
  return [(z[0] + x[2]) / s, (z[1] + y[2]) / s, s / 4, (x[1] - y[0]) / s];
}

/** The rotation a share t of the way from a to b, at constant angular speed the shorter way (Shoemake, SIGGRAPH 1985). */
export function slerp(a: Quaternion, b: Quaternion, t: number): Quaternion {
  const cosine = a[0] * b[0] + a[1] * b[1] + a[2] * b[2] + a[3] * b[3];
  const sign = cosine < 0 ? -1 : 1;
  const angle = Math.acos(Math.min(1, cosine * sign));
  const sine = Math.sin(angle);
  const [wa, wb] = sine < 1e-9 ? [1 - t, t] : [Math.sin((1 - t) * angle) / sine, Math.sin(t * angle) / sine];
  return a.map((v, i) => v * wa + sign * b[i] * wb) as Quaternion;
}

/** The rotation that undoes a rotation. */
export const inverse = (q: Quaternion): Quaternion => [-q[0], -q[1], -q[2], q[3]];

/** A rotation as its axis times its angle in radians, the shorter way around. */
export function toTurn(q: Quaternion): Vec3 {
  const sign = q[3] < 0 ? -1 : 1;
  const sine = Math.hypot(q[0], q[1], q[2]);
  const by = sine < 1e-12 ? 2 : (2 * Math.atan2(sine, sign * q[3])) / sine;
  return [q[0] * by * sign, q[1] * by * sign, q[2] * by * sign];
}

/** The rotation about an axis by the angle that is its length. */
export function fromTurn(turn: Vec3): Quaternion {
  const angle = length(turn);
  return angle < 1e-12 ? [turn[0] / 2, turn[1] / 2, turn[2] / 2, 1] : fromAxis(scale(turn, 1 / angle), angle);
}
