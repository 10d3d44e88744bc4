import { describe, expect, it } from 'vitest';
import { getAt, setAt } from './paths';

const tree = { a: [{ b: 1 }, { b: 2 }], c: { d: 3 } };

describe('edits by path', () => {
  it('change one place and share the rest', () => {
    const next = setAt(tree, ['a', 1, 'b'], 9);
    expect(next).toEqual({ a: [{ b: 1 }, { b: 9 }], c: { d: 3 } });
    expect(next.a[0]).toBe(tree.a[0]);
    expect(next.c).toBe(tree.c);
    expect(tree.a[1].b).toBe(2);
  });

  it('the same value gives the same object', () => {
    expect(setAt(tree, ['c', 'd'], 3)).toBe(tree);
  });

  it('reading where nothing is gives nothing', () => {
    expect(getAt(tree, ['a', 7, 'b'])).toBeUndefined();
    expect(getAt(tree, ['a', 1, 'b'])).toBe(2);
  });
});
