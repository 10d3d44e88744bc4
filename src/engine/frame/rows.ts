/**
 * Some of the four numbers of every pixel, top row first.
 * @param numbers bottom row first
 * @param each how many are taken, from the one of number `from` on
 */
export function topFirst(
  numbers: Float32Array,
  width: number,
  height: number,
  each: number,
  from: number,
): Float32Array {
  const out = new Float32Array(width * height * each);
  let to = 0;
  for (let y = height - 1; y >= 0; y--)
    for (let at = y * width * 4; at < (y + 1) * width * 4; at += 4)
      for (let k = 0; k < each; k++) out[to++] = numbers[at + from + k];
  return out;
}
