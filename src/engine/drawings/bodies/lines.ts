import * as THREE from 'three';
import { joinSources } from '../../../core/kernel/kernel';
import { sources as flowSources } from '../../../core/noise/flow.gen';
import { sources as hashSources } from '../../../core/random/hash.gen';
import type { Detail } from '../../../core/solids/details/details';
import { edgesOf } from '../../../core/solids/edges';
import type { Mesh } from '../../../core/solids/mesh';
import type { Gpu, Uniforms } from '../../gl/gpu';
import { rawMaterial } from '../../gl/quad';
import noiseSource from '../../lens/noise.glsl?raw';
import surfaceSource from '../../matter/surface.glsl?raw';
import fragment from './lines.frag.glsl?raw';
import vertex from './lines.vert.glsl?raw';

/** Corners of the strip along an edge: which end, which side. */
const CORNERS = [
  [0, -1],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;
const TRIANGLES = [0, 1, 2, 0, 2, 3] as const;

/** A strip for every edge of a detail of a mesh. */
function stripsOf(mesh: Mesh, { index }: Detail, all: boolean): THREE.InstancedBufferGeometry {
  const { count, ends, normals, folds } = edgesOf(mesh, index, all);
  const room = (width: number): Float32Array => new Float32Array(count * 4 * width);
  const [from, to, face, other, corner, piece] = [room(3), room(3), room(3), room(3), room(3), room(4)];
  const triangles = new Uint32Array(count * 6);
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
    triangles.set(
      TRIANGLES.map((k) => edge * 4 + k),
      edge * 6,
    );
  }
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex(new THREE.BufferAttribute(triangles, 1));
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

/** Lines along the edges of some bodies: those that are seen, and those behind something, drawn when all matter of a pass is. */
export class BodyLines {
  private readonly seen: THREE.RawShaderMaterial;
  private readonly hidden: THREE.RawShaderMaterial;
  private readonly object = new THREE.Mesh();
  private readonly geometries: THREE.InstancedBufferGeometry[][] = [];
  private strips: THREE.InstancedBufferGeometry[] | null = null;

  /**
   * @param head what the programs must know besides, and the composed breakBody and bendBody with frame/view.glsl
   * @param all every edge of the mesh
   */
  constructor(
    private readonly gpu: Gpu,
    private readonly mesh: Mesh,
    private readonly details: readonly Detail[],
    head: string,
    uniforms: Uniforms,
    private readonly all: boolean,
  ) {
    const make = (
      shown: THREE.IUniform<number>,
      depth: Partial<THREE.ShaderMaterialParameters>,
    ): THREE.RawShaderMaterial =>
      rawMaterial(
        head + vertex,
        joinSources(hashSources) + surfaceSource + noiseSource + fragment,
        { ...uniforms, uShown: shown },
        { depthTest: true, side: THREE.DoubleSide, ...depth },
      );
    this.seen = make({ value: 1 }, { depthWrite: true });
    this.hidden = make(uniforms.uLineHidden as THREE.IUniform<number>, {
      depthWrite: false,
      depthFunc: THREE.GreaterDepth,
    });
  }

  /** The noise that its programs need besides what is composed. @param composed with what it has already */
  static noise(composed: string): string {
    return composed.includes('float flowNoise(') ? '' : joinSources(flowSources);
  }

  /** Where the elements of each detail are at a moment. */
  of(moment: number, classes: number): readonly THREE.InstancedBufferGeometry[] {
    const strips = (this.strips ??= this.details.map((detail) => stripsOf(this.mesh, detail, this.all)));
    return (this.geometries[moment] ??= Array.from({ length: classes }, (_, k) => sharing(strips[k % strips.length])));
  }

  draw(moment: number, target: THREE.WebGLRenderTarget, hidden: boolean): void {
    for (const material of hidden ? [this.hidden, this.seen] : [this.seen]) {
      this.object.material = material;
      for (const geometry of this.geometries[moment] ?? []) {
        if (geometry.instanceCount === 0) continue;
        this.object.geometry = geometry;
        this.gpu.stage.draw(this.gpu.renderer, this.object, target);
      }
    }
  }

  dispose(): void {
    for (const geometry of [...(this.strips ?? []), ...this.geometries.flat()]) geometry.dispose();
    this.seen.dispose();
    this.hidden.dispose();
  }
}
