import { linesAlone } from '../../core/world/linesAlone';
import { aloneIn } from '../../core/piece/alone';
import { PICTURE } from '../../core/look/channels';
import type { Piece } from '../../core/piece/schema';
import { framePhase, rateHz, wrapPhase } from '../../core/time/lap';
import { asTrouble } from '../../core/trouble';
import type { LiveListener, LiveView } from '../protocol';
import type { Renderer } from '../frame/renderer';
import type { FrameRequest } from '../frame/request';
import { advanced } from './clock';
import { Reel } from './reel';
import { LiveScale } from './scale';
import { stagesAfter } from './stages';

/** Rest after a change before refining starts, and before that is done at full size; milliseconds. */
const SETTLE_MS = 60;
const SETTLE_FULL_MS = 180;
/** Frames farther apart than this, in milliseconds, do not follow one another. */
const MOST_PAUSE_MS = 5000;

const tick = (): Promise<void> =>
  new Promise((resolve) => {
    const channel = new MessageChannel();
    channel.port1.onmessage = () => resolve();
    channel.port2.postMessage(null);
  });
const openPicture = (blob: Blob): Promise<ImageBitmap> =>
  createImageBitmap(blob, { colorSpaceConversion: 'none', premultiplyAlpha: 'none' });
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * The live picture: plays at a size that holds the piece's rate, follows changes at low cost, and refines when left
 * alone. The wall clock only chooses which phase to draw; what is drawn depends on the phase alone.
 */
export class LivePicture {
  private piece: Piece | null = null;
  private view: LiveView | null = null;
  private phase = 0;
  private change = 0;
  private drawn = -1;
  private running = false;
  private readonly size = new LiveScale();
  /** the picture of one pass that was drawn last */
  private last = { scale: 1, density: 1, coarseness: 1, ms: 0 };
  private changedAt = 0;
  private lastTick = 0;
  private fps = 0;
  private shownAt = 0;
  /** finished frames, shown in place of drawing */
  private reel: Reel<ImageBitmap> | null = null;
  /** whether what is shown is as good as it gets */
  private complete = false;
  /** ends the rest before refining at once, because something changed */
  private wake: (() => void) | null = null;

  constructor(
    private readonly renderer: Renderer,
    private readonly listener: LiveListener,
  ) {}

  setPiece(piece: Piece): void {
    this.piece = piece;
    // of another piece, until it is said which are still right
    this.reel?.close();
    this.reel = null;
    this.touched();
  }

  setView(view: LiveView): void {
    if (view.playing && !this.view?.playing) this.lastTick = performance.now();
    this.view = view;
    this.touched();
  }

  setFinished(frames: ReadonlyMap<number, Blob> | null): void {
    this.reel?.close();
    this.reel = frames && this.piece ? new Reel(this.piece.lap.frames, openPicture, new Map(frames)) : null;
    this.touched();
  }

  addFinished(frame: number, blob: Blob): void {
    this.reel?.add(frame, blob);
  }

  seek(phase: number): void {
    this.phase = wrapPhase(phase);
    this.touched();
  }

  /** the phase that is shown */
  get at(): number {
    return this.phase;
  }

  private touched(): void {
    this.change++;
    this.changedAt = performance.now();
    this.wake?.();
    if (!this.running) void this.run();
  }

  private async run(): Promise<void> {
    this.running = true;
    try {
      while (this.piece && this.view && !this.renderer.lost) {
        if (this.view.playing) {
          this.advance();
          if (!(await this.showFinished())) await this.drawNow();
          await this.pace();
        } else if (this.drawn !== this.change) {
          this.drawn = this.change;
          this.complete = await this.showFinished();
          if (!this.complete) await this.drawNow();
          await tick();
        } else if (this.complete || (await this.refine())) break;
      }
    } catch (error) {
      // what fails while its context is being taken away is told as that
      if (!this.renderer.lost) this.listener.trouble(asTrouble(error, 'drawing-failed'));
    } finally {
      this.running = false;
    }
  }

  private advance(): void {
    if (!this.piece || !this.view) return;
    const now = performance.now();
    const { speed, acrossSeam } = this.view;
    this.phase = advanced(this.phase, now - this.lastTick, this.piece.lap, speed, acrossSeam);
    this.lastTick = now;
  }

  /** Waits for the piece's next frame, and lets messages in. */
  private async pace(): Promise<void> {
    if (!this.piece || !this.view) return;
    const frameMs = 1000 / rateHz(this.piece.lap.rate) / this.view.speed;
    const spent = performance.now() - this.lastTick;
    if (spent < frameMs) await wait(frameMs - spent);
    else await tick();
  }

  /** Shows the finished frame, where there is one. */
  private async showFinished(): Promise<boolean> {
    const { reel } = this;
    const request = this.request(1, 1);
    if (!request || !this.piece || !reel?.has(request.frameIndex) || !this.view || this.view.alone) return false;
    if (this.view.channel.of !== 'picture') return false;
    const before = performance.now();
    const picture = await reel.at(request.frameIndex);
    if (!picture || reel !== this.reel || this.renderer.lost) return false;
    this.renderer.show(picture);
    this.renderer.finishGpu();
    this.count(1000 / rateHz(this.piece.lap.rate));
    const { samples } = this.piece;
    this.tell(request, performance.now() - before, samples, samples, 1, true);
    return true;
  }

  private request(passes: number, scale: number, density = 1, coarseness = 1): FrameRequest | null {
    if (!this.piece || !this.view) return null;
    const { frames } = this.piece.lap;
    const frameIndex = Math.floor(this.phase * frames + 1e-6) % frames;
    return {
      phase: framePhase(frameIndex, frames),
      frameIndex,
      width: Math.max(16, Math.round(this.view.width * scale)),
      height: Math.max(16, Math.round(this.view.height * scale)),
      passes,
      working: this.view.working,
      density,
      coarseness,
      texture: true,
      elementMotion: passes > 1,
      // lines are a picture of their own
      channel: this.view.channel.of === 'lines' ? PICTURE : this.view.channel,
      clear: false,
      step: 1,
      also: [],
    };
  }

  private shown(): Piece | null {
    const piece = this.piece && aloneIn(this.piece, this.view?.alone ?? null);
    return piece && this.view?.channel.of === 'lines' ? linesAlone(piece) : piece;
  }

  private async drawNow(): Promise<void> {
    const piece = this.shown();
    const { scale, density, coarseness } = this.size;
    const request = this.request(1, scale, density, coarseness);
    if (!piece || !request || !this.view) return;
    this.renderer.setPiece(piece);
    await this.renderer.ready(request);
    if (this.renderer.lost) return;
    const before = performance.now();
    const { programs } = this.renderer;
    this.renderer.draw(request);
    this.renderer.finishGpu();
    const ms = performance.now() - before;
    const frameMs = 1000 / rateHz(piece.lap.rate);
    this.last = { scale, density, coarseness, ms };
    // what programs take to make says nothing of what frames take
    if (this.renderer.programs === programs) this.size.took(ms, frameMs, this.renderer.lessens);
    this.count(frameMs);
    this.tell(request, ms, 1, piece.samples, scale);
  }

  /** Frames a second as they come: of the time between them, not of what drawing takes. */
  private count(frameMs: number): void {
    const now = performance.now();
    const pause = now - this.shownAt;
    this.shownAt = now;
    // a rest between two frames says nothing of how fast they come
    if (!this.view?.playing || pause > MOST_PAUSE_MS) return;
    const rate = 1000 / Math.max(pause, frameMs);
    this.fps = this.fps === 0 ? rate : this.fps * 0.85 + rate * 0.15;
  }

  /** Draws one finer stage after another; true when there is nothing left to do until the next change. */
  private async refine(): Promise<boolean> {
    const { change } = this;
    const piece = this.shown();
    if (!piece) return true;
    for (const { passes, scale } of stagesAfter(piece.samples, this.last)) {
      await this.settle(scale < 1 ? SETTLE_MS : SETTLE_FULL_MS);
      if (this.change !== change) return false;
      const request = this.request(passes, scale);
      if (!request) return true;
      const before = performance.now();
      this.renderer.setPiece(piece);
      await this.renderer.ready(request);
      if (this.change !== change) return false;
      for (const _ of this.renderer.drawInSteps(request)) {
        this.renderer.three.getContext().flush();
        await tick();
        if (this.change !== change) return false;
      }
      this.renderer.finishGpu();
      this.tell(request, performance.now() - before, passes, piece.samples, scale);
      await tick();
    }
    return this.change === change;
  }

  /** Rests until so long after the last change, or until the next. */
  private async settle(ms: number): Promise<void> {
    const rest = ms - (performance.now() - this.changedAt);
    if (rest > 0) await Promise.race([wait(rest), new Promise<void>((resolve) => (this.wake = resolve))]);
    this.wake = null;
  }

  private tell(
    request: FrameRequest,
    ms: number,
    passes: number,
    wanted: number,
    scale: number,
    finished = false,
  ): void {
    const { phase, frameIndex } = request;
    const { particles, shapes } = this.renderer.lessens;
    const density = particles ? request.density : 1;
    const coarse = shapes && request.coarseness > 1;
    this.listener.status({ phase, frameIndex, fps: this.fps, ms, passes, wanted, scale, density, coarse, finished });
  }
}
