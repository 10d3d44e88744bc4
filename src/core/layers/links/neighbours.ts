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
  starts: Uint32Array;
  sorted: Uint32Array;
  cells: [number, number, number];
  low: [number, number, number];
  size: [number, number, number];
}

function gridOf(position: Float64Array, count: number, limit: number, tile: number): Grid {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < count; i++)
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(low[k], position[i * 3 + k]);
      high[k] = Math.max(high[k], position[i * 3 + k]);
    }
  if (tile > 0) [low[2], high[2]] = [0, tile];
  // not more cells than a few per point, however small the limit
  const widest = Math.cbrt(((high[0] - low[0]) * (high[1] - low[1]) * (high[2] - low[2])) / Math.max(1, count)) / 2;
  const cell = Math.max(limit, Number.isFinite(widest) ? widest : 0, 1e-6);
  const cells = [0, 1, 2].map((k) =>
    Math.min(512, Math.max(1, Math.floor((high[k] - low[k]) / cell))),
  ) as Grid['cells'];
  const size = [0, 1, 2].map((k) => Math.max(1e-9, (high[k] - low[k]) / cells[k])) as Grid['size'];
  const starts = new Uint32Array(cells[0] * cells[1] * cells[2] + 1);
  const home = new Uint32Array(count);
  for (let i = 0; i < count; i++) {
    home[i] = cellOf(position, i, low, size, cells, tile);
    starts[home[i] + 1]++;
  }
  for (let c = 0; c + 1 < starts.length; c++) starts[c + 1] += starts[c];
  const next = starts.slice();
  const sorted = new Uint32Array(count);
  for (let i = 0; i < count; i++) sorted[next[home[i]]++] = i;
  return { starts, sorted, cells, low, size };
}

const wrap = (v: number, n: number): number => ((v % n) + n) % n;

function coordinate(v: number, k: number, low: number, size: number, cells: number, tile: number): number {
  const at = k === 2 && tile > 0 ? wrap(v, tile) : v - low;
  return Math.min(cells - 1, Math.max(0, Math.floor(at / size)));
}

function cellOf(
  position: Float64Array,
  i: number,
  low: Grid['low'],
  size: Grid['size'],
  cells: Grid['cells'],
  tile: number,
): number {
  const [x, y, z] = [0, 1, 2].map((k) => coordinate(position[i * 3 + k], k, low[k], size[k], cells[k], tile));
  return (z * cells[1] + y) * cells[0] + x;
}

/**
 * The lines between points nearer than a limit: within one group, or from each of a group to each of another. A line's
 * closeness falls to zero at the limit; where a point may have only so many lines, its own limit is the distance of the next
 * one, so a line that gives way to another has faded out by then. Closeness is therefore continuous in the positions:
 * moving points are linked anew every frame without flicker.
 * @param from x, y, z of the first group; @param to of the second, or null for lines within the first
 */
export function linkPoints(from: Float64Array, to: Float64Array | null, options: LinkOptions): Links {
  const { limit, most, tile } = options;
  const count = from.length / 3;
  const other = to ?? from;
  const otherCount = other.length / 3;
  const grid = gridOf(other, otherCount, limit, tile);
  const { cells, low, size } = grid;
  const a: number[] = [];
  const b: number[] = [];
  const gap: number[] = [];
  const moved: number[] = [];
  // lines of each point so far, to find its own limit; of both groups
  const reach = most > 0 ? limits(count + (to ? otherCount : 0), limit) : null;
  const gaps: number[][] | null = most > 0 ? Array.from({ length: count + (to ? otherCount : 0) }, () => []) : null;
  const limit2 = limit * limit;
  for (let i = 0; i < count; i++) {
    const [x, y, z] = [from[i * 3], from[i * 3 + 1], from[i * 3 + 2]];
    const cx = coordinate(x, 0, low[0], size[0], cells[0], tile);
    const cy = coordinate(y, 1, low[1], size[1], cells[1], tile);
    const cz = coordinate(z, 2, low[2], size[2], cells[2], tile);
    const depths = neighbours(cz, cells[2], tile > 0);
    for (const dz of depths)
      for (let dy = Math.max(0, cy - 1); dy <= Math.min(cells[1] - 1, cy + 1); dy++)
        for (let dx = Math.max(0, cx - 1); dx <= Math.min(cells[0] - 1, cx + 1); dx++) {
          const cell = (dz * cells[1] + dy) * cells[0] + dx;
          for (let s = grid.starts[cell]; s < grid.starts[cell + 1]; s++) {
            const j = grid.sorted[s];
            if (!to && j <= i) continue;
            let apartZ = other[j * 3 + 2] - z;
            const shift = tile > 0 ? -Math.round(apartZ / tile) : 0;
            apartZ += shift * tile;
            const d2 = (other[j * 3] - x) ** 2 + (other[j * 3 + 1] - y) ** 2 + apartZ * apartZ;
            if (d2 >= limit2) continue;
            const d = Math.sqrt(d2);
            a.push(i);
            b.push(j);
            gap.push(d);
            moved.push(shift);
            if (gaps) {
              gaps[i].push(d);
              gaps[to ? count + j : j].push(d);
            }
          }
        }
  }
  if (gaps && reach)
    gaps.forEach((list, point) => {
      if (list.length <= most) return;
      list.sort((p, q) => p - q);
      reach[point] = list[most];
    });
  return pack(a, b, gap, moved, limit, reach, to ? count : 0);
}

const limits = (count: number, limit: number): Float64Array => new Float64Array(count).fill(limit);

/** The cells before, at and after one along z, each once. */
const neighbours = (at: number, cells: number, wraps: boolean): number[] => {
  const list = [at - 1, at, at + 1].map((z) => (wraps ? wrap(z, cells) : z));
  return [...new Set(list)].filter((z) => z >= 0 && z < cells);
};

function pack(
  a: readonly number[],
  b: readonly number[],
  gap: readonly number[],
  moved: readonly number[],
  limit: number,
  reach: Float64Array | null,
  offset: number,
): Links {
  const out: Links = {
    count: 0,
    pairs: new Uint32Array(a.length * 2),
    closeness: new Float32Array(a.length),
    shift: new Int8Array(a.length),
  };
  for (let n = 0; n < a.length; n++) {
    const far = reach ? Math.min(reach[a[n]], reach[offset + b[n]], limit) : limit;
    if (gap[n] >= far) continue;
    const at = out.count++;
    out.pairs[at * 2] = a[n];
    out.pairs[at * 2 + 1] = b[n];
    out.closeness[at] = 1 - gap[n] / far;
    out.shift[at] = moved[n];
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
