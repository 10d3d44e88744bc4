// Small helpers for the scripts that set the project up. Nothing here needs an installed package.
import { spawn } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');

/** Tools that we start tell nobody about it, and ask nobody for news. */
const QUIET_TOOLS = { ASTRO_TELEMETRY_DISABLED: '1', ASTRO_DISABLE_UPDATE_CHECK: 'true', NO_UPDATE_NOTIFIER: '1' };

/** @type {Set<import('node:child_process').ChildProcess>} */
const children = new Set();
const CODES = { SIGINT: 130, SIGTERM: 143 };
/** @type {Set<() => unknown>} */
const farewells = new Set();
/** Whether a signal is ending this process: what fails meanwhile fails because of that. */
export let ending = false;

/**
 * Does something before a signal ends this process; all of it together has a second.
 * @param {() => unknown} work
 * @returns takes it back
 */
export function beforeEnd(work) {
  farewells.add(work);
  return () => farewells.delete(work);
}

for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM']))
  process.once(signal, () => {
    ending = true;
    for (const child of children) child.kill(signal);
    const late = new Promise((done) => setTimeout(done, 1000));
    Promise.race([Promise.allSettled([...farewells].map((work) => work())), late]).then(() =>
      process.exit(CODES[signal]),
    );
  });

/**
 * Runs a command in the project's folder, its output shown.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions} options
 * @param {string[]} [held] takes what it prints, where that is piped
 * @returns {Promise<number>} its exit code
 */
export function run(command, args, options = {}, held) {
  return new Promise((done, fail) => {
    const env = { ...process.env, ...QUIET_TOOLS, ...options.env };
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options, env });
    children.add(child);
    for (const stream of [child.stdout, child.stderr])
      stream?.setEncoding('utf8').on('data', (text) => held?.push(text));
    child.on('error', fail);
    // what it printed last may come after its end
    child.on('close', (code) => {
      children.delete(child);
      done(code ?? 1);
    });
  });
}

/** Installs the packages when they are missing or the lock file is newer than they are. */
export async function ensurePackages() {
  const marker = join(root, 'node_modules/.package-lock.json');
  const fresh = existsSync(marker) && statSync(marker).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs;
  if (fresh) return;
  console.log('Installing packages…');
  if ((await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel', 'error'])) !== 0)
    throw new Error('npm ci failed: see above');
}

/** When the youngest of a file or a folder's files was changed. @param {string} path @returns {number} */
const newest = (path) => {
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
};

/** Builds the app when its sources are newer than the last build. */
export async function ensureBuilt() {
  const entry = join(root, 'dist/server/entry.mjs');
  const sources = ['src', 'public', 'demo', 'stock', 'astro.config.mjs', 'package-lock.json'].map((name) =>
    join(root, name),
  );
  if (existsSync(entry) && statSync(entry).mtimeMs > Math.max(...sources.map((source) => newest(source)))) return;
  console.log('Building…');
  if ((await run('npx', ['astro', 'build', '--silent'])) !== 0) throw new Error('the build failed: see above');
}
