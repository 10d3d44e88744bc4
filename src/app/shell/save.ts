import type { Piece } from '../../core/piece/schema';
import { hasOwnFiles, packed } from '../../files/packing';
import { fileName, pieceFileName, writePieceFile } from '../../formats/pieceFile';
import { say } from '../state/notices';

/** Hands bytes to the browser's downloads. */
export function saveBlob(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Saves a piece as a file: with files of the user's own in it, as an archive with these. */
export function saveFile(piece: Piece): void {
  if (hasOwnFiles(piece)) {
    void savePacked(piece);
    return;
  }
  saveBlob(new Blob([writePieceFile(piece)], { type: 'application/json' }), pieceFileName(piece, '.isomorph.json'));
}

async function savePacked(piece: Piece): Promise<void> {
  try {
    const { bytes, missing } = await packed(piece);
    saveBlob(new Blob([bytes], { type: 'application/zip' }), pieceFileName(piece, '.isomorph.zip'));
    if (missing.length > 0) say(`The file of “${piece.name}” is without ${missing.join(', ')}: they are not here.`);
  } catch (error) {
    say(`“${piece.name}” could not be packed: ${error instanceof Error ? error.message : String(error)}.`);
  }
}

/** The file of a stored piece that this version cannot read, just as it is stored. */
export const saveUnread = (name: string, { piece, version = 1 }: { piece: unknown; version?: number }): void =>
  saveBlob(
    new Blob([`${JSON.stringify({ format: 'isomorph', version, piece }, null, 2)}\n`], { type: 'application/json' }),
    fileName(name, '.isomorph.json'),
  );
