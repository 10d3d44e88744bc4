import { STOCK, type FileRef, type StockFile } from '../core/kept';
import { filesDatabase, type KeptFile } from './database';
import { kindOf } from './tried';

const shipped = import.meta.glob<string>(
  ['/stock/fonts/*.woff2', '/stock/{marks,pictures,clips,tables,models,motions}/*'],
  {
    eager: true,
    query: '?url&no-inline',
    import: 'default',
  },
);

const stockOf = (hash: string): StockFile | undefined => STOCK.find((file) => file.hash === hash);

const fetched = async (path: string): Promise<Uint8Array<ArrayBuffer>> =>
  new Uint8Array(await (await fetch(shipped[`/stock/${path}`])).arrayBuffer());

/** Letters that ship beside a font that ships; null where there are none. */
export async function moreOf(hash: string): Promise<Uint8Array<ArrayBuffer> | null> {
  const more = stockOf(hash)?.more;
  return more === undefined ? null : fetched(more);
}

/** SHA-256 of bytes as hexadecimal digits. */
export async function hashOf(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  return [...digest].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Every file that is kept, the newest first. */
export const keptFiles = (): Promise<KeptFile[]> => filesDatabase.files.orderBy('at').reverse().toArray();

/**
 * Keeps a file, once however often it is brought in.
 * @param signal stops the reading of one that takes long
 * @throws Trouble in words when it is nothing that can be kept; the database's error when it cannot be written
 */
export async function keepFile(bytes: Uint8Array<ArrayBuffer>, name: string, signal?: AbortSignal): Promise<KeptFile> {
  const hash = await hashOf(bytes);
  const known = await filesDatabase.files.get(hash);
  if (known) return known;
  const stock = stockOf(hash);
  if (stock) return { hash, name: stock.name, kind: stock.kind, bytes: bytes.length, at: 0 };
  // a worker is given the blob: bytes would be copied once more, and the page stand still for it
  const blob = new Blob([bytes]);
  const kind = await kindOf(hash, bytes, blob, name, signal);
  const file: KeptFile = { hash, name: name.slice(0, 255), kind, bytes: bytes.length, at: Date.now() };
  await filesDatabase.transaction('rw', filesDatabase.files, filesDatabase.contents, async () => {
    await filesDatabase.contents.put({ hash, blob });
    await filesDatabase.files.put(file);
  });
  return file;
}

/** A kept file, or one that ships; null when it is nowhere. What is read of it is read when it is needed. */
export async function fileBlob({ hash }: Pick<FileRef, 'hash'>): Promise<Blob | null> {
  const stock = stockOf(hash);
  if (stock) return new Blob([await fetched(stock.path)]);
  return (await filesDatabase.contents.get(hash))?.blob ?? null;
}

/** The bytes of a kept file, or of one that ships; null when it is nowhere. */
export async function fileBytes(ref: Pick<FileRef, 'hash'>): Promise<Uint8Array<ArrayBuffer> | null> {
  const blob = await fileBlob(ref);
  return blob && new Uint8Array(await blob.arrayBuffer());
}

/** Lets go of files. */
export const removeFiles = (hashes: readonly string[]): Promise<void> =>
  filesDatabase.transaction('rw', filesDatabase.tables, async () => {
    for (const table of filesDatabase.tables) await table.bulkDelete([...hashes]);
  });
