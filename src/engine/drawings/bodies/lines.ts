import * as THREE from 'three';
import type { Detail } from '../../../core/solids/details/details';
import { edgesOf } from '../../../core/solids/edges';
import type { Mesh } from '../../../core/solids/mesh';
import type { Gpu, Uniforms } from '../../gl/gpu';
import { CORNERS, Ink, stripTriangles } from '../ink/ink';
import vertex from './lines.vert.glsl?raw';

/** Of more triangles no lines are drawn: a coarser detail has them. */
const MOST_LINED = 60_000;
const linedAs = (details: readonly Detail[], k: number): Detail =>
  details.slice(k).find(({ index }) => index.length / 3 <= MOST_LINED) ?? details[details.length - 1];

/** A strip for every edge of a detail of a mesh. */
function stripsOf(mesh: Mesh, { index }: Detail, all: boolean): THREE.InstancedBufferGeometry {
  const { count, ends, normals, folds } = edgesOf(mesh, index, all);
  const room = (width: number): Float32Array => new Float32Array(count * 4 * width);
  const [from, to, face, other, corner, piece] = [room(3), room(3), room(3), room(3), room(3), room(4)];
  for (let edge = 0; edge < count; edge++) {
    const [a, b] = [ends[edge * 2], ends[edge * 2 + 1]];
    CORNERS.forEach(([end, side], k) => {
      const at = edge * 4 + k;
      from.set(mesh.position.subarray(a * 3, a * 3 + 3), at * 3);
      to.set(mesh.position.subarray(b * 3, b * 3 + 3), at * 3);
      face.set(normals.subarray(edge * 6, edge * 6 + 3), at * 3);
      other.set(normals.subarray(edge * 6 + 3, edge * 6 + 6), at * 3);
      corner.set([end, side, folds[edge]], at * 3);
      if (mesh.piece) piece.set(mesh.piece.subarray(a * 4, a * 4 + 4), at * 4);
    });
  }
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex(new THREE.BufferAttribute(stripTriangles(count), 1));
  for (const [name, array, width] of [
    ['aFrom', from, 3],
    ['aTo', to, 3],
    ['aFace', face, 3],
    ['aOther', other, 3],
    ['aCorner', corner, 3],
    ['aPiece', piece, 4],
  ] as const)
    geometry.setAttribute(name, new THREE.BufferAttribute(array, width));
  geometry.instanceCount = 0;
  return geometry;
}

/** Another geometry of the same strips, for elements of its own. */
function sharing(strips: THREE.InstancedBufferGeometry): THREE.InstancedBufferGeometry {
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex(strips.index);
  for (const [name, attribute] of Object.entries(strips.attributes)) geometry.setAttribute(name, attribute);
  geometry.instanceCount = 0;
  return geometry;
}

/** Lines along the edges of some bodies. */
export class BodyLines {
  private readonly ink: Ink;
  private readonly geometries: THREE.InstancedBufferGeometry[][] = [];
  private strips: THREE.InstancedBufferGeometry[] | null = null;

  /**
   * @param head what the program must know besides, and the composed breakBody and bendBody with frame/view.glsl and element.glsl
   * @param all every edge of the mesh
   */
  constructor(
    gpu: Gpu,
    private readonly mesh: Mesh,
    private readonly details: readonly Detail[],
    head: string,
    uniforms: Uniforms,
    private readonly all: boolean,
  ) {
    this.ink = new Ink(gpu, [{ head: `#define HAS_EYE\n${head}`, vertex }], uniforms);
  }

  /** Where the elements of each detail are at a moment. */
  of(moment: number, classes: number): readonly THREE.InstancedBufferGeometry[] {
    const strips = (this.strips ??= this.details.map((_, k) =>
      stripsOf(this.mesh, linedAs(this.details, k), this.all),
    ));
    return (this.geometries[moment] ??= Array.from({ length: classes }, (_, k) => sharing(strips[k % strips.length])));
  }

  draw(moment: number, target: THREE.WebGLRenderTarget): void {
    this.ink.draw([this.geometries[moment] ?? []], target);
  }

  dispose(): void {
    for (const geometry of [...(this.strips ?? []), ...this.geometries.flat()]) geometry.dispose();
    this.ink.dispose();
  }
}
