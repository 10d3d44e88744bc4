import { z } from 'zod';
import type { FileKind } from '../kept';

// Zod must not generate code: the content security policy of the page forbids it.
z.config({ jitless: true });

/** Holds where a sibling field has one of these values. */
export interface Condition {
  field: string;
  is: readonly unknown[];
  /** it holds where the field has none of them */
  not?: boolean;
}

/** What rows of the inspector stand under. */
export interface Heading {
  readonly label: string;
  /** those of a higher rank stand below; among equals the order of the fields counts */
  readonly rank: number;
}

export const heading = (label: string, rank = 0): Heading => ({ label, rank });

/** What dragging a layer about in the map changes of it. */
export type Drag = 'aside' | 'above' | 'ahead' | 'size' | 'scale' | 'heading' | 'pitch';

/** What a declaration says of a field besides its value. */
export interface Info {
  label: string;
  /** one sentence, with the unit */
  hint: string;
  group?: Heading;
  /** as it is written after the number */
  unit?: string;
  /** an angle of which a whole turn is a frame: it may be given as a time */
  exposes?: boolean;
  /** a count of frames: it keeps its share of the lap when the lap is given other frames */
  retimes?: boolean;
  /** how often or how far something goes in a lap: so many laps in one have so many times as much */
  perLap?: boolean;
  /**
   * A frame of the lap on which something begins or ends, of which a longer lap has one for each that it holds: by more of the
   * same in its list, where that is so (always, never, or where the condition holds).
   */
  moment?: boolean | Condition;
  /** what dragging in the map changes it */
  drags?: Drag;
  min?: number;
  max?: number;
  /** upper end of comfortable dragging; typing goes up to max */
  comfort?: number;
  decimals?: number;
  /** shown value = stored value × display */
  display?: number;
  /** shown only where all of these hold */
  when?: Condition | readonly Condition[];
  /** pixels a side at which a chosen picture is kept in the piece; 64 where that is not said */
  pixels?: number;
  /** siblings leave it as it is */
  kept?: boolean;
  /** what stands in it was handed over or written by the user: another preset leaves it */
  given?: boolean;
  /** on the button that adds one to a list */
  adds?: string;
  /** its kind is chosen by what it looks like on a ball */
  sampled?: 'matter' | 'pattern';
  /** a frame of the lap: whatever is beyond its last is the last, and stays so in a lap of other frames */
  inLap?: boolean;
  /** how far its layer reaches over the whole lap follows from it, and what is worked out within that */
  reaches?: boolean;
  /** what it does is summed up over the lap, so that a jump of it is none of what is seen */
  summed?: boolean;
  /** it is shown in whole steps, as digits are: it jumps all the lap */
  counts?: boolean;
}

export type ControlName =
  | 'animated'
  | 'number'
  | 'integer'
  | 'choice'
  | 'colour'
  | 'gradient'
  | 'switch'
  | 'layer'
  | 'seed'
  | 'profile'
  | 'outline'
  | 'points'
  | 'picture'
  | 'text'
  | 'lines'
  | 'file'
  | 'stretch'
  | 'element'
  | 'shown'
  | 'parts'
  | 'part';

/** What the inspector needs to know to draw a row for a field. */
export interface Control extends Omit<Info, 'when'> {
  control: ControlName;
  conditions: readonly Condition[];
  /** words of each choice */
  choices?: Readonly<Record<string, string>>;
  /** which layers a reference may name, by what they offer */
  of?: 'any' | 'route' | 'way' | 'ground' | 'reading';
  /** the words for naming none */
  none?: string | undefined;
  /** it may not name what is not there */
  strict?: boolean | undefined;
  /** what the file it names is for */
  file?: FileKind;
}

/** What a field holds that has fields of its own. */
export interface Parts {
  /** one, or a list of them */
  many: boolean;
  formOf(value: object): FormLike;
  /** what a person calls it */
  wordsOf(value: object): string | null;
  /** a new one of a list, with an id, where all are of one form */
  made?(id: string): object;
  /** the same as one of another kind, for those whose kind can be chosen: the control has the words of each */
  remade?(value: object, kind: string): object;
}

/** As much of a form as a field needs to know: see form.ts. */
export interface FormLike {
  readonly fields: Readonly<Record<string, Field>>;
}

/** One field of a form: what may stand in it, what stands there at first, and how it is shown. */
export interface Field<T = unknown> {
  readonly schema: z.ZodType<T>;
  /** undefined where it must be given */
  readonly initial: T | undefined;
  /** null for what has no row of its own */
  readonly control: Control | null;
  readonly parts?: Parts;
}

/** A field's control from what its declaration says. */
export const controlled = (
  control: ControlName,
  { when, ...info }: Info,
  more: Partial<Pick<Control, 'choices' | 'of' | 'none' | 'strict' | 'file'>> = {},
): Control => ({
  control,
  ...info,
  ...more,
  conditions: when === undefined ? [] : 'field' in when ? [when] : when,
});

/** A field with a value of its own at first. */
export function fieldOf<T>(schema: z.ZodType<T>, initial: T, control: Control | null): Field<T> {
  // every document has its own
  const given = (): T => (typeof initial === 'object' ? structuredClone(initial) : initial);
  return { schema: z._default(schema, given as () => z.core.util.NoUndefined<T>), initial, control };
}

/** A field that has no row: kept in documents, and set by other means. Without an initial value it must be given. */
export const stored = <T>(schema: z.ZodType<T>, initial?: T): Field<T> =>
  initial === undefined ? { schema, initial, control: null } : fieldOf(schema, initial, null);

/** The field that says of which kind a thing is. */
export const tag = <const K extends string>(kind: K): Field<K> => ({
  schema: z.literal(kind),
  initial: undefined,
  control: null,
});

/** Whether a field is in use, given its siblings. */
export const isShown = (control: Control | null, siblings: object): boolean =>
  (control?.conditions ?? []).every((condition) => holds(condition, siblings));

/** Whether a condition holds among siblings. */
export const holds = ({ field, is, not = false }: Condition, siblings: object): boolean =>
  is.includes(valueAt(siblings, field)) !== not;

/** What stands in a field of an object, by name. */
export const valueAt = (object: object, name: string): unknown => (object as Readonly<Record<string, unknown>>)[name];
