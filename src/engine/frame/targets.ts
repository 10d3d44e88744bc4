import { FloatType, NearestFilter, WebGLRenderTarget } from 'three';
import { floatTarget } from '../gl/target';

/** Relative sizes of the targets that blurred light is drawn into, by blur size. */
export const LEVELS = [1, 1 / 2, 1 / 4, 1 / 8] as const;

/** Side in pixels of the tiles in which matter is lit, or not. */
export const TILE = 16;

/** Room for what one pass sees of matter: see matter/surface.glsl. */
export const matterTarget = (width: number, height: number): WebGLRenderTarget =>
  new WebGLRenderTarget(width, height, {
    count: 3,
    type: FloatType,
    minFilter: NearestFilter,
    magFilter: NearestFilter,
  });

/** Targets of one picture size for light, float32. */
export class Levels {
  /** light drawn at full, half, quarter and eighth size */
  readonly levels: WebGLRenderTarget[];
  readonly resolved: WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.levels = LEVELS.map((level) => floatTarget(Math.ceil(width * level), Math.ceil(height * level)));
    this.resolved = floatTarget(width, height);
  }

  dispose(): void {
    for (const target of [...this.levels, this.resolved]) target.dispose();
  }
}

/** All targets of one picture size, float32 throughout. */
export class Targets extends Levels {
  /** what one pass sees of matter: see matter/surface.glsl */
  readonly matter: WebGLRenderTarget;
  /** what there is in every tile of it: see frame/tiles.frag.glsl */
  readonly tileMarks: WebGLRenderTarget;

  constructor(width: number, height: number) {
    super(width, height);
    this.matter = matterTarget(width, height);
    this.tileMarks = new WebGLRenderTarget(Math.ceil(width / TILE), Math.ceil(height / TILE), {
      minFilter: NearestFilter,
      magFilter: NearestFilter,
      depthBuffer: false,
    });
  }

  override dispose(): void {
    super.dispose();
    for (const target of [this.matter, this.tileMarks]) target.dispose();
  }
}
