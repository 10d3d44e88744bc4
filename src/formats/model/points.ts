import type { RawPart } from '../../core/solids/models/raw';

/** More points than these are thinned out evenly: each becomes four triangles. */
export const MOST_POINTS = 400_000;

/** How far a body reaches from its point, as a share of what lies between neighbours of as many on a sheet as large as all. */
const REACH = 0.4;

/** Corners of a tetrahedron about its middle, and its faces from outside. */
const CORNERS = [1, 1, 1, 1, -1, -1, -1, 1, -1, -1, -1, 1].map((v) => v / Math.sqrt(3));
const FACES = [0, 1, 2, 0, 3, 1, 0, 2, 3, 1, 3, 2];

/** Points without faces as faces: a small tetrahedron about each, in its colour. @param position x, y, z of each */
export function bodiesOfPoints(
  position: Float32Array,
  dye: Float32Array | null,
): Pick<RawPart, 'position' | 'dye' | 'index' | 'edges'> {
  const all = position.length / 3;
  const count = Math.min(all, MOST_POINTS);
  const [low, high] = [Math.min, Math.max].map((of, side) => {
    const out = [0, 1, 2].map(() => (side === 0 ? Infinity : -Infinity));
    for (let i = 0; i < position.length; i++) out[i % 3] = of(out[i % 3], position[i]);
    return out;
  });
  const across = Math.hypot(...high.map((v, k) => v - low[k])) || 1;
  const reach = (REACH * across) / Math.sqrt(count);
  const out = {
    position: new Float32Array(count * 12),
    dye: dye && new Float32Array(count * 12),
    index: new Uint32Array(count * 12),
    edges: 'hard' as const,
  };
  for (let i = 0; i < count; i++) {
    const from = Math.floor((i * all) / count) * 3;
    for (let k = 0; k < 12; k++) {
      out.position[i * 12 + k] = position[from + (k % 3)] + CORNERS[k] * reach;
      if (out.dye && dye) out.dye[i * 12 + k] = dye[from + (k % 3)];
      out.index[i * 12 + k] = i * 4 + FACES[k];
    }
  }
  return out;
}
