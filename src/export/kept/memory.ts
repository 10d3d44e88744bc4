import { MemorySink } from '../bytes/memory';
import type { ByteSink } from '../bytes/sink';
import type { Kept, PartFacts } from './kept';

/** Parts in memory, where a browser has no files of its own, and for tests. */
export class MemoryKept implements Kept {
  private readonly parts = new Map<number, { file: Blob; facts: PartFacts }>();

  list(): Promise<Map<number, PartFacts>> {
    return Promise.resolve(new Map([...this.parts].map(([part, { facts }]) => [part, facts])));
  }

  put(part: number, bytes: Uint8Array<ArrayBuffer>, facts: PartFacts): Promise<void> {
    this.parts.set(part, { file: new Blob([bytes]), facts });
    return Promise.resolve();
  }

  at(part: number): Promise<Blob> {
    const found = this.parts.get(part);
    return found ? Promise.resolve(found.file) : Promise.reject(new RangeError(`there is no part ${part}`));
  }

  whole(): Promise<ByteSink> {
    return Promise.resolve(new MemorySink());
  }

  found(): Promise<Blob | null> {
    return Promise.resolve(null);
  }

  dropParts(): Promise<void> {
    this.parts.clear();
    return Promise.resolve();
  }
}
