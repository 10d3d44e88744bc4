import { from1 } from './migrations/1';
import { from2 } from './migrations/2';
import { from3 } from './migrations/3';
import { from4 } from './migrations/4';
import { from5 } from './migrations/5';
import { from6 } from './migrations/6';
import { from7 } from './migrations/7';
import { from8 } from './migrations/8';
import { from9 } from './migrations/9';
import { isJson, type Json } from './migrations/json';

/** What brings a piece from each version to the next: frozen, whatever becomes of the kinds it speaks of. */
const STEPS: Readonly<Record<number, (piece: Json) => Json>> = {
  1: from1,
  2: from2,
  3: from3,
  4: from4,
  5: from5,
  6: from6,
  7: from7,
  8: from8,
  9: from9,
};

/**
 * Brings the piece of an older document to the newest version. What is not an object is left for the validation to name.
 * @throws RangeError when there is no way from that version
 */
export function migratePiece(piece: unknown, version: number, newest: number): unknown {
  let migrated = piece;
  for (let from = version; from < newest; from++) {
    if (!(from in STEPS)) throw new RangeError(`no migration from version ${from}`);
    if (isJson(migrated)) migrated = STEPS[from](migrated);
  }
  return migrated;
}
