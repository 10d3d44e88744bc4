import { controlOf, shapeOf } from './fields';
import { definitionOf, type Layer } from '../layers/registry';

/** The layers that a layer names, by the field that names them. */
export function referencesOf(layer: Layer): { field: string; id: string }[] {
  const values = layer as unknown as Record<string, unknown>;
  return Object.entries(shapeOf(definitionOf(layer.kind).schema)).flatMap(([field, schema]) => {
    const id = values[field];
    return controlOf(schema)?.control === 'layer' && typeof id === 'string' ? [{ field, id }] : [];
  });
}

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
