/** Has things done at once, but no more than so many. Once one has failed no other is begun. */
export class AtOnce {
  private readonly going = new Set<Promise<void>>();
  private failed: { error: unknown } | null = null;

  constructor(private readonly most: number) {}

  /** Begins one as soon as there is room for it. @throws what failed before */
  async begin(act: () => Promise<void>): Promise<void> {
    while (this.going.size >= this.most) await Promise.race(this.going);
    this.check();
    const mine = act()
      .catch((error: unknown) => void (this.failed ??= { error }))
      .finally(() => this.going.delete(mine));
    this.going.add(mine);
  }

  /** When all that were begun have ended. @throws what failed first */
  async done(): Promise<void> {
    await Promise.all(this.going);
    this.check();
  }

  private check(): void {
    if (this.failed) throw this.failed.error;
  }
}
