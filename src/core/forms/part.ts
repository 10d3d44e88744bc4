import { z } from 'zod';
import { controlled, type Field, type Heading, type Info, type Parts } from './field';
import type { Form } from './form';
import { partsOfKinds, type Kind, type Kinds, type KindValue } from './kinds';

const UNNAMED = (): null => null;

/** A part with a form of its own; what is left out of `initial` is as its form says. */
export const part = <T extends object>(form: Form<T>, initial: Partial<T>, words: string | null = null): Field<T> => ({
  schema: form.schema.prefault(initial),
  initial: undefined,
  control: null,
  parts: { many: false, formOf: () => form, wordsOf: () => words },
});

/** A part that is shown among the rows of what it is in. */
export const shownPart = <T extends object>(form: Form<T>, initial: Partial<T>, info: Info): Field<T> => ({
  ...part(form, initial, info.label.toLowerCase()),
  control: controlled('part', info),
});

/** A part that must be given. */
export const given = <T extends object>(form: Form<T>, words: string | null): Field<T> => ({
  ...part(form, {}, words),
  schema: form.schema,
});

/** One part of any of some kinds. */
export const partOf = <D extends Kind>(
  of: Kinds<D>,
  initial: Partial<KindValue<D>>,
  words: Parts['wordsOf'] = UNNAMED,
): Field<KindValue<D>> => ({
  schema: of.schema.prefault(initial),
  initial: undefined,
  control: null,
  parts: partsOfKinds(of, false, words),
});

/** More about a list than what may stand in it. */
interface ListInfo<T> {
  /** it may not be left out */
  must?: boolean;
  /** what it holds when it is left out; nothing where that is not said */
  initial?(): T[];
  /** what is wrong with it as a whole, in words */
  trouble?(list: readonly T[]): string | null;
}

function listSchema<T>(schema: z.ZodType<T>, most: number, { must, initial, trouble }: ListInfo<T>): z.ZodType<T[]> {
  const own = z.array(schema).max(most);
  const whole = !trouble
    ? own
    : own.superRefine((list, context) => {
        const message = trouble(list);
        if (message !== null) context.addIssue({ code: 'custom', message });
      });
  return must ? whole : whole.default(() => initial?.() ?? []);
}

/** One part of any of some kinds, shown among the rows of what it is in, with a choice of its kind. */
export const shownPartOf = <D extends Kind>(
  of: Kinds<D>,
  initial: Partial<KindValue<D>>,
  words: string,
  info: Info,
): Field<KindValue<D>> => {
  const field = partOf(of, initial, () => words);
  const choices = Object.fromEntries(of.list.map(({ kind, label }) => [kind, label]));
  // what both kinds have stays, where the new one can have it
  const remade = (value: object, kind: string): object => {
    const { fields } = of.of(kind).form;
    const kept = Object.entries(value).filter(([name, v]) => fields[name]?.schema.safeParse(v).success);
    return of.schema.parse({ ...Object.fromEntries(kept), kind });
  };
  return {
    ...field,
    control: controlled('part', info, { choices }),
    ...(field.parts ? { parts: { ...field.parts, remade } } : {}),
  };
};

/** A list of parts of some kinds. */
export const listOf = <D extends Kind>(
  of: Kinds<D>,
  most: number,
  words: Parts['wordsOf'],
  info: ListInfo<KindValue<D>> = {},
): Field<KindValue<D>[]> => ({
  schema: listSchema(of.schema, most, info),
  initial: [],
  control: null,
  parts: partsOfKinds(of, true, words),
});

/** A list of what is shown, each part with a file: a row of its own, to which files are added. */
export const shownList = <D extends Kind>(
  of: Kinds<D>,
  most: number,
  words: Parts['wordsOf'],
  info: Info,
): Field<KindValue<D>[]> => ({ ...listOf(of, most, words), control: controlled('shown', info) });

/** A list of parts of one form. */
export const list = <T extends object>(form: Form<T>, most: number, words: Parts['wordsOf'] = UNNAMED): Field<T[]> => ({
  schema: listSchema(form.schema, most, {}),
  initial: [],
  control: null,
  parts: { many: true, formOf: () => form, wordsOf: words, made: (id) => form.schema.parse({ id }) },
});

/** A list of parts of one form, shown among the rows of what it is in: each a line of its words that opens in place; a new one is as its form says. */
export const shownParts = <T extends object>(
  form: Form<T>,
  most: number,
  words: Parts['wordsOf'],
  info: Info,
): Field<T[]> => ({ ...list(form, most, words), control: controlled('parts', { ...info, max: most }) });

/** A field under another heading. */
export const grouped = <T>(field: Field<T>, group: Heading): Field<T> => ({
  ...field,
  control: field.control && { ...field.control, group },
});
