// Generated from src/core/treatments/twist/twist.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(15), RI = new Int32Array(1);
export function twistSpace(p_x: number, p_y: number, p_z: number, weight: number, amount: number, axis: number, middle_x: number, middle_y: number, middle_z: number, length_: number, tiled: number): void {
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
  let u = (v_z / length_);
  let inside = (((tiled === 1) || (Math.abs(u) <= 0.5)) ? 1 : 0);
  let t = ((tiled === 1) ? u : Math.min(Math.max(u, (-0.5)), 0.5));
  let turn = ((amount * weight) * t);
  const t13 = (turn + 0.25);
  let r = (t13 - Math.floor((t13 + 0.5)));
  let a = Math.abs(r);
  const t14 = (0.5 - a);
  let q = (Math.min(a, t14) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t15 = ((r < 0) ? (-s) : s);
  let c = t15;
  let r$1 = (turn - Math.floor((turn + 0.5)));
  let a$1 = Math.abs(r$1);
  const t16 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t16) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t17 = ((r$1 < 0) ? (-s$1) : s$1);
  let s$2 = t17;
  let flat__x = ((v_x * c) - (v_y * s$2));
  let flat__y = ((v_x * s$2) + (v_y * c));
  let along_x = ((-flat__y) * 6.283185307179586);
  let along_y = (flat__x * 6.283185307179586);
  const t18 = (((amount * weight) * inside) / length_);
  let byZ_x = (along_x * t18);
  let byZ_y = (along_y * t18);
  let t22 = 0, t23 = 0, t24 = 0;
  if ((axis === 1)) {
    t22 = flat__y;
    t23 = v_z;
    t24 = flat__x;
  } else {
    let t19 = 0, t20 = 0, t21 = 0;
    if ((axis === 2)) {
      t19 = v_z;
      t20 = flat__x;
      t21 = flat__y;
    } else {
      t19 = flat__x;
      t20 = flat__y;
      t21 = v_z;
    }
    t22 = t19;
    t23 = t20;
    t24 = t21;
  }
  const t25 = t22;
  const t26 = t23;
  const t27 = t24;
  q_x = (t25 + middle_x);
  q_y = (t26 + middle_y);
  q_z = (t27 + middle_z);
  const t28 = c;
  const t29 = s$2;
  const t30 = (-s$2);
  const t31 = c;
  const t32 = byZ_x;
  const t33 = byZ_y;
  const t34 = axis;
  let t38 = 0, t39 = 0, t40 = 0;
  if ((t34 === 1)) {
    t38 = t29;
    t39 = 0;
    t40 = t28;
  } else {
    let t35 = 0, t36 = 0, t37 = 0;
    if ((t34 === 2)) {
      t35 = 0;
      t36 = t28;
      t37 = t29;
    } else {
      t35 = t28;
      t36 = t29;
      t37 = 0;
    }
    t38 = t35;
    t39 = t36;
    t40 = t37;
  }
  const t41 = t38;
  const t42 = t39;
  const t43 = t40;
  let a_x = t41;
  let a_y = t42;
  let a_z = t43;
  let t47 = 0, t48 = 0, t49 = 0;
  if ((t34 === 1)) {
    t47 = t31;
    t48 = 0;
    t49 = t30;
  } else {
    let t44 = 0, t45 = 0, t46 = 0;
    if ((t34 === 2)) {
      t44 = 0;
      t45 = t30;
      t46 = t31;
    } else {
      t44 = t30;
      t45 = t31;
      t46 = 0;
    }
    t47 = t44;
    t48 = t45;
    t49 = t46;
  }
  const t50 = t47;
  const t51 = t48;
  const t52 = t49;
  let b_x = t50;
  let b_y = t51;
  let b_z = t52;
  let t56 = 0, t57 = 0, t58 = 0;
  if ((t34 === 1)) {
    t56 = t33;
    t57 = 1;
    t58 = t32;
  } else {
    let t53 = 0, t54 = 0, t55 = 0;
    if ((t34 === 2)) {
      t53 = 1;
      t54 = t32;
      t55 = t33;
    } else {
      t53 = t32;
      t54 = t33;
      t55 = 1;
    }
    t56 = t53;
    t57 = t54;
    t58 = t55;
  }
  const t59 = t56;
  const t60 = t57;
  const t61 = t58;
  let c_x = t59;
  let c_y = t60;
  let c_z = t61;
  let t71 = 0, t72 = 0, t73 = 0, t74 = 0, t75 = 0, t76 = 0, t77 = 0, t78 = 0, t79 = 0;
  if ((t34 === 1)) {
    t71 = b_x;
    t72 = b_y;
    t73 = b_z;
    t74 = c_x;
    t75 = c_y;
    t76 = c_z;
    t77 = a_x;
    t78 = a_y;
    t79 = a_z;
  } else {
    let t62 = 0, t63 = 0, t64 = 0, t65 = 0, t66 = 0, t67 = 0, t68 = 0, t69 = 0, t70 = 0;
    if ((t34 === 2)) {
      t62 = c_x;
      t63 = c_y;
      t64 = c_z;
      t65 = a_x;
      t66 = a_y;
      t67 = a_z;
      t68 = b_x;
      t69 = b_y;
      t70 = b_z;
    } else {
      t62 = a_x;
      t63 = a_y;
      t64 = a_z;
      t65 = b_x;
      t66 = b_y;
      t67 = b_z;
      t68 = c_x;
      t69 = c_y;
      t70 = c_z;
    }
    t71 = t62;
    t72 = t63;
    t73 = t64;
    t74 = t65;
    t75 = t66;
    t76 = t67;
    t77 = t68;
    t78 = t69;
    t79 = t70;
  }
  const t80 = t71;
  const t81 = t72;
  const t82 = t73;
  const t83 = t74;
  const t84 = t75;
  const t85 = t76;
  const t86 = t77;
  const t87 = t78;
  const t88 = t79;
  jacobian_00 = t80;
  jacobian_01 = t81;
  jacobian_02 = t82;
  jacobian_10 = t83;
  jacobian_11 = t84;
  jacobian_12 = t85;
  jacobian_20 = t86;
  jacobian_21 = t87;
  jacobian_22 = t88;
  const t89 = (amount * t);
  const t90 = (along_x * t89);
  const t91 = (along_y * t89);
  const t92 = axis;
  let t96 = 0, t97 = 0, t98 = 0;
  if ((t92 === 1)) {
    t96 = t91;
    t97 = 0;
    t98 = t90;
  } else {
    let t93 = 0, t94 = 0, t95 = 0;
    if ((t92 === 2)) {
      t93 = 0;
      t94 = t90;
      t95 = t91;
    } else {
      t93 = t90;
      t94 = t91;
      t95 = 0;
    }
    t96 = t93;
    t97 = t94;
    t98 = t95;
  }
  const t99 = t96;
  const t100 = t97;
  const t101 = t98;
  byWeight_x = t99;
  byWeight_y = t100;
  byWeight_z = t101;
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
export function twistRun(first: number, end: number, pA: Float64Array, weightA: Float64Array, amount: number, axis: number, middle_x: number, middle_y: number, middle_z: number, length_: number, tiled: number, q_o: Float64Array, jacobian_o: Float64Array, byWeight_o: Float64Array): void {
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
  let u = (v_z / length_);
  let inside = (((tiled === 1) || (Math.abs(u) <= 0.5)) ? 1 : 0);
  let t = ((tiled === 1) ? u : Math.min(Math.max(u, (-0.5)), 0.5));
  let turn = ((amount * t3) * t);
  const t16 = (turn + 0.25);
  let r = (t16 - Math.floor((t16 + 0.5)));
  let a = Math.abs(r);
  const t17 = (0.5 - a);
  let q = (Math.min(a, t17) * 6.283185307179586);
  let q2 = (q * q);
  let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
  const t18 = ((r < 0) ? (-s) : s);
  let c = t18;
  let r$1 = (turn - Math.floor((turn + 0.5)));
  let a$1 = Math.abs(r$1);
  const t19 = (0.5 - a$1);
  let q$1 = (Math.min(a$1, t19) * 6.283185307179586);
  let q2$1 = (q$1 * q$1);
  let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
  const t20 = ((r$1 < 0) ? (-s$1) : s$1);
  let s$2 = t20;
  let flat__x = ((v_x * c) - (v_y * s$2));
  let flat__y = ((v_x * s$2) + (v_y * c));
  let along_x = ((-flat__y) * 6.283185307179586);
  let along_y = (flat__x * 6.283185307179586);
  const t21 = (((amount * t3) * inside) / length_);
  let byZ_x = (along_x * t21);
  let byZ_y = (along_y * t21);
  let t25 = 0, t26 = 0, t27 = 0;
  if ((axis === 1)) {
    t25 = flat__y;
    t26 = v_z;
    t27 = flat__x;
  } else {
    let t22 = 0, t23 = 0, t24 = 0;
    if ((axis === 2)) {
      t22 = v_z;
      t23 = flat__x;
      t24 = flat__y;
    } else {
      t22 = flat__x;
      t23 = flat__y;
      t24 = v_z;
    }
    t25 = t22;
    t26 = t23;
    t27 = t24;
  }
  const t28 = t25;
  const t29 = t26;
  const t30 = t27;
  q_x = (t28 + middle_x);
  q_y = (t29 + middle_y);
  q_z = (t30 + middle_z);
  const t31 = c;
  const t32 = s$2;
  const t33 = (-s$2);
  const t34 = c;
  const t35 = byZ_x;
  const t36 = byZ_y;
  let t40 = 0, t41 = 0, t42 = 0;
  if ((axis === 1)) {
    t40 = t32;
    t41 = 0;
    t42 = t31;
  } else {
    let t37 = 0, t38 = 0, t39 = 0;
    if ((axis === 2)) {
      t37 = 0;
      t38 = t31;
      t39 = t32;
    } else {
      t37 = t31;
      t38 = t32;
      t39 = 0;
    }
    t40 = t37;
    t41 = t38;
    t42 = t39;
  }
  const t43 = t40;
  const t44 = t41;
  const t45 = t42;
  let a_x = t43;
  let a_y = t44;
  let a_z = t45;
  let t49 = 0, t50 = 0, t51 = 0;
  if ((axis === 1)) {
    t49 = t34;
    t50 = 0;
    t51 = t33;
  } else {
    let t46 = 0, t47 = 0, t48 = 0;
    if ((axis === 2)) {
      t46 = 0;
      t47 = t33;
      t48 = t34;
    } else {
      t46 = t33;
      t47 = t34;
      t48 = 0;
    }
    t49 = t46;
    t50 = t47;
    t51 = t48;
  }
  const t52 = t49;
  const t53 = t50;
  const t54 = t51;
  let b_x = t52;
  let b_y = t53;
  let b_z = t54;
  let t58 = 0, t59 = 0, t60 = 0;
  if ((axis === 1)) {
    t58 = t36;
    t59 = 1;
    t60 = t35;
  } else {
    let t55 = 0, t56 = 0, t57 = 0;
    if ((axis === 2)) {
      t55 = 1;
      t56 = t35;
      t57 = t36;
    } else {
      t55 = t35;
      t56 = t36;
      t57 = 1;
    }
    t58 = t55;
    t59 = t56;
    t60 = t57;
  }
  const t61 = t58;
  const t62 = t59;
  const t63 = t60;
  let c_x = t61;
  let c_y = t62;
  let c_z = t63;
  let t73 = 0, t74 = 0, t75 = 0, t76 = 0, t77 = 0, t78 = 0, t79 = 0, t80 = 0, t81 = 0;
  if ((axis === 1)) {
    t73 = b_x;
    t74 = b_y;
    t75 = b_z;
    t76 = c_x;
    t77 = c_y;
    t78 = c_z;
    t79 = a_x;
    t80 = a_y;
    t81 = a_z;
  } else {
    let t64 = 0, t65 = 0, t66 = 0, t67 = 0, t68 = 0, t69 = 0, t70 = 0, t71 = 0, t72 = 0;
    if ((axis === 2)) {
      t64 = c_x;
      t65 = c_y;
      t66 = c_z;
      t67 = a_x;
      t68 = a_y;
      t69 = a_z;
      t70 = b_x;
      t71 = b_y;
      t72 = b_z;
    } else {
      t64 = a_x;
      t65 = a_y;
      t66 = a_z;
      t67 = b_x;
      t68 = b_y;
      t69 = b_z;
      t70 = c_x;
      t71 = c_y;
      t72 = c_z;
    }
    t73 = t64;
    t74 = t65;
    t75 = t66;
    t76 = t67;
    t77 = t68;
    t78 = t69;
    t79 = t70;
    t80 = t71;
    t81 = t72;
  }
  const t82 = t73;
  const t83 = t74;
  const t84 = t75;
  const t85 = t76;
  const t86 = t77;
  const t87 = t78;
  const t88 = t79;
  const t89 = t80;
  const t90 = t81;
  jacobian_00 = t82;
  jacobian_01 = t83;
  jacobian_02 = t84;
  jacobian_10 = t85;
  jacobian_11 = t86;
  jacobian_12 = t87;
  jacobian_20 = t88;
  jacobian_21 = t89;
  jacobian_22 = t90;
  const t91 = (amount * t);
  const t92 = (along_x * t91);
  const t93 = (along_y * t91);
  let t97 = 0, t98 = 0, t99 = 0;
  if ((axis === 1)) {
    t97 = t93;
    t98 = 0;
    t99 = t92;
  } else {
    let t94 = 0, t95 = 0, t96 = 0;
    if ((axis === 2)) {
      t94 = 0;
      t95 = t92;
      t96 = t93;
    } else {
      t94 = t92;
      t95 = t93;
      t96 = 0;
    }
    t97 = t94;
    t98 = t95;
    t99 = t96;
  }
  const t100 = t97;
  const t101 = t98;
  const t102 = t99;
  byWeight_x = t100;
  byWeight_y = t101;
  byWeight_z = t102;
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
export const signatures = {"twistSpace":[{"name":"p","type":"vec3","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"axis","type":"int","direction":"in"},{"name":"middle","type":"vec3","direction":"in"},{"name":"length_","type":"float","direction":"in"},{"name":"tiled","type":"int","direction":"in"},{"name":"q","type":"vec3","direction":"out"},{"name":"jacobian","type":"mat3","direction":"out"},{"name":"byWeight","type":"vec3","direction":"out"}]} as const;

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
  'treatments/twist/twist.glsl': `
void twistSpace(vec3 p, float weight, float amount, int axis, vec3 middle, float length_, int tiled, out vec3 q,
                out mat3 jacobian, out vec3 byWeight) {
  vec3 v = toAxis(p - middle, axis);
  float u = v.z / length_;
  float inside = tiled == 1 || abs(u) <= 0.5 ? 1.0 : 0.0;
  float t = tiled == 1 ? u : clamp(u, -0.5, 0.5);
  float turn = amount * weight * t;
  float c = cosTurn(turn);
  float s = sinTurn(turn);
  vec2 flat_ = vec2(v.x * c - v.y * s, v.x * s + v.y * c);
  vec2 along = vec2(-flat_.y, flat_.x) * TAU;
  vec2 byZ = along * (amount * weight * inside / length_);
  q = fromAxis(vec3(flat_, v.z), axis) + middle;
  jacobian = axisMatrix(mat3(c, s, 0.0, -s, c, 0.0, byZ, 1.0), axis);
  byWeight = fromAxis(vec3(along * (amount * t), 0.0), axis);
}
`,
};
