import { Trouble } from '../../core/trouble';
import type { EngineClient } from '../protocol';

/** How long work may still go on once something newer waits for its place, in milliseconds. */
const PATIENCE_MS = 1500;

type Api = EngineClient['api'];
interface Waiting {
  work: (api: Api) => Promise<unknown>;
  done: (value: unknown) => void;
  failed: (error: unknown) => void;
}

/**
 * Background work of one kind, of which only the newest matters: it has an engine of its own, so that no other kind waits
 * for it; what is asked for later takes the place of what waits, and ends what takes too long.
 */
export class Lane {
  private engine: EngineClient | null = null;
  private running: Waiting | null = null;
  private waiting: Waiting | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly start: () => EngineClient) {}

  /** @throws Trouble `superseded` when something newer took its place, `cancelled` when it was ended */
  run<T>(work: (api: Api) => Promise<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      this.waiting?.failed(new Trouble('superseded', 'something newer was asked for'));
      this.waiting = { work, done: resolve as (value: unknown) => void, failed: reject };
      if (!this.running) this.next();
      else this.timer ??= setTimeout(() => this.drop('superseded', 'something newer was asked for'), PATIENCE_MS);
    });
  }

  /** Ends what runs, and what waits, at once. */
  cancel(): void {
    this.waiting?.failed(new Trouble('cancelled', 'cancelled'));
    this.waiting = null;
    this.drop('cancelled', 'cancelled');
  }

  /** Ends what runs and frees the engine; the next work starts another. */
  close(): void {
    this.cancel();
    this.engine?.close();
    this.engine = null;
  }

  private drop(code: 'superseded' | 'cancelled', words: string): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    const { running } = this;
    if (!running) return;
    // the only way to stop a thread in the middle of its work
    this.engine?.close();
    this.engine = null;
    this.running = null;
    running.failed(new Trouble(code, words));
    this.next();
  }

  private next(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    const now = this.waiting;
    this.waiting = null;
    this.running = now;
    if (!now) return;
    this.engine ??= this.start();
    const { engine } = this;
    const settled = (tell: () => void): void => {
      if (this.running !== now) return;
      this.running = null;
      tell();
      this.next();
    };
    now.work(engine.api).then(
      (value) => settled(() => now.done(value)),
      (error: unknown) =>
        settled(() => {
          // an engine that has failed to start or stopped is not asked again
          engine.close();
          if (this.engine === engine) this.engine = null;
          now.failed(error);
        }),
    );
  }
}
