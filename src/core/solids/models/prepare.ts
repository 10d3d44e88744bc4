import { cornerNormals } from './normals';
import type { Model, ModelFacts } from './model';
import type { RawModel, RawPart } from './raw';
import { detailsOf, type Columns } from './simplified';
import { gridded, weldRows } from '../weld';

/** The parts one after another. Where normals are worked out every corner is a vertex. */
function joinedParts(parts: readonly RawPart[]): Columns {
  const sizes = parts.map(({ position, normal, index }) => (normal ? position.length / 3 : index.length));
  const vertices = sizes.reduce((sum, n) => sum + n, 0);
  const corners = parts.reduce((sum, { index }) => sum + index.length, 0);
  const dyed = parts.some(({ dye }) => dye !== null);
  const out: Columns = {
    position: new Float32Array(vertices * 3),
    normal: new Float32Array(vertices * 3),
    uv: new Float32Array(vertices * 3),
    dye: dyed ? new Float32Array(vertices * 3).fill(1) : null,
    index: new Uint32Array(corners),
  };
  let [vertex, corner] = [0, 0];
  parts.forEach((part, p) => {
    const { index, uv, dye } = part;
    const of = (i: number): number => (part.normal ? i : index[i]);
    for (let i = 0; i < sizes[p]; i++) {
      const [from, to] = [of(i), vertex + i];
      for (let k = 0; k < 3; k++) out.position[to * 3 + k] = part.position[from * 3 + k];
      if (uv) {
        out.uv[to * 3] = uv[from * 2];
        out.uv[to * 3 + 1] = uv[from * 2 + 1];
      }
      out.uv[to * 3 + 2] = part.material;
      if (out.dye && dye) for (let k = 0; k < 3; k++) out.dye[to * 3 + k] = dye[from * 3 + k];
    }
    out.normal.set(part.normal ?? cornerNormals(part), vertex * 3);
    for (let i = 0; i < index.length; i++) out.index[corner + i] = vertex + (part.normal ? index[i] : i);
    vertex += sizes[p];
    corner += index.length;
  });
  return out;
}

/** Steps of a normal, a place on a picture and a dye that are one. */
const STEPS = { place: 1 << 21, normal: 512, uv: 1 << 14, dye: 255 };

/** Vertices that are the same become one; triangles without an area are left out, and what no triangle needs. */
function welded(columns: Columns): Columns {
  const { position, normal, uv, dye, index } = columns;
  const count = position.length / 3;
  const width = dye ? 12 : 9;
  const rows = new Int32Array(count * width);
  const places = gridded(position, STEPS.place);
  for (let i = 0; i < count; i++) {
    const to = i * width;
    for (let k = 0; k < 3; k++) {
      rows[to + k] = places[i * 3 + k];
      rows[to + 3 + k] = Math.round(normal[i * 3 + k] * STEPS.normal);
      rows[to + 6 + k] = Math.round(uv[i * 3 + k] * (k < 2 ? STEPS.uv : 1));
      if (dye) rows[to + 9 + k] = Math.round(dye[i * 3 + k] * STEPS.dye);
    }
  }
  const { of } = weldRows(rows, width);
  const corners: Uint32Array = new Uint32Array(index.length);
  let left = 0;
  for (let t = 0; t < index.length; t += 3) {
    const own = [0, 1, 2].map((k) => index[t + k]);
    const [a, b, c] = own.map((v) => of[v]);
    if (a === b || b === c || c === a || flat(places, own)) continue;
    corners[left++] = a;
    corners[left++] = b;
    corners[left++] = c;
  }
  // the first vertex of each kind stands for it, in the order in which triangles ask for them
  const firstOf = new Int32Array(count).fill(-1);
  for (let i = count - 1; i >= 0; i--) firstOf[of[i]] = i;
  const to = new Int32Array(count).fill(-1);
  const kept: number[] = [];
  for (let i = 0; i < left; i++) {
    const kind = corners[i];
    if (to[kind] < 0) to[kind] = kept.push(firstOf[kind]) - 1;
    corners[i] = to[kind];
  }
  const take = (from: Float32Array): Float32Array => {
    const out = new Float32Array(kept.length * 3);
    for (let i = 0; i < kept.length; i++) for (let k = 0; k < 3; k++) out[i * 3 + k] = from[kept[i] * 3 + k];
    return out;
  };
  return {
    position: take(position),
    normal: take(normal),
    uv: take(uv),
    dye: dye && take(dye),
    index: corners.slice(0, left),
  };
}

/** Whether three places are on one line. */
function flat(places: Int32Array, [a, b, c]: readonly number[]): boolean {
  const [u, v] = [b, c].map((p) => [0, 1, 2].map((k) => places[p * 3 + k] - places[a * 3 + k]));
  return u[1] * v[2] === u[2] * v[1] && u[2] * v[0] === u[0] * v[2] && u[0] * v[1] === u[1] * v[0];
}

/** Whether every edge has two faces, which run along it either way. */
function isClosed(position: Float32Array, index: Uint32Array): boolean {
  const { of } = weldRows(gridded(position, STEPS.place / 2), 3);
  const rows = new Int32Array(index.length * 2);
  const ways = new Int8Array(index.length);
  for (let i = 0; i < index.length; i++) {
    const [a, b] = [of[index[i]], of[index[i - (i % 3) + ((i + 1) % 3)]]];
    rows[i * 2] = Math.min(a, b);
    rows[i * 2 + 1] = Math.max(a, b);
    ways[i] = a < b ? 1 : -1;
  }
  const edges = weldRows(rows, 2);
  const sums = new Int32Array(edges.count);
  const faces = new Int32Array(edges.count);
  for (let i = 0; i < index.length; i++) {
    sums[edges.of[i]] += ways[i];
    faces[edges.of[i]]++;
  }
  return faces.every((n, e) => n % 2 === 0 && sums[e] === 0);
}

/** Its volume, less than nothing where it is inside out. */
function volumeOf(position: Float32Array, index: Uint32Array): number {
  let sum = 0;
  for (let t = 0; t < index.length; t += 3) {
    const [a, b, c] = [index[t] * 3, index[t + 1] * 3, index[t + 2] * 3];
    sum +=
      position[a] * (position[b + 1] * position[c + 2] - position[b + 2] * position[c + 1]) +
      position[a + 1] * (position[b + 2] * position[c] - position[b] * position[c + 2]) +
      position[a + 2] * (position[b] * position[c + 1] - position[b + 1] * position[c]);
  }
  return sum / 6;
}

/** Turned about: what faced in faces out. */
function turnedAbout({ normal, index }: Columns): void {
  for (let i = 0; i < normal.length; i++) normal[i] = -normal[i];
  for (let t = 0; t < index.length; t += 3) index.subarray(t + 1, t + 3).reverse();
}

/** Metres to a unit that a model may be in, the likeliest first, and how large things are that one brings in (common practice, no published source). */
const UNITS = [1, 0.001, 0.01] as const;
const LIKELY = { least: 0.02, most: 60 } as const;

const unitOf = (span: number): number =>
  UNITS.find((unit) => span * unit >= LIKELY.least && span * unit <= LIKELY.most) ?? 1;

/** Of what lies flat on its z, and is high that way, z is up: programs for making things and scanning have it so (common practice, no published source). */
const upOf = ({ parts, up }: RawModel, name: string, low: readonly number[], high: readonly number[]): 'y' | 'z' => {
  if (up) return up;
  const stl = parts.every(({ normal, uv }) => normal === null && uv === null) && /\.(stl|ply)$/i.test(name);
  const stands = Math.abs(low[2]) < 0.02 * (high[2] - low[2]) && Math.abs(low[1]) > 0.2 * (high[1] - low[1]);
  return stl || stands ? 'z' : 'y';
};

/**
 * A model made ready to be drawn: welded, with normals, fitted into one across, with details. Asks for {@link simplifierReady} first.
 * @param name of its file, whose ending says which way is up where nothing else does
 */
export function prepareModel(raw: RawModel, name: string): Model {
  const columns = welded(joinedParts(raw.parts));
  const { position, normal } = columns;
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < position.length; i++) {
    low[i % 3] = Math.min(low[i % 3], position[i]);
    high[i % 3] = Math.max(high[i % 3], position[i]);
  }
  const span = [0, 1, 2].map((k) => Math.max(0, high[k] - low[k])) as [number, number, number];
  const largest = Math.max(...span, 1e-30);
  const up = upOf(raw, name, low, high);
  for (let i = 0; i < position.length; i += 3) {
    for (let k = 0; k < 3; k++) position[i + k] = (position[i + k] - (low[k] + high[k]) / 2) / largest;
    const length = Math.hypot(normal[i], normal[i + 1], normal[i + 2]) || 1;
    for (let k = 0; k < 3; k++) normal[i + k] /= length;
    // z up lies down: x stays, what is up goes up, what is behind goes back
    if (up === 'z') for (const of of [position, normal]) [of[i + 1], of[i + 2]] = [of[i + 2], -of[i + 1]];
  }
  const closed = columns.index.length > 0 && isClosed(position, columns.index);
  if (closed && volumeOf(position, columns.index) < 0) turnedAbout(columns);
  const details = detailsOf(columns);
  const facts: ModelFacts = {
    name: raw.name,
    triangles: columns.index.length / 3,
    vertices: position.length / 3,
    span,
    up,
    upSaid: raw.up !== null,
    unit: raw.unit ?? unitOf(largest),
    unitSaid: raw.unit !== null,
    closed: closed && !raw.materials.some(({ open }) => open),
    normals: raw.parts.every((part) => part.normal !== null) ? 'own' : 'made',
    materials: raw.materials.length,
    pictures: raw.pictures.length,
  };
  const { uv, dye } = columns;
  return { facts, position, normal, uv, dye, details, materials: raw.materials, pictures: raw.pictures };
}

/** Triangles that the page needs to draw a model small. */
const SMALL = 3000;

/** A model in its coarsest details alone: what a page holds of it, that draws it small. The facts are those of all of it. */
export function lightened(model: Model): Model {
  const at = model.details.findIndex(({ index }) => index.length / 3 <= SMALL);
  const details = model.details.slice(at < 0 ? model.details.length - 1 : at);
  const to = new Int32Array(model.position.length / 3).fill(-1);
  const kept: number[] = [];
  for (const { index } of details) for (const vertex of index) if (to[vertex] < 0) to[vertex] = kept.push(vertex) - 1;
  const take = (from: Float32Array): Float32Array => {
    const out = new Float32Array(kept.length * 3);
    kept.forEach((vertex, i) => out.set(from.subarray(vertex * 3, vertex * 3 + 3), i * 3));
    return out;
  };
  return {
    ...model,
    position: take(model.position),
    normal: take(model.normal),
    uv: take(model.uv),
    dye: model.dye && take(model.dye),
    details: details.map((detail) => ({ ...detail, index: detail.index.map((vertex) => to[vertex]) })),
    pictures: [],
  };
}
