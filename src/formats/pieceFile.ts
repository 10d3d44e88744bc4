import { parsePiece } from '../core/world/open';
import { toDocument, type ParsedPiece } from '../core/piece/document';
import type { Piece } from '../core/piece/schema';

/** Largest piece file that is read, in bytes. A piece is a few kilobytes; this leaves room for thousands of keys. */
export const LARGEST_PIECE_BYTES = 32 * 1024 * 1024;

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;

/**
 * Reads a `.isomorph.json` file. Never throws: what is wrong is said with its place.
 * @param size in bytes, known before the text is loaded, so that a huge file is refused unread
 */
export async function readPieceFile(file: {
  name: string;
  size: number;
  text(): Promise<string>;
}): Promise<ParsedPiece> {
  const fail = (what: string): ParsedPiece => ({ ok: false, problems: [{ where: '', what }] });
  if (file.size > LARGEST_PIECE_BYTES)
    return fail(`it is ${megabytes(file.size)}; a piece is at most ${megabytes(LARGEST_PIECE_BYTES)}`);
  let json: unknown;
  try {
    json = JSON.parse(await file.text());
  } catch (error) {
    const detail = error instanceof SyntaxError ? error.message : 'it could not be read';
    return fail(`it is not JSON (${detail})`);
  }
  return parsePiece(json);
}

/** The text of a `.isomorph.json` file, the same for the same piece. */
export const writePieceFile = (piece: Piece): string => `${JSON.stringify(toDocument(piece), null, 2)}\n`;

/** A file name from a piece's name. */
export const pieceFileName = ({ name }: Piece, extension: string): string => fileName(name, extension);

/** A file name from any words. */
export const fileName = (words: string, extension: string): string =>
  `${
    words
      .trim()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'piece'
  }${extension}`;

/** Problems as one paragraph, for a message. */
export const problemWords = (name: string, problems: readonly { where: string; what: string }[]): string =>
  `“${name}” was not opened: ${problems
    .slice(0, 3)
    .map(({ where, what }) => (where && where !== 'version' ? `${where} ${what}` : what))
    .join('; ')}${problems.length > 3 ? `; and ${problems.length - 3} more` : ''}. Nothing was changed.`;
