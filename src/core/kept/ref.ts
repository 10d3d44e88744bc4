/** A kept file as a piece names it: by what it holds, and by what it was called when it was brought in. */
export interface FileRef {
  /** SHA-256 of its bytes, 64 hexadecimal digits */
  hash: string;
  name: string;
}

/** What files are by their bytes, and what they can be for. */
export type FileKind = 'font' | 'mark' | 'picture' | 'clip' | 'panorama' | 'table' | 'model' | 'motion' | 'sound';

/** Whether a file that is of a kind can be used as one of another: an SVG drawing is a picture too, and a picture a panorama. */
export const serves = (is: FileKind, as: FileKind): boolean =>
  is === as || (is === 'mark' && as === 'picture') || (is === 'picture' && as === 'panorama');

const HASH = /^[0-9a-f]{64}$/;
export const isHash = (text: string): boolean => HASH.test(text);
