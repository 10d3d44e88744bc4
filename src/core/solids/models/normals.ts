import { CREASE, type RawPart } from './raw';
import { gridded, weldRows } from '../weld';

/** Where more faces meet than this, all of them count as one round place: comparing each with each would not end. */
const MOST_AROUND = 48;
/** Places nearer than a part in so many of the whole are one. */
const STEPS = 1 << 20;

/**
 * Normals of each corner of some triangles, from their faces weighed by their angles there (Thürmer & Wüthrich, Journal of Graphics Tools
 * 3(1), 1998): of those that meet there and turn by no more than the crease from the corner's own.
 * @returns three numbers for each corner, so that corners need vertices of their own
 */
export function cornerNormals({ position, index, edges }: Pick<RawPart, 'position' | 'index' | 'edges'>): Float32Array {
  const faces = index.length / 3;
  const face = new Float32Array(index.length);
  const angle = new Float32Array(index.length);
  const at = (corner: number, k: number): number => position[index[corner] * 3 + k];
  for (let f = 0; f < faces; f++) {
    const [a, b, c] = [f * 3, f * 3 + 1, f * 3 + 2];
    const [ux, uy, uz] = [at(b, 0) - at(a, 0), at(b, 1) - at(a, 1), at(b, 2) - at(a, 2)];
    const [vx, vy, vz] = [at(c, 0) - at(a, 0), at(c, 1) - at(a, 1), at(c, 2) - at(a, 2)];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const length = Math.hypot(nx, ny, nz) || 1;
    face[a] = nx / length;
    face[b] = ny / length;
    face[c] = nz / length;
    for (let k = 0; k < 3; k++) angle[f * 3 + k] = angleAt(at, f * 3 + k, f * 3 + ((k + 1) % 3), f * 3 + ((k + 2) % 3));
  }
  const out = new Float32Array(index.length * 3);
  const put = (corner: number, x: number, y: number, z: number): void => {
    const length = Math.hypot(x, y, z);
    const f = Math.floor(corner / 3) * 3;
    // where its faces cancel out, its own
    out[corner * 3] = length > 1e-6 ? x / length : face[f];
    out[corner * 3 + 1] = length > 1e-6 ? y / length : face[f + 1];
    out[corner * 3 + 2] = length > 1e-6 ? z / length : face[f + 2];
  };
  if (edges === 'hard') {
    for (let corner = 0; corner < index.length; corner++) {
      const f = Math.floor(corner / 3) * 3;
      put(corner, face[f], face[f + 1], face[f + 2]);
    }
    return out;
  }
  const { of, count } = weldRows(gridded(position, STEPS), 3);
  // corners by the place they are at
  const first = new Uint32Array(count + 1);
  for (const vertex of index) first[of[vertex] + 1]++;
  for (let p = 0; p < count; p++) first[p + 1] += first[p];
  const filled = first.slice();
  const corners = new Uint32Array(index.length);
  for (let corner = 0; corner < index.length; corner++) corners[filled[of[index[corner]]]++] = corner;
  const limit = edges === 'soft' ? -2 : Math.cos((CREASE * Math.PI) / 180);
  for (let p = 0; p < count; p++) {
    const [from, to] = [first[p], first[p + 1]];
    const round = to - from > MOST_AROUND || limit < -1;
    if (round) {
      let [x, y, z] = [0, 0, 0];
      for (let i = from; i < to; i++) {
        const f = Math.floor(corners[i] / 3) * 3;
        x += face[f] * angle[corners[i]];
        y += face[f + 1] * angle[corners[i]];
        z += face[f + 2] * angle[corners[i]];
      }
      for (let i = from; i < to; i++) put(corners[i], x, y, z);
      continue;
    }
    for (let i = from; i < to; i++) {
      const own = Math.floor(corners[i] / 3) * 3;
      let [x, y, z] = [0, 0, 0];
      for (let j = from; j < to; j++) {
        const f = Math.floor(corners[j] / 3) * 3;
        if (face[f] * face[own] + face[f + 1] * face[own + 1] + face[f + 2] * face[own + 2] < limit) continue;
        x += face[f] * angle[corners[j]];
        y += face[f + 1] * angle[corners[j]];
        z += face[f + 2] * angle[corners[j]];
      }
      put(corners[i], x, y, z);
    }
  }
  return out;
}

/** The angle of a triangle at one of its corners. */
function angleAt(at: (corner: number, k: number) => number, a: number, b: number, c: number): number {
  let [dot, uu, vv] = [0, 0, 0];
  for (let k = 0; k < 3; k++) {
    const [u, v] = [at(b, k) - at(a, k), at(c, k) - at(a, k)];
    dot += u * v;
    uu += u * u;
    vv += v * v;
  }
  const length = Math.sqrt(uu * vv);
  return length > 0 ? Math.acos(Math.min(1, Math.max(-1, dot / length))) : 0;
}
