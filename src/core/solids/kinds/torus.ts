import { torus as mesh } from '../lathe';
import { roundStep, stepsAround, type Solid } from '../solid';

export const torus = {
  kind: 'torus',
  label: 'Ring',
  uses: ['thickness', 'detail'],
  mesh: (shape) => mesh(shape.thickness, stepsAround(shape)),
  turnStep: (shape, axis) => (axis === 'up' ? roundStep(shape, axis, 1 / stepsAround(shape)) : 1 / 2),
} as const satisfies Solid;
