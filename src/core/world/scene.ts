import { covers, isAlike } from '../matter/pattern/kinds';
import { still, withBodies, type Extent } from '../elements/extent';
import { STRAIGHT } from '../elements/course';
import type { CameraView, World } from '../elements/world';
import { landAt } from '../noise/land';
import { definitionOf, type Layer } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import type { Vec3 } from '../space/vector';
import { lapSeconds } from '../time/lap';
import { SORTS, type Sort, type TreatmentContext } from '../treatments/definition';
import { treatmentOf, type Treatment } from '../treatments/kinds';
import { routeOfLayer, standsOnce } from './route';

/** What the camera of a piece sees at a phase, which is not wrapped. */
export type ViewOf = (piece: Piece, phase: number) => CameraView;

/** What of a piece is worked out by rooms that need its scene themselves. */
export interface Means {
  viewOf: ViewOf;
  /** where an element is: see elements.ts */
  elementIn(scene: Scene, layerId: string, number: number, at: number): { position: Vec3 } | null;
}

/** A piece, and what its things may know of it; what is worked out once for a layer is kept here. */
export interface Scene {
  readonly piece: Piece;
  readonly world: World;
  readonly extents: WeakMap<Layer, Extent>;
}

/** The extent of a layer that is not there. */
const NOWHERE = still({});

const scenes = new WeakMap<Piece, Scene>();

/** The scene of a piece: the same for the same piece. */
export function sceneOf(piece: Piece, { viewOf, elementIn }: Means): Scene {
  const known = scenes.get(piece);
  if (known) return known;
  const layerAt = (id: string): Layer | undefined => piece.layers.find((layer) => layer.id === id);
  const world: World = {
    tile: piece.tile,
    seconds: lapSeconds(piece.lap.frames, piece.lap.rate),
    frames: piece.lap.frames,
    routeOf: (layerId) => (layerId === null ? STRAIGHT : routeOfLayer(piece, layerId)),
    groundOf(layerId) {
      const land = world.landOf(layerId);
      return land && landAt(land);
    },
    landOf(layerId) {
      const layer = layerAt(layerId);
      return (layer && definitionOf(layer.kind).ground?.(layer, piece.tile)) ?? null;
    },
    groundKey: (layerId) => JSON.stringify(layerAt(layerId) ?? null),
    extentOf(layerId) {
      const layer = layerAt(layerId);
      // nets may name one another: only its own points count
      return layer ? extentIn(scene, definitionOf(layer.kind).alone?.(layer) ?? layer) : NOWHERE;
    },
    elementAt: (layerId, number, phase) =>
      layerAt(layerId) ? (elementIn(scene, layerId, number, phase)?.position ?? null) : null,
    cameraView: (phase) => viewOf(piece, phase),
  };
  const scene: Scene = { piece, world, extents: new WeakMap() };
  scenes.set(piece, scene);
  return scene;
}

/** Whether what covers a layer lets it look the same only after whole turns, of all of it or of each element. */
const turnsWhole = (layer: Layer, each: boolean): boolean =>
  'pattern' in layer && covers(layer.pattern) && (each ? layer.pattern.lies !== 'world' : !isAlike(layer.pattern));

/** What the treatments of a layer may know of it at a share 0..1 of its final count. */
export function treatedIn({ piece, world }: Scene, layer: Layer, share = 1): TreatmentContext {
  const definition = definitionOf(layer.kind);
  const once = standsOnce(piece, layer);
  return {
    world,
    tiled: definition.tiled(layer) && !once,
    once,
    extent: definition.extent(layer, world),
    elements: definition.elementCount(layer, share, world),
    route: routeOfLayer(piece, layer.id),
    turnStep: (axis, each) => (turnsWhole(layer, each) ? 1 : definition.turnStep(layer, axis, each)),
  };
}

/** The treatments of a layer that are switched on, in the order in which they act. */
export const activeTreatments = (layer: Layer): Treatment[] =>
  SORTS.flatMap((sort) => layer.treatments.filter((t) => !t.off && treatmentOf(t.kind).sort === sort));

/** The extent that surely holds a layer's elements at any phase, treatments included. */
export function extentIn(scene: Scene, layer: Layer): Extent {
  const known = scene.extents.get(layer);
  if (known) return known;
  const context = treatedIn(scene, layer);
  const widened = (extent: Extent, sorts: readonly Sort[]): Extent =>
    activeTreatments(layer).reduce((so, t) => {
      const { sort, widen } = treatmentOf(t.kind);
      return sorts.includes(sort) ? (widen?.(t, so, context) ?? so) : so;
    }, extent);
  const extent =
    layer.treatments.length === 0
      ? context.extent
      : widened(withBodies(widened(context.extent, ['element', 'piece'])), ['space']);
  scene.extents.set(layer, extent);
  return extent;
}
