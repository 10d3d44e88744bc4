import { choice, gradient, heading, integer, number, type Field } from '../forms';
import type { AnimatedGradient } from '../colour/animated';
import type { Condition } from '../forms';

/** What colours a layer's elements stands under one heading. */
export const tint = heading('Colour');

/** What lies in patches of a size, which may evolve. */
const PATCHED = ['noise', 'cells', 'edges'] as const;
export const byPatch = { field: 'placeBy', is: PATCHED };

/** Whether places lie in patches. */
export const isPatched = (placeBy: string): boolean => PATCHED.some((name) => name === placeBy);

/** The words of cells, for layers whose elements may have their place by them. */
export const CELLS = { cells: 'By cells', edges: 'By cells’ edges' } as const;

/** The gradient on which every element has a place. */
export const gradientField = (colours: readonly string[]): Field<AnimatedGradient> =>
  gradient(colours, { label: 'Gradient', group: tint, hint: 'Colours from first to last place.' });

/** What decides where on the gradient an element is. @param noun one of its elements */
export const placeByField = <const T extends Readonly<Record<string, string>>>(
  initial: keyof T & string,
  places: T,
  noun: string,
  when: readonly Condition[] = [],
): Field<keyof T & string> =>
  choice(initial, places, {
    label: 'Place on it',
    group: tint,
    when,
    hint: `What decides where on the gradient ${noun} is.`,
  });

/** How much of the gradient is used. */
export const spreadField = (): Field<number> =>
  number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the gradient is used: 0 only its middle, 1 all of it.',
  });

/** Size of the patches where noise or cells decide. */
export const patchField = (initial: number): Field<number> =>
  number(initial, {
    label: 'Patch size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: tint,
    when: byPatch,
    hint: 'Metres across one patch of the noise, or a cell; fitted so that it tiles.',
  });

/** How the patches evolve where noise or cells decide. */
export const patchCyclesField = (): Field<number> =>
  integer(2, {
    label: 'Evolves',
    perLap: true,
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: tint,
    when: byPatch,
    hint: 'Most whole cycles the colours make in a lap.',
  });
