import { kinds, type KindValue } from '../forms';
import { LIST } from './list';
import type { TreatmentDefinition } from './definition';

/** Every kind: see list.ts. */
export const TREATMENTS = kinds(...LIST);

export type Treatment = KindValue<(typeof TREATMENTS)['list'][number]>;
export type TreatmentKind = Treatment['kind'];
/** A kind with some of its fields, the others as they are at first. */
export type TreatmentStart = {
  [K in TreatmentKind]: { kind: K } & Partial<Extract<Treatment, { kind: K }>>;
}[TreatmentKind];

/** The definition of a kind. It takes only treatments of that kind, which the document's validation guarantees. */
export const treatmentOf = (kind: string): TreatmentDefinition<Treatment> => TREATMENTS.of(kind);

/** A treatment of a kind with what its fields are at first, where nothing else is said. */
export const newTreatment = (kind: TreatmentKind, id: string, seed = 1, more: object = {}): Treatment =>
  TREATMENTS.schema.parse({ kind, id, seed, ...more });

/** What the bodies of a layer with these treatments are broken into; of none they stay whole. */
export function piecesOf(treatments: readonly Treatment[]): { count: number; seed: number } {
  const breaking = treatments.find((t) => !t.off && treatmentOf(t.kind).pieces);
  return (breaking && treatmentOf(breaking.kind).pieces?.(breaking)) ?? { count: 0, seed: 0 };
}
