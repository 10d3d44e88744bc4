// Translates a subset of GLSL ES 3.00 into scalarised TypeScript: every vector becomes one variable per component,
// so the output neither allocates nor evaluates text at run time.
//
// Outside the subset, and refused with file:line:col: arrays, structs, uniforms, preprocessor directives, recursion, while loops,
// implicit conversions, samplers but for texelFetch from the first row of one or from rows of 1024 entries. A uint is held as the int32 with the same bits.
// Arguments and results of calls that are not inlined travel through the typed arrays RF and RI, because V8 boxes
// doubles that cross a call (measured: 400 MB per million calls).
//
// translate/: types and scalars, the tree and what it declares, expressions, statements, and how functions and loops are
// written (emit).
import { parser } from '@shaderfrog/glsl-parser/index.js';
import { KernelError } from './error.mjs';
import { declareAll } from './translate/declarations.mjs';
import { emit, emitLoop } from './translate/emit.mjs';
import { block } from './translate/statements.mjs';
import { ends } from './translate/tree.mjs';
import { VOID } from './translate/types.mjs';
import { Unit } from './translate/unit.mjs';

/**
 * A loop over columns: those named, and all that the function writes.
 * @typedef {{ name: string, fn: string, varying: string[] }} Loop
 *
 * @typedef {{ name: string, type: string, direction: string, numbers: number }} Parameter
 *
 * @typedef {object} Options
 * @property {string} file
 * @property {string[]} exports functions that TypeScript calls
 * @property {string[]} called functions that are called by other kernels
 * @property {Loop[]} loops
 * @property {(name: string) => string | null} shared where a function that is called, not copied, is written: '' for here, null for one that is copied
 *
 * @typedef {object} Translated
 * @property {string} code
 * @property {Record<string, Parameter[]>} signatures
 * @property {Map<string, string>} imported shared functions written elsewhere, with where
 * @property {number} floats numbers of each sort that cross a call at the most
 * @property {number} integers
 */

/** The parser's tree. @param {string} source @param {string} file */
function parsed(source, file) {
  try {
    return parser.parse(source, { quiet: true, includeLocation: true, stage: 'vertex' });
  } catch (error) {
    if (!(error instanceof Error)) throw error;
    const { location } = /** @type {{ location?: import('./error.mjs').Location }} */ (error);
    const message = error.message.replace(/Expected .* but/, 'unexpected token,');
    throw new KernelError(`syntax: ${message}`, location, source, file);
  }
}

/**
 * @param {string} source
 * @param {Partial<Options>} options
 * @returns {Translated}
 * @throws KernelError with file:line:column for what the subset does not hold
 */
export function translate(
  source,
  { file = 'kernel.glsl', exports = [], called = [], loops = [], shared = () => null } = {},
) {
  const unit = new Unit(source, file, shared, { block, emit });
  declareAll(unit, parsed(source, file).program);
  for (const forms of unit.functions.values())
    for (const { name, ret, body, node } of forms)
      if (ret !== VOID && !ends(body)) unit.fail(`'${name}' can end without returning a value`, node);
  const formsOf = (/** @type {string} */ name, /** @type {string} */ as) =>
    unit.functions.get(name) ?? unit.fail(`${as} '${name}' not found`);
  for (const name of exports) for (const f of formsOf(name, 'export')) emit(unit, f);
  for (const name of called) for (const f of formsOf(name, 'shared')) emit(unit, f, true);
  for (const loop of loops) emitLoop(unit, loop);
  const signatures = Object.fromEntries(
    loops.map(({ fn }) => [
      fn,
      (formsOf(fn, 'loop')[0]?.params ?? []).map(({ name, t, q }) => ({
        name,
        type: t.name,
        direction: q,
        numbers: t.n,
      })),
    ]),
  );
  const { chunks, imported, floats, integers } = unit;
  return { code: `${chunks.join('\n')}\n`, signatures, imported, floats, integers };
}
