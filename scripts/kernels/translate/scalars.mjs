// Operators on single numbers, as TypeScript. A uint is held as the int32 with the same bits: only / % >> < and the way to a
// float look at the sign.

/** @typedef {import('./types.mjs').Type} Type */

/** @param {string} op @param {Type['b']} b @param {string} x @param {string} y @returns {string} */
export function operate(op, b, x, y) {
  if (b === 'f') return `(${x} ${op} ${y})`;
  const plain = (/** @type {string} */ s) => (b === 'u' ? `(${s} >>> 0)` : s);
  switch (op) {
    case '+':
    case '-':
      return `((${x} ${op} ${y}) | 0)`;
    case '*':
      return `Math.imul(${x}, ${y})`;
    case '/':
    case '%':
      return `((${plain(x)} ${op} ${plain(y)}) | 0)`;
    case '>>':
      return b === 'u' ? `((${x} >>> ${y}) | 0)` : `(${x} >> ${y})`;
    default:
      return `(${x} ${op} ${y})`;
  }
}

/** @param {string} op @param {Type['b']} b @param {string} x @param {string} y */
export const compare = (op, b, x, y) =>
  b === 'u' && op !== '===' && op !== '!==' ? `((${x} >>> 0) ${op} (${y} >>> 0))` : `(${x} ${op} ${y})`;

/** A number of one sort as one of another: floats lose what is behind the point. @param {string} s @param {Type['b']} from @param {Type['b']} to */
export function convert(s, from, to) {
  if (from === to) return s;
  if (to === 'b') return `(${s} !== 0)`;
  if (from === 'b') return `(${s} ? 1 : 0)`;
  if (to === 'f') return from === 'u' ? `(${s} >>> 0)` : s;
  return from === 'f' ? `(${s} | 0)` : s;
}

/** @param {readonly string[]} a @param {readonly string[]} b */
export const sumOfProducts = (a, b) => a.map((x, i) => `(${x} * ${b[i]})`).reduce((s, x) => `(${s} + ${x})`);

/** A float as it is written in TypeScript. @param {string} text */
export const literal = (text) => String(Number(text.replace(/f$/i, '')));
