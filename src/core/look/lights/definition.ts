import { z } from 'zod';
import { hexToLinear } from '../../colour/colour';
import { animated, colour, number, stored, type Form } from '../../forms';
import type { Vec3 } from '../../space/vector';
import { evaluateAnimated, type Animated } from '../../time/animated';

/**
 * What a light is at a moment, in a form that all kinds share: a row of the table the shader goes through.
 * Colours are linear; directions point from what is lit to the light, in the world's axes.
 */
export interface LightRecord {
  colour: Vec3;
  /** what the colour is multiplied by in the shader */
  strength: number;
  from: Vec3;
  /** eight numbers of the kind's own */
  own?: readonly number[];
}

/** What the core and the interface know about one kind of light. One definition per folder of `lights/`; its program is the engine's. */
export interface LightDefinition<L extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<L>;
  at(light: L, phase: number): LightRecord;
  /** in a few words, for the card */
  summary(light: L, phase: number): string;
}

/** Fields every light has. */
export const lightBase = {
  id: stored(z.string().min(1).max(64)),
  name: stored(z.string().max(120), ''),
  off: stored(z.boolean(), false),
};

/** How strong and of what colour it is. */
export const brightness = (hex: string, strength: number) => ({
  colour: colour(hex, { label: 'Colour', hint: 'Its colour, as through a filter.' }),
  strength: number(strength, {
    label: 'Strength',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 4,
    hint: 'How strong the lamp is beside the others.',
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
export const dimmed = (hex: string, dimmer: Animated, phase: number): Vec3 => {
  const given = evaluateAnimated(dimmer, phase);
  const [red, green, blue] = hexToLinear(hex);
  return [red * given, green * given, blue * given];
};

/** Where it stands, as seen from what it lights, for a camera that looks ahead. */
export const direction = ([x, y, z]: Vec3) => {
  const range = { min: -1, max: 1, decimals: 2 };
  return {
    aside: number(x, {
      label: 'From the right',
      ...range,
      hint: 'Share of its direction to the right; below 0 from the left.',
    }),
    above: number(y, { label: 'From above', ...range, hint: 'Share of its direction upwards; below 0 from beneath.' }),
    behind: number(z, {
      label: 'From behind',
      ...range,
      hint: 'Share of its direction from behind the camera; below 0 from ahead, against the camera.',
    }),
  };
};

/** Directions this near to a length of 1 are taken as they are. */
const NEAR_ONE = 0.01;

/** A direction of length 1, within a hundredth; from above where none is said. */
export function directionOf({ aside, above, behind }: { aside: number; above: number; behind: number }): Vec3 {
  const length = Math.hypot(aside, above, behind);
  if (length < 1e-6) return [0, 1, 0];
  return Math.abs(length - 1) <= NEAR_ONE ? [aside, above, behind] : [aside / length, above / length, behind / length];
}

/** Where a direction lies, in words. */
export function directionWords(light: { aside: number; above: number; behind: number }): string {
  const [aside, above, behind] = directionOf(light);
  const words = [
    Math.abs(aside) > 0.35 ? (aside > 0 ? 'right' : 'left') : '',
    Math.abs(above) > 0.35 ? (above > 0 ? 'above' : 'beneath') : '',
    Math.abs(behind) > 0.35 ? (behind > 0 ? 'behind' : 'ahead') : '',
  ].filter((word) => word !== '');
  return `from ${words.join(', ')}`;
}
