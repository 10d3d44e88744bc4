import { expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { standardEffects } from '../../../core/look/effects/kinds';
import { beginGesture, change, startHistory } from '../../state/history';
import { comparedKey, comparedOf, comparedPiece, comparisons } from './compared';

const first = { ...pieceOf({ kind: 'field' }), name: 'first' };
const [second, third] = ['second', 'third'].map((name) => ({ ...first, name }));
const history = change(change(startHistory(first), second), third);
const kept = [{ id: 'v', name: 'Version 1', at: 0, piece: second }];
const usual = standardEffects();
const [one] = usual.filter(({ kind }) => kind !== 'tone');

it('compares with what was, with a version that was kept, and without effects', () => {
  expect(comparedPiece(history, [], { with: 'before' })).toBe(second);
  expect(comparedPiece(history, [], { with: 'opened' })).toBe(first);
  expect(comparedPiece(history, kept, { with: 'version', id: 'v' })).toBe(second);
  expect(comparedPiece(history, kept, { with: 'version', id: 'gone' })).toBeNull();
  expect(comparedPiece(history, [], null)).toBeNull();
  expect(comparedPiece(history, [], { with: 'plain' })?.look.effects.map(({ kind }) => kind)).toEqual(['tone']);
  const without = comparedPiece(history, [], { with: 'without', effect: one.id });
  expect(without?.look.effects).toEqual(usual.filter(({ id }) => id !== one.id));
});

it('compares with what was before a drag while it goes on', () =>
  expect(comparedPiece(change(beginGesture(history), first), [], { with: 'before' })).toBe(third));

it('compares with nothing where that is gone', () => {
  expect(comparedPiece(startHistory(first), [], { with: 'before' })).toBeNull();
  expect(comparedPiece(history, [], { with: 'without', effect: 'gone' })).toBeNull();
});

it('offers what there is, by keys that stand for it', () => {
  const keys = Object.keys(comparisons(history, kept));
  expect(keys.map((key) => comparedKey(comparedOf(key)))).toEqual(keys);
  expect(Object.keys(comparisons(startHistory(first), []))).not.toContain('before');
});
