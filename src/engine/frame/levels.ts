import { blurRadiusPx } from '../../core/lens/optics';
import type { LightTargets } from '../drawings/drawing';
import type { LayerFrame } from '../layer/frame';
import type { Shot } from './shot';
import { LEVELS, type Targets } from './targets';
import type { View } from './view';
import type { VisiblePart } from './visible';

/** Blur radius in pixels from which light is drawn into a half-size target; doubles per level. */
export const CRISP_PX = 10;

/** Least and greatest radius in pixels at which a part of a layer can appear. */
export interface RadiusRange {
  least: number;
  most: number;
}

/** Least and greatest radius in pixels at which what is in a part of a layer can appear. */
export function radiusRange({ piece, extent, look }: LayerFrame, shot: Shot, at: VisiblePart): RadiusRange {
  const { reach, nearFade } = piece.look;
  const focus = shot.pose.focusDistance + shot.back;
  const blurAt = (d: number): number =>
    Math.abs(blurRadiusPx(shot.apertureHalfM * 2, shot.pixelFocal, focus, d, shot.flat));
  // what is nearer than the fade or beyond the reach is not drawn: it bounds the blur
  const low = Math.max(at.near, nearFade * 0.25, 0.02);
  const high = Math.max(low, Math.min(at.far, reach + shot.back));
  const over = shot.flat > 0 ? shot.flat : low;
  const own = ((look.largestRadius * extent.grown + look.lineWidth) * shot.pixelFocal) / over;
  return {
    most: Math.hypot(Math.max(blurAt(low), blurAt(high)), own) + 2,
    least: low < focus && high > focus ? 0 : Math.min(blurAt(low), blurAt(high)),
  };
}

/** The targets that light of some radii may belong to. */
export const levelsOf = ({ least, most }: RadiusRange): number[] =>
  LEVELS.map((_, level) => level).filter((level) => {
    const [from, to] = blurRange(level);
    return from <= most && to >= least;
  });

/** Least and greatest blur in pixels that is drawn into a target. */
const blurRange = (level: number): [from: number, to: number] => [
  level === 0 ? 0 : CRISP_PX * 2 ** (level - 1),
  level === LEVELS.length - 1 ? 1e9 : CRISP_PX * 2 ** level,
];

/**
 * The targets of one pass.
 * @param used whether anything was drawn into each target below full size
 */
export const lightTargets = (view: View, targets: Targets, few: boolean, used: boolean[]): LightTargets => ({
  few,
  level(n) {
    view.uLevel.value.set(LEVELS[n], ...blurRange(n), 0);
    if (n > 0) used[n - 1] = true;
    return targets.levels[n];
  },
});
