import { kinds, type KindValue } from '../../forms';
import { SPACES, type EffectDefinition } from './definition';
import { dither } from './dither/dither';
import { glow } from './glow/glow';
import { grain } from './grain/grain';
import { tone } from './tone/tone';
import { vignette } from './vignette/vignette';

/** Every kind of effect, in the order they are offered. A new kind is a folder and its name here, and its program in the engine. */
export const EFFECTS = kinds(glow, vignette, tone, grain, dither);

export type Effect = KindValue<(typeof EFFECTS)['list'][number]>;
export type EffectKind = Effect['kind'];

/** The definition of a kind. It takes only effects of that kind, which the document's validation guarantees. */
export const effectOf = (kind: string): EffectDefinition<Effect> => EFFECTS.of(kind);

/** An effect of a kind with what its fields are at first. */
export const newEffect = (kind: EffectKind, id: string): Effect => EFFECTS.schema.parse({ kind, id });

/** What a new look has. */
export const standardEffects = (): Effect[] => EFFECTS.names.map((kind) => newEffect(kind, kind));

/** The effects that are switched on, in the order in which they act: by what they act on, then as the list says. */
export const actingEffects = (effects: readonly Effect[]): Effect[] =>
  SPACES.flatMap((space) => effects.filter(({ kind, off }) => !off && effectOf(kind).space === space));

/** What is wrong with a list of effects as a whole, in words; null when nothing is. */
export function effectsTrouble(effects: readonly Effect[]): string | null {
  for (const { kind, label, always } of EFFECTS.list) {
    const own = effects.filter((effect) => effect.kind === kind);
    if (always && own.length !== 1) return `needs ${label.toLowerCase()} exactly once`;
    if (always && own[0].off) return `may not switch ${label.toLowerCase()} off`;
  }
  const twice = effects.find(({ id }, i) => effects.findIndex((other) => other.id === id) < i);
  return twice ? `names two effects "${twice.id}"` : null;
}
