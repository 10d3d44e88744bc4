import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('face', () => {
  it('looking at a point turns every front to it, the top staying up', () => {
    const piece = pieceWith({ kind: 'copies', arrangement: 'grid', align: false }, [
      treat('face', { to: 'point', aside: 3, above: 2, ahead: 1 }),
    ]);
    const { position, rotation, count } = layerElements(piece, 'one', 0);
    for (let i = 0; i < count; i++) {
      const [x, y, z, w] = rotation.subarray(i * 4, i * 4 + 4);
      const front = [2 * (x * z + w * y), 2 * (y * z - w * x), 1 - 2 * (x * x + y * y)];
      const right = [1 - 2 * (y * y + z * z), 2 * (x * y + w * z), 2 * (x * z - w * y)];
      const away = [3, 2, -1].map((v, k) => v - position[i * 3 + k]);
      const length = Math.hypot(...away);
      away.forEach((v, k) => expect(front[k]).toBeCloseTo(v / length, 4));
      expect(right[1]).toBeCloseTo(0, 5);
    }
  });
});
