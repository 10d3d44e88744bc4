import * as THREE from 'three';
import type { Step } from '../../core/world/pipeline';
import type { Uniforms } from '../gl/gpu';
import { stepUniforms } from './program';

/** The uniforms of some steps, known by name once: every frame, moment and pass only sets their values. */
export class Feed {
  readonly uniforms: Uniforms;
  private readonly known: ReturnType<typeof stepUniforms>[];

  constructor(steps: readonly Step[]) {
    this.known = steps.map(stepUniforms);
    this.uniforms = Object.fromEntries(
      this.known.flatMap(({ own, reach }) => [...own, ...reach].map(({ name }) => [name, { value: 0 as unknown }])),
    );
  }

  /**
   * Sets them to what they are at a phase.
   * @param steps of the same kernels as those it was made for
   * @param echoOf ids of the trails this moment is an earlier one of
   */
  at(steps: readonly Step[], phase: number, echoOf: readonly string[] = []): void {
    steps.forEach((step, i) => {
      const { own, reach } = this.known[i];
      const values = step.values(phase, echoOf);
      for (const { name, parameter } of own) give(this.uniforms[name], values[parameter.name]);
      const reachValues = step.reach?.(phase);
      if (reachValues) for (const { name, parameter } of reach) give(this.uniforms[name], reachValues[parameter.name]);
    });
  }

  /** Gives back the textures that stand for tables. */
  dispose(): void {
    for (const { value } of Object.values(this.uniforms)) if (value instanceof THREE.DataTexture) value.dispose();
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
