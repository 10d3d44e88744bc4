import { fitNoise } from '../../noise/fit';
import { evaluateAnimated } from '../../time/animated';
import { courseValues } from '../../elements/course';
import type { TreatmentBase, TreatmentContext } from '../definition';
import { reachBy, type ReachValues } from './reach.gen';

/** Parameters of the reach kernel; distances along the travel repeat with the tile where the layer does. */
export function reachValues(t: TreatmentBase, context: TreatmentContext, phase: number): ReachValues {
  const { tile } = context.world;
  const noise = fitNoise(t.reachScale, tile);
  return {
    by: reachBy[t.reach],
    at: [
      evaluateAnimated(t.reachAside, phase),
      evaluateAnimated(t.reachAbove, phase),
      -evaluateAnimated(t.reachAhead, phase),
    ],
    tile: context.once ? 0 : tile,
    inner: t.reachInner,
    outer: t.reachOuter,
    invert: t.reachInvert ? 1 : 0,
    noiseScale: noise.scale,
    noisePeriod: noise.period,
    seed: t.seed + 60,
    cycles: t.reachCycles,
    ...courseValues(context.route),
    lap: phase,
  };
}
