import { fitNoise } from '../../noise/fit';
import type { Drawing } from '../drawing';
import type { World } from '../../elements/world';
import { landForm } from '../../noise/land.gen';
import type { Land } from '../../noise/land';
import type { LayerDefinition } from '../definition';
import { groundKernel, groundPlace, type GroundValues } from './ground.gen';
import { presets } from './presets';
import { still } from '../../elements/extent';
import { GroundForm, type GroundLayer } from './form';

const RADIX = 2;

/** Columns and rows of cells of a tile; even, so that half of them is a whole number too. */
function cellsOf(layer: GroundLayer, tile: number): { columns: number; rows: number } {
  const even = (n: number): number => Math.max(RADIX, Math.round(n / RADIX) * RADIX);
  const rows = layer.surface === 'water' ? 2 : even(layer.rows);
  const columns = layer.surface === 'water' ? 2 : Math.min(1000, even((layer.rows * layer.width) / tile));
  return { columns, rows };
}

const isFlat = ({ surface, relief }: GroundLayer): boolean => surface === 'water' || relief === 0;

const strideOf = (layer: GroundLayer, share: number): number => (layer.surface === 'land' && share < 0.75 ? 2 : 1);

const shapeValues = (layer: GroundLayer, tile: number) => {
  const { scale, period } = fitNoise(layer.feature, tile);
  return {
    relief: layer.relief,
    scale,
    period,
    octaves: layer.octaves,
    form: landForm[layer.form],
    valley: layer.valley,
  };
};

/** The law of a ground. */
export const landOf = (layer: GroundLayer, tile: number): Land => ({
  ...shapeValues(layer, tile),
  seed: layer.seed,
  relief: layer.surface === 'water' ? 0 : layer.relief,
  aside: layer.aside,
  above: layer.above,
});

export const ground: LayerDefinition<GroundLayer, GroundValues> = {
  kind: 'ground',
  label: 'Ground',
  need: 'Lay a ground',
  describe: 'Hills that repeat with the tile, or a sheet of water',
  form: GroundForm,
  presets,
  kernel: groundKernel,
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
  surrounds: true,
  solid: true,
  ground: landOf,
  mirrors: (layer) => layer.mirrors === 'all' && isFlat(layer),
  remarks: (layer) =>
    layer.mirrors === 'all' && !isFlat(layer)
      ? ['It has hills, and mirrors nothing but the sky: only water, and land of no height, mirrors what is near.']
      : [],
  sketch: () => ({ as: 'lines' }),
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
      placeBy: groundPlace[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
    };
  },
  drawings(layer, share, { tile }): Drawing[] {
    const { columns, rows } = cellsOf(layer, tile);
    const stride = strideOf(layer, share);
    return [{ as: 'sheet', across: columns / stride, along: rows / stride }];
  },
  structure: (layer) => [layer.surface, layer.rows, layer.width],
  look: (layer) => ({
    softness: 0,
    lineWidth: 0,
    matter: layer.matter,
    pattern: layer.pattern,
    lines: layer.lines,
    sprite: 0,
    ripple:
      layer.surface === 'water' ? { strength: layer.ripple, size: layer.rippleSize, cycles: layer.rippleCycles } : null,
    even: isFlat(layer) && (layer.surface === 'water' || layer.treatments.length === 0),
  }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context: World) {
    const high = layer.surface === 'water' ? 0.01 : layer.relief;
    return still({
      halfWidth: layer.width / 2,
      halfHeight: high,
      centre: [layer.aside, layer.above],
      to: context.tile,
    });
  },
  closingSteps: () => ({}),
};
