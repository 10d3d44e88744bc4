// Generated from src/core/space/rotation.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(4), RI = new Int32Array(1);
export function rotateBy(q_x: number, q_y: number, q_z: number, q_w: number, v_x: number, v_y: number, v_z: number): void {
  let t_x = ((q_y * v_z - q_z * v_y) * 2);
  let t_y = ((q_z * v_x - q_x * v_z) * 2);
  let t_z = ((q_x * v_y - q_y * v_x) * 2);
  RF[0] = ((v_x + (t_x * q_w)) + (q_y * t_z - q_z * t_y));
  RF[1] = ((v_y + (t_y * q_w)) + (q_z * t_x - q_x * t_z));
  RF[2] = ((v_z + (t_z * q_w)) + (q_x * t_y - q_y * t_x));
  return;
}
export function quatTimes(a_x: number, a_y: number, a_z: number, a_w: number, b_x: number, b_y: number, b_z: number, b_w: number): void {
  RF[0] = (((b_x * a_w) + (a_x * b_w)) + (a_y * b_z - a_z * b_y));
  RF[1] = (((b_y * a_w) + (a_y * b_w)) + (a_z * b_x - a_x * b_z));
  RF[2] = (((b_z * a_w) + (a_z * b_w)) + (a_x * b_y - a_y * b_x));
  RF[3] = ((a_w * b_w) - (((a_x * b_x) + (a_y * b_y)) + (a_z * b_z)));
  return;
}
export function quatAbout(axis_x: number, axis_y: number, axis_z: number, turns: number): void {
  const t0 = (turns * 0.5);
  let r = (t0 - Math.floor((t0 + 0.5)));
  let a = Math.abs(r);
  const t1 = (0.5 - a);
  let q = (Math.min(a, t1) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t2 = ((r < 0) ? (-s) : s);
  const t3 = (turns * 0.5);
  const t4 = (t3 + 0.25);
  let r$1 = (t4 - Math.floor((t4 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t5 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t5) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t6 = ((r$1 < 0) ? (-s$1) : s$1);
  RF[0] = (axis_x * t2);
  RF[1] = (axis_y * t2);
  RF[2] = (axis_z * t2);
  RF[3] = t6;
  return;
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"rotateBy":[{"name":"q","type":"vec4","direction":"in"},{"name":"v","type":"vec3","direction":"in"}],"quatTimes":[{"name":"a","type":"vec4","direction":"in"},{"name":"b","type":"vec4","direction":"in"}],"quatAbout":[{"name":"axis","type":"vec3","direction":"in"},{"name":"turns","type":"float","direction":"in"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  'noise/turn.glsl': `const float TAU = 6.28318530717958648;

float sinTurn(float t) {
  float r = t - floor(t + 0.5);
  float a = abs(r);
  float q = min(a, 0.5 - a) * TAU;
  float q2 = q * q;
  float s = q * (1.0 + q2 * (-0.16666666667 + q2 * (0.0083333333333 + q2 * (-0.00019841269841 + q2 * (2.7557319224e-6 + q2 * -2.5052108385e-8)))));
  return r < 0.0 ? -s : s;
}

float cosTurn(float t) { return sinTurn(t + 0.25); }
`,
  'space/rotation.glsl': `
vec3 rotateBy(vec4 q, vec3 v) {
  vec3 t = cross(q.xyz, v) * 2.0;
  return v + t * q.w + cross(q.xyz, t);
}

vec4 quatTimes(vec4 a, vec4 b) {
  return vec4(b.xyz * a.w + a.xyz * b.w + cross(a.xyz, b.xyz), a.w * b.w - dot(a.xyz, b.xyz));
}

vec4 quatAbout(vec3 axis, float turns) {
  return vec4(axis * sinTurn(turns * 0.5), cosTurn(turns * 0.5));
}

vec3 sphereDirection(float u, float v) {
  float z = u * 2.0 - 1.0;
  float ring = sqrt(max(0.0, 1.0 - z * z));
  return vec3(cosTurn(v) * ring, sinTurn(v) * ring, z);
}

vec4 quatFrom(vec3 x, vec3 y, vec3 z) {
  float trace = x.x + y.y + z.z;
  vec4 q = vec4(y.z - z.y, z.x - x.z, x.y - y.x, 1.0 + trace);
  if (trace < 0.0) {
    if (x.x > y.y && x.x > z.z) q = vec4(1.0 + x.x - y.y - z.z, x.y + y.x, z.x + x.z, y.z - z.y);
    else if (y.y > z.z) q = vec4(x.y + y.x, 1.0 + y.y - z.z - x.x, y.z + z.y, z.x - x.z);
    else q = vec4(z.x + x.z, y.z + z.y, 1.0 + z.z - x.x - y.y, x.y - y.x);
  }
  return q * inversesqrt(dot(q, q));
}
`,
};
