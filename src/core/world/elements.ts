import { reachKernel } from '../treatments/reach/reach.gen';
import { standsOnce } from './route';
import { runKernel } from '../kernel/kernel';
import { columnsOf, restingElements, type Elements } from '../elements/columns';
import { pipelineIn, shownPhase, type Pipeline, type Step } from './pipeline';
import type { Scene } from './scene';
import type { World } from '../elements/world';
import type { Quaternion, Vec3 } from '../space/vector';
import { frameAt } from '../time/lap';
import { linkPoints, type Links } from '../layers/links/neighbours';
import { definitionOf, type Layer } from '../layers/kinds';
import type { Mesh } from '../solids/mesh';

export function layerOf(scene: Scene, layerId: string): Layer {
  const layer = scene.piece.layers.find((candidate) => candidate.id === layerId);
  if (!layer) throw new RangeError(`the piece has no layer "${layerId}"`);
  return layer;
}

/** Elements on their way through a pipeline, with what the kernels need besides. */
interface Moving {
  elements: Elements;
  columns: Record<string, Float64Array | Uint32Array>;
  weight: Float64Array;
  slope: Float64Array;
}

function movingElements(scene: Scene, layer: Layer, share: number): Moving {
  const elements = restingElements(definitionOf(layer.kind).elementCount(layer, share, scene.world));
  const weight = new Float64Array(elements.count);
  const slope = new Float64Array(elements.count * 3);
  const { rest } = definitionOf(layer.kind);
  const own = new Float64Array(elements.count * 4);
  const given = rest?.(layer, scene.world, share);
  if (given) own.set(given.subarray(0, own.length));
  return { elements, columns: { ...columnsOf(elements), weight, rest: own }, weight, slope };
}

/** Runs the element steps for elements first…end−1, the reach of each before it. */
function runSteps(steps: readonly Step[], phase: number, moving: Moving, first: number, end: number): void {
  const { columns, weight, slope } = moving;
  for (const step of steps) {
    if (step.reach) runKernel(reachKernel, first, end, step.reach(phase), { ...columns, weight, slope });
    else weight.fill(1, first, end);
    runKernel(step.kernel, first, end, step.values(phase), columns);
  }
}

/** Every element of one tile after the layer's kernel, its placement and its element treatments; space is not yet bent. */
function movedElements(scene: Scene, layer: Layer, phase: number, share: number): Elements {
  const moving = movingElements(scene, layer, share);
  const { elements } = moving;
  runSteps(pipelineIn(scene, layer, share).element, phase, moving, 0, elements.count);
  return elements;
}

/** Positions carried through the bends of space, in place. */
function bendPositions(steps: readonly Step[], phase: number, position: Float64Array, order: Float64Array): void {
  const count = position.length / 3;
  const weight = new Float64Array(count);
  const [slope, byWeight, jacobian] = [3, 3, 9].map((n) => new Float64Array(count * n));
  for (const step of steps) {
    if (step.reach) runKernel(reachKernel, 0, count, step.reach(phase), { position, order, weight, slope });
    else weight.fill(1);
    runKernel(step.kernel, 0, count, step.values(phase), { p: position, weight, q: position, jacobian, byWeight });
  }
}

/** Adds to positions their spokes, turned and scaled with their elements. */
function addSpokes({ count, position, rotation, spoke, size }: Elements, first = 0, end = count): void {
  for (let i = first; i < end; i++) {
    const [x, y, z] = [spoke[i * 3] * size[i], spoke[i * 3 + 1] * size[i], spoke[i * 3 + 2] * size[i]];
    if (x === 0 && y === 0 && z === 0) continue;
    const [qx, qy, qz, qw] = [rotation[i * 4], rotation[i * 4 + 1], rotation[i * 4 + 2], rotation[i * 4 + 3]];
    const tx = 2 * (qy * z - qz * y);
    const ty = 2 * (qz * x - qx * z);
    const tz = 2 * (qx * y - qy * x);
    position[i * 3] += x + qw * tx + qy * tz - qz * ty;
    position[i * 3 + 1] += y + qw * ty + qz * tx - qx * tz;
    position[i * 3 + 2] += z + qw * tz + qx * ty - qy * tx;
  }
}

/**
 * The elements of one tile of a layer at a phase, which is not wrapped: positions of particles and of line corners are
 * final, those of bodies are where each stands before space is bent (their vertices are bent: see {@link layerVertices}).
 * @param framePhase phase of the frame it belongs to, for what is held in steps
 * @throws RangeError when the piece has no such layer
 */
export function elementsIn(scene: Scene, layerId: string, at: number, share = 1, framePhase = at): Elements {
  const layer = layerOf(scene, layerId);
  const phase = shownPhase(layer, at, framePhase, scene.piece.lap.frames);
  const elements = movedElements(scene, layer, phase, share);
  addSpokes(elements);
  if (!hasBodies(layer)) bendPositions(pipelineIn(scene, layer, share).space, phase, elements.position, elements.order);
  for (let i = 0; i < elements.count; i++) elements.light[i] *= elements.fade[i];
  return elements;
}

/** Room for single elements, by layer: a large one is not laid out anew for every moment that one of it is looked at. */
const rooms = new WeakMap<Layer, Room>();
interface Room {
  key: string;
  moving: Moving;
  resting: Elements;
  /** the scene whose pipeline it is */
  scene: Scene;
  pipeline: Pipeline;
}

/**
 * One element of a layer, by its number at the final count; the last for an index beyond, null where there are none. Costs
 * as much as one element, once the layer has been looked at.
 * @throws RangeError when the piece has no such layer
 */
export function elementIn(
  scene: Scene,
  layerId: string,
  index: number,
  at: number,
): { position: Vec3; rotation: Quaternion } | null {
  const layer = layerOf(scene, layerId);
  const phase = shownPhase(layer, at, at, scene.piece.lap.frames);
  let room = rooms.get(layer);
  const key =
    room?.scene === scene
      ? room.key
      : `${scene.piece.tile} ${definitionOf(layer.kind).restKey?.(layer, scene.world, 1) ?? ''}`;
  if (room?.key !== key) {
    const moving = movingElements(scene, layer, 1);
    room = { key, moving, resting: restingElements(1), scene, pipeline: pipelineIn(scene, layer, 1) };
    rooms.set(layer, room);
  } else if (room.scene !== scene) {
    room.scene = scene;
    room.pipeline = pipelineIn(scene, layer, 1);
  }
  const { moving, resting, pipeline } = room;
  const { elements } = moving;
  if (elements.count === 0) return null;
  const i = Math.min(definitionOf(layer.kind).numbered?.(layer, index) ?? index, elements.count - 1);
  // at rest again, as every element begins
  for (const [name, column] of Object.entries(columnsOf(resting))) {
    const whole = columnsOf(elements)[name];
    whole.set(column, i * column.length);
  }
  elements.key[i] = i;
  runSteps(pipeline.element, phase, moving, i, i + 1);
  addSpokes(elements, i, i + 1);
  const position = elements.position.slice(i * 3, i * 3 + 3);
  if (!hasBodies(layer)) bendPositions(pipeline.space, phase, position, elements.order.slice(i, i + 1));
  const [x, y, z, w] = elements.rotation.subarray(i * 4, i * 4 + 4);
  return { position: [position[0], position[1], position[2]], rotation: [x, y, z, w] };
}

const hasBodies = (layer: Layer): boolean => definitionOf(layer.kind).bodies?.(layer) === true;

/**
 * The lines of a net at a moment, between its own points or the elements of the layers it names.
 * @param shareOf share of the final count that a layer is drawn at
 */
export function linksIn(
  scene: Scene,
  layer: Layer,
  at: number,
  shareOf: (layer: Layer) => number,
  framePhase = at,
): Links {
  const { linking: linkingOf, madeOf } = definitionOf(layer.kind);
  const linking = linkingOf?.(layer, at);
  if (!linking) throw new RangeError(`layer "${layer.id}" is not a net`);
  const [from, to] = madeOf?.(layer) ?? [null, null];
  const pointsOf = (id: string): Float64Array =>
    elementsIn(scene, id, at, shareOf(layerOf(scene, id)), framePhase).position;
  const ends = to === null ? null : pointsOf(to);
  const options = { ...linking, tile: linking.wraps && !standsOnce(scene.piece, layer) ? scene.piece.tile : 0 };
  return linkPoints(pointsOf(from ?? layer.id), ends, options);
}

/** Points that stand for a layer when two moments are compared: its elements, or vertices of its bodies. */
export interface LayerPoints {
  count: number;
  /** the element each stands for */
  owner: Uint32Array;
  position: Float64Array;
  scale: Float64Array;
  place: Float64Array;
  light: Float64Array;
}

/**
 * The points that stand for a layer at a phase: elements, or for bodies some vertices of each, broken, placed and bent as
 * they are drawn, so that a body turned into itself is the same set.
 */
export function pointsIn(scene: Scene, layerId: string, at: number, share = 1, framePhase = at): LayerPoints {
  const layer = layerOf(scene, layerId);
  const elements = elementsIn(scene, layerId, at, share, framePhase);
  if (!hasBodies(layer))
    return { ...elements, owner: Uint32Array.from({ length: elements.count }, (_, i) => i), scale: elements.size };
  return layerVertices(
    scene,
    layer,
    shownPhase(layer, at, framePhase, scene.piece.lap.frames),
    framePhase,
    elements,
    share,
  );
}

const everyVertex = ({ position }: Mesh): Uint32Array => Uint32Array.from({ length: position.length / 3 }, (_, i) => i);

/** Every vertex of every body of a layer at a phase, broken, placed and bent as they are drawn: drawing by drawing, body by body. */
export function verticesIn(scene: Scene, layerId: string, at: number): LayerPoints {
  const layer = layerOf(scene, layerId);
  const elements = elementsIn(scene, layerId, at);
  const phase = shownPhase(layer, at, at, scene.piece.lap.frames);
  return layerVertices(scene, layer, phase, at, elements, 1, everyVertex);
}

/** Which elements show one of a layer's bodies on a frame: all where its drawings do not say which they are of. */
export function showing(
  layer: Layer,
  share: number,
  world: World,
  frame: number,
): (body: number | undefined, element: number) => boolean {
  const bodies = definitionOf(layer.kind).bodiesOn?.(layer, share, world, frame);
  return (body, element) => body === undefined || bodies === undefined || bodies[element] === body;
}

function layerVertices(
  scene: Scene,
  layer: Layer,
  phase: number,
  framePhase: number,
  elements: Elements,
  share: number,
  verticesOf: (mesh: Mesh) => Uint32Array = ({ sample }) => sample,
): LayerPoints {
  const pipeline = pipelineIn(scene, layer, share);
  const { frames } = scene.piece.lap;
  const frame = frameAt(framePhase, frames);
  const lists = definitionOf(layer.kind)
    .drawings(layer, share, scene.world)
    .flatMap((drawing) => {
      return drawing.as === 'bodies' ? [drawing] : [];
    });
  const shows = showing(layer, share, scene.world, frame);
  let count = 0;
  for (const { mesh, first, count: bodies, body } of lists)
    for (let i = first; i < first + bodies; i++) if (shows(body, i)) count += verticesOf(mesh).length;
  const owner = new Uint32Array(count);
  const vertex = new Float64Array(count * 3);
  const heart = new Float64Array(count * 3);
  const piece_ = new Uint32Array(count);
  let at = 0;
  for (const { mesh, first, count: bodies, body } of lists)
    for (let i = first; i < first + bodies; i++) {
      if (!shows(body, i)) continue;
      for (const v of verticesOf(mesh)) {
        owner[at] = i;
        vertex.set(mesh.position.subarray(v * 3, v * 3 + 3), at * 3);
        if (mesh.piece) {
          heart.set(mesh.piece.subarray(v * 4, v * 4 + 3), at * 3);
          piece_[at] = mesh.piece[v * 4 + 3];
        }
        at++;
      }
    }
  const normal = new Float64Array(count * 3);
  const key = Uint32Array.from(owner, (body) => elements.key[body]);
  const pick = (from: Float64Array, width: number): Float64Array => {
    const to = new Float64Array(count * width);
    for (let i = 0; i < count; i++) to.set(from.subarray(owner[i] * width, (owner[i] + 1) * width), i * width);
    return to;
  };
  const position = pick(elements.position, 3);
  const order = pick(elements.order, 1);
  const weight = new Float64Array(count);
  const slope = new Float64Array(count * 3);
  for (const step of pipeline.piece) {
    // a body breaks as far as the reach goes where it stands
    if (step.reach) runKernel(reachKernel, 0, count, step.reach(phase), { position, order, weight, slope });
    else weight.fill(1);
    runKernel(step.kernel, 0, count, step.values(phase), { key, weight, heart, piece: piece_, vertex, normal });
  }
  const bodies = {
    ...elements,
    count,
    position,
    rotation: pick(elements.rotation, 4),
    spoke: vertex,
    size: pick(elements.size, 1),
  };
  addSpokes(bodies);
  bendPositions(pipeline.space, phase, bodies.position, order);
  return {
    count,
    owner,
    position: bodies.position,
    scale: bodies.size,
    place: pick(elements.place, 1),
    light: pick(elements.light, 1),
  };
}
