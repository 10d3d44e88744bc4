import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Place } from './place';

/** A folder of the browser's private files, as far as places use it. */
class FakeFolder {
  readonly folders = new Map<string, FakeFolder>();
  readonly files = new Map<string, { bytes: Uint8Array; open: boolean }>();

  getDirectoryHandle(name: string, { create = false } = {}): Promise<FakeFolder> {
    const known = this.folders.get(name);
    if (known) return Promise.resolve(known);
    if (!create) return Promise.reject(new DOMException(name, 'NotFoundError'));
    const made = new FakeFolder();
    this.folders.set(name, made);
    return Promise.resolve(made);
  }

  getFileHandle(name: string): Promise<object> {
    const file = { bytes: new Uint8Array(), open: false };
    this.files.set(name, file);
    return Promise.resolve({
      getFile: () => Promise.resolve(new Blob([file.bytes.slice()])),
      createSyncAccessHandle() {
        file.open = true;
        return Promise.resolve({
          write(bytes: Uint8Array, { at }: { at: number }) {
            const more = new Uint8Array(Math.max(file.bytes.length, at + bytes.length));
            more.set(file.bytes);
            more.set(bytes, at);
            file.bytes = more;
            return bytes.length;
          },
          flush: () => undefined,
          close: () => (file.open = false),
        });
      },
    });
  }

  removeEntry(name: string): Promise<void> {
    if (!this.files.delete(name) && !this.folders.delete(name))
      return Promise.reject(new DOMException(name, 'NotFoundError'));
    return Promise.resolve();
  }

  async *keys(): AsyncGenerator<string> {
    yield* [...this.folders.keys(), ...this.files.keys()];
  }
}

let root: FakeFolder;
/** names of the locks that pages hold */
let held: string[];
let places: typeof import('./place');
beforeEach(async () => {
  root = new FakeFolder();
  held = [];
  vi.stubGlobal('navigator', {
    storage: { getDirectory: () => Promise.resolve(root) },
    locks: {
      request: (name: string) => (held.push(name), new Promise(() => undefined)),
      query: () => Promise.resolve({ held: held.map((name) => ({ name })), pending: [] }),
    },
  });
  // each test is a page of its own
  vi.resetModules();
  places = await import('./place');
});
const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
const ownFolder = ({ page }: Place): FakeFolder | undefined => root.folders.get('isomorph exports')?.folders.get(page);

describe('places of exports', () => {
  it('a page has one folder, and holds a lock for it; each export has a file of its own', async () => {
    const [first, second] = [places.newPlace(), places.newPlace()];
    expect(first.page).toBe(second.page);
    expect(first.name).not.toBe(second.name);
    expect(held).toHaveLength(1);
    expect(held[0]).toContain(first.page);
    const sink = await places.openPlace(first);
    await sink.write(Uint8Array.of(1, 2, 3), 0);
    expect([...new Uint8Array(await (await sink.finish()).arrayBuffer())]).toEqual([1, 2, 3]);
    expect([...(ownFolder(first)?.files.values() ?? [])]).toEqual([{ bytes: Uint8Array.of(1, 2, 3), open: false }]);
  });

  it('what is given back, or given up, is gone', async () => {
    const [kept, lost] = [places.newPlace(), places.newPlace()];
    await (await places.openPlace(kept)).finish();
    await (await places.openPlace(lost)).abandon();
    expect([...(ownFolder(kept)?.files.keys() ?? [])]).toEqual([kept.name]);
    await places.giveBack(kept);
    expect(ownFolder(kept)?.files.size).toBe(0);
    await expect(places.giveBack(kept)).rejects.toThrow();
  });

  it('folders of pages that are gone are removed; those of pages that are there stay', async () => {
    const all = await root.getDirectoryHandle('isomorph exports', { create: true });
    await all.getDirectoryHandle('gone', { create: true });
    await all.getDirectoryHandle('there', { create: true });
    held.push('isomorph exports there');
    places.newPlace();
    await settle();
    await settle();
    expect([...all.folders.keys()]).toEqual(['there']);
  });

  it('a full disk is said, not moved into memory', async () => {
    vi.stubGlobal('navigator', {
      storage: { getDirectory: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) },
      locks: navigator.locks,
    });
    await expect(places.openPlace(places.newPlace())).rejects.toMatchObject({ code: 'no-room' });
    await settle();
  });

  it('without files of its own a browser keeps the bytes in memory', async () => {
    vi.stubGlobal('navigator', { storage: {}, locks: navigator.locks });
    const sink = await places.openPlace(places.newPlace());
    await sink.write(Uint8Array.of(4), 0);
    expect((await sink.finish()).size).toBe(1);
    await settle();
  });
});
