// Generated from src/core/random/order.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from './hash.gen';
export const RF = new Float64Array(3), RI = new Int32Array(1);
export function orderedPoint(id: number, seed: number): void {
  id = id | 0;
  seed = seed | 0;
  let v_x = id;
  let v_y = seed;
  let v_z = 1;
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
  let v_x$1 = seed;
  let v_y$1 = 0;
  let v_z$1 = 2;
  let v_w$1 = 0;
  v_x$1 = ((Math.imul(v_x$1, 1664525) + 1013904223) | 0);
  v_y$1 = ((Math.imul(v_y$1, 1664525) + 1013904223) | 0);
  v_z$1 = ((Math.imul(v_z$1, 1664525) + 1013904223) | 0);
  v_w$1 = ((Math.imul(v_w$1, 1664525) + 1013904223) | 0);
  v_x$1 = ((v_x$1 + Math.imul(v_y$1, v_w$1)) | 0);
  v_y$1 = ((v_y$1 + Math.imul(v_z$1, v_x$1)) | 0);
  v_z$1 = ((v_z$1 + Math.imul(v_x$1, v_y$1)) | 0);
  v_w$1 = ((v_w$1 + Math.imul(v_y$1, v_z$1)) | 0);
  v_x$1 = (v_x$1 ^ ((v_x$1 >>> 16) | 0));
  v_y$1 = (v_y$1 ^ ((v_y$1 >>> 16) | 0));
  v_z$1 = (v_z$1 ^ ((v_z$1 >>> 16) | 0));
  v_w$1 = (v_w$1 ^ ((v_w$1 >>> 16) | 0));
  v_x$1 = ((v_x$1 + Math.imul(v_y$1, v_w$1)) | 0);
  v_y$1 = ((v_y$1 + Math.imul(v_z$1, v_x$1)) | 0);
  v_z$1 = ((v_z$1 + Math.imul(v_x$1, v_y$1)) | 0);
  v_w$1 = ((v_w$1 + Math.imul(v_y$1, v_z$1)) | 0);
  const t4 = v_x$1;
  const t5 = v_y$1;
  const t6 = v_z$1;
  const t7 = v_w$1;
  let start_x = t4;
  let start_y = t5;
  let start_z = t6;
  let start_w = t7;
  let x = ((start_x + Math.imul(id, (-776648141))) | 0);
  let y = ((start_y + Math.imul(id, (-1412856951))) | 0);
  let z = ((start_z + Math.imul(id, (-1934021721))) | 0);
  let spacing = (0.9 / Math.pow(((id >>> 0) + 1), (1 / 3)));
  const t8 = ((((x >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t9 = ((((y >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t10 = ((((z >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t11 = ((((h_x >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t12 = ((((h_y >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t13 = ((((h_z >>> 8) | 0) >>> 0) * (1 / 16777216));
  let p_x = (t8 + ((t11 - 0.5) * spacing));
  let p_y = (t9 + ((t12 - 0.5) * spacing));
  let p_z = (t10 + ((t13 - 0.5) * spacing));
  RF[0] = (p_x - Math.floor(p_x));
  RF[1] = (p_y - Math.floor(p_y));
  RF[2] = (p_z - Math.floor(p_z));
  return;
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"orderedPoint":[{"name":"id","type":"uint","direction":"in"},{"name":"seed","type":"uint","direction":"in"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  'random/order.glsl': `
vec3 orderedPoint(uint id, uint seed) {
  uvec4 h = pcg4d(uvec4(id, seed, 1u, 0u));
  uvec4 start = pcg4d(uvec4(seed, 0u, 2u, 0u));
  uint x = start.x + id * 3518319155u;
  uint y = start.y + id * 2882110345u;
  uint z = start.z + id * 2360945575u;
  float spacing = 0.9 / pow(float(id) + 1.0, 1.0 / 3.0);
  vec3 p = vec3(unit(x), unit(y), unit(z)) + (vec3(unit(h.x), unit(h.y), unit(h.z)) - 0.5) * spacing;
  return p - floor(p);
}
`,
};
