/** Sizes the live picture may be drawn at, relative to the page's. */
const SCALES = [1, 0.85, 0.7, 0.6, 0.5, 0.42, 0.35, 0.3, 0.25] as const;
/** The size that is kept up as long as frames come fast enough to judge a flight by. */
const HALF = 0.5;
/** No frame of more than half the size is given longer than this, and none of half or less is asked to be faster; milliseconds. */
const LARGE_MS = 100;
const SMALL_MS = 125;
/** So many frames in a row must agree that a smaller, or a larger, size is right. */
const SLOW_FRAMES = 3;
const FAST_FRAMES = 24;
/** Frames that take longer than this share of their time are slow; one size up is tried when it should take less than that. */
const SLOW = 1.15;
const FAST = 0.8;

/** A smaller size is worth having when a frame takes less than this share of the time; what was found is tried again after so many. */
const WORTH = 0.85;
const FORGET_FRAMES = 400;

/**
 * Chooses a size of the live picture while playing: small enough to hold the piece's rate, but not under half for that alone;
 * under half only to come to eight frames a second; and never smaller where that saves nothing. Stays put unless several
 * frames agree.
 */
export class LiveScale {
  private index = 2;
  /** the size it was shrunk from last */
  private before = 2;
  private slow = 0;
  private fast = 0;
  private since = 0;
  /** what a frame takes at each size, as far as that is known; milliseconds */
  private readonly costs = new Map<number, number>();

  get scale(): number {
    return SCALES[this.index];
  }

  /** A frame took so long where so long would hold the rate; milliseconds. */
  took(ms: number, frameMs: number): void {
    const { index, costs } = this;
    const budget = (other: number): number => (SCALES[other] > HALF ? Math.min(LARGE_MS, frameMs) : SMALL_MS);
    // at worst all of it is paid by the pixel
    const expected = (other: number): number => ms * (SCALES[other] / SCALES[index]) ** 2;
    costs.set(index, (costs.get(index) ?? ms) * 0.6 + ms * 0.4);
    if (++this.since > FORGET_FRAMES) this.forget();
    this.slow = ms > budget(index) * SLOW ? this.slow + 1 : 0;
    this.fast = index > 0 && expected(index - 1) < budget(index - 1) * FAST ? this.fast + 1 : 0;
    if (this.slow >= SLOW_FRAMES) {
      this.slow = 0;
      if (this.saves(this.before, index)) this.shrink(expected, budget);
      else this.index = this.before;
    }
    if (this.fast >= FAST_FRAMES) {
      this.fast = 0;
      this.index--;
    }
  }

  /** Whether a size is known to take less than the one above it, or nothing is known of that. */
  private saves(larger: number, smaller: number): boolean {
    const [before, after] = [this.costs.get(larger), this.costs.get(smaller)];
    return larger === smaller || before === undefined || after === undefined || after < before * WORTH;
  }

  private shrink(expected: (other: number) => number, budget: (other: number) => number): void {
    let next = this.index + 1;
    while (next < SCALES.length && SCALES[next] > HALF && expected(next) > budget(next)) next++;
    if (next === SCALES.length || !this.saves(this.index, next)) return;
    this.before = this.index;
    this.index = next;
  }

  private forget(): void {
    this.costs.clear();
    this.since = 0;
  }
}
