import type { Lessens } from '../frame/request';

/** Sizes the live picture may be drawn at, relative to the page's. */
const SIZES = [1, 0.85, 0.7, 0.6, 0.5, 0.42, 0.35, 0.3, 0.25];
/** The size that is kept up as long as frames come fast enough to judge a flight by. */
const HALF = 0.5;
/** Shares of the particles that may be drawn, with the light of all. */
const DENSITIES = [1, 0.7, 0.5, 0.35, 0.25];
/** Times as far as shapes may be off from their meshes. */
const COARSE = [1, 2.5];
/** What a frame takes of its time, about, with coarser shapes. */
export const COARSE_SAVES = 0.75;

/** No frame is given longer than this where it is drawn at more than half the size, and where there is no more to gain; milliseconds. */
const LARGE_MS = 100;
const LEAST_MS = 125;
/** So many frames in a row must agree that less, or more, is right; of those that are far too slow, two. */
const SLOW_FRAMES = 3;
const FAST_FRAMES = 24;
const PROVEN_FRAMES = 12;
/** Frames that take longer than this share of their time are slow, than that far too slow; one step up is tried when it should take less than that. */
const SLOW = 1.15;
const FAR = 2;
const FAST = 0.8;

/**
 * A step is worth having when a frame takes less than this share of the time: one that is hardly seen, for less. What was in vain
 * is tried again after so many frames.
 */
const WORTH: Readonly<Record<Way, number>> = { large: 0.85, particles: 0.85, shapes: 0.95, small: 0.85 };
const FORGET_FRAMES = 400;

/** What may be less: the size down to half, particles, how fine shapes are, the size below half. */
type Way = 'large' | 'particles' | 'shapes' | 'small';
const DOWN: readonly Way[] = ['large', 'particles', 'shapes', 'small'];
const UP: readonly Way[] = ['small', 'shapes', 'particles', 'large'];

const NOTHING: Lessens = { particles: false, shapes: false };

/** How far each of the ways is gone. */
interface Steps {
  size: number;
  thinning: number;
  coarse: number;
}

/**
 * Chooses how the live picture is drawn while playing: at a size that holds the piece's rate, but not under half for that alone;
 * with fewer particles, coarser shapes, and at last smaller, only to come to eight frames a second; and with nothing less that
 * saves nothing.
 * Stays put unless several frames agree; the first after a change is not asked.
 */
export class LiveScale {
  private at: Steps = { size: 2, thinning: 0, coarse: 0 };
  private slow = 0;
  private fast = 0;
  private since = 0;
  /** the next frame is the first that is drawn like this */
  private changed = false;
  /** what a frame takes as it is drawn now; milliseconds, 0 before the first */
  private ms = 0;
  /** the last way down, and what there was before it */
  private tried: { way: Way; at: Steps; ms: number; frames: number } | null = null;
  private readonly vain = new Set<Way>();

  get scale(): number {
    return SIZES[this.at.size];
  }

  /** Share of the particles that is drawn, with the light of all. */
  get density(): number {
    return DENSITIES[this.at.thinning];
  }

  /** Times as far as otherwise that shapes may be off from their meshes. */
  get coarseness(): number {
    return COARSE[this.at.coarse];
  }

  /**
   * A frame took so long where so long would hold the rate; milliseconds.
   * @param can what of it may be less
   */
  took(ms: number, frameMs: number, can: Lessens = NOTHING): void {
    if (!can.particles) this.at = { ...this.at, thinning: 0 };
    if (!can.shapes) this.at = { ...this.at, coarse: 0 };
    if (this.changed) {
      // it makes its targets
      this.changed = false;
      return;
    }
    this.ms = this.ms === 0 ? ms : this.ms * 0.6 + ms * 0.4;
    if (++this.since > FORGET_FRAMES) this.forget();
    const budget = (way: Way): number => (way === 'large' ? Math.min(LARGE_MS, frameMs) : LEAST_MS);
    const less = (): Way | undefined =>
      DOWN.find((way) => !this.vain.has(way) && this.canGo(way, 1, can) && ms > budget(way) * SLOW);
    const more = UP.find((way) => this.canGo(way, -1, can));

    const slow = less() ?? (this.tried && ms > budget(this.tried.way) * SLOW ? this.tried.way : undefined);
    this.slow = slow ? this.slow + (ms > budget(slow) * FAR ? SLOW_FRAMES / 2 : 1) : 0;
    this.fast = more && this.expected(more, -1, ms) < budget(more) * FAST ? this.fast + 1 : 0;
    // what was enough for a while is not to blame for what comes later
    if (this.tried && this.slow === 0 && ++this.tried.frames > PROVEN_FRAMES) this.tried = null;
    if (this.slow >= SLOW_FRAMES) {
      this.slow = 0;
      this.judge();
      const way = less();
      if (way) this.descend(way, budget(way), can);
    }
    if (more && this.fast >= FAST_FRAMES) {
      this.fast = 0;
      this.tried = null;
      this.ascend(more, budget(more), can);
    }
  }

  /** Whether there is so much less, or more, of something. */
  private canGo(way: Way, by: number, can: Lessens): boolean {
    const { size, thinning, coarse } = this.at;
    if (way === 'particles') return can.particles && DENSITIES[thinning + by] !== undefined;
    if (way === 'shapes') return can.shapes && COARSE[coarse + by] !== undefined;
    const [from, to] = [SIZES[size], SIZES[size + by] ?? 0];
    return to > 0 && (way === 'large' ? Math.min(from, to) >= HALF : Math.max(from, to) <= HALF);
  }

  private go(way: Way, by: number): void {
    const at = { ...this.at };
    if (way === 'particles') at.thinning += by;
    else if (way === 'shapes') at.coarse += by;
    else at.size += by;
    this.at = at;
    this.ms = 0;
    this.changed = true;
  }

  /** What a frame would take then, if all of it is paid by the pixel, or by the particle. */
  private expected(way: Way, by: number, ms: number): number {
    if (way === 'shapes') return ms * COARSE_SAVES ** by;
    return way === 'particles'
      ? (ms * DENSITIES[this.at.thinning + by]) / this.density
      : ms * (SIZES[this.at.size + by] / this.scale) ** 2;
  }

  /** Takes back the last way down where it saved nothing. */
  private judge(): void {
    const { tried } = this;
    this.tried = null;
    if (!tried || this.ms < tried.ms * WORTH[tried.way]) return;
    this.vain.add(tried.way);
    [this.at, this.ms] = [tried.at, tried.ms];
    this.changed = true;
  }

  /** Goes down one way, as far as may be needed. */
  private descend(way: Way, budget: number, can: Lessens): void {
    const { at, ms } = this;
    let by = 1;
    while (this.canGo(way, by + 1, can) && this.expected(way, by, ms) > budget) by++;
    this.tried = { way, at, ms, frames: 0 };
    this.go(way, by);
  }

  /** Comes back one way, as far as frames stay fast. */
  private ascend(way: Way, budget: number, can: Lessens): void {
    const { ms } = this;
    let by = -1;
    while (this.canGo(way, by - 1, can) && this.expected(way, by - 1, ms) < budget * FAST) by--;
    this.go(way, by);
  }

  private forget(): void {
    this.vain.clear();
    this.since = 0;
  }
}
