// Generated from src/core/space/route.glsl by npm run kernels. Do not edit.
export const RF = new Float64Array(3), RI = new Int32Array(1);
export function routePoint(local_x: number, local_y: number, local_z: number, radius: number, turnsPerMetre: number): void {
  let turn = (local_z * turnsPerMetre);
  let r = (turn - Math.floor((turn + 0.5)));
  let a = Math.abs(r);
  const t0 = (0.5 - a);
  let q = (Math.min(a, t0) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t1 = ((r < 0) ? (-s) : s);
  let s$1 = t1;
  const t2 = (turn + 0.25);
  let r$1 = (t2 - Math.floor((t2 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t3 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t3) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$2 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t4 = ((r$1 < 0) ? (-s$2) : s$2);
  let c = t4;
  let slope = ((radius * 6.283185307179586) * turnsPerMetre);
  let inv = (1 / Math.sqrt((1 + (slope * slope))));
  let outward_x = c;
  let outward_y = s$1;
  let outward_z = 0;
  let tangent_x = (((-slope) * s$1) * inv);
  let tangent_y = ((slope * c) * inv);
  let tangent_z = ((-1) * inv);
  let over_x = (outward_y * tangent_z - outward_z * tangent_y);
  let over_y = (outward_z * tangent_x - outward_x * tangent_z);
  let over_z = (outward_x * tangent_y - outward_y * tangent_x);
  let right_x = ((outward_x * c) - (over_x * s$1));
  let right_y = ((outward_y * c) - (over_y * s$1));
  let right_z = ((outward_z * c) - (over_z * s$1));
  let up_x = ((outward_x * s$1) + (over_x * c));
  let up_y = ((outward_y * s$1) + (over_y * c));
  let up_z = ((outward_z * s$1) + (over_z * c));
  RF[0] = (((radius * c) + (right_x * local_x)) + (up_x * local_y));
  RF[1] = (((radius * s$1) + (right_y * local_x)) + (up_y * local_y));
  RF[2] = (((-local_z) + (right_z * local_x)) + (up_z * local_y));
  return;
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"routePoint":[{"name":"local","type":"vec3","direction":"in"},{"name":"radius","type":"float","direction":"in"},{"name":"turnsPerMetre","type":"float","direction":"in"}]} as const;

/** The kernel's GLSL with everything it includes, to be put in front of a shader's own code. */
export const source = `const float TAU = 6.28318530717958648;

float sinTurn(float t) {
  float r = t - floor(t + 0.5);
  float a = abs(r);
  float q = min(a, 0.5 - a) * TAU;
  float q2 = q * q;
  float s = q * (1.0 + q2 * (-0.16666666667 + q2 * (0.0083333333333 + q2 * (-0.00019841269841 + q2 * (2.7557319224e-6 + q2 * -2.5052108385e-8)))));
  return r < 0.0 ? -s : s;
}

float cosTurn(float t) { return sinTurn(t + 0.25); }


vec3 routePoint(vec3 local, float radius, float turnsPerMetre) {
  float turn = local.z * turnsPerMetre;
  float s = sinTurn(turn);
  float c = cosTurn(turn);
  float slope = radius * TAU * turnsPerMetre;
  float inv = inversesqrt(1.0 + slope * slope);
  vec3 outward = vec3(c, s, 0.0);
  vec3 tangent = vec3(-slope * s, slope * c, -1.0) * inv;
  vec3 over = cross(outward, tangent);
  vec3 right = outward * c - over * s;
  vec3 up = outward * s + over * c;
  return vec3(radius * c, radius * s, -local.z) + right * local.x + up * local.y;
}

`;
