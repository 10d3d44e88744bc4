import * as Comlink from 'comlink';
import { stateReport, type StateReport } from '../core/seam/stateReport';
import { framePhase } from '../core/time/lap';
import { LayerObjects } from './layerObjects';
import { LivePicture } from './live';
import { probe } from './gl/probe';
import type { EngineApi, EngineTrouble, LiveListener, LiveView, StillRequest } from './protocol';
import { Renderer, type FrameRequest } from './renderer';
import { measureSeam } from './seam/measure';
import { flightClearance, type Clearance } from '../core/flight/clearance';
import { flightComfort, type Comfort } from '../core/flight/comfort';
import type { Piece } from '../core/piece/schema';

const CODES = ['no-webgl2', 'no-float-targets'] as const;

function troubleOf(error: unknown): EngineTrouble {
  const detail = error instanceof Error ? error.message : String(error);
  return { code: CODES.find((code) => detail.startsWith(code)) ?? 'drawing-failed', detail };
}

const stillFrame = ({ piece, frameIndex, width, height, passes, texture = true }: StillRequest): FrameRequest => ({
  phase: framePhase(frameIndex, piece.lap.frames),
  frameIndex,
  width,
  height,
  passes,
  working: false,
  texture,
  elementMotion: true,
});

/** One engine in one worker: a live picture on the page's canvas, or stills and measurements on a canvas of its own. */
class EngineWorker implements EngineApi {
  private own: Renderer | null = null;
  private live: LivePicture | null = null;
  private liveRenderer: Renderer | null = null;
  private cancelled = false;
  private lastPiece: Piece | null = null;
  private lastView: LiveView | null = null;
  private lastPhase = 0;

  attach(canvas: OffscreenCanvas, listener: LiveListener): void {
    const start = (): void => {
      try {
        this.liveRenderer = new Renderer(canvas);
        this.live = new LivePicture(this.liveRenderer, listener);
        this.live.seek(this.lastPhase);
        listener.trouble(null);
        if (this.lastPiece) this.live.setPiece(this.lastPiece);
        if (this.lastView) this.live.setView(this.lastView);
      } catch (error) {
        listener.trouble(troubleOf(error));
      }
    };
    canvas.addEventListener('webglcontextlost', (event) => {
      event.preventDefault();
      this.lastPhase = this.live?.at ?? 0;
      this.live = null;
      listener.trouble({ code: 'context-lost', detail: 'the graphics driver took its context away' });
    });
    // everything on the GPU is gone: build the renderer anew from the piece
    canvas.addEventListener('webglcontextrestored', start);
    start();
  }

  setPiece(piece: Piece): void {
    this.lastPiece = piece;
    this.live?.setPiece(piece);
  }

  setView(view: LiveView): void {
    this.lastView = view;
    this.live?.setView(view);
  }

  seek(phase: number): void {
    this.live?.seek(phase);
  }

  async still(request: StillRequest): Promise<Blob> {
    this.drawStill(request);
    return this.renderer().canvas.convertToBlob({ type: 'image/png' });
  }

  async pixels(request: StillRequest): Promise<Uint8Array> {
    this.drawStill(request);
    const { width, height } = request;
    const rows = new Uint8Array(width * height * 4);
    const gl = this.renderer().three.getContext() as WebGL2RenderingContext;
    gl.readPixels(0, 0, width, height, gl.RGBA, gl.UNSIGNED_BYTE, rows);
    const out = new Uint8Array(rows.length);
    for (let y = 0; y < height; y++)
      out.set(rows.subarray(y * width * 4, (y + 1) * width * 4), (height - 1 - y) * width * 4);
    return Comlink.transfer(out, [out.buffer]);
  }

  async seamPictures(
    ...[request, progress]: Parameters<EngineApi['seamPictures']>
  ): ReturnType<EngineApi['seamPictures']> {
    this.cancelled = false;
    const report = await measureSeam(this.renderer(), request, async (share) => {
      progress(share);
      await new Promise((resolve) => setTimeout(resolve));
      return !this.cancelled;
    });
    if (!report) throw new Error('cancelled');
    return report;
  }

  cancel(): void {
    this.cancelled = true;
  }

  stateReport(piece: Piece): StateReport {
    return stateReport(piece);
  }

  comfort(piece: Piece): Comfort {
    return flightComfort(piece);
  }

  clearance(piece: Piece): Clearance {
    return flightClearance(piece);
  }

  async elements(piece: Piece, layerId: string, phase: number): Promise<Float32Array> {
    const renderer = this.renderer();
    renderer.setPiece(piece);
    return renderer.readElements(layerId, phase);
  }

  async probe(source: string, body: string, count: number): Promise<Float32Array> {
    return probe(this.renderer().three, source, body, count);
  }

  builds(): number {
    return LayerObjects.builds;
  }

  loseContext(): void {
    const extension = this.liveRenderer?.three.getContext().getExtension('WEBGL_lose_context');
    extension?.loseContext();
    setTimeout(() => extension?.restoreContext(), 600);
  }

  async light(request: StillRequest): Promise<Float32Array> {
    this.renderer().setPiece(request.piece);
    return this.renderer().readLight(stillFrame(request));
  }

  async pace(request: StillRequest, frames: number): Promise<number> {
    this.drawStill(request);
    this.renderer().finishGpu();
    const started = performance.now();
    for (let i = 1; i <= frames; i++) {
      this.drawStill({ ...request, frameIndex: request.frameIndex + i });
      this.renderer().finishGpu();
    }
    return (performance.now() - started) / frames;
  }

  private drawStill(request: StillRequest): void {
    this.renderer().setPiece(request.piece);
    this.renderer().draw(stillFrame(request));
  }

  private renderer(): Renderer {
    this.own ??= new Renderer(new OffscreenCanvas(16, 16));
    return this.own;
  }
}

Comlink.expose(new EngineWorker());
