// Generated from src/core/treatments/pulse/pulse.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../random/hash.gen';
export const RF = new Float64Array(2), RI = new Int32Array(1);
export function pulseElement(key: number, order: number, weight: number, position_x: number, position_y: number, position_z: number, seed: number, amount: number, by: number, pivot_x: number, pivot_y: number, pivot_z: number, span: number, waves: number, sharpness: number, glow: number, grow: number, beats: number, lap: number, size: number, light: number): void {
  key = key | 0;
  seed = seed | 0;
  by = by | 0;
  beats = beats | 0;
  let at = 0;
  if ((by === 1)) {
    let v_x = key;
    let v_y = seed;
    let v_z = 44;
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
    at = t4;
  }
  if ((by === 2)) {
    at = (((-position_z) / span) * waves);
  }
  if ((by === 3)) {
    const t5 = (position_x - pivot_x);
    const t6 = (position_y - pivot_y);
    const t7 = (position_z - pivot_z);
    at = ((Math.sqrt((((t5 * t5) + (t6 * t6)) + (t7 * t7))) / span) * waves);
  }
  if ((by === 4)) {
    at = (order * waves);
  }
  const t8 = (lap * beats);
  const t9 = ((t8 - Math.floor(t8)) - at);
  let r = (t9 - Math.floor((t9 + 0.5)));
  let a = Math.abs(r);
  const t10 = (0.5 - a);
  let q = (Math.min(a, t10) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t11 = ((r < 0) ? (-s) : s);
  let s$1 = (0.5 + (0.5 * t11));
  let beat = Math.pow(s$1, sharpness);
  let much = (amount * weight);
  const t12 = (1 + ((much * glow) * ((beat * 2) - 1)));
  light = (light * Math.max(0, t12));
  const t13 = (1 + ((much * grow) * ((beat * 2) - 1)));
  size = (size * Math.max(0, t13));
  RF[0] = size;
  RF[1] = light;
}
export function pulseRun(first: number, end: number, keyA: Uint32Array, orderA: Float64Array, weightA: Float64Array, positionA: Float64Array, seed: number, amount: number, by: number, pivot_x: number, pivot_y: number, pivot_z: number, span: number, waves: number, sharpness: number, glow: number, grow: number, beats: number, lap: number, sizeA: Float64Array, lightA: Float64Array): void {
  seed = seed | 0; by = by | 0; beats = beats | 0;
  for (let k = first; k < end; k++) {
  const t0 = keyA[k] | 0;
  const t1 = orderA[k];
  const t2 = weightA[k];
  const t3 = positionA[k * 3];
  const t4 = positionA[k * 3 + 1];
  const t5 = positionA[k * 3 + 2];
  const t6 = sizeA[k];
  const t7 = lightA[k];
  let size = t6;
  let light = t7;
  let at = 0;
  if ((by === 1)) {
    let v_x = t0;
    let v_y = seed;
    let v_z = 44;
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
    const t8 = v_x;
    const t9 = v_y;
    const t10 = v_z;
    const t11 = v_w;
    const t12 = ((((t8 >>> 8) | 0) >>> 0) * (1 / 16777216));
    at = t12;
  }
  if ((by === 2)) {
    at = (((-t5) / span) * waves);
  }
  if ((by === 3)) {
    const t13 = (t3 - pivot_x);
    const t14 = (t4 - pivot_y);
    const t15 = (t5 - pivot_z);
    at = ((Math.sqrt((((t13 * t13) + (t14 * t14)) + (t15 * t15))) / span) * waves);
  }
  if ((by === 4)) {
    at = (t1 * waves);
  }
  const t16 = (lap * beats);
  const t17 = ((t16 - Math.floor(t16)) - at);
  let r = (t17 - Math.floor((t17 + 0.5)));
  let a = Math.abs(r);
  const t18 = (0.5 - a);
  let q = (Math.min(a, t18) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t19 = ((r < 0) ? (-s) : s);
  let s$1 = (0.5 + (0.5 * t19));
  let beat = Math.pow(s$1, sharpness);
  let much = (amount * t2);
  const t20 = (1 + ((much * glow) * ((beat * 2) - 1)));
  light = (light * Math.max(0, t20));
  const t21 = (1 + ((much * grow) * ((beat * 2) - 1)));
  size = (size * Math.max(0, t21));
  sizeA[k] = size;
  lightA[k] = light;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"pulseElement":[{"name":"key","type":"uint","direction":"in"},{"name":"order","type":"float","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"by","type":"int","direction":"in"},{"name":"pivot","type":"vec3","direction":"in"},{"name":"span","type":"float","direction":"in"},{"name":"waves","type":"float","direction":"in"},{"name":"sharpness","type":"float","direction":"in"},{"name":"glow","type":"float","direction":"in"},{"name":"grow","type":"float","direction":"in"},{"name":"beats","type":"int","direction":"in"},{"name":"lap","type":"float","direction":"in"},{"name":"size","type":"float","direction":"inout"},{"name":"light","type":"float","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
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
  'treatments/pulse/pulse.glsl': `
void pulseElement(uint key, float order, float weight, vec3 position, uint seed, float amount, int by, vec3 pivot,
                  float span, float waves, float sharpness, float glow, float grow, int beats, float lap,
                  inout float size, inout float light) {
  float at = 0.0;
  if (by == 1) at = unit(pcg4d(uvec4(key, seed, 44u, 0u)).x);
  if (by == 2) at = -position.z / span * waves;
  if (by == 3) at = length(position - pivot) / span * waves;
  if (by == 4) at = order * waves;
  float s = 0.5 + 0.5 * sinTurn(fract(lap * float(beats)) - at);
  float beat = pow(s, sharpness);
  float much = amount * weight;
  light *= max(0.0, 1.0 + much * glow * (beat * 2.0 - 1.0));
  size *= max(0.0, 1.0 + much * grow * (beat * 2.0 - 1.0));
}
`,
};
