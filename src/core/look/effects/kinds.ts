import { kinds, type KindValue } from '../../forms';
import { LIST } from './list';
import { SPACES, type EffectDefinition } from './definition';

/** Every kind: see list.ts. */
export const EFFECTS = kinds(...LIST);

export type Effect = KindValue<(typeof EFFECTS)['list'][number]>;
export type EffectKind = Effect['kind'];

/** The definition of a kind. It takes only effects of that kind, which the document's validation guarantees. */
export const effectOf = (kind: string): EffectDefinition<Effect> => EFFECTS.of(kind);

/** An effect of a kind with what its fields are at first. */
export const newEffect = (kind: EffectKind, id: string): Effect => EFFECTS.schema.parse({ kind, id });

/** An effect as somebody adds it: one that does something. */
export const startedEffect = (kind: EffectKind, id: string): Effect =>
  EFFECTS.schema.parse({ ...effectOf(kind).start, kind, id });

/** One of each, as somebody adds them. */
export const startedEffects = (): Effect[] => EFFECTS.names.map((kind) => startedEffect(kind, kind));

/** What a look has where a document says nothing of it. */
export const standardEffects = (): Effect[] => EFFECTS.names.map((kind) => newEffect(kind, kind));

/** Effects in the order in which they act: by what they act on, then as the list says. */
export const inOrder = (effects: readonly Effect[]): Effect[] =>
  SPACES.flatMap((space) => effects.filter(({ kind }) => effectOf(kind).space === space));

/** Those that are switched on, in the order in which they act. */
export const actingEffects = (effects: readonly Effect[]): Effect[] => inOrder(effects).filter(({ off }) => !off);

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
