import { rotate, type Quaternion, type Vec3 } from '../../core/space/vector';
import { fromLinear } from '../../core/colour/colour';
import type { GivenBodies, GivenLayer, GivenWorld } from '../../core/world/given';
import type { GivenRoute } from '../../core/world/givenRoutes';

// Wavefront OBJ as the "Object Files (.obj)" appendix of the Advanced Visualizer manual has it; colours after the place of a vertex are common
// practice, no published source.

const place = (value: number): string => String(Number(value.toPrecision(8)));
const shade = (linear: number): string =>
  String(Math.round(1000 * Math.min(1, Math.max(0, fromLinear(linear)))) / 1000);

/** Vertices of a mesh at one of its places. */
function standing(
  { mesh, position, rotation, scale }: GivenBodies,
  i: number,
): { at: Float32Array; faces: Float32Array } {
  const turn = [0, 1, 2, 3].map((k) => rotation[i * 4 + k]) as Quaternion;
  const at = new Float32Array(mesh.position.length);
  const faces = new Float32Array(mesh.normal.length);
  for (let v = 0; v < at.length; v += 3) {
    const [p, n] = [mesh.position, mesh.normal].map((own) => rotate(turn, [own[v], own[v + 1], own[v + 2]] as Vec3));
    for (let k = 0; k < 3; k++) {
      at[v + k] = position[i * 3 + k] + p[k] * scale[i];
      faces[v + k] = n[k];
    }
  }
  return { at, faces };
}

/** Writes lines, and counts vertices and normals from 1. */
class Lines {
  readonly parts: string[] = [];
  private vertices = 1;
  private normals = 1;

  private places(at: Float32Array, colour: (vertex: number) => ArrayLike<number>, ahead: number): number {
    for (let v = 0; v < at.length; v += 3) {
      const own = colour(v / 3);
      this.parts.push(
        `v ${place(at[v])} ${place(at[v + 1])} ${place(at[v + 2] - ahead)} ${[0, 1, 2].map((k) => shade(own[k])).join(' ')}`,
      );
    }
    const first = this.vertices;
    this.vertices += at.length / 3;
    return first;
  }

  mesh(
    at: Float32Array,
    faces: Float32Array,
    index: Uint32Array,
    colour: (vertex: number) => ArrayLike<number>,
    ahead: number,
  ): void {
    const first = this.places(at, colour, ahead);
    for (let v = 0; v < faces.length; v += 3)
      this.parts.push(`vn ${[0, 1, 2].map((k) => place(Math.round(faces[v + k] * 1e5) / 1e5)).join(' ')}`);
    const normal = this.normals;
    this.normals += faces.length / 3;
    for (let t = 0; t < index.length; t += 3)
      this.parts.push(`f ${[0, 1, 2].map((k) => `${first + index[t + k]}//${normal + index[t + k]}`).join(' ')}`);
  }

  marks(at: Float32Array, colour: Float32Array, each: 1 | 2, ahead: number): void {
    const first = this.places(at, (v) => colour.subarray(v * 3, v * 3 + 3), ahead);
    for (let v = 0; v < at.length / 3; v += each)
      this.parts.push(each === 1 ? `p ${first + v}` : `l ${first + v} ${first + v + 1}`);
  }

  layer(layer: GivenLayer): void {
    this.parts.push(`o ${layer.name.replace(/\s+/g, '_')}`);
    for (const ahead of layer.repeats) {
      for (const bodies of layer.bodies)
        for (let i = 0; i < bodies.count; i++) {
          const { at, faces } = standing(bodies, i);
          const own = bodies.colour.subarray(i * 3, i * 3 + 3);
          this.mesh(at, faces, bodies.mesh.index, () => own, ahead);
        }
      for (const { position, normal, index, colour } of layer.meshes)
        this.mesh(position, normal, index, (v) => colour.subarray(v * 3, v * 3 + 3), ahead);
      if (layer.lines) this.marks(layer.lines.position, layer.lines.colour, 2, ahead);
      if (layer.points) this.marks(layer.points.position, layer.points.colour, 1, ahead);
    }
  }
}

/** A world of one moment, every body where it stands. */
export function worldObj({ layers }: GivenWorld): Uint8Array<ArrayBuffer> {
  const lines = new Lines();
  lines.parts.push('# Isomorph: metres, y up');
  for (const layer of layers) lines.layer(layer);
  return new TextEncoder().encode(`${lines.parts.join('\n')}\n`);
}

/** Ways as lines through their places, each an object of its own. */
export function routesObj(routes: readonly GivenRoute[]): Uint8Array<ArrayBuffer> {
  const parts = ['# Isomorph: metres, y up'];
  let first = 1;
  for (const { name, closed, position } of routes) {
    const count = position.length / 3;
    parts.push(`o ${name.replace(/\s+/g, '_')}`);
    for (let v = 0; v < position.length; v += 3)
      parts.push(`v ${place(position[v])} ${place(position[v + 1])} ${place(position[v + 2])}`);
    const numbers = Array.from({ length: count }, (_, i) => first + i);
    parts.push(`l ${[...numbers, ...(closed ? [first] : [])].join(' ')}`);
    first += count;
  }
  return new TextEncoder().encode(`${parts.join('\n')}\n`);
}
