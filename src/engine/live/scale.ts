/** Sizes the live picture may be drawn at, relative to the page's. */
const SIZES = [1, 0.85, 0.7, 0.6, 0.5, 0.42, 0.35, 0.3, 0.25];
/** The size that is kept up as long as frames come fast enough to judge a flight by. */
const HALF = 0.5;
/** Shares of the particles that may be drawn, with the light of all. */
const DENSITIES = [1, 0.7, 0.5, 0.35, 0.25];

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

/** A step is worth having when a frame takes less than this share of the time; what was in vain is tried again after so many. */
const WORTH = 0.85;
const FORGET_FRAMES = 400;

/** What may be less: the size down to half, particles, the size below half. */
type Way = 'large' | 'particles' | 'small';
const DOWN: readonly Way[] = ['large', 'particles', 'small'];
const UP: readonly Way[] = ['small', 'particles', 'large'];

/**
 * Chooses how the live picture is drawn while playing: at a size that holds the piece's rate, but not under half for that alone;
 * with fewer particles, and at last smaller, only to come to eight frames a second; and with nothing less that saves nothing.
 * Stays put unless several frames agree; the first after a change is not asked.
 */
export class LiveScale {
  private size = 2;
  private thinning = 0;
  private slow = 0;
  private fast = 0;
  private since = 0;
  /** the next frame is the first that is drawn like this */
  private changed = false;
  /** what a frame takes as it is drawn now; milliseconds, 0 before the first */
  private ms = 0;
  /** the last way down, and what there was before it */
  private tried: { way: Way; size: number; thinning: number; ms: number; frames: number } | null = null;
  private readonly vain = new Set<Way>();

  get scale(): number {
    return SIZES[this.size];
  }

  /** Share of the particles that is drawn, with the light of all. */
  get density(): number {
    return DENSITIES[this.thinning];
  }

  /**
   * A frame took so long where so long would hold the rate; milliseconds.
   * @param thins whether it has particles of which some may be left out
   */
  took(ms: number, frameMs: number, thins = false): void {
    if (!thins) this.thinning = 0;
    if (this.changed) {
      // it makes its targets
      this.changed = false;
      return;
    }
    this.ms = this.ms === 0 ? ms : this.ms * 0.6 + ms * 0.4;
    if (++this.since > FORGET_FRAMES) this.forget();
    const budget = (way: Way): number => (way === 'large' ? Math.min(LARGE_MS, frameMs) : LEAST_MS);
    const less = (): Way | undefined =>
      DOWN.find((way) => !this.vain.has(way) && this.canGo(way, 1, thins) && ms > budget(way) * SLOW);
    const more = UP.find((way) => this.canGo(way, -1, thins));

    const slow = less() ?? (this.tried && ms > budget(this.tried.way) * SLOW ? this.tried.way : undefined);
    this.slow = slow ? this.slow + (ms > budget(slow) * FAR ? SLOW_FRAMES / 2 : 1) : 0;
    this.fast = more && this.expected(more, -1, ms) < budget(more) * FAST ? this.fast + 1 : 0;
    // what was enough for a while is not to blame for what comes later
    if (this.tried && this.slow === 0 && ++this.tried.frames > PROVEN_FRAMES) this.tried = null;
    if (this.slow >= SLOW_FRAMES) {
      this.slow = 0;
      this.judge();
      const way = less();
      if (way) this.descend(way, budget(way), thins);
    }
    if (more && this.fast >= FAST_FRAMES) {
      this.fast = 0;
      this.tried = null;
      this.ascend(more, budget(more), thins);
    }
  }

  /** Whether there is so much less, or more, of something. */
  private canGo(way: Way, by: number, thins: boolean): boolean {
    if (way === 'particles') return thins && DENSITIES[this.thinning + by] !== undefined;
    const [from, to] = [SIZES[this.size], SIZES[this.size + by] ?? 0];
    return to > 0 && (way === 'large' ? Math.min(from, to) >= HALF : Math.max(from, to) <= HALF);
  }

  private go(way: Way, by: number): void {
    if (way === 'particles') this.thinning += by;
    else this.size += by;
    this.ms = 0;
    this.changed = true;
  }

  /** What a frame would take then, if all of it is paid by the pixel, or by the particle. */
  private expected(way: Way, by: number, ms: number): number {
    return way === 'particles'
      ? (ms * DENSITIES[this.thinning + by]) / this.density
      : ms * (SIZES[this.size + by] / this.scale) ** 2;
  }

  /** Takes back the last way down where it saved nothing. */
  private judge(): void {
    const { tried } = this;
    this.tried = null;
    if (!tried || this.ms < tried.ms * WORTH) return;
    this.vain.add(tried.way);
    [this.size, this.thinning, this.ms] = [tried.size, tried.thinning, tried.ms];
    this.changed = true;
  }

  /** Goes down one way, as far as may be needed. */
  private descend(way: Way, budget: number, thins: boolean): void {
    const { size, thinning, ms } = this;
    let by = 1;
    while (this.canGo(way, by + 1, thins) && this.expected(way, by, ms) > budget) by++;
    this.tried = { way, size, thinning, ms, frames: 0 };
    this.go(way, by);
  }

  /** Comes back one way, as far as frames stay fast. */
  private ascend(way: Way, budget: number, thins: boolean): void {
    const { ms } = this;
    let by = -1;
    while (this.canGo(way, by - 1, thins) && this.expected(way, by - 1, ms) < budget * FAST) by--;
    this.go(way, by);
  }

  private forget(): void {
    this.vain.clear();
    this.since = 0;
  }
}
