/** Undo and redo of an immutable value. A gesture (one drag) becomes one step, however many changes it made. */
export interface History<T> {
  present: T;
  past: readonly T[];
  future: readonly T[];
  /** the value when the running gesture began, or null */
  gesture: T | null;
}

const LIMIT = 200;

export const startHistory = <T>(present: T): History<T> => ({ present, past: [], future: [], gesture: null });

export function change<T>(history: History<T>, present: T): History<T> {
  if (present === history.present) return history;
  if (history.gesture !== null) return { ...history, present, future: [] };
  return { ...history, present, past: [...history.past, history.present].slice(-LIMIT), future: [] };
}

export const beginGesture = <T>(history: History<T>): History<T> =>
  history.gesture === null ? { ...history, gesture: history.present } : history;

export function endGesture<T>(history: History<T>): History<T> {
  const { gesture } = history;
  if (gesture === null) return history;
  if (gesture === history.present) return { ...history, gesture: null };
  return { ...history, gesture: null, past: [...history.past, gesture].slice(-LIMIT), future: [] };
}

export function undo<T>(history: History<T>): History<T> {
  const settled = endGesture(history);
  const previous = settled.past.at(-1);
  if (previous === undefined) return settled;
  return {
    ...settled,
    present: previous,
    past: settled.past.slice(0, -1),
    future: [settled.present, ...settled.future],
  };
}

export function redo<T>(history: History<T>): History<T> {
  const [next, ...rest] = history.future;
  if (next === undefined) return history;
  return { ...history, present: next, past: [...history.past, history.present], future: rest };
}
