// Translates a subset of GLSL ES 3.00 into scalarised TypeScript: every vector becomes one variable per component,
// so the output neither allocates nor evaluates text at run time.
//
// Outside the subset, and refused with file:line:col: arrays, structs, uniforms, preprocessor directives,
// recursion, while loops, implicit conversions, samplers but for texelFetch from the first row of one. A uint is held as the int32 with the same bits.
// Arguments and results of calls that are not inlined travel through the typed arrays RF and RI, because V8 boxes
// doubles that cross a call (measured: 400 MB per million calls).
import { parser } from '@shaderfrog/glsl-parser/index.js';

const T = { void: { name: 'void', b: 'v', n: 0 } };
for (const [b, s, v] of [
  ['f', 'float', 'vec'],
  ['i', 'int', 'ivec'],
  ['u', 'uint', 'uvec'],
  ['b', 'bool', 'bvec'],
]) {
  T[s] = { name: s, b, n: 1 };
  for (const n of [2, 3, 4]) T[v + n] = { name: v + n, b, n };
}
// a table of four numbers a texel in a single row; a typed array on the CPU
T.sampler2D = { name: 'sampler2D', b: 't', n: 1 };
for (const m of [2, 3, 4]) T['mat' + m] = { name: 'mat' + m, b: 'f', n: m * m, m };
const vecT = (b, n) => Object.values(T).find((t) => t.b === b && t.n === n && !t.m);
const SW = { x: 0, y: 1, z: 2, w: 3, r: 0, g: 1, b: 2, a: 3, s: 0, t: 1, p: 2, q: 3 };
const RESERVED = new Set(
  'RF RI Math Infinity NaN undefined var let const function class new delete typeof in of this super with yield await async export import default null try catch throw finally enum interface package private protected public static implements arguments eval number string'.split(
    ' ',
  ),
);
const simple = (s) => /^-?[\w.$]+$/.test(s);
const isNum = (s) => /^\(?-?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?\)?$/i.test(s);

export class KernelError extends Error {
  constructor(msg, loc, src, file) {
    const { line, column } = loc?.start ?? { line: 0, column: 0 };
    const frame = line
      ? `\n  ${String(line).padStart(4)} | ${src.split('\n')[line - 1]}\n         ${' '.repeat(column - 1)}^`
      : '';
    super(`${file}:${line}:${column}: error: ${msg}${frame}`);
    this.name = 'KernelError';
    this.loc = { file, line, column };
  }
}

export function translate(
  src,
  {
    file = 'kernel.glsl',
    exports = [],
    called = [],
    loops = [],
    shared = () => null,
    f32 = false,
    types = true,
    unroll = 4,
  } = {},
) {
  let lastLoc = null;
  const fail = (msg, node) => {
    throw new KernelError(msg, locOf(node) ?? lastLoc, src, file);
  };
  const locOf = (n) =>
    n?.location ??
    (n && typeof n === 'object'
      ? Object.entries(n)
          .filter(([k]) => k !== 'scope')
          .map(([, v]) =>
            v && typeof v === 'object' ? (Array.isArray(v) ? v.map(locOf).find(Boolean) : locOf(v)) : null,
          )
          .find(Boolean)
      : null);
  let ast;
  try {
    ast = parser.parse(src, { quiet: true, includeLocation: true, stage: 'vertex' });
  } catch (e) {
    throw new KernelError(
      'syntax: ' + e.message.replace(/Expected .* but/, 'unexpected token,'),
      e.location,
      src,
      file,
    );
  }

  const fl = (s) => (f32 ? `Math.fround(${s})` : s);
  const lit = (s) => {
    const v = +s.replace(/f$/i, '');
    return String(f32 ? Math.fround(v) : v);
  };
  const fns = new Map(),
    globals = new Map(),
    emitted = new Map(),
    imported = new Map(),
    chunks = [];
  let maxF = 0,
    maxI = 0;

  // ---------- declarations ----------
  const typeOf = (ft) => {
    const sp = ft.specifier.type === 'type_specifier' ? ft.specifier : ft;
    if (sp.quantifier?.length || sp.quantifier?.type) fail('arrays are outside the subset', ft);
    const n = sp.specifier.token ?? sp.specifier.identifier;
    if (!T[n]) fail(`type '${n ?? sp.specifier.type}' is outside the subset`, ft);
    return T[n];
  };
  const quals = (q) => (q ?? []).map((k) => k.token);
  function walk(n, f) {
    if (!n || typeof n !== 'object') return;
    if (Array.isArray(n)) {
      n.forEach((x) => walk(x, f));
      return;
    }
    if (n.type) f(n);
    for (const k in n) if (k !== 'scope' && k !== 'location') walk(n[k], f);
  }
  function rootName(n) {
    while (n.type === 'postfix' || n.type === 'group') n = n.expression;
    return n.type === 'identifier' ? n.identifier : null;
  }

  // ---------- per JS function state ----------
  function newFn() {
    return { names: new Set(RESERVED), out: [], scope: [new Map()], k: 0, ret: null, stack: [] };
  }
  const uniq = (c, n) => {
    let s = n,
      i = 1;
    while (c.names.has(s)) s = n + '$' + i++;
    c.names.add(s);
    return s;
  };
  const sub = (t, i) => (t.m ? '_' + Math.floor(i / t.m) + (i % t.m) : t.n === 1 ? '' : '_' + 'xyzw'[i]);
  const declare = (c, name, t, init) => {
    const js = Array.from({ length: t.n }, (_, i) => uniq(c, name + sub(t, i)));
    js.forEach((j, i) => c.out.push(`let ${j} = ${init ? init[i] : t.b === 'b' ? 'false' : '0'};`));
    return { t, c: js };
  };
  const tmp = (c, s) => {
    if (simple(s) && (isNum(s) || c.ssa?.has(s))) return s;
    const n = uniq(c, 't' + c.k++);
    (c.ssa ??= new Set()).add(n);
    c.out.push(`const ${n} = ${s};`);
    return n;
  };
  const once = (c, e) => ({ t: e.t, c: e.c.map((s) => (simple(s) ? s : tmp(c, s))) }); // safe to mention more than once
  const find = (c, n, node) => {
    for (let i = c.scope.length - 1; i >= 0; i--) if (c.scope[i].has(n)) return c.scope[i].get(n);
    if (globals.has(n)) return globals.get(n);
    fail(`'${n}' is not declared`, node);
  };
  const inScope = (c, f) => {
    c.scope.push(new Map());
    f();
    c.scope.pop();
  };
  const capture = (c, f) => {
    const o = c.out;
    c.out = [];
    const r = f();
    const lines = c.out;
    c.out = o;
    return [lines, r];
  };

  // ---------- scalar operators ----------
  const isInt = (b) => b === 'i' || b === 'u';
  function bin(op, b, x, y) {
    // uint is held as int32 bit pattern; only / % >> < float() look at the sign
    if (b === 'f') return fl(`(${x} ${op} ${y})`);
    const U = (s) => (b === 'u' ? `(${s} >>> 0)` : s);
    switch (op) {
      case '+':
      case '-':
        return `((${x} ${op} ${y}) | 0)`;
      case '*':
        return `Math.imul(${x}, ${y})`;
      case '/':
      case '%':
        return `((${U(x)} ${op} ${U(y)}) | 0)`;
      case '>>':
        return b === 'u' ? `((${x} >>> ${y}) | 0)` : `(${x} >> ${y})`;
      case '<<':
      case '&':
      case '|':
      case '^':
        return `(${x} ${op} ${y})`;
    }
  }
  const cmp = (op, b, x, y) =>
    b === 'u' && op !== '===' && op !== '!==' ? `((${x} >>> 0) ${op} (${y} >>> 0))` : `(${x} ${op} ${y})`;
  function conv(s, from, to) {
    if (from === to) return s;
    if (to === 'b') return `(${s} !== 0)`;
    if (from === 'b') return `(${s} ? 1 : 0)`;
    if (to === 'f') return fl(from === 'u' ? `(${s} >>> 0)` : s);
    return from === 'f' ? `(${s} | 0)` : s; // float->int truncates, float->uint wraps
  }
  const coerce = (e, t, node) => {
    if (e.t !== t) fail(`expected ${t.name}, found ${e.t.name}`, node);
    return e;
  };

  // ---------- built-ins ----------
  const M = (f) => (x) => fl(`Math.${f}(${x})`);
  const B = {
    // name: [arity, bases, scalar template, indexes of arguments mentioned twice]
    floor: [1, 'f', M('floor')],
    ceil: [1, 'f', M('ceil')],
    trunc: [1, 'f', M('trunc')],
    sqrt: [1, 'f', M('sqrt')],
    exp: [1, 'f', M('exp')],
    log: [1, 'f', M('log')],
    log2: [1, 'f', M('log2')],
    sin: [1, 'f', M('sin')],
    cos: [1, 'f', M('cos')],
    tan: [1, 'f', M('tan')],
    asin: [1, 'f', M('asin')],
    acos: [1, 'f', M('acos')],
    exp2: [1, 'f', (x) => fl(`Math.pow(2, ${x})`)],
    inversesqrt: [1, 'f', (x) => fl(`(1 / Math.sqrt(${x}))`)],
    radians: [1, 'f', (x) => fl(`(${x} * ${Math.PI / 180})`)],
    pow: [2, 'f', (x, y) => fl(`Math.pow(${x}, ${y})`)],
    abs: [1, 'fi', (x, b) => (b === 'i' ? `(Math.abs(${x}) | 0)` : `Math.abs(${x})`)],
    sign: [1, 'fi', (x) => `Math.sign(${x})`],
    fract: [1, 'f', (x) => fl(`(${x} - Math.floor(${x}))`), [0]],
    mod: [2, 'f', (x, y) => fl(`(${x} - ${fl(`${y} * Math.floor(${fl(`${x} / ${y}`)})`)})`), [0, 1]],
    min: [2, 'fiu', (x, y, b) => (b === 'u' ? `(${cmp('<', b, x, y)} ? ${x} : ${y})` : `Math.min(${x}, ${y})`), [0, 1]],
    max: [2, 'fiu', (x, y, b) => (b === 'u' ? `(${cmp('>', b, x, y)} ? ${x} : ${y})` : `Math.max(${x}, ${y})`), [0, 1]],
    clamp: [3, 'fi', (x, a, z) => `Math.min(Math.max(${x}, ${a}), ${z})`],
    mix: [3, 'f', (a, b, t) => fl(`(${fl(`${a} * ${fl(`(1 - ${t})`)}`)} + ${fl(`${b} * ${t}`)})`), [2]],
    step: [2, 'f', (e, x) => `(${x} < ${e} ? 0 : 1)`],
  };
  const CMPF = {
    lessThan: '<',
    lessThanEqual: '<=',
    greaterThan: '>',
    greaterThanEqual: '>=',
    equal: '===',
    notEqual: '!==',
  };
  const sumProd = (a, b) => a.map((x, i) => fl(`(${x} * ${b[i]})`)).reduce((s, x) => fl(`(${s} + ${x})`));
  function builtin(c, name, args, node) {
    const F = (i, n) => {
      if (args[i]?.t.b !== 'f' || args[i].t.m || (n && args[i].t.n !== n))
        fail(
          `${name}: argument ${i + 1} must be ${n === 1 ? 'a float' : n ? 'a vec' + n : 'a float or float vector'}`,
          node,
        );
    };
    const need = (n) => {
      if (args.length !== n) fail(`${name} takes ${n} argument(s), found ${args.length}`, node);
    };
    if (B[name]) {
      const [n, bases, tpl, twice] = B[name];
      need(n);
      const b = args[0].t.b,
        w = Math.max(...args.map((a) => a.t.n));
      if (!bases.includes(b) || args.some((a) => a.t.b !== b || a.t.m || (a.t.n !== w && a.t.n !== 1)))
        fail(`${name}(${args.map((a) => a.t.name).join(', ')}) has no match`, node);
      args = args.map((a, i) => (twice?.includes(i) || a.t.n < w ? once(c, a) : a));
      return {
        t: vecT(b, w),
        c: Array.from({ length: w }, (_, i) => tpl(...args.map((a) => a.c[a.t.n === 1 ? 0 : i]), b)),
      };
    }
    if (CMPF[name]) {
      need(2);
      return { t: vecT('b', args[0].t.n), c: args[0].c.map((x, i) => cmp(CMPF[name], args[0].t.b, x, args[1].c[i])) };
    }
    switch (name) {
      case 'texelFetch': {
        need(3);
        const [table, at, level] = args;
        if (table.t !== T.sampler2D || at.t !== T.ivec2 || at.c[1] !== '0' || level.c[0] !== '0')
          fail('texelFetch: write it as texelFetch(table, ivec2(i, 0), 0)', node);
        const i = tmp(c, `${at.c[0]} * 4`);
        return { t: T.vec4, c: [0, 1, 2, 3].map((k) => tmp(c, `${table.c[0]}[${i} + ${k}]`)) };
      }
      case 'any':
        return { t: T.bool, c: [`(${args[0].c.join(' || ')})`] };
      case 'all':
        return { t: T.bool, c: [`(${args[0].c.join(' && ')})`] };
      case 'not':
        return { t: args[0].t, c: args[0].c.map((x) => `!${x}`) };
      case 'dot': {
        need(2);
        F(0);
        F(1, args[0].t.n);
        const [a, b] = args.map((x) => once(c, x));
        return { t: T.float, c: [sumProd(a.c, b.c)] };
      }
      case 'length': {
        need(1);
        F(0);
        const a = once(c, args[0]);
        return { t: T.float, c: [fl(`Math.sqrt(${sumProd(a.c, a.c)})`)] };
      }
      case 'distance': {
        need(2);
        return builtin(c, 'length', [binary(c, '-', args[0], args[1], node)], node);
      }
      case 'normalize': {
        need(1);
        F(0);
        const a = once(c, args[0]),
          r = tmp(c, fl(`(1 / Math.sqrt(${sumProd(a.c, a.c)}))`));
        return { t: a.t, c: a.c.map((x) => fl(`(${x} * ${r})`)) };
      }
      case 'cross': {
        need(2);
        F(0, 3);
        F(1, 3);
        const [a, b] = args.map((x) => once(c, x).c),
          k = (i, j) => fl(`(${fl(`${a[i]} * ${b[j]}`)} - ${fl(`${a[j]} * ${b[i]}`)})`);
        return { t: T.vec3, c: [k(1, 2), k(2, 0), k(0, 1)] };
      }
      case 'smoothstep': {
        need(3);
        const [a, b, x] = args,
          d = binary(c, '/', binary(c, '-', x, once(c, a), node), binary(c, '-', b, a, node), node);
        const t = once(c, { t: d.t, c: d.c.map((s) => tmp(c, `Math.min(Math.max(${s}, 0), 1)`)) });
        return { t: t.t, c: t.c.map((s) => fl(`(${s} * ${s} * (3 - 2 * ${s}))`)) };
      }
      case 'atan':
        return {
          t: args[0].t,
          c: args[0].c.map((y, i) => fl(args[1] ? `Math.atan2(${y}, ${args[1].c[i]})` : `Math.atan(${y})`)),
        };
      case 'transpose': {
        const { m } = args[0].t,
          a = once(c, args[0]).c;
        return { t: args[0].t, c: a.map((_, i) => a[(i % m) * m + Math.floor(i / m)]) };
      }
      case 'outerProduct': {
        const [a, b] = args.map((x) => once(c, x));
        const t = T['mat' + a.t.n];
        return { t, c: Array.from({ length: t.n }, (_, i) => fl(`(${a.c[i % t.m]} * ${b.c[Math.floor(i / t.m)]})`)) };
      }
    }
    return null;
  }

  // ---------- expressions: each returns { t, c: one JS string per component } ----------
  function binary(c, op, a, b, node) {
    if (op === '*' && (a.t.m || b.t.m) && a.t.n > 1 && b.t.n > 1) {
      a = once(c, a);
      b = once(c, b);
      const m = a.t.m ?? b.t.m,
        bad = () => fail(`${a.t.name} * ${b.t.name} is not defined`, node);
      const row = (A, r) => Array.from({ length: m }, (_, k) => A[k * m + r]);
      if (a.t.m && b.t.m) {
        if (a.t !== b.t) bad();
        return {
          t: a.t,
          c: a.c.map((_, i) => sumProd(row(a.c, i % m), b.c.slice(Math.floor(i / m) * m, Math.floor(i / m) * m + m))),
        };
      }
      if ((a.t.m ? b : a).t.n !== m || (a.t.m ? b : a).t.b !== 'f') bad();
      return {
        t: vecT('f', m),
        c: Array.from({ length: m }, (_, r) =>
          a.t.m ? sumProd(row(a.c, r), b.c) : sumProd(a.c, b.c.slice(r * m, r * m + m)),
        ),
      };
    }
    const shift = op === '<<' || op === '>>',
      bits = '&|^%'.includes(op) || shift;
    if (a.t.b === 'b' || b.t.b === 'b' || (bits && !isInt(a.t.b)) || (!shift && a.t.b !== b.t.b))
      fail(`${a.t.name} ${op} ${b.t.name} is not defined (no implicit conversions)`, node);
    if (a.t.n !== b.t.n && a.t.n !== 1 && b.t.n !== 1) fail(`${a.t.name} ${op} ${b.t.name}: sizes differ`, node);
    const w = Math.max(a.t.n, b.t.n);
    if (a.t.n < w) a = once(c, a);
    if (b.t.n < w) b = once(c, b);
    const t = a.t.n === w ? a.t : b.t;
    return {
      t,
      c: Array.from({ length: w }, (_, i) => bin(op, a.t.b, a.c[a.t.n === 1 ? 0 : i], b.c[b.t.n === 1 ? 0 : i])),
    };
  }
  function constInt(c, n) {
    const e = expr(c, n);
    if (!isInt(e.t.b) || !/^\d+$/.test(e.c[0]))
      fail('index must be a constant integer (or the counter of an unrolled loop)', n);
    return +e.c[0];
  }
  function select(c, e, pf, node) {
    // read swizzle / index; parser nests postfixes to the right
    if (pf.type === 'postfix') return select(c, select(c, e, pf.expression, node), pf.postfix, node);
    if (pf.type === 'field_selection') {
      const ix = swz(e.t, pf.selection.identifier, node);
      return { t: vecT(e.t.b, ix.length), c: ix.map((i) => e.c[i]), ix };
    }
    if (pf.type === 'quantifier') {
      const i = constInt(c, pf.expression),
        m = e.t.m;
      if (e.t.n === 1 || i >= (m ?? e.t.n)) fail(`index ${i} is out of range for ${e.t.name}`, node);
      return m ? { t: vecT('f', m), c: e.c.slice(i * m, i * m + m) } : { t: vecT(e.t.b, 1), c: [e.c[i]] };
    }
    fail('++ and -- are statements in this subset', node);
  }
  function swz(t, s, node) {
    const ix = [...s].map((ch) => SW[ch]);
    if (t.m || t.n === 1 || ix.some((i) => i === undefined || i >= t.n))
      fail(`'.${s}' is not a swizzle of ${t.name}`, node);
    return ix;
  }
  function expr(c, n) {
    lastLoc = locOf(n) ?? lastLoc;
    switch (n.type) {
      case 'group':
        return expr(c, n.expression);
      case 'float_constant':
        return { t: T.float, c: [lit(n.token)] };
      case 'int_constant': {
        const u = /u$/i.test(n.token),
          v = Number(n.token.replace(/u$/i, ''));
        if (!Number.isFinite(v) || v > 4294967295) fail(`bad integer '${n.token}'`, n);
        return { t: u ? T.uint : T.int, c: [v > 2147483647 ? `(${v | 0})` : String(v)] };
      }
      case 'bool_constant':
        return { t: T.bool, c: [n.token] };
      case 'identifier': {
        const v = find(c, n.identifier, n);
        return { t: v.t, c: [...v.c] };
      }
      case 'postfix':
        return select(
          c,
          n.postfix.type === 'literal' ? fail('++ and -- are statements in this subset', n) : expr(c, n.expression),
          n.postfix,
          n,
        );
      case 'unary': {
        const e = expr(c, n.expression),
          op = n.operator.literal;
        if (op === '-')
          return e.t.b === 'b'
            ? fail('- on bool', n)
            : { t: e.t, c: e.c.map((s) => (e.t.b === 'f' ? `(-${s})` : `((-${s}) | 0)`)) };
        if (op === '+') return e;
        if (op === '!') return coerce({ t: e.t, c: e.c.map((s) => `!${s}`) }, T.bool, n);
        if (op === '~') return isInt(e.t.b) ? { t: e.t, c: e.c.map((s) => `(~${s})`) } : fail('~ needs an integer', n);
        return fail('++ and -- are statements in this subset', n);
      }
      case 'binary': {
        const op = n.operator.literal;
        if (op === '&&' || op === '||') {
          const a = coerce(expr(c, n.left), T.bool, n.left),
            [pre, b] = capture(c, () => coerce(expr(c, n.right), T.bool, n.right));
          if (!pre.length) return { t: T.bool, c: [`(${a.c[0]} ${op} ${b.c[0]})`] };
          const r = uniq(c, 't' + c.k++);
          c.out.push(`let ${r} = ${a.c[0]};`, `if (${op === '&&' ? '' : '!'}${r}) {`, ...pre, `${r} = ${b.c[0]}; }`);
          return { t: T.bool, c: [r] };
        }
        const a = expr(c, n.left),
          b = expr(c, n.right);
        if (op === '==' || op === '!=') {
          coerce(b, a.t, n);
          const e = a.c.map((x, i) => `${x} ${op}= ${b.c[i]}`);
          return { t: T.bool, c: [`(${e.join(op === '==' ? ' && ' : ' || ')})`] };
        }
        if (/^[<>]=?$/.test(op)) {
          if (a.t.n !== 1 || a.t.b === 'b') fail(`${a.t.name} ${op} ${b.t.name} is not defined`, n);
          coerce(b, a.t, n);
          return { t: T.bool, c: [cmp(op, a.t.b, a.c[0], b.c[0])] };
        }
        if (op === ',') fail('the comma operator is outside the subset', n);
        return binary(c, op, a, b, n);
      }
      case 'ternary': {
        const q = coerce(expr(c, n.expression), T.bool, n.expression),
          [pa, a] = capture(c, () => expr(c, n.left)),
          [pb, b] = capture(c, () => expr(c, n.right));
        coerce(b, a.t, n);
        if (!pa.length && !pb.length && a.t.n === 1) return { t: a.t, c: [`(${q.c[0]} ? ${a.c[0]} : ${b.c[0]})`] };
        const r = a.c.map(() => uniq(c, 't' + c.k++));
        c.out.push(`let ${r.map((x) => `${x} = ${a.t.b === 'b' ? 'false' : 0}`).join(', ')};`);
        c.out.push(
          `if (${q.c[0]}) {`,
          ...pa,
          ...r.map((x, i) => `${x} = ${a.c[i]};`),
          '} else {',
          ...pb,
          ...r.map((x, i) => `${x} = ${b.c[i]};`),
          '}',
        );
        return { t: a.t, c: r };
      }
      case 'function_call':
        return call(c, n, false);
      case 'assignment':
        fail('assignment is a statement in this subset', n);
    }
    fail(`expression '${n.type}' is outside the subset`, n);
  }
  function construct(c, t, args, node) {
    if (t.n === 1) {
      if (args.length !== 1) fail(`${t.name}() takes one argument`, node);
      return { t, c: [conv(args[0].c[0], args[0].t.b, t.b)] };
    }
    if (args.length === 1 && args[0].t.n === 1) {
      const s = once(c, { t: args[0].t, c: [conv(args[0].c[0], args[0].t.b, t.b)] }).c[0];
      return { t, c: Array.from({ length: t.n }, (_, i) => (t.m && Math.floor(i / t.m) !== i % t.m ? '0' : s)) };
    }
    if (args.some((a) => a.t.m)) fail('constructors from matrices are outside the subset', node);
    const all = args.flatMap((a) => a.c.map((s) => conv(s, a.t.b, t.b)));
    if (all.length < t.n || (args.length > 1 && all.length - args.at(-1).t.n >= t.n) || (t.m && all.length !== t.n))
      fail(`${t.name}() has ${all.length} components, needs ${t.n}`, node);
    return { t, c: all.slice(0, t.n) };
  }
  function call(c, n, asStatement) {
    const argN = n.args.filter(
      (a) => !(a.type === 'literal' && a.literal === ',') && !(a.type === 'keyword' && a.token === 'void'),
    );
    const id = n.identifier,
      name = id.type === 'type_specifier' ? (id.specifier.token ?? id.specifier.identifier) : id.identifier;
    if (T[name])
      return construct(
        c,
        T[name],
        argN.map((a) => expr(c, a)),
        n,
      );
    const list = fns.get(name);
    if (!list) {
      const r = builtin(
        c,
        name,
        argN.map((a) => expr(c, a)),
        n,
      );
      return r ?? fail(`function '${name}' is unknown (not a kernel function nor a supported built-in)`, n);
    }
    const args = argN.map((a) => expr(c, a)),
      f = list.find((f) => f.params.length === args.length && f.params.every((p, i) => p.t === args[i].t));
    if (!f)
      fail(
        `${name}(${args.map((a) => a.t.name).join(', ')}): no match; have ${list.map((f) => `${name}(${f.params.map((p) => p.t.name).join(', ')})`).join(' | ')}`,
        n,
      );
    if (f.hasOut && !asStatement)
      fail(`'${name}' has out parameters: call it as a statement or as the whole right side`, n);
    if (c.stack.includes(f)) fail(`recursion through '${name}'`, n);
    const targets = f.params.map((p, i) => (p.q === 'in' ? null : lvalue(c, argN[i])));
    let res, outs;
    const home = shared(name);
    if (home === null) [res, outs] = inlineCall(c, f, args);
    else {
      if (home === '') emit(f, true);
      else imported.set(`${f.js}$`, home);
      passArguments(
        c,
        f,
        args.map((a) => a.c),
      );
      c.out.push(`${f.js}$(${tablesOf(f, (i) => args[i].c)});`);
      let kf = 0,
        ki = 0;
      const rd = (t) =>
        Array.from({ length: t.n }, () =>
          tmp(c, t.b === 'f' ? `RF[${kf++}]` : t.b === 'b' ? `(RI[${ki++}] !== 0)` : `RI[${ki++}]`),
        );
      res = rd(f.ret);
      outs = f.params.map((p) => (p.q === 'in' ? null : rd(p.t)));
    }
    targets.forEach((l, i) => l && l.forEach((x, k) => c.out.push(`${x} = ${outs[i][k]};`)));
    return { t: f.ret, c: res };
  }
  /** Tables among what a function is given: those are passed as they are. */
  const tablesOf = (f, given) => f.params.flatMap((p, i) => (p.t.b === 't' ? given(i) : [])).join(', ');
  /** Numbers in registers are boxed at a JS call, so they are passed through typed arrays. */
  function passArguments(c, f, args) {
    let af = 0,
      ai = 0;
    f.params.forEach(
      (p, i) =>
        p.q !== 'out' &&
        p.t.b !== 't' &&
        args[i].forEach((s) =>
          c.out.push(p.t.b === 'f' ? `RF[${af++}] = ${s};` : `RI[${ai++}] = ${p.t.b === 'b' ? `${s} ? 1 : 0` : s};`),
        ),
    );
    maxF = Math.max(maxF, af);
    maxI = Math.max(maxI, ai);
  }
  function inlineCall(c, f, args) {
    const saved = { scope: c.scope, ret: c.ret },
      top = new Map(),
      copy = f.hasOut || args.some((a) => a.c.some((s) => !simple(s)));
    f.params.forEach((p, i) => {
      if (p.q === 'out') top.set(p.name, declare(c, p.name, p.t));
      else if (p.q === 'inout' || f.writes.has(p.name) || (f.argRoots?.has(p.name) && hasOutUse(f, p.name)))
        top.set(p.name, declare(c, p.name, p.t, args[i].c));
      else top.set(p.name, { t: p.t, c: args[i].c.map((s) => (copy ? tmp(c, s) : s)) });
    });
    const pv = f.params.map((p) => top.get(p.name));
    let res = [],
      label = null;
    if (!f.tail) {
      label = uniq(c, 'L' + c.k++);
      res = f.ret.n ? declare(c, f.name + '_r', f.ret).c : [];
      c.out.push(`${label}: {`);
    }
    c.scope = [top, new Map()];
    c.stack.push(f);
    c.ret = (e) => {
      if (f.tail) {
        if (e) res = e.c.map((s) => (simple(s) && (isNum(s) || c.ssa?.has(s)) ? s : tmp(c, s)));
      } else {
        e?.c.forEach((s, i) => c.out.push(`${res[i]} = ${s};`));
        c.out.push(`break ${label};`);
      }
    };
    c.fn = f;
    block(c, f.body);
    c.stack.pop();
    if (label) c.out.push('}');
    c.scope = saved.scope;
    c.ret = saved.ret;
    c.fn = c.stack.at(-1);
    return [res, pv.map((v, i) => (f.params[i].q === 'in' ? null : v.c))];
  }
  const hasOutUse = (f, name) => {
    let r = false;
    walk(f.node.body, (n) => {
      if (n.type === 'function_call' && fns.has(n.identifier.identifier))
        n.args
          .filter((a) => a.literal !== ',')
          .forEach((a, i) => {
            if (
              rootName(a) === name &&
              fns.get(n.identifier.identifier).some((g) => g.params[i] && g.params[i].q !== 'in')
            )
              r = true;
          });
    });
    return r;
  };

  // ---------- statements ----------
  function lvalue(c, n) {
    const e0 = n.type === 'postfix' ? null : n,
      root = rootName(n);
    if (!root) fail('not assignable', n);
    const v = find(c, root, n);
    if (v.const) fail(`'${root}' is const`, n);
    const e = e0 ? { t: v.t, c: v.c } : select(c, expr(c, n.expression), n.postfix, n);
    if (new Set(e.c).size !== e.c.length) fail('a swizzle that is written cannot repeat a component', n);
    return e.c;
  }
  const rhs = (c, n) =>
    n.type === 'function_call' ? call(c, n, true) : n.type === 'group' ? rhs(c, n.expression) : expr(c, n);
  function store(c, l, vals) {
    const clash = vals.some((s, i) =>
      l.some((t, j) => j < i && new RegExp('(^|[^\\w$])' + t.replace(/\$/g, '\\$') + '($|[^\\w$])').test(s)),
    );
    if (clash)
      vals = vals.map((s) => {
        const k = uniq(c, 't' + c.k++);
        c.out.push(`const ${k} = ${s};`);
        return k;
      });
    l.forEach((t, i) => {
      if (t !== vals[i]) c.out.push(`${t} = ${vals[i]};`);
    });
  }
  function assign(c, n) {
    const op = n.operator.literal,
      r = rhs(c, n.right),
      cur = expr(c, n.left),
      l = lvalue(c, n.left);
    store(c, l, (op === '=' ? coerce(r, cur.t, n) : coerce(binary(c, op.slice(0, -1), cur, r, n), cur.t, n)).c);
  }
  function incdec(c, target, op) {
    const e = expr(c, target);
    store(
      c,
      lvalue(c, target),
      e.c.map((s) => bin(op[0], e.t.b, s, '1')),
    );
  }
  function decls(c, l) {
    const t = typeOf(l.specified_type),
      isC = quals(l.specified_type.qualifiers).includes('const');
    for (const v of l.declarations) {
      if (v.quantifier) fail('arrays are outside the subset', v);
      const e = v.initializer ? coerce(rhs(c, v.initializer), t, v) : null;
      const lits = isC && e.c.every(isNum);
      c.scope.at(-1).set(v.identifier.identifier, {
        ...(lits ? { t, c: e.c } : declare(c, v.identifier.identifier, t, e?.c)),
        const: isC,
      });
    }
  }
  function block(c, list) {
    for (const s of list) stmt(c, s);
  }
  const body = (c, s) => {
    const [lines] = capture(c, () =>
      inScope(c, () => (s.type === 'compound_statement' ? block(c, s.statements) : stmt(c, s))),
    );
    return lines;
  };
  function stmt(c, s) {
    lastLoc = locOf(s) ?? lastLoc;
    switch (s.type) {
      case 'compound_statement':
        return inScope(c, () => block(c, s.statements));
      case 'declaration_statement':
        if (s.declaration.type !== 'declarator_list') fail('declaration is outside the subset', s);
        return decls(c, s.declaration);
      case 'expression_statement': {
        const e = s.expression;
        if (!e) return;
        if (e.type === 'assignment') return assign(c, e);
        if (e.type === 'function_call') {
          call(c, e, true);
          return;
        }
        if (e.type === 'postfix' && e.postfix.type === 'literal') return incdec(c, e.expression, e.postfix.literal);
        if (e.type === 'unary' && /\+\+|--/.test(e.operator.literal))
          return incdec(c, e.expression, e.operator.literal);
        return fail('statement has no effect', s);
      }
      case 'if_statement': {
        const q = coerce(expr(c, s.condition), T.bool, s.condition),
          a = body(c, s.body);
        const els = Array.isArray(s.else) ? s.else.find((x) => x.type !== 'keyword') : s.else;
        c.out.push(`if (${q.c[0]}) {`, ...a, '}');
        if (els) c.out.push('else {', ...body(c, els), '}');
        return;
      }
      case 'for_statement':
        return inScope(c, () => forLoop(c, s));
      case 'return_statement': {
        const e = s.expression ? rhs(c, s.expression) : null;
        const want = c.fn.ret;
        if ((e?.t ?? T.void) !== want) fail(`return: expected ${want.name}, found ${e?.t.name ?? 'nothing'}`, s);
        c.ret(e);
        return;
      }
      case 'break_statement':
        c.out.push('break;');
        return;
      case 'continue_statement':
        c.out.push('continue;');
        return;
    }
    fail(`statement '${s.type}' is outside the subset`, s);
  }
  function forLoop(c, s) {
    const d = s.init?.declarations,
      cond = s.condition,
      nm = d?.[0]?.identifier.identifier;
    const bad = () => fail('for: write it as for (int i = A; i < B; i++) with constant A and B', s);
    if (!d || d.length !== 1 || cond?.type !== 'binary' || rootName(cond.left) !== nm) bad();
    const t = typeOf(s.init.specified_type);
    if (!isInt(t.b)) bad();
    const a = constInt(c, d[0].initializer),
      b = constInt(c, cond.right),
      cmpOp = cond.operator.literal,
      o = s.operation;
    const step =
      o.type === 'postfix'
        ? o.postfix.literal === '++'
          ? 1
          : -1
        : o.type === 'unary'
          ? o.operator.literal === '++'
            ? 1
            : -1
          : o.type === 'assignment' && o.operator.literal === '+='
            ? constInt(c, o.right)
            : bad();
    const ok = (i) =>
      cmpOp === '<' ? i < b : cmpOp === '<=' ? i <= b : cmpOp === '>' ? i > b : cmpOp === '>=' ? i >= b : bad();
    let trips = 0,
      jumps = false;
    for (let i = a; ok(i) && trips < 1e6; i += step) trips++;
    walk(s.body, (n) => {
      if (n.type === 'break_statement' || n.type === 'continue_statement') jumps = true;
    });
    if (trips <= unroll && !jumps) {
      for (let i = a; ok(i); i += step)
        inScope(c, () => {
          c.scope.at(-1).set(nm, { t, c: [String(i)], const: true });
          stmt(c, s.body);
        });
      return;
    }
    const v = uniq(c, nm);
    c.scope.at(-1).set(nm, { t, c: [v], const: true });
    c.out.push(`for (let ${v} = ${a}; ${v} ${cmpOp} ${b}; ${v} += ${step}) {`, ...body(c, s.body), '}');
  }

  // ---------- emission ----------
  const N = types ? ': number' : '',
    ty = (t) => (!types ? '' : t.b === 'b' ? ': boolean' : t.b === 't' ? ': Float64Array' : ': number');
  function emit(f, viaScratch = false) {
    const key = f.js + (viaScratch ? '$' : '');
    if (emitted.has(key)) return;
    emitted.set(key, true);
    const c = newFn();
    c.fn = f;
    c.stack.push(f);
    const top = new Map(),
      sig = [];
    f.params.forEach((p) => {
      if (p.q === 'out') {
        top.set(p.name, declare(c, p.name, p.t));
        return;
      }
      const js = Array.from({ length: p.t.n }, (_, i) => uniq(c, p.name + sub(p.t, i)));
      js.forEach((j) => sig.push(j + ty(p.t)));
      top.set(p.name, { t: p.t, c: js });
    });
    c.scope = [top, new Map()];
    if (viaScratch) {
      let af = 0,
        ai = 0;
      f.params.forEach(
        (p) =>
          p.q !== 'out' &&
          p.t.b !== 't' &&
          top
            .get(p.name)
            .c.forEach((j) =>
              c.out.push(
                `let ${j} = ${p.t.b === 'f' ? `RF[${af++}]` : p.t.b === 'b' ? `RI[${ai++}] !== 0` : `RI[${ai++}]`};`,
              ),
            ),
      );
      sig.splice(0, Infinity, ...f.params.flatMap((p) => (p.t.b === 't' ? [top.get(p.name).c[0] + ty(p.t)] : [])));
    }
    if (!viaScratch && shared(f.name) === '') {
      // the form that is called by all, with its arguments put where it reads them
      emit(f, true);
      passArguments(
        c,
        f,
        f.params.map((p) => (p.q === 'out' ? [] : top.get(p.name).c)),
      );
      c.out.push(`${f.js}$(${tablesOf(f, (i) => top.get(f.params[i].name).c)});`);
      const gives = f.ret.n === 1 && !f.hasOut;
      if (gives) c.out.push(`return ${f.ret.b === 'f' ? 'RF[0]' : f.ret.b === 'u' ? 'RI[0] >>> 0' : 'RI[0]'};`);
      const result = !types ? '' : gives ? ty(f.ret) : ': void';
      chunks.push(`export function ${key}(${sig.join(', ')})${result} {\n${indent(c.out)}\n}`);
      return;
    }
    const scalar = !viaScratch && f.ret.n === 1 && !f.hasOut,
      flush = (e) => {
        if (scalar) {
          c.out.push(`return ${e.c[0]}${f.ret.b === 'u' ? ' >>> 0' : ''};`);
          return;
        }
        let kf = 0,
          ki = 0;
        const wr = (t, cs) =>
          cs.forEach((s) =>
            c.out.push(t.b === 'f' ? `RF[${kf++}] = ${s};` : `RI[${ki++}] = ${t.b === 'b' ? `${s} ? 1 : 0` : s};`),
          );
        if (e) wr(e.t, e.c);
        f.params.forEach((p) => p.q !== 'in' && wr(p.t, top.get(p.name).c));
        maxF = Math.max(maxF, kf);
        maxI = Math.max(maxI, ki);
      };
    c.ret = (e) => {
      flush(e);
      if (!scalar) c.out.push('return;');
    };
    if (!viaScratch)
      f.params.forEach(
        (p) =>
          p.q !== 'out' &&
          top.get(p.name).c.forEach((j) => {
            const e = enter(p.t, j);
            if (e !== j) c.out.push(`${j} = ${e};`);
          }),
      );
    block(c, f.body);
    if (f.ret === T.void) flush(null);
    chunks.push(
      `export function ${key}(${sig.join(', ')})${types ? (scalar ? ty(f.ret) : ': void') : ''} {\n${indent(c.out)}\n}`,
    );
  }
  const enter = (t, j) => (isInt(t.b) ? `${j} | 0` : t.b === 'f' ? fl(j) : j);
  const ARR = { f: 'Float64Array', i: 'Int32Array', u: 'Uint32Array', b: 'Uint8Array' };
  function emitLoop({ name, fn, varying = [] }) {
    // one loop over typed arrays, entry inlined
    const f = fns.get(fn)?.[0];
    if (!f) throw new Error(`no function ${fn}`);
    const index = varying.find((v) => v === 'id');
    const pre = [],
      arrays = new Map(),
      c = newFn(),
      A = (t) => (types ? ': ' + ARR[t.b] : ''),
      sig = ['first' + N, 'end' + N];
    c.names.add('first');
    c.names.add('end');
    c.names.add('k');
    const args = f.params.map((p) => {
      if (p.name === index) return { t: p.t, c: ['k'] };
      if (p.q === 'out') return { t: p.t, c: [] };
      // an inout is always an array: read before the body, written back after it
      if (p.q === 'inout' || varying.includes(p.name)) {
        const a = uniq(c, p.name + 'A');
        sig.push(a + A(p.t));
        arrays.set(p.name, a);
        return { t: p.t, c: Array.from({ length: p.t.n }, (_, i) => tmp(c, rd(a, p.t, i))) };
      }
      return {
        t: p.t,
        c: Array.from({ length: p.t.n }, (_, i) => {
          const j = uniq(c, p.name + sub(p.t, i));
          (c.ssa ??= new Set()).add(j);
          sig.push(j + ty(p.t));
          const e = enter(p.t, j);
          if (e !== j) pre.push(`${j} = ${e};`);
          return j;
        }),
      };
    });
    function rd(a, t, i) {
      const s = t.n === 1 ? `${a}[k]` : `${a}[k * ${t.n}${i ? ' + ' + i : ''}]`;
      return (t.b === 'u' ? `${s} | 0` : s) + (types ? '' : '');
    }
    const [res, outs] = inlineCall(c, f, args),
      wr = [];
    const put = (nm, t, cs, given) => {
      const a = given ?? uniq(c, nm);
      if (!given) sig.push(a + A(t));
      cs.forEach((s, i) => wr.push(`${a}[k${t.n > 1 ? ` * ${t.n}${i ? ' + ' + i : ''}` : ''}] = ${s};`));
    };
    if (f.ret.n) put('out_', f.ret, res);
    f.params.forEach((p, i) => p.q !== 'in' && put(p.name + '_o', p.t, outs[i], arrays.get(p.name)));
    chunks.push(
      `export function ${name}(${sig.join(', ')})${types ? ': void' : ''} {\n  ${pre.join(' ')}\n  for (let k = first; k < end; k++) {\n${indent([...c.out, ...wr])}\n  }\n}`,
    );
  }
  const ends = (l) => {
    const s = l?.at(-1);
    return (
      !!s &&
      (s.type === 'return_statement' ||
        (s.type === 'compound_statement' && ends(s.statements)) ||
        (s.type === 'if_statement' &&
          s.else &&
          ends([s.body]) &&
          ends([].concat(s.else).filter((x) => x.type !== 'keyword'))))
    );
  };
  const indent = (lines) => {
    let d = 1;
    return lines
      .map((l) => {
        if (/^\}/.test(l)) d--;
        const s = '  '.repeat(Math.max(d, 1)) + l;
        if (/\{$/.test(l)) d++;
        return s;
      })
      .join('\n');
  };
  for (const d of ast.program) {
    if (d.type === 'function') {
      const h = d.prototype.header,
        name = h.name.identifier;
      const params = (d.prototype.parameters ?? [])
        .filter((p) => !(p.specifier?.specifier?.token === 'void'))
        .map((p) => {
          const q = quals(p.qualifier).find((x) => ['in', 'out', 'inout'].includes(x)) ?? 'in';
          if (p.quantifier) fail('array parameters are outside the subset', p);
          return { name: p.identifier.identifier, q, t: typeOf(p.specifier) };
        });
      const f = {
        name,
        ret: typeOf(h.returnType),
        params,
        body: d.body.statements,
        node: d,
        writes: new Set(),
        returns: 0,
      };
      walk(d.body, (n) => {
        if (n.type === 'return_statement') f.returns++;
        if (n.type === 'assignment') f.writes.add(rootName(n.left));
        if (n.type === 'postfix' && n.postfix.type === 'literal') f.writes.add(rootName(n.expression));
        if (n.type === 'unary' && /\+\+|--/.test(n.operator.literal)) f.writes.add(rootName(n.expression));
        if (n.type === 'function_call')
          for (const a of n.args) {
            const r = rootName(a);
            if (r) (f.argRoots ??= new Set()).add(r);
          }
      });
      f.hasOut = params.some((p) => p.q !== 'in');
      f.tail = f.returns === 0 || (f.returns === 1 && f.body.at(-1)?.type === 'return_statement');
      if (!fns.has(name)) fns.set(name, []);
      const prev = fns.get(name);
      f.js = prev.length ? `${name}_${params.map((p) => p.t.name).join('_')}` : name;
      prev.push(f);
    } else if (d.type === 'declaration_statement' && d.declaration.type === 'declarator_list') {
      const l = d.declaration,
        t = typeOf(l.specified_type);
      if (!quals(l.specified_type.qualifiers).includes('const'))
        fail('only const globals are in the subset (pass uniforms as parameters)', l);
      for (const v of l.declarations) {
        if (v.quantifier) fail('arrays are outside the subset', v);
        const c = newFn(),
          e = coerce(expr(c, v.initializer), t, v);
        // constants are folded at build time; the generator runs in Node, the output never evaluates text
        const vals = new Function(c.out.join('\n') + `\nreturn [${e.c.join(',')}]`)();
        globals.set(v.identifier.identifier, {
          t,
          c: vals.map((x) => (typeof x === 'boolean' ? String(x) : x < 0 ? `(${x})` : String(x))),
          const: true,
        });
      }
    } else if (d.type === 'declaration_statement' && d.declaration.type === 'precision') {
      /* ignored */
    } else if (d.type === 'declaration_statement' && d.declaration.type === 'function_prototype') {
      /* forward declaration: not needed */
    } else fail(`top-level '${d.type === 'preprocessor' ? d.line : d.type}' is outside the subset`, d);
  }
  for (const l of fns.values())
    for (const f of l)
      if (f.ret !== T.void && !ends(f.body)) fail(`'${f.name}' can end without returning a value`, f.node);
  for (const e of exports) for (const f of fns.get(e) ?? fail(`export '${e}' not found`)) emit(f);
  for (const e of called) for (const f of fns.get(e) ?? fail(`shared '${e}' not found`)) emit(f, true);
  loops.forEach(emitLoop);
  const signatures = Object.fromEntries(
    loops.map(({ fn }) => [
      fn,
      fns.get(fn)[0].params.map((p) => ({ name: p.name, type: p.t.name, direction: p.q, numbers: p.t.n })),
    ]),
  );
  return { code: chunks.join('\n') + '\n', signatures, imported, floats: maxF, integers: maxI };
}
