/** Where a value is in a piece. */
export type PiecePath = readonly (string | number)[];

/** The value at a path, or undefined. */
export const getAt = (root: unknown, path: PiecePath): unknown =>
  path.reduce<unknown>((value, key) => (value as Record<string | number, unknown> | undefined)?.[key], root);

/** A copy of `root` with the value at the path replaced; everything off the path is shared. */
export function setAt<T>(root: T, path: PiecePath, value: unknown): T {
  if (path.length === 0) return value as T;
  const [key, ...rest] = path;
  const child = (root as Record<string | number, unknown>)[key];
  const next = setAt(child, rest, value);
  if (next === child) return root;
  if (Array.isArray(root)) return root.map((item: unknown, index) => (index === key ? next : item)) as T;
  return { ...root, [key]: next };
}
