let counter = 0;
/** An identifier that is new in this document. */
export const newId = (prefix: string): string => `${prefix}-${Date.now().toString(36)}${(counter++).toString(36)}`;

/** A list with one of its things moved to where another is; the same list where there is nothing to move. */
export function movedOver<T extends { id: string }>(list: readonly T[], id: string, over: string): readonly T[] {
  const from = list.findIndex((one) => one.id === id);
  const to = list.findIndex((one) => one.id === over);
  if (from < 0 || to < 0 || from === to) return list;
  const next = [...list];
  next.splice(to, 0, ...next.splice(from, 1));
  return next;
}
