import { Trouble } from '../../core/trouble';
import * as Comlink from 'comlink';
import type { JournalEntry } from '../journal';
import type { LogApi } from './worker';

/** Rest between two writes, in milliseconds; what they cost is a small part of it. */
const REST_MS = 60;
/** Rest at least so many times what the last write cost the page. */
const SHARE = 8;

/**
 * Notes what is not yet in the database while it is edited, for a browser that ends without warning. A convenience of the
 * second line: where it cannot be had, nothing else changes.
 */
export class Log {
  private api: Comlink.Remote<LogApi> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** when the next note may be made */
  private next = 0;

  /** @param now what is not in the database at that moment */
  constructor(private readonly now: () => JournalEntry[]) {}

  /** Starts the log. @returns what earlier tabs left, by piece the newest, and a way to forget it once it is stored */
  async start(name: string): Promise<{ entries: JournalEntry[]; forget(): Promise<void> }> {
    try {
      const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'log' });
      const api = Comlink.wrap<LogApi>(worker);
      const broken = new Promise<never>((_, fail) => {
        worker.onerror = () => fail(new Trouble('not-started', 'the log did not start'));
        setTimeout(() => fail(new Trouble('too-slow', 'the log did not answer')), 5000);
      });
      await Promise.race([api.begin(name), broken]);
      this.api = api;
      this.changed();
      const left = await Promise.race([api.left(), broken]);
      const entries = left.flatMap(({ text }) => entriesOf(text));
      return {
        entries,
        forget: async () => {
          for (const tab of left) await api.forget(tab.name);
        },
      };
    } catch {
      return { entries: [], forget: () => Promise.resolve() };
    }
  }

  /** Something was edited, or was stored: noted at once, or after the rest where there was a note just before. */
  changed(): void {
    const left = this.next - performance.now();
    if (left <= 0) this.note();
    else this.timer ??= setTimeout(() => this.note(), left);
  }

  private note(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    if (!this.api) return;
    const started = performance.now();
    void this.api.write(JSON.stringify(this.now())).catch(() => undefined);
    const ended = performance.now();
    this.next = ended + Math.max(REST_MS, (ended - started) * SHARE);
  }
}

function entriesOf(text: string): JournalEntry[] {
  try {
    const read = JSON.parse(text === '' ? '[]' : text) as JournalEntry[];
    return read.filter(({ mark, over, piece }) => typeof mark === 'string' && Array.isArray(over) && Boolean(piece));
  } catch {
    return [];
  }
}
