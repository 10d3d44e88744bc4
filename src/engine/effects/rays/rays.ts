import type { Rays } from '../../../core/look/effects/rays/rays';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import { sweeping } from '../spread/sweeping';

/** Samples along a ray: enough that they lie closer than pixels where rays are long. */
const SAMPLES = 42;

export const rays = sweeping<Rays>(({ origin, aside, above, way, length }, { phase, sunAt }) => {
  const at = (value: Animated): number => evaluateAnimated(value, phase);
  const sun = origin === 'sun' ? sunAt() : null;
  const about = sun?.at ?? ([0.5 + at(aside), 0.5 + at(above)] as const);
  // at its length a ray is so many times as far from there
  const factor = (Math.log(1 + at(length)) / SAMPLES) * (way === 'out' ? -1 : 1);
  return {
    sweeps: [{ step: [0, 0], about, factor, length: SAMPLES, share: 1 }],
    dims: origin === 'sun' ? (sun?.ahead ?? 0) : 1,
  };
});
