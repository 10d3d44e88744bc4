import { levelUp } from '../../space/frame';
import { length, scale, subtract, type Vec3 } from '../../space/vector';
import type { Place } from './definition';

const STEP = 1e-5;

/** The place on a way that is only known as positions: its tangent is the central difference. */
export function placeOn(at: (phase: number) => Vec3, phase: number): Pick<Place, 'position' | 'tangent' | 'up'> {
  const way = subtract(at(phase + STEP), at(phase - STEP));
  const far = length(way);
  const tangent: Vec3 = far > 1e-9 ? scale(way, 1 / far) : [0, 0, 0];
  return { position: at(phase), tangent, up: far > 1e-9 ? levelUp(tangent) : [0, 1, 0] };
}

/** Metres travelled in a lap, as a polyline. */
export function lengthOf(at: (phase: number) => Vec3, steps = 256): number {
  let sum = 0;
  for (let i = 0; i < steps; i++) sum += length(subtract(at((i + 1) / steps), at(i / steps)));
  return sum;
}
