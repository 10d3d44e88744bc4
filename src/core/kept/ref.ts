/** A kept file as a piece names it: by what it holds, and by what it was called when it was brought in. */
export interface FileRef {
  /** SHA-256 of its bytes, 64 hexadecimal digits */
  hash: string;
  name: string;
}

/** What files can be for. */
export type FileKind = 'font' | 'mark';

const HASH = /^[0-9a-f]{64}$/;
export const isHash = (text: string): boolean => HASH.test(text);
