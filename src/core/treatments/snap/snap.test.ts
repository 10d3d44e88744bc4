import { describe, expect, it } from 'vitest';
import { shownPhase } from '../../world/pipeline';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('snap', () => {
  it('snap holds whole frames, and the open shutter sees nothing move', () => {
    const { layers } = pieceWith({ kind: 'field' }, [treat('snap', { steps: 50 })]);
    const shown = (frame: number, off = 0): number => shownPhase(layers[0], (frame + off) / 100, frame / 100, 100);
    expect(shown(6)).toBeCloseTo(0.06, 12);
    expect(shown(7)).toBeCloseTo(0.06, 12);
    expect(shown(7, 0.4)).toBeCloseTo(0.06, 12);
    expect(shown(8)).toBeCloseTo(0.08, 12);
    const held = new Set(Array.from({ length: 100 }, (_, frame) => shown(frame).toFixed(9)));
    expect(held.size).toBe(50);
    // a lap on it shows the same steps, one lap on
    expect(shown(107) - shown(7)).toBeCloseTo(1, 12);
  });
});
