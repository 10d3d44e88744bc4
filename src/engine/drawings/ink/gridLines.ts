import * as THREE from 'three';
import { fillAttribute } from '../../gl/fill';
import type { Gpu, Uniforms } from '../../gl/gpu';
import type { Seen } from '../../seen/sorter';
import drawsSource from './draws.glsl?raw';
import gridSource from './grid.glsl?raw';
import { CORNERS, Ink, stripTriangles } from './ink';
import maySource from './may.glsl?raw';

/** What asks which cells of a grid may have lines: behind frame/view.glsl and seen/sides.glsl. */
export const maySources = drawsSource + maySource;

/** Lines of a cell by their numbers: where it turns away from the lens in each of its triangles; and along its sides. */
const LINES = { CONTOURS: [0, 1], EDGES: [2, 3, 4] };
type Sort = keyof typeof LINES;

/** Classes after those of cells without lines: with contours alone, with both, with edges alone. */
const CLASSES: Record<Sort, readonly [number, number]> = { CONTOURS: [0, 2], EDGES: [1, 3] };
export const LINE_CLASSES = 3;

/** The strips of a cell: which line, which end and which side of it. */
function stripsOf(sort: Sort): THREE.InstancedBufferGeometry {
  const geometry = new THREE.InstancedBufferGeometry();
  const own = LINES[sort].flatMap((line) => CORNERS.flatMap((corner) => [line, ...corner]));
  const attribute = new THREE.BufferAttribute(Int32Array.from(own), 3);
  attribute.gpuType = THREE.IntType;
  geometry.setAttribute('aStrip', attribute);
  geometry.setIndex(new THREE.BufferAttribute(stripTriangles(LINES[sort].length), 1));
  geometry.instanceCount = 0;
  return geometry;
}

/** Strokes in a tile, a whole number. @param strokes metres from one to the next */
export const strokesIn = (tile: number, strokes: number): number => Math.max(1, Math.round(tile / strokes));

/** Lines along a grid of elements, whose cells are sorted by what they may have. Contours and edges are programs of their own: most cells have one. */
export class GridLines {
  private readonly sorts: readonly Sort[];
  private readonly ink: Ink;
  private readonly geometries: THREE.InstancedBufferGeometry[][] = [];

  /**
   * @param head what the vertex program must know besides, with frame/view.glsl
   * @param vertex calls `gridLine`, for a sort of lines by which of CONTOURS and EDGES is defined
   * @param lines every edge, or contours, creases and borders
   */
  constructor(gpu: Gpu, head: string, vertex: string, uniforms: Uniforms, lines: 'edges' | 'wire') {
    this.sorts = lines === 'wire' ? ['EDGES'] : ['CONTOURS', 'EDGES'];
    const programs = this.sorts.map((sort) => ({ head: `#define ${sort}\n${head}`, vertex: gridSource + vertex }));
    this.ink = new Ink(gpu, programs, uniforms);
  }

  /** Takes which cells have lines at a moment. @param name of the attribute of a cell; @param before classes before those with lines */
  take(moment: number, { pairs, starts }: Seen, name: string, before: number): void {
    const made = (this.geometries[moment] ??= this.sorts.map(stripsOf));
    this.sorts.forEach((sort, k) => {
      const [from, to] = CLASSES[sort].map((n) => starts[before + n]);
      fillAttribute(made[k], name, pairs.subarray(2 * from, 2 * to), 2);
      made[k].instanceCount = to - from;
    });
  }

  draw(moment: number, target: THREE.WebGLRenderTarget): void {
    this.ink.draw(this.geometries[moment]?.map((geometry) => [geometry]) ?? [], target);
  }

  dispose(): void {
    for (const geometry of this.geometries.flat()) geometry.dispose();
    this.ink.dispose();
  }
}
