import type { Mesh } from '../mesh';
import { SHADING } from './deviation';
import { Queue } from './queue';

/** Of the squared distance to planes: ten numbers of a symmetric 4 × 4 matrix, and the weight of the planes. */
const QUADRIC = 11;
/** A boundary is held by planes across it of so many times its triangles' weight. */
const BOUNDARY_WEIGHT = 10;
/** No triangle turns farther than this, as a cosine. */
const LEAST_TURN = 0.25;

/**
 * Takes vertices away from a mesh, those first that change it least, by moving them along an edge into a neighbour: quadric
 * error metrics (Garland & Heckbert, SIGGRAPH 97) with half-edge collapses, so that what is left are vertices of the mesh with
 * their own normals and pieces. Creases stay: a vertex that stands for several normals goes only where each of them
 * goes on.
 */
export class Simplifier {
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
