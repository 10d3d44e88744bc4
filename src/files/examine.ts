import { sortOf, type FileKind } from '../core/kept';
import { Trouble } from '../core/trouble';
import { triedFont } from '../formats/font/font';
import { readMark } from '../formats/svg/svg';

/** The most bytes a file of each kind may have. */
export const MOST_BYTES: Readonly<Record<FileKind, number>> = { font: 40e6, mark: 4e6 };

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/**
 * What a file is, tried as it will be used.
 * @throws Trouble `refused`, in words, when it is nothing that can be kept
 */
export function examined(bytes: Uint8Array, name: string): FileKind {
  const sort = sortOf(bytes);
  if (sort !== 'font' && sort !== 'mark')
    throw new Trouble('refused', `“${name}” is neither a font nor an SVG drawing`, {
      received: bytes.length === 0 ? 'it is empty' : undefined,
      would: 'Bring in .ttf, .otf, .woff, .woff2 or .svg; pieces are .isomorph.json or .isomorph.zip.',
    });
  if (bytes.length > MOST_BYTES[sort])
    throw new Trouble('refused', `“${name}” is ${megabytes(bytes.length)}; the most is ${megabytes(MOST_BYTES[sort])}`);
  if (sort === 'font') triedFont(bytes, name);
  else readMark(bytes, name);
  return sort;
}
