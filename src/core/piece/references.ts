import { heldBy, withParts, type Part } from '../forms/walk';
import { LAYERS, type Layer } from '../layers/kinds';

/** Where a layer is named. */
interface Named {
  path: readonly (string | number)[];
  field: string;
  id: string;
  /** it may not name what is not there */
  strict: boolean;
}

/** The layers that some parts name. */
export const namesOf = (parts: readonly Part[]): Named[] =>
  parts.flatMap((part) =>
    heldBy(part).flatMap(({ name, field, value, path }) =>
      field.control?.control === 'layer' && typeof value === 'string'
        ? [{ path, field: name, id: value, strict: field.control.strict === true }]
        : [],
    ),
  );

/** The layers that a layer names by fields of its own. */
const referencesOf = (layer: Layer): Named[] =>
  namesOf([{ path: [], form: LAYERS.of(layer.kind).form, value: layer, words: [], above: null }]);

/** The same with no part of it naming a layer any more. @param form of what it is */
export const withoutNames = <T extends object>(form: Part['form'], whole: T, id: string): T =>
  withParts(form, whole, (part) => {
    const named = namesOf([part]).filter((name) => name.id === id);
    return named.length === 0
      ? part.value
      : { ...part.value, ...Object.fromEntries(named.map(({ field }) => [field, null])) };
  });

/**
 * The layers from which a reference leads back to where it began, each with the field that does.
 * @returns index of the layer, the field, and the ids on the way, the layer's own first and last
 */
export function circlesOf(layers: readonly Layer[]): { index: number; field: string; way: string[] }[] {
  const byId = new Map(layers.map((layer) => [layer.id, layer]));
  const back = (from: string, to: string, seen: Set<string>): string[] | null => {
    if (from === to) return [to];
    if (seen.has(from)) return null;
    seen.add(from);
    const layer = byId.get(from);
    for (const { id } of layer ? referencesOf(layer) : []) {
      const way = back(id, to, seen);
      if (way) return [from, ...way];
    }
    return null;
  };
  return layers.flatMap((layer, index) =>
    referencesOf(layer).flatMap(({ field, id }) => {
      const way = back(id, layer.id, new Set());
      return way ? [{ index, field, way: [layer.id, ...way] }] : [];
    }),
  );
}
