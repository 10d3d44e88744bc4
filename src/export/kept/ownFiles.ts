import { Trouble } from '../../core/trouble';
import { asRoomTrouble, FileSink } from '../bytes/file';
import type { ByteSink } from '../bytes/sink';
import { asText, readFacts, type Kept, type PartFacts } from './kept';
import { MemoryKept } from './memory';

/** In the browser's private files, which every page and worker of this origin sees: a folder for each job. */
const FOLDER = 'isomorph exports';
const WHOLE = 'whole';
/** Says that the whole one is finished. */
const READY = 'whole.json';

const folder = async (): Promise<FileSystemDirectoryHandle> =>
  (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });

const gone = (error: unknown): boolean => error instanceof DOMException && error.name === 'NotFoundError';

class OwnFiles implements Kept {
  constructor(private readonly own: FileSystemDirectoryHandle) {}

  private async file(name: string): Promise<File | null> {
    try {
      return await (await this.own.getFileHandle(name)).getFile();
    } catch (error) {
      if (gone(error)) return null;
      throw error;
    }
  }

  private async open(name: string): Promise<FileSink> {
    const handle = await this.own.getFileHandle(name, { create: true });
    const access = await handle.createSyncAccessHandle();
    access.truncate(0);
    return new FileSink(
      access,
      () => handle.getFile(),
      () => this.own.removeEntry(name),
    );
  }

  private async write(name: string, bytes: Uint8Array): Promise<void> {
    const sink = await this.open(name).catch((error: unknown) => {
      throw asRoomTrouble(error);
    });
    try {
      await sink.write(bytes, 0);
      await sink.finish();
    } catch (error) {
      await sink.abandon().catch(() => undefined);
      throw error;
    }
  }

  async list(): Promise<Map<number, PartFacts>> {
    const found = new Map<number, PartFacts>();
    for await (const name of this.own.keys()) {
      const part = /^(\d+)\.json$/.exec(name)?.[1];
      if (part === undefined) continue;
      const [text, file] = await Promise.all([this.file(name).then((own) => own?.text()), this.file(part)]);
      const facts = text !== undefined && file ? readFacts(text, file.size) : null;
      if (facts) found.set(Number(part), facts);
    }
    return found;
  }

  async put(part: number, bytes: Uint8Array<ArrayBuffer>, facts: PartFacts): Promise<void> {
    await this.write(String(part), bytes);
    await this.write(`${part}.json`, asText(facts));
  }

  async at(part: number): Promise<Blob> {
    const file = await this.file(String(part));
    if (!file) throw new Trouble('impossible', `part ${part} is not kept`);
    return file;
  }

  async whole(): Promise<ByteSink> {
    await this.own.removeEntry(READY).catch((error: unknown) => {
      if (!gone(error)) throw error;
    });
    const sink = await this.open(WHOLE).catch((error: unknown) => {
      throw asRoomTrouble(error);
    });
    return {
      write: (bytes, at) => sink.write(bytes, at),
      finish: async () => {
        const file = await sink.finish();
        await this.write(READY, new TextEncoder().encode('{}'));
        return file;
      },
      abandon: () => sink.abandon(),
    };
  }

  async found(): Promise<Blob | null> {
    return (await this.file(READY)) ? this.file(WHOLE) : null;
  }

  async dropParts(): Promise<void> {
    const names: string[] = [];
    for await (const name of this.own.keys()) if (/^\d+(\.json)?$/.test(name)) names.push(name);
    // what says that a part is whole goes first
    for (const name of names.sort((a, b) => b.length - a.length)) await this.own.removeEntry(name);
  }
}

/**
 * The kept parts of a job, in a worker; in memory where the browser has no files of its own, or gives none.
 * @throws Trouble `no-room` when the disk is full
 */
export async function ownFiles(job: string): Promise<Kept> {
  try {
    return new OwnFiles(await (await folder()).getDirectoryHandle(job, { create: true }));
  } catch (error) {
    const trouble = asRoomTrouble(error);
    // what has no room on the disk has less in memory
    if (trouble instanceof Trouble) throw trouble;
    return new MemoryKept();
  }
}

/** Gives back all that is kept of a job. */
export async function forgetFiles(job: string): Promise<void> {
  try {
    await (await folder()).removeEntry(job, { recursive: true });
  } catch (error) {
    if (!gone(error)) throw error;
  }
}

/** Gives back what is kept of jobs that are not there any more. */
export async function sweepFiles(jobs: ReadonlySet<string>): Promise<void> {
  const root = await folder();
  const names: string[] = [];
  for await (const name of root.keys()) if (!jobs.has(name)) names.push(name);
  for (const name of names) await root.removeEntry(name, { recursive: true });
}
