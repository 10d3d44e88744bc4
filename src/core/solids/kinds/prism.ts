import type { Axis } from '../../elements/axis';
import { extrude, regularOutline } from '../extrude';
import { roundStep, type Solid, type SolidShape } from '../solid';

/** Of what has so many corners about the way it looks along. */
export const corneredStep = (shape: SolidShape, axis: Axis): number =>
  axis === 'along' ? roundStep(shape, axis, 1 / shape.sides) : axis === 'up' || shape.sides % 2 === 0 ? 1 / 2 : 1;

export const prism = {
  kind: 'prism',
  label: 'Prism',
  uses: ['sides'],
  mesh: ({ sides }) => extrude(regularOutline(sides), 1),
  turnStep: corneredStep,
} as const satisfies Solid;
