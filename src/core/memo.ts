/**
 * Remembers what was made for a key, so that it is made once: the oldest give way when there are more than `limit`.
 * @returns what there is for the key, or what `make` makes
 */
export function memo<V>(limit: number): (key: string, make: () => V) => V {
  const known = new Map<string, V>();
  return (key, make) => {
    const found = known.get(key);
    if (found !== undefined || known.has(key)) return found as V;
    const value = make();
    known.set(key, value);
    for (const oldest of known.keys()) {
      if (known.size <= limit) break;
      known.delete(oldest);
    }
    return value;
  };
}
