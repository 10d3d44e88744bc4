import { z } from 'zod';
import { animated, choice, integer, layerRef, type ControlMeta } from '../piece/fields';
import type { Vec3 } from '../space/vector';

const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10 };
const atPoint = { field: 'on', is: ['point'] };

const fields = {
  on: choice(
    'point',
    { point: 'A point', layer: 'A layer’s middle', element: 'One of its elements' },
    { label: 'Target', hint: 'What is meant: a place in the world, the middle of a layer, or one element of it.' },
  ),
  aside: animated(0, { label: 'Aside', ...metres, when: atPoint, hint: 'Metres to the right of the world’s axis.' }),
  above: animated(0, { label: 'Above', ...metres, when: atPoint, hint: 'Metres above the world’s axis.' }),
  ahead: animated(6, {
    label: 'Ahead',
    ...metres,
    when: atPoint,
    hint: 'Metres from the start of the tile; when the flight travels on, the point goes along with it.',
  }),
  layer: layerRef({
    label: 'Layer',
    of: 'any',
    none: 'None yet',
    when: { field: 'on', is: ['layer', 'element'] },
    hint: 'The layer that is meant; when the flight travels on, it goes along with it.',
  }),
  element: integer(0, {
    label: 'Element',
    min: 0,
    max: 10_000_000,
    comfort: 40,
    when: { field: 'on', is: ['element'] },
    hint: 'Which of its elements, counted from 0.',
  }),
};

/** The schema of a place the camera can aim at, focus on, hold in size or ride on. */
export const TargetSchema = z.looseObject(fields);
export type Target = z.infer<typeof TargetSchema>;

/** A target as a field of the document. */
export const target = (initial: z.input<typeof TargetSchema>, info: Omit<ControlMeta, 'control' | 'choices'>) =>
  TargetSchema.prefault(initial).meta({ control: 'target', ...info });

/** A place given as metres aside, above and ahead, in the world's axes. */
export const worldAt = (aside: number, above: number, ahead: number): Vec3 => [aside, above, -ahead];
