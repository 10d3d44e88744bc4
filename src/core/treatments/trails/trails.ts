import { z } from 'zod';
import { animated, integer, number } from '../../piece/fields';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { Kernel } from '../../kernel/kernel';
import type { TreatmentDefinition } from '../definition';
import { echoRun, signatures, sources } from './echo.gen';

const group = 'Trails';

const TrailsSchema = z.looseObject({
  ...treatmentBase,
  kind: z.literal('trails'),
  amount: animated(0.7, {
    label: 'Strength',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: 'Brightness of the newest trail; each older one is that share of the one before.',
  }),
  count: integer(5, { label: 'Trails', min: 1, max: 24, comfort: 12, group, hint: 'Earlier moments shown at once.' }),
  spacing: number(2, {
    label: 'Spacing',
    unit: 'frames',
    min: 0.25,
    max: 10_000,
    comfort: 12,
    decimals: 2,
    group,
    hint: 'Frames between one trail and the next.',
  }),
  ...treatmentReach,
});
export type Trails = z.infer<typeof TrailsSchema>;

/** A layer shown once more at an earlier moment. */
export interface Echo {
  /** laps it lies behind */
  behind: number;
  /** factor on its brightness, 0..1 */
  light: number;
  /** ids of the trails it is an earlier moment of */
  of: readonly string[];
}

/** Takes earlier moments away where trails do not reach. */
export const echoKernel: Kernel = {
  entry: 'echoElement',
  sources,
  signature: signatures.echoElement,
  run: echoRun,
};

/** The moments a layer with trails is shown at, the present one first. Two trails multiply. */
export function echoesOf(t: Trails, phase: number, frames: number): Echo[] {
  const strength = evaluateAnimated(t.amount, phase);
  return Array.from({ length: t.count + 1 }, (_, i) => ({
    behind: (i * t.spacing) / frames,
    light: strength ** i,
    of: i === 0 ? [] : [t.id],
  }));
}

export const trails: TreatmentDefinition<Trails> = {
  kind: 'trails',
  label: 'Trails',
  describe: 'Earlier moments of the same elements, fading',
  sort: 'echo',
  schema: TrailsSchema,
  summary: (t) => `${t.count}, ${Number(t.spacing.toFixed(2))} frames apart`,
};
