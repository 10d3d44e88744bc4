import type { Vec3 } from '../space/vector';
import { finishMesh, NOWHERE, type Mesh } from './mesh';

/** A panel, one unit high. */
export interface PanelShape {
  /** width over height */
  wide: number;
  /** degrees of a circle it is bent along about an upright axis; its middle is nearest to the viewer when negative */
  curve: number;
  /** units that a second plane stands behind the first; 0 for none */
  behind: number;
}

/** Degrees between two columns of vertices. */
const STEP = 4;
/** Columns on either side of which patches are small enough to bend in space. */
const LEAST = 4;

/**
 * A panel that shows a picture on its front, towards +z: flat, or bent about an upright axis, its width along the bend.
 * Seen from both sides.
 */
export function panel({ wide, curve, behind }: PanelShape): Mesh {
  const columns = Math.max(LEAST, Math.ceil(Math.abs(curve) / STEP));
  const angle = (curve * Math.PI) / 180;
  const radius = angle === 0 ? 0 : wide / angle;
  const planes = behind > 0 ? [0, 1] : [0];
  const position: number[] = [];
  const normal: number[] = [];
  const uv: number[] = [];
  const index: number[] = [];
  for (const plane of planes) {
    const first = position.length / 3;
    for (let i = 0; i <= columns; i++) {
      const u = i / columns;
      const turn = angle * (u - 0.5);
      // bent towards the viewer at its sides; of both planes the same way, one behind the other
      const out: Vec3 = [-Math.sin(turn), 0, Math.cos(turn)];
      const [x, z] = angle === 0 ? [(u - 0.5) * wide, 0] : [radius * Math.sin(turn), radius * (1 - Math.cos(turn))];
      for (const v of [0, 0.5, 1]) {
        position.push(x - out[0] * behind * plane, 0.5 - v, z - out[2] * behind * plane);
        normal.push(...out);
        uv.push(u, v, plane);
      }
    }
    for (let i = 0; i < columns; i++)
      for (let j = 0; j < 2; j++) {
        const a = first + i * 3 + j;
        index.push(a + 1, a + 4, a, a + 4, a + 3, a);
      }
  }
  return finishMesh(
    Float32Array.from(position),
    Float32Array.from(normal),
    Uint32Array.from(index),
    true,
    null,
    Float32Array.from(uv),
  );
}

/** The axis, and which way along it, that a direction is nearest to. */
function facing([x, y, z]: Vec3): { axis: 0 | 1 | 2; sign: number } {
  const sizes = [Math.abs(x), Math.abs(y), Math.abs(z)];
  const axis = sizes[2] >= sizes[0] && sizes[2] >= sizes[1] ? 2 : sizes[0] >= sizes[1] ? 0 : 1;
  return { axis, sign: [x, y, z][axis] < 0 ? -1 : 1 };
}

/**
 * A body that shows a picture on each of its faces: every triangle the part that is before it when the picture is laid on from
 * the nearest of six sides, upright, as large as the body is from there.
 * @param caps whether what looks up and down shows one too
 */
export function faced(mesh: Mesh, caps: boolean): Mesh {
  const count = mesh.index.length;
  const position = new Float32Array(count * 3);
  const normal = new Float32Array(count * 3);
  const uv = new Float32Array(count * 3);
  const half: Vec3 = [0, 0, 0];
  for (let i = 0; i < mesh.position.length; i++) half[i % 3] = Math.max(half[i % 3], Math.abs(mesh.position[i]), 1e-6);
  const corner = (k: number): Vec3 => [...mesh.position.subarray(mesh.index[k] * 3, mesh.index[k] * 3 + 3)] as Vec3;
  for (let t = 0; t < count; t += 3) {
    const [a, b, c] = [corner(t), corner(t + 1), corner(t + 2)];
    const u = [0, 1, 2].map((k) => b[k] - a[k]);
    const v = [0, 1, 2].map((k) => c[k] - a[k]);
    const out: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const { axis, sign } = facing(out);
    for (const [k, p] of [a, b, c].entries()) {
      position.set(p, (t + k) * 3);
      normal.set(mesh.normal.subarray(mesh.index[t + k] * 3, mesh.index[t + k] * 3 + 3), (t + k) * 3);
      const [x, y, z] = p.map((value, d) => value / half[d] / 2);
      const right = axis === 2 ? sign * x : axis === 0 ? -sign * z : x;
      const down = axis === 1 ? sign * z : -y;
      uv.set([0.5 + right, 0.5 + down, axis === 1 && !caps ? NOWHERE : 0], (t + k) * 3);
    }
  }
  const index = Uint32Array.from({ length: count }, (_, i) => i);
  return finishMesh(position, normal, index, mesh.open, null, uv);
}
