import type { Halation } from '../../../core/look/effects/halation/halation';
import { evaluateAnimated } from '../../../core/time/animated';
import { pyramidal } from '../glow/pyramidal';

export const halation = pyramidal<Halation>(({ id, radius, threshold, soft, tint, gain }, phase) => [
  { id, radius, threshold, soft, tint, gain: evaluateAnimated(gain, phase) },
]);
