import { describe, expect, it } from 'vitest';
import { apertureCells } from './cells';
import { lightPoint, type LightPoint } from './lightPoint';

const points = (total: number, shift: number): LightPoint[] =>
  Array.from({ length: total }, (_, i) => lightPoint(i, total, shift));

describe('the points of a light that passes own', () => {
  it.each([[1], [4], [16], [64], [256]])('of %i passes are one in every stripe each way', (n) => {
    for (const shift of [0, 0x12345678, 0xdeadbeef]) {
      for (const k of [0, 1, 2])
        expect(
          points(n, shift)
            .map((p) => Math.floor(p[k] * n))
            .sort((a, b) => a - b),
        ).toEqual(Array.from({ length: n }, (_, i) => i));
    }
  });

  it('one pass looks from the middle', () => {
    expect(lightPoint(0, 1, 0x9abcdef0)).toEqual([0.5, 0.5, 0.5]);
  });

  it('two lights have other points, one light always the same', () => {
    expect(points(16, 1 << 30)).not.toEqual(points(16, 0));
    expect(points(16, 77)).toEqual(points(16, 77));
  });

  it('which part of a light a pass has says nothing of its part of the lens', () => {
    const n = 64;
    const cells = apertureCells(n, 0, 0, 1);
    for (const shift of [0, 0x7a3b91c5])
      for (const k of [0, 1, 2])
        for (const of of ['a', 'b', 't'] as const) {
          // quarters of one against quarters of the other: all pairs come, none much more often than it should
          const pairs = new Map<string, number>();
          points(n, shift).forEach((p, i) => {
            const key = `${Math.floor(p[k] * 4)} ${Math.floor(cells[i][of] * 4)}`;
            pairs.set(key, (pairs.get(key) ?? 0) + 1);
          });
          expect([shift, k, of, pairs.size]).toEqual([shift, k, of, 16]);
          expect(Math.max(...pairs.values())).toBeLessThanOrEqual(8);
        }
  });
});
