/** Numbers that are gathered one by one, without a limit to how many: an array of JavaScript's own is slow at millions. */
export class Floats {
  private all = new Float32Array(1024);
  length = 0;

  push(value: number): void {
    if (this.length === this.all.length) this.grow();
    this.all[this.length++] = value;
  }

  at(place: number): number {
    return this.all[place];
  }

  private grow(): void {
    const more = new Float32Array(this.all.length * 2);
    more.set(this.all);
    this.all = more;
  }

  take(): Float32Array {
    return this.all.slice(0, this.length);
  }
}

/** The same of whole numbers. */
export class Whole {
  private all = new Uint32Array(1024);
  length = 0;

  push(value: number): void {
    if (this.length === this.all.length) {
      const more = new Uint32Array(this.all.length * 2);
      more.set(this.all);
      this.all = more;
    }
    this.all[this.length++] = value;
  }

  take(): Uint32Array {
    return this.all.slice(0, this.length);
  }
}

/** The lines of a text, without their ends; one that ends with a backslash goes on in the next. */
export function* linesOf(bytes: Uint8Array): Generator<string> {
  const decoder = new TextDecoder();
  const STEP = 1 << 20;
  let rest = '';
  let before = '';
  for (let at = 0; at < bytes.length; at += STEP) {
    const text = rest + decoder.decode(bytes.subarray(at, at + STEP), { stream: at + STEP < bytes.length });
    const lines = text.split(/\r\n|\n|\r(?!$)/);
    rest = lines.pop() ?? '';
    for (const line of lines)
      if (line.endsWith('\\')) before += `${line.slice(0, -1)} `;
      else {
        yield before + line;
        before = '';
      }
  }
  if (before + rest !== '') yield (before + rest).replace(/\r$/, '');
}
