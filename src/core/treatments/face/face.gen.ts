// Generated from src/core/treatments/face/face.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../space/rotation.gen';
export const RF = new Float64Array(4), RI = new Int32Array(1);
export function faceElement(weight: number, position_x: number, position_y: number, position_z: number, amount: number, to: number, view_x: number, view_y: number, view_z: number, view_w: number, point_x: number, point_y: number, point_z: number, rotation_x: number, rotation_y: number, rotation_z: number, rotation_w: number): void {
  to = to | 0;
  let goal_x = view_x;
  let goal_y = view_y;
  let goal_z = view_z;
  let goal_w = view_w;
  if ((to === 1)) {
    let z_x = (point_x - position_x);
    let z_y = (point_y - position_y);
    let z_z = (point_z - position_z);
    const t0 = (1 / Math.sqrt(((((z_x * z_x) + (z_y * z_y)) + (z_z * z_z)) + 1e-12)));
    z_x = (z_x * t0);
    z_y = (z_y * t0);
    z_z = (z_z * t0);
    let flat_ = Math.sqrt(((z_x * z_x) + (z_z * z_z)));
    let c = ((flat_ > 0.000001) ? (z_z / flat_) : 1);
    let s = ((flat_ > 0.000001) ? (z_x / flat_) : 0);
    const t1 = (0.5 + (0.5 * c));
    let halfC = Math.sqrt(Math.max(0, t1));
    const t2 = (0.5 - (0.5 * c));
    let halfS = (((s < 0) ? (-1) : 1) * Math.sqrt(Math.max(0, t2)));
    const t3 = (0.5 + (0.5 * flat_));
    let leanC = Math.sqrt(Math.max(0, t3));
    const t4 = (0.5 - (0.5 * flat_));
    let leanS = (((z_y < 0) ? 1 : (-1)) * Math.sqrt(Math.max(0, t4)));
    const t5 = (((leanS * halfC) + (0 * leanC)) + (halfS * 0 - 0 * 0));
    const t6 = (((0 * halfC) + (halfS * leanC)) + (0 * leanS - 0 * 0));
    const t7 = (((0 * halfC) + (0 * leanC)) + (0 * 0 - halfS * leanS));
    const t8 = ((halfC * leanC) - (((0 * leanS) + (halfS * 0)) + (0 * 0)));
    goal_x = t5;
    goal_y = t6;
    goal_z = t7;
    goal_w = t8;
  }
  let near = ((((((goal_x * rotation_x) + (goal_y * rotation_y)) + (goal_z * rotation_z)) + (goal_w * rotation_w)) < 0) ? (-1) : 1);
  const t9 = Math.min(Math.max((amount * weight), 0), 1);
  let q_x = (rotation_x * (1 - t9) + (goal_x * near) * t9);
  let q_y = (rotation_y * (1 - t9) + (goal_y * near) * t9);
  let q_z = (rotation_z * (1 - t9) + (goal_z * near) * t9);
  let q_w = (rotation_w * (1 - t9) + (goal_w * near) * t9);
  const t10 = (1 / Math.sqrt((((((q_x * q_x) + (q_y * q_y)) + (q_z * q_z)) + (q_w * q_w)) + 1e-12)));
  rotation_x = (q_x * t10);
  rotation_y = (q_y * t10);
  rotation_z = (q_z * t10);
  rotation_w = (q_w * t10);
  RF[0] = rotation_x;
  RF[1] = rotation_y;
  RF[2] = rotation_z;
  RF[3] = rotation_w;
}
export function faceRun(first: number, end: number, weightA: Float64Array, positionA: Float64Array, amount: number, to: number, view_x: number, view_y: number, view_z: number, view_w: number, point_x: number, point_y: number, point_z: number, rotationA: Float64Array): void {
  to = to | 0;
  for (let k = first; k < end; k++) {
  const t0 = weightA[k];
  const t1 = positionA[k * 3];
  const t2 = positionA[k * 3 + 1];
  const t3 = positionA[k * 3 + 2];
  const t4 = rotationA[k * 4];
  const t5 = rotationA[k * 4 + 1];
  const t6 = rotationA[k * 4 + 2];
  const t7 = rotationA[k * 4 + 3];
  let rotation_x = t4;
  let rotation_y = t5;
  let rotation_z = t6;
  let rotation_w = t7;
  let goal_x = view_x;
  let goal_y = view_y;
  let goal_z = view_z;
  let goal_w = view_w;
  if ((to === 1)) {
    let z_x = (point_x - t1);
    let z_y = (point_y - t2);
    let z_z = (point_z - t3);
    const t8 = (1 / Math.sqrt(((((z_x * z_x) + (z_y * z_y)) + (z_z * z_z)) + 1e-12)));
    z_x = (z_x * t8);
    z_y = (z_y * t8);
    z_z = (z_z * t8);
    let flat_ = Math.sqrt(((z_x * z_x) + (z_z * z_z)));
    let c = ((flat_ > 0.000001) ? (z_z / flat_) : 1);
    let s = ((flat_ > 0.000001) ? (z_x / flat_) : 0);
    const t9 = (0.5 + (0.5 * c));
    let halfC = Math.sqrt(Math.max(0, t9));
    const t10 = (0.5 - (0.5 * c));
    let halfS = (((s < 0) ? (-1) : 1) * Math.sqrt(Math.max(0, t10)));
    const t11 = (0.5 + (0.5 * flat_));
    let leanC = Math.sqrt(Math.max(0, t11));
    const t12 = (0.5 - (0.5 * flat_));
    let leanS = (((z_y < 0) ? 1 : (-1)) * Math.sqrt(Math.max(0, t12)));
    const t13 = (((leanS * halfC) + (0 * leanC)) + (halfS * 0 - 0 * 0));
    const t14 = (((0 * halfC) + (halfS * leanC)) + (0 * leanS - 0 * 0));
    const t15 = (((0 * halfC) + (0 * leanC)) + (0 * 0 - halfS * leanS));
    const t16 = ((halfC * leanC) - (((0 * leanS) + (halfS * 0)) + (0 * 0)));
    goal_x = t13;
    goal_y = t14;
    goal_z = t15;
    goal_w = t16;
  }
  let near = ((((((goal_x * rotation_x) + (goal_y * rotation_y)) + (goal_z * rotation_z)) + (goal_w * rotation_w)) < 0) ? (-1) : 1);
  const t17 = Math.min(Math.max((amount * t0), 0), 1);
  let q_x = (rotation_x * (1 - t17) + (goal_x * near) * t17);
  let q_y = (rotation_y * (1 - t17) + (goal_y * near) * t17);
  let q_z = (rotation_z * (1 - t17) + (goal_z * near) * t17);
  let q_w = (rotation_w * (1 - t17) + (goal_w * near) * t17);
  const t18 = (1 / Math.sqrt((((((q_x * q_x) + (q_y * q_y)) + (q_z * q_z)) + (q_w * q_w)) + 1e-12)));
  rotation_x = (q_x * t18);
  rotation_y = (q_y * t18);
  rotation_z = (q_z * t18);
  rotation_w = (q_w * t18);
  rotationA[k * 4] = rotation_x;
  rotationA[k * 4 + 1] = rotation_y;
  rotationA[k * 4 + 2] = rotation_z;
  rotationA[k * 4 + 3] = rotation_w;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"faceElement":[{"name":"weight","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"to","type":"int","direction":"in"},{"name":"view","type":"vec4","direction":"in"},{"name":"point","type":"vec3","direction":"in"},{"name":"rotation","type":"vec4","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  'treatments/face/face.glsl': `
void faceElement(float weight, vec3 position, float amount, int to, vec4 view, vec3 point, inout vec4 rotation) {
  vec4 goal = view;
  if (to == 1) {
    vec3 z = point - position;
    z = z * inversesqrt(dot(z, z) + 1e-12);
    // first turn about the upright axis, then lean: the top stays up
    float flat_ = sqrt(z.x * z.x + z.z * z.z);
    float c = flat_ > 1e-6 ? z.z / flat_ : 1.0;
    float s = flat_ > 1e-6 ? z.x / flat_ : 0.0;
    float halfC = sqrt(max(0.0, 0.5 + 0.5 * c));
    float halfS = (s < 0.0 ? -1.0 : 1.0) * sqrt(max(0.0, 0.5 - 0.5 * c));
    float leanC = sqrt(max(0.0, 0.5 + 0.5 * flat_));
    float leanS = (z.y < 0.0 ? 1.0 : -1.0) * sqrt(max(0.0, 0.5 - 0.5 * flat_));
    goal = quatTimes(vec4(0.0, halfS, 0.0, halfC), vec4(leanS, 0.0, 0.0, leanC));
  }
  float near = dot(goal, rotation) < 0.0 ? -1.0 : 1.0;
  vec4 q = mix(rotation, goal * near, clamp(amount * weight, 0.0, 1.0));
  rotation = q * inversesqrt(dot(q, q) + 1e-12);
}
`,
};
