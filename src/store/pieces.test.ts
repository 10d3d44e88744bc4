import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../core/piece/schema';
import { database } from './database';
import { Journal, standing, type JournalEntry } from './journal';
import { bringBack, daysLeft, deleteExpired, loadPiece, removePiece, storePiece } from './pieces';
import { storeTrouble } from './room';

const piece = (name: string, id = 'p'): Piece =>
  PieceSchema.parse({ id, name, lap: { frames: 24, rate: { num: 24, den: 1 } }, layers: [], flight: {}, look: {} });
const state = (name: string, mark: string) => ({ piece: piece(name), mark, steps: { past: [], future: [] } });

beforeEach(async () => {
  await Promise.all([database.pieces.clear(), database.steps.clear()]);
});

describe('stored pieces', () => {
  it('are written over the state they were made from, and over no other', async () => {
    expect(await storePiece(state('one', 'a'), null)).toBe('stored');
    expect(await storePiece(state('two', 'b'), 'a')).toBe('stored');
    // made from a state that has been replaced since
    expect(await storePiece(state('late', 'c'), 'a')).toBe('changed elsewhere');
    expect((await database.pieces.get('p'))?.name).toBe('two');
    // a new piece never takes the place of one that is there
    expect(await storePiece(state('new', 'd'), null)).toBe('changed elsewhere');
    // unless its user says so
    expect(await storePiece(state('insisted', 'e'), undefined)).toBe('stored');
    expect((await database.pieces.get('p'))?.name).toBe('insisted');
  });

  it('stored before they had marks can be written over', async () => {
    await database.pieces.put({ id: 'p', name: 'old', piece: piece('old'), updatedAt: 1 });
    expect(await storePiece(state('new', 'a'), '')).toBe('stored');
  });

  it('that were removed are not written over, and come back as they were', async () => {
    await storePiece(state('one', 'a'), null);
    await removePiece('p');
    expect(await storePiece(state('two', 'b'), 'a')).toBe('removed');
    await bringBack('p');
    expect((await loadPiece('p'))?.record).toMatchObject({ name: 'one', mark: 'a' });
    expect((await loadPiece('p'))?.record.removedAt).toBeUndefined();
    await database.pieces.delete('p');
    expect(await storePiece(state('two', 'b'), 'a')).toBe('removed');
  });

  it('that were removed go for good after 30 days, not before', async () => {
    await storePiece(state('one', 'a'), null);
    await removePiece('p');
    const now = Date.now();
    expect(daysLeft(now, now)).toBe(30);
    expect(daysLeft(now, now + 29.5 * 86_400_000)).toBe(1);
    expect(await deleteExpired(now + 29 * 86_400_000)).toBe(0);
    expect(await loadPiece('p')).not.toBeNull();
    expect(await deleteExpired(now + 31 * 86_400_000)).toBe(1);
    expect(await loadPiece('p')).toBeNull();
    expect(await database.steps.get('p')).toBeUndefined();
  });

  it('have their undo steps with them, which belong to that state only', async () => {
    const steps = { past: [[{ path: ['name'], set: 'before' }]], future: [] };
    await storePiece({ ...state('one', 'a'), steps }, null);
    expect((await loadPiece('p'))?.steps?.past).toEqual(steps.past);
    await database.pieces.update('p', { mark: 'z' });
    expect((await loadPiece('p'))?.steps).toBeNull();
  });
});

describe('the journal', () => {
  const room = (most = Infinity) => {
    const kept = new Map<string, string>();
    return {
      get length() {
        return kept.size;
      },
      key: (i: number) => [...kept.keys()][i] ?? null,
      getItem: (key: string) => kept.get(key) ?? null,
      removeItem: (key: string) => void kept.delete(key),
      setItem: (key: string, value: string) => {
        if (value.length > most) throw new DOMException('full', 'QuotaExceededError');
        kept.set(key, value);
      },
    };
  };
  const entry = (over: (string | null)[]): JournalEntry => ({
    piece: piece('left'),
    version: 3,
    mark: 'm',
    over,
    steps: { past: [[{ path: ['name'], set: 'x'.repeat(3000) }]], future: [] },
    at: 1,
  });

  it('gives back what was written down, until it is cleared', () => {
    const journal = new Journal(room());
    expect(journal.write(entry(['a']))).toBe(true);
    expect(journal.read('p')).toEqual(entry(['a']));
    expect(journal.ids()).toEqual(['p']);
    journal.clear('p');
    expect(journal.read('p')).toBeNull();
  });

  it('leaves the undo steps out before it gives up', () => {
    const whole = JSON.stringify(entry(['a'])).length;
    const journal = new Journal(room(whole - 10));
    expect(journal.write(entry(['a']))).toBe(true);
    expect(journal.read('p')).toEqual({ ...entry(['a']), steps: null });
    expect(new Journal(room(100)).write(entry(['a']))).toBe(false);
  });

  it('reads damaged text as nothing', () => {
    const kept = room();
    kept.setItem('isomorph unsaved p', '{"mark":');
    kept.setItem('isomorph unsaved q', '{"mark":3}');
    const journal = new Journal(kept);
    expect([journal.read('p'), journal.read('q')]).toEqual([null, null]);
  });

  it('knows whether its state arrived after all, follows, or was overtaken', () => {
    const of = (mark: string) => ({ ...entry(['w.1', null]), mark });
    expect(standing(of('w.4'), { mark: 'w.4' })).toBe('arrived');
    // a later state of the same writer was stored after this one was written down
    expect(standing(of('w.4'), { mark: 'w.11' })).toBe('arrived');
    expect(standing(of('w.11'), { mark: 'w.4' })).toBe('follows');
    expect(standing(of('w.4'), { mark: 'v.3' })).toBe('apart');
    expect(standing(entry(['a', 'b']), { mark: 'b' })).toBe('follows');
    expect(standing(entry(['a', 'b']), { mark: 'c' })).toBe('apart');
    expect(standing(entry(['a']), null)).toBe('follows');
    expect(standing(entry(['']), {})).toBe('follows');
    expect(standing(entry([null]), {})).toBe('apart');
  });
});

it('says why something was not stored', () => {
  const full = Object.assign(new Error('aborted'), { name: 'AbortError', inner: { name: 'QuotaExceededError' } });
  expect(storeTrouble(full)).toBe('the browser has no room left for it');
  expect(storeTrouble(new Error('disk on fire\nat …'))).toBe('the browser’s storage answered: disk on fire');
});
