// Generated from src/core/treatments/wave/wave.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(15), RI = new Int32Array(1);
export function waveSpace(p_x: number, p_y: number, p_z: number, weight: number, amount: number, direction_x: number, direction_y: number, direction_z: number, by_x: number, by_y: number, by_z: number, waves: number, beats: number, middle_x: number, middle_y: number, middle_z: number, lap: number): void {
  let q_x = 0;
  let q_y = 0;
  let q_z = 0;
  let jacobian_00 = 0;
  let jacobian_01 = 0;
  let jacobian_02 = 0;
  let jacobian_10 = 0;
  let jacobian_11 = 0;
  let jacobian_12 = 0;
  let jacobian_20 = 0;
  let jacobian_21 = 0;
  let jacobian_22 = 0;
  let byWeight_x = 0;
  let byWeight_y = 0;
  let byWeight_z = 0;
  beats = beats | 0;
  let v_x = (p_x - middle_x);
  let v_y = (p_y - middle_y);
  let v_z = (p_z - middle_z);
  let far = Math.sqrt(((v_x * v_x) + (v_z * v_z)));
  let rings = ((((by_x * by_x) + (by_y * by_y)) + (by_z * by_z)) < 0.5);
  let along = (rings ? far : (((v_x * by_x) + (v_y * by_y)) + (v_z * by_z)));
  let t1 = 0, t2 = 0, t3 = 0;
  if (rings) {
    const t0 = Math.max(far, 0.000001);
    t1 = (v_x / t0);
    t2 = (0 / t0);
    t3 = (v_z / t0);
  } else {
    t1 = by_x;
    t2 = by_y;
    t3 = by_z;
  }
  let grad_x = t1;
  let grad_y = t2;
  let grad_z = t3;
  const t4 = (lap * beats);
  let phase = ((along * waves) - (t4 - Math.floor(t4)));
  let r = (phase - Math.floor((phase + 0.5)));
  let a = Math.abs(r);
  const t5 = (0.5 - a);
  let q = (Math.min(a, t5) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t6 = ((r < 0) ? (-s) : s);
  let s$1 = t6;
  let swing_x = (direction_x * amount);
  let swing_y = (direction_y * amount);
  let swing_z = (direction_z * amount);
  const t7 = (weight * s$1);
  q_x = (p_x + (swing_x * t7));
  q_y = (p_y + (swing_y * t7));
  q_z = (p_z + (swing_z * t7));
  const t8 = (phase + 0.25);
  let r$1 = (t8 - Math.floor((t8 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t9 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t9) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$2 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t10 = ((r$1 < 0) ? (-s$2) : s$2);
  const t11 = (((weight * t10) * 6.283185307179586) * waves);
  let dn_x = (swing_x * t11);
  let dn_y = (swing_y * t11);
  let dn_z = (swing_z * t11);
  jacobian_00 = (1 + (dn_x * grad_x));
  jacobian_01 = (0 + (dn_y * grad_x));
  jacobian_02 = (0 + (dn_z * grad_x));
  jacobian_10 = (0 + (dn_x * grad_y));
  jacobian_11 = (1 + (dn_y * grad_y));
  jacobian_12 = (0 + (dn_z * grad_y));
  jacobian_20 = (0 + (dn_x * grad_z));
  jacobian_21 = (0 + (dn_y * grad_z));
  jacobian_22 = (1 + (dn_z * grad_z));
  byWeight_x = (swing_x * s$1);
  byWeight_y = (swing_y * s$1);
  byWeight_z = (swing_z * s$1);
  RF[0] = q_x;
  RF[1] = q_y;
  RF[2] = q_z;
  RF[3] = jacobian_00;
  RF[4] = jacobian_01;
  RF[5] = jacobian_02;
  RF[6] = jacobian_10;
  RF[7] = jacobian_11;
  RF[8] = jacobian_12;
  RF[9] = jacobian_20;
  RF[10] = jacobian_21;
  RF[11] = jacobian_22;
  RF[12] = byWeight_x;
  RF[13] = byWeight_y;
  RF[14] = byWeight_z;
}
export function waveRun(first: number, end: number, pA: Float64Array, weightA: Float64Array, amount: number, direction_x: number, direction_y: number, direction_z: number, by_x: number, by_y: number, by_z: number, waves: number, beats: number, middle_x: number, middle_y: number, middle_z: number, lap: number, q_o: Float64Array, jacobian_o: Float64Array, byWeight_o: Float64Array): void {
  beats = beats | 0;
  for (let k = first; k < end; k++) {
  const t0 = pA[k * 3];
  const t1 = pA[k * 3 + 1];
  const t2 = pA[k * 3 + 2];
  const t3 = weightA[k];
  let q_x = 0;
  let q_y = 0;
  let q_z = 0;
  let jacobian_00 = 0;
  let jacobian_01 = 0;
  let jacobian_02 = 0;
  let jacobian_10 = 0;
  let jacobian_11 = 0;
  let jacobian_12 = 0;
  let jacobian_20 = 0;
  let jacobian_21 = 0;
  let jacobian_22 = 0;
  let byWeight_x = 0;
  let byWeight_y = 0;
  let byWeight_z = 0;
  let v_x = (t0 - middle_x);
  let v_y = (t1 - middle_y);
  let v_z = (t2 - middle_z);
  let far = Math.sqrt(((v_x * v_x) + (v_z * v_z)));
  let rings = ((((by_x * by_x) + (by_y * by_y)) + (by_z * by_z)) < 0.5);
  let along = (rings ? far : (((v_x * by_x) + (v_y * by_y)) + (v_z * by_z)));
  let t5 = 0, t6 = 0, t7 = 0;
  if (rings) {
    const t4 = Math.max(far, 0.000001);
    t5 = (v_x / t4);
    t6 = (0 / t4);
    t7 = (v_z / t4);
  } else {
    t5 = by_x;
    t6 = by_y;
    t7 = by_z;
  }
  let grad_x = t5;
  let grad_y = t6;
  let grad_z = t7;
  const t8 = (lap * beats);
  let phase = ((along * waves) - (t8 - Math.floor(t8)));
  let r = (phase - Math.floor((phase + 0.5)));
  let a = Math.abs(r);
  const t9 = (0.5 - a);
  let q = (Math.min(a, t9) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t10 = ((r < 0) ? (-s) : s);
  let s$1 = t10;
  let swing_x = (direction_x * amount);
  let swing_y = (direction_y * amount);
  let swing_z = (direction_z * amount);
  const t11 = (t3 * s$1);
  q_x = (t0 + (swing_x * t11));
  q_y = (t1 + (swing_y * t11));
  q_z = (t2 + (swing_z * t11));
  const t12 = (phase + 0.25);
  let r$1 = (t12 - Math.floor((t12 + 0.5)));
  let a$1 = Math.abs(r$1);
  const t13 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t13) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$2 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t14 = ((r$1 < 0) ? (-s$2) : s$2);
  const t15 = (((t3 * t14) * 6.283185307179586) * waves);
  let dn_x = (swing_x * t15);
  let dn_y = (swing_y * t15);
  let dn_z = (swing_z * t15);
  jacobian_00 = (1 + (dn_x * grad_x));
  jacobian_01 = (0 + (dn_y * grad_x));
  jacobian_02 = (0 + (dn_z * grad_x));
  jacobian_10 = (0 + (dn_x * grad_y));
  jacobian_11 = (1 + (dn_y * grad_y));
  jacobian_12 = (0 + (dn_z * grad_y));
  jacobian_20 = (0 + (dn_x * grad_z));
  jacobian_21 = (0 + (dn_y * grad_z));
  jacobian_22 = (1 + (dn_z * grad_z));
  byWeight_x = (swing_x * s$1);
  byWeight_y = (swing_y * s$1);
  byWeight_z = (swing_z * s$1);
  q_o[k * 3] = q_x;
  q_o[k * 3 + 1] = q_y;
  q_o[k * 3 + 2] = q_z;
  jacobian_o[k * 9] = jacobian_00;
  jacobian_o[k * 9 + 1] = jacobian_01;
  jacobian_o[k * 9 + 2] = jacobian_02;
  jacobian_o[k * 9 + 3] = jacobian_10;
  jacobian_o[k * 9 + 4] = jacobian_11;
  jacobian_o[k * 9 + 5] = jacobian_12;
  jacobian_o[k * 9 + 6] = jacobian_20;
  jacobian_o[k * 9 + 7] = jacobian_21;
  jacobian_o[k * 9 + 8] = jacobian_22;
  byWeight_o[k * 3] = byWeight_x;
  byWeight_o[k * 3 + 1] = byWeight_y;
  byWeight_o[k * 3 + 2] = byWeight_z;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"waveSpace":[{"name":"p","type":"vec3","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"direction","type":"vec3","direction":"in"},{"name":"by","type":"vec3","direction":"in"},{"name":"waves","type":"float","direction":"in"},{"name":"beats","type":"int","direction":"in"},{"name":"middle","type":"vec3","direction":"in"},{"name":"lap","type":"float","direction":"in"},{"name":"q","type":"vec3","direction":"out"},{"name":"jacobian","type":"mat3","direction":"out"},{"name":"byWeight","type":"vec3","direction":"out"}]} as const;

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
  'treatments/wave/wave.glsl': `
void waveSpace(vec3 p, float weight, float amount, vec3 direction, vec3 by, float waves, int beats, vec3 middle, float lap,
               out vec3 q, out mat3 jacobian, out vec3 byWeight) {
  vec3 v = p - middle;
  float far = length(v.xz);
  bool rings = dot(by, by) < 0.5;
  float along = rings ? far : dot(v, by);
  vec3 grad = rings ? vec3(v.x, 0.0, v.z) / max(far, 1e-6) : by;
  float phase = along * waves - fract(lap * float(beats));
  float s = sinTurn(phase);
  vec3 swing = direction * amount;
  q = p + swing * (weight * s);
  vec3 dn = swing * (weight * cosTurn(phase) * TAU * waves);
  jacobian = mat3(vec3(1.0, 0.0, 0.0) + dn * grad.x, vec3(0.0, 1.0, 0.0) + dn * grad.y, vec3(0.0, 0.0, 1.0) + dn * grad.z);
  byWeight = swing * s;
}
`,
};
