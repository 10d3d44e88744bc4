import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('disorder', () => {
  it('disorder moves rings as wholes: their corners keep their distances up to the ring’s own scale', () => {
    const piece = pieceWith({ kind: 'tunnel', rings: 10, sides: 5, nested: 0, twist: 0 }, [
      treat('disorder', { shiftX: 1, shiftY: 1, shiftZ: 1, turns: 0.2, spread: 0 }),
    ]);
    const { position } = layerElements(piece, 'one', 0);
    const side = (ring: number, corner: number): number => {
      const [a, b] = [(ring * 5 + corner) * 3, (ring * 5 + ((corner + 1) % 5)) * 3];
      return Math.hypot(
        position[a] - position[b],
        position[a + 1] - position[b + 1],
        position[a + 2] - position[b + 2],
      );
    };
    for (let ring = 0; ring < 10; ring++)
      for (let corner = 0; corner < 5; corner++)
        expect(side(ring, corner)).toBeCloseTo(2 * 2 * Math.sin(Math.PI / 5), 4);
  });
});
