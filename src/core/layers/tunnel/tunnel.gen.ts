// Generated from src/core/layers/tunnel/tunnel.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
import { sources as from0 } from '../../random/hash.gen';
import { sources as from1 } from '../../noise/flow.gen';
import { sources as from2 } from '../../space/rotation.gen';
export const RF = new Float64Array(14), RI = new Int32Array(5);
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
export function tunnelElement(id: number, seed: number, corners: number, roundness: number, drawn: number, section: Float64Array, flatness: number, copies: number, innerRatio: number, innerTurn: number, radius: number, rings: number, stride: number, tile: number, twist: number, wobble: number, wobbleCycles: number, placeBy: number, placeSpread: number, placeCycles: number, placeDetail: number, accent: number, course_x: number, course_y: number, course_z: number, course_w: number, track: Float64Array, lap: number): void {
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let rotation_x = 0;
  let rotation_y = 0;
  let rotation_z = 0;
  let rotation_w = 0;
  let spoke_x = 0;
  let spoke_y = 0;
  let spoke_z = 0;
  let size = 0;
  let place = 0;
  let light = 0;
  let order = 0;
  let key = 0;
  id = id | 0;
  seed = seed | 0;
  corners = corners | 0;
  drawn = drawn | 0;
  copies = copies | 0;
  rings = rings | 0;
  stride = stride | 0;
  wobbleCycles = wobbleCycles | 0;
  placeBy = placeBy | 0;
  placeCycles = placeCycles | 0;
  placeDetail = placeDetail | 0;
  let index = id;
  let copy = ((((index / corners) | 0) % copies) | 0);
  let shown = Math.imul(((index / Math.imul(corners, copies)) | 0), stride);
  let ring = ((shown >= rings) ? ((shown - rings) | 0) : shown);
  let cornerIndex = ((index - Math.imul(((index / corners) | 0), corners)) | 0);
  key = ((Math.imul(ring, 2) + copy) | 0);
  let v_x = ring;
  let v_y = copy;
  let v_z = seed;
  let v_w = 4;
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
  let along = ((shown + 0.5) / rings);
  order = (along - Math.floor(along));
  let inside = copy;
  size = (radius * (1 * (1 - inside) + innerRatio * inside));
  let turn = (((cornerIndex / corners) + (innerTurn * inside)) + 0.25);
  const t4 = (turn + 0.25);
  let r = (t4 - Math.floor((t4 + 0.5)));
  let a = Math.abs(r);
  const t5 = (0.5 - a);
  let q = (Math.min(a, t5) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t6 = ((r < 0) ? (-s) : s);
  let cx = t6;
  let r$1 = (turn - Math.floor((turn + 0.5)));
  let a$1 = Math.abs(r$1);
  const t7 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t7) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t8 = ((r$1 < 0) ? (-s$1) : s$1);
  let cy = t8;
  if ((roundness > 0)) {
    let reach = Math.pow((Math.pow(Math.abs(cx), roundness) + Math.pow(Math.abs(cy), roundness)), ((-1) / roundness));
    cx = (cx * reach);
    cy = (cy * reach);
  }
  if ((drawn === 1)) {
    const t9 = cornerIndex * 4;
    const t10 = section[t9 + 0];
    const t11 = section[t9 + 1];
    const t12 = section[t9 + 2];
    const t13 = section[t9 + 3];
    let corner_x = t10;
    let corner_y = t11;
    const t14 = (innerTurn * inside);
    const t15 = (t14 + 0.25);
    let r$2 = (t15 - Math.floor((t15 + 0.5)));
    let a$2 = Math.abs(r$2);
    const t16 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t16) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t17 = ((r$2 < 0) ? (-s$2) : s$2);
    let ci = t17;
    const t18 = (innerTurn * inside);
    let r$3 = (t18 - Math.floor((t18 + 0.5)));
    let a$3 = Math.abs(r$3);
    const t19 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t19) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t20 = ((r$3 < 0) ? (-s$3) : s$3);
    let si = t20;
    cx = ((corner_x * ci) - (corner_y * si));
    cy = ((corner_x * si) + (corner_y * ci));
  }
  cy = (cy * flatness);
  let around = (twist * along);
  const t21 = (around + 0.25);
  let r$4 = (t21 - Math.floor((t21 + 0.5)));
  let a$4 = Math.abs(r$4);
  const t22 = (0.5 - a$4);
  let q$4 = (Math.min(a$4, t22) * 6.283185307179586);
  let q2$4 = (q$4 * q$4);
  let s$4 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
  const t23 = ((r$4 < 0) ? (-s$4) : s$4);
  let ca = t23;
  let r$5 = (around - Math.floor((around + 0.5)));
  let a$5 = Math.abs(r$5);
  const t24 = (0.5 - a$5);
  let q$5 = (Math.min(a$5, t24) * 6.283185307179586);
  let q2$5 = (q$5 * q$5);
  let s$5 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
  const t25 = ((r$5 < 0) ? (-s$5) : s$5);
  let sa = t25;
  let flat__x = ((cx * ca) - (cy * sa));
  let flat__y = ((cx * sa) + (cy * ca));
  let slope_x = 0;
  let slope_y = 0;
  let slope_z = 0;
  if ((wobble > 0)) {
    const t26 = (0.9 * (1 / Math.sqrt((((flat__x * flat__x) + (flat__y * flat__y)) + 1e-9))));
    let q_x = (flat__x * t26);
    let q_y = (flat__y * t26);
    let q_z = (along * 6);
    RF[0] = q_x;
    RF[1] = q_y;
    RF[2] = q_z;
    RI[0] = 8;
    RI[1] = 8;
    RI[2] = 6;
    RI[3] = ((seed + 21) | 0);
    RF[3] = lap;
    RI[4] = wobbleCycles;
    flowNoise$();
    const t27 = RF[0];
    const t28 = RF[1];
    const t29 = RF[2];
    const t30 = RF[3];
    slope_x = t28;
    slope_y = t29;
    slope_z = t30;
    let n = t27;
    const t31 = (1 + (wobble * n));
    flat__x = (flat__x * t31);
    flat__y = (flat__y * t31);
  }
  spoke_x = flat__x;
  spoke_y = flat__y;
  spoke_z = 0;
  place = order;
  if ((placeBy === 0)) {
    const t32 = ((((h_z >>> 8) | 0) >>> 0) * (1 / 16777216));
    place = t32;
  }
  if ((placeBy === 1)) {
    place = Math.abs(((place * 2) - 1));
  }
  if ((placeBy === 2)) {
    let q_x$1 = 0.31;
    let q_y$1 = (inside * 0.37);
    let q_z$1 = (along * placeDetail);
    RF[0] = q_x$1;
    RF[1] = q_y$1;
    RF[2] = q_z$1;
    RI[0] = 4;
    RI[1] = 4;
    RI[2] = placeDetail;
    RI[3] = ((seed + 31) | 0);
    RF[3] = lap;
    RI[4] = placeCycles;
    flowNoise$();
    const t33 = RF[0];
    const t34 = RF[1];
    const t35 = RF[2];
    const t36 = RF[3];
    slope_x = t34;
    slope_y = t35;
    slope_z = t36;
    let n$1 = t33;
    const t37 = ((((h_w >>> 8) | 0) >>> 0) * (1 / 16777216));
    place = ((0.5 + (1.25 * n$1)) + ((t37 - 0.5) * 0.25));
  }
  if ((placeBy === 3)) {
    place = Math.abs((((cornerIndex / corners) * 2) - 1));
  }
  place = Math.min(Math.max((0.5 + ((place - 0.5) * placeSpread)), 0), 1);
  const t38 = ((((h_y >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t39 = (lap * ((1 + (((h_x >>> 0) % (3 >>> 0)) | 0)) | 0));
  const t40 = (t38 + (t39 - Math.floor(t39)));
  let r$6 = (t40 - Math.floor((t40 + 0.5)));
  let a$6 = Math.abs(r$6);
  const t41 = (0.5 - a$6);
  let q$6 = (Math.min(a$6, t41) * 6.283185307179586);
  let q2$6 = (q$6 * q$6);
  let s$6 = (q$6 * (1 + (q2$6 * ((-0.16666666667) + (q2$6 * (0.0083333333333 + (q2$6 * ((-0.00019841269841) + (q2$6 * (0.0000027557319224 + (q2$6 * (-2.5052108385e-8))))))))))));
  const t42 = ((r$6 < 0) ? (-s$6) : s$6);
  let wave = (0.5 + (0.5 * t42));
  light = (1 * (1 - accent) + (0.25 + ((((4 * wave) * wave) * wave) * wave)) * accent);
  let pace = 0;
  const t43 = (along * tile);
  const t44 = course_x;
  const t45 = course_y;
  const t46 = course_z;
  const t47 = course_w;
  const t48 = tile;
  const t49 = track;
  let origin_x = 0;
  let origin_y = 0;
  let origin_z = 0;
  let frame_x = 0;
  let frame_y = 0;
  let frame_z = 0;
  let frame_w = 0;
  let pace$1 = 0;
  if ((t46 > 0)) {
    let round_ = (t43 / t48);
    let whole = Math.floor(round_);
    let at = ((round_ - whole) * t46);
    const t50 = (at | 0);
    const t51 = (((t46 | 0) - 1) | 0);
    let node = Math.min(t50, t51);
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
    const t52 = Math.imul(node, 2) * 4;
    const t53 = t49[t52 + 0];
    const t54 = t49[t52 + 1];
    const t55 = t49[t52 + 2];
    const t56 = t49[t52 + 3];
    let a_x = t53;
    let a_y = t54;
    let a_z = t55;
    const t57 = ((node + 1) | 0);
    const t58 = Math.imul(t57, 2) * 4;
    const t59 = t49[t58 + 0];
    const t60 = t49[t58 + 1];
    const t61 = t49[t58 + 2];
    const t62 = t49[t58 + 3];
    let b_x = t59;
    let b_y = t60;
    let b_z = t61;
    const t63 = ((node + 2) | 0);
    const t64 = Math.imul(t63, 2) * 4;
    const t65 = t49[t64 + 0];
    const t66 = t49[t64 + 1];
    const t67 = t49[t64 + 2];
    const t68 = t49[t64 + 3];
    let c_x = t65;
    let c_y = t66;
    let c_z = t67;
    const t69 = ((node + 3) | 0);
    const t70 = Math.imul(t69, 2) * 4;
    const t71 = t49[t70 + 0];
    const t72 = t49[t70 + 1];
    const t73 = t49[t70 + 2];
    const t74 = t49[t70 + 3];
    let d_x = t71;
    let d_y = t72;
    let d_z = t73;
    origin_x = (((((a_x * weight_x) + (b_x * weight_y)) + (c_x * weight_z)) + (d_x * weight_w)) - 0);
    origin_y = (((((a_y * weight_x) + (b_y * weight_y)) + (c_y * weight_z)) + (d_y * weight_w)) - 0);
    origin_z = (((((a_z * weight_x) + (b_z * weight_y)) + (c_z * weight_z)) + (d_z * weight_w)) - (t47 * whole));
    let along_x = ((((a_x * rate_x) + (b_x * rate_y)) + (c_x * rate_z)) + (d_x * rate_w));
    let along_y = ((((a_y * rate_x) + (b_y * rate_y)) + (c_y * rate_z)) + (d_y * rate_w));
    let along_z = ((((a_z * rate_x) + (b_z * rate_y)) + (c_z * rate_z)) + (d_z * rate_w));
    let quick = Math.sqrt((((along_x * along_x) + (along_y * along_y)) + (along_z * along_z)));
    pace$1 = ((quick * t46) / t48);
    const t75 = 1e-9;
    const t76 = (-Math.max(quick, t75));
    let back_x = (along_x / t76);
    let back_y = (along_y / t76);
    let back_z = (along_z / t76);
    const t77 = ((Math.imul(node, 2) + 1) | 0) * 4;
    const t78 = t49[t77 + 0];
    const t79 = t49[t77 + 1];
    const t80 = t49[t77 + 2];
    const t81 = t49[t77 + 3];
    const t82 = ((node + 1) | 0);
    const t83 = ((Math.imul(t82, 2) + 1) | 0) * 4;
    const t84 = t49[t83 + 0];
    const t85 = t49[t83 + 1];
    const t86 = t49[t83 + 2];
    const t87 = t49[t83 + 3];
    const t88 = ((node + 2) | 0);
    const t89 = ((Math.imul(t88, 2) + 1) | 0) * 4;
    const t90 = t49[t89 + 0];
    const t91 = t49[t89 + 1];
    const t92 = t49[t89 + 2];
    const t93 = t49[t89 + 3];
    const t94 = ((node + 3) | 0);
    const t95 = ((Math.imul(t94, 2) + 1) | 0) * 4;
    const t96 = t49[t95 + 0];
    const t97 = t49[t95 + 1];
    const t98 = t49[t95 + 2];
    const t99 = t49[t95 + 3];
    let up_x = ((((t78 * weight_x) + (t84 * weight_y)) + (t90 * weight_z)) + (t96 * weight_w));
    let up_y = ((((t79 * weight_x) + (t85 * weight_y)) + (t91 * weight_z)) + (t97 * weight_w));
    let up_z = ((((t80 * weight_x) + (t86 * weight_y)) + (t92 * weight_z)) + (t98 * weight_w));
    const t100 = (up_y * back_z - up_z * back_y);
    const t101 = (up_z * back_x - up_x * back_z);
    const t102 = (up_x * back_y - up_y * back_x);
    const t103 = (1 / Math.sqrt((((t100 * t100) + (t101 * t101)) + (t102 * t102))));
    let right_x = (t100 * t103);
    let right_y = (t101 * t103);
    let right_z = (t102 * t103);
    const t104 = right_x;
    const t105 = right_y;
    const t106 = right_z;
    const t107 = (back_y * right_z - back_z * right_y);
    const t108 = (back_z * right_x - back_x * right_z);
    const t109 = (back_x * right_y - back_y * right_x);
    const t110 = back_x;
    const t111 = back_y;
    const t112 = back_z;
    let trace = ((t104 + t108) + t112);
    let q_x$2 = (t109 - t111);
    let q_y$2 = (t110 - t106);
    let q_z$2 = (t105 - t107);
    let q_w = (1 + trace);
    if ((trace < 0)) {
      if (((t104 > t108) && (t104 > t112))) {
        q_x$2 = (((1 + t104) - t108) - t112);
        q_y$2 = (t105 + t107);
        q_z$2 = (t110 + t106);
        q_w = (t109 - t111);
      }
      else {
        if ((t108 > t112)) {
          q_x$2 = (t105 + t107);
          q_y$2 = (((1 + t108) - t112) - t104);
          q_z$2 = (t109 + t111);
          q_w = (t110 - t106);
        }
        else {
          q_x$2 = (t110 + t106);
          q_y$2 = (t109 + t111);
          q_z$2 = (((1 + t112) - t104) - t108);
          q_w = (t105 - t107);
        }
      }
    }
    const t113 = (1 / Math.sqrt(((((q_x$2 * q_x$2) + (q_y$2 * q_y$2)) + (q_z$2 * q_z$2)) + (q_w * q_w))));
    const t114 = (q_x$2 * t113);
    const t115 = (q_y$2 * t113);
    const t116 = (q_z$2 * t113);
    const t117 = (q_w * t113);
    frame_x = t114;
    frame_y = t115;
    frame_z = t116;
    frame_w = t117;
  }
  else {
    let turn$1 = (t43 * t45);
    let r$7 = (turn$1 - Math.floor((turn$1 + 0.5)));
    let a$7 = Math.abs(r$7);
    const t118 = (0.5 - a$7);
    let q$7 = (Math.min(a$7, t118) * 6.283185307179586);
    let q2$7 = (q$7 * q$7);
    let s$7 = (q$7 * (1 + (q2$7 * ((-0.16666666667) + (q2$7 * (0.0083333333333 + (q2$7 * ((-0.00019841269841) + (q2$7 * (0.0000027557319224 + (q2$7 * (-2.5052108385e-8))))))))))));
    const t119 = ((r$7 < 0) ? (-s$7) : s$7);
    let s$8 = t119;
    const t120 = (turn$1 + 0.25);
    let r$8 = (t120 - Math.floor((t120 + 0.5)));
    let a$8 = Math.abs(r$8);
    const t121 = (0.5 - a$8);
    let q$8 = (Math.min(a$8, t121) * 6.283185307179586);
    let q2$8 = (q$8 * q$8);
    let s$9 = (q$8 * (1 + (q2$8 * ((-0.16666666667) + (q2$8 * (0.0083333333333 + (q2$8 * ((-0.00019841269841) + (q2$8 * (0.0000027557319224 + (q2$8 * (-2.5052108385e-8))))))))))));
    const t122 = ((r$8 < 0) ? (-s$9) : s$9);
    let c = t122;
    origin_x = (t44 * c);
    origin_y = (t44 * s$8);
    origin_z = (-t43);
    let slope = ((t44 * 6.283185307179586) * t45);
    pace$1 = Math.sqrt((1 + (slope * slope)));
    let inv = (1 / pace$1);
    let half_ = Math.sqrt((0.5 + (0.5 * inv)));
    let t125 = 0;
    if ((slope >= 0)) {
      const t123 = (0.5 - (0.5 * inv));
      t125 = Math.sqrt(Math.max(0, t123));
    } else {
      const t124 = (0.5 - (0.5 * inv));
      t125 = (-Math.sqrt(Math.max(0, t124)));
    }
    let across = t125;
    frame_x = (c * across);
    frame_y = (s$8 * across);
    frame_z = 0;
    frame_w = half_;
  }
  position_x = origin_x;
  position_y = origin_y;
  position_z = origin_z;
  rotation_x = frame_x;
  rotation_y = frame_y;
  rotation_z = frame_z;
  rotation_w = frame_w;
  pace = pace$1;
  RF[0] = position_x;
  RF[1] = position_y;
  RF[2] = position_z;
  RF[3] = rotation_x;
  RF[4] = rotation_y;
  RF[5] = rotation_z;
  RF[6] = rotation_w;
  RF[7] = spoke_x;
  RF[8] = spoke_y;
  RF[9] = spoke_z;
  RF[10] = size;
  RF[11] = place;
  RF[12] = light;
  RF[13] = order;
  RI[0] = key;
}
export function tunnelRun(first: number, end: number, seed: number, corners: number, roundness: number, drawn: number, section: Float64Array, flatness: number, copies: number, innerRatio: number, innerTurn: number, radius: number, rings: number, stride: number, tile: number, twist: number, wobble: number, wobbleCycles: number, placeBy: number, placeSpread: number, placeCycles: number, placeDetail: number, accent: number, course_x: number, course_y: number, course_z: number, course_w: number, track: Float64Array, lap: number, position_o: Float64Array, rotation_o: Float64Array, spoke_o: Float64Array, size_o: Float64Array, place_o: Float64Array, light_o: Float64Array, order_o: Float64Array, key_o: Uint32Array): void {
  seed = seed | 0; corners = corners | 0; drawn = drawn | 0; copies = copies | 0; rings = rings | 0; stride = stride | 0; wobbleCycles = wobbleCycles | 0; placeBy = placeBy | 0; placeCycles = placeCycles | 0; placeDetail = placeDetail | 0;
  for (let k = first; k < end; k++) {
  const t0 = k;
  let position_x = 0;
  let position_y = 0;
  let position_z = 0;
  let rotation_x = 0;
  let rotation_y = 0;
  let rotation_z = 0;
  let rotation_w = 0;
  let spoke_x = 0;
  let spoke_y = 0;
  let spoke_z = 0;
  let size = 0;
  let place = 0;
  let light = 0;
  let order = 0;
  let key = 0;
  let index = t0;
  let copy = ((((index / corners) | 0) % copies) | 0);
  let shown = Math.imul(((index / Math.imul(corners, copies)) | 0), stride);
  let ring = ((shown >= rings) ? ((shown - rings) | 0) : shown);
  let cornerIndex = ((index - Math.imul(((index / corners) | 0), corners)) | 0);
  key = ((Math.imul(ring, 2) + copy) | 0);
  let v_x = ring;
  let v_y = copy;
  let v_z = seed;
  let v_w = 4;
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
  const t1 = v_x;
  const t2 = v_y;
  const t3 = v_z;
  const t4 = v_w;
  let h_x = t1;
  let h_y = t2;
  let h_z = t3;
  let h_w = t4;
  let along = ((shown + 0.5) / rings);
  order = (along - Math.floor(along));
  let inside = copy;
  size = (radius * (1 * (1 - inside) + innerRatio * inside));
  let turn = (((cornerIndex / corners) + (innerTurn * inside)) + 0.25);
  const t5 = (turn + 0.25);
  let r = (t5 - Math.floor((t5 + 0.5)));
  let a = Math.abs(r);
  const t6 = (0.5 - a);
  let q = (Math.min(a, t6) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t7 = ((r < 0) ? (-s) : s);
  let cx = t7;
  let r$1 = (turn - Math.floor((turn + 0.5)));
  let a$1 = Math.abs(r$1);
  const t8 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t8) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t9 = ((r$1 < 0) ? (-s$1) : s$1);
  let cy = t9;
  if ((roundness > 0)) {
    let reach = Math.pow((Math.pow(Math.abs(cx), roundness) + Math.pow(Math.abs(cy), roundness)), ((-1) / roundness));
    cx = (cx * reach);
    cy = (cy * reach);
  }
  if ((drawn === 1)) {
    const t10 = cornerIndex * 4;
    const t11 = section[t10 + 0];
    const t12 = section[t10 + 1];
    const t13 = section[t10 + 2];
    const t14 = section[t10 + 3];
    let corner_x = t11;
    let corner_y = t12;
    const t15 = (innerTurn * inside);
    const t16 = (t15 + 0.25);
    let r$2 = (t16 - Math.floor((t16 + 0.5)));
    let a$2 = Math.abs(r$2);
    const t17 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t17) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t18 = ((r$2 < 0) ? (-s$2) : s$2);
    let ci = t18;
    const t19 = (innerTurn * inside);
    let r$3 = (t19 - Math.floor((t19 + 0.5)));
    let a$3 = Math.abs(r$3);
    const t20 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t20) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$3 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t21 = ((r$3 < 0) ? (-s$3) : s$3);
    let si = t21;
    cx = ((corner_x * ci) - (corner_y * si));
    cy = ((corner_x * si) + (corner_y * ci));
  }
  cy = (cy * flatness);
  let around = (twist * along);
  const t22 = (around + 0.25);
  let r$4 = (t22 - Math.floor((t22 + 0.5)));
  let a$4 = Math.abs(r$4);
  const t23 = (0.5 - a$4);
  let q$4 = (Math.min(a$4, t23) * 6.283185307179586);
  let q2$4 = (q$4 * q$4);
  let s$4 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
  const t24 = ((r$4 < 0) ? (-s$4) : s$4);
  let ca = t24;
  let r$5 = (around - Math.floor((around + 0.5)));
  let a$5 = Math.abs(r$5);
  const t25 = (0.5 - a$5);
  let q$5 = (Math.min(a$5, t25) * 6.283185307179586);
  let q2$5 = (q$5 * q$5);
  let s$5 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
  const t26 = ((r$5 < 0) ? (-s$5) : s$5);
  let sa = t26;
  let flat__x = ((cx * ca) - (cy * sa));
  let flat__y = ((cx * sa) + (cy * ca));
  let slope_x = 0;
  let slope_y = 0;
  let slope_z = 0;
  if ((wobble > 0)) {
    const t27 = (0.9 * (1 / Math.sqrt((((flat__x * flat__x) + (flat__y * flat__y)) + 1e-9))));
    let q_x = (flat__x * t27);
    let q_y = (flat__y * t27);
    let q_z = (along * 6);
    RF[0] = q_x;
    RF[1] = q_y;
    RF[2] = q_z;
    RI[0] = 8;
    RI[1] = 8;
    RI[2] = 6;
    RI[3] = ((seed + 21) | 0);
    RF[3] = lap;
    RI[4] = wobbleCycles;
    flowNoise$();
    const t28 = RF[0];
    const t29 = RF[1];
    const t30 = RF[2];
    const t31 = RF[3];
    slope_x = t29;
    slope_y = t30;
    slope_z = t31;
    let n = t28;
    const t32 = (1 + (wobble * n));
    flat__x = (flat__x * t32);
    flat__y = (flat__y * t32);
  }
  spoke_x = flat__x;
  spoke_y = flat__y;
  spoke_z = 0;
  place = order;
  if ((placeBy === 0)) {
    const t33 = ((((h_z >>> 8) | 0) >>> 0) * (1 / 16777216));
    place = t33;
  }
  if ((placeBy === 1)) {
    place = Math.abs(((place * 2) - 1));
  }
  if ((placeBy === 2)) {
    let q_x$1 = 0.31;
    let q_y$1 = (inside * 0.37);
    let q_z$1 = (along * placeDetail);
    RF[0] = q_x$1;
    RF[1] = q_y$1;
    RF[2] = q_z$1;
    RI[0] = 4;
    RI[1] = 4;
    RI[2] = placeDetail;
    RI[3] = ((seed + 31) | 0);
    RF[3] = lap;
    RI[4] = placeCycles;
    flowNoise$();
    const t34 = RF[0];
    const t35 = RF[1];
    const t36 = RF[2];
    const t37 = RF[3];
    slope_x = t35;
    slope_y = t36;
    slope_z = t37;
    let n$1 = t34;
    const t38 = ((((h_w >>> 8) | 0) >>> 0) * (1 / 16777216));
    place = ((0.5 + (1.25 * n$1)) + ((t38 - 0.5) * 0.25));
  }
  if ((placeBy === 3)) {
    place = Math.abs((((cornerIndex / corners) * 2) - 1));
  }
  place = Math.min(Math.max((0.5 + ((place - 0.5) * placeSpread)), 0), 1);
  const t39 = ((((h_y >>> 8) | 0) >>> 0) * (1 / 16777216));
  const t40 = (lap * ((1 + (((h_x >>> 0) % (3 >>> 0)) | 0)) | 0));
  const t41 = (t39 + (t40 - Math.floor(t40)));
  let r$6 = (t41 - Math.floor((t41 + 0.5)));
  let a$6 = Math.abs(r$6);
  const t42 = (0.5 - a$6);
  let q$6 = (Math.min(a$6, t42) * 6.283185307179586);
  let q2$6 = (q$6 * q$6);
  let s$6 = (q$6 * (1 + (q2$6 * ((-0.16666666667) + (q2$6 * (0.0083333333333 + (q2$6 * ((-0.00019841269841) + (q2$6 * (0.0000027557319224 + (q2$6 * (-2.5052108385e-8))))))))))));
  const t43 = ((r$6 < 0) ? (-s$6) : s$6);
  let wave = (0.5 + (0.5 * t43));
  light = (1 * (1 - accent) + (0.25 + ((((4 * wave) * wave) * wave) * wave)) * accent);
  let pace = 0;
  const t44 = (along * tile);
  let origin_x = 0;
  let origin_y = 0;
  let origin_z = 0;
  let frame_x = 0;
  let frame_y = 0;
  let frame_z = 0;
  let frame_w = 0;
  let pace$1 = 0;
  if ((course_z > 0)) {
    let round_ = (t44 / tile);
    let whole = Math.floor(round_);
    let at = ((round_ - whole) * course_z);
    const t45 = (at | 0);
    const t46 = (((course_z | 0) - 1) | 0);
    let node = Math.min(t45, t46);
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
    const t47 = Math.imul(node, 2) * 4;
    const t48 = track[t47 + 0];
    const t49 = track[t47 + 1];
    const t50 = track[t47 + 2];
    const t51 = track[t47 + 3];
    let a_x = t48;
    let a_y = t49;
    let a_z = t50;
    const t52 = ((node + 1) | 0);
    const t53 = Math.imul(t52, 2) * 4;
    const t54 = track[t53 + 0];
    const t55 = track[t53 + 1];
    const t56 = track[t53 + 2];
    const t57 = track[t53 + 3];
    let b_x = t54;
    let b_y = t55;
    let b_z = t56;
    const t58 = ((node + 2) | 0);
    const t59 = Math.imul(t58, 2) * 4;
    const t60 = track[t59 + 0];
    const t61 = track[t59 + 1];
    const t62 = track[t59 + 2];
    const t63 = track[t59 + 3];
    let c_x = t60;
    let c_y = t61;
    let c_z = t62;
    const t64 = ((node + 3) | 0);
    const t65 = Math.imul(t64, 2) * 4;
    const t66 = track[t65 + 0];
    const t67 = track[t65 + 1];
    const t68 = track[t65 + 2];
    const t69 = track[t65 + 3];
    let d_x = t66;
    let d_y = t67;
    let d_z = t68;
    origin_x = (((((a_x * weight_x) + (b_x * weight_y)) + (c_x * weight_z)) + (d_x * weight_w)) - 0);
    origin_y = (((((a_y * weight_x) + (b_y * weight_y)) + (c_y * weight_z)) + (d_y * weight_w)) - 0);
    origin_z = (((((a_z * weight_x) + (b_z * weight_y)) + (c_z * weight_z)) + (d_z * weight_w)) - (course_w * whole));
    let along_x = ((((a_x * rate_x) + (b_x * rate_y)) + (c_x * rate_z)) + (d_x * rate_w));
    let along_y = ((((a_y * rate_x) + (b_y * rate_y)) + (c_y * rate_z)) + (d_y * rate_w));
    let along_z = ((((a_z * rate_x) + (b_z * rate_y)) + (c_z * rate_z)) + (d_z * rate_w));
    let quick = Math.sqrt((((along_x * along_x) + (along_y * along_y)) + (along_z * along_z)));
    pace$1 = ((quick * course_z) / tile);
    const t70 = 1e-9;
    const t71 = (-Math.max(quick, t70));
    let back_x = (along_x / t71);
    let back_y = (along_y / t71);
    let back_z = (along_z / t71);
    const t72 = ((Math.imul(node, 2) + 1) | 0) * 4;
    const t73 = track[t72 + 0];
    const t74 = track[t72 + 1];
    const t75 = track[t72 + 2];
    const t76 = track[t72 + 3];
    const t77 = ((node + 1) | 0);
    const t78 = ((Math.imul(t77, 2) + 1) | 0) * 4;
    const t79 = track[t78 + 0];
    const t80 = track[t78 + 1];
    const t81 = track[t78 + 2];
    const t82 = track[t78 + 3];
    const t83 = ((node + 2) | 0);
    const t84 = ((Math.imul(t83, 2) + 1) | 0) * 4;
    const t85 = track[t84 + 0];
    const t86 = track[t84 + 1];
    const t87 = track[t84 + 2];
    const t88 = track[t84 + 3];
    const t89 = ((node + 3) | 0);
    const t90 = ((Math.imul(t89, 2) + 1) | 0) * 4;
    const t91 = track[t90 + 0];
    const t92 = track[t90 + 1];
    const t93 = track[t90 + 2];
    const t94 = track[t90 + 3];
    let up_x = ((((t73 * weight_x) + (t79 * weight_y)) + (t85 * weight_z)) + (t91 * weight_w));
    let up_y = ((((t74 * weight_x) + (t80 * weight_y)) + (t86 * weight_z)) + (t92 * weight_w));
    let up_z = ((((t75 * weight_x) + (t81 * weight_y)) + (t87 * weight_z)) + (t93 * weight_w));
    const t95 = (up_y * back_z - up_z * back_y);
    const t96 = (up_z * back_x - up_x * back_z);
    const t97 = (up_x * back_y - up_y * back_x);
    const t98 = (1 / Math.sqrt((((t95 * t95) + (t96 * t96)) + (t97 * t97))));
    let right_x = (t95 * t98);
    let right_y = (t96 * t98);
    let right_z = (t97 * t98);
    const t99 = right_x;
    const t100 = right_y;
    const t101 = right_z;
    const t102 = (back_y * right_z - back_z * right_y);
    const t103 = (back_z * right_x - back_x * right_z);
    const t104 = (back_x * right_y - back_y * right_x);
    const t105 = back_x;
    const t106 = back_y;
    const t107 = back_z;
    let trace = ((t99 + t103) + t107);
    let q_x$2 = (t104 - t106);
    let q_y$2 = (t105 - t101);
    let q_z$2 = (t100 - t102);
    let q_w = (1 + trace);
    if ((trace < 0)) {
      if (((t99 > t103) && (t99 > t107))) {
        q_x$2 = (((1 + t99) - t103) - t107);
        q_y$2 = (t100 + t102);
        q_z$2 = (t105 + t101);
        q_w = (t104 - t106);
      }
      else {
        if ((t103 > t107)) {
          q_x$2 = (t100 + t102);
          q_y$2 = (((1 + t103) - t107) - t99);
          q_z$2 = (t104 + t106);
          q_w = (t105 - t101);
        }
        else {
          q_x$2 = (t105 + t101);
          q_y$2 = (t104 + t106);
          q_z$2 = (((1 + t107) - t99) - t103);
          q_w = (t100 - t102);
        }
      }
    }
    const t108 = (1 / Math.sqrt(((((q_x$2 * q_x$2) + (q_y$2 * q_y$2)) + (q_z$2 * q_z$2)) + (q_w * q_w))));
    const t109 = (q_x$2 * t108);
    const t110 = (q_y$2 * t108);
    const t111 = (q_z$2 * t108);
    const t112 = (q_w * t108);
    frame_x = t109;
    frame_y = t110;
    frame_z = t111;
    frame_w = t112;
  }
  else {
    let turn$1 = (t44 * course_y);
    let r$7 = (turn$1 - Math.floor((turn$1 + 0.5)));
    let a$7 = Math.abs(r$7);
    const t113 = (0.5 - a$7);
    let q$7 = (Math.min(a$7, t113) * 6.283185307179586);
    let q2$7 = (q$7 * q$7);
    let s$7 = (q$7 * (1 + (q2$7 * ((-0.16666666667) + (q2$7 * (0.0083333333333 + (q2$7 * ((-0.00019841269841) + (q2$7 * (0.0000027557319224 + (q2$7 * (-2.5052108385e-8))))))))))));
    const t114 = ((r$7 < 0) ? (-s$7) : s$7);
    let s$8 = t114;
    const t115 = (turn$1 + 0.25);
    let r$8 = (t115 - Math.floor((t115 + 0.5)));
    let a$8 = Math.abs(r$8);
    const t116 = (0.5 - a$8);
    let q$8 = (Math.min(a$8, t116) * 6.283185307179586);
    let q2$8 = (q$8 * q$8);
    let s$9 = (q$8 * (1 + (q2$8 * ((-0.16666666667) + (q2$8 * (0.0083333333333 + (q2$8 * ((-0.00019841269841) + (q2$8 * (0.0000027557319224 + (q2$8 * (-2.5052108385e-8))))))))))));
    const t117 = ((r$8 < 0) ? (-s$9) : s$9);
    let c = t117;
    origin_x = (course_x * c);
    origin_y = (course_x * s$8);
    origin_z = (-t44);
    let slope = ((course_x * 6.283185307179586) * course_y);
    pace$1 = Math.sqrt((1 + (slope * slope)));
    let inv = (1 / pace$1);
    let half_ = Math.sqrt((0.5 + (0.5 * inv)));
    let t120 = 0;
    if ((slope >= 0)) {
      const t118 = (0.5 - (0.5 * inv));
      t120 = Math.sqrt(Math.max(0, t118));
    } else {
      const t119 = (0.5 - (0.5 * inv));
      t120 = (-Math.sqrt(Math.max(0, t119)));
    }
    let across = t120;
    frame_x = (c * across);
    frame_y = (s$8 * across);
    frame_z = 0;
    frame_w = half_;
  }
  position_x = origin_x;
  position_y = origin_y;
  position_z = origin_z;
  rotation_x = frame_x;
  rotation_y = frame_y;
  rotation_z = frame_z;
  rotation_w = frame_w;
  pace = pace$1;
  position_o[k * 3] = position_x;
  position_o[k * 3 + 1] = position_y;
  position_o[k * 3 + 2] = position_z;
  rotation_o[k * 4] = rotation_x;
  rotation_o[k * 4 + 1] = rotation_y;
  rotation_o[k * 4 + 2] = rotation_z;
  rotation_o[k * 4 + 3] = rotation_w;
  spoke_o[k * 3] = spoke_x;
  spoke_o[k * 3 + 1] = spoke_y;
  spoke_o[k * 3 + 2] = spoke_z;
  size_o[k] = size;
  place_o[k] = place;
  light_o[k] = light;
  order_o[k] = order;
  key_o[k] = key;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"tunnelElement":[{"name":"id","type":"uint","direction":"in"},{"name":"seed","type":"uint","direction":"in"},{"name":"corners","type":"int","direction":"in"},{"name":"roundness","type":"float","direction":"in"},{"name":"drawn","type":"int","direction":"in"},{"name":"section","type":"sampler2D","direction":"in"},{"name":"flatness","type":"float","direction":"in"},{"name":"copies","type":"int","direction":"in"},{"name":"innerRatio","type":"float","direction":"in"},{"name":"innerTurn","type":"float","direction":"in"},{"name":"radius","type":"float","direction":"in"},{"name":"rings","type":"int","direction":"in"},{"name":"stride","type":"int","direction":"in"},{"name":"tile","type":"float","direction":"in"},{"name":"twist","type":"float","direction":"in"},{"name":"wobble","type":"float","direction":"in"},{"name":"wobbleCycles","type":"int","direction":"in"},{"name":"placeBy","type":"int","direction":"in"},{"name":"placeSpread","type":"float","direction":"in"},{"name":"placeCycles","type":"int","direction":"in"},{"name":"placeDetail","type":"int","direction":"in"},{"name":"accent","type":"float","direction":"in"},{"name":"course","type":"vec4","direction":"in"},{"name":"track","type":"sampler2D","direction":"in"},{"name":"lap","type":"float","direction":"in"},{"name":"position","type":"vec3","direction":"out"},{"name":"rotation","type":"vec4","direction":"out"},{"name":"spoke","type":"vec3","direction":"out"},{"name":"size","type":"float","direction":"out"},{"name":"place","type":"float","direction":"out"},{"name":"light","type":"float","direction":"out"},{"name":"order","type":"float","direction":"out"},{"name":"key","type":"uint","direction":"out"}]} as const;

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
  'layers/tunnel/tunnel.glsl': `
void tunnelElement(uint id, uint seed, int corners, float roundness, int drawn, sampler2D section, float flatness, int copies, float innerRatio,
                   float innerTurn, float radius, int rings, int stride, float tile, float twist, float wobble,
                   int wobbleCycles, int placeBy, float placeSpread, int placeCycles, int placeDetail, float accent,
                   vec4 course, sampler2D track, float lap, out vec3 position, out vec4 rotation, out vec3 spoke,
                   out float size, out float place, out float light, out float order, out uint key) {
  int index = int(id);
  int copy = (index / corners) % copies;
  int shown = (index / (corners * copies)) * stride;
  // one ring past the tile closes its skin and wires onto the next tile's first ring
  int ring = shown >= rings ? shown - rings : shown;
  int cornerIndex = index - (index / corners) * corners;
  key = uint(ring * 2 + copy);
  uvec4 h = pcg4d(uvec4(uint(ring), uint(copy), seed, 4u));
  float along = (float(shown) + 0.5) / float(rings);
  order = fract(along);
  float inside = float(copy);
  size = radius * mix(1.0, innerRatio, inside);
  float turn = float(cornerIndex) / float(corners) + innerTurn * inside + 0.25;
  float cx = cosTurn(turn);
  float cy = sinTurn(turn);
  if (roundness > 0.0) {
    // superellipse |x|^n + |y|^n = 1 along the direction of the corner
    float reach = pow(pow(abs(cx), roundness) + pow(abs(cy), roundness), -1.0 / roundness);
    cx *= reach;
    cy *= reach;
  }
  if (drawn == 1) {
    vec2 corner = texelFetch(section, ivec2(cornerIndex, 0), 0).xy;
    float ci = cosTurn(innerTurn * inside);
    float si = sinTurn(innerTurn * inside);
    cx = corner.x * ci - corner.y * si;
    cy = corner.x * si + corner.y * ci;
  }
  cy *= flatness;
  float around = twist * along;
  float ca = cosTurn(around);
  float sa = sinTurn(around);
  vec2 flat_ = vec2(cx * ca - cy * sa, cx * sa + cy * ca);
  vec3 slope;
  if (wobble > 0.0) {
    // by the direction in space, not by the corner: a turn by one side then closes, and so does a twisted tile
    vec3 q = vec3(flat_ * (0.9 * inversesqrt(dot(flat_, flat_) + 1e-9)), along * 6.0);
    float n = flowNoise(q, ivec3(8, 8, 6), seed + 21u, lap, wobbleCycles, slope);
    flat_ *= 1.0 + wobble * n;
  }
  spoke = vec3(flat_, 0.0);
  place = order;
  if (placeBy == 0) place = unit(h.z);
  if (placeBy == 1) place = abs(place * 2.0 - 1.0);
  if (placeBy == 2) {
    vec3 q = vec3(0.31, inside * 0.37, along * float(placeDetail));
    float n = flowNoise(q, ivec3(4, 4, placeDetail), seed + 31u, lap, placeCycles, slope);
    place = 0.5 + 1.25 * n + (unit(h.w) - 0.5) * 0.25;
  }
  if (placeBy == 3) place = abs(float(cornerIndex) / float(corners) * 2.0 - 1.0);
  place = clamp(0.5 + (place - 0.5) * placeSpread, 0.0, 1.0);
  // the accent: one ring in a few burns, its turn coming and going with the lap
  float wave = 0.5 + 0.5 * sinTurn(unit(h.y) + fract(lap * float(1 + int(h.x % 3u))));
  light = mix(1.0, 0.25 + 4.0 * wave * wave * wave * wave, accent);
  float pace;
  routeFrame(along * tile, course, tile, track, position, rotation, pace);
}
`,
};
