import type { Kernel, KernelValues } from '../../kernel/kernel';
import { evaluateAnimated } from '../../time/animated';
import { courseValues } from '../../layers/course';
import { fitNoise } from '../base';
import type { TreatmentBase, TreatmentContext } from '../definition';
import { reachRun, signatures, sources } from './reach.gen';

export const reachKernel: Kernel = {
  entry: 'reachWeight',
  sources,
  signature: signatures.reachWeight,
  run: reachRun,
};

const BY = { everywhere: 0, point: 1, plane: 2, route: 3, order: 4, noise: 5 } as const;

/** Parameters of the reach kernel; distances along the travel repeat with the tile where the layer does. */
export function reachValues(t: TreatmentBase, context: TreatmentContext, phase: number): KernelValues {
  const { tile } = context.world;
  const noise = fitNoise(t.reachScale, tile);
  return {
    by: BY[t.reach],
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
