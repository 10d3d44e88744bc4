import type { Problem } from './problem';

/** What a file may hold at most: far beyond any piece that is worked on, and little enough to be looked through at once. */
const MOST = { depth: 40, values: 400_000, text: 8_000_000, name: 200 } as const;

/**
 * Looks through a value that is said to be JSON, without recursion, before anything else does.
 * @returns why it is refused, or null
 */
export function edgeProblem(json: unknown): Problem | null {
  let values = 0;
  let text = 0;
  const fail = (path: readonly string[], what: string): Problem => ({ where: path.slice(0, 8).join('.'), what });
  const open: { value: unknown; path: readonly string[] }[] = [{ value: json, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path } = next;
    if (++values > MOST.values) return fail([], `it holds more than ${MOST.values.toLocaleString('en-US')} values`);
    if (typeof value === 'string') {
      text += value.length;
      if (text > MOST.text) return fail([], `it holds more than ${MOST.text / 1e6} million letters`);
      if (!isWhole(value)) return fail(path, 'is text with half a letter in it, which cannot be stored');
    } else if (typeof value === 'number') {
      if (!Number.isFinite(value)) return fail(path, 'is not a finite number');
    } else if (typeof value === 'object' && value !== null) {
      if (path.length >= MOST.depth) return fail(path, `is nested more than ${MOST.depth} deep`);
      for (const [name, item] of Object.entries(value)) {
        if (name.length > MOST.name) return fail(path, `has a name of more than ${MOST.name} letters`);
        if (name === '__proto__') return fail(path, 'has a field that may not be called so: __proto__');
        open.push({ value: item, path: [...path, name] });
      }
    } else if (value !== null && typeof value !== 'boolean') return fail(path, `is ${typeof value}, which is not JSON`);
  }
  return null;
}

/** Whether a text has no half of a surrogate pair. */
const isWhole = (text: string): boolean =>
  !/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/.test(text);

/** What all fields that this version does not know may hold together. */
const MOST_UNKNOWN = { depth: 12, values: 5000, text: 200_000 } as const;

/** Why fields that this version does not know are too much to be kept, or null. They are looked at as JSON. */
export function unknownProblem(unknown: readonly { path: string; value: unknown }[]): Problem | null {
  let values = 0;
  let text = 0;
  const look = (value: unknown, depth: number): boolean => {
    if (++values > MOST_UNKNOWN.values || depth > MOST_UNKNOWN.depth) return false;
    if (typeof value === 'string') return (text += value.length) <= MOST_UNKNOWN.text;
    if (typeof value !== 'object' || value === null) return true;
    return Object.entries(value).every(
      ([name, item]) => (text += name.length) <= MOST_UNKNOWN.text && look(item, depth + 1),
    );
  };
  const first = unknown.find(({ value }) => !look(value, 0));
  return first
    ? { where: first.path, what: 'is not known to this version, and is too much to be kept without knowing what it is' }
    : null;
}
