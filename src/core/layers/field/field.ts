import { z } from 'zod';
import { animated, choice, gradient, integer, layerRef, number, profile } from '../../piece/fields';
import { evaluateAnimated } from '../../time/animated';
import { fitNoise } from '../../treatments/base';
import { DARK, layerBase, layerSeed, spriteFields, spriteOf } from '../base';
import { carriedAlong, courseValues } from '../course';
import type { LayerDefinition } from '../definition';
import { gridParts, sliceOrder } from './slices';
import { fieldRun, signatures, sources } from './field.gen';

const SHAPES = {
  box: 'Box',
  ball: 'Ball',
  shell: 'Shell',
  disc: 'Disc',
  corridor: 'Ring around a corridor',
  strand: 'Strand along the route',
  grid: 'Grid',
};
const SHAPE_INDEX = { box: 0, ball: 1, shell: 2, disc: 3, corridor: 4, strand: 5, grid: 6 } as const;
const PLACES = { random: 'By chance', position: 'By position', noise: 'By noise' };
const PLACE_INDEX = { random: 0, position: 1, noise: 2 } as const;

const shape = 'Shape';
const motes = 'Particles';
const tint = 'Colour';

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
  gridDepth: number(1, {
    label: 'Rows deep',
    unit: '× wide',
    min: 0.01,
    max: 100,
    comfort: 4,
    group: shape,
    when: { field: 'shape', is: ['grid'] },
    hint: 'Rows along the tile for each row across.',
  }),
  jitter: number(0.2, {
    label: 'Jitter',
    unit: 'of a row',
    min: 0,
    max: 1,
    group: shape,
    when: { field: 'shape', is: ['grid'] },
    hint: '0: exactly on the grid. 1: anywhere within its cell.',
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
    when: { field: 'sizeBy', is: ['steep'] },
    hint: '0: all alike. 1: many tiny and a few twelve times larger.',
  }),
  sizeBy: choice(
    'steep',
    { steep: 'Many tiny, few large', profile: 'A curve of its own' },
    { label: 'Sizes', group: motes, hint: 'How sizes are shared out among the particles.' },
  ),
  sizeProfile: profile([0.2, 0.25, 0.3, 0.4, 0.6, 1, 2, 5], {
    label: 'Size curve',
    min: 0,
    max: 12,
    group: motes,
    when: { field: 'sizeBy', is: ['profile'] },
    hint: 'From the smallest draw to the largest, as multiples of the size.',
  }),
  ...spriteFields({ group: motes }),
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
  ...layerSeed,
});
export type FieldLayer = z.infer<typeof FieldSchema>;

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

export const field: LayerDefinition<FieldLayer> = {
  kind: 'field',
  label: 'Particle field',
  need: 'Fill a space',
  describe: 'Particles in a box, ball, shell, disc or around a corridor',
  schema: FieldSchema,
  kernel: { entry: 'fieldElement', sources, signature: signatures.fieldElement, run: fieldRun },
  elementCount(layer, share) {
    if (layer.shape !== 'grid') return Math.max(1, Math.round(layer.count * share));
    const [x, y, z] = gridRows(layer);
    return (x * y * z) / gridStride(layer, share);
  },
  counted: (layer, share, context) => ({ count: field.elementCount(layer, share, context), noun: 'particles' }),
  tiled,
  turnStep: () => 1,
  values(layer, context, phase, share) {
    const { tile } = context;
    const patch = fitNoise(layer.placeScale, tile);
    const route = context.routeOf(layer.follow);
    return {
      seed: layer.seed,
      shape: SHAPE_INDEX[layer.shape],
      extent: [layer.width, layer.height, tiled(layer) ? tile : layer.depth],
      inner: layer.hollow,
      at: [layer.aside, layer.above, tiled(layer) ? -tile / 2 : -layer.ahead],
      grid: gridRows(layer),
      stride: layer.shape === 'grid' ? gridStride(layer, share) : 1,
      jitter: layer.jitter,
      radius: layer.size,
      variation: layer.variation,
      sizeBy: layer.sizeBy === 'profile' ? 1 : 0,
      profileA: layer.sizeProfile.slice(0, 4),
      profileB: layer.sizeProfile.slice(4),
      glint: layer.glint,
      placeBy: PLACE_INDEX[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
      placeCycles: layer.placeCycles,
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
      return [{ as: 'sprites', ...gridParts(x * y, z / gridStride(layer, share), layer.jitter) }];
    }
    // along a drawn route a slice may be anywhere
    if (tiled(layer) && !drawn) return [{ as: 'sprites', ...sliceOrder(count, layer.seed) }];
    return [
      {
        as: 'sprites',
        order: Uint32Array.from({ length: count }, (_, id) => id),
        parts: [{ from: 0, to: 1, first: 0, count }],
      },
    ];
  },
  structure: (layer, context) => [
    context.routeOf(layer.follow).track !== null,
    tiled(layer),
    layer.seed,
    layer.shape === 'grid' && [gridRows(layer), layer.jitter],
  ],
  look: (layer) => ({
    softness: layer.softness,
    lineWidth: 0,
    largestRadius:
      layer.size * (layer.sizeBy === 'profile' ? Math.max(...layer.sizeProfile) : 1 + 11 * layer.variation ** 2),
    matter: DARK,
    ...spriteOf(layer),
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.light, phase),
  extent(layer, context) {
    const across = Math.hypot(Math.abs(layer.aside) + layer.width / 2, Math.abs(layer.above) + layer.height / 2);
    const straight = {
      halfWidth: layer.width / 2,
      halfHeight: layer.height / 2,
      centre: [layer.aside, layer.above] as const,
      from: tiled(layer) ? 0 : layer.ahead - layer.depth / 2,
      to: tiled(layer) ? context.tile : layer.ahead + layer.depth / 2,
      bend: 0,
      carried: 0,
      body: 0,
      grown: 1,
      tilted: 0,
    };
    return carriedAlong(straight, context.routeOf(layer.follow), across);
  },
  closingSteps: () => ({}),
};
