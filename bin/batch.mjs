// Many deliveries one after another, from a list.
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { basename, dirname, resolve } from 'node:path';
import { ending } from '../scripts/run.mjs';
import { render } from './headless.mjs';
import { UsageError } from './output.mjs';

/** @typedef {Record<string, string | boolean> & { piece: string, out: string }} Entry */

/** Options as the command line has them: numbers as they are typed. @param {object} entry */
const asTyped = (entry) =>
  Object.fromEntries(
    Object.entries(entry).map(([name, value]) => [name, typeof value === 'number' ? String(value) : value]),
  );

/** @param {string} list @returns {Entry[]} */
function readList(list) {
  /** @type {unknown} */
  let json;
  try {
    json = JSON.parse(readFileSync(list, 'utf8'));
  } catch (error) {
    throw new UsageError(`${basename(list)} is not JSON (${error instanceof Error ? error.message : String(error)})`);
  }
  if (!Array.isArray(json)) throw new UsageError(`${basename(list)} is no list: it begins with [`);
  return json.map((entry, i) => {
    const whole = typeof entry === 'object' && entry !== null ? asTyped(entry) : {};
    for (const name of ['piece', 'out'])
      if (typeof whole[name] !== 'string') throw new UsageError(`entry ${i + 1} of ${basename(list)} needs "${name}"`);
    return /** @type {Entry} */ (whole);
  });
}

/** What of a list is done, by the names of its entries. @param {string} file @returns {Set<string>} */
function readDone(file) {
  try {
    return new Set(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return new Set();
  }
}

/**
 * @param {string} list
 * @param {boolean} resume
 * @param {(target: string) => string} pieceFile
 * @returns {Promise<number>} the exit code
 */
export async function batch(list, resume, pieceFile) {
  const entries = readList(list);
  const memory = `${list}.done`;
  const done = resume ? readDone(memory) : new Set();
  let failed = 0;
  for (const [i, entry] of entries.entries()) {
    const { piece, out } = entry;
    const target = resolve(dirname(list), out);
    const file = piece.startsWith('demo:') ? pieceFile(piece) : resolve(dirname(list), piece);
    const say = (/** @type {string} */ words) => console.log(`${i + 1} of ${entries.length}: ${out}: ${words}`);
    try {
      if (!existsSync(file)) throw new UsageError(`there is no piece ${piece}`);
      const name = createHash('sha256').update(JSON.stringify(entry)).update(readFileSync(file)).digest('hex');
      if (done.has(name) && existsSync(target)) {
        say('done before');
        continue;
      }
      const code = await render(file, { ...entry, out: target, resume });
      if (code !== 0) throw new Error('it was not what was asked for');
      done.add(name);
      writeFileSync(`${memory}.part`, JSON.stringify([...done]));
      renameSync(`${memory}.part`, memory);
    } catch (error) {
      if (ending) await new Promise(() => undefined);
      failed++;
      say(`failed: ${error instanceof Error ? error.message : String(error)}`);
    }
  }
  console.log(`${entries.length - failed} of ${entries.length} are done`);
  return failed === 0 ? 0 : 1;
}
