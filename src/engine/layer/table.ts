import * as THREE from 'three';
import {
  joinSources,
  uniformParameters,
  type FilledTable,
  type Kernel,
  type KernelValues,
} from '../../core/kernel/kernel';
import type { Gpu, Uniforms } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';
import type { TableMaker } from './feed';

/** Entries in a row, as kernels read them: see FilledTable. */
const ROW = 1024;
const OUT = 'entry';

const given = (kernel: Kernel) => uniformParameters(kernel, new Set([OUT]));

function program(kernel: Kernel): string {
  const args = kernel.signature.map(({ name }) => (name === 'id' || name === OUT ? name : `u_${name}`));
  return `${joinSources(kernel.sources)}
${given(kernel)
  .map(({ type, name }) => `uniform ${type} u_${name};`)
  .join('\n')}
out vec4 outEntry;
void main() {
  uint id = uint(gl_FragCoord.y) * ${ROW}u + uint(gl_FragCoord.x);
  vec4 entry;
  ${kernel.entry}(${args.join(', ')});
  outEntry = entry;
}`;
}

const same = (a: KernelValues, b: KernelValues): boolean =>
  Object.entries(a).every(([name, value]) => JSON.stringify(value) === JSON.stringify(b[name]));

/** A table that its kernel fills on the GPU, filled anew when it is given other values. */
export class TableTexture implements TableMaker {
  private readonly names: readonly string[];
  private readonly uniforms: Uniforms;
  private readonly material: THREE.RawShaderMaterial;
  private target: THREE.WebGLRenderTarget | null = null;
  private values: KernelValues | null = null;
  private filled = 0;

  constructor(
    private readonly gpu: Gpu,
    kernel: Kernel,
  ) {
    this.names = given(kernel).map(({ name }) => name);
    this.uniforms = Object.fromEntries(this.names.map((name) => [`u_${name}`, { value: 0 as unknown }]));
    this.material = fullscreenMaterial(program(kernel), this.uniforms);
  }

  /** The texture of a table; null for one without entries, which nothing reads. */
  of({ entries, values }: FilledTable): THREE.Texture | null {
    if (entries === 0) return null;
    const target = this.room(entries);
    if (this.values && same(values, this.values)) return target.texture;
    this.values = values;
    for (const name of this.names) this.uniforms[`u_${name}`].value = values[name];
    this.gpu.quad.draw(this.gpu.renderer, this.material, target);
    target.texture.userData.filled = ++this.filled;
    return target.texture;
  }

  private room(entries: number): THREE.WebGLRenderTarget {
    const [width, height] = [Math.min(entries, ROW), Math.ceil(entries / ROW)];
    if (this.target?.width === width && this.target.height === height) return this.target;
    this.target?.dispose();
    this.values = null;
    this.target = new THREE.WebGLRenderTarget(width, height, {
      type: THREE.FloatType,
      format: THREE.RGBAFormat,
      minFilter: THREE.NearestFilter,
      magFilter: THREE.NearestFilter,
      depthBuffer: false,
      generateMipmaps: false,
    });
    return this.target;
  }

  dispose(): void {
    this.target?.dispose();
    this.material.dispose();
  }
}
