import { KernelError } from '../error.mjs';
import { locationOf } from './tree.mjs';
import { TYPES } from './types.mjs';

/**
 * @typedef {import('./types.mjs').Type} Type
 * @typedef {import('./types.mjs').Value} Value
 * @typedef {import('./types.mjs').Node} Node
 * @typedef {import('./writer.mjs').Writer} Writer
 * @typedef {import('./writer.mjs').Variable} Variable
 */

/**
 * A function of the kernel.
 * @typedef {object} KernelFunction
 * @property {string} name
 * @property {string} js its name in TypeScript: with its types where there are others of its name
 * @property {Type} ret
 * @property {{ name: string, q: string, t: Type }[]} params q: in, out or inout
 * @property {Node[]} body
 * @property {Node} node
 * @property {Set<string | null>} writes names that it assigns to
 * @property {Set<string>} handed names that it hands to other functions
 * @property {boolean} hasOut
 * @property {boolean} tail it gives back a value at its end or not at all
 */

/** A kernel file that is being translated: what it declares, and what has been written of it. */
export class Unit {
  /** @type {Map<string, KernelFunction[]>} */
  functions = new Map();
  /** @type {Map<string, Variable>} */
  globals = new Map();
  /** forms of functions that are written already @type {Set<string>} */
  emitted = new Set();
  /** @type {Map<string, string>} */
  imported = new Map();
  /** @type {string[]} */
  chunks = [];
  /** most numbers of each sort that cross a call */
  floats = 0;
  integers = 0;
  /** where the work is, for errors @type {import('../error.mjs').Location | null} */
  at = null;

  /**
   * @param {string} source
   * @param {string} file
   * @param {(name: string) => string | null} shared
   * @param {Unit['back']} back
   */
  constructor(source, file, shared, back) {
    this.source = source;
    this.file = file;
    this.shared = shared;
    /**
     * The ways back up: a call in an expression writes the statements of what it calls, and what is called by all is written
     * as a function of its own.
     * @type {{ block: (unit: Unit, writer: Writer, statements: Node[]) => void, emit: (unit: Unit, f: KernelFunction, viaScratch: boolean) => void }}
     */
    this.back = back;
  }

  /** @param {string} message @param {Node} [node] @returns {never} */
  fail(message, node) {
    throw new KernelError(message, locationOf(node) ?? this.at, this.source, this.file);
  }

  /** Work is at a node now. @param {Node} node */
  reach(node) {
    this.at = locationOf(node) ?? this.at;
  }

  /** The type that a declaration names. @param {Node} declared @returns {Type} */
  typeOf(declared) {
    const said = declared.specifier.type === 'type_specifier' ? declared.specifier : declared;
    if (said.quantifier?.length || said.quantifier?.type) this.fail('arrays are outside the subset', declared);
    const name = said.specifier.token ?? said.specifier.identifier;
    return TYPES[name] ?? this.fail(`type '${name ?? said.specifier.type}' is outside the subset`, declared);
  }

  /** What a name stands for. @param {Writer} writer @param {string} name @param {Node} node @returns {Variable} */
  find(writer, name, node) {
    return writer.find(name) ?? this.globals.get(name) ?? this.fail(`'${name}' is not declared`, node);
  }

  /** A value that must be of a type. @param {Value} value @param {Type} t @param {Node} node */
  coerce(value, t, node) {
    if (value.t !== t) this.fail(`expected ${t.name}, found ${value.t.name}`, node);
    return value;
  }

  /** So many numbers cross a call. @param {number} floats @param {number} integers */
  cross(floats, integers) {
    this.floats = Math.max(this.floats, floats);
    this.integers = Math.max(this.integers, integers);
  }
}
