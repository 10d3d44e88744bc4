import { kinds, type KindValue } from '../forms';
import { serves, type FileKind, type FileRef } from '../kept';
import type { ShowsDefinition } from './definition';
import { LIST } from './list';

/** Every kind: see list.ts. */
export const SHOWS = kinds(...LIST);

export type Shown = KindValue<(typeof SHOWS)['list'][number]>;
export type ShownKind = Shown['kind'];

/** The definition of a kind. It takes only what is of that kind, which the document's validation guarantees. */
export const showsOf = (kind: string): ShowsDefinition<Shown> => SHOWS.of(kind);

/** Something to show with a file in it; null where nothing shows files of that kind. */
export function shownFile(kind: FileKind, ref: FileRef, id: string): Shown | null {
  const taker = SHOWS.list.find(({ takes }) => serves(kind, takes));
  return taker ? SHOWS.schema.parse({ id, kind: taker.kind, file: ref }) : null;
}
