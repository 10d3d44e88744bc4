import type { FileKind } from '../core/kept';
import { Trouble } from '../core/trouble';

/** The most bytes a file of each kind may have. */
const MOST_BYTES: Readonly<Record<FileKind, number>> = {
  font: 40e6,
  mark: 4e6,
  picture: 100e6,
  clip: 500e6,
  panorama: 200e6,
  table: 100e6,
  model: 300e6,
  motion: 60e6,
  sound: 700e6,
};

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/** @throws Trouble `refused` when a file is larger than one of its kind may be */
export function checkBytes(kind: FileKind, { length }: Uint8Array, name: string): void {
  if (length > MOST_BYTES[kind])
    throw new Trouble('refused', `“${name}” is ${megabytes(length)}; the most is ${megabytes(MOST_BYTES[kind])}`);
}
