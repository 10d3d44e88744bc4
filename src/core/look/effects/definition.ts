import { z } from 'zod';
import { stored, type Form } from '../../forms';
import type { Asked } from '../channels';
import type { Moment } from './reach';
import { evaluateAnimated, type Animated } from '../../time/animated';

/**
 * What an effect acts on, in the order in which they follow one another whatever the list says: the light of the scene;
 * the step from light to what a display shows; that.
 */
export type Space = 'scene' | 'tone' | 'display';
export const SPACES: readonly Space[] = ['scene', 'tone', 'display'];

/** What kinds are offered together as. */
export const FAMILIES = {
  light: 'Light',
  colour: 'Colour',
  lens: 'Lens and film',
  screen: 'Screen and frame',
} as const;

/** Light of earlier moments that is drawn with a frame's own. */
export interface Earlier {
  /** channel by channel whichever is brighter, or their sum */
  joins: 'brightest' | 'added';
  /** laps that the shutter of each is open; null for as long as that of a frame */
  open: number | null;
  /** how much earlier each is, in laps, and what its light is multiplied by, red, green and blue */
  pictures: readonly { laps: number; gain: readonly number[] }[];
}

/** What the core and the interface know about one kind of effect. One definition per folder of `effects/`; its program is the engine's. */
export interface EffectDefinition<E extends object> {
  kind: string;
  label: string;
  family: keyof typeof FAMILIES;
  /** one sentence */
  describe: string;
  form: Form<E>;
  space: Space;
  /** what differs, when somebody adds one, from what is left out of a document: so that it is seen at once */
  start?: Partial<E>;
  /** a look always has one, and no more: then it has no reach */
  always?: boolean;
  /** a look has one where a document says nothing of it */
  usual?: boolean;
  /** its program draws as much of it as it is told; what others do is mixed with what was there before */
  graded?: boolean;
  /** it keeps dark gradients from banding in few code values */
  smooths?: boolean;
  /** whole steps that close its fields, by name: of what they gain in a lap */
  closingSteps?(effect: E): Readonly<Record<string, number>>;
  /** the phase at which a frame is drawn that would be drawn at another, not wrapped: of what acts on time */
  drawnAt?(effect: E, phase: number, frames: number): number;
  /** moments whose light it shows with that of a frame, each drawn as that moment's own frame would be */
  earlier?(effect: E, moment: Moment): Earlier;
  /** what it asks of a frame besides its light, whatever its mask asks */
  asks?(effect: E, phase: number): Asked;
  /** in a few words, for the card */
  summary(effect: E, phase: number): string;
}

/** A share as a card says it. */
export const shareWords = (share: Animated, phase: number): string =>
  `${Math.round(evaluateAnimated(share, phase) * 100)} %`;

/** Fields every effect has. */
export const effectBase = {
  id: stored(z.string().min(1).max(64)),
  off: stored(z.boolean(), false),
};
