import { sphere as mesh } from '../lathe';
import { roundStep, stepsAround, type Solid } from '../solid';

export const sphere = {
  kind: 'sphere',
  label: 'Ball',
  uses: ['detail'],
  mesh: (shape) => mesh(stepsAround(shape)),
  turnStep: (shape, axis) => (axis === 'up' ? roundStep(shape, axis, 1 / stepsAround(shape)) : 1 / 2),
} as const satisfies Solid;
