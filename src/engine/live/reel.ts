/** Frames that are taken out of their compressed form before their turn comes. */
const AHEAD = 6;

/** Finished frames of a lap, by their number, compressed; opened a little before they are shown. */
export class Reel<Picture extends { close(): void }> {
  private readonly opened = new Map<number, Promise<Picture | null>>();

  /**
   * @param frames of the lap
   * @param open takes a frame out of its compressed form
   */
  constructor(
    private readonly frames: number,
    private readonly open: (blob: Blob) => Promise<Picture>,
    private readonly kept: Map<number, Blob> = new Map(),
  ) {}

  has(frame: number): boolean {
    return this.kept.has(frame);
  }

  add(frame: number, blob: Blob): void {
    this.kept.set(frame, blob);
  }

  /** A frame, while those after it are being opened; null when it is not there, or cannot be opened. */
  at(frame: number): Promise<Picture | null> {
    const window = Array.from({ length: Math.min(AHEAD, this.frames) }, (_, i) => (frame + i) % this.frames);
    for (const [old, picture] of this.opened)
      if (!window.includes(old)) {
        this.opened.delete(old);
        closing(picture);
      }
    const [now] = window.map((number) => this.opening(number));
    return now;
  }

  private opening(frame: number): Promise<Picture | null> {
    const blob = this.kept.get(frame);
    if (!blob) return Promise.resolve(null);
    let picture = this.opened.get(frame);
    if (!picture) {
      picture = this.open(blob).catch(() => {
        // what cannot be opened is drawn instead
        this.kept.delete(frame);
        return null;
      });
      this.opened.set(frame, picture);
    }
    return picture;
  }

  close(): void {
    for (const picture of this.opened.values()) closing(picture);
    this.opened.clear();
  }
}

const closing = (picture: Promise<{ close(): void } | null>): void => void picture.then((opened) => opened?.close());
