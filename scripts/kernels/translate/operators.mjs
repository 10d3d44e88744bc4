import { isInteger, vector } from './types.mjs';
import { operate, sumOfProducts } from './scalars.mjs';

/**
 * @typedef {import('./types.mjs').Value} Value
 * @typedef {import('./types.mjs').Node} Node
 */

/** Something with a matrix in it. @param {import('./unit.mjs').Unit} unit @param {Value} a @param {Value} b @param {Node} node @returns {Value} */
function matrixProduct(unit, a, b, node) {
  const m = a.t.m ?? b.t.m ?? 0;
  const bad = () => unit.fail(`${a.t.name} * ${b.t.name} is not defined`, node);
  const row = (/** @type {string[]} */ of, /** @type {number} */ r) =>
    Array.from({ length: m }, (_, k) => of[k * m + r] ?? bad());
  if (a.t.m && b.t.m) {
    if (a.t !== b.t) bad();
    const column = (/** @type {number} */ i) => b.c.slice(Math.floor(i / m) * m, Math.floor(i / m) * m + m);
    return { t: a.t, c: a.c.map((_, i) => sumOfProducts(row(a.c, i % m), column(i))) };
  }
  const other = a.t.m ? b : a;
  if (other.t.n !== m || other.t.b !== 'f') bad();
  return {
    t: vector('f', m),
    c: Array.from({ length: m }, (_, r) =>
      a.t.m ? sumOfProducts(row(a.c, r), b.c) : sumOfProducts(a.c, b.c.slice(r * m, r * m + m)),
    ),
  };
}

/** An operator between two values: by component, or as matrices have it. @param {import('./unit.mjs').Unit} unit @param {import('./writer.mjs').Writer} writer @param {string} op @param {Value} left @param {Value} right @param {Node} node @returns {Value} */
export function binary(unit, writer, op, left, right, node) {
  let [a, b] = [left, right];
  if (op === '*' && (a.t.m || b.t.m) && a.t.n > 1 && b.t.n > 1) {
    a = writer.once(a);
    b = writer.once(b);
    return matrixProduct(unit, a, b, node);
  }
  const shift = op === '<<' || op === '>>';
  const bits = '&|^%'.includes(op) || shift;
  if (a.t.b === 'b' || b.t.b === 'b' || (bits && !isInteger(a.t.b)) || (!shift && a.t.b !== b.t.b))
    unit.fail(`${a.t.name} ${op} ${b.t.name} is not defined (no implicit conversions)`, node);
  if (a.t.n !== b.t.n && a.t.n !== 1 && b.t.n !== 1) unit.fail(`${a.t.name} ${op} ${b.t.name}: sizes differ`, node);
  const n = Math.max(a.t.n, b.t.n);
  if (a.t.n < n) a = writer.once(a);
  if (b.t.n < n) b = writer.once(b);
  const of = (/** @type {Value} */ { t, c }, /** @type {number} */ i) => String(c[t.n === 1 ? 0 : i]);
  return {
    t: a.t.n === n ? a.t : b.t,
    c: Array.from({ length: n }, (_, i) => operate(op, a.t.b, of(a, i), of(b, i))),
  };
}
