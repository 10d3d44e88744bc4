import { binary } from './operators.mjs';
import { compare, sumOfProducts } from './scalars.mjs';
import { TYPES, vector } from './types.mjs';

/**
 * @typedef {import('./types.mjs').Value} Value
 * @typedef {import('./types.mjs').Node} Node
 * @typedef {import('./unit.mjs').Unit} Unit
 * @typedef {import('./writer.mjs').Writer} Writer
 *
 * A function of single numbers: how many, of which bases, its text, and which of its arguments that says twice.
 * @typedef {{ takes: number, bases: string, text: (...args: string[]) => string, twice?: number[] }} Componentwise
 *
 * What a function of whole values may use.
 * @typedef {{ unit: Unit, writer: Writer, name: string, args: Value[], node: Node }} Call
 */

/** @param {string} name @returns {Componentwise} */
const math = (name) => ({ takes: 1, bases: 'f', text: (x) => `Math.${name}(${x})` });

/** The base comes after the arguments. @type {Record<string, Componentwise>} */
const COMPONENTWISE = {
  ...Object.fromEntries(
    ['floor', 'ceil', 'trunc', 'sqrt', 'exp', 'log', 'log2', 'sin', 'cos', 'tan', 'asin', 'acos'].map((name) => [
      name,
      math(name),
    ]),
  ),
  exp2: { takes: 1, bases: 'f', text: (x) => `Math.pow(2, ${x})` },
  inversesqrt: { takes: 1, bases: 'f', text: (x) => `(1 / Math.sqrt(${x}))` },
  radians: { takes: 1, bases: 'f', text: (x) => `(${x} * ${Math.PI / 180})` },
  pow: { takes: 2, bases: 'f', text: (x, y) => `Math.pow(${x}, ${y})` },
  abs: { takes: 1, bases: 'fi', text: (x, b) => (b === 'i' ? `(Math.abs(${x}) | 0)` : `Math.abs(${x})`) },
  sign: { takes: 1, bases: 'fi', text: (x) => `Math.sign(${x})` },
  fract: { takes: 1, bases: 'f', text: (x) => `(${x} - Math.floor(${x}))`, twice: [0] },
  mod: { takes: 2, bases: 'f', text: (x, y) => `(${x} - ${y} * Math.floor(${x} / ${y}))`, twice: [0, 1] },
  min: {
    takes: 2,
    bases: 'fiu',
    text: (x, y, b) => (b === 'u' ? `(${compare('<', b, x, y)} ? ${x} : ${y})` : `Math.min(${x}, ${y})`),
    twice: [0, 1],
  },
  max: {
    takes: 2,
    bases: 'fiu',
    text: (x, y, b) => (b === 'u' ? `(${compare('>', b, x, y)} ? ${x} : ${y})` : `Math.max(${x}, ${y})`),
    twice: [0, 1],
  },
  clamp: { takes: 3, bases: 'fi', text: (x, a, z) => `Math.min(Math.max(${x}, ${a}), ${z})` },
  mix: { takes: 3, bases: 'f', text: (a, b, t) => `(${a} * (1 - ${t}) + ${b} * ${t})`, twice: [2] },
  step: { takes: 2, bases: 'f', text: (e, x) => `(${x} < ${e} ? 0 : 1)` },
};

/** @type {Record<string, string>} */
const COMPARISONS = {
  lessThan: '<',
  lessThanEqual: '<=',
  greaterThan: '>',
  greaterThanEqual: '>=',
  equal: '===',
  notEqual: '!==',
};

/** The arguments of a call, each of so many floats; 0 for any number. @param {Call} call @param {...number} sizes */
function floats({ unit, name, args, node }, ...sizes) {
  counted({ unit, name, args, node }, sizes.length);
  sizes.forEach((n, i) => {
    const t = args[i]?.t;
    if (t?.b !== 'f' || t.m || (n && t.n !== n))
      unit.fail(
        `${name}: argument ${i + 1} must be ${n === 1 ? 'a float' : n ? `a vec${n}` : 'a float or float vector'}`,
        node,
      );
  });
}

/** @param {Pick<Call, 'unit' | 'name' | 'args' | 'node'>} call @param {number} n */
function counted({ unit, name, args, node }, n) {
  if (args.length !== n) unit.fail(`${name} takes ${n} argument(s), found ${args.length}`, node);
}

/** @param {Value} a @returns {string} */
const lengthOf = (a) => `Math.sqrt(${sumOfProducts(a.c, a.c)})`;

/** The entry of a table that a place in it stands for: of the first row, or of rows of 1024. @param {string[]} at @returns {string | null} */
function entryOf([x = '', y = '']) {
  if (y === '0') return x;
  const [, i = null] = /^\((\w+\$?\w*) & 1023\)$/.exec(x) ?? [];
  return y === `(${i} >> 10)` ? i : null;
}

/** @type {Record<string, (call: Call) => Value>} */
const WHOLE = {
  texelFetch(call) {
    counted(call, 3);
    const { unit, writer, args, node } = call;
    const [table, at, level] = args;
    const entry = at?.t === TYPES.ivec2 ? entryOf(at.c) : null;
    if (table?.t !== TYPES.sampler2D || entry === null || level?.c[0] !== '0')
      return unit.fail(
        'texelFetch: write it as texelFetch(table, ivec2(i, 0), 0), or ivec2(i & 1023, i >> 10) for one of many rows',
        node,
      );
    const i = writer.keep(`${entry} * 4`);
    return { t: vector('f', 4), c: [0, 1, 2, 3].map((k) => writer.keep(`${table.c[0]}[${i} + ${k}]`)) };
  },
  any: ({ args: [a] }) => ({ t: vector('b', 1), c: [`(${a?.c.join(' || ')})`] }),
  all: ({ args: [a] }) => ({ t: vector('b', 1), c: [`(${a?.c.join(' && ')})`] }),
  not: ({ args }) => onFirst(args, (a) => ({ t: a.t, c: a.c.map((x) => `!${x}`) })),
  dot(call) {
    floats(call, 0, call.args[0]?.t.n ?? 0);
    const [a, b] = call.args.map((x) => call.writer.once(x).c);
    return { t: vector('f', 1), c: [sumOfProducts(a ?? [], b ?? [])] };
  },
  length(call) {
    floats(call, 0);
    return onFirst(call.args, (a) => ({ t: vector('f', 1), c: [lengthOf(call.writer.once(a))] }));
  },
  distance(call) {
    counted(call, 2);
    const { unit, writer, args, node } = call;
    const [a, b] = args;
    if (!a || !b) return unit.fail('distance of nothing', node);
    return WHOLE.length?.({ ...call, name: 'length', args: [binary(unit, writer, '-', a, b, node)] }) ?? a;
  },
  normalize(call) {
    floats(call, 0);
    return onFirst(call.args, (given) => {
      const a = call.writer.once(given);
      const r = call.writer.keep(`(1 / ${lengthOf(a)})`);
      return { t: a.t, c: a.c.map((x) => `(${x} * ${r})`) };
    });
  },
  cross(call) {
    floats(call, 3, 3);
    const [a = [], b = []] = call.args.map((x) => call.writer.once(x).c);
    const k = (/** @type {number} */ i, /** @type {number} */ j) => `(${a[i]} * ${b[j]} - ${a[j]} * ${b[i]})`;
    return { t: vector('f', 3), c: [k(1, 2), k(2, 0), k(0, 1)] };
  },
  smoothstep(call) {
    counted(call, 3);
    const { unit, writer, args, node } = call;
    const [a, b, x] = args;
    if (!a || !b || !x) return unit.fail('smoothstep of nothing', node);
    const above = binary(unit, writer, '-', x, writer.once(a), node);
    const share = binary(unit, writer, '/', above, binary(unit, writer, '-', b, a, node), node);
    const { t, c } = writer.once({ t: share.t, c: share.c.map((s) => writer.keep(`Math.min(Math.max(${s}, 0), 1)`)) });
    return { t, c: c.map((s) => `(${s} * ${s} * (3 - 2 * ${s}))`) };
  },
  atan: ({ args }) =>
    onFirst(args, (y) => ({
      t: y.t,
      c: y.c.map((s, i) => (args[1] ? `Math.atan2(${s}, ${args[1].c[i]})` : `Math.atan(${s})`)),
    })),
  transpose: ({ writer, args }) =>
    onFirst(args, (given) => {
      const { t, c } = writer.once(given);
      const m = t.m ?? 1;
      return { t, c: c.map((_, i) => String(c[(i % m) * m + Math.floor(i / m)])) };
    }),
  outerProduct({ unit, writer, args, node }) {
    const [a, b] = args.map((x) => writer.once(x));
    const t = TYPES[`mat${a?.t.n}`];
    if (!a || !b || !t?.m) return unit.fail('outerProduct needs two vectors', node);
    const { m } = t;
    return { t, c: Array.from({ length: t.n }, (_, i) => `(${a.c[i % m]} * ${b.c[Math.floor(i / m)]})`) };
  },
};

/** @param {Value[]} args @param {(first: Value) => Value} work @returns {Value} */
function onFirst([first], work) {
  if (!first) throw new RangeError('a function of nothing');
  return work(first);
}

/**
 * A call of a function that GLSL has.
 * @param {Unit} unit @param {Writer} writer @param {string} name @param {Value[]} args @param {Node} node
 * @returns {Value | null} null when there is no such function
 */
export function builtin(unit, writer, name, args, node) {
  const call = { unit, writer, name, args, node };
  const plain = COMPONENTWISE[name];
  if (plain) return componentwise(call, plain);
  const comparison = COMPARISONS[name];
  if (comparison) {
    counted(call, 2);
    const [a, b] = args;
    if (!a || !b) return null;
    return { t: vector('b', a.t.n), c: a.c.map((x, i) => compare(comparison, a.t.b, x, String(b.c[i]))) };
  }
  return WHOLE[name]?.(call) ?? null;
}

/** @param {Call} call @param {Componentwise} plain @returns {Value} */
function componentwise(call, { takes, bases, text, twice = [] }) {
  counted(call, takes);
  const { unit, writer, name, args, node } = call;
  const b = args[0]?.t.b ?? 'v';
  const n = Math.max(...args.map((a) => a.t.n));
  if (!bases.includes(b) || args.some((a) => a.t.b !== b || a.t.m || (a.t.n !== n && a.t.n !== 1)))
    unit.fail(`${name}(${args.map((a) => a.t.name).join(', ')}) has no match`, node);
  const said = args.map((a, i) => (twice.includes(i) || a.t.n < n ? writer.once(a) : a));
  return {
    t: vector(b, n),
    c: Array.from({ length: n }, (_, i) => text(...said.map((a) => String(a.c[a.t.n === 1 ? 0 : i])), b)),
  };
}
