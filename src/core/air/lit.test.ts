import { describe, expect, it } from 'vitest';
import { RF } from '../kernel/scratch';
import { hash4, unitFrom } from '../random/hash';
import { add, dot, length, scale, subtract, type Vec3 } from '../space/vector';
import { litAngles, litAt, litScatter, litSpan } from './lit.gen';

const between = (u: number, low: number, high: number): number => low + u * (high - low);
const random = (i: number, salt: number): number[] => [...hash4(i, salt, 0, 9), ...hash4(i, salt, 1, 9)].map(unitFrom);
const direction = (u: number, v: number): Vec3 => {
  const z = 2 * u - 1;
  const r = Math.sqrt(1 - z * z);
  return [r * Math.cos(2 * Math.PI * v), r * Math.sin(2 * Math.PI * v), z];
};

type Four = [number, number, number, number];
const spanOf = (
  from: Vec3,
  way: Vec3,
  len: number,
  tip: Vec3,
  axis: Vec3,
  cosine: number,
  reach: number,
): [number, number] => {
  litSpan(...from, ...way, len, ...tip, ...axis, cosine, reach);
  return [RF[0], RF[1]];
};
const anglesOf = (from: Vec3, way: Vec3, [t0, t1]: [number, number], place: Vec3, radius = 0): Four => {
  litAngles(...from, ...way, t0, t1, ...place, radius);
  return [RF[0], RF[1], RF[2], RF[3]];
};

/** The light along a line, of a lamp of strength 1 that is weighed by what `left` says of a place: as pictures work it out, by so many places. */
function lit(angles: Four, places: number, left: (t: number) => number, first = 0.5): number {
  let sum = 0;
  for (let k = 0; k < places; k++) {
    litAt(...angles, (k + first) / places);
    const [t, counts] = RF;
    sum += counts * left(t);
  }
  return ((sum / places) * (angles[3] - angles[2])) / angles[1];
}

/** The exponential integral E1 of a complex number with a positive real part: its series near, a continued fraction far. */
function exponentialIntegral([x, y]: [number, number]): [number, number] {
  const times = ([a, b]: [number, number], [c, d]: [number, number]): [number, number] => [
    a * c - b * d,
    a * d + b * c,
  ];
  if (Math.hypot(x, y) < 6) {
    const EULER = 0.5772156649015329;
    const sum: [number, number] = [-EULER - Math.log(Math.hypot(x, y)), -Math.atan2(y, x)];
    let term: [number, number] = [-1, 0];
    for (let n = 1; n < 80; n++) {
      term = times(term, [-x / n, -y / n]);
      sum[0] += term[0] / n;
      sum[1] += term[1] / n;
    }
    return sum;
  }
  const over = ([a, b]: [number, number]): [number, number] => [a / (a * a + b * b), -b / (a * a + b * b)];
  let tail: [number, number] = [0, 0];
  for (let n = 120; n > 0; n--) {
    const one = over([x + tail[0], y + tail[1]]);
    const below: [number, number] = [1 + n * one[0], n * one[1]];
    const v = over(below);
    tail = [n * v[0], n * v[1]];
  }
  return times([Math.exp(-x) * Math.cos(-y), Math.exp(-x) * Math.sin(-y)], over([x + tail[0], y + tail[1]]));
}

describe('a line through the light of a lamp', () => {
  it('is cut to its cone and its reach, as places along it say', () => {
    let some = 0;
    for (let i = 0; i < 600; i++) {
      const h = random(i, 1);
      const from: Vec3 = [between(h[0], -4, 4), between(h[1], -4, 4), between(h[2], -4, 4)];
      const way = direction(h[3], h[4]);
      const axis = direction(h[5], h[6]);
      const cosine = Math.cos(between(h[7], 0.05, 1.4));
      const [t0, t1] = spanOf(from, way, 9, [0.3, 0.2, -0.1], axis, cosine, 5);
      for (let k = 0; k < 90; k++) {
        const t = (k + 0.5) / 10;
        const to = subtract(add(from, scale(way, t)), [0.3, 0.2, -0.1]);
        const inside = length(to) <= 5 && dot(to, axis) >= cosine * length(to);
        // not at its border
        if (Math.abs(length(to) - 5) < 1e-3 || Math.abs(dot(to, axis) - cosine * length(to)) < 1e-3) continue;
        if (inside) some++;
        expect(t > t0 && t < t1).toBe(inside);
      }
    }
    expect(some).toBeGreaterThan(3000);
  });

  it('shines all round without a cone', () => {
    expect(spanOf([0, 1, 6], [0, 0, -1], 20, [0, 0, 0], [0, -1, 0], -1, 5)).toEqual([
      expect.closeTo(6 - Math.sqrt(24), 9),
      expect.closeTo(6 + Math.sqrt(24), 9),
    ]);
  });

  it('holds in even air the angle under which the lamp sees it, over its distance', () => {
    const angles = anglesOf([0, 2, 5], [0, 0, -1], [0, 9], [0, 0, 0]);
    const slices = 200_000;
    let sum = 0;
    for (let i = 0; i < slices; i++) {
      const t = ((i + 0.5) / slices) * 9;
      sum += 9 / slices / (4 + (5 - t) ** 2);
    }
    for (const first of [0, 0.2, 0.7]) expect(lit(angles, 12, () => 1, first)).toBeCloseTo(sum, 8);
  });

  // Pegoraro & Parker, "An Analytical Solution to Single Scattering in Homogeneous Participating Media", Computer Graphics Forum 28(2),
  // 2009: with s metres of air that take a share e, both on the way from the lamp and to the eye, a line holds
  // 1/h e^(…) ∫ e^(-s h x) 2 / (1 + x²) dx, x the tangent of an eighth turn and half the angle, which is the imaginary part of
  // exponential integrals of complex numbers.
  it('agrees with the closed form of even fog by twelve places, within a thousandth', () => {
    for (let i = 0; i < 60; i++) {
      const h = random(i, 2);
      const fog = between(h[0], 0.02, 0.5);
      const from: Vec3 = [0, 0, between(h[1], 1, 8)];
      const place: Vec3 = [between(h[2], 0.1, 3), 0, 0];
      const way: Vec3 = [0, 0, -1];
      const len = between(h[3], 2, 14);
      const angles = anglesOf(from, way, [0, len], place);
      const [foot, far, first, last] = angles;
      const ours = lit(angles, 12, (t) => Math.exp(-fog * (t + length(subtract(add(from, scale(way, t)), place)))));
      const u = fog * far;
      const [x0, x1] = [first, last].map((angle) => Math.tan(Math.PI / 4 + angle / 2));
      const [a, b] = [exponentialIntegral([u * x0, -u]), exponentialIntegral([u * x1, -u])];
      const [re, im] = [a[0] - b[0], a[1] - b[1]];
      // the imaginary part of e^(-iu) times that
      const published = (2 / far) * Math.exp(-fog * foot) * (Math.cos(u) * im - Math.sin(u) * re);
      expect(Math.abs(ours / published - 1)).toBeLessThan(0.001);
    }
  });

  it('looks at a lamp of a size without an end to its brightness', () => {
    const [, far] = anglesOf([0, 0, 5], [0, 0, -1], [0, 9], [0, 0, 0], 0.1);
    expect(far).toBeCloseTo(0.1, 9);
  });

  it.each([-0.6, 0, 0.35, 0.8])('scatters all of the light, %d of it forward', (forward) => {
    const slices = 20_000;
    let all = 0;
    let mean = 0;
    for (let i = 0; i < slices; i++) {
      const cosine = -1 + (2 * (i + 0.5)) / slices;
      const share = litScatter(cosine, forward) * 2 * Math.PI * (2 / slices);
      all += share;
      mean += share * cosine;
    }
    expect(all).toBeCloseTo(1, 4);
    // the mean cosine is the number itself: what it is defined by
    expect(mean).toBeCloseTo(forward, 4);
  });
});
