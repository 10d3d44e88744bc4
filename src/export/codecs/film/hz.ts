import { rateHz } from '../../../core/time/lap';
import type { Settings } from '../codec';

/** Frames a second of a film. */
export const filmHz = ({ rate, each }: Settings): number => (rateHz(rate) * each.den) / each.num;
