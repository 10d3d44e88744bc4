// Generated from src/core/layers/ground/ground.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../noise/flow.gen';
import { sources as from1 } from '../../space/rotation.gen';
export const RF = new Float64Array(9), RI = new Int32Array(5);
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
export function groundElement(id: number, seed: number, columns: number, rows: number, stride: number, width: number, tile: number, level_x: number, level_y: number, relief: number, scale_x: number, scale_y: number, scale_z: number, period_x: number, period_y: number, period_z: number, octaves: number, ridged: number, valley: number, water: number, placeBy: number, placeSpread: number, placeScale_x: number, placeScale_y: number, placeScale_z: number, placePeriod_x: number, placePeriod_y: number, placePeriod_z: number): void {
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let rotation_x = 0;
  let rotation_y = 0;
  let rotation_z = 0;
  let rotation_w = 0;
  let place = 0;
  let order = 0;
  id = id | 0;
  seed = seed | 0;
  columns = columns | 0;
  rows = rows | 0;
  stride = stride | 0;
  period_x = period_x | 0;
  period_y = period_y | 0;
  period_z = period_z | 0;
  octaves = octaves | 0;
  ridged = ridged | 0;
  water = water | 0;
  placeBy = placeBy | 0;
  placePeriod_x = placePeriod_x | 0;
  placePeriod_y = placePeriod_y | 0;
  placePeriod_z = placePeriod_z | 0;
  let across = ((((columns / stride) | 0) + 1) | 0);
  let row = ((id / across) | 0);
  let column = ((id - Math.imul(row, across)) | 0);
  let x = (((Math.imul(column, stride) / columns) - 0.5) * width);
  let z = (((-Math.imul(row, stride)) / rows) * tile);
  let height = 0;
  let slope_x = 0;
  let slope_y = 0;
  if ((water === 0)) {
    const t0 = x;
    const t1 = z;
    const t2 = seed;
    const t3 = relief;
    const t4 = scale_x;
    const t5 = scale_y;
    const t6 = scale_z;
    const t7 = period_x;
    const t8 = period_y;
    const t9 = period_z;
    const t10 = octaves;
    const t11 = ridged;
    const t12 = valley;
    let height$1 = 0;
    let slope_x$1 = 0;
    let slope_y$1 = 0;
    height$1 = 0;
    slope_x$1 = 0;
    slope_y$1 = 0;
    let gain = 1;
    let times = 1;
    let sum = 0;
    if ((0 < t10)) {
      let grad_x = 0;
      let grad_y = 0;
      let grad_z = 0;
      const t13 = ((0 + 1) | 0);
      let q_x = (((t0 * t4) * times) + (0.37 * t13));
      let q_y = (((0 * t5) * times) + (0.61 * t13));
      let q_z = (((t1 * t6) * times) + (0 * t13));
      const t14 = (times | 0);
      RF[0] = q_x;
      RF[1] = q_y;
      RF[2] = q_z;
      RI[0] = Math.imul(t7, t14);
      RI[1] = Math.imul(t8, t14);
      RI[2] = Math.imul(t9, t14);
      RI[3] = ((t2 + 0) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t15 = RF[0];
      const t16 = RF[1];
      const t17 = RF[2];
      const t18 = RF[3];
      grad_x = t16;
      grad_y = t17;
      grad_z = t18;
      let n = t15;
      let g_x = ((grad_x * t4) * times);
      let g_y = ((grad_z * t6) * times);
      if ((t11 === 1)) {
        let side = ((n < 0) ? 1 : (-1));
        n = (1 - (2 * Math.abs(n)));
        const t19 = (2 * side);
        g_x = (g_x * t19);
        g_y = (g_y * t19);
      }
      height$1 = (height$1 + (n * gain));
      slope_x$1 = (slope_x$1 + (g_x * gain));
      slope_y$1 = (slope_y$1 + (g_y * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((1 < t10)) {
      let grad_x$1 = 0;
      let grad_y$1 = 0;
      let grad_z$1 = 0;
      const t20 = ((1 + 1) | 0);
      let q_x$1 = (((t0 * t4) * times) + (0.37 * t20));
      let q_y$1 = (((0 * t5) * times) + (0.61 * t20));
      let q_z$1 = (((t1 * t6) * times) + (0 * t20));
      const t21 = (times | 0);
      RF[0] = q_x$1;
      RF[1] = q_y$1;
      RF[2] = q_z$1;
      RI[0] = Math.imul(t7, t21);
      RI[1] = Math.imul(t8, t21);
      RI[2] = Math.imul(t9, t21);
      RI[3] = ((t2 + 1) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t22 = RF[0];
      const t23 = RF[1];
      const t24 = RF[2];
      const t25 = RF[3];
      grad_x$1 = t23;
      grad_y$1 = t24;
      grad_z$1 = t25;
      let n$1 = t22;
      let g_x$1 = ((grad_x$1 * t4) * times);
      let g_y$1 = ((grad_z$1 * t6) * times);
      if ((t11 === 1)) {
        let side$1 = ((n$1 < 0) ? 1 : (-1));
        n$1 = (1 - (2 * Math.abs(n$1)));
        const t26 = (2 * side$1);
        g_x$1 = (g_x$1 * t26);
        g_y$1 = (g_y$1 * t26);
      }
      height$1 = (height$1 + (n$1 * gain));
      slope_x$1 = (slope_x$1 + (g_x$1 * gain));
      slope_y$1 = (slope_y$1 + (g_y$1 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((2 < t10)) {
      let grad_x$2 = 0;
      let grad_y$2 = 0;
      let grad_z$2 = 0;
      const t27 = ((2 + 1) | 0);
      let q_x$2 = (((t0 * t4) * times) + (0.37 * t27));
      let q_y$2 = (((0 * t5) * times) + (0.61 * t27));
      let q_z$2 = (((t1 * t6) * times) + (0 * t27));
      const t28 = (times | 0);
      RF[0] = q_x$2;
      RF[1] = q_y$2;
      RF[2] = q_z$2;
      RI[0] = Math.imul(t7, t28);
      RI[1] = Math.imul(t8, t28);
      RI[2] = Math.imul(t9, t28);
      RI[3] = ((t2 + 2) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t29 = RF[0];
      const t30 = RF[1];
      const t31 = RF[2];
      const t32 = RF[3];
      grad_x$2 = t30;
      grad_y$2 = t31;
      grad_z$2 = t32;
      let n$2 = t29;
      let g_x$2 = ((grad_x$2 * t4) * times);
      let g_y$2 = ((grad_z$2 * t6) * times);
      if ((t11 === 1)) {
        let side$2 = ((n$2 < 0) ? 1 : (-1));
        n$2 = (1 - (2 * Math.abs(n$2)));
        const t33 = (2 * side$2);
        g_x$2 = (g_x$2 * t33);
        g_y$2 = (g_y$2 * t33);
      }
      height$1 = (height$1 + (n$2 * gain));
      slope_x$1 = (slope_x$1 + (g_x$2 * gain));
      slope_y$1 = (slope_y$1 + (g_y$2 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((3 < t10)) {
      let grad_x$3 = 0;
      let grad_y$3 = 0;
      let grad_z$3 = 0;
      const t34 = ((3 + 1) | 0);
      let q_x$3 = (((t0 * t4) * times) + (0.37 * t34));
      let q_y$3 = (((0 * t5) * times) + (0.61 * t34));
      let q_z$3 = (((t1 * t6) * times) + (0 * t34));
      const t35 = (times | 0);
      RF[0] = q_x$3;
      RF[1] = q_y$3;
      RF[2] = q_z$3;
      RI[0] = Math.imul(t7, t35);
      RI[1] = Math.imul(t8, t35);
      RI[2] = Math.imul(t9, t35);
      RI[3] = ((t2 + 3) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t36 = RF[0];
      const t37 = RF[1];
      const t38 = RF[2];
      const t39 = RF[3];
      grad_x$3 = t37;
      grad_y$3 = t38;
      grad_z$3 = t39;
      let n$3 = t36;
      let g_x$3 = ((grad_x$3 * t4) * times);
      let g_y$3 = ((grad_z$3 * t6) * times);
      if ((t11 === 1)) {
        let side$3 = ((n$3 < 0) ? 1 : (-1));
        n$3 = (1 - (2 * Math.abs(n$3)));
        const t40 = (2 * side$3);
        g_x$3 = (g_x$3 * t40);
        g_y$3 = (g_y$3 * t40);
      }
      height$1 = (height$1 + (n$3 * gain));
      slope_x$1 = (slope_x$1 + (g_x$3 * gain));
      slope_y$1 = (slope_y$1 + (g_y$3 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((4 < t10)) {
      let grad_x$4 = 0;
      let grad_y$4 = 0;
      let grad_z$4 = 0;
      const t41 = ((4 + 1) | 0);
      let q_x$4 = (((t0 * t4) * times) + (0.37 * t41));
      let q_y$4 = (((0 * t5) * times) + (0.61 * t41));
      let q_z$4 = (((t1 * t6) * times) + (0 * t41));
      const t42 = (times | 0);
      RF[0] = q_x$4;
      RF[1] = q_y$4;
      RF[2] = q_z$4;
      RI[0] = Math.imul(t7, t42);
      RI[1] = Math.imul(t8, t42);
      RI[2] = Math.imul(t9, t42);
      RI[3] = ((t2 + 4) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t43 = RF[0];
      const t44 = RF[1];
      const t45 = RF[2];
      const t46 = RF[3];
      grad_x$4 = t44;
      grad_y$4 = t45;
      grad_z$4 = t46;
      let n$4 = t43;
      let g_x$4 = ((grad_x$4 * t4) * times);
      let g_y$4 = ((grad_z$4 * t6) * times);
      if ((t11 === 1)) {
        let side$4 = ((n$4 < 0) ? 1 : (-1));
        n$4 = (1 - (2 * Math.abs(n$4)));
        const t47 = (2 * side$4);
        g_x$4 = (g_x$4 * t47);
        g_y$4 = (g_y$4 * t47);
      }
      height$1 = (height$1 + (n$4 * gain));
      slope_x$1 = (slope_x$1 + (g_x$4 * gain));
      slope_y$1 = (slope_y$1 + (g_y$4 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((5 < t10)) {
      let grad_x$5 = 0;
      let grad_y$5 = 0;
      let grad_z$5 = 0;
      const t48 = ((5 + 1) | 0);
      let q_x$5 = (((t0 * t4) * times) + (0.37 * t48));
      let q_y$5 = (((0 * t5) * times) + (0.61 * t48));
      let q_z$5 = (((t1 * t6) * times) + (0 * t48));
      const t49 = (times | 0);
      RF[0] = q_x$5;
      RF[1] = q_y$5;
      RF[2] = q_z$5;
      RI[0] = Math.imul(t7, t49);
      RI[1] = Math.imul(t8, t49);
      RI[2] = Math.imul(t9, t49);
      RI[3] = ((t2 + 5) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t50 = RF[0];
      const t51 = RF[1];
      const t52 = RF[2];
      const t53 = RF[3];
      grad_x$5 = t51;
      grad_y$5 = t52;
      grad_z$5 = t53;
      let n$5 = t50;
      let g_x$5 = ((grad_x$5 * t4) * times);
      let g_y$5 = ((grad_z$5 * t6) * times);
      if ((t11 === 1)) {
        let side$5 = ((n$5 < 0) ? 1 : (-1));
        n$5 = (1 - (2 * Math.abs(n$5)));
        const t54 = (2 * side$5);
        g_x$5 = (g_x$5 * t54);
        g_y$5 = (g_y$5 * t54);
      }
      height$1 = (height$1 + (n$5 * gain));
      slope_x$1 = (slope_x$1 + (g_x$5 * gain));
      slope_y$1 = (slope_y$1 + (g_y$5 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    height$1 = (height$1 * (t3 / sum));
    const t55 = (t3 / sum);
    slope_x$1 = (slope_x$1 * t55);
    slope_y$1 = (slope_y$1 * t55);
    if ((t12 > 0)) {
      let d = Math.abs(t0);
      let t = Math.min(Math.max(((d - t12) / t12), 0), 1);
      let keep = ((t * t) * (3 - (2 * t)));
      let steep = (((t > 0) && (t < 1)) ? ((((6 * t) * (1 - t)) / t12) * ((t0 < 0) ? (-1) : 1)) : 0);
      slope_x$1 = ((slope_x$1 * keep) + (height$1 * steep));
      slope_y$1 = ((slope_y$1 * keep) + 0);
      height$1 = (height$1 * keep);
    }
    height = height$1;
    slope_x = slope_x$1;
    slope_y = slope_y$1;
  }
  position_x = (x + level_x);
  position_y = (height + level_y);
  position_z = z;
  let n_x = (-slope_x);
  let n_y = 1;
  let n_z = (-slope_y);
  const t56 = (1 / Math.sqrt((((n_x * n_x) + (n_y * n_y)) + (n_z * n_z))));
  n_x = (n_x * t56);
  n_y = (n_y * t56);
  n_z = (n_z * t56);
  let q_x$6 = n_z;
  let q_y$6 = 0;
  let q_z$6 = (-n_x);
  let q_w = (1 + n_y);
  const t57 = (1 / Math.sqrt(((((q_x$6 * q_x$6) + (q_y$6 * q_y$6)) + (q_z$6 * q_z$6)) + (q_w * q_w))));
  rotation_x = (q_x$6 * t57);
  rotation_y = (q_y$6 * t57);
  rotation_z = (q_z$6 * t57);
  rotation_w = (q_w * t57);
  const t58 = (Math.imul(row, stride) / rows);
  order = (t58 - Math.floor(t58));
  place = ((placeBy === 0) ? (0.5 + ((0.5 * height) / Math.max(relief, 0.0001))) : n_y);
  if ((placeBy === 2)) {
    let grad_x$6 = 0;
    let grad_y$6 = 0;
    let grad_z$6 = 0;
    RF[0] = (x * placeScale_x);
    RF[1] = (0.3 * placeScale_y);
    RF[2] = (z * placeScale_z);
    RI[0] = placePeriod_x;
    RI[1] = placePeriod_y;
    RI[2] = placePeriod_z;
    RI[3] = ((seed + 91) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t59 = RF[0];
    const t60 = RF[1];
    const t61 = RF[2];
    const t62 = RF[3];
    grad_x$6 = t60;
    grad_y$6 = t61;
    grad_z$6 = t62;
    let v = t59;
    place = (0.5 + (0.8 * v));
  }
  place = Math.min(Math.max((0.5 + ((place - 0.5) * placeSpread)), 0), 1);
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = rotation_x;
  RF[4] = rotation_y;
  RF[5] = rotation_z;
  RF[6] = rotation_w;
  RF[7] = place;
  RF[8] = order;
}
export function groundHeight(at_x: number, at_y: number, seed: number, relief: number, scale_x: number, scale_y: number, scale_z: number, period_x: number, period_y: number, period_z: number, octaves: number, ridged: number, valley: number): void {
  let height = 0;
  let slope_x = 0;
  let slope_y = 0;
  seed = seed | 0;
  period_x = period_x | 0;
  period_y = period_y | 0;
  period_z = period_z | 0;
  octaves = octaves | 0;
  ridged = ridged | 0;
  height = 0;
  slope_x = 0;
  slope_y = 0;
  let gain = 1;
  let times = 1;
  let sum = 0;
  if ((0 < octaves)) {
    let grad_x = 0;
    let grad_y = 0;
    let grad_z = 0;
    const t0 = ((0 + 1) | 0);
    let q_x = (((at_x * scale_x) * times) + (0.37 * t0));
    let q_y = (((0 * scale_y) * times) + (0.61 * t0));
    let q_z = (((at_y * scale_z) * times) + (0 * t0));
    const t1 = (times | 0);
    RF[0] = q_x;
    RF[1] = q_y;
    RF[2] = q_z;
    RI[0] = Math.imul(period_x, t1);
    RI[1] = Math.imul(period_y, t1);
    RI[2] = Math.imul(period_z, t1);
    RI[3] = ((seed + 0) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t2 = RF[0];
    const t3 = RF[1];
    const t4 = RF[2];
    const t5 = RF[3];
    grad_x = t3;
    grad_y = t4;
    grad_z = t5;
    let n = t2;
    let g_x = ((grad_x * scale_x) * times);
    let g_y = ((grad_z * scale_z) * times);
    if ((ridged === 1)) {
      let side = ((n < 0) ? 1 : (-1));
      n = (1 - (2 * Math.abs(n)));
      const t6 = (2 * side);
      g_x = (g_x * t6);
      g_y = (g_y * t6);
    }
    height = (height + (n * gain));
    slope_x = (slope_x + (g_x * gain));
    slope_y = (slope_y + (g_y * gain));
    sum = (sum + gain);
    gain = (gain * 0.5);
    times = (times * 2);
  }
  if ((1 < octaves)) {
    let grad_x$1 = 0;
    let grad_y$1 = 0;
    let grad_z$1 = 0;
    const t7 = ((1 + 1) | 0);
    let q_x$1 = (((at_x * scale_x) * times) + (0.37 * t7));
    let q_y$1 = (((0 * scale_y) * times) + (0.61 * t7));
    let q_z$1 = (((at_y * scale_z) * times) + (0 * t7));
    const t8 = (times | 0);
    RF[0] = q_x$1;
    RF[1] = q_y$1;
    RF[2] = q_z$1;
    RI[0] = Math.imul(period_x, t8);
    RI[1] = Math.imul(period_y, t8);
    RI[2] = Math.imul(period_z, t8);
    RI[3] = ((seed + 1) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t9 = RF[0];
    const t10 = RF[1];
    const t11 = RF[2];
    const t12 = RF[3];
    grad_x$1 = t10;
    grad_y$1 = t11;
    grad_z$1 = t12;
    let n$1 = t9;
    let g_x$1 = ((grad_x$1 * scale_x) * times);
    let g_y$1 = ((grad_z$1 * scale_z) * times);
    if ((ridged === 1)) {
      let side$1 = ((n$1 < 0) ? 1 : (-1));
      n$1 = (1 - (2 * Math.abs(n$1)));
      const t13 = (2 * side$1);
      g_x$1 = (g_x$1 * t13);
      g_y$1 = (g_y$1 * t13);
    }
    height = (height + (n$1 * gain));
    slope_x = (slope_x + (g_x$1 * gain));
    slope_y = (slope_y + (g_y$1 * gain));
    sum = (sum + gain);
    gain = (gain * 0.5);
    times = (times * 2);
  }
  if ((2 < octaves)) {
    let grad_x$2 = 0;
    let grad_y$2 = 0;
    let grad_z$2 = 0;
    const t14 = ((2 + 1) | 0);
    let q_x$2 = (((at_x * scale_x) * times) + (0.37 * t14));
    let q_y$2 = (((0 * scale_y) * times) + (0.61 * t14));
    let q_z$2 = (((at_y * scale_z) * times) + (0 * t14));
    const t15 = (times | 0);
    RF[0] = q_x$2;
    RF[1] = q_y$2;
    RF[2] = q_z$2;
    RI[0] = Math.imul(period_x, t15);
    RI[1] = Math.imul(period_y, t15);
    RI[2] = Math.imul(period_z, t15);
    RI[3] = ((seed + 2) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t16 = RF[0];
    const t17 = RF[1];
    const t18 = RF[2];
    const t19 = RF[3];
    grad_x$2 = t17;
    grad_y$2 = t18;
    grad_z$2 = t19;
    let n$2 = t16;
    let g_x$2 = ((grad_x$2 * scale_x) * times);
    let g_y$2 = ((grad_z$2 * scale_z) * times);
    if ((ridged === 1)) {
      let side$2 = ((n$2 < 0) ? 1 : (-1));
      n$2 = (1 - (2 * Math.abs(n$2)));
      const t20 = (2 * side$2);
      g_x$2 = (g_x$2 * t20);
      g_y$2 = (g_y$2 * t20);
    }
    height = (height + (n$2 * gain));
    slope_x = (slope_x + (g_x$2 * gain));
    slope_y = (slope_y + (g_y$2 * gain));
    sum = (sum + gain);
    gain = (gain * 0.5);
    times = (times * 2);
  }
  if ((3 < octaves)) {
    let grad_x$3 = 0;
    let grad_y$3 = 0;
    let grad_z$3 = 0;
    const t21 = ((3 + 1) | 0);
    let q_x$3 = (((at_x * scale_x) * times) + (0.37 * t21));
    let q_y$3 = (((0 * scale_y) * times) + (0.61 * t21));
    let q_z$3 = (((at_y * scale_z) * times) + (0 * t21));
    const t22 = (times | 0);
    RF[0] = q_x$3;
    RF[1] = q_y$3;
    RF[2] = q_z$3;
    RI[0] = Math.imul(period_x, t22);
    RI[1] = Math.imul(period_y, t22);
    RI[2] = Math.imul(period_z, t22);
    RI[3] = ((seed + 3) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t23 = RF[0];
    const t24 = RF[1];
    const t25 = RF[2];
    const t26 = RF[3];
    grad_x$3 = t24;
    grad_y$3 = t25;
    grad_z$3 = t26;
    let n$3 = t23;
    let g_x$3 = ((grad_x$3 * scale_x) * times);
    let g_y$3 = ((grad_z$3 * scale_z) * times);
    if ((ridged === 1)) {
      let side$3 = ((n$3 < 0) ? 1 : (-1));
      n$3 = (1 - (2 * Math.abs(n$3)));
      const t27 = (2 * side$3);
      g_x$3 = (g_x$3 * t27);
      g_y$3 = (g_y$3 * t27);
    }
    height = (height + (n$3 * gain));
    slope_x = (slope_x + (g_x$3 * gain));
    slope_y = (slope_y + (g_y$3 * gain));
    sum = (sum + gain);
    gain = (gain * 0.5);
    times = (times * 2);
  }
  if ((4 < octaves)) {
    let grad_x$4 = 0;
    let grad_y$4 = 0;
    let grad_z$4 = 0;
    const t28 = ((4 + 1) | 0);
    let q_x$4 = (((at_x * scale_x) * times) + (0.37 * t28));
    let q_y$4 = (((0 * scale_y) * times) + (0.61 * t28));
    let q_z$4 = (((at_y * scale_z) * times) + (0 * t28));
    const t29 = (times | 0);
    RF[0] = q_x$4;
    RF[1] = q_y$4;
    RF[2] = q_z$4;
    RI[0] = Math.imul(period_x, t29);
    RI[1] = Math.imul(period_y, t29);
    RI[2] = Math.imul(period_z, t29);
    RI[3] = ((seed + 4) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t30 = RF[0];
    const t31 = RF[1];
    const t32 = RF[2];
    const t33 = RF[3];
    grad_x$4 = t31;
    grad_y$4 = t32;
    grad_z$4 = t33;
    let n$4 = t30;
    let g_x$4 = ((grad_x$4 * scale_x) * times);
    let g_y$4 = ((grad_z$4 * scale_z) * times);
    if ((ridged === 1)) {
      let side$4 = ((n$4 < 0) ? 1 : (-1));
      n$4 = (1 - (2 * Math.abs(n$4)));
      const t34 = (2 * side$4);
      g_x$4 = (g_x$4 * t34);
      g_y$4 = (g_y$4 * t34);
    }
    height = (height + (n$4 * gain));
    slope_x = (slope_x + (g_x$4 * gain));
    slope_y = (slope_y + (g_y$4 * gain));
    sum = (sum + gain);
    gain = (gain * 0.5);
    times = (times * 2);
  }
  if ((5 < octaves)) {
    let grad_x$5 = 0;
    let grad_y$5 = 0;
    let grad_z$5 = 0;
    const t35 = ((5 + 1) | 0);
    let q_x$5 = (((at_x * scale_x) * times) + (0.37 * t35));
    let q_y$5 = (((0 * scale_y) * times) + (0.61 * t35));
    let q_z$5 = (((at_y * scale_z) * times) + (0 * t35));
    const t36 = (times | 0);
    RF[0] = q_x$5;
    RF[1] = q_y$5;
    RF[2] = q_z$5;
    RI[0] = Math.imul(period_x, t36);
    RI[1] = Math.imul(period_y, t36);
    RI[2] = Math.imul(period_z, t36);
    RI[3] = ((seed + 5) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t37 = RF[0];
    const t38 = RF[1];
    const t39 = RF[2];
    const t40 = RF[3];
    grad_x$5 = t38;
    grad_y$5 = t39;
    grad_z$5 = t40;
    let n$5 = t37;
    let g_x$5 = ((grad_x$5 * scale_x) * times);
    let g_y$5 = ((grad_z$5 * scale_z) * times);
    if ((ridged === 1)) {
      let side$5 = ((n$5 < 0) ? 1 : (-1));
      n$5 = (1 - (2 * Math.abs(n$5)));
      const t41 = (2 * side$5);
      g_x$5 = (g_x$5 * t41);
      g_y$5 = (g_y$5 * t41);
    }
    height = (height + (n$5 * gain));
    slope_x = (slope_x + (g_x$5 * gain));
    slope_y = (slope_y + (g_y$5 * gain));
    sum = (sum + gain);
    gain = (gain * 0.5);
    times = (times * 2);
  }
  height = (height * (relief / sum));
  const t42 = (relief / sum);
  slope_x = (slope_x * t42);
  slope_y = (slope_y * t42);
  if ((valley > 0)) {
    let d = Math.abs(at_x);
    let t = Math.min(Math.max(((d - valley) / valley), 0), 1);
    let keep = ((t * t) * (3 - (2 * t)));
    let steep = (((t > 0) && (t < 1)) ? ((((6 * t) * (1 - t)) / valley) * ((at_x < 0) ? (-1) : 1)) : 0);
    slope_x = ((slope_x * keep) + (height * steep));
    slope_y = ((slope_y * keep) + 0);
    height = (height * keep);
  }
  RF[0] = height;
  RF[1] = slope_x;
  RF[2] = slope_y;
}
export function groundRun(first: number, end: number, seed: number, columns: number, rows: number, stride: number, width: number, tile: number, level_x: number, level_y: number, relief: number, scale_x: number, scale_y: number, scale_z: number, period_x: number, period_y: number, period_z: number, octaves: number, ridged: number, valley: number, water: number, placeBy: number, placeSpread: number, placeScale_x: number, placeScale_y: number, placeScale_z: number, placePeriod_x: number, placePeriod_y: number, placePeriod_z: number, position_o: Float64Array, rotation_o: Float64Array, place_o: Float64Array, order_o: Float64Array): void {
  seed = seed | 0; columns = columns | 0; rows = rows | 0; stride = stride | 0; period_x = period_x | 0; period_y = period_y | 0; period_z = period_z | 0; octaves = octaves | 0; ridged = ridged | 0; water = water | 0; placeBy = placeBy | 0; placePeriod_x = placePeriod_x | 0; placePeriod_y = placePeriod_y | 0; placePeriod_z = placePeriod_z | 0;
  for (let k = first; k < end; k++) {
  const t0 = k;
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let rotation_x = 0;
  let rotation_y = 0;
  let rotation_z = 0;
  let rotation_w = 0;
  let place = 0;
  let order = 0;
  let across = ((((columns / stride) | 0) + 1) | 0);
  let row = ((t0 / across) | 0);
  let column = ((t0 - Math.imul(row, across)) | 0);
  let x = (((Math.imul(column, stride) / columns) - 0.5) * width);
  let z = (((-Math.imul(row, stride)) / rows) * tile);
  let height = 0;
  let slope_x = 0;
  let slope_y = 0;
  if ((water === 0)) {
    const t1 = x;
    const t2 = z;
    let height$1 = 0;
    let slope_x$1 = 0;
    let slope_y$1 = 0;
    height$1 = 0;
    slope_x$1 = 0;
    slope_y$1 = 0;
    let gain = 1;
    let times = 1;
    let sum = 0;
    if ((0 < octaves)) {
      let grad_x = 0;
      let grad_y = 0;
      let grad_z = 0;
      const t3 = ((0 + 1) | 0);
      let q_x = (((t1 * scale_x) * times) + (0.37 * t3));
      let q_y = (((0 * scale_y) * times) + (0.61 * t3));
      let q_z = (((t2 * scale_z) * times) + (0 * t3));
      const t4 = (times | 0);
      RF[0] = q_x;
      RF[1] = q_y;
      RF[2] = q_z;
      RI[0] = Math.imul(period_x, t4);
      RI[1] = Math.imul(period_y, t4);
      RI[2] = Math.imul(period_z, t4);
      RI[3] = ((seed + 0) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t5 = RF[0];
      const t6 = RF[1];
      const t7 = RF[2];
      const t8 = RF[3];
      grad_x = t6;
      grad_y = t7;
      grad_z = t8;
      let n = t5;
      let g_x = ((grad_x * scale_x) * times);
      let g_y = ((grad_z * scale_z) * times);
      if ((ridged === 1)) {
        let side = ((n < 0) ? 1 : (-1));
        n = (1 - (2 * Math.abs(n)));
        const t9 = (2 * side);
        g_x = (g_x * t9);
        g_y = (g_y * t9);
      }
      height$1 = (height$1 + (n * gain));
      slope_x$1 = (slope_x$1 + (g_x * gain));
      slope_y$1 = (slope_y$1 + (g_y * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((1 < octaves)) {
      let grad_x$1 = 0;
      let grad_y$1 = 0;
      let grad_z$1 = 0;
      const t10 = ((1 + 1) | 0);
      let q_x$1 = (((t1 * scale_x) * times) + (0.37 * t10));
      let q_y$1 = (((0 * scale_y) * times) + (0.61 * t10));
      let q_z$1 = (((t2 * scale_z) * times) + (0 * t10));
      const t11 = (times | 0);
      RF[0] = q_x$1;
      RF[1] = q_y$1;
      RF[2] = q_z$1;
      RI[0] = Math.imul(period_x, t11);
      RI[1] = Math.imul(period_y, t11);
      RI[2] = Math.imul(period_z, t11);
      RI[3] = ((seed + 1) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t12 = RF[0];
      const t13 = RF[1];
      const t14 = RF[2];
      const t15 = RF[3];
      grad_x$1 = t13;
      grad_y$1 = t14;
      grad_z$1 = t15;
      let n$1 = t12;
      let g_x$1 = ((grad_x$1 * scale_x) * times);
      let g_y$1 = ((grad_z$1 * scale_z) * times);
      if ((ridged === 1)) {
        let side$1 = ((n$1 < 0) ? 1 : (-1));
        n$1 = (1 - (2 * Math.abs(n$1)));
        const t16 = (2 * side$1);
        g_x$1 = (g_x$1 * t16);
        g_y$1 = (g_y$1 * t16);
      }
      height$1 = (height$1 + (n$1 * gain));
      slope_x$1 = (slope_x$1 + (g_x$1 * gain));
      slope_y$1 = (slope_y$1 + (g_y$1 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((2 < octaves)) {
      let grad_x$2 = 0;
      let grad_y$2 = 0;
      let grad_z$2 = 0;
      const t17 = ((2 + 1) | 0);
      let q_x$2 = (((t1 * scale_x) * times) + (0.37 * t17));
      let q_y$2 = (((0 * scale_y) * times) + (0.61 * t17));
      let q_z$2 = (((t2 * scale_z) * times) + (0 * t17));
      const t18 = (times | 0);
      RF[0] = q_x$2;
      RF[1] = q_y$2;
      RF[2] = q_z$2;
      RI[0] = Math.imul(period_x, t18);
      RI[1] = Math.imul(period_y, t18);
      RI[2] = Math.imul(period_z, t18);
      RI[3] = ((seed + 2) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t19 = RF[0];
      const t20 = RF[1];
      const t21 = RF[2];
      const t22 = RF[3];
      grad_x$2 = t20;
      grad_y$2 = t21;
      grad_z$2 = t22;
      let n$2 = t19;
      let g_x$2 = ((grad_x$2 * scale_x) * times);
      let g_y$2 = ((grad_z$2 * scale_z) * times);
      if ((ridged === 1)) {
        let side$2 = ((n$2 < 0) ? 1 : (-1));
        n$2 = (1 - (2 * Math.abs(n$2)));
        const t23 = (2 * side$2);
        g_x$2 = (g_x$2 * t23);
        g_y$2 = (g_y$2 * t23);
      }
      height$1 = (height$1 + (n$2 * gain));
      slope_x$1 = (slope_x$1 + (g_x$2 * gain));
      slope_y$1 = (slope_y$1 + (g_y$2 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((3 < octaves)) {
      let grad_x$3 = 0;
      let grad_y$3 = 0;
      let grad_z$3 = 0;
      const t24 = ((3 + 1) | 0);
      let q_x$3 = (((t1 * scale_x) * times) + (0.37 * t24));
      let q_y$3 = (((0 * scale_y) * times) + (0.61 * t24));
      let q_z$3 = (((t2 * scale_z) * times) + (0 * t24));
      const t25 = (times | 0);
      RF[0] = q_x$3;
      RF[1] = q_y$3;
      RF[2] = q_z$3;
      RI[0] = Math.imul(period_x, t25);
      RI[1] = Math.imul(period_y, t25);
      RI[2] = Math.imul(period_z, t25);
      RI[3] = ((seed + 3) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t26 = RF[0];
      const t27 = RF[1];
      const t28 = RF[2];
      const t29 = RF[3];
      grad_x$3 = t27;
      grad_y$3 = t28;
      grad_z$3 = t29;
      let n$3 = t26;
      let g_x$3 = ((grad_x$3 * scale_x) * times);
      let g_y$3 = ((grad_z$3 * scale_z) * times);
      if ((ridged === 1)) {
        let side$3 = ((n$3 < 0) ? 1 : (-1));
        n$3 = (1 - (2 * Math.abs(n$3)));
        const t30 = (2 * side$3);
        g_x$3 = (g_x$3 * t30);
        g_y$3 = (g_y$3 * t30);
      }
      height$1 = (height$1 + (n$3 * gain));
      slope_x$1 = (slope_x$1 + (g_x$3 * gain));
      slope_y$1 = (slope_y$1 + (g_y$3 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((4 < octaves)) {
      let grad_x$4 = 0;
      let grad_y$4 = 0;
      let grad_z$4 = 0;
      const t31 = ((4 + 1) | 0);
      let q_x$4 = (((t1 * scale_x) * times) + (0.37 * t31));
      let q_y$4 = (((0 * scale_y) * times) + (0.61 * t31));
      let q_z$4 = (((t2 * scale_z) * times) + (0 * t31));
      const t32 = (times | 0);
      RF[0] = q_x$4;
      RF[1] = q_y$4;
      RF[2] = q_z$4;
      RI[0] = Math.imul(period_x, t32);
      RI[1] = Math.imul(period_y, t32);
      RI[2] = Math.imul(period_z, t32);
      RI[3] = ((seed + 4) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t33 = RF[0];
      const t34 = RF[1];
      const t35 = RF[2];
      const t36 = RF[3];
      grad_x$4 = t34;
      grad_y$4 = t35;
      grad_z$4 = t36;
      let n$4 = t33;
      let g_x$4 = ((grad_x$4 * scale_x) * times);
      let g_y$4 = ((grad_z$4 * scale_z) * times);
      if ((ridged === 1)) {
        let side$4 = ((n$4 < 0) ? 1 : (-1));
        n$4 = (1 - (2 * Math.abs(n$4)));
        const t37 = (2 * side$4);
        g_x$4 = (g_x$4 * t37);
        g_y$4 = (g_y$4 * t37);
      }
      height$1 = (height$1 + (n$4 * gain));
      slope_x$1 = (slope_x$1 + (g_x$4 * gain));
      slope_y$1 = (slope_y$1 + (g_y$4 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    if ((5 < octaves)) {
      let grad_x$5 = 0;
      let grad_y$5 = 0;
      let grad_z$5 = 0;
      const t38 = ((5 + 1) | 0);
      let q_x$5 = (((t1 * scale_x) * times) + (0.37 * t38));
      let q_y$5 = (((0 * scale_y) * times) + (0.61 * t38));
      let q_z$5 = (((t2 * scale_z) * times) + (0 * t38));
      const t39 = (times | 0);
      RF[0] = q_x$5;
      RF[1] = q_y$5;
      RF[2] = q_z$5;
      RI[0] = Math.imul(period_x, t39);
      RI[1] = Math.imul(period_y, t39);
      RI[2] = Math.imul(period_z, t39);
      RI[3] = ((seed + 5) | 0);
      RF[3] = 0.13;
      RI[4] = 1;
      flowNoise$();
      const t40 = RF[0];
      const t41 = RF[1];
      const t42 = RF[2];
      const t43 = RF[3];
      grad_x$5 = t41;
      grad_y$5 = t42;
      grad_z$5 = t43;
      let n$5 = t40;
      let g_x$5 = ((grad_x$5 * scale_x) * times);
      let g_y$5 = ((grad_z$5 * scale_z) * times);
      if ((ridged === 1)) {
        let side$5 = ((n$5 < 0) ? 1 : (-1));
        n$5 = (1 - (2 * Math.abs(n$5)));
        const t44 = (2 * side$5);
        g_x$5 = (g_x$5 * t44);
        g_y$5 = (g_y$5 * t44);
      }
      height$1 = (height$1 + (n$5 * gain));
      slope_x$1 = (slope_x$1 + (g_x$5 * gain));
      slope_y$1 = (slope_y$1 + (g_y$5 * gain));
      sum = (sum + gain);
      gain = (gain * 0.5);
      times = (times * 2);
    }
    height$1 = (height$1 * (relief / sum));
    const t45 = (relief / sum);
    slope_x$1 = (slope_x$1 * t45);
    slope_y$1 = (slope_y$1 * t45);
    if ((valley > 0)) {
      let d = Math.abs(t1);
      let t = Math.min(Math.max(((d - valley) / valley), 0), 1);
      let keep = ((t * t) * (3 - (2 * t)));
      let steep = (((t > 0) && (t < 1)) ? ((((6 * t) * (1 - t)) / valley) * ((t1 < 0) ? (-1) : 1)) : 0);
      slope_x$1 = ((slope_x$1 * keep) + (height$1 * steep));
      slope_y$1 = ((slope_y$1 * keep) + 0);
      height$1 = (height$1 * keep);
    }
    height = height$1;
    slope_x = slope_x$1;
    slope_y = slope_y$1;
  }
  position_x = (x + level_x);
  position_y = (height + level_y);
  position_z = z;
  let n_x = (-slope_x);
  let n_y = 1;
  let n_z = (-slope_y);
  const t46 = (1 / Math.sqrt((((n_x * n_x) + (n_y * n_y)) + (n_z * n_z))));
  n_x = (n_x * t46);
  n_y = (n_y * t46);
  n_z = (n_z * t46);
  let q_x$6 = n_z;
  let q_y$6 = 0;
  let q_z$6 = (-n_x);
  let q_w = (1 + n_y);
  const t47 = (1 / Math.sqrt(((((q_x$6 * q_x$6) + (q_y$6 * q_y$6)) + (q_z$6 * q_z$6)) + (q_w * q_w))));
  rotation_x = (q_x$6 * t47);
  rotation_y = (q_y$6 * t47);
  rotation_z = (q_z$6 * t47);
  rotation_w = (q_w * t47);
  const t48 = (Math.imul(row, stride) / rows);
  order = (t48 - Math.floor(t48));
  place = ((placeBy === 0) ? (0.5 + ((0.5 * height) / Math.max(relief, 0.0001))) : n_y);
  if ((placeBy === 2)) {
    let grad_x$6 = 0;
    let grad_y$6 = 0;
    let grad_z$6 = 0;
    RF[0] = (x * placeScale_x);
    RF[1] = (0.3 * placeScale_y);
    RF[2] = (z * placeScale_z);
    RI[0] = placePeriod_x;
    RI[1] = placePeriod_y;
    RI[2] = placePeriod_z;
    RI[3] = ((seed + 91) | 0);
    RF[3] = 0.13;
    RI[4] = 1;
    flowNoise$();
    const t49 = RF[0];
    const t50 = RF[1];
    const t51 = RF[2];
    const t52 = RF[3];
    grad_x$6 = t50;
    grad_y$6 = t51;
    grad_z$6 = t52;
    let v = t49;
    place = (0.5 + (0.8 * v));
  }
  place = Math.min(Math.max((0.5 + ((place - 0.5) * placeSpread)), 0), 1);
  position_o[k * 3] = position_x;
  position_o[k * 3 + 1] = position_y;
  position_o[k * 3 + 2] = position_z;
  rotation_o[k * 4] = rotation_x;
  rotation_o[k * 4 + 1] = rotation_y;
  rotation_o[k * 4 + 2] = rotation_z;
  rotation_o[k * 4 + 3] = rotation_w;
  place_o[k] = place;
  order_o[k] = order;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"groundElement":[{"name":"id","type":"uint","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"columns","type":"int","direction":"in"},{"name":"rows","type":"int","direction":"in"},{"name":"stride","type":"int","direction":"in"},{"name":"width","type":"float","direction":"in"},{"name":"tile","type":"float","direction":"in"},{"name":"level","type":"vec2","direction":"in"},{"name":"relief","type":"float","direction":"in"},{"name":"scale","type":"vec3","direction":"in"},{"name":"period","type":"ivec3","direction":"in"},{"name":"octaves","type":"int","direction":"in"},{"name":"ridged","type":"int","direction":"in"},{"name":"valley","type":"float","direction":"in"},{"name":"water","type":"int","direction":"in"},{"name":"placeBy","type":"int","direction":"in"},{"name":"placeSpread","type":"float","direction":"in"},{"name":"placeScale","type":"vec3","direction":"in"},{"name":"placePeriod","type":"ivec3","direction":"in"},{"name":"position","type":"vec3","direction":"out"},{"name":"rotation","type":"vec4","direction":"out"},{"name":"place","type":"float","direction":"out"},{"name":"order","type":"float","direction":"out"}],"groundHeight":[{"name":"at","type":"vec2","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"relief","type":"float","direction":"in"},{"name":"scale","type":"vec3","direction":"in"},{"name":"period","type":"ivec3","direction":"in"},{"name":"octaves","type":"int","direction":"in"},{"name":"ridged","type":"int","direction":"in"},{"name":"valley","type":"float","direction":"in"},{"name":"height","type":"float","direction":"out"},{"name":"slope","type":"vec2","direction":"out"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  ...from0,
  ...from1,
  'layers/ground/ground.glsl': `
void groundHeight(vec2 at, uint seed, float relief, vec3 scale, ivec3 period, int octaves, int ridged, float valley,
                  out float height, out vec2 slope) {
  height = 0.0;
  slope = vec2(0.0);
  float gain = 1.0;
  float times = 1.0;
  float sum = 0.0;
  for (int i = 0; i < 6; i++) {
    if (i < octaves) {
      vec3 grad;
      vec3 q = vec3(at.x, 0.0, at.y) * scale * times + vec3(0.37, 0.61, 0.0) * float(i + 1);
      float n = flowNoise(q, period * int(times), seed + uint(i), 0.13, 1, grad);
      vec2 g = vec2(grad.x * scale.x, grad.z * scale.z) * times;
      if (ridged == 1) {
        float side = n < 0.0 ? 1.0 : -1.0;
        n = 1.0 - 2.0 * abs(n);
        g = g * (2.0 * side);
      }
      height += n * gain;
      slope += g * gain;
      sum += gain;
      gain *= 0.5;
      times *= 2.0;
    }
  }
  height *= relief / sum;
  slope *= relief / sum;
  if (valley > 0.0) {
    float d = abs(at.x);
    float t = clamp((d - valley) / valley, 0.0, 1.0);
    float keep = t * t * (3.0 - 2.0 * t);
    float steep = t > 0.0 && t < 1.0 ? 6.0 * t * (1.0 - t) / valley * (at.x < 0.0 ? -1.0 : 1.0) : 0.0;
    slope = slope * keep + vec2(height * steep, 0.0);
    height *= keep;
  }
}

void groundElement(uint id, uint seed, int columns, int rows, int stride, float width, float tile, vec2 level, float relief,
                   vec3 scale, ivec3 period, int octaves, int ridged, float valley, int water, int placeBy, float placeSpread,
                   vec3 placeScale, ivec3 placePeriod, out vec3 position, out vec4 rotation, out float place, out float order) {
  int across = columns / stride + 1;
  int row = int(id) / across;
  int column = int(id) - row * across;
  float x = (float(column * stride) / float(columns) - 0.5) * width;
  float z = -float(row * stride) / float(rows) * tile;
  float height = 0.0;
  vec2 slope = vec2(0.0);
  if (water == 0) groundHeight(vec2(x, z), seed, relief, scale, period, octaves, ridged, valley, height, slope);
  position = vec3(x + level.x, height + level.y, z);
  // the shortest turn from upright to the normal
  vec3 n = vec3(-slope.x, 1.0, -slope.y);
  n = n * inversesqrt(dot(n, n));
  vec4 q = vec4(n.z, 0.0, -n.x, 1.0 + n.y);
  rotation = q * inversesqrt(dot(q, q));
  order = fract(float(row * stride) / float(rows));
  place = placeBy == 0 ? 0.5 + 0.5 * height / max(relief, 1e-4) : n.y;
  if (placeBy == 2) {
    vec3 grad;
    float v = flowNoise(vec3(x, 0.3, z) * placeScale, placePeriod, seed + 91u, 0.13, 1, grad);
    place = 0.5 + 0.8 * v;
  }
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
}
`,
};
