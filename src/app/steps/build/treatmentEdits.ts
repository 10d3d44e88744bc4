import type { Layer, Piece } from '../../../core/piece/schema';
import { newTreatment, type TreatmentKind } from '../../../core/treatments/kinds';
import { newId } from '../../state/edit';

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
export function moveTreatment(piece: Piece, index: number, id: string, over: string): Piece {
  const { treatments } = piece.layers[index];
  const from = treatments.findIndex((t) => t.id === id);
  const to = treatments.findIndex((t) => t.id === over);
  if (from < 0 || to < 0 || from === to) return piece;
  const list = [...treatments];
  list.splice(to, 0, ...list.splice(from, 1));
  return withLayer(piece, index, (layer) => ({ ...layer, treatments: list }));
}
