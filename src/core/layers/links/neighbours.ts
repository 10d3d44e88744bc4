import type { Vec3 } from '../../space/vector';

/** Lines between points, structure of arrays. */
export interface Links {
  count: number;
  /** two points a line; the second counts in the other group where there are two */
  pairs: Uint32Array;
  /** 0 at the limit .. 1 at no distance */
  closeness: Float32Array;
  /** tiles along z that the second point is moved by: −1, 0 or 1 */
  shift: Int8Array;
}

export interface LinkOptions {
  /** metres beyond which nothing is linked */
  limit: number;
  /** most lines at a point; 0 for any number */
  most: number;
  /** metres after which the points repeat along z; 0 for never */
  tile: number;
}

/** Points sorted into cells as wide as the limit, so that neighbours are found next door. */
interface Grid {
  /** where each cell's points begin in the sorted order; x runs fastest, so a row of cells is one stretch */
  starts: Uint32Array;
  /** the points in the order of their cells, and their places */
  sorted: Uint32Array;
  places: Float64Array;
  cells: Vec3;
  low: Vec3;
  size: Vec3;
}

function gridOf(position: Float64Array, count: number, limit: number, tile: number): Grid {
  const low: Vec3 = [Infinity, Infinity, Infinity];
  const high: Vec3 = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < count; i++)
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(low[k], position[i * 3 + k]);
      high[k] = Math.max(high[k], position[i * 3 + k]);
    }
  if (tile > 0) [low[2], high[2]] = [0, tile];
  // not more cells than a few per point, however small the limit
  const widest = Math.cbrt(((high[0] - low[0]) * (high[1] - low[1]) * (high[2] - low[2])) / Math.max(1, count)) / 2;
  const cell = Math.max(limit, Number.isFinite(widest) ? widest : 0, 1e-6);
  const cells = [0, 1, 2].map((k) => Math.min(512, Math.max(1, Math.floor((high[k] - low[k]) / cell)))) as Vec3;
  const size = [0, 1, 2].map((k) => Math.max(1e-9, (high[k] - low[k]) / cells[k])) as Vec3;
  const starts = new Uint32Array(cells[0] * cells[1] * cells[2] + 1);
  const home = new Uint32Array(count);
  for (let i = 0; i < count; i++) {
    const x = coordinate(position[i * 3], 0, low, size, cells, 0);
    const y = coordinate(position[i * 3 + 1], 1, low, size, cells, 0);
    const z = coordinate(position[i * 3 + 2], 2, low, size, cells, tile);
    home[i] = (z * cells[1] + y) * cells[0] + x;
    starts[home[i] + 1]++;
  }
  for (let c = 0; c + 1 < starts.length; c++) starts[c + 1] += starts[c];
  const next = starts.slice();
  const sorted = new Uint32Array(count);
  const places = new Float64Array(count * 3);
  for (let i = 0; i < count; i++) {
    const s = next[home[i]]++;
    sorted[s] = i;
    places[s * 3] = position[i * 3];
    places[s * 3 + 1] = position[i * 3 + 1];
    places[s * 3 + 2] = position[i * 3 + 2];
  }
  return { starts, sorted, places, cells, low, size };
}

const wrap = (v: number, n: number): number => ((v % n) + n) % n;

/** The cell of a coordinate along an axis. */
function coordinate(v: number, k: 0 | 1 | 2, low: Vec3, size: Vec3, cells: Vec3, tile: number): number {
  const at = tile > 0 ? wrap(v, tile) : v - low[k];
  return Math.min(cells[k] - 1, Math.max(0, Math.floor(at / size[k])));
}

/** The cells before, at and after one along z, each once. */
const neighbours = (at: number, cells: number, wraps: boolean): number[] => {
  const list = [at - 1, at, at + 1].map((z) => (wraps ? wrap(z, cells) : z));
  return [...new Set(list)].filter((z) => z >= 0 && z < cells);
};

/** Lines that are looked at in one frame at most; what a piece may ask for is below it. */
const MOST_FOUND = 16_000_000;

/** A list of lines that grows as they are found. */
class Found {
  count = 0;
  pairs = new Uint32Array(2048);
  gap = new Float64Array(1024);
  shift = new Int8Array(1024);

  add(a: number, b: number, gap: number, shift: number): void {
    if (this.count >= MOST_FOUND) return;
    const at = this.count++;
    if (at === this.gap.length) this.grow();
    this.pairs[at * 2] = a;
    this.pairs[at * 2 + 1] = b;
    this.gap[at] = gap;
    this.shift[at] = shift;
  }

  private grow(): void {
    const { pairs, gap, shift } = this;
    this.pairs = new Uint32Array(pairs.length * 2);
    this.gap = new Float64Array(gap.length * 2);
    this.shift = new Int8Array(shift.length * 2);
    this.pairs.set(pairs);
    this.gap.set(gap);
    this.shift.set(shift);
  }
}

/** The nearest few distances of every point, each list in order; what is not there is infinite. */
class Nearest {
  private readonly lists: Float64Array;

  constructor(
    points: number,
    private readonly width: number,
  ) {
    this.lists = new Float64Array(points * width).fill(Infinity);
  }

  add(point: number, distance: number): void {
    const { lists, width } = this;
    const first = point * width;
    let at = first + width - 1;
    if (distance >= lists[at]) return;
    while (at > first && lists[at - 1] > distance) {
      lists[at] = lists[at - 1];
      at--;
    }
    lists[at] = distance;
  }

  /** the farthest of a point's list */
  last(point: number): number {
    return this.lists[(point + 1) * this.width - 1];
  }
}

/**
 * The lines between points nearer than a limit: within one group, or from each of a group to each of another. A line's
 * closeness falls to zero at the limit; where a point may have only so many lines, its own limit is the distance of the next
 * one, so a line that gives way to another has faded out by then. Closeness is therefore continuous in the positions:
 * moving points are linked anew every frame without flicker. Within one group the first point of a line is the lower one.
 * @param from x, y, z of the first group; @param to of the second, or null for lines within the first
 */
export function linkPoints(from: Float64Array, to: Float64Array | null, options: LinkOptions): Links {
  const { limit, most, tile } = options;
  const count = from.length / 3;
  const other = to ?? from;
  const grid = gridOf(other, other.length / 3, limit, tile);
  const { cells, low, size, starts, sorted, places } = grid;
  const found = new Found();
  // one more than may stay: the distance of the next one is a point's own limit; of both groups
  const offset = to ? count : 0;
  const nearest = most > 0 ? new Nearest(offset + other.length / 3, most + 1) : null;
  const limit2 = limit * limit;
  const rows = Array.from({ length: cells[2] }, (_, z) => neighbours(z, cells[2], tile > 0));
  // within one group its points are taken in the order of their cells, and each pair from its earlier one
  for (let s = 0; s < count; s++) {
    const i = to ? s : sorted[s];
    const [x, y, z] = [from[i * 3], from[i * 3 + 1], from[i * 3 + 2]];
    const cx = coordinate(x, 0, low, size, cells, 0);
    const cy = coordinate(y, 1, low, size, cells, 0);
    const cz = coordinate(z, 2, low, size, cells, tile);
    const [left, right] = [Math.max(0, cx - 1), Math.min(cells[0] - 1, cx + 1)];
    for (const dz of rows[cz])
      for (let dy = Math.max(0, cy - 1); dy <= Math.min(cells[1] - 1, cy + 1); dy++) {
        const row = (dz * cells[1] + dy) * cells[0];
        const end = starts[row + right + 1];
        for (let t = Math.max(starts[row + left], to ? 0 : s + 1); t < end; t++) {
          const apartX = places[t * 3] - x;
          const apartY = places[t * 3 + 1] - y;
          let apartZ = places[t * 3 + 2] - z;
          const shift = tile > 0 ? -Math.round(apartZ / tile) : 0;
          apartZ += shift * tile;
          const d2 = apartX * apartX + apartY * apartY + apartZ * apartZ;
          if (d2 >= limit2) continue;
          const j = sorted[t];
          const d = Math.sqrt(d2);
          if (to || i < j) found.add(i, j, d, shift);
          else found.add(j, i, d, -shift);
          nearest?.add(i, d);
          nearest?.add(offset + j, d);
        }
      }
  }
  return pack(found, nearest, limit, offset);
}

/** Keeps the lines that are within the limits of both their points. */
function pack({ count, pairs, gap, shift }: Found, nearest: Nearest | null, limit: number, offset: number): Links {
  const out: Links = {
    count: 0,
    pairs: new Uint32Array(count * 2),
    closeness: new Float32Array(count),
    shift: new Int8Array(count),
  };
  for (let n = 0; n < count; n++) {
    const [a, b] = [pairs[n * 2], pairs[n * 2 + 1]];
    const far = nearest ? Math.min(nearest.last(a), nearest.last(offset + b), limit) : limit;
    if (gap[n] >= far) continue;
    const at = out.count++;
    out.pairs[at * 2] = a;
    out.pairs[at * 2 + 1] = b;
    out.closeness[at] = 1 - gap[n] / far;
    out.shift[at] = shift[n];
  }
  return out;
}

/** Lines seen at two moments as one list: each with its closeness at both, zero where it is not there. */
export interface Relinked {
  count: number;
  pairs: Uint32Array;
  /** closeness when the shutter opens, when it closes, and tiles the second point is moved by; three numbers a line */
  marks: Float32Array;
}

export function relink(open: Links, close: Links): Relinked {
  const key = (links: Links, n: number): number =>
    (links.pairs[n * 2] * 2 ** 21 + links.pairs[n * 2 + 1]) * 4 + links.shift[n] + 1;
  const later = new Map<number, number>();
  if (close !== open) for (let n = 0; n < close.count; n++) later.set(key(close, n), n);
  const total = open.count + (close === open ? 0 : close.count);
  const pairs = new Uint32Array(total * 2);
  const marks = new Float32Array(total * 3);
  let count = 0;
  const put = (links: Links, n: number, first: number, last: number): void => {
    pairs[count * 2] = links.pairs[n * 2];
    pairs[count * 2 + 1] = links.pairs[n * 2 + 1];
    marks.set([first, last, links.shift[n]], count * 3);
    count++;
  };
  for (let n = 0; n < open.count; n++) {
    const match = close === open ? n : later.get(key(open, n));
    put(open, n, open.closeness[n], match === undefined ? 0 : close.closeness[match]);
    later.delete(key(open, n));
  }
  for (const n of later.values()) put(close, n, 0, close.closeness[n]);
  return { count, pairs: pairs.subarray(0, count * 2), marks: marks.subarray(0, count * 3) };
}
