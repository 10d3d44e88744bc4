import type { z } from 'zod';
import { controlOf } from '../../../core/piece/fields';
import { presetLayer } from '../../../core/layers/presets';
import { definitionOf, type Layer, type LayerKind } from '../../../core/layers/registry';
import type { Piece } from '../../../core/piece/schema';
import { newId } from '../../state/edit';

const free = (piece: Piece, wanted: string): string => {
  const names = new Set(piece.layers.map(({ name }) => name));
  if (!names.has(wanted)) return wanted;
  let n = 2;
  while (names.has(`${wanted} ${n}`)) n++;
  return `${wanted} ${n}`;
};

/** A new layer on top, with a seed of its own. */
export function addLayer(piece: Piece, kind: LayerKind): { piece: Piece; id: string } {
  const id = newId('layer');
  const seed = 1 + piece.layers.reduce((most, layer) => Math.max(most, layer.seed), 0);
  const layer = presetLayer(kind, 0, { id, name: free(piece, definitionOf(kind).label), seed });
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

/** The layer as one of its kind's presets makes it; what it is called and where its chance comes from stay. */
export const applyPreset = (piece: Piece, index: number, preset: number): Piece => ({
  ...piece,
  layers: piece.layers.map((layer, i) => {
    if (i !== index) return layer;
    const { id, name, seed, hidden, working } = layer;
    return { ...presetLayer(layer.kind, preset, { id, name, seed }), hidden, working };
  }),
});

/** The layer with every reference to another one taken out. */
function without(layer: Layer, id: string): Layer {
  const fields = (definitionOf(layer.kind).schema as unknown as z.ZodObject).shape as Record<string, z.ZodType>;
  const named = Object.entries(layer).filter(
    ([name, value]) => value === id && name in fields && controlOf(fields[name])?.control === 'layer',
  );
  return named.length === 0 ? layer : { ...layer, ...Object.fromEntries(named.map(([name]) => [name, null])) };
}

/** The flight with every reference to a layer taken out: of what it follows, aims at, focuses on or rides on. */
function flightWithout(flight: Piece['flight'], id: string): Piece['flight'] {
  const forget = <T extends object>(owner: T): T =>
    Object.fromEntries(
      Object.entries(owner).map(([name, value]: [string, unknown]) => {
        if ((name === 'follow' || name === 'layer') && value === id) return [name, null];
        const target = typeof value === 'object' && value !== null && ('on' in value || 'kind' in value);
        return [name, target ? forget(value) : value];
      }),
    ) as T;
  return forget(flight);
}

/** Without the layer; what followed it goes straight, what was linked to it is not. */
export function removeLayer(piece: Piece, id: string): Piece {
  const layers = piece.layers.filter((layer) => layer.id !== id).map((layer) => without(layer, id));
  return { ...piece, layers, flight: flightWithout(piece.flight, id) };
}

/** The layer moved to where another one is. */
export function moveLayer(piece: Piece, id: string, over: string): Piece {
  const from = piece.layers.findIndex((layer) => layer.id === id);
  const to = piece.layers.findIndex((layer) => layer.id === over);
  if (from < 0 || to < 0 || from === to) return piece;
  const layers = [...piece.layers];
  const [moved] = layers.splice(from, 1);
  layers.splice(to, 0, moved);
  return { ...piece, layers };
}
