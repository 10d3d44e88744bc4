import { z } from 'zod';
import { unknownIn } from '../forms/walk';
import { edgeProblem, unknownProblem } from './edge';
import { migratePiece } from './migrate';
import type { Problem } from './problem';
import { DOCUMENT_VERSION, partsOfPiece, PieceSchema, type Piece } from './schema';

export type ParsedPiece = { ok: true; piece: Piece; unknown: string[] } | { ok: false; problems: Problem[] };

const EnvelopeSchema = z.object({ format: z.literal('isomorph'), version: z.int().min(1), piece: z.unknown() });

/** The document as it is written to a `.isomorph.json` file. */
export const toDocument = (piece: Piece): { format: 'isomorph'; version: number; piece: Piece } => ({
  format: 'isomorph',
  version: DOCUMENT_VERSION,
  piece,
});

/** What is said against a piece that is legal in each of its values. */
export type Objections = (piece: Piece) => readonly Problem[];

/**
 * Checks a document that was read as JSON. Missing fields get their defaults, unknown ones are kept and listed in
 * `unknown`; anything out of range is named with its place. Never throws.
 * @param objections looks at the piece as a whole
 */
export function readPiece(json: unknown, objections: Objections): ParsedPiece {
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
  if (parsed.success) return checked(parsed.data, objections);
  const problems = parsed.error.issues
    .slice(0, 20)
    .map((issue) => ({ where: issue.path.join('.'), what: issue.message }));
  return { ok: false, problems };
}

/** A piece whose every value is legal, looked at as a whole: what it holds besides, and what it asks for. */
function checked(piece: Piece, objections: Objections): ParsedPiece {
  const unknown = unknownFields(piece);
  const odd = unknownProblem(unknown);
  if (odd) return { ok: false, problems: [odd] };
  const problems = objections(piece);
  if (problems.length > 0) return { ok: false, problems: [...problems] };
  return { ok: true, piece, unknown: unknown.map(({ path }) => path) };
}

/** Fields that no part of this version reads. */
const unknownFields = (piece: Piece): { path: string; value: unknown }[] =>
  partsOfPiece(piece).flatMap((part) => unknownIn(part).map(({ path, value }) => ({ path: path.join('.'), value })));
