/** Sizes the live picture may be drawn at, relative to the page's. */
const SCALES = [1, 0.75, 0.5, 0.375, 0.25] as const;
/** So many frames in a row must agree that a smaller, or a larger, size is right. */
const SLOW_FRAMES = 3;
const FAST_FRAMES = 24;
/** Frames that take longer than this share of their time are slow; those that take less than that are fast. */
const SLOW = 1.15;
const FAST = 0.45;
/** No frame is asked to be faster than this, in milliseconds. */
const MOST_MS = 100;

/** Chooses a size of the live picture that holds the rate while playing; stays put unless several frames agree. */
export class LiveScale {
  private index = 1;
  private slow = 0;
  private fast = 0;

  get scale(): number {
    return SCALES[this.index];
  }

  /** A frame took so long where so long would hold the rate; milliseconds. */
  took(ms: number, frameMs: number): void {
    const budget = Math.min(MOST_MS, frameMs);
    this.slow = ms > budget * SLOW ? this.slow + 1 : 0;
    this.fast = ms < budget * FAST ? this.fast + 1 : 0;
    if (this.slow >= SLOW_FRAMES && this.index < SCALES.length - 1) {
      this.index++;
      this.slow = 0;
    }
    if (this.fast >= FAST_FRAMES && this.index > 0) {
      this.index--;
      this.fast = 0;
    }
  }
}
