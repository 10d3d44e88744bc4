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
import maySource from './may.glsl?raw';
import stripSource from './strip.glsl?raw';

/** Where lines run along a grid of elements: behind strip.glsl, in front of a drawing's own program. */
export { default as gridSource } from './grid.glsl?raw';

/** Corners of the strip along an edge: which end, which side. */
export const CORNERS = [
  [0, -1],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;

/** What asks which cells of a grid may have lines: behind frame/view.glsl and seen/sides.glsl. */
export const maySources = drawsSource + maySource;

/** Lines that a cell of a grid may have, by their numbers: its contours are the first two. */
const CELL_LINES = { edges: [0, 1, 2, 3, 4], wire: [2, 3, 4] };

/** The strips of a cell: which line, which end and which side of it. */
export function gridStrips(lines: keyof typeof CELL_LINES): THREE.InstancedBufferGeometry {
  const geometry = new THREE.InstancedBufferGeometry();
  const own = CELL_LINES[lines].flatMap((line) => CORNERS.flatMap((corner) => [line, ...corner]));
  const attribute = new THREE.BufferAttribute(Int32Array.from(own), 3);
  attribute.gpuType = THREE.IntType;
  geometry.setAttribute('aStrip', attribute);
  geometry.setIndex(new THREE.BufferAttribute(stripTriangles(CELL_LINES[lines].length), 1));
  geometry.instanceCount = 0;
  return geometry;
}

/** Strokes in a tile, a whole number. @param strokes metres from one to the next */
export const strokesIn = (tile: number, strokes: number): number => Math.max(1, Math.round(tile / strokes));

/** Two triangles for each of some strips of four corners. */
export const stripTriangles = (strips: number): Uint32Array =>
  Uint32Array.from({ length: strips * 6 }, (_, i) => Math.floor(i / 6) * 4 + [0, 1, 2, 0, 2, 3][i % 6]);

/** Lines along something: those that are seen, and those behind something, drawn when all matter of a pass is. */
export class Ink {
  private readonly seen: THREE.RawShaderMaterial;
  private readonly hidden: THREE.RawShaderMaterial;
  private readonly object = new THREE.Mesh();

  /**
   * @param head what the vertex program must know besides, with frame/view.glsl
   * @param vertex calls `drawStrip`
   */
  constructor(
    private readonly gpu: Gpu,
    head: string,
    vertex: string,
    private readonly uniforms: Uniforms,
  ) {
    const noise = head.includes('float flowNoise(') ? '' : joinSources(flowSources);
    const make = (
      shown: THREE.IUniform<number>,
      depth: Partial<THREE.ShaderMaterialParameters>,
    ): THREE.RawShaderMaterial =>
      rawMaterial(
        noise + head + drawsSource + stripSource + vertex,
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

  draw(geometries: readonly THREE.InstancedBufferGeometry[], target: THREE.WebGLRenderTarget): void {
    const hidden = (this.uniforms.uLineHidden as THREE.IUniform<number>).value > 0;
    for (const material of hidden ? [this.hidden, this.seen] : [this.seen]) {
      this.object.material = material;
      for (const geometry of geometries) {
        if (geometry.instanceCount === 0) continue;
        this.object.geometry = geometry;
        this.gpu.stage.draw(this.gpu.renderer, this.object, target);
      }
    }
  }

  dispose(): void {
    this.seen.dispose();
    this.hidden.dispose();
  }
}
