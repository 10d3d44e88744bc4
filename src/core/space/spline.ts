import { angleAbout, doubleReflection, levelUp, type Frame, type Path } from './frame';
import { periodicSlopes } from '../time/spline';
import { add, cross, dot, fromAxis, length, normalize, rotate, scale, subtract, type Vec3 } from './vector';

// Five-point Gauss–Legendre rule on −1..1 (Abramowitz & Stegun, table 25.4).
const NODES = [-0.906179845938664, -0.5384693101056831, 0, 0.5384693101056831, 0.906179845938664];
const WEIGHTS = [
  0.23692688505618908, 0.47862867049936647, 0.5688888888888889, 0.47862867049936647, 0.23692688505618908,
];

/** Stretches of the arc-length table between two control points. */
const PARTS = 24;

interface Cubic {
  at(t: number): Vec3;
  /** per unit of t, which runs from 0 to 1 around the curve */
  slopeAt(t: number): Vec3;
}

/**
 * The C2 cubic through the points, at knots spread by the square root of their distances (centripetal). Each time round it
 * is moved by `gain`: what is left without an even share of it is periodic.
 */
function periodicCubic(points: readonly Vec3[], gain: Vec3): { cubic: Cubic; knots: number[] } {
  const n = points.length;
  const next = points.map((_, i): Vec3 => (i + 1 < n ? points[i + 1] : add(points[0], gain)));
  const gaps = points.map((p, i) => Math.sqrt(Math.max(1e-9, length(subtract(next[i], p)))));
  const total = gaps.reduce((sum, gap) => sum + gap, 0);
  const knots = gaps.map((_, i) => gaps.slice(0, i).reduce((sum, gap) => sum + gap, 0) / total);
  const held = points.map((p, i) => subtract(p, scale(gain, knots[i])));
  const slopes = [0, 1, 2].map((k) =>
    periodicSlopes(
      knots,
      held.map((p) => p[k]),
    ),
  );
  const stretch = (t: number): { i: number; j: number; u: number; width: number } => {
    const wrapped = t - Math.floor(t);
    let i = n - 1;
    while (i > 0 && knots[i] > wrapped) i--;
    const width = (i + 1 < n ? knots[i + 1] : 1) - knots[i];
    return { i, j: (i + 1) % n, u: (wrapped - knots[i]) / width, width };
  };
  const cubic: Cubic = {
    at(t) {
      const { i, j, u, width } = stretch(t);
      const v = 1 - u;
      return [0, 1, 2].map(
        (k) =>
          gain[k] * t +
          held[i][k] * v * v * (1 + 2 * u) +
          held[j][k] * u * u * (3 - 2 * u) +
          width * u * v * (slopes[k][i] * v - slopes[k][j] * u),
      ) as Vec3;
    },
    slopeAt(t) {
      const { i, j, u, width } = stretch(t);
      return [0, 1, 2].map(
        (k) =>
          gain[k] +
          ((held[j][k] - held[i][k]) / width) * 6 * u * (1 - u) +
          slopes[k][i] * (1 - u) * (1 - 3 * u) +
          slopes[k][j] * u * (3 * u - 2),
      ) as Vec3;
    },
  };
  return { cubic, knots };
}

const integral = (cubic: Cubic, from: number, to: number): number =>
  NODES.reduce(
    (sum, node, i) => sum + WEIGHTS[i] * length(cubic.slopeAt((from + to) / 2 + (node * (to - from)) / 2)),
    0,
  ) *
  ((to - from) / 2);

/**
 * The smooth (C2) path through at least two points, by arc length, that returns to the first or, with a gain, to where the
 * gain has moved it. Beyond its length it goes round again.
 * Frames are rotation-minimising, with what they are twisted after one round spread evenly, so that they close; the first
 * is as upright as it can be.
 */
export function closedSpline(points: readonly Vec3[], gain: Vec3 = [0, 0, 0]): Path {
  const { cubic, knots } = periodicCubic(points, gain);
  const times = knots.flatMap((from, i) => {
    const to = i + 1 < knots.length ? knots[i + 1] : 1;
    return Array.from({ length: PARTS }, (_, k) => from + ((to - from) * k) / PARTS);
  });
  times.push(1);
  const lengths = [0];
  for (let i = 1; i < times.length; i++) lengths.push(lengths[i - 1] + integral(cubic, times[i - 1], times[i]));
  const total = lengths[lengths.length - 1];

  /** index of the table's stretch that holds s, and the parameter there */
  const locate = (s: number): { index: number; t: number; s: number; rounds: number } => {
    const rounds = Math.floor(s / total);
    const wrapped = s - rounds * total;
    let low = 0;
    let high = lengths.length - 2;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (lengths[middle] <= wrapped) low = middle;
      else high = middle - 1;
    }
    const share = (wrapped - lengths[low]) / Math.max(1e-12, lengths[low + 1] - lengths[low]);
    let t = times[low] + share * (times[low + 1] - times[low]);
    // Newton: the slope of arc length over t is the speed
    for (let step = 0; step < 4; step++) {
      const off = lengths[low] + integral(cubic, times[low], t) - wrapped;
      if (Math.abs(off) < total * 1e-12) break;
      t -= off / Math.max(1e-9, length(cubic.slopeAt(t)));
    }
    return { index: low, t, s: wrapped, rounds };
  };

  const places = times.map((t) => cubic.at(t));
  const tangents = times.map((t) => normalize(cubic.slopeAt(t)));
  const ups = doubleReflection(places, tangents, levelUp(tangents[0]));
  const twist = angleAbout(tangents[0], ups[ups.length - 1], ups[0]);
  const frameAt = (s: number): Frame => {
    const { index, t, s: wrapped } = locate(s);
    const tangent = normalize(cubic.slopeAt(t));
    const carried =
      t - times[index] < 1e-12
        ? ups[index]
        : doubleReflection([places[index], cubic.at(t)], [tangents[index], tangent], ups[index])[1];
    const turned = rotate(fromAxis(tangent, (twist * wrapped) / total), carried);
    const up = normalize(subtract(turned, scale(tangent, dot(turned, tangent))));
    return { tangent, up, right: cross(tangent, up) };
  };
  const pointAt = (s: number): Vec3 => {
    const { t, rounds } = locate(s);
    return add(cubic.at(t), scale(gain, rounds));
  };
  return { length: total, pointAt, frameAt };
}
