// Generated from src/core/treatments/taper/taper.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(15), RI = new Int32Array(1);
export function taperSpace(p_x: number, p_y: number, p_z: number, weight: number, amount: number, axis: number, middle_x: number, middle_y: number, middle_z: number, length_: number, waists: number, tiled: number): void {
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
  waists = waists | 0;
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
  let t = (v_z / length_);
  let f = 0;
  let slope = 0;
  if ((tiled === 1)) {
    const t13 = (t * waists);
    const t14 = (t13 + 0.25);
    let r = (t14 - Math.floor((t14 + 0.5)));
    let a = Math.abs(r);
    const t15 = (0.5 - a);
    let q = (Math.min(a, t15) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t16 = ((r < 0) ? (-s) : s);
    f = (0.5 + (0.5 * t16));
    const t17 = (t * waists);
    let r$1 = (t17 - Math.floor((t17 + 0.5)));
    let a$1 = Math.abs(r$1);
    const t18 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t18) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t19 = ((r$1 < 0) ? (-s$1) : s$1);
    slope = (((((-0.5) * t19) * 6.283185307179586) * waists) / length_);
  }
  else {
    let way = ((axis === 0) ? (-1) : 1);
    f = Math.min(Math.max((0.5 + (t * way)), 0), 1);
    slope = ((Math.abs(t) < 0.5) ? (way / length_) : 0);
  }
  let wide = (1 + ((amount * weight) * f));
  const t20 = (v_x * wide);
  const t21 = (v_y * wide);
  const t22 = v_z;
  const t23 = axis;
  let t27 = 0, t28 = 0, t29 = 0;
  if ((t23 === 1)) {
    t27 = t21;
    t28 = t22;
    t29 = t20;
  } else {
    let t24 = 0, t25 = 0, t26 = 0;
    if ((t23 === 2)) {
      t24 = t22;
      t25 = t20;
      t26 = t21;
    } else {
      t24 = t20;
      t25 = t21;
      t26 = t22;
    }
    t27 = t24;
    t28 = t25;
    t29 = t26;
  }
  const t30 = t27;
  const t31 = t28;
  const t32 = t29;
  q_x = (t30 + middle_x);
  q_y = (t31 + middle_y);
  q_z = (t32 + middle_z);
  const t33 = ((amount * weight) * slope);
  const t34 = wide;
  const t35 = wide;
  const t36 = (v_x * t33);
  const t37 = (v_y * t33);
  const t38 = axis;
  let t42 = 0, t43 = 0, t44 = 0;
  if ((t38 === 1)) {
    t42 = 0;
    t43 = 0;
    t44 = t34;
  } else {
    let t39 = 0, t40 = 0, t41 = 0;
    if ((t38 === 2)) {
      t39 = 0;
      t40 = t34;
      t41 = 0;
    } else {
      t39 = t34;
      t40 = 0;
      t41 = 0;
    }
    t42 = t39;
    t43 = t40;
    t44 = t41;
  }
  const t45 = t42;
  const t46 = t43;
  const t47 = t44;
  let a_x = t45;
  let a_y = t46;
  let a_z = t47;
  let t51 = 0, t52 = 0, t53 = 0;
  if ((t38 === 1)) {
    t51 = t35;
    t52 = 0;
    t53 = 0;
  } else {
    let t48 = 0, t49 = 0, t50 = 0;
    if ((t38 === 2)) {
      t48 = 0;
      t49 = 0;
      t50 = t35;
    } else {
      t48 = 0;
      t49 = t35;
      t50 = 0;
    }
    t51 = t48;
    t52 = t49;
    t53 = t50;
  }
  const t54 = t51;
  const t55 = t52;
  const t56 = t53;
  let b_x = t54;
  let b_y = t55;
  let b_z = t56;
  let t60 = 0, t61 = 0, t62 = 0;
  if ((t38 === 1)) {
    t60 = t37;
    t61 = 1;
    t62 = t36;
  } else {
    let t57 = 0, t58 = 0, t59 = 0;
    if ((t38 === 2)) {
      t57 = 1;
      t58 = t36;
      t59 = t37;
    } else {
      t57 = t36;
      t58 = t37;
      t59 = 1;
    }
    t60 = t57;
    t61 = t58;
    t62 = t59;
  }
  const t63 = t60;
  const t64 = t61;
  const t65 = t62;
  let c_x = t63;
  let c_y = t64;
  let c_z = t65;
  let t75 = 0, t76 = 0, t77 = 0, t78 = 0, t79 = 0, t80 = 0, t81 = 0, t82 = 0, t83 = 0;
  if ((t38 === 1)) {
    t75 = b_x;
    t76 = b_y;
    t77 = b_z;
    t78 = c_x;
    t79 = c_y;
    t80 = c_z;
    t81 = a_x;
    t82 = a_y;
    t83 = a_z;
  } else {
    let t66 = 0, t67 = 0, t68 = 0, t69 = 0, t70 = 0, t71 = 0, t72 = 0, t73 = 0, t74 = 0;
    if ((t38 === 2)) {
      t66 = c_x;
      t67 = c_y;
      t68 = c_z;
      t69 = a_x;
      t70 = a_y;
      t71 = a_z;
      t72 = b_x;
      t73 = b_y;
      t74 = b_z;
    } else {
      t66 = a_x;
      t67 = a_y;
      t68 = a_z;
      t69 = b_x;
      t70 = b_y;
      t71 = b_z;
      t72 = c_x;
      t73 = c_y;
      t74 = c_z;
    }
    t75 = t66;
    t76 = t67;
    t77 = t68;
    t78 = t69;
    t79 = t70;
    t80 = t71;
    t81 = t72;
    t82 = t73;
    t83 = t74;
  }
  const t84 = t75;
  const t85 = t76;
  const t86 = t77;
  const t87 = t78;
  const t88 = t79;
  const t89 = t80;
  const t90 = t81;
  const t91 = t82;
  const t92 = t83;
  jacobian_00 = t84;
  jacobian_01 = t85;
  jacobian_02 = t86;
  jacobian_10 = t87;
  jacobian_11 = t88;
  jacobian_12 = t89;
  jacobian_20 = t90;
  jacobian_21 = t91;
  jacobian_22 = t92;
  const t93 = (amount * f);
  const t94 = (v_x * t93);
  const t95 = (v_y * t93);
  const t96 = axis;
  let t100 = 0, t101 = 0, t102 = 0;
  if ((t96 === 1)) {
    t100 = t95;
    t101 = 0;
    t102 = t94;
  } else {
    let t97 = 0, t98 = 0, t99 = 0;
    if ((t96 === 2)) {
      t97 = 0;
      t98 = t94;
      t99 = t95;
    } else {
      t97 = t94;
      t98 = t95;
      t99 = 0;
    }
    t100 = t97;
    t101 = t98;
    t102 = t99;
  }
  const t103 = t100;
  const t104 = t101;
  const t105 = t102;
  byWeight_x = t103;
  byWeight_y = t104;
  byWeight_z = t105;
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
export function taperRun(first: number, end: number, pA: Float64Array, weightA: Float64Array, amount: number, axis: number, middle_x: number, middle_y: number, middle_z: number, length_: number, waists: number, tiled: number, q_o: Float64Array, jacobian_o: Float64Array, byWeight_o: Float64Array): void {
  axis = axis | 0; waists = waists | 0; tiled = tiled | 0;
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
  let t = (v_z / length_);
  let f = 0;
  let slope = 0;
  if ((tiled === 1)) {
    const t16 = (t * waists);
    const t17 = (t16 + 0.25);
    let r = (t17 - Math.floor((t17 + 0.5)));
    let a = Math.abs(r);
    const t18 = (0.5 - a);
    let q = (Math.min(a, t18) * 6.283185307179586);
    let q2 = (q * q);
    let s = (q * (1 + (q2 * ((-0.16666666667) + (q2 * (0.0083333333333 + (q2 * ((-0.00019841269841) + (q2 * (0.0000027557319224 + (q2 * (-2.5052108385e-8))))))))))));
    const t19 = ((r < 0) ? (-s) : s);
    f = (0.5 + (0.5 * t19));
    const t20 = (t * waists);
    let r$1 = (t20 - Math.floor((t20 + 0.5)));
    let a$1 = Math.abs(r$1);
    const t21 = (0.5 - a$1);
    let q$1 = (Math.min(a$1, t21) * 6.283185307179586);
    let q2$1 = (q$1 * q$1);
    let s$1 = (q$1 * (1 + (q2$1 * ((-0.16666666667) + (q2$1 * (0.0083333333333 + (q2$1 * ((-0.00019841269841) + (q2$1 * (0.0000027557319224 + (q2$1 * (-2.5052108385e-8))))))))))));
    const t22 = ((r$1 < 0) ? (-s$1) : s$1);
    slope = (((((-0.5) * t22) * 6.283185307179586) * waists) / length_);
  }
  else {
    let way = ((axis === 0) ? (-1) : 1);
    f = Math.min(Math.max((0.5 + (t * way)), 0), 1);
    slope = ((Math.abs(t) < 0.5) ? (way / length_) : 0);
  }
  let wide = (1 + ((amount * t3) * f));
  const t23 = (v_x * wide);
  const t24 = (v_y * wide);
  const t25 = v_z;
  let t29 = 0, t30 = 0, t31 = 0;
  if ((axis === 1)) {
    t29 = t24;
    t30 = t25;
    t31 = t23;
  } else {
    let t26 = 0, t27 = 0, t28 = 0;
    if ((axis === 2)) {
      t26 = t25;
      t27 = t23;
      t28 = t24;
    } else {
      t26 = t23;
      t27 = t24;
      t28 = t25;
    }
    t29 = t26;
    t30 = t27;
    t31 = t28;
  }
  const t32 = t29;
  const t33 = t30;
  const t34 = t31;
  q_x = (t32 + middle_x);
  q_y = (t33 + middle_y);
  q_z = (t34 + middle_z);
  const t35 = ((amount * t3) * slope);
  const t36 = wide;
  const t37 = wide;
  const t38 = (v_x * t35);
  const t39 = (v_y * t35);
  let t43 = 0, t44 = 0, t45 = 0;
  if ((axis === 1)) {
    t43 = 0;
    t44 = 0;
    t45 = t36;
  } else {
    let t40 = 0, t41 = 0, t42 = 0;
    if ((axis === 2)) {
      t40 = 0;
      t41 = t36;
      t42 = 0;
    } else {
      t40 = t36;
      t41 = 0;
      t42 = 0;
    }
    t43 = t40;
    t44 = t41;
    t45 = t42;
  }
  const t46 = t43;
  const t47 = t44;
  const t48 = t45;
  let a_x = t46;
  let a_y = t47;
  let a_z = t48;
  let t52 = 0, t53 = 0, t54 = 0;
  if ((axis === 1)) {
    t52 = t37;
    t53 = 0;
    t54 = 0;
  } else {
    let t49 = 0, t50 = 0, t51 = 0;
    if ((axis === 2)) {
      t49 = 0;
      t50 = 0;
      t51 = t37;
    } else {
      t49 = 0;
      t50 = t37;
      t51 = 0;
    }
    t52 = t49;
    t53 = t50;
    t54 = t51;
  }
  const t55 = t52;
  const t56 = t53;
  const t57 = t54;
  let b_x = t55;
  let b_y = t56;
  let b_z = t57;
  let t61 = 0, t62 = 0, t63 = 0;
  if ((axis === 1)) {
    t61 = t39;
    t62 = 1;
    t63 = t38;
  } else {
    let t58 = 0, t59 = 0, t60 = 0;
    if ((axis === 2)) {
      t58 = 1;
      t59 = t38;
      t60 = t39;
    } else {
      t58 = t38;
      t59 = t39;
      t60 = 1;
    }
    t61 = t58;
    t62 = t59;
    t63 = t60;
  }
  const t64 = t61;
  const t65 = t62;
  const t66 = t63;
  let c_x = t64;
  let c_y = t65;
  let c_z = t66;
  let t76 = 0, t77 = 0, t78 = 0, t79 = 0, t80 = 0, t81 = 0, t82 = 0, t83 = 0, t84 = 0;
  if ((axis === 1)) {
    t76 = b_x;
    t77 = b_y;
    t78 = b_z;
    t79 = c_x;
    t80 = c_y;
    t81 = c_z;
    t82 = a_x;
    t83 = a_y;
    t84 = a_z;
  } else {
    let t67 = 0, t68 = 0, t69 = 0, t70 = 0, t71 = 0, t72 = 0, t73 = 0, t74 = 0, t75 = 0;
    if ((axis === 2)) {
      t67 = c_x;
      t68 = c_y;
      t69 = c_z;
      t70 = a_x;
      t71 = a_y;
      t72 = a_z;
      t73 = b_x;
      t74 = b_y;
      t75 = b_z;
    } else {
      t67 = a_x;
      t68 = a_y;
      t69 = a_z;
      t70 = b_x;
      t71 = b_y;
      t72 = b_z;
      t73 = c_x;
      t74 = c_y;
      t75 = c_z;
    }
    t76 = t67;
    t77 = t68;
    t78 = t69;
    t79 = t70;
    t80 = t71;
    t81 = t72;
    t82 = t73;
    t83 = t74;
    t84 = t75;
  }
  const t85 = t76;
  const t86 = t77;
  const t87 = t78;
  const t88 = t79;
  const t89 = t80;
  const t90 = t81;
  const t91 = t82;
  const t92 = t83;
  const t93 = t84;
  jacobian_00 = t85;
  jacobian_01 = t86;
  jacobian_02 = t87;
  jacobian_10 = t88;
  jacobian_11 = t89;
  jacobian_12 = t90;
  jacobian_20 = t91;
  jacobian_21 = t92;
  jacobian_22 = t93;
  const t94 = (amount * f);
  const t95 = (v_x * t94);
  const t96 = (v_y * t94);
  let t100 = 0, t101 = 0, t102 = 0;
  if ((axis === 1)) {
    t100 = t96;
    t101 = 0;
    t102 = t95;
  } else {
    let t97 = 0, t98 = 0, t99 = 0;
    if ((axis === 2)) {
      t97 = 0;
      t98 = t95;
      t99 = t96;
    } else {
      t97 = t95;
      t98 = t96;
      t99 = 0;
    }
    t100 = t97;
    t101 = t98;
    t102 = t99;
  }
  const t103 = t100;
  const t104 = t101;
  const t105 = t102;
  byWeight_x = t103;
  byWeight_y = t104;
  byWeight_z = t105;
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
export const signatures = {"taperSpace":[{"name":"p","type":"vec3","direction":"in"},{"name":"weight","type":"float","direction":"in"},{"name":"amount","type":"float","direction":"in"},{"name":"axis","type":"int","direction":"in"},{"name":"middle","type":"vec3","direction":"in"},{"name":"length_","type":"float","direction":"in"},{"name":"waists","type":"int","direction":"in"},{"name":"tiled","type":"int","direction":"in"},{"name":"q","type":"vec3","direction":"out"},{"name":"jacobian","type":"mat3","direction":"out"},{"name":"byWeight","type":"vec3","direction":"out"}]} as const;

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
  'treatments/taper/taper.glsl': `
void taperSpace(vec3 p, float weight, float amount, int axis, vec3 middle, float length_, int waists, int tiled, out vec3 q,
                out mat3 jacobian, out vec3 byWeight) {
  vec3 v = toAxis(p - middle, axis);
  float t = v.z / length_;
  float f;
  float slope;
  if (tiled == 1) {
    f = 0.5 + 0.5 * cosTurn(t * float(waists));
    slope = -0.5 * sinTurn(t * float(waists)) * TAU * float(waists) / length_;
  } else {
    // travel runs along -z, so the far end of an axis 0 layer has the least z
    float way = axis == 0 ? -1.0 : 1.0;
    f = clamp(0.5 + t * way, 0.0, 1.0);
    slope = abs(t) < 0.5 ? way / length_ : 0.0;
  }
  float wide = 1.0 + amount * weight * f;
  q = fromAxis(vec3(v.xy * wide, v.z), axis) + middle;
  jacobian = axisMatrix(mat3(wide, 0.0, 0.0, 0.0, wide, 0.0, v.xy * (amount * weight * slope), 1.0), axis);
  byWeight = fromAxis(vec3(v.xy * (amount * f), 0.0), axis);
}
`,
};
