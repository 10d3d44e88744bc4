import type * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import type { Look } from '../../core/look/form';
import type { LightKind } from '../../core/look/lights/kinds';
import type { MatterKind } from '../../core/matter/kinds';
import { sources as hashSources } from '../../core/random/hash.gen';
import skySource from '../drawings/dome/sky.glsl?raw';
import type { Uniforms } from '../gl/gpu';
import { rawMaterial, setFragment } from '../gl/quad';
import { lightsProgram } from '../lights/program';
import { tableOf } from '../lights/table';
import brdfSource from './brdf.glsl?raw';
import { PROGRAMS } from './list';
import shadeSource from './shade.glsl?raw';

/** How one kind of matter looks: GLSL with `vec3 shade(Body b, out float opaque)`, the light that it gives and how far it is there. */
export interface MatterProgram {
  glsl: string;
}

/** What shading a kind of matter under some lights needs in front of it: its own `shade`, and what that calls. */
function matterSource(kind: MatterKind, lights: readonly LightKind[]): string {
  const { glsl }: MatterProgram = PROGRAMS[kind];
  return joinSources(hashSources) + skySource + brdfSource + lightsProgram(lights) + shadeSource + glsl;
}

/** Matter hides what is behind it. */
export const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };

/** A material of a kind of matter, whose program is that of the lights there are. */
export class LitMaterial {
  readonly material: THREE.RawShaderMaterial;
  private lights = '';

  constructor(
    vertex: string,
    private readonly head: string,
    private readonly fragment: string,
    private readonly matter: MatterKind,
    uniforms: Uniforms,
    options: Partial<THREE.ShaderMaterialParameters>,
  ) {
    this.material = rawMaterial(vertex, this.source([]), uniforms, options);
  }

  private source(lights: readonly LightKind[]): string {
    return this.head + matterSource(this.matter, lights) + this.fragment;
  }

  /** Takes the lights of a look. Another program is made only when there are others, or of other kinds, or in another order. */
  light(look: Look): void {
    const kinds = tableOf(look).map(({ kind }) => kind);
    const now = kinds.join(' ');
    if (now === this.lights) return;
    this.lights = now;
    setFragment(this.material, this.source(kinds));
  }
}
