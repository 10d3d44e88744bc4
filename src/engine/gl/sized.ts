/** What is made for pictures of one size, and made anew where they have another. */
export class Sized<T extends { dispose(): void }> {
  private size = { width: 0, height: 0 };
  private own: T | null = null;

  constructor(private readonly make: (width: number, height: number) => T) {}

  /** What there is; null before the first size. */
  get last(): T | null {
    return this.own;
  }

  at({ width, height }: { width: number; height: number }): T {
    if (this.own && this.size.width === width && this.size.height === height) return this.own;
    this.own?.dispose();
    this.size = { width, height };
    return (this.own = this.make(width, height));
  }

  dispose(): void {
    this.own?.dispose();
    this.own = null;
  }
}
