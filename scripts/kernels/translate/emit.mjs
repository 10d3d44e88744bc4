import { inlined, passArguments, tablesOf } from './expressions.mjs';
import { block } from './statements.mjs';
import { isInteger, suffix, VOID } from './types.mjs';
import { indented, Writer } from './writer.mjs';

/**
 * @typedef {import('./types.mjs').Type} Type
 * @typedef {import('./types.mjs').Value} Value
 * @typedef {import('./unit.mjs').Unit} Unit
 * @typedef {import('./unit.mjs').KernelFunction} KernelFunction
 * @typedef {import('./writer.mjs').Variable} Variable
 */

/** What a component is declared as. @param {Type} t */
const typed = ({ b }) => (b === 'b' ? ': boolean' : b === 't' ? ': Float64Array' : ': number');

/** @type {Record<Type['b'], string>} */
const ARRAYS = { f: 'Float64Array', i: 'Int32Array', u: 'Uint32Array', b: 'Uint8Array', t: 'Float64Array', v: 'never' };

/** A number from outside as the kernel holds it. @param {Type} t @param {string} name */
const entered = ({ b }, name) => (isInteger(b) ? `${name} | 0` : name);

/**
 * Writes a function, once: with its numbers as parameters, or, for those that are called by others, with all of them in the
 * scratch arrays.
 * @param {Unit} unit @param {KernelFunction} f @param {boolean} [viaScratch]
 */
export function emit(unit, f, viaScratch = false) {
  const key = f.js + (viaScratch ? '$' : '');
  if (unit.emitted.has(key)) return;
  unit.emitted.add(key);
  const writer = new Writer();
  writer.stack.push(f);
  /** @type {string[]} */
  const parameters = [];
  const variables = f.params.map((p) => {
    if (p.q === 'out') return writer.declare(p.name, p.t);
    const c = Array.from({ length: p.t.n }, (_, i) => writer.unique(p.name + suffix(p.t, i)));
    if (!viaScratch || p.t.b === 't') parameters.push(...c.map((name) => name + typed(p.t)));
    return { t: p.t, c };
  });
  writer.scope = [new Map(f.params.map((p, i) => [p.name, variables[i] ?? { t: p.t, c: [] }])), new Map()];
  const write = (/** @type {string} */ result) =>
    unit.chunks.push(`export function ${key}(${parameters.join(', ')})${result} {\n${indented(writer.out)}\n}`);
  if (viaScratch) {
    fromScratch(writer, f, variables);
    gather(unit, writer, f, variables, false);
    return write(': void');
  }
  if (unit.shared(f.name) === '') {
    // the form that is called by all, with its arguments put where it reads them
    emit(unit, f, true);
    passArguments(
      unit,
      writer,
      f,
      f.params.map((p, i) => (p.q === 'out' ? [] : (variables[i]?.c ?? []))),
    );
    writer.out.push(`${f.js}$(${tablesOf(f, (i) => variables[i]?.c ?? [])});`);
    const gives = f.ret.n === 1 && !f.hasOut;
    if (gives) writer.out.push(`return ${f.ret.b === 'f' ? 'RF[0]' : f.ret.b === 'u' ? 'RI[0] >>> 0' : 'RI[0]'};`);
    return write(gives ? typed(f.ret) : ': void');
  }
  f.params.forEach((p, i) => {
    if (p.q === 'out') return;
    for (const name of variables[i]?.c ?? []) {
      const own = entered(p.t, name);
      if (own !== name) writer.out.push(`${name} = ${own};`);
    }
  });
  const scalar = f.ret.n === 1 && !f.hasOut;
  gather(unit, writer, f, variables, scalar);
  return write(scalar ? typed(f.ret) : ': void');
}

/** Reads a function's numbers from the scratch arrays. @param {Writer} writer @param {KernelFunction} f @param {Variable[]} variables */
function fromScratch(writer, f, variables) {
  let [floats, integers] = [0, 0];
  f.params.forEach(({ q, t }, i) => {
    if (q === 'out' || t.b === 't') return;
    for (const name of variables[i]?.c ?? [])
      writer.out.push(
        `let ${name} = ${t.b === 'f' ? `RF[${floats++}]` : t.b === 'b' ? `RI[${integers++}] !== 0` : `RI[${integers++}]`};`,
      );
  });
}

/** Writes a function's own statements, and where it ends what it gives back. @param {Unit} unit @param {Writer} writer @param {KernelFunction} f @param {Variable[]} variables @param {boolean} scalar it gives back one number */
function gather(unit, writer, f, variables, scalar) {
  const flush = (/** @type {Value | null} */ value) => {
    if (scalar) {
      writer.out.push(`return ${value?.c[0]}${f.ret.b === 'u' ? ' >>> 0' : ''};`);
      return;
    }
    let [floats, integers] = [0, 0];
    const put = (/** @type {Type} */ t, /** @type {string[]} */ c) => {
      for (const s of c)
        writer.out.push(
          t.b === 'f' ? `RF[${floats++}] = ${s};` : `RI[${integers++}] = ${t.b === 'b' ? `${s} ? 1 : 0` : s};`,
        );
    };
    if (value) put(value.t, value.c);
    f.params.forEach((p, i) => p.q !== 'in' && put(p.t, variables[i]?.c ?? []));
    unit.cross(floats, integers);
  };
  writer.giveBack = (value) => {
    flush(value);
    if (!scalar) writer.out.push('return;');
  };
  block(unit, writer, f.body);
  if (f.ret === VOID) flush(null);
}

/**
 * Writes one loop over typed arrays, with the function in it.
 * @param {Unit} unit @param {import('../translate.mjs').Loop} loop
 */
export function emitLoop(unit, { name, fn, varying }) {
  const f = unit.functions.get(fn)?.[0] ?? unit.fail(`no function ${fn}`);
  const writer = new Writer();
  for (const taken of ['first', 'end', 'k']) writer.names.add(taken);
  const parameters = ['first: number', 'end: number'];
  /** @type {string[]} */
  const before = [];
  /** @type {Map<string, string>} */
  const arrays = new Map();
  const array = (/** @type {string} */ own, /** @type {Type} */ t) => parameters.push(`${own}: ${ARRAYS[t.b]}`);
  const place = (/** @type {Type} */ t, /** @type {number} */ i) =>
    t.n === 1 ? 'k' : `k * ${t.n}${i ? ` + ${i}` : ''}`;
  const args = f.params.map((p) => {
    if (p.name === 'id' && varying.includes('id')) return { t: p.t, c: ['k'] };
    if (p.q === 'out') return { t: p.t, c: [] };
    const components = Array.from({ length: p.t.n }, (_, i) => i);
    // an inout is always an array: read before the body, written back after it
    if (p.q === 'inout' || varying.includes(p.name)) {
      const own = writer.unique(`${p.name}A`);
      array(own, p.t);
      arrays.set(p.name, own);
      const read = (/** @type {number} */ i) => `${own}[${place(p.t, i)}]${p.t.b === 'u' ? ' | 0' : ''}`;
      return { t: p.t, c: components.map((i) => writer.keep(read(i))) };
    }
    return {
      t: p.t,
      c: components.map((i) => {
        const own = writer.unique(p.name + suffix(p.t, i));
        writer.fix(own);
        parameters.push(own + typed(p.t));
        const now = entered(p.t, own);
        if (now !== own) before.push(`${own} = ${now};`);
        return own;
      }),
    };
  });
  const { result, outs } = inlined(unit, writer, f, args);
  /** @type {string[]} */
  const after = [];
  const put = (/** @type {string} */ own, /** @type {Type} */ t, /** @type {readonly string[]} */ c) =>
    c.forEach((s, i) => after.push(`${own}[${place(t, i)}] = ${s};`));
  const given = (/** @type {string} */ wish, /** @type {Type} */ t) => {
    const own = writer.unique(wish);
    array(own, t);
    return own;
  };
  if (f.ret.n) put(given('out_', f.ret), f.ret, result);
  f.params.forEach((p, i) => {
    if (p.q !== 'in') put(arrays.get(p.name) ?? given(`${p.name}_o`, p.t), p.t, outs[i] ?? []);
  });
  unit.chunks.push(
    `export function ${name}(${parameters.join(', ')}): void {\n  ${before.join(' ')}\n  for (let k = first; k < end; k++) {\n${indented([...writer.out, ...after])}\n  }\n}`,
  );
}
