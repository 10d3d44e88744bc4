import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  beginGesture,
  change,
  endGesture,
  packHistory,
  redo,
  startHistory,
  undo,
  unpackHistory,
  type History,
  type StoredHistory,
} from './history';

describe('history', () => {
  it('a drag is one step, however many changes it made', () => {
    let h = startHistory(0);
    h = beginGesture(h);
    for (let v = 1; v <= 20; v++) h = change(h, v);
    h = endGesture(h);
    expect(h.past).toEqual([0]);
    expect(undo(h).present).toBe(0);
    expect(redo(undo(h)).present).toBe(20);
  });

  it('a gesture that changes nothing leaves no step', () => {
    expect(endGesture(beginGesture(startHistory('a'))).past).toEqual([]);
  });

  it('undo during a gesture takes the gesture back', () => {
    expect(undo(change(beginGesture(startHistory(1)), 5)).present).toBe(1);
  });

  it('a change after undo forgets what was undone', () => {
    expect(change(undo(change(startHistory(1), 2)), 3)).toMatchObject({ present: 3, past: [1], future: [] });
  });

  it('any walk of changes can be undone to the start and redone to the end', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 30 }), (values) => {
        let h: History<number> = startHistory(-1);
        for (const v of values) h = change(h, v);
        const end = h.present;
        while (h.past.length > 0) h = undo(h);
        expect(h.present).toBe(-1);
        while (h.future.length > 0) h = redo(h);
        expect(h.present).toBe(end);
      }),
    );
  });
});

describe('stored histories', () => {
  const walked = (values: readonly number[]): History<{ n: number; list: number[] }> =>
    values.reduce(
      (h, n) => (n < 0 && h.past.length > 0 ? undo(h) : change(h, { n, list: [...h.present.list, n].slice(-4) })),
      startHistory<{ n: number; list: number[] }>({ n: 0, list: [] }),
    );

  it('come back with every step, through JSON', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -3, max: 9 }), { maxLength: 40 }), (values) => {
        const history = walked(values);
        const stored = JSON.parse(JSON.stringify(packHistory(history, 1e6))) as StoredHistory;
        expect(unpackHistory(history.present, stored)).toEqual(history);
      }),
    );
  });

  it('keep the nearest steps when there is little room', () => {
    const history = walked(Array.from({ length: 50 }, (_, i) => i + 1));
    const whole = JSON.stringify(packHistory(history, 1e6).past).length;
    const stored = packHistory(history, whole / 2);
    expect(stored.past.length).toBeGreaterThan(10);
    expect(stored.past.length).toBeLessThan(40);
    const again = unpackHistory(history.present, stored);
    expect(again.past).toEqual(history.past.slice(-stored.past.length));
  });

  it('count a running gesture as one step', () => {
    const dragged = change(change(beginGesture(startHistory({ n: 0 })), { n: 1 }), { n: 2 });
    expect(unpackHistory(dragged.present, packHistory(dragged, 1e6)).past).toEqual([{ n: 0 }]);
  });

  it('hold at most 200 steps, and drop what does not fit the version', () => {
    const stored = { past: [[{ path: ['n'], set: 1 }], [{ path: ['x', 'y'], set: 1 }]], future: [] };
    expect(unpackHistory({ n: 3 }, stored).past).toEqual([{ n: 1 }]);
    expect(walked(Array.from({ length: 300 }, (_, i) => i + 1)).past.length).toBe(200);
  });
});
