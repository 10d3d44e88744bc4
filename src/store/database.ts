import Dexie, { type Table } from 'dexie';
import type { Delivery } from '../core/deliveries/form';
import type { Effect } from '../core/look/effects/kinds';
import type { Piece } from '../core/piece/schema';
import type { Patch } from '../core/piece/patch';

export interface StoredPiece {
  id: string;
  name: string;
  piece: Piece;
  /** of the document; 1 when it is not stated */
  version?: number;
  updatedAt: number;
  /** names this very state of the piece: another state has another mark */
  mark?: string;
  /** when it was removed; it can be brought back for a while */
  removedAt?: number;
}

/** The steps that undo and redo take from a state of a piece. */
export interface StoredSteps {
  pieceId: string;
  /** the state they belong to */
  mark: string;
  past: Patch[];
  future: Patch[];
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

/** A finished frame, kept by a key of all that its picture depends on. */
export interface StoredFrame {
  key: string;
  blob: Blob;
  bytes: number;
  /** when it was stored; two of one millisecond follow one another by fractions of it */
  at: number;
}

/** Effects kept under a name. */
export interface StoredChain {
  id: string;
  name: string;
  /** of the document they are part of */
  version: number;
  effects: Effect[];
}

/** A piece as it was at some time. */
export interface StoredVersion {
  id: string;
  pieceId: string;
  name: string;
  /** milliseconds since 1970 */
  at: number;
  /** of the document */
  version: number;
  piece: Piece;
}

/** A delivery of a piece as it was when it was asked for: rendered by whichever page is open, its finished parts kept. */
export interface StoredJob {
  id: string;
  /** the least comes next */
  order: number;
  /** of the file */
  name: string;
  piece: Piece;
  delivery: Delivery;
  /** one that is said to run while nobody renders was ended in the middle: it goes on */
  state: 'waiting' | 'running' | 'paused' | 'done' | 'failed';
  done: number;
  of: number;
  /** seconds left, or null before anything is known */
  left: number | null;
  /** what verification found, or why it failed */
  says: string;
  verified: boolean;
  /** names the programs that its parts were made by */
  program: string;
}

class IsomorphDatabase extends Dexie {
  declare pieces: Table<StoredPiece, string>;
  declare steps: Table<StoredSteps, string>;
  declare places: Table<StoredPlace, string>;
  declare thumbnails: Table<StoredThumbnail, string>;
  declare frames: Table<StoredFrame, string>;
  declare chains: Table<StoredChain, string>;
  declare versions: Table<StoredVersion, string>;
  declare jobs: Table<StoredJob, string>;

  constructor() {
    super('isomorph');
    this.version(1).stores({ pieces: 'id, updatedAt', places: 'pieceId', thumbnails: 'key' });
    this.version(2).stores({ steps: 'pieceId' });
    this.version(3).stores({ frames: 'key, [at+bytes]' });
    this.version(4).stores({ chains: 'id, name' });
    this.version(5).stores({ versions: 'id, pieceId' });
    this.version(6).stores({ jobs: 'id, order' });
  }
}

export const database = new IsomorphDatabase();
