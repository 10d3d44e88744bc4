import type { Star } from '../../../core/look/effects/star/star';
import { evaluateAnimated } from '../../../core/time/animated';
import { sweeping } from '../spread/sweeping';

export const star = sweeping<Star>(({ points, turn, length }, { phase }, side) => {
  const at = evaluateAnimated(turn, phase);
  const px = Math.max(0.25, evaluateAnimated(length, phase) * side);
  const ways = Array.from({ length: points }, (_, k) => 2 * Math.PI * (at + k / points));
  return { sweeps: ways.map((a) => ({ step: [Math.cos(a), Math.sin(a)], length: px, share: 1 / points })) };
});
