import type { Piece } from '../core/piece/schema';
import type { StoredSteps } from './database';

/**
 * A state of a piece that was not in the database when its page was left. The database answers only later, and a page
 * that is being left has no later; this is written at once.
 */
export interface JournalEntry {
  piece: Piece;
  /** of the document */
  version: number;
  mark: string;
  /** marks of the stored states it was made from, any of which it may replace; null where there was none */
  over: (string | null)[];
  steps: Pick<StoredSteps, 'past' | 'future'> | null;
  at: number;
}

const PREFIX = 'isomorph unsaved ';

type Room = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** States written down synchronously, one a piece, in the browser's small storage. */
export class Journal {
  constructor(private readonly room: Room) {}

  /** @returns false when there is no room even without the steps */
  write(entry: JournalEntry): boolean {
    for (const kept of [entry, { ...entry, steps: null }])
      try {
        this.room.setItem(PREFIX + entry.piece.id, JSON.stringify(kept));
        return true;
      } catch {
        // too large: without its steps it may fit
      }
    return false;
  }

  /** What was written down of a piece, or null; what cannot be read is none. */
  read(id: string): JournalEntry | null {
    const text = this.room.getItem(PREFIX + id);
    if (text === null) return null;
    try {
      const entry = JSON.parse(text) as JournalEntry;
      return typeof entry.mark === 'string' && Array.isArray(entry.over) ? entry : null;
    } catch {
      return null;
    }
  }

  clear(id: string): void {
    this.room.removeItem(PREFIX + id);
  }

  /** Ids of the pieces that something is written down of. */
  ids(): string[] {
    return Array.from({ length: this.room.length }, (_, i) => this.room.key(i) ?? '')
      .filter((key) => key.startsWith(PREFIX))
      .map((key) => key.slice(PREFIX.length));
  }
}

/** A name for the `count`-th state that a writer makes. */
export const markOf = (writer: string, count: number): string => `${writer}.${count}`;

const readMark = (mark: string): { writer: string; count: number } => {
  const dot = mark.lastIndexOf('.');
  return { writer: mark.slice(0, Math.max(0, dot)), count: Number(mark.slice(dot + 1)) };
};

/** What a journal's state is to the stored one: it has arrived, it follows on it, or both went their own ways. */
export function standing(entry: JournalEntry, stored: { mark?: string } | null): 'arrived' | 'follows' | 'apart' {
  if (stored === null) return 'follows';
  const mark = stored.mark ?? '';
  const [there, here] = [readMark(mark), readMark(entry.mark)];
  // the states of one writer follow one another
  if (there.writer !== '' && there.writer === here.writer) return there.count >= here.count ? 'arrived' : 'follows';
  return entry.over.includes(mark) ? 'follows' : 'apart';
}
