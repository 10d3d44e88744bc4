import type { FileKind, FileRef } from '../../../core/kept';
import { definitionOf, LAYERS, type Layer, type LayerKind, presetLayer } from '../../../core/layers/kinds';
import { PIECE, type Piece } from '../../../core/piece/schema';
import { withoutNames } from '../../../core/piece/references';
import { valueAt } from '../../../core/forms';
import { sceneSymmetry } from '../../../core/seam/symmetry';
import { movedOver, newId } from '../../state/edit';

const free = (piece: Piece, wanted: string): string => {
  const names = new Set(piece.layers.map(({ name }) => name));
  if (!names.has(wanted)) return wanted;
  let n = 2;
  while (names.has(`${wanted} ${n}`)) n++;
  return `${wanted} ${n}`;
};

/** A layer as it closes with a piece: what stands once does only where the camera comes back to it. */
const closing = (piece: Piece, layer: Layer): Layer =>
  layer.once && sceneSymmetry(piece).advance !== 0 ? { ...layer, once: false } : layer;

/** What of a layer was handed over or written by the user: neither as at first, nor as any preset has it. */
function givenIn(layer: Layer): Partial<Layer> {
  const { form, presets } = definitionOf(layer.kind);
  return Object.fromEntries(
    Object.entries(form.fields).flatMap(([name, { control, initial }]) => {
      const value = valueAt(layer, name);
      const stock = [initial, ...presets.map(({ fields }) => valueAt(fields, name))];
      return control?.given && !stock.includes(value) ? [[name, value]] : [];
    }),
  );
}

/** A new layer on top, with a seed of its own. @param preset of its kind */
export function addLayer(piece: Piece, kind: LayerKind, preset = 0): { piece: Piece; id: string } {
  const id = newId('layer');
  const seed = 1 + piece.layers.reduce((most, layer) => Math.max(most, layer.seed), 0);
  const layer = closing(piece, presetLayer(kind, preset, { id, name: free(piece, definitionOf(kind).label), seed }));
  return { piece: { ...piece, layers: [layer, ...piece.layers] }, id };
}

/** A copy right below; it keeps its seed, so it looks alike until reseeded. */
export function duplicateLayer(piece: Piece, id: string): { piece: Piece; id: string } {
  const at = piece.layers.findIndex((layer) => layer.id === id);
  if (at < 0) return { piece, id };
  const copy: Layer = { ...piece.layers[at], id: newId('layer'), name: free(piece, piece.layers[at].name) };
  return {
    piece: { ...piece, layers: [...piece.layers.slice(0, at + 1), copy, ...piece.layers.slice(at + 1)] },
    id: copy.id,
  };
}

/** The layer as one of its kind's presets makes it; what it is called, where its chance comes from and what the user gave it stay. */
export const applyPreset = (piece: Piece, index: number, preset: number): Piece => ({
  ...piece,
  layers: piece.layers.map((layer, i) => {
    if (i !== index) return layer;
    const { id, name, seed, hidden, working } = layer;
    const made = { ...presetLayer(layer.kind, preset, { id, name, seed }), ...givenIn(layer), hidden, working };
    return closing(piece, made as Layer);
  }),
});

/** Without the layer, and without any reference to it: what followed it goes straight, what was linked to it is not. */
export const removeLayer = (piece: Piece, id: string): Piece =>
  withoutNames(PIECE, { ...piece, layers: piece.layers.filter((layer) => layer.id !== id) }, id);

/** The layer moved to where another one is. */
export function moveLayer(piece: Piece, id: string, over: string): Piece {
  const layers = movedOver(piece.layers, id, over);
  return layers === piece.layers ? piece : { ...piece, layers: [...layers] };
}

/** The preset of a kind that a file is taken up by: the first that has one of its kind, or the first of all. */
function presetFor(layer: LayerKind, kind: FileKind): number {
  const { form, presets } = definitionOf(layer);
  const names = Object.keys(form.fields).filter((name) => form.fields[name].control?.file === kind);
  return Math.max(
    0,
    presets.findIndex(({ fields }) => names.some((name) => valueAt(fields, name))),
  );
}

/** A file in its place: taken up by the layer whose card is open, or by a new one. Null where nothing has a use for it. */
export function placeFile(
  piece: Piece,
  open: string | null,
  kind: FileKind,
  file: FileRef,
): { piece: Piece; id: string; says: string } | null {
  const own = piece.layers.find(({ id }) => id === open);
  const taken = own && (definitionOf(own.kind).takesFile?.(own, kind, file) ?? null);
  if (taken) {
    const layers = piece.layers.map((layer) => (layer === own ? taken : layer));
    return { piece: { ...piece, layers }, id: taken.id, says: `“${taken.name}” has “${file.name}” now.` };
  }
  const taker = LAYERS.names.find((name) => definitionOf(name).madeFor?.includes(kind));
  if (!taker) return null;
  const added = addLayer(piece, taker, presetFor(taker, kind));
  const [layer, ...rest] = added.piece.layers;
  const made = definitionOf(taker).takesFile?.(layer, kind, file);
  return made
    ? { piece: { ...added.piece, layers: [made, ...rest] }, id: added.id, says: `“${file.name}” became a new layer.` }
    : null;
}
