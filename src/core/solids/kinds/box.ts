import { box as mesh } from '../box';
import { isRound, type Solid } from '../solid';

export const box = {
  kind: 'box',
  label: 'Box',
  uses: ['bevel', 'detail'],
  // its bevel stays round
  proportioned: true,
  mesh: ({ wide, high, deep, bevel, detail }) => mesh([wide / 2, high / 2, deep / 2], bevel, Math.min(6, detail)),
  turnStep: (shape, axis) => (isRound(shape, axis) ? 1 / 4 : 1 / 2),
} as const satisfies Solid;
