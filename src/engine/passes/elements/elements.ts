import * as THREE from 'three';
import type { ElementKernel, KernelParameter, KernelValues } from '../../../core/layers/definition';
import { fullscreenMaterial, type Quad } from '../../gl/quad';

/** Texels per row of an element texture. */
export const ELEMENT_ROW = 1024;

const uniformName = (parameter: KernelParameter): string => `u_${parameter.name}`;

const inputs = (kernel: ElementKernel): KernelParameter[] =>
  kernel.signature.filter((p) => p.direction === 'in' && p.name !== 'id');

function fragmentShader(kernel: ElementKernel): string {
  const uniforms = inputs(kernel).map((p) => `uniform ${p.type} ${uniformName(p)};`);
  const args = ['id', ...inputs(kernel).map(uniformName), 'position', 'size', 'place', 'light'];
  return `${kernel.source}
${uniforms.join('\n')}
layout(location = 0) out vec4 outPlace;
layout(location = 1) out vec4 outLook;
uniform sampler2D uGradient;
void main() {
  uint id = uint(gl_FragCoord.y) * ${ELEMENT_ROW}u + uint(gl_FragCoord.x);
  vec3 position; float size; float place; float light;
  ${kernel.entry}(${args.join(', ')});
  outPlace = vec4(position, size);
  outLook = vec4(textureLod(uGradient, vec2(place, 0.5), 0.0).rgb * light, 1.0);
}`;
}

/**
 * Runs a layer's element kernel once for every element of a tile and keeps the result in textures: one texel an element,
 * position and size in the first, linear colour times light in the second. Sprites, lines and walls read them.
 * Changing the phase changes uniforms only.
 */
export class ElementPass {
  private readonly material: THREE.RawShaderMaterial;
  private readonly targets: THREE.WebGLRenderTarget[] = [];

  constructor(
    private readonly kernel: ElementKernel,
    readonly count: number,
    gradient: THREE.Texture,
  ) {
    const uniforms = Object.fromEntries(inputs(kernel).map((p) => [uniformName(p), { value: 0 as unknown }]));
    this.material = fullscreenMaterial(fragmentShader(kernel), { ...uniforms, uGradient: { value: gradient } });
  }

  /** Evaluates into slot 0 (shutter opens) or 1 (shutter closes). */
  run(renderer: THREE.WebGLRenderer, quad: Quad, slot: 0 | 1, values: KernelValues): THREE.WebGLRenderTarget {
    const target = this.target(slot);
    for (const p of inputs(this.kernel)) {
      const value = values[p.name];
      this.material.uniforms[uniformName(p)].value = value;
    }
    quad.draw(renderer, this.material, target);
    return target;
  }

  /** Textures of the last run of a slot: [position and size, look]. */
  target(slot: 0 | 1): THREE.WebGLRenderTarget {
    const made = this.targets[slot];
    if (made) return made;
    const rows = Math.max(1, Math.ceil(this.count / ELEMENT_ROW));
    const target = new THREE.WebGLRenderTarget(ELEMENT_ROW, rows, {
      count: 2,
      type: THREE.FloatType,
      format: THREE.RGBAFormat,
      minFilter: THREE.NearestFilter,
      magFilter: THREE.NearestFilter,
      depthBuffer: false,
    });
    this.targets[slot] = target;
    return target;
  }

  dispose(): void {
    this.material.dispose();
    for (const target of this.targets) target?.dispose();
  }
}
