import { z } from 'zod';
import { bend, type Bend } from './bend/bend';
import type { TreatmentDefinition } from './definition';
import { disorder, type Disorder } from './disorder/disorder';
import { drift, type Drift } from './drift/drift';
import { face, type Face } from './face/face';
import { pulse, type Pulse } from './pulse/pulse';
import { shatter, type Shatter } from './shatter/shatter';
import { snap, type Snap } from './snap/snap';
import { stagger, type Stagger } from './stagger/stagger';
import { taper, type Taper } from './taper/taper';
import { trails, type Trails } from './trails/trails';
import { turn, type Turn } from './turn/turn';
import { twist, type Twist } from './twist/twist';
import { wave, type Wave } from './wave/wave';

export type Treatment =
  Disorder | Drift | Turn | Stagger | Pulse | Face | Snap | Trails | Shatter | Twist | Bend | Taper | Wave;
export type TreatmentKind = Treatment['kind'];

/** Every kind of treatment, in the order they are offered. A new kind is a folder and a line here. */
const definitions = {
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
};

export const TreatmentSchema = z.discriminatedUnion(
  'kind',
  Object.values(definitions).map(({ schema }) => schema) as never,
) as unknown as z.ZodType<Treatment>;

export const treatmentKinds = Object.keys(definitions) as TreatmentKind[];

/** The definition of a kind. It takes only treatments of that kind, which the document's validation guarantees. */
export const treatmentOf = (kind: TreatmentKind): TreatmentDefinition<Treatment> =>
  definitions[kind] as unknown as TreatmentDefinition<Treatment>;

/** A treatment of a kind with the default of every field. */
export const newTreatment = (kind: TreatmentKind, id: string, seed = 1): Treatment =>
  TreatmentSchema.parse({ kind, id, seed });
