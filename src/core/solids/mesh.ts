import type { Vec3 } from '../space/vector';
import type { HeldModel } from './models/model';

/** A triangle mesh in units of its element's size: one unit across, front +z, top +y. Creases have vertices of their own. */
export interface Mesh {
  /** x, y, z */
  position: Float32Array;
  /** unit x, y, z */
  normal: Float32Array;
  /** three vertices a triangle, counter-clockwise from outside */
  index: Uint32Array;
  /** centre x, y, z and number of the piece each vertex belongs to; null while whole */
  piece: Float32Array | null;
  /** where on the picture it shows each vertex is, 0..1 to the right and down, and on which of its planes; null where it shows none */
  uv: Float32Array | null;
  /** a model's own matter: then `uv` is where on its pictures each vertex is, and the number of its material; null for all else */
  worn: Worn | null;
  /** vertices that stand for the body when the seam is checked */
  sample: Uint32Array;
  /** its inside can be seen: drawn from both sides */
  open: boolean;
  /** where its faces end others go on that are not its own: it has no edges there */
  joined?: boolean;
  /** the farthest vertex from the centre */
  radius: number;
}

/** What a model says it is made of. */
export interface Worn extends Pick<HeldModel, 'materials' | 'rasters'> {
  /** linear red, green, blue of each vertex; null for white */
  dye: Float32Array | null;
}

/** The plane of what shows nothing of a picture. */
export const NOWHERE = 2;

/** Gathers vertices and triangles. */
export class MeshBuilder {
  private readonly position: number[] = [];
  private readonly normal: number[] = [];
  private readonly index: number[] = [];

  vertex(position: Vec3, normal: Vec3): number {
    this.position.push(...position);
    const length = Math.hypot(...normal) || 1;
    this.normal.push(normal[0] / length, normal[1] / length, normal[2] / length);
    return this.position.length / 3 - 1;
  }

  triangle(a: number, b: number, c: number): void {
    this.index.push(a, b, c);
  }

  quad(a: number, b: number, c: number, d: number): void {
    this.index.push(a, b, c, a, c, d);
  }

  /** A flat face through corners that run counter-clockwise from outside. */
  face(corners: readonly Vec3[]): void {
    const [a, b, c] = corners;
    const u: Vec3 = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const v: Vec3 = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
    const normal: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const first = corners.map((corner) => this.vertex(corner, normal))[0];
    for (let i = 1; i + 1 < corners.length; i++) this.triangle(first, first + i, first + i + 1);
  }

  build(open = false): Mesh {
    return finishMesh(
      Float32Array.from(this.position),
      Float32Array.from(this.normal),
      Uint32Array.from(this.index),
      open,
    );
  }
}

/** More vertices than this are thinned out. */
const MANY = 160;

/**
 * Vertices that stand for a body: one for each place that is farthest from its centre, which is the same set after every turn
 * of the body into itself; of a ball, its equator and poles; of a broken body, one of each piece.
 */
function standIns(position: Float32Array, piece: Float32Array | null, radius: number): number[] {
  const count = position.length / 3;
  const places = new Map<string, number>();
  for (let i = 0; i < count; i++) {
    const at = position.subarray(i * 3, i * 3 + 3);
    const key = piece ? String(piece[i * 4 + 3]) : [...at].map((v) => Math.round(v * 1e4)).join();
    if (!places.has(key) && (piece !== null || Math.hypot(...at) > radius * 0.9995)) places.set(key, i);
  }
  const all = [...places.values()];
  if (piece || all.length <= MANY) return all;
  const level = all.filter(
    (i) => Math.abs(position[i * 3 + 1]) < radius * 1e-3 || Math.abs(position[i * 3 + 1]) > radius * 0.999,
  );
  return level.length > 0 ? level : all.slice(0, MANY);
}

/** A mesh of its arrays, with what follows from them. */
export function finishMesh(
  position: Float32Array,
  normal: Float32Array,
  index: Uint32Array,
  open: boolean,
  piece: Float32Array | null = null,
  uv: Float32Array | null = null,
  worn: Worn | null = null,
): Mesh {
  const count = position.length / 3;
  let radius = 0;
  for (let i = 0; i < count; i++) radius = Math.max(radius, Math.hypot(...position.subarray(i * 3, i * 3 + 3)));
  const sample = Uint32Array.from(standIns(position, piece, radius));
  return { position, normal, index, piece, uv, worn, sample, open, radius };
}

/** A mesh with its vertices elsewhere, which keep what else they are. */
export const moved = (mesh: Mesh, position: Float32Array, normal: Float32Array): Mesh =>
  finishMesh(position, normal, mesh.index, mesh.open, mesh.piece, mesh.uv, mesh.worn);

/** Stretched along its axes; normals stay upright on its faces. */
export function stretched(mesh: Mesh, [x, y, z]: Vec3): Mesh {
  if (x === 1 && y === 1 && z === 1) return mesh;
  const by = [x, y, z];
  const position = mesh.position.map((v, i) => v * by[i % 3]);
  const normal = mesh.normal.map((v, i) => v / by[i % 3]);
  for (let i = 0; i < normal.length; i += 3) {
    const length = Math.hypot(normal[i], normal[i + 1], normal[i + 2]) || 1;
    for (let k = 0; k < 3; k++) normal[i + k] /= length;
  }
  return moved(mesh, position, normal);
}
