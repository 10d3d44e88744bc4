// Numbers that look like chance and are always the same.

/** @param {number} seed */
export function chance(seed) {
  let state = seed >>> 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return state / 4294967296;
  };
}

/** @param {number} i @param {number} seed */
const bump = (i, seed) => chance(Math.imul(i + 1, 0x9e3779b1) ^ Math.imul(seed + 7, 0x85ebca6b))();

/**
 * Value noise that repeats every `period` both ways, −1 … 1.
 * @param {number} x @param {number} y @param {number} period @param {number} seed
 */
export function noise(x, y, period, seed) {
  const [ix, iy] = [Math.floor(x), Math.floor(y)];
  const [fx, fy] = [x - ix, y - iy].map((f) => f * f * f * (f * (f * 6 - 15) + 10));
  const at = (/** @type {number} */ dx, /** @type {number} */ dy) => {
    const [cx, cy] = [ix + dx, iy + dy].map((c) => ((c % period) + period) % period);
    return bump(cx + cy * 4099, seed) * 2 - 1;
  };
  const [a, b, c, d] = [at(0, 0), at(1, 0), at(0, 1), at(1, 1)];
  return (a + (b - a) * fx) * (1 - fy) + (c + (d - c) * fx) * fy;
}
