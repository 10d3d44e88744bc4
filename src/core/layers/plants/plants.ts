import { z } from 'zod';
import { choice, gradient, integer, layerRef, number } from '../../piece/fields';
import { grow } from '../../plants/grow';
import { SPECIES, type SpeciesName } from '../../plants/species';
import { box } from '../../solids/box';
import { capsule, cone, sphere } from '../../solids/lathe';
import { finishMesh, type Mesh } from '../../solids/mesh';
import { fitNoise } from '../../treatments/base';
import { layerBase, layerSeed, matterFields, matterOf } from '../base';
import type { Drawing, LayerContext, LayerDefinition } from '../definition';
import { plantsRun, signatures, sources } from './plants.gen';
import { scatterPlants, type Scattered } from './scatter';

/** Bodies that may be scattered besides plants, standing on their foot. */
const STONES = { pebble: 'Pebble', post: 'Post', block: 'Block', cairn: 'Cone' } as const;
type SourceName = SpeciesName | keyof typeof STONES;

const SOURCES = {
  none: 'Nothing',
  ...Object.fromEntries(Object.entries(SPECIES).map(([name, { label }]) => [name, label])),
  ...STONES,
} as Record<SourceName | 'none', string>;

const PLACES = { chance: 'By chance', height: 'By height' };
const PLACE_INDEX = { chance: 0, height: 1 } as const;

const mix = 'Sources';
const where = 'Where';
const stand = 'Stand';
const tint = 'Colour';
const weight = (of: string) => ({
  label: 'Its share',
  min: 0,
  max: 100,
  comfort: 4,
  decimals: 2,
  group: mix,
  when: { field: of, is: Object.keys(SOURCES).filter((name) => name !== 'none') },
  hint: 'Its share, against those of the others.',
});
const source = (initial: SourceName | 'none', label: string) =>
  choice(initial, SOURCES, { label, group: mix, hint: 'What is scattered.' });

const PlantsSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('plants'),
  source1: source('quayReed', 'First'),
  weight1: number(3, weight('source1')),
  source2: source('saltTussock', 'Second'),
  weight2: number(4, weight('source2')),
  source3: source('tideParasol', 'Third'),
  weight3: number(1, weight('source3')),
  source4: source('none', 'Fourth'),
  weight4: number(1, weight('source4')),
  source5: source('none', 'Fifth'),
  weight5: number(1, weight('source5')),
  size: number(0.7, {
    label: 'Height',
    unit: 'm',
    min: 0.005,
    max: 100,
    comfort: 3,
    decimals: 2,
    group: stand,
    hint: 'Metres high.',
  }),
  variation: number(0.6, {
    label: 'Variation',
    min: 0,
    max: 2,
    comfort: 1,
    group: stand,
    hint: '0: alike. 1: half to twice as high.',
  }),
  align: number(0.3, {
    label: 'With the slope',
    min: 0,
    max: 1,
    group: stand,
    hint: '0: upright. 1: square to the ground.',
  }),
  sway: number(0.02, {
    label: 'Sway',
    unit: 'turns',
    min: 0,
    max: 0.25,
    comfort: 0.08,
    decimals: 3,
    group: stand,
    hint: 'How far the wind leans them.',
  }),
  gust: number(3, {
    label: 'Gust size',
    unit: 'm',
    min: 0.1,
    max: 500,
    comfort: 12,
    group: stand,
    hint: 'Metres across a gust; fitted so that it tiles.',
  }),
  gustCycles: integer(2, {
    label: 'Gusts',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: stand,
    hint: 'Most whole cycles of the wind in a lap.',
  }),
  ground: layerRef({
    label: 'Stands on',
    group: where,
    of: 'ground',
    none: 'A flat plane',
    hint: 'The ground they grow on.',
  }),
  count: integer(900, {
    label: 'Count',
    min: 1,
    max: 60_000,
    comfort: 4000,
    group: where,
    hint: 'Plants in a tile before the masks take some away.',
  }),
  width: number(16, {
    label: 'Width',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 40,
    group: where,
    hint: 'Of the strip they grow in.',
  }),
  aside: number(0, {
    label: 'Aside',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 10,
    group: where,
    hint: 'Metres to the right of the route.',
  }),
  distance: number(0.12, {
    label: 'At least apart',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 2,
    decimals: 2,
    group: where,
    hint: 'No two stand nearer than this.',
  }),
  path: number(0.5, {
    label: 'Path',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 3,
    group: where,
    hint: 'Metres to either side of the route that stay free.',
  }),
  clumps: number(0.6, {
    label: 'Clumps',
    min: 0,
    max: 1,
    group: where,
    hint: '0: evenly. 1: in clumps with gaps between.',
  }),
  clumpSize: number(2.5, {
    label: 'Clump size',
    unit: 'm',
    min: 0.1,
    max: 200,
    comfort: 10,
    group: where,
    hint: 'Metres across a clump.',
  }),
  slope: number(40, {
    label: 'Up to slope',
    unit: '°',
    min: 0,
    max: 90,
    comfort: 90,
    decimals: 0,
    group: where,
    hint: 'They grow where the ground is no steeper.',
  }),
  low: number(-100, {
    label: 'From height',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 10,
    group: where,
    hint: 'Metres of height they grow from.',
  }),
  high: number(100, {
    label: 'To height',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 10,
    group: where,
    hint: 'Metres of height they grow to.',
  }),
  gradient: gradient(['#14201c', '#3f5a43', '#b79a5c'], {
    label: 'Gradient',
    group: tint,
    hint: 'Colours from first to last place.',
  }),
  placeBy: choice('chance', PLACES, {
    label: 'Place on it',
    group: tint,
    hint: 'What decides where on the gradient a plant is.',
  }),
  spread: number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the gradient is used.',
  }),
  ...matterFields,
  ...layerSeed,
});
export type PlantsLayer = z.infer<typeof PlantsSchema>;

/** Metres from which a slice of the tile is drawn with the coarse mesh, in heights of a plant. */
const COARSE_HEIGHTS = 9;

const raised = (mesh: Mesh): Mesh => {
  const position = mesh.position.map((v, i) => (i % 3 === 1 ? v + 0.5 : v));
  return finishMesh(position, mesh.normal, mesh.index, mesh.open);
};

const meshes = new Map<string, Mesh>();

/** The mesh of a source, about one unit high, its foot at the origin. */
function plantMesh(name: SourceName, seed: number, fine: boolean): Mesh {
  const key = `${name} ${seed} ${fine}`;
  let mesh = meshes.get(key);
  if (!mesh) {
    const sides = fine ? 12 : 6;
    if (name === 'pebble') mesh = raised(sphere(sides));
    else if (name === 'post') mesh = raised(capsule(0.14, sides));
    else if (name === 'block') mesh = raised(box([0.4, 0.5, 0.4], 0.06, fine ? 2 : 1));
    else if (name === 'cairn') mesh = raised(cone(sides));
    else mesh = grow(SPECIES[name], seed, fine);
    if (meshes.size > 200) meshes.clear();
    meshes.set(key, mesh);
  }
  return mesh;
}

const slots = (layer: PlantsLayer): { name: SourceName; weight: number }[] =>
  (
    [
      [layer.source1, layer.weight1],
      [layer.source2, layer.weight2],
      [layer.source3, layer.weight3],
      [layer.source4, layer.weight4],
      [layer.source5, layer.weight5],
    ] as const
  )
    .filter(([name, share]) => name !== 'none' && share > 0)
    .map(([name, share]) => ({ name: name as SourceName, weight: share }));

const scattered = new Map<string, Scattered>();

/** What the scatter depends on: the layer's own fields for it, and the ground it is on. */
const scatterKey = (layer: PlantsLayer, context: LayerContext, share: number): string =>
  JSON.stringify([
    slots(layer),
    [layer.count, layer.width, layer.aside, layer.distance, layer.path, layer.clumps, layer.clumpSize],
    [layer.slope, layer.low, layer.high, layer.seed],
    context.tile,
    share,
    layer.ground === null ? null : context.groundKey(layer.ground),
  ]);

function scatterOf(layer: PlantsLayer, context: LayerContext, share: number): Scattered {
  const key = scatterKey(layer, context, share);
  const before = scattered.get(key);
  if (before) return before;
  const { width, aside, distance, path, slope, low, high, clumps, clumpSize, seed } = layer;
  const masks = { width, aside, distance, path, slope, low, high, clumps, clumpSize, seed, tile: context.tile };
  const chosen = slots(layer);
  const made = scatterPlants(
    Math.max(1, Math.round(layer.count * share)),
    chosen.length > 0 ? chosen.map((slot) => slot.weight) : [1],
    masks,
    layer.ground === null ? null : context.groundOf(layer.ground),
  );
  if (scattered.size > 16) scattered.clear();
  scattered.set(key, made);
  return made;
}

const countOf = (layer: PlantsLayer, context: LayerContext, share: number): number =>
  slots(layer).length === 0 ? 0 : scatterOf(layer, context, share).rest.length / 4;

/** Heights between which the ground lies. */
function heights(layer: PlantsLayer, context: LayerContext): [number, number] {
  if (layer.ground === null) return [0, 0];
  const extent = context.extentOf(layer.ground);
  return [extent.centre[1] - extent.halfHeight, extent.centre[1] + extent.halfHeight];
}

export const plants: LayerDefinition<PlantsLayer> = {
  kind: 'plants',
  label: 'Growth',
  need: 'Cover the ground',
  describe: 'Invented plants and stones scattered over a ground',
  schema: PlantsSchema,
  bodies: () => true,
  kernel: { entry: 'plantsElement', sources, signature: signatures.plantsElement, run: plantsRun },
  elementCount: (layer, share, context) => countOf(layer, context, share),
  mostElements: (layer) => layer.count,
  counted: (layer, share, context) => ({ count: countOf(layer, context, share), noun: 'plants' }),
  tiled: () => true,
  turnStep: () => 1,
  rest: (layer, context, share) => scatterOf(layer, context, share).rest,
  restKey: scatterKey,
  values(layer, context, phase) {
    const wind = fitNoise(layer.gust, context.tile);
    const [low, high] = heights(layer, context);
    return {
      seed: layer.seed,
      align: layer.align,
      sway: layer.sway,
      windScale: wind.scale,
      windPeriod: wind.period,
      windCycles: layer.gustCycles,
      bodySize: layer.size,
      variation: layer.variation,
      placeBy: PLACE_INDEX[layer.placeBy],
      placeSpread: layer.spread,
      low,
      high,
      lap: phase,
    };
  },
  drawings(layer, share, context): Drawing[] {
    const chosen = slots(layer);
    if (chosen.length === 0) return [];
    return scatterOf(layer, context, share).stands.flatMap(({ source: slot, first, count, parts }): Drawing[] => {
      if (count === 0) return [];
      const { name } = chosen[slot];
      return [
        {
          as: 'bodies',
          mesh: plantMesh(name, layer.seed + slot, true),
          coarse: { mesh: plantMesh(name, layer.seed + slot, false), beyond: COARSE_HEIGHTS * layer.size },
          first,
          count,
          parts,
          shown: null,
        },
      ];
    });
  },
  structure: (layer) => [slots(layer), layer.size],
  look: (layer) => ({ softness: 0, lineWidth: 0, largestRadius: 0, matter: matterOf(layer), sprite: 0 }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context) {
    const [low, high] = heights(layer, context);
    // leaves reach at most one and a half heights from the foot
    const body = 1.5 * layer.size * 2 ** layer.variation;
    return {
      halfWidth: layer.width / 2 + body,
      halfHeight: (high - low) / 2 + body,
      centre: [layer.aside, (low + high) / 2],
      from: -body,
      to: context.tile + body,
      bend: 0,
      carried: 0,
      body,
      grown: 1,
      tilted: 0,
    };
  },
  closingSteps: () => ({}),
};
