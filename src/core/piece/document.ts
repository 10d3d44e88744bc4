import { z } from 'zod';
import { definitionOf } from '../layers/registry';
import { treatmentOf } from '../treatments/registry';
import { routeOf } from '../flight/routes/registry';
import { excessOf } from './budget';
import { DeliverySchema } from './delivery';
import { edgeProblem, unknownProblem } from './edge';
import { shapeOf } from './fields';
import { migratePiece } from './migrate';
import { DOCUMENT_VERSION, PieceSchema, type Piece } from './schema';

export interface Problem {
  /** where in the file, such as `layers.0.radius`; empty for the file as a whole */
  where: string;
  what: string;
}

export type ParsedPiece = { ok: true; piece: Piece; unknown: string[] } | { ok: false; problems: Problem[] };

const EnvelopeSchema = z.object({ format: z.literal('isomorph'), version: z.int().min(1), piece: z.unknown() });

/** The document as it is written to a `.isomorph.json` file. */
export const toDocument = (piece: Piece): { format: 'isomorph'; version: number; piece: Piece } => ({
  format: 'isomorph',
  version: DOCUMENT_VERSION,
  piece,
});

/**
 * Checks a document that was read as JSON. Missing fields get their defaults, unknown ones are kept and listed in
 * `unknown`; anything out of range is named with its place. Never throws.
 */
export function parsePiece(json: unknown): ParsedPiece {
  const envelope = EnvelopeSchema.safeParse(json);
  if (!envelope.success) {
    const what =
      'this is JSON, but not an Isomorph piece: it does not say "format": "isomorph" with a version and a piece';
    return { ok: false, problems: [{ where: '', what }] };
  }
  const { version } = envelope.data;
  if (version > DOCUMENT_VERSION) {
    const what = `it was written by a newer Isomorph (document version ${version}; this one reads up to ${DOCUMENT_VERSION})`;
    return { ok: false, problems: [{ where: 'version', what }] };
  }
  const odd = edgeProblem(envelope.data.piece);
  if (odd) return { ok: false, problems: [odd] };
  const parsed = PieceSchema.safeParse(migratePiece(envelope.data.piece, version, DOCUMENT_VERSION));
  if (parsed.success) return checked(parsed.data);
  const problems = parsed.error.issues
    .slice(0, 20)
    .map((issue) => ({ where: issue.path.join('.'), what: issue.message }));
  return { ok: false, problems };
}

/** A piece whose every value is legal, looked at as a whole: what it holds besides, and what it asks for. */
function checked(piece: Piece): ParsedPiece {
  const unknown = unknownFields(piece);
  const odd = unknownProblem(unknown);
  if (odd) return { ok: false, problems: [odd] };
  const excess = excessOf(piece);
  if (excess.length > 0)
    return { ok: false, problems: excess.map(({ path, says }) => ({ where: path.join('.'), what: says })) };
  return { ok: true, piece, unknown: unknown.map(({ path }) => path) };
}

/** Fields that no part of this version reads. */
function unknownFields(piece: Piece): { path: string; value: unknown }[] {
  const extra = (where: string, value: object, schema: z.ZodType): { path: string; value: unknown }[] => {
    const known = shapeOf(schema);
    return Object.entries(value)
      .filter(([key]) => !Object.hasOwn(known, key))
      .map(([key, field]) => ({ path: where + key, value: field as unknown }));
  };
  const { shape } = PieceSchema;
  return [
    ...extra('', piece, PieceSchema),
    ...extra('flight.', piece.flight, shape.flight),
    ...extra('flight.route.', piece.flight.route, routeOf(piece.flight.route.kind).schema),
    ...extra('look.', piece.look, shape.look),
    ...extra('lap.', piece.lap, shape.lap),
    ...piece.deliveries.flatMap((delivery, i) => extra(`deliveries.${i}.`, delivery, DeliverySchema)),
    ...piece.layers.flatMap((layer, i) => [
      ...extra(`layers.${i}.`, layer, definitionOf(layer.kind).schema),
      ...layer.treatments.flatMap((t, k) => extra(`layers.${i}.treatments.${k}.`, t, treatmentOf(t.kind).schema)),
    ]),
  ];
}
