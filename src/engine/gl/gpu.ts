import type * as THREE from 'three';
import type { Quad, Stage } from './quad';

/** What everything of one engine draws with. */
export interface Gpu {
  renderer: THREE.WebGLRenderer;
  stage: Stage;
  quad: Quad;
}

export type Uniforms = Record<string, THREE.IUniform>;
