import { memo } from '../../memo';
import { MeshBuilder, type Mesh } from '../../solids/mesh';
import { broken } from '../../solids/pieces';
import {
  add,
  dot,
  fromAxis,
  inverse,
  multiply,
  normalize,
  rotate,
  scale,
  subtract,
  type Quaternion,
  type Vec3,
} from '../../space/vector';
import type { Shape } from '../../type/shape';
import { facesOf, type Block, type Face } from './blocks';
import { FIGURES, type FigureName } from './kinds/list';
import type { Made, Sizes } from './kinds/made';

const DEGREE = Math.PI / 180;

/** What a figure's shape hangs on. */
export interface Shaped extends Sizes {
  figure: FigureName;
  /** degrees to the right of the front, and above the level, that it reads right from */
  from: number;
  over: number;
  /** metres from its middle that it reads right from; 0: from far off */
  distance: number;
  parts: 'whole' | 'blocks';
}

/** A figure as it stands, read from where it is to be: metres about its middle. */
export interface Stood {
  /** turns from its reader, who looks along −z, to how it stands */
  reading: Quaternion;
  /** where a place that was made is, and where a direction points */
  place(made: Vec3): Vec3;
  direction(made: Vec3): Vec3;
  /** half its width and half its height as it is read */
  half: [number, number];
  made: Made;
}

/** How a reader is turned who is so many degrees to the right of the front and above the level. */
export const readingTurn = (from: number, above: number): Quaternion =>
  multiply(fromAxis([0, 1, 0], from * DEGREE), fromAxis([1, 0, 0], -above * DEGREE));

/** How one is turned that stands in a direction. */
function turnTowards(direction: Vec3): Quaternion {
  const [x, y, z] = normalize(direction);
  return readingTurn(Math.atan2(x, z) / DEGREE, Math.asin(y) / DEGREE);
}

/** A figure of some sizes, stood up to be read from a direction. */
export function stand(shaped: Shaped): Stood {
  const made = FIGURES[shaped.figure].make(shaped);
  const reading = readingTurn(shaped.from, shaped.over);
  const own = turnTowards(made.reads);
  // to the right, up and towards the reader
  const seen = (place: Vec3): Vec3 => rotate(inverse(own), place);
  const corners = made.blocks.flatMap(({ low, high }) =>
    [0, 1, 2, 3, 4, 5, 6, 7].map((c): Vec3 =>
      seen([c & 1 ? low[0] : high[0], c & 2 ? low[1] : high[1], c & 4 ? low[2] : high[2]]),
    ),
  );
  const [low, high] = [Math.min, Math.max].map((of) => [0, 1, 2].map((k) => of(...corners.map((corner) => corner[k]))));
  const middle = scale(add(low as Vec3, high as Vec3), 0.5);
  // seen from a point everything lies on the same lines as from far off: a projective map, which keeps planes
  const drawn = (place: Vec3): Vec3 => {
    const at = subtract(seen(place), middle);
    return shaped.distance > 0 ? scale(at, 1 / Math.max(0.05, 1 + at[2] / shaped.distance)) : at;
  };
  return {
    reading,
    place: (place) => rotate(reading, drawn(place)),
    direction: (way) => rotate(reading, seen(way)),
    half: [(high[0] - low[0]) / 2, (high[1] - low[1]) / 2],
    made,
  };
}

/** An element of a figure: what it is, where its middle is, and how far it is there. */
export interface Part {
  mesh: Mesh;
  middle: Vec3;
  fade: number;
}

/** What parts a figure has: all in one but for what is only partly there, or block by block. */
function partsOf(stood: Stood, together: boolean, pieces: { count: number; seed: number }): Part[] {
  const { blocks } = stood.made;
  const solid = blocks.filter(({ fade }) => fade >= 1);
  const partly = blocks.filter(({ fade }) => fade < 1);
  const groups: Block[][] = together ? [solid, ...partly.map((one) => [one])] : blocks.map((one) => [one]);
  const known = new Map<string, Mesh>();
  return groups
    .filter((group) => group.length > 0)
    .map((group) => {
      const faces = group.flatMap((one) => facesOf(one, group));
      const corners = faces.flatMap((face) => face.corners.map(stood.place));
      const [{ fade }] = group;
      const middle: Vec3 = together && fade >= 1 ? [0, 0, 0] : middleOf(corners);
      const whole = meshOf(faces, stood, middle);
      const mesh = pieces.count > 1 && fade >= 1 ? broken(whole, pieces.count, pieces.seed) : whole;
      // those that are alike are one mesh, and are drawn as one
      const key = [...mesh.position].map((v) => Math.round(v * 1e6)).join();
      const same = known.get(key) ?? (together ? { ...mesh, joined: true } : mesh);
      known.set(key, same);
      return { mesh: same, middle, fade };
    });
}

/** The middle of the box that holds places. */
const middleOf = (places: readonly Vec3[]): Vec3 =>
  [0, 1, 2].map((k) => {
    const values = places.map((place) => place[k]);
    return (Math.min(...values) + Math.max(...values)) / 2;
  }) as Vec3;

function meshOf(faces: readonly Face[], stood: Stood, middle: Vec3): Mesh {
  const builder = new MeshBuilder();
  for (const { corners, normals } of faces) {
    const vertices = corners.map((corner, i) =>
      // faces look as those do that they are made to look like, also where a reader near by has them lean
      builder.vertex(subtract(stood.place(corner), middle), stood.direction(normals[i])),
    );
    for (let i = 1; i + 1 < vertices.length; i++) builder.triangle(vertices[0], vertices[i], vertices[i + 1]);
  }
  return builder.build();
}

const stoodFigures = memo<Stood>(40);
const partLists = memo<Part[]>(40);

/** What the shape of a figure is told by. */
export const shapeKey = (s: Shaped): string =>
  JSON.stringify([s.figure, s.width, s.height, s.thickness, s.steps, s.from, s.over, s.distance]);

/** A figure as it stands: the same for the same shape. */
export const stoodOf = (shaped: Shaped): Stood => stoodFigures(shapeKey(shaped), () => stand(shaped));

/** The elements of a figure. @param pieces that each breaks into */
export const partsIn = (shaped: Shaped, pieces: { count: number; seed: number }): Part[] =>
  partLists(JSON.stringify([shapeKey(shaped), shaped.parts, pieces]), () =>
    partsOf(stoodOf(shaped), shaped.parts === 'whole', pieces),
  );

/** How far each place of a list is along it, as it is read; the last is the whole way. */
function seenLengths(places: readonly Vec3[], stood: Stood): number[] {
  const flat = places.map((place) => rotate(inverse(stood.reading), place));
  const lengths = [0];
  for (let i = 1; i < flat.length; i++)
    lengths.push(lengths[i - 1] + Math.hypot(flat[i][0] - flat[i - 1][0], flat[i][1] - flat[i - 1][1]));
  return lengths;
}

/** Steps of the way round. */
export const WAY_STEPS = 256;

/** The way round a figure, in steps that are alike as it is read: from the cut to the cut. */
export interface Way {
  /** one more than there are steps; the last is seen where the first is */
  places: Vec3[];
  /** the way it goes there, as it is read: to the right and up, of length 1 */
  ways: [number, number][];
  /** metres, as it is read */
  length: number;
}

const ways = memo<Way>(40);

const mixed = (a: Vec3, b: Vec3, t: number): Vec3 => add(scale(a, 1 - t), scale(b, t));

/** The way round a figure, with its bends rounded. */
export const wayOf = (shaped: Shaped): Way =>
  ways(shapeKey(shaped), () => {
    const stood = stoodOf(shaped);
    const { made } = stood;
    const towards = scale(made.reads, made.before / Math.hypot(...made.reads));
    const corners = made.way.map((place) => add(place, towards));
    const gain = subtract(corners[corners.length - 1], corners[0]);
    // rounded before it is drawn for a reader near by, who sees the same
    const far = stand({ ...shaped, distance: 0 });
    const lengths = seenLengths(corners.map(far.place), far);
    const length = lengths[lengths.length - 1];
    const at = (metres: number): Vec3 => {
      const rounds = Math.floor(metres / length);
      const left = metres - rounds * length;
      let i = 0;
      while (i + 2 < lengths.length && lengths[i + 1] < left) i++;
      const t = (left - lengths[i]) / Math.max(1e-9, lengths[i + 1] - lengths[i]);
      return add(mixed(corners[i], corners[i + 1], t), scale(gain, rounds));
    };
    const rounded = (metres: number): Vec3 => {
      if (made.bends <= 0) return at(metres);
      const taps = 17;
      let sum: Vec3 = [0, 0, 0];
      for (let k = 0; k < taps; k++) sum = add(sum, at(metres + ((k - (taps - 1) / 2) / taps) * 2 * made.bends));
      return scale(sum, 1 / taps);
    };
    const step = length / WAY_STEPS;
    // what goes along it changes its depth where it is past the nearer end, unseen, and before nothing but the farther one
    const nearerLast = dot(gain, made.reads) > 0;
    const deeper = (metres: number): Vec3 => {
      if (made.eases <= 0) return [0, 0, 0];
      const t = Math.min(1, (nearerLast ? metres : length - metres) / made.eases);
      return scale(gain, (nearerLast ? 1 : -1) * (1 - t * t * (3 - 2 * t)));
    };
    const places = Array.from({ length: WAY_STEPS + 1 }, (_, i) => add(rounded(i * step), deeper(i * step)));
    const back = inverse(far.reading);
    const ways = places.map((_, i): [number, number] => {
      const [from, to] = [i - 0.5, i + 0.5].map((k) => rotate(back, far.direction(rounded(k * step))));
      const [x, y] = [to[0] - from[0], to[1] - from[1]];
      const along = Math.hypot(x, y) || 1;
      return [x / along, y / along];
    });
    return { places: places.map(stood.place), ways, length };
  });

/** Pairs of places of a figure that seem to meet, as it stands. */
export const meetsOf = (shaped: Shaped): [Vec3, Vec3][] => {
  const { made, place } = stoodOf(shaped);
  return made.meets.map(([a, b]) => [place(a), place(b)]);
};

/** Metres that one place is nearer the reader than another. */
export const depthBetween = (stood: Stood, a: Vec3, b: Vec3): number =>
  dot(rotate(stood.reading, [0, 0, 1]), subtract(a, b));

const sketches = memo<Shape[]>(40);

/** A figure as it is read: what of it looks up, and to the right. */
export const sketchOf = (shaped: Shaped): Shape[] =>
  sketches(shapeKey({ ...shaped, distance: 0 }), () => {
    const stood = stoodOf({ ...shaped, distance: 0 });
    const back = inverse(stood.reading);
    const { blocks } = stood.made;
    return blocks.flatMap((own) =>
      facesOf(own, own.fade < 1 ? [own] : blocks)
        .filter(({ normals: [n] }) => n[0] > 0.3 || n[1] > 0.3)
        .map(({ corners }) => ({
          outline: Float64Array.from(corners.flatMap((corner) => rotate(back, stood.place(corner)).slice(0, 2))),
          holes: [],
        })),
    );
  });
