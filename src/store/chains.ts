import type { Chain } from '../core/look/chains/chains';
import { DOCUMENT_VERSION } from '../core/piece/schema';
import { database, type StoredChain } from './database';

/** Kept chains by name. */
export const storedChains = (): Promise<StoredChain[]> => database.chains.orderBy('name').toArray();

/** Keeps effects under a name; another of that name stays beside it. @returns its id */
export async function storeChain({ name, effects }: Chain): Promise<string> {
  const id = crypto.randomUUID();
  await database.chains.put({ id, name, version: DOCUMENT_VERSION, effects });
  return id;
}

export const renameChain = (id: string, name: string): Promise<number> => database.chains.update(id, { name });
export const removeChain = (id: string): Promise<void> => database.chains.delete(id);
