// Generated from src/core/treatments/turn/turn.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../random/hash.gen';
import { sources as from1 } from '../../space/rotation.gen';
export const RF = new Float64Array(7), RI = new Int32Array(1);
export function turnElement(key: number, weight: number, seed: number, amount: number, each: number, axis_x: number, axis_y: number, axis_z: number, pivot_x: number, pivot_y: number, pivot_z: number, speeds: number, ways: number, position_x: number, position_y: number, position_z: number, rotation_x: number, rotation_y: number, rotation_z: number, rotation_w: number): void {
  key = key | 0;
  seed = seed | 0;
  each = each | 0;
  speeds = speeds | 0;
  ways = ways | 0;
  let turns = amount;
  if ((each === 1)) {
    let v_x = key;
    let v_y = seed;
    let v_z = 42;
    let v_w = 0;
    v_x = ((Math.imul(v_x, 1664525) + 1013904223) | 0);
    v_y = ((Math.imul(v_y, 1664525) + 1013904223) | 0);
    v_z = ((Math.imul(v_z, 1664525) + 1013904223) | 0);
    v_w = ((Math.imul(v_w, 1664525) + 1013904223) | 0);
    v_x = ((v_x + Math.imul(v_y, v_w)) | 0);
    v_y = ((v_y + Math.imul(v_z, v_x)) | 0);
    v_z = ((v_z + Math.imul(v_x, v_y)) | 0);
    v_w = ((v_w + Math.imul(v_y, v_z)) | 0);
    v_x = (v_x ^ ((v_x >>> 16) | 0));
    v_y = (v_y ^ ((v_y >>> 16) | 0));
    v_z = (v_z ^ ((v_z >>> 16) | 0));
    v_w = (v_w ^ ((v_w >>> 16) | 0));
    v_x = ((v_x + Math.imul(v_y, v_w)) | 0);
    v_y = ((v_y + Math.imul(v_z, v_x)) | 0);
    v_z = ((v_z + Math.imul(v_x, v_y)) | 0);
    v_w = ((v_w + Math.imul(v_y, v_z)) | 0);
    const t0 = v_x;
    const t1 = v_y;
    const t2 = v_z;
    const t3 = v_w;
    let h_x = t0;
    let h_y = t1;
    let h_z = t2;
    let h_w = t3;
    turns = (turns * ((1 + ((Math.imul(((h_x >>> 16) | 0), speeds) >>> 16) | 0)) | 0));
    if (((ways === 1) && ((h_y & 1) === 1))) {
      turns = (-turns);
    }
    const t4 = axis_x;
    const t5 = axis_y;
    const t6 = axis_z;
    const t7 = (turns * weight);
    const t8 = (t7 * 0.5);
    let r = (t8 - Math.floor((t8 + 0.5)));
    let a = Math.abs(r);
    const t9 = (0.5 - a);
    let q = (Math.min(a, t9) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t10 = ((r < 0) ? (-s) : s);
    const t11 = (t7 * 0.5);
    const t12 = (t11 + 0.25);
    let r$1 = (t12 - Math.floor((t12 + 0.5)));
    let a$1 = Math.abs(r$1);
    const t13 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t13) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t14 = ((r$1 < 0) ? (-s$1) : s$1);
    const t15 = (t4 * t10);
    const t16 = (t5 * t10);
    const t17 = (t6 * t10);
    const t18 = (((t15 * rotation_w) + (rotation_x * t14)) + (rotation_y * t17 - rotation_z * t16));
    const t19 = (((t16 * rotation_w) + (rotation_y * t14)) + (rotation_z * t15 - rotation_x * t17));
    const t20 = (((t17 * rotation_w) + (rotation_z * t14)) + (rotation_x * t16 - rotation_y * t15));
    const t21 = ((rotation_w * t14) - (((rotation_x * t15) + (rotation_y * t16)) + (rotation_z * t17)));
    rotation_x = t18;
    rotation_y = t19;
    rotation_z = t20;
    rotation_w = t21;
  }
  else {
    const t22 = axis_x;
    const t23 = axis_y;
    const t24 = axis_z;
    const t25 = (turns * weight);
    const t26 = (t25 * 0.5);
    let r$2 = (t26 - Math.floor((t26 + 0.5)));
    let a$2 = Math.abs(r$2);
    const t27 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t27) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t28 = ((r$2 < 0) ? (-s$2) : s$2);
    const t29 = (t25 * 0.5);
    const t30 = (t29 + 0.25);
    let r$3 = (t30 - Math.floor((t30 + 0.5)));
    let a$3 = Math.abs(r$3);
    const t31 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t31) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t32 = ((r$3 < 0) ? (-s$3) : s$3);
    const t33 = (t22 * t28);
    const t34 = (t23 * t28);
    const t35 = (t24 * t28);
    let q_x = t33;
    let q_y = t34;
    let q_z = t35;
    let q_w = t32;
    const t36 = q_x;
    const t37 = q_y;
    const t38 = q_z;
    const t39 = q_w;
    const t40 = (position_x - pivot_x);
    const t41 = (position_y - pivot_y);
    const t42 = (position_z - pivot_z);
    let t_x = ((t37 * t42 - t38 * t41) * 2);
    let t_y = ((t38 * t40 - t36 * t42) * 2);
    let t_z = ((t36 * t41 - t37 * t40) * 2);
    const t43 = ((t40 + (t_x * t39)) + (t37 * t_z - t38 * t_y));
    const t44 = ((t41 + (t_y * t39)) + (t38 * t_x - t36 * t_z));
    const t45 = ((t42 + (t_z * t39)) + (t36 * t_y - t37 * t_x));
    position_x = (pivot_x + t43);
    position_y = (pivot_y + t44);
    position_z = (pivot_z + t45);
    const t46 = (((rotation_x * q_w) + (q_x * rotation_w)) + (q_y * rotation_z - q_z * rotation_y));
    const t47 = (((rotation_y * q_w) + (q_y * rotation_w)) + (q_z * rotation_x - q_x * rotation_z));
    const t48 = (((rotation_z * q_w) + (q_z * rotation_w)) + (q_x * rotation_y - q_y * rotation_x));
    const t49 = ((q_w * rotation_w) - (((q_x * rotation_x) + (q_y * rotation_y)) + (q_z * rotation_z)));
    rotation_x = t46;
    rotation_y = t47;
    rotation_z = t48;
    rotation_w = t49;
  }
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = rotation_x;
  RF[4] = rotation_y;
  RF[5] = rotation_z;
  RF[6] = rotation_w;
}
export function turnRun(first: number, end: number, keyA: Uint32Array, weightA: Float64Array, seed: number, amount: number, each: number, axis_x: number, axis_y: number, axis_z: number, pivot_x: number, pivot_y: number, pivot_z: number, speeds: number, ways: number, positionA: Float64Array, rotationA: Float64Array): void {
  seed = seed | 0; each = each | 0; speeds = speeds | 0; ways = ways | 0;
  for (let k = first; k < end; k++) {
  const t0 = keyA[k] | 0;
  const t1 = weightA[k];
  const t2 = positionA[k * 3];
  const t3 = positionA[k * 3 + 1];
  const t4 = positionA[k * 3 + 2];
  const t5 = rotationA[k * 4];
  const t6 = rotationA[k * 4 + 1];
  const t7 = rotationA[k * 4 + 2];
  const t8 = rotationA[k * 4 + 3];
  let position_x = t2;
  let position_y = t3;
  let position_z = t4;
  let rotation_x = t5;
  let rotation_y = t6;
  let rotation_z = t7;
  let rotation_w = t8;
  let turns = amount;
  if ((each === 1)) {
    let v_x = t0;
    let v_y = seed;
    let v_z = 42;
    let v_w = 0;
    v_x = ((Math.imul(v_x, 1664525) + 1013904223) | 0);
    v_y = ((Math.imul(v_y, 1664525) + 1013904223) | 0);
    v_z = ((Math.imul(v_z, 1664525) + 1013904223) | 0);
    v_w = ((Math.imul(v_w, 1664525) + 1013904223) | 0);
    v_x = ((v_x + Math.imul(v_y, v_w)) | 0);
    v_y = ((v_y + Math.imul(v_z, v_x)) | 0);
    v_z = ((v_z + Math.imul(v_x, v_y)) | 0);
    v_w = ((v_w + Math.imul(v_y, v_z)) | 0);
    v_x = (v_x ^ ((v_x >>> 16) | 0));
    v_y = (v_y ^ ((v_y >>> 16) | 0));
    v_z = (v_z ^ ((v_z >>> 16) | 0));
    v_w = (v_w ^ ((v_w >>> 16) | 0));
    v_x = ((v_x + Math.imul(v_y, v_w)) | 0);
    v_y = ((v_y + Math.imul(v_z, v_x)) | 0);
    v_z = ((v_z + Math.imul(v_x, v_y)) | 0);
    v_w = ((v_w + Math.imul(v_y, v_z)) | 0);
    const t9 = v_x;
    const t10 = v_y;
    const t11 = v_z;
    const t12 = v_w;
    let h_x = t9;
    let h_y = t10;
    let h_z = t11;
    let h_w = t12;
    turns = (turns * ((1 + ((Math.imul(((h_x >>> 16) | 0), speeds) >>> 16) | 0)) | 0));
    if (((ways === 1) && ((h_y & 1) === 1))) {
      turns = (-turns);
    }
    const t13 = (turns * t1);
    const t14 = (t13 * 0.5);
    let r = (t14 - Math.floor((t14 + 0.5)));
    let a = Math.abs(r);
    const t15 = (0.5 - a);
    let q = (Math.min(a, t15) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t16 = ((r < 0) ? (-s) : s);
    const t17 = (t13 * 0.5);
    const t18 = (t17 + 0.25);
    let r$1 = (t18 - Math.floor((t18 + 0.5)));
    let a$1 = Math.abs(r$1);
    const t19 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t19) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t20 = ((r$1 < 0) ? (-s$1) : s$1);
    const t21 = (axis_x * t16);
    const t22 = (axis_y * t16);
    const t23 = (axis_z * t16);
    const t24 = (((t21 * rotation_w) + (rotation_x * t20)) + (rotation_y * t23 - rotation_z * t22));
    const t25 = (((t22 * rotation_w) + (rotation_y * t20)) + (rotation_z * t21 - rotation_x * t23));
    const t26 = (((t23 * rotation_w) + (rotation_z * t20)) + (rotation_x * t22 - rotation_y * t21));
    const t27 = ((rotation_w * t20) - (((rotation_x * t21) + (rotation_y * t22)) + (rotation_z * t23)));
    rotation_x = t24;
    rotation_y = t25;
    rotation_z = t26;
    rotation_w = t27;
  }
  else {
    const t28 = (turns * t1);
    const t29 = (t28 * 0.5);
    let r$2 = (t29 - Math.floor((t29 + 0.5)));
    let a$2 = Math.abs(r$2);
    const t30 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t30) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t31 = ((r$2 < 0) ? (-s$2) : s$2);
    const t32 = (t28 * 0.5);
    const t33 = (t32 + 0.25);
    let r$3 = (t33 - Math.floor((t33 + 0.5)));
    let a$3 = Math.abs(r$3);
    const t34 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t34) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t35 = ((r$3 < 0) ? (-s$3) : s$3);
    const t36 = (axis_x * t31);
    const t37 = (axis_y * t31);
    const t38 = (axis_z * t31);
    let q_x = t36;
    let q_y = t37;
    let q_z = t38;
    let q_w = t35;
    const t39 = q_x;
    const t40 = q_y;
    const t41 = q_z;
    const t42 = q_w;
    const t43 = (position_x - pivot_x);
    const t44 = (position_y - pivot_y);
    const t45 = (position_z - pivot_z);
    let t_x = ((t40 * t45 - t41 * t44) * 2);
    let t_y = ((t41 * t43 - t39 * t45) * 2);
    let t_z = ((t39 * t44 - t40 * t43) * 2);
    const t46 = ((t43 + (t_x * t42)) + (t40 * t_z - t41 * t_y));
    const t47 = ((t44 + (t_y * t42)) + (t41 * t_x - t39 * t_z));
    const t48 = ((t45 + (t_z * t42)) + (t39 * t_y - t40 * t_x));
    position_x = (pivot_x + t46);
    position_y = (pivot_y + t47);
    position_z = (pivot_z + t48);
    const t49 = (((rotation_x * q_w) + (q_x * rotation_w)) + (q_y * rotation_z - q_z * rotation_y));
    const t50 = (((rotation_y * q_w) + (q_y * rotation_w)) + (q_z * rotation_x - q_x * rotation_z));
    const t51 = (((rotation_z * q_w) + (q_z * rotation_w)) + (q_x * rotation_y - q_y * rotation_x));
    const t52 = ((q_w * rotation_w) - (((q_x * rotation_x) + (q_y * rotation_y)) + (q_z * rotation_z)));
    rotation_x = t49;
    rotation_y = t50;
    rotation_z = t51;
    rotation_w = t52;
  }
  positionA[k * 3] = position_x;
  positionA[k * 3 + 1] = position_y;
  positionA[k * 3 + 2] = position_z;
  rotationA[k * 4] = rotation_x;
  rotationA[k * 4 + 1] = rotation_y;
  rotationA[k * 4 + 2] = rotation_z;
  rotationA[k * 4 + 3] = rotation_w;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"turnElement":[{"name":"key","type":"uint","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"each","type":"int","direction":"in"},{"name":"axis","type":"vec3","direction":"in"},{"name":"pivot","type":"vec3","direction":"in"},{"name":"speeds","type":"int","direction":"in"},{"name":"ways","type":"int","direction":"in"},{"name":"position","type":"vec3","direction":"inout"},{"name":"rotation","type":"vec4","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  ...from1,
  'treatments/turn/turn.glsl': `
void turnElement(uint key, float weight, uint seed, float amount, int each, vec3 axis, vec3 pivot, int speeds, int ways,
                 inout vec3 position, inout vec4 rotation) {
  float turns = amount;
  if (each == 1) {
    uvec4 h = pcg4d(uvec4(key, seed, 42u, 0u));
    turns *= float(1 + int(((h.x >> 16u) * uint(speeds)) >> 16u));
    if (ways == 1 && (h.y & 1u) == 1u) turns = -turns;
    rotation = quatTimes(rotation, quatAbout(axis, turns * weight));
  } else {
    vec4 q = quatAbout(axis, turns * weight);
    position = pivot + rotateBy(q, position - pivot);
    rotation = quatTimes(q, rotation);
  }
}
`,
};
