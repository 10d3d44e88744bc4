import { fitNoise } from '../../noise/fit';
import type { Drawing } from '../drawing';
import type { World } from '../../elements/world';
import { grow } from '../../plants/grow';
import { SPECIES } from '../../plants/species';
import { box } from '../../solids/box';
import { capsule, cone, sphere } from '../../solids/lathe';
import type { Mesh } from '../../solids/mesh';
import type { FileRef } from '../../kept';
import { setAt } from '../../solids/details/details';
import { newMatter } from '../../matter/kinds';
import { MODELS } from '../../solids/models/model';
import { PLAIN_SHAPE } from '../../solids/solid';
import { solidMesh } from '../../solids/solids';
import { bodyLook } from '../base';
import type { LayerDefinition } from '../definition';
import { plantsKernel, plantsPlace, type PlantsValues } from './plants.gen';
import { scatterPlants, type Scattered } from './scatter';
import { presets } from './presets';
import { memo } from '../../memo';
import { still } from '../../elements/extent';
import { PlantsForm, type PlantsLayer, type SourceName } from './form';

const raised = (mesh: Mesh): Mesh => setAt(mesh, 1, [0, 0.5, 0]);

const meshes = memo<Mesh>(200);

/** A model, one unit high, its foot at the origin, above the middle of its own place. */
function standing(model: FileRef | null): Mesh {
  const whole = solidMesh('model', { ...PLAIN_SHAPE, model });
  let [low, high] = [Infinity, -Infinity];
  for (let i = 1; i < whole.position.length; i += 3) {
    low = Math.min(low, whole.position[i]);
    high = Math.max(high, whole.position[i]);
  }
  const scale = 1 / Math.max(1e-3, high - low);
  return setAt(whole, scale, [0, -low * scale, 0]);
}

/** The mesh of a source, about one unit high, its foot at the origin. */
const plantMesh = ({ name, model }: Pick<Slot, 'name' | 'model'>, seed: number): Mesh =>
  meshes(`${name} ${seed} ${name === 'model' ? `${model?.hash} ${MODELS.at(model) !== null}` : ''}`, () => {
    const sides = 12;
    if (name === 'model') return standing(model);
    if (name === 'pebble') return raised(sphere(sides));
    if (name === 'post') return raised(capsule(0.14, sides));
    if (name === 'block') return raised(box([0.4, 0.5, 0.4], 0.06, 2));
    return name === 'cairn' ? raised(cone(sides)) : grow(SPECIES[name], seed);
  });

interface Slot {
  name: SourceName;
  weight: number;
  model: FileRef | null;
}
const slots = (layer: PlantsLayer): Slot[] =>
  (
    [
      [layer.source1, layer.weight1, layer.model1],
      [layer.source2, layer.weight2, layer.model2],
      [layer.source3, layer.weight3, layer.model3],
      [layer.source4, layer.weight4, layer.model4],
      [layer.source5, layer.weight5, layer.model5],
    ] as const
  )
    .filter(([name, share]) => name !== 'none' && share > 0)
    .map(([name, weight, model]) => ({ name: name as SourceName, weight, model }));

const scattered = memo<Scattered>(16);

/** What the scatter depends on: the layer's own fields for it, and the ground it is on. */
const scatterKey = (layer: PlantsLayer, context: World, share: number): string =>
  JSON.stringify([
    slots(layer),
    [layer.count, layer.width, layer.aside, layer.distance, layer.path, layer.clumps, layer.clumpSize],
    [layer.slope, layer.low, layer.high, layer.seed],
    context.tile,
    share,
    layer.ground === null ? null : context.groundKey(layer.ground),
  ]);

const scatterOf = (layer: PlantsLayer, context: World, share: number): Scattered =>
  scattered(scatterKey(layer, context, share), () => {
    const { width, aside, distance, path, slope, low, high, clumps, clumpSize, seed } = layer;
    const masks = { width, aside, distance, path, slope, low, high, clumps, clumpSize, seed, tile: context.tile };
    const chosen = slots(layer);
    return scatterPlants(
      Math.max(1, Math.round(layer.count * share)),
      chosen.length > 0 ? chosen.map((slot) => slot.weight) : [1],
      masks,
      layer.ground === null ? null : context.groundOf(layer.ground),
    );
  });

const countOf = (layer: PlantsLayer, context: World, share: number): number =>
  slots(layer).length === 0 ? 0 : scatterOf(layer, context, share).rest.length / 4;

/** Heights between which the ground lies. */
function heights(layer: PlantsLayer, context: World): [number, number] {
  if (layer.ground === null) return [0, 0];
  const extent = context.extentOf(layer.ground);
  return [extent.centre[1] - extent.halfHeight, extent.centre[1] + extent.halfHeight];
}

export const plants: LayerDefinition<PlantsLayer, PlantsValues> = {
  kind: 'plants',
  label: 'Growth',
  need: 'Cover the ground',
  describe: 'Invented plants and stones scattered over a ground',
  form: PlantsForm,
  presets,
  bodies: () => true,
  takesFile: (layer, kind, model) =>
    kind === 'model' ? { ...layer, source1: 'model', model1: model, matter: newMatter('modelled') } : null,
  kernel: plantsKernel,
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
      placeBy: plantsPlace[layer.placeBy],
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
      return [
        {
          as: 'bodies',
          mesh: plantMesh(chosen[slot], layer.seed + slot),
          first,
          count,
          parts,
        },
      ];
    });
  },
  structure: (layer) => [slots(layer), slots(layer).map(({ model }) => MODELS.at(model) !== null)],
  look: bodyLook,
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context) {
    const [low, high] = heights(layer, context);
    // leaves reach at most one and a half heights from the foot; models lie as far as they lie
    const models = slots(layer).filter(({ name }) => name === 'model');
    const farthest = Math.max(1.5, ...models.map((slot) => plantMesh(slot, layer.seed).radius));
    const body = farthest * layer.size * 2 ** layer.variation;
    return still({
      halfWidth: layer.width / 2 + body,
      halfHeight: (high - low) / 2 + body,
      centre: [layer.aside, (low + high) / 2],
      from: -body,
      to: context.tile + body,
      body,
    });
  },
  closingSteps: () => ({}),
};
