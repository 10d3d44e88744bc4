import earcut from 'earcut';
import { contourArea, contoursOf, shapesArea, type Contour, type Shape } from '../type/shape';
import { MeshBuilder, type Mesh } from './mesh';

/** How shapes are given depth. Lengths are in the shapes' own units. */
export interface Relief {
  /** from front to back; 0 for what is flat and seen from both sides */
  depth: number;
  /** how far edges are taken off, inwards and backwards */
  bevel: number;
  /** 1 for a straight bevel, more for a round one */
  steps: number;
}

/** Corners whose sides differ by more than this have a crease, radians. */
const CREASE = 0.45;
/** A mitre is at most so many times as long as its bevel is wide. */
const LONGEST_MITRE = 3;
/** A bevel leaves at least this share of what is across from it. */
const LEAVES = 0.42;

/** A contour with what its bevel needs: for each corner the way inwards, for each side the way out of the solid. */
interface Rim {
  points: Contour;
  /** unit normals of the sides from each corner to the next, outwards */
  out: Float64Array;
  /** by how much a corner moves for a bevel of one */
  mitre: Float64Array;
  /** how far each corner may be bevelled */
  reach: Float64Array;
}

const next = (i: number, n: number): number => (i + 1) % n;
const before = (i: number, n: number): number => (i + n - 1) % n;

function rimOf(points: Contour, bevel: number): Rim {
  const n = points.length / 2;
  const out = new Float64Array(n * 2);
  for (let i = 0; i < n; i++) {
    const j = next(i, n);
    const [dx, dy] = [points[j * 2] - points[i * 2], points[j * 2 + 1] - points[i * 2 + 1]];
    const length = Math.hypot(dx, dy) || 1;
    out.set([dy / length, -dx / length], i * 2);
  }
  const mitre = new Float64Array(n * 2);
  for (let i = 0; i < n; i++) {
    const b = before(i, n);
    const [x, y] = [out[b * 2] + out[i * 2], out[b * 2 + 1] + out[i * 2 + 1]];
    const k = 1 + out[b * 2] * out[i * 2] + out[b * 2 + 1] * out[i * 2 + 1];
    const scale = Math.min(1 / Math.max(k, 1e-9), LONGEST_MITRE / Math.max(Math.hypot(x, y), 1e-9));
    mitre.set([-x * scale, -y * scale], i * 2);
  }
  return { points, out, mitre, reach: new Float64Array(n).fill(bevel) };
}

/** How far along a way from a place the first side of any rim is, in lengths of the way. */
function across(rims: readonly Rim[], own: Rim, corner: number): number {
  const [px, py] = [own.points[corner * 2], own.points[corner * 2 + 1]];
  const [wx, wy] = [own.mitre[corner * 2], own.mitre[corner * 2 + 1]];
  let nearest = Infinity;
  for (const rim of rims) {
    const n = rim.points.length / 2;
    for (let i = 0; i < n; i++) {
      const j = next(i, n);
      if (rim === own && (i === corner || j === corner)) continue;
      const [ax, ay] = [rim.points[i * 2] - px, rim.points[i * 2 + 1] - py];
      const [dx, dy] = [rim.points[j * 2] - rim.points[i * 2], rim.points[j * 2 + 1] - rim.points[i * 2 + 1]];
      const cross = wx * dy - wy * dx;
      if (Math.abs(cross) < 1e-12) continue;
      const t = (ax * dy - ay * dx) / cross;
      const s = (ax * wy - ay * wx) / cross;
      if (t > 1e-9 && s >= 0 && s <= 1) nearest = Math.min(nearest, t);
    }
  }
  return nearest;
}

/** Makes bevels narrower where they would meet what is across from them, or turn a short side round. */
function limit(rims: readonly Rim[]): void {
  for (const rim of rims) {
    const n = rim.points.length / 2;
    for (let i = 0; i < n; i++) rim.reach[i] = Math.min(rim.reach[i], LEAVES * across(rims, rim, i));
  }
  for (const { points, out, mitre, reach } of rims) {
    const n = points.length / 2;
    const side = (i: number): number =>
      Math.hypot(points[next(i, n) * 2] - points[i * 2], points[next(i, n) * 2 + 1] - points[i * 2 + 1]);
    for (let round = 0; round < 24; round++) {
      let changed = false;
      for (let i = 0; i < n; i++) {
        const j = next(i, n);
        const length = side(i);
        // along the side, what is left of it
        const [ux, uy] = [-out[i * 2 + 1], out[i * 2]];
        const [from, to] = [mitre[i * 2] * ux + mitre[i * 2 + 1] * uy, mitre[j * 2] * ux + mitre[j * 2 + 1] * uy];
        const left = length + to * reach[j] - from * reach[i];
        if (left < 0.04 * length) {
          const k = (0.96 * length) / Math.max(1e-12, from * reach[i] - to * reach[j]);
          reach[i] *= k * 0.98;
          reach[j] *= k * 0.98;
          changed = true;
        }
        // no steep change from corner to corner
        const most = Math.min(reach[i], reach[j]) + length;
        if (reach[i] > most || reach[j] > most) {
          reach[i] = Math.min(reach[i], most);
          reach[j] = Math.min(reach[j], most);
          changed = true;
        }
      }
      if (!changed) break;
    }
  }
}

/** A rim's corners moved inwards by a share of its bevel. */
const inset = ({ points, mitre, reach }: Rim, share: number): Contour =>
  points.map((v, i) => v + mitre[i] * reach[i >> 1] * share);

/** Triangles of shapes, as indices of the points of all their contours in turn. */
function capOf(outline: Contour, holes: readonly Contour[]): number[] {
  const starts = holes.map(
    (_, i) => outline.length / 2 + holes.slice(0, i).reduce((sum, hole) => sum + hole.length / 2, 0),
  );
  const flat = [outline, ...holes].flatMap((contour) => [...contour]);
  const found = earcut(flat, starts);
  for (let i = 0; i < found.length; i += 3) {
    const [a, b, c] = found.slice(i, i + 3);
    const turn =
      (flat[b * 2] - flat[a * 2]) * (flat[c * 2 + 1] - flat[a * 2 + 1]) -
      (flat[b * 2 + 1] - flat[a * 2 + 1]) * (flat[c * 2] - flat[a * 2]);
    if (turn < 0) [found[i + 1], found[i + 2]] = [c, b];
  }
  return found;
}

/** Area of a cap's triangles. */
function capArea(flat: readonly number[], triangles: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < triangles.length; i += 3) {
    const [a, b, c] = [triangles[i] * 2, triangles[i + 1] * 2, triangles[i + 2] * 2];
    sum +=
      Math.abs((flat[b] - flat[a]) * (flat[c + 1] - flat[a + 1]) - (flat[b + 1] - flat[a + 1]) * (flat[c] - flat[a])) /
      2;
  }
  return sum;
}

/** The rims of a shape with bevels that leave a whole face: narrower where they have to be. */
function bevelled(shape: Shape, bevel: number): { rims: Rim[]; triangles: number[] } {
  for (let width = bevel; ; width = width < bevel / 64 ? 0 : width / 2) {
    const rims = contoursOf([shape]).map((contour) => rimOf(contour, width));
    if (width > 0) limit(rims);
    const [outline, ...holes] = rims.map((rim) => inset(rim, 1));
    const triangles = capOf(outline, holes);
    if (width === 0) return { rims, triangles };
    const area = contourArea(outline) + holes.reduce((sum, hole) => sum + contourArea(hole), 0);
    const found = capArea(
      [outline, ...holes].flatMap((contour) => [...contour]),
      triangles,
    );
    if (area > 0 && Math.abs(found - area) < 1e-3 * area) return { rims, triangles };
  }
}

/**
 * Shapes given depth about the plane z = 0, front towards +z: their outline all round stays where it is, edges are taken off
 * inwards. Where a stroke is thin the bevel is narrower, so that some of its face is left.
 * @throws RangeError when the shapes have no area
 */
export function relief(shapes: readonly Shape[], { depth, bevel, steps }: Relief): Mesh {
  if (!(shapesArea(shapes) > 0)) throw new RangeError('what is given depth needs an area');
  const builder = new MeshBuilder();
  const deep = Math.min(bevel, depth / 2);
  for (const shape of shapes) {
    const { rims, triangles } = bevelled(shape, deep);
    for (const front of depth > 0 ? [1, -1] : [1]) {
      const at = rims.flatMap((rim) => {
        const face = inset(rim, 1);
        return Array.from({ length: face.length / 2 }, (_, i) =>
          builder.vertex([face[i * 2], face[i * 2 + 1], (front * depth) / 2], [0, 0, front]),
        );
      });
      for (let i = 0; i < triangles.length; i += 3) {
        const [a, b, c] = [at[triangles[i]], at[triangles[i + 1]], at[triangles[i + 2]]];
        if (front > 0) builder.triangle(a, b, c);
        else builder.triangle(a, c, b);
      }
    }
    if (depth > 0) for (const rim of rims) wall(builder, rim, depth, deep, steps);
  }
  return builder.build(depth === 0);
}

/** The side of a rim, from its front face to its back. */
function wall(builder: MeshBuilder, rim: Rim, depth: number, deep: number, steps: number): void {
  const { points, out, reach } = rim;
  const n = points.length / 2;
  const rounded = steps > 1;
  // from the front face to the back: share of the bevel, height, and how far the normal leans to the front
  const quarter = Array.from({ length: deep > 0 ? steps + 1 : 1 }, (_, k) => (k / Math.max(1, steps)) * (Math.PI / 2));
  const front = quarter.map((angle) => ({
    inward: 1 - Math.sin(angle),
    z: depth / 2 - deep * (1 - Math.cos(angle)),
    angle,
  }));
  const rings = [
    ...front,
    ...[...front].reverse().map(({ inward, z, angle }) => ({ inward, z: -z, angle: Math.PI - angle })),
  ];
  // a corner belongs to the side before it and to the one after it
  const sides = Array.from({ length: n }, (_, i) => {
    const b = before(i, n);
    const cos = out[b * 2] * out[i * 2] + out[b * 2 + 1] * out[i * 2 + 1];
    const mean = [out[b * 2] + out[i * 2], out[b * 2 + 1] + out[i * 2 + 1]];
    const own = (k: number): number[] => [out[k * 2], out[k * 2 + 1]];
    return Math.acos(Math.min(1, Math.max(-1, cos))) < CREASE ? [mean, mean] : [own(b), own(i)];
  });
  const placed = rings.map(({ inward }) => inset(rim, inward));
  const vertex = (ring: number, i: number, which: number, angle: number): number => {
    const [x, y] = sides[i][which];
    const length = Math.hypot(x, y) || 1;
    // an ellipse as wide as the bevel is there, and as deep
    const [wide, high] = [Math.max(reach[i], 1e-9), Math.max(deep, 1e-9)];
    const flat = Math.sin(angle) * high;
    return builder.vertex(
      [placed[ring][i * 2], placed[ring][i * 2 + 1], rings[ring].z],
      [(x / length) * flat, (y / length) * flat, Math.cos(angle) * wide],
    );
  };
  const same = (i: number): boolean => sides[i][0] === sides[i][1];
  for (let ring = 0; ring + 1 < rings.length; ring++) {
    const [a, b] = [rings[ring], rings[ring + 1]];
    if (a.z === b.z && a.inward === b.inward) continue;
    const straight = Math.abs(a.inward - b.inward) < 1e-12;
    const middle = (a.angle + b.angle) / 2;
    const [above, below] = straight ? [Math.PI / 2, Math.PI / 2] : rounded ? [a.angle, b.angle] : [middle, middle];
    const top = Array.from({ length: n }, (_, i) => {
      const after = vertex(ring, i, 1, above);
      return [same(i) ? after : vertex(ring, i, 0, above), after];
    });
    const foot = Array.from({ length: n }, (_, i) => {
      const after = vertex(ring + 1, i, 1, below);
      return [same(i) ? after : vertex(ring + 1, i, 0, below), after];
    });
    for (let i = 0; i < n; i++) {
      const j = next(i, n);
      builder.quad(foot[i][1], foot[j][0], top[j][0], top[i][1]);
    }
  }
}
