import type { Piece } from '../../core/piece/schema';

/** A lap that is to be there, finished. */
export interface Wish {
  piece: Piece;
  width: number;
  height: number;
  passes: number;
}

/** How far a lap is there, and what is done about the rest. */
export interface LapState {
  there: ReadonlySet<number>;
  frames: number;
  does: 'fills' | 'waits' | 'complete' | 'full' | 'failed';
}

/** What a filler works with. */
export interface Means {
  /** a key for each frame, of all that its picture depends on */
  keysOf(piece: Piece): Promise<readonly string[]>;
  /** null when it was cancelled on the way */
  draw(wish: Wish, frame: number): Promise<Blob | null>;
  cancel(): void;
  known(keys: readonly string[]): Promise<readonly (Blob | undefined)[]>;
  /** @returns whether there was room for it beside those wanted */
  store(frame: { key: string; blob: Blob }, wanted: ReadonlySet<string>): Promise<boolean>;
  show(frames: ReadonlyMap<number, Blob> | null): void;
  add(frame: number, blob: Blob): void;
  tell(state: LapState | null): void;
  failed(error: unknown): void;
}

/** Longer sides of finished frames, in pixels: of pictures that differ a little in size the frames are the same. */
const SIDES = [320, 480, 640, 960, 1280, 1920, 2560, 3840] as const;

/** The size of finished frames for a picture so wide on the page: the nearest of a few, never more than the piece's own. */
export function lapSize(frame: { width: number; height: number }, width: number): { width: number; height: number } {
  const side = SIDES.reduce((best, one) =>
    Math.abs(Math.log(one / width)) < Math.abs(Math.log(best / width)) ? one : best,
  );
  const own = Math.min(side, frame.width);
  return { width: own, height: Math.max(16, Math.round((own * frame.height) / frame.width)) };
}

/**
 * Draws the frames of a lap that are not there yet, one after another from where the playhead is, while nothing else is done;
 * what is there is kept by what it shows, so a change takes away what it changes, and undoing it brings that back.
 */
export class LapFiller {
  private wish: Wish | null = null;
  private keys: readonly string[] | null = null;
  private there = new Set<number>();
  private does: LapState['does'] = 'waits';
  private busy = false;
  private running = false;
  private called = false;
  private start = 0;
  private turn = 0;

  constructor(private readonly means: Means) {}

  /** Asks for a lap, or for none. The frames of another one are not shown any more at once. */
  ask(wish: Wish | null): void {
    this.wish = wish;
    this.keys = null;
    this.there = new Set();
    this.does = 'waits';
    this.turn++;
    this.means.cancel();
    this.means.show(null);
    this.means.tell(wish && this.state(wish));
    if (wish) void this.load(wish, this.turn);
  }

  /** While something else is done nothing is drawn. */
  setBusy(busy: boolean): void {
    if (busy === this.busy) return;
    this.busy = busy;
    if (busy) this.means.cancel();
    else void this.run();
  }

  /** The frame from which on the lap is filled. */
  from(frame: number): void {
    this.start = frame;
  }

  private state(wish: Wish): LapState {
    return { there: this.there, frames: wish.piece.lap.frames, does: this.does };
  }

  private keyOf({ width, height, passes }: Wish, key: string): string {
    return `${key}-${width}x${height}-${passes}`;
  }

  private async load(wish: Wish, turn: number): Promise<void> {
    try {
      const keys = (await this.means.keysOf(wish.piece)).map((key) => this.keyOf(wish, key));
      const blobs = await this.means.known(keys);
      if (turn !== this.turn) return;
      const frames = new Map<number, Blob>();
      blobs.forEach((blob, frame) => blob && frames.set(frame, blob));
      this.keys = keys;
      this.there = new Set(frames.keys());
      this.means.show(frames);
      this.say(wish, frames.size === keys.length ? 'complete' : 'waits');
      void this.run();
    } catch (error) {
      if (turn === this.turn) this.fail(wish, error);
    }
  }

  private say(wish: Wish, does: LapState['does']): void {
    this.does = does;
    this.means.tell(this.state(wish));
  }

  private fail(wish: Wish, error: unknown): void {
    this.say(wish, 'failed');
    this.means.failed(error);
  }

  private next(keys: readonly string[]): number | null {
    for (let i = 0; i < keys.length; i++) {
      const frame = (this.start + i) % keys.length;
      if (!this.there.has(frame)) return frame;
    }
    return null;
  }

  private async run(): Promise<void> {
    this.called = true;
    if (this.running) return;
    this.running = true;
    try {
      // what calls while the last step comes to its end is heard
      while (this.called) {
        this.called = false;
        while (await this.step());
      }
    } finally {
      this.running = false;
    }
  }

  /** Draws one more frame. @returns whether to go on */
  private async step(): Promise<boolean> {
    const { wish, keys, turn } = this;
    if (!wish || !keys || this.busy || this.does === 'full' || this.does === 'failed') return false;
    const frame = this.next(keys);
    if (frame === null) {
      if (this.does !== 'complete') this.say(wish, 'complete');
      return false;
    }
    if (this.does !== 'fills') this.say(wish, 'fills');
    try {
      const blob = await this.means.draw(wish, frame);
      // what was asked for meanwhile goes on by itself
      if (turn !== this.turn) return true;
      if (!blob) {
        this.say(wish, 'waits');
        return !this.busy;
      }
      const key = keys[frame];
      const roomy = await this.means.store({ key, blob }, new Set(keys));
      if (turn !== this.turn) return true;
      if (!roomy) {
        this.say(wish, 'full');
        return false;
      }
      this.there = new Set(this.there).add(frame);
      this.means.add(frame, blob);
      this.say(wish, 'fills');
      return true;
    } catch (error) {
      if (turn !== this.turn) return true;
      this.fail(wish, error);
      return false;
    }
  }
}
