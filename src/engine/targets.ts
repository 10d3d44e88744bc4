import * as THREE from 'three';

/** Relative sizes of the targets that blurred light is drawn into, by blur size. */
export const LEVELS = [1, 1 / 2, 1 / 4, 1 / 8] as const;
/** Shorter side of the picture on which glow is measured, in pixels: fixed, so that a look does not change with size. */
export const GLOW_REFERENCE = 270;
export const GLOW_LEVELS = 7;

const colourTarget = (width: number, height: number, depthBuffer = false): THREE.WebGLRenderTarget =>
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
  /** the picture shrunk by halves until below twice the glow's reference, then the reference pyramid */
  readonly shrink: THREE.WebGLRenderTarget[];
  readonly pyramid: THREE.WebGLRenderTarget[];
  readonly glow: THREE.WebGLRenderTarget[];

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.levels = LEVELS.map((level) => colourTarget(Math.ceil(width * level), Math.ceil(height * level)));
    this.resolved = colourTarget(width, height);
    this.matter = colourTarget(width, height, true);
    this.matter.texture.minFilter = this.matter.texture.magFilter = THREE.NearestFilter;
    const scale = GLOW_REFERENCE / Math.min(width, height);
    this.shrink = [];
    for (let factor = 0.5; factor >= 2 * scale; factor /= 2)
      this.shrink.push(colourTarget(width * factor, height * factor));
    this.pyramid = Array.from({ length: GLOW_LEVELS }, (_, j) =>
      colourTarget((width * scale) / 2 ** j, (height * scale) / 2 ** j),
    );
    this.glow = this.pyramid.map((level) => colourTarget(level.width, level.height));
  }

  dispose(): void {
    for (const target of [...this.levels, this.resolved, this.matter, ...this.shrink, ...this.pyramid, ...this.glow])
      target.dispose();
  }
}
