type Row = readonly [number, number, number];
/** A 3 × 3 matrix, row by row. */
export type Matrix3 = readonly [...Row, ...Row, ...Row];

export const applied = (m: Matrix3, [x, y, z]: Row): [number, number, number] => [
  m[0] * x + m[1] * y + m[2] * z,
  m[3] * x + m[4] * y + m[5] * z,
  m[6] * x + m[7] * y + m[8] * z,
];

/** The matrix that does a, after b. */
function times(a: Matrix3, b: Matrix3): Matrix3 {
  const [p, q, r] = [0, 1, 2].map((column) => applied(a, [b[column], b[3 + column], b[6 + column]]));
  return [p[0], q[0], r[0], p[1], q[1], r[1], p[2], q[2], r[2]];
}

// linear sRGB to CIE XYZ and back, white D65 (IEC 61966-2-1)
const TO_XYZ: Matrix3 = [
  0.4124564, 0.3575761, 0.1804375, 0.2126729, 0.7151522, 0.072175, 0.0193339, 0.119192, 0.9503041,
];
const FROM_XYZ: Matrix3 = [
  ...([3.2404542, -1.5371385, -0.4985314] as const),
  ...([-0.969266, 1.8760108, 0.041556] as const),
  ...([0.0556434, -0.2040259, 1.0572252] as const),
];
// responses of the eye in which whites are adapted (Bradford: Lam 1985, as in ICC.1:2022, annex E)
const TO_CONE: Matrix3 = [0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296];
const FROM_CONE: Matrix3 = [
  ...([0.9869929, -0.1470543, 0.1599627] as const),
  ...([0.4323053, 0.5183603, 0.0492912] as const),
  ...([-0.0085287, 0.0400428, 0.9684867] as const),
];

/** Kelvin of light that is left as it is. */
export const NEUTRAL_KELVIN = 6500;

/**
 * CIE 1931 chromaticity of a black body (Krystek 1985, by the CIE 1960 u and v; 1000 K to 15 000 K).
 * @param greener how far beside that, in v of CIE 1960
 */
export function whiteAt(kelvin: number, greener = 0): [x: number, y: number] {
  const t = kelvin;
  const u = (0.860117757 + 1.54118254e-4 * t + 1.28641212e-7 * t * t) / (1 + 8.42420235e-4 * t + 7.08145163e-7 * t * t);
  const v =
    (0.317398726 + 4.22806245e-5 * t + 4.20481691e-8 * t * t) / (1 - 2.89741816e-5 * t + 1.61456053e-7 * t * t) +
    greener;
  const under = 2 * u - 8 * v + 4;
  return [(3 * u) / under, (2 * v) / under];
}

const coneOf = ([x, y]: readonly [number, number]): Row => applied(TO_CONE, [x / y, 1, (1 - x - y) / y]);

/**
 * What linear sRGB is multiplied by so that light of one white is shown as that of {@link NEUTRAL_KELVIN}; at that it is the identity.
 * @param kelvin 1000..15000
 * @param greener see {@link whiteAt}
 */
export function adaptation(kelvin: number, greener = 0): Matrix3 {
  if (kelvin === NEUTRAL_KELVIN && greener === 0) return [1, 0, 0, 0, 1, 0, 0, 0, 1];
  const [from, to] = [coneOf(whiteAt(kelvin, greener)), coneOf(whiteAt(NEUTRAL_KELVIN))];
  const [l, m, s] = to.map((v, k) => v / from[k]);
  const scale: Matrix3 = [l, 0, 0, 0, m, 0, 0, 0, s];
  return times(FROM_XYZ, times(FROM_CONE, times(scale, times(TO_CONE, TO_XYZ))));
}
