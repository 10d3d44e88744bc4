import { CLIPS, type Joins } from '../core/clips';
import type { FileRef } from '../core/kept';
import { filesOf } from '../core/piece/files';
import type { Piece } from '../core/piece/schema';
import { filesDatabase } from './database';
import { fileBlob } from './shelf';
import { joinsOf } from './tried';

/** How a clip closes each way, where that was measured before. */
export const knownJoins = async (hash: string): Promise<Joins | null> =>
  (await filesDatabase.joins.get(hash).catch(() => undefined))?.joins ?? null;

const measuring = new Map<string, Promise<boolean>>();

/** Decodes a clip to see how it closes each way, and keeps that. @returns whether it is known now and was not before */
async function measure({ hash, name }: FileRef): Promise<boolean> {
  const facts = CLIPS.at({ hash, name });
  const blob = facts && (await fileBlob({ hash }));
  if (!blob) return false;
  const joins = await joinsOf(blob, name);
  CLIPS.take(hash, { ...facts, joins });
  // measured again next time, where there is no room to keep it
  await filesDatabase.joins.put({ hash, joins }).catch(() => undefined);
  return joins !== null;
}

/**
 * Sees to it that it is known how clips close, of those that have been taken in.
 * @returns whether anything is known that was not
 */
export async function measureJoins(refs: readonly FileRef[]): Promise<boolean> {
  const asked = refs.filter((ref) => CLIPS.at(ref)?.joins === null);
  const found = await Promise.all(
    asked.map((ref) => {
      const running = measuring.get(ref.hash) ?? measure(ref).catch(() => false);
      measuring.set(ref.hash, running);
      return running;
    }),
  );
  return found.includes(true);
}

/** The same for every clip that a piece shows. */
export const measureJoinsOf = (piece: Piece): Promise<boolean> =>
  measureJoins(filesOf(piece).flatMap(({ ref, kind }) => (kind === 'clip' ? [ref] : [])));
