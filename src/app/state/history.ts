import { difference, patched, type Patch } from '../../core/piece/patch';

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

/** The steps of a history as what turns each version into its neighbour: small, and joined to the present version. */
export interface StoredHistory {
  /** from the present back, the latest step first */
  past: Patch[];
  /** from the present on */
  future: Patch[];
}

interface Measured {
  patch: Patch;
  bytes: number;
}

/** Differences already worked out: a version's steps do not change, and are stored again with every change after them. */
const measured = new WeakMap<object, WeakMap<object, Measured>>();

function between(from: object, to: object): Measured {
  let of = measured.get(from);
  if (!of) measured.set(from, (of = new WeakMap()));
  let known = of.get(to);
  if (!known) {
    const patch = difference(from, to);
    of.set(to, (known = { patch, bytes: JSON.stringify(patch).length }));
  }
  return known;
}

/**
 * A history to be stored. A running gesture counts as finished; the steps farthest from the present are left out when
 * there would be too many bytes.
 */
export function packHistory<T extends object>(history: History<T>, mostBytes: number): StoredHistory {
  const { present, past, future } = endGesture(history);
  let left = mostBytes;
  const walk = (versions: readonly T[]): Patch[] => {
    const patches: Patch[] = [];
    let from: T = present;
    for (const to of versions) {
      const { patch, bytes } = between(from, to);
      left -= bytes;
      if (left < 0) break;
      patches.push(patch);
      from = to;
    }
    return patches;
  };
  return { past: walk([...past].reverse()), future: walk(future) };
}

/** The history of a version, as far as its stored steps fit it. */
export function unpackHistory<T>(present: T, { past, future }: StoredHistory): History<T> {
  const walk = (patches: readonly Patch[]): T[] => {
    const versions: T[] = [];
    let version = present;
    try {
      for (const patch of patches.slice(0, LIMIT)) versions.push((version = patched(version, patch)));
    } catch {
      // the steps that fit are kept
    }
    return versions;
  };
  return { present, past: walk(past).reverse(), future: walk(future), gesture: null };
}
