import { carriedAlong, courseValues } from '../elements/course';
import type { Extent } from '../elements/extent';
import { UNPLACED, type Placement } from '../elements/place/form';
import { placedExtent } from '../elements/place/place';
import type { World } from '../elements/world';
import { memo } from '../memo';
import { poissonDisk } from '../scatter/poisson';
import type { Vec3 } from '../space/vector';
import { arrangement as numbers } from './arrangement.gen';
import type { Arranged, Arrangement } from './form';
import { spreadInDepth } from './spread';

/** They are given their places one by one. */
const ONE_BY_ONE: ReadonlySet<Arrangement> = new Set(['scatter', 'depth']);
/** They can fill the tile. */
const FILLING: ReadonlySet<Arrangement> = new Set(['line', 'scatter', 'depth']);

/** Whether they go on from tile to tile. */
const fillsTile = (a: Arranged): boolean => a.arrangement === 'route' || (a.fill && FILLING.has(a.arrangement));

/** How many there are, in one tile. */
export const totalOf = (a: Arranged): number => (a.arrangement === 'grid' ? a.countX * a.countY * a.countZ : a.count);

/** Every stride-th is drawn at a working share; it divides the rows, so the rhythm stays even. */
export function strideOf(a: Arranged, share: number): number {
  if (a.arrangement === 'scatter') return 1;
  const rows = a.arrangement === 'grid' ? a.countX : a.count;
  let stride = Math.max(1, Math.min(rows, Math.round(1 / share)));
  while (rows % stride !== 0) stride--;
  return stride;
}

/** How many are drawn at a share of the final count. */
export const drawnOf = (a: Arranged, share: number): number =>
  a.arrangement === 'scatter' ? Math.max(1, Math.round(a.count * share)) : totalOf(a) / strideOf(a, share);

const boxOf = (a: Arranged, tile: number): [number, number, number] => [a.boxX, a.boxY, a.fill ? tile : a.boxZ];

const placed = memo<Float32Array>(24);

/** Places of those that are given them one by one, made once for what they depend on. */
const placesOf = (a: Arranged, tile: number): Float32Array => {
  const box = boxOf(a, tile);
  return placed(JSON.stringify([a.arrangement, box, a.count, a.distance, a.clear, a.fill, a.seed]), () =>
    a.arrangement === 'depth'
      ? spreadInDepth(box, a.count, a.clear, a.seed)
      : poissonDisk(box, a.count, a.distance, a.fill, a.seed),
  );
};

/**
 * Where those stand that are given their places one by one, and whether they found one: what the kernels call `rest`.
 * @param indices of those that are drawn, in drawing order
 */
export function restOf(a: Arranged, tile: number, indices: Iterable<number>): Float32Array | null {
  if (!ONE_BY_ONE.has(a.arrangement)) return null;
  const places = placesOf(a, tile);
  const found = places.length / 3;
  const out: number[] = [];
  for (const i of indices)
    if (i < found) out.push(places[i * 3], places[i * 3 + 1], places[i * 3 + 2], 1);
    else out.push(0, 0, 0, 0);
  return Float32Array.from(out);
}

/** Numbers of those that are drawn at a share, in their order. */
export const indicesOf = (a: Arranged, share: number): number[] => {
  const stride = strideOf(a, share);
  return Array.from({ length: drawnOf(a, share) }, (_, i) => i * stride);
};

/** What {@link restOf} depends on. */
export const placesKey = (a: Arranged): unknown =>
  ONE_BY_ONE.has(a.arrangement) && [
    a.arrangement,
    a.boxX,
    a.boxY,
    a.boxZ,
    a.distance,
    a.clear,
    a.fill,
    a.seed,
    a.count,
  ];

/** What arranges them, as kernels that include arrangement.glsl take it. */
export const arrangementValues = (a: Arranged, world: World) => ({
  arrangement: numbers[a.arrangement],
  total: totalOf(a),
  grid: [a.countX, a.countY, a.countZ] as Vec3,
  spacing: (a.arrangement === 'line'
    ? [0, 0, a.fill ? world.tile / a.count : a.spacing]
    : ONE_BY_ONE.has(a.arrangement)
      ? boxOf(a, world.tile)
      : [a.stepX, a.stepY, a.stepZ]) as Vec3,
  radius: a.radius,
  radiusEnd: a.radiusEnd,
  winds: a.winds,
  rise: a.rise,
  align: a.align ? 1 : 0,
  stepTurn: [a.turnX, a.turnY, a.turnZ] as Vec3,
  stepMove: [a.moveX, a.moveY, -a.moveZ] as Vec3,
  stepScale: a.grow,
  tile: world.tile,
  ...courseValues(world.routeOf(a.follow)),
});

/** Half sizes of the arrangement about its middle, without what stands in it. */
function halfOf(a: Arranged, tile: number): Vec3 {
  const n = totalOf(a) - 1;
  const moved = [a.moveX, a.moveY, a.moveZ].map((v) => (Math.abs(v) * n) / (a.arrangement === 'ring' ? 1 : 2));
  const widest = Math.max(a.radius, a.radiusEnd);
  const box = boxOf(a, tile).map((v) => v / 2) as Vec3;
  const own: Record<Arrangement, Vec3> = {
    grid: [((a.countX - 1) * a.stepX) / 2, ((a.countY - 1) * a.stepY) / 2, ((a.countZ - 1) * a.stepZ) / 2],
    ring: [a.radius, a.radius, 0],
    spiral: [widest, widest, Math.abs(a.rise) / 2],
    line: [0, 0, a.fill ? tile / 2 : (n * a.spacing) / 2],
    route: [a.radius, a.radius, tile / 2],
    sphere: [a.radius, a.radius, a.radius],
    scatter: box,
    depth: box,
  };
  return own[a.arrangement].map((v, k) => v + moved[k]) as Vec3;
}

/** Whether all of them look the same way, each as it is by itself. */
export const isUnturned = (a: Arranged): boolean =>
  [a.turnX, a.turnY, a.turnZ].every((v) => v === 0) &&
  (!a.align || a.arrangement === 'grid' || a.arrangement === 'line' || ONE_BY_ONE.has(a.arrangement));

/**
 * Where they may be.
 * @param body metres from the middle of one to its farthest vertex
 * @param own half sizes of one that looks ahead, where they are less than that
 */
export function arrangementExtent(
  a: Arranged & Placement,
  world: World,
  body: number,
  own: Vec3 = [body, body, body],
): Extent {
  const reach = isUnturned(a) ? own : [body, body, body];
  const half = halfOf(a, world.tile).map((v, k) => v + reach[k]) as Vec3;
  if (a.arrangement !== 'route') return placedExtent(a, half, body);
  const straight = placedExtent({ ...UNPLACED, ahead: world.tile / 2 }, half, body);
  return carriedAlong(straight, world.routeOf(a.follow), Math.hypot(half[0], half[1]));
}

/** What every layer of bodies that are arranged says of itself. */
export const arrangedLayer = {
  bodies: () => true,
  solid: true,
  countsAll: true,
  follows: (a: Arranged) => a.follow,
  liesAlong: (a: Arranged) => a.arrangement === 'route',
  // along a route they stand where the route is; a place of their own would take them off it
  placed: (a: Arranged & Placement): Placement => (a.arrangement === 'route' ? UNPLACED : a),
  elementCount: drawnOf,
  tiled: fillsTile,
  closingSteps: (a: Arranged): Record<string, number> => (a.arrangement === 'route' ? { winds: 1 } : {}),
} as const;

/** Whether each is as the one before it, a step farther around the ring. */
export const isEvenRing = (a: Arranged & Placement): boolean =>
  a.arrangement === 'ring' &&
  a.align &&
  a.heading === 0 &&
  a.pitch === 0 &&
  a.grow === 1 &&
  [a.turnX, a.turnY, a.turnZ, a.moveX, a.moveY, a.moveZ].every((v) => v === 0);
