import Dexie, { type Table } from 'dexie';
import { parsePiece, type ParsedPiece } from '../core/piece/document';
import { DOCUMENT_VERSION, type Piece } from '../core/piece/schema';

export interface StoredPiece {
  id: string;
  name: string;
  piece: Piece;
  /** of the document; 1 when it is not stated */
  version?: number;
  updatedAt: number;
}

/** Where the user was in a piece: reopened there. */
export interface StoredPlace {
  pieceId: string;
  step: string;
  phase: number;
}

/** A rendered frame of a piece, kept by what the piece looked like. */
export interface StoredThumbnail {
  key: string;
  blob: Blob;
}

class IsomorphDatabase extends Dexie {
  declare pieces: Table<StoredPiece, string>;
  declare places: Table<StoredPlace, string>;
  declare thumbnails: Table<StoredThumbnail, string>;

  constructor() {
    super('isomorph');
    this.version(1).stores({ pieces: 'id, updatedAt', places: 'pieceId', thumbnails: 'key' });
  }
}

export const database = new IsomorphDatabase();

/** The piece of a stored record, brought to the newest version. */
export const readStored = ({ piece, version = 1 }: StoredPiece): ParsedPiece =>
  parsePiece({ format: 'isomorph', version, piece });

export const savePiece = async (piece: Piece): Promise<void> => {
  await database.pieces.put({
    id: piece.id,
    name: piece.name,
    piece,
    version: DOCUMENT_VERSION,
    updatedAt: Date.now(),
  });
};

export async function removePiece(id: string): Promise<void> {
  await database.transaction('rw', database.pieces, database.places, async () => {
    await database.pieces.delete(id);
    await database.places.delete(id);
  });
}
