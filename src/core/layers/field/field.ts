import { fitNoise } from '../../noise/fit';
import { momentOf } from '../../noise/moment';
import { profileHalves } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { DARK, spriteOf } from '../base';
import { carriedAlong, courseValues } from '../../elements/course';
import type { LayerDefinition } from '../definition';
import { RF } from '../../kernel/scratch';
import { orderedPoint } from '../../random/order.gen';
import { densePlaces, isDense } from './density';
import { gridParts, sliceOrder } from './slices';
import { fieldKernel, fieldPlace, type FieldValues } from './field.gen';
import { bodyKey, bodyMesh, bodyPlaces, shapeOf } from './body';
import { modelNotes, modelRemarks } from '../../solids/source';
import { presets } from './presets';
import { boxOf, still, type Extent } from '../../elements/extent';
import { FieldForm, type FieldLayer } from './form';

const tiled = (layer: FieldLayer): boolean => ['box', 'corridor', 'strand', 'grid'].includes(layer.shape);

/** Rows of a grid along x, y and z: near cubes whose number comes closest to the count. The tile's length is not known
 * here, so a tile counts as deep as the field is wide. */
export function gridRows(layer: FieldLayer): [number, number, number] {
  const aspect = layer.height / layer.width;
  const x = Math.max(1, Math.round(Math.cbrt(layer.count / aspect / layer.gridDepth)));
  const y = Math.max(1, Math.round(x * aspect));
  return [x, y, Math.max(1, Math.round(layer.count / (x * y)))];
}

/** Every stride-th layer of a grid is drawn at a working share: strides divide the rows, so the rhythm stays even. */
function gridStride(layer: FieldLayer, share: number): number {
  const rows = gridRows(layer)[2];
  let stride = Math.max(1, Math.min(rows, Math.round(1 / share)));
  while (rows % stride !== 0) stride--;
  return stride;
}

/** What field.glsl adds to the seed for the noise of place. */
const PATCH_SEED = 101;

const onBody = (layer: FieldLayer): boolean => layer.shape === 'body';

/** Full size of its volume in metres; of a body's surface, that of the cube in which it is one across. */
const volumeOf = (layer: FieldLayer, tile: number): [number, number, number] =>
  onBody(layer)
    ? [layer.width, layer.width, layer.width]
    : [layer.width, layer.height, tiled(layer) ? tile : layer.depth];

/** Half of how far it reaches, in metres. */
function halfOf(layer: FieldLayer): [number, number, number] {
  const round = onBody(layer) ? bodyMesh(layer).radius * layer.width : 0;
  return onBody(layer) ? [round, round, round] : [layer.width / 2, layer.height / 2, layer.depth / 2];
}

/** Where particles are in the cube of their volume, where they are chosen; null where they are by their number. */
const choicesOf = (layer: FieldLayer, tile: number, count: number): Float64Array | null =>
  onBody(layer)
    ? bodyPlaces(layer, count)
    : isDense(layer)
      ? densePlaces(layer, volumeOf(layer, tile), tile, count)
      : null;

const NONE = new Float64Array(4);

/** Where its particles are before a route winds them. */
function straightExtent(layer: FieldLayer, tile: number): Extent {
  const [halfWidth, halfHeight, halfDepth] = halfOf(layer);
  return still({
    halfWidth,
    halfHeight,
    centre: [layer.aside, layer.above],
    from: tiled(layer) ? 0 : layer.ahead - halfDepth,
    to: tiled(layer) ? tile : layer.ahead + halfDepth,
  });
}

export const field: LayerDefinition<FieldLayer, FieldValues> = {
  kind: 'field',
  label: 'Particle field',
  need: 'Fill a space',
  describe: 'Particles in a box, ball, shell, disc or around a corridor, or all over a body or a model',
  form: FieldForm,
  presets,
  notes: (layer) => (onBody(layer) ? modelNotes({ ...layer, name: layer.body }) : []),
  remarks: (layer) => (onBody(layer) ? modelRemarks({ ...layer, name: layer.body }) : []),
  takesFile: (layer, kind, model) => (kind === 'model' && onBody(layer) ? { ...layer, body: 'model', model } : null),
  kernel: fieldKernel,
  elementCount(layer, share) {
    if (layer.shape !== 'grid') return Math.max(1, Math.round(layer.count * share));
    const [x, y, z] = gridRows(layer);
    return (x * y * z) / gridStride(layer, share);
  },
  counted: (layer, share, context) => ({ count: field.elementCount(layer, share, context), noun: 'particles' }),
  follows: (layer) => layer.follow,
  tiled,
  turnStep: () => 1,
  values(layer, context, phase, share) {
    const { tile } = context;
    const [profileA, profileB] = profileHalves(layer.sizeProfile);
    const patch = fitNoise(layer.placeScale, tile);
    const count = field.elementCount(layer, share, context);
    const moment = momentOf(
      { ...patch, seed: layer.seed + PATCH_SEED, potentials: 1, lap: phase, cycles: layer.placeCycles, octaves: 1 },
      boxOf(straightExtent(layer, tile)),
      layer.placeBy === 'noise' ? count : 0,
    );
    const route = context.routeOf(layer.follow);
    const choices = choicesOf(layer, tile, count);
    return {
      seed: layer.seed,
      shape: shapeOf(layer),
      extent: volumeOf(layer, tile),
      inner: layer.hollow,
      at: [layer.aside, layer.above, tiled(layer) ? -tile / 2 : -layer.ahead],
      grid: gridRows(layer),
      stride: layer.shape === 'grid' ? gridStride(layer, share) : 1,
      jitter: layer.jitter,
      radius: layer.size,
      variation: layer.variation,
      sizeBy: layer.sizeBy === 'profile' ? 1 : 0,
      profileA,
      profileB,
      glint: layer.glint,
      placeBy: fieldPlace[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
      placeCycles: layer.placeCycles,
      patch_: moment.table,
      patchFrom: moment.from,
      patchSize: moment.size,
      patchOctaves: moment.octaves,
      chosen: choices ? 1 : 0,
      choices: choices ?? NONE,
      tile,
      ...courseValues(route),
      lap: phase,
    };
  },
  drawings(layer, share, context) {
    const count = field.elementCount(layer, share, context);
    const drawn = context.routeOf(layer.follow).track !== null;
    if (layer.shape === 'grid' && !drawn) {
      const [x, y, z] = gridRows(layer);
      return [{ as: 'sprites', ...gridParts(x * y, z / gridStride(layer, share), layer.jitter), rows: true }];
    }
    // along a drawn route a slice may be anywhere
    if (tiled(layer) && !drawn) {
      const dense = isDense(layer) ? densePlaces(layer, volumeOf(layer, context.tile), context.tile, count) : null;
      const depthOf = (id: number): number => {
        if (dense) return dense[id * 4 + 2];
        orderedPoint(id, layer.seed);
        return RF[2];
      };
      return [{ as: 'sprites', ...sliceOrder(count, depthOf), fair: count }];
    }
    return [
      {
        as: 'sprites',
        order: Uint32Array.from({ length: count }, (_, id) => id),
        parts: [{ from: 0, to: 1, first: 0, count }],
        ...(layer.shape === 'grid' ? { rows: true } : { fair: count }),
      },
    ];
  },
  structure: (layer, context) => [
    context.routeOf(layer.follow).track !== null,
    tiled(layer),
    layer.seed,
    layer.shape === 'grid' && [gridRows(layer), layer.jitter],
    onBody(layer) && bodyKey(layer),
    isDense(layer) && [layer.dense, layer.denseScale, layer.denseContrast, volumeOf(layer, context.tile), layer.hollow],
  ],
  look: (layer) => ({
    softness: layer.softness,
    lineWidth: 0,
    matter: DARK,
    ...spriteOf(layer),
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.light, phase),
  extent(layer, context) {
    const [halfWidth, halfHeight] = halfOf(layer);
    const across = Math.hypot(Math.abs(layer.aside) + halfWidth, Math.abs(layer.above) + halfHeight);
    return carriedAlong(straightExtent(layer, context.tile), context.routeOf(layer.follow), across);
  },
  closingSteps: () => ({}),
};
