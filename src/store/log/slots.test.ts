import { describe, expect, it } from 'vitest';
import { newest, SlotPair, type SlotFile } from './slots';

/** A file in memory that can stop in the middle of a write. */
class MemoryFile implements SlotFile {
  bytes = new Uint8Array();
  most = Infinity;
  getSize = () => this.bytes.length;
  read(into: Uint8Array, { at }: { at: number }): number {
    const part = this.bytes.subarray(at, at + into.length);
    into.set(part);
    return part.length;
  }
  write(from: Uint8Array, { at }: { at: number }): number {
    const count = Math.min(from.length, this.most);
    const grown = new Uint8Array(Math.max(this.bytes.length, at + count));
    grown.set(this.bytes);
    grown.set(from.subarray(0, count), at);
    this.bytes = grown;
    return count;
  }
}
const pair = (): [MemoryFile, MemoryFile] => [new MemoryFile(), new MemoryFile()];

describe('a text in two slots', () => {
  it('gives back the last one, long or short, also after being opened again', () => {
    const files = pair();
    expect(newest(files)).toBeNull();
    const slots = new SlotPair(files);
    for (const text of ['one', 'a longer one with ünïcode ✓', '', '[]']) {
      slots.write(text);
      expect(newest(files)?.text).toBe(text);
    }
    new SlotPair(files).write('later');
    expect(newest(files)?.text).toBe('later');
  });

  it('a write cut off anywhere leaves the one before it', () => {
    for (let cut = 0; cut < 40; cut++) {
      const files = pair();
      const slots = new SlotPair(files);
      for (let i = 0; i < 5; i++) slots.write(`kept, number ${i} of those`);
      for (const file of files) file.most = cut;
      expect(() => slots.write('cut off somewhere in here, sadly')).toThrow('not written whole');
      expect(newest(files)?.text).toBe('kept, number 4 of those');
    }
  });

  it('a flipped bit is noticed', () => {
    const files = pair();
    const slots = new SlotPair(files);
    slots.write('first');
    slots.write('second');
    files[0].bytes[17] ^= 4;
    expect(newest(files)?.text).toBe('first');
  });
});
