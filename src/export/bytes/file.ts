import { Trouble } from '../../core/trouble';
import type { ByteSink } from './sink';

/** As much of a handle as is used: see FileSystemSyncAccessHandle. */
export interface Handle {
  write(bytes: Uint8Array, options: { at: number }): number;
  flush(): void;
  close(): void;
}

/** One file of the browser's private folder, open for writing. Only workers may. */
export class FileSink implements ByteSink {
  constructor(
    private readonly handle: Handle,
    private readonly read: () => Promise<Blob>,
    private readonly remove: () => Promise<void>,
  ) {}

  write(bytes: Uint8Array, at: number): Promise<void> {
    try {
      const written = this.handle.write(bytes, { at });
      // a full disk may take a part
      if (written < bytes.length) throw new DOMException('the disk took a part', 'QuotaExceededError');
    } catch (error) {
      return Promise.reject(asRoomTrouble(error));
    }
    return Promise.resolve();
  }

  finish(): Promise<Blob> {
    this.handle.flush();
    this.handle.close();
    return this.read();
  }

  async abandon(): Promise<void> {
    this.handle.close();
    await this.remove();
  }
}

/** A full disk in words; other errors as they are. */
export const asRoomTrouble = (error: unknown): unknown =>
  error instanceof DOMException && error.name === 'QuotaExceededError'
    ? new Trouble('no-room', 'there is no room for the file on this disk', {
        would: 'Free some room, or remove finished files from the queue; a smaller size or fewer frames work too.',
      })
    : error;
