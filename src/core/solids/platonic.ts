import type { Vec3 } from '../space/vector';
import { MeshBuilder, type Mesh } from './mesh';

const PHI = (1 + Math.sqrt(5)) / 2;

/** Corners of the five, on coordinates that give them their twofold axes along x, y and z. */
const CORNERS: Record<PlatonicName, Vec3[]> = {
  tetrahedron: [
    [1, 1, 1],
    [1, -1, -1],
    [-1, 1, -1],
    [-1, -1, 1],
  ],
  cube: signs([1, 1, 1]),
  octahedron: [
    [1, 0, 0],
    [-1, 0, 0],
    [0, 1, 0],
    [0, -1, 0],
    [0, 0, 1],
    [0, 0, -1],
  ],
  icosahedron: [...cyclic(signs([0, 1, PHI]))],
  dodecahedron: [...signs([1, 1, 1]), ...cyclic(signs([0, 1 / PHI, PHI]))],
};
export type PlatonicName = 'tetrahedron' | 'cube' | 'octahedron' | 'icosahedron' | 'dodecahedron';

/** A corner with every choice of signs. */
function signs([x, y, z]: Vec3): Vec3[] {
  const both = (v: number): number[] => (v === 0 ? [0] : [v, -v]);
  return both(x).flatMap((a) => both(y).flatMap((b) => both(z).map((c): Vec3 => [a, b, c])));
}
function cyclic(corners: Vec3[]): Vec3[] {
  return corners.flatMap(([x, y, z]): Vec3[] => [
    [x, y, z],
    [y, z, x],
    [z, x, y],
  ]);
}

const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** The faces of a convex body given by its corners: each as corners that run counter-clockwise from outside. */
function facesOf(corners: readonly Vec3[]): Vec3[][] {
  const faces = new Map<string, Vec3[]>();
  for (const a of corners)
    for (const b of corners)
      for (const c of corners) {
        const normal = cross(subtract(b, a), subtract(c, a));
        const length = Math.hypot(...normal);
        if (length < 1e-9) continue;
        const n = normal.map((v) => v / length) as Vec3;
        const height = dot(n, a);
        if (height < 1e-9 || corners.some((p) => dot(n, p) > height + 1e-9)) continue;
        const on = corners.filter((p) => Math.abs(dot(n, p) - height) < 1e-9);
        const key = on.map((p) => corners.indexOf(p)).join();
        if (faces.has(key)) continue;
        const u = subtract(on[0], n.map((v) => v * height) as Vec3);
        const v = cross(n, u);
        faces.set(
          key,
          [...on].sort((p, q) => Math.atan2(dot(p, v), dot(p, u)) - Math.atan2(dot(q, v), dot(q, u))),
        );
      }
  return [...faces.values()];
}

/** One of the five regular bodies, one unit across from corner to corner. */
export function platonic(name: PlatonicName): Mesh {
  const builder = new MeshBuilder();
  const corners = CORNERS[name];
  const half = 0.5 / Math.hypot(...corners[0]);
  for (const face of facesOf(corners)) builder.face(face.map((p) => p.map((v) => v * half) as Vec3));
  return builder.build();
}
