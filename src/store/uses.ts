import { database } from './database';

/** Where a kept file is named. */
export interface Use {
  pieceId: string;
  name: string;
  /** only among its removed pieces, or in steps that undo goes back to */
  only: 'removed' | 'undo' | null;
}

/**
 * For some hashes the chains, the stored pieces, their versions and what is delivered of them that name them: as they are, as they were and undo may make them again, and
 * removed ones that can still be brought back.
 */
export async function usesOf(hashes: readonly string[]): Promise<Map<string, Use[]>> {
  const [pieces, steps, chains, versions, jobs] = await Promise.all([
    database.pieces.toArray(),
    database.steps.toArray(),
    database.chains.toArray(),
    database.versions.toArray(),
    database.jobs.toArray(),
  ]);
  const stepsOf = new Map(steps.map(({ pieceId, past, future }) => [pieceId, JSON.stringify([past, future])]));
  const found = new Map(hashes.map((hash): [string, Use[]] => [hash, []]));
  for (const { id, name, piece, removedAt } of pieces) {
    const text = JSON.stringify(piece);
    const before = stepsOf.get(id) ?? '';
    for (const [hash, uses] of found) {
      const now = text.includes(hash);
      if (now || before.includes(hash))
        uses.push({ pieceId: id, name, only: removedAt !== undefined ? 'removed' : now ? null : 'undo' });
    }
  }
  const kept = [
    ...chains.map(({ id, name, effects }) => ({
      pieceId: id,
      name: `the chain “${name}”`,
      text: JSON.stringify(effects),
    })),
    ...versions.map(({ pieceId, name, piece }) => ({
      ...{ pieceId, name: `“${name}” of ${piece.name}`, text: JSON.stringify(piece) },
    })),
    ...jobs.map(({ name, piece }) => ({
      ...{ pieceId: piece.id, name: `the delivery ${name}`, text: JSON.stringify(piece) },
    })),
  ];
  for (const { text, ...where } of kept)
    for (const [hash, uses] of found) if (text.includes(hash)) uses.push({ ...where, only: null });
  return found;
}
