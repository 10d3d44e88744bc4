import type { FileRef } from './ref';

/**
 * What kept files have become, by their hash. A hash stands for the same bytes for ever, so what was made of them is held
 * once, for every piece that names them. Whoever opens a piece takes its files in first; what is not there is missing, and a
 * stand-in is drawn.
 */
export class Held<T> {
  private readonly known = new Map<string, T>();

  take(hash: string, what: T): void {
    this.known.set(hash, what);
  }

  at(ref: FileRef | null): T | null {
    return (ref && this.known.get(ref.hash)) ?? null;
  }

  has(hash: string): boolean {
    return this.known.has(hash);
  }
}
