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

/**
 * Chooses a size of the live picture while playing: small enough to hold the piece's rate, but not under half for that alone;
 * under half only to come to eight frames a second. Stays put unless several frames agree.
 */
export class LiveScale {
  private index = 2;
  private slow = 0;
  private fast = 0;

  get scale(): number {
    return SCALES[this.index];
  }

  /** A frame took so long where so long would hold the rate; milliseconds. */
  took(ms: number, frameMs: number): void {
    const budget = (index: number): number => (SCALES[index] > HALF ? Math.min(LARGE_MS, frameMs) : SMALL_MS);
    const { index } = this;
    // at worst all of it is paid by the pixel
    const expected = (other: number): number => ms * (SCALES[other] / SCALES[index]) ** 2;
    this.slow = ms > budget(index) * SLOW ? this.slow + 1 : 0;
    this.fast = index > 0 && expected(index - 1) < budget(index - 1) * FAST ? this.fast + 1 : 0;
    if (this.slow >= SLOW_FRAMES && index < SCALES.length - 1) {
      this.slow = 0;
      this.index++;
      while (this.scale > HALF && expected(this.index) > budget(this.index)) this.index++;
    }
    if (this.fast >= FAST_FRAMES) {
      this.fast = 0;
      this.index--;
    }
  }
}
