import { parsePiece } from '../../core/world/open';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Piece } from '../../core/piece/schema';
import { LivePicture } from './live';
import type { LiveStatus, LiveView } from '../protocol';
import type { Renderer } from '../frame/renderer';
import type { FrameRequest } from '../frame/request';

const parsed = parsePiece(JSON.parse(readFileSync('demo/ropewalk-tunnel.isomorph.json', 'utf8')));
if (!parsed.ok) throw new Error('the demo does not read');
const piece: Piece = { ...parsed.piece, samples: 16 };

/** Stands in for the GPU: remembers what it was asked to draw and takes as long as it is told. */
class SlowRenderer {
  readonly drawn: FrameRequest[] = [];
  lost = false;
  ms = 1;
  readonly lessens = { particles: false, shapes: false };
  readonly three = { getContext: () => ({ flush: () => undefined }) };
  shown: Piece | null = null;
  setPiece(shown: Piece): void {
    this.shown = shown;
  }
  ready = (): null => null;
  finishGpu = (): void => undefined;
  draw(request: FrameRequest): void {
    for (const _ of this.drawInSteps(request));
  }
  *drawInSteps(request: FrameRequest): Generator<number> {
    const until = performance.now() + this.ms;
    while (performance.now() < until);
    for (let i = 1; i < request.passes; i++) yield i / request.passes;
    this.drawn.push(request);
    yield 1;
  }
}

const view = (change: Partial<LiveView> = {}): LiveView => ({
  width: 400,
  height: 225,
  playing: false,
  speed: 1,
  acrossSeam: false,
  working: true,
  alone: null,
  channel: { of: 'picture' },
  ...change,
});
/** Waits for something to come true, however slow the machine is. */
const until = (check: () => void): Promise<void> => vi.waitFor(check, { timeout: 15_000, interval: 10 });
const rest = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

describe('the live picture', () => {
  let renderer: SlowRenderer;
  let told: LiveStatus[];
  let live: LivePicture;
  beforeEach(() => {
    renderer = new SlowRenderer();
    told = [];
    live = new LivePicture(renderer as unknown as Renderer, {
      status: (status) => told.push(status),
      trouble: () => undefined,
    });
    live.setPiece(piece);
  });

  it('left alone, refines a paused frame in stages up to the piece’s passes, at full size, then rests', async () => {
    live.setView(view());
    await until(() => expect(told.at(-1)?.passes).toBe(16));
    // first at the size that was shown, then at the page's
    const finer = renderer.drawn.slice(1);
    expect(finer.map(({ passes, width }) => [passes, width])).toEqual([
      [8, renderer.drawn[0].width],
      [4, 400],
      [16, 400],
    ]);
    expect(renderer.drawn[0].width).toBeLessThan(400);
    expect(told.at(-1)).toMatchObject({ passes: 16, wanted: 16, scale: 1 });
    const count = renderer.drawn.length;
    await rest(150);
    expect(renderer.drawn.length).toBe(count);
    live.setView(view({ playing: false }));
  });

  it('follows a change at once and cheaply, and starts refining again', async () => {
    live.setView(view());
    await rest(60);
    live.seek(0.5);
    await until(() => expect(renderer.drawn.at(-1)).toMatchObject({ frameIndex: 125 }));
    expect(renderer.drawn.find(({ frameIndex }) => frameIndex === 125)).toMatchObject({ passes: 1 });
    await until(() => expect(renderer.drawn.at(-1)).toMatchObject({ frameIndex: 125, passes: 16 }));
  });

  it('draws frames of the lap only, at the frame’s own phase', async () => {
    live.setView(view({ playing: true, speed: 4 }));
    await until(() => expect(renderer.drawn.length).toBeGreaterThan(5));
    live.setView(view());
    for (const { frameIndex, phase } of renderer.drawn) {
      expect(Number.isInteger(frameIndex) && frameIndex >= 0 && frameIndex < 250).toBe(true);
      expect(phase).toBe(frameIndex / 250);
    }
  });

  it('gives up size while frames take too long, and takes it back when they do not', async () => {
    renderer.ms = 70;
    live.setView(view({ playing: true }));
    await until(() => expect(told.at(-1)?.scale).toBeLessThan(0.75));
    const small = told.at(-1)?.scale ?? 1;
    renderer.ms = 1;
    await until(() => expect(told.at(-1)?.scale ?? 0).toBeGreaterThan(small));
    live.setView(view());
  });

  it('across the seam stays within half a second of it', async () => {
    live.setView(view({ playing: true, acrossSeam: true, speed: 4 }));
    await until(() => expect(renderer.drawn.length).toBeGreaterThan(12));
    live.setView(view());
    // the first frame may still be where the playhead was; half a second of ten is 12.5 frames
    for (const { frameIndex } of renderer.drawn.slice(2)) expect(frameIndex <= 26 || frameIndex >= 236).toBe(true);
  });

  it('shows one layer alone without touching the piece', async () => {
    live.setView(view({ alone: { of: 'layers', id: 'motes' } }));
    await until(() => expect(renderer.drawn.length).toBeGreaterThan(0));
    expect(renderer.shown?.layers.map(({ hidden }) => hidden)).toEqual(piece.layers.map(({ id }) => id !== 'motes'));
    expect(piece.layers.every(({ hidden }) => !hidden)).toBe(true);
  });
});
