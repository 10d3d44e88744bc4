import { shownPhase, layerEchoes, type Pipeline } from '../../core/world/pipeline';
import type { DrawingLook } from '../../core/layers/drawing';
import { drawsLines } from '../../core/lines/lines';
import { newMatter } from '../../core/matter/kinds';
import { definitionOf, type Layer } from '../../core/layers/kinds';
import type { Piece } from '../../core/piece/schema';
import { layerExtent, pipelineOf, worldOf } from '../../core/world/layers';
import { standsOnce } from '../../core/world/route';
import type { Drawn, DrawingMeans } from '../drawings/drawing';
import { drawn, isTurned } from '../drawings/kinds';
import type { World } from '../../core/elements/world';
import { Covered, coverOf } from '../matter/pattern/covered';
import { canMirror, type Made } from '../matter/program';
import { ElementPass } from './elements';
import type { LayerFrame, Moment, Phases } from './frame';
import { fillGradient, gradientTexture } from './gradient';
import { GROUP, pickedOf, placesOf } from './picked';

/** The slot of elements as they were when what covers them was put on. */
const THEN = 127;

/** What is drawn under lines in one flat colour. */
const FLAT = newMatter('emission', { glowing: 1 });

/** How a layer looks, under its lines too. */
function lookOf(layer: Layer, world: World, phase: number): DrawingLook {
  const look = definitionOf(layer.kind).look(layer, world, phase);
  return drawsLines(look.lines) && look.lines.over === 'flat' ? { ...look, matter: FLAT } : look;
}

/** What the programs of a layer are made for. */
function madeOf(layer: Layer, world: World): Made {
  const { matter, pattern, lines } = lookOf(layer, world, 0);
  const drawn = drawsLines(lines) ? lines : null;
  const alone = drawn?.over === 'nothing';
  return {
    matter: matter.kind,
    cover: coverOf(pattern),
    lines: drawn?.drawn ?? 'none',
    alone,
    mirrors: !alone && canMirror(matter.kind) && definitionOf(layer.kind).mirrors?.(layer) === true,
  };
}

/** What the GPU holds for one layer. Made anew only when what its rest elements or programs depend on changes. */
export class GpuLayer {
  readonly elements: ElementPass;
  readonly drawn: readonly Drawn[];
  private readonly covered: Covered;
  /** its elements are particles that may be left out from the last on */
  private readonly thins: boolean;
  /** its elements lie in rows, of which some may be picked */
  private readonly rows: boolean;
  private readonly gradient = gradientTexture();
  /** the layer at the frame that was asked for last */
  frame: LayerFrame | null = null;

  /** how often rest elements were made anew, for the benches */
  static builds = 0;

  private constructor(
    private readonly structure: string,
    piece: Piece,
    layer: Layer,
    share: number,
    given: Omit<DrawingMeans, 'made' | 'covered'>,
  ) {
    GpuLayer.builds++;
    const definition = definitionOf(layer.kind);
    const world = worldOf(piece);
    const drawings = definition.drawings(layer, share, world);
    const bodies = definition.bodies?.(layer) === true;
    const ofBodies = drawings.some(({ as }) => as === 'bodies');
    this.covered = new Covered(given.gpu, given.screens, ofBodies);
    const means = { ...given, made: madeOf(layer, world), covered: this.covered };
    const turned = bodies || drawings.some(isTurned);
    const count = definition.elementCount(layer, share, world);
    const rest = definition.rest?.(layer, world, share) ?? null;
    const rows = drawings.some((drawing) => drawing.as === 'sprites' && drawing.rows);
    this.elements = new ElementPass(means.gpu, means.pipeline, { count, bodies, turned, rows, rest }, this.gradient);
    this.rows = rows;
    this.thins = drawings.every((drawing) => drawing.as === 'sprites' && drawing.fair === count);
    this.drawn = drawings.map((drawing) => drawn(drawing, means));
  }

  /**
   * What the GPU holds of a layer: what is given, when it still fits, or made anew. The caller lets go of what no longer fits.
   * @param share of its final count
   */
  static fitting(
    previous: GpuLayer | undefined,
    piece: Piece,
    layer: Layer,
    share: number,
    means: Omit<DrawingMeans, 'pipeline' | 'made' | 'covered'>,
  ): { held: GpuLayer; pipeline: Pipeline } {
    const definition = definitionOf(layer.kind);
    const pipeline = pipelineOf(piece, layer, share);
    const world = worldOf(piece);
    const structure = JSON.stringify([
      layer.kind,
      definition.elementCount(layer, share, world),
      definition.structure(layer, world),
      definition.restKey?.(layer, world, share) ?? (definition.rest && piece.tile),
      pipeline.structure,
      madeOf(layer, world),
    ]);
    if (previous?.structure === structure) return { held: previous, pipeline };
    return { held: new GpuLayer(structure, piece, layer, share, { ...means, pipeline }), pipeline };
  }

  /** Moves its elements to where they are when the shutter opens and closes. Uploads uniforms only. */
  moveTo(
    piece: Piece,
    layer: Layer,
    pipeline: Pipeline,
    phases: Phases,
    shareOf: (layer: Layer) => number,
    density: number,
  ): LayerFrame {
    const definition = definitionOf(layer.kind);
    const { frames } = piece.lap;
    const [openPhase, phase, closePhase] = phases;
    fillGradient(this.gradient, definition.gradient(layer), phase);
    const picked = this.rows ? pickedOf(density) : GROUP;
    const all = this.elements.count;
    const count = this.thins ? Math.ceil(all * density) : placesOf({ first: 0, count: all }, picked).count;
    const additive = definition.bodies?.(layer) !== true;
    const moments = layerEchoes(layer, phase, frames).map(({ behind, light, of }, echo): Moment => {
      const held = (at: number): number => shownPhase(layer, at - behind, phase - behind, frames);
      const [first, last] = [held(openPhase), held(closePhase)];
      const open = this.elements.run(echo * 2, pipeline, first, of, count, picked);
      const close = last === first ? open : this.elements.run(echo * 2 + 1, pipeline, last, of, count, picked);
      return {
        index: echo,
        open: open.textures,
        close: close.textures,
        light: definition.light(layer, held(phase)) * (additive ? light : 1),
        fade: light,
        openPhase: first,
        closePhase: last,
        state: `${this.elements.stateOf(echo * 2)} ${last === first ? '' : this.elements.stateOf(echo * 2 + 1)}`,
      };
    });
    const look = lookOf(layer, worldOf(piece), phase);
    this.covered.at(piece, layer, look, phase, (since) => {
      const at = shownPhase(layer, since, since, frames);
      return this.elements.run(THEN, pipeline, at, [], all).textures;
    });
    this.frame = {
      piece,
      layer,
      phases,
      pipeline,
      extent: layerExtent(piece, layer),
      once: standsOnce(piece, layer),
      look,
      casts: 'casts' in layer && layer.casts,
      receives: !('receives' in layer) || layer.receives,
      colours: this.gradient,
      moments,
      density,
      picked,
      shareOf,
    };
    return this.frame;
  }

  dispose(): void {
    this.elements.dispose();
    this.gradient.dispose();
    this.covered.dispose();
    for (const drawn of this.drawn) drawn.dispose();
  }
}
