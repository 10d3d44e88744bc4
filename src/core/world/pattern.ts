import { NO_PICTURE, PICTURES } from '../pictures/facts';
import { standAt, UNPLACED } from '../elements/place/form';
import { placementTurn } from '../elements/place/place';
import { middleOf } from '../elements/extent';
import type { Standing } from '../layers/definition';
import { definitionOf, type Layer } from '../layers/kinds';
import { isGlued, patternOf, type Covering } from '../matter/pattern/kinds';
import { periodOf, runAt, type Row, type Rows } from '../matter/pattern/setting';
import { fitNoise } from '../noise/fit';
import type { Piece } from '../piece/schema';
import { rotate, type Quaternion, type Vec3 } from '../space/vector';
import { cameraPose } from './camera';
import { worldOf } from './layers';
import { rides, standsOnce } from './route';

/** Where a pattern lies at a phase. */
export interface Lying {
  /** from places on what it covers (on a body: in its own units; else in metres of the world) to patches */
  from: Rows;
  /** patches after which it repeats */
  period: [number, number, number];
  /** the phase at which it is where it is meant to be, from when on it goes with what it covers; null where it is not so */
  since: number | null;
  /** of what stands in every tile the camera sees at that phase what is within one tile ahead of it: the way it looks, and the eye */
  ahead: { way: Vec3; eye: Vec3; tile: number } | null;
}

/** Rows that turn, scale and move: to `scale`, along axes turned back by `turn`, from `at`. */
function rowsFrom(at: Vec3, turn: Quaternion, scale: Vec3, move: Vec3 = [0, 0, 0]): [Row, Row, Row] {
  const axes = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as Vec3[]
  ).map((axis) => rotate(turn, axis));
  return axes.map((axis, k): Row => {
    const to = axis.map((v) => v * scale[k]) as Vec3;
    return [...to, move[k] - to[0] * at[0] - to[1] * at[1] - to[2] * at[2]];
  }) as [Row, Row, Row];
}

const LAST: Row = [0, 0, 0, 1];
const UPRIGHT: Quaternion = [0, 0, 0, 1];
const even = (v: number): Vec3 => [v, v, v];

/** Where a layer stands, how it is turned, and half of what it is across, up and deep, before it is. */
function standOf(piece: Piece, layer: Layer, phase: number): Standing {
  const definition = definitionOf(layer.kind);
  const world = worldOf(piece);
  const own = definition.stands?.(layer, world, phase);
  if (own) return own;
  const place = standAt(definition.placed?.(layer, world.tile) ?? UNPLACED, phase);
  const extent = definition.extent({ ...layer, ...(definition.placed ? UNPLACED : {}) }, world);
  const middle = middleOf(extent);
  const turn = placementTurn(place);
  const off = rotate(turn, middle.map((v) => v * place.scale) as Vec3);
  const at: Vec3 = definition.placed ? [place.aside + off[0], place.above + off[1], off[2] - place.ahead] : middle;
  return {
    at,
    turn,
    half: [
      extent.halfWidth * place.scale,
      extent.halfHeight * place.scale,
      ((extent.to - extent.from) / 2) * place.scale,
    ],
  };
}

/** Width over height of the picture a pattern is made of; 1 of noise. */
export function aspectOf(pattern: Covering): number {
  const { picture } = patternOf(pattern.kind);
  if (!picture) return 1;
  const { width, height } = PICTURES.at(picture(pattern)) ?? NO_PICTURE;
  return width / height;
}

const NOTHING: Row = [0, 0, 0, 0];

/** The same for one who sees only what is across and up. @param distance from which he looks, to whom everything is larger as far as it is nearer; 0: from far off */
function asRead([x, y, z]: readonly [Row, Row, Row], distance: number, run: number): Rows {
  const nearer: Row = distance > 0 ? [-z[0] / distance, -z[1] / distance, -z[2] / distance, 1 - z[3] / distance] : LAST;
  return [x, y.map((v, k) => v + run * nearer[k]) as [number, number, number, number], NOTHING, nearer];
}

function throughLayer(piece: Piece, layer: Layer, pattern: Covering, since: number, run: number): Rows {
  const { at, turn, half, flat } = standOf(piece, layer, since);
  const fits = pattern.kind === 'picture' && pattern.fits;
  const high = 2 * Math.max(half[1], half[0] / aspectOf(pattern), 1e-3);
  const size = fits ? high : pattern.metres;
  if (flat) return asRead(rowsFrom(at, turn, [1 / size, 1 / size, 1]), flat.distance, fits ? 0 : run);
  if (fits) return [...rowsFrom(at, turn, even(1 / high)), LAST];
  const turned = Math.abs(turn[3]) < 1 - 1e-9;
  // what is not turned may go on from tile to tile
  const scale = turned ? even(1 / pattern.metres) : fitNoise(pattern.metres, piece.tile).scale;
  return [...rowsFrom(at, turn, scale, [0, run, 0]), LAST];
}

function asSeen(piece: Piece, layer: Layer, pattern: Covering, since: number): Pick<Lying, 'from' | 'ahead'> {
  const pose = cameraPose(piece, since);
  const [x, y, z] = rowsFrom(pose.position, pose.quaternion, even(1));
  const aspect = piece.frame.width / piece.frame.height;
  // heights of the frame at one metre, or at any distance
  const wide = (pose.orthoWidth ?? pose.sensorMm / pose.focalMm) / aspect;
  const k = 1 / (wide * pattern.high);
  const scaled = (row: Row, by: number): Row => [row[0] * by, row[1] * by, row[2] * by, row[3] * by];
  const depth = scaled(z, -1);
  const all = standsOnce(piece, layer) || rides(layer);
  return {
    from:
      pose.orthoWidth === null
        ? [scaled(x, k), scaled(y, k), [0, 0, 0, 0], depth]
        : [scaled(x, k), scaled(y, k), [0, 0, 0, 0], LAST],
    ahead: all ? null : { way: rotate(pose.quaternion, [0, 0, -1]), eye: pose.position, tile: piece.tile },
  };
}

/** Where a layer's pattern lies at a phase, which is not wrapped. @param ofBodies whether it covers bodies rather than one surface */
export function lyingOf(piece: Piece, layer: Layer, pattern: Covering, phase: number, ofBodies: boolean): Lying {
  const run = runAt(pattern, phase);
  const since = isGlued(pattern.lies) ? pattern.frame / piece.lap.frames : null;
  const along = Math.max(2, Math.round(piece.tile / pattern.metres));
  switch (pattern.lies) {
    case 'body': {
      const rows = rowsFrom([0, 0, 0], UPRIGHT, even(1 / pattern.patch), [0, run, 0]);
      // what is no body has a tile
      const fitted = fitNoise(pattern.patch, piece.tile);
      const over = ofBodies ? rows : rowsFrom([0, 0, 0], UPRIGHT, fitted.scale, [0, run, 0]);
      return {
        from: [...over, LAST],
        period: periodOf(pattern, ofBodies ? undefined : fitted.period[2]),
        since,
        ahead: null,
      };
    }
    case 'world': {
      const { scale } = fitNoise(pattern.metres, piece.tile);
      const from: Rows = [...rowsFrom([0, 0, 0], UPRIGHT, scale, [0, run, 0]), LAST];
      return { from, period: periodOf(pattern, along), since, ahead: null };
    }
    case 'layer':
      return {
        from: throughLayer(piece, layer, pattern, since ?? 0, run),
        period: periodOf(pattern, along),
        since,
        ahead: null,
      };
    case 'view':
      return { ...asSeen(piece, layer, pattern, since ?? 0), period: periodOf(pattern), since };
  }
}
