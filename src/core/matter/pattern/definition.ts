import type { AnimatedGradient } from '../../colour/animated';
import {
  animated,
  choice,
  flag,
  gradient,
  heading,
  integer,
  number,
  seed,
  type Condition,
  type Form,
  type Heading,
} from '../../forms';
import type { FileRef } from '../../kept';
import type { Animated } from '../../time/animated';

/** Where a pattern lies: on each body as it is, on the layer as it stands at a frame, in the world, or as the camera sees it at a frame. */
export const LIES = {
  body: 'On each body',
  layer: 'Through the whole layer',
  world: 'In the world',
  view: 'As the camera sees it',
} as const;
export type Lies = keyof typeof LIES;

/** What the core and the interface know about one kind of pattern. One definition per folder of `pattern/`; its program is the engine's. */
export interface PatternDefinition<P extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<P>;
  /** three whole numbers that its program reads */
  choices(pattern: P): readonly [number, number, number];
  /** the picture it is made of; null where none is chosen yet, left out where it is made of none */
  picture?(pattern: P): FileRef | null;
}

export const PATTERN_HEADING = heading('Pattern', 1);
const group = PATTERN_HEADING;
const lies = (...is: Lies[]): Condition => ({ field: 'lies', is });

/** Where a pattern lies, and how large it is there. @param patch what a patch of it is called */
export const lyingFields = (patch: { own: number; metres: number; view: number; hint: string }) => ({
  lies: choice('body', LIES, {
    label: 'Lies',
    group,
    hint: 'On each body and moving with it, through all of a layer as it stands at one frame, in the world, or as the camera sees it at one frame.',
  }),
  patch: number(patch.own, {
    label: 'Size',
    unit: '× body',
    min: 0.01,
    max: 100,
    comfort: 2,
    group,
    when: lies('body'),
    hint: `${patch.hint}, as a share of the body’s size.`,
  }),
  metres: number(patch.metres, {
    label: 'Size',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 10,
    group,
    when: lies('layer', 'world'),
    hint: `${patch.hint}, in metres; along a tile it is fitted so that it repeats.`,
  }),
  high: number(patch.view, {
    label: 'Size',
    unit: '× frame',
    min: 0.01,
    max: 10,
    comfort: 2,
    decimals: 3,
    group,
    when: lies('view'),
    hint: `${patch.hint}, as a share of the frame’s height.`,
  }),
  frame: number(0, {
    label: 'At frame',
    unit: 'frames',
    retimes: true,
    min: 0,
    max: 100_000,
    comfort: 240,
    decimals: 0,
    group,
    when: lies('layer', 'view'),
    hint: 'The frame of the lap at which it lies as it is meant to; from there it moves with what it lies on.',
  }),
});

/** How noise on matter moves over the lap. @param under the heading of its rows @param what evolves and runs */
export const evolving = (under: Heading, what: { evolves: string; runs: string }) => ({
  cycles: integer(2, {
    label: 'Evolves',
    perLap: true,
    unit: 'cycles per lap',
    min: 0,
    max: 64,
    comfort: 8,
    group: under,
    hint: `Most whole cycles ${what.evolves} in a lap; 0 stands still.`,
  }),
  runs: integer(0, {
    label: 'Runs down',
    perLap: true,
    unit: 'times per lap',
    min: -32,
    max: 32,
    comfort: 4,
    group: under,
    hint: `${what.runs}, after which it is as before; below 0 it rises.`,
  }),
});

/** How a pattern that is made of noise moves, and that bodies may have their own. */
export const noiseFields = {
  ...evolving(group, {
    evolves: 'that a place goes through',
    runs: 'How often it runs down by eight patches',
  }),
  vary: flag(true, {
    label: 'Each its own',
    group,
    when: lies('body'),
    hint: 'Every body has another part of the pattern; without, all are alike.',
  }),
  seed: seed({ label: 'Seed', group, hint: 'Another pattern of the same kind.' }),
};

/** Patches after which a pattern that runs down is as before. */
export const RUN = 8;

/** What a pattern does. */
export interface Driven {
  level: Animated;
  contrast: Animated;
  colour: Animated;
  colours: AnimatedGradient;
  roughens: Animated;
  shines: Animated;
  relief: Animated;
}

/** What a pattern does to matter. @param colours at first @param as it is at first @param when its colours count */
export const drivingFields = (
  colours: readonly string[],
  as: { colour: number; relief: number },
  when: readonly Condition[] = [],
) => ({
  level: animated(0.5, {
    label: 'Level',
    min: -1,
    max: 2,
    group,
    hint: 'Which value of the pattern becomes its middle: swung from 0 to 1 it grows over everything, and back.',
  }),
  contrast: animated(1, {
    label: 'Contrast',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 10,
    group,
    hint: 'How steeply it goes from one end to the other about its level; large: islands with clear edges.',
  }),
  colour: animated(as.colour, {
    label: 'Colours',
    min: 0,
    max: 1,
    group,
    hint: 'How far its colours cover the body’s own.',
  }),
  colours: gradient(colours, {
    label: 'Its colours',
    group,
    when,
    hint: 'Colours from the pattern’s low values to its high ones.',
  }),
  roughens: animated(0, {
    label: 'Roughens',
    min: -1,
    max: 1,
    group,
    hint: 'How much rougher its high values are, and smoother its low ones; below 0 the other way about.',
  }),
  shines: animated(0, {
    label: 'Lights up',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 8,
    group,
    hint: 'Light that its high values give off, in their colour.',
  }),
  relief: animated(as.relief, {
    label: 'Relief',
    min: -4,
    max: 4,
    comfort: 0.5,
    decimals: 3,
    group,
    hint: 'How high its high values stand out, as a share of a patch; below 0 they are pressed in. Light falls on it; outlines stay.',
  }),
});
