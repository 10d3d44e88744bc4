/** JSON of a piece, before anything is known of it. */
export type Json = Record<string, unknown>;

export const isJson = (value: unknown): value is Json => typeof value === 'object' && value !== null;

export const numberOr = (value: unknown, otherwise: number): number => (typeof value === 'number' ? value : otherwise);

/** Some fields taken out of an object: their values, and what is left. */
export function taken(from: Json, ...names: readonly string[]): { values: unknown[]; rest: Json } {
  return {
    values: names.map((name) => from[name]),
    rest: Object.fromEntries(Object.entries(from).filter(([name]) => !names.includes(name))),
  };
}

/** Those of some fields that were stated. */
export const stated = (fields: Json): Json =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
