import { extrude, regularOutline } from '../extrude';
import type { Mesh } from '../mesh';
import type { Solid } from '../solid';
import { corneredStep } from './prism';

/** A regular polygon with a hole of its own form, standing upright, its opening towards +z. */
function mesh(sides: number, thickness: number): Mesh {
  const outer = regularOutline(sides);
  const inner = outer.map(([x, y]): [number, number] => [x * (1 - thickness * 2), y * (1 - thickness * 2)]);
  // a bridge cut makes one outline of two
  const ring: [number, number][] = [...outer, outer[0], inner[0], ...[...inner].reverse()];
  return extrude(ring, thickness);
}

export const frame = {
  kind: 'frame',
  label: 'Frame',
  uses: ['sides', 'thickness'],
  mesh: ({ sides, thickness }) => mesh(sides, thickness),
  turnStep: corneredStep,
} as const satisfies Solid;
