import { hash4, unitFrom } from '../random/hash';
import type { Vec3 } from '../space/vector';
import { finishMesh, NOWHERE, type Mesh } from './mesh';

/** Pieces go this far in from the surface, as a share of the way to the centre. */
const THICKNESS = 0.45;

/** Where on a picture the inner sides of pieces are: nowhere. */
const INSIDE: Vec3 = [0, 0, NOWHERE];

interface Corner {
  position: Vec3;
  normal: Vec3;
  uv: Vec3;
  dye: Vec3;
}

const WHITE: Vec3 = [1, 1, 1];
type Triangle = [Corner, Corner, Corner];

const mid = (a: Vec3, b: Vec3): Vec3 => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
const between = (a: Corner, b: Corner): Corner => ({
  position: mid(a.position, b.position),
  normal: mid(a.normal, b.normal),
  uv: mid(a.uv, b.uv),
  dye: mid(a.dye, b.dye),
});
const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

function trianglesOf(mesh: Mesh): Triangle[] {
  const corner = (i: number): Corner => ({
    position: [...mesh.position.subarray(i * 3, i * 3 + 3)] as Vec3,
    normal: [...mesh.normal.subarray(i * 3, i * 3 + 3)] as Vec3,
    uv: (mesh.uv ? [...mesh.uv.subarray(i * 3, i * 3 + 3)] : [0, 0, 0]) as Vec3,
    dye: (mesh.worn?.dye ? [...mesh.worn.dye.subarray(i * 3, i * 3 + 3)] : WHITE) as Vec3,
  });
  return Array.from({ length: mesh.index.length / 3 }, (_, t) => {
    const [a, b, c] = mesh.index.subarray(t * 3, t * 3 + 3);
    return [corner(a), corner(b), corner(c)];
  });
}

/** Cuts every edge longer than a length in the middle, the same on both sides of it, until none is left. */
function cutTo(triangles: Triangle[], longest: number): Triangle[] {
  const out: Triangle[] = [];
  const work = [...triangles];
  for (let t = work.pop(); t; t = work.pop()) {
    const lengths = [0, 1, 2].map((i) => apart(t[i].position, t[(i + 1) % 3].position));
    const i = lengths.indexOf(Math.max(...lengths));
    if (lengths[i] <= longest) {
      out.push(t);
      continue;
    }
    const [a, b, c] = [t[i], t[(i + 1) % 3], t[(i + 2) % 3]];
    const m = between(a, b);
    work.push([a, m, c], [m, b, c]);
  }
  return out;
}

const centreOf = (t: Triangle): Vec3 =>
  [0, 1, 2].map((k) => (t[0].position[k] + t[1].position[k] + t[2].position[k]) / 3) as Vec3;

/** Places spread over the triangles: of eight candidates each time the one farthest from all before (Mitchell, 1991). */
function spreadOver(centres: readonly Vec3[], count: number, seed: number): Vec3[] {
  const chosen: Vec3[] = [];
  for (let i = 0; i < Math.min(count, centres.length); i++) {
    let best = centres[0];
    let farthest = -1;
    for (let candidate = 0; candidate < 8; candidate++) {
      const at = centres[Math.floor(unitFrom(hash4(i, candidate, seed, 47)[0]) * centres.length)];
      const gap = chosen.reduce((least, place) => Math.min(least, apart(at, place)), Infinity);
      if (gap > farthest) {
        farthest = gap;
        best = at;
      }
    }
    chosen.push(best);
  }
  return chosen;
}

/**
 * A body broken into pieces with a thickness: its surface cut into patches around places spread over it, each patch closed
 * by an inner skin and walls. Whole, it looks as before.
 * @param count of pieces, at least 2
 */
export function broken(mesh: Mesh, count: number, seed: number): Mesh {
  const triangles = cutTo(trianglesOf(mesh), mesh.radius * Math.max(0.12, 2.2 / Math.sqrt(count)));
  const centres = triangles.map(centreOf);
  const places = spreadOver(centres, count, seed);
  const patch = centres.map((c) => {
    let nearest = 0;
    for (let i = 1; i < places.length; i++) if (apart(c, places[i]) < apart(c, places[nearest])) nearest = i;
    return nearest;
  });
  const position: number[] = [];
  const normal: number[] = [];
  const piece: number[] = [];
  const uv: number[] = [];
  const dye: number[] = [];
  const inward = (p: Vec3): Vec3 => p.map((v) => v * (1 - THICKNESS)) as Vec3;
  places.forEach((_, number) => {
    const own = triangles.filter((_, t) => patch[t] === number);
    if (own.length === 0) return;
    const middle = [0, 1, 2].map(
      (k) => (own.reduce((sum, t) => sum + centreOf(t)[k], 0) / own.length) * (1 - THICKNESS / 2),
    );
    // what a model wears it wears within too
    const inside = mesh.worn ? own[0][0].uv : INSIDE;
    const put = (p: Vec3, n: Vec3, at: Vec3 = inside, dyed: Vec3 = WHITE): void => {
      position.push(...p);
      normal.push(...n);
      uv.push(...at);
      dye.push(...dyed);
      piece.push(middle[0], middle[1], middle[2], number);
    };
    const flat = (a: Vec3, b: Vec3, c: Vec3): void => {
      const u = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
      const v = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
      const n: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
      const length = Math.hypot(...n) || 1;
      for (const p of [a, b, c]) put(p, [n[0] / length, n[1] / length, n[2] / length]);
    };
    const key = (p: Vec3): string => p.map((v) => Math.round(v * 1e5)).join();
    const edges = new Map<string, [Vec3, Vec3]>();
    for (const [a, b, c] of own) {
      for (const corner of [a, b, c]) put(corner.position, corner.normal, corner.uv, corner.dye);
      flat(inward(a.position), inward(c.position), inward(b.position));
      for (const [p, q] of [
        [a.position, b.position],
        [b.position, c.position],
        [c.position, a.position],
      ]) {
        // an edge that two triangles of the patch share is inside it
        if (edges.has(`${key(q)}|${key(p)}`)) edges.delete(`${key(q)}|${key(p)}`);
        else edges.set(`${key(p)}|${key(q)}`, [p, q]);
      }
    }
    for (const [p, q] of edges.values()) {
      flat(q, p, inward(p));
      flat(q, inward(p), inward(q));
    }
  });
  const index = Uint32Array.from({ length: position.length / 3 }, (_, i) => i);
  const floats = (list: number[]): Float32Array => Float32Array.from(list);
  const shown = mesh.uv ? floats(uv) : null;
  const worn = mesh.worn && { ...mesh.worn, dye: mesh.worn.dye && floats(dye) };
  return finishMesh(floats(position), floats(normal), index, mesh.open, floats(piece), shown, worn);
}
