// Looks at thousands of damaged files of every kind that can be brought in: npm run fuzz:files [-- --count 10000 --seed 1 --of woff2]
// They are looked at in a process of their own that is ended when one takes longer than the limit, as the app's worker is.
import { fork } from 'node:child_process';
import { clearTimeout, setTimeout } from 'node:timers';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { modulesOf } from './modules.mjs';

/** Longest that one file may take, and that the process may take to start, in milliseconds. */
const LIMIT = { file: 2000, start: 60_000 };

const { values } = parseArgs({
  options: { count: { type: 'string' }, seed: { type: 'string' }, of: { type: 'string' }, child: { type: 'boolean' } },
});
const [count, seed] = [values.count ?? '10000', values.seed ?? '1'].map(Number);

/**
 * @typedef {{ mishap: string | null, accepted: boolean, ms: number }} Tried
 * @typedef {{ format: string, from: number }} Asked
 */

/** Looks at file after file, and tells of each. */
async function child() {
  const vite = await modulesOf();
  const { tryFile, FORMATS } = await vite.ssrLoadModule('/tests/fuzz/files.ts');
  process.on('message', async (/** @type {Asked} */ { format, from }) => {
    for (let index = from; index < count; index++) process.send?.(await tryFile(format, seed, index));
  });
  process.send?.({ formats: FORMATS });
}

/** @returns {Promise<{ process: import('node:child_process').ChildProcess, formats: string[] }>} */
function start() {
  const process_ = fork(fileURLToPath(import.meta.url), ['--child', '--count', String(count), '--seed', String(seed)]);
  return new Promise((resolve, reject) => {
    const late = setTimeout(() => reject(new Error('the process did not start')), LIMIT.start);
    process_.once('message', (/** @type {{ formats: string[] }} */ { formats }) => {
      clearTimeout(late);
      resolve({ process: process_, formats });
    });
  });
}

/** @param {string} format */
async function tryAll(format) {
  /** @type {{ accepted: number, refused: number, stopped: number, slowest: number, mishaps: string[] }} */
  const found = { accepted: 0, refused: 0, stopped: 0, slowest: 0, mishaps: [] };
  let next = 0;
  while (next < count) {
    const { process: looking } = await start();
    await new Promise((/** @type {(value: void) => void} */ done) => {
      const stop = () => {
        found.stopped++;
        next++;
        looking.kill('SIGKILL');
      };
      let timer = setTimeout(stop, LIMIT.file);
      looking.on('exit', (code) => {
        clearTimeout(timer);
        // it ended by itself
        if (code && next < count) found.mishaps.push(`${next++}: the process ended`);
        done();
      });
      looking.on('message', (/** @type {Tried} */ { mishap, accepted, ms }) => {
        clearTimeout(timer);
        if (mishap) found.mishaps.push(`${next}: ${mishap}`);
        else if (accepted) found.accepted++;
        else found.refused++;
        found.slowest = Math.max(found.slowest, ms);
        if (++next === count) looking.kill();
        else timer = setTimeout(stop, LIMIT.file);
      });
      looking.send({ format, from: next });
    });
  }
  return found;
}

if (values.child) await child();
else {
  const { process: first, formats } = await start();
  first.kill();
  let wrong = 0;
  for (const format of values.of ? [values.of] : formats) {
    const { accepted, refused, stopped, slowest, mishaps } = await tryAll(format);
    wrong += mishaps.length;
    for (const mishap of mishaps.slice(0, 10)) console.log(`${format} ${mishap}`);
    console.log(
      `${format}: ${count} damaged files, ${accepted} used, ${refused} refused in words, ${stopped} ended by the limit, ` +
        `slowest of the others ${slowest.toFixed(0)} ms, ${mishaps.length} went wrong`,
    );
  }
  process.exit(wrong > 0 ? 1 : 0);
}
