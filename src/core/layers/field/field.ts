import { z } from 'zod';
import { animated, choice, gradient, integer, layerRef, number, statedValues } from '../../piece/fields';
import { evaluateAnimated } from '../../time/animated';
import { layerBase, layerSeed } from '../base';
import type { LayerDefinition } from '../definition';
import { sliceOrder } from './slices';
import { fieldRun, signatures, source } from './field.gen';

const SHAPES = { box: 'Box', ball: 'Ball', shell: 'Shell', disc: 'Disc', corridor: 'Ring around a corridor' };
const SHAPE_INDEX = { box: 0, ball: 1, shell: 2, disc: 3, corridor: 4 } as const;
const PLACES = { random: 'By chance', position: 'By position', noise: 'By noise' };
const PLACE_INDEX = { random: 0, position: 1, noise: 2 } as const;

const shape = 'Shape';
const motes = 'Particles';
const tint = 'Colour';
const drifting = 'Drift';

const FieldSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('field'),
  shape: choice('box', SHAPES, { label: 'Volume', hint: 'The body the particles fill.', group: shape }),
  width: number(8, {
    label: 'Width',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 20,
    hint: 'Full width in metres.',
    group: shape,
  }),
  height: number(6, {
    label: 'Height',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 20,
    hint: 'Full height in metres.',
    group: shape,
  }),
  depth: number(8, {
    label: 'Depth',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 20,
    group: shape,
    when: { field: 'shape', is: ['ball', 'shell', 'disc'] },
    hint: 'Full depth in metres along the travel.',
  }),
  hollow: number(0.25, {
    label: 'Hollow',
    min: 0,
    max: 0.99,
    group: shape,
    when: { field: 'shape', is: ['shell', 'disc', 'corridor'] },
    hint: 'Share of the radius that stays empty; in a corridor, the way kept clear for the camera.',
  }),
  ahead: number(4, {
    label: 'Ahead',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 20,
    group: shape,
    when: { field: 'shape', is: ['ball', 'shell', 'disc'] },
    hint: 'Metres from the start of the tile to the centre of the volume.',
  }),
  aside: number(0, {
    label: 'Aside',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 10,
    group: shape,
    hint: 'Metres to the right of the route.',
  }),
  above: number(0, {
    label: 'Above',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 10,
    group: shape,
    hint: 'Metres above the route.',
  }),
  follow: layerRef({ label: 'Follows', group: shape, hint: 'Wraps the volume around the route of a tunnel.' }),
  count: integer(6000, {
    label: 'Count',
    min: 1,
    max: 2_000_000,
    comfort: 200_000,
    group: motes,
    hint: 'Particles in one tile of the finished piece.',
  }),
  size: number(0.004, {
    label: 'Size',
    unit: 'mm',
    min: 0.00005,
    max: 5,
    comfort: 0.05,
    display: 1000,
    decimals: 1,
    group: motes,
    hint: 'Radius of the most common particle in millimetres.',
  }),
  variation: number(0.8, {
    label: 'Size variation',
    min: 0,
    max: 1,
    group: motes,
    hint: '0: all alike. 1: many tiny and a few twelve times larger.',
  }),
  softness: number(0.5, {
    label: 'Softness',
    min: 0,
    max: 1,
    group: motes,
    hint: '0: a disc with a clear edge. 1: fades from its centre.',
  }),
  light: animated(2.4, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 10_000,
    comfort: 40,
    group: motes,
    hint: 'Brightness; 1 shows the gradient as it is on a particle that fills a pixel.',
  }),
  glint: number(0.9, {
    label: 'Glint',
    min: 0,
    max: 1,
    group: motes,
    hint: '0: all equally bright. 1: most faint, a few brilliant.',
  }),
  gradient: gradient(['#0c4a5c', '#5fe3c0', '#fff1cf'], {
    label: 'Gradient',
    group: tint,
    hint: 'Colours from first to last place.',
  }),
  placeBy: choice('random', PLACES, {
    label: 'Place on it',
    group: tint,
    hint: 'What decides where on the gradient a particle is.',
  }),
  spread: number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the gradient is used: 0 only its middle, 1 all of it.',
  }),
  placeScale: number(2, {
    label: 'Patch size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: tint,
    when: { field: 'placeBy', is: ['noise'] },
    hint: 'Metres across one patch of the noise; fitted so that it tiles.',
  }),
  placeCycles: integer(2, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: tint,
    when: { field: 'placeBy', is: ['noise'] },
    hint: 'Most whole cycles the noise makes in a lap.',
  }),
  drift: animated(0.15, {
    label: 'Amount',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 2,
    group: drifting,
    hint: 'How far the swirling air carries a particle, in metres.',
  }),
  driftScale: number(2.5, {
    label: 'Swirl size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: drifting,
    hint: 'Metres across one swirl; fitted so that it tiles.',
  }),
  driftCycles: number(3, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 0.1,
    max: 64,
    comfort: 8,
    decimals: 2,
    group: drifting,
    hint: 'Most cycles the air makes in a lap; whole numbers close.',
  }),
  ...layerSeed,
});
export type FieldLayer = z.infer<typeof FieldSchema>;

/** The farthest a swirl carries a particle, in units of the drift's amount (largest of a million: see layers.test.ts). */
const DRIFT_REACH = 3;

const tiled = (layer: FieldLayer): boolean => layer.shape === 'box' || layer.shape === 'corridor';

/** Noise scale per axis and its period: the number of swirls along the tile is whole, across it is free. */
function fitNoise(metres: number, tile: number): { scale: number[]; period: number[] } {
  const along = Math.max(2, Math.round(tile / metres));
  return { scale: [1 / metres, 1 / metres, along / tile], period: [512, 512, along] };
}

export const field: LayerDefinition<FieldLayer> = {
  kind: 'field',
  label: 'Particle field',
  need: 'Fill a space',
  describe: 'Particles in a box, ball, shell, disc or around a corridor',
  schema: FieldSchema,
  kernel: { entry: 'fieldElement', source, signature: signatures.fieldElement, run: fieldRun },
  elementCount: (layer, share) => Math.max(1, Math.round(layer.count * share)),
  counted: (layer, share) => ({ count: field.elementCount(layer, share), noun: 'particles' }),
  tileOf: (_, context) => context.tile,
  values(layer, context, phase) {
    const { tile } = context;
    const drift = fitNoise(layer.driftScale, tile);
    const patch = fitNoise(layer.placeScale, tile);
    const route = context.routeOf(layer.follow);
    const whole = Math.max(1, Math.round(layer.driftCycles));
    return {
      seed: layer.seed,
      shape: SHAPE_INDEX[layer.shape],
      extent: [layer.width, layer.height, tiled(layer) ? tile : layer.depth],
      inner: layer.hollow,
      at: [layer.aside, layer.above, tiled(layer) ? -tile / 2 : -layer.ahead],
      radius: layer.size,
      variation: layer.variation,
      glint: layer.glint,
      drift: evaluateAnimated(layer.drift, phase),
      driftScale: drift.scale,
      driftPeriod: drift.period,
      driftCycles: whole,
      placeBy: PLACE_INDEX[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
      placeCycles: layer.placeCycles,
      routeRadius: route.radius,
      routeTurns: route.turnsPerMetre,
      // whole cycles leave the phase as it is; others run the whole count slower or faster, and do not come back
      lap: (phase * layer.driftCycles) / whole,
    };
  },
  drawings(layer, share) {
    const count = field.elementCount(layer, share);
    if (tiled(layer)) return [{ as: 'sprites', ...sliceOrder(count, layer.seed) }];
    return [
      {
        as: 'sprites',
        order: Uint32Array.from({ length: count }, (_, id) => id),
        parts: [{ from: 0, to: 1, first: 0, count }],
      },
    ];
  },
  structure: (layer) => [tiled(layer), layer.seed],
  look: (layer) => ({
    softness: layer.softness,
    lineWidth: 0,
    largestRadius: layer.size * (1 + 11 * layer.variation ** 2),
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.light, phase),
  extent(layer, context) {
    const { radius } = context.routeOf(layer.follow);
    const across = Math.hypot(layer.width, layer.height) / 2;
    const drift = Math.max(...statedValues(layer.drift).map(Math.abs));
    return {
      halfWidth: layer.width / 2,
      halfHeight: layer.height / 2,
      centre: [layer.aside, layer.above],
      from: tiled(layer) ? 0 : layer.ahead - layer.depth / 2,
      to: tiled(layer) ? context.tile : layer.ahead + layer.depth / 2,
      bend: radius,
      // the swirl's largest reach is DRIFT_REACH times its amount; a winding route tilts the section along the travel
      carried: DRIFT_REACH * drift + (radius > 0 ? across : 0),
    };
  },
  closingSteps: () => ({ driftCycles: 1 }),
};
