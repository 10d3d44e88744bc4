// Generated from src/core/space/route.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from './rotation.gen';
export const RF = new Float64Array(3), RI = new Int32Array(1);
export function routePoint(local_x: number, local_y: number, local_z: number, radius: number, turnsPerMetre: number): void {
  let origin_x = 0;
  let origin_y = 0;
  let origin_z = 0;
  let frame_x = 0;
  let frame_y = 0;
  let frame_z = 0;
  let frame_w = 0;
  const t0 = local_z;
  const t1 = radius;
  const t2 = turnsPerMetre;
  let origin_x$1 = 0;
  let origin_y$1 = 0;
  let origin_z$1 = 0;
  let frame_x$1 = 0;
  let frame_y$1 = 0;
  let frame_z$1 = 0;
  let frame_w$1 = 0;
  let turn = (t0 * t2);
  let r = (turn - Math.floor((turn + 0.5)));
  let a = Math.abs(r);
  const t3 = (0.5 - a);
  let q = (Math.min(a, t3) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t4 = ((r < 0) ? (-s) : s);
  let s$1 = t4;
  const t5 = (turn + 0.25);
  let r$1 = (t5 - Math.floor((t5 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t6 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t6) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$2 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t7 = ((r$1 < 0) ? (-s$2) : s$2);
  let c = t7;
  origin_x$1 = (t1 * c);
  origin_y$1 = (t1 * s$1);
  origin_z$1 = (-t0);
  let slope = ((t1 * 6.283185307179586) * t2);
  let inv = (1 / Math.sqrt((1 + (slope * slope))));
  let half_ = Math.sqrt((0.5 + (0.5 * inv)));
  let t10 = 0;
  if ((slope >= 0)) {
    const t8 = (0.5 - (0.5 * inv));
    t10 = Math.sqrt(Math.max(0, t8));
  } else {
    const t9 = (0.5 - (0.5 * inv));
    t10 = (-Math.sqrt(Math.max(0, t9)));
  }
  let across = t10;
  frame_x$1 = (c * across);
  frame_y$1 = (s$1 * across);
  frame_z$1 = 0;
  frame_w$1 = half_;
  origin_x = origin_x$1;
  origin_y = origin_y$1;
  origin_z = origin_z$1;
  frame_x = frame_x$1;
  frame_y = frame_y$1;
  frame_z = frame_z$1;
  frame_w = frame_w$1;
  let t_x = ((frame_y * 0 - frame_z * local_y) * 2);
  let t_y = ((frame_z * local_x - frame_x * 0) * 2);
  let t_z = ((frame_x * local_y - frame_y * local_x) * 2);
  const t11 = ((local_x + (t_x * frame_w)) + (frame_y * t_z - frame_z * t_y));
  const t12 = ((local_y + (t_y * frame_w)) + (frame_z * t_x - frame_x * t_z));
  const t13 = ((0 + (t_z * frame_w)) + (frame_x * t_y - frame_y * t_x));
  RF[0] = (origin_x + t11);
  RF[1] = (origin_y + t12);
  RF[2] = (origin_z + t13);
  return;
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"routePoint":[{"name":"local","type":"vec3","direction":"in"},{"name":"radius","type":"float","direction":"in"},{"name":"turnsPerMetre","type":"float","direction":"in"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  'space/route.glsl': `
void routeFrame(float advance, float radius, float turnsPerMetre, out vec3 origin, out vec4 frame) {
  float turn = advance * turnsPerMetre;
  float s = sinTurn(turn);
  float c = cosTurn(turn);
  origin = vec3(radius * c, radius * s, -advance);
  float slope = radius * TAU * turnsPerMetre;
  // leaning from straight ahead into the tangent is one rotation about the direction outwards
  float inv = inversesqrt(1.0 + slope * slope);
  float half_ = sqrt(0.5 + 0.5 * inv);
  float across = slope >= 0.0 ? sqrt(max(0.0, 0.5 - 0.5 * inv)) : -sqrt(max(0.0, 0.5 - 0.5 * inv));
  frame = vec4(c * across, s * across, 0.0, half_);
}

vec3 routePoint(vec3 local, float radius, float turnsPerMetre) {
  vec3 origin;
  vec4 frame;
  routeFrame(local.z, radius, turnsPerMetre, origin, frame);
  return origin + rotateBy(frame, vec3(local.xy, 0.0));
}
`,
};
