import { z } from 'zod';
import { choice, gradient, integer, number } from '../../piece/fields';
import { fitNoise } from '../../treatments/base';
import { layerBase, layerSeed, matterFields, matterOf } from '../base';
import type { Drawing, GroundAt, LayerContext, LayerDefinition } from '../definition';
import { groundHeight, groundRun, RF, signatures, sources } from './ground.gen';

const PLACES = { height: 'By height', slope: 'By slope', noise: 'By noise' };
const PLACE_INDEX = { height: 0, slope: 1, noise: 2 } as const;

const shape = 'Shape';
const hills = 'Relief';
const waves = 'Ripples';
const tint = 'Colour';
const land = { field: 'surface', is: ['land'] };
const water = { field: 'surface', is: ['water'] };

const GroundSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('ground'),
  surface: choice(
    'land',
    { land: 'Land', water: 'Still water' },
    { label: 'Surface', group: shape, hint: 'Hills, or a flat sheet of water.' },
  ),
  width: number(40, {
    label: 'Width',
    unit: 'm',
    min: 0.1,
    max: 10_000,
    comfort: 100,
    group: shape,
    hint: 'Full width in metres.',
  }),
  above: number(-1.2, {
    label: 'Level',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 5,
    group: shape,
    hint: 'Metres above the route; negative is below.',
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
  rows: integer(96, {
    label: 'Detail',
    unit: 'rows per tile',
    min: 2,
    max: 1000,
    comfort: 240,
    group: shape,
    hint: 'Rows of the mesh in one tile; columns as close.',
  }),
  relief: number(0.8, {
    label: 'Height',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 5,
    decimals: 2,
    group: hills,
    when: land,
    hint: 'Metres of the highest hills.',
  }),
  feature: number(5, {
    label: 'Hill size',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 20,
    group: hills,
    when: land,
    hint: 'Metres across the largest hills; fitted so that they tile.',
  }),
  octaves: integer(4, {
    label: 'Octaves',
    min: 1,
    max: 6,
    comfort: 6,
    group: hills,
    when: land,
    hint: 'Hills on hills: more is rougher.',
  }),
  form: choice(
    'round',
    { round: 'Round hills', ridged: 'Sharp ridges' },
    { label: 'Form', group: hills, when: land, hint: 'What the relief is made of.' },
  ),
  valley: number(1.2, {
    label: 'Valley',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 8,
    group: hills,
    when: land,
    hint: 'Metres to either side of the route that stay low.',
  }),
  ripple: number(0.12, {
    label: 'Ripples',
    min: 0,
    max: 1,
    group: waves,
    when: water,
    hint: '0: a mirror. 1: broken water.',
  }),
  rippleSize: number(0.7, {
    label: 'Ripple size',
    unit: 'm',
    min: 0.02,
    max: 100,
    comfort: 4,
    group: waves,
    when: water,
    hint: 'Metres from crest to crest; fitted so that it tiles.',
  }),
  rippleCycles: integer(4, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 12,
    group: waves,
    when: water,
    hint: 'Whole cycles of the slowest ripple in a lap.',
  }),
  gradient: gradient(['#0b0f12', '#27323a', '#6b7f86'], {
    label: 'Gradient',
    group: tint,
    hint: 'Colours from first to last place.',
  }),
  placeBy: choice('height', PLACES, {
    label: 'Place on it',
    group: tint,
    when: land,
    hint: 'What decides where on the gradient a place is.',
  }),
  spread: number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the gradient is used.',
  }),
  placeScale: number(3, {
    label: 'Patch size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: tint,
    when: { field: 'placeBy', is: ['noise'] },
    hint: 'Metres across one patch of the noise.',
  }),
  ...matterFields,
  ...layerSeed,
});
export type GroundLayer = z.infer<typeof GroundSchema>;

const RADIX = 2;

/** Columns and rows of cells of a tile; even, so that half of them is a whole number too. */
function cellsOf(layer: GroundLayer, tile: number): { columns: number; rows: number } {
  const even = (n: number): number => Math.max(RADIX, Math.round(n / RADIX) * RADIX);
  const rows = layer.surface === 'water' ? 2 : even(layer.rows);
  const columns = layer.surface === 'water' ? 2 : Math.min(1000, even((layer.rows * layer.width) / tile));
  return { columns, rows };
}

const strideOf = (layer: GroundLayer, share: number): number => (layer.surface === 'land' && share < 0.75 ? 2 : 1);

const shapeValues = (layer: GroundLayer, tile: number) => {
  const { scale, period } = fitNoise(layer.feature, tile);
  return {
    relief: layer.relief,
    scale,
    period,
    octaves: layer.octaves,
    ridged: layer.form === 'ridged' ? 1 : 0,
    valley: layer.valley,
  };
};

/** Height and slope of a ground at places of its tile. */
export function groundAt(layer: GroundLayer, tile: number): GroundAt {
  const { relief, scale, period, octaves, ridged, valley } = shapeValues(layer, tile);
  return (x, zAt) => {
    if (layer.surface === 'water') return { height: layer.above, slopeX: 0, slopeZ: 0 };
    groundHeight(
      x - layer.aside,
      zAt,
      layer.seed,
      relief,
      scale[0],
      scale[1],
      scale[2],
      period[0],
      period[1],
      period[2],
      octaves,
      ridged,
      valley,
    );
    return { height: RF[0] + layer.above, slopeX: RF[1], slopeZ: RF[2] };
  };
}

export const ground: LayerDefinition<GroundLayer> = {
  kind: 'ground',
  label: 'Ground',
  need: 'Lay a ground',
  describe: 'Hills that repeat with the tile, or a sheet of water',
  schema: GroundSchema,
  kernel: { entry: 'groundElement', sources, signature: signatures.groundElement, run: groundRun },
  elementCount(layer, share, { tile }) {
    const { columns, rows } = cellsOf(layer, tile);
    const stride = strideOf(layer, share);
    return (columns / stride + 1) * (rows / stride + 1);
  },
  counted(layer, share, { tile }) {
    const { columns, rows } = cellsOf(layer, tile);
    const stride = strideOf(layer, share);
    return {
      count: (columns / stride) * (rows / stride),
      noun: layer.surface === 'water' ? 'cells of water' : 'cells of land',
    };
  },
  tiled: () => true,
  turnStep: () => 1,
  values(layer, context, _, share) {
    const patch = fitNoise(layer.placeScale, context.tile);
    return {
      seed: layer.seed,
      ...cellsOf(layer, context.tile),
      stride: strideOf(layer, share),
      width: layer.width,
      tile: context.tile,
      level: [layer.aside, layer.above],
      ...shapeValues(layer, context.tile),
      water: layer.surface === 'water' ? 1 : 0,
      placeBy: PLACE_INDEX[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
    };
  },
  drawings(layer, share, { tile }): Drawing[] {
    const { columns, rows } = cellsOf(layer, tile);
    const stride = strideOf(layer, share);
    const [across, along] = [columns / stride, rows / stride];
    const triangles = new Uint32Array(across * along * 6);
    for (let row = 0, n = 0; row < along; row++)
      for (let column = 0; column < across; column++) {
        const a = row * (across + 1) + column;
        const b = a + across + 1;
        triangles.set([a, a + 1, b + 1, a, b + 1, b], n);
        n += 6;
      }
    return [{ as: 'surface', triangles, smooth: true }];
  },
  structure: (layer) => [layer.surface, layer.rows, layer.width],
  look: (layer) => ({
    softness: 0,
    lineWidth: 0,
    largestRadius: 0,
    matter: matterOf(layer),
    sprite: 0,
    ripple:
      layer.surface === 'water' ? { strength: layer.ripple, size: layer.rippleSize, cycles: layer.rippleCycles } : null,
  }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context: LayerContext) {
    const high = layer.surface === 'water' ? 0.01 : layer.relief;
    return {
      halfWidth: layer.width / 2,
      halfHeight: high,
      centre: [layer.aside, layer.above],
      from: 0,
      to: context.tile,
      bend: 0,
      carried: 0,
      body: 0,
      grown: 1,
      tilted: 0,
    };
  },
  closingSteps: () => ({}),
};
