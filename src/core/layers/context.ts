import { cameraPose } from '../flight/camera';
import type { Piece } from '../piece/schema';
import { lapSeconds } from '../time/lap';
import type { TreatmentContext } from '../treatments/definition';
import { treatmentOf, type Treatment } from '../treatments/registry';
import { SORTS, type Sort } from '../treatments/definition';
import { STRAIGHT } from './course';
import type { LayerContext, LayerExtent } from './definition';
import { groundAt } from './ground/ground';
import { definitionOf, type Layer } from './registry';
import { routeOfLayer, standsOnce } from './route';

/** The extent of a layer that is not there. */
const NOWHERE: LayerExtent = {
  halfWidth: 0,
  halfHeight: 0,
  centre: [0, 0],
  from: 0,
  to: 0,
  bend: 0,
  carried: 0,
  body: 0,
  grown: 1,
  tilted: 0,
};

/** What layers may know of their piece. */
export const layerContext = (piece: Piece): LayerContext => ({
  tile: piece.tile,
  seconds: lapSeconds(piece.lap.frames, piece.lap.rate),
  routeOf: (layerId) => (layerId === null ? STRAIGHT : routeOfLayer(piece, layerId)),
  groundOf(layerId) {
    const layer = piece.layers.find(({ id }) => id === layerId);
    return layer?.kind === 'ground' ? groundAt(layer, piece.tile) : null;
  },
  groundKey: (layerId) => JSON.stringify(piece.layers.find(({ id }) => id === layerId) ?? null),
  extentOf(layerId) {
    const layer = piece.layers.find(({ id }) => id === layerId);
    if (!layer) return NOWHERE;
    // nets may name one another: only its own points count
    return layerExtent(piece, layer.kind === 'links' ? { ...layer, from: null, to: null } : layer);
  },
  cameraTurn: (phase) => cameraPose(piece, phase).quaternion,
});

/** What the treatments of a layer may know of it. */
export function treatmentContext(piece: Piece, layer: Layer): TreatmentContext {
  const definition = definitionOf(layer.kind);
  const world = layerContext(piece);
  const once = standsOnce(piece, layer);
  return {
    world,
    tiled: definition.tiled(layer) && !once,
    once,
    extent: definition.extent(layer, world),
    route: routeOfLayer(piece, layer.id),
    turnStep: (axis, each) => definition.turnStep(layer, axis, each),
  };
}

/** The treatments of a layer that are switched on, in the order in which they act. */
export const activeTreatments = (layer: Layer): Treatment[] =>
  SORTS.flatMap((sort) => layer.treatments.filter((t) => !t.off && treatmentOf(t.kind).sort === sort));

/** The extent with what its elements' own growth and leaning add. */
const withBodies = (extent: LayerExtent): LayerExtent => {
  const grown = extent.body * (extent.grown - 1);
  const leaning = extent.body * extent.grown * extent.tilted;
  return {
    ...extent,
    halfWidth: extent.halfWidth + grown,
    halfHeight: extent.halfHeight + grown,
    from: extent.from - Math.max(grown, leaning),
    to: extent.to + Math.max(grown, leaning),
  };
};

/** The extent that surely holds a layer's elements at any phase, treatments included. */
export function layerExtent(piece: Piece, layer: Layer): LayerExtent {
  if (layer.treatments.length === 0) return definitionOf(layer.kind).extent(layer, layerContext(piece));
  const context = treatmentContext(piece, layer);
  const widened = (extent: LayerExtent, sorts: readonly Sort[]): LayerExtent =>
    activeTreatments(layer).reduce((so, t) => {
      const { sort, widen } = treatmentOf(t.kind);
      return sorts.includes(sort) ? (widen?.(t, so, context) ?? so) : so;
    }, extent);
  return widened(withBodies(widened(context.extent, ['element', 'piece'])), ['space']);
}
