import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../../random/hash';
import { linkPoints, relink, type Links } from './neighbours';

const cloud = (count: number, seed = 1, size = [4, 3, 8]): Float64Array =>
  Float64Array.from({ length: count * 3 }, (_, n) => {
    const u = unitFrom(hash4(Math.floor(n / 3), seed, 1, 1)[n % 3]);
    return n % 3 === 2 ? -u * size[2] : (u - 0.5) * size[n % 3];
  });
const asSet = (links: Links): Set<string> =>
  new Set(
    Array.from({ length: links.count }, (_, n) => {
      const [a, b] = links.pairs.subarray(n * 2, n * 2 + 2);
      return `${Math.min(a, b)}-${Math.max(a, b)}`;
    }),
  );
const gap = (p: Float64Array, a: number, q: Float64Array, b: number, tile = 0): number => {
  let z = q[b * 3 + 2] - p[a * 3 + 2];
  if (tile > 0) z -= tile * Math.round(z / tile);
  return Math.hypot(q[b * 3] - p[a * 3], q[b * 3 + 1] - p[a * 3 + 1], z);
};

describe('links between points', () => {
  it.each([0, 8])('are those that brute force finds (tile %d)', (tile) => {
    const p = cloud(700);
    const found = asSet(linkPoints(p, null, { limit: 0.6, most: 0, tile }));
    const wanted = new Set<string>();
    for (let i = 0; i < 700; i++)
      for (let j = i + 1; j < 700; j++) if (gap(p, i, p, j, tile) < 0.6) wanted.add(`${i}-${j}`);
    expect(found).toEqual(wanted);
    expect(wanted.size).toBeGreaterThan(100);
  });

  it('go from one group to another', () => {
    const [p, q] = [cloud(300, 1), cloud(200, 2)];
    const links = linkPoints(p, q, { limit: 0.7, most: 0, tile: 0 });
    let wanted = 0;
    for (let i = 0; i < 300; i++) for (let j = 0; j < 200; j++) if (gap(p, i, q, j) < 0.7) wanted++;
    expect(links.count).toBe(wanted);
    for (let n = 0; n < links.count; n++)
      expect(links.closeness[n]).toBeCloseTo(1 - gap(p, links.pairs[n * 2], q, links.pairs[n * 2 + 1]) / 0.7, 4);
  });

  it('are at most so many at a point', () => {
    const p = cloud(2000);
    const links = linkPoints(p, null, { limit: 0.9, most: 4, tile: 8 });
    const degree = new Uint32Array(2000);
    for (const point of links.pairs.subarray(0, links.count * 2)) degree[point]++;
    expect(Math.max(...degree)).toBeLessThanOrEqual(4);
    expect(degree.reduce((a, b) => a + b) / 2000).toBeGreaterThan(2);
  });

  it.each([0, 3])('do not flicker: closeness changes little when points move little (most %d)', (most) => {
    const options = { limit: 0.8, most, tile: 8 };
    const at = (t: number): Links => {
      const p = cloud(400);
      for (let i = 0; i < p.length; i++) p[i] += 0.25 * Math.sin(t * 2 * Math.PI + i);
      return linkPoints(p, null, options);
    };
    const values = (links: Links): Map<string, number> =>
      new Map(
        Array.from({ length: links.count }, (_, n) => [
          `${links.pairs[n * 2]}-${links.pairs[n * 2 + 1]}`,
          links.closeness[n],
        ]),
      );
    let jump = 0;
    let appeared = 0;
    const step = 1 / 2000;
    // nothing moves faster than this per step, and a limit of its own may be as short as the distance of a neighbour
    const moved = 2 * 0.25 * 2 * Math.PI * step * Math.sqrt(3);
    for (let s = 0; s < 40; s++) {
      const [before, after] = [values(at(s * step)), values(at((s + 1) * step))];
      for (const [key, value] of after) {
        if (!before.has(key)) appeared = Math.max(appeared, value);
        else jump = Math.max(jump, Math.abs(value - (before.get(key) ?? 0)));
      }
    }
    expect(appeared).toBeLessThan(0.12);
    expect(jump).toBeLessThan(0.15);
    expect(moved).toBeLessThan(0.003);
  });

  it('no points, one point, points in one place', () => {
    const options = { limit: 1, most: 4, tile: 0 };
    expect(linkPoints(new Float64Array(0), null, options).count).toBe(0);
    expect(linkPoints(new Float64Array(3), null, options).count).toBe(0);
    const same = linkPoints(new Float64Array(9), null, options);
    expect(same.count).toBe(3);
    expect([...same.closeness.subarray(0, 3)]).toEqual([1, 1, 1]);
    expect(linkPoints(cloud(5), new Float64Array(0), options).count).toBe(0);
  });
});

it('two moments become one list, each line with its closeness at both', () => {
  const link = (pairs: number[], closeness: number[]): Links => ({
    count: closeness.length,
    pairs: Uint32Array.from(pairs),
    closeness: Float32Array.from(closeness),
    shift: new Int8Array(closeness.length),
  });
  const both = relink(link([0, 1, 1, 2], [0.5, 0.25]), link([1, 2, 3, 4], [0.75, 0.125]));
  expect([...both.pairs]).toEqual([0, 1, 1, 2, 3, 4]);
  expect([...both.marks]).toEqual([0.5, 0, 0, 0.25, 0.75, 0, 0, 0.125, 0]);
});
