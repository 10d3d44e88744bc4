import {
  DepthStencilFormat,
  DepthTexture,
  FloatType,
  NearestFilter,
  UnsignedInt248Type,
  WebGLRenderTarget,
} from 'three';
import { floatTarget } from '../gl/target';

/** Relative sizes of the targets that blurred light is drawn into, by blur size. */
export const LEVELS = [1, 1 / 2, 1 / 4, 1 / 8] as const;

/** All targets of one picture size, float32 throughout. */
export class Targets {
  /** light drawn at full, half, quarter and eighth size */
  readonly levels: WebGLRenderTarget[];
  readonly resolved: WebGLRenderTarget;
  /** what one pass sees of matter: see matter/surface.glsl */
  readonly matter: WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.levels = LEVELS.map((level) => floatTarget(Math.ceil(width * level), Math.ceil(height * level)));
    // what is lit later is found by the stencil of what was drawn
    const depth = new DepthTexture(width, height, UnsignedInt248Type);
    depth.format = DepthStencilFormat;
    Object.assign(this.levels[0], { depthBuffer: true, stencilBuffer: true, depthTexture: depth });
    this.resolved = floatTarget(width, height);
    this.matter = new WebGLRenderTarget(width, height, {
      count: 3,
      type: FloatType,
      minFilter: NearestFilter,
      magFilter: NearestFilter,
      stencilBuffer: true,
      depthTexture: depth,
    });
  }

  dispose(): void {
    for (const target of [...this.levels, this.resolved, this.matter]) target.dispose();
  }
}
