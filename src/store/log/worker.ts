import * as Comlink from 'comlink';
import { newest, SlotPair } from './slots';

const FOLDER = 'isomorph log';

/** What earlier tabs left that ended without leaving. */
export interface Left {
  name: string;
  text: string;
}

/**
 * Writes a text into files of this tab's own in the browser's private folder. Unlike a write to the database, which other
 * processes must find the time for, it is with the operating system when the call returns, and survives whatever happens to
 * the browser.
 */
class LogWorker {
  private slots: SlotPair | null = null;

  private folder(): Promise<FileSystemDirectoryHandle> {
    return navigator.storage.getDirectory().then((root) => root.getDirectoryHandle(FOLDER, { create: true }));
  }

  /** Begins the log of a tab. @throws where the browser has no such files */
  async begin(name: string): Promise<void> {
    const folder = await this.folder();
    const open = async (slot: string) =>
      (await folder.getFileHandle(`${name}.${slot}`, { create: true })).createSyncAccessHandle();
    this.slots = new SlotPair([await open('a'), await open('b')]);
  }

  write(text: string): void {
    this.slots?.write(text);
  }

  /** What tabs left that are not there any more. Their files stay until {@link forget}. */
  async left(): Promise<Left[]> {
    const folder = await this.folder();
    const names = new Set<string>();
    for await (const name of folder.keys()) names.add(name.replace(/\.[ab]$/, ''));
    const all: Left[] = [];
    for (const name of names) {
      const handles: FileSystemSyncAccessHandle[] = [];
      try {
        // a tab that is still there holds its files
        for (const slot of ['a', 'b'])
          handles.push(
            await (await folder.getFileHandle(`${name}.${slot}`, { create: true })).createSyncAccessHandle(),
          );
        all.push({ name, text: newest(handles)?.text ?? '' });
      } catch {
        // not ours to read
      } finally {
        for (const handle of handles) handle.close();
      }
    }
    return all;
  }

  async forget(name: string): Promise<void> {
    const folder = await this.folder();
    for (const slot of ['a', 'b']) await folder.removeEntry(`${name}.${slot}`).catch(() => undefined);
  }
}

export type LogApi = LogWorker;
Comlink.expose(new LogWorker());
