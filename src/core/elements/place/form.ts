import { animated, flag, heading, valueAt } from '../../forms';
import { evaluateAnimated, type Animated } from '../../time/animated';

const place = heading('Place', 2);
const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, reaches: true, group: place };
const degrees = { unit: '°', min: -3600, max: 3600, comfort: 180, decimals: 1, reaches: true, group: place };

/** Where a layer stands that does not fill its tile by itself, which may change over the lap. */
export const placement = {
  once: flag(false, {
    label: 'Stands once',
    group: place,
    hint: 'Once in the world instead of once in every tile; closes when the camera stays.',
  }),
  aside: animated(0, { label: 'Aside', ...metres, drags: 'aside', hint: 'Metres to the right of the route.' }),
  above: animated(0, { label: 'Above', ...metres, drags: 'above', hint: 'Metres above the route.' }),
  ahead: animated(4, {
    label: 'Ahead',
    ...metres,
    drags: 'ahead',
    hint: 'Metres from the start of the tile to its middle.',
  }),
  scale: animated(1, {
    label: 'Scale',
    drags: 'scale',
    unit: '×',
    min: 0.001,
    max: 1000,
    comfort: 3,
    reaches: true,
    group: place,
    hint: 'Everything in it larger or smaller.',
  }),
  heading: animated(0, {
    label: 'Heading',
    ...degrees,
    drags: 'heading',
    hint: 'Degrees to the right about its upright axis.',
  }),
  pitch: animated(0, { label: 'Pitch', ...degrees, drags: 'pitch', hint: 'Degrees its front is raised.' }),
  bank: animated(0, { label: 'Bank', ...degrees, hint: 'Degrees about the travel, clockwise.' }),
};

export interface Placement {
  once: boolean;
  /** metres to the right, up, and ahead */
  aside: Animated;
  above: Animated;
  ahead: Animated;
  scale: Animated;
  /** degrees to the right, up, and clockwise */
  heading: Animated;
  pitch: Animated;
  bank: Animated;
}

/** The same at a moment. */
export type Stand = Record<Exclude<keyof Placement, 'once'>, number>;

/** Where it stands at a phase, which is not wrapped. */
export const standAt = (p: Placement, phase: number): Stand => ({
  aside: evaluateAnimated(p.aside, phase),
  above: evaluateAnimated(p.above, phase),
  ahead: evaluateAnimated(p.ahead, phase),
  scale: evaluateAnimated(p.scale, phase),
  heading: evaluateAnimated(p.heading, phase),
  pitch: evaluateAnimated(p.pitch, phase),
  bank: evaluateAnimated(p.bank, phase),
});

/** Something that is placed as it is at a phase, standing still there; itself where it stands still anyway. */
export function stillAt<P extends object>(placed: P, phase: number): P {
  const moving = PLACES.filter((name) => typeof valueAt(placed, name) === 'object');
  if (moving.length === 0) return placed;
  const values = moving.map((name) => [name, evaluateAnimated(valueAt(placed, name) as Animated, phase)]);
  return { ...placed, ...(Object.fromEntries(values) as Partial<P>) };
}
const PLACES: readonly (keyof Stand)[] = ['aside', 'above', 'ahead', 'scale', 'heading', 'pitch', 'bank'];

/** Turns that lead back to where it stood, for whatever stands there: degrees. */
export const PLACE_STEPS: Readonly<Record<string, number>> = { heading: 360, pitch: 360, bank: 360 };

/** At the middle of the tile's start, as it is. */
export const UNPLACED = {
  once: false,
  aside: 0,
  above: 0,
  ahead: 0,
  scale: 1,
  heading: 0,
  pitch: 0,
  bank: 0,
} as const satisfies Placement;
