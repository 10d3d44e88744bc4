import { parsePiece } from '../core/world/open';
import { type ParsedPiece } from '../core/piece/document';
import { DOCUMENT_VERSION, type Piece } from '../core/piece/schema';
import { database, type StoredPiece, type StoredSteps } from './database';

/** A state of a piece on its way into the database. */
export interface PieceState {
  piece: Piece;
  mark: string;
  steps: Pick<StoredSteps, 'past' | 'future'>;
}

/** What became of a write: done, or held back because the stored piece is not the one it was made from. */
export type Outcome = 'stored' | 'changed elsewhere' | 'removed';

/** How long a removed piece can be brought back, in days. */
export const KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

/** The piece of a stored record, brought to the newest version. */
export const readStored = ({ piece, version = 1 }: StoredPiece): ParsedPiece =>
  parsePiece({ format: 'isomorph', version, piece });

/**
 * Stores a state over the one it was made from, and over no other: what another tab has stored or removed since is never
 * overwritten. Piece and steps are stored together or not at all.
 * @param over mark of the state it was made from; null when there should be none; undefined for whatever is there
 * @throws the database's error when it cannot be written
 */
export function storePiece({ piece, mark, steps }: PieceState, over: string | null | undefined): Promise<Outcome> {
  return database.transaction('rw', database.pieces, database.steps, async (): Promise<Outcome> => {
    const before = await database.pieces.get(piece.id);
    if (over !== undefined) {
      if (before?.removedAt !== undefined || (before === undefined && over !== null)) return 'removed';
      if (before && (before.mark ?? '') !== over) return 'changed elsewhere';
    }
    await database.pieces.put({
      id: piece.id,
      name: piece.name,
      piece,
      version: DOCUMENT_VERSION,
      updatedAt: Date.now(),
      mark,
    });
    await database.steps.put({ pieceId: piece.id, mark, ...steps });
    return 'stored';
  });
}

/** A stored piece with the steps that belong to its state. */
export async function loadPiece(id: string): Promise<{ record: StoredPiece; steps: StoredSteps | null } | null> {
  const [record, steps] = await Promise.all([database.pieces.get(id), database.steps.get(id)]);
  if (!record) return null;
  return { record, steps: steps?.mark === record.mark ? (steps ?? null) : null };
}

/** Takes a piece from the loops; it can be brought back for {@link KEPT_DAYS} days. */
export const removePiece = (id: string): Promise<number> => database.pieces.update(id, { removedAt: Date.now() });

/** Brings a removed piece back as it was. */
export const bringBack = (id: string): Promise<number> =>
  database.pieces
    .where('id')
    .equals(id)
    .modify((record) => {
      delete record.removedAt;
    });

/** Takes a piece away for good, and its versions. */
export const deletePiece = (id: string): Promise<void> =>
  database.transaction('rw', database.pieces, database.steps, database.places, database.versions, async () => {
    await Promise.all([
      database.pieces.delete(id),
      database.steps.delete(id),
      database.places.delete(id),
      database.versions.where('pieceId').equals(id).delete(),
    ]);
  });

/** Whole days that a removed piece can still be brought back, at least one while it is there. */
export const daysLeft = (removedAt: number, now = Date.now()): number =>
  Math.max(1, Math.ceil((removedAt + KEPT_DAYS * DAY_MS - now) / DAY_MS));

/** Deletes what was removed too long ago. @returns how many */
export async function deleteExpired(now = Date.now()): Promise<number> {
  const expired = await database.pieces
    .filter(({ removedAt }) => removedAt !== undefined && removedAt + KEPT_DAYS * DAY_MS < now)
    .primaryKeys();
  for (const id of expired) await deletePiece(id);
  return expired.length;
}
