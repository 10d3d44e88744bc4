// Boxes of the ISO base media file format (ISO/IEC 14496-12, §4.2), as far as they hold times of making.

const HOLDS = ['moov', 'trak', 'mdia'];
const DATED = ['mvhd', 'tkhd', 'mdhd'];

/** Takes the times of making and changing out of a box and those in it: the same film is the same file, whenever it is made. */
export function withoutDates(box: Uint8Array): Uint8Array<ArrayBuffer> {
  const out = box.slice();
  const view = new DataView(out.buffer);
  const walk = (from: number, to: number): void => {
    for (let at = from; at + 8 <= to;) {
      const size = view.getUint32(at);
      const name = String.fromCharCode(...out.subarray(at + 4, at + 8));
      if (size < 8 || at + size > to) return;
      if (HOLDS.includes(name)) walk(at + 8, at + size);
      // after version and flags two times, of eight bytes each in version 1
      if (DATED.includes(name)) out.fill(0, at + 12, at + 12 + (out[at + 8] === 1 ? 16 : 8));
      at += size;
    }
  };
  walk(0, out.length);
  return out;
}
