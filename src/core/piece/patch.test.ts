import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { difference, patched } from './patch';
import { setAt } from './paths';

const name = fc.string({ maxLength: 3 }).filter((text) => text !== '__proto__');
const json = fc.letrec((tie) => ({
  value: fc.oneof(
    { maxDepth: 4 },
    fc.integer({ min: 0, max: 3 }),
    fc.constant(null),
    fc.array(tie('value'), { maxLength: 4 }),
    fc.dictionary(name, tie('value'), { maxKeys: 4 }),
  ),
})).value;

describe('patches', () => {
  it('turn any document into any other, and leave the first as it was', () => {
    fc.assert(
      fc.property(json, json, (before, after) => {
        const kept = JSON.stringify(before);
        expect(patched(before, difference(before, after))).toEqual(after);
        expect(JSON.stringify(before)).toBe(kept);
      }),
    );
  });

  it('survive being written as JSON', () => {
    fc.assert(
      fc.property(json, json, (before, after) => {
        const read = JSON.parse(JSON.stringify(difference(before, after))) as ReturnType<typeof difference>;
        expect(patched(before, read)).toEqual(after);
      }),
    );
  });

  it('an edit of one value is one small change, whatever the size of the piece', () => {
    const { piece } = JSON.parse(readFileSync('demo/lamp-dome.isomorph.json', 'utf8')) as { piece: object };
    const edited = setAt(piece, ['layers', 1, 'seed'], 77);
    expect(difference(piece, edited)).toEqual([{ path: ['layers', 1, 'seed'], set: 77 }]);
  });

  it('a layer put between others is one insertion', () => {
    expect(difference({ layers: [{ a: 1 }, { b: 2 }] }, { layers: [{ a: 1 }, { c: 3 }, { b: 2 }] })).toEqual([
      { path: ['layers'], at: 1, remove: 0, insert: [{ c: 3 }] },
    ]);
  });

  it('a patch for another document is refused', () => {
    expect(() => patched({ layers: [] }, [{ path: ['layers', 2, 'seed'], set: 1 }])).toThrow(RangeError);
    expect(() => patched({ layers: 3 }, [{ path: ['layers'], at: 0, remove: 0, insert: [1] }])).toThrow(RangeError);
  });
});
