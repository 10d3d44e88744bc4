import type { Piece } from '../../core/piece/schema';
import { fileName, pieceFileName, writePieceFile } from '../../formats/pieceFile';

/** Hands bytes to the browser's downloads. */
export function saveBlob(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

export const saveFile = (piece: Piece): void =>
  saveBlob(new Blob([writePieceFile(piece)], { type: 'application/json' }), pieceFileName(piece, '.isomorph.json'));

/** The file of a stored piece that this version cannot read, just as it is stored. */
export const saveUnread = (name: string, { piece, version = 1 }: { piece: unknown; version?: number }): void =>
  saveBlob(
    new Blob([`${JSON.stringify({ format: 'isomorph', version, piece }, null, 2)}\n`], { type: 'application/json' }),
    fileName(name, '.isomorph.json'),
  );
