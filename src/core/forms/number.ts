import { z } from 'zod';
import { controlled, fieldOf, type Field, type Info } from './field';

export const inRange = (info: Pick<Info, 'min' | 'max'>, values: readonly number[]): boolean =>
  values.every((v) => Number.isFinite(v) && v >= (info.min ?? -Infinity) && v <= (info.max ?? Infinity));

export const rangeWords = (info: Pick<Info, 'min' | 'max' | 'unit'>): string =>
  `must be between ${info.min ?? '−∞'} and ${info.max ?? '∞'}${info.unit ? ` ${info.unit}` : ''}`;

/** A number, in the unit it is said to be in. */
export const number = (initial: number, info: Info): Field<number> =>
  fieldOf(
    z.number().refine((value) => inRange(info, [value]), { error: rangeWords(info) }),
    initial,
    controlled('number', info),
  );

/** A whole number. */
export const integer = (initial: number, info: Info): Field<number> =>
  fieldOf(
    z.int().refine((value) => inRange(info, [value]), { error: rangeWords(info) }),
    initial,
    controlled('integer', { decimals: 0, ...info }),
  );

/** Three numbers of one kind: `nameX`, `nameY`, `nameZ`. */
export function vectorFields<const N extends string>(
  name: N,
  initial: number,
  { labels, ...info }: Omit<Info, 'label'> & { labels: readonly [string, string, string] },
): Record<`${N}${'X' | 'Y' | 'Z'}`, Field<number>> {
  const field = (label: string): Field<number> => number(initial, { ...info, label });
  return {
    [`${name}X`]: field(labels[0]),
    [`${name}Y`]: field(labels[1]),
    [`${name}Z`]: field(labels[2]),
  } as Record<`${N}${'X' | 'Y' | 'Z'}`, Field<number>>;
}

/** The same value for all three numbers of {@link vectorFields}. */
export const three = <const N extends string>(name: N, value: number): Record<`${N}${'X' | 'Y' | 'Z'}`, number> =>
  ({ [`${name}X`]: value, [`${name}Y`]: value, [`${name}Z`]: value }) as Record<`${N}${'X' | 'Y' | 'Z'}`, number>;
