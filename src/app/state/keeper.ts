import { DOCUMENT_VERSION, type Piece } from '../../core/piece/schema';
import { markOf, type Journal, type JournalEntry } from '../../store/journal';
import type { Outcome, PieceState } from '../../store/pieces';
import { storeTrouble } from '../../store/room';
import { packHistory, type History } from './history';

/** Longest that a change waits before it is written, in milliseconds; writes then follow one another while it goes on. */
const WAIT_MS = 250;
/** Rest before a failed write is tried again, in milliseconds; longer each time. */
const RETRY_MS = [2000, 4000, 8000, 15_000];
/** Bytes of undo steps that are stored with a piece. */
const STEP_BYTES = 2e6;

/** How a piece in memory stands to the stored one. */
export type Standing =
  /** they are the same */
  | { is: 'stored' }
  /** changes are on their way */
  | { is: 'waiting' }
  /** the last write failed; it is tried again */
  | { is: 'failed'; words: string }
  /** the stored one was removed, or changed by another tab: nothing is written until that is answered */
  | { is: 'removed' }
  | { is: 'changed elsewhere' };

interface Entry {
  history: History<Piece>;
  /** names the state in memory */
  mark: string;
  /** mark of the state that is known to be stored; null when there is none */
  stored: string | null;
  /** mark of the state that is being written */
  writing: string | null;
  work: Promise<void> | null;
  standing: Standing;
  failures: number;
  timer: ReturnType<typeof setTimeout> | undefined;
  /** nobody looks at it any more: forgotten once it is stored */
  left: boolean;
}

interface Shelf {
  store(state: PieceState, over: string | null | undefined): Promise<Outcome>;
  journal: Pick<Journal, 'write' | 'clear'>;
  /** whether this tab may write the piece */
  mayWrite(id: string): boolean;
  /** called whenever what is not stored has changed */
  changed(): void;
  /** called whenever the standing of a piece has changed */
  tell(id: string, standing: Standing | null): void;
}

let count = 0;
const writer = `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;
const newMark = (): string => markOf(writer, count++);

/**
 * Keeps pieces in memory until they are known to be stored, and writes them in their order: one write a piece at a time,
 * each over the state it was made from. A failed write is tried again and never forgotten; what is not stored when the page
 * is left goes into the journal.
 */
export class Keeper {
  private readonly entries = new Map<string, Entry>();

  constructor(private readonly shelf: Shelf) {}

  /** Takes up a piece. @param stored mark of its stored state; null when it was never stored */
  take(history: History<Piece>, mark: string, stored: string | null): void {
    const { id } = history.present;
    clearTimeout(this.entries.get(id)?.timer);
    const entry: Entry = {
      history,
      mark,
      stored,
      writing: null,
      work: null,
      standing: mark === stored ? { is: 'stored' } : { is: 'waiting' },
      failures: 0,
      timer: undefined,
      left: false,
    };
    this.entries.set(id, entry);
    this.tell(id, entry);
    if (mark !== stored) void this.flush(id);
  }

  /** A piece that was never stored. Resolves when the first write has been done or has failed. */
  begin(history: History<Piece>): Promise<void> {
    this.take(history, newMark(), null);
    return this.flush(history.present.id);
  }

  /** The piece in memory, which is as new as the stored one or newer. */
  find(id: string): { history: History<Piece>; standing: Standing } | null {
    return this.entries.get(id) ?? null;
  }

  /** The piece in memory, which is looked at again. */
  stay(id: string): { history: History<Piece>; standing: Standing } | null {
    const entry = this.entries.get(id);
    if (!entry) return null;
    entry.left = false;
    return entry;
  }

  /** Notes a change; it is written within {@link WAIT_MS}, however many follow. */
  edited(history: History<Piece>): void {
    const { id } = history.present;
    const entry = this.entries.get(id);
    if (!entry) return;
    entry.history = history;
    entry.mark = newMark();
    this.shelf.changed();
    if (entry.standing.is === 'removed' || entry.standing.is === 'changed elsewhere') return;
    if (entry.standing.is !== 'failed') this.set(id, entry, { is: 'waiting' });
    this.schedule(id, entry, WAIT_MS);
  }

  /** Writes what is not stored now. Resolves when it is stored or has failed. */
  async flush(id: string): Promise<void> {
    const entry = this.entries.get(id);
    if (!entry) return;
    clearTimeout(entry.timer);
    entry.timer = undefined;
    // others may wait for the same write: only one of them begins the next
    while (entry.work) await entry.work;
    if (entry.mark !== entry.stored && this.entries.get(id) === entry) await this.write(id, entry, entry.stored);
  }

  /** The piece is not looked at any more; it is forgotten as soon as it is stored, and not before. */
  async leave(id: string): Promise<void> {
    const entry = this.entries.get(id);
    if (!entry) return;
    entry.left = true;
    if (entry.standing.is === 'waiting') await this.flush(id);
    this.forgetStored(id, entry);
  }

  /** Forgets a piece, stored or not: its user has said so. */
  drop(id: string): void {
    const entry = this.entries.get(id);
    if (!entry) return;
    clearTimeout(entry.timer);
    this.entries.delete(id);
    this.shelf.journal.clear(id);
    this.shelf.tell(id, null);
  }

  /** Stores the piece in memory over whatever is there: its user has said so. */
  async insist(id: string): Promise<void> {
    const entry = this.entries.get(id);
    if (!entry) return;
    while (entry.work) await entry.work;
    this.set(id, entry, { is: 'waiting' });
    await this.write(id, entry, undefined);
  }

  /** The stored piece was removed. */
  removedElsewhere(id: string): void {
    const entry = this.entries.get(id);
    if (!entry || entry.left) return;
    clearTimeout(entry.timer);
    this.set(id, entry, { is: 'removed' });
  }

  /** Tries all failed writes again. */
  retry(): void {
    for (const [id, entry] of this.entries) if (entry.standing.is === 'failed') void this.flush(id);
  }

  /** The states that are not in the database, and may be written by this tab. */
  unstored(): JournalEntry[] {
    const held = (is: Standing['is']): boolean => is === 'removed' || is === 'changed elsewhere';
    return [...this.entries]
      .filter(([id, { mark, stored, standing }]) => mark !== stored && !held(standing.is) && this.shelf.mayWrite(id))
      .map(([, { history, mark, stored, writing }]) => ({
        piece: history.present,
        version: DOCUMENT_VERSION,
        mark,
        over: writing === null ? [stored] : [stored, writing],
        steps: packHistory(history, STEP_BYTES),
        at: Date.now(),
      }));
  }

  /** Writes into the journal what is not stored. @returns whether all of it found room */
  writeDown(): boolean {
    return this.unstored().reduce((all, entry) => this.shelf.journal.write(entry) && all, true);
  }

  /** Whether anything would be lost if there were no journal. */
  get unsaved(): boolean {
    return [...this.entries.values()].some(({ mark, stored }) => mark !== stored);
  }

  private schedule(id: string, entry: Entry, ms: number): void {
    if (entry.timer !== undefined || entry.writing !== null) return;
    entry.timer = setTimeout(() => void this.flush(id), ms);
  }

  private async write(id: string, entry: Entry, over: string | null | undefined): Promise<void> {
    if (!this.shelf.mayWrite(id)) return;
    const { mark, history } = entry;
    const state = { piece: history.present, mark, steps: packHistory(history, STEP_BYTES) };
    entry.writing = mark;
    const work = this.shelf.store(state, over).then(
      (outcome) => {
        entry.writing = entry.work = null;
        if (outcome !== 'stored') return this.set(id, entry, { is: outcome });
        entry.stored = mark;
        entry.failures = 0;
        if (entry.mark === mark) {
          this.shelf.journal.clear(id);
          this.shelf.changed();
          this.set(id, entry, { is: 'stored' });
          this.forgetStored(id, entry);
        } else {
          this.set(id, entry, { is: 'waiting' });
          this.schedule(id, entry, WAIT_MS);
        }
      },
      (error: unknown) => {
        entry.writing = entry.work = null;
        this.set(id, entry, { is: 'failed', words: storeTrouble(error) });
        this.schedule(id, entry, RETRY_MS[Math.min(entry.failures++, RETRY_MS.length - 1)]);
      },
    );
    entry.work = work;
    await work;
  }

  private forgetStored(id: string, entry: Entry): void {
    if (entry.left && entry.mark === entry.stored && this.entries.get(id) === entry) {
      this.entries.delete(id);
      this.shelf.tell(id, null);
    }
  }

  private set(id: string, entry: Entry, standing: Standing): void {
    entry.standing = standing;
    if (this.entries.get(id) === entry) this.tell(id, entry);
  }

  private tell(id: string, { standing }: Entry): void {
    this.shelf.tell(id, standing);
  }
}
