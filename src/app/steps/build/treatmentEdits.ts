import type { Layer, Piece } from '../../../core/piece/schema';
import { offers } from '../../../core/layers/kinds';
import { newTreatment, treatmentOf, type TreatmentKind } from '../../../core/treatments/kinds';
import { movedOver, newId } from '../../state/edit';

const withLayer = (piece: Piece, index: number, edit: (layer: Layer) => Layer): Piece => ({
  ...piece,
  layers: piece.layers.map((layer, i) => (i === index ? edit(layer) : layer)),
});

/** The first layer that has what each of a treatment's references looks for, where there is one. */
function firstLayers(piece: Piece, own: Layer, kind: TreatmentKind): object {
  const asked = Object.entries(treatmentOf(kind).form.fields).flatMap(([name, { control }]) => {
    const of = control?.control === 'layer' ? control.of : undefined;
    if (of === undefined || of === 'any') return [];
    const found = piece.layers.find((layer) => layer !== own && offers(layer, of));
    return found ? [[name, found.id] as const] : [];
  });
  return Object.fromEntries(asked);
}

/** A new treatment at the end of a layer's list, with a seed of its own. */
export function addTreatment(piece: Piece, index: number, kind: TreatmentKind): { piece: Piece; id: string } {
  const id = newId('treatment');
  const { treatments } = piece.layers[index];
  const seed = 1 + treatments.reduce((most, t) => Math.max(most, t.seed), 0);
  return {
    id,
    piece: withLayer(piece, index, (layer) => ({
      ...layer,
      treatments: [...treatments, newTreatment(kind, id, seed, firstLayers(piece, layer, kind))],
    })),
  };
}

export const removeTreatment = (piece: Piece, index: number, id: string): Piece =>
  withLayer(piece, index, (layer) => ({ ...layer, treatments: layer.treatments.filter((t) => t.id !== id) }));

/** The treatment moved to where another one is. */
export const moveTreatment = (piece: Piece, index: number, id: string, over: string): Piece =>
  withLayer(piece, index, (layer) => ({ ...layer, treatments: [...movedOver(layer.treatments, id, over)] }));
