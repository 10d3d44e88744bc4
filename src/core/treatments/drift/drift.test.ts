import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('drift', () => {
  it('drift carries no element farther than it says, and air that stands still holds it', () => {
    const rest = layerElements(pieceWith({ kind: 'field', count: 3000 }), 'one', 0.2);
    const at = (phase: number, more: object) =>
      layerElements(
        pieceWith({ kind: 'field', count: 3000 }, [treat('drift', { amount: 0.5, ...more })]),
        'one',
        phase,
      );
    const carried = at(0.2, {});
    let sum = 0;
    let most = 0;
    for (let i = 0; i < 3000; i++) {
      const d = Math.hypot(...[0, 1, 2].map((k) => carried.position[i * 3 + k] - rest.position[i * 3 + k]));
      sum += d;
      most = Math.max(most, d);
    }
    expect(sum / 3000).toBeGreaterThan(0.1);
    // what the engine relies on when it leaves out what it cannot see
    expect(most).toBeLessThan(4 * 0.5);
    expect(at(0.2, { cycles: 0 }).position).toEqual(at(0.7, { cycles: 0 }).position);
  });
});
