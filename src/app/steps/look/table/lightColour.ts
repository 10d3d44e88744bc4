import { linearToHex } from '../../../../core/colour/colour';
import { dimmed } from '../../../../core/look/lights/definition';
import type { Light } from '../../../../core/look/lights/kinds';

/** The colour a light is drawn in: its own, never darker than can be seen. */
export function colourOf(light: Light, phase: number): string {
  const [r, g, b] = dimmed(light.colour, 1, phase);
  const most = Math.max(r, g, b, 1e-3);
  const lift = (v: number): number => 0.12 + 0.88 * (v / most);
  return linearToHex([lift(r), lift(g), lift(b)]);
}
