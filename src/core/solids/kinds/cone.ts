import { cone as mesh } from '../lathe';
import { roundStep, stepsAround, type Solid } from '../solid';

export const cone = {
  kind: 'cone',
  label: 'Cone',
  uses: ['detail'],
  mesh: (shape) => mesh(stepsAround(shape)),
  turnStep: (shape, axis) => (axis === 'up' ? roundStep(shape, axis, 1 / stepsAround(shape)) : 1),
} as const satisfies Solid;
