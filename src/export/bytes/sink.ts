/** Takes the bytes of a file as they are made: a file on the disk, so that no length of a file is too much for the memory. */
export interface ByteSink {
  /** Bytes from a place on; what is there may be written over. @throws Trouble `no-room` */
  write(bytes: Uint8Array, at: number): Promise<void>;
  /** What was written. It may be read for as long as its place is not given back. */
  finish(): Promise<Blob>;
  /** gives up; nothing is kept */
  abandon(): Promise<void>;
}

/** Writes one after another. */
export class Appender {
  /** @param at where the first goes */
  constructor(
    private readonly out: ByteSink,
    public at = 0,
  ) {}

  async write(bytes: Uint8Array): Promise<void> {
    const { at } = this;
    this.at += bytes.length;
    await this.out.write(bytes, at);
  }
}
