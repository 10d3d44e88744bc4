import { expression } from './expressions.mjs';
import { qualifiersOf, rootName, walk } from './tree.mjs';
import { Writer } from './writer.mjs';

/**
 * @typedef {import('./types.mjs').Node} Node
 * @typedef {import('./unit.mjs').Unit} Unit
 * @typedef {import('./unit.mjs').KernelFunction} KernelFunction
 */

/** Takes in what a kernel declares, in order. @param {Unit} unit @param {Node[]} program */
export function declareAll(unit, program) {
  for (const node of program) {
    if (node.type === 'function') declareFunction(unit, node);
    else if (node.type === 'declaration_statement' && node.declaration.type === 'declarator_list')
      declareConstants(unit, node.declaration);
    else if (node.type !== 'declaration_statement' || !IGNORED.has(node.declaration.type))
      unit.fail(`top-level '${node.type === 'preprocessor' ? node.line : node.type}' is outside the subset`, node);
  }
}

/** Declarations that say nothing that is needed. */
const IGNORED = new Set(['precision', 'function_prototype']);

const DIRECTIONS = ['in', 'out', 'inout'];

/** @param {Unit} unit @param {Node} node */
function declareFunction(unit, node) {
  const { header } = node.prototype;
  const name = header.name.identifier;
  const params = (node.prototype.parameters ?? [])
    .filter((/** @type {Node} */ p) => p.specifier?.specifier?.token !== 'void')
    .map((/** @type {Node} */ p) => {
      if (p.quantifier) unit.fail('array parameters are outside the subset', p);
      const q = qualifiersOf(p.qualifier).find((word) => DIRECTIONS.includes(word)) ?? 'in';
      return { name: p.identifier.identifier, q, t: unit.typeOf(p.specifier) };
    });
  const others = unit.functions.get(name) ?? [];
  unit.functions.set(name, others);
  const body = node.body.statements;
  const { writes, handed, returns } = usesIn(node.body);
  others.push({
    name,
    js:
      others.length > 0
        ? `${name}_${params.map((/** @type {{ t: { name: string } }} */ p) => p.t.name).join('_')}`
        : name,
    ret: unit.typeOf(header.returnType),
    params,
    body,
    node,
    writes,
    handed,
    hasOut: params.some((/** @type {{ q: string }} */ p) => p.q !== 'in'),
    tail: returns === 0 || (returns === 1 && body.at(-1)?.type === 'return_statement'),
  });
}

/** What the statements of a function do with names, and how often they give back a value. @param {Node} body */
function usesIn(body) {
  /** @type {Set<string | null>} */
  const writes = new Set();
  /** @type {Set<string>} */
  const handed = new Set();
  let returns = 0;
  walk(body, (node) => {
    switch (node.type) {
      case 'return_statement':
        returns++;
        break;
      case 'assignment':
        writes.add(rootName(node.left));
        break;
      case 'postfix':
        if (node.postfix.type === 'literal') writes.add(rootName(node.expression));
        break;
      case 'unary':
        if (/\+\+|--/.test(node.operator.literal)) writes.add(rootName(node.expression));
        break;
      case 'function_call':
        for (const given of node.args) {
          const root = rootName(given);
          if (root) handed.add(root);
        }
        break;
    }
  });
  return { writes, handed, returns };
}

/** Constants are worked out while translating; what is made never evaluates text. @param {Unit} unit @param {Node} list */
function declareConstants(unit, list) {
  const t = unit.typeOf(list.specified_type);
  if (!qualifiersOf(list.specified_type.qualifiers).includes('const'))
    unit.fail('only const globals are in the subset (pass uniforms as parameters)', list);
  for (const one of list.declarations) {
    if (one.quantifier) unit.fail('arrays are outside the subset', one);
    const writer = new Writer();
    const { c } = unit.coerce(expression(unit, writer, one.initializer), t, one);
    /** @type {(number | boolean)[]} */
    const values = new Function(`${writer.out.join('\n')}\nreturn [${c.join(',')}]`)();
    unit.globals.set(one.identifier.identifier, {
      t,
      c: values.map((v) => (typeof v === 'number' && v < 0 ? `(${v})` : String(v))),
      const: true,
    });
  }
}
