import type { z } from 'zod';
import { definitionOf } from '../layers/registry';
import { treatmentOf } from '../treatments/registry';
import { controlOf } from './fields';
import type { Piece } from './schema';

/**
 * The piece with another lap, moving as before: what happens at a phase stays there, and what is counted in frames takes
 * as great a share of the lap as it did.
 */
export function retimed(piece: Piece, lap: Piece['lap']): Piece {
  const factor = lap.frames / piece.lap.frames;
  if (factor === 1) return { ...piece, lap };
  const scaled = <T extends object>(owner: T, schema: z.ZodType): T => {
    const fields = Object.entries((schema as unknown as z.ZodObject).shape as Record<string, z.ZodType>);
    const changes = fields.flatMap(([name, field]) => {
      const meta = controlOf(field);
      const value = (owner as Record<string, unknown>)[name];
      if (meta?.unit !== 'frames' || typeof value !== 'number') return [];
      const exact = meta.control === 'integer' ? Math.round(value * factor) : Number((value * factor).toPrecision(6));
      const next = Math.min(meta.max ?? Infinity, Math.max(meta.min ?? 0, exact));
      return [[name, next]];
    });
    return changes.length === 0 ? owner : { ...owner, ...(Object.fromEntries(changes) as Partial<T>) };
  };
  return {
    ...piece,
    lap,
    layers: piece.layers.map((layer) => ({
      ...scaled(layer, definitionOf(layer.kind).schema),
      treatments: layer.treatments.map((t) => scaled(t, treatmentOf(t.kind).schema)),
    })),
  };
}
