import { capsule as mesh } from '../lathe';
import { roundStep, stepsAround, type Solid } from '../solid';

export const capsule = {
  kind: 'capsule',
  label: 'Capsule',
  uses: ['thickness', 'detail'],
  mesh: (shape) => mesh(shape.thickness * 2, stepsAround(shape)),
  turnStep: (shape, axis) => (axis === 'up' ? roundStep(shape, axis, 1 / stepsAround(shape)) : 1 / 2),
} as const satisfies Solid;
