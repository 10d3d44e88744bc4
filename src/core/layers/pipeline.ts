import type { Kernel, KernelValues } from '../kernel/kernel';
import type { Piece } from '../piece/schema';
import { reachKernel, reachValues } from '../treatments/reach/reach';
import { treatmentOf, type Treatment } from '../treatments/registry';
import { snappedPhase } from '../treatments/snap/snap';
import { echoesOf, echoKernel, type Echo } from '../treatments/trails/trails';
import { activeTreatments, layerContext, treatmentContext } from './context';
import { placeKernel, placementValues } from './place/place';
import { definitionOf, type Layer } from './registry';

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
export function pipelineOf(piece: Piece, layer: Layer, share: number): Pipeline {
  const definition = definitionOf(layer.kind);
  const world = layerContext(piece);
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
    element.push({ prefix: 'p_', kernel: placeKernel, values: () => placementValues(placed(layer)), reach: null });
  const out: Pipeline = { element, piece: [], space: [], structure: '' };
  const active = activeTreatments(layer);
  if (active.length > 0) {
    const context = treatmentContext(piece, layer);
    active.forEach((t, i) => {
      const { sort, kernel, values } = treatmentOf(t.kind);
      const reach = t.reach === 'everywhere' ? null : (phase: number) => reachValues(t, context, phase);
      const prefix = `t${i}_`;
      if (t.kind === 'trails' && reach)
        out.element.push({
          prefix,
          kernel: echoKernel,
          values: (_, echoOf = []) => ({ echo: echoOf.includes(t.id) ? 1 : 0 }),
          reach,
        });
      if (!kernel || !values || sort === 'time' || sort === 'echo') return;
      out[sort].push({
        prefix,
        kernel,
        values: (phase) => values(t, context, phase),
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

const ofKind = <K extends Treatment['kind']>(layer: Layer, kind: K): Extract<Treatment, { kind: K }>[] =>
  layer.treatments.filter((t): t is Extract<Treatment, { kind: K }> => t.kind === kind && !t.off);

/**
 * The moment a layer shows, which snapping may hold.
 * @param phase the moment asked for; @param framePhase phase of the frame it belongs to
 */
export const shownPhase = (layer: Layer, phase: number, framePhase: number, frames: number): number =>
  ofKind(layer, 'snap').reduce((at, snap) => snappedPhase(snap, at, framePhase, frames), phase);

/** The moments a layer is drawn at, the present one first. */
export const layerEchoes = (layer: Layer, phase: number, frames: number): Echo[] =>
  ofKind(layer, 'trails').reduce<Echo[]>(
    (echoes, t) =>
      echoes.flatMap((echo) =>
        echoesOf(t, phase, frames).map(({ behind, light, of }) => ({
          behind: echo.behind + behind,
          light: echo.light * light,
          of: [...echo.of, ...of],
        })),
      ),
    [{ behind: 0, light: 1, of: [] }],
  );
