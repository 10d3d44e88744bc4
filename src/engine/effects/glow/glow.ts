import type { Glow } from '../../../core/look/effects/glow/glow';
import { pyramidal } from './pyramidal';

export const glow = pyramidal<Glow>(({ layers }) => layers);
