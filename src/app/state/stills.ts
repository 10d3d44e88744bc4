import { Trouble } from '../../core/trouble';
import { startEngine, type EngineClient } from '../../engine/client';
import type { StillRequest } from '../../engine/protocol';

/** Longest that one picture may take, in milliseconds: the others wait for it. */
const MOST_MS = 20_000;

/** Draws small pictures one after another with an engine of its own, which is started for the first and ends when it is let go of. */
export class Stills {
  private engine: EngineClient | null = null;
  private queue: Promise<unknown> = Promise.resolve();

  /** What is done when those before it are. */
  next<T>(make: () => Promise<T>): Promise<T> {
    const made = this.queue.then(make, make);
    this.queue = made.catch(() => undefined);
    return made;
  }

  /** Draws; an engine that has ended, or takes too long, is given up, and the next picture starts another. */
  async draw(request: StillRequest): Promise<Blob> {
    const own = (this.engine ??= startEngine());
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<never>((_, fail) => {
      timer = setTimeout(() => fail(new Trouble('too-slow', 'the picture takes too long')), MOST_MS);
    });
    try {
      return await Promise.race([own.api.still(request), late]);
    } catch (error) {
      own.close();
      if (this.engine === own) this.engine = null;
      throw error;
    } finally {
      clearTimeout(timer);
    }
  }

  /** Frees the engine when what was asked for is drawn. */
  close(): void {
    void this.queue.then(() => {
      this.engine?.close();
      this.engine = null;
    });
  }
}
