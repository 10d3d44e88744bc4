import { isNumber, isSimple, suffix } from './types.mjs';

/**
 * @typedef {import('./types.mjs').Type} Type
 * @typedef {import('./types.mjs').Value} Value
 * @typedef {import('./unit.mjs').KernelFunction} KernelFunction
 * @typedef {Value & { const?: boolean }} Variable
 */

const RESERVED =
  'RF RI Math Infinity NaN undefined var let const function class new delete typeof in of this super with yield await async export import default null try catch throw finally enum interface package private protected public static implements arguments eval number string'.split(
    ' ',
  );

/** One function of TypeScript as it is written: its lines, its names, and what is in scope. */
export class Writer {
  /** @type {string[]} */
  out = [];
  /** @type {Map<string, Variable>[]} */
  scope = [new Map()];
  /** functions of the kernel that are being written into this one, the outermost first @type {KernelFunction[]} */
  stack = [];
  /** what is done where the innermost of them gives back a value @type {(value: Value | null) => void} */
  giveBack = () => undefined;
  /** every name that is taken */
  names = new Set(RESERVED);
  /** names that never change */
  #fixed = new Set();
  #count = 0;

  /** A name that is not taken. @param {string} name */
  unique(name) {
    let own = name;
    for (let i = 1; this.names.has(own); i++) own = `${name}$${i}`;
    this.names.add(own);
    return own;
  }

  /** A new name that begins with a letter. @param {string} letter */
  fresh(letter) {
    return this.unique(letter + this.#count++);
  }

  /** A name never changes from now on. @param {string} name */
  fix(name) {
    this.#fixed.add(name);
  }

  /** Whether a text stays what it is, however often it is said. @param {string} text */
  isFixed(text) {
    return isSimple(text) && (isNumber(text) || this.#fixed.has(text));
  }

  /** Declares a variable. @param {string} name @param {Type} t @param {readonly string[]} [values] @returns {Variable} */
  declare(name, t, values) {
    const c = Array.from({ length: t.n }, (_, i) => this.unique(name + suffix(t, i)));
    c.forEach((own, i) => this.out.push(`let ${own} = ${values ? values[i] : t.b === 'b' ? 'false' : '0'};`));
    return { t, c };
  }

  /** A name for what is worked out once. @param {string} text */
  keep(text) {
    if (this.isFixed(text)) return text;
    const name = this.fresh('t');
    this.fix(name);
    this.out.push(`const ${name} = ${text};`);
    return name;
  }

  /** A value that may be said more than once. @param {Value} value @returns {Value} */
  once({ t, c }) {
    return { t, c: c.map((s) => (isSimple(s) ? s : this.keep(s))) };
  }

  /** What a name stands for; the innermost. @param {string} name @returns {Variable | undefined} */
  find(name) {
    for (let i = this.scope.length - 1; i >= 0; i--) {
      const found = this.scope[i]?.get(name);
      if (found) return found;
    }
    return undefined;
  }

  /** Gives a name of the kernel its meaning. @param {string} name @param {Variable} variable */
  set(name, variable) {
    this.scope.at(-1)?.set(name, variable);
  }

  /** @param {() => void} work */
  inScope(work) {
    this.scope.push(new Map());
    work();
    this.scope.pop();
  }

  /** Does something and takes the lines it writes. @template T @param {() => T} work @returns {[string[], T]} */
  capture(work) {
    const { out } = this;
    this.out = [];
    const result = work();
    const lines = this.out;
    this.out = out;
    return [lines, result];
  }
}

/** Lines with their braces' depth in front. @param {readonly string[]} lines */
export function indented(lines) {
  let depth = 1;
  return lines
    .map((line) => {
      if (/^\}/.test(line)) depth--;
      const text = '  '.repeat(Math.max(depth, 1)) + line;
      if (/\{$/.test(line)) depth++;
      return text;
    })
    .join('\n');
}
