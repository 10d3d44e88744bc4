import { kinds, type KindValue } from '../forms';
import { LIST } from './list';
import { newTreatment } from '../treatments/kinds';
import type { LayerDefinition, Offer } from './definition';

/** Every kind: see list.ts. */
export const LAYERS = kinds(...LIST);

export type Layer = KindValue<(typeof LAYERS)['list'][number]>;
export type LayerKind = Layer['kind'];

/** The definition of a kind. It takes only layers of that kind, which the document's validation guarantees. */
export const definitionOf = (kind: string): LayerDefinition<Layer> => LAYERS.of(kind);

/** A layer of a kind with what its fields are at first. */
export const newLayer = (kind: LayerKind, id: string, name: string, seed = 1): Layer =>
  LAYERS.schema.parse({ kind, id, name, seed });

/** A layer as a preset of its kind makes it. Its identity, name and seed are those of `base`. */
export function presetLayer(kind: LayerKind, index: number, base: { id: string; name: string; seed: number }): Layer {
  const { fields, treatments = [] } = definitionOf(kind).presets[index];
  const list = treatments.map((start, i) => newTreatment(start.kind, `${start.kind}-${i + 1}`, base.seed + i, start));
  return LAYERS.schema.parse({ kind, ...base, ...fields, treatments: list });
}

/** What a layer is called, or one of its elements by its number. */
export function nameIn(layer: Layer, element?: number): string {
  if (element === undefined) return layer.name;
  const named = definitionOf(layer.kind).named?.(layer);
  if (!named || named.names.length === 0) return `${layer.name} ${element}`;
  const of = named.many > 1 ? ` ${Math.min(named.many, Math.floor(element / named.names.length) + 1)}` : '';
  return `${layer.name}${of}, ${named.names[element % named.names.length]}`;
}

/** The layer whose route a layer takes: itself, or the one it follows. */
export function routedBy(layer: Layer): string | null {
  const { route, follows } = definitionOf(layer.kind);
  return route ? layer.id : (follows?.(layer) ?? null);
}

/** Whether a layer has what another, or the flight, looks for. */
export function offers(layer: Layer, what: Offer): boolean {
  const { route, ground: surface, reads } = definitionOf(layer.kind);
  if (what === 'reading') return reads !== undefined;
  return what === 'route' ? route !== undefined : what === 'ground' ? surface !== undefined : routedBy(layer) !== null;
}
