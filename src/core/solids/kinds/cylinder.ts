import { cylinder as mesh } from '../lathe';
import { roundStep, stepsAround, type Solid } from '../solid';

export const cylinder = {
  kind: 'cylinder',
  label: 'Cylinder',
  uses: ['detail'],
  mesh: (shape) => mesh(stepsAround(shape)),
  turnStep: (shape, axis) => (axis === 'up' ? roundStep(shape, axis, 1 / stepsAround(shape)) : 1 / 2),
} as const satisfies Solid;
