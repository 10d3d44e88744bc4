import type { AnimatedGradient } from '../colour/animated';
import { animated, heading, type Form } from '../forms';
import { evaluateAnimated, type Animated } from '../time/animated';

/** What the core and the interface know about one kind of matter. One definition per folder of `matter/`; its program is the engine's. */
export interface MatterDefinition<M extends object> {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  form: Form<M>;
  /** at most twelve numbers, as its program reads them; metal, roughness and the light it gives off are the first */
  values(matter: M, phase: number): readonly number[];
  /** a clear coat may be on it */
  coated?(matter: M): boolean;
  /** colours of its own */
  colours?(matter: M): AnimatedGradient;
}

const group = heading('Matter', 1);

/** How many times its colour it gives off: a field of every kind. */
export const shinesField = (at: number, hint: string) =>
  animated(at, { label: 'Shines', unit: '×', min: 0, max: 1000, comfort: 8, group, hint });

/** Values of every matter that gives light back by itself, or shines. */
export const surfaceFields = (rough: number) => ({
  metal: animated(0, { label: 'Metal', min: 0, max: 1, group, hint: '0: stone or plastic. 1: metal.' }),
  rough: animated(rough, { label: 'Roughness', min: 0.02, max: 1, group, hint: '0: a mirror. 1: chalk.' }),
  glowing: shinesField(0, 'Light of its own, in its colour.'),
});

/** Metal, roughness and the light it gives off, at a phase: the first numbers of every kind. */
export const surfaceValues = (
  { metal, rough, glowing }: { metal: Animated; rough: Animated; glowing: Animated },
  phase: number,
): [number, number, number] => [
  evaluateAnimated(metal, phase),
  evaluateAnimated(rough, phase),
  evaluateAnimated(glowing, phase),
];

/** Where the rows of matter stand. */
export const MATTER_HEADING = group;
