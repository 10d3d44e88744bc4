import type { Animated, Keyed } from '../time/animated';
import { isMoving, type KeyedMix, type Moving } from '../time/mixed';
import { valueAt, type Field, type FormLike } from './field';

/** Something with fields of its own, and where it is in what it belongs to. */
export interface Part<F extends FormLike = FormLike> {
  readonly path: readonly (string | number)[];
  readonly form: F;
  readonly value: object;
  /** what it and all it is in are called, from the outermost inwards */
  readonly words: readonly string[];
  /** what it is a part of, up to the whole */
  readonly above: Part | null;
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** The only walk over a thing and all its parts, each before its own parts, in the order of their fields. */
export function* partsOf(whole: FormLike, value: object): Generator<Part> {
  yield* walk({ path: [], form: whole, value, words: [], above: null });
}

function* walk(at: Part): Generator<Part> {
  yield at;
  for (const [name, { parts }] of Object.entries(at.form.fields)) {
    if (!parts) continue;
    const held = valueAt(at.value, name);
    const inner =
      parts.many && Array.isArray(held) ? held.map((one: unknown, i) => [one, i] as const) : [[held] as const];
    for (const [one, index] of inner) {
      if (!isObject(one)) continue;
      const words = parts.wordsOf(one);
      yield* walk({
        path: index === undefined ? [...at.path, name] : [...at.path, name, index],
        form: parts.formOf(one),
        value: one,
        words: words === null ? at.words : [...at.words, words],
        above: at,
      });
    }
  }
}

/** A value in a field of a part. */
export interface Held {
  readonly name: string;
  readonly field: Field;
  readonly value: unknown;
  readonly path: readonly (string | number)[];
}

/** What stands in the fields of a part that have no fields of their own, in order. */
export const heldBy = ({ form, value, path }: Part): Held[] =>
  Object.entries(form.fields)
    .filter(([, { parts }]) => !parts)
    .map(([name, field]) => ({ name, field, value: valueAt(value, name), path: [...path, name] }));

/** What a part holds in fields that its form does not know. */
export const unknownIn = ({ form, value, path }: Part): { path: readonly (string | number)[]; value: unknown }[] =>
  Object.entries(value)
    .filter(([name]) => !Object.hasOwn(form.fields, name))
    .map(([name, held]: [string, unknown]) => ({ path: [...path, name], value: held }));

/** A copy in which every part is what `change` makes of it, from the innermost outwards; parts left as they are are shared. */
export function withParts<T extends object>(whole: FormLike, value: T, change: (part: Part) => object): T {
  const visit = (at: Part): object => {
    let own = at.value;
    for (const [name, { parts }] of Object.entries(at.form.fields)) {
      const held = parts && valueAt(at.value, name);
      if (!parts || !isObject(held)) continue;
      const one = (inner: object, path: Part['path']): object =>
        visit({ path, form: parts.formOf(inner), value: inner, words: [], above: at });
      const next = Array.isArray(held)
        ? mapped(held, (inner: object, i) => one(inner, [...at.path, name, i]))
        : one(held, [...at.path, name]);
      if (next !== held) own = { ...own, [name]: next };
    }
    return change({ ...at, value: own });
  };
  return visit({ path: [], form: whole, value, words: [], above: null }) as T;
}

function mapped<T extends object>(list: readonly T[], change: (one: T, index: number) => object): object {
  const next = list.map(change);
  return next.some((one, i) => one !== list[i]) ? next : list;
}

/** What changes over the lap among what a part holds. */
export const animatedIn = (part: Part): (Held & { value: Animated })[] =>
  heldBy(part).flatMap((held) =>
    held.field.control?.control === 'animated' ? [{ ...held, value: held.value as Animated }] : [],
  );

/** The colours and gradients among them that change over the lap. */
export const mixedIn = (part: Part): (Held & { value: Moving<unknown> })[] =>
  heldBy(part).flatMap((held) => {
    const { control } = held.field.control ?? {};
    return (control === 'colour' || control === 'gradient') && isMoving(held.value)
      ? [{ ...held, value: held.value }]
      : [];
  });

/** What has keys among what a part holds, of numbers, colours and gradients. */
export const keyedIn = (part: Part): (Held & { value: Keyed | KeyedMix<unknown> })[] =>
  [...animatedIn(part), ...mixedIn(part)].flatMap((held) =>
    typeof held.value === 'object' && held.value.law === 'keyed' ? [{ ...held, value: held.value }] : [],
  );
