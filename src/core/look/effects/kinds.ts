import { kinds, type KindValue } from '../../forms';
import { LIST } from './list';
import { SPACES, type Earlier, type EffectDefinition } from './definition';
import type { Asked } from '../channels';
import { levelAt, maskAsks, type Moment, type Reaching } from './reach';

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

/** Kinds of which a look has one where a document says nothing of it. */
const USUAL = EFFECTS.names.filter((kind) => effectOf(kind).usual);

/** One of each that is usual, as somebody adds them. */
export const startedEffects = (): Effect[] => USUAL.map((kind) => startedEffect(kind, kind));

/** What a look has where a document says nothing of it. */
export const standardEffects = (): Effect[] => USUAL.map((kind) => newEffect(kind, kind));

/** Effects in the order in which they act: by what they act on, then as the list says. */
export const inOrder = (effects: readonly Effect[]): Effect[] =>
  SPACES.flatMap((space) => effects.filter(({ kind }) => effectOf(kind).space === space));

/** The effects with one more, where the order of kinds has it: before those of its space that usually come after it. */
export function withEffect(effects: readonly Effect[], effect: Effect): Effect[] {
  const { space } = effectOf(effect.kind);
  const place = EFFECTS.names.indexOf(effect.kind);
  const ordered = inOrder(effects);
  const at = ordered.findIndex(({ kind }) => effectOf(kind).space === space && EFFECTS.names.indexOf(kind) > place);
  return inOrder(at < 0 ? [...ordered, effect] : ordered.toSpliced(at, 0, effect));
}

/** The reach of an effect; null of one that always acts on everything. */
export const reachOf = (effect: Effect): Reaching | null => ('mask' in effect ? effect : null);

/** Those that are switched on, in the order in which they act. */
export const usedEffects = (effects: readonly Effect[]): Effect[] => inOrder(effects).filter(({ off }) => !off);

/** Those of them of which there is anything at a moment. */
export const actingEffects = (effects: readonly Effect[], moment: Moment): Effect[] =>
  usedEffects(effects).filter((effect) => {
    const reach = reachOf(effect);
    return !reach || levelAt(reach, moment) > 0;
  });

/** The phase at which a frame of a lap is drawn that is shown at another, with effects that act on time; neither is wrapped. */
export const drawnPhase = (effects: readonly Effect[], phase: number, frames: number): number =>
  usedEffects(effects).reduce((at, effect) => effectOf(effect.kind).drawnAt?.(effect, at, frames) ?? at, phase);

/** The light of an earlier moment that is drawn for an effect of a frame. */
export interface EarlierPicture extends Pick<Earlier, 'joins' | 'open'> {
  /** of the effect */
  id: string;
  /** at which it is drawn, not wrapped */
  phase: number;
  /** what it is multiplied by, red, green and blue */
  gain: readonly number[];
  /** how many its effect has */
  among: number;
}

/** Those of a frame of a lap, with effects that act on time. */
export function earlierPictures(effects: readonly Effect[], moment: Moment): EarlierPicture[] {
  const { phase, frames } = moment;
  const own = { ...moment, phase: drawnPhase(effects, phase, frames) };
  return actingEffects(effects, own).flatMap((effect) => {
    const { joins, open, pictures } = effectOf(effect.kind).earlier?.(effect, own) ?? NONE_EARLIER;
    return pictures.map(({ laps, gain }) => ({
      ...{ id: effect.id, joins, open, gain, among: pictures.length },
      phase: drawnPhase(effects, phase - laps, frames),
    }));
  });
}
const NONE_EARLIER: Earlier = { joins: 'added', open: null, pictures: [] };

/** When light is drawn for a frame of a lap, its own first: phases, not wrapped, and laps that the shutter is open where that is not the flight's. */
export const drawnMoments = (
  effects: readonly Effect[],
  moment: Moment,
): readonly Pick<EarlierPicture, 'phase' | 'open'>[] => [
  { phase: drawnPhase(effects, moment.phase, moment.frames), open: null },
  ...earlierPictures(effects, moment),
];

/** All that an effect asks of a frame besides its light. */
export function asksOf(effect: Effect, phase: number): Asked[] {
  const reach = reachOf(effect);
  const mask = reach && maskAsks(reach, phase);
  const own = effectOf(effect.kind).asks?.(effect, phase);
  return [...(mask ? [mask] : []), ...(own ? [own] : [])];
}

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
