import type { Piece } from '../../core/piece/schema';
import { framePhase, rateHz } from '../../core/time/lap';
import { troubleCode } from '../../core/trouble';
import { Lane, proxy, startEngine, transfer, type EngineClient, type LiveListener } from '../../engine/client';
import { seenPiece } from '../steps/fly/byhand/modes';
import { bench, useBench } from './bench';

/** Measurements of the open piece. Each has an engine of its own, so that none waits for another. */
const MEASUREMENTS = [
  'state',
  'comfort',
  'clearance',
  'parts',
  'tones',
  'bands',
  'levels',
  'other',
  'pictures',
  'finalPictures',
  'join',
  'wall',
] as const;
export type Measurement = (typeof MEASUREMENTS)[number];

/** While the picture does not keep up with its rate by this share, what moves beside it moves only so often, in milliseconds. */
const KEEPS_UP = 0.9;
const TOLD_MS = 400;

/** For calls whose failure is told another way: the engine's end, or its own report of trouble. */
const quietly = (call: Promise<unknown> | undefined): void => void call?.catch(() => undefined);

/** The live picture and the engine that draws it, and engines for measurements, started when first needed. */
class Player {
  private live: EngineClient | null = null;
  private readonly lanes = new Map<Measurement, Lane>(MEASUREMENTS.map((of) => [of, new Lane(startEngine)]));
  private stopListening: (() => void) | null = null;
  private toldAt = 0;
  /** finished frames of the piece that was set last */
  private finished: Map<number, Blob> | null = null;
  /** frame last asked for while paused: the engine may not have drawn it yet when the next step comes */
  private wanted: number | null = null;

  /** Starts drawing into a canvas; it belongs to the engine from then on. @returns stops */
  attach(canvas: HTMLCanvasElement, startPhase: number): () => void {
    const engine = startEngine();
    this.live = engine;
    const offscreen = canvas.transferControlToOffscreen();
    const listener: LiveListener = {
      status: (status) => {
        const { playing, history } = useBench.getState();
        const rate = history ? rateHz(history.present.lap.rate) : 0;
        const now = performance.now();
        if (playing && status.fps < rate * KEEPS_UP && now - this.toldAt < TOLD_MS) return;
        this.toldAt = now;
        bench.patch({ status });
      },
      trouble: (trouble) => bench.patch({ trouble }),
    };
    bench.patch({ trouble: null });
    void engine.ended.then((trouble) => {
      if (this.live === engine) bench.patch({ trouble });
    });
    quietly(engine.api.attach(transfer(offscreen, [offscreen]), proxy(listener)));
    quietly(engine.api.seek(startPhase));
    const shown = (): Piece | undefined => {
      const { history, byHand, observer } = useBench.getState();
      return history ? seenPiece(history.present, byHand, observer) : undefined;
    };
    const first = shown();
    if (first) quietly(engine.api.setPiece(first));
    quietly(engine.api.setFinished(this.finished));
    this.stopListening = useBench.subscribe((state, before) => {
      if (state.playing && !before.playing) this.wanted = null;
      const same =
        state.history?.present === before.history?.present &&
        state.byHand === before.byHand &&
        state.observer === before.observer;
      const now = same ? undefined : shown();
      if (now) quietly(engine.api.setPiece(now));
    });
    // for tests: what a driver reset does
    // and after how many milliseconds it gives it back; below zero never
    const lose = ({ detail }: CustomEvent<number | null>): void =>
      quietly(engine.api.loseContext('live', detail === null ? 600 : detail < 0 ? null : detail));
    addEventListener('isomorph:lose-context', lose as EventListener);
    return () => {
      removeEventListener('isomorph:lose-context', lose as EventListener);
      this.stopListening?.();
      engine.close();
      if (this.live === engine) this.live = null;
      for (const lane of this.lanes.values()) lane.close();
    };
  }

  /** Frames that are shown in place of drawing, until another piece is set. */
  showFinished(frames: ReadonlyMap<number, Blob> | null): void {
    this.finished = frames && new Map(frames);
    quietly(this.live?.api.setFinished(this.finished));
  }

  addFinished(frame: number, blob: Blob): void {
    this.finished?.set(frame, blob);
    quietly(this.live?.api.addFinished(frame, blob));
  }

  setView(view: Parameters<EngineClient['api']['setView']>[0]): void {
    quietly(this.live?.api.setView(view));
  }

  seek(phase: number): void {
    const frames = useBench.getState().history?.present.lap.frames ?? 1;
    this.wanted = Math.floor(phase * frames + 1e-6) % frames;
    quietly(this.live?.api.seek(phase));
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

  /**
   * Measures something in the background, on an engine that never touches the live picture; a newer measurement of the same
   * kind takes its place.
   * @throws Trouble `superseded` or `cancelled`, which call for nothing, or what went wrong
   */
  measure<T>(of: Measurement, work: (api: EngineClient['api']) => Promise<T>): Promise<T> {
    return this.lane(of).run(work);
  }

  /** Ends a measurement at once. */
  stopMeasuring(of: Measurement): void {
    this.lane(of).cancel();
  }

  private lane(of: Measurement): Lane {
    const lane = this.lanes.get(of);
    if (!lane) throw new RangeError(`there is no measurement "${of}"`);
    return lane;
  }
}

/** Whether a measurement was ended for a newer one, or by its user: nothing to speak of. */
export const overtaken = (error: unknown): boolean => ['superseded', 'cancelled'].includes(troubleCode(error) ?? '');

export const player = new Player();
