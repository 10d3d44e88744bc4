// Generated from src/core/treatments/reach/reach.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../noise/flow.gen';
import { sources as from1 } from '../../space/rotation.gen';
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
export function reachWeight(position_x: number, position_y: number, position_z: number, order: number, by: number, at_x: number, at_y: number, at_z: number, tile: number, inner: number, outer: number, invert: number, noiseScale_x: number, noiseScale_y: number, noiseScale_z: number, noisePeriod_x: number, noisePeriod_y: number, noisePeriod_z: number, seed: number, cycles: number, course_x: number, course_y: number, course_z: number, course_w: number, track: Float64Array, lap: number): void {
  let weight = 0;
  let slope_x = 0;
  let slope_y = 0;
  let slope_z = 0;
  by = by | 0;
  invert = invert | 0;
  noisePeriod_x = noisePeriod_x | 0;
  noisePeriod_y = noisePeriod_y | 0;
  noisePeriod_z = noisePeriod_z | 0;
  seed = seed | 0;
  cycles = cycles | 0;
  let away_x = (position_x - at_x);
  let away_y = (position_y - at_y);
  let away_z = (position_z - at_z);
  if ((tile > 0)) {
    away_z = (away_z - (tile * Math.floor(((away_z / tile) + 0.5))));
  }
  let d = order;
  let toward_x = 0;
  let toward_y = 0;
  let toward_z = 0;
  if ((by === 1)) {
    d = Math.sqrt((((away_x * away_x) + (away_y * away_y)) + (away_z * away_z)));
    const t0 = Math.max(d, 0.000001);
    toward_x = (away_x / t0);
    toward_y = (away_y / t0);
    toward_z = (away_z / t0);
  }
  if ((by === 2)) {
    d = Math.abs(away_z);
    toward_x = 0;
    toward_y = 0;
    toward_z = ((away_z < 0) ? (-1) : 1);
  }
  if (((by === 3) && (course_z > 0))) {
    const t1 = Math.imul(0, 2) * 4;
    const t2 = track[t1 + 0];
    const t3 = track[t1 + 1];
    const t4 = track[t1 + 2];
    const t5 = track[t1 + 3];
    let before_x = t2;
    let before_y = t3;
    let before_z = t4;
    const t6 = Math.imul(1, 2) * 4;
    const t7 = track[t6 + 0];
    const t8 = track[t6 + 1];
    const t9 = track[t6 + 2];
    const t10 = track[t6 + 3];
    let here_x = t7;
    let here_y = t8;
    let here_z = t9;
    let from_x = 0;
    let from_y = 0;
    let from_z = 0;
    let nearest_x = 1000000000;
    let nearest_y = 1000000000;
    let nearest_z = 1000000000;
    for (let i = 0; i < 129; i += 1) {
      const t11 = track;
      const t12 = ((i + 2) | 0);
      const t13 = Math.imul(t12, 2) * 4;
      const t14 = t11[t13 + 0];
      const t15 = t11[t13 + 1];
      const t16 = t11[t13 + 2];
      const t17 = t11[t13 + 3];
      let after_x = t14;
      let after_y = t15;
      let after_z = t16;
      let to_x = (((before_x + (here_x * 4)) + after_x) / 6);
      let to_y = (((before_y + (here_y * 4)) + after_y) / 6);
      let to_z = (((before_z + (here_z * 4)) + after_z) / 6);
      if ((i > 0)) {
        let step__x = (to_x - from_x);
        let step__y = (to_y - from_y);
        let step__z = (to_z - from_z);
        let away_x$1 = (position_x - from_x);
        let away_y$1 = (position_y - from_y);
        let away_z$1 = (position_z - from_z);
        if ((course_w > 0)) {
          away_z$1 = (away_z$1 - (course_w * Math.floor(((away_z$1 / course_w) + 0.5))));
        }
        const t18 = (((step__x * step__x) + (step__y * step__y)) + (step__z * step__z));
        const t19 = 1e-12;
        const t20 = Math.min(Math.max(((((away_x$1 * step__x) + (away_y$1 * step__y)) + (away_z$1 * step__z)) / Math.max(t18, t19)), 0), 1);
        let off_x = (away_x$1 - (step__x * t20));
        let off_y = (away_y$1 - (step__y * t20));
        let off_z = (away_z$1 - (step__z * t20));
        if (((((off_x * off_x) + (off_y * off_y)) + (off_z * off_z)) < (((nearest_x * nearest_x) + (nearest_y * nearest_y)) + (nearest_z * nearest_z)))) {
          nearest_x = off_x;
          nearest_y = off_y;
          nearest_z = off_z;
        }
      }
      from_x = to_x;
      from_y = to_y;
      from_z = to_z;
      before_x = here_x;
      before_y = here_y;
      before_z = here_z;
      here_x = after_x;
      here_y = after_y;
      here_z = after_z;
    }
    const t21 = nearest_x;
    const t22 = nearest_y;
    const t23 = nearest_z;
    let off_x$1 = t21;
    let off_y$1 = t22;
    let off_z$1 = t23;
    d = Math.sqrt((((off_x$1 * off_x$1) + (off_y$1 * off_y$1)) + (off_z$1 * off_z$1)));
    const t24 = Math.max(d, 0.000001);
    toward_x = (off_x$1 / t24);
    toward_y = (off_y$1 / t24);
    toward_z = (off_z$1 / t24);
  }
  if (((by === 3) && (course_z === 0))) {
    let turn = ((-position_z) * course_y);
    const t25 = (turn + 0.25);
    let r = (t25 - Math.floor((t25 + 0.5)));
    let a = Math.abs(r);
    const t26 = (0.5 - a);
    let q = (Math.min(a, t26) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t27 = ((r < 0) ? (-s) : s);
    let r$1 = (turn - Math.floor((turn + 0.5)));
    let a$1 = Math.abs(r$1);
    const t28 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t28) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t29 = ((r$1 < 0) ? (-s$1) : s$1);
    let out__x = (position_x - (t27 * course_x));
    let out__y = (position_y - (t29 * course_x));
    d = Math.sqrt(((out__x * out__x) + (out__y * out__y)));
    let steep = ((6.283185307179586 * course_y) * course_x);
    const t30 = Math.max(d, 0.000001);
    let toward2_x = (out__x / t30);
    let toward2_y = (out__y / t30);
    const t31 = (turn + 0.25);
    let r$2 = (t31 - Math.floor((t31 + 0.5)));
    let a$2 = Math.abs(r$2);
    const t32 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t32) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t33 = ((r$2 < 0) ? (-s$2) : s$2);
    let r$3 = (turn - Math.floor((turn + 0.5)));
    let a$3 = Math.abs(r$3);
    const t34 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t34) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t35 = ((r$3 < 0) ? (-s$3) : s$3);
    toward_x = toward2_x;
    toward_y = toward2_y;
    toward_z = (((toward2_y * t33) - (toward2_x * t35)) * steep);
  }
  if ((by === 5)) {
    let grad_x = 0;
    let grad_y = 0;
    let grad_z = 0;
    RF[0] = (position_x * noiseScale_x);
    RF[1] = (position_y * noiseScale_y);
    RF[2] = (position_z * noiseScale_z);
    RI[0] = noisePeriod_x;
    RI[1] = noisePeriod_y;
    RI[2] = noisePeriod_z;
    RI[3] = seed;
    RF[3] = lap;
    RI[4] = cycles;
    flowNoise$();
    const t36 = RF[0];
    const t37 = RF[1];
    const t38 = RF[2];
    const t39 = RF[3];
    grad_x = t37;
    grad_y = t38;
    grad_z = t39;
    let n = t36;
    d = (0.5 + (0.7 * n));
    toward_x = ((grad_x * noiseScale_x) * 0.7);
    toward_y = ((grad_y * noiseScale_y) * 0.7);
    toward_z = ((grad_z * noiseScale_z) * 0.7);
  }
  const t40 = (outer - inner);
  let width = Math.max(t40, 0.0001);
  let t = Math.min(Math.max(((d - inner) / width), 0), 1);
  weight = (1 - ((t * t) * (3 - (2 * t))));
  const t41 = ((((-6) * t) * (1 - t)) / width);
  slope_x = (toward_x * t41);
  slope_y = (toward_y * t41);
  slope_z = (toward_z * t41);
  if ((invert === 1)) {
    weight = (1 - weight);
    slope_x = (-slope_x);
    slope_y = (-slope_y);
    slope_z = (-slope_z);
  }
  RF[0] = weight;
  RF[1] = slope_x;
  RF[2] = slope_y;
  RF[3] = slope_z;
}
export function reachRun(first: number, end: number, positionA: Float64Array, orderA: Float64Array, by: number, at_x: number, at_y: number, at_z: number, tile: number, inner: number, outer: number, invert: number, noiseScale_x: number, noiseScale_y: number, noiseScale_z: number, noisePeriod_x: number, noisePeriod_y: number, noisePeriod_z: number, seed: number, cycles: number, course_x: number, course_y: number, course_z: number, course_w: number, track: Float64Array, lap: number, weight_o: Float64Array, slope_o: Float64Array): void {
  by = by | 0; invert = invert | 0; noisePeriod_x = noisePeriod_x | 0; noisePeriod_y = noisePeriod_y | 0; noisePeriod_z = noisePeriod_z | 0; seed = seed | 0; cycles = cycles | 0;
  for (let k = first; k < end; k++) {
  const t0 = positionA[k * 3];
  const t1 = positionA[k * 3 + 1];
  const t2 = positionA[k * 3 + 2];
  const t3 = orderA[k];
  let weight = 0;
  let slope_x = 0;
  let slope_y = 0;
  let slope_z = 0;
  let away_x = (t0 - at_x);
  let away_y = (t1 - at_y);
  let away_z = (t2 - at_z);
  if ((tile > 0)) {
    away_z = (away_z - (tile * Math.floor(((away_z / tile) + 0.5))));
  }
  let d = t3;
  let toward_x = 0;
  let toward_y = 0;
  let toward_z = 0;
  if ((by === 1)) {
    d = Math.sqrt((((away_x * away_x) + (away_y * away_y)) + (away_z * away_z)));
    const t4 = Math.max(d, 0.000001);
    toward_x = (away_x / t4);
    toward_y = (away_y / t4);
    toward_z = (away_z / t4);
  }
  if ((by === 2)) {
    d = Math.abs(away_z);
    toward_x = 0;
    toward_y = 0;
    toward_z = ((away_z < 0) ? (-1) : 1);
  }
  if (((by === 3) && (course_z > 0))) {
    const t5 = Math.imul(0, 2) * 4;
    const t6 = track[t5 + 0];
    const t7 = track[t5 + 1];
    const t8 = track[t5 + 2];
    const t9 = track[t5 + 3];
    let before_x = t6;
    let before_y = t7;
    let before_z = t8;
    const t10 = Math.imul(1, 2) * 4;
    const t11 = track[t10 + 0];
    const t12 = track[t10 + 1];
    const t13 = track[t10 + 2];
    const t14 = track[t10 + 3];
    let here_x = t11;
    let here_y = t12;
    let here_z = t13;
    let from_x = 0;
    let from_y = 0;
    let from_z = 0;
    let nearest_x = 1000000000;
    let nearest_y = 1000000000;
    let nearest_z = 1000000000;
    for (let i = 0; i < 129; i += 1) {
      const t15 = ((i + 2) | 0);
      const t16 = Math.imul(t15, 2) * 4;
      const t17 = track[t16 + 0];
      const t18 = track[t16 + 1];
      const t19 = track[t16 + 2];
      const t20 = track[t16 + 3];
      let after_x = t17;
      let after_y = t18;
      let after_z = t19;
      let to_x = (((before_x + (here_x * 4)) + after_x) / 6);
      let to_y = (((before_y + (here_y * 4)) + after_y) / 6);
      let to_z = (((before_z + (here_z * 4)) + after_z) / 6);
      if ((i > 0)) {
        let step__x = (to_x - from_x);
        let step__y = (to_y - from_y);
        let step__z = (to_z - from_z);
        let away_x$1 = (t0 - from_x);
        let away_y$1 = (t1 - from_y);
        let away_z$1 = (t2 - from_z);
        if ((course_w > 0)) {
          away_z$1 = (away_z$1 - (course_w * Math.floor(((away_z$1 / course_w) + 0.5))));
        }
        const t21 = (((step__x * step__x) + (step__y * step__y)) + (step__z * step__z));
        const t22 = 1e-12;
        const t23 = Math.min(Math.max(((((away_x$1 * step__x) + (away_y$1 * step__y)) + (away_z$1 * step__z)) / Math.max(t21, t22)), 0), 1);
        let off_x = (away_x$1 - (step__x * t23));
        let off_y = (away_y$1 - (step__y * t23));
        let off_z = (away_z$1 - (step__z * t23));
        if (((((off_x * off_x) + (off_y * off_y)) + (off_z * off_z)) < (((nearest_x * nearest_x) + (nearest_y * nearest_y)) + (nearest_z * nearest_z)))) {
          nearest_x = off_x;
          nearest_y = off_y;
          nearest_z = off_z;
        }
      }
      from_x = to_x;
      from_y = to_y;
      from_z = to_z;
      before_x = here_x;
      before_y = here_y;
      before_z = here_z;
      here_x = after_x;
      here_y = after_y;
      here_z = after_z;
    }
    const t24 = nearest_x;
    const t25 = nearest_y;
    const t26 = nearest_z;
    let off_x$1 = t24;
    let off_y$1 = t25;
    let off_z$1 = t26;
    d = Math.sqrt((((off_x$1 * off_x$1) + (off_y$1 * off_y$1)) + (off_z$1 * off_z$1)));
    const t27 = Math.max(d, 0.000001);
    toward_x = (off_x$1 / t27);
    toward_y = (off_y$1 / t27);
    toward_z = (off_z$1 / t27);
  }
  if (((by === 3) && (course_z === 0))) {
    let turn = ((-t2) * course_y);
    const t28 = (turn + 0.25);
    let r = (t28 - Math.floor((t28 + 0.5)));
    let a = Math.abs(r);
    const t29 = (0.5 - a);
    let q = (Math.min(a, t29) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t30 = ((r < 0) ? (-s) : s);
    let r$1 = (turn - Math.floor((turn + 0.5)));
    let a$1 = Math.abs(r$1);
    const t31 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t31) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t32 = ((r$1 < 0) ? (-s$1) : s$1);
    let out__x = (t0 - (t30 * course_x));
    let out__y = (t1 - (t32 * course_x));
    d = Math.sqrt(((out__x * out__x) + (out__y * out__y)));
    let steep = ((6.283185307179586 * course_y) * course_x);
    const t33 = Math.max(d, 0.000001);
    let toward2_x = (out__x / t33);
    let toward2_y = (out__y / t33);
    const t34 = (turn + 0.25);
    let r$2 = (t34 - Math.floor((t34 + 0.5)));
    let a$2 = Math.abs(r$2);
    const t35 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t35) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t36 = ((r$2 < 0) ? (-s$2) : s$2);
    let r$3 = (turn - Math.floor((turn + 0.5)));
    let a$3 = Math.abs(r$3);
    const t37 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t37) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t38 = ((r$3 < 0) ? (-s$3) : s$3);
    toward_x = toward2_x;
    toward_y = toward2_y;
    toward_z = (((toward2_y * t36) - (toward2_x * t38)) * steep);
  }
  if ((by === 5)) {
    let grad_x = 0;
    let grad_y = 0;
    let grad_z = 0;
    RF[0] = (t0 * noiseScale_x);
    RF[1] = (t1 * noiseScale_y);
    RF[2] = (t2 * noiseScale_z);
    RI[0] = noisePeriod_x;
    RI[1] = noisePeriod_y;
    RI[2] = noisePeriod_z;
    RI[3] = seed;
    RF[3] = lap;
    RI[4] = cycles;
    flowNoise$();
    const t39 = RF[0];
    const t40 = RF[1];
    const t41 = RF[2];
    const t42 = RF[3];
    grad_x = t40;
    grad_y = t41;
    grad_z = t42;
    let n = t39;
    d = (0.5 + (0.7 * n));
    toward_x = ((grad_x * noiseScale_x) * 0.7);
    toward_y = ((grad_y * noiseScale_y) * 0.7);
    toward_z = ((grad_z * noiseScale_z) * 0.7);
  }
  const t43 = (outer - inner);
  let width = Math.max(t43, 0.0001);
  let t = Math.min(Math.max(((d - inner) / width), 0), 1);
  weight = (1 - ((t * t) * (3 - (2 * t))));
  const t44 = ((((-6) * t) * (1 - t)) / width);
  slope_x = (toward_x * t44);
  slope_y = (toward_y * t44);
  slope_z = (toward_z * t44);
  if ((invert === 1)) {
    weight = (1 - weight);
    slope_x = (-slope_x);
    slope_y = (-slope_y);
    slope_z = (-slope_z);
  }
  weight_o[k] = weight;
  slope_o[k * 3] = slope_x;
  slope_o[k * 3 + 1] = slope_y;
  slope_o[k * 3 + 2] = slope_z;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"reachWeight":[{"name":"position","type":"vec3","direction":"in"},{"name":"order","type":"float","direction":"in"},{"name":"by","type":"int","direction":"in"},{"name":"at","type":"vec3","direction":"in"},{"name":"tile","type":"float","direction":"in"},{"name":"inner","type":"float","direction":"in"},{"name":"outer","type":"float","direction":"in"},{"name":"invert","type":"int","direction":"in"},{"name":"noiseScale","type":"vec3","direction":"in"},{"name":"noisePeriod","type":"ivec3","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"cycles","type":"int","direction":"in"},{"name":"course","type":"vec4","direction":"in"},{"name":"track","type":"sampler2D","direction":"in"},{"name":"lap","type":"float","direction":"in"},{"name":"weight","type":"float","direction":"out"},{"name":"slope","type":"vec3","direction":"out"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  ...from1,
  'space/route.glsl': `
vec3 trackNode(sampler2D track, int node) { return texelFetch(track, ivec2(node * 2, 0), 0).xyz; }
vec3 trackUpright(sampler2D track, int node) { return texelFetch(track, ivec2(node * 2 + 1, 0), 0).xyz; }

void routeFrame(float advance, vec4 course, float period, sampler2D track, out vec3 origin, out vec4 frame, out float pace) {
  if (course.z > 0.0) {
    float round_ = advance / period;
    float whole = floor(round_);
    float at = (round_ - whole) * course.z;
    int node = min(int(at), int(course.z) - 1);
    float f = at - float(node);
    float g = 1.0 - f;
    vec4 weight = vec4(g * g * g, 3.0 * f * f * f - 6.0 * f * f + 4.0, 3.0 * g * g * g - 6.0 * g * g + 4.0, f * f * f) / 6.0;
    vec4 rate = vec4(-g * g, 3.0 * f * f - 4.0 * f, 4.0 * g - 3.0 * g * g, f * f) * 0.5;
    vec3 a = trackNode(track, node);
    vec3 b = trackNode(track, node + 1);
    vec3 c = trackNode(track, node + 2);
    vec3 d = trackNode(track, node + 3);
    origin = a * weight.x + b * weight.y + c * weight.z + d * weight.w - vec3(0.0, 0.0, course.w * whole);
    vec3 along = a * rate.x + b * rate.y + c * rate.z + d * rate.w;
    float quick = length(along);
    pace = quick * course.z / period;
    vec3 back = along / -max(quick, 1e-9);
    vec3 up = trackUpright(track, node) * weight.x + trackUpright(track, node + 1) * weight.y
            + trackUpright(track, node + 2) * weight.z + trackUpright(track, node + 3) * weight.w;
    vec3 right = normalize(cross(up, back));
    frame = quatFrom(right, cross(back, right), back);
  } else {
    float turn = advance * course.y;
    float s = sinTurn(turn);
    float c = cosTurn(turn);
    origin = vec3(course.x * c, course.x * s, -advance);
    float slope = course.x * TAU * course.y;
    // leaning from straight ahead into the tangent is one rotation about the direction outwards
    pace = sqrt(1.0 + slope * slope);
    float inv = 1.0 / pace;
    float half_ = sqrt(0.5 + 0.5 * inv);
    float across = slope >= 0.0 ? sqrt(max(0.0, 0.5 - 0.5 * inv)) : -sqrt(max(0.0, 0.5 - 0.5 * inv));
    frame = vec4(c * across, s * across, 0.0, half_);
  }
}

vec3 fromTrack(vec3 place, vec4 course, sampler2D track) {
  vec3 before = trackNode(track, 0);
  vec3 here = trackNode(track, 1);
  vec3 from = vec3(0.0);
  vec3 nearest = vec3(1e9);
  for (int i = 0; i < 129; i++) {
    vec3 after = trackNode(track, i + 2);
    vec3 to = (before + here * 4.0 + after) / 6.0;
    if (i > 0) {
      vec3 step_ = to - from;
      vec3 away = place - from;
      if (course.w > 0.0) away.z -= course.w * floor(away.z / course.w + 0.5);
      vec3 off = away - step_ * clamp(dot(away, step_) / max(dot(step_, step_), 1e-12), 0.0, 1.0);
      if (dot(off, off) < dot(nearest, nearest)) nearest = off;
    }
    from = to;
    before = here;
    here = after;
  }
  return nearest;
}
`,
  'treatments/reach/reach.glsl': `
void reachWeight(vec3 position, float order, int by, vec3 at, float tile, float inner, float outer, int invert,
                 vec3 noiseScale, ivec3 noisePeriod, uint seed, int cycles, vec4 course, sampler2D track, float lap,
                 out float weight, out vec3 slope) {
  vec3 away = position - at;
  if (tile > 0.0) away.z -= tile * floor(away.z / tile + 0.5);
  float d = order;
  vec3 toward = vec3(0.0);
  if (by == 1) {
    d = length(away);
    toward = away / max(d, 1e-6);
  }
  if (by == 2) {
    d = abs(away.z);
    toward = vec3(0.0, 0.0, away.z < 0.0 ? -1.0 : 1.0);
  }
  if (by == 3 && course.z > 0.0) {
    vec3 off = fromTrack(position, course, track);
    d = length(off);
    toward = off / max(d, 1e-6);
  }
  if (by == 3 && course.z == 0.0) {
    float turn = -position.z * course.y;
    vec2 out_ = position.xy - vec2(cosTurn(turn), sinTurn(turn)) * course.x;
    d = length(out_);
    float steep = TAU * course.y * course.x;
    vec2 toward2 = out_ / max(d, 1e-6);
    toward = vec3(toward2, (toward2.y * cosTurn(turn) - toward2.x * sinTurn(turn)) * steep);
  }
  if (by == 5) {
    vec3 grad;
    float n = flowNoise(position * noiseScale, noisePeriod, seed, lap, cycles, grad);
    d = 0.5 + 0.7 * n;
    toward = grad * noiseScale * 0.7;
  }
  float width = max(outer - inner, 1e-4);
  float t = clamp((d - inner) / width, 0.0, 1.0);
  weight = 1.0 - t * t * (3.0 - 2.0 * t);
  slope = toward * (-6.0 * t * (1.0 - t) / width);
  if (invert == 1) {
    weight = 1.0 - weight;
    slope = -slope;
  }
}
`,
};
