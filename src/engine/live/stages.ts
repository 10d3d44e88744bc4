import { COARSE_SAVES } from './scale';

/** A finer picture of a paused frame: so many passes, at a size relative to the page's. */
export interface Stage {
  passes: number;
  scale: number;
}

/** A still picture refines through these numbers of passes at full size, up to the piece's own. */
const FULL = [1, 4, 16, 64, 256] as const;
/** Passes of a quick first picture, the most of them first, and how long it may take; milliseconds. */
const QUICK = [8, 4, 2] as const;
const QUICK_MS = 200;
/** A quick picture is no smaller than this. */
const LEAST = 0.5;

/**
 * The pictures a paused frame is refined through: first as many passes as can be had at once at the size that is shown, then full
 * size. None is worse than the one before: one of fewer passes is shown only where its size makes up for it.
 * @param samples the piece's own passes
 * @param shown scale, share of the particles, coarseness of shapes and milliseconds of the picture of one pass that is shown
 */
export function stagesAfter(
  samples: number,
  shown: { scale: number; density: number; coarseness: number; ms: number },
): Stage[] {
  const scale = Math.max(shown.scale, LEAST);
  const left = shown.density < 1 || shown.coarseness > 1;
  const ms = (shown.ms * (scale / shown.scale) ** 2 * (shown.coarseness > 1 ? 1 / COARSE_SAVES : 1)) / shown.density;
  const quick = QUICK.find((passes) => passes <= samples && passes * ms <= QUICK_MS) ?? 1;
  const first = quick > 1 || scale > shown.scale || left ? [{ passes: quick, scale }] : [];
  const enough = (passes: number): boolean => (scale < 1 ? passes * 2 >= quick : passes > quick);
  const full = [...FULL.filter((passes) => passes < samples), samples].map((passes) => ({ passes, scale: 1 }));
  return [...first, ...full.filter(({ passes }) => enough(passes))];
}
