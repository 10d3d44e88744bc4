// Fits the lobe of our highlights (GGX with Smith's joint visibility) by linearly transformed cosines: Heitz, Dupuy, Hill & Neubelt,
// "Real-Time Polygonal-Light Shading with Linearly Transformed Cosines", ACM TOG 35(4), 2016. The fit is our own: of each lobe the
// matrix whose transformed cosine differs least from it (third power of the difference, sampled from both), by Nelder and Mead's
// simplex. Takes a minute or two; run it again only where the lobe is another.
//   npm run lobes
import { writeFileSync } from 'node:fs';

const SIDE = 32;
const SAMPLES = 28;
const LEAST_ALPHA = 0.003;

/** @typedef {[number, number, number]} V3 */

/** @param {V3} a @param {V3} b */
const dot = (a, b) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** @param {V3} a @returns {V3} */
const unit = (a) => {
  const l = Math.hypot(a[0], a[1], a[2]);
  return [a[0] / l, a[1] / l, a[2] / l];
};

/** The lobe times the cosine, and how likely a half vector drawn by its normals gives it. @param {V3} v @param {V3} l @param {number} alpha */
function lobe(v, l, alpha) {
  if (l[2] <= 0 || v[2] <= 0) return { value: 0, pdf: 0 };
  const h = unit([v[0] + l[0], v[1] + l[1], v[2] + l[2]]);
  const a2 = alpha * alpha;
  const k = h[2] * h[2] * (a2 - 1) + 1;
  const d = a2 / (Math.PI * k * k);
  const seen = 0.5 / (l[2] * Math.sqrt(v[2] * v[2] * (1 - a2) + a2) + v[2] * Math.sqrt(l[2] * l[2] * (1 - a2) + a2));
  return { value: d * seen * l[2], pdf: (d * h[2]) / (4 * Math.max(dot(v, h), 1e-9)) };
}

/** A direction drawn as the lobe's normals lie. @param {V3} v @param {number} alpha @param {number} u1 @param {number} u2 @returns {V3} */
function drawn(v, alpha, u1, u2) {
  const turn = 2 * Math.PI * u1;
  const r = alpha * Math.sqrt(u2 / (1 - u2));
  const h = unit([r * Math.cos(turn), r * Math.sin(turn), 1]);
  const c = 2 * dot(h, v);
  return [c * h[0] - v[0], c * h[1] - v[1], c * h[2] - v[2]];
}

/** Size of the lobe, what of it is there for the grazing part of Fresnel's law, and its middle. @param {V3} v @param {number} alpha */
function averages(v, alpha) {
  let size = 0;
  let grazing = 0;
  /** @type {V3} */
  const middle = [0, 0, 0];
  for (let j = 0; j < 64; j++)
    for (let i = 0; i < 64; i++) {
      const l = drawn(v, alpha, (i + 0.5) / 64, (j + 0.5) / 64);
      const { value, pdf } = lobe(v, l, alpha);
      if (pdf <= 0) continue;
      const weight = value / pdf / 4096;
      const h = unit([v[0] + l[0], v[1] + l[1], v[2] + l[2]]);
      size += weight;
      grazing += weight * (1 - Math.max(dot(v, h), 0)) ** 5;
      for (let k = 0; k < 3; k++) middle[k] += weight * l[k];
    }
  middle[1] = 0;
  return { size, grazing, middle: unit(middle) };
}

/**
 * A transformed cosine: axes, and three numbers.
 * @typedef {{ x: V3, z: V3, m11: number, m22: number, m13: number }} Fit
 */

/** Columns of its matrix. @param {Fit} f @returns {[V3, V3, V3]} */
const columnsOf = ({ x, z, m11, m22, m13 }) => [
  [x[0] * m11, 0, x[2] * m11],
  [0, m22, 0],
  [x[0] * m13 + z[0], 0, x[2] * m13 + z[2]],
];

/** @param {[V3, V3, V3]} m */
const determinant = ([a, b, c]) => b[1] * (a[0] * c[2] - c[0] * a[2]);

/** Inverse of a matrix of that shape, by columns. @param {[V3, V3, V3]} m @returns {[V3, V3, V3]} */
function inverse([a, b, c]) {
  const d = a[0] * c[2] - c[0] * a[2];
  return [
    [c[2] / d, 0, -a[2] / d],
    [0, 1 / b[1], 0],
    [-c[0] / d, 0, a[0] / d],
  ];
}

/** @param {[V3, V3, V3]} m @param {V3} p @returns {V3} */
const times = ([a, b, c], p) => [
  a[0] * p[0] + b[0] * p[1] + c[0] * p[2],
  a[1] * p[0] + b[1] * p[1] + c[1] * p[2],
  a[2] * p[0] + b[2] * p[1] + c[2] * p[2],
];

/** Its value in a direction. @param {[V3, V3, V3]} inv @param {number} det of the matrix @param {V3} l */
function transformed(inv, det, l) {
  const o = times(inv, l);
  const length = Math.hypot(o[0], o[1], o[2]);
  // the Jacobian of the transform is its determinant over the cube of the length of what it makes of the untransformed direction
  return (Math.max(0, o[2] / length) / Math.PI) * (1 / (det * length ** 3));
}

/** How much a fit differs. @param {Fit} fit @param {V3} v @param {number} alpha @param {number} size */
function difference(fit, v, alpha, size) {
  const m = columnsOf(fit);
  const inv = inverse(m);
  const det = Math.abs(determinant(m));
  let sum = 0;
  /** @param {V3} l */
  const add = (l) => {
    const { value, pdf } = lobe(v, l, alpha);
    const t = transformed(inv, det, l);
    const both = pdf + t;
    if (both > 0) sum += Math.abs(value - size * t) ** 3 / both;
  };
  for (let j = 0; j < SAMPLES; j++)
    for (let i = 0; i < SAMPLES; i++) {
      const [u1, u2] = [(i + 0.5) / SAMPLES, (j + 0.5) / SAMPLES];
      add(drawn(v, alpha, u1, u2));
      const r = Math.sqrt(u2);
      const turn = 2 * Math.PI * u1;
      add(unit(times(m, [r * Math.cos(turn), r * Math.sin(turn), Math.sqrt(1 - u2)])));
    }
  return sum / (SAMPLES * SAMPLES);
}

/** The least of a function near a start: Nelder & Mead (1965). @param {number[]} start @param {(p: number[]) => number} of */
function least(start, of) {
  const simplex = [start, ...start.map((_, k) => start.map((v, i) => (i === k ? v + 0.05 : v)))].map((p) => ({
    p,
    value: of(p),
  }));
  for (let step = 0; step < 90; step++) {
    simplex.sort((a, b) => a.value - b.value);
    const worst = simplex[simplex.length - 1];
    if (worst.value - simplex[0].value < 1e-6 * Math.abs(simplex[0].value)) break;
    const centre = start.map((_, k) => simplex.slice(0, -1).reduce((s, { p }) => s + p[k], 0) / start.length);
    /** @param {number} by */
    const at = (by) => {
      const p = centre.map((c, k) => c + by * (worst.p[k] - c));
      return { p, value: of(p) };
    };
    const mirrored = at(-1);
    let next = mirrored;
    if (mirrored.value < simplex[0].value) {
      const far = at(-2);
      next = far.value < mirrored.value ? far : mirrored;
    } else if (mirrored.value >= simplex[simplex.length - 2].value) {
      const near = at(mirrored.value < worst.value ? -0.5 : 0.5);
      if (near.value < Math.min(worst.value, mirrored.value)) next = near;
      else {
        for (const one of simplex.slice(1)) {
          one.p = one.p.map((v, k) => simplex[0].p[k] + 0.5 * (v - simplex[0].p[k]));
          one.value = of(one.p);
        }
        continue;
      }
    }
    simplex[simplex.length - 1] = next;
  }
  return simplex.sort((a, b) => a.value - b.value)[0].p;
}

const numbers = new Float32Array(SIDE * SIDE * 6);
/** @type {Fit[]} */
const straight = [];
for (let a = SIDE - 1; a >= 0; a--) {
  let before = /** @type {Fit | null} */ (null);
  for (let t = 0; t < SIDE; t++) {
    const rough = a / (SIDE - 1);
    const alpha = Math.max(rough * rough, LEAST_ALPHA);
    const cosine = Math.max(1 - (t / (SIDE - 1)) ** 2, 0.02);
    /** @type {V3} */
    const v = [Math.sqrt(1 - cosine * cosine), 0, cosine];
    const { size, grazing, middle } = averages(v, alpha);
    /** @type {Fit} */
    let fit;
    if (t === 0) {
      const from = straight[a + 1]?.m11 ?? 1;
      const made = (/** @type {number} */ m) => ({
        x: /** @type {V3} */ ([1, 0, 0]),
        z: /** @type {V3} */ ([0, 0, 1]),
        m11: m,
        m22: m,
        m13: 0,
      });
      const [m] = least([from], ([p]) => difference(made(Math.max(Math.abs(p), 1e-3)), v, alpha, size));
      fit = straight[a] = made(Math.max(Math.abs(m), 1e-3));
    } else {
      const { m11, m22, m13 } = before ?? straight[a];
      const made = (/** @type {number[]} */ [p, q, r]) => ({
        x: /** @type {V3} */ ([middle[2], 0, -middle[0]]),
        z: middle,
        m11: Math.max(Math.abs(p), 1e-3),
        m22: Math.max(Math.abs(q), 1e-3),
        m13: r,
      });
      fit = made(least([m11, m22, m13], (p) => difference(made(p), v, alpha, size)));
    }
    before = fit;
    const inv = inverse(columnsOf(fit));
    const middleOne = inv[1][1];
    numbers.set(
      [inv[0][0] / middleOne, inv[0][2] / middleOne, inv[2][0] / middleOne, inv[2][2] / middleOne, size, grazing],
      (t * SIDE + a) * 6,
    );
  }
}
if (numbers.some((n) => !Number.isFinite(n))) throw new Error('a fit is not a number');
const words = Buffer.from(numbers.buffer).toString('base64');
const lines = words.match(/.{1,120}/g) ?? [];
writeFileSync(
  new URL('../../src/engine/lights/softBox/lobes.ts', import.meta.url),
  `// Made by scripts/lobes/fit.mjs, which says what it is. Float32, little-endian: six numbers for each roughness (0 to 1) and, row by
// row, each root of one minus the cosine of the angle of view (0 to 1).
export const LOBES_SIDE = ${SIDE};
export const LOBES =
  ${lines.map((line) => `'${line}'`).join(' +\n  ')};
`,
);
