import { z } from 'zod';
import { DELIVERY } from '../deliveries/form';
import { FLIGHT } from '../flight/form';
import { form, given, list, listOf, number, part, stored, type ValueOf } from '../forms';
import { partsOf, type Part } from '../forms/walk';
import { LAYERS, type Layer } from '../layers/kinds';
import { LOOK } from '../look/form';
import { circlesOf, namesOf } from './references';

/** Newest version of the document this program reads and the only one it writes. */
export const DOCUMENT_VERSION = 10;

const LAP = form({
  frames: stored(
    z.int().min(2, { error: 'must be at least 2 frames' }).max(100_000, { error: 'must be at most 100000 frames' }),
  ),
  rate: stored(z.object({ num: z.int().min(1).max(240_000), den: z.int().min(1).max(1001) })),
  /** beats in the lap and their tempo; null when the lap is given in frames */
  tempo: stored(z.object({ beats: z.int().min(1).max(10_000), bpm: z.number().min(10).max(400) }).nullable(), null),
});

const pixels = z.int().min(16).max(16_384);
const FRAME = form({ width: stored(pixels, 1920), height: stored(pixels, 1080) });

/** A piece with all its parts. */
export const PIECE = form({
  id: stored(z.string().min(1).max(64)),
  name: stored(z.string().min(1).max(200)),
  lap: given(LAP, 'Lap'),
  frame: part(FRAME, {}, 'Frame'),
  tile: number(8, {
    label: 'Tile',
    unit: 'm',
    min: 0.1,
    max: 10_000,
    comfort: 30,
    hint: 'Metres after which the world repeats along the travel.',
  }),
  layers: listOf(LAYERS, 64, (layer) => (layer as Layer).name, { must: true }),
  flight: given(FLIGHT, 'Camera'),
  look: given(LOOK, 'Look'),
  deliveries: list(DELIVERY, 32, () => 'Delivery'),
  /** passes of a finished frame, a power of two */
  samples: stored(
    z
      .int()
      .min(1)
      .max(256)
      .refine((n) => Number.isInteger(Math.log2(n)), { error: 'must be a power of two between 1 and 256' }),
    16,
  ),
});
export type Piece = ValueOf<typeof PIECE>;

/** Every part of a piece: the piece itself, its lap, layers, treatments, flight, route, targets, look, glows, deliveries. */
export const partsOfPiece = (piece: Piece): Part[] => [...partsOf(PIECE, piece)];

/** The index of the first of each of some ids that stands twice. */
const twice = (list: readonly { id: string }[]): number[] =>
  list.flatMap(({ id }, i) => (list.findIndex((other) => other.id === id) < i ? [i] : []));

export const PieceSchema = PIECE.schema.superRefine((piece, context) => {
  const issue = (path: readonly (string | number)[], message: string): void =>
    context.addIssue({ code: 'custom', path: [...path], message });
  for (const index of twice(piece.layers))
    issue(['layers', index, 'id'], `"${piece.layers[index].id}" is used by two layers`);
  const ids = new Set(piece.layers.map(({ id }) => id));
  for (const { path, id, strict } of namesOf(partsOfPiece(piece)))
    if (strict && !ids.has(id)) issue(path, `names a layer "${id}" that the piece does not have`);
  for (const { index, field, way } of circlesOf(piece.layers))
    issue(['layers', index, field], `leads back to its own layer: ${way.map((id) => `“${id}”`).join(' → ')}`);
  piece.layers.forEach(({ treatments }, index) => {
    for (const k of twice(treatments))
      issue(['layers', index, 'treatments', k, 'id'], `"${treatments[k].id}" is used by two treatments`);
  });
});
export type { Layer } from '../layers/kinds';
