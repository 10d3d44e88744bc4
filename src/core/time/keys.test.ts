import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluateAnimated, type Ease, type Key } from './animated';
import {
  copyKeys,
  easeKeys,
  handleAt,
  hullOf,
  moveHandle,
  moveKeys,
  pasteKeys,
  removeKeys,
  snapPhase,
  stretchOf,
} from './keys';

const keys = (...list: [number, number, Ease?][]): Key[] =>
  list.map(([at, value, ease = 'smooth'], i) => ({ id: `k${i}`, at, value, ease }));
const ids = (...list: number[]): Set<string> => new Set(list.map((i) => `k${i}`));
const value = (list: readonly Key[], phase: number): number =>
  evaluateAnimated({ law: 'keyed', keys: [...list] }, phase);
const slope = (list: readonly Key[], phase: number, side: 1 | -1): number =>
  (value(list, phase + side * 1e-6) - value(list, phase)) / (side * 1e-6);

describe('editing keys', () => {
  it('snaps to frames and to beats that are on frames', () => {
    expect(snapPhase(0.123, 100, null)).toBeCloseTo(0.12, 12);
    expect(snapPhase(-0.004, 100, null)).toBe(0);
    expect(snapPhase(0.998, 100, null)).toBe(0);
    expect(snapPhase(0.2, 100, 7)).toBeCloseTo(0.14, 12);
  });

  it('several move together, around the seam, and never onto one that stays', () => {
    const list = keys([0, 1], [0.9, 2], [0.5, 3]);
    const moved = moveKeys(list, ids(0, 1), { phase: 0.2, value: 1 }, 100);
    expect(moved.map(({ id, at, value: v }) => [id, at, v])).toEqual([
      ['k1', 0.1, 3],
      ['k0', 0.2, 2],
      ['k2', 0.5, 3],
    ]);
    const blocked = moveKeys(list, ids(0), { phase: 0.5, value: 1 }, 100);
    expect(blocked.find(({ id }) => id === 'k0')).toMatchObject({ at: 0, value: 2 });
  });

  it('are eased many at once, and removed but for one', () => {
    const list = keys([0, 1], [0.3, 2], [0.6, 3]);
    expect(easeKeys(list, ids(0, 2), 'linear').map(({ ease }) => ease)).toEqual(['linear', 'smooth', 'linear']);
    expect(removeKeys(list, ids(0, 1)).length).toBe(1);
    expect(removeKeys(list, ids(0, 1, 2)).length).toBe(1);
  });

  it('a group across the seam is copied as one and pasted where wanted, replacing what is there', () => {
    const list = keys([0.95, 1], [0.05, 2, 'hold'], [0.5, 3]);
    const clip = copyKeys(list, ids(0, 1));
    expect(clip.map(({ after, value: v }) => [Number(after.toFixed(9)), v])).toEqual([
      [0, 1],
      [0.1, 2],
    ]);
    let n = 0;
    const { keys: pasted, pasted: made } = pasteKeys(list, clip, 0.4, 100, () => `n${n++}`);
    expect(pasted.map(({ at, value: v }) => [at, v])).toEqual([
      [0.05, 2],
      [0.4, 1],
      [0.5, 2],
      [0.95, 1],
    ]);
    expect(made).toEqual(['n0', 'n1']);
    expect(copyKeys(list, new Set())).toEqual([]);
  });
});

describe('curve handles', () => {
  const list = keys([0.1, 1], [0.4, 5], [0.8, 2]);

  it('a smooth or straight stretch becomes the Bézier that draws the same curve', () => {
    for (const ease of ['smooth', 'linear'] as const) {
      const before = easeKeys(list, ids(0, 1, 2), ease);
      for (let index = 0; index < 3; index++) {
        const there = handleAt(before, index, 'leaves');
        if (!there) throw new Error('no handle');
        // dragged to where it is
        const after = moveHandle(before, index, 'leaves', there, false);
        expect(Array.isArray(after[index].ease)).toBe(true);
        for (let i = 0; i < 300; i++) expect(value(after, i / 300)).toBeCloseTo(value(before, i / 300), 2);
      }
    }
  });

  it('is where it was dragged to, however far that is', () => {
    for (const to of [
      { phase: 0.2, value: 4 },
      { phase: 0.3, value: 1e5 },
    ]) {
      const moved = moveHandle(list, 0, 'leaves', to, false);
      expect(handleAt(moved, 0, 'leaves')?.phase).toBeCloseTo(to.phase, 3);
      expect((handleAt(moved, 0, 'leaves')?.value ?? 0) / to.value).toBeCloseTo(1, 3);
      const far = moveHandle(list, 0, 'arrives', to, false);
      expect((handleAt(far, 0, 'arrives')?.value ?? 0) / to.value).toBeCloseTo(1, 3);
    }
  });

  it('lifts the curve off two keys that are level, and both handles stay where they are', () => {
    for (const ease of ['smooth', 'linear', [0.4, 0, 0.6, 1]] as const) {
      const level = keys([0.2, 3, ease as Ease], [0.6, 3]);
      expect(handleAt(level, 0, 'leaves')?.value).toBeCloseTo(3, 9);
      expect(handleAt(level, 0, 'arrives')?.value).toBeCloseTo(3, 9);
      const lifted = moveHandle(level, 0, 'leaves', { phase: 0.36, value: 7 }, false);
      expect(handleAt(lifted, 0, 'leaves')).toEqual({ phase: 0.36, value: 7 });
      expect(handleAt(lifted, 0, 'arrives')?.value).toBeCloseTo(3, 9);
      // de Casteljau at the parameter ½: (v0 + 3 v1 + 3 v2 + v3) / 8, at the phase of the same mean
      const x2 = handleAt(lifted, 0, 'arrives')?.phase ?? 0;
      expect(value(lifted, (0.2 + 3 * 0.36 + 3 * x2 + 0.6) / 8)).toBeCloseTo((3 + 21 + 9 + 3) / 8, 6);
      expect(value(lifted, 0.2)).toBe(3);
      expect(value(lifted, 0.6)).toBe(3);
      // a key dragged off the level takes its handle along
      const off = moveKeys(lifted, ids(1), { phase: 0, value: 2 }, 100);
      expect(handleAt(off, 0, 'leaves')?.value).toBe(7);
      expect(handleAt(off, 0, 'arrives')?.value).toBeCloseTo(5, 9);
    }
  });

  it('no curve leaves the hull of its keys and handles', () => {
    const any = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 }), fc.double({ min: 0, max: 1, noNaN: true }), any, (index, p, v) => {
        const moved = moveHandle(list, index, 'leaves', { phase: p, value: v }, true);
        const hull = hullOf(moved);
        for (let k = 0; k < 100; k++) {
          const here = value(moved, k / 100);
          expect(here).toBeGreaterThan(Math.min(...hull) - 1e-6);
          expect(here).toBeLessThan(Math.max(...hull) + 1e-6);
        }
      }),
    );
  });

  it('keeps the curve smooth through its key, the one at the seam too', () => {
    const seam = keys([0, 0], [0.5, 3], [0.7, 1]);
    for (const [index, end, key] of [
      [0, 'leaves', 0],
      [2, 'arrives', 0],
      [1, 'leaves', 1],
    ] as const) {
      const moved = moveHandle(
        seam,
        index,
        end,
        end === 'leaves'
          ? { phase: seam[index].at + 0.06, value: seam[index].value + 0.7 }
          : { phase: 0.9, value: -0.4 },
        true,
      );
      const at = moved[key].at;
      expect(slope(moved, at, 1)).toBeCloseTo(slope(moved, at + 1, -1), 2);
    }
  });

  it('holds, and a key alone, have none', () => {
    expect(handleAt(keys([0, 1, 'hold'], [0.5, 2]), 0, 'leaves')).toBeNull();
    expect(handleAt(keys([0, 1]), 0, 'leaves')).toBeNull();
    expect(stretchOf(keys([0.2, 1], [0.9, 2]), 1).width).toBeCloseTo(0.3, 12);
  });

  it('dragging never breaks the keys', () => {
    const any = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 }),
        fc.constantFrom('leaves', 'arrives'),
        any,
        any,
        fc.boolean(),
        (i, end, p, v, smooth) => {
          const moved = moveHandle(list, i, end as 'leaves', { phase: p, value: v }, smooth);
          expect(moved.map(({ at, value: n }) => [at, n])).toEqual(list.map(({ at, value: n }) => [at, n]));
          for (let k = 0; k < 20; k++) expect(Number.isFinite(value(moved, k / 20))).toBe(true);
        },
      ),
    );
  });
});
