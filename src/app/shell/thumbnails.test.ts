import { expect, it } from 'vitest';
import { recipes } from '../state/recipes';
import { contentKey } from './thumbnails';

it('a thumbnail is known by what its piece looks like, not by its name or id', () => {
  const [piece] = recipes;
  expect(contentKey({ ...piece, id: 'other', name: 'Other', deliveries: [] })).toBe(contentKey(piece));
  expect(contentKey({ ...piece, look: { ...piece.look, vignette: 0.9 } })).not.toBe(contentKey(piece));
  expect(new Set(recipes.map(contentKey)).size).toBe(recipes.length);
});
