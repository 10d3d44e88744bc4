import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beginGesture, change, endGesture, redo, startHistory, undo, type History } from './history';

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
