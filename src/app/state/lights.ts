import type { Light } from '../../core/look/lights/kinds';
import { bench } from './bench';

/** A light in place of the one of its id. */
export const putLight = (light: Light): void =>
  bench.update((piece) => ({
    ...piece,
    look: { ...piece.look, lights: piece.look.lights.map((one) => (one.id === light.id ? light : one)) },
  }));
