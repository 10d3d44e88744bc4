// Generated from src/core/treatments/stagger/stagger.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../random/hash.gen';
import { sources as from1 } from '../../space/rotation.gen';
export const RF = new Float64Array(9), RI = new Int32Array(1);
export function staggerElement(key: number, order: number, weight: number, seed: number, amount: number, by: number, pivot_x: number, pivot_y: number, pivot_z: number, span: number, overlap: number, ease: number, backward: number, grow: number, fadeIn: number, from_x: number, from_y: number, from_z: number, turns: number, position_x: number, position_y: number, position_z: number, rotation_x: number, rotation_y: number, rotation_z: number, rotation_w: number, size: number, fade: number): void {
  key = key | 0;
  seed = seed | 0;
  by = by | 0;
  ease = ease | 0;
  backward = backward | 0;
  let rank = order;
  if ((by === 1)) {
    let v_x = key;
    let v_y = seed;
    let v_z = 43;
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
    const t4 = ((((t0 >>> 8) | 0) >>> 0) * (1 / 16777216));
    rank = t4;
  }
  if ((by === 2)) {
    const t5 = ((-position_z) / span);
    rank = (t5 - Math.floor(t5));
  }
  if ((by === 3)) {
    const t6 = (position_x - pivot_x);
    const t7 = (position_y - pivot_y);
    const t8 = (position_z - pivot_z);
    rank = Math.min(Math.max((Math.sqrt((((t6 * t6) + (t7 * t7)) + (t8 * t8))) / span), 0), 1);
  }
  if ((backward === 1)) {
    rank = (1 - rank);
  }
  let width = Math.max(overlap, 0.001);
  let t = Math.min(Math.max(((amount - (rank * (1 - width))) / width), 0), 1);
  let staggerEase_r = 0;
  L9: {
    if ((ease === 1)) {
      staggerEase_r = ((t * t) * (3 - (2 * t)));
      break L9;
    }
    let r = (1 - t);
    if ((ease === 2)) {
      staggerEase_r = (1 - (((r * r) * r) * r));
      break L9;
    }
    if ((ease === 3)) {
      staggerEase_r = (1 + ((r * r) * ((2.70158 * (-r)) + 1.70158)));
      break L9;
    }
    if ((ease === 4)) {
      let a = (t * 2.75);
      if ((a < 1)) {
        staggerEase_r = (a * a);
        break L9;
      }
      if ((a < 2)) {
        staggerEase_r = (1 - (((4 * 0.25) * (a - 1)) * (2 - a)));
        break L9;
      }
      a = ((a - 2) / 0.75);
      staggerEase_r = (1 - ((a * (1 - a)) * 0.25));
      break L9;
    }
    staggerEase_r = t;
    break L9;
  }
  let there = (1 * (1 - weight) + staggerEase_r * weight);
  size = (size * (1 * (1 - grow) + Math.max(there, 0) * grow));
  fade = (fade * (1 * (1 - fadeIn) + Math.min(Math.max(there, 0), 1) * fadeIn));
  const t10 = (1 - there);
  position_x = (position_x + (from_x * t10));
  position_y = (position_y + (from_y * t10));
  position_z = (position_z + (from_z * t10));
  const t11 = ((there - 1) * turns);
  const t12 = (t11 * 0.5);
  let r$1 = (t12 - Math.floor((t12 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t13 = (0.5 - a$1);
  let q = (Math.min(a$1, t13) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t14 = ((r$1 < 0) ? (-s) : s);
  const t15 = (t11 * 0.5);
  const t16 = (t15 + 0.25);
  let r$2 = (t16 - Math.floor((t16 + 0.5)));
  let a$2 = Math.abs(r$2);
  const t17 = (0.5 - a$2);
  let q$1 = (Math.min(a$2, t17) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t18 = ((r$2 < 0) ? (-s$1) : s$1);
  const t19 = (0 * t14);
  const t20 = (1 * t14);
  const t21 = (0 * t14);
  const t22 = (((t19 * rotation_w) + (rotation_x * t18)) + (rotation_y * t21 - rotation_z * t20));
  const t23 = (((t20 * rotation_w) + (rotation_y * t18)) + (rotation_z * t19 - rotation_x * t21));
  const t24 = (((t21 * rotation_w) + (rotation_z * t18)) + (rotation_x * t20 - rotation_y * t19));
  const t25 = ((rotation_w * t18) - (((rotation_x * t19) + (rotation_y * t20)) + (rotation_z * t21)));
  rotation_x = t22;
  rotation_y = t23;
  rotation_z = t24;
  rotation_w = t25;
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = rotation_x;
  RF[4] = rotation_y;
  RF[5] = rotation_z;
  RF[6] = rotation_w;
  RF[7] = size;
  RF[8] = fade;
}
export function staggerRun(first: number, end: number, keyA: Uint32Array, orderA: Float64Array, weightA: Float64Array, seed: number, amount: number, by: number, pivot_x: number, pivot_y: number, pivot_z: number, span: number, overlap: number, ease: number, backward: number, grow: number, fadeIn: number, from_x: number, from_y: number, from_z: number, turns: number, positionA: Float64Array, rotationA: Float64Array, sizeA: Float64Array, fadeA: Float64Array): void {
  seed = seed | 0; by = by | 0; ease = ease | 0; backward = backward | 0;
  for (let k = first; k < end; k++) {
  const t0 = keyA[k] | 0;
  const t1 = orderA[k];
  const t2 = weightA[k];
  const t3 = positionA[k * 3];
  const t4 = positionA[k * 3 + 1];
  const t5 = positionA[k * 3 + 2];
  const t6 = rotationA[k * 4];
  const t7 = rotationA[k * 4 + 1];
  const t8 = rotationA[k * 4 + 2];
  const t9 = rotationA[k * 4 + 3];
  const t10 = sizeA[k];
  const t11 = fadeA[k];
  let position_x = t3;
  let position_y = t4;
  let position_z = t5;
  let rotation_x = t6;
  let rotation_y = t7;
  let rotation_z = t8;
  let rotation_w = t9;
  let size = t10;
  let fade = t11;
  let rank = t1;
  if ((by === 1)) {
    let v_x = t0;
    let v_y = seed;
    let v_z = 43;
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
    const t12 = v_x;
    const t13 = v_y;
    const t14 = v_z;
    const t15 = v_w;
    const t16 = ((((t12 >>> 8) | 0) >>> 0) * (1 / 16777216));
    rank = t16;
  }
  if ((by === 2)) {
    const t17 = ((-position_z) / span);
    rank = (t17 - Math.floor(t17));
  }
  if ((by === 3)) {
    const t18 = (position_x - pivot_x);
    const t19 = (position_y - pivot_y);
    const t20 = (position_z - pivot_z);
    rank = Math.min(Math.max((Math.sqrt((((t18 * t18) + (t19 * t19)) + (t20 * t20))) / span), 0), 1);
  }
  if ((backward === 1)) {
    rank = (1 - rank);
  }
  let width = Math.max(overlap, 0.001);
  let t = Math.min(Math.max(((amount - (rank * (1 - width))) / width), 0), 1);
  let staggerEase_r = 0;
  L21: {
    if ((ease === 1)) {
      staggerEase_r = ((t * t) * (3 - (2 * t)));
      break L21;
    }
    let r = (1 - t);
    if ((ease === 2)) {
      staggerEase_r = (1 - (((r * r) * r) * r));
      break L21;
    }
    if ((ease === 3)) {
      staggerEase_r = (1 + ((r * r) * ((2.70158 * (-r)) + 1.70158)));
      break L21;
    }
    if ((ease === 4)) {
      let a = (t * 2.75);
      if ((a < 1)) {
        staggerEase_r = (a * a);
        break L21;
      }
      if ((a < 2)) {
        staggerEase_r = (1 - (((4 * 0.25) * (a - 1)) * (2 - a)));
        break L21;
      }
      a = ((a - 2) / 0.75);
      staggerEase_r = (1 - ((a * (1 - a)) * 0.25));
      break L21;
    }
    staggerEase_r = t;
    break L21;
  }
  let there = (1 * (1 - t2) + staggerEase_r * t2);
  size = (size * (1 * (1 - grow) + Math.max(there, 0) * grow));
  fade = (fade * (1 * (1 - fadeIn) + Math.min(Math.max(there, 0), 1) * fadeIn));
  const t22 = (1 - there);
  position_x = (position_x + (from_x * t22));
  position_y = (position_y + (from_y * t22));
  position_z = (position_z + (from_z * t22));
  const t23 = ((there - 1) * turns);
  const t24 = (t23 * 0.5);
  let r$1 = (t24 - Math.floor((t24 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t25 = (0.5 - a$1);
  let q = (Math.min(a$1, t25) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t26 = ((r$1 < 0) ? (-s) : s);
  const t27 = (t23 * 0.5);
  const t28 = (t27 + 0.25);
  let r$2 = (t28 - Math.floor((t28 + 0.5)));
  let a$2 = Math.abs(r$2);
  const t29 = (0.5 - a$2);
  let q$1 = (Math.min(a$2, t29) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t30 = ((r$2 < 0) ? (-s$1) : s$1);
  const t31 = (0 * t26);
  const t32 = (1 * t26);
  const t33 = (0 * t26);
  const t34 = (((t31 * rotation_w) + (rotation_x * t30)) + (rotation_y * t33 - rotation_z * t32));
  const t35 = (((t32 * rotation_w) + (rotation_y * t30)) + (rotation_z * t31 - rotation_x * t33));
  const t36 = (((t33 * rotation_w) + (rotation_z * t30)) + (rotation_x * t32 - rotation_y * t31));
  const t37 = ((rotation_w * t30) - (((rotation_x * t31) + (rotation_y * t32)) + (rotation_z * t33)));
  rotation_x = t34;
  rotation_y = t35;
  rotation_z = t36;
  rotation_w = t37;
  positionA[k * 3] = position_x;
  positionA[k * 3 + 1] = position_y;
  positionA[k * 3 + 2] = position_z;
  rotationA[k * 4] = rotation_x;
  rotationA[k * 4 + 1] = rotation_y;
  rotationA[k * 4 + 2] = rotation_z;
  rotationA[k * 4 + 3] = rotation_w;
  sizeA[k] = size;
  fadeA[k] = fade;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"staggerElement":[{"name":"key","type":"uint","direction":"in"},{"name":"order","type":"float","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"by","type":"int","direction":"in"},{"name":"pivot","type":"vec3","direction":"in"},{"name":"span","type":"float","direction":"in"},{"name":"overlap","type":"float","direction":"in"},{"name":"ease","type":"int","direction":"in"},{"name":"backward","type":"int","direction":"in"},{"name":"grow","type":"float","direction":"in"},{"name":"fadeIn","type":"float","direction":"in"},{"name":"from","type":"vec3","direction":"in"},{"name":"turns","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"inout"},{"name":"rotation","type":"vec4","direction":"inout"},{"name":"size","type":"float","direction":"inout"},{"name":"fade","type":"float","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  ...from1,
  'treatments/stagger/stagger.glsl': `
float staggerEase(float t, int ease) {
  if (ease == 1) return t * t * (3.0 - 2.0 * t);
  float r = 1.0 - t;
  if (ease == 2) return 1.0 - r * r * r * r;
  if (ease == 3) return 1.0 + r * r * (2.70158 * -r + 1.70158);
  if (ease == 4) {
    // three falling parabolas, each a half as long and a quarter as high
    float a = t * 2.75;
    if (a < 1.0) return a * a;
    if (a < 2.0) return 1.0 - 4.0 * 0.25 * (a - 1.0) * (2.0 - a);
    a = (a - 2.0) / 0.75;
    return 1.0 - a * (1.0 - a) * 0.25;
  }
  return t;
}

void staggerElement(uint key, float order, float weight, uint seed, float amount, int by, vec3 pivot, float span,
                    float overlap, int ease, int backward, float grow, float fadeIn, vec3 from, float turns,
                    inout vec3 position, inout vec4 rotation, inout float size, inout float fade) {
  float rank = order;
  if (by == 1) rank = unit(pcg4d(uvec4(key, seed, 43u, 0u)).x);
  if (by == 2) rank = fract(-position.z / span);
  if (by == 3) rank = clamp(length(position - pivot) / span, 0.0, 1.0);
  if (backward == 1) rank = 1.0 - rank;
  float width = max(overlap, 1e-3);
  float t = clamp((amount - rank * (1.0 - width)) / width, 0.0, 1.0);
  float there = mix(1.0, staggerEase(t, ease), weight);
  size *= mix(1.0, max(there, 0.0), grow);
  fade *= mix(1.0, clamp(there, 0.0, 1.0), fadeIn);
  position += from * (1.0 - there);
  rotation = quatTimes(rotation, quatAbout(vec3(0.0, 1.0, 0.0), (there - 1.0) * turns));
}
`,
};
