// Generated from src/core/kernel/conformance.glsl by npm run kernels. Do not edit.
// @ts-nocheck: unrolled loops compare constants
export const RF = new Float64Array(8), RI = new Int32Array(8);
export function conf(id: number): void {
  let a_x = 0;
  let a_y = 0;
  let a_z = 0;
  let a_w = 0;
  let b_x = 0;
  let b_y = 0;
  let b_z = 0;
  let b_w = 0;
  let c_x = 0;
  let c_y = 0;
  let c_z = 0;
  let c_w = 0;
  let d_x = 0;
  let d_y = 0;
  let d_z = 0;
  let d_w = 0;
  id = id | 0;
  let x = (((((((id >>> 0) % (2001 >>> 0)) | 0) - 1000) | 0) * 0.005) + 0.0013);
  let y = (((((((Math.imul(id, 7919) >>> 0) % (1999 >>> 0)) | 0) - 999) | 0) * 0.005) + 0.0007);
  let v_x = x;
  let v_y = y;
  let v_z = (x * y);
  let v_w = (x - y);
  a_x = v_x;
  a_y = v_y;
  a_z = v_z;
  a_w = v_w;
  const t0 = a_x;
  const t1 = a_w;
  a_w = t0;
  a_x = t1;
  const t2 = (a_y * a_z);
  const t3 = (a_z * a_y);
  a_y = t2;
  a_z = t3;
  a_x = (a_x + ((((v_x * v_w) + (v_y * v_z)) + (v_z * v_y)) + (v_w * v_x)));
  let q_x = v_z;
  let q_y = v_w;
  let r = 0;
  let a_x$1 = q_x;
  let a_y$1 = q_y;
  const t4 = x;
  let r$1 = 0;
  const t5 = a_y$1;
  const t6 = a_x$1;
  a_x$1 = t5;
  a_y$1 = t6;
  a_x$1 = (a_x$1 + t4);
  a_y$1 = (a_y$1 + t4);
  r$1 = (a_x$1 * a_y$1);
  a_y$1 = (a_y$1 - r$1);
  q_x = a_x$1;
  q_y = a_y$1;
  r = r$1;
  a_z = (a_z + (r + q_y));
  let M_00 = x;
  let M_01 = 1;
  let M_02 = y;
  let M_10 = 0.5;
  let M_11 = y;
  let M_12 = (-1);
  let M_20 = 2;
  let M_21 = x;
  let M_22 = 0.25;
  let R_00 = ((((M_00 * M_00) + (M_10 * M_10)) + (M_20 * M_20)) + 2);
  let R_01 = ((((M_01 * M_00) + (M_11 * M_10)) + (M_21 * M_20)) + 0);
  let R_02 = ((((M_02 * M_00) + (M_12 * M_10)) + (M_22 * M_20)) + 0);
  let R_10 = ((((M_00 * M_01) + (M_10 * M_11)) + (M_20 * M_21)) + 0);
  let R_11 = ((((M_01 * M_01) + (M_11 * M_11)) + (M_21 * M_21)) + 2);
  let R_12 = ((((M_02 * M_01) + (M_12 * M_11)) + (M_22 * M_21)) + 0);
  let R_20 = ((((M_00 * M_02) + (M_10 * M_12)) + (M_20 * M_22)) + 0);
  let R_21 = ((((M_01 * M_02) + (M_11 * M_12)) + (M_21 * M_22)) + 0);
  let R_22 = ((((M_02 * M_02) + (M_12 * M_12)) + (M_22 * M_22)) + 2);
  const t7 = (-0.6666666666666666);
  let w_x = (((((v_x * R_00) + (v_y * R_01)) + (v_z * R_02)) + (((R_00 * 0.3333333333333333) + (R_10 * 0.6666666666666666)) + (R_20 * t7))) - M_10);
  let w_y = (((((v_x * R_10) + (v_y * R_11)) + (v_z * R_12)) + (((R_01 * 0.3333333333333333) + (R_11 * 0.6666666666666666)) + (R_21 * t7))) - M_11);
  let w_z = (((((v_x * R_20) + (v_y * R_21)) + (v_z * R_22)) + (((R_02 * 0.3333333333333333) + (R_12 * 0.6666666666666666)) + (R_22 * t7))) - M_12);
  M_20 = w_y;
  M_21 = w_x;
  M_01 = (M_01 + x);
  w_x = (w_x + (((M_00 * 1) + (M_10 * x)) + (M_20 * y)));
  w_y = (w_y + (((M_01 * 1) + (M_11 * x)) + (M_21 * y)));
  w_z = (w_z + (((M_02 * 1) + (M_12 * x)) + (M_22 * y)));
  let acc = 0;
  acc = (acc + (w_x * ((0 + 1) | 0)));
  acc = (acc + (w_y * ((1 + 1) | 0)));
  acc = (acc + (w_z * ((2 + 1) | 0)));
  for (let i = 0; i < 40; i += 1) {
    if ((i > (20 + x))) {
      break;
    }
    if (((i & 1) === 1)) {
      continue;
    }
    acc = (acc + (0.01 * i));
  }
  const t8 = (-1);
  const t9 = Math.min(Math.max(((x - t8) / (2 - (-1))), 0), 1);
  b_x = acc;
  b_y = (x * (1 - 0.3) + y * 0.3);
  b_z = (t9 * t9 * (3 - 2 * t9));
  b_w = (x - 0.7 * Math.floor(x / 0.7));
  let twoWay_r = 0;
  L10: {
    if ((x > 0.5)) {
      twoWay_r = (x * 2);
      break L10;
    }
    else {
      if ((x < (-0.5))) {
        twoWay_r = (-x);
        break L10;
      }
    }
    twoWay_r = 0.25;
    break L10;
  }
  const t11 = (b_y + twoWay_r);
  const t12 = (b_z + 0);
  let t17 = 0, t18 = 0;
  if ((t11 > t12)) {
    const t13 = (t11 + 2);
    const t14 = (t12 + 2);
    const t15 = (1 / Math.sqrt(((t13 * t13) + (t14 * t14))));
    t17 = (t13 * t15);
    t18 = (t14 * t15);
  } else {
    let twoWay_r$1 = 0;
    L16: {
      if ((t11 > 0.5)) {
        twoWay_r$1 = (t11 * 2);
        break L16;
      }
      else {
        if ((t11 < (-0.5))) {
          twoWay_r$1 = (-t11);
          break L16;
        }
      }
      twoWay_r$1 = 0.25;
      break L16;
    }
    t17 = Math.sqrt(((t11 * t11) + (t12 * t12)));
    t18 = twoWay_r$1;
  }
  const t19 = t17;
  const t20 = t18;
  b_x = (b_x + t19);
  b_y = (b_y + t20);
  const t21 = (x * 3);
  b_z = (b_z + ((((((((x < 0.1 ? 0 : 1) + Math.sign(y)) + (t21 - Math.floor(t21))) + Math.min(Math.max(y, (-0.5)), 0.5)) + Math.pow((Math.abs(x) + 0.1), 1.5)) + Math.exp((-Math.abs(y)))) + Math.sqrt(Math.abs(x))) + (Math.sin(x) * Math.cos(y))));
  let t30 = (x > 0);
  if (t30) {
    let t26 = 0, t27 = 0;
    if ((x > y)) {
      const t22 = (x + 2);
      const t23 = (y + 2);
      const t24 = (1 / Math.sqrt(((t22 * t22) + (t23 * t23))));
      t26 = (t22 * t24);
      t27 = (t23 * t24);
    } else {
      let twoWay_r$2 = 0;
      L25: {
        if ((x > 0.5)) {
          twoWay_r$2 = (x * 2);
          break L25;
        }
        else {
          if ((x < (-0.5))) {
            twoWay_r$2 = (-x);
            break L25;
          }
        }
        twoWay_r$2 = 0.25;
        break L25;
      }
      t26 = Math.sqrt(((x * x) + (y * y)));
      t27 = twoWay_r$2;
    }
    const t28 = t26;
    const t29 = t27;
    t30 = (t28 > 0.3); }
    b_w = (b_w + (t30 ? Math.floor(y) : (Math.min(x, y) - Math.max(x, 0.1))));
    let gt_x = (w_x > 0);
    let gt_y = (w_y > 0);
    let gt_z = (w_z > 0);
    b_w = (b_w + ((gt_x || gt_y || gt_z) ? 0 : 1));
    let a = id;
    a = (a ^ (77 << 13));
    a = (a ^ ((a >>> 17) | 0));
    a = Math.imul(a, (-1640531527));
    const t31 = (((((((a >>> 0) / (7 >>> 0)) | 0) + (((a >>> 0) % (1000 >>> 0)) | 0)) | 0) - (77 & 255)) | 0);
    let a$1 = Math.imul(id, (-1640531527));
    const t32 = id;
    a$1 = (a$1 ^ (t32 << 13));
    a$1 = (a$1 ^ ((a$1 >>> 17) | 0));
    a$1 = Math.imul(a$1, (-1640531527));
    const t33 = (((((((a$1 >>> 0) / (7 >>> 0)) | 0) + (((a$1 >>> 0) % (1000 >>> 0)) | 0)) | 0) - (t32 & 255)) | 0);
    c_x = t31;
    c_y = t33;
    c_z = (((~id) + 5) | 0);
    c_w = ((y < 0) ? 3 : 9);
    const t34 = ((c_w - 1) | 0);
    const t35 = ((c_z - (-294967296)) | 0);
    c_z = t34;
    c_w = t35;
    const t36 = (-1294967296);
    c_x = (((((c_x >>> 0) > (t36 >>> 0)) ? c_x : t36) - (((c_y >>> 0) < (id >>> 0)) ? c_y : id)) | 0);
    d_x = (Math.imul(id, (-1640531527)) >> 5);
    d_y = ((((x * 100) | 0) / 7) | 0);
    d_z = ((((id % 13) | 0) - 12) | 0);
    d_w = ((c_y >>> 3) | 0);
    d_x = ((d_x + Math.imul(d_z, 65537)) | 0);
    d_y = ((d_y + Math.imul(d_w, 65537)) | 0);
    d_w = ((d_w - ((d_x > d_y) ? 1 : d_z)) | 0);
    d_z = ((-d_z) | 0);
    d_x = ((d_x - 1) | 0);
    RF[0] = a_x;
    RF[1] = a_y;
    RF[2] = a_z;
    RF[3] = a_w;
    RF[4] = b_x;
    RF[5] = b_y;
    RF[6] = b_z;
    RF[7] = b_w;
    RI[0] = c_x;
    RI[1] = c_y;
    RI[2] = c_z;
    RI[3] = c_w;
    RI[4] = d_x;
    RI[5] = d_y;
    RI[6] = d_z;
    RI[7] = d_w;
}
export function confRun(first: number, end: number, a_o: Float64Array, b_o: Float64Array, c_o: Uint32Array, d_o: Int32Array): void {
  
  for (let k = first; k < end; k++) {
  const t0 = k;
  let a_x = 0;
  let a_y = 0;
  let a_z = 0;
  let a_w = 0;
  let b_x = 0;
  let b_y = 0;
  let b_z = 0;
  let b_w = 0;
  let c_x = 0;
  let c_y = 0;
  let c_z = 0;
  let c_w = 0;
  let d_x = 0;
  let d_y = 0;
  let d_z = 0;
  let d_w = 0;
  let x = (((((((t0 >>> 0) % (2001 >>> 0)) | 0) - 1000) | 0) * 0.005) + 0.0013);
  let y = (((((((Math.imul(t0, 7919) >>> 0) % (1999 >>> 0)) | 0) - 999) | 0) * 0.005) + 0.0007);
  let v_x = x;
  let v_y = y;
  let v_z = (x * y);
  let v_w = (x - y);
  a_x = v_x;
  a_y = v_y;
  a_z = v_z;
  a_w = v_w;
  const t1 = a_x;
  const t2 = a_w;
  a_w = t1;
  a_x = t2;
  const t3 = (a_y * a_z);
  const t4 = (a_z * a_y);
  a_y = t3;
  a_z = t4;
  a_x = (a_x + ((((v_x * v_w) + (v_y * v_z)) + (v_z * v_y)) + (v_w * v_x)));
  let q_x = v_z;
  let q_y = v_w;
  let r = 0;
  let a_x$1 = q_x;
  let a_y$1 = q_y;
  const t5 = x;
  let r$1 = 0;
  const t6 = a_y$1;
  const t7 = a_x$1;
  a_x$1 = t6;
  a_y$1 = t7;
  a_x$1 = (a_x$1 + t5);
  a_y$1 = (a_y$1 + t5);
  r$1 = (a_x$1 * a_y$1);
  a_y$1 = (a_y$1 - r$1);
  q_x = a_x$1;
  q_y = a_y$1;
  r = r$1;
  a_z = (a_z + (r + q_y));
  let M_00 = x;
  let M_01 = 1;
  let M_02 = y;
  let M_10 = 0.5;
  let M_11 = y;
  let M_12 = (-1);
  let M_20 = 2;
  let M_21 = x;
  let M_22 = 0.25;
  let R_00 = ((((M_00 * M_00) + (M_10 * M_10)) + (M_20 * M_20)) + 2);
  let R_01 = ((((M_01 * M_00) + (M_11 * M_10)) + (M_21 * M_20)) + 0);
  let R_02 = ((((M_02 * M_00) + (M_12 * M_10)) + (M_22 * M_20)) + 0);
  let R_10 = ((((M_00 * M_01) + (M_10 * M_11)) + (M_20 * M_21)) + 0);
  let R_11 = ((((M_01 * M_01) + (M_11 * M_11)) + (M_21 * M_21)) + 2);
  let R_12 = ((((M_02 * M_01) + (M_12 * M_11)) + (M_22 * M_21)) + 0);
  let R_20 = ((((M_00 * M_02) + (M_10 * M_12)) + (M_20 * M_22)) + 0);
  let R_21 = ((((M_01 * M_02) + (M_11 * M_12)) + (M_21 * M_22)) + 0);
  let R_22 = ((((M_02 * M_02) + (M_12 * M_12)) + (M_22 * M_22)) + 2);
  const t8 = (-0.6666666666666666);
  let w_x = (((((v_x * R_00) + (v_y * R_01)) + (v_z * R_02)) + (((R_00 * 0.3333333333333333) + (R_10 * 0.6666666666666666)) + (R_20 * t8))) - M_10);
  let w_y = (((((v_x * R_10) + (v_y * R_11)) + (v_z * R_12)) + (((R_01 * 0.3333333333333333) + (R_11 * 0.6666666666666666)) + (R_21 * t8))) - M_11);
  let w_z = (((((v_x * R_20) + (v_y * R_21)) + (v_z * R_22)) + (((R_02 * 0.3333333333333333) + (R_12 * 0.6666666666666666)) + (R_22 * t8))) - M_12);
  M_20 = w_y;
  M_21 = w_x;
  M_01 = (M_01 + x);
  w_x = (w_x + (((M_00 * 1) + (M_10 * x)) + (M_20 * y)));
  w_y = (w_y + (((M_01 * 1) + (M_11 * x)) + (M_21 * y)));
  w_z = (w_z + (((M_02 * 1) + (M_12 * x)) + (M_22 * y)));
  let acc = 0;
  acc = (acc + (w_x * ((0 + 1) | 0)));
  acc = (acc + (w_y * ((1 + 1) | 0)));
  acc = (acc + (w_z * ((2 + 1) | 0)));
  for (let i = 0; i < 40; i += 1) {
    if ((i > (20 + x))) {
      break;
    }
    if (((i & 1) === 1)) {
      continue;
    }
    acc = (acc + (0.01 * i));
  }
  const t9 = (-1);
  const t10 = Math.min(Math.max(((x - t9) / (2 - (-1))), 0), 1);
  b_x = acc;
  b_y = (x * (1 - 0.3) + y * 0.3);
  b_z = (t10 * t10 * (3 - 2 * t10));
  b_w = (x - 0.7 * Math.floor(x / 0.7));
  let twoWay_r = 0;
  L11: {
    if ((x > 0.5)) {
      twoWay_r = (x * 2);
      break L11;
    }
    else {
      if ((x < (-0.5))) {
        twoWay_r = (-x);
        break L11;
      }
    }
    twoWay_r = 0.25;
    break L11;
  }
  const t12 = (b_y + twoWay_r);
  const t13 = (b_z + 0);
  let t18 = 0, t19 = 0;
  if ((t12 > t13)) {
    const t14 = (t12 + 2);
    const t15 = (t13 + 2);
    const t16 = (1 / Math.sqrt(((t14 * t14) + (t15 * t15))));
    t18 = (t14 * t16);
    t19 = (t15 * t16);
  } else {
    let twoWay_r$1 = 0;
    L17: {
      if ((t12 > 0.5)) {
        twoWay_r$1 = (t12 * 2);
        break L17;
      }
      else {
        if ((t12 < (-0.5))) {
          twoWay_r$1 = (-t12);
          break L17;
        }
      }
      twoWay_r$1 = 0.25;
      break L17;
    }
    t18 = Math.sqrt(((t12 * t12) + (t13 * t13)));
    t19 = twoWay_r$1;
  }
  const t20 = t18;
  const t21 = t19;
  b_x = (b_x + t20);
  b_y = (b_y + t21);
  const t22 = (x * 3);
  b_z = (b_z + ((((((((x < 0.1 ? 0 : 1) + Math.sign(y)) + (t22 - Math.floor(t22))) + Math.min(Math.max(y, (-0.5)), 0.5)) + Math.pow((Math.abs(x) + 0.1), 1.5)) + Math.exp((-Math.abs(y)))) + Math.sqrt(Math.abs(x))) + (Math.sin(x) * Math.cos(y))));
  let t31 = (x > 0);
  if (t31) {
    let t27 = 0, t28 = 0;
    if ((x > y)) {
      const t23 = (x + 2);
      const t24 = (y + 2);
      const t25 = (1 / Math.sqrt(((t23 * t23) + (t24 * t24))));
      t27 = (t23 * t25);
      t28 = (t24 * t25);
    } else {
      let twoWay_r$2 = 0;
      L26: {
        if ((x > 0.5)) {
          twoWay_r$2 = (x * 2);
          break L26;
        }
        else {
          if ((x < (-0.5))) {
            twoWay_r$2 = (-x);
            break L26;
          }
        }
        twoWay_r$2 = 0.25;
        break L26;
      }
      t27 = Math.sqrt(((x * x) + (y * y)));
      t28 = twoWay_r$2;
    }
    const t29 = t27;
    const t30 = t28;
    t31 = (t29 > 0.3); }
    b_w = (b_w + (t31 ? Math.floor(y) : (Math.min(x, y) - Math.max(x, 0.1))));
    let gt_x = (w_x > 0);
    let gt_y = (w_y > 0);
    let gt_z = (w_z > 0);
    b_w = (b_w + ((gt_x || gt_y || gt_z) ? 0 : 1));
    let a = t0;
    a = (a ^ (77 << 13));
    a = (a ^ ((a >>> 17) | 0));
    a = Math.imul(a, (-1640531527));
    const t32 = (((((((a >>> 0) / (7 >>> 0)) | 0) + (((a >>> 0) % (1000 >>> 0)) | 0)) | 0) - (77 & 255)) | 0);
    let a$1 = Math.imul(t0, (-1640531527));
    a$1 = (a$1 ^ (t0 << 13));
    a$1 = (a$1 ^ ((a$1 >>> 17) | 0));
    a$1 = Math.imul(a$1, (-1640531527));
    const t33 = (((((((a$1 >>> 0) / (7 >>> 0)) | 0) + (((a$1 >>> 0) % (1000 >>> 0)) | 0)) | 0) - (t0 & 255)) | 0);
    c_x = t32;
    c_y = t33;
    c_z = (((~t0) + 5) | 0);
    c_w = ((y < 0) ? 3 : 9);
    const t34 = ((c_w - 1) | 0);
    const t35 = ((c_z - (-294967296)) | 0);
    c_z = t34;
    c_w = t35;
    const t36 = (-1294967296);
    c_x = (((((c_x >>> 0) > (t36 >>> 0)) ? c_x : t36) - (((c_y >>> 0) < (t0 >>> 0)) ? c_y : t0)) | 0);
    d_x = (Math.imul(t0, (-1640531527)) >> 5);
    d_y = ((((x * 100) | 0) / 7) | 0);
    d_z = ((((t0 % 13) | 0) - 12) | 0);
    d_w = ((c_y >>> 3) | 0);
    d_x = ((d_x + Math.imul(d_z, 65537)) | 0);
    d_y = ((d_y + Math.imul(d_w, 65537)) | 0);
    d_w = ((d_w - ((d_x > d_y) ? 1 : d_z)) | 0);
    d_z = ((-d_z) | 0);
    d_x = ((d_x - 1) | 0);
    a_o[k * 4] = a_x;
    a_o[k * 4 + 1] = a_y;
    a_o[k * 4 + 2] = a_z;
    a_o[k * 4 + 3] = a_w;
    b_o[k * 4] = b_x;
    b_o[k * 4 + 1] = b_y;
    b_o[k * 4 + 2] = b_z;
    b_o[k * 4 + 3] = b_w;
    c_o[k * 4] = c_x;
    c_o[k * 4 + 1] = c_y;
    c_o[k * 4 + 2] = c_z;
    c_o[k * 4 + 3] = c_w;
    d_o[k * 4] = d_x;
    d_o[k * 4 + 1] = d_y;
    d_o[k * 4 + 2] = d_z;
    d_o[k * 4 + 3] = d_w;
  }
}

/** Parameters of each exported kernel, in order: name, GLSL type, direction. */
export const signatures = {"conf":[{"name":"id","type":"uint","direction":"in"},{"name":"a","type":"vec4","direction":"out"},{"name":"b","type":"vec4","direction":"out"},{"name":"c","type":"uvec4","direction":"out"},{"name":"d","type":"ivec4","direction":"out"}]} as const;

/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */
export const sources: Record<string, string> = {
  'kernel/conformance.glsl': `const vec3 KV = normalize(vec3(1.0, 2.0, -2.0));
const int KI = 3 << 2;
float twoWay(float x) { if (x > 0.5) return x * 2.0; else if (x < -0.5) { return -x; } return 0.25; }
vec2 twoWay(vec2 v) { return v.x > v.y ? normalize(v + 2.0) : vec2(length(v), twoWay(v.x)); }
void swapAdd(inout vec2 a, in float k, out float r) { a.xy = a.yx; a += k; r = a.x * a.y; a.y -= r; }
uint mixU(uint a, uint b) { a ^= b << 13u; a ^= a >> 17u; a *= 2654435769u; return a / 7u + (a % 1000u) - (b & 255u); }
void conf(uint id, out vec4 a, out vec4 b, out uvec4 c, out ivec4 d) {
  float x = float(int(id % 2001u) - 1000) * 0.005 + 0.0013;
  float y = float(int((id * 7919u) % 1999u) - 999) * 0.005 + 0.0007;
  vec4 v = vec4(x, y, vec2(x * y, x - y));
  a = v;
  a.wx = a.xw; a.yz *= a.zy; a.x += dot(v, v.wzyx);
  vec2 q = v.zw; float r; swapAdd(q, x, r); a.z += r + q.y;
  mat3 M = mat3(x, 1.0, y, 0.5, y, -1.0, 2.0, x, 0.25);
  mat3 R = M * transpose(M) + mat3(2.0);
  vec3 w = (v.xyz * R) + R * KV - M[1];
  M[2].xy = w.yx; M[0][1] += x;
  w += M * vec3(1.0, x, y);
  float acc = 0.0;
  for (int i = 0; i < 3; i++) acc += w[i] * float(i + 1);
  for (int i = 0; i < 40; i++) { if (float(i) > 20.0 + x) break; if ((i & 1) == 1) continue; acc += 0.01 * float(i); }
  b = vec4(acc, mix(x, y, 0.3), smoothstep(-1.0, 2.0, x), mod(x, 0.7));
  b.xy = b.xy + twoWay(b.yz + vec2(twoWay(x), 0.0));
  b.z += step(0.1, x) + sign(y) + fract(x * 3.0) + clamp(y, -0.5, 0.5) + pow(abs(x) + 0.1, 1.5) + exp(-abs(y)) + sqrt(abs(x)) + sin(x) * cos(y);
  b.w += x > 0.0 && twoWay(vec2(x, y)).x > 0.3 ? floor(y) : min(x, y) - max(x, 0.1);
  bvec3 gt = greaterThan(w, vec3(0.0));
  b.w += any(gt) ? 0.0 : 1.0;
  c = uvec4(mixU(id, 77u), mixU(id * 2654435769u, id), ~id + 5u, uint(y < 0.0 ? 3 : 9));
  c.zw = c.wz - uvec2(1u, 4000000000u); c.x = max(c.x, 3000000000u) - min(c.y, id);
  d = ivec4(int(id * 2654435769u) >> 5, int(x * 100.0) / 7, int(id) % 13 - KI, int(c.y >> 3u));
  d.xy += d.zw * 65537; d.w -= (d.x > d.y) ? 1 : d.z; d.z = -d.z; --d.x;
}
`,
};
