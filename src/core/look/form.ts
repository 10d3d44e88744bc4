import { airFields, AIR_HEADINGS } from '../air/form';
import { animated, colour, form, heading, listOf, number, type ValueOf } from '../forms';
import { effectOf, EFFECTS, effectsTrouble, standardEffects, type Effect } from './effects/kinds';
import { lightName, LIGHTS, lightsTrouble, MOST_LIGHTS, standardLights, type Light } from './lights/kinds';

const back = heading('Background');
const air = heading('Air');
const rig = heading('All lights');

/** The cards of the look, and what each has. */
export const LOOK_HEADINGS = { back: [back], air: [air, AIR_HEADINGS.mist, AIR_HEADINGS.lit], rig: [rig] } as const;

export const LOOK = form({
  background: colour('#04070a', {
    label: 'Centre',
    group: back,
    hint: 'Colour behind everything, in the middle of the picture.',
  }),
  backgroundEdge: colour('#020304', {
    label: 'Edge',
    group: back,
    hint: 'Colour behind everything, towards the corners.',
  }),
  rig: animated(1, {
    label: 'All lights',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 3,
    group: rig,
    hint: 'Master of all lights: it dims and brightens them together.',
  }),
  surround: number(1, {
    label: 'What is around',
    unit: '×',
    min: 0,
    max: 20,
    comfort: 3,
    group: rig,
    hint: 'Master of far boxes and surroundings, besides the one of all lights.',
  }),
  fogDistance: animated(8, {
    label: 'Clear for',
    unit: 'm',
    min: 0.1,
    max: 10_000,
    comfort: 80,
    group: air,
    hint: 'Metres after which a third of the light is left.',
  }),
  fogStart: number(0, {
    label: 'Begins at',
    unit: 'm',
    min: 0,
    max: 10_000,
    comfort: 40,
    group: air,
    hint: 'Metres from the camera without fog.',
  }),
  fogColour: colour('#04070a', { label: 'Colour', group: air, hint: 'What solid things fade into.' }),
  reach: number(40, {
    label: 'Drawn to',
    unit: 'm',
    min: 1,
    max: 5000,
    comfort: 150,
    decimals: 0,
    group: air,
    hint: 'How far the world is repeated ahead; it fades out over the last fifth.',
  }),
  ...airFields,
  nearFade: number(0.35, {
    label: 'Near fade',
    unit: 'm',
    min: 0.02,
    max: 50,
    comfort: 3,
    group: air,
    hint: 'Things fade out within this many metres before the lens.',
  }),
  lights: listOf(LIGHTS, MOST_LIGHTS, (light) => lightName(light as Light), {
    initial: standardLights,
    trouble: lightsTrouble,
  }),
  effects: listOf(EFFECTS, 24, (effect) => effectOf((effect as Effect).kind).label, {
    initial: standardEffects,
    trouble: effectsTrouble,
  }),
});
export type Look = ValueOf<typeof LOOK>;
