// Generated from src/core/random/hash.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(1), RI = new Int32Array(4);
export function pcg4d(v_x: number, v_y: number, v_z: number, v_w: number): void {
  v_x = v_x | 0;
  v_y = v_y | 0;
  v_z = v_z | 0;
  v_w = v_w | 0;
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
  RI[0] = v_x;
  RI[1] = v_y;
  RI[2] = v_z;
  RI[3] = v_w;
  return;
}
export function hashRun(first: number, end: number, vA: Uint32Array, out_: Uint32Array): void {
  
  for (let k = first; k < end; k++) {
  const t0 = vA[k * 4] | 0;
  const t1 = vA[k * 4 + 1] | 0;
  const t2 = vA[k * 4 + 2] | 0;
  const t3 = vA[k * 4 + 3] | 0;
  let v_x = t0;
  let v_y = t1;
  let v_z = t2;
  let v_w = t3;
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
  const t4 = v_x;
  const t5 = v_y;
  const t6 = v_z;
  const t7 = v_w;
  out_[k * 4] = t4;
  out_[k * 4 + 1] = t5;
  out_[k * 4 + 2] = t6;
  out_[k * 4 + 3] = t7;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"pcg4d":[{"name":"v","type":"uvec4","direction":"in"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  'random/hash.glsl': `
uvec4 pcg4d(uvec4 v) {
  v = v * 1664525u + 1013904223u;
  v.x += v.y * v.w; v.y += v.z * v.x; v.z += v.x * v.y; v.w += v.y * v.z;
  v ^= v >> 16u;
  v.x += v.y * v.w; v.y += v.z * v.x; v.z += v.x * v.y; v.w += v.y * v.z;
  return v;
}

float unit(uint h) { return float(h >> 8u) * (1.0 / 16777216.0); }
`,
};
