import { z } from 'zod';
import { choice, flag, gradient, integer, layerRef, number, vectorFields } from '../../piece/fields';
import { poissonDisk } from '../../scatter/poisson';
import { sourceFields, sourceMesh, sourceTurnStep, type SourceName } from '../../solids/source';
import { fitNoise } from '../../treatments/base';
import type { Shatter } from '../../treatments/shatter/shatter';
import { layerBase, layerSeed, matterFields, matterOf, placement, type Placement } from '../base';
import { carriedAlong, courseValues } from '../course';
import type { Drawing, LayerContext, LayerDefinition } from '../definition';
import { placedExtent } from '../place/place';
import { copiesRun, signatures, sources } from './copies.gen';

const ARRANGEMENTS = {
  grid: 'Grid',
  ring: 'Ring',
  spiral: 'Spiral',
  line: 'Line along the travel',
  route: 'Along a route',
  sphere: 'On a ball',
  scatter: 'Scattered in a box',
};
const ARRANGEMENT_INDEX = { grid: 0, ring: 1, spiral: 2, line: 3, route: 4, sphere: 5, scatter: 6 } as const;
const PLACES = { order: 'By order', chance: 'By chance', height: 'By height', noise: 'By noise' };
const PLACE_INDEX = { order: 0, chance: 1, height: 2, noise: 3 } as const;

const shape = 'Arrangement';
const perCopy = 'From each copy to the next';
const tint = 'Colour';
const at = (...is: string[]) => ({ field: 'arrangement', is });
const metres = { unit: 'm', min: 0, max: 10_000, comfort: 4, group: shape };
const many = { min: 1, max: 400, comfort: 30, group: shape, when: at('grid') };

const CopiesSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('copies'),
  ...sourceFields,
  arrangement: choice('grid', ARRANGEMENTS, { label: 'Arranged', group: shape, hint: 'How the copies stand.' }),
  countX: integer(8, { label: 'Aside', ...many, hint: 'Copies from left to right.' }),
  countY: integer(8, { label: 'Up', ...many, hint: 'Copies from bottom to top.' }),
  countZ: integer(3, { label: 'Along', ...many, hint: 'Copies along the travel.' }),
  count: integer(20, {
    label: 'Copies',
    min: 1,
    max: 200_000,
    comfort: 400,
    group: shape,
    when: at('ring', 'spiral', 'line', 'route', 'sphere', 'scatter'),
    hint: 'Copies in the finished piece, in one tile.',
  }),
  ...vectorFields('step', 0.4, {
    labels: ['Step aside', 'Step up', 'Step along'],
    ...metres,
    when: at('grid'),
    hint: 'Metres from one copy to the next.',
  }),
  spacing: number(0.5, { label: 'Step', ...metres, when: at('line'), hint: 'Metres from one copy to the next.' }),
  fill: flag(false, {
    label: 'Fills the tile',
    group: shape,
    when: at('line', 'scatter'),
    hint: 'Spread over the whole tile, so that it goes on without an end.',
  }),
  radius: number(2, {
    label: 'Radius',
    ...metres,
    when: at('ring', 'spiral', 'route', 'sphere'),
    hint: 'Metres from the middle; along a route, from the route.',
  }),
  radiusEnd: number(0.3, {
    label: 'Ends at',
    ...metres,
    when: at('spiral'),
    hint: 'Radius of the last copy in metres.',
  }),
  winds: number(3, {
    label: 'Winds',
    unit: 'turns',
    min: -200,
    max: 200,
    comfort: 8,
    group: shape,
    when: at('spiral', 'route'),
    hint: 'Turns from the first copy to the last; around a route whole turns per tile close.',
  }),
  rise: number(0, {
    label: 'Rise',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 10,
    group: shape,
    when: at('spiral'),
    hint: 'Metres along the travel from the first copy to the last.',
  }),
  ...vectorFields('box', 4, {
    labels: ['Box width', 'Box height', 'Box depth'],
    ...metres,
    when: at('scatter'),
    hint: 'Metres of the box they are scattered in.',
  }),
  distance: number(0.3, {
    label: 'At least apart',
    ...metres,
    when: at('scatter'),
    hint: 'No two copies are nearer than this; when no more fit, fewer come.',
  }),
  follow: layerRef({
    label: 'Follows',
    group: shape,
    when: at('route'),
    hint: 'The tunnel whose route they stand along.',
  }),
  align: flag(true, {
    label: 'Aligned',
    group: shape,
    when: at('ring', 'spiral', 'route', 'sphere'),
    hint: 'Each turned with the arrangement.',
  }),
  ...vectorFields('turn', 0, {
    labels: ['Turn, cross axis', 'Turn, upright', 'Turn, travel axis'],
    unit: 'turns',
    min: -10,
    max: 10,
    comfort: 0.25,
    decimals: 3,
    group: perCopy,
    hint: 'Turns each copy makes more than the one before, about its own axis.',
  }),
  ...vectorFields('move', 0, {
    labels: ['Shift aside', 'Shift up', 'Shift along'],
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 1,
    group: perCopy,
    hint: 'Metres each copy stands farther than the one before.',
  }),
  grow: number(1, {
    label: 'Last one',
    unit: '× size',
    min: 0.01,
    max: 100,
    comfort: 4,
    decimals: 2,
    group: perCopy,
    hint: 'Size of the last copy as a multiple of the first.',
  }),
  gradient: gradient(['#3b4148', '#c9a35a', '#f4ead6'], {
    label: 'Gradient',
    group: tint,
    hint: 'Colours from first to last place.',
  }),
  placeBy: choice('chance', PLACES, {
    label: 'Place on it',
    group: tint,
    hint: 'What decides where on the gradient a copy is.',
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
    hint: 'Metres across one patch of the noise.',
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
  ...matterFields,
  ...placement,
  ...layerSeed,
});
export type CopiesLayer = z.infer<typeof CopiesSchema>;

const fillsTile = (layer: CopiesLayer): boolean =>
  layer.arrangement === 'route' || (layer.fill && (layer.arrangement === 'line' || layer.arrangement === 'scatter'));

const totalOf = (layer: CopiesLayer): number =>
  layer.arrangement === 'grid' ? layer.countX * layer.countY * layer.countZ : layer.count;

/** Every stride-th copy is drawn at a working share; it divides the rows, so the rhythm stays even. */
function strideOf(layer: CopiesLayer, share: number): number {
  if (layer.arrangement === 'scatter') return 1;
  const rows = layer.arrangement === 'grid' ? layer.countX : layer.count;
  let stride = Math.max(1, Math.min(rows, Math.round(1 / share)));
  while (rows % stride !== 0) stride--;
  return stride;
}

const boxOf = (layer: CopiesLayer, tile: number): [number, number, number] => [
  layer.boxX,
  layer.boxY,
  layer.fill ? tile : layer.boxZ,
];

const scattered = new Map<string, Float32Array>();

/** Places of scattered copies, made once for what they depend on. */
function scatterOf(layer: CopiesLayer, tile: number): Float32Array {
  const key = JSON.stringify([boxOf(layer, tile), layer.count, layer.distance, layer.fill, layer.seed]);
  const before = scattered.get(key);
  if (before) return before;
  const points = poissonDisk(boxOf(layer, tile), layer.count, layer.distance, layer.fill, layer.seed);
  if (scattered.size > 12) scattered.clear();
  scattered.set(key, points);
  return points;
}

const shatterOf = (layer: CopiesLayer): Shatter | undefined =>
  layer.treatments.find((t): t is Shatter => t.kind === 'shatter' && !t.off);

const meshOf = (layer: CopiesLayer, name: SourceName) => {
  const shatter = shatterOf(layer);
  return sourceMesh(name, layer, shatter?.pieces ?? 0, shatter?.seed ?? 0);
};

/** Along a route copies stand where the route is; the layer's own place would take them off it. */
const UNPLACED: Placement = { once: false, aside: 0, above: 0, ahead: 0, scale: 1, heading: 0, pitch: 0, bank: 0 };

/** Half sizes of the arrangement about its middle, without the bodies. */
function halfOf(layer: CopiesLayer, tile: number): [number, number, number] {
  const n = totalOf(layer) - 1;
  const moved = [layer.moveX, layer.moveY, layer.moveZ].map(
    (v) => (Math.abs(v) * n) / (layer.arrangement === 'ring' ? 1 : 2),
  );
  const widest = Math.max(layer.radius, layer.radiusEnd);
  const own: Record<CopiesLayer['arrangement'], [number, number, number]> = {
    grid: [
      ((layer.countX - 1) * layer.stepX) / 2,
      ((layer.countY - 1) * layer.stepY) / 2,
      ((layer.countZ - 1) * layer.stepZ) / 2,
    ],
    ring: [layer.radius, layer.radius, 0],
    spiral: [widest, widest, Math.abs(layer.rise) / 2],
    line: [0, 0, layer.fill ? tile / 2 : (n * layer.spacing) / 2],
    route: [layer.radius, layer.radius, tile / 2],
    sphere: [layer.radius, layer.radius, layer.radius],
    scatter: boxOf(layer, tile).map((v) => v / 2) as [number, number, number],
  };
  return own[layer.arrangement].map((v, k) => v + moved[k]) as [number, number, number];
}

export const copies: LayerDefinition<CopiesLayer> = {
  kind: 'copies',
  label: 'Copies',
  need: 'Repeat a shape',
  describe: 'A body repeated in a grid, ring, spiral, line, on a ball or scattered',
  schema: CopiesSchema,
  bodies: () => true,
  placed: (layer) => (layer.arrangement === 'route' ? UNPLACED : layer),
  kernel: { entry: 'copiesElement', sources, signature: signatures.copiesElement, run: copiesRun },
  elementCount(layer, share) {
    if (layer.arrangement === 'scatter') return Math.max(1, Math.round(layer.count * share));
    return totalOf(layer) / strideOf(layer, share);
  },
  counted: (layer, share, context) => ({ count: copies.elementCount(layer, share, context), noun: 'copies' }),
  tiled: fillsTile,
  turnStep(layer, axis, each) {
    if (each) {
      const own = sourceTurnStep(layer.source, layer, axis);
      return layer.exchange === 'none' ? own : Math.max(own, sourceTurnStep(layer.exchange, layer, axis));
    }
    const alike = layer.spread === 0 || new Set(layer.gradient.map(({ colour }) => colour.toLowerCase())).size === 1;
    const straight = layer.heading === 0 && layer.pitch === 0;
    const stepped =
      layer.grow !== 1 ||
      [layer.turnX, layer.turnY, layer.turnZ, layer.moveX, layer.moveY, layer.moveZ].some((v) => v !== 0);
    if (
      layer.arrangement === 'ring' &&
      axis === 'along' &&
      alike &&
      straight &&
      !stepped &&
      layer.align &&
      layer.variation === 0
    )
      return 1 / layer.count;
    return 1;
  },
  rest(layer, context) {
    if (layer.arrangement !== 'scatter') return null;
    const points = scatterOf(layer, context.tile);
    const found = points.length / 3;
    const out = new Float32Array(layer.count * 4);
    for (let i = 0; i < found; i++) out.set([points[i * 3], points[i * 3 + 1], points[i * 3 + 2], 1], i * 4);
    return out;
  },
  values(layer, context, phase, share) {
    const route = context.routeOf(layer.follow);
    const patch = fitNoise(layer.placeScale, context.tile);
    const spacing =
      layer.arrangement === 'line'
        ? [0, 0, layer.fill ? context.tile / layer.count : layer.spacing]
        : layer.arrangement === 'scatter'
          ? boxOf(layer, context.tile)
          : [layer.stepX, layer.stepY, layer.stepZ];
    return {
      seed: layer.seed,
      arrangement: ARRANGEMENT_INDEX[layer.arrangement],
      total: totalOf(layer),
      stride: strideOf(layer, share),
      grid: [layer.countX, layer.countY, layer.countZ],
      spacing,
      radius: layer.radius,
      radiusEnd: layer.radiusEnd,
      winds: layer.winds,
      rise: layer.rise,
      align: layer.align ? 1 : 0,
      stepTurn: [layer.turnX, layer.turnY, layer.turnZ],
      stepMove: [layer.moveX, layer.moveY, -layer.moveZ],
      stepScale: layer.grow,
      bodySize: layer.size,
      variation: layer.variation,
      placeBy: PLACE_INDEX[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
      placeCycles: layer.placeCycles,
      tile: context.tile,
      ...courseValues(route),
      lap: phase,
    };
  },
  drawings(layer, share, context): Drawing[] {
    const all = { as: 'bodies', first: 0, count: copies.elementCount(layer, share, context) } as const;
    if (layer.exchange === 'none') return [{ ...all, mesh: meshOf(layer, layer.source), shown: null }];
    const shown = { from: layer.exchangeFrom, to: layer.exchangeTo, outside: false };
    return [
      { ...all, mesh: meshOf(layer, layer.source), shown: { ...shown, outside: true } },
      { ...all, mesh: meshOf(layer, layer.exchange), shown },
    ];
  },
  structure: (layer) => [
    ...(Object.keys(sourceFields) as (keyof typeof sourceFields)[])
      .filter((name) => name !== 'size' && name !== 'variation')
      .map((name) => layer[name]),
    [shatterOf(layer)?.pieces, shatterOf(layer)?.seed],
    layer.arrangement === 'scatter' && [layer.boxX, layer.boxY, layer.boxZ, layer.distance, layer.fill, layer.seed],
  ],
  look: (layer) => ({ softness: 0, lineWidth: 0, largestRadius: 0, matter: matterOf(layer), sprite: 0 }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context: LayerContext) {
    const largest = layer.size * Math.max(1, layer.grow) * 2 ** layer.variation;
    const radius = Math.max(
      meshOf(layer, layer.source).radius,
      layer.exchange === 'none' ? 0 : meshOf(layer, layer.exchange).radius,
    );
    const body = radius * largest;
    const half = halfOf(layer, context.tile).map((v) => v + body) as [number, number, number];
    if (layer.arrangement !== 'route') return placedExtent(layer, half, body);
    const straight = placedExtent({ ...UNPLACED, ahead: context.tile / 2 }, half, body);
    return carriedAlong(straight, context.routeOf(layer.follow), Math.hypot(half[0], half[1]));
  },
  closingSteps: (layer): Record<string, number> => (layer.arrangement === 'route' ? { winds: 1 } : {}),
};
