import { kinds, type KindValue } from '../forms';
import { bend } from './bend/bend';
import type { TreatmentDefinition } from './definition';
import { disorder } from './disorder/disorder';
import { drift } from './drift/drift';
import { face } from './face/face';
import { pulse } from './pulse/pulse';
import { shatter } from './shatter/shatter';
import { snap } from './snap/snap';
import { stagger } from './stagger/stagger';
import { taper } from './taper/taper';
import { trails } from './trails/trails';
import { turn } from './turn/turn';
import { twist } from './twist/twist';
import { wave } from './wave/wave';

/** Every kind of treatment, in the order they are offered. A new kind is a folder and its name here. */
export const TREATMENTS = kinds(
  disorder,
  drift,
  turn,
  stagger,
  pulse,
  face,
  twist,
  bend,
  taper,
  wave,
  shatter,
  trails,
  snap,
);

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
