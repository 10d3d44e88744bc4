import type { Piece } from '../../core/piece/schema';
import { framePhase } from '../../core/time/lap';
import { proxy, startEngine, transfer, type EngineClient, type LiveListener } from '../../engine/client';
import { seenPiece } from '../steps/fly/byhand/modes';
import { bench, useBench } from './bench';

/** The live picture and the engine that draws it, and a second engine for measurements, started when first needed. */
class Player {
  private live: EngineClient | null = null;
  private background: EngineClient | null = null;
  private stopListening: (() => void) | null = null;
  /** frame last asked for while paused: the engine may not have drawn it yet when the next step comes */
  private wanted: number | null = null;

  /** Starts drawing into a canvas; it belongs to the engine from then on. @returns stops */
  attach(canvas: HTMLCanvasElement, startPhase: number): () => void {
    const engine = startEngine();
    this.live = engine;
    const offscreen = canvas.transferControlToOffscreen();
    const listener: LiveListener = {
      status: (status) => bench.patch({ status }),
      trouble: (trouble) => bench.patch({ trouble }),
    };
    void engine.api.attach(transfer(offscreen, [offscreen]), proxy(listener));
    void engine.api.seek(startPhase);
    const shown = (): Piece | undefined => {
      const { history, byHand, observer } = useBench.getState();
      return history ? seenPiece(history.present, byHand, observer) : undefined;
    };
    const first = shown();
    if (first) void engine.api.setPiece(first);
    this.stopListening = useBench.subscribe((state, before) => {
      if (state.playing && !before.playing) this.wanted = null;
      const same =
        state.history?.present === before.history?.present &&
        state.byHand === before.byHand &&
        state.observer === before.observer;
      const now = same ? undefined : shown();
      if (now) void engine.api.setPiece(now);
    });
    // for tests: what a driver reset does
    const lose = (): void => void engine.api.loseContext();
    addEventListener('isomorph:lose-context', lose);
    return () => {
      removeEventListener('isomorph:lose-context', lose);
      this.stopListening?.();
      engine.close();
      if (this.live === engine) this.live = null;
      this.background?.close();
      this.background = null;
    };
  }

  setView(view: Parameters<EngineClient['api']['setView']>[0]): void {
    void this.live?.api.setView(view);
  }

  seek(phase: number): void {
    const frames = useBench.getState().history?.present.lap.frames ?? 1;
    this.wanted = Math.floor(phase * frames + 1e-6) % frames;
    void this.live?.api.seek(phase);
  }

  /** Moves by whole frames and pauses. */
  step(frames: number): void {
    const { history, status, playing } = useBench.getState();
    if (!history) return;
    const count = history.present.lap.frames;
    const from = playing ? null : this.wanted;
    bench.patch({ playing: false });
    const frame = (from ?? status?.frameIndex ?? 0) + frames;
    this.seek(framePhase(((frame % count) + count) % count, count));
  }

  /** The engine for thumbnails, histograms and the seam; it never touches the live picture. */
  measuring(): EngineClient['api'] {
    this.background ??= startEngine();
    return this.background.api;
  }
}

export const player = new Player();
