import type { Piece } from '../../core/piece/schema';
import { pieceFileName, problemWords, readPieceFile, writePieceFile } from '../../formats/pieceFile';
import { savePiece } from '../../store/database';
import { bench } from '../state/bench';
import { copyOf } from '../state/recipes';
import { showPiece } from './route';

/** Stores a copy of a piece as the user's own and opens it. */
export async function openCopy(piece: Piece, name = piece.name): Promise<void> {
  const own = copyOf(piece, name);
  await savePiece(own);
  showPiece(own.id);
}

/** Opens a piece file as a new piece; the open one is not touched. What is wrong is said. */
export async function openFile(file: File): Promise<void> {
  const parsed = await readPieceFile(file);
  if (!parsed.ok) {
    bench.patch({ notice: problemWords(file.name, parsed.problems) });
    return;
  }
  if (parsed.unknown.length > 0)
    bench.patch({
      notice: `“${file.name}” holds fields this version does not use: ${parsed.unknown.join(', ')}. They are kept.`,
    });
  await openCopy(parsed.piece);
}

/** Lets the user choose a piece file. */
export function chooseFile(): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = '.json,application/json';
  input.onchange = () => {
    const file = input.files?.[0];
    if (file) void openFile(file);
  };
  input.click();
}

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
