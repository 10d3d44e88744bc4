import type * as THREE from 'three';
import type { Quad, Stage } from './quad';

/** What everything of one engine draws with. */
export interface Gpu {
  renderer: THREE.WebGLRenderer;
  stage: Stage;
  quad: Quad;
  /** what was read is not what was drawn: the context must have been taken away */
  noteLoss(): void;
}

export type Uniforms = Record<string, THREE.IUniform>;
