import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { isHash } from '../../core/kept';
import type { Piece } from '../../core/piece/schema';
import { Trouble } from '../../core/trouble';
import { LARGEST_PIECE_BYTES, writePieceFile } from '../pieceFile';

/** A piece and its files, taken apart: nothing of it is believed yet. */
export interface Unpacked {
  /** text of the piece's own file */
  text: string;
  /** bytes by the hash they are said to have */
  files: [hash: string, bytes: Uint8Array<ArrayBuffer>][];
}

/** What the piece is called in its archive. */
export const PIECE_IN_ARCHIVE = 'piece.isomorph.json';
const PIECE = PIECE_IN_ARCHIVE;
const FILES = 'files/';
/** What an archive may hold at most. */
const MOST = { entries: 2000, bytes: 600e6 } as const;

/** A piece with its files in one archive: the piece as `piece.isomorph.json`, each file as `files/` and its hash. */
export function pack(piece: Piece, files: ReadonlyMap<string, Uint8Array>): Uint8Array<ArrayBuffer> {
  // a time of its own would make other bytes of the same piece
  const stored = { level: 0, mtime: new Date(2026, 0, 1) } as const;
  const content: Zippable = { [PIECE]: [strToU8(writePieceFile(piece)), { ...stored, level: 6 }] };
  for (const [hash, bytes] of files) content[FILES + hash] = [bytes, stored];
  return zipSync(content) as Uint8Array<ArrayBuffer>;
}

/**
 * Takes an archive apart. Its directory is looked through before anything is inflated.
 * @throws Trouble `refused`, in words, when it is damaged, holds too much, no piece, or names places outside of it
 */
export function unpack(bytes: Uint8Array, name: string): Unpacked {
  const refuse = (what: string, would?: string): never => {
    throw new Trouble('refused', `“${name}” was not opened: ${what}`, { would });
  };
  let total = 0;
  let entries = 0;
  const found: string[] = [];
  try {
    unzipSync(bytes, {
      filter({ name: path, originalSize }) {
        if (++entries > MOST.entries) refuse(`it holds more than ${MOST.entries} files`);
        if (path.startsWith('/') || path.includes('\\') || path.split('/').includes('..') || /^[a-z]:/i.test(path))
          refuse('it names a place outside of itself');
        total += originalSize;
        if (total > MOST.bytes) refuse(`unpacked it would be larger than ${MOST.bytes / 1e6} MB`);
        if (path === PIECE && originalSize > LARGEST_PIECE_BYTES) refuse('its piece is too large');
        found.push(path);
        return false;
      },
    });
    if (!found.includes(PIECE)) refuse('it is an archive, but holds no piece', 'Bring in the files in it one by one.');
    const wanted = (path: string): boolean =>
      path === PIECE || (path.startsWith(FILES) && isHash(path.slice(FILES.length)));
    const content = unzipSync(bytes, { filter: ({ name: path }) => wanted(path) });
    const files = Object.entries(content)
      .filter(([path]) => path !== PIECE)
      .map(([path, own]): [string, Uint8Array<ArrayBuffer>] => [
        path.slice(FILES.length),
        own as Uint8Array<ArrayBuffer>,
      ]);
    return { text: strFromU8(content[PIECE]), files };
  } catch (error) {
    if (error instanceof Trouble) throw error;
    return refuse(`the archive is damaged (${error instanceof Error ? error.message : String(error)})`);
  }
}
