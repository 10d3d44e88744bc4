import { readdirSync } from 'node:fs';
import { expect, it } from 'vitest';
import { recipes } from '../state/recipes';
import { contentKey } from './strip';

it('a thumbnail is known by what its piece looks like, not by its name or id', () => {
  const [piece] = recipes;
  expect(contentKey({ ...piece, id: 'other', name: 'Other', deliveries: [] })).toBe(contentKey(piece));
  expect(contentKey({ ...piece, look: { ...piece.look, reach: 0.9 + piece.look.reach } })).not.toBe(contentKey(piece));
  expect(new Set(recipes.map(contentKey)).size).toBe(recipes.length);
});

it('every recipe ships with the strip of what it looks like now; npm run strips draws those that are missing', () => {
  const keys = readdirSync('stock/strips').map((name) => name.split('.')[1]);
  expect(recipes.map(contentKey).sort()).toEqual(keys.sort());
});
