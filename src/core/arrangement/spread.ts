import { hash4, unitFrom } from '../random/hash';

/** Steps of the even sequence in the plane, by powers of the plastic number (M. Roberts, 2018; from memory). */
const STEPS = [0.7548776662466927, 0.5698402909980532] as const;

/** How far the border of a rectangle is from its middle, in a direction. */
const borderAt = (x: number, y: number, halfX: number, halfY: number): number =>
  Math.min(x === 0 ? Infinity : halfX / Math.abs(x), y === 0 ? Infinity : halfY / Math.abs(y));

/**
 * Places one after another in depth, each in the middle of a slice of its own, all slices alike: from the nearest, along −z.
 * Across the box they are spread evenly too, off its middle.
 * @param size of the box in metres, centred at 0; @param clear metres about its axis in which none is, as far as the box lets
 * @returns x, y, z of each
 */
export function spreadInDepth(
  [width, height, depth]: readonly [number, number, number],
  count: number,
  clear: number,
  seed: number,
): Float32Array {
  const out = new Float32Array(count * 3);
  const begin = hash4(seed, 71, 0, 0).map(unitFrom);
  for (let i = 0; i < count; i++) {
    const [u, v] = STEPS.map((step, k) => (begin[k] + i * step) % 1);
    let [x, y] = [(u - 0.5) * width, (v - 0.5) * height];
    const off = Math.hypot(x, y);
    if (clear > 0) {
      const [dx, dy] = off > 0 ? [x / off, y / off] : [1, 0];
      const border = borderAt(dx, dy, width / 2, height / 2);
      // the way from the middle to the border becomes that from the corridor's wall to it
      const at = clear >= border ? border : clear + off * (1 - clear / border);
      [x, y] = [dx * at, dy * at];
    }
    out.set([x, y, depth * (0.5 - (i + 0.5) / count)], i * 3);
  }
  return out;
}
