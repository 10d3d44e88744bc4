import * as THREE from 'three';

/** Relative sizes of the targets that blurred light is drawn into, by blur size. */
export const LEVELS = [1, 1 / 2, 1 / 4, 1 / 8] as const;

/** A target of float32 colours. */
export const floatTarget = (width: number, height: number, depthBuffer = false): THREE.WebGLRenderTarget =>
  new THREE.WebGLRenderTarget(Math.max(1, Math.round(width)), Math.max(1, Math.round(height)), {
    type: THREE.FloatType,
    format: THREE.RGBAFormat,
    minFilter: THREE.LinearFilter,
    magFilter: THREE.LinearFilter,
    depthBuffer,
    generateMipmaps: false,
  });

/** All targets of one picture size, float32 throughout. */
export class Targets {
  /** light drawn at full, half, quarter and eighth size */
  readonly levels: THREE.WebGLRenderTarget[];
  readonly resolved: THREE.WebGLRenderTarget;
  /** solid things of one pass; alpha is depth in metres */
  readonly matter: THREE.WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.levels = LEVELS.map((level) => floatTarget(Math.ceil(width * level), Math.ceil(height * level)));
    this.resolved = floatTarget(width, height);
    this.matter = floatTarget(width, height, true);
    this.matter.texture.minFilter = this.matter.texture.magFilter = THREE.NearestFilter;
  }

  dispose(): void {
    for (const target of [...this.levels, this.resolved, this.matter]) target.dispose();
  }
}
