import type * as THREE from 'three';
import { boxOf } from '../../core/elements/extent';
import { definitionOf, type Layer } from '../../core/layers/kinds';
import type { Piece } from '../../core/piece/schema';
import { isSeen } from '../air/air';
import type { Behind, Drawn, DrawingMeans, LightDrawn, MatterDrawn } from '../drawings/drawing';
import type { LayerFrame, Moment, Phases } from '../layer/frame';
import { GpuLayer } from '../layer/gpuLayer';
import { Sorter, type SortJob } from '../seen/sorter';
import type { Box } from '../../core/space/box';
import type { FrameRequest } from './request';
import type { Shot } from './shot';
import { visibleParts, type VisiblePart } from './visible';

/** A drawing at one moment, and where it is seen. */
interface Shown<D extends Drawn> {
  drawn: D;
  moment: Moment;
  frame: LayerFrame;
  at: readonly VisiblePart[];
}
/** Something that keeps light off what is behind it. */
export interface Caster {
  drawn: MatterDrawn;
  moment: Moment;
  frame: LayerFrame;
  /** what it is at some phases follows from this; null where that is not known */
  keyOf(phases: readonly number[]): string | null;
}

export type ShownMatter = Shown<MatterDrawn>;
export type ShownLight = Shown<LightDrawn>;

/** All that is drawn in one frame, in order. It is the same in every pass of it. */
export interface ShownLayers {
  behind: Behind | null;
  matter: readonly ShownMatter[];
  /** matter that is seen through, and drawn when the rest is lit */
  glass: readonly ShownMatter[];
  light: readonly ShownLight[];
  casters: readonly Caster[];
  /** a box around all matter within reach, metres in the world */
  things: Box;
  /** whether leaving out particles may save time */
  thins: boolean;
  /** whether it has shapes that may be coarser */
  coarsens: boolean;
  /** whether something can hide what is behind it, in this frame or another: a sky is behind everything in every pass too, and air before it */
  solid: boolean;
}

/** What the GPU holds of the layers of a piece. */
export class HeldLayers {
  private readonly held = new Map<string, GpuLayer>();
  private readonly sorter: Sorter;
  /** let go of when the next frame begins: until what replaces them has been drawn, programs that both have are not made anew */
  private readonly replaced: GpuLayer[] = [];

  constructor(private readonly means: Omit<DrawingMeans, 'pipeline' | 'made' | 'covered'>) {
    this.sorter = new Sorter(means.gpu);
  }

  /** Lets go of what the piece no longer has. */
  keepOnly(piece: Piece): void {
    const ids = new Set(piece.layers.map(({ id }) => id));
    for (const [id, layer] of this.held)
      if (!ids.has(id)) {
        layer.dispose();
        this.held.delete(id);
      }
  }

  /** One layer moved to a frame, and what the GPU holds of it. */
  move(
    piece: Piece,
    layer: Layer,
    phases: Phases,
    shareOf: (layer: Layer) => number,
    density = 1,
  ): [GpuLayer, LayerFrame] {
    const before = this.held.get(layer.id);
    const { held, pipeline } = GpuLayer.fitting(before, piece, layer, shareOf(layer), this.means);
    if (before && before !== held) this.replaced.push(before);
    this.held.set(layer.id, held);
    return [held, held.moveTo(piece, layer, pipeline, phases, shareOf, density)];
  }

  /** Moves every layer that is seen, or that a seen one is made of, to a frame; what is seen of them is returned. */
  at(piece: Piece, shot: Shot, request: FrameRequest): ShownLayers {
    this.letGo();
    const shareOf = (layer: Layer): number => (request.working ? layer.working : 1);
    const phases: Phases = request.elementMotion
      ? [shot.openPhase, request.phase, shot.closePhase]
      : [request.phase, request.phase, request.phase];
    const seen = piece.layers.filter((layer) => !layer.hidden);
    const named = new Set(seen.flatMap((layer) => definitionOf(layer.kind).madeOf?.(layer) ?? []));
    const moved = piece.layers
      .filter((layer) => !layer.hidden || named.has(layer.id))
      // what others are made of is there as a whole
      .map((layer) => this.move(piece, layer, phases, shareOf, named.has(layer.id) ? 1 : request.density));
    const frames = new Map(moved.map(([, frame]) => [frame.layer.id, frame]));
    for (const [held, frame] of moved) for (const drawn of held.drawn) drawn.update(frame, (id) => frames.get(id));
    const shown = shownOf(
      moved.filter(([, { layer }]) => !layer.hidden),
      shot,
      isSeen(piece),
    );
    this.sorter.sort(jobsOf([...shown.matter, ...shown.glass, ...shown.light]));
    return shown;
  }

  private letGo(): void {
    for (const layer of this.replaced.splice(0)) layer.dispose();
  }

  dispose(): void {
    this.letGo();
    for (const layer of this.held.values()) layer.dispose();
    this.held.clear();
    this.sorter.dispose();
  }
}

/** What has to be sorted of what is shown. @param look makes the view that of what looks at it, where it is not the camera's */
export const jobsOf = (shown: readonly (ShownMatter | ShownLight)[], look?: () => void): SortJob[] =>
  shown.flatMap(({ drawn, moment, at }) => {
    const show = (): void => {
      look?.();
      drawn.show(moment, 0.5);
    };
    return [drawn.sorting, drawn.lineSorting].flatMap((sorting) =>
      sorting ? [{ sorting, moment: moment.index, at, show }] : [],
    );
  });

/** Draws matter as it is at a time 0..1 of the open shutter, then all lines along it. */
export function drawMatter(shown: readonly ShownMatter[], time: number, target: THREE.WebGLRenderTarget): void {
  for (const { drawn, moment, at } of shown) {
    drawn.show(moment, time);
    drawn.draw(at, target);
  }
  for (const { drawn, moment } of shown) {
    if (!drawn.drawLines) continue;
    drawn.show(moment, time);
    drawn.drawLines(target);
  }
}

/** Particles under this number take no time worth having. */
const MANY = 2000;

function shownOf(layers: readonly [GpuLayer, LayerFrame][], shot: Shot, air: boolean): ShownLayers {
  let behind: Behind | null = null;
  const matter: ShownMatter[] = [];
  const glass: ShownMatter[] = [];
  const light: ShownLight[] = [];
  const casters: Caster[] = [];
  for (const [{ drawn: all }, frame] of layers) {
    const at = new Map(all.map((drawn) => [drawn, visibleParts(frame, shot, drawn.parts)]));
    frame.moments.forEach((moment, index) => {
      for (const drawn of all) {
        const parts = at.get(drawn) ?? [];
        if (drawn.absent?.() || (drawn.momentary && index > 0)) continue;
        if (drawn.stage === 'behind') behind ??= drawn;
        else if (drawn.stage === 'matter') {
          (drawn.seenThrough ? glass : matter).push({ drawn, moment, frame, at: parts });
          if (frame.casts && drawn.casts) {
            const keyOf = (phases: readonly number[]): string | null =>
              drawn.unsettled ? null : stateKey(frame, all.indexOf(drawn), moment, phases);
            casters.push({ drawn, moment, frame, keyOf });
          }
        } else light.push({ drawn, moment, frame, at: parts });
      }
    });
  }
  const thins = light.reduce((sum, { drawn }) => sum + (drawn.thins ?? 0), 0) >= MANY;
  const solid = air || layers.some(([{ drawn }]) => drawn.some(({ stage }) => stage !== 'light'));
  const coarsens = [...matter, ...glass].some(({ drawn }) => drawn.sorting !== undefined);
  const things = boxAround(
    layers.filter(([{ drawn }]) => drawn.some(({ stage }) => stage === 'matter')).map(([, frame]) => frame),
    shot,
  );
  return { behind, matter, glass, light, casters, things, solid, thins, coarsens };
}

/**
 * What a drawing of a layer's elements at a moment follows from, with what acts on their vertices; null where the latter is more than
 * numbers. @param drawing which of the layer's
 */
function stateKey(
  { pipeline, layer, look }: LayerFrame,
  drawing: number,
  { state, fade }: Moment,
  phases: readonly number[],
): string | null {
  const values = [...pipeline.piece, ...pipeline.space].flatMap((step) =>
    phases.flatMap((phase) => [...Object.values(step.values(phase)), ...Object.values(step.reach?.(phase) ?? {})]),
  );
  return values.every((value) => typeof value !== 'object' || Array.isArray(value))
    ? JSON.stringify([layer.id, drawing, state, fade, look.cut, values])
    : null;
}

/** A box around all that some layers have within the reach of the camera; a small one about it where they have nothing. */
function boxAround(frames: readonly LayerFrame[], { pose }: Shot): Box {
  const low: Box['low'] = [Infinity, Infinity, Infinity];
  const high: Box['high'] = [-Infinity, -Infinity, -Infinity];
  for (const { extent, once, piece } of frames) {
    const box = boxOf(extent);
    if (!once) {
      // in every tile
      box.low[2] = pose.position[2] - piece.look.reach;
      box.high[2] = pose.position[2] + piece.look.reach;
    }
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(low[k], Math.max(box.low[k], pose.position[k] - piece.look.reach));
      high[k] = Math.max(high[k], Math.min(box.high[k], pose.position[k] + piece.look.reach));
    }
  }
  return low.every((v, k) => v < high[k]) ? { low, high } : { low: [...pose.position], high: [...pose.position] };
}
