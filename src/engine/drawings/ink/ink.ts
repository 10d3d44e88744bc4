import * as THREE from 'three';
import { joinSources } from '../../../core/kernel/kernel';
import { sources as flowSources } from '../../../core/noise/flow.gen';
import { sources as hashSources } from '../../../core/random/hash.gen';
import type { Gpu, Uniforms } from '../../gl/gpu';
import { rawMaterial } from '../../gl/quad';
import noiseSource from '../../lens/noise.glsl?raw';
import surfaceSource from '../../matter/surface.glsl?raw';
import drawsSource from './draws.glsl?raw';
import fragment from './ink.frag.glsl?raw';
import stripSource from './strip.glsl?raw';

/** Corners of the strip along an edge: which end, which side. */
export const CORNERS = [
  [0, -1],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;

/** Two triangles for each of some strips of four corners. */
export const stripTriangles = (strips: number): Uint32Array =>
  Uint32Array.from({ length: strips * 6 }, (_, i) => Math.floor(i / 6) * 4 + [0, 1, 2, 0, 2, 3][i % 6]);

/** Lines along something: those that are seen, and those behind something, drawn when all matter of a pass is. */
export class Ink {
  private readonly seen: readonly THREE.RawShaderMaterial[];
  private readonly hidden: readonly THREE.RawShaderMaterial[];
  private readonly object = new THREE.Mesh();

  /** @param programs of which `vertex` calls `drawStrip`, and `head` is what it must know besides, with frame/view.glsl */
  constructor(
    private readonly gpu: Gpu,
    programs: readonly { head: string; vertex: string }[],
    private readonly uniforms: Uniforms,
  ) {
    const make = (
      shown: THREE.IUniform<number>,
      depth: Partial<THREE.ShaderMaterialParameters>,
    ): THREE.RawShaderMaterial[] =>
      programs.map(({ head, vertex }) => {
        const noise = head.includes('float flowNoise(') ? '' : joinSources(flowSources);
        return rawMaterial(
          noise + head + drawsSource + stripSource + vertex,
          joinSources(hashSources) + surfaceSource + noiseSource + fragment,
          { ...uniforms, uShown: shown },
          { depthTest: true, side: THREE.DoubleSide, ...depth },
        );
      });
    this.seen = make({ value: 1 }, { depthWrite: true });
    this.hidden = make(uniforms.uLineHidden as THREE.IUniform<number>, {
      depthWrite: false,
      depthFunc: THREE.GreaterDepth,
    });
  }

  /** @param geometries of each program */
  draw(geometries: readonly (readonly THREE.InstancedBufferGeometry[])[], target: THREE.WebGLRenderTarget): void {
    const hidden = (this.uniforms.uLineHidden as THREE.IUniform<number>).value > 0;
    for (const materials of hidden ? [this.hidden, this.seen] : [this.seen])
      geometries.forEach((own, k) => {
        this.object.material = materials[k];
        for (const geometry of own) {
          if (geometry.instanceCount === 0) continue;
          this.object.geometry = geometry;
          this.gpu.stage.draw(this.gpu.renderer, this.object, target);
        }
      });
  }

  dispose(): void {
    for (const material of [...this.seen, ...this.hidden]) material.dispose();
  }
}
