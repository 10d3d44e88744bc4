import * as THREE from 'three';
import type { Pipeline, Step } from '../../../core/world/pipeline';
import { fullscreenMaterial, type Quad } from '../../gl/quad';
import { ELEMENT_ROW, elementProgram, stepUniforms } from './compose';

export { ELEMENT_ROW };

/** Empty uniforms for some steps. */
export const uniformsOf = (steps: readonly Step[]): Record<string, THREE.IUniform> =>
  Object.fromEntries(
    steps.flatMap((step) => {
      const { own, reach } = stepUniforms(step);
      return [...own, ...reach].map(({ name }) => [name, { value: 0 as unknown }]);
    }),
  );

/** Sets the uniforms of some steps to what they are at a phase. */
export function feed(
  uniforms: Record<string, THREE.IUniform>,
  steps: readonly Step[],
  phase: number,
  echoOf: readonly string[] = [],
): void {
  for (const step of steps) {
    const { own, reach } = stepUniforms(step);
    const values = step.values(phase, echoOf);
    for (const { name, parameter } of own) give(uniforms[name], values[parameter.name]);
    const reachValues = step.reach?.(phase);
    if (reachValues) for (const { name, parameter } of reach) give(uniforms[name], reachValues[parameter.name]);
  }
}

type Given = ReturnType<Step['values']>[string];

/** A table becomes a texture of one row, made anew only when it is another one. */
function give(uniform: THREE.IUniform, value: Given): void {
  if (!(value instanceof Float64Array)) {
    uniform.value = value;
    return;
  }
  const former: unknown = uniform.value;
  if (former instanceof THREE.DataTexture) {
    if (former.userData.table === value) return;
    former.dispose();
  }
  const texture = new THREE.DataTexture(
    Float32Array.from(value),
    value.length / 4,
    1,
    THREE.RGBAFormat,
    THREE.FloatType,
  );
  texture.userData.table = value;
  texture.needsUpdate = true;
  uniform.value = texture;
}

/** Gives back the textures that stand for tables. */
export function releaseTables(uniforms: Record<string, THREE.IUniform>): void {
  for (const { value } of Object.values(uniforms))
    if (value instanceof THREE.DataTexture && value.userData.table) value.dispose();
}

/** Rest values of the elements as a texture, four numbers a texel. */
function restTexture(rest: Float32Array): THREE.DataTexture {
  const rows = Math.max(1, Math.ceil(rest.length / 4 / ELEMENT_ROW));
  const data = new Float32Array(rows * ELEMENT_ROW * 4);
  data.set(rest);
  const texture = new THREE.DataTexture(data, ELEMENT_ROW, rows, THREE.RGBAFormat, THREE.FloatType);
  texture.needsUpdate = true;
  return texture;
}

/**
 * Runs a layer's pipeline once for every element of a tile and keeps the result in textures, one texel an element: position
 * and size, linear colour times light with how far it is there, and for what needs them rotation, key and order. Sprites, lines,
 * walls and bodies read them. Changing the phase or a value changes uniforms only.
 */
export class ElementPass {
  private readonly material: THREE.RawShaderMaterial;
  private readonly targets: THREE.WebGLRenderTarget[] = [];
  private readonly rest: THREE.DataTexture | null;
  private readonly steps: readonly Step[];

  constructor(
    pipeline: Pipeline,
    readonly count: number,
    gradient: THREE.Texture,
    /** bodies are bent vertex by vertex when they are drawn, not here */
    private readonly bodies: boolean,
    /** keeps rotations too */
    private readonly turned: boolean,
    rest: Float32Array | null,
  ) {
    this.rest = rest ? restTexture(rest) : null;
    this.steps = this.stepsOf(pipeline);
    this.material = fullscreenMaterial(elementProgram(pipeline, bodies, turned), {
      ...uniformsOf(this.steps),
      uGradient: { value: gradient },
      uRest: { value: this.rest },
    });
  }

  private stepsOf(pipeline: Pipeline): Step[] {
    return this.bodies ? pipeline.element : [...pipeline.element, ...pipeline.space];
  }

  /** Evaluates a pipeline of the same structure at a phase into a slot. */
  run(
    renderer: THREE.WebGLRenderer,
    quad: Quad,
    slot: number,
    pipeline: Pipeline,
    phase: number,
    echoOf: readonly string[],
  ): THREE.WebGLRenderTarget {
    const target = this.target(slot);
    feed(this.material.uniforms, this.stepsOf(pipeline), phase, echoOf);
    quad.draw(renderer, this.material, target);
    return target;
  }

  /** Textures of the last run of a slot: place, look, and for what needs them turn and mark. */
  target(slot: number): THREE.WebGLRenderTarget {
    const made = this.targets[slot] as THREE.WebGLRenderTarget | undefined;
    if (made) return made;
    const rows = Math.max(1, Math.ceil(this.count / ELEMENT_ROW));
    const target = new THREE.WebGLRenderTarget(ELEMENT_ROW, rows, {
      count: this.turned ? 4 : 2,
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
    releaseTables(this.material.uniforms);
    this.material.dispose();
    this.rest?.dispose();
    for (const target of this.targets) (target as THREE.WebGLRenderTarget | undefined)?.dispose();
  }
}
