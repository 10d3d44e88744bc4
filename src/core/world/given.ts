import { gradientColoursAt } from '../colour/animated';
import type { DrawingOf } from '../layers/drawing';
import { definitionOf, type Layer } from '../layers/kinds';
import { wallTriangles } from '../layers/wall';
import { fieldOfViewDeg, imageDistanceMm } from '../lens/optics';
import type { Piece } from '../piece/schema';
import type { Mesh } from '../solids/mesh';
import { frameAt } from '../time/lap';
import { layerBatch, type Batch } from './batch';
import { cameraPose, sceneOfPiece, type CameraPose } from './camera';
import { elementsIn, linksIn, showing, verticesIn } from './elements';
import { pipelineIn } from './pipeline';
import { standsOnce } from './route';

// A piece as other programs take it: meshes, points and lines of one moment, in metres, y up, the camera looking along −z.

/** A mesh that stands at places as it is: in each turned, scaled evenly and of a colour. */
export interface GivenBodies {
  mesh: Pick<Mesh, 'position' | 'normal' | 'index'>;
  count: number;
  /** x, y, z */
  position: Float32Array;
  /** x, y, z, w */
  rotation: Float32Array;
  scale: Float32Array;
  /** linear red, green, blue */
  colour: Float32Array;
}

/** A mesh that is as it is. */
export interface GivenMesh {
  position: Float32Array;
  normal: Float32Array;
  index: Uint32Array;
  colour: Float32Array;
}

/** Points, or the ends of lines two by two. */
export interface GivenPoints {
  position: Float32Array;
  colour: Float32Array;
  /** radius in metres */
  size: Float32Array;
}

export interface GivenLayer {
  id: string;
  name: string;
  bodies: GivenBodies[];
  meshes: GivenMesh[];
  points: GivenPoints | null;
  lines: GivenPoints | null;
  /** metres along −z at which it stands again; 0 first */
  repeats: number[];
}

export interface GivenWorld {
  layers: GivenLayer[];
  /** names of layers of which nothing can be given */
  without: string[];
}

/** Less of an element than this is not there. */
const THERE = 0.5;

const three = (values: Float64Array, i: number): ArrayLike<number> => values.subarray(i * 3, i * 3 + 3);

/** Gradients in perceptual spaces go a little beyond what screens show. */
const shown = (v: number): number => Math.min(1, Math.max(0, v));

/** Numbers of some elements, so many each. */
function picked(values: ArrayLike<number>, width: number, which: readonly number[]): Float32Array {
  const out = new Float32Array(which.length * width);
  which.forEach((from, to) => {
    for (let k = 0; k < width; k++) out[to * width + k] = values[from * width + k];
  });
  return out;
}

/** The ways triangles face, as long as twice their areas. */
function facings(position: Float32Array, index: Uint32Array): Float32Array {
  const out = new Float32Array(index.length);
  for (let t = 0; t < index.length; t += 3) {
    const [a, b, c] = [index[t] * 3, index[t + 1] * 3, index[t + 2] * 3];
    const [ux, uy, uz] = [0, 1, 2].map((k) => position[b + k] - position[a + k]);
    const [vx, vy, vz] = [0, 1, 2].map((k) => position[c + k] - position[a + k]);
    [out[t], out[t + 1], out[t + 2]] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  }
  return out;
}

/** Of length 1; what is not there faces up. */
function straight(normal: Float32Array): Float32Array {
  for (let i = 0; i < normal.length; i += 3) {
    const length = Math.hypot(normal[i], normal[i + 1], normal[i + 2]);
    if (length > 0) for (let k = 0; k < 3; k++) normal[i + k] /= length;
    else normal[i + 1] = 1;
  }
  return normal;
}

/** Normals of vertices from the triangles about each, by their areas. */
export function meshNormals(position: Float32Array, index: Uint32Array): Float32Array {
  const out = new Float32Array(position.length);
  const faces = facings(position, index);
  index.forEach((vertex, corner) => {
    const triangle = corner - (corner % 3);
    for (let k = 0; k < 3; k++) out[vertex * 3 + k] += faces[triangle + k];
  });
  return straight(out);
}

/** Degrees between two triangles up to which they are of one wall: of one whose section is round, and of one that is folded. */
const [ROUND, FOLDED] = [50, 13];

/**
 * Triangles that have a vertex in common with others only where they turn by less than so many degrees from one to the
 * next: each corner has the mean normal of those about it, by their areas.
 */
function creased(position: Float32Array, colour: Float32Array, corners: Uint32Array, degrees: number): GivenMesh {
  const least = Math.cos((degrees * Math.PI) / 180);
  const faces = facings(position, corners);
  const dot = (t: number, u: number): number =>
    faces[t] * faces[u] + faces[t + 1] * faces[u + 1] + faces[t + 2] * faces[u + 2];
  const alike = (t: number, u: number): boolean => dot(t, u) >= least * Math.sqrt(dot(t, t) * dot(u, u));
  /** the triangles' corners at each vertex */
  const at = new Map<number, number[]>();
  corners.forEach((vertex, corner) => {
    const list = at.get(vertex);
    if (list) list.push(corner);
    else at.set(vertex, [corner]);
  });
  const place: number[] = [];
  const normal: number[] = [];
  const index = new Uint32Array(corners.length);
  for (const [vertex, about] of at) {
    /** the vertices made of it, by which of the triangles about it each is of */
    const made = new Map<string, number>();
    for (const corner of about) {
      const own = about.map((other) => other - (other % 3)).filter((t) => alike(corner - (corner % 3), t));
      const key = own.join();
      let number = made.get(key);
      if (number === undefined) {
        number = place.length;
        made.set(key, number);
        place.push(vertex);
        normal.push(...[0, 1, 2].map((k) => own.reduce((sum, t) => sum + faces[t + k], 0)));
      }
      index[corner] = number;
    }
  }
  return {
    position: picked(position, 3, place),
    normal: straight(Float32Array.from(normal)),
    index,
    colour: picked(colour, 3, place),
  };
}

/** A wall between rings, seen from within. */
function wallMesh({ position, color }: Batch, drawing: DrawingOf<'surface'>): GivenMesh {
  const corners = wallTriangles(drawing);
  return creased(Float32Array.from(position), Float32Array.from(color), corners, drawing.round ? ROUND : FOLDED);
}

/** The lines of a net, as bright as each is. */
function netLines(piece: Piece, layer: Layer, phase: number): GivenPoints {
  const scene = sceneOfPiece(piece);
  const { linking: linkingOf, madeOf } = definitionOf(layer.kind);
  const linking = linkingOf?.(layer, phase);
  if (!linking) throw new RangeError(`layer "${layer.id}" is not a net`);
  const { pairs, count, shift, closeness } = linksIn(scene, layer, phase, () => 1);
  const [from, to] = madeOf?.(layer) ?? [null, null];
  const first = elementsIn(scene, from ?? layer.id, phase).position;
  const second = to === null ? first : elementsIn(scene, to, phase).position;
  const shades = gradientColoursAt(linking.gradient, phase, closeness.subarray(0, count)).map(shown);
  const position = new Float32Array(count * 6);
  const colour = new Float32Array(count * 6);
  for (let i = 0; i < count; i++) {
    position.set(three(first, pairs[i * 2]), i * 6);
    position.set(three(second, pairs[i * 2 + 1]), i * 6 + 3);
    // its second point may be one of the next tile, or of the one before
    position[i * 6 + 5] += shift[i] * piece.tile;
    for (let k = 0; k < 6; k++) colour[i * 6 + k] = shades[i * 3 + (k % 3)] * closeness[i] ** linking.falloff;
  }
  return { position, colour, size: new Float32Array(count * 2) };
}

/** The cells between elements in rows, two triangles each, seen from above. */
function sheetMesh({ position, color }: Batch, across: number, along: number): GivenMesh {
  const row = across + 1;
  const index = new Uint32Array(across * along * 6);
  let at = 0;
  for (let y = 0; y < along; y++)
    for (let x = 0; x < across; x++) {
      const a = y * row + x;
      for (const corner of [a, a + 1, a + row + 1, a, a + row + 1, a + row]) index[at++] = corner;
    }
  const vertices = row * (along + 1) * 3;
  const own = Float32Array.from(position.subarray(0, vertices));
  return {
    position: own,
    normal: meshNormals(own, index),
    index,
    colour: Float32Array.from(color.subarray(0, vertices)),
  };
}

function givenLayer(piece: Piece, layer: Layer, phase: number, repeats: number[]): GivenLayer | null {
  const scene = sceneOfPiece(piece);
  const definition = definitionOf(layer.kind);
  const batch = layerBatch(piece, layer.id, phase);
  batch.color.forEach((v, i) => (batch.color[i] = shown(v)));
  const { fade } = elementsIn(scene, layer.id, phase);
  const given: GivenLayer = {
    id: layer.id,
    name: layer.name,
    bodies: [],
    meshes: [],
    points: null,
    lines: null,
    repeats,
  };
  const drawings = definition.drawings(layer, 1, scene.world);
  const { space, piece: breaking } = pipelineIn(scene, layer, 1);
  const asIs = space.length === 0 && breaking.length === 0;
  const shows = showing(layer, 1, scene.world, frameAt(phase, piece.lap.frames));
  const vertices = !asIs && drawings.some(({ as }) => as === 'bodies') ? verticesIn(scene, layer.id, phase) : null;
  let vertex = 0;
  for (const drawing of drawings) {
    if (drawing.as === 'bodies') {
      const all = Array.from({ length: drawing.count }, (_, i) => drawing.first + i).filter((i) =>
        shows(drawing.body, i),
      );
      const there = all.filter((i) => fade[i] > THERE);
      const { mesh } = drawing;
      const size = mesh.position.length / 3;
      if (!vertices) {
        const { position, quaternion, scale, color } = batch;
        given.bodies.push({
          ...{
            mesh,
            count: there.length,
            position: picked(position, 3, there),
            rotation: picked(quaternion, 4, there),
          },
          ...{ scale: picked(scale, 1, there), colour: picked(color, 3, there) },
        });
        continue;
      }
      // what is broken or bent has a mesh for each
      for (const body of all) {
        const from = vertex * 3;
        vertex += size;
        if (!there.includes(body)) continue;
        const position = Float32Array.from(vertices.position.subarray(from, from + size * 3));
        const colour = Float32Array.from({ length: size * 3 }, (_, i) => three(batch.color, body)[i % 3]);
        given.meshes.push({ position, normal: meshNormals(position, mesh.index), index: mesh.index, colour });
      }
    } else if (drawing.as === 'sheet') given.meshes.push(sheetMesh(batch, drawing.across, drawing.along));
    else if (drawing.as === 'surface') given.meshes.push(wallMesh(batch, drawing));
    else if (drawing.as === 'links') given.lines = netLines(piece, layer, phase);
    else if (drawing.as === 'sprites' || drawing.as === 'segments') {
      const which =
        drawing.as === 'segments'
          ? [...drawing.pairs]
          : Array.from({ length: batch.count }, (_, i) => i).filter((i) => fade[i] > THERE);
      const points: GivenPoints = {
        position: picked(batch.position, 3, which),
        colour: picked(batch.color, 3, which),
        size: picked(batch.scale, 1, which),
      };
      if (drawing.as === 'segments') given.lines = points;
      else given.points = points;
    }
  }
  const something = given.bodies.length > 0 || given.meshes.length > 0 || given.points !== null || given.lines !== null;
  return something ? given : null;
}

/**
 * The world of a piece at a phase, of so many tiles from the camera's on. Skies are not given; what hangs on the camera neither.
 */
export function givenWorld(piece: Piece, phase: number, tiles: number): GivenWorld {
  const from = Math.floor(-cameraPose(piece, phase).position[2] / piece.tile);
  const repeated = Array.from({ length: tiles }, (_, k) => (from + k) * piece.tile);
  const layers: GivenLayer[] = [];
  const without: string[] = [];
  for (const layer of piece.layers) {
    if (layer.hidden) continue;
    const rides = definitionOf(layer.kind).rides?.(layer) === true;
    const given = rides ? null : givenLayer(piece, layer, phase, standsOnce(piece, layer) ? [0] : repeated);
    if (given) layers.push(given);
    else without.push(layer.name);
  }
  return { layers, without };
}

/** A camera at every frame of a stretch of the lap. */
export interface GivenCamera {
  /** seconds from the first */
  times: Float64Array;
  poses: CameraPose[];
  /** degrees from the left to the right edge of the picture, a lens that breathes as it does; 0 without perspective */
  views: number[];
}

/** @param frames by their numbers; the frame after the last of a whole lap may be among them: it is where the next lap begins */
export function givenCamera(piece: Piece, frames: readonly number[]): GivenCamera {
  const { rate } = piece.lap;
  const seconds = (frame: number): number => ((frame - frames[0]) * rate.den) / rate.num;
  const poses = frames.map((frame) => cameraPose(piece, frame / piece.lap.frames));
  const views = poses.map(({ orthoWidth, focalMm, sensorMm, focusDistance }) => {
    if (orthoWidth !== null) return 0;
    const drawnOut = imageDistanceMm(focalMm, Math.max(focusDistance * 1000, focalMm * 1.1));
    return fieldOfViewDeg(piece.flight.breathing ? drawnOut : focalMm, sensorMm);
  });
  return { times: Float64Array.from(frames, seconds), poses, views };
}
