import type { Kernel } from '../kernel/kernel';

/** The state of every element of one tile, structure of arrays: what layer kernels make and treatments change. */
export interface Elements {
  count: number;
  /** x, y, z in metres, of the element's centre */
  position: Float64Array;
  /** x, y, z, w */
  rotation: Float64Array;
  /** from its centre to the vertex this is, in units of size; zero where an element is one vertex */
  spoke: Float64Array;
  /** radius of a particle, distance of a ring's corner from its centre, factor of a body; metres */
  size: Float64Array;
  /** place on the gradient, 0..1 */
  place: Float64Array;
  /** brightness factor */
  light: Float64Array;
  /** 0 not there .. 1 there */
  fade: Float64Array;
  /** its turn among all, 0..1 */
  order: Float64Array;
  /** metres that a body's blur is wider than the lens makes it */
  blur: Float64Array;
  /** where the edge is that a body is cut off at, in metres along its layer's way out of it: see DrawingLook.cut */
  cut: Float64Array;
  /** what its chance hangs on: the same for all vertices of one element */
  key: Uint32Array;
}

/** Width, GLSL type and rest of every column, in order. A column that no kernel writes rests. */
export const COLUMNS = {
  position: { type: 'vec3', rest: 'vec3(0.0)' },
  rotation: { type: 'vec4', rest: 'vec4(0.0, 0.0, 0.0, 1.0)' },
  spoke: { type: 'vec3', rest: 'vec3(0.0)' },
  size: { type: 'float', rest: '1.0' },
  place: { type: 'float', rest: '0.5' },
  light: { type: 'float', rest: '1.0' },
  fade: { type: 'float', rest: '1.0' },
  order: { type: 'float', rest: '0.0' },
  blur: { type: 'float', rest: '0.0' },
  cut: { type: 'float', rest: '-1e9' },
  key: { type: 'uint', rest: 'id' },
} as const;

/** Names a treatment's kernel may use besides its own parameters. */
export const STATE: ReadonlySet<string> = new Set([...Object.keys(COLUMNS), 'weight', 'rest']);

/** Elements at rest. */
export function restingElements(count: number): Elements {
  const elements: Elements = {
    count,
    position: new Float64Array(count * 3),
    rotation: new Float64Array(count * 4),
    spoke: new Float64Array(count * 3),
    size: new Float64Array(count).fill(1),
    place: new Float64Array(count).fill(0.5),
    light: new Float64Array(count).fill(1),
    fade: new Float64Array(count).fill(1),
    order: new Float64Array(count),
    blur: new Float64Array(count),
    cut: new Float64Array(count).fill(-1e9),
    key: new Uint32Array(count),
  };
  for (let i = 0; i < count; i++) {
    elements.rotation[i * 4 + 3] = 1;
    elements.key[i] = i;
  }
  return elements;
}

/** The arrays of the elements by the names kernels use. */
export const columnsOf = ({ count: _, ...columns }: Elements): Record<string, Float64Array | Uint32Array> => columns;

/** Whether a kernel writes a column. */
export const writes = (kernel: Kernel, column: string): boolean =>
  kernel.signature.some((p) => p.name === column && p.direction !== 'in');
