import { filesOf } from '../core/piece/files';
import type { Piece } from '../core/piece/schema';
import { STOCK } from '../core/kept';
import { Trouble, troubleWords } from '../core/trouble';
import { pack } from '../formats/packed/packed';
import { readPieceFile } from '../formats/pieceFile';
import type { ParsedPiece } from '../core/piece/document';
import { fileBlob, fileBytes, hashOf, keepFile } from './shelf';
import { takenApart } from './tried';

/** Whether a piece names files besides what ships, so that it cannot go anywhere without them. */
export const hasOwnFiles = (piece: Piece): boolean =>
  filesOf(piece).some(({ ref }) => !STOCK.some(({ hash }) => hash === ref.hash));

/**
 * A piece with every file it names, those that ship too, in one archive.
 * @returns the archive, and the names of files that are missing
 */
export async function packed(piece: Piece): Promise<{ bytes: Uint8Array<ArrayBuffer>; missing: string[] }> {
  const files = new Map<string, Uint8Array>();
  const missing: string[] = [];
  for (const { ref } of filesOf(piece)) {
    if (files.has(ref.hash)) continue;
    const bytes = await fileBytes(ref);
    if (bytes) files.set(ref.hash, bytes);
    else missing.push(ref.name);
  }
  return { bytes: pack(piece, files), missing };
}

/** What became of a packed piece. */
export interface Unpacking {
  parsed: ParsedPiece;
  /** what is amiss with its files, in sentences */
  remarks: string[];
}

/**
 * Reads a packed piece: its files are looked at like any others, and kept where they are what the piece says. Never throws:
 * what is wrong is said.
 */
export async function unpacked(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Unpacking> {
  const fail = (what: string): Unpacking => ({ parsed: { ok: false, problems: [{ where: '', what }] }, remarks: [] });
  let found;
  try {
    found = await takenApart(bytes, name);
  } catch (error) {
    return fail(troubleWords(error));
  }
  const { text, files } = found;
  const parsed = await readPieceFile({ name, size: text.length, text: () => Promise.resolve(text) });
  if (!parsed.ok) return { parsed, remarks: [] };
  const remarks: string[] = [];
  const named = new Map(filesOf(parsed.piece).map(({ ref }) => [ref.hash, ref.name]));
  const there = new Map(files);
  for (const [hash, called] of named) {
    const own = there.get(hash);
    if (!own) {
      if (!(await fileBlob({ hash }))) remarks.push(`“${called}” is not in it.`);
      continue;
    }
    try {
      if ((await hashOf(own)) === hash) await keepFile(own, called);
      else remarks.push(`“${called}” is not the file it should be: it is damaged, or was exchanged.`);
    } catch (error) {
      remarks.push(error instanceof Trouble ? `${troubleWords(error)}.` : `“${called}” could not be kept.`);
    }
  }
  return { parsed, remarks };
}
