import * as THREE from 'three';
import { Trouble } from '../../core/trouble';

/**
 * The context of a canvas, and whether it was ever taken away: what draws with it does not outlive that, even when it
 * comes back.
 */
export class Context {
  readonly renderer: THREE.WebGLRenderer;
  private readonly gl: WebGL2RenderingContext;
  private wasLost = false;

  /** @throws Trouble when the browser gives no WebGL2 context with float targets */
  constructor(readonly canvas: OffscreenCanvas) {
    const context = canvas.getContext('webgl2', {
      alpha: false,
      antialias: false,
      depth: false,
      powerPreference: 'high-performance',
      preserveDrawingBuffer: true,
    });
    if (!context) throw new Trouble('no-webgl2', 'this browser offers no WebGL2');
    if (context.isContextLost()) throw new Trouble('context-lost', 'the graphics driver has taken its context away');
    if (!context.getExtension('EXT_color_buffer_float') || !context.getExtension('OES_texture_float_linear'))
      throw new Trouble('no-float-targets', 'this graphics driver cannot draw into floating-point pictures');
    canvas.addEventListener('webglcontextlost', this.noteLoss);
    context.getExtension('EXT_float_blend');
    this.gl = context;
    this.renderer = new THREE.WebGLRenderer({ canvas, context });
    this.renderer.autoClear = false;
    this.renderer.outputColorSpace = THREE.LinearSRGBColorSpace;
    this.renderer.info.autoReset = false;
  }

  get lost(): boolean {
    return this.wasLost || this.gl.isContextLost();
  }

  /** What is known of a loss before the browser says so. */
  readonly noteLoss = (): void => {
    this.wasLost = true;
  };

  /** For tests: what a driver reset does. */
  lose(): void {
    this.gl.getExtension('WEBGL_lose_context')?.loseContext();
  }

  setSize(width: number, height: number): void {
    if (this.canvas.width !== width || this.canvas.height !== height) this.renderer.setSize(width, height, false);
  }

  /** The canvas as encoded sRGB bytes, bottom row first. */
  readRows(width: number, height: number): Uint8Array {
    const rows = new Uint8Array(width * height * 4);
    this.renderer.setRenderTarget(null);
    this.gl.readPixels(0, 0, width, height, this.gl.RGBA, this.gl.UNSIGNED_BYTE, rows);
    // the canvas is opaque: bytes that were not written are those of a context that is not there
    if (rows[3] === 0 || rows[rows.length - 1] === 0) this.wasLost = true;
    return rows;
  }

  /** The canvas as encoded sRGB bytes, top row first. */
  readBytes(width: number, height: number): Uint8Array {
    const rows = this.readRows(width, height);
    const out = new Uint8Array(rows.length);
    for (let y = 0; y < height; y++)
      out.set(rows.subarray(y * width * 4, (y + 1) * width * 4), (height - 1 - y) * width * 4);
    return out;
  }

  /** The numbers of one of a target's pictures, bottom row first. */
  readFloats(target: THREE.WebGLRenderTarget, texture = 0): Float32Array {
    const out = new Float32Array(target.width * target.height * 4);
    this.renderer.readRenderTargetPixels(target, 0, 0, target.width, target.height, out, 0, texture);
    return out;
  }

  /** Waits until the GPU has finished; blocks this worker, never the page. */
  finish(): void {
    this.gl.readPixels(0, 0, 1, 1, this.gl.RGBA, this.gl.UNSIGNED_BYTE, new Uint8Array(4));
  }

  dispose(): void {
    this.canvas.removeEventListener('webglcontextlost', this.noteLoss);
    this.renderer.dispose();
  }
}
