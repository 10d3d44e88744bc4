import { showing } from './elements';
import { layerElements, worldOf } from './layers';
import { standsOnce } from './route';
import { definitionOf, type Layer } from '../layers/kinds';
import { wallTriangles } from '../layers/wall';
import type { Mesh } from '../solids/mesh';
import type { Piece } from '../piece/schema';
import { crossesTriangle, nearestOnSegment, nearestOnTriangle } from '../space/distance';
import { inverse, length, rotate, scale, subtract, type Quaternion, type Vec3 } from '../space/vector';
import { frameAt } from '../time/lap';
import { cameraPose } from './camera';
import type { ComfortWarning, Fix } from './comfort';

/** How near the camera comes to solid things and wires, at equally spaced moments of the lap. */
export interface Clearance {
  /** metres to the nearest surface or wire; Infinity where there is none */
  metres: Float32Array;
  /** the nearest layer anywhere in the lap */
  layerId: string | null;
  warnings: ComfortWarning[];
}

/** Nearer than this, in metres, is through. */
const TOUCHES = 0.03;
/** Bodies of a layer that are looked at. */
const MOST_BODIES = 1500;
const SAMPLES = 120;

interface Approach {
  metres: number;
  through: boolean;
}

const at = (position: Float32Array | Float64Array, i: number): Vec3 => [
  position[i * 3],
  position[i * 3 + 1],
  position[i * 3 + 2],
];

/** How far v is outside the least and greatest of three numbers moved by `by`. */
const away = (v: number, a: number, b: number, c: number, by: number): number =>
  Math.max(Math.min(a, b, c) + by - v, v - Math.max(a, b, c) - by, 0);

/** Nearest distance from p to triangles, and whether the way there from `before` goes through one. */
function toTriangles(
  p: Vec3,
  before: Vec3,
  triangles: Uint32Array,
  position: Float32Array | Float64Array,
  shift: (middle: number) => number,
  best: Approach,
): Approach {
  let { metres, through } = best;
  const step = length(subtract(p, before));
  for (let t = 0; t < triangles.length; t += 3) {
    const [i, j, k] = [triangles[t] * 3, triangles[t + 1] * 3, triangles[t + 2] * 3];
    const by = shift((position[i + 2] + position[j + 2] + position[k + 2]) / 3);
    // the box about the triangle, first: most are far away
    const limit = Math.max(metres, step);
    if (
      away(p[0], position[i], position[j], position[k], 0) > limit ||
      away(p[1], position[i + 1], position[j + 1], position[k + 1], 0) > limit ||
      away(p[2], position[i + 2], position[j + 2], position[k + 2], by) > limit
    )
      continue;
    const [a, b, c] = [i, j, k].map((n): Vec3 => [position[n], position[n + 1], position[n + 2] + by]);
    metres = Math.min(metres, length(subtract(p, nearestOnTriangle(p, a, b, c))));
    through ||= step > 0 && crossesTriangle(before, p, a, b, c);
  }
  return { metres, through };
}

/** Nearest distance to the bodies of one mesh, each looked at where it stands. */
function toBodies(
  p: Vec3,
  before: Vec3,
  mesh: Mesh,
  bodies: { first: number; count: number },
  shows: (element: number) => boolean,
  elements: ReturnType<typeof layerElements>,
  shift: (middle: number) => number,
  best: Approach,
): Approach {
  const { position, rotation, size, light } = elements;
  const reach = mesh.radius;
  const step = length(subtract(p, before));
  const every = Math.max(1, Math.ceil(bodies.count / MOST_BODIES));
  let found = best;
  for (let i = bodies.first; i < bodies.first + bodies.count; i += every) {
    if (light[i] <= 0 || size[i] <= 0 || !shows(i)) continue;
    const centre = at(position, i);
    centre[2] += shift(centre[2]);
    const gap = length(subtract(p, centre)) - reach * size[i];
    if (gap > found.metres && gap > step) continue;
    // the camera as the body sees it
    const back = inverse([
      rotation[i * 4],
      rotation[i * 4 + 1],
      rotation[i * 4 + 2],
      rotation[i * 4 + 3],
    ] as Quaternion);
    const own = (v: Vec3): Vec3 => scale(rotate(back, subtract(v, centre)), 1 / size[i]);
    const near = toTriangles(own(p), own(before), mesh.index, mesh.position, () => 0, {
      metres: found.metres / size[i],
      through: found.through,
    });
    found = { metres: near.metres * size[i], through: near.through };
  }
  return found;
}

function approach(piece: Piece, layer: Layer, p: Vec3, before: Vec3, phase: number): Approach {
  const context = worldOf(piece);
  const ground = context.groundOf(layer.id);
  if (ground) {
    // a height field: the distance to its tangent plane, and under it is through it
    const { height, slopeX, slopeZ } = ground(p[0], p[2]);
    const over = (p[1] - height) / Math.hypot(1, slopeX, slopeZ);
    return { metres: Math.abs(over), through: over < 0 };
  }
  const share = definitionOf(layer.kind).countsAll ? 1 : layer.working;
  const elements = layerElements(piece, layer.id, phase, share);
  // the repetition of the tile that is nearest to the camera
  const shift = (z: number): number =>
    standsOnce(piece, layer) ? 0 : Math.round((p[2] - z) / piece.tile) * piece.tile;
  const corner = (i: number): Vec3 => at(elements.position, i);
  const shows = showing(layer, share, context, frameAt(phase, piece.lap.frames));
  return definitionOf(layer.kind)
    .drawings(layer, share, context)
    .reduce<Approach>(
      (best, drawing) => {
        if (drawing.as === 'surface')
          return toTriangles(p, before, wallTriangles(drawing), elements.position, shift, best);
        if (drawing.as === 'bodies')
          return toBodies(p, before, drawing.mesh, drawing, (i) => shows(drawing.body, i), elements, shift, best);
        if (drawing.as !== 'segments') return best;
        let { metres } = best;
        for (let k = 0; k < drawing.pairs.length; k += 2) {
          const [a, b] = [corner(drawing.pairs[k]), corner(drawing.pairs[k + 1])];
          const by = shift((a[2] + b[2]) / 2);
          [a[2], b[2]] = [a[2] + by, b[2] + by];
          metres = Math.min(metres, length(subtract(p, nearestOnSegment(p, a, b))));
        }
        return { ...best, metres };
      },
      { metres: Infinity, through: false },
    );
}

interface Flown {
  metres: Float32Array;
  nearest: string | null;
  /** samples at which the camera is in or through something, with the layer */
  hits: { sample: number; layer: Layer }[];
}

/** Particles, links, streams and plants give way; everything else is solid. Bends of space are left out for bodies. */
function fly(piece: Piece, samples: number): Flown {
  const metres = new Float32Array(samples).fill(Infinity);
  const hits: Flown['hits'] = [];
  const solid = piece.layers.filter((layer) => !layer.hidden && definitionOf(layer.kind).solid);
  let least = Infinity;
  let nearest: string | null = null;
  let before = cameraPose(piece, -1 / samples).position;
  for (let i = 0; i < samples; i++) {
    const phase = i / samples;
    const { position } = cameraPose(piece, phase);
    for (const layer of solid) {
      const found = approach(piece, layer, position, before, phase);
      metres[i] = Math.min(metres[i], found.metres);
      if (found.metres < least) [least, nearest] = [found.metres, layer.id];
      if (found.through || found.metres < TOUCHES) hits.push({ sample: i, layer });
    }
    before = position;
  }
  return { metres, nearest, hits };
}

/** Ways aside of the route that are tried to get clear, in metres. */
const WAYS: readonly (readonly ['aside' | 'above', number, string])[] = [0.5, 1, 2].flatMap(
  (m) =>
    [
      ['above', m, `${m} m higher`],
      ['aside', m, `${m} m to the right`],
      ['aside', -m, `${m} m to the left`],
      ['above', -m, `${m} m lower`],
    ] as const,
);

/** The smallest way aside that gets clear, where the offsets are fixed values. */
function clearing(piece: Piece): Fix[] {
  for (const [field, by, words] of WAYS) {
    const now = piece.flight[field];
    if (typeof now !== 'number') continue;
    const value = Number((now + by).toFixed(3));
    const moved = { ...piece, flight: { ...piece.flight, [field]: value } };
    if (fly(moved, SAMPLES / 2).hits.length === 0)
      return [{ says: `Fly ${words}`, changes: [{ path: ['flight', field], value }] }];
  }
  return [];
}

/**
 * The distance to the nearest surface or wire along the lap. Takes some tenths of a second: for a worker.
 */
export function flightClearance(piece: Piece, samples = SAMPLES): Clearance {
  const { metres, nearest, hits } = fly(piece, samples);
  if (hits.length === 0) return { metres, layerId: nearest, warnings: [] };
  const { sample, layer } = hits[0];
  return {
    metres,
    layerId: nearest,
    warnings: [
      {
        id: 'through',
        at: sample / samples,
        says: `The camera goes through ${layer.name}.`,
        fixes: clearing(piece),
      },
    ],
  };
}
