import { Trouble } from '../../core/trouble';
import { MOST_TRIANGLES, MOST_VERTICES } from '../../core/solids/models/raw';

const WOULD = 'Bring in .glb, .gltf, .obj, .ply or .stl.';

/** @throws Trouble `refused`, in words */
export function refuse(name: string, what: string, would = WOULD): never {
  throw new Trouble('refused', `“${name}” is not a model that can be used: ${what}`, { would });
}

const LESS = 'Simplify it where it was made, or take a part of it.';

/** Sees to it that a model is not larger than can be drawn. @throws Trouble `refused` */
export function checkSize(name: string, vertices: number, triangles: number): void {
  if (triangles > MOST_TRIANGLES)
    refuse(name, `it has ${triangles.toLocaleString('en-US')} triangles; the most is two million`, LESS);
  if (vertices > MOST_VERTICES)
    refuse(name, `it has ${vertices.toLocaleString('en-US')} vertices; the most is six million`, LESS);
}

/** Sees to it that corners are vertices there are, and that these are somewhere. @throws Trouble `refused` */
export function checkPart(name: string, position: Float32Array, index: Uint32Array): void {
  const count = position.length / 3;
  for (const corner of index) if (corner >= count) refuse(name, `a triangle names vertex ${corner} of ${count}`);
  for (const value of position) if (!Number.isFinite(value)) refuse(name, 'a vertex is at no place that is a number');
}
