import Dexie, { type Table } from 'dexie';
import type { Joins } from '../core/clips';
import type { FileKind } from '../core/kept';
import type { Model } from '../core/solids/models/model';

/** A kept file: what is known of it without reading it. */
export interface KeptFile {
  /** SHA-256 of its bytes */
  hash: string;
  name: string;
  kind: FileKind;
  bytes: number;
  /** when it was brought in */
  at: number;
}

/** How a clip closes each way, which takes decoding all of it to know. */
interface Measured {
  hash: string;
  joins: Joins | null;
}

/** A model made ready, which takes seconds where it is large; the one a page holds lies apart from all of it. */
export interface ReadyModel {
  hash: string;
  /** by which way of making it ready */
  version: number;
  model: Model;
}

interface Content {
  hash: string;
  blob: Blob;
}

/** Kept files, once each, by what they hold: a database of their own, which every worker may read. */
class FilesDatabase extends Dexie {
  declare files: Table<KeptFile, string>;
  declare contents: Table<Content, string>;
  /** of clips that ship too */
  declare joins: Table<Measured, string>;
  /** of models that ship too: all of them, and as pages hold them */
  declare models: Table<ReadyModel, string>;
  declare lightModels: Table<ReadyModel, string>;

  constructor() {
    super('isomorph files');
    this.version(1).stores({ files: 'hash, at', contents: 'hash' });
    this.version(2).stores({ joins: 'hash' });
    this.version(3).stores({ models: 'hash', lightModels: 'hash' });
  }
}

export const filesDatabase = new FilesDatabase();
