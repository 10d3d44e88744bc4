import { animated, choice, elementRef, form, layerRef, shownPart, type Field, type Info, type ValueOf } from '../forms';
import type { Vec3 } from '../space/vector';

const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10 };
const atPoint = { field: 'on', is: ['point'] };

/** A place the camera can aim at, focus on, hold in size or ride on. */
export const TARGET = form({
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
  element: elementRef({
    label: 'Element',
    when: { field: 'on', is: ['element'] },
    hint: 'Which of its elements, counted from 0.',
  }),
});
export type Target = ValueOf<typeof TARGET>;

/** A target as a part of something. */
export const target = (initial: Partial<Target>, info: Info): Field<Target> => shownPart(TARGET, initial, info);

/** A place given as metres aside, above and ahead, in the world's axes. */
export const worldAt = (aside: number, above: number, ahead: number): Vec3 => [aside, above, -ahead];
