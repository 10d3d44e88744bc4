/** Bytes below which the room left is worth a word. */
const SHORT_BYTES = 200e6;

/** Asks the browser not to clear what is stored when it needs room. It may say no, which changes nothing. */
export async function askToPersist(): Promise<boolean> {
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist());
  } catch {
    return false;
  }
}

/** Bytes that can still be stored, when they are few; null when there is room, or the browser does not say. */
export async function shortRoom(): Promise<number | null> {
  try {
    const { quota, usage } = await navigator.storage.estimate();
    if (quota === undefined || usage === undefined) return null;
    const left = Math.max(0, quota - usage);
    return left < SHORT_BYTES ? left : null;
  } catch {
    return null;
  }
}

/** Why something could not be stored, in words. */
export function storeTrouble(error: unknown): string {
  const names: string[] = [];
  for (let e = error as { name?: string; inner?: unknown } | undefined; e; e = e.inner as typeof e)
    names.push(e.name ?? '');
  if (names.some((name) => name === 'QuotaExceededError')) return 'the browser has no room left for it';
  if (names.some((name) => name === 'DataCloneError')) return 'it holds something that cannot be stored';
  const detail = error instanceof Error ? error.message.split('\n')[0] : String(error);
  return `the browser’s storage answered: ${detail || names[0] || 'no'}`;
}
