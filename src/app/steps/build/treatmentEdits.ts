import type { Layer, Piece } from '../../../core/piece/schema';
import { newTreatment, type TreatmentKind } from '../../../core/treatments/kinds';
import { movedOver, newId } from '../../state/edit';

const withLayer = (piece: Piece, index: number, edit: (layer: Layer) => Layer): Piece => ({
  ...piece,
  layers: piece.layers.map((layer, i) => (i === index ? edit(layer) : layer)),
});

/** A new treatment at the end of a layer's list, with a seed of its own. */
export function addTreatment(piece: Piece, index: number, kind: TreatmentKind): { piece: Piece; id: string } {
  const id = newId('treatment');
  const { treatments } = piece.layers[index];
  const seed = 1 + treatments.reduce((most, t) => Math.max(most, t.seed), 0);
  return {
    id,
    piece: withLayer(piece, index, (layer) => ({
      ...layer,
      treatments: [...treatments, newTreatment(kind, id, seed)],
    })),
  };
}

export const removeTreatment = (piece: Piece, index: number, id: string): Piece =>
  withLayer(piece, index, (layer) => ({ ...layer, treatments: layer.treatments.filter((t) => t.id !== id) }));

/** The treatment moved to where another one is. */
export const moveTreatment = (piece: Piece, index: number, id: string, over: string): Piece =>
  withLayer(piece, index, (layer) => ({ ...layer, treatments: [...movedOver(layer.treatments, id, over)] }));
