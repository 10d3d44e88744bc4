import { DOCUMENT_VERSION, type Piece } from '../core/piece/schema';
import { parsePiece } from '../core/world/open';
import { database } from './database';

/** A piece as it was at some time, under a name. */
export interface Version {
  id: string;
  name: string;
  /** when it was kept, milliseconds since 1970 */
  at: number;
  piece: Piece;
}

/** The versions of a piece, the newest first, but for those this version of the app cannot read. */
export async function versionsOf(pieceId: string): Promise<Version[]> {
  const stored = await database.versions.where('pieceId').equals(pieceId).toArray();
  return stored
    .toSorted((a, b) => b.at - a.at)
    .flatMap(({ id, name, at, version, piece }) => {
      const parsed = parsePiece({ format: 'isomorph', version, piece });
      return parsed.ok ? [{ id, name, at, piece: parsed.piece }] : [];
    });
}

/** Keeps a piece as it is, under a name that counts. @returns that name */
export const keepVersion = (piece: Piece, at = Date.now()): Promise<string> =>
  database.transaction('rw', database.versions, async () => {
    const before = await database.versions.where('pieceId').equals(piece.id).toArray();
    const numbers = before.map(({ name }) => Number(/^Version (\d+)$/.exec(name)?.[1] ?? 0));
    const name = `Version ${Math.max(0, ...numbers) + 1}`;
    const id = crypto.randomUUID();
    await database.versions.put({ id, pieceId: piece.id, name, at, version: DOCUMENT_VERSION, piece });
    return name;
  });

export const renameVersion = (id: string, name: string): Promise<number> => database.versions.update(id, { name });

/** Takes a version away. @returns what brings it back */
export async function removeVersion(id: string): Promise<() => Promise<string>> {
  const stored = await database.versions.get(id);
  await database.versions.delete(id);
  return () => (stored ? database.versions.put(stored) : Promise.resolve(id));
}
