import { fitNoise } from '../../noise/fit';
import { UNPLACED } from '../../elements/place/form';
import type { Drawing } from '../drawing';
import type { World } from '../../elements/world';
import { poissonDisk } from '../../scatter/poisson';
import { sourceMesh, sourceOf, sourceTurnStep, type SourceName } from '../../solids/source';
import { piecesOf } from '../../treatments/kinds';
import { carriedAlong, courseValues } from '../../elements/course';
import type { LayerDefinition } from '../definition';
import { placedExtent } from '../../elements/place/place';
import { copiesArrangement, copiesKernel, copiesPlace, type CopiesValues } from './copies.gen';
import { presets } from './presets';
import { memo } from '../../memo';
import { CopiesForm, type CopiesLayer } from './form';

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

const scattered = memo<Float32Array>(12);

/** Places of scattered copies, made once for what they depend on. */
const scatterOf = (layer: CopiesLayer, tile: number): Float32Array =>
  scattered(JSON.stringify([boxOf(layer, tile), layer.count, layer.distance, layer.fill, layer.seed]), () =>
    poissonDisk(boxOf(layer, tile), layer.count, layer.distance, layer.fill, layer.seed),
  );

const meshOf = (layer: CopiesLayer, name: SourceName) => {
  const { count, seed } = piecesOf(layer.treatments);
  return sourceMesh(name, layer, count, seed);
};

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

export const copies: LayerDefinition<CopiesLayer, CopiesValues> = {
  kind: 'copies',
  label: 'Copies',
  need: 'Repeat a shape',
  describe: 'A body repeated in a grid, ring, spiral, line, on a ball or scattered',
  form: CopiesForm,
  presets,
  bodies: () => true,
  solid: true,
  countsAll: true,
  follows: (layer) => layer.follow,
  liesAlong: (layer) => layer.arrangement === 'route',
  // along a route copies stand where the route is; a place of their own would take them off it
  placed: (layer) => (layer.arrangement === 'route' ? UNPLACED : layer),
  kernel: copiesKernel,
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
    const spacing: [number, number, number] =
      layer.arrangement === 'line'
        ? [0, 0, layer.fill ? context.tile / layer.count : layer.spacing]
        : layer.arrangement === 'scatter'
          ? boxOf(layer, context.tile)
          : [layer.stepX, layer.stepY, layer.stepZ];
    return {
      seed: layer.seed,
      arrangement: copiesArrangement[layer.arrangement],
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
      placeBy: copiesPlace[layer.placeBy],
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
    ...sourceOf(layer),
    piecesOf(layer.treatments),
    layer.arrangement === 'scatter' && [layer.boxX, layer.boxY, layer.boxZ, layer.distance, layer.fill, layer.seed],
  ],
  look: (layer) => ({ softness: 0, lineWidth: 0, matter: layer.matter, sprite: 0 }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context: World) {
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
