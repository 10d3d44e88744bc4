// Generated from src/core/space/profile.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export function profileAt(a_x: number, a_y: number, a_z: number, a_w: number, b_x: number, b_y: number, b_z: number, b_w: number, t: number): number {
  let x = (Math.min(Math.max(t, 0), 1) * 7);
  const t0 = Math.floor(x);
  let cell = Math.min(t0, 6);
  let i = (cell | 0);
  let u = (x - cell);
  const t1 = ((i <= 0) ? a_x : ((i === 1) ? a_y : ((i === 2) ? a_z : ((i === 3) ? a_w : ((i === 4) ? b_x : ((i === 5) ? b_y : ((i === 6) ? b_z : b_w)))))));
  let p1 = t1;
  const t2 = a_x;
  const t3 = a_y;
  const t4 = a_z;
  const t5 = a_w;
  const t6 = b_x;
  const t7 = b_y;
  const t8 = b_z;
  const t9 = b_w;
  const t10 = ((i + 1) | 0);
  const t11 = ((t10 <= 0) ? t2 : ((t10 === 1) ? t3 : ((t10 === 2) ? t4 : ((t10 === 3) ? t5 : ((t10 === 4) ? t6 : ((t10 === 5) ? t7 : ((t10 === 6) ? t8 : t9)))))));
  let p2 = t11;
  const t12 = a_x;
  const t13 = a_y;
  const t14 = a_z;
  const t15 = a_w;
  const t16 = b_x;
  const t17 = b_y;
  const t18 = b_z;
  const t19 = b_w;
  const t20 = ((i - 1) | 0);
  const t21 = ((t20 <= 0) ? t12 : ((t20 === 1) ? t13 : ((t20 === 2) ? t14 : ((t20 === 3) ? t15 : ((t20 === 4) ? t16 : ((t20 === 5) ? t17 : ((t20 === 6) ? t18 : t19)))))));
  let m1 = (0.5 * (p2 - t21));
  const t22 = a_x;
  const t23 = a_y;
  const t24 = a_z;
  const t25 = a_w;
  const t26 = b_x;
  const t27 = b_y;
  const t28 = b_z;
  const t29 = b_w;
  const t30 = ((i + 2) | 0);
  const t31 = ((t30 <= 0) ? t22 : ((t30 === 1) ? t23 : ((t30 === 2) ? t24 : ((t30 === 3) ? t25 : ((t30 === 4) ? t26 : ((t30 === 5) ? t27 : ((t30 === 6) ? t28 : t29)))))));
  let m2 = (0.5 * (t31 - p1));
  let u2 = (u * u);
  let u3 = (u2 * u);
  let v = ((((p1 * (((2 * u3) - (3 * u2)) + 1)) + (m1 * ((u3 - (2 * u2)) + u))) + (p2 * ((3 * u2) - (2 * u3)))) + (m2 * (u3 - u2)));
  return Math.min(Math.max(v, Math.min(p1, p2)), Math.max(p1, p2));
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"profileAt":[{"name":"a","type":"vec4","direction":"in"},{"name":"b","type":"vec4","direction":"in"},{"name":"t","type":"float","direction":"in"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  'space/profile.glsl': `
float profileKnot(vec4 a, vec4 b, int i) {
  return i <= 0 ? a.x : i == 1 ? a.y : i == 2 ? a.z : i == 3 ? a.w : i == 4 ? b.x : i == 5 ? b.y : i == 6 ? b.z : b.w;
}

float profileAt(vec4 a, vec4 b, float t) {
  float x = clamp(t, 0.0, 1.0) * 7.0;
  float cell = min(floor(x), 6.0);
  int i = int(cell);
  float u = x - cell;
  float p1 = profileKnot(a, b, i);
  float p2 = profileKnot(a, b, i + 1);
  float m1 = 0.5 * (p2 - profileKnot(a, b, i - 1));
  float m2 = 0.5 * (profileKnot(a, b, i + 2) - p1);
  float u2 = u * u;
  float u3 = u2 * u;
  float v = p1 * (2.0 * u3 - 3.0 * u2 + 1.0) + m1 * (u3 - 2.0 * u2 + u) + p2 * (3.0 * u2 - 2.0 * u3) + m2 * (u3 - u2);
  return clamp(v, min(p1, p2), max(p1, p2));
}
`,
};
