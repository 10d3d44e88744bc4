import { z } from 'zod';
import type { Parts } from './field';
import type { Form } from './form';

/** As much as is known of any kind of thing: a name, words, and the form of what belongs to it. */
export interface Kind {
  readonly kind: string;
  readonly label: string;
  readonly form: Form;
}

/** What belongs to one of some kinds. */
export type KindValue<D extends Kind> = D extends { form: Form<infer T> } ? T : never;

/** Kinds of one sort of thing. */
export interface Kinds<D extends Kind> {
  readonly list: readonly D[];
  readonly names: readonly KindName<D>[];
  /** takes what belongs to any of them, told apart by `kind` */
  readonly schema: z.ZodType<KindValue<D>>;
  /** @throws RangeError for a kind there is not */
  of(kind: string): D;
}

type KindName<D extends Kind> = KindValue<D> extends { kind: infer K } ? K : never;

/** Kinds made into one: a new one is a folder, and its name in such a list. */
export function kinds<const L extends readonly Kind[]>(...list: L): Kinds<L[number]> {
  const byName = new Map<string, L[number]>(list.map((definition) => [definition.kind, definition]));
  // the one place where the schemas of kinds become that of all of them
  const schemas = list.map(({ form }) => form.schema) as unknown as [z.ZodObject];
  return {
    list,
    names: list.map(({ kind }) => kind) as unknown as KindName<L[number]>[],
    schema: z.discriminatedUnion('kind', schemas) as unknown as z.ZodType<KindValue<L[number]>>,
    of(kind) {
      const found = byName.get(kind);
      if (!found) throw new RangeError(`there is no kind "${kind}" among ${[...byName.keys()].join(', ')}`);
      return found;
    },
  };
}

/** How the parts of a field that holds things of some kinds are told apart. */
export const partsOfKinds = <D extends Kind>(of: Kinds<D>, many: boolean, words: Parts['wordsOf']): Parts => {
  const definition = (value: object): D => of.of(String((value as { kind?: unknown }).kind));
  return { many, formOf: (value) => definition(value).form, wordsOf: words };
};
