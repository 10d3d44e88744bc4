/** Numbers in order of their keys, the least first; keys may be out of date. */
export class Queue {
  private readonly keys: number[] = [];
  private readonly items: number[] = [];

  push(key: number, item: number): void {
    let i = this.keys.length;
    this.keys.push(key);
    this.items.push(item);
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (this.keys[up] <= key) break;
      this.move(up, i);
      i = up;
    }
    this.keys[i] = key;
    this.items[i] = item;
  }

  pop(): { key: number; item: number } | null {
    if (this.keys.length === 0) return null;
    const [key, item] = [this.keys[0], this.items[0]];
    const lastKey = this.keys.pop() ?? 0;
    const lastItem = this.items.pop() ?? 0;
    const count = this.keys.length;
    if (count > 0) {
      let i = 0;
      for (;;) {
        let down = 2 * i + 1;
        if (down >= count) break;
        if (down + 1 < count && this.keys[down + 1] < this.keys[down]) down++;
        if (this.keys[down] >= lastKey) break;
        this.move(down, i);
        i = down;
      }
      this.keys[i] = lastKey;
      this.items[i] = lastItem;
    }
    return { key, item };
  }

  private move(from: number, to: number): void {
    this.keys[to] = this.keys[from];
    this.items[to] = this.items[from];
  }
}
