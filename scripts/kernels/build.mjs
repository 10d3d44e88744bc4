#!/usr/bin/env node
// Translates every kernel under src/core (x.glsl) into TypeScript beside it (x.gen.ts).
//   build.mjs            write what changed          build.mjs --check   exit 1 when a generated file is stale
//   build.mjs --watch    write on every change
// A kernel is annotated in comments: `@include PATH`, `@export FUNCTION`, `@loop NAME FUNCTION [VARYING…]` (a loop over
// typed arrays of the varying and all inout parameters; `id` is the running index), `@call FUNCTION` (kept as a call, so that no
// function grows past what V8 optimises).
import { existsSync, readFileSync, readdirSync, watch, writeFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { translate } from './translate.mjs';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
const coreDir = join(root, 'src/core');

const annotations = (text, word) =>
  [...text.matchAll(new RegExp(`^// @${word} +(.+)$`, 'gm'))].map((match) => match[1].trim().split(/\s+/));

/** The lines of a file after those of its includes, each file once, every line with where it came from. */
function assemble(path, seen = new Set()) {
  if (seen.has(path)) return [];
  seen.add(path);
  const text = readFileSync(path, 'utf8');
  const before = annotations(text, 'include').flatMap(([target]) => assemble(resolve(dirname(path), target), seen));
  const own = text.split('\n').map((code, index) => ({ code, file: relative(root, path), line: index + 1 }));
  return [...before, ...own.filter(({ code }) => !code.startsWith('//'))];
}

/** Translates, naming the file and line a person wrote when the kernel is refused. */
function translateLines(lines, options) {
  try {
    return translate(lines.map(({ code }) => code).join('\n'), options);
  } catch (error) {
    const origin = lines[(error.loc?.line ?? 0) - 1];
    if (!origin) throw error;
    const what = error.message.split('\n')[0].replace(/^.*?error: /, '');
    throw new Error(`${origin.file}:${origin.line}:${error.loc.column}: error: ${what}\n  ${origin.code}`, {
      cause: error,
    });
  }
}

function generate(path) {
  const text = readFileSync(path, 'utf8');
  const exports = annotations(text, 'export').map(([name]) => name);
  if (exports.length === 0) return null;
  const lines = assemble(path);
  const calls = new Set(annotations(text, 'call').map(([name]) => name));
  const loops = annotations(text, 'loop').map(([name, fn, ...varying]) => ({ name, fn, varying }));
  const { code, signatures } = translateLines(lines, {
    file: relative(root, path),
    exports,
    loops,
    inline: (fn) => !calls.has(fn.name),
    scratchArgs: true,
  });
  return (
    code.replace(/(@ts-nocheck.*\n)/, `$1${imports(path)}`) +
    `\n/** Parameters of each exported kernel, in order: name, GLSL type, direction. */\nexport const signatures = ${JSON.stringify(signatures)} as const;\n` +
    `\n/** The kernel's GLSL and all it includes, by file, in the order they must stand in: see kernel.ts. */\nexport const sources: Record<string, string> = {\n${ownSources(path).join('')}};\n`
  );
}

const generatedFor = (path) => annotations(readFileSync(path, 'utf8'), 'export').length > 0;

/** Included files that have a generated file of their own; those without are written out where they are needed. */
function includedKernels(path, seen = new Set()) {
  return annotations(readFileSync(path, 'utf8'), 'include').flatMap(([target]) => {
    const file = resolve(dirname(path), target);
    if (seen.has(file)) return [];
    seen.add(file);
    return generatedFor(file) ? [file] : includedKernels(file, seen);
  });
}

const specifier = (from, to) => {
  const name = relative(dirname(from), to).replace(/\.glsl$/, '.gen');
  return name.startsWith('.') ? name : `./${name}`;
};

const imports = (path) =>
  includedKernels(path)
    .map((file, i) => `import { sources as from${i} } from '${specifier(path, file)}';\n`)
    .join('');

/** Lines of the table of sources: other kernels' tables, then files without one, then the kernel itself. */
function ownSources(path) {
  const kernels = includedKernels(path);
  const plain = [];
  const visit = (file) => {
    for (const [target] of annotations(readFileSync(file, 'utf8'), 'include')) {
      const included = resolve(dirname(file), target);
      if (generatedFor(included)) continue;
      visit(included);
      if (!plain.includes(included)) plain.push(included);
    }
  };
  visit(path);
  const literal = (file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .filter((line) => !line.startsWith('//'))
      .join('\n')
      .replace(/\\/g, '\\\\')
      .replace(/`/g, '\\`')
      .replace(/\$\{/g, '\\${');
  return [
    ...kernels.map((_, i) => `  ...from${i},\n`),
    ...[...plain, path].map((file) => `  '${relative(coreDir, file)}': \`${literal(file)}\`,\n`),
  ];
}

function kernelFiles() {
  return readdirSync(coreDir, { recursive: true })
    .filter((name) => name.endsWith('.glsl'))
    .map((name) => join(coreDir, name));
}

function run(check) {
  let stale = 0;
  for (const path of kernelFiles()) {
    const out = path.replace(/\.glsl$/, '.gen.ts');
    const wanted = generate(path);
    if (wanted === null || (existsSync(out) && readFileSync(out, 'utf8') === wanted)) continue;
    if (check) {
      stale++;
      console.error(`${relative(root, out)} is stale: run npm run kernels`);
    } else {
      writeFileSync(out, wanted);
      console.log(`wrote ${relative(root, out)}`);
    }
  }
  return stale;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  if (run(process.argv.includes('--check')) > 0) process.exitCode = 1;
  if (process.argv.includes('--watch'))
    watch(coreDir, { recursive: true }, (_, name) => {
      if (!name?.endsWith('.glsl')) return;
      try {
        run(false);
      } catch (error) {
        console.error(error.message);
      }
    });
}
