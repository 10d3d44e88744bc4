// Generated from src/core/treatments/drift/drift.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../noise/flow.gen';
export const RF = new Float64Array(4), RI = new Int32Array(5);
export function flowNoise$(): void {
  let grad_x = 0;
  let grad_y = 0;
  let grad_z = 0;
  let p_x = RF[0];
  let p_y = RF[1];
  let p_z = RF[2];
  let period_x = RI[0];
  let period_y = RI[1];
  let period_z = RI[2];
  let seed = RI[3];
  let lap = RF[3];
  let cycles = RI[4];
  let u_x = (p_y + p_z);
  let u_y = (p_z + p_x);
  let u_z = (p_x + p_y);
  let uf_x = Math.floor(u_x);
  let uf_y = Math.floor(u_y);
  let uf_z = Math.floor(u_z);
  let f_x = (u_x - uf_x);
  let f_y = (u_y - uf_y);
  let f_z = (u_z - uf_z);
  let i0_x = (uf_x | 0);
  let i0_y = (uf_y | 0);
  let i0_z = (uf_z | 0);
  let xy = (f_x >= f_y);
  let yz = (f_y >= f_z);
  let xz = (f_x >= f_z);
  let o1_x = ((xy && xz) ? 1 : 0);
  let o1_y = ((!xy && yz) ? 1 : 0);
  let o1_z = ((!xz && !yz) ? 1 : 0);
  let o2_x = ((xy || xz) ? 1 : 0);
  let o2_y = ((!xy || yz) ? 1 : 0);
  let o2_z = ((!xz || !yz) ? 1 : 0);
  let period2_x = Math.imul(period_x, 2);
  let period2_y = Math.imul(period_y, 2);
  let period2_z = Math.imul(period_z, 2);
  let fo_x = (((f_y + f_z) - f_x) * 0.5);
  let fo_y = (((f_z + f_x) - f_y) * 0.5);
  let fo_z = (((f_x + f_y) - f_z) * 0.5);
  let base_x = ((((i0_y + i0_z) | 0) - i0_x) | 0);
  let base_y = ((((i0_z + i0_x) | 0) - i0_y) | 0);
  let base_z = ((((i0_x + i0_y) | 0) - i0_z) | 0);
  base_x = ((base_x - Math.imul(period2_x, (Math.floor((base_x / period2_x)) | 0))) | 0);
  base_y = ((base_y - Math.imul(period2_y, (Math.floor((base_y / period2_y)) | 0))) | 0);
  base_z = ((base_z - Math.imul(period2_z, (Math.floor((base_z / period2_z)) | 0))) | 0);
  let q1_x = ((((o1_y + o1_z) | 0) - o1_x) | 0);
  let q1_y = ((((o1_z + o1_x) | 0) - o1_y) | 0);
  let q1_z = ((((o1_x + o1_y) | 0) - o1_z) | 0);
  let q2_x = ((((o2_y + o2_z) | 0) - o2_x) | 0);
  let q2_y = ((((o2_z + o2_x) | 0) - o2_y) | 0);
  let q2_z = ((((o2_x + o2_y) | 0) - o2_z) | 0);
  grad_x = 0;
  grad_y = 0;
  grad_z = 0;
  let s = 0;
  let t6 = 0, t7 = 0, t8 = 0;
  if ((0 === 0)) {
    t6 = 0;
    t7 = 0;
    t8 = 0;
  } else {
    let t3 = 0, t4 = 0, t5 = 0;
    if ((0 === 1)) {
      t3 = q1_x;
      t4 = q1_y;
      t5 = q1_z;
    } else {
      let t0 = 0, t1 = 0, t2 = 0;
      if ((0 === 2)) {
        t0 = q2_x;
        t1 = q2_y;
        t2 = q2_z;
      } else {
        t0 = 1;
        t1 = 1;
        t2 = 1;
      }
      t3 = t0;
      t4 = t1;
      t5 = t2;
    }
    t6 = t3;
    t7 = t4;
    t8 = t5;
  }
  let q_x = t6;
  let q_y = t7;
  let q_z = t8;
  const t9 = (fo_x - (q_x * 0.5));
  const t10 = (fo_y - (q_y * 0.5));
  const t11 = (fo_z - (q_z * 0.5));
  const t12 = ((base_x + q_x) | 0);
  const t13 = ((base_y + q_y) | 0);
  const t14 = ((base_z + q_z) | 0);
  const t15 = period2_x;
  const t16 = period2_y;
  const t17 = period2_z;
  const t18 = seed;
  const t19 = lap;
  const t20 = cycles;
  let grad_x$1 = grad_x;
  let grad_y$1 = grad_y;
  let grad_z$1 = grad_z;
  let corner_r = 0;
  L21: {
    let w = (0.5 - (((t9 * t9) + (t10 * t10)) + (t11 * t11)));
    if ((w <= 0)) {
      corner_r = 0;
      break L21;
    }
    let m_x = t12;
    let m_y = t13;
    let m_z = t14;
    m_x = ((m_x + ((m_x < 0) ? t15 : ((m_x >= t15) ? ((-t15) | 0) : 0))) | 0);
    m_y = ((m_y + ((m_y < 0) ? t16 : ((m_y >= t16) ? ((-t16) | 0) : 0))) | 0);
    m_z = ((m_z + ((m_z < 0) ? t17 : ((m_z >= t17) ? ((-t17) | 0) : 0))) | 0);
    let v_x = m_x;
    let v_y = m_y;
    let v_z = m_z;
    let v_w = t18;
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
    const t22 = v_x;
    const t23 = v_y;
    const t24 = v_z;
    const t25 = v_w;
    let h_x = t22;
    let h_y = t23;
    let h_z = t24;
    let h_w = t25;
    const t26 = ((((h_x >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t27 = ((((h_y >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t28 = ((((h_z >>> 8) | 0) >>> 0) * (1 / 16777216));
    let n_x = ((t26 * 2) - 1);
    let n_y = ((t27 * 2) - 1);
    let n_z = ((t28 * 2) - 1);
    const t29 = (1 / Math.sqrt(((((n_x * n_x) + (n_y * n_y)) + (n_z * n_z)) + 1e-12)));
    n_x = (n_x * t29);
    n_y = (n_y * t29);
    n_z = (n_z * t29);
    let sg = ((n_z >= 0) ? 1 : (-1));
    let a = ((-1) / (sg + n_z));
    let b = ((n_x * n_y) * a);
    let e1_x = (1 + (((sg * n_x) * n_x) * a));
    let e1_y = (sg * b);
    let e1_z = ((-sg) * n_x);
    let e2_x = b;
    let e2_y = (sg + ((n_y * n_y) * a));
    let e2_z = (-n_y);
    let count1 = ((1 + ((Math.imul((h_w & 65535), t20) >>> 16) | 0)) | 0);
    let start1 = ((((h_w >>> 16) | 0) >>> 0) * (1 / 65536));
    let count2 = ((count1 + 1) + (((Math.imul((h_x & 255), ((t20 - 1) | 0)) >>> 8) | 0) >>> 0));
    count2 = (count2 - ((count2 > t20) ? t20 : 0));
    let start2 = (((h_y & 255) >>> 0) * (1 / 256));
    const t30 = (count1 * t19);
    const t31 = ((t30 - Math.floor(t30)) + start1);
    let r = (t31 - Math.floor((t31 + 0.5)));
    let a$1 = Math.abs(r);
    const t32 = (0.5 - a$1);
    let q = (Math.min(a$1, t32) * 6.283185307179586);
    let q2 = (q * q);
    let s$1 = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t33 = ((r < 0) ? (-s$1) : s$1);
    const t34 = (count2 * t19);
    const t35 = ((t34 - Math.floor(t34)) + start2);
    let r$1 = (t35 - Math.floor((t35 + 0.5)));
    let a$2 = Math.abs(r$1);
    const t36 = (0.5 - a$2);
    let q$1 = (Math.min(a$2, t36) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$2 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t37 = ((r$1 < 0) ? (-s$2) : s$2);
    let g_x = ((e1_x * t33) + (e2_x * t37));
    let g_y = ((e1_y * t33) + (e2_y * t37));
    let g_z = ((e1_z * t33) + (e2_z * t37));
    let gd = (((g_x * t9) + (g_y * t10)) + (g_z * t11));
    let w2 = (w * w);
    let w3 = (w2 * w);
    const t38 = ((6 * w2) * gd);
    grad_x$1 = (grad_x$1 + ((g_x * w3) - (t9 * t38)));
    grad_y$1 = (grad_y$1 + ((g_y * w3) - (t10 * t38)));
    grad_z$1 = (grad_z$1 + ((g_z * w3) - (t11 * t38)));
    corner_r = (w3 * gd);
    break L21;
  }
  grad_x = grad_x$1;
  grad_y = grad_y$1;
  grad_z = grad_z$1;
  let t = corner_r;
  s = (s + t);
  let t45 = 0, t46 = 0, t47 = 0;
  if ((1 === 0)) {
    t45 = 0;
    t46 = 0;
    t47 = 0;
  } else {
    let t42 = 0, t43 = 0, t44 = 0;
    if ((1 === 1)) {
      t42 = q1_x;
      t43 = q1_y;
      t44 = q1_z;
    } else {
      let t39 = 0, t40 = 0, t41 = 0;
      if ((1 === 2)) {
        t39 = q2_x;
        t40 = q2_y;
        t41 = q2_z;
      } else {
        t39 = 1;
        t40 = 1;
        t41 = 1;
      }
      t42 = t39;
      t43 = t40;
      t44 = t41;
    }
    t45 = t42;
    t46 = t43;
    t47 = t44;
  }
  let q_x$1 = t45;
  let q_y$1 = t46;
  let q_z$1 = t47;
  const t48 = (fo_x - (q_x$1 * 0.5));
  const t49 = (fo_y - (q_y$1 * 0.5));
  const t50 = (fo_z - (q_z$1 * 0.5));
  const t51 = ((base_x + q_x$1) | 0);
  const t52 = ((base_y + q_y$1) | 0);
  const t53 = ((base_z + q_z$1) | 0);
  const t54 = period2_x;
  const t55 = period2_y;
  const t56 = period2_z;
  const t57 = seed;
  const t58 = lap;
  const t59 = cycles;
  let grad_x$2 = grad_x;
  let grad_y$2 = grad_y;
  let grad_z$2 = grad_z;
  let corner_r$1 = 0;
  L60: {
    let w$1 = (0.5 - (((t48 * t48) + (t49 * t49)) + (t50 * t50)));
    if ((w$1 <= 0)) {
      corner_r$1 = 0;
      break L60;
    }
    let m_x$1 = t51;
    let m_y$1 = t52;
    let m_z$1 = t53;
    m_x$1 = ((m_x$1 + ((m_x$1 < 0) ? t54 : ((m_x$1 >= t54) ? ((-t54) | 0) : 0))) | 0);
    m_y$1 = ((m_y$1 + ((m_y$1 < 0) ? t55 : ((m_y$1 >= t55) ? ((-t55) | 0) : 0))) | 0);
    m_z$1 = ((m_z$1 + ((m_z$1 < 0) ? t56 : ((m_z$1 >= t56) ? ((-t56) | 0) : 0))) | 0);
    let v_x$1 = m_x$1;
    let v_y$1 = m_y$1;
    let v_z$1 = m_z$1;
    let v_w$1 = t57;
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
    const t61 = v_x$1;
    const t62 = v_y$1;
    const t63 = v_z$1;
    const t64 = v_w$1;
    let h_x$1 = t61;
    let h_y$1 = t62;
    let h_z$1 = t63;
    let h_w$1 = t64;
    const t65 = ((((h_x$1 >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t66 = ((((h_y$1 >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t67 = ((((h_z$1 >>> 8) | 0) >>> 0) * (1 / 16777216));
    let n_x$1 = ((t65 * 2) - 1);
    let n_y$1 = ((t66 * 2) - 1);
    let n_z$1 = ((t67 * 2) - 1);
    const t68 = (1 / Math.sqrt(((((n_x$1 * n_x$1) + (n_y$1 * n_y$1)) + (n_z$1 * n_z$1)) + 1e-12)));
    n_x$1 = (n_x$1 * t68);
    n_y$1 = (n_y$1 * t68);
    n_z$1 = (n_z$1 * t68);
    let sg$1 = ((n_z$1 >= 0) ? 1 : (-1));
    let a$3 = ((-1) / (sg$1 + n_z$1));
    let b$1 = ((n_x$1 * n_y$1) * a$3);
    let e1_x$1 = (1 + (((sg$1 * n_x$1) * n_x$1) * a$3));
    let e1_y$1 = (sg$1 * b$1);
    let e1_z$1 = ((-sg$1) * n_x$1);
    let e2_x$1 = b$1;
    let e2_y$1 = (sg$1 + ((n_y$1 * n_y$1) * a$3));
    let e2_z$1 = (-n_y$1);
    let count1$1 = ((1 + ((Math.imul((h_w$1 & 65535), t59) >>> 16) | 0)) | 0);
    let start1$1 = ((((h_w$1 >>> 16) | 0) >>> 0) * (1 / 65536));
    let count2$1 = ((count1$1 + 1) + (((Math.imul((h_x$1 & 255), ((t59 - 1) | 0)) >>> 8) | 0) >>> 0));
    count2$1 = (count2$1 - ((count2$1 > t59) ? t59 : 0));
    let start2$1 = (((h_y$1 & 255) >>> 0) * (1 / 256));
    const t69 = (count1$1 * t58);
    const t70 = ((t69 - Math.floor(t69)) + start1$1);
    let r$2 = (t70 - Math.floor((t70 + 0.5)));
    let a$4 = Math.abs(r$2);
    const t71 = (0.5 - a$4);
    let q$2 = (Math.min(a$4, t71) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$3 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t72 = ((r$2 < 0) ? (-s$3) : s$3);
    const t73 = (count2$1 * t58);
    const t74 = ((t73 - Math.floor(t73)) + start2$1);
    let r$3 = (t74 - Math.floor((t74 + 0.5)));
    let a$5 = Math.abs(r$3);
    const t75 = (0.5 - a$5);
    let q$3 = (Math.min(a$5, t75) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$4 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t76 = ((r$3 < 0) ? (-s$4) : s$4);
    let g_x$1 = ((e1_x$1 * t72) + (e2_x$1 * t76));
    let g_y$1 = ((e1_y$1 * t72) + (e2_y$1 * t76));
    let g_z$1 = ((e1_z$1 * t72) + (e2_z$1 * t76));
    let gd$1 = (((g_x$1 * t48) + (g_y$1 * t49)) + (g_z$1 * t50));
    let w2$1 = (w$1 * w$1);
    let w3$1 = (w2$1 * w$1);
    const t77 = ((6 * w2$1) * gd$1);
    grad_x$2 = (grad_x$2 + ((g_x$1 * w3$1) - (t48 * t77)));
    grad_y$2 = (grad_y$2 + ((g_y$1 * w3$1) - (t49 * t77)));
    grad_z$2 = (grad_z$2 + ((g_z$1 * w3$1) - (t50 * t77)));
    corner_r$1 = (w3$1 * gd$1);
    break L60;
  }
  grad_x = grad_x$2;
  grad_y = grad_y$2;
  grad_z = grad_z$2;
  let t$1 = corner_r$1;
  s = (s + t$1);
  let t84 = 0, t85 = 0, t86 = 0;
  if ((2 === 0)) {
    t84 = 0;
    t85 = 0;
    t86 = 0;
  } else {
    let t81 = 0, t82 = 0, t83 = 0;
    if ((2 === 1)) {
      t81 = q1_x;
      t82 = q1_y;
      t83 = q1_z;
    } else {
      let t78 = 0, t79 = 0, t80 = 0;
      if ((2 === 2)) {
        t78 = q2_x;
        t79 = q2_y;
        t80 = q2_z;
      } else {
        t78 = 1;
        t79 = 1;
        t80 = 1;
      }
      t81 = t78;
      t82 = t79;
      t83 = t80;
    }
    t84 = t81;
    t85 = t82;
    t86 = t83;
  }
  let q_x$2 = t84;
  let q_y$2 = t85;
  let q_z$2 = t86;
  const t87 = (fo_x - (q_x$2 * 0.5));
  const t88 = (fo_y - (q_y$2 * 0.5));
  const t89 = (fo_z - (q_z$2 * 0.5));
  const t90 = ((base_x + q_x$2) | 0);
  const t91 = ((base_y + q_y$2) | 0);
  const t92 = ((base_z + q_z$2) | 0);
  const t93 = period2_x;
  const t94 = period2_y;
  const t95 = period2_z;
  const t96 = seed;
  const t97 = lap;
  const t98 = cycles;
  let grad_x$3 = grad_x;
  let grad_y$3 = grad_y;
  let grad_z$3 = grad_z;
  let corner_r$2 = 0;
  L99: {
    let w$2 = (0.5 - (((t87 * t87) + (t88 * t88)) + (t89 * t89)));
    if ((w$2 <= 0)) {
      corner_r$2 = 0;
      break L99;
    }
    let m_x$2 = t90;
    let m_y$2 = t91;
    let m_z$2 = t92;
    m_x$2 = ((m_x$2 + ((m_x$2 < 0) ? t93 : ((m_x$2 >= t93) ? ((-t93) | 0) : 0))) | 0);
    m_y$2 = ((m_y$2 + ((m_y$2 < 0) ? t94 : ((m_y$2 >= t94) ? ((-t94) | 0) : 0))) | 0);
    m_z$2 = ((m_z$2 + ((m_z$2 < 0) ? t95 : ((m_z$2 >= t95) ? ((-t95) | 0) : 0))) | 0);
    let v_x$2 = m_x$2;
    let v_y$2 = m_y$2;
    let v_z$2 = m_z$2;
    let v_w$2 = t96;
    v_x$2 = ((Math.imul(v_x$2, 1664525) + 1013904223) | 0);
    v_y$2 = ((Math.imul(v_y$2, 1664525) + 1013904223) | 0);
    v_z$2 = ((Math.imul(v_z$2, 1664525) + 1013904223) | 0);
    v_w$2 = ((Math.imul(v_w$2, 1664525) + 1013904223) | 0);
    v_x$2 = ((v_x$2 + Math.imul(v_y$2, v_w$2)) | 0);
    v_y$2 = ((v_y$2 + Math.imul(v_z$2, v_x$2)) | 0);
    v_z$2 = ((v_z$2 + Math.imul(v_x$2, v_y$2)) | 0);
    v_w$2 = ((v_w$2 + Math.imul(v_y$2, v_z$2)) | 0);
    v_x$2 = (v_x$2 ^ ((v_x$2 >>> 16) | 0));
    v_y$2 = (v_y$2 ^ ((v_y$2 >>> 16) | 0));
    v_z$2 = (v_z$2 ^ ((v_z$2 >>> 16) | 0));
    v_w$2 = (v_w$2 ^ ((v_w$2 >>> 16) | 0));
    v_x$2 = ((v_x$2 + Math.imul(v_y$2, v_w$2)) | 0);
    v_y$2 = ((v_y$2 + Math.imul(v_z$2, v_x$2)) | 0);
    v_z$2 = ((v_z$2 + Math.imul(v_x$2, v_y$2)) | 0);
    v_w$2 = ((v_w$2 + Math.imul(v_y$2, v_z$2)) | 0);
    const t100 = v_x$2;
    const t101 = v_y$2;
    const t102 = v_z$2;
    const t103 = v_w$2;
    let h_x$2 = t100;
    let h_y$2 = t101;
    let h_z$2 = t102;
    let h_w$2 = t103;
    const t104 = ((((h_x$2 >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t105 = ((((h_y$2 >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t106 = ((((h_z$2 >>> 8) | 0) >>> 0) * (1 / 16777216));
    let n_x$2 = ((t104 * 2) - 1);
    let n_y$2 = ((t105 * 2) - 1);
    let n_z$2 = ((t106 * 2) - 1);
    const t107 = (1 / Math.sqrt(((((n_x$2 * n_x$2) + (n_y$2 * n_y$2)) + (n_z$2 * n_z$2)) + 1e-12)));
    n_x$2 = (n_x$2 * t107);
    n_y$2 = (n_y$2 * t107);
    n_z$2 = (n_z$2 * t107);
    let sg$2 = ((n_z$2 >= 0) ? 1 : (-1));
    let a$6 = ((-1) / (sg$2 + n_z$2));
    let b$2 = ((n_x$2 * n_y$2) * a$6);
    let e1_x$2 = (1 + (((sg$2 * n_x$2) * n_x$2) * a$6));
    let e1_y$2 = (sg$2 * b$2);
    let e1_z$2 = ((-sg$2) * n_x$2);
    let e2_x$2 = b$2;
    let e2_y$2 = (sg$2 + ((n_y$2 * n_y$2) * a$6));
    let e2_z$2 = (-n_y$2);
    let count1$2 = ((1 + ((Math.imul((h_w$2 & 65535), t98) >>> 16) | 0)) | 0);
    let start1$2 = ((((h_w$2 >>> 16) | 0) >>> 0) * (1 / 65536));
    let count2$2 = ((count1$2 + 1) + (((Math.imul((h_x$2 & 255), ((t98 - 1) | 0)) >>> 8) | 0) >>> 0));
    count2$2 = (count2$2 - ((count2$2 > t98) ? t98 : 0));
    let start2$2 = (((h_y$2 & 255) >>> 0) * (1 / 256));
    const t108 = (count1$2 * t97);
    const t109 = ((t108 - Math.floor(t108)) + start1$2);
    let r$4 = (t109 - Math.floor((t109 + 0.5)));
    let a$7 = Math.abs(r$4);
    const t110 = (0.5 - a$7);
    let q$4 = (Math.min(a$7, t110) * 6.283185307179586);
    let q2$4 = (q$4 * q$4);
    let s$5 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
    const t111 = ((r$4 < 0) ? (-s$5) : s$5);
    const t112 = (count2$2 * t97);
    const t113 = ((t112 - Math.floor(t112)) + start2$2);
    let r$5 = (t113 - Math.floor((t113 + 0.5)));
    let a$8 = Math.abs(r$5);
    const t114 = (0.5 - a$8);
    let q$5 = (Math.min(a$8, t114) * 6.283185307179586);
    let q2$5 = (q$5 * q$5);
    let s$6 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
    const t115 = ((r$5 < 0) ? (-s$6) : s$6);
    let g_x$2 = ((e1_x$2 * t111) + (e2_x$2 * t115));
    let g_y$2 = ((e1_y$2 * t111) + (e2_y$2 * t115));
    let g_z$2 = ((e1_z$2 * t111) + (e2_z$2 * t115));
    let gd$2 = (((g_x$2 * t87) + (g_y$2 * t88)) + (g_z$2 * t89));
    let w2$2 = (w$2 * w$2);
    let w3$2 = (w2$2 * w$2);
    const t116 = ((6 * w2$2) * gd$2);
    grad_x$3 = (grad_x$3 + ((g_x$2 * w3$2) - (t87 * t116)));
    grad_y$3 = (grad_y$3 + ((g_y$2 * w3$2) - (t88 * t116)));
    grad_z$3 = (grad_z$3 + ((g_z$2 * w3$2) - (t89 * t116)));
    corner_r$2 = (w3$2 * gd$2);
    break L99;
  }
  grad_x = grad_x$3;
  grad_y = grad_y$3;
  grad_z = grad_z$3;
  let t$2 = corner_r$2;
  s = (s + t$2);
  let t123 = 0, t124 = 0, t125 = 0;
  if ((3 === 0)) {
    t123 = 0;
    t124 = 0;
    t125 = 0;
  } else {
    let t120 = 0, t121 = 0, t122 = 0;
    if ((3 === 1)) {
      t120 = q1_x;
      t121 = q1_y;
      t122 = q1_z;
    } else {
      let t117 = 0, t118 = 0, t119 = 0;
      if ((3 === 2)) {
        t117 = q2_x;
        t118 = q2_y;
        t119 = q2_z;
      } else {
        t117 = 1;
        t118 = 1;
        t119 = 1;
      }
      t120 = t117;
      t121 = t118;
      t122 = t119;
    }
    t123 = t120;
    t124 = t121;
    t125 = t122;
  }
  let q_x$3 = t123;
  let q_y$3 = t124;
  let q_z$3 = t125;
  const t126 = (fo_x - (q_x$3 * 0.5));
  const t127 = (fo_y - (q_y$3 * 0.5));
  const t128 = (fo_z - (q_z$3 * 0.5));
  const t129 = ((base_x + q_x$3) | 0);
  const t130 = ((base_y + q_y$3) | 0);
  const t131 = ((base_z + q_z$3) | 0);
  const t132 = period2_x;
  const t133 = period2_y;
  const t134 = period2_z;
  const t135 = seed;
  const t136 = lap;
  const t137 = cycles;
  let grad_x$4 = grad_x;
  let grad_y$4 = grad_y;
  let grad_z$4 = grad_z;
  let corner_r$3 = 0;
  L138: {
    let w$3 = (0.5 - (((t126 * t126) + (t127 * t127)) + (t128 * t128)));
    if ((w$3 <= 0)) {
      corner_r$3 = 0;
      break L138;
    }
    let m_x$3 = t129;
    let m_y$3 = t130;
    let m_z$3 = t131;
    m_x$3 = ((m_x$3 + ((m_x$3 < 0) ? t132 : ((m_x$3 >= t132) ? ((-t132) | 0) : 0))) | 0);
    m_y$3 = ((m_y$3 + ((m_y$3 < 0) ? t133 : ((m_y$3 >= t133) ? ((-t133) | 0) : 0))) | 0);
    m_z$3 = ((m_z$3 + ((m_z$3 < 0) ? t134 : ((m_z$3 >= t134) ? ((-t134) | 0) : 0))) | 0);
    let v_x$3 = m_x$3;
    let v_y$3 = m_y$3;
    let v_z$3 = m_z$3;
    let v_w$3 = t135;
    v_x$3 = ((Math.imul(v_x$3, 1664525) + 1013904223) | 0);
    v_y$3 = ((Math.imul(v_y$3, 1664525) + 1013904223) | 0);
    v_z$3 = ((Math.imul(v_z$3, 1664525) + 1013904223) | 0);
    v_w$3 = ((Math.imul(v_w$3, 1664525) + 1013904223) | 0);
    v_x$3 = ((v_x$3 + Math.imul(v_y$3, v_w$3)) | 0);
    v_y$3 = ((v_y$3 + Math.imul(v_z$3, v_x$3)) | 0);
    v_z$3 = ((v_z$3 + Math.imul(v_x$3, v_y$3)) | 0);
    v_w$3 = ((v_w$3 + Math.imul(v_y$3, v_z$3)) | 0);
    v_x$3 = (v_x$3 ^ ((v_x$3 >>> 16) | 0));
    v_y$3 = (v_y$3 ^ ((v_y$3 >>> 16) | 0));
    v_z$3 = (v_z$3 ^ ((v_z$3 >>> 16) | 0));
    v_w$3 = (v_w$3 ^ ((v_w$3 >>> 16) | 0));
    v_x$3 = ((v_x$3 + Math.imul(v_y$3, v_w$3)) | 0);
    v_y$3 = ((v_y$3 + Math.imul(v_z$3, v_x$3)) | 0);
    v_z$3 = ((v_z$3 + Math.imul(v_x$3, v_y$3)) | 0);
    v_w$3 = ((v_w$3 + Math.imul(v_y$3, v_z$3)) | 0);
    const t139 = v_x$3;
    const t140 = v_y$3;
    const t141 = v_z$3;
    const t142 = v_w$3;
    let h_x$3 = t139;
    let h_y$3 = t140;
    let h_z$3 = t141;
    let h_w$3 = t142;
    const t143 = ((((h_x$3 >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t144 = ((((h_y$3 >>> 8) | 0) >>> 0) * (1 / 16777216));
    const t145 = ((((h_z$3 >>> 8) | 0) >>> 0) * (1 / 16777216));
    let n_x$3 = ((t143 * 2) - 1);
    let n_y$3 = ((t144 * 2) - 1);
    let n_z$3 = ((t145 * 2) - 1);
    const t146 = (1 / Math.sqrt(((((n_x$3 * n_x$3) + (n_y$3 * n_y$3)) + (n_z$3 * n_z$3)) + 1e-12)));
    n_x$3 = (n_x$3 * t146);
    n_y$3 = (n_y$3 * t146);
    n_z$3 = (n_z$3 * t146);
    let sg$3 = ((n_z$3 >= 0) ? 1 : (-1));
    let a$9 = ((-1) / (sg$3 + n_z$3));
    let b$3 = ((n_x$3 * n_y$3) * a$9);
    let e1_x$3 = (1 + (((sg$3 * n_x$3) * n_x$3) * a$9));
    let e1_y$3 = (sg$3 * b$3);
    let e1_z$3 = ((-sg$3) * n_x$3);
    let e2_x$3 = b$3;
    let e2_y$3 = (sg$3 + ((n_y$3 * n_y$3) * a$9));
    let e2_z$3 = (-n_y$3);
    let count1$3 = ((1 + ((Math.imul((h_w$3 & 65535), t137) >>> 16) | 0)) | 0);
    let start1$3 = ((((h_w$3 >>> 16) | 0) >>> 0) * (1 / 65536));
    let count2$3 = ((count1$3 + 1) + (((Math.imul((h_x$3 & 255), ((t137 - 1) | 0)) >>> 8) | 0) >>> 0));
    count2$3 = (count2$3 - ((count2$3 > t137) ? t137 : 0));
    let start2$3 = (((h_y$3 & 255) >>> 0) * (1 / 256));
    const t147 = (count1$3 * t136);
    const t148 = ((t147 - Math.floor(t147)) + start1$3);
    let r$6 = (t148 - Math.floor((t148 + 0.5)));
    let a$10 = Math.abs(r$6);
    const t149 = (0.5 - a$10);
    let q$6 = (Math.min(a$10, t149) * 6.283185307179586);
    let q2$6 = (q$6 * q$6);
    let s$7 = (q$6 * (1 + (q2$6 * ((-0.16666666667) + (q2$6 * (0.0083333333333 + (q2$6 * ((-0.00019841269841) + (q2$6 * (0.0000027557319224 + (q2$6 * (-2.5052108385e-8))))))))))));
    const t150 = ((r$6 < 0) ? (-s$7) : s$7);
    const t151 = (count2$3 * t136);
    const t152 = ((t151 - Math.floor(t151)) + start2$3);
    let r$7 = (t152 - Math.floor((t152 + 0.5)));
    let a$11 = Math.abs(r$7);
    const t153 = (0.5 - a$11);
    let q$7 = (Math.min(a$11, t153) * 6.283185307179586);
    let q2$7 = (q$7 * q$7);
    let s$8 = (q$7 * (1 + (q2$7 * ((-0.16666666667) + (q2$7 * (0.0083333333333 + (q2$7 * ((-0.00019841269841) + (q2$7 * (0.0000027557319224 + (q2$7 * (-2.5052108385e-8))))))))))));
    const t154 = ((r$7 < 0) ? (-s$8) : s$8);
    let g_x$3 = ((e1_x$3 * t150) + (e2_x$3 * t154));
    let g_y$3 = ((e1_y$3 * t150) + (e2_y$3 * t154));
    let g_z$3 = ((e1_z$3 * t150) + (e2_z$3 * t154));
    let gd$3 = (((g_x$3 * t126) + (g_y$3 * t127)) + (g_z$3 * t128));
    let w2$3 = (w$3 * w$3);
    let w3$3 = (w2$3 * w$3);
    const t155 = ((6 * w2$3) * gd$3);
    grad_x$4 = (grad_x$4 + ((g_x$3 * w3$3) - (t126 * t155)));
    grad_y$4 = (grad_y$4 + ((g_y$3 * w3$3) - (t127 * t155)));
    grad_z$4 = (grad_z$4 + ((g_z$3 * w3$3) - (t128 * t155)));
    corner_r$3 = (w3$3 * gd$3);
    break L138;
  }
  grad_x = grad_x$4;
  grad_y = grad_y$4;
  grad_z = grad_z$4;
  let t$3 = corner_r$3;
  s = (s + t$3);
  grad_x = (grad_x * 27);
  grad_y = (grad_y * 27);
  grad_z = (grad_z * 27);
  RF[0] = (s * 27);
  RF[1] = grad_x;
  RF[2] = grad_y;
  RF[3] = grad_z;
  return;
}
export function curl$(): void {
  let p_x = RF[0];
  let p_y = RF[1];
  let p_z = RF[2];
  let period_x = RI[0];
  let period_y = RI[1];
  let period_z = RI[2];
  let seed = RI[3];
  let lap = RF[3];
  let cycles = RI[4];
  let a_x = 0;
  let a_y = 0;
  let a_z = 0;
  let b_x = 0;
  let b_y = 0;
  let b_z = 0;
  let c_x = 0;
  let c_y = 0;
  let c_z = 0;
  let grad_x = 0;
  let grad_y = 0;
  let grad_z = 0;
  RF[0] = p_x;
  RF[1] = p_y;
  RF[2] = p_z;
  RI[0] = period_x;
  RI[1] = period_y;
  RI[2] = period_z;
  RI[3] = ((seed + 0) | 0);
  RF[3] = lap;
  RI[4] = cycles;
  flowNoise$();
  const t0 = RF[0];
  const t1 = RF[1];
  const t2 = RF[2];
  const t3 = RF[3];
  grad_x = t1;
  grad_y = t2;
  grad_z = t3;
  let unused = t0;
  if ((0 === 0)) {
    a_x = grad_x;
    a_y = grad_y;
    a_z = grad_z;
  }
  if ((0 === 1)) {
    b_x = grad_x;
    b_y = grad_y;
    b_z = grad_z;
  }
  if ((0 === 2)) {
    c_x = grad_x;
    c_y = grad_y;
    c_z = grad_z;
  }
  let grad_x$1 = 0;
  let grad_y$1 = 0;
  let grad_z$1 = 0;
  RF[0] = p_x;
  RF[1] = p_y;
  RF[2] = p_z;
  RI[0] = period_x;
  RI[1] = period_y;
  RI[2] = period_z;
  RI[3] = ((seed + 1) | 0);
  RF[3] = lap;
  RI[4] = cycles;
  flowNoise$();
  const t4 = RF[0];
  const t5 = RF[1];
  const t6 = RF[2];
  const t7 = RF[3];
  grad_x$1 = t5;
  grad_y$1 = t6;
  grad_z$1 = t7;
  let unused$1 = t4;
  if ((1 === 0)) {
    a_x = grad_x$1;
    a_y = grad_y$1;
    a_z = grad_z$1;
  }
  if ((1 === 1)) {
    b_x = grad_x$1;
    b_y = grad_y$1;
    b_z = grad_z$1;
  }
  if ((1 === 2)) {
    c_x = grad_x$1;
    c_y = grad_y$1;
    c_z = grad_z$1;
  }
  let grad_x$2 = 0;
  let grad_y$2 = 0;
  let grad_z$2 = 0;
  RF[0] = p_x;
  RF[1] = p_y;
  RF[2] = p_z;
  RI[0] = period_x;
  RI[1] = period_y;
  RI[2] = period_z;
  RI[3] = ((seed + 2) | 0);
  RF[3] = lap;
  RI[4] = cycles;
  flowNoise$();
  const t8 = RF[0];
  const t9 = RF[1];
  const t10 = RF[2];
  const t11 = RF[3];
  grad_x$2 = t9;
  grad_y$2 = t10;
  grad_z$2 = t11;
  let unused$2 = t8;
  if ((2 === 0)) {
    a_x = grad_x$2;
    a_y = grad_y$2;
    a_z = grad_z$2;
  }
  if ((2 === 1)) {
    b_x = grad_x$2;
    b_y = grad_y$2;
    b_z = grad_z$2;
  }
  if ((2 === 2)) {
    c_x = grad_x$2;
    c_y = grad_y$2;
    c_z = grad_z$2;
  }
  RF[0] = (c_y - b_z);
  RF[1] = (a_z - c_x);
  RF[2] = (b_x - a_y);
  return;
}
export function driftElement(weight: number, seed: number, amount: number, scale_x: number, scale_y: number, scale_z: number, period_x: number, period_y: number, period_z: number, cycles: number, octaves: number, lap: number, position_x: number, position_y: number, position_z: number): void {
  seed = seed | 0;
  period_x = period_x | 0;
  period_y = period_y | 0;
  period_z = period_z | 0;
  cycles = cycles | 0;
  octaves = octaves | 0;
  let much = ((amount * weight) * 0.39);
  if ((much === 0)) {
    RF[0] = position_x;
    RF[1] = position_y;
    RF[2] = position_z;
    return;
  }
  let q_x = (position_x * scale_x);
  let q_y = (position_y * scale_y);
  let q_z = (position_z * scale_z);
  let carried_x = 0;
  let carried_y = 0;
  let carried_z = 0;
  for (let i = 0; i < 5; i += 1) {
    if ((i >= octaves)) {
      break;
    }
    let times = (1 << i);
    const t0 = (i * 0.37);
    const t1 = (t0 - Math.floor(t0));
    let at_x = ((q_x * times) + t1);
    let at_y = ((q_y * times) + t1);
    let at_z = ((q_z * times) + t1);
    RF[0] = at_x;
    RF[1] = at_y;
    RF[2] = at_z;
    RI[0] = Math.imul(period_x, times);
    RI[1] = Math.imul(period_y, times);
    RI[2] = Math.imul(period_z, times);
    RI[3] = ((((seed + 11) | 0) + Math.imul(3, i)) | 0);
    RF[3] = lap;
    RI[4] = cycles;
    curl$();
    const t2 = RF[0];
    const t3 = RF[1];
    const t4 = RF[2];
    let swirl_x = t2;
    let swirl_y = t3;
    let swirl_z = t4;
    carried_x = (carried_x + (swirl_x / times));
    carried_y = (carried_y + (swirl_y / times));
    carried_z = (carried_z + (swirl_z / times));
  }
  position_x = (position_x + (carried_x * much));
  position_y = (position_y + (carried_y * much));
  position_z = (position_z + (carried_z * much));
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
}
export function driftRun(first: number, end: number, weightA: Float64Array, seed: number, amount: number, scale_x: number, scale_y: number, scale_z: number, period_x: number, period_y: number, period_z: number, cycles: number, octaves: number, lap: number, positionA: Float64Array): void {
  seed = seed | 0; period_x = period_x | 0; period_y = period_y | 0; period_z = period_z | 0; cycles = cycles | 0; octaves = octaves | 0;
  for (let k = first; k < end; k++) {
  const t0 = weightA[k];
  const t1 = positionA[k * 3];
  const t2 = positionA[k * 3 + 1];
  const t3 = positionA[k * 3 + 2];
  let position_x = t1;
  let position_y = t2;
  let position_z = t3;
  L4: {
    let much = ((amount * t0) * 0.39);
    if ((much === 0)) {
      break L4;
    }
    let q_x = (position_x * scale_x);
    let q_y = (position_y * scale_y);
    let q_z = (position_z * scale_z);
    let carried_x = 0;
    let carried_y = 0;
    let carried_z = 0;
    for (let i = 0; i < 5; i += 1) {
      if ((i >= octaves)) {
        break;
      }
      let times = (1 << i);
      const t5 = (i * 0.37);
      const t6 = (t5 - Math.floor(t5));
      let at_x = ((q_x * times) + t6);
      let at_y = ((q_y * times) + t6);
      let at_z = ((q_z * times) + t6);
      RF[0] = at_x;
      RF[1] = at_y;
      RF[2] = at_z;
      RI[0] = Math.imul(period_x, times);
      RI[1] = Math.imul(period_y, times);
      RI[2] = Math.imul(period_z, times);
      RI[3] = ((((seed + 11) | 0) + Math.imul(3, i)) | 0);
      RF[3] = lap;
      RI[4] = cycles;
      curl$();
      const t7 = RF[0];
      const t8 = RF[1];
      const t9 = RF[2];
      let swirl_x = t7;
      let swirl_y = t8;
      let swirl_z = t9;
      carried_x = (carried_x + (swirl_x / times));
      carried_y = (carried_y + (swirl_y / times));
      carried_z = (carried_z + (swirl_z / times));
    }
    position_x = (position_x + (carried_x * much));
    position_y = (position_y + (carried_y * much));
    position_z = (position_z + (carried_z * much));
  }
  positionA[k * 3] = position_x;
  positionA[k * 3 + 1] = position_y;
  positionA[k * 3 + 2] = position_z;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"driftElement":[{"name":"weight","type":"float","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"scale","type":"vec3","direction":"in"},{"name":"period","type":"ivec3","direction":"in"},{"name":"cycles","type":"int","direction":"in"},{"name":"octaves","type":"int","direction":"in"},{"name":"lap","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"inout"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  'treatments/drift/drift.glsl': `
void driftElement(float weight, uint seed, float amount, vec3 scale, ivec3 period, int cycles, int octaves, float lap,
                  inout vec3 position) {
  float much = amount * weight * 0.39;
  if (much == 0.0) return;
  vec3 q = position * scale;
  vec3 carried = vec3(0.0);
  for (int i = 0; i < 5; i++) {
    if (i >= octaves) break;
    int times = 1 << i;
    // each octave is offset by a constant of its own, or lattice points would never move
    vec3 at = q * float(times) + fract(float(i) * 0.37);
    vec3 swirl = curl(at, period * times, seed + 11u + 3u * uint(i), lap, cycles);
    carried += swirl / float(times);
  }
  position += carried * much;
}
`,
};
