import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { definitionOf } from '../layers/kinds';
import { worldOf } from '../world/layers';
import { drawsLines, lineValues, type Lines } from './lines';

const linesOf = (fields: object): Lines => {
  const piece = pieceOf({ kind: 'copies', lines: { drawn: 'edges', ...fields } } as never);
  const { lines } = definitionOf('copies').look(piece.layers[0], worldOf(piece), 0);
  if (!drawsLines(lines)) throw new Error('no lines');
  return lines;
};

describe('drawn lines', () => {
  it('are none at first', () => {
    const piece = pieceOf({ kind: 'copies' });
    expect(drawsLines(definitionOf('copies').look(piece.layers[0], worldOf(piece), 0).lines)).toBe(false);
  });

  it('are redrawn by whole cycles: after a lap they are as before', () => {
    const swing = (middle: number) => ({
      law: 'swing',
      middle,
      reach: middle / 2,
      cycles: 2,
      wave: 'sine',
      shift: 0.2,
    });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 64 }), fc.integer({ min: 0, max: 255 }), (cycles, n) => {
        const lines = linesOf({ cycles, wide: swing(0.004), waver: swing(2), shines: swing(1) });
        const [now, later] = [n / 256, n / 256 + 1].map((phase) => lineValues(lines, phase));
        now.forEach((v, i) => expect(Math.abs(v - later[i])).toBeLessThan(1e-9));
      }),
      { seed: 2, numRuns: 200 },
    );
  });

  it('say which edges they follow', () => {
    const flags = (fields: object): number[] => lineValues(linesOf(fields), 0).slice(8, 11);
    expect(flags({ sharper: 60 }).map((v) => Number(v.toFixed(6)))).toEqual([1, 0.5, 1]);
    // nothing is folded by more than all of a turn, everything by less than none
    expect(flags({ contours: false, creases: false, borders: false })).toEqual([0, -2, 0]);
    expect(flags({ drawn: 'wire', contours: false, creases: false, borders: false })).toEqual([1, 2, 1]);
  });

  it('are as wide as a share of the frame, or as metres', () => {
    const width = (fields: object): number[] => lineValues(linesOf(fields), 0).slice(0, 2);
    expect(width({ by: 'frame', wide: 0.01, metres: 0.3 })).toEqual([0.01, 0]);
    expect(width({ by: 'metres', wide: 0.01, metres: 0.3 })).toEqual([0.3, 1]);
  });
});
