// Translates every kernel under src/core (x.glsl) into TypeScript beside it (x.gen.ts), which is not kept in the repository.
//   build.mjs            make what is stale          build.mjs --watch   and again on every change
// A kernel is annotated in comments:
//   @include PATH                     text of another file that stands before this one's
//   @kernel NAME FUNCTION [COLUMN…]   an element kernel: NAMEKernel, a loop over columns (those named, and all that it writes;
//                                     `id` is the running index) with the type NAMEValues of what else it must be given
//   @export FUNCTION                  one call of it in TypeScript; what it gives back is in kernel/scratch
//   @shared FUNCTION                  called by all who use it, never copied into them
//   @choice NAME OPTION…              choices that have a number: an object in TypeScript, NAME_OPTION in the kernel
import { existsSync, readFileSync, readdirSync, statSync, watch, writeFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { KernelError } from './error.mjs';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
const coreDir = join(root, 'src/core');
const scratch = join(coreDir, 'kernel/scratch');
const runtime = join(coreDir, 'kernel/kernel');
/** Numbers that the scratch arrays of kernel/scratch.ts hold. */
const SCRATCH = 64;

/**
 * A line of a kernel, and where a person wrote it.
 * @typedef {{ code: string, file: string, line: number }} Line
 * @typedef {import('./translate.mjs').Loop} Loop
 * @typedef {import('./translate.mjs').Parameter} Parameter
 * @typedef {typeof import('./translate.mjs').translate} Translate
 */

/** What is said of one sort in a kernel's comments, in words. @param {string} text @param {string} word @returns {[string, ...string[]][]} */
const annotations = (text, word) =>
  [...text.matchAll(new RegExp(`^// @${word} +(.+)$`, 'gm'))].map(([, said = '']) => {
    const [first = '', ...rest] = said.trim().split(/\s+/);
    return [first, ...rest];
  });
/** @param {string} path */
const read = (path) => readFileSync(path, 'utf8');
/** @param {string} path */
const included = (path) => annotations(read(path), 'include').map(([target]) => resolve(dirname(path), target));
/** @param {string} name */
const capital = (name) => name.charAt(0).toUpperCase() + name.slice(1);
/** @param {string[]} names */
const constant = (...names) => names.map((name) => name.replace(/[A-Z]/g, '_$&').toUpperCase()).join('_');

/**
 * Lines of a file's own code: its choices as constants, then what is no comment at the start of a line.
 * @param {string} path
 * @returns {Line[]}
 */
function ownLines(path) {
  const text = read(path);
  const file = relative(root, path);
  const choices = annotations(text, 'choice').flatMap(([name, ...options]) =>
    options.map((option, i) => ({ code: `const int ${constant(name, option)} = ${i};`, file, line: 1 })),
  );
  const code = text.split('\n').map((line, index) => ({ code: line, file, line: index + 1 }));
  return [...choices, ...code.filter((line) => !line.code.startsWith('//'))];
}

/**
 * A file and all it includes, each once, what is included first.
 * @param {string} path
 * @param {Set<string>} seen
 * @returns {string[]}
 */
function filesOf(path, seen = new Set()) {
  if (seen.has(path)) return [];
  seen.add(path);
  return [...included(path).flatMap((file) => filesOf(file, seen)), path];
}

/** Where each shared function is written. @param {string[]} files */
function sharedIn(files) {
  return new Map(files.flatMap((file) => annotations(read(file), 'shared').map(([name]) => [name, file])));
}

/** @param {string} from @param {string} to */
const specifier = (from, to) => {
  const name = relative(dirname(from), to).replace(/\.glsl$/, '.gen');
  return name.startsWith('.') ? name : `./${name}`;
};

/**
 * Translates, naming the file and line a person wrote when the kernel is refused.
 * @param {Translate} translate
 * @param {Line[]} lines
 * @param {Partial<import('./translate.mjs').Options>} options
 */
function translated(translate, lines, options) {
  try {
    return translate(lines.map(({ code }) => code).join('\n'), options);
  } catch (error) {
    if (!(error instanceof KernelError)) throw error;
    const origin = lines[error.loc.line - 1];
    if (!origin) throw error;
    const what = error.message.split('\n')[0].replace(/^.*?error: /, '');
    throw new Error(`${origin.file}:${origin.line}:${error.loc.column}: error: ${what}\n  ${origin.code}`, {
      cause: error,
    });
  }
}

/** @type {Record<string, string>} */
const VALUE = {
  float: 'number',
  int: 'number',
  uint: 'number',
  bool: 'number',
  sampler2D: 'Float64Array | FilledTable',
};
/** @param {Parameter} parameter */
const typeOf = ({ type, numbers }) => VALUE[type] ?? `Numbers<${numbers}>`;

/**
 * The typed kernel: its parameters, its loop, and the type of the values it must be given.
 * @param {Loop} loop
 * @param {Parameter[]} signature
 */
function kernelText({ name, fn, varying }, signature) {
  const values = signature.filter((p) => p.direction === 'in' && p.name !== 'id' && !varying.includes(p.name));
  const type = `${capital(name)}Values`;
  return [
    `/** What ${fn} must be given besides its columns. */`,
    `export type ${type} = {`,
    ...values.map((p) => `  ${p.name}: ${typeOf(p)};`),
    '};',
    `export const ${name}Kernel: Kernel<${type}> = {`,
    `  entry: '${fn}',`,
    '  sources,',
    `  signature: ${JSON.stringify(signature.map(({ numbers: _, ...p }) => p))},`,
    `  columns: [${varying.map((column) => `'${column}'`).join(', ')}],`,
    `  run: ${name}Run,`,
    '};',
    '',
  ].join('\n');
}

/** @param {string} path */
const literal = (path) =>
  ownLines(path)
    .map(({ code }) => code)
    .join('\n')
    .replace(/\\/g, '\\\\')
    .replace(/`/g, '\\`')
    .replace(/\$\{/g, '\\${');

/** The TypeScript of a kernel file. @param {Translate} translate @param {string} path */
function generated(translate, path) {
  const text = read(path);
  const files = filesOf(path);
  const shared = sharedIn(files);
  const kernels = annotations(text, 'kernel').map(([name, fn, ...varying]) => ({ name, fn, varying }));
  const { code, signatures, imported, floats, integers } = translated(translate, files.flatMap(ownLines), {
    file: relative(root, path),
    exports: annotations(text, 'export').map(([name]) => name),
    called: annotations(text, 'shared').map(([name]) => name),
    loops: kernels.map(({ name, fn, varying }) => ({ name: `${name}Run`, fn, varying })),
    shared: (name) => {
      const home = shared.get(name);
      return home === undefined ? null : home === path ? '' : home;
    },
  });
  if (Math.max(floats, integers) > SCRATCH) throw new Error(`${relative(root, path)}: a call of too many numbers`);
  const direct = included(path);
  /** @param {string} to */
  const from = (to) => specifier(path, to);
  const lines = [
    `// Made from ${relative(root, path)} by npm run kernels. Do not edit.`,
    '// @ts-nocheck: unrolled loops compare constants',
    ...(code.trim() === '' ? [] : [`import { RF as REALS, RI as INTEGERS } from '${from(scratch)}';`]),
    ...(kernels.length > 0 ? [`import type { FilledTable, Kernel, Numbers } from '${from(runtime)}';`] : []),
    ...direct.map((file, i) => `import { sources as from${i} } from '${from(file)}';`),
    ...[...imported].map(([name, home]) => `import { ${name} as its_${name} } from '${from(home)}';`),
    // names of this module: where modules are not bundled, an imported one is looked up at every use
    ...(code.trim() === '' ? [] : ['const RF = REALS, RI = INTEGERS;']),
    ...[...imported.keys()].map((name) => `const ${name} = its_${name};`),
    code,
    "/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */",
    'export const sources: Record<string, string> = {',
    ...direct.map((_, i) => `  ...from${i},`),
    `  '${relative(coreDir, path)}': \`${literal(path)}\`,`,
    '};',
    ...annotations(text, 'choice').map(
      ([name, ...options]) =>
        `export const ${name} = { ${options.map((option, i) => `${option}: ${i}`).join(', ')} } as const;`,
    ),
    ...kernels.map((kernel) => kernelText(kernel, signatures[kernel.fn])),
  ];
  return `${lines.join('\n').trimEnd()}\n`;
}

/** @param {string} path */
const outOf = (path) => path.replace(/\.glsl$/, '.gen.ts');

function kernelFiles() {
  return readdirSync(coreDir, { recursive: true })
    .map(String)
    .filter((name) => name.endsWith('.glsl'))
    .map((name) => join(coreDir, name));
}

/** Makes the translations of all kernels where one is missing or older than a kernel or the translator. Says nothing. */
export async function ensureKernels() {
  const files = kernelFiles();
  const tools = readdirSync(join(root, 'scripts/kernels'), { recursive: true })
    .map(String)
    .filter((name) => name.endsWith('.mjs'))
    .map((name) => join(root, 'scripts/kernels', name));
  const newest = Math.max(...[...files, ...tools].map((path) => statSync(path).mtimeMs));
  if (files.every((path) => existsSync(outOf(path)) && statSync(outOf(path)).mtimeMs >= newest)) return 0;
  const { translate } = await import('./translate.mjs');
  for (const path of files) writeFileSync(outOf(path), generated(translate, path));
  return files.length;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const made = await ensureKernels();
  if (made > 0) console.log(`${made} kernels translated`);
  if (process.argv.includes('--watch'))
    watch(coreDir, { recursive: true }, (_, name) => {
      if (!name?.endsWith('.glsl')) return;
      ensureKernels().catch((error) => console.error(error.message));
    });
}
