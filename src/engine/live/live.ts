import type { Piece } from '../../core/piece/schema';
import { framePhase, rateHz, wrapPhase } from '../../core/time/lap';
import { asTrouble } from '../../core/trouble';
import type { LiveListener, LiveView } from '../protocol';
import type { Renderer } from '../frame/renderer';
import type { FrameRequest } from '../frame/request';
import { advanced } from './clock';
import { LiveScale } from './scale';

/** A still picture refines through these numbers of passes, up to the piece's own. */
const STAGES = [1, 4, 16, 64, 256] as const;
/** Rest after a change before refining starts, in milliseconds. */
const SETTLE_MS = 180;
/** Frames farther apart than this, in milliseconds, do not follow one another. */
const MOST_PAUSE_MS = 5000;

const tick = (): Promise<void> =>
  new Promise((resolve) => {
    const channel = new MessageChannel();
    channel.port1.onmessage = () => resolve();
    channel.port2.postMessage(null);
  });
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
  private changedAt = 0;
  private lastTick = 0;
  private fps = 0;
  private shownAt = 0;
  /** ends the rest before refining at once, because something changed */
  private wake: (() => void) | null = null;

  constructor(
    private readonly renderer: Renderer,
    private readonly listener: LiveListener,
  ) {}

  setPiece(piece: Piece): void {
    this.piece = piece;
    this.touched();
  }

  setView(view: LiveView): void {
    if (view.playing && !this.view?.playing) this.lastTick = performance.now();
    this.view = view;
    this.touched();
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
          this.drawNow();
          await this.pace();
        } else if (this.drawn !== this.change) {
          this.drawn = this.change;
          this.drawNow();
          await tick();
        } else if (await this.refine()) break;
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

  private request(passes: number, scale: number): FrameRequest | null {
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
      texture: true,
      elementMotion: passes > 1,
    };
  }

  private shown(): Piece | null {
    if (!this.piece) return null;
    const alone = this.view?.alone;
    if (!alone) return this.piece;
    return { ...this.piece, layers: this.piece.layers.map((layer) => ({ ...layer, hidden: layer.id !== alone })) };
  }

  private drawNow(): void {
    const piece = this.shown();
    const { scale } = this.size;
    const request = this.request(1, scale);
    if (!piece || !request || !this.view) return;
    const before = performance.now();
    this.renderer.setPiece(piece);
    this.renderer.draw(request);
    this.renderer.finishGpu();
    const ms = performance.now() - before;
    const frameMs = 1000 / rateHz(piece.lap.rate);
    this.size.took(ms, frameMs);
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
    const rest = SETTLE_MS - (performance.now() - this.changedAt);
    if (rest > 0) await Promise.race([wait(rest), new Promise<void>((resolve) => (this.wake = resolve))]);
    this.wake = null;
    const piece = this.shown();
    for (const stage of STAGES) {
      if (!piece || this.change !== change) return false;
      const passes = Math.min(stage, piece.samples);
      const request = this.request(passes, 1);
      if (!request) return true;
      const before = performance.now();
      this.renderer.setPiece(piece);
      for (const _ of this.renderer.drawInSteps(request)) {
        this.renderer.three.getContext().flush();
        await tick();
        if (this.change !== change) return false;
      }
      this.renderer.finishGpu();
      this.tell(request, performance.now() - before, passes, piece.samples, 1);
      await tick();
      if (passes === piece.samples) return this.change === change;
    }
    return true;
  }

  private tell(request: FrameRequest, ms: number, passes: number, wanted: number, scale: number): void {
    const { phase, frameIndex } = request;
    this.listener.status({ phase, frameIndex, fps: this.fps, ms, passes, wanted, scale });
  }
}
