// Generated from src/core/layers/copies/copies.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../random/hash.gen';
import { sources as from1 } from '../../noise/flow.gen';
import { sources as from2 } from '../../space/rotation.gen';
export const RF = new Float64Array(11), RI = new Int32Array(5);
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
export function copiesElement(id: number, rest_x: number, rest_y: number, rest_z: number, rest_w: number, seed: number, arrangement: number, total: number, stride: number, grid_x: number, grid_y: number, grid_z: number, spacing_x: number, spacing_y: number, spacing_z: number, radius: number, radiusEnd: number, winds: number, rise: number, align: number, stepTurn_x: number, stepTurn_y: number, stepTurn_z: number, stepMove_x: number, stepMove_y: number, stepMove_z: number, stepScale: number, bodySize: number, variation: number, placeBy: number, placeSpread: number, placeScale_x: number, placeScale_y: number, placeScale_z: number, placePeriod_x: number, placePeriod_y: number, placePeriod_z: number, placeCycles: number, tile: number, course_x: number, course_y: number, course_z: number, course_w: number, track: Float64Array, lap: number): void {
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let rotation_x = 0;
  let rotation_y = 0;
  let rotation_z = 0;
  let rotation_w = 0;
  let size = 0;
  let place = 0;
  let fade = 0;
  let order = 0;
  let key = 0;
  id = id | 0;
  seed = seed | 0;
  arrangement = arrangement | 0;
  total = total | 0;
  stride = stride | 0;
  grid_x = grid_x | 0;
  grid_y = grid_y | 0;
  grid_z = grid_z | 0;
  align = align | 0;
  placeBy = placeBy | 0;
  placePeriod_x = placePeriod_x | 0;
  placePeriod_y = placePeriod_y | 0;
  placePeriod_z = placePeriod_z | 0;
  placeCycles = placeCycles | 0;
  let index = ((arrangement === 6) ? id : Math.imul(id, stride));
  key = index;
  let v_x = key;
  let v_y = seed;
  let v_z = 50;
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
  let i = index;
  let n = total;
  order = ((total > 1) ? (i / (n - 1)) : 0);
  position_x = 0;
  position_y = 0;
  position_z = 0;
  rotation_x = 0;
  rotation_y = 0;
  rotation_z = 0;
  rotation_w = 1;
  if ((arrangement === 0)) {
    let row = ((index / grid_x) | 0);
    let layer = ((row / grid_y) | 0);
    let cell_x = ((index - Math.imul(row, grid_x)) | 0);
    let cell_y = ((row - Math.imul(layer, grid_y)) | 0);
    let cell_z = layer;
    position_x = (((cell_x - ((grid_x - 1) * 0.5)) * spacing_x) * 1);
    position_y = (((cell_y - ((grid_y - 1) * 0.5)) * spacing_y) * 1);
    position_z = (((cell_z - ((grid_z - 1) * 0.5)) * spacing_z) * (-1));
  }
  if (((arrangement === 1) || (arrangement === 2))) {
    let turn = ((arrangement === 1) ? (i / n) : (winds * order));
    let r = ((arrangement === 1) ? radius : (radius * (1 - order) + radiusEnd * order));
    let r$1 = (turn - Math.floor((turn + 0.5)));
    let a = Math.abs(r$1);
    const t4 = (0.5 - a);
    let q = (Math.min(a, t4) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t5 = ((r$1 < 0) ? (-s) : s);
    const t6 = (turn + 0.25);
    let r$2 = (t6 - Math.floor((t6 + 0.5)));
    let a$1 = Math.abs(r$2);
    const t7 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t7) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t8 = ((r$2 < 0) ? (-s$1) : s$1);
    position_x = (t5 * r);
    position_y = (t8 * r);
    position_z = ((arrangement === 2) ? (rise * (0.5 - order)) : 0);
    if ((align === 1)) {
      const t9 = (-turn);
      const t10 = (t9 * 0.5);
      let r$3 = (t10 - Math.floor((t10 + 0.5)));
      let a$2 = Math.abs(r$3);
      const t11 = (0.5 - a$2);
      let q$2 = (Math.min(a$2, t11) * 6.283185307179586);
      let q2$2 = (q$2 * q$2);
      let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
      const t12 = ((r$3 < 0) ? (-s$2) : s$2);
      const t13 = (t9 * 0.5);
      const t14 = (t13 + 0.25);
      let r$4 = (t14 - Math.floor((t14 + 0.5)));
      let a$3 = Math.abs(r$4);
      const t15 = (0.5 - a$3);
      let q$3 = (Math.min(a$3, t15) * 6.283185307179586);
      let q2$3 = (q$3 * q$3);
      let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
      const t16 = ((r$4 < 0) ? (-s$3) : s$3);
      const t17 = (0 * t12);
      const t18 = (0 * t12);
      const t19 = (1 * t12);
      rotation_x = t17;
      rotation_y = t18;
      rotation_z = t19;
      rotation_w = t16;
    }
  }
  if ((arrangement === 3)) {
    position_x = 0;
    position_y = 0;
    position_z = (((0.5 * (n - 1)) - i) * spacing_z);
  }
  if ((arrangement === 4)) {
    let advance = (((i + 0.5) / n) * tile);
    let frame_x = 0;
    let frame_y = 0;
    let frame_z = 0;
    let frame_w = 0;
    let pace = 0;
    const t20 = advance;
    const t21 = course_x;
    const t22 = course_y;
    const t23 = course_z;
    const t24 = course_w;
    const t25 = tile;
    const t26 = track;
    let origin_x = 0;
    let origin_y = 0;
    let origin_z = 0;
    let frame_x$1 = 0;
    let frame_y$1 = 0;
    let frame_z$1 = 0;
    let frame_w$1 = 0;
    let pace$1 = 0;
    if ((t23 > 0)) {
      let round_ = (t20 / t25);
      let whole = Math.floor(round_);
      let at = ((round_ - whole) * t23);
      const t27 = (at | 0);
      const t28 = (((t23 | 0) - 1) | 0);
      let node = Math.min(t27, t28);
      let f = (at - node);
      let g = (1 - f);
      let weight_x = (((g * g) * g) / 6);
      let weight_y = ((((((3 * f) * f) * f) - ((6 * f) * f)) + 4) / 6);
      let weight_z = ((((((3 * g) * g) * g) - ((6 * g) * g)) + 4) / 6);
      let weight_w = (((f * f) * f) / 6);
      let rate_x = (((-g) * g) * 0.5);
      let rate_y = ((((3 * f) * f) - (4 * f)) * 0.5);
      let rate_z = (((4 * g) - ((3 * g) * g)) * 0.5);
      let rate_w = ((f * f) * 0.5);
      const t29 = Math.imul(node, 2) * 4;
      const t30 = t26[t29 + 0];
      const t31 = t26[t29 + 1];
      const t32 = t26[t29 + 2];
      const t33 = t26[t29 + 3];
      let a_x = t30;
      let a_y = t31;
      let a_z = t32;
      const t34 = ((node + 1) | 0);
      const t35 = Math.imul(t34, 2) * 4;
      const t36 = t26[t35 + 0];
      const t37 = t26[t35 + 1];
      const t38 = t26[t35 + 2];
      const t39 = t26[t35 + 3];
      let b_x = t36;
      let b_y = t37;
      let b_z = t38;
      const t40 = ((node + 2) | 0);
      const t41 = Math.imul(t40, 2) * 4;
      const t42 = t26[t41 + 0];
      const t43 = t26[t41 + 1];
      const t44 = t26[t41 + 2];
      const t45 = t26[t41 + 3];
      let c_x = t42;
      let c_y = t43;
      let c_z = t44;
      const t46 = ((node + 3) | 0);
      const t47 = Math.imul(t46, 2) * 4;
      const t48 = t26[t47 + 0];
      const t49 = t26[t47 + 1];
      const t50 = t26[t47 + 2];
      const t51 = t26[t47 + 3];
      let d_x = t48;
      let d_y = t49;
      let d_z = t50;
      origin_x = (((((a_x * weight_x) + (b_x * weight_y)) + (c_x * weight_z)) + (d_x * weight_w)) - 0);
      origin_y = (((((a_y * weight_x) + (b_y * weight_y)) + (c_y * weight_z)) + (d_y * weight_w)) - 0);
      origin_z = (((((a_z * weight_x) + (b_z * weight_y)) + (c_z * weight_z)) + (d_z * weight_w)) - (t24 * whole));
      let along_x = ((((a_x * rate_x) + (b_x * rate_y)) + (c_x * rate_z)) + (d_x * rate_w));
      let along_y = ((((a_y * rate_x) + (b_y * rate_y)) + (c_y * rate_z)) + (d_y * rate_w));
      let along_z = ((((a_z * rate_x) + (b_z * rate_y)) + (c_z * rate_z)) + (d_z * rate_w));
      let quick = Math.sqrt((((along_x * along_x) + (along_y * along_y)) + (along_z * along_z)));
      pace$1 = ((quick * t23) / t25);
      const t52 = 1e-9;
      const t53 = (-Math.max(quick, t52));
      let back_x = (along_x / t53);
      let back_y = (along_y / t53);
      let back_z = (along_z / t53);
      const t54 = ((Math.imul(node, 2) + 1) | 0) * 4;
      const t55 = t26[t54 + 0];
      const t56 = t26[t54 + 1];
      const t57 = t26[t54 + 2];
      const t58 = t26[t54 + 3];
      const t59 = ((node + 1) | 0);
      const t60 = ((Math.imul(t59, 2) + 1) | 0) * 4;
      const t61 = t26[t60 + 0];
      const t62 = t26[t60 + 1];
      const t63 = t26[t60 + 2];
      const t64 = t26[t60 + 3];
      const t65 = ((node + 2) | 0);
      const t66 = ((Math.imul(t65, 2) + 1) | 0) * 4;
      const t67 = t26[t66 + 0];
      const t68 = t26[t66 + 1];
      const t69 = t26[t66 + 2];
      const t70 = t26[t66 + 3];
      const t71 = ((node + 3) | 0);
      const t72 = ((Math.imul(t71, 2) + 1) | 0) * 4;
      const t73 = t26[t72 + 0];
      const t74 = t26[t72 + 1];
      const t75 = t26[t72 + 2];
      const t76 = t26[t72 + 3];
      let up_x = ((((t55 * weight_x) + (t61 * weight_y)) + (t67 * weight_z)) + (t73 * weight_w));
      let up_y = ((((t56 * weight_x) + (t62 * weight_y)) + (t68 * weight_z)) + (t74 * weight_w));
      let up_z = ((((t57 * weight_x) + (t63 * weight_y)) + (t69 * weight_z)) + (t75 * weight_w));
      const t77 = (up_y * back_z - up_z * back_y);
      const t78 = (up_z * back_x - up_x * back_z);
      const t79 = (up_x * back_y - up_y * back_x);
      const t80 = (1 / Math.sqrt((((t77 * t77) + (t78 * t78)) + (t79 * t79))));
      let right_x = (t77 * t80);
      let right_y = (t78 * t80);
      let right_z = (t79 * t80);
      const t81 = right_x;
      const t82 = right_y;
      const t83 = right_z;
      const t84 = (back_y * right_z - back_z * right_y);
      const t85 = (back_z * right_x - back_x * right_z);
      const t86 = (back_x * right_y - back_y * right_x);
      const t87 = back_x;
      const t88 = back_y;
      const t89 = back_z;
      let trace = ((t81 + t85) + t89);
      let q_x = (t86 - t88);
      let q_y = (t87 - t83);
      let q_z = (t82 - t84);
      let q_w = (1 + trace);
      if ((trace < 0)) {
        if (((t81 > t85) && (t81 > t89))) {
          q_x = (((1 + t81) - t85) - t89);
          q_y = (t82 + t84);
          q_z = (t87 + t83);
          q_w = (t86 - t88);
        }
        else {
          if ((t85 > t89)) {
            q_x = (t82 + t84);
            q_y = (((1 + t85) - t89) - t81);
            q_z = (t86 + t88);
            q_w = (t87 - t83);
          }
          else {
            q_x = (t87 + t83);
            q_y = (t86 + t88);
            q_z = (((1 + t89) - t81) - t85);
            q_w = (t82 - t84);
          }
        }
      }
      const t90 = (1 / Math.sqrt(((((q_x * q_x) + (q_y * q_y)) + (q_z * q_z)) + (q_w * q_w))));
      const t91 = (q_x * t90);
      const t92 = (q_y * t90);
      const t93 = (q_z * t90);
      const t94 = (q_w * t90);
      frame_x$1 = t91;
      frame_y$1 = t92;
      frame_z$1 = t93;
      frame_w$1 = t94;
    }
    else {
      let turn$1 = (t20 * t22);
      let r$5 = (turn$1 - Math.floor((turn$1 + 0.5)));
      let a$4 = Math.abs(r$5);
      const t95 = (0.5 - a$4);
      let q$4 = (Math.min(a$4, t95) * 6.283185307179586);
      let q2$4 = (q$4 * q$4);
      let s$4 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
      const t96 = ((r$5 < 0) ? (-s$4) : s$4);
      let s$5 = t96;
      const t97 = (turn$1 + 0.25);
      let r$6 = (t97 - Math.floor((t97 + 0.5)));
      let a$5 = Math.abs(r$6);
      const t98 = (0.5 - a$5);
      let q$5 = (Math.min(a$5, t98) * 6.283185307179586);
      let q2$5 = (q$5 * q$5);
      let s$6 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
      const t99 = ((r$6 < 0) ? (-s$6) : s$6);
      let c = t99;
      origin_x = (t21 * c);
      origin_y = (t21 * s$5);
      origin_z = (-t20);
      let slope = ((t21 * 6.283185307179586) * t22);
      pace$1 = Math.sqrt((1 + (slope * slope)));
      let inv = (1 / pace$1);
      let half_ = Math.sqrt((0.5 + (0.5 * inv)));
      let t102 = 0;
      if ((slope >= 0)) {
        const t100 = (0.5 - (0.5 * inv));
        t102 = Math.sqrt(Math.max(0, t100));
      } else {
        const t101 = (0.5 - (0.5 * inv));
        t102 = (-Math.sqrt(Math.max(0, t101)));
      }
      let across = t102;
      frame_x$1 = (c * across);
      frame_y$1 = (s$5 * across);
      frame_z$1 = 0;
      frame_w$1 = half_;
    }
    position_x = origin_x;
    position_y = origin_y;
    position_z = origin_z;
    frame_x = frame_x$1;
    frame_y = frame_y$1;
    frame_z = frame_z$1;
    frame_w = frame_w$1;
    pace = pace$1;
    let turn$2 = ((winds * (i + 0.5)) / n);
    let r$7 = (turn$2 - Math.floor((turn$2 + 0.5)));
    let a$6 = Math.abs(r$7);
    const t103 = (0.5 - a$6);
    let q$6 = (Math.min(a$6, t103) * 6.283185307179586);
    let q2$6 = (q$6 * q$6);
    let s$7 = (q$6 * (1 + (q2$6 * ((-0.16666666667) + (q2$6 * (0.0083333333333 + (q2$6 * ((-0.00019841269841) + (q2$6 * (0.0000027557319224 + (q2$6 * (-2.5052108385e-8))))))))))));
    const t104 = ((r$7 < 0) ? (-s$7) : s$7);
    const t105 = (turn$2 + 0.25);
    let r$8 = (t105 - Math.floor((t105 + 0.5)));
    let a$7 = Math.abs(r$8);
    const t106 = (0.5 - a$7);
    let q$7 = (Math.min(a$7, t106) * 6.283185307179586);
    let q2$7 = (q$7 * q$7);
    let s$8 = (q$7 * (1 + (q2$7 * ((-0.16666666667) + (q2$7 * (0.0083333333333 + (q2$7 * ((-0.00019841269841) + (q2$7 * (0.0000027557319224 + (q2$7 * (-2.5052108385e-8))))))))))));
    const t107 = ((r$8 < 0) ? (-s$8) : s$8);
    const t108 = frame_x;
    const t109 = frame_y;
    const t110 = frame_z;
    const t111 = frame_w;
    const t112 = (t104 * radius);
    const t113 = (t107 * radius);
    let t_x = ((t109 * 0 - t110 * t113) * 2);
    let t_y = ((t110 * t112 - t108 * 0) * 2);
    let t_z = ((t108 * t113 - t109 * t112) * 2);
    const t114 = ((t112 + (t_x * t111)) + (t109 * t_z - t110 * t_y));
    const t115 = ((t113 + (t_y * t111)) + (t110 * t_x - t108 * t_z));
    const t116 = ((0 + (t_z * t111)) + (t108 * t_y - t109 * t_x));
    position_x = (position_x + t114);
    position_y = (position_y + t115);
    position_z = (position_z + t116);
    if ((align === 1)) {
      const t117 = (-turn$2);
      const t118 = (t117 * 0.5);
      let r$9 = (t118 - Math.floor((t118 + 0.5)));
      let a$8 = Math.abs(r$9);
      const t119 = (0.5 - a$8);
      let q$8 = (Math.min(a$8, t119) * 6.283185307179586);
      let q2$8 = (q$8 * q$8);
      let s$9 = (q$8 * (1 + (q2$8 * ((-0.16666666667) + (q2$8 * (0.0083333333333 + (q2$8 * ((-0.00019841269841) + (q2$8 * (0.0000027557319224 + (q2$8 * (-2.5052108385e-8))))))))))));
      const t120 = ((r$9 < 0) ? (-s$9) : s$9);
      const t121 = (t117 * 0.5);
      const t122 = (t121 + 0.25);
      let r$10 = (t122 - Math.floor((t122 + 0.5)));
      let a$9 = Math.abs(r$10);
      const t123 = (0.5 - a$9);
      let q$9 = (Math.min(a$9, t123) * 6.283185307179586);
      let q2$9 = (q$9 * q$9);
      let s$10 = (q$9 * (1 + (q2$9 * ((-0.16666666667) + (q2$9 * (0.0083333333333 + (q2$9 * ((-0.00019841269841) + (q2$9 * (0.0000027557319224 + (q2$9 * (-2.5052108385e-8))))))))))));
      const t124 = ((r$10 < 0) ? (-s$10) : s$10);
      const t125 = (0 * t120);
      const t126 = (0 * t120);
      const t127 = (1 * t120);
      const t128 = (((t125 * frame_w) + (frame_x * t124)) + (frame_y * t127 - frame_z * t126));
      const t129 = (((t126 * frame_w) + (frame_y * t124)) + (frame_z * t125 - frame_x * t127));
      const t130 = (((t127 * frame_w) + (frame_z * t124)) + (frame_x * t126 - frame_y * t125));
      const t131 = ((frame_w * t124) - (((frame_x * t125) + (frame_y * t126)) + (frame_z * t127)));
      rotation_x = t128;
      rotation_y = t129;
      rotation_z = t130;
      rotation_w = t131;
    }
  }
  if ((arrangement === 5)) {
    let z = (1 - (((2 * i) + 1) / n));
    const t132 = (i * 0.61803398875);
    let around = (t132 - Math.floor(t132));
    const t133 = (1 - (z * z));
    let ring = Math.sqrt(Math.max(0, t133));
    const t134 = (around + 0.25);
    let r$11 = (t134 - Math.floor((t134 + 0.5)));
    let a$10 = Math.abs(r$11);
    const t135 = (0.5 - a$10);
    let q$10 = (Math.min(a$10, t135) * 6.283185307179586);
    let q2$10 = (q$10 * q$10);
    let s$11 = (q$10 * (1 + (q2$10 * ((-0.16666666667) + (q2$10 * (0.0083333333333 + (q2$10 * ((-0.00019841269841) + (q2$10 * (0.0000027557319224 + (q2$10 * (-2.5052108385e-8))))))))))));
    const t136 = ((r$11 < 0) ? (-s$11) : s$11);
    let r$12 = (around - Math.floor((around + 0.5)));
    let a$11 = Math.abs(r$12);
    const t137 = (0.5 - a$11);
    let q$11 = (Math.min(a$11, t137) * 6.283185307179586);
    let q2$11 = (q$11 * q$11);
    let s$12 = (q$11 * (1 + (q2$11 * ((-0.16666666667) + (q2$11 * (0.0083333333333 + (q2$11 * ((-0.00019841269841) + (q2$11 * (0.0000027557319224 + (q2$11 * (-2.5052108385e-8))))))))))));
    const t138 = ((r$12 < 0) ? (-s$12) : s$12);
    let out__x = (t136 * ring);
    let out__y = z;
    let out__z = (t138 * ring);
    position_x = (out__x * radius);
    position_y = (out__y * radius);
    position_z = (out__z * radius);
    if ((align === 1)) {
      let q_x$1 = (-out__y);
      let q_y$1 = out__x;
      let q_z$1 = 0;
      let q_w$1 = (1 + out__z);
      let t140 = 0, t141 = 0, t142 = 0, t143 = 0;
      if ((out__z < (-0.9999))) {
        t140 = 0;
        t141 = 1;
        t142 = 0;
        t143 = 0;
      } else {
        const t139 = (1 / Math.sqrt(((((q_x$1 * q_x$1) + (q_y$1 * q_y$1)) + (q_z$1 * q_z$1)) + (q_w$1 * q_w$1))));
        t140 = (q_x$1 * t139);
        t141 = (q_y$1 * t139);
        t142 = (q_z$1 * t139);
        t143 = (q_w$1 * t139);
      }
      rotation_x = t140;
      rotation_y = t141;
      rotation_z = t142;
      rotation_w = t143;
    }
  }
  fade = 1;
  if ((arrangement === 6)) {
    position_x = rest_x;
    position_y = rest_y;
    position_z = rest_z;
    fade = rest_w;
  }
  let centred = ((arrangement === 1) ? i : (i - (0.5 * (n - 1))));
  position_x = (position_x + (stepMove_x * centred));
  position_y = (position_y + (stepMove_y * centred));
  position_z = (position_z + (stepMove_z * centred));
  const t144 = (stepTurn_y * i);
  const t145 = (t144 * 0.5);
  let r$13 = (t145 - Math.floor((t145 + 0.5)));
  let a$12 = Math.abs(r$13);
  const t146 = (0.5 - a$12);
  let q$12 = (Math.min(a$12, t146) * 6.283185307179586);
  let q2$12 = (q$12 * q$12);
  let s$13 = (q$12 * (1 + (q2$12 * ((-0.16666666667) + (q2$12 * (0.0083333333333 + (q2$12 * ((-0.00019841269841) + (q2$12 * (0.0000027557319224 + (q2$12 * (-2.5052108385e-8))))))))))));
  const t147 = ((r$13 < 0) ? (-s$13) : s$13);
  const t148 = (t144 * 0.5);
  const t149 = (t148 + 0.25);
  let r$14 = (t149 - Math.floor((t149 + 0.5)));
  let a$13 = Math.abs(r$14);
  const t150 = (0.5 - a$13);
  let q$13 = (Math.min(a$13, t150) * 6.283185307179586);
  let q2$13 = (q$13 * q$13);
  let s$14 = (q$13 * (1 + (q2$13 * ((-0.16666666667) + (q2$13 * (0.0083333333333 + (q2$13 * ((-0.00019841269841) + (q2$13 * (0.0000027557319224 + (q2$13 * (-2.5052108385e-8))))))))))));
  const t151 = ((r$14 < 0) ? (-s$14) : s$14);
  const t152 = (0 * t147);
  const t153 = (1 * t147);
  const t154 = (0 * t147);
  const t155 = (stepTurn_x * i);
  const t156 = (t155 * 0.5);
  let r$15 = (t156 - Math.floor((t156 + 0.5)));
  let a$14 = Math.abs(r$15);
  const t157 = (0.5 - a$14);
  let q$14 = (Math.min(a$14, t157) * 6.283185307179586);
  let q2$14 = (q$14 * q$14);
  let s$15 = (q$14 * (1 + (q2$14 * ((-0.16666666667) + (q2$14 * (0.0083333333333 + (q2$14 * ((-0.00019841269841) + (q2$14 * (0.0000027557319224 + (q2$14 * (-2.5052108385e-8))))))))))));
  const t158 = ((r$15 < 0) ? (-s$15) : s$15);
  const t159 = (t155 * 0.5);
  const t160 = (t159 + 0.25);
  let r$16 = (t160 - Math.floor((t160 + 0.5)));
  let a$15 = Math.abs(r$16);
  const t161 = (0.5 - a$15);
  let q$15 = (Math.min(a$15, t161) * 6.283185307179586);
  let q2$15 = (q$15 * q$15);
  let s$16 = (q$15 * (1 + (q2$15 * ((-0.16666666667) + (q2$15 * (0.0083333333333 + (q2$15 * ((-0.00019841269841) + (q2$15 * (0.0000027557319224 + (q2$15 * (-2.5052108385e-8))))))))))));
  const t162 = ((r$16 < 0) ? (-s$16) : s$16);
  const t163 = (1 * t158);
  const t164 = (0 * t158);
  const t165 = (0 * t158);
  const t166 = (stepTurn_z * i);
  const t167 = (t166 * 0.5);
  let r$17 = (t167 - Math.floor((t167 + 0.5)));
  let a$16 = Math.abs(r$17);
  const t168 = (0.5 - a$16);
  let q$16 = (Math.min(a$16, t168) * 6.283185307179586);
  let q2$16 = (q$16 * q$16);
  let s$17 = (q$16 * (1 + (q2$16 * ((-0.16666666667) + (q2$16 * (0.0083333333333 + (q2$16 * ((-0.00019841269841) + (q2$16 * (0.0000027557319224 + (q2$16 * (-2.5052108385e-8))))))))))));
  const t169 = ((r$17 < 0) ? (-s$17) : s$17);
  const t170 = (t166 * 0.5);
  const t171 = (t170 + 0.25);
  let r$18 = (t171 - Math.floor((t171 + 0.5)));
  let a$17 = Math.abs(r$18);
  const t172 = (0.5 - a$17);
  let q$17 = (Math.min(a$17, t172) * 6.283185307179586);
  let q2$17 = (q$17 * q$17);
  let s$18 = (q$17 * (1 + (q2$17 * ((-0.16666666667) + (q2$17 * (0.0083333333333 + (q2$17 * ((-0.00019841269841) + (q2$17 * (0.0000027557319224 + (q2$17 * (-2.5052108385e-8))))))))))));
  const t173 = ((r$18 < 0) ? (-s$18) : s$18);
  const t174 = (0 * t169);
  const t175 = (0 * t169);
  const t176 = (1 * t169);
  const t177 = (((t174 * t162) + (t163 * t173)) + (t164 * t176 - t165 * t175));
  const t178 = (((t175 * t162) + (t164 * t173)) + (t165 * t174 - t163 * t176));
  const t179 = (((t176 * t162) + (t165 * t173)) + (t163 * t175 - t164 * t174));
  const t180 = ((t162 * t173) - (((t163 * t174) + (t164 * t175)) + (t165 * t176)));
  const t181 = (((t177 * t151) + (t152 * t180)) + (t153 * t179 - t154 * t178));
  const t182 = (((t178 * t151) + (t153 * t180)) + (t154 * t177 - t152 * t179));
  const t183 = (((t179 * t151) + (t154 * t180)) + (t152 * t178 - t153 * t177));
  const t184 = ((t151 * t180) - (((t152 * t177) + (t153 * t178)) + (t154 * t179)));
  const t185 = (((t181 * rotation_w) + (rotation_x * t184)) + (rotation_y * t183 - rotation_z * t182));
  const t186 = (((t182 * rotation_w) + (rotation_y * t184)) + (rotation_z * t181 - rotation_x * t183));
  const t187 = (((t183 * rotation_w) + (rotation_z * t184)) + (rotation_x * t182 - rotation_y * t181));
  const t188 = ((rotation_w * t184) - (((rotation_x * t181) + (rotation_y * t182)) + (rotation_z * t183)));
  rotation_x = t185;
  rotation_y = t186;
  rotation_z = t187;
  rotation_w = t188;
  const t189 = ((((h_x >>> 8) | 0) >>> 0) * (1 / 16777216));
  size = (((fade * bodySize) * Math.pow(stepScale, order)) * Math.pow(2, (((t189 * 2) - 1) * variation)));
  place = order;
  if ((placeBy === 1)) {
    const t190 = ((((h_y >>> 8) | 0) >>> 0) * (1 / 16777216));
    place = t190;
  }
  if ((placeBy === 2)) {
    let high = ((0.5 * spacing_y) * ((grid_y - 1) | 0));
    const t191 = ((arrangement === 0) ? high : ((arrangement === 6) ? (spacing_y * 0.5) : Math.max(radius, radiusEnd)));
    place = (0.5 + ((0.5 * position_y) / Math.max(0.000001, t191)));
  }
  if ((placeBy === 3)) {
    let slope_x = 0;
    let slope_y = 0;
    let slope_z = 0;
    RF[0] = ((position_x * placeScale_x) + 0.31);
    RF[1] = ((position_y * placeScale_y) + 0.31);
    RF[2] = ((position_z * placeScale_z) + 0.31);
    RI[0] = placePeriod_x;
    RI[1] = placePeriod_y;
    RI[2] = placePeriod_z;
    RI[3] = ((seed + 111) | 0);
    RF[3] = lap;
    RI[4] = placeCycles;
    flowNoise$();
    const t192 = RF[0];
    const t193 = RF[1];
    const t194 = RF[2];
    const t195 = RF[3];
    slope_x = t193;
    slope_y = t194;
    slope_z = t195;
    let v = t192;
    place = (0.5 + (1.2 * v));
  }
  place = Math.min(Math.max((0.5 + ((place - 0.5) * placeSpread)), 0), 1);
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = rotation_x;
  RF[4] = rotation_y;
  RF[5] = rotation_z;
  RF[6] = rotation_w;
  RF[7] = size;
  RF[8] = place;
  RF[9] = fade;
  RF[10] = order;
  RI[0] = key;
}
export function copiesRun(first: number, end: number, restA: Float64Array, seed: number, arrangement: number, total: number, stride: number, grid_x: number, grid_y: number, grid_z: number, spacing_x: number, spacing_y: number, spacing_z: number, radius: number, radiusEnd: number, winds: number, rise: number, align: number, stepTurn_x: number, stepTurn_y: number, stepTurn_z: number, stepMove_x: number, stepMove_y: number, stepMove_z: number, stepScale: number, bodySize: number, variation: number, placeBy: number, placeSpread: number, placeScale_x: number, placeScale_y: number, placeScale_z: number, placePeriod_x: number, placePeriod_y: number, placePeriod_z: number, placeCycles: number, tile: number, course_x: number, course_y: number, course_z: number, course_w: number, track: Float64Array, lap: number, position_o: Float64Array, rotation_o: Float64Array, size_o: Float64Array, place_o: Float64Array, fade_o: Float64Array, order_o: Float64Array, key_o: Uint32Array): void {
  seed = seed | 0; arrangement = arrangement | 0; total = total | 0; stride = stride | 0; grid_x = grid_x | 0; grid_y = grid_y | 0; grid_z = grid_z | 0; align = align | 0; placeBy = placeBy | 0; placePeriod_x = placePeriod_x | 0; placePeriod_y = placePeriod_y | 0; placePeriod_z = placePeriod_z | 0; placeCycles = placeCycles | 0;
  for (let k = first; k < end; k++) {
  const t0 = restA[k * 4];
  const t1 = restA[k * 4 + 1];
  const t2 = restA[k * 4 + 2];
  const t3 = restA[k * 4 + 3];
  const t4 = k;
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let rotation_x = 0;
  let rotation_y = 0;
  let rotation_z = 0;
  let rotation_w = 0;
  let size = 0;
  let place = 0;
  let fade = 0;
  let order = 0;
  let key = 0;
  let index = ((arrangement === 6) ? t4 : Math.imul(t4, stride));
  key = index;
  let v_x = key;
  let v_y = seed;
  let v_z = 50;
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
  const t5 = v_x;
  const t6 = v_y;
  const t7 = v_z;
  const t8 = v_w;
  let h_x = t5;
  let h_y = t6;
  let h_z = t7;
  let h_w = t8;
  let i = index;
  let n = total;
  order = ((total > 1) ? (i / (n - 1)) : 0);
  position_x = 0;
  position_y = 0;
  position_z = 0;
  rotation_x = 0;
  rotation_y = 0;
  rotation_z = 0;
  rotation_w = 1;
  if ((arrangement === 0)) {
    let row = ((index / grid_x) | 0);
    let layer = ((row / grid_y) | 0);
    let cell_x = ((index - Math.imul(row, grid_x)) | 0);
    let cell_y = ((row - Math.imul(layer, grid_y)) | 0);
    let cell_z = layer;
    position_x = (((cell_x - ((grid_x - 1) * 0.5)) * spacing_x) * 1);
    position_y = (((cell_y - ((grid_y - 1) * 0.5)) * spacing_y) * 1);
    position_z = (((cell_z - ((grid_z - 1) * 0.5)) * spacing_z) * (-1));
  }
  if (((arrangement === 1) || (arrangement === 2))) {
    let turn = ((arrangement === 1) ? (i / n) : (winds * order));
    let r = ((arrangement === 1) ? radius : (radius * (1 - order) + radiusEnd * order));
    let r$1 = (turn - Math.floor((turn + 0.5)));
    let a = Math.abs(r$1);
    const t9 = (0.5 - a);
    let q = (Math.min(a, t9) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t10 = ((r$1 < 0) ? (-s) : s);
    const t11 = (turn + 0.25);
    let r$2 = (t11 - Math.floor((t11 + 0.5)));
    let a$1 = Math.abs(r$2);
    const t12 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t12) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t13 = ((r$2 < 0) ? (-s$1) : s$1);
    position_x = (t10 * r);
    position_y = (t13 * r);
    position_z = ((arrangement === 2) ? (rise * (0.5 - order)) : 0);
    if ((align === 1)) {
      const t14 = (-turn);
      const t15 = (t14 * 0.5);
      let r$3 = (t15 - Math.floor((t15 + 0.5)));
      let a$2 = Math.abs(r$3);
      const t16 = (0.5 - a$2);
      let q$2 = (Math.min(a$2, t16) * 6.283185307179586);
      let q2$2 = (q$2 * q$2);
      let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
      const t17 = ((r$3 < 0) ? (-s$2) : s$2);
      const t18 = (t14 * 0.5);
      const t19 = (t18 + 0.25);
      let r$4 = (t19 - Math.floor((t19 + 0.5)));
      let a$3 = Math.abs(r$4);
      const t20 = (0.5 - a$3);
      let q$3 = (Math.min(a$3, t20) * 6.283185307179586);
      let q2$3 = (q$3 * q$3);
      let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
      const t21 = ((r$4 < 0) ? (-s$3) : s$3);
      const t22 = (0 * t17);
      const t23 = (0 * t17);
      const t24 = (1 * t17);
      rotation_x = t22;
      rotation_y = t23;
      rotation_z = t24;
      rotation_w = t21;
    }
  }
  if ((arrangement === 3)) {
    position_x = 0;
    position_y = 0;
    position_z = (((0.5 * (n - 1)) - i) * spacing_z);
  }
  if ((arrangement === 4)) {
    let advance = (((i + 0.5) / n) * tile);
    let frame_x = 0;
    let frame_y = 0;
    let frame_z = 0;
    let frame_w = 0;
    let pace = 0;
    const t25 = advance;
    let origin_x = 0;
    let origin_y = 0;
    let origin_z = 0;
    let frame_x$1 = 0;
    let frame_y$1 = 0;
    let frame_z$1 = 0;
    let frame_w$1 = 0;
    let pace$1 = 0;
    if ((course_z > 0)) {
      let round_ = (t25 / tile);
      let whole = Math.floor(round_);
      let at = ((round_ - whole) * course_z);
      const t26 = (at | 0);
      const t27 = (((course_z | 0) - 1) | 0);
      let node = Math.min(t26, t27);
      let f = (at - node);
      let g = (1 - f);
      let weight_x = (((g * g) * g) / 6);
      let weight_y = ((((((3 * f) * f) * f) - ((6 * f) * f)) + 4) / 6);
      let weight_z = ((((((3 * g) * g) * g) - ((6 * g) * g)) + 4) / 6);
      let weight_w = (((f * f) * f) / 6);
      let rate_x = (((-g) * g) * 0.5);
      let rate_y = ((((3 * f) * f) - (4 * f)) * 0.5);
      let rate_z = (((4 * g) - ((3 * g) * g)) * 0.5);
      let rate_w = ((f * f) * 0.5);
      const t28 = Math.imul(node, 2) * 4;
      const t29 = track[t28 + 0];
      const t30 = track[t28 + 1];
      const t31 = track[t28 + 2];
      const t32 = track[t28 + 3];
      let a_x = t29;
      let a_y = t30;
      let a_z = t31;
      const t33 = ((node + 1) | 0);
      const t34 = Math.imul(t33, 2) * 4;
      const t35 = track[t34 + 0];
      const t36 = track[t34 + 1];
      const t37 = track[t34 + 2];
      const t38 = track[t34 + 3];
      let b_x = t35;
      let b_y = t36;
      let b_z = t37;
      const t39 = ((node + 2) | 0);
      const t40 = Math.imul(t39, 2) * 4;
      const t41 = track[t40 + 0];
      const t42 = track[t40 + 1];
      const t43 = track[t40 + 2];
      const t44 = track[t40 + 3];
      let c_x = t41;
      let c_y = t42;
      let c_z = t43;
      const t45 = ((node + 3) | 0);
      const t46 = Math.imul(t45, 2) * 4;
      const t47 = track[t46 + 0];
      const t48 = track[t46 + 1];
      const t49 = track[t46 + 2];
      const t50 = track[t46 + 3];
      let d_x = t47;
      let d_y = t48;
      let d_z = t49;
      origin_x = (((((a_x * weight_x) + (b_x * weight_y)) + (c_x * weight_z)) + (d_x * weight_w)) - 0);
      origin_y = (((((a_y * weight_x) + (b_y * weight_y)) + (c_y * weight_z)) + (d_y * weight_w)) - 0);
      origin_z = (((((a_z * weight_x) + (b_z * weight_y)) + (c_z * weight_z)) + (d_z * weight_w)) - (course_w * whole));
      let along_x = ((((a_x * rate_x) + (b_x * rate_y)) + (c_x * rate_z)) + (d_x * rate_w));
      let along_y = ((((a_y * rate_x) + (b_y * rate_y)) + (c_y * rate_z)) + (d_y * rate_w));
      let along_z = ((((a_z * rate_x) + (b_z * rate_y)) + (c_z * rate_z)) + (d_z * rate_w));
      let quick = Math.sqrt((((along_x * along_x) + (along_y * along_y)) + (along_z * along_z)));
      pace$1 = ((quick * course_z) / tile);
      const t51 = 1e-9;
      const t52 = (-Math.max(quick, t51));
      let back_x = (along_x / t52);
      let back_y = (along_y / t52);
      let back_z = (along_z / t52);
      const t53 = ((Math.imul(node, 2) + 1) | 0) * 4;
      const t54 = track[t53 + 0];
      const t55 = track[t53 + 1];
      const t56 = track[t53 + 2];
      const t57 = track[t53 + 3];
      const t58 = ((node + 1) | 0);
      const t59 = ((Math.imul(t58, 2) + 1) | 0) * 4;
      const t60 = track[t59 + 0];
      const t61 = track[t59 + 1];
      const t62 = track[t59 + 2];
      const t63 = track[t59 + 3];
      const t64 = ((node + 2) | 0);
      const t65 = ((Math.imul(t64, 2) + 1) | 0) * 4;
      const t66 = track[t65 + 0];
      const t67 = track[t65 + 1];
      const t68 = track[t65 + 2];
      const t69 = track[t65 + 3];
      const t70 = ((node + 3) | 0);
      const t71 = ((Math.imul(t70, 2) + 1) | 0) * 4;
      const t72 = track[t71 + 0];
      const t73 = track[t71 + 1];
      const t74 = track[t71 + 2];
      const t75 = track[t71 + 3];
      let up_x = ((((t54 * weight_x) + (t60 * weight_y)) + (t66 * weight_z)) + (t72 * weight_w));
      let up_y = ((((t55 * weight_x) + (t61 * weight_y)) + (t67 * weight_z)) + (t73 * weight_w));
      let up_z = ((((t56 * weight_x) + (t62 * weight_y)) + (t68 * weight_z)) + (t74 * weight_w));
      const t76 = (up_y * back_z - up_z * back_y);
      const t77 = (up_z * back_x - up_x * back_z);
      const t78 = (up_x * back_y - up_y * back_x);
      const t79 = (1 / Math.sqrt((((t76 * t76) + (t77 * t77)) + (t78 * t78))));
      let right_x = (t76 * t79);
      let right_y = (t77 * t79);
      let right_z = (t78 * t79);
      const t80 = right_x;
      const t81 = right_y;
      const t82 = right_z;
      const t83 = (back_y * right_z - back_z * right_y);
      const t84 = (back_z * right_x - back_x * right_z);
      const t85 = (back_x * right_y - back_y * right_x);
      const t86 = back_x;
      const t87 = back_y;
      const t88 = back_z;
      let trace = ((t80 + t84) + t88);
      let q_x = (t85 - t87);
      let q_y = (t86 - t82);
      let q_z = (t81 - t83);
      let q_w = (1 + trace);
      if ((trace < 0)) {
        if (((t80 > t84) && (t80 > t88))) {
          q_x = (((1 + t80) - t84) - t88);
          q_y = (t81 + t83);
          q_z = (t86 + t82);
          q_w = (t85 - t87);
        }
        else {
          if ((t84 > t88)) {
            q_x = (t81 + t83);
            q_y = (((1 + t84) - t88) - t80);
            q_z = (t85 + t87);
            q_w = (t86 - t82);
          }
          else {
            q_x = (t86 + t82);
            q_y = (t85 + t87);
            q_z = (((1 + t88) - t80) - t84);
            q_w = (t81 - t83);
          }
        }
      }
      const t89 = (1 / Math.sqrt(((((q_x * q_x) + (q_y * q_y)) + (q_z * q_z)) + (q_w * q_w))));
      const t90 = (q_x * t89);
      const t91 = (q_y * t89);
      const t92 = (q_z * t89);
      const t93 = (q_w * t89);
      frame_x$1 = t90;
      frame_y$1 = t91;
      frame_z$1 = t92;
      frame_w$1 = t93;
    }
    else {
      let turn$1 = (t25 * course_y);
      let r$5 = (turn$1 - Math.floor((turn$1 + 0.5)));
      let a$4 = Math.abs(r$5);
      const t94 = (0.5 - a$4);
      let q$4 = (Math.min(a$4, t94) * 6.283185307179586);
      let q2$4 = (q$4 * q$4);
      let s$4 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
      const t95 = ((r$5 < 0) ? (-s$4) : s$4);
      let s$5 = t95;
      const t96 = (turn$1 + 0.25);
      let r$6 = (t96 - Math.floor((t96 + 0.5)));
      let a$5 = Math.abs(r$6);
      const t97 = (0.5 - a$5);
      let q$5 = (Math.min(a$5, t97) * 6.283185307179586);
      let q2$5 = (q$5 * q$5);
      let s$6 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
      const t98 = ((r$6 < 0) ? (-s$6) : s$6);
      let c = t98;
      origin_x = (course_x * c);
      origin_y = (course_x * s$5);
      origin_z = (-t25);
      let slope = ((course_x * 6.283185307179586) * course_y);
      pace$1 = Math.sqrt((1 + (slope * slope)));
      let inv = (1 / pace$1);
      let half_ = Math.sqrt((0.5 + (0.5 * inv)));
      let t101 = 0;
      if ((slope >= 0)) {
        const t99 = (0.5 - (0.5 * inv));
        t101 = Math.sqrt(Math.max(0, t99));
      } else {
        const t100 = (0.5 - (0.5 * inv));
        t101 = (-Math.sqrt(Math.max(0, t100)));
      }
      let across = t101;
      frame_x$1 = (c * across);
      frame_y$1 = (s$5 * across);
      frame_z$1 = 0;
      frame_w$1 = half_;
    }
    position_x = origin_x;
    position_y = origin_y;
    position_z = origin_z;
    frame_x = frame_x$1;
    frame_y = frame_y$1;
    frame_z = frame_z$1;
    frame_w = frame_w$1;
    pace = pace$1;
    let turn$2 = ((winds * (i + 0.5)) / n);
    let r$7 = (turn$2 - Math.floor((turn$2 + 0.5)));
    let a$6 = Math.abs(r$7);
    const t102 = (0.5 - a$6);
    let q$6 = (Math.min(a$6, t102) * 6.283185307179586);
    let q2$6 = (q$6 * q$6);
    let s$7 = (q$6 * (1 + (q2$6 * ((-0.16666666667) + (q2$6 * (0.0083333333333 + (q2$6 * ((-0.00019841269841) + (q2$6 * (0.0000027557319224 + (q2$6 * (-2.5052108385e-8))))))))))));
    const t103 = ((r$7 < 0) ? (-s$7) : s$7);
    const t104 = (turn$2 + 0.25);
    let r$8 = (t104 - Math.floor((t104 + 0.5)));
    let a$7 = Math.abs(r$8);
    const t105 = (0.5 - a$7);
    let q$7 = (Math.min(a$7, t105) * 6.283185307179586);
    let q2$7 = (q$7 * q$7);
    let s$8 = (q$7 * (1 + (q2$7 * ((-0.16666666667) + (q2$7 * (0.0083333333333 + (q2$7 * ((-0.00019841269841) + (q2$7 * (0.0000027557319224 + (q2$7 * (-2.5052108385e-8))))))))))));
    const t106 = ((r$8 < 0) ? (-s$8) : s$8);
    const t107 = frame_x;
    const t108 = frame_y;
    const t109 = frame_z;
    const t110 = frame_w;
    const t111 = (t103 * radius);
    const t112 = (t106 * radius);
    let t_x = ((t108 * 0 - t109 * t112) * 2);
    let t_y = ((t109 * t111 - t107 * 0) * 2);
    let t_z = ((t107 * t112 - t108 * t111) * 2);
    const t113 = ((t111 + (t_x * t110)) + (t108 * t_z - t109 * t_y));
    const t114 = ((t112 + (t_y * t110)) + (t109 * t_x - t107 * t_z));
    const t115 = ((0 + (t_z * t110)) + (t107 * t_y - t108 * t_x));
    position_x = (position_x + t113);
    position_y = (position_y + t114);
    position_z = (position_z + t115);
    if ((align === 1)) {
      const t116 = (-turn$2);
      const t117 = (t116 * 0.5);
      let r$9 = (t117 - Math.floor((t117 + 0.5)));
      let a$8 = Math.abs(r$9);
      const t118 = (0.5 - a$8);
      let q$8 = (Math.min(a$8, t118) * 6.283185307179586);
      let q2$8 = (q$8 * q$8);
      let s$9 = (q$8 * (1 + (q2$8 * ((-0.16666666667) + (q2$8 * (0.0083333333333 + (q2$8 * ((-0.00019841269841) + (q2$8 * (0.0000027557319224 + (q2$8 * (-2.5052108385e-8))))))))))));
      const t119 = ((r$9 < 0) ? (-s$9) : s$9);
      const t120 = (t116 * 0.5);
      const t121 = (t120 + 0.25);
      let r$10 = (t121 - Math.floor((t121 + 0.5)));
      let a$9 = Math.abs(r$10);
      const t122 = (0.5 - a$9);
      let q$9 = (Math.min(a$9, t122) * 6.283185307179586);
      let q2$9 = (q$9 * q$9);
      let s$10 = (q$9 * (1 + (q2$9 * ((-0.16666666667) + (q2$9 * (0.0083333333333 + (q2$9 * ((-0.00019841269841) + (q2$9 * (0.0000027557319224 + (q2$9 * (-2.5052108385e-8))))))))))));
      const t123 = ((r$10 < 0) ? (-s$10) : s$10);
      const t124 = (0 * t119);
      const t125 = (0 * t119);
      const t126 = (1 * t119);
      const t127 = (((t124 * frame_w) + (frame_x * t123)) + (frame_y * t126 - frame_z * t125));
      const t128 = (((t125 * frame_w) + (frame_y * t123)) + (frame_z * t124 - frame_x * t126));
      const t129 = (((t126 * frame_w) + (frame_z * t123)) + (frame_x * t125 - frame_y * t124));
      const t130 = ((frame_w * t123) - (((frame_x * t124) + (frame_y * t125)) + (frame_z * t126)));
      rotation_x = t127;
      rotation_y = t128;
      rotation_z = t129;
      rotation_w = t130;
    }
  }
  if ((arrangement === 5)) {
    let z = (1 - (((2 * i) + 1) / n));
    const t131 = (i * 0.61803398875);
    let around = (t131 - Math.floor(t131));
    const t132 = (1 - (z * z));
    let ring = Math.sqrt(Math.max(0, t132));
    const t133 = (around + 0.25);
    let r$11 = (t133 - Math.floor((t133 + 0.5)));
    let a$10 = Math.abs(r$11);
    const t134 = (0.5 - a$10);
    let q$10 = (Math.min(a$10, t134) * 6.283185307179586);
    let q2$10 = (q$10 * q$10);
    let s$11 = (q$10 * (1 + (q2$10 * ((-0.16666666667) + (q2$10 * (0.0083333333333 + (q2$10 * ((-0.00019841269841) + (q2$10 * (0.0000027557319224 + (q2$10 * (-2.5052108385e-8))))))))))));
    const t135 = ((r$11 < 0) ? (-s$11) : s$11);
    let r$12 = (around - Math.floor((around + 0.5)));
    let a$11 = Math.abs(r$12);
    const t136 = (0.5 - a$11);
    let q$11 = (Math.min(a$11, t136) * 6.283185307179586);
    let q2$11 = (q$11 * q$11);
    let s$12 = (q$11 * (1 + (q2$11 * ((-0.16666666667) + (q2$11 * (0.0083333333333 + (q2$11 * ((-0.00019841269841) + (q2$11 * (0.0000027557319224 + (q2$11 * (-2.5052108385e-8))))))))))));
    const t137 = ((r$12 < 0) ? (-s$12) : s$12);
    let out__x = (t135 * ring);
    let out__y = z;
    let out__z = (t137 * ring);
    position_x = (out__x * radius);
    position_y = (out__y * radius);
    position_z = (out__z * radius);
    if ((align === 1)) {
      let q_x$1 = (-out__y);
      let q_y$1 = out__x;
      let q_z$1 = 0;
      let q_w$1 = (1 + out__z);
      let t139 = 0, t140 = 0, t141 = 0, t142 = 0;
      if ((out__z < (-0.9999))) {
        t139 = 0;
        t140 = 1;
        t141 = 0;
        t142 = 0;
      } else {
        const t138 = (1 / Math.sqrt(((((q_x$1 * q_x$1) + (q_y$1 * q_y$1)) + (q_z$1 * q_z$1)) + (q_w$1 * q_w$1))));
        t139 = (q_x$1 * t138);
        t140 = (q_y$1 * t138);
        t141 = (q_z$1 * t138);
        t142 = (q_w$1 * t138);
      }
      rotation_x = t139;
      rotation_y = t140;
      rotation_z = t141;
      rotation_w = t142;
    }
  }
  fade = 1;
  if ((arrangement === 6)) {
    position_x = t0;
    position_y = t1;
    position_z = t2;
    fade = t3;
  }
  let centred = ((arrangement === 1) ? i : (i - (0.5 * (n - 1))));
  position_x = (position_x + (stepMove_x * centred));
  position_y = (position_y + (stepMove_y * centred));
  position_z = (position_z + (stepMove_z * centred));
  const t143 = (stepTurn_y * i);
  const t144 = (t143 * 0.5);
  let r$13 = (t144 - Math.floor((t144 + 0.5)));
  let a$12 = Math.abs(r$13);
  const t145 = (0.5 - a$12);
  let q$12 = (Math.min(a$12, t145) * 6.283185307179586);
  let q2$12 = (q$12 * q$12);
  let s$13 = (q$12 * (1 + (q2$12 * ((-0.16666666667) + (q2$12 * (0.0083333333333 + (q2$12 * ((-0.00019841269841) + (q2$12 * (0.0000027557319224 + (q2$12 * (-2.5052108385e-8))))))))))));
  const t146 = ((r$13 < 0) ? (-s$13) : s$13);
  const t147 = (t143 * 0.5);
  const t148 = (t147 + 0.25);
  let r$14 = (t148 - Math.floor((t148 + 0.5)));
  let a$13 = Math.abs(r$14);
  const t149 = (0.5 - a$13);
  let q$13 = (Math.min(a$13, t149) * 6.283185307179586);
  let q2$13 = (q$13 * q$13);
  let s$14 = (q$13 * (1 + (q2$13 * ((-0.16666666667) + (q2$13 * (0.0083333333333 + (q2$13 * ((-0.00019841269841) + (q2$13 * (0.0000027557319224 + (q2$13 * (-2.5052108385e-8))))))))))));
  const t150 = ((r$14 < 0) ? (-s$14) : s$14);
  const t151 = (0 * t146);
  const t152 = (1 * t146);
  const t153 = (0 * t146);
  const t154 = (stepTurn_x * i);
  const t155 = (t154 * 0.5);
  let r$15 = (t155 - Math.floor((t155 + 0.5)));
  let a$14 = Math.abs(r$15);
  const t156 = (0.5 - a$14);
  let q$14 = (Math.min(a$14, t156) * 6.283185307179586);
  let q2$14 = (q$14 * q$14);
  let s$15 = (q$14 * (1 + (q2$14 * ((-0.16666666667) + (q2$14 * (0.0083333333333 + (q2$14 * ((-0.00019841269841) + (q2$14 * (0.0000027557319224 + (q2$14 * (-2.5052108385e-8))))))))))));
  const t157 = ((r$15 < 0) ? (-s$15) : s$15);
  const t158 = (t154 * 0.5);
  const t159 = (t158 + 0.25);
  let r$16 = (t159 - Math.floor((t159 + 0.5)));
  let a$15 = Math.abs(r$16);
  const t160 = (0.5 - a$15);
  let q$15 = (Math.min(a$15, t160) * 6.283185307179586);
  let q2$15 = (q$15 * q$15);
  let s$16 = (q$15 * (1 + (q2$15 * ((-0.16666666667) + (q2$15 * (0.0083333333333 + (q2$15 * ((-0.00019841269841) + (q2$15 * (0.0000027557319224 + (q2$15 * (-2.5052108385e-8))))))))))));
  const t161 = ((r$16 < 0) ? (-s$16) : s$16);
  const t162 = (1 * t157);
  const t163 = (0 * t157);
  const t164 = (0 * t157);
  const t165 = (stepTurn_z * i);
  const t166 = (t165 * 0.5);
  let r$17 = (t166 - Math.floor((t166 + 0.5)));
  let a$16 = Math.abs(r$17);
  const t167 = (0.5 - a$16);
  let q$16 = (Math.min(a$16, t167) * 6.283185307179586);
  let q2$16 = (q$16 * q$16);
  let s$17 = (q$16 * (1 + (q2$16 * ((-0.16666666667) + (q2$16 * (0.0083333333333 + (q2$16 * ((-0.00019841269841) + (q2$16 * (0.0000027557319224 + (q2$16 * (-2.5052108385e-8))))))))))));
  const t168 = ((r$17 < 0) ? (-s$17) : s$17);
  const t169 = (t165 * 0.5);
  const t170 = (t169 + 0.25);
  let r$18 = (t170 - Math.floor((t170 + 0.5)));
  let a$17 = Math.abs(r$18);
  const t171 = (0.5 - a$17);
  let q$17 = (Math.min(a$17, t171) * 6.283185307179586);
  let q2$17 = (q$17 * q$17);
  let s$18 = (q$17 * (1 + (q2$17 * ((-0.16666666667) + (q2$17 * (0.0083333333333 + (q2$17 * ((-0.00019841269841) + (q2$17 * (0.0000027557319224 + (q2$17 * (-2.5052108385e-8))))))))))));
  const t172 = ((r$18 < 0) ? (-s$18) : s$18);
  const t173 = (0 * t168);
  const t174 = (0 * t168);
  const t175 = (1 * t168);
  const t176 = (((t173 * t161) + (t162 * t172)) + (t163 * t175 - t164 * t174));
  const t177 = (((t174 * t161) + (t163 * t172)) + (t164 * t173 - t162 * t175));
  const t178 = (((t175 * t161) + (t164 * t172)) + (t162 * t174 - t163 * t173));
  const t179 = ((t161 * t172) - (((t162 * t173) + (t163 * t174)) + (t164 * t175)));
  const t180 = (((t176 * t150) + (t151 * t179)) + (t152 * t178 - t153 * t177));
  const t181 = (((t177 * t150) + (t152 * t179)) + (t153 * t176 - t151 * t178));
  const t182 = (((t178 * t150) + (t153 * t179)) + (t151 * t177 - t152 * t176));
  const t183 = ((t150 * t179) - (((t151 * t176) + (t152 * t177)) + (t153 * t178)));
  const t184 = (((t180 * rotation_w) + (rotation_x * t183)) + (rotation_y * t182 - rotation_z * t181));
  const t185 = (((t181 * rotation_w) + (rotation_y * t183)) + (rotation_z * t180 - rotation_x * t182));
  const t186 = (((t182 * rotation_w) + (rotation_z * t183)) + (rotation_x * t181 - rotation_y * t180));
  const t187 = ((rotation_w * t183) - (((rotation_x * t180) + (rotation_y * t181)) + (rotation_z * t182)));
  rotation_x = t184;
  rotation_y = t185;
  rotation_z = t186;
  rotation_w = t187;
  const t188 = ((((h_x >>> 8) | 0) >>> 0) * (1 / 16777216));
  size = (((fade * bodySize) * Math.pow(stepScale, order)) * Math.pow(2, (((t188 * 2) - 1) * variation)));
  place = order;
  if ((placeBy === 1)) {
    const t189 = ((((h_y >>> 8) | 0) >>> 0) * (1 / 16777216));
    place = t189;
  }
  if ((placeBy === 2)) {
    let high = ((0.5 * spacing_y) * ((grid_y - 1) | 0));
    const t190 = ((arrangement === 0) ? high : ((arrangement === 6) ? (spacing_y * 0.5) : Math.max(radius, radiusEnd)));
    place = (0.5 + ((0.5 * position_y) / Math.max(0.000001, t190)));
  }
  if ((placeBy === 3)) {
    let slope_x = 0;
    let slope_y = 0;
    let slope_z = 0;
    RF[0] = ((position_x * placeScale_x) + 0.31);
    RF[1] = ((position_y * placeScale_y) + 0.31);
    RF[2] = ((position_z * placeScale_z) + 0.31);
    RI[0] = placePeriod_x;
    RI[1] = placePeriod_y;
    RI[2] = placePeriod_z;
    RI[3] = ((seed + 111) | 0);
    RF[3] = lap;
    RI[4] = placeCycles;
    flowNoise$();
    const t191 = RF[0];
    const t192 = RF[1];
    const t193 = RF[2];
    const t194 = RF[3];
    slope_x = t192;
    slope_y = t193;
    slope_z = t194;
    let v = t191;
    place = (0.5 + (1.2 * v));
  }
  place = Math.min(Math.max((0.5 + ((place - 0.5) * placeSpread)), 0), 1);
  position_o[k * 3] = position_x;
  position_o[k * 3 + 1] = position_y;
  position_o[k * 3 + 2] = position_z;
  rotation_o[k * 4] = rotation_x;
  rotation_o[k * 4 + 1] = rotation_y;
  rotation_o[k * 4 + 2] = rotation_z;
  rotation_o[k * 4 + 3] = rotation_w;
  size_o[k] = size;
  place_o[k] = place;
  fade_o[k] = fade;
  order_o[k] = order;
  key_o[k] = key;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"copiesElement":[{"name":"id","type":"uint","direction":"in"},{"name":"rest","type":"vec4","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"arrangement","type":"int","direction":"in"},{"name":"total","type":"int","direction":"in"},{"name":"stride","type":"int","direction":"in"},{"name":"grid","type":"ivec3","direction":"in"},{"name":"spacing","type":"vec3","direction":"in"},{"name":"radius","type":"float","direction":"in"},{"name":"radiusEnd","type":"float","direction":"in"},{"name":"winds","type":"float","direction":"in"},{"name":"rise","type":"float","direction":"in"},{"name":"align","type":"int","direction":"in"},{"name":"stepTurn","type":"vec3","direction":"in"},{"name":"stepMove","type":"vec3","direction":"in"},{"name":"stepScale","type":"float","direction":"in"},{"name":"bodySize","type":"float","direction":"in"},{"name":"variation","type":"float","direction":"in"},{"name":"placeBy","type":"int","direction":"in"},{"name":"placeSpread","type":"float","direction":"in"},{"name":"placeScale","type":"vec3","direction":"in"},{"name":"placePeriod","type":"ivec3","direction":"in"},{"name":"placeCycles","type":"int","direction":"in"},{"name":"tile","type":"float","direction":"in"},{"name":"course","type":"vec4","direction":"in"},{"name":"track","type":"sampler2D","direction":"in"},{"name":"lap","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"out"},{"name":"rotation","type":"vec4","direction":"out"},{"name":"size","type":"float","direction":"out"},{"name":"place","type":"float","direction":"out"},{"name":"fade","type":"float","direction":"out"},{"name":"order","type":"float","direction":"out"},{"name":"key","type":"uint","direction":"out"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  ...from1,
  ...from2,
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
  'layers/copies/copies.glsl': `
const float GOLDEN = 0.61803398875;

void copiesElement(uint id, vec4 rest, uint seed, int arrangement, int total, int stride, ivec3 grid, vec3 spacing,
                   float radius, float radiusEnd, float winds, float rise, int align, vec3 stepTurn, vec3 stepMove,
                   float stepScale, float bodySize, float variation, int placeBy, float placeSpread, vec3 placeScale,
                   ivec3 placePeriod, int placeCycles, float tile, vec4 course, sampler2D track, float lap,
                   out vec3 position, out vec4 rotation, out float size, out float place, out float fade, out float order, out uint key) {
  int index = arrangement == 6 ? int(id) : int(id) * stride;
  key = uint(index);
  uvec4 h = pcg4d(uvec4(key, seed, 50u, 0u));
  float i = float(index);
  float n = float(total);
  order = total > 1 ? i / (n - 1.0) : 0.0;
  position = vec3(0.0);
  rotation = vec4(0.0, 0.0, 0.0, 1.0);
  if (arrangement == 0) {
    int row = index / grid.x;
    int layer = row / grid.y;
    vec3 cell = vec3(float(index - row * grid.x), float(row - layer * grid.y), float(layer));
    position = (cell - (vec3(grid) - 1.0) * 0.5) * spacing * vec3(1.0, 1.0, -1.0);
  }
  if (arrangement == 1 || arrangement == 2) {
    float turn = arrangement == 1 ? i / n : winds * order;
    float r = arrangement == 1 ? radius : mix(radius, radiusEnd, order);
    position = vec3(sinTurn(turn) * r, cosTurn(turn) * r, arrangement == 2 ? rise * (0.5 - order) : 0.0);
    if (align == 1) rotation = quatAbout(vec3(0.0, 0.0, 1.0), -turn);
  }
  if (arrangement == 3) position = vec3(0.0, 0.0, (0.5 * (n - 1.0) - i) * spacing.z);
  if (arrangement == 4) {
    // evenly within the tile; the ring about the route gives each its side
    float advance = (i + 0.5) / n * tile;
    vec4 frame;
    float pace;
    routeFrame(advance, course, tile, track, position, frame, pace);
    float turn = winds * (i + 0.5) / n;
    position += rotateBy(frame, vec3(sinTurn(turn) * radius, cosTurn(turn) * radius, 0.0));
    if (align == 1) rotation = quatTimes(frame, quatAbout(vec3(0.0, 0.0, 1.0), -turn));
  }
  if (arrangement == 5) {
    // a spiral from pole to pole by the golden angle, equal areas (Gonzalez, Mathematical Geosciences 42, 2010)
    float z = 1.0 - (2.0 * i + 1.0) / n;
    float around = fract(i * GOLDEN);
    float ring = sqrt(max(0.0, 1.0 - z * z));
    vec3 out_ = vec3(cosTurn(around) * ring, z, sinTurn(around) * ring);
    position = out_ * radius;
    if (align == 1) {
      // the shortest turn from the front to outwards
      vec4 q = vec4(-out_.y, out_.x, 0.0, 1.0 + out_.z);
      rotation = out_.z < -0.9999 ? vec4(0.0, 1.0, 0.0, 0.0) : q * inversesqrt(dot(q, q));
    }
  }
  // those that found no room are not there
  fade = 1.0;
  if (arrangement == 6) {
    position = rest.xyz;
    fade = rest.w;
  }
  float centred = arrangement == 1 ? i : i - 0.5 * (n - 1.0);
  position += stepMove * centred;
  rotation = quatTimes(rotation, quatTimes(quatAbout(vec3(0.0, 1.0, 0.0), stepTurn.y * i),
             quatTimes(quatAbout(vec3(1.0, 0.0, 0.0), stepTurn.x * i), quatAbout(vec3(0.0, 0.0, 1.0), stepTurn.z * i))));
  size = fade * bodySize * pow(stepScale, order) * exp2((unit(h.x) * 2.0 - 1.0) * variation);
  place = order;
  if (placeBy == 1) place = unit(h.y);
  if (placeBy == 2) {
    float high = 0.5 * spacing.y * float(grid.y - 1);
    place = 0.5 + 0.5 * position.y / max(1e-6, arrangement == 0 ? high : arrangement == 6 ? spacing.y * 0.5 : max(radius, radiusEnd));
  }
  if (placeBy == 3) {
    vec3 slope;
    float v = flowNoise(position * placeScale + 0.31, placePeriod, seed + 111u, lap, placeCycles, slope);
    place = 0.5 + 1.2 * v;
  }
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
`,
};
