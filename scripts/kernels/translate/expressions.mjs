import { builtin } from './builtins.mjs';
import { binary } from './operators.mjs';
import { compare, convert, literal } from './scalars.mjs';
import { rootName, walk } from './tree.mjs';
import { isInteger, isSimple, LETTERS, TYPES, vector, VOID } from './types.mjs';

/**
 * @typedef {import('./types.mjs').Type} Type
 * @typedef {import('./types.mjs').Value} Value
 * @typedef {import('./types.mjs').Node} Node
 * @typedef {import('./unit.mjs').Unit} Unit
 * @typedef {import('./unit.mjs').KernelFunction} KernelFunction
 * @typedef {import('./writer.mjs').Writer} Writer
 * @typedef {import('./writer.mjs').Variable} Variable
 */

const BOOL = vector('b', 1);
const STATEMENT = '++ and -- are statements in this subset';

/** An index that is known while translating. @param {Unit} unit @param {Writer} writer @param {Node} node */
export function constantInteger(unit, writer, node) {
  const { t, c } = expression(unit, writer, node);
  const text = String(c[0]);
  if (!isInteger(t.b) || !/^\d+$/.test(text))
    unit.fail('index must be a constant integer (or the counter of an unrolled loop)', node);
  return Number(text);
}

/** The components that letters name. @param {Unit} unit @param {Type} t @param {string} letters @param {Node} node */
function swizzle(unit, t, letters, node) {
  const indexes = [...letters].map((letter) => LETTERS[letter] ?? Infinity);
  if (t.m || t.n === 1 || indexes.some((i) => i >= t.n)) unit.fail(`'.${letters}' is not a swizzle of ${t.name}`, node);
  return indexes;
}

/**
 * A part of a value by letters or an index. The parser nests what stands behind to the right.
 * @param {Unit} unit @param {Writer} writer @param {Value} value @param {Node} postfix @param {Node} node
 * @returns {Value}
 */
export function select(unit, writer, value, postfix, node) {
  const { t, c } = value;
  switch (postfix.type) {
    case 'postfix':
      return select(unit, writer, select(unit, writer, value, postfix.expression, node), postfix.postfix, node);
    case 'field_selection': {
      const indexes = swizzle(unit, t, postfix.selection.identifier, node);
      return { t: vector(t.b, indexes.length), c: indexes.map((i) => String(c[i])) };
    }
    case 'quantifier': {
      const i = constantInteger(unit, writer, postfix.expression);
      const { m } = t;
      if (t.n === 1 || i >= (m ?? t.n)) unit.fail(`index ${i} is out of range for ${t.name}`, node);
      return m ? { t: vector('f', m), c: c.slice(i * m, i * m + m) } : { t: vector(t.b, 1), c: [String(c[i])] };
    }
    default:
      return unit.fail(STATEMENT, node);
  }
}

/** @param {Unit} unit @param {Writer} writer @param {Node} node @returns {Value} */
export function expression(unit, writer, node) {
  unit.reach(node);
  switch (node.type) {
    case 'group':
      return expression(unit, writer, node.expression);
    case 'float_constant':
      return { t: vector('f', 1), c: [literal(node.token)] };
    case 'int_constant': {
      const v = Number(node.token.replace(/u$/i, ''));
      if (!Number.isFinite(v) || v > 4294967295) unit.fail(`bad integer '${node.token}'`, node);
      return { t: vector(/u$/i.test(node.token) ? 'u' : 'i', 1), c: [v > 2147483647 ? `(${v | 0})` : String(v)] };
    }
    case 'bool_constant':
      return { t: BOOL, c: [node.token] };
    case 'identifier': {
      const { t, c } = unit.find(writer, node.identifier, node);
      return { t, c: [...c] };
    }
    case 'postfix':
      if (node.postfix.type === 'literal') return unit.fail(STATEMENT, node);
      return select(unit, writer, expression(unit, writer, node.expression), node.postfix, node);
    case 'unary':
      return unary(unit, node.operator.literal, expression(unit, writer, node.expression), node);
    case 'binary':
      return operation(unit, writer, node);
    case 'ternary':
      return choice(unit, writer, node);
    case 'function_call':
      return call(unit, writer, node, false);
    case 'assignment':
      return unit.fail('assignment is a statement in this subset', node);
    default:
      return unit.fail(`expression '${node.type}' is outside the subset`, node);
  }
}

/** @param {Unit} unit @param {string} op @param {Value} value @param {Node} node @returns {Value} */
function unary(unit, op, value, node) {
  const { t, c } = value;
  switch (op) {
    case '-':
      if (t.b === 'b') return unit.fail('- on bool', node);
      return { t, c: c.map((s) => (t.b === 'f' ? `(-${s})` : `((-${s}) | 0)`)) };
    case '+':
      return value;
    case '!':
      return unit.coerce({ t, c: c.map((s) => `!${s}`) }, BOOL, node);
    case '~':
      return isInteger(t.b) ? { t, c: c.map((s) => `(~${s})`) } : unit.fail('~ needs an integer', node);
    default:
      return unit.fail(STATEMENT, node);
  }
}

/** An operator between two expressions. @param {Unit} unit @param {Writer} writer @param {Node} node @returns {Value} */
function operation(unit, writer, node) {
  const op = node.operator.literal;
  if (op === '&&' || op === '||') return both(unit, writer, op, node);
  const a = expression(unit, writer, node.left);
  const b = expression(unit, writer, node.right);
  if (op === '==' || op === '!=') {
    unit.coerce(b, a.t, node);
    const same = a.c.map((x, i) => `${x} ${op}= ${b.c[i]}`);
    return { t: BOOL, c: [`(${same.join(op === '==' ? ' && ' : ' || ')})`] };
  }
  if (/^[<>]=?$/.test(op)) {
    if (a.t.n !== 1 || a.t.b === 'b') unit.fail(`${a.t.name} ${op} ${b.t.name} is not defined`, node);
    unit.coerce(b, a.t, node);
    return { t: BOOL, c: [compare(op, a.t.b, String(a.c[0]), String(b.c[0]))] };
  }
  if (op === ',') unit.fail('the comma operator is outside the subset', node);
  return binary(unit, writer, op, a, b, node);
}

/** The right side is worked out only where the left asks for it. @param {Unit} unit @param {Writer} writer @param {string} op @param {Node} node @returns {Value} */
function both(unit, writer, op, node) {
  const a = unit.coerce(expression(unit, writer, node.left), BOOL, node.left);
  const [before, b] = writer.capture(() => unit.coerce(expression(unit, writer, node.right), BOOL, node.right));
  if (before.length === 0) return { t: BOOL, c: [`(${a.c[0]} ${op} ${b.c[0]})`] };
  const r = writer.fresh('t');
  writer.out.push(`let ${r} = ${a.c[0]};`, `if (${op === '&&' ? '' : '!'}${r}) {`, ...before, `${r} = ${b.c[0]}; }`);
  return { t: BOOL, c: [r] };
}

/** One of two, by a condition. @param {Unit} unit @param {Writer} writer @param {Node} node @returns {Value} */
function choice(unit, writer, node) {
  const asked = unit.coerce(expression(unit, writer, node.expression), BOOL, node.expression);
  const [beforeA, a] = writer.capture(() => expression(unit, writer, node.left));
  const [beforeB, b] = writer.capture(() => expression(unit, writer, node.right));
  unit.coerce(b, a.t, node);
  if (beforeA.length === 0 && beforeB.length === 0 && a.t.n === 1)
    return { t: a.t, c: [`(${asked.c[0]} ? ${a.c[0]} : ${b.c[0]})`] };
  const r = a.c.map(() => writer.fresh('t'));
  writer.out.push(
    `let ${r.map((x) => `${x} = ${a.t.b === 'b' ? 'false' : 0}`).join(', ')};`,
    `if (${asked.c[0]}) {`,
    ...beforeA,
    ...r.map((x, i) => `${x} = ${a.c[i]};`),
    '} else {',
    ...beforeB,
    ...r.map((x, i) => `${x} = ${b.c[i]};`),
    '}',
  );
  return { t: a.t, c: r };
}

/** A value of a type from others. @param {Unit} unit @param {Writer} writer @param {Type} t @param {Value[]} args @param {Node} node @returns {Value} */
function construct(unit, writer, t, args, node) {
  const [first] = args;
  if (t.n === 1) {
    if (!first || args.length !== 1) return unit.fail(`${t.name}() takes one argument`, node);
    return { t, c: [convert(String(first.c[0]), first.t.b, t.b)] };
  }
  if (first && args.length === 1 && first.t.n === 1) {
    const [s = ''] = writer.once({ t: first.t, c: [convert(String(first.c[0]), first.t.b, t.b)] }).c;
    return { t, c: Array.from({ length: t.n }, (_, i) => (t.m && Math.floor(i / t.m) !== i % t.m ? '0' : s)) };
  }
  if (args.some((a) => a.t.m)) unit.fail('constructors from matrices are outside the subset', node);
  const all = args.flatMap((a) => a.c.map((s) => convert(s, a.t.b, t.b)));
  const last = args.at(-1)?.t.n ?? 0;
  if (all.length < t.n || (args.length > 1 && all.length - last >= t.n) || (t.m && all.length !== t.n))
    unit.fail(`${t.name}() has ${all.length} components, needs ${t.n}`, node);
  return { t, c: all.slice(0, t.n) };
}

/** What a call is given, without what is between. @param {Node} node @returns {Node[]} */
const givenTo = (node) =>
  node.args.filter(
    (/** @type {Node} */ a) =>
      !(a.type === 'literal' && a.literal === ',') && !(a.type === 'keyword' && a.token === 'void'),
  );

/**
 * A call: of a type, of a function of the kernel, or of one that GLSL has.
 * @param {Unit} unit @param {Writer} writer @param {Node} node
 * @param {boolean} whole it is a statement or the whole right side of one, so that it may have out parameters
 * @returns {Value}
 */
export function call(unit, writer, node, whole) {
  const given = givenTo(node);
  const { identifier } = node;
  const name =
    identifier.type === 'type_specifier'
      ? (identifier.specifier.token ?? identifier.specifier.identifier)
      : identifier.identifier;
  const args = given.map((a) => expression(unit, writer, a));
  const type = TYPES[name];
  if (type) return construct(unit, writer, type, args, node);
  const forms = unit.functions.get(name);
  if (!forms)
    return (
      builtin(unit, writer, name, args, node) ??
      unit.fail(`function '${name}' is unknown (not a kernel function nor a supported built-in)`, node)
    );
  const said = (/** @type {Type[]} */ types) => `${name}(${types.map((t) => t.name).join(', ')})`;
  const f =
    forms.find(({ params }) => params.length === args.length && params.every((p, i) => p.t === args[i]?.t)) ??
    unit.fail(
      `${said(args.map((a) => a.t))}: no match; have ${forms.map(({ params }) => said(params.map((p) => p.t))).join(' | ')}`,
      node,
    );
  if (f.hasOut && !whole)
    unit.fail(`'${name}' has out parameters: call it as a statement or as the whole right side`, node);
  if (writer.stack.includes(f)) unit.fail(`recursion through '${name}'`, node);
  const targets = f.params.map((p, i) => (p.q === 'in' ? null : assignable(unit, writer, given[i])));
  const home = unit.shared(name);
  const { result, outs } = home === null ? inlined(unit, writer, f, args) : called(unit, writer, f, args, home);
  targets.forEach((target, i) => target?.forEach((x, k) => writer.out.push(`${x} = ${outs[i]?.[k]};`)));
  return { t: f.ret, c: result };
}

/**
 * What a call gave: its value, and those of its out parameters.
 * @typedef {{ result: string[], outs: (string[] | null)[] }} Given
 */

/** A call of a function that is called by all who use it. @param {Unit} unit @param {Writer} writer @param {KernelFunction} f @param {Value[]} args @param {string} home @returns {Given} */
function called(unit, writer, f, args, home) {
  if (home === '') unit.back.emit(unit, f, true);
  else unit.imported.set(`${f.js}$`, home);
  passArguments(
    unit,
    writer,
    f,
    args.map((a) => a.c),
  );
  writer.out.push(`${f.js}$(${tablesOf(f, (i) => args[i]?.c ?? [])});`);
  let [floats, integers] = [0, 0];
  const read = (/** @type {Type} */ t) =>
    Array.from({ length: t.n }, () =>
      writer.keep(t.b === 'f' ? `RF[${floats++}]` : t.b === 'b' ? `(RI[${integers++}] !== 0)` : `RI[${integers++}]`),
    );
  const result = read(f.ret);
  return { result, outs: f.params.map((p) => (p.q === 'in' ? null : read(p.t))) };
}

/** Tables among what a function is given: those are passed as they are. @param {KernelFunction} f @param {(index: number) => string[]} given */
export const tablesOf = (f, given) => f.params.flatMap((p, i) => (p.t.b === 't' ? given(i) : [])).join(', ');

/** Numbers in registers are boxed at a call, so they are passed through typed arrays. @param {Unit} unit @param {Writer} writer @param {KernelFunction} f @param {string[][]} args */
export function passArguments(unit, writer, f, args) {
  let [floats, integers] = [0, 0];
  f.params.forEach(({ q, t }, i) => {
    if (q === 'out' || t.b === 't') return;
    for (const s of args[i] ?? [])
      writer.out.push(
        t.b === 'f' ? `RF[${floats++}] = ${s};` : `RI[${integers++}] = ${t.b === 'b' ? `${s} ? 1 : 0` : s};`,
      );
  });
  unit.cross(floats, integers);
}

/** Whether a function hands a name on to be written to. @param {Unit} unit @param {KernelFunction} f @param {string} name */
function handsOut(unit, f, name) {
  let found = false;
  walk(f.node.body, (node) => {
    if (node.type !== 'function_call') return;
    const forms = unit.functions.get(node.identifier.identifier);
    if (!forms) return;
    node.args
      .filter((/** @type {Node} */ a) => a.literal !== ',')
      .forEach((/** @type {Node} */ a, /** @type {number} */ i) => {
        if (rootName(a) === name && forms.some(({ params }) => params[i] && params[i].q !== 'in')) found = true;
      });
  });
  return found;
}

/** A function written where it is called. @param {Unit} unit @param {Writer} writer @param {KernelFunction} f @param {Value[]} args @returns {Given} */
export function inlined(unit, writer, f, args) {
  const { scope, giveBack } = writer;
  /** @type {Map<string, Variable>} */
  const top = new Map();
  const copies = f.hasOut || args.some((a) => a.c.some((s) => !isSimple(s)));
  const variables = f.params.map((p, i) => {
    const given = args[i]?.c ?? [];
    const changes = p.q === 'inout' || f.writes.has(p.name) || (f.handed.has(p.name) && handsOut(unit, f, p.name));
    const own =
      p.q === 'out'
        ? writer.declare(p.name, p.t)
        : changes
          ? writer.declare(p.name, p.t, given)
          : { t: p.t, c: given.map((s) => (copies ? writer.keep(s) : s)) };
    top.set(p.name, own);
    return own;
  });
  /** @type {string[]} */
  let result = [];
  let label = '';
  if (!f.tail) {
    label = writer.fresh('L');
    result = f.ret.n ? writer.declare(`${f.name}_r`, f.ret).c : [];
    writer.out.push(`${label}: {`);
  }
  writer.scope = [top, new Map()];
  writer.stack.push(f);
  writer.giveBack = (value) => {
    if (f.tail) {
      if (value) result = value.c.map((s) => writer.keep(s));
      return;
    }
    value?.c.forEach((s, i) => writer.out.push(`${result[i]} = ${s};`));
    writer.out.push(`break ${label};`);
  };
  unit.back.block(unit, writer, f.body);
  writer.stack.pop();
  if (label) writer.out.push('}');
  writer.scope = scope;
  writer.giveBack = giveBack;
  return { result, outs: variables.map((own, i) => (f.params[i]?.q === 'in' ? null : own.c)) };
}

/** What an expression that is assigned to stands for. @param {Unit} unit @param {Writer} writer @param {Node} node @returns {string[]} */
export function assignable(unit, writer, node) {
  const name = rootName(node) ?? unit.fail('not assignable', node);
  const variable = unit.find(writer, name, node);
  if (variable.const) unit.fail(`'${name}' is const`, node);
  const { c } =
    node.type === 'postfix'
      ? select(unit, writer, expression(unit, writer, node.expression), node.postfix, node)
      : variable;
  if (new Set(c).size !== c.length) unit.fail('a swizzle that is written cannot repeat a component', node);
  return c;
}

/** The right side of an assignment. @param {Unit} unit @param {Writer} writer @param {Node} node @returns {Value} */
export function rightSide(unit, writer, node) {
  if (node.type === 'function_call') return call(unit, writer, node, true);
  return node.type === 'group' ? rightSide(unit, writer, node.expression) : expression(unit, writer, node);
}

/** What a function that is being written gives back. @param {Writer} writer @returns {Type} */
export const wanted = (writer) => writer.stack.at(-1)?.ret ?? VOID;
