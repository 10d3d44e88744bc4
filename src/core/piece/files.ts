import type { FileKind, FileRef } from '../kept';
import { heldBy } from '../forms/walk';
import { isHere } from './here';
import type { PiecePath } from './paths';
import { partsOfPiece, type Piece } from './schema';

/** A kept file that a piece names: where, and what for. */
export interface NamedFile {
  ref: FileRef;
  kind: FileKind;
  path: PiecePath;
}

/** Every kept file that a piece names, in order; one that is named twice is there twice. */
export const filesOf = (piece: Piece): NamedFile[] =>
  partsOfPiece(piece).flatMap((part) =>
    heldBy(part).flatMap(({ field, value, path }) => {
      const kind = field.control?.file;
      return kind && value ? [{ ref: value as FileRef, kind, path }] : [];
    }),
  );

/** Those of its files that have not been taken in: stand-ins are drawn for them. */
export const missingFiles = (piece: Piece): NamedFile[] => filesOf(piece).filter(({ ref, kind }) => !isHere(kind, ref));
