import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newLayer, definitionOf, LAYERS } from '../layers/kinds';
import { toDocument } from '../piece/document';
import { siblingOf } from '../piece/siblings';
import { parsePiece } from '../world/open';
import { MATTER, matterField, matterOf, newMatter } from './kinds';

describe('matter', () => {
  it.each(MATTER.names.map((kind) => [kind]))(
    '%s is at most twelve numbers, in the order its program reads them',
    (kind) => {
      const values = matterOf(kind).values(newMatter(kind), 0.3);
      expect(values.length).toBeLessThanOrEqual(12);
      for (const v of values) expect(Number.isFinite(v)).toBe(true);
      // metal, roughness and what shines are the first three of every kind
      expect(
        matterOf(kind)
          .values(newMatter(kind, { metal: 0.3, rough: 0.7, glowing: 2 }), 0.3)
          .slice(0, 3),
      ).toEqual(['metal' in newMatter(kind) ? 0.3 : 0, 'rough' in newMatter(kind) ? 0.7 : 1, 2]);
    },
  );

  it('made another kind keeps what both have', () => {
    const { parts } = matterField();
    const polished = newMatter('plain', { metal: 0.9, rough: 0.1 });
    const thin = parts?.remade?.(polished, 'film') ?? {};
    expect(thin).toMatchObject({ kind: 'film', metal: 0.9, rough: 0.1, glowing: 0, film: 1 });
    expect(parts?.remade?.(thin, 'plain')).toEqual(polished);
  });

  it('a sibling of a layer may be of other matter, and is always legal', () => {
    const copies = newLayer('copies', 'a', 'A');
    const form = definitionOf('copies').form;
    const siblings = Array.from({ length: 12 }, (_, seed) =>
      siblingOf(copies, { form, steps: () => ({}) }, { seed, boldness: 1 }),
    );
    for (const sibling of siblings) expect(LAYERS.schema.safeParse(sibling).success).toBe(true);
    const rough = siblings.map((sibling) =>
      'matter' in sibling && 'rough' in sibling.matter ? sibling.matter.rough : NaN,
    );
    expect(new Set(rough).size).toBeGreaterThan(3);
  });
});

describe('a document with the values of version 5', () => {
  const matterAfter = (fields: object): unknown => {
    const document = toDocument(pieceOf({ kind: 'copies' }));
    const layers = document.piece.layers.map((layer) => {
      const entries = Object.entries(layer).filter(([name]) => name !== 'matter');
      return { ...Object.fromEntries(entries), ...fields };
    });
    const read = parsePiece({ ...document, version: 5, piece: { ...document.piece, layers } });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.unknown).toEqual([]);
    const [layer] = read.piece.layers;
    return 'matter' in layer ? layer.matter : null;
  };

  it('has the same matter', () => {
    expect(matterAfter({})).toEqual(newMatter('plain'));
    expect(matterAfter({ metal: 0.9, rough: 0.2, glowing: 3, film: 0 })).toEqual(
      newMatter('plain', { metal: 0.9, rough: 0.2, glowing: 3 }),
    );
    expect(matterAfter({ film: 0.4 })).toEqual(newMatter('film', { film: 0.4, rough: 0.45 }));
  });

  it('lights and particles have none', () => {
    expect(matterOf('plain').label).toBe('Plain');
    expect('matter' in newLayer('field', 'a', 'A')).toBe(false);
  });
});
