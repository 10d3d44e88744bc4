import type { Contour } from '../../core/type/shape';

/** How far a chord may be off from its curve, in the unit of the path. */
export interface Flattening {
  tolerance: number;
  /** points that all contours together may have */
  most: number;
}

/** Gathers the contours of a path, curves as chords (steps after the curve's second differences: Wang's bound, 1984). */
export class PathBuilder {
  private readonly done: number[][] = [];
  private open: number[] = [];
  private count = 0;

  constructor(private readonly how: Flattening) {}

  private point(x: number, y: number): void {
    if (!Number.isFinite(x + y)) throw new RangeError('an outline has a place that is no number');
    if (++this.count > this.how.most) throw new RangeError(`an outline has more than ${this.how.most} points`);
    this.open.push(x, y);
  }

  private get at(): [number, number] {
    const n = this.open.length;
    return n > 0 ? [this.open[n - 2], this.open[n - 1]] : [0, 0];
  }

  moveTo(x: number, y: number): void {
    this.close();
    this.point(x, y);
  }

  lineTo(x: number, y: number): void {
    this.point(x, y);
  }

  private steps(second: number, factor: number): number {
    return Math.min(64, Math.max(1, Math.ceil(Math.sqrt((factor * second) / (8 * this.how.tolerance)))));
  }

  quadraticTo(ax: number, ay: number, x: number, y: number): void {
    const [x0, y0] = this.at;
    const n = this.steps(Math.hypot(x0 - 2 * ax + x, y0 - 2 * ay + y), 2);
    for (let i = 1; i <= n; i++) {
      const [t, s] = [i / n, 1 - i / n];
      this.point(s * s * x0 + 2 * s * t * ax + t * t * x, s * s * y0 + 2 * s * t * ay + t * t * y);
    }
  }

  cubicTo(ax: number, ay: number, bx: number, by: number, x: number, y: number): void {
    const [x0, y0] = this.at;
    const second = Math.max(
      Math.hypot(x0 - 2 * ax + bx, y0 - 2 * ay + by),
      Math.hypot(ax - 2 * bx + x, ay - 2 * by + y),
    );
    const n = this.steps(second, 6);
    for (let i = 1; i <= n; i++) {
      const [t, s] = [i / n, 1 - i / n];
      const [a, b, c, d] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
      this.point(a * x0 + b * ax + c * bx + d * x, a * y0 + b * ay + c * by + d * y);
    }
  }

  close(): void {
    if (this.open.length > 0) this.done.push(this.open);
    this.open = [];
  }

  contours(): Contour[] {
    this.close();
    return this.done.map((points) => Float64Array.from(points));
  }
}
