import { expect, it } from 'vitest';
import { ExchangeForm } from '../../core/solids/exchange';
import { newTreatment } from '../../core/treatments/kinds';
import { treatedPiece } from '../../../tests/pieces';
import { openExchanges, openStretches } from './openStretches';

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

it('stretches in which the open layer shows another body, the later exchange over the earlier, across the seam too', () => {
  const exchange = (more: object) =>
    ExchangeForm.schema.parse({ id: 'e', body: 'torus', who: 'all', wait: 0, ...more });
  const piece = treatedPiece({
    kind: 'copies',
    exchanges: [exchange({ from: 10, to: 40 }), exchange({ from: 30, to: 50 }), exchange({ from: 95, to: 3 })],
  });
  const { frames } = piece.lap;
  expect(frames).toBe(100);
  const rounded = openExchanges(piece, 'one').map(({ from, length }) => [
    Math.round(from * 100),
    Math.round(length * 100),
  ]);
  expect(rounded).toEqual([
    [10, 20],
    [30, 20],
    [0, 3],
    [95, 5],
  ]);
  expect(openExchanges(piece, null)).toEqual([]);
  expect(openExchanges(treatedPiece({ kind: 'field' }), 'one')).toEqual([]);
});
