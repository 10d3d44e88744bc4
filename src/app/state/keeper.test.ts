import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PieceSchema, type Piece } from '../../core/piece/schema';
import type { JournalEntry } from '../../store/journal';
import type { Outcome, PieceState } from '../../store/pieces';
import { change, startHistory } from './history';
import { Keeper, type Standing } from './keeper';

const piece = (id: string, name: string): Piece =>
  PieceSchema.parse({ id, name, lap: { frames: 24, rate: { num: 24, den: 1 } }, layers: [], flight: {}, look: {} });

/** A database of one row a piece, as slow and as broken as asked for, and a journal. */
function shelf() {
  const rows = new Map<string, PieceState>();
  const written = new Map<string, JournalEntry>();
  const standings = new Map<string, Standing | null>();
  const order: string[] = [];
  const made = {
    rows,
    written,
    standings,
    order,
    delayMs: 0,
    broken: false,
    mine: true,
    removed: new Set<string>(),
    async store(state: PieceState, over: string | null | undefined): Promise<Outcome> {
      await new Promise((resolve) => setTimeout(resolve, made.delayMs));
      if (made.broken) throw new DOMException('full', 'QuotaExceededError');
      const before = rows.get(state.piece.id);
      if (over !== undefined && made.removed.has(state.piece.id)) return 'removed';
      if (over !== undefined && (before?.mark ?? null) !== over) return 'changed elsewhere';
      made.removed.delete(state.piece.id);
      rows.set(state.piece.id, state);
      order.push(state.piece.name);
      return 'stored';
    },
    journal: {
      write: (entry: JournalEntry) => Boolean(written.set(entry.piece.id, entry)),
      clear: (id: string) => void written.delete(id),
    },
    mayWrite: () => made.mine,
    changed: () => undefined,
    tell: (id: string, standing: Standing | null) => void standings.set(id, standing),
  };
  return made;
}

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);

async function started(id = 'p') {
  const kept = shelf();
  const keeper = new Keeper(kept);
  let history = startHistory(piece(id, 'start'));
  const begun = keeper.begin(history);
  await pass(1);
  await begun;
  const edit = (name: string): void => {
    history = change(history, { ...history.present, name });
    keeper.edited(history);
  };
  return { kept, keeper, edit };
}

describe('keeping a piece', () => {
  it('under changes that never rest, what is stored is never more than a second old', async () => {
    const { kept, edit } = await started();
    kept.delayMs = 150;
    for (let i = 1; i <= 300; i++) {
      edit(`at ${i * 40}`);
      await pass(40);
      const stored = Number(kept.rows.get('p')?.piece.name.replace('at ', '').replace('start', '0'));
      expect(i * 40 - stored).toBeLessThanOrEqual(1000);
    }
    // and it is not one write a change
    expect(kept.order.length).toBeLessThan(40);
  });

  it('a slow write is followed by the newest state, in order, one at a time', async () => {
    const { kept, keeper, edit } = await started();
    kept.delayMs = 700;
    edit('a');
    await pass(450);
    edit('b');
    edit('c');
    void keeper.flush('p');
    void keeper.flush('p');
    await pass(3000);
    expect(kept.order).toEqual(['start', 'a', 'c']);
    expect(kept.standings.get('p')).toEqual({ is: 'stored' });
  });

  it('a failed write is said, tried again, and arrives when there is room', async () => {
    const { kept, edit } = await started();
    kept.broken = true;
    edit('precious');
    await pass(500);
    expect(kept.standings.get('p')).toEqual({ is: 'failed', words: 'the browser has no room left for it' });
    await pass(60_000);
    kept.broken = false;
    await pass(20_000);
    expect(kept.rows.get('p')?.piece.name).toBe('precious');
    expect(kept.standings.get('p')).toEqual({ is: 'stored' });
  });

  it('leaving a piece whose write failed keeps it; leaving a stored one forgets it', async () => {
    const { kept, keeper, edit } = await started();
    kept.broken = true;
    edit('precious');
    const left = keeper.leave('p');
    await pass(10);
    await left;
    expect(keeper.find('p')?.history.present.name).toBe('precious');
    kept.broken = false;
    await pass(20_000);
    expect(kept.rows.get('p')?.piece.name).toBe('precious');
    expect(keeper.find('p')).toBeNull();
  });

  it('left and looked at again while its write is on the way, it is the newest state', async () => {
    const { kept, keeper, edit } = await started();
    kept.delayMs = 500;
    edit('newest');
    void keeper.leave('p');
    await pass(100);
    expect(keeper.stay('p')?.history.present.name).toBe('newest');
    await pass(1000);
    expect(keeper.find('p')?.history.present.name).toBe('newest');
    expect(kept.rows.get('p')?.piece.name).toBe('newest');
  });

  it('writes down at once what is not stored, and which states it may replace', async () => {
    const { kept, keeper, edit } = await started();
    expect(keeper.unsaved).toBe(false);
    keeper.writeDown();
    expect(kept.written.size).toBe(0);
    kept.delayMs = 500;
    edit('on its way');
    await pass(450);
    edit('not even that');
    expect(keeper.unsaved).toBe(true);
    expect(keeper.writeDown()).toBe(true);
    const entry = kept.written.get('p');
    expect(entry?.piece.name).toBe('not even that');
    expect(entry?.over).toHaveLength(2);
    expect(entry?.steps?.past).toHaveLength(2);
    await pass(200);
    // the first of both writes has arrived: the entry may replace it
    expect(entry?.over).toContain(kept.rows.get('p')?.mark);
    await pass(3000);
    expect(kept.written.size).toBe(0);
  });

  it('removed or changed elsewhere, nothing is written until its user insists', async () => {
    const { kept, keeper, edit } = await started();
    kept.removed.add('p');
    edit('mine');
    await pass(1000);
    expect(kept.standings.get('p')).toEqual({ is: 'removed' });
    edit('mine still');
    await pass(5000);
    expect(kept.order).toEqual(['start']);
    const insisted = keeper.insist('p');
    await pass(10);
    await insisted;
    expect(kept.rows.get('p')?.piece.name).toBe('mine still');
    kept.rows.set('p', { ...(kept.rows.get('p') as PieceState), mark: 'of another tab' });
    edit('later');
    await pass(1000);
    expect(kept.standings.get('p')).toEqual({ is: 'changed elsewhere' });
    expect(kept.rows.get('p')?.mark).toBe('of another tab');
  });

  it('a tab that does not have the piece writes nothing, and writes nothing down', async () => {
    const { kept, keeper, edit } = await started();
    kept.mine = false;
    edit('not kept');
    await pass(2000);
    keeper.writeDown();
    expect([kept.order, kept.written.size]).toEqual([['start'], 0]);
  });
});
