// Generated from src/core/treatments/bend/bend.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(15), RI = new Int32Array(1);
export function bendSpace(p_x: number, p_y: number, p_z: number, weight: number, amount: number, heading: number, axis: number, middle_x: number, middle_y: number, middle_z: number, length_: number, anchor: number, tiled: number): void {
  let q_x = 0;
  let q_y = 0;
  let q_z = 0;
  let jacobian_00 = 0;
  let jacobian_01 = 0;
  let jacobian_02 = 0;
  let jacobian_10 = 0;
  let jacobian_11 = 0;
  let jacobian_12 = 0;
  let jacobian_20 = 0;
  let jacobian_21 = 0;
  let jacobian_22 = 0;
  let byWeight_x = 0;
  let byWeight_y = 0;
  let byWeight_z = 0;
  axis = axis | 0;
  tiled = tiled | 0;
  const t0 = (p_x - middle_x);
  const t1 = (p_y - middle_y);
  const t2 = (p_z - middle_z);
  const t3 = axis;
  let t7 = 0, t8 = 0, t9 = 0;
  if ((t3 === 1)) {
    t7 = t2;
    t8 = t0;
    t9 = t1;
  } else {
    let t4 = 0, t5 = 0, t6 = 0;
    if ((t3 === 2)) {
      t4 = t1;
      t5 = t2;
      t6 = t0;
    } else {
      t4 = t0;
      t5 = t1;
      t6 = t2;
    }
    t7 = t4;
    t8 = t5;
    t9 = t6;
  }
  const t10 = t7;
  const t11 = t8;
  const t12 = t9;
  let v_x = t10;
  let v_y = t11;
  let v_z = t12;
  const t13 = (heading + 0.25);
  let r = (t13 - Math.floor((t13 + 0.5)));
  let a = Math.abs(r);
  const t14 = (0.5 - a);
  let q = (Math.min(a, t14) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t15 = ((r < 0) ? (-s) : s);
  let ch = t15;
  let r$1 = (heading - Math.floor((heading + 0.5)));
  let a$1 = Math.abs(r$1);
  const t16 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t16) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t17 = ((r$1 < 0) ? (-s$1) : s$1);
  let sh = t17;
  let w_x = ((v_x * ch) + (v_y * sh));
  let w_y = (((-v_x) * sh) + (v_y * ch));
  let w_z = v_z;
  let b_x = 0;
  let b_y = 0;
  let b_z = 0;
  let dx_x = 1;
  let dx_y = 0;
  let dx_z = 0;
  let dz_x = 0;
  let dz_y = 0;
  let dz_z = 0;
  let dw_x = 0;
  let dw_y = 0;
  let dw_z = 0;
  if ((tiled === 1)) {
    let t = (v_z / length_);
    let r$2 = (t - Math.floor((t + 0.5)));
    let a$2 = Math.abs(r$2);
    const t18 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t18) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t19 = ((r$2 < 0) ? (-s$2) : s$2);
    let s$3 = t19;
    let much = (amount * weight);
    b_x = (w_x + (much * s$3));
    b_y = (w_y + 0);
    b_z = (w_z + 0);
    const t20 = (t + 0.25);
    let r$3 = (t20 - Math.floor((t20 + 0.5)));
    let a$3 = Math.abs(r$3);
    const t21 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t21) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$4 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t22 = ((r$3 < 0) ? (-s$4) : s$4);
    dz_x = (((much * t22) * 6.283185307179586) / length_);
    dz_y = 0;
    dz_z = 1;
    dw_x = (amount * s$3);
    dw_y = 0;
    dw_z = 0;
  }
  else {
    let reach = Math.min(Math.max(((w_z / length_) - anchor), ((-0.5) - anchor)), (0.5 - anchor));
    let beyond = (w_z - ((reach + anchor) * length_));
    let turn = ((amount * weight) * reach);
    let k = (((amount * weight) * 6.283185307179586) / length_);
    let angle = (turn * 6.283185307179586);
    const t23 = (turn + 0.25);
    let r$4 = (t23 - Math.floor((t23 + 0.5)));
    let a$4 = Math.abs(r$4);
    const t24 = (0.5 - a$4);
    let q$4 = (Math.min(a$4, t24) * 6.283185307179586);
    let q2$4 = (q$4 * q$4);
    let s$5 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
    const t25 = ((r$4 < 0) ? (-s$5) : s$5);
    let c = t25;
    let r$5 = (turn - Math.floor((turn + 0.5)));
    let a$5 = Math.abs(r$5);
    const t26 = (0.5 - a$5);
    let q$5 = (Math.min(a$5, t26) * 6.283185307179586);
    let q2$5 = (q$5 * q$5);
    let s$6 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
    const t27 = ((r$5 < 0) ? (-s$6) : s$6);
    let s$7 = t27;
    let arc = (reach * length_);
    let a2 = (angle * angle);
    let sinc = ((a2 < 0.001) ? (1 - (a2 * (1 / 6))) : (s$7 / angle));
    let cosc = ((a2 < 0.001) ? (angle * (0.5 - (a2 * (1 / 24)))) : ((1 - c) / angle));
    b_x = (((arc * cosc) + (w_x * c)) + (beyond * s$7));
    b_y = w_y;
    b_z = ((((arc * sinc) - (w_x * s$7)) + (beyond * c)) + (anchor * length_));
    let inside = ((Math.abs(beyond) < (0.00001 * length_)) ? 1 : 0);
    dx_x = c;
    dx_y = 0;
    dx_z = (-s$7);
    let t28 = 0, t29 = 0, t30 = 0;
    if ((inside > 0.5)) {
      t28 = (s$7 * (1 - (k * w_x)));
      t29 = 0;
      t30 = (c * (1 - (k * w_x)));
    } else {
      t28 = s$7;
      t29 = 0;
      t30 = c;
    }
    dz_x = t28;
    dz_y = t29;
    dz_z = t30;
    let dcos = ((a2 < 0.001) ? (0.5 - (a2 * 0.125)) : ((s$7 - cosc) / angle));
    let dsin = ((a2 < 0.001) ? ((-angle) * (1 / 3)) : ((c - sinc) / angle));
    let full = ((amount * 6.283185307179586) * reach);
    dw_x = ((((arc * dcos) - (w_x * s$7)) + (beyond * c)) * full);
    dw_y = (0 * full);
    dw_z = ((((arc * dsin) - (w_x * c)) - (beyond * s$7)) * full);
  }
  const t31 = ((b_x * ch) - (b_y * sh));
  const t32 = ((b_x * sh) + (b_y * ch));
  const t33 = b_z;
  const t34 = axis;
  let t38 = 0, t39 = 0, t40 = 0;
  if ((t34 === 1)) {
    t38 = t32;
    t39 = t33;
    t40 = t31;
  } else {
    let t35 = 0, t36 = 0, t37 = 0;
    if ((t34 === 2)) {
      t35 = t33;
      t36 = t31;
      t37 = t32;
    } else {
      t35 = t31;
      t36 = t32;
      t37 = t33;
    }
    t38 = t35;
    t39 = t36;
    t40 = t37;
  }
  const t41 = t38;
  const t42 = t39;
  const t43 = t40;
  q_x = (t41 + middle_x);
  q_y = (t42 + middle_y);
  q_z = (t43 + middle_z);
  const t44 = (dw_x * ch);
  const t45 = (dw_x * sh);
  const t46 = dw_z;
  const t47 = axis;
  let t51 = 0, t52 = 0, t53 = 0;
  if ((t47 === 1)) {
    t51 = t45;
    t52 = t46;
    t53 = t44;
  } else {
    let t48 = 0, t49 = 0, t50 = 0;
    if ((t47 === 2)) {
      t48 = t46;
      t49 = t44;
      t50 = t45;
    } else {
      t48 = t44;
      t49 = t45;
      t50 = t46;
    }
    t51 = t48;
    t52 = t49;
    t53 = t50;
  }
  const t54 = t51;
  const t55 = t52;
  const t56 = t53;
  byWeight_x = t54;
  byWeight_y = t55;
  byWeight_z = t56;
  let side_x = (dx_x * ch);
  let side_y = (dx_x * sh);
  let side_z = dx_z;
  let over_x = (-sh);
  let over_y = ch;
  let over_z = 0;
  const t57 = ((side_x * ch) - (over_x * sh));
  const t58 = ((side_y * ch) - (over_y * sh));
  const t59 = ((side_z * ch) - (over_z * sh));
  const t60 = ((side_x * sh) + (over_x * ch));
  const t61 = ((side_y * sh) + (over_y * ch));
  const t62 = ((side_z * sh) + (over_z * ch));
  const t63 = (dz_x * ch);
  const t64 = (dz_x * sh);
  const t65 = dz_z;
  const t66 = axis;
  let t70 = 0, t71 = 0, t72 = 0;
  if ((t66 === 1)) {
    t70 = t58;
    t71 = t59;
    t72 = t57;
  } else {
    let t67 = 0, t68 = 0, t69 = 0;
    if ((t66 === 2)) {
      t67 = t59;
      t68 = t57;
      t69 = t58;
    } else {
      t67 = t57;
      t68 = t58;
      t69 = t59;
    }
    t70 = t67;
    t71 = t68;
    t72 = t69;
  }
  const t73 = t70;
  const t74 = t71;
  const t75 = t72;
  let a_x = t73;
  let a_y = t74;
  let a_z = t75;
  let t79 = 0, t80 = 0, t81 = 0;
  if ((t66 === 1)) {
    t79 = t61;
    t80 = t62;
    t81 = t60;
  } else {
    let t76 = 0, t77 = 0, t78 = 0;
    if ((t66 === 2)) {
      t76 = t62;
      t77 = t60;
      t78 = t61;
    } else {
      t76 = t60;
      t77 = t61;
      t78 = t62;
    }
    t79 = t76;
    t80 = t77;
    t81 = t78;
  }
  const t82 = t79;
  const t83 = t80;
  const t84 = t81;
  let b_x$1 = t82;
  let b_y$1 = t83;
  let b_z$1 = t84;
  let t88 = 0, t89 = 0, t90 = 0;
  if ((t66 === 1)) {
    t88 = t64;
    t89 = t65;
    t90 = t63;
  } else {
    let t85 = 0, t86 = 0, t87 = 0;
    if ((t66 === 2)) {
      t85 = t65;
      t86 = t63;
      t87 = t64;
    } else {
      t85 = t63;
      t86 = t64;
      t87 = t65;
    }
    t88 = t85;
    t89 = t86;
    t90 = t87;
  }
  const t91 = t88;
  const t92 = t89;
  const t93 = t90;
  let c_x = t91;
  let c_y = t92;
  let c_z = t93;
  let t103 = 0, t104 = 0, t105 = 0, t106 = 0, t107 = 0, t108 = 0, t109 = 0, t110 = 0, t111 = 0;
  if ((t66 === 1)) {
    t103 = b_x$1;
    t104 = b_y$1;
    t105 = b_z$1;
    t106 = c_x;
    t107 = c_y;
    t108 = c_z;
    t109 = a_x;
    t110 = a_y;
    t111 = a_z;
  } else {
    let t94 = 0, t95 = 0, t96 = 0, t97 = 0, t98 = 0, t99 = 0, t100 = 0, t101 = 0, t102 = 0;
    if ((t66 === 2)) {
      t94 = c_x;
      t95 = c_y;
      t96 = c_z;
      t97 = a_x;
      t98 = a_y;
      t99 = a_z;
      t100 = b_x$1;
      t101 = b_y$1;
      t102 = b_z$1;
    } else {
      t94 = a_x;
      t95 = a_y;
      t96 = a_z;
      t97 = b_x$1;
      t98 = b_y$1;
      t99 = b_z$1;
      t100 = c_x;
      t101 = c_y;
      t102 = c_z;
    }
    t103 = t94;
    t104 = t95;
    t105 = t96;
    t106 = t97;
    t107 = t98;
    t108 = t99;
    t109 = t100;
    t110 = t101;
    t111 = t102;
  }
  const t112 = t103;
  const t113 = t104;
  const t114 = t105;
  const t115 = t106;
  const t116 = t107;
  const t117 = t108;
  const t118 = t109;
  const t119 = t110;
  const t120 = t111;
  jacobian_00 = t112;
  jacobian_01 = t113;
  jacobian_02 = t114;
  jacobian_10 = t115;
  jacobian_11 = t116;
  jacobian_12 = t117;
  jacobian_20 = t118;
  jacobian_21 = t119;
  jacobian_22 = t120;
  RF[0] = q_x;
  RF[1] = q_y;
  RF[2] = q_z;
  RF[3] = jacobian_00;
  RF[4] = jacobian_01;
  RF[5] = jacobian_02;
  RF[6] = jacobian_10;
  RF[7] = jacobian_11;
  RF[8] = jacobian_12;
  RF[9] = jacobian_20;
  RF[10] = jacobian_21;
  RF[11] = jacobian_22;
  RF[12] = byWeight_x;
  RF[13] = byWeight_y;
  RF[14] = byWeight_z;
}
export function bendRun(first: number, end: number, pA: Float64Array, weightA: Float64Array, amount: number, heading: number, axis: number, middle_x: number, middle_y: number, middle_z: number, length_: number, anchor: number, tiled: number, q_o: Float64Array, jacobian_o: Float64Array, byWeight_o: Float64Array): void {
  axis = axis | 0; tiled = tiled | 0;
  for (let k = first; k < end; k++) {
  const t0 = pA[k * 3];
  const t1 = pA[k * 3 + 1];
  const t2 = pA[k * 3 + 2];
  const t3 = weightA[k];
  let q_x = 0;
  let q_y = 0;
  let q_z = 0;
  let jacobian_00 = 0;
  let jacobian_01 = 0;
  let jacobian_02 = 0;
  let jacobian_10 = 0;
  let jacobian_11 = 0;
  let jacobian_12 = 0;
  let jacobian_20 = 0;
  let jacobian_21 = 0;
  let jacobian_22 = 0;
  let byWeight_x = 0;
  let byWeight_y = 0;
  let byWeight_z = 0;
  const t4 = (t0 - middle_x);
  const t5 = (t1 - middle_y);
  const t6 = (t2 - middle_z);
  let t10 = 0, t11 = 0, t12 = 0;
  if ((axis === 1)) {
    t10 = t6;
    t11 = t4;
    t12 = t5;
  } else {
    let t7 = 0, t8 = 0, t9 = 0;
    if ((axis === 2)) {
      t7 = t5;
      t8 = t6;
      t9 = t4;
    } else {
      t7 = t4;
      t8 = t5;
      t9 = t6;
    }
    t10 = t7;
    t11 = t8;
    t12 = t9;
  }
  const t13 = t10;
  const t14 = t11;
  const t15 = t12;
  let v_x = t13;
  let v_y = t14;
  let v_z = t15;
  const t16 = (heading + 0.25);
  let r = (t16 - Math.floor((t16 + 0.5)));
  let a = Math.abs(r);
  const t17 = (0.5 - a);
  let q = (Math.min(a, t17) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t18 = ((r < 0) ? (-s) : s);
  let ch = t18;
  let r$1 = (heading - Math.floor((heading + 0.5)));
  let a$1 = Math.abs(r$1);
  const t19 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t19) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t20 = ((r$1 < 0) ? (-s$1) : s$1);
  let sh = t20;
  let w_x = ((v_x * ch) + (v_y * sh));
  let w_y = (((-v_x) * sh) + (v_y * ch));
  let w_z = v_z;
  let b_x = 0;
  let b_y = 0;
  let b_z = 0;
  let dx_x = 1;
  let dx_y = 0;
  let dx_z = 0;
  let dz_x = 0;
  let dz_y = 0;
  let dz_z = 0;
  let dw_x = 0;
  let dw_y = 0;
  let dw_z = 0;
  if ((tiled === 1)) {
    let t = (v_z / length_);
    let r$2 = (t - Math.floor((t + 0.5)));
    let a$2 = Math.abs(r$2);
    const t21 = (0.5 - a$2);
    let q$2 = (Math.min(a$2, t21) * 6.283185307179586);
    let q2$2 = (q$2 * q$2);
    let s$2 = (q$2 * (1 + (q2$2 * ((-0.16666666667) + (q2$2 * (0.0083333333333 + (q2$2 * ((-0.00019841269841) + (q2$2 * (0.0000027557319224 + (q2$2 * (-2.5052108385e-8))))))))))));
    const t22 = ((r$2 < 0) ? (-s$2) : s$2);
    let s$3 = t22;
    let much = (amount * t3);
    b_x = (w_x + (much * s$3));
    b_y = (w_y + 0);
    b_z = (w_z + 0);
    const t23 = (t + 0.25);
    let r$3 = (t23 - Math.floor((t23 + 0.5)));
    let a$3 = Math.abs(r$3);
    const t24 = (0.5 - a$3);
    let q$3 = (Math.min(a$3, t24) * 6.283185307179586);
    let q2$3 = (q$3 * q$3);
    let s$4 = (q$3 * (1 + (q2$3 * ((-0.16666666667) + (q2$3 * (0.0083333333333 + (q2$3 * ((-0.00019841269841) + (q2$3 * (0.0000027557319224 + (q2$3 * (-2.5052108385e-8))))))))))));
    const t25 = ((r$3 < 0) ? (-s$4) : s$4);
    dz_x = (((much * t25) * 6.283185307179586) / length_);
    dz_y = 0;
    dz_z = 1;
    dw_x = (amount * s$3);
    dw_y = 0;
    dw_z = 0;
  }
  else {
    let reach = Math.min(Math.max(((w_z / length_) - anchor), ((-0.5) - anchor)), (0.5 - anchor));
    let beyond = (w_z - ((reach + anchor) * length_));
    let turn = ((amount * t3) * reach);
    let k$1 = (((amount * t3) * 6.283185307179586) / length_);
    let angle = (turn * 6.283185307179586);
    const t26 = (turn + 0.25);
    let r$4 = (t26 - Math.floor((t26 + 0.5)));
    let a$4 = Math.abs(r$4);
    const t27 = (0.5 - a$4);
    let q$4 = (Math.min(a$4, t27) * 6.283185307179586);
    let q2$4 = (q$4 * q$4);
    let s$5 = (q$4 * (1 + (q2$4 * ((-0.16666666667) + (q2$4 * (0.0083333333333 + (q2$4 * ((-0.00019841269841) + (q2$4 * (0.0000027557319224 + (q2$4 * (-2.5052108385e-8))))))))))));
    const t28 = ((r$4 < 0) ? (-s$5) : s$5);
    let c = t28;
    let r$5 = (turn - Math.floor((turn + 0.5)));
    let a$5 = Math.abs(r$5);
    const t29 = (0.5 - a$5);
    let q$5 = (Math.min(a$5, t29) * 6.283185307179586);
    let q2$5 = (q$5 * q$5);
    let s$6 = (q$5 * (1 + (q2$5 * ((-0.16666666667) + (q2$5 * (0.0083333333333 + (q2$5 * ((-0.00019841269841) + (q2$5 * (0.0000027557319224 + (q2$5 * (-2.5052108385e-8))))))))))));
    const t30 = ((r$5 < 0) ? (-s$6) : s$6);
    let s$7 = t30;
    let arc = (reach * length_);
    let a2 = (angle * angle);
    let sinc = ((a2 < 0.001) ? (1 - (a2 * (1 / 6))) : (s$7 / angle));
    let cosc = ((a2 < 0.001) ? (angle * (0.5 - (a2 * (1 / 24)))) : ((1 - c) / angle));
    b_x = (((arc * cosc) + (w_x * c)) + (beyond * s$7));
    b_y = w_y;
    b_z = ((((arc * sinc) - (w_x * s$7)) + (beyond * c)) + (anchor * length_));
    let inside = ((Math.abs(beyond) < (0.00001 * length_)) ? 1 : 0);
    dx_x = c;
    dx_y = 0;
    dx_z = (-s$7);
    let t31 = 0, t32 = 0, t33 = 0;
    if ((inside > 0.5)) {
      t31 = (s$7 * (1 - (k$1 * w_x)));
      t32 = 0;
      t33 = (c * (1 - (k$1 * w_x)));
    } else {
      t31 = s$7;
      t32 = 0;
      t33 = c;
    }
    dz_x = t31;
    dz_y = t32;
    dz_z = t33;
    let dcos = ((a2 < 0.001) ? (0.5 - (a2 * 0.125)) : ((s$7 - cosc) / angle));
    let dsin = ((a2 < 0.001) ? ((-angle) * (1 / 3)) : ((c - sinc) / angle));
    let full = ((amount * 6.283185307179586) * reach);
    dw_x = ((((arc * dcos) - (w_x * s$7)) + (beyond * c)) * full);
    dw_y = (0 * full);
    dw_z = ((((arc * dsin) - (w_x * c)) - (beyond * s$7)) * full);
  }
  const t34 = ((b_x * ch) - (b_y * sh));
  const t35 = ((b_x * sh) + (b_y * ch));
  const t36 = b_z;
  let t40 = 0, t41 = 0, t42 = 0;
  if ((axis === 1)) {
    t40 = t35;
    t41 = t36;
    t42 = t34;
  } else {
    let t37 = 0, t38 = 0, t39 = 0;
    if ((axis === 2)) {
      t37 = t36;
      t38 = t34;
      t39 = t35;
    } else {
      t37 = t34;
      t38 = t35;
      t39 = t36;
    }
    t40 = t37;
    t41 = t38;
    t42 = t39;
  }
  const t43 = t40;
  const t44 = t41;
  const t45 = t42;
  q_x = (t43 + middle_x);
  q_y = (t44 + middle_y);
  q_z = (t45 + middle_z);
  const t46 = (dw_x * ch);
  const t47 = (dw_x * sh);
  const t48 = dw_z;
  let t52 = 0, t53 = 0, t54 = 0;
  if ((axis === 1)) {
    t52 = t47;
    t53 = t48;
    t54 = t46;
  } else {
    let t49 = 0, t50 = 0, t51 = 0;
    if ((axis === 2)) {
      t49 = t48;
      t50 = t46;
      t51 = t47;
    } else {
      t49 = t46;
      t50 = t47;
      t51 = t48;
    }
    t52 = t49;
    t53 = t50;
    t54 = t51;
  }
  const t55 = t52;
  const t56 = t53;
  const t57 = t54;
  byWeight_x = t55;
  byWeight_y = t56;
  byWeight_z = t57;
  let side_x = (dx_x * ch);
  let side_y = (dx_x * sh);
  let side_z = dx_z;
  let over_x = (-sh);
  let over_y = ch;
  let over_z = 0;
  const t58 = ((side_x * ch) - (over_x * sh));
  const t59 = ((side_y * ch) - (over_y * sh));
  const t60 = ((side_z * ch) - (over_z * sh));
  const t61 = ((side_x * sh) + (over_x * ch));
  const t62 = ((side_y * sh) + (over_y * ch));
  const t63 = ((side_z * sh) + (over_z * ch));
  const t64 = (dz_x * ch);
  const t65 = (dz_x * sh);
  const t66 = dz_z;
  let t70 = 0, t71 = 0, t72 = 0;
  if ((axis === 1)) {
    t70 = t59;
    t71 = t60;
    t72 = t58;
  } else {
    let t67 = 0, t68 = 0, t69 = 0;
    if ((axis === 2)) {
      t67 = t60;
      t68 = t58;
      t69 = t59;
    } else {
      t67 = t58;
      t68 = t59;
      t69 = t60;
    }
    t70 = t67;
    t71 = t68;
    t72 = t69;
  }
  const t73 = t70;
  const t74 = t71;
  const t75 = t72;
  let a_x = t73;
  let a_y = t74;
  let a_z = t75;
  let t79 = 0, t80 = 0, t81 = 0;
  if ((axis === 1)) {
    t79 = t62;
    t80 = t63;
    t81 = t61;
  } else {
    let t76 = 0, t77 = 0, t78 = 0;
    if ((axis === 2)) {
      t76 = t63;
      t77 = t61;
      t78 = t62;
    } else {
      t76 = t61;
      t77 = t62;
      t78 = t63;
    }
    t79 = t76;
    t80 = t77;
    t81 = t78;
  }
  const t82 = t79;
  const t83 = t80;
  const t84 = t81;
  let b_x$1 = t82;
  let b_y$1 = t83;
  let b_z$1 = t84;
  let t88 = 0, t89 = 0, t90 = 0;
  if ((axis === 1)) {
    t88 = t65;
    t89 = t66;
    t90 = t64;
  } else {
    let t85 = 0, t86 = 0, t87 = 0;
    if ((axis === 2)) {
      t85 = t66;
      t86 = t64;
      t87 = t65;
    } else {
      t85 = t64;
      t86 = t65;
      t87 = t66;
    }
    t88 = t85;
    t89 = t86;
    t90 = t87;
  }
  const t91 = t88;
  const t92 = t89;
  const t93 = t90;
  let c_x = t91;
  let c_y = t92;
  let c_z = t93;
  let t103 = 0, t104 = 0, t105 = 0, t106 = 0, t107 = 0, t108 = 0, t109 = 0, t110 = 0, t111 = 0;
  if ((axis === 1)) {
    t103 = b_x$1;
    t104 = b_y$1;
    t105 = b_z$1;
    t106 = c_x;
    t107 = c_y;
    t108 = c_z;
    t109 = a_x;
    t110 = a_y;
    t111 = a_z;
  } else {
    let t94 = 0, t95 = 0, t96 = 0, t97 = 0, t98 = 0, t99 = 0, t100 = 0, t101 = 0, t102 = 0;
    if ((axis === 2)) {
      t94 = c_x;
      t95 = c_y;
      t96 = c_z;
      t97 = a_x;
      t98 = a_y;
      t99 = a_z;
      t100 = b_x$1;
      t101 = b_y$1;
      t102 = b_z$1;
    } else {
      t94 = a_x;
      t95 = a_y;
      t96 = a_z;
      t97 = b_x$1;
      t98 = b_y$1;
      t99 = b_z$1;
      t100 = c_x;
      t101 = c_y;
      t102 = c_z;
    }
    t103 = t94;
    t104 = t95;
    t105 = t96;
    t106 = t97;
    t107 = t98;
    t108 = t99;
    t109 = t100;
    t110 = t101;
    t111 = t102;
  }
  const t112 = t103;
  const t113 = t104;
  const t114 = t105;
  const t115 = t106;
  const t116 = t107;
  const t117 = t108;
  const t118 = t109;
  const t119 = t110;
  const t120 = t111;
  jacobian_00 = t112;
  jacobian_01 = t113;
  jacobian_02 = t114;
  jacobian_10 = t115;
  jacobian_11 = t116;
  jacobian_12 = t117;
  jacobian_20 = t118;
  jacobian_21 = t119;
  jacobian_22 = t120;
  q_o[k * 3] = q_x;
  q_o[k * 3 + 1] = q_y;
  q_o[k * 3 + 2] = q_z;
  jacobian_o[k * 9] = jacobian_00;
  jacobian_o[k * 9 + 1] = jacobian_01;
  jacobian_o[k * 9 + 2] = jacobian_02;
  jacobian_o[k * 9 + 3] = jacobian_10;
  jacobian_o[k * 9 + 4] = jacobian_11;
  jacobian_o[k * 9 + 5] = jacobian_12;
  jacobian_o[k * 9 + 6] = jacobian_20;
  jacobian_o[k * 9 + 7] = jacobian_21;
  jacobian_o[k * 9 + 8] = jacobian_22;
  byWeight_o[k * 3] = byWeight_x;
  byWeight_o[k * 3 + 1] = byWeight_y;
  byWeight_o[k * 3 + 2] = byWeight_z;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"bendSpace":[{"name":"p","type":"vec3","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"heading","type":"float","direction":"in"},{"name":"axis","type":"int","direction":"in"},{"name":"middle","type":"vec3","direction":"in"},{"name":"length_","type":"float","direction":"in"},{"name":"anchor","type":"float","direction":"in"},{"name":"tiled","type":"int","direction":"in"},{"name":"q","type":"vec3","direction":"out"},{"name":"jacobian","type":"mat3","direction":"out"},{"name":"byWeight","type":"vec3","direction":"out"}]} as const;

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
  'space/axes.glsl': `vec3 toAxis(vec3 v, int axis) { return axis == 1 ? v.zxy : axis == 2 ? v.yzx : v; }
vec3 fromAxis(vec3 v, int axis) { return axis == 1 ? v.yzx : axis == 2 ? v.zxy : v; }

mat3 axisMatrix(mat3 m, int axis) {
  vec3 a = fromAxis(m[0], axis);
  vec3 b = fromAxis(m[1], axis);
  vec3 c = fromAxis(m[2], axis);
  return axis == 1 ? mat3(b, c, a) : axis == 2 ? mat3(c, a, b) : mat3(a, b, c);
}
`,
  'treatments/bend/bend.glsl': `
void bendSpace(vec3 p, float weight, float amount, float heading, int axis, vec3 middle, float length_, float anchor,
               int tiled, out vec3 q, out mat3 jacobian, out vec3 byWeight) {
  vec3 v = toAxis(p - middle, axis);
  float ch = cosTurn(heading);
  float sh = sinTurn(heading);
  // in the plane of the bend: x to the side it bends to
  vec3 w = vec3(v.x * ch + v.y * sh, -v.x * sh + v.y * ch, v.z);
  vec3 b;
  vec3 dx = vec3(1.0, 0.0, 0.0);
  vec3 dz;
  vec3 dw;
  if (tiled == 1) {
    float t = v.z / length_;
    float s = sinTurn(t);
    float much = amount * weight;
    b = w + vec3(much * s, 0.0, 0.0);
    dz = vec3(much * cosTurn(t) * TAU / length_, 0.0, 1.0);
    dw = vec3(amount * s, 0.0, 0.0);
  } else {
    float reach = clamp(w.z / length_ - anchor, -0.5 - anchor, 0.5 - anchor);
    float beyond = w.z - (reach + anchor) * length_;
    float turn = amount * weight * reach;
    float k = amount * weight * TAU / length_;
    float angle = turn * TAU;
    float c = cosTurn(turn);
    float s = sinTurn(turn);
    float arc = reach * length_;
    // sin(a)/a and (1 - cos a)/a stay exact as the arc straightens
    float a2 = angle * angle;
    float sinc = a2 < 1e-3 ? 1.0 - a2 * (1.0 / 6.0) : s / angle;
    float cosc = a2 < 1e-3 ? angle * (0.5 - a2 * (1.0 / 24.0)) : (1.0 - c) / angle;
    b = vec3(arc * cosc + w.x * c + beyond * s, w.y, arc * sinc - w.x * s + beyond * c + anchor * length_);
    float inside = abs(beyond) < 1e-5 * length_ ? 1.0 : 0.0;
    dx = vec3(c, 0.0, -s);
    dz = inside > 0.5 ? vec3(s * (1.0 - k * w.x), 0.0, c * (1.0 - k * w.x)) : vec3(s, 0.0, c);
    // derivative of the arc to its angle, times the angle a full weight gives
    float dcos = a2 < 1e-3 ? 0.5 - a2 * 0.125 : (s - cosc) / angle;
    float dsin = a2 < 1e-3 ? -angle * (1.0 / 3.0) : (c - sinc) / angle;
    float full = amount * TAU * reach;
    dw = vec3(arc * dcos - w.x * s + beyond * c, 0.0, arc * dsin - w.x * c - beyond * s) * full;
  }
  q = fromAxis(vec3(b.x * ch - b.y * sh, b.x * sh + b.y * ch, b.z), axis) + middle;
  byWeight = fromAxis(vec3(dw.x * ch, dw.x * sh, dw.z), axis);
  // columns: derivatives to v.x, v.y, v.z
  vec3 side = vec3(dx.x * ch, dx.x * sh, dx.z);
  vec3 over = vec3(-sh, ch, 0.0);
  jacobian = axisMatrix(mat3(side * ch - over * sh, side * sh + over * ch, vec3(dz.x * ch, dz.x * sh, dz.z)), axis);
}
`,
};
