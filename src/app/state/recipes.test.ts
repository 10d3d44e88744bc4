import { stateReport } from '../../core/seam/report';
import { describe, expect, it } from 'vitest';
import { PieceSchema } from '../../core/piece/schema';
import { firstDeliveries } from '../steps/export/Export';
import { blankPiece, copyOf, recipes } from './recipes';

describe('recipes', () => {
  it('all that ship are read', () => {
    expect(recipes.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Ropewalk tunnel', 'Plankton bloom', 'Slipway spiral']),
    );
  });

  it('a blank lap is legal and closes', () => {
    expect(PieceSchema.safeParse(blankPiece()).success).toBe(true);
    expect(stateReport(blankPiece()).ok).toBe(true);
  });

  it('a copy is another piece of the same look', () => {
    const copy = copyOf(recipes[0]);
    expect(copy.id).not.toBe(recipes[0].id);
    expect(copy.layers).toBe(recipes[0].layers);
  });

  it('first deliveries are legal, even-sized, and in the frame’s shape', () => {
    for (const [width, height] of [
      [1920, 1080],
      [3840, 480],
      [1081, 1921],
    ]) {
      const piece = { ...blankPiece(), frame: { width, height } };
      const deliveries = firstDeliveries(piece);
      expect(PieceSchema.safeParse({ ...piece, deliveries }).success).toBe(true);
      for (const d of deliveries) {
        expect([d.width % 2, d.height % 2]).toEqual([0, 0]);
        expect(d.width / d.height / (width / height)).toBeCloseTo(1, 1);
      }
    }
  });
});
