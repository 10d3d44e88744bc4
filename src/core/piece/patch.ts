import type { PiecePath } from './paths';

/**
 * One difference between two versions of a document: a value set, a name taken away, or a stretch of a list replaced.
 * A list of them in order turns one version into the other.
 */
export type Change =
  | { path: PiecePath; set: unknown }
  | { path: PiecePath; unset: true }
  | { path: PiecePath; at: number; remove: number; insert: unknown[] };

export type Patch = readonly Change[];

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What turns one version into another. Costs as much as what is not shared by both, so that a single edit of an immutable
 * document costs little, however large the document is.
 */
export function difference(before: unknown, after: unknown): Patch {
  const changes: Change[] = [];
  collect(before, after, [], changes);
  return changes;
}

function collect(before: unknown, after: unknown, path: PiecePath, into: Change[]): void {
  if (Object.is(before, after)) return;
  if (Array.isArray(before) && Array.isArray(after)) collectList(before, after, path, into);
  else if (isObject(before) && isObject(after)) {
    for (const name of Object.keys(before))
      if (!Object.hasOwn(after, name)) into.push({ path: [...path, name], unset: true });
    for (const [name, value] of Object.entries(after))
      if (Object.hasOwn(before, name)) collect(before[name], value, [...path, name], into);
      else into.push({ path: [...path, name], set: value });
  } else into.push({ path, set: after });
}

function collectList(before: readonly unknown[], after: readonly unknown[], path: PiecePath, into: Change[]): void {
  if (before.length === after.length) {
    after.forEach((value, i) => collect(before[i], value, [...path, i], into));
    return;
  }
  const shorter = Math.min(before.length, after.length);
  let head = 0;
  while (head < shorter && same(before[head], after[head])) head++;
  let tail = 0;
  while (tail < shorter - head && same(before[before.length - 1 - tail], after[after.length - 1 - tail])) tail++;
  into.push({ path, at: head, remove: before.length - head - tail, insert: after.slice(head, after.length - tail) });
}

/** Equal in content; what is shared is not looked into. */
function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((value, i) => same(value, b[i]));
  if (!isObject(a) || !isObject(b)) return false;
  const names = Object.keys(a);
  return (
    names.length === Object.keys(b).length && names.every((name) => Object.hasOwn(b, name) && same(a[name], b[name]))
  );
}

/**
 * A version with a patch applied; what it does not touch is shared.
 * @throws RangeError when a place of the patch is not in this version
 */
export const patched = <T>(version: T, patch: Patch): T =>
  patch.reduce<unknown>((value, change) => applied(value, change, 0), version) as T;

function applied(value: unknown, change: Change, depth: number): unknown {
  const { path } = change;
  if (depth === path.length && 'set' in change) return change.set;
  if (depth === path.length && 'insert' in change) {
    if (!Array.isArray(value)) throw new RangeError(`no list at ${path.join('.')}`);
    return [
      ...(value as unknown[]).slice(0, change.at),
      ...change.insert,
      ...(value as unknown[]).slice(change.at + change.remove),
    ];
  }
  const key = path[depth];
  if (Array.isArray(value) && typeof key === 'number' && key < value.length) {
    const list = [...(value as unknown[])];
    list[key] = applied(list[key], change, depth + 1);
    return list;
  }
  if (!isObject(value)) throw new RangeError(`nothing at ${path.slice(0, depth + 1).join('.')}`);
  if (depth === path.length - 1 && 'unset' in change)
    return Object.fromEntries(Object.entries(value).filter(([name]) => name !== String(key)));
  return { ...value, [key]: applied(value[key], change, depth + 1) };
}
