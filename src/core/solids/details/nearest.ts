/** What is nearest to a place on some triangles. */
export interface Near {
  distance: number;
  /** number of the triangle */
  triangle: number;
}

/** Triangles to a cell that are aimed at, and the most cells along a side. */
const EACH = 3;
const MOST_SIDE = 96;
/** The most entries of all cells together. */
const MOST_HELD = 2e7;

/** The balls around triangles, about the middles of their corners. */
function ballsAround(position: Float32Array, index: Uint32Array): Float64Array {
  const out = new Float64Array((index.length / 3) * 4);
  for (let t = 0; t < index.length; t += 3) {
    const to = (t / 3) * 4;
    for (let k = 0; k < 3; k++)
      out[to + k] = (position[index[t] * 3 + k] + position[index[t + 1] * 3 + k] + position[index[t + 2] * 3 + k]) / 3;
    for (let corner = 0; corner < 3; corner++) {
      const [x, y, z] = [0, 1, 2].map((k) => position[index[t + corner] * 3 + k] - out[to + k]);
      out[to + 3] = Math.max(out[to + 3], Math.hypot(x, y, z));
    }
  }
  return out;
}

/**
 * Finds what of some triangles is nearest to a place: they are sorted into a grid of cells, of which those around the place are looked
 * at, ring by ring, until nothing nearer can come.
 */
export class NearestTriangle {
  private readonly low = [0, 0, 0];
  private side: number;
  private cell: number;
  private readonly first: Uint32Array;
  private readonly held: Uint32Array;
  private readonly seen: Uint32Array;
  /** of a ball around each triangle: x, y, z of its middle, and its radius */
  private readonly balls: Float64Array;
  private turn = 0;

  constructor(
    private readonly position: Float32Array,
    private readonly index: Uint32Array,
  ) {
    const high = [-Infinity, -Infinity, -Infinity];
    this.low = [Infinity, Infinity, Infinity];
    for (const vertex of index)
      for (let k = 0; k < 3; k++) {
        this.low[k] = Math.min(this.low[k], position[vertex * 3 + k]);
        high[k] = Math.max(high[k], position[vertex * 3 + k]);
      }
    const span = Math.max(1e-9, ...high.map((v, k) => v - this.low[k])) * 1.0001;
    // a surface goes through about the square of the side of all cells
    this.side = Math.max(1, Math.min(MOST_SIDE, Math.ceil(Math.sqrt(index.length / 3 / EACH))));
    this.cell = span / this.side;
    // long triangles lie in many
    while (this.side > 1 && this.touched() > MOST_HELD) {
      this.side = Math.ceil(this.side / 2);
      this.cell = span / this.side;
    }
    const counts = new Uint32Array(this.side ** 3 + 1);
    this.over((at) => counts[at + 1]++);
    for (let i = 0; i + 1 < counts.length; i++) counts[i + 1] += counts[i];
    this.first = counts;
    const filled = counts.slice();
    this.held = new Uint32Array(counts[counts.length - 1]);
    this.over((at, triangle) => (this.held[filled[at]++] = triangle));
    this.seen = new Uint32Array(index.length / 3);
    this.balls = ballsAround(position, index);
  }

  /** The cells that the box around a triangle reaches into, first and last along each axis. */
  private reach(t: number): [number, number, number, number, number, number] {
    const { position, index } = this;
    const out: [number, number, number, number, number, number] = [0, 0, 0, 0, 0, 0];
    for (let k = 0; k < 3; k++) {
      const [a, b, c] = [position[index[t] * 3 + k], position[index[t + 1] * 3 + k], position[index[t + 2] * 3 + k]];
      out[k] = this.place(Math.min(a, b, c), k);
      out[3 + k] = this.place(Math.max(a, b, c), k);
    }
    return out;
  }

  private touched(): number {
    let sum = 0;
    for (let t = 0; t < this.index.length; t += 3) {
      const [x, y, z, u, v, w] = this.reach(t);
      sum += (u - x + 1) * (v - y + 1) * (w - z + 1);
    }
    return sum;
  }

  private over(each: (cell: number, triangle: number) => void): void {
    const { index, side } = this;
    for (let t = 0; t < index.length; t += 3) {
      const [x0, y0, z0, x1, y1, z1] = this.reach(t);
      for (let z = z0; z <= z1; z++)
        for (let y = y0; y <= y1; y++) for (let x = x0; x <= x1; x++) each((z * side + y) * side + x, t / 3);
    }
  }

  private place(value: number, k: number): number {
    return Math.min(this.side - 1, Math.max(0, Math.floor((value - this.low[k]) / this.cell)));
  }

  /** The nearest triangle to x, y, z. */
  to(x: number, y: number, z: number): Near {
    this.turn++;
    const { side, cell, balls } = this;
    const at = [this.place(x, 0), this.place(y, 1), this.place(z, 2)];
    let best: Near = { distance: Infinity, triangle: -1 };
    for (let ring = 0; ring < side; ring++) {
      // what is in this ring and beyond is at least so far away
      const inside = [x, y, z].map((v, k) => {
        const within = v - this.low[k] - at[k] * cell;
        return Math.min(within, cell - within);
      });
      if (best.distance < (ring - 1) * cell + Math.min(...inside)) break;
      for (let dz = -ring; dz <= ring; dz++)
        for (let dy = -ring; dy <= ring; dy++)
          for (
            let dx = -ring;
            dx <= ring;
            dx += Math.max(Math.abs(dz), Math.abs(dy)) === ring ? 1 : Math.max(1, 2 * ring)
          ) {
            const [cx, cy, cz] = [at[0] + dx, at[1] + dy, at[2] + dz];
            if (cx < 0 || cy < 0 || cz < 0 || cx >= side || cy >= side || cz >= side) continue;
            const own = (cz * side + cy) * side + cx;
            for (let i = this.first[own]; i < this.first[own + 1]; i++) {
              const triangle = this.held[i];
              if (this.seen[triangle] === this.turn) continue;
              this.seen[triangle] = this.turn;
              const ball = triangle * 4;
              const [bx, by, bz] = [x - balls[ball], y - balls[ball + 1], z - balls[ball + 2]];
              if (Math.sqrt(bx * bx + by * by + bz * bz) - balls[ball + 3] >= best.distance) continue;
              const distance = this.toTriangle(triangle, x, y, z);
              if (distance < best.distance) best = { distance, triangle };
            }
          }
    }
    return best;
  }

  /** Distance to one triangle (Ericson, Real-Time Collision Detection, 2005, 5.1.5). */
  private toTriangle(t: number, px: number, py: number, pz: number): number {
    const { position: p, index } = this;
    const [a, b, c] = [index[t * 3] * 3, index[t * 3 + 1] * 3, index[t * 3 + 2] * 3];
    const [abx, aby, abz] = [p[b] - p[a], p[b + 1] - p[a + 1], p[b + 2] - p[a + 2]];
    const [acx, acy, acz] = [p[c] - p[a], p[c + 1] - p[a + 1], p[c + 2] - p[a + 2]];
    const [apx, apy, apz] = [px - p[a], py - p[a + 1], pz - p[a + 2]];
    const away = (s: number, u: number): number => {
      const [x, y, z] = [apx - abx * s - acx * u, apy - aby * s - acy * u, apz - abz * s - acz * u];
      return Math.sqrt(x * x + y * y + z * z);
    };
    const d1 = abx * apx + aby * apy + abz * apz;
    const d2 = acx * apx + acy * apy + acz * apz;
    if (d1 <= 0 && d2 <= 0) return away(0, 0);
    const [bpx, bpy, bpz] = [apx - abx, apy - aby, apz - abz];
    const d3 = abx * bpx + aby * bpy + abz * bpz;
    const d4 = acx * bpx + acy * bpy + acz * bpz;
    if (d3 >= 0 && d4 <= d3) return away(1, 0);
    const vc = d1 * d4 - d3 * d2;
    if (vc <= 0 && d1 >= 0 && d3 <= 0) return away(d1 - d3 > 0 ? d1 / (d1 - d3) : 0, 0);
    const [cpx, cpy, cpz] = [apx - acx, apy - acy, apz - acz];
    const d5 = abx * cpx + aby * cpy + abz * cpz;
    const d6 = acx * cpx + acy * cpy + acz * cpz;
    if (d6 >= 0 && d5 <= d6) return away(0, 1);
    const vb = d5 * d2 - d1 * d6;
    if (vb <= 0 && d2 >= 0 && d6 <= 0) return away(0, d2 - d6 > 0 ? d2 / (d2 - d6) : 0);
    const va = d3 * d6 - d5 * d4;
    if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
      const whole = d4 - d3 + (d5 - d6);
      const w = whole > 0 ? (d4 - d3) / whole : 0;
      return away(1 - w, w);
    }
    const over = 1 / (va + vb + vc);
    return away(vb * over, vc * over);
  }
}
