import { extrude } from '../extrude';
import type { Solid } from '../solid';

export const outline = {
  kind: 'outline',
  label: 'Drawn outline',
  uses: ['outline'],
  mesh: (shape) => extrude(shape.outline, 0.3),
  turnStep: () => 1,
} as const satisfies Solid;
