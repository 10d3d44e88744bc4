import { animated, choice, elementRef, heading, layerRef, type Info } from '../../forms';
import { target, type Target } from '../../flight/target';
import type { Animated } from '../../time/animated';
import type { Vec3 } from '../../space/vector';

const where = heading('Where it stands');
const aim = heading('Where it shines');

const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, group: where };
const things = { group: where, when: { field: 'hangs', is: ['layer', 'element'] } };

/** What a light hangs on, and where it is from there. */
export interface Hanging {
  hangs: 'world' | 'camera' | 'layer' | 'element';
  layer: string | null;
  element: number;
  aside: Animated;
  above: Animated;
  ahead: Animated;
}

/** Where a light is that has a place. @param place metres aside, above and ahead of what it hangs on */
export const standing = ([aside, above, ahead]: Vec3) => ({
  hangs: choice(
    'world',
    { world: 'In the world', camera: 'On the camera', layer: 'On a layer', element: 'On an element' },
    {
      label: 'Stands',
      group: where,
      hint: 'In the world it stands in every tile, as layers do; on the camera it goes where that goes and turns with it.',
    },
  ),
  layer: layerRef({ label: 'Layer', of: 'any', none: 'None yet', ...things, hint: 'The layer it hangs on.' }),
  element: elementRef({
    label: 'Element',
    group: where,
    when: { field: 'hangs', is: ['element'] },
    hint: 'Which of its elements, counted from 0: it moves and turns with that.',
  }),
  aside: animated(aside, { label: 'Aside', ...metres, hint: 'Metres to the right of what it hangs on.' }),
  above: animated(above, { label: 'Above', ...metres, hint: 'Metres above what it hangs on.' }),
  ahead: animated(ahead, {
    label: 'Ahead',
    ...metres,
    hint: 'Metres ahead of what it hangs on; in the world from the start of the tile.',
  }),
});

/** How a light is turned. */
export interface Aiming {
  aims: 'turned' | 'target';
  heading: Animated;
  tilt: Animated;
  aimAt: Target;
}

const turned = { unit: '°', min: -36_000, max: 36_000, decimals: 1, group: aim };
const byHand: Pick<Info, 'when'> = { when: { field: 'aims', is: ['turned'] } };

/** What closes fields of {@link aiming}: whole turns. */
export const aimingSteps = { heading: 360 } as const;

/** Where a light shines that shines one way. @param degrees to the right and up, from straight ahead */
export const aiming = (heading: number, tilt: number) => ({
  aims: choice(
    'turned',
    { turned: 'As it is turned', target: 'At a target' },
    {
      label: 'Aims',
      group: aim,
      hint: 'As it is turned, or at a point, a layer or one of its elements, wherever it stands.',
    },
  ),
  heading: animated(heading, {
    label: 'Turned aside',
    ...turned,
    comfort: 180,
    ...byHand,
    hint: 'Degrees to the right, from straight ahead.',
  }),
  tilt: animated(tilt, {
    label: 'Turned up',
    ...turned,
    min: -90,
    max: 90,
    comfort: 90,
    ...byHand,
    hint: 'Degrees upwards; −90 shines straight down.',
  }),
  aimAt: target(
    {},
    { label: 'Aims at', group: aim, when: { field: 'aims', is: ['target'] }, hint: 'What it shines at.' },
  ),
});

/** How far a light with a place reaches. */
export const reaching = (metres: number) => ({
  reach: animated(metres, {
    label: 'Reaches',
    unit: 'm',
    min: 0.05,
    max: 10_000,
    comfort: 60,
    group: where,
    hint: 'Metres after which nothing is left of it; up to about half of them it falls off with the square of the distance alone.',
  }),
});
