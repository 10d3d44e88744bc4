/**
 * A number for every row of some columns, the same for rows that hold the same numbers, in the order in which they come first.
 * @param columns whole numbers, `width` of them a row
 */
export function weldRows(columns: Int32Array, width: number): { of: Uint32Array; count: number } {
  const rows = columns.length / width;
  let size = 1024;
  while (size < rows * 2) size *= 2;
  // open addressing: a place holds the first row of its kind, and one more
  const table = new Uint32Array(size);
  const of = new Uint32Array(rows);
  let count = 0;
  for (let row = 0; row < rows; row++) {
    const from = row * width;
    let hash = 0x811c9dc5;
    for (let k = 0; k < width; k++) {
      hash = Math.imul(hash ^ columns[from + k], 0x9e3779b1);
      hash ^= hash >>> 15;
    }
    let place = (hash >>> 0) & (size - 1);
    for (;;) {
      const other = table[place];
      if (other === 0) {
        table[place] = row + 1;
        of[row] = count++;
        break;
      }
      const there = (other - 1) * width;
      let same = true;
      for (let k = 0; k < width && same; k++) same = columns[there + k] === columns[from + k];
      if (same) {
        of[row] = of[other - 1];
        break;
      }
      place = (place + 1) & (size - 1);
    }
  }
  return { of, count };
}

/** Places as whole numbers, so fine that a whole model has so many steps across. */
export function gridded(position: Float32Array, steps: number): Int32Array {
  const out = new Int32Array(position.length);
  const low = [Infinity, Infinity, Infinity];
  let span = 0;
  for (let i = 0; i < position.length; i++) low[i % 3] = Math.min(low[i % 3], position[i]);
  for (let i = 0; i < position.length; i++) span = Math.max(span, position[i] - low[i % 3]);
  const scale = span > 0 ? steps / span : 0;
  for (let i = 0; i < position.length; i++) out[i] = Math.round((position[i] - low[i % 3]) * scale);
  return out;
}
