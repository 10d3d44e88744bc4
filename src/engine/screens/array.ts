import * as THREE from 'three';
import { levelCount, levelsOf, premultiplied, type Raster } from '../../core/pictures/raster';

/** Bytes of frames that are kept on the graphics card beyond those that are shown, of all clips of an engine together. */
const SPARE = 360e6;
/** The most layers that every card has (WebGL 2). */
const MOST_LAYERS = 256;

/**
 * Frames of one size in an array of textures with all their levels: encoded sRGB with light multiplied by alpha, which is what
 * filtering needs. Those shown longest ago make room for others.
 */
export class PictureArray {
  readonly texture = new THREE.ExternalTexture();
  private readonly gl: WebGL2RenderingContext;
  private handle: WebGLTexture | null = null;
  private width = 0;
  private height = 0;
  private layers = 0;
  /** frames by the layer they are in, those used last at the end */
  private readonly slots = new Map<number, number>();
  private level = -1;
  private clear = false;

  /** those of each engine, among which what is spare is shared */
  private static readonly ofEngine = new WeakMap<THREE.WebGLRenderer, Set<PictureArray>>();
  private readonly all: Set<PictureArray>;
  private bytes = 0;

  constructor(private readonly renderer: THREE.WebGLRenderer) {
    this.gl = renderer.getContext() as WebGL2RenderingContext;
    this.all = PictureArray.ofEngine.get(renderer) ?? new Set();
    PictureArray.ofEngine.set(renderer, this.all.add(this));
  }

  /** Whether any of it is not there all over. */
  get seenThrough(): boolean {
    return this.clear;
  }

  /** Pixels of a frame. */
  get size(): readonly [number, number] {
    return [this.width, this.height];
  }

  /**
   * Puts frames in.
   * @param frames numbers of them @param size pixels of each @param level how often they were halved
   * @param of how many there are in all @param pixels of one that is not in yet @returns the layer of each
   */
  take(
    frames: ReadonlySet<number>,
    [width, height]: readonly [number, number],
    level: number,
    of: number,
    pixels: (frame: number) => Raster,
  ): Map<number, number> {
    const found = new Map<number, number>();
    if (frames.size === 0) return found;
    this.room(width, height, frames.size, level, of);
    const free = this.freeLayers(frames);
    for (const frame of frames) {
      let layer = this.slots.get(frame);
      this.slots.delete(frame);
      if (layer === undefined) {
        layer = free.pop() ?? 0;
        this.fill(layer, pixels(frame));
      }
      this.slots.set(frame, layer);
      found.set(frame, layer);
    }
    return found;
  }

  /** Layers that may be filled, the one to be filled first at the end. */
  private freeLayers(frames: ReadonlySet<number>): number[] {
    const lacking = [...frames].filter((frame) => !this.slots.has(frame)).length;
    const used = new Set(this.slots.values());
    const free = Array.from({ length: this.layers }, (_, i) => i).filter((i) => !used.has(i));
    for (const [frame, layer] of this.slots) {
      if (free.length >= lacking) break;
      if (frames.has(frame)) continue;
      this.slots.delete(frame);
      free.push(layer);
    }
    return free.reverse();
  }

  private room(width: number, height: number, count: number, level: number, of: number): void {
    if (this.width === width && this.height === height && this.layers >= count && this.level === level) return;
    this.letGo();
    // with all its levels a frame takes a third more; half of what is left is for those that come after
    const each = (width * height * 16) / 3;
    const taken = [...this.all].reduce((sum, other) => sum + other.bytes, 0);
    const spare = Math.floor(Math.max(0, SPARE - taken) / 2 / each);
    const layers = Math.max(count, Math.min(of, spare, MOST_LAYERS));
    this.bytes = layers * each;
    const { gl } = this;
    this.handle = gl.createTexture();
    Object.assign(this, { width, height, layers, level });
    this.bind();
    gl.texStorage3D(gl.TEXTURE_2D_ARRAY, levelCount(width, height), gl.SRGB8_ALPHA8, width, height, layers);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_LINEAR);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
    for (const way of [gl.TEXTURE_WRAP_S, gl.TEXTURE_WRAP_T]) gl.texParameteri(gl.TEXTURE_2D_ARRAY, way, gl.REPEAT);
    this.texture.sourceTexture = this.handle;
  }

  private fill(layer: number, raster: Raster): void {
    const { gl } = this;
    this.bind();
    const { state } = this.renderer;
    state.pixelStorei(gl.UNPACK_FLIP_Y_WEBGL, false);
    state.pixelStorei(gl.UNPACK_PREMULTIPLY_ALPHA_WEBGL, false);
    state.pixelStorei(gl.UNPACK_ALIGNMENT, 4);
    levelsOf(raster).forEach((whole, level) => {
      const { width, height, rgba } = premultiplied(whole);
      this.clear ||= rgba !== whole.rgba;
      const bytes = new Uint8Array(rgba.buffer, rgba.byteOffset, rgba.byteLength);
      const [target, type] = [gl.TEXTURE_2D_ARRAY, gl.UNSIGNED_BYTE];
      gl.texSubImage3D(target, level, 0, 0, layer, width, height, 1, gl.RGBA, type, bytes);
    });
  }

  /** Binds it, with what the renderer knows of that kept true. */
  private bind(): void {
    if (this.handle) this.renderer.state.bindTexture(this.gl.TEXTURE_2D_ARRAY, this.handle);
  }

  private letGo(): void {
    if (this.handle) {
      this.renderer.state.unbindTexture();
      this.gl.deleteTexture(this.handle);
    }
    this.handle = null;
    this.texture.sourceTexture = null;
    this.slots.clear();
    this.bytes = 0;
    this.clear = false;
  }

  dispose(): void {
    this.all.delete(this);
    this.letGo();
    this.texture.dispose();
  }
}
