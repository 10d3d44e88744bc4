import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../random/hash';
import { worstMatch, type Elements } from './match';

const elements = (points: number[][], look = 0.5): Elements => ({
  count: points.length,
  position: Float64Array.from(points.flat()),
  scale: new Float64Array(points.length).fill(0.1),
  place: new Float64Array(points.length).fill(look),
  light: new Float64Array(points.length).fill(1),
});
const cloud = (count: number): number[][] =>
  Array.from({ length: count }, (_, i) => {
    const [x, y, z] = hash4(i, 1, 1, 1).map(unitFrom);
    return [x * 4 - 2, y * 4 - 2, -z * 8];
  });
const ring = (turn: number): number[][] =>
  Array.from({ length: 5 }, (_, i) => [
    Math.cos(2 * Math.PI * (i / 5 + turn)),
    Math.sin(2 * Math.PI * (i / 5 + turn)),
    -1,
  ]);

describe('matching sets of elements', () => {
  it('a set matches itself, in any order', () => {
    const points = cloud(500);
    const { gap, pairs } = worstMatch(elements(points), elements([...points].reverse()), 8, 8);
    expect(gap).toBeLessThan(1e-6);
    expect([...pairs].slice(0, 3)).toEqual([499, 498, 497]);
  });

  it('wraps along the tile, also across its borders', () => {
    const points = cloud(300);
    const moved = points.map(([x, y, z]) => [x, y, z - 8]);
    expect(worstMatch(elements(points), elements(moved), 8, 8).gap).toBeLessThan(1e-5);
    const shifted = points.map(([x, y, z]) => [x, y, z - 8.02]);
    const { gap } = worstMatch(elements(points), elements(shifted), 8, 8);
    expect(gap).toBeCloseTo(0.02 / 8, 4);
  });

  it('a ring turned by one of its sides matches although every corner moved; by half a side it does not', () => {
    expect(worstMatch(elements(ring(0)), elements(ring(1 / 5)), 8, 2).gap).toBeLessThan(1e-6);
    expect(worstMatch(elements(ring(0)), elements(ring(1 / 10)), 8, 2).gap).toBeGreaterThan(0.1);
  });

  it('one element out of place among thousands is the worst', () => {
    const points = cloud(2000);
    const popped = points.map((p, i) => (i === 1234 ? [p[0] + 0.05, p[1], p[2]] : p));
    expect(worstMatch(elements(points), elements(popped), 8, 8).gap).toBeGreaterThan(0.005);
  });

  it('colour, size and light count like place', () => {
    const points = ring(0);
    expect(worstMatch(elements(points, 0.5), elements(points, 0.7), 8, 2).gap).toBeCloseTo(0.2, 5);
    const larger = elements(points);
    larger.scale.fill(0.125);
    expect(worstMatch(elements(points), larger, 8, 2).gap).toBeCloseTo(0.2, 5);
    const brighter = elements(points);
    brighter.light.fill(2);
    expect(worstMatch(elements(points), brighter, 8, 2).gap).toBeCloseTo(0.5, 5);
  });
});
