import { z } from 'zod';
import { stored, type Form } from '../../forms';

/**
 * What an effect acts on, in the order in which they follow one another whatever the list says: the light of the scene;
 * the step from light to what a display shows; that.
 */
export type Space = 'scene' | 'tone' | 'display';
export const SPACES: readonly Space[] = ['scene', 'tone', 'display'];

/** What the core and the interface know about one kind of effect. One definition per folder of `effects/`; its program is the engine's. */
export interface EffectDefinition<E extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<E>;
  space: Space;
  /** what differs, when somebody adds one, from what is left out of a document: so that it is seen at once */
  start?: Partial<E>;
  /** a look always has one, and no more */
  always?: boolean;
  /** it keeps dark gradients from banding in few code values */
  smooths?: boolean;
  /** in a few words, for the card */
  summary(effect: E, phase: number): string;
}

/** Fields every effect has. */
export const effectBase = {
  id: stored(z.string().min(1).max(64)),
  off: stored(z.boolean(), false),
};
