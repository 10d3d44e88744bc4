import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Kept, PartFacts } from './kept';
import { MemoryKept } from './memory';
import { forgetFiles, ownFiles, sweepFiles } from './ownFiles';

/** A folder of the browser's private files, as far as it is used. */
class FakeFolder {
  readonly folders = new Map<string, FakeFolder>();
  readonly files = new Map<string, Uint8Array>();
  /** bytes that there is room for */
  static room = Infinity;

  getDirectoryHandle(name: string, { create = false } = {}): Promise<FakeFolder> {
    const known = this.folders.get(name);
    if (known) return Promise.resolve(known);
    if (!create) return Promise.reject(new DOMException(name, 'NotFoundError'));
    const made = new FakeFolder();
    this.folders.set(name, made);
    return Promise.resolve(made);
  }

  getFileHandle(name: string, { create = false } = {}): Promise<object> {
    const { files } = this;
    if (!files.has(name)) {
      if (!create) return Promise.reject(new DOMException(name, 'NotFoundError'));
      files.set(name, new Uint8Array());
    }
    const bytes = (): Uint8Array => files.get(name) ?? new Uint8Array();
    return Promise.resolve({
      getFile: () => Promise.resolve(new Blob([bytes().slice()])),
      createSyncAccessHandle: () =>
        Promise.resolve({
          truncate: (size: number) => files.set(name, bytes().slice(0, size)),
          write(more: Uint8Array, { at }: { at: number }) {
            const taken = Math.max(0, Math.min(more.length, FakeFolder.room - at));
            const grown = new Uint8Array(Math.max(bytes().length, at + taken));
            grown.set(bytes());
            grown.set(more.subarray(0, taken), at);
            files.set(name, grown);
            return taken;
          },
          flush: () => undefined,
          close: () => undefined,
        }),
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
beforeEach(() => {
  root = new FakeFolder();
  FakeFolder.room = Infinity;
  vi.stubGlobal('navigator', { storage: { getDirectory: () => Promise.resolve(root) } });
});
const jobs = (): FakeFolder | undefined => root.folders.get('isomorph exports');
const facts = (bytes: number): PartFacts => ({ bytes, crc: 7, frames: [{ cells: [1.5], sum: 3 }] });
const bytesOf = async (blob: Blob | null): Promise<number[]> => [...new Uint8Array((await blob?.arrayBuffer()) ?? [])];

describe.each([
  ['in memory', () => Promise.resolve(new MemoryKept())],
  ['in files', () => ownFiles('job')],
] as [string, () => Promise<Kept>][])('parts %s', (_, make) => {
  it('are there as they were put, and a second one takes the place of the first', async () => {
    const kept = await make();
    expect((await kept.list()).size).toBe(0);
    await kept.put(3, Uint8Array.of(1, 2, 3), facts(3));
    await kept.put(0, Uint8Array.of(9, 9, 9, 9), facts(4));
    await kept.put(0, Uint8Array.of(8, 8), facts(2));
    expect([...(await kept.list())].sort()).toEqual([
      [0, facts(2)],
      [3, facts(3)],
    ]);
    expect(await bytesOf(await kept.at(0))).toEqual([8, 8]);
    await expect(kept.at(1)).rejects.toThrow('part 1');
    await kept.dropParts();
    expect((await kept.list()).size).toBe(0);
  });

  it('are put together to a file', async () => {
    const kept = await make();
    const out = await kept.whole();
    await out.write(Uint8Array.of(5, 6), 0);
    expect(await bytesOf(await out.finish())).toEqual([5, 6]);
  });
});

describe('parts in files', () => {
  it('outlive those who put them', async () => {
    await (await ownFiles('job')).put(1, Uint8Array.of(4), facts(1));
    const again = await ownFiles('job');
    expect([...(await again.list()).keys()]).toEqual([1]);
    expect((await (await ownFiles('another')).list()).size).toBe(0);
  });

  it('one that was ended in the middle is none: nothing says that it is whole, or it is shorter', async () => {
    const kept = await ownFiles('job');
    await kept.put(0, Uint8Array.of(1, 2), facts(2));
    await kept.put(1, Uint8Array.of(1, 2), facts(2));
    await kept.put(2, Uint8Array.of(1, 2), facts(2));
    const own = jobs()?.folders.get('job');
    own?.files.set('0', Uint8Array.of(1));
    own?.files.delete('1.json');
    own?.files.set('2.json', new TextEncoder().encode('{"bytes": 2, "fra'));
    expect((await kept.list()).size).toBe(0);
  });

  it('the whole file is found when it was finished, and only then', async () => {
    const kept = await ownFiles('job');
    expect(await kept.found()).toBeNull();
    const out = await kept.whole();
    await out.write(Uint8Array.of(5, 6), 0);
    expect(await kept.found()).toBeNull();
    await out.finish();
    expect(await bytesOf(await kept.found())).toEqual([5, 6]);
    // begun again it is not finished
    await kept.whole();
    expect(await kept.found()).toBeNull();
  });

  it('a disk that takes a part says so, and the part is none', async () => {
    const kept = await ownFiles('job');
    FakeFolder.room = 2;
    await expect(kept.put(0, Uint8Array.of(1, 2, 3), facts(3))).rejects.toMatchObject({ code: 'no-room' });
    expect((await kept.list()).size).toBe(0);
    expect(jobs()?.folders.get('job')?.files.size).toBe(0);
  });

  it('without room or files of its own it is said, or kept in memory', async () => {
    const without = (fail: () => Promise<never>): void =>
      void vi.stubGlobal('navigator', { storage: { getDirectory: fail } });
    without(() => Promise.reject(new DOMException('full', 'QuotaExceededError')));
    await expect(ownFiles('job')).rejects.toMatchObject({ code: 'no-room' });
    without(() => Promise.reject(new DOMException('not here', 'SecurityError')));
    expect(await ownFiles('job')).toBeInstanceOf(MemoryKept);
  });

  it('of jobs that are forgotten, or not there any more, are given back', async () => {
    for (const job of ['a', 'b', 'c']) await (await ownFiles(job)).put(0, Uint8Array.of(1), facts(1));
    await forgetFiles('b');
    await forgetFiles('b');
    expect([...(jobs()?.folders.keys() ?? [])]).toEqual(['a', 'c']);
    await sweepFiles(new Set(['c']));
    expect([...(jobs()?.folders.keys() ?? [])]).toEqual(['c']);
  });
});
