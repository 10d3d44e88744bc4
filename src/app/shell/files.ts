import type { Piece } from '../../core/piece/schema';
import { problemWords, readPieceFile } from '../../formats/pieceFile';
import { say } from '../state/notices';
import { copyOf } from '../state/recipes';
import { openNew } from '../state/session';

/** Stores a copy of a piece as the user's own and opens it. */
export const openCopy = (piece: Piece, name = piece.name): Promise<void> => openNew(copyOf(piece, name));

const SHOWN = 6;
/** Some names, and how many more there are; each cut short. */
const shortList = (names: readonly string[]): string =>
  names
    .slice(0, SHOWN)
    .map((name) => (name.length > 60 ? `${name.slice(0, 60)}…` : name))
    .join(', ') + (names.length > SHOWN ? ` and ${names.length - SHOWN} more` : '');

/** Opens a piece file as a new piece; the open one is not touched. What is wrong is said. */
export async function openFile(file: File): Promise<void> {
  const parsed = await readPieceFile(file);
  if (!parsed.ok) {
    say(problemWords(file.name, parsed.problems));
    return;
  }
  if (parsed.unknown.length > 0)
    say(`“${file.name}” holds fields this version does not use: ${shortList(parsed.unknown)}. They are kept.`, {
      tone: 'remark',
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
