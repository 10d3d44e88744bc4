import { z } from 'zod';
import { MOST_PIXELS, pixmapOf } from '../pictures/pixmap';
import { AnimatedSchema, type Animated } from '../time/animated';

// Zod must not generate code: the content security policy of the page forbids it.
z.config({ jitless: true });

interface Condition {
  field: string;
  is: readonly unknown[];
}

/** What the inspector needs to know to draw a row for a field of the document. */
export interface ControlMeta {
  control:
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
    | 'target';
  label: string;
  /** one sentence, with the unit */
  hint: string;
  group?: string;
  unit?: string;
  min?: number;
  max?: number;
  /** upper end of comfortable dragging; typing goes up to max */
  comfort?: number;
  decimals?: number;
  /** shown value = stored value × display */
  display?: number;
  choices?: Record<string, string>;
  /** which layers a reference may name: tunnels, grounds, those that have a route, or all */
  of?: 'tunnel' | 'ground' | 'routed' | 'any';
  /** the words for naming none */
  none?: string;
  /** show only when a sibling field has one of these values */
  when?: Condition;
  /** and only when this holds too */
  and?: Condition;
  /** siblings leave it as it is */
  kept?: boolean;
}

type Info = Omit<ControlMeta, 'control' | 'choices'>;

const inRange = (info: Info, values: readonly number[]): boolean =>
  values.every((v) => Number.isFinite(v) && v >= (info.min ?? -Infinity) && v <= (info.max ?? Infinity));

/** Every number an animated value states, without what its law makes of them between. */
export function statedValues(value: Animated): number[] {
  if (typeof value === 'number') return [value];
  if (value.law === 'keyed') return value.keys.map((key) => key.value);
  if (value.law === 'swing') return [value.middle - Math.abs(value.reach), value.middle + Math.abs(value.reach)];
  return [value.start];
}

const rangeWords = (info: Info): string =>
  `must be between ${info.min ?? '−∞'} and ${info.max ?? '∞'}${info.unit ? ` ${info.unit}` : ''}`;

/** A value that may change over the lap. */
export const animated = (initial: Animated, info: Info) =>
  AnimatedSchema.refine((value) => inRange(info, statedValues(value)), { error: rangeWords(info) })
    .default(initial)
    .meta({ control: 'animated', ...info });

export const number = (initial: number, info: Info) =>
  z
    .number()
    .refine((value) => inRange(info, [value]), { error: rangeWords(info) })
    .default(initial)
    .meta({ control: 'number', ...info });

/** Three numbers of one kind: `nameX`, `nameY`, `nameZ`. */
export function vectorFields<const N extends string>(
  name: N,
  initial: number,
  { labels, ...info }: Omit<Info, 'label'> & { labels: readonly [string, string, string] },
) {
  const field = (label: string) => number(initial, { ...info, label });
  return {
    [`${name}X`]: field(labels[0]),
    [`${name}Y`]: field(labels[1]),
    [`${name}Z`]: field(labels[2]),
  } as Record<`${N}${'X' | 'Y' | 'Z'}`, ReturnType<typeof number>>;
}

export const integer = (initial: number, info: Info) =>
  z
    .int()
    .refine((value) => inRange(info, [value]), { error: rangeWords(info) })
    .default(initial)
    .meta({ control: 'integer', decimals: 0, ...info });

export const choice = <const T extends Record<string, string>>(initial: keyof T & string, choices: T, info: Info) =>
  z
    .enum(Object.keys(choices) as [keyof T & string, ...(keyof T & string)[]])
    .default(initial as never)
    .meta({ control: 'choice', choices, ...info });

export const flag = (initial: boolean, info: Info) =>
  z
    .boolean()
    .default(initial)
    .meta({ control: 'switch', ...info });

const HexSchema = z.string().regex(/^#[0-9a-f]{6}$/i, { error: 'must be a colour like #12566a' });

export const colour = (initial: string, info: Info) => HexSchema.default(initial).meta({ control: 'colour', ...info });

export const GradientSchema = z
  .array(z.object({ at: z.number().min(0).max(1), colour: HexSchema }))
  .min(1)
  .max(12);
export type Gradient = z.infer<typeof GradientSchema>;

export const gradient = (initial: readonly string[], info: Info) =>
  GradientSchema.default(
    initial.map((hex, index) => ({ at: initial.length > 1 ? index / (initial.length - 1) : 0, colour: hex })),
  ).meta({ control: 'gradient', ...info });

/** A closed outline of points [x, y], −1..1. */
export const outline = (initial: readonly (readonly [number, number])[], info: Info) =>
  z
    .array(z.tuple([z.number().min(-4).max(4), z.number().min(-4).max(4)]))
    .min(3, { error: 'needs three points' })
    .max(64, { error: 'has at most 64 points' })
    .default(initial.map(([x, y]): [number, number] => [x, y]))
    .meta({ control: 'outline', ...info });

const metre = z.number().min(-10_000).max(10_000);
const PlaceSchema = z.object({ id: z.string().min(1).max(64), aside: metre, above: metre, ahead: metre });
/** A point of a curve that is drawn in the map, metres from the start of the tile. */
export type CurvePoint = z.infer<typeof PlaceSchema>;

/** The most points a drawn curve has. */
export const MOST_POINTS = 64;

/** The points of a curve, each aside, above, ahead; the map shows them. */
export const points = (initial: readonly (readonly [number, number, number])[], info: Info) =>
  z
    .array(PlaceSchema)
    .min(2, { error: 'needs two points at least' })
    .max(MOST_POINTS, { error: `has at most ${MOST_POINTS} points` })
    .default(initial.map(([aside, above, ahead], i) => ({ id: `p${i + 1}`, aside, above, ahead })))
    .meta({ control: 'points', ...info });

/** A small picture kept in the piece as a portable pixmap; empty for the one that is made by us. */
export const picture = (info: Info) =>
  z
    .string()
    .refine((url) => url === '' || pixmapOf(url) !== null, {
      error: `must be a portable pixmap of at most ${MOST_PIXELS} pixels a side`,
    })
    .default('')
    .meta({ control: 'picture', ...info });

/** A curve over 0..1 as eight equally spaced values: see space/profile.glsl. */
export const profile = (initial: readonly number[], info: Info) =>
  z
    .array(z.number())
    .length(8)
    .refine((values) => inRange(info, values), { error: rangeWords(info) })
    .default([...initial])
    .meta({ control: 'profile', ...info });

/** A reference to another layer by id, or null. */
export const layerRef = (info: Info) =>
  z
    .string()
    .nullable()
    .default(null)
    .meta({ control: 'layer', ...info });

export const seed = (info: Info) =>
  z
    .int()
    .min(0)
    .max(0xffffffff)
    .default(1)
    .meta({ control: 'seed', min: 0, max: 0xffffffff, ...info });

/** The fields of an object's schema by name; none where it is no object. */
export const shapeOf = (schema: z.ZodType): Record<string, z.ZodType> =>
  schema instanceof z.ZodObject ? (schema.shape as Record<string, z.ZodType>) : {};

/** The control description of a field's schema, or null when the field is not for the inspector. */
export function controlOf(schema: z.ZodType): ControlMeta | null {
  const meta = schema.meta() as ControlMeta | undefined;
  return meta?.control ? meta : null;
}

/** Whether a field is in use, given its siblings. */
export const isShown = (meta: ControlMeta | null, siblings: object): boolean =>
  [meta?.when, meta?.and].every(
    (condition) => !condition || condition.is.includes((siblings as Record<string, unknown>)[condition.field]),
  );
