import type { ByteSink } from './sink';

/** Bytes in memory, where a browser has no files of its own, and for tests. */
export class MemorySink implements ByteSink {
  private bytes = new Uint8Array(1 << 16);
  private length = 0;

  write(bytes: Uint8Array, at: number): Promise<void> {
    const end = at + bytes.length;
    if (end > this.bytes.length) {
      const more = new Uint8Array(Math.max(end, this.bytes.length * 2));
      more.set(this.bytes.subarray(0, this.length));
      this.bytes = more;
    }
    this.bytes.set(bytes, at);
    this.length = Math.max(this.length, end);
    return Promise.resolve();
  }

  finish(): Promise<Blob> {
    return Promise.resolve(new Blob([this.bytes.subarray(0, this.length)]));
  }

  abandon(): Promise<void> {
    this.length = 0;
    return Promise.resolve();
  }
}
