import { expect, it } from 'vitest';
import { newTreatment } from '../../core/treatments/kinds';
import { treatedPiece } from '../../../tests/pieces';
import { openStretches } from './openStretches';

const appear = (id: string, more: object) => newTreatment('appear', id, 1, more);

it('stretches of the open layer are those in which all of its treatments leave it there', () => {
  const piece = treatedPiece({ kind: 'field' }, [
    appear('a', { from: 90, to: 40 }),
    appear('b', { how: 'gone', from: 10, to: 20 }),
    { ...appear('c', { from: 0, to: 1 }), off: true },
  ]);
  const { frames } = piece.lap;
  const rounded = openStretches(piece, 'one').map(({ from, length }) => [
    Math.round(from * frames),
    Math.round(length * frames),
  ]);
  expect(rounded).toEqual([
    [0, 10],
    [20, 20],
    [90, frames - 90],
  ]);
  expect(openStretches(piece, null)).toEqual([]);
  expect(openStretches(treatedPiece({ kind: 'field' }, []), 'one')).toEqual([]);
});
