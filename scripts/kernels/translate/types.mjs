// The types of the subset, and what their values are called once they are one variable a component.

/**
 * A type: its base ('f' float, 'i' int, 'u' uint, 'b' bool, 't' table, 'v' void), how many numbers it has, and, for a matrix,
 * how many rows and columns.
 * @typedef {{ name: string, b: 'f' | 'i' | 'u' | 'b' | 't' | 'v', n: number, m?: number }} Type
 *
 * A value: one text of TypeScript a component.
 * @typedef {{ t: Type, c: string[] }} Value
 *
 * A part of the parser's tree, which says itself what it is.
 * @typedef {any} Node
 */

/** @type {Type} */
export const VOID = { name: 'void', b: 'v', n: 0 };

/** Types by name. @type {Record<string, Type>} */
export const TYPES = { void: VOID };
for (const [b, scalar, vector] of /** @type {const} */ ([
  ['f', 'float', 'vec'],
  ['i', 'int', 'ivec'],
  ['u', 'uint', 'uvec'],
  ['b', 'bool', 'bvec'],
])) {
  TYPES[scalar] = { name: scalar, b, n: 1 };
  for (const n of [2, 3, 4]) TYPES[vector + n] = { name: vector + n, b, n };
}
// a table of four numbers a texel in a single row; a typed array on the CPU
TYPES.sampler2D = { name: 'sampler2D', b: 't', n: 1 };
for (const m of [2, 3, 4]) TYPES[`mat${m}`] = { name: `mat${m}`, b: 'f', n: m * m, m };

/** A scalar or vector. @param {Type['b']} b @param {number} n @returns {Type} */
export function vector(b, n) {
  const found = Object.values(TYPES).find((t) => t.b === b && t.n === n && !t.m);
  if (!found) throw new RangeError(`there is no type of ${n} ${b}`);
  return found;
}

/** @param {Type['b']} b */
export const isInteger = (b) => b === 'i' || b === 'u';

/** What stands behind a name for one of its components. @param {Type} t @param {number} i */
export const suffix = (t, i) => (t.m ? `_${Math.floor(i / t.m)}${i % t.m}` : t.n === 1 ? '' : `_${'xyzw'.charAt(i)}`);

/** Components by letter. @type {Record<string, number>} */
export const LETTERS = { x: 0, y: 1, z: 2, w: 3, r: 0, g: 1, b: 2, a: 3, s: 0, t: 1, p: 2, q: 3 };

/** A name or a number: it may be said again without being worked out again. @param {string} text */
export const isSimple = (text) => /^-?[\w.$]+$/.test(text);

/** @param {string} text */
export const isNumber = (text) => /^\(?-?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?\)?$/i.test(text);
