import { beforeEach, describe, expect, it, vi } from 'vitest';
import { PieceSchema, type Piece } from '../../core/piece/schema';
import { LapFiller, lapSize, type LapState, type Wish } from './lapFiller';

const piece = (name: string, frames = 6): Piece =>
  PieceSchema.parse({ id: 'p', name, lap: { frames, rate: { num: 24, den: 1 } }, layers: [], flight: {}, look: {} });
const wish = (name = 'a', frames = 6): Wish => ({ piece: piece(name, frames), width: 320, height: 180, passes: 4 });

/** A store, an engine and a picture that remember what is asked of them; frame 3 is the same in every piece. */
function made(room = Infinity) {
  const stored = new Map<string, Blob>();
  const drawn: number[] = [];
  let shown: Map<number, Blob> | null = null;
  let said: LapState | null = null;
  let stop = (): void => undefined;
  const troubles: unknown[] = [];
  const settings = { ms: 1, broken: -1 };
  const filler = new LapFiller({
    keysOf: (of) =>
      Promise.resolve(Array.from({ length: of.lap.frames }, (_, i) => (i === 3 ? '3' : `${of.name}${i}`))),
    draw: (_, frame) =>
      new Promise((resolve, reject) => {
        if (frame === settings.broken) reject(new Error('broken'));
        stop = () => resolve(null);
        setTimeout(() => {
          drawn.push(frame);
          resolve(new Blob([String(frame)]));
        }, settings.ms);
      }),
    cancel: () => stop(),
    known: (keys) => Promise.resolve(keys.map((key) => stored.get(key))),
    store: ({ key, blob }) => {
      if (stored.size >= room) return Promise.resolve(false);
      stored.set(key, blob);
      return Promise.resolve(true);
    },
    show: (frames) => (shown = frames && new Map(frames)),
    add: (frame, blob) => shown?.set(frame, blob),
    tell: (state) => (said = state),
    failed: (error) => troubles.push(error),
  });
  return {
    filler,
    stored,
    drawn,
    settings,
    troubles,
    get shown() {
      return shown && [...shown.keys()].sort();
    },
    get does() {
      return said?.does;
    },
    get there() {
      return said && [...said.there].sort();
    },
  };
}
const until = (check: () => void): Promise<void> => vi.waitFor(check, { timeout: 3000, interval: 2 });

describe('the filler of a lap', () => {
  let lap: ReturnType<typeof made>;
  beforeEach(() => (lap = made()));

  it('draws every frame once, from the playhead on and over the seam, and shows each', async () => {
    lap.filler.from(4);
    lap.filler.ask(wish());
    await until(() => expect(lap.does).toBe('complete'));
    expect(lap.drawn).toEqual([4, 5, 0, 1, 2, 3]);
    expect(lap.shown).toEqual([0, 1, 2, 3, 4, 5]);
    expect(lap.there).toEqual([0, 1, 2, 3, 4, 5]);
  });

  it('keeps what a change leaves as it was, and brings back what is undone', async () => {
    lap.filler.ask(wish('a'));
    await until(() => expect(lap.does).toBe('complete'));
    lap.drawn.length = 0;
    lap.filler.ask(wish('b'));
    expect(lap.shown).toBeNull();
    await until(() => expect(lap.does).toBe('complete'));
    expect(lap.drawn).toEqual([0, 1, 2, 4, 5]);
    lap.drawn.length = 0;
    lap.filler.ask(wish('a'));
    await until(() => expect(lap.does).toBe('complete'));
    expect(lap.drawn).toEqual([]);
    expect(lap.shown).toHaveLength(6);
    // another size is another lap
    lap.filler.ask({ ...wish('a'), width: 640 });
    await until(() => expect(lap.does).toBe('complete'));
    expect(lap.drawn).toHaveLength(6);
  });

  it('yields to work in the middle of a frame, and goes on after it', async () => {
    lap.settings.ms = 30;
    lap.filler.ask(wish());
    await until(() => expect(lap.drawn).toHaveLength(2));
    lap.filler.setBusy(true);
    await until(() => expect(lap.does).toBe('waits'));
    const count = lap.stored.size;
    await new Promise((resolve) => setTimeout(resolve, 90));
    expect(lap.stored.size).toBe(count);
    lap.filler.setBusy(false);
    await until(() => expect(lap.does).toBe('complete'));
    expect(lap.there).toHaveLength(6);
  });

  it('stops where there is no room, and says so', async () => {
    lap = made(4);
    lap.filler.ask(wish());
    await until(() => expect(lap.does).toBe('full'));
    expect(lap.shown).toEqual([0, 1, 2, 3]);
  });

  it('tells what went wrong, and tries again when something else is asked for', async () => {
    lap.settings.broken = 2;
    lap.filler.ask(wish());
    await until(() => expect(lap.does).toBe('failed'));
    expect(lap.troubles).toHaveLength(1);
    expect(lap.there).toEqual([0, 1]);
    lap.settings.broken = -1;
    lap.filler.ask(wish());
    await until(() => expect(lap.does).toBe('complete'));
  });

  it('leaves a lap in the middle for another', async () => {
    lap.settings.ms = 20;
    lap.filler.ask(wish('a', 40));
    await until(() => expect(lap.drawn.length).toBeGreaterThan(1));
    lap.filler.ask(wish('b', 3));
    lap.settings.ms = 1;
    await until(() => expect(lap.does).toBe('complete'));
    expect(lap.shown).toEqual([0, 1, 2]);
    lap.filler.ask(null);
    expect(lap.shown).toBeNull();
  });
});

describe('the size of finished frames', () => {
  const frame = { width: 1920, height: 1080 };
  it('is the nearest of a few, and no more than the piece’s own', () => {
    expect(lapSize(frame, 824)).toEqual({ width: 960, height: 540 });
    expect(lapSize(frame, 700)).toEqual({ width: 640, height: 360 });
    expect(lapSize(frame, 3000)).toEqual(frame);
    expect(lapSize({ width: 500, height: 500 }, 640)).toEqual({ width: 500, height: 500 });
    expect(lapSize({ width: 1000, height: 10 }, 320).height).toBe(16);
  });
});
