// Everything that must hold: installs what is missing (packages, Chromium, ffprobe), then lint, types, unit and browser
// tests. `npm test -- --only unit,browser` runs a part.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt, ensurePackages, root, run } from './run.mjs';

const { values } = parseArgs({ options: { only: { type: 'string' } } });
const wanted = values.only?.split(',') ?? ['lint', 'types', 'unit', 'browser', 'bench'];
/** @param {string} command */
const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

async function ensureSystemPackages() {
  const missing = [
    ...(existsSync('/usr/bin/chromium') || process.env.ISOMORPH_CHROMIUM ? [] : ['chromium']),
    ...(has('ffprobe') ? [] : ['ffmpeg']),
  ];
  if (missing.length === 0) return;
  if (!has('apt-get')) throw new Error(`please install ${missing.join(' and ')}; the browser tests need it`);
  console.log(`Installing ${missing.join(' and ')}…`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  /** @type {import('node:child_process').SpawnOptions} */
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  /** @param {string[]} args */
  const apt = (...args) => {
    const [command = '', ...rest] = [...sudo, 'apt-get', ...args];
    return run(command, rest, quiet);
  };
  if ((await apt('update', '-qq')) !== 0 || (await apt('install', '-y', '-qq', ...missing)) !== 0)
    throw new Error(`${missing.join(' and ')} could not be installed: see above`);
}

await ensurePackages();
if (wanted.includes('browser') || wanted.includes('bench')) await ensureSystemPackages();
const reports = join(root, 'test-results');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

const counts = { passed: 0, failed: 0 };
/** @type {string[]} */
const failedStages = [];
/**
 * @param {string} name
 * @param {[string, ...string[]]} command
 * @param {string[]} [held] where what it prints is kept until it has ended; it is shown at once without
 */
const stage = async (name, [command, ...args], held) => {
  if (!wanted.includes(name)) return;
  /** @param {string} line */
  const say = (line) => (held ? held.push(`${line}\n`) : console.log(line));
  say(`\n── ${name}`);
  const started = Date.now();
  const ok = (await run(command, args, held ? { stdio: 'pipe' } : {}, held)) === 0;
  say(`   ${name} ${ok ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - started) / 1000)} s`);
  if (!ok) failedStages.push(name);
};
/**
 * A stage whose words come in one piece: others run beside it.
 * @param {string} name
 * @param {[string, ...string[]]} command
 */
const beside = async (name, command) => {
  /** @type {string[]} */
  const held = [];
  await stage(name, command, held);
  process.stdout.write(held.join(''));
};
/** @param {string} name */
const readReport = (name) =>
  existsSync(join(reports, name)) ? JSON.parse(readFileSync(join(reports, name), 'utf8')) : null;

const built = async () => {
  if (wanted.includes('browser')) await ensureBuilt();
};
const reporters = ['--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'];
// each keeps little more than one core busy
await Promise.all([
  beside('lint', ['npm', 'run', '-s', 'lint']),
  beside('types', ['npm', 'run', '-s', 'types']).then(built),
  beside('unit', ['npx', 'vitest', 'run', ...reporters]),
]);
await stage('browser', ['npx', 'playwright', 'test']);
await stage('bench', ['node', 'tests/bench/run.mjs', '--light']);

const core = readReport('unit.json');
/** @type {string[]} */
const failedTests = [];
if (core) {
  counts.passed += core.numPassedTests;
  counts.failed += core.numFailedTests;
  /** @typedef {{ name: string, status: string, assertionResults: { status: string, fullName: string }[] }} File */
  for (const { name, status, assertionResults } of /** @type {File[]} */ (core.testResults)) {
    const failed = assertionResults.filter((test) => test.status === 'failed').map(({ fullName }) => fullName);
    // what is done before its tests may fail too: none of them counts then
    failedTests.push(
      ...(status === 'failed' && failed.length === 0 ? [`${relative(root, name)} (before its tests)`] : failed),
    );
  }
}
const browser = readReport('browser.json');
if (browser) {
  counts.passed += browser.stats.expected + browser.stats.flaky;
  counts.failed += browser.stats.unexpected;
  /** @typedef {{ suites?: Suite[], specs?: { ok: boolean, title: string }[] }} Suite */
  /** @param {Suite} suite @returns {string[]} */
  const failedIn = ({ suites = [], specs = [] }) => [
    ...specs.filter(({ ok }) => !ok).map(({ title }) => title),
    ...suites.flatMap(failedIn),
  ];
  failedTests.push(...failedIn(browser));
}
if (failedStages.length > 0) console.log(`\nfailed: ${[...failedStages, ...failedTests].join('\n  ')}`);
console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = failedStages.length > 0 || counts.failed > 0 ? 1 : 0;
