// Whether a change that is meant to change no picture changes none: builds another revision beside this one and compares the
// bytes of every demo piece and every preset at three phases.
//   npm run same -- REV [--size 160x90] [--passes 4] [--only TEXT]
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { execFileSync } from 'node:child_process';
import { parseArgs } from 'node:util';
import { launchBrowser } from '../bin/browser.mjs';
import { modulesOf } from './modules.mjs';
import { ensureBuilt, root, run } from './run.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { size: { type: 'string' }, passes: { type: 'string' }, only: { type: 'string' } },
});
const [revision] = positionals;
const [width, height] = (values.size ?? '160x90').split('x').map(Number);
const passes = Number(values.passes ?? 4);
if (revision === undefined || !(width >= 16 && height >= 16 && passes >= 1)) {
  console.error('same: name a revision: npm run same -- REV [--size 160x90] [--passes 4] [--only TEXT]');
  process.exit(2);
}
/** Parts of the lap that are looked at. */
const PHASES = [0, 0.31, 0.77];

/** @param {string[]} args */
const git = (...args) => execFileSync('git', args, { cwd: root, encoding: 'utf8', maxBuffer: 1e9 }).trim();

/** The built tree of a revision, made once and kept among the temporary files. @param {string} name */
async function treeOf(name) {
  const commit = git('rev-parse', '--verify', `${name}^{commit}`);
  const tree = join(tmpdir(), 'isomorph-same', commit);
  if (!existsSync(join(tree, 'package.json'))) {
    mkdirSync(tree, { recursive: true });
    const archive = join(tree, 'tree.tar');
    execFileSync('git', ['archive', '--output', archive, commit], { cwd: root });
    execFileSync('tar', ['-xf', archive, '-C', tree]);
  }
  /** @param {string} at */
  const lock = (at) =>
    createHash('sha256')
      .update(readFileSync(join(at, 'package-lock.json')))
      .digest('hex');
  if (!existsSync(join(tree, 'node_modules'))) {
    // copied: what is installed in the one tree must change nothing in the other
    if (lock(tree) === lock(root))
      cpSync(join(root, 'node_modules'), join(tree, 'node_modules'), { recursive: true, verbatimSymlinks: true });
    else if ((await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel', 'error'], { cwd: tree })) !== 0)
      throw new Error('npm ci failed: see above');
  }
  if (!existsSync(join(tree, 'dist/server/entry.mjs'))) {
    console.log(`Building ${name}…`);
    if ((await run('npx', ['astro', 'build', '--silent'], { cwd: tree })) !== 0) throw new Error('the build failed');
  }
  return tree;
}

/**
 * Every document of a tree that is drawn: its own demo pieces, and a piece around each of its presets.
 * @param {string} tree
 * @returns {Promise<Map<string, unknown>>}
 */
async function documentsOf(tree) {
  const demos = readdirSync(join(tree, 'demo')).map((file) => [
    `demo ${file.split('.')[0]}`,
    JSON.parse(readFileSync(join(tree, 'demo', file), 'utf8')),
  ]);
  const vite = await modulesOf(tree);
  const core = await vite.ssrLoadModule('/src/core/index.ts');
  // older revisions list kinds and presets otherwise
  const kinds = core.LAYERS?.names ?? core.layerKinds;
  /** @param {string} kind @returns {unknown[]} */
  const presetsOf = (kind) => core.PRESETS?.[kind] ?? core.definitionOf(kind).presets;
  const presets = kinds.flatMap((/** @type {string} */ kind) =>
    presetsOf(kind).map((_, i) => [
      `preset ${kind} ${i + 1}`,
      core.toDocument(
        core.PieceSchema.parse({
          id: 'preset',
          name: 'Preset',
          lap: { frames: 60, rate: { num: 30, den: 1 } },
          layers: [core.presetLayer(kind, i, { id: 'one', name: 'One', seed: 7 })],
          flight: { shutterDeg: 180 },
          look: {},
        }),
      ),
    ]),
  );
  await vite.close();
  return new Map([...demos, ...presets]);
}

/** Draws for a tree. @param {string} tree @param {import('playwright-core').Browser} browser */
async function drawing(tree, browser) {
  const { startServer } = await import(pathToFileURL(join(tree, 'bin/server.mjs')).href);
  const server = await startServer();
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${server.url}/lab`);
  await page.waitForFunction(() => 'lab' in globalThis);
  return {
    documents: await documentsOf(tree),
    draw: async (/** @type {unknown} */ document, /** @type {number} */ phase) =>
      Buffer.from(
        await page.evaluate(
          async ({ json, at, w, h, n }) => {
            const piece = globalThis.lab.parse(json);
            const frameIndex = Math.floor(at * piece.lap.frames);
            const bytes = await globalThis.lab.engine.api.pixels({ piece, frameIndex, width: w, height: h, passes: n });
            let text = '';
            for (let i = 0; i < bytes.length; i += 32_768)
              text += String.fromCharCode(...bytes.subarray(i, i + 32_768));
            return btoa(text);
          },
          { json: document, at: phase, w: width, h: height, n: passes },
        ),
        'base64',
      ),
    close: () => server.close(),
  };
}

await ensureBuilt();
const browser = await launchBrowser();
const [here, there] = [await drawing(root, browser), await drawing(await treeOf(revision), browser)];
const wanted = [...here.documents.keys()].filter((name) => name.includes(values.only ?? ''));
let compared = 0;
let different = 0;
let alone = 0;
for (const name of wanted) {
  if (!there.documents.has(name)) {
    alone++;
    continue;
  }
  for (const phase of PHASES) {
    const [mine, theirs] = [
      await here.draw(here.documents.get(name), phase),
      await there.draw(there.documents.get(name), phase),
    ];
    compared++;
    if (mine.equals(theirs)) continue;
    different++;
    let most = 0;
    let bytes = 0;
    for (let i = 0; i < mine.length; i++) {
      const off = Math.abs(mine[i] - theirs[i]);
      if (off > 0) bytes++;
      most = Math.max(most, off);
    }
    console.log(`${name} at ${phase}: ${((100 * bytes) / mine.length).toFixed(2)} % of bytes differ, by up to ${most}`);
  }
}
console.log(
  `${compared} pictures compared with ${revision}: ${different === 0 ? 'the same, byte for byte' : `${different} differ`}` +
    (alone > 0 ? `; ${alone} pieces or presets are not in ${revision}` : ''),
);
await browser.close();
await Promise.all([here.close(), there.close()]);
process.exit(different > 0 || compared === 0 ? 1 : 0);
