// Ways through the parser's tree.

/** @typedef {import('./types.mjs').Node} Node */

/** Visits every node, what holds it first. @param {Node} node @param {(node: Node) => void} visit */
export function walk(node, visit) {
  if (!node || typeof node !== 'object') return;
  if (Array.isArray(node)) {
    for (const one of node) walk(one, visit);
    return;
  }
  if (node.type) visit(node);
  for (const key in node) if (key !== 'scope' && key !== 'location') walk(node[key], visit);
}

/** The name that is at the bottom of an expression that may be assigned to; null where there is none. @param {Node} node @returns {string | null} */
export function rootName(node) {
  let at = node;
  while (at.type === 'postfix' || at.type === 'group') at = at.expression;
  return at.type === 'identifier' ? at.identifier : null;
}

/** Where a node, or the first of its parts that knows, was written. @param {Node} node @returns {import('../error.mjs').Location | null} */
export function locationOf(node) {
  if (node?.location) return node.location;
  if (!node || typeof node !== 'object') return null;
  for (const [key, part] of Object.entries(node)) {
    if (key === 'scope' || !part || typeof part !== 'object') continue;
    const found = Array.isArray(part) ? part.map(locationOf).find(Boolean) : locationOf(part);
    if (found) return found;
  }
  return null;
}

/** Whether statements always end by giving back a value. @param {Node[]} list @returns {boolean} */
export function ends(list) {
  const last = list.at(-1);
  if (!last) return false;
  if (last.type === 'return_statement') return true;
  if (last.type === 'compound_statement') return ends(last.statements);
  if (last.type !== 'if_statement' || !last.else) return false;
  /** @type {Node[]} */
  const parts = [last.else].flat();
  const otherwise = parts.filter(({ type }) => type !== 'keyword');
  return ends([last.body]) && ends(otherwise);
}

/** The qualifiers of a declaration, in words. @param {Node[] | undefined} qualifiers @returns {string[]} */
export const qualifiersOf = (qualifiers) => (qualifiers ?? []).map((keyword) => keyword.token);
