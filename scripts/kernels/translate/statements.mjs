import { assignable, call, constantInteger, expression, rightSide, wanted } from './expressions.mjs';
import { binary } from './operators.mjs';
import { operate } from './scalars.mjs';
import { qualifiersOf, rootName, walk } from './tree.mjs';
import { isInteger, isNumber, vector, VOID } from './types.mjs';

/**
 * @typedef {import('./types.mjs').Node} Node
 * @typedef {import('./unit.mjs').Unit} Unit
 * @typedef {import('./writer.mjs').Writer} Writer
 */

/** Loops of at most so many rounds are written out. */
const UNROLLED = 4;
const MOST_ROUNDS = 1e6;

const BOOL = vector('b', 1);

/** Writes values to variables, by way of others where one is read after it was written. @param {Writer} writer @param {string[]} to @param {string[]} values */
function store(writer, to, values) {
  const reads = (/** @type {string} */ text, /** @type {string} */ name) =>
    new RegExp(`(^|[^\\w$])${name.replace(/\$/g, '\\$')}($|[^\\w$])`).test(text);
  const clash = values.some((s, i) => to.some((name, j) => j < i && reads(s, name)));
  const given = !clash
    ? values
    : values.map((s) => {
        const name = writer.fresh('t');
        writer.out.push(`const ${name} = ${s};`);
        return name;
      });
  to.forEach((name, i) => {
    if (name !== given[i]) writer.out.push(`${name} = ${given[i]};`);
  });
}

/** @param {Unit} unit @param {Writer} writer @param {Node} node */
function assign(unit, writer, node) {
  const op = node.operator.literal;
  const right = rightSide(unit, writer, node.right);
  const now = expression(unit, writer, node.left);
  const to = assignable(unit, writer, node.left);
  const value = op === '=' ? right : binary(unit, writer, op.slice(0, -1), now, right, node);
  store(writer, to, unit.coerce(value, now.t, node).c);
}

/** ++ and --. @param {Unit} unit @param {Writer} writer @param {Node} target @param {string} op */
function step(unit, writer, target, op) {
  const { t, c } = expression(unit, writer, target);
  store(
    writer,
    assignable(unit, writer, target),
    c.map((s) => operate(op.charAt(0), t.b, s, '1')),
  );
}

/** @param {Unit} unit @param {Writer} writer @param {Node} list */
function declare(unit, writer, list) {
  const t = unit.typeOf(list.specified_type);
  const fixed = qualifiersOf(list.specified_type.qualifiers).includes('const');
  for (const one of list.declarations) {
    if (one.quantifier) unit.fail('arrays are outside the subset', one);
    const value = one.initializer ? unit.coerce(rightSide(unit, writer, one.initializer), t, one) : null;
    const name = one.identifier.identifier;
    const known = fixed && value?.c.every(isNumber);
    writer.set(name, {
      ...(known ? { t, c: value?.c ?? [] } : writer.declare(name, t, value?.c)),
      const: fixed,
    });
  }
}

/** Statements one after another. @param {Unit} unit @param {Writer} writer @param {Node[]} list */
export function block(unit, writer, list) {
  for (const one of list) statement(unit, writer, one);
}

/** The lines of a statement with a scope of its own. @param {Unit} unit @param {Writer} writer @param {Node} node */
function body(unit, writer, node) {
  const [lines] = writer.capture(() =>
    writer.inScope(() =>
      node.type === 'compound_statement' ? block(unit, writer, node.statements) : statement(unit, writer, node),
    ),
  );
  return lines;
}

/** @param {Unit} unit @param {Writer} writer @param {Node} node @returns {void} */
function statement(unit, writer, node) {
  unit.reach(node);
  switch (node.type) {
    case 'compound_statement':
      return writer.inScope(() => block(unit, writer, node.statements));
    case 'declaration_statement':
      if (node.declaration.type !== 'declarator_list') unit.fail('declaration is outside the subset', node);
      return declare(unit, writer, node.declaration);
    case 'expression_statement':
      return effect(unit, writer, node.expression, node);
    case 'if_statement':
      return condition(unit, writer, node);
    case 'for_statement':
      return writer.inScope(() => loop(unit, writer, node));
    case 'return_statement': {
      const value = node.expression ? rightSide(unit, writer, node.expression) : null;
      const t = wanted(writer);
      if ((value?.t ?? VOID) !== t) unit.fail(`return: expected ${t.name}, found ${value?.t.name ?? 'nothing'}`, node);
      return writer.giveBack(value);
    }
    case 'break_statement':
      writer.out.push('break;');
      return;
    case 'continue_statement':
      writer.out.push('continue;');
      return;
    default:
      unit.fail(`statement '${node.type}' is outside the subset`, node);
  }
}

/** An expression that stands alone. @param {Unit} unit @param {Writer} writer @param {Node} expr @param {Node} node @returns {void} */
function effect(unit, writer, expr, node) {
  if (!expr) return;
  if (expr.type === 'assignment') return assign(unit, writer, expr);
  if (expr.type === 'function_call') return void call(unit, writer, expr, true);
  if (expr.type === 'postfix' && expr.postfix.type === 'literal')
    return step(unit, writer, expr.expression, expr.postfix.literal);
  if (expr.type === 'unary' && /\+\+|--/.test(expr.operator.literal))
    return step(unit, writer, expr.expression, expr.operator.literal);
  unit.fail('statement has no effect', node);
}

/** @param {Unit} unit @param {Writer} writer @param {Node} node */
function condition(unit, writer, node) {
  const asked = unit.coerce(expression(unit, writer, node.condition), BOOL, node.condition);
  const then = body(unit, writer, node.body);
  const otherwise = Array.isArray(node.else)
    ? node.else.find((/** @type {Node} */ one) => one.type !== 'keyword')
    : node.else;
  writer.out.push(`if (${asked.c[0]}) {`, ...then, '}');
  if (otherwise) writer.out.push('else {', ...body(unit, writer, otherwise), '}');
}

/** By how much a loop counts on; null for what is no counting. @param {Unit} unit @param {Writer} writer @param {Node} operation */
function stepOf(unit, writer, operation) {
  switch (operation.type) {
    case 'postfix':
      return operation.postfix.literal === '++' ? 1 : -1;
    case 'unary':
      return operation.operator.literal === '++' ? 1 : -1;
    case 'assignment':
      return operation.operator.literal === '+=' ? constantInteger(unit, writer, operation.right) : null;
    default:
      return null;
  }
}

/** @type {Record<string, (i: number, end: number) => boolean>} */
const GOES_ON = {
  '<': (i, end) => i < end,
  '<=': (i, end) => i <= end,
  '>': (i, end) => i > end,
  '>=': (i, end) => i >= end,
};

/** Where a loop begins or ends: a number that is known while translating, or a name. @param {Unit} unit @param {Writer} writer @param {Node} node @returns {number | string} */
function limitOf(unit, writer, node) {
  const { t, c } = expression(unit, writer, node);
  const text = String(c[0]);
  if (t.n !== 1 || !isInteger(t.b)) unit.fail('a loop goes from one integer to another', node);
  return /^\d+$/.test(text) ? Number(text) : writer.keep(text);
}

/** @param {Unit} unit @param {Writer} writer @param {Node} node */
function loop(unit, writer, node) {
  const bad = () => unit.fail('for: write it as for (int i = A; i < B; i++) with integers A and B', node);
  const counters = node.init?.declarations;
  const { condition: asked } = node;
  const name = counters?.[0]?.identifier.identifier;
  if (!counters || counters.length !== 1 || asked?.type !== 'binary' || rootName(asked.left) !== name) bad();
  const t = unit.typeOf(node.init.specified_type);
  if (!isInteger(t.b)) bad();
  const [first, end] = [counters[0].initializer, asked.right].map((limit) => limitOf(unit, writer, limit));
  const op = asked.operator.literal;
  const goesOn = GOES_ON[op] ?? bad();
  const by = stepOf(unit, writer, node.operation) ?? bad();
  const own = writer.unique(name);
  const write = () => {
    writer.set(name, { t, c: [own], const: true });
    const lines = body(unit, writer, node.body);
    writer.out.push(`for (let ${own} = ${first}; ${own} ${op} ${end}; ${own} += ${by}) {`, ...lines, '}');
  };
  if (typeof first !== 'number' || typeof end !== 'number') return write();
  let rounds = 0;
  for (let i = first; goesOn(i, end) && rounds < MOST_ROUNDS; i += by) rounds++;
  let jumps = false;
  walk(node.body, ({ type }) => {
    if (type === 'break_statement' || type === 'continue_statement') jumps = true;
  });
  if (rounds <= UNROLLED && !jumps) {
    for (let i = first; goesOn(i, end); i += by)
      writer.inScope(() => {
        writer.set(name, { t, c: [String(i)], const: true });
        statement(unit, writer, node.body);
      });
    return;
  }
  write();
}
