/** How many of the last frames tell how long the others take: half of them, so that slow changes of speed are followed, but not fewer than these. */
const RECENT = 20;

const mean = (values: readonly number[]): number =>
  values.length > 0 ? values.reduce((sum, value) => sum + value, 0) / values.length : 0;

/** What the work on a delivery has taken so far, and so what is left of it. Times are in milliseconds. */
export class Pace {
  /** each frame, from the one before it until it was encoded */
  private readonly frameMs: number[] = [];
  /** each part, from its last frame until it was kept: encoders hold frames back until then */
  private readonly endMs: number[] = [];
  /** to put all together and read it back, as far as that was tried */
  private closingMs = 0;
  private last: number;

  /**
   * @param frames that are to be rendered
   * @param parts they make
   * @param now tells the time
   */
  constructor(
    private readonly frames: number,
    private readonly parts: number,
    private readonly now: () => number = () => performance.now(),
  ) {
    this.last = now();
  }

  /** Frames that are encoded. */
  get done(): number {
    return this.frameMs.length;
  }

  /** A frame is encoded. */
  frame(): void {
    this.frameMs.push(this.since());
  }

  /** A part is kept. */
  part(): void {
    this.endMs.push(this.since());
  }

  /** A share of all was put together and read back, in so many milliseconds. */
  tried(share: number, ms: number): void {
    this.closingMs = ms / share;
    this.last = this.now();
  }

  /** Seconds left, or null before a frame is done. The first frame includes setting up: it counts only until there are others. */
  left(): number | null {
    const { frameMs, endMs } = this;
    if (frameMs.length === 0) return null;
    const steady = frameMs.length > 1 ? frameMs.slice(1) : frameMs;
    const frames = (this.frames - frameMs.length) * mean(steady.slice(-Math.max(RECENT, Math.ceil(steady.length / 2))));
    return (frames + (this.parts - endMs.length) * mean(endMs) + this.closingMs) / 1000;
  }

  private since(): number {
    const { last } = this;
    this.last = this.now();
    return this.last - last;
  }
}
