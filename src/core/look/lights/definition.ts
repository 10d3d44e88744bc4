import { z } from 'zod';
import { colourAt, type AnimatedColour } from '../../colour/animated';
import { animated, choice, colour, flag, heading, stored, type Form } from '../../forms';
import type { LightPoint } from '../../lens/lightPoint';
import type { Quaternion, Vec3 } from '../../space/vector';
import { evaluateAnimated, type Animated } from '../../time/animated';
import { stretchFields, type Stretch } from '../stretch';

/** Where a light stands in the world at a moment: metres, and what turns its own axes (x right, y up, it shines along −z) into the world's. */
export interface Standing {
  place: Vec3;
  rotation: Quaternion;
}

/**
 * What a light is at a moment, in a form that all kinds share: a row of the table the shader goes through.
 * Colours are linear; directions are the world's, of length 1, and point from what is lit to the light.
 */
export interface LightRecord {
  colour: Vec3;
  /** what the colour is multiplied by in the shader */
  strength: number;
  /** of what shines along one way, the way back */
  from: Vec3;
  /** metres */
  place?: Vec3;
  /** its own way to the right */
  side?: Vec3;
  /** radius in metres; of what is far away as a share of its distance */
  size?: number;
  /** metres at which it ends; 0 where it does not */
  reach?: number;
  /** how much of it the air gives away, beside other lamps; none where that is not said */
  beam?: number;
  /** eight numbers of the kind's own */
  own?: readonly number[];
  /** which of these, from 0, are turns or steps: by a whole one more they are the same */
  round?: readonly number[];
}

/**
 * What a light sees of what it shines on, for its shadow: everything within an angle (radians from its middle to its edge), everything
 * around, or all along one way.
 */
export type Sees = { as: 'cone'; half: number } | { as: 'around' } | { as: 'parallel' };

/** What the core and the interface know about one kind of light. One definition per folder of `lights/`; its program is the engine's. */
export interface LightDefinition<L extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<L>;
  /** it has a place in the world: see standing.ts */
  placed?: boolean;
  /** it is what is around, which is seen in what reflects, rather than what shines on surfaces */
  around?: boolean;
  /** the most of one look, where that is less than of all kinds together */
  most?: number;
  /** the small picture that its light falls through, as pieces keep it (pictures/pixmap.ts), empty for our own; null where it falls through none */
  slide?(light: L): string | null;
  /** steps per lap that close its fields: whole turns, whole steps of a pattern */
  closingSteps?: Readonly<Record<string, number>>;
  /** @param at where it stands; of what has no place, and hangs on nothing, the world's middle */
  at(light: L, phase: number, at: Standing): LightRecord;
  /** how it is looked from for its shadow; null where it casts none */
  sees?(light: L, phase: number): Sees | null;
  /** a point of it for a pass, metres in its own axes: every light has a size */
  pointOf?(light: L, phase: number, at: LightPoint): Vec3;
  /**
   * lines that show what it is, in its own axes, for what draws it from outside
   * @param away metres to what it shines at
   */
  figure?(light: L, phase: number, away: number): Vec3[][];
  /** in a few words, for the card */
  summary(light: L, phase: number): string;
}

const when = heading('When', 1);
const shade = heading('Shadow', 1);
/** Fields every light has. */
export const lightBase = {
  id: stored(z.string().min(1).max(64)),
  name: stored(z.string().max(120), ''),
  off: stored(z.boolean(), false),
};

/** When it shines. */
export const lightStretch = {
  shines: choice(
    'always',
    { always: 'All the lap', stretch: 'For a stretch' },
    { label: 'Shines', group: when, kept: true, hint: 'All the lap, or from one frame up to another.' },
  ),
  ...stretchFields('shines', when),
};

/** A light's stretch as the lap knows it; null for always. */
export const stretchOf = (light: Stretch & { shines: 'always' | 'stretch' }): Stretch | null =>
  light.shines === 'always' ? null : light;

/** Whether it casts shadows. */
export const lightShadow = (on: boolean) => ({
  shadow: flag(on, {
    label: 'Casts shadows',
    group: shade,
    hint: 'What stands in its way keeps its light off; softly, since every light has a size. Layers say whether they cast and take shadows.',
  }),
});

/** How strong and of what colour it is. */
export const brightness = (hex: string, strength: number) => ({
  colour: colour(hex, { label: 'Colour', hint: 'Its colour, as through a filter.' }),
  strength: animated(strength, {
    label: 'Strength',
    unit: '×',
    min: 0,
    max: 100_000,
    comfort: 4,
    hint: 'How strong the lamp is: matt white that faces it one metre away is as bright as white at 1; of a light without a place, at any distance.',
  }),
  dimmer: animated(1, {
    label: 'Dimmer',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 2,
    hint: 'What of its strength is given; swing it or give it keys to let it breathe or flash.',
  }),
});

/** A colour times what the dimmer gives of it, linear. */
export const dimmed = (colour: AnimatedColour, dimmer: Animated, phase: number): Vec3 => {
  const given = evaluateAnimated(dimmer, phase);
  const [red, green, blue] = colourAt(colour, phase);
  return [red * given, green * given, blue * given];
};

const airy = heading('In the air', 1);

/** How much of its beam is seen. */
export const inAir = {
  beam: animated(1, {
    label: 'Beam',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 3,
    group: airy,
    hint: 'How much of it shows in haze and mist, beside other lamps; 0 leaves the air dark.',
  }),
};

/** Where it stands, as seen from what it lights, for a camera that looks ahead. */
export const direction = ([x, y, z]: Vec3) => {
  const range = { min: -1, max: 1, decimals: 2 };
  return {
    aside: animated(x, {
      label: 'From the right',
      ...range,
      hint: 'Share of its direction to the right; below 0 from the left.',
    }),
    above: animated(y, {
      label: 'From above',
      ...range,
      hint: 'Share of its direction upwards; below 0 from beneath.',
    }),
    behind: animated(z, {
      label: 'From behind',
      ...range,
      hint: 'Share of its direction from behind the camera; below 0 from ahead, against the camera.',
    }),
  };
};

interface Directed {
  aside: Animated;
  above: Animated;
  behind: Animated;
}

/** Directions this near to a length of 1 are taken as they are. */
const NEAR_ONE = 0.01;

/** A direction of length 1, within a hundredth; from above where none is said. */
export function unitOf([aside, above, behind]: Vec3): Vec3 {
  const length = Math.hypot(aside, above, behind);
  if (length < 1e-6) return [0, 1, 0];
  return Math.abs(length - 1) <= NEAR_ONE ? [aside, above, behind] : [aside / length, above / length, behind / length];
}

/** The direction of a light at a phase. */
export const directionOf = ({ aside, above, behind }: Directed, phase: number): Vec3 =>
  unitOf([evaluateAnimated(aside, phase), evaluateAnimated(above, phase), evaluateAnimated(behind, phase)]);

/** Where a direction lies, in words. */
export function directionWords([aside, above, behind]: Vec3): string {
  const words = [
    Math.abs(aside) > 0.35 ? (aside > 0 ? 'right' : 'left') : '',
    Math.abs(above) > 0.35 ? (above > 0 ? 'above' : 'beneath') : '',
    Math.abs(behind) > 0.35 ? (behind > 0 ? 'behind' : 'ahead') : '',
  ].filter((word) => word !== '');
  return `from ${words.join(', ')}`;
}

/** Its strength in words. */
export const strengthWords = (strength: Animated, phase: number): string =>
  `${Number(evaluateAnimated(strength, phase).toPrecision(3))} ×`;
