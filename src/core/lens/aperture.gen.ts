// Generated from src/core/lens/aperture.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(2), RI = new Int32Array(1);
export function lensPoint(s_x: number, s_y: number, blades: number, turn: number, squeeze: number): void {
  let q_x = ((s_x * 2) - 1);
  let q_y = ((s_y * 2) - 1);
  let r = 0;
  let t = 0;
  if ((Math.abs(q_x) > Math.abs(q_y))) {
    r = q_x;
    t = (0.125 * (q_y / q_x));
  }
  else {
    if ((q_y !== 0)) {
      r = q_y;
      t = (0.25 - (0.125 * (q_x / q_y)));
    }
  }
  const t0 = (t + turn);
  const t1 = (t0 + 0.25);
  let r$1 = (t1 - Math.floor((t1 + 0.5)));
  let a = Math.abs(r$1);
  const t2 = (0.5 - a);
  let q = (Math.min(a, t2) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t3 = ((r$1 < 0) ? (-s) : s);
  const t4 = (t + turn);
  let r$2 = (t4 - Math.floor((t4 + 0.5)));
  let a$1 = Math.abs(r$2);
  const t5 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t5) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t6 = ((r$2 < 0) ? (-s$1) : s$1);
  let u_x = (t3 * r);
  let u_y = (t6 * r);
  if ((blades > 2.5)) {
    let along = (((r < 0) ? (t + 0.5) : t) * blades);
    let k = Math.floor(along);
    let f = (along - k);
    const t7 = ((k / blades) + turn);
    const t8 = (t7 + 0.25);
    let r$3 = (t8 - Math.floor((t8 + 0.5)));
    let a$2 = Math.abs(r$3);
    const t9 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t9) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t10 = ((r$3 < 0) ? (-s$2) : s$2);
    const t11 = ((k / blades) + turn);
    let r$4 = (t11 - Math.floor((t11 + 0.5)));
    let a$3 = Math.abs(r$4);
    const t12 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t12) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t13 = ((r$4 < 0) ? (-s$3) : s$3);
    let p0_x = t10;
    let p0_y = t13;
    const t14 = (((k + 1) / blades) + turn);
    const t15 = (t14 + 0.25);
    let r$5 = (t15 - Math.floor((t15 + 0.5)));
    let a$4 = Math.abs(r$5);
    const t16 = (0.5 - a$4);
    let q$4 = (Math.min(a$4, t16) * 6.283185307179586);
    let q2$4 = (q$4 * q$4);
    let s$4 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
    const t17 = ((r$5 < 0) ? (-s$4) : s$4);
    const t18 = (((k + 1) / blades) + turn);
    let r$6 = (t18 - Math.floor((t18 + 0.5)));
    let a$5 = Math.abs(r$6);
    const t19 = (0.5 - a$5);
    let q$5 = (Math.min(a$5, t19) * 6.283185307179586);
    let q2$5 = (q$5 * q$5);
    let s$5 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
    const t20 = ((r$6 < 0) ? (-s$5) : s$5);
    let p1_x = t17;
    let p1_y = t20;
    const t21 = (1 / blades);
    let r$7 = (t21 - Math.floor((t21 + 0.5)));
    let a$6 = Math.abs(r$7);
    const t22 = (0.5 - a$6);
    let q$6 = (Math.min(a$6, t22) * 6.283185307179586);
    let q2$6 = (q$6 * q$6);
    let s$6 = (q$6 * (1 + (q2$6 * ((-0.16666666667) + (q2$6 * (0.0083333333333 + (q2$6 * ((-0.00019841269841) + (q2$6 * (0.0000027557319224 + (q2$6 * (-2.5052108385e-8))))))))))));
    const t23 = ((r$7 < 0) ? (-s$6) : s$6);
    const t24 = Math.sqrt((3.14159265358979 / ((blades * 0.5) * t23)));
    const t25 = (Math.abs(r) * t24);
    u_x = ((p0_x * (1 - f) + p1_x * f) * t25);
    u_y = ((p0_y * (1 - f) + p1_y * f) * t25);
  }
  let root = Math.sqrt(squeeze);
  RF[0] = (u_x / root);
  RF[1] = (u_y * root);
  return;
}
export function apertureGauge(v_x: number, v_y: number, blades: number, turn: number, squeeze: number): number {
  let root = Math.sqrt(squeeze);
  let w_x = (v_x * root);
  let w_y = (v_y / root);
  if ((blades < 2.5)) {
    return Math.sqrt(((w_x * w_x) + (w_y * w_y)));
  }
  const t0 = Math.abs(w_x);
  const t1 = Math.abs(w_y);
  let big = Math.max(t0, t1);
  const t2 = Math.abs(w_x);
  const t3 = Math.abs(w_y);
  let small = Math.min(t2, t3);
  const t4 = 1e-20;
  let q = (small / Math.max(big, t4));
  let high = (q > 0.41421356);
  let x = (high ? ((q - 1) / (q + 1)) : q);
  let x2 = (x * x);
  let a = (x * (1 + (x2 * ((-0.33333333) + (x2 * (0.2 + (x2 * ((-0.14285714) + (x2 * (0.11111111 + (x2 * ((-0.09090909) + (x2 * 0.06)))))))))))));
  a = (high ? (a + (3.14159265358979 * 0.25)) : a);
  a = ((Math.abs(w_y) > Math.abs(w_x)) ? ((3.14159265358979 * 0.5) - a) : a);
  a = ((w_x < 0) ? (3.14159265358979 - a) : a);
  a = ((w_y < 0) ? (-a) : a);
  const t5 = (a / 6.283185307179586);
  let a$1 = (t5 - turn);
  let along = (a$1 * blades);
  let mid = (((Math.floor(along) + 0.5) / blades) + turn);
  const t6 = (mid + 0.25);
  let r = (t6 - Math.floor((t6 + 0.5)));
  let a$2 = Math.abs(r);
  const t7 = (0.5 - a$2);
  let q$1 = (Math.min(a$2, t7) * 6.283185307179586);
  let q2 = (q$1 * q$1);
  let s = (q$1 * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t8 = ((r < 0) ? (-s) : s);
  let r$1 = (mid - Math.floor((mid + 0.5)));
  let a$3 = Math.abs(r$1);
  const t9 = (0.5 - a$3);
  let q$2 = (Math.min(a$3, t9) * 6.283185307179586);
  let q2$1 = (q$2 * q$2);
  let s$1 = (q$2 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t10 = ((r$1 < 0) ? (-s$1) : s$1);
  const t11 = (1 / blades);
  let r$2 = (t11 - Math.floor((t11 + 0.5)));
  let a$4 = Math.abs(r$2);
  const t12 = (0.5 - a$4);
  let q$3 = (Math.min(a$4, t12) * 6.283185307179586);
  let q2$2 = (q$3 * q$3);
  let s$2 = (q$3 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
  const t13 = ((r$2 < 0) ? (-s$2) : s$2);
  const t14 = Math.sqrt((3.14159265358979 / ((blades * 0.5) * t13)));
  const t15 = (0.5 / blades);
  const t16 = (t15 + 0.25);
  let r$3 = (t16 - Math.floor((t16 + 0.5)));
  let a$5 = Math.abs(r$3);
  const t17 = (0.5 - a$5);
  let q$4 = (Math.min(a$5, t17) * 6.283185307179586);
  let q2$3 = (q$4 * q$4);
  let s$3 = (q$4 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
  const t18 = ((r$3 < 0) ? (-s$3) : s$3);
  return (((w_x * t8) + (w_y * t10)) / (t14 * t18));
}
export function apertureSquare(v_x: number, v_y: number, blades: number, turn: number, squeeze: number): void {
  let root = Math.sqrt(squeeze);
  let w_x = (v_x * root);
  let w_y = (v_y / root);
  const t0 = Math.abs(w_x);
  const t1 = Math.abs(w_y);
  let big = Math.max(t0, t1);
  const t2 = Math.abs(w_x);
  const t3 = Math.abs(w_y);
  let small = Math.min(t2, t3);
  const t4 = 1e-20;
  let q = (small / Math.max(big, t4));
  let high = (q > 0.41421356);
  let x = (high ? ((q - 1) / (q + 1)) : q);
  let x2 = (x * x);
  let a = (x * (1 + (x2 * ((-0.33333333) + (x2 * (0.2 + (x2 * ((-0.14285714) + (x2 * (0.11111111 + (x2 * ((-0.09090909) + (x2 * 0.06)))))))))))));
  a = (high ? (a + (3.14159265358979 * 0.25)) : a);
  a = ((Math.abs(w_y) > Math.abs(w_x)) ? ((3.14159265358979 * 0.5) - a) : a);
  a = ((w_x < 0) ? (3.14159265358979 - a) : a);
  a = ((w_y < 0) ? (-a) : a);
  const t5 = (a / 6.283185307179586);
  let a$1 = (t5 - turn);
  let r = Math.sqrt(((w_x * w_x) + (w_y * w_y)));
  if ((blades > 2.5)) {
    let along = (a$1 * blades);
    let k = Math.floor(along);
    let mid = (((k + 0.5) / blades) + turn);
    const t6 = (mid + 0.25);
    let r$1 = (t6 - Math.floor((t6 + 0.5)));
    let a$2 = Math.abs(r$1);
    const t7 = (0.5 - a$2);
    let q$1 = (Math.min(a$2, t7) * 6.283185307179586);
    let q2 = (q$1 * q$1);
    let s = (q$1 * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t8 = ((r$1 < 0) ? (-s) : s);
    let r$2 = (mid - Math.floor((mid + 0.5)));
    let a$3 = Math.abs(r$2);
    const t9 = (0.5 - a$3);
    let q$2 = (Math.min(a$3, t9) * 6.283185307179586);
    let q2$1 = (q$2 * q$2);
    let s$1 = (q$2 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t10 = ((r$2 < 0) ? (-s$1) : s$1);
    let n_x = t8;
    let n_y = t10;
    let x$1 = ((w_x * n_x) + (w_y * n_y));
    let y = ((w_y * n_x) - (w_x * n_y));
    const t11 = (0.5 / blades);
    const t12 = (t11 + 0.25);
    let r$3 = (t12 - Math.floor((t12 + 0.5)));
    let a$4 = Math.abs(r$3);
    const t13 = (0.5 - a$4);
    let q$3 = (Math.min(a$4, t13) * 6.283185307179586);
    let q2$2 = (q$3 * q$3);
    let s$2 = (q$3 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t14 = ((r$3 < 0) ? (-s$2) : s$2);
    let h = t14;
    const t15 = (1 / blades);
    let r$4 = (t15 - Math.floor((t15 + 0.5)));
    let a$5 = Math.abs(r$4);
    const t16 = (0.5 - a$5);
    let q$4 = (Math.min(a$5, t16) * 6.283185307179586);
    let q2$3 = (q$4 * q$4);
    let s$3 = (q$4 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t17 = ((r$4 < 0) ? (-s$3) : s$3);
    const t18 = Math.sqrt((3.14159265358979 / ((blades * 0.5) * t17)));
    r = (x$1 / (t18 * h));
    const t19 = 1e-9;
    const t20 = (0.5 / blades);
    let r$5 = (t20 - Math.floor((t20 + 0.5)));
    let a$6 = Math.abs(r$5);
    const t21 = (0.5 - a$6);
    let q$5 = (Math.min(a$6, t21) * 6.283185307179586);
    let q2$4 = (q$5 * q$5);
    let s$4 = (q$5 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
    const t22 = ((r$5 < 0) ? (-s$4) : s$4);
    let f = (0.5 + (((0.5 * y) * h) / (Math.max(x$1, t19) * t22)));
    a$1 = ((k + Math.min(Math.max(f, 0), 1)) / blades);
  }
  r = Math.min(r, 1);
  a$1 = (a$1 - Math.floor(a$1));
  let quarter = Math.floor(((a$1 * 4) + 0.5));
  let off = (((a$1 - (quarter * 0.25)) * 8) * r);
  let q_x = r;
  let q_y = off;
  if ((quarter === 1)) {
    q_x = (-off);
    q_y = r;
  }
  if ((quarter === 2)) {
    q_x = (-r);
    q_y = (-off);
  }
  if ((quarter === 3)) {
    q_x = off;
    q_y = (-r);
  }
  RF[0] = ((q_x * 0.5) + 0.5);
  RF[1] = ((q_y * 0.5) + 0.5);
  return;
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"lensPoint":[{"name":"s","type":"vec2","direction":"in"},{"name":"blades","type":"float","direction":"in"},{"name":"turn","type":"float","direction":"in"},{"name":"squeeze","type":"float","direction":"in"}],"apertureGauge":[{"name":"v","type":"vec2","direction":"in"},{"name":"blades","type":"float","direction":"in"},{"name":"turn","type":"float","direction":"in"},{"name":"squeeze","type":"float","direction":"in"}],"apertureSquare":[{"name":"v","type":"vec2","direction":"in"},{"name":"blades","type":"float","direction":"in"},{"name":"turn","type":"float","direction":"in"},{"name":"squeeze","type":"float","direction":"in"}]} as const;

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
  'lens/aperture.glsl': `
const float PI = 3.14159265358979;

float angleTurn(vec2 v) {
  float big = max(abs(v.x), abs(v.y));
  float small = min(abs(v.x), abs(v.y));
  float q = small / max(big, 1e-20);
  // reduce to |x| <= tan(pi/8)
  bool high = q > 0.41421356;
  float x = high ? (q - 1.0) / (q + 1.0) : q;
  float x2 = x * x;
  float a = x * (1.0 + x2 * (-0.33333333 + x2 * (0.2 + x2 * (-0.14285714 + x2 * (0.11111111 + x2 * (-0.09090909 + x2 * 0.06))))));
  a = high ? a + PI * 0.25 : a;
  a = abs(v.y) > abs(v.x) ? PI * 0.5 - a : a;
  a = v.x < 0.0 ? PI - a : a;
  a = v.y < 0.0 ? -a : a;
  return a / TAU;
}

float circumradius(float blades) { return sqrt(PI / (blades * 0.5 * sinTurn(1.0 / blades))); }

vec2 lensPoint(vec2 s, float blades, float turn, float squeeze) {
  vec2 q = s * 2.0 - 1.0;
  float r = 0.0;
  float t = 0.0;
  if (abs(q.x) > abs(q.y)) { r = q.x; t = 0.125 * (q.y / q.x); }
  else if (q.y != 0.0) { r = q.y; t = 0.25 - 0.125 * (q.x / q.y); }
  vec2 u = vec2(cosTurn(t + turn), sinTurn(t + turn)) * r;
  if (blades > 2.5) {
    float along = (r < 0.0 ? t + 0.5 : t) * blades;
    float k = floor(along);
    float f = along - k;
    vec2 p0 = vec2(cosTurn(k / blades + turn), sinTurn(k / blades + turn));
    vec2 p1 = vec2(cosTurn((k + 1.0) / blades + turn), sinTurn((k + 1.0) / blades + turn));
    u = mix(p0, p1, f) * (abs(r) * circumradius(blades));
  }
  float root = sqrt(squeeze);
  return vec2(u.x / root, u.y * root);
}

float apertureGauge(vec2 v, float blades, float turn, float squeeze) {
  float root = sqrt(squeeze);
  vec2 w = vec2(v.x * root, v.y / root);
  if (blades < 2.5) return length(w);
  float a = angleTurn(w) - turn;
  float along = a * blades;
  float mid = (floor(along) + 0.5) / blades + turn;
  return dot(w, vec2(cosTurn(mid), sinTurn(mid))) / (circumradius(blades) * cosTurn(0.5 / blades));
}

vec2 apertureSquare(vec2 v, float blades, float turn, float squeeze) {
  float root = sqrt(squeeze);
  vec2 w = vec2(v.x * root, v.y / root);
  float a = angleTurn(w) - turn;
  float r = length(w);
  if (blades > 2.5) {
    float along = a * blades;
    float k = floor(along);
    float mid = (k + 0.5) / blades + turn;
    vec2 n = vec2(cosTurn(mid), sinTurn(mid));
    float x = dot(w, n);
    float y = w.y * n.x - w.x * n.y;
    float h = cosTurn(0.5 / blades);
    r = x / (circumradius(blades) * h);
    float f = 0.5 + 0.5 * y * h / (max(x, 1e-9) * sinTurn(0.5 / blades));
    a = (k + clamp(f, 0.0, 1.0)) / blades;
  }
  r = min(r, 1.0);
  a = a - floor(a);
  // eighths of a turn from the four axes: inverse of the concentric map
  float quarter = floor(a * 4.0 + 0.5);
  float off = (a - quarter * 0.25) * 8.0 * r;
  vec2 q = vec2(r, off);
  if (quarter == 1.0) q = vec2(-off, r);
  if (quarter == 2.0) q = vec2(-r, -off);
  if (quarter == 3.0) q = vec2(off, -r);
  return q * 0.5 + 0.5;
}
`,
};
