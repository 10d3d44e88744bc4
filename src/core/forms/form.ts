import { z } from 'zod';
import type { Condition, Field, Heading } from './field';

export type Fields = Readonly<Record<string, Field>>;

/** What fields hold together. */
export type FieldsValue<F extends Fields> = { -readonly [K in keyof F]: F[K] extends Field<infer T> ? T : never };

/** A list of fields: one declaration gives what may stand in them, what does at first, their rows and their type. */
export interface Form<T extends object = object> {
  readonly fields: Fields;
  /** keeps fields it does not know, and gives those left out what they are at first */
  readonly schema: z.ZodType<T>;
}

/** What a form holds. */
export type ValueOf<F> = F extends Form<infer T> ? T : never;

/**
 * A form of these fields.
 * @throws RangeError when a field is to be shown by one there is not, or by a choice there is not
 */
export function form<const F extends Fields>(fields: F): Form<FieldsValue<F>> {
  for (const [name, { control }] of Object.entries(fields))
    for (const { field, is } of control?.conditions ?? []) {
      const { control: by } = fields[field] ?? fail(`${name} is shown by ${field}, which is not there`);
      const odd = is.find((value) => by?.choices && !Object.hasOwn(by.choices, String(value)));
      if (odd !== undefined) fail(`${name} is shown where ${field} is ${String(odd)}, which it never is`);
    }
  const shape = Object.fromEntries(Object.entries(fields).map(([name, { schema }]) => [name, schema]));
  // the one place where the types of fields become that of what they hold: the compiler cannot follow a mapped schema
  return { fields, schema: z.looseObject(shape) as unknown as z.ZodType<FieldsValue<F>> };
}

const fail = (what: string): never => {
  throw new RangeError(`form: ${what}`);
};

/** The same fields by the same names, each changed. */
const changed = <F extends Fields>(fields: F, change: (field: Field) => Field): F =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, change(field)])) as F;

/** The fields, shown only where these conditions hold too. */
export const shownIf = <F extends Fields>(fields: F, ...conditions: readonly Condition[]): F =>
  changed(fields, ({ control, ...field }) => ({
    ...field,
    control: control && { ...control, conditions: [...control.conditions, ...conditions] },
  }));

/** The fields, kept in documents but never shown. */
export const unshown = <F extends Fields>(fields: F): F => changed(fields, (field) => ({ ...field, control: null }));

/** All fields but some. */
export function without<F extends Fields, const N extends keyof F & string>(
  fields: F,
  ...names: readonly N[]
): Omit<F, N> {
  const left: readonly string[] = names;
  return Object.fromEntries(Object.entries(fields).filter(([name]) => !left.includes(name))) as Omit<F, N>;
}

/** The headings of a form's rows, in the order they stand in. */
export function headingsOf({ fields }: Pick<Form, 'fields'>): Heading[] {
  const found = Object.values(fields).flatMap(({ control }) => control?.group ?? []);
  return [...new Set(found)].sort((a, b) => a.rank - b.rank);
}
