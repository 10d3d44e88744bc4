import { describe, expect, it } from 'vitest';
import { FileSink, type Handle } from './file';
import { MemorySink } from './memory';
import { Appender, type ByteSink } from './sink';

/** A file of the browser's, in memory, with room for so many bytes. */
class FakeFile implements Handle {
  bytes: number[] = [];
  open = true;
  flushed = false;
  constructor(private readonly room: number) {}
  write(bytes: Uint8Array, { at }: { at: number }): number {
    const taken = Math.max(0, Math.min(bytes.length, this.room - at));
    for (let i = 0; i < taken; i++) this.bytes[at + i] = bytes[i];
    return taken;
  }
  flush(): void {
    this.flushed = true;
  }
  close(): void {
    this.open = false;
  }
}
function fileSink(room = 1e9): { file: FakeFile; sink: FileSink; removed: () => boolean } {
  const file = new FakeFile(room);
  let removed = false;
  const read = (): Promise<Blob> => Promise.resolve(new Blob([Uint8Array.from(file.bytes)]));
  const sink = new FileSink(file, read, () => Promise.resolve(void (removed = true)));
  return { file, sink, removed: () => removed };
}
const bytesOf = async (blob: Blob): Promise<number[]> => [...new Uint8Array(await blob.arrayBuffer())];

describe.each([
  ['in memory', () => new MemorySink()],
  ['in a file', () => fileSink().sink],
] as [string, () => ByteSink][])('bytes %s', (_, make) => {
  it('stand where they were written, and may be written over', async () => {
    const sink = make();
    await sink.write(Uint8Array.of(1, 2, 3, 4), 0);
    await sink.write(Uint8Array.of(9, 9), 6);
    await sink.write(Uint8Array.of(7), 1);
    await sink.write(Uint8Array.of(5, 6), 4);
    expect(await bytesOf(await sink.finish())).toEqual([1, 7, 3, 4, 5, 6, 9, 9]);
  });

  it('one after another, however many', async () => {
    const sink = make();
    const file = new Appender(sink);
    const parts = Array.from({ length: 9 }, (_, i) => new Uint8Array(30_000).fill(i));
    for (const part of parts) await file.write(part);
    expect(await bytesOf(await sink.finish())).toEqual(parts.flatMap((part) => [...part]));
  });
});

describe('a file', () => {
  it('without room says so and what to do, also when the disk takes a part', async () => {
    const { sink } = fileSink(10);
    await sink.write(new Uint8Array(8), 0);
    await expect(sink.write(new Uint8Array(8), 8)).rejects.toMatchObject({ code: 'no-room' });
  });

  it('is flushed before it is read; given up, it is closed and removed', async () => {
    const kept = fileSink();
    await kept.sink.finish();
    expect([kept.file.flushed, kept.file.open, kept.removed()]).toEqual([true, false, false]);
    const lost = fileSink();
    await lost.sink.abandon();
    expect([lost.file.open, lost.removed()]).toEqual([false, true]);
  });
});
