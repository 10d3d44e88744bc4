import { z } from 'zod';
import { FlightSchema } from '../flight/schema';
import { LayerSchema } from '../layers/registry';
import { LookSchema } from '../look/schema';
import { DeliverySchema } from './delivery';
import { number } from './fields';
import { circlesOf } from './references';

/** Newest version of the document this program reads and the only one it writes. */
export const DOCUMENT_VERSION = 3;

const LapSchema = z.looseObject({
  frames: z
    .int()
    .min(2, { error: 'must be at least 2 frames' })
    .max(100_000, { error: 'must be at most 100000 frames' }),
  rate: z.object({ num: z.int().min(1).max(240_000), den: z.int().min(1).max(1001) }),
  /** beats in the lap and their tempo; null when the lap is given in frames */
  tempo: z
    .object({ beats: z.int().min(1).max(10_000), bpm: z.number().min(10).max(400) })
    .nullable()
    .default(null),
});

export const PieceSchema = z
  .looseObject({
    id: z.string().min(1).max(64),
    name: z.string().min(1).max(200),
    lap: LapSchema,
    frame: z
      .looseObject({
        width: z.int().min(16).max(16_384).default(1920),
        height: z.int().min(16).max(16_384).default(1080),
      })
      .default({ width: 1920, height: 1080 }),
    tile: number(8, {
      label: 'Tile',
      unit: 'm',
      min: 0.1,
      max: 10_000,
      comfort: 30,
      hint: 'Metres after which the world repeats along the travel.',
    }),
    layers: z.array(LayerSchema).max(64),
    flight: FlightSchema,
    look: LookSchema,
    deliveries: z.array(DeliverySchema).max(32).default([]),
    /** passes of a finished frame, a power of two */
    samples: z
      .int()
      .min(1)
      .max(256)
      .refine((n) => Number.isInteger(Math.log2(n)), { error: 'must be a power of two between 1 and 256' })
      .default(16),
  })
  .superRefine((piece, context) => {
    const ids = piece.layers.map((layer) => layer.id);
    piece.layers.forEach((layer, index) => {
      const { id } = layer;
      if (ids.indexOf(id) !== index)
        context.addIssue({ code: 'custom', path: ['layers', index, 'id'], message: `"${id}" is used by two layers` });
      for (const [name, value] of Object.entries(layer))
        if (
          (name === 'from' || name === 'to') &&
          layer.kind === 'links' &&
          value !== null &&
          !ids.includes(value as string)
        )
          context.addIssue({
            code: 'custom',
            path: ['layers', index, name],
            message: `names a layer "${String(value)}" that the piece does not have`,
          });
    });
    for (const { index, field, way } of circlesOf(piece.layers))
      context.addIssue({
        code: 'custom',
        path: ['layers', index, field],
        message: `leads back to its own layer: ${way.map((id) => `“${id}”`).join(' → ')}`,
      });
    piece.layers.forEach((layer, index) => {
      const within = layer.treatments.map((t) => t.id);
      within.forEach((id, k) => {
        if (within.indexOf(id) !== k)
          context.addIssue({
            code: 'custom',
            path: ['layers', index, 'treatments', k, 'id'],
            message: `"${id}" is used by two treatments`,
          });
      });
    });
  });
export type Piece = z.infer<typeof PieceSchema>;
export type { Layer } from '../layers/registry';
