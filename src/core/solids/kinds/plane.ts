import { plane as mesh } from '../extrude';
import { isRound, type Solid } from '../solid';

export const plane = {
  kind: 'plane',
  label: 'Plane',
  uses: [],
  mesh,
  turnStep: (shape, axis) => (axis === 'along' ? (isRound(shape, axis) ? 1 / 4 : 1 / 2) : 1),
} as const satisfies Solid;
