import type { LightTargets } from '../drawings/drawing';
import { LEVELS, type Levels } from './targets';
import type { View } from './view';

/** Blur radius in pixels from which light is drawn into a half-size target; doubles per level. */
export const CRISP_PX = 10;

/**
 * The targets of one pass.
 * @param used whether anything was drawn into each target below full size
 */
export const lightTargets = (view: View, targets: Levels, few: boolean, used: boolean[]): LightTargets => ({
  few,
  level(n) {
    view.uLevel.value = LEVELS[n];
    if (n > 0) used[n - 1] = true;
    return targets.levels[n];
  },
});
