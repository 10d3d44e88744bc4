import { partsOfTurn } from '../core/seam/parts';
import { stateReport, type StateReport } from '../core/seam/report';
import * as Comlink from 'comlink';
import { rateHz } from '../core/time/lap';
import { bandsOf, type Bands } from '../core/judging/bands';
import { lapLevels } from '../core/judging/lap';
import { GpuLayer } from './layer/gpuLayer';
import { LivePicture } from './live/live';
import { probe } from './gl/probe';
import type { EngineApi, FrameNumbers, LiveListener, LiveView, StillRequest } from './protocol';
import { Renderer } from './frame/renderer';
import { stillFrame, type FrameRequest } from './frame/request';
import { measureSeam } from './seam/measure';
import { sayStarted } from './work/alive';
import { asTrouble, Trouble } from '../core/trouble';
import { letTroublesCross } from './work/crossing';
import { flightClearance, type Clearance } from '../core/world/clearance';
import { frameKeys } from '../core/world/frameKey';
import { flightComfort, type Comfort } from '../core/world/comfort';
import { missingFiles } from '../core/piece/files';
import type { Piece } from '../core/piece/schema';
import { measureJoinsOf } from '../files/joins';
import { takeIn } from '../files/taken';

/** Rests before a picture whose context was lost is drawn again by a renderer made anew, in milliseconds. */
const AGAIN_MS = [0, 150, 400, 1000, 2000];
/** How long a live picture may be without its context before that is called gone, in milliseconds. */
const BACK_MS = 5000;

/** Of finished frames that are kept: hardly to be told from what was drawn. */
const KEPT_AS = { type: 'image/webp', quality: 0.95 };

const rest = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** One engine in one worker: a live picture on the page's canvas, or stills and measurements on a canvas of its own. */
class EngineWorker implements EngineApi {
  private own: Renderer | null = null;
  private live: LivePicture | null = null;
  private liveRenderer: Renderer | null = null;
  private cancelled = false;
  private lastPiece: Piece | null = null;
  private lastView: LiveView | null = null;
  private lastFinished: Map<number, Blob> | null = null;
  private lastPhase = 0;
  /** whether there ever was a renderer: if not, waiting for one is of no use */
  private hasDrawn = false;
  /** for tests: frames until the context is lost in the middle of one */
  private lossIn = 0;

  attach(canvas: OffscreenCanvas, listener: LiveListener): void {
    let gone: ReturnType<typeof setTimeout> | undefined;
    const start = (): void => {
      clearTimeout(gone);
      try {
        this.liveRenderer = new Renderer(canvas);
        this.live = new LivePicture(this.liveRenderer, listener);
        this.live.seek(this.lastPhase);
        listener.trouble(null);
        if (this.lastPiece) this.live.setPiece(this.lastPiece);
        this.live.setFinished(this.lastFinished);
        if (this.lastView) this.live.setView(this.lastView);
      } catch (error) {
        listener.trouble(asTrouble(error, 'drawing-failed'));
      }
    };
    canvas.addEventListener('webglcontextlost', (event) => {
      event.preventDefault();
      this.lastPhase = this.live?.at ?? this.lastPhase;
      this.live = null;
      this.liveRenderer?.dispose();
      this.liveRenderer = null;
      listener.trouble(new Trouble('context-lost', 'the graphics driver took its context away'));
      clearTimeout(gone);
      gone = setTimeout(
        () => listener.trouble(new Trouble('context-gone', 'the graphics driver has not given its context back')),
        BACK_MS,
      );
    });
    // everything on the GPU is gone: build the renderer anew from the piece
    canvas.addEventListener('webglcontextrestored', start);
    start();
  }

  async setPiece(piece: Piece): Promise<void> {
    this.lastPiece = piece;
    this.lastFinished = null;
    const missing = missingFiles(piece);
    if (missing.length > 0) {
      await takeIn(missing);
      // another came meanwhile
      if (this.lastPiece !== piece) return;
    }
    this.live?.setPiece(piece);
    if (missing.length > 0) this.live?.setFinished(this.lastFinished);
  }

  setView(view: LiveView): void {
    this.lastView = view;
    this.live?.setView(view);
  }

  seek(phase: number): void {
    this.live?.seek(phase);
  }

  async still(request: StillRequest): Promise<Blob> {
    await takeIn(missingFiles(request.piece));
    return this.drawn(async (renderer) => {
      await this.drawStill(renderer, request);
      return renderer.canvas.convertToBlob({ type: 'image/png' });
    });
  }

  setFinished(frames: ReadonlyMap<number, Blob> | null): void {
    this.lastFinished = frames && new Map(frames);
    this.live?.setFinished(this.lastFinished);
  }

  addFinished(frame: number, blob: Blob): void {
    this.lastFinished?.set(frame, blob);
    this.live?.addFinished(frame, blob);
  }

  async finish(request: StillRequest): Promise<Blob | null> {
    this.cancelled = false;
    await takeIn(missingFiles(request.piece));
    return this.drawn(async (renderer) => {
      renderer.setPiece(request.piece);
      await renderer.ready(stillFrame(request));
      for (const _ of renderer.drawInSteps(stillFrame(request))) {
        renderer.finishGpu();
        await rest(0);
        if (this.cancelled || renderer.lost) return null;
      }
      return renderer.canvas.convertToBlob(KEPT_AS);
    });
  }

  async frameKeys(piece: Piece): Promise<string[]> {
    await takeIn(missingFiles(piece));
    const key = frameKeys(piece);
    return Array.from({ length: piece.lap.frames }, (_, frame) => key(frame));
  }

  async pixels(request: StillRequest): Promise<Uint8Array> {
    await takeIn(missingFiles(request.piece));
    const out = await this.bytes(request);
    return Comlink.transfer(out, [out.buffer]);
  }

  async seamPictures(
    ...[request, progress]: Parameters<EngineApi['seamPictures']>
  ): ReturnType<EngineApi['seamPictures']> {
    this.cancelled = false;
    await takeIn(missingFiles(request.piece));
    const picture = (piece: Piece, frame: FrameRequest): Promise<Float32Array> =>
      this.drawn(async (renderer) => {
        renderer.setPiece(piece);
        await renderer.ready(frame);
        return renderer.readPicture(frame);
      });
    return this.unlessCancelled(await measureSeam(picture, request, this.telling(progress)));
  }

  async levels(...[request, progress]: Parameters<EngineApi['levels']>): ReturnType<EngineApi['levels']> {
    this.cancelled = false;
    const { piece, width, height } = request;
    await takeIn(missingFiles(piece));
    const { frames, rate } = piece.lap;
    const levels = await lapLevels(
      (frameIndex) => this.bytes({ ...request, frameIndex, texture: false }),
      { frames, rate: rateHz(rate), width, height },
      this.telling(progress),
    );
    return this.unlessCancelled(levels);
  }

  /** Tells how much is done, and lets a message in that stops it. */
  private telling(progress: (share: number) => void): (share: number) => Promise<boolean> {
    return async (share) => {
      progress(share);
      await new Promise((resolve) => setTimeout(resolve));
      return !this.cancelled;
    };
  }

  private unlessCancelled<T>(result: T | null): T {
    if (result === null) throw new Trouble('cancelled', 'cancelled');
    return result;
  }

  /** A finished frame as encoded bytes, top row first. */
  private bytes(request: StillRequest): Promise<Uint8Array> {
    return this.drawn(async (renderer) => {
      await this.drawStill(renderer, request);
      return renderer.readBytes(request.width, request.height);
    });
  }

  cancel(): void {
    this.cancelled = true;
  }

  async stateReport(piece: Piece): Promise<StateReport> {
    await takeIn(missingFiles(piece));
    await measureJoinsOf(piece);
    return stateReport(piece);
  }

  async comfort(piece: Piece): Promise<Comfort> {
    await takeIn(missingFiles(piece));
    return flightComfort(piece);
  }

  async clearance(piece: Piece): Promise<Clearance> {
    await takeIn(missingFiles(piece));
    return flightClearance(piece);
  }

  async partsOfTurn(piece: Piece): Promise<number | null> {
    await takeIn(missingFiles(piece));
    return partsOfTurn(piece);
  }

  async elements(piece: Piece, layerId: string, phase: number): Promise<Float32Array[]> {
    await takeIn(missingFiles(piece));
    return this.drawn((renderer) => {
      renderer.setPiece(piece);
      return Promise.resolve(renderer.readElements(layerId, phase));
    });
  }

  probe(source: string, body: string, count: number): Promise<Float32Array> {
    return this.drawn((renderer) => Promise.resolve(probe(renderer.three, source, body, count)));
  }

  builds(): number {
    return GpuLayer.builds;
  }

  loseContext(which: 'live' | 'own', backAfterMs: number | null): void {
    const renderer = which === 'live' ? this.liveRenderer : this.own;
    const extension = renderer?.three.getContext().getExtension('WEBGL_lose_context');
    extension?.loseContext();
    if (backAfterMs !== null) setTimeout(() => extension?.restoreContext(), backAfterMs);
  }

  loseContextIn(frames: number): void {
    this.lossIn = frames;
  }

  async light(request: StillRequest): Promise<Float32Array> {
    await takeIn(missingFiles(request.piece));
    return this.drawn(async (renderer) => {
      renderer.setPiece(request.piece);
      await renderer.ready(stillFrame(request));
      return renderer.readLight(stillFrame(request));
    });
  }

  async channel(request: Parameters<EngineApi['channel']>[0]): Promise<Float32Array> {
    return this.numbers(request);
  }

  async frame(request: StillRequest, scene: boolean): Promise<FrameNumbers> {
    await takeIn(missingFiles(request.piece));
    const frame = await this.drawn(async (renderer) => {
      renderer.setPiece(request.piece);
      await renderer.ready(stillFrame(request));
      return renderer.readFrame(stillFrame(request), scene);
    });
    return Comlink.transfer(
      frame,
      [frame.rgba, ...frame.channels].map(({ buffer }) => buffer),
    );
  }

  async bands(request: StillRequest): Promise<Bands> {
    const exact = await this.numbers({ ...request, texture: false });
    return bandsOf(exact, await this.bytes(request), request.width, request.height);
  }

  private async numbers(request: StillRequest): Promise<Float32Array> {
    await takeIn(missingFiles(request.piece));
    return this.drawn(async (renderer) => {
      renderer.setPiece(request.piece);
      await renderer.ready(stillFrame(request));
      return renderer.readNumbers(stillFrame(request));
    });
  }

  async pace(request: StillRequest, frames: number): Promise<number> {
    await takeIn(missingFiles(request.piece));
    const renderer = await this.renderer();
    await this.drawStill(renderer, request);
    renderer.finishGpu();
    const started = performance.now();
    for (let i = 1; i <= frames; i++) {
      await this.drawStill(renderer, { ...request, frameIndex: request.frameIndex + i });
      renderer.finishGpu();
    }
    return (performance.now() - started) / frames;
  }

  private async drawStill(renderer: Renderer, request: StillRequest): Promise<void> {
    renderer.setPiece(request.piece);
    await renderer.ready(stillFrame(request));
    renderer.draw(stillFrame(request));
  }

  /**
   * Draws something and reads it back. What was drawn while its context was lost, or may have been, is drawn again by a
   * renderer made anew: nothing black is ever handed on for a picture.
   * @throws Trouble `context-lost` when that has failed too often
   */
  private async drawn<T>(draw: (renderer: Renderer) => Promise<T>): Promise<T> {
    for (const ms of AGAIN_MS) {
      await rest(ms);
      const renderer = await this.renderer();
      if (this.lossIn > 0 && --this.lossIn === 0) renderer.loseSoon();
      try {
        const result = await draw(renderer);
        // the news of a loss comes as an event
        await rest(0);
        if (!renderer.lost) return result;
      } catch (error) {
        await rest(0);
        if (!renderer.lost) throw error;
      }
      if (this.own === renderer) this.own = null;
      renderer.dispose();
    }
    throw new Trouble('context-lost', 'the graphics driver took its context away again and again', {
      would: 'Close other programs that draw much, then try again.',
    });
  }

  /** The renderer of stills and measurements; a driver that is being restarted is waited for. */
  private async renderer(): Promise<Renderer> {
    if (this.own?.lost) {
      this.own.dispose();
      this.own = null;
    }
    for (const [i, ms] of AGAIN_MS.entries()) {
      if (this.own) return this.own;
      await rest(ms);
      try {
        this.own = new Renderer(new OffscreenCanvas(16, 16));
      } catch (error) {
        if (i === AGAIN_MS.length - 1 || !this.hasDrawn) throw error;
      }
    }
    if (!this.own) throw new Trouble('no-webgl2', 'this browser offers no WebGL2');
    this.hasDrawn = true;
    return this.own;
  }
}

letTroublesCross();
sayStarted(() => Comlink.expose(new EngineWorker()));
