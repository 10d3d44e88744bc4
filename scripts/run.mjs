// Small helpers for the scripts that set the project up. Nothing here needs an installed package.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the project's folder, its output shown. @returns its exit code */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) throw result.error;
  return result.status ?? 1;
}

/** Installs the packages when they are missing or the lock file is newer than they are. */
export function ensurePackages() {
  const marker = join(root, 'node_modules/.package-lock.json');
  const fresh = existsSync(marker) && statSync(marker).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs;
  if (fresh) return;
  console.log('Installing packages…');
  if (run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel', 'error']) !== 0)
    throw new Error('npm ci failed: see above');
}

const newest = (path) => {
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
};

/** Builds the app when its sources are newer than the last build. */
export function ensureBuilt() {
  const entry = join(root, 'dist/server/entry.mjs');
  const sources = ['src', 'public', 'demo', 'stock', 'astro.config.mjs', 'package-lock.json'].map((name) =>
    join(root, name),
  );
  if (existsSync(entry) && statSync(entry).mtimeMs > Math.max(...sources.map(newest))) return;
  console.log('Building…');
  if (run('npx', ['astro', 'build', '--silent']) !== 0) throw new Error('the build failed: see above');
}
