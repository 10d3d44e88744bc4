import type { Mesh } from './mesh';

/** A coarser choice of a mesh's own triangles' corners. */
export interface Detail {
  /** three vertices of the mesh a triangle */
  index: Uint32Array;
  /** how far the mesh is from it at most, in units of the element's size */
  error: number;
  /** its longest edge, likewise */
  longest: number;
}

/** Of the squared distance to planes: ten numbers of a symmetric 4 × 4 matrix, and the weight of the planes. */
const QUADRIC = 11;
/** A boundary is held by planes across it of so many times its triangles' weight. */
const BOUNDARY_WEIGHT = 10;
/** A turn of the normal across some width, in radians, is as bad as a surface that is off by this share of it times the width. */
const SHADING = 1 / 3;
/** No triangle turns farther than this, as a cosine. */
const LEAST_TURN = 0.25;

/** Numbers in order of their keys, the least first; keys may be out of date. */
class Queue {
  private readonly keys: number[] = [];
  private readonly items: number[] = [];

  push(key: number, item: number): void {
    let i = this.keys.length;
    this.keys.push(key);
    this.items.push(item);
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (this.keys[up] <= key) break;
      this.move(up, i);
      i = up;
    }
    this.keys[i] = key;
    this.items[i] = item;
  }

  pop(): { key: number; item: number } | null {
    if (this.keys.length === 0) return null;
    const [key, item] = [this.keys[0], this.items[0]];
    const lastKey = this.keys.pop() ?? 0;
    const lastItem = this.items.pop() ?? 0;
    const count = this.keys.length;
    if (count > 0) {
      let i = 0;
      for (;;) {
        let down = 2 * i + 1;
        if (down >= count) break;
        if (down + 1 < count && this.keys[down + 1] < this.keys[down]) down++;
        if (this.keys[down] >= lastKey) break;
        this.move(down, i);
        i = down;
      }
      this.keys[i] = lastKey;
      this.items[i] = lastItem;
    }
    return { key, item };
  }

  private move(from: number, to: number): void {
    this.keys[to] = this.keys[from];
    this.items[to] = this.items[from];
  }
}

/**
 * Takes vertices away from a mesh, those first that change it least, by moving them along an edge into a neighbour: quadric
 * error metrics (Garland & Heckbert, SIGGRAPH 97) with half-edge collapses, so that what is left are vertices of the mesh with
 * their own normals and pieces. Creases stay: a vertex that stands for several normals goes only where each of them
 * goes on.
 */
class Simplifier {
  private readonly index: Uint32Array;
  /** the place of every vertex: creases have several vertices at one place */
  private readonly place: Int32Array;
  /** triangles at each place, some of them gone */
  private readonly around: number[][];
  private readonly quadrics: Float64Array;
  /** a place's quadric has changed so often: what was queued before is out of date */
  private readonly changes: Int32Array;
  private readonly queue = new Queue();
  /** edges that were queued: from and to, and the changes of both then */
  private readonly edges: [from: number, to: number, stamp: number][] = [];
  private readonly at: Float64Array;
  private left: number;

  constructor(private readonly mesh: Mesh) {
    this.index = mesh.index.slice();
    this.left = mesh.index.length / 3;
    this.place = placesOf(mesh);
    const places = this.place.reduce((most, v) => Math.max(most, v), -1) + 1;
    this.at = new Float64Array(places * 3);
    this.place.forEach((p, v) => this.at.set(mesh.position.subarray(v * 3, v * 3 + 3), p * 3));
    this.around = Array.from({ length: places }, () => []);
    this.quadrics = new Float64Array(places * QUADRIC);
    this.changes = new Int32Array(places);
    for (let t = 0; t < this.left; t++) for (const p of this.corners(t)) this.around[p].push(t);
    this.measure();
    for (let p = 0; p < places; p++) for (const q of this.neighbours(p)) this.consider(p, q);
  }

  private vertex(t: number, k: number): number {
    return this.index[t * 3 + k];
  }

  private corners(t: number): [number, number, number] {
    return [this.place[this.vertex(t, 0)], this.place[this.vertex(t, 1)], this.place[this.vertex(t, 2)]];
  }

  private gone(t: number): boolean {
    return this.index[t * 3] === this.index[t * 3 + 1];
  }

  private triangles(p: number): number[] {
    return (this.around[p] = this.around[p].filter((t) => !this.gone(t)));
  }

  private neighbours(p: number): Set<number> {
    const found = new Set<number>();
    for (const t of this.triangles(p)) for (const q of this.corners(t)) if (q !== p) found.add(q);
    return found;
  }

  /** The normal of three places, as long as twice their triangle's area. */
  private normal(a: number, b: number, c: number): [number, number, number] {
    const { at } = this;
    const [ux, uy, uz] = [0, 1, 2].map((k) => at[b * 3 + k] - at[a * 3 + k]);
    const [vx, vy, vz] = [0, 1, 2].map((k) => at[c * 3 + k] - at[a * 3 + k]);
    return [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  }

  private addPlane(p: number, normal: readonly number[], through: number, weight: number): void {
    const length = Math.hypot(...normal);
    if (length < 1e-12) return;
    const [a, b, c] = normal.map((v) => v / length);
    const { at, quadrics } = this;
    const d = -(a * at[through * 3] + b * at[through * 3 + 1] + c * at[through * 3 + 2]);
    const products = [a * a, a * b, a * c, a * d, b * b, b * c, b * d, c * c, c * d, d * d, 1];
    for (let k = 0; k < QUADRIC; k++) quadrics[p * QUADRIC + k] += products[k] * weight;
  }

  /** The planes of all triangles, and planes across the edges that belong to one triangle alone. */
  private measure(): void {
    const sides = new Map<number, number>();
    const places = this.around.length;
    const keyOf = (a: number, b: number): number => Math.min(a, b) * places + Math.max(a, b);
    for (let t = 0; t < this.left; t++) {
      const [a, b, c] = this.corners(t);
      const normal = this.normal(a, b, c);
      for (const p of [a, b, c]) this.addPlane(p, normal, a, Math.hypot(...normal) / 2);
      for (const key of [keyOf(a, b), keyOf(b, c), keyOf(c, a)]) sides.set(key, (sides.get(key) ?? 0) + 1);
    }
    for (let t = 0; t < this.left; t++) {
      const own = this.corners(t);
      const normal = this.normal(...own);
      for (let k = 0; k < 3; k++) {
        const [a, b] = [own[k], own[(k + 1) % 3]];
        if (sides.get(keyOf(a, b)) !== 1) continue;
        const e = [0, 1, 2].map((i) => this.at[b * 3 + i] - this.at[a * 3 + i]);
        const across = [
          e[1] * normal[2] - e[2] * normal[1],
          e[2] * normal[0] - e[0] * normal[2],
          e[0] * normal[1] - e[1] * normal[0],
        ];
        for (const p of [a, b]) this.addPlane(p, across, a, e[0] * e[0] + e[1] * e[1] + e[2] * e[2] * BOUNDARY_WEIGHT);
      }
    }
  }

  /** Squared distance of place q to the planes that p stands for, by their weight. */
  private cost(p: number, q: number): number {
    const { at, quadrics } = this;
    const [x, y, z] = [at[q * 3], at[q * 3 + 1], at[q * 3 + 2]];
    const [aa, ab, ac, ad, bb, bc, bd, cc, cd, dd] = quadrics.subarray(p * QUADRIC, p * QUADRIC + 10);
    const sum =
      aa * x * x + bb * y * y + cc * z * z + dd + 2 * (ab * x * y + ac * x * z + bc * y * z + ad * x + bd * y + cd * z);
    return Math.max(0, sum);
  }

  private consider(p: number, q: number): void {
    const { at } = this;
    const length = Math.hypot(at[p * 3] - at[q * 3], at[p * 3 + 1] - at[q * 3 + 1], at[p * 3 + 2] - at[q * 3 + 2]);
    // where nothing tells them apart the shorter edge goes first
    const cost = this.cost(p, q) + this.shading(p, q, length) + 1e-7 * length ** 4;
    this.queue.push(cost, this.edges.length);
    this.edges.push([p, q, this.changes[p] + this.changes[q]]);
  }

  /** What a change of the normals costs: as much as the surface would be off if it were curved as they say. */
  private shading(p: number, q: number, length: number): number {
    const moves = this.moves(p, q);
    if (!moves) return 0;
    let sum = 0;
    for (const t of this.triangles(p)) {
      const area = Math.hypot(...this.normal(...this.corners(t))) / 2;
      for (let k = 0; k < 3; k++) {
        const to = moves.get(this.vertex(t, k));
        if (to !== undefined) sum += area * (turned(this.mesh.normal, this.vertex(t, k), to) * length * SHADING) ** 2;
      }
    }
    return sum;
  }

  /** Where every vertex at p goes when p goes to q, or null when one of them has nowhere to go. */
  private moves(p: number, q: number): Map<number, number> | null {
    const out = new Map<number, number>();
    const wanted = new Set<number>();
    for (const t of this.triangles(p)) {
      let own = -1;
      let other = -1;
      for (let k = 0; k < 3; k++) {
        const v = this.vertex(t, k);
        if (this.place[v] === p) own = v;
        else if (this.place[v] === q) other = v;
      }
      wanted.add(own);
      if (other < 0) continue;
      const known = out.get(own);
      if (known !== undefined && known !== other) return null;
      out.set(own, other);
    }
    return out.size === wanted.size ? out : null;
  }

  /** Whether p may go to q: nothing folds over, and what is joined stays joined the same way. */
  private allowed(p: number, q: number): boolean {
    const near = this.neighbours(q);
    let shared = 0;
    for (const r of this.neighbours(p)) if (near.has(r)) shared++;
    let both = 0;
    for (const t of this.triangles(p)) {
      const own = this.corners(t);
      if (own.includes(q)) {
        both++;
        continue;
      }
      const before = this.normal(...own);
      const [a, b, c] = own.map((r) => (r === p ? q : r));
      const after = this.normal(a, b, c);
      const [m, n] = [Math.hypot(...before), Math.hypot(...after)];
      if (n < 1e-12) return false;
      if (before[0] * after[0] + before[1] * after[1] + before[2] * after[2] < LEAST_TURN * m * n) return false;
    }
    return shared === both;
  }

  private collapse(p: number, q: number, moves: Map<number, number>): void {
    for (const t of this.triangles(p)) {
      if (this.corners(t).includes(q)) {
        this.index.fill(0, t * 3, t * 3 + 3);
        this.left--;
        continue;
      }
      for (let k = 0; k < 3; k++) {
        const to = moves.get(this.index[t * 3 + k]);
        if (to !== undefined) this.index[t * 3 + k] = to;
      }
      this.around[q].push(t);
    }
    this.around[p] = [];
    for (let k = 0; k < QUADRIC; k++) this.quadrics[q * QUADRIC + k] += this.quadrics[p * QUADRIC + k];
    this.changes[p] = -1e9;
    this.changes[q]++;
    for (const r of this.neighbours(q)) {
      this.consider(q, r);
      this.consider(r, q);
    }
  }

  /** Goes on until there are no more triangles than that, or nothing may go. @returns the triangles that are left */
  downTo(triangles: number): Uint32Array {
    while (this.left > triangles) {
      const next = this.queue.pop();
      if (!next) break;
      const [p, q, stamp] = this.edges[next.item];
      if (this.changes[p] + this.changes[q] !== stamp || this.changes[p] < 0 || this.changes[q] < 0) continue;
      if (!this.neighbours(p).has(q)) continue;
      const moves = this.moves(p, q);
      if (moves && this.allowed(p, q)) this.collapse(p, q, moves);
    }
    const out: number[] = [];
    for (let t = 0; t < this.index.length / 3; t++)
      if (!this.gone(t)) out.push(this.vertex(t, 0), this.vertex(t, 1), this.vertex(t, 2));
    return Uint32Array.from(out);
  }
}

/** A number for every vertex, the same where vertices of one piece stand at one place. */
function placesOf({ position, piece }: Mesh): Int32Array {
  const known = new Map<string, number>();
  return Int32Array.from({ length: position.length / 3 }, (_, v) => {
    const at = [...position.subarray(v * 3, v * 3 + 3)].map((x) => Math.round(x * 1e5));
    const key = [...at, piece ? piece[v * 4 + 3] : 0].join();
    const found = known.get(key);
    if (found !== undefined) return found;
    known.set(key, known.size);
    return known.size - 1;
  });
}

/** How far the normals of two vertices are apart, as the length of their difference. */
function turned(normal: Float32Array, a: number, b: number): number {
  let sum = 0;
  for (let k = 0; k < 3; k++) sum += (normal[a * 3 + k] - normal[b * 3 + k]) ** 2;
  return Math.sqrt(sum);
}

/** The place of a triangle nearest to a point, as shares of its second and third corner, and its squared distance. */
interface Nearest {
  distance: number;
  s: number;
  t: number;
}

/** The nearest place of a triangle (Ericson, Real-Time Collision Detection, 2005, 5.1.5). */
function toTriangle(p: Float32Array, a: Float32Array, b: Float32Array, c: Float32Array): Nearest {
  const sub = (u: Float32Array, v: Float32Array): number[] => [u[0] - v[0], u[1] - v[1], u[2] - v[2]];
  const dot = (u: readonly number[], v: readonly number[]): number => u[0] * v[0] + u[1] * v[1] + u[2] * v[2];
  const [ab, ac, ap] = [sub(b, a), sub(c, a), sub(p, a)];
  const place = (s: number, t: number): Nearest => {
    let distance = 0;
    for (let k = 0; k < 3; k++) distance += (ap[k] - ab[k] * s - ac[k] * t) ** 2;
    return { distance, s, t };
  };
  const [d1, d2] = [dot(ab, ap), dot(ac, ap)];
  if (d1 <= 0 && d2 <= 0) return place(0, 0);
  const bp = sub(p, b);
  const [d3, d4] = [dot(ab, bp), dot(ac, bp)];
  if (d3 >= 0 && d4 <= d3) return place(1, 0);
  const vc = d1 * d4 - d3 * d2;
  if (vc <= 0 && d1 >= 0 && d3 <= 0) return place(d1 / (d1 - d3), 0);
  const cp = sub(p, c);
  const [d5, d6] = [dot(ab, cp), dot(ac, cp)];
  if (d6 >= 0 && d5 <= d6) return place(0, 1);
  const vb = d5 * d2 - d1 * d6;
  if (vb <= 0 && d2 >= 0 && d6 <= 0) return place(0, d2 / (d2 - d6));
  const va = d3 * d6 - d5 * d4;
  if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
    const w = (d4 - d3) / (d4 - d3 + (d5 - d6));
    return place(1 - w, w);
  }
  const over = 1 / (va + vb + vc);
  return place(vb * over, vc * over);
}

/** Vertices and triangles that are compared at most, so that a fine mesh is measured in a moment. */
const MOST_MEASURED = 60_000;

/**
 * How far a mesh is from some of its own triangles at most, in units of its size: by the distance of its vertices, and by
 * what their normals are off from those there, over the width of the triangle that shows it.
 */
export function deviation({ position, normal }: Mesh, index: Uint32Array): number {
  const count = position.length / 3;
  const step = Math.max(1, Math.ceil((count * index.length) / 3 / MOST_MEASURED));
  const at = (of: Float32Array, v: number): Float32Array => of.subarray(v * 3, v * 3 + 3);
  let most = 0;
  for (let v = 0; v < count; v += step) {
    const here = at(position, v);
    let least = Infinity;
    // a vertex of a crease looks only at what is on its own side of it
    let off = Infinity;
    for (let t = 0; t < index.length; t += 3) {
      const [a, b, c] = [index[t], index[t + 1], index[t + 2]];
      const near = toTriangle(here, at(position, a), at(position, b), at(position, c));
      if (near.distance > least + 1e-9) continue;
      const there = [0, 1, 2].map(
        (k) => normal[a * 3 + k] * (1 - near.s - near.t) + normal[b * 3 + k] * near.s + normal[c * 3 + k] * near.t,
      );
      const length = Math.hypot(...there) || 1;
      const turn = Math.hypot(...[0, 1, 2].map((k) => there[k] / length - normal[v * 3 + k]));
      const wide = narrowness(position, a, b, c);
      off = near.distance < least - 1e-9 ? turn * wide * SHADING : Math.min(off, turn * wide * SHADING);
      least = Math.min(least, near.distance);
    }
    most = Math.max(most, Math.sqrt(least), off);
  }
  return most;
}

const distance = (position: Float32Array, a: number, b: number): number =>
  Math.hypot(...[0, 1, 2].map((k) => position[a * 3 + k] - position[b * 3 + k]));

/** The least height of a triangle. */
function narrowness(position: Float32Array, a: number, b: number, c: number): number {
  const sides = [distance(position, a, b), distance(position, b, c), distance(position, c, a)];
  const half = (sides[0] + sides[1] + sides[2]) / 2;
  const area = Math.sqrt(Math.max(0, half * (half - sides[0]) * (half - sides[1]) * (half - sides[2])));
  return (2 * area) / Math.max(...sides, 1e-12);
}

function longestEdge({ position }: Mesh, index: Uint32Array): number {
  let most = 0;
  for (let t = 0; t < index.length; t += 3)
    for (let k = 0; k < 3; k++) most = Math.max(most, distance(position, index[t + k], index[t + ((k + 1) % 3)]));
  return most;
}

/** Triangles under which nothing more is taken away, and the most vertices of a mesh that is simplified at all. */
const FEW = 12;
const MOST_VERTICES = 30_000;
/** Each detail has this share of the triangles of the one before; one that keeps more than that is not worth having. */
const SHARE = 0.4;
const WORTH = 0.7;
/** The most details of a mesh, itself included. */
export const MOST_DETAILS = 5;

const known = new WeakMap<Mesh, readonly Detail[]>();

/** A mesh at up to five details, the first all of it, each coarser than the one before. Worked out once a mesh. */
export function detailsOf(mesh: Mesh): readonly Detail[] {
  const made = known.get(mesh);
  if (made) return made;
  const details: Detail[] = [{ index: mesh.index, error: 0, longest: longestEdge(mesh, mesh.index) }];
  if (mesh.position.length / 3 <= MOST_VERTICES && mesh.index.length / 3 > FEW) {
    const simplifier = new Simplifier(mesh);
    while (details.length < MOST_DETAILS) {
      const before = details[details.length - 1];
      const index = simplifier.downTo(Math.max(FEW, Math.floor((before.index.length / 3) * SHARE)));
      if (index.length > before.index.length * WORTH || index.length === 0) break;
      details.push({
        index,
        error: Math.max(before.error, deviation(mesh, index)),
        longest: longestEdge(mesh, index),
      });
    }
  }
  known.set(mesh, details);
  return details;
}
