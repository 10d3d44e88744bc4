import { Trouble } from '../../core/trouble';
import { asRoomTrouble, FileSink } from './file';
import { MemorySink } from './memory';
import type { ByteSink } from './sink';

const FOLDER = 'isomorph exports';

/** A page's own folder is kept for as long as it holds the lock of that name. */
const lockOf = (page: string): string => `${FOLDER} ${page}`;

const folder = async (): Promise<FileSystemDirectoryHandle> =>
  (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });

/** Where the bytes of an export are written: a page, and a name among its files. */
export interface Place {
  page: string;
  name: string;
}

let page: string | null = null;

/**
 * A place for a new file of this page. Those of pages that are gone are given back.
 * The page must stay for as long as it reads what is written there.
 */
export function newPlace(): Place {
  if (page === null) {
    const own = (page = crypto.randomUUID());
    // held until the page ends, however it does
    void navigator.locks.request(lockOf(own), () => new Promise(() => undefined));
    // what cannot be removed now is tried again by the next page
    void sweep(own).catch(() => undefined);
  }
  return { page, name: crypto.randomUUID() };
}

/** Removes what pages left that are not there any more. */
async function sweep(own: string): Promise<void> {
  const { held = [], pending = [] } = await navigator.locks.query();
  const alive = new Set([...held, ...pending].map(({ name }) => name));
  const root = await folder();
  for await (const name of root.keys())
    if (name !== own && !alive.has(lockOf(name))) await root.removeEntry(name, { recursive: true });
}

/** Gives back what was written at a place. */
export async function giveBack({ page: of, name }: Place): Promise<void> {
  const own = await (await folder()).getDirectoryHandle(of);
  await own.removeEntry(name);
}

/**
 * Opens a file at a place, in a worker; in memory where the browser has no files of its own, or gives none.
 * @throws Trouble `no-room` when the disk is full
 */
export async function openPlace(place: Place): Promise<ByteSink> {
  try {
    const own = await (await folder()).getDirectoryHandle(place.page, { create: true });
    const file = await own.getFileHandle(place.name, { create: true });
    return new FileSink(
      await file.createSyncAccessHandle(),
      () => file.getFile(),
      () => own.removeEntry(place.name),
    );
  } catch (error) {
    const trouble = asRoomTrouble(error);
    // what has no room on the disk has less in memory
    if (trouble instanceof Trouble) throw trouble;
    return new MemorySink();
  }
}
