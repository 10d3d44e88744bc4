import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('stagger', () => {
  it('stagger lets them arrive one after another', () => {
    const at = (amount: number) =>
      layerElements(
        pieceWith({ kind: 'copies', arrangement: 'line', count: 10 }, [
          treat('stagger', { amount, overlap: 0.1, ease: 'even' }),
        ]),
        'one',
        0,
      ).size;
    expect([...at(0)].every((s) => s === 0)).toBe(true);
    const half = [...at(0.5)];
    expect(half.slice(0, 4).every((s) => s > 0.29)).toBe(true);
    expect(half.slice(6).every((s) => s === 0)).toBe(true);
    expect([...at(1)].every((s) => Math.abs(s - 0.3) < 1e-6)).toBe(true);
  });
});
