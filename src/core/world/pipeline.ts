import type { Kernel, KernelValues } from '../kernel/kernel';
import { reachValues } from '../treatments/reach/reach';
import { reachKernel } from '../treatments/reach/reach.gen';
import type { Echo } from '../treatments/definition';
import { treatmentOf } from '../treatments/kinds';
import { activeTreatments, treatedIn, type Scene } from './scene';
import { standAt } from '../elements/place/form';
import { placementValues } from '../elements/place/place';
import { placeKernel } from '../elements/place/place.gen';
import { definitionOf, type Layer } from '../layers/kinds';

/** One kernel of a layer's pipeline, with what it is fed at a phase. */
export interface Step {
  /** what its parameters are prefixed with where several kernels share a program */
  prefix: string;
  kernel: Kernel;
  /** @param echoOf ids of the trails this moment is an earlier one of */
  values(phase: number, echoOf?: readonly string[]): KernelValues;
  /** parameters of the reach kernel, or null where it acts everywhere */
  reach: ((phase: number) => KernelValues) | null;
}

/** All that turns a layer's rest elements into what is drawn, in the order in which it acts. */
export interface Pipeline {
  /** makes or moves elements: the layer's own kernel, its placement, then treatments */
  element: Step[];
  /** breaks bodies, vertex by vertex */
  piece: Step[];
  /** bends space */
  space: Step[];
  /** two pipelines with the same structure can share their programs */
  structure: string;
}

/** The pipeline of a layer at a share 0..1 of its final count. */
export function pipelineIn(scene: Scene, layer: Layer, share: number): Pipeline {
  const definition = definitionOf(layer.kind);
  const { world } = scene;
  const element: Step[] = [
    {
      prefix: 'u_',
      kernel: definition.kernel,
      values: (phase) => definition.values(layer, world, phase, share),
      reach: null,
    },
  ];
  const { placed } = definition;
  if (placed)
    element.push({
      prefix: 'p_',
      kernel: placeKernel,
      values: (phase) => placementValues(standAt(placed(layer, world.tile), phase)),
      reach: null,
    });
  const out: Pipeline = { element, piece: [], space: [], structure: '' };
  const active = activeTreatments(layer);
  if (active.length > 0) {
    const context = treatedIn(scene, layer, share);
    active.forEach((t, i) => {
      const { sort, kernel, values } = treatmentOf(t.kind);
      const reach = t.reach === 'everywhere' ? null : (phase: number) => reachValues(t, context, phase);
      // an echo that reaches everywhere takes nothing away
      if (!kernel || !values || sort === 'time' || (sort === 'echo' && !reach)) return;
      out[sort === 'echo' ? 'element' : sort].push({
        prefix: `t${i}_`,
        kernel,
        values: (phase, echoOf = []) => values(t, context, phase, echoOf),
        reach,
      });
    });
  }
  const names = [out.element, out.piece, out.space].map((steps) =>
    steps.map((step) => `${step.prefix}${step.kernel.entry}${step.reach ? '~' : ''}`).join(' '),
  );
  out.structure = names.join(' | ');
  return out;
}

export { reachKernel };

/**
 * The moment a layer shows, which a treatment of time may hold.
 * @param phase the moment asked for; @param framePhase phase of the frame it belongs to
 */
export const shownPhase = (layer: Layer, phase: number, framePhase: number, frames: number): number =>
  layer.treatments.reduce(
    (at, t) => (t.off ? at : (treatmentOf(t.kind).moment?.(t, at, framePhase, frames) ?? at)),
    phase,
  );

/** The moments a layer is drawn at, the present one first; where several treatments show some, all of each at all of the other. */
export const layerEchoes = (layer: Layer, phase: number, frames: number): Echo[] =>
  layer.treatments.reduce<Echo[]>(
    (echoes, t) => {
      const more = t.off ? undefined : treatmentOf(t.kind).echoes?.(t, phase, frames);
      return !more
        ? echoes
        : echoes.flatMap((echo) =>
            more.map(({ behind, light, of }) => ({
              behind: echo.behind + behind,
              light: echo.light * light,
              of: [...echo.of, ...of],
            })),
          );
    },
    [{ behind: 0, light: 1, of: [] }],
  );
