import { z } from 'zod';
import { definitionOf } from '../layers/registry';
import { treatmentOf } from '../treatments/registry';
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
  const parsed = PieceSchema.safeParse(migratePiece(envelope.data.piece, version, DOCUMENT_VERSION));
  if (parsed.success) return { ok: true, piece: parsed.data, unknown: unknownFields(parsed.data) };
  const problems = parsed.error.issues
    .slice(0, 20)
    .map((issue) => ({ where: issue.path.join('.'), what: issue.message }));
  return { ok: false, problems };
}

/** Names of fields that no part of this version reads. */
function unknownFields(piece: Piece): string[] {
  const known = (schema: z.ZodType): Set<string> => new Set(Object.keys((schema as z.ZodObject).shape ?? {}));
  const extra = (where: string, value: object, schema: z.ZodType): string[] => {
    const names = known(schema);
    return names.size === 0
      ? []
      : Object.keys(value)
          .filter((key) => !names.has(key))
          .map((key) => where + key);
  };
  const { shape } = PieceSchema;
  return [
    ...extra('', piece, PieceSchema),
    ...extra('flight.', piece.flight, shape.flight),
    ...extra('look.', piece.look, shape.look),
    ...piece.layers.flatMap((layer, i) => [
      ...extra(`layers.${i}.`, layer, definitionOf(layer.kind).schema),
      ...layer.treatments.flatMap((t, k) => extra(`layers.${i}.treatments.${k}.`, t, treatmentOf(t.kind).schema)),
    ]),
  ];
}
