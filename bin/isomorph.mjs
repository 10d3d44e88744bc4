#!/usr/bin/env node
// The command line: demo, render, check, batch. Words and exit codes for people and scripts; the work is the app's own.
import { existsSync, readFileSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { FORMAT_NAMES } from './formats.mjs';
import { readFormat, UsageError } from './output.mjs';
import { ending, ensureBuilt, ensurePackages } from '../scripts/run.mjs';

/** @type {Record<string, string>} */
const HELP = {
  demo: `isomorph demo [--port N]
  Serves the app with its demo pieces on this machine, and prints the address. Installs and builds what is missing.
  --port N        4321, or the next free one, unless it is given`,
  render: `isomorph render <piece.isomorph.json|.zip|demo:NAME> --out FILE|DIR
  Renders a lap with the app's own engine in a browser without a window, and reads the result back. Ended in the middle, it leaves what is
  finished beside the file, under its name and .parts.
  --out FILE|DIR   .mp4, .webm, .gif, .webp, one .png, a .zip of pictures, or a folder of them
  --format F       ${FORMAT_NAMES}; where the name does not say it
  --resume         goes on with what an earlier command has left
  --size WxH       pixels; the piece's own frame unless it is given
  --frames A-B     a part of the lap, or one frame; the whole lap unless it is given
  --samples N      1, 4, 16, 64 or 256 passes a frame; the piece's own unless it is given
  --rate R         of video: proof, high, master, own with --megabits N,
                   or quality with --film-quality 1 to 100
  --ten-bits       of video, where the format has them: webm
  --laps N         of video: 1 to 8 after one another
  --sound FILE     of mp4 and webm: cut to the lap, from --sound-from S seconds on, louder
                   by --sound-gain DB, its seam blended over --sound-blend S seconds
  --every N        of gif and webp: one frame of so many; --quality N of webp
  --alpha A        of pictures: none, straight or premultiplied
  --bits N         of PNG: 8 or 16; --numbers half or float of EXR
  --light L        of EXR: finished, or scene, before all effects
  --channels LIST  of EXR: depth, normal, motion, line, mattes
  --pattern NAME   of pictures: # is a digit of the number; --count-from N for the lap's first
  --lines          its drawn lines alone, white on black`,
  check: `isomorph check <piece.isomorph.json|.zip|demo:NAME> [--pictures] [--final] [--json]
  Compares both sides of the seam. Exit code 1 when the lap does not close.
  --pictures      also renders the lap small and compares neighbouring frames
  --final         the same with frames as they will be delivered: slower, and sees more
  --json          the whole report, for programs`,
  batch: `isomorph batch <list.json> [--resume]
  Renders one delivery after another. The list is JSON: objects with "piece", "out" and the options of render by their names, as in
  [{ "piece": "demo:foam-rise", "out": "foam.mp4", "size": "1280x720" }]. Files are found beside the list. What fails is said, and the next begins.
  --resume        goes on with what was left, and passes over what is done`,
};
const GENERAL = `${Object.values(HELP).join('\n\n')}

isomorph --help, isomorph COMMAND --help, isomorph --version
Exit codes: 0 done, 1 failed or does not close, 2 asked for wrongly, 130 and 143 ended by a signal.`;

/** @type {Record<string, Record<string, { type: 'string' | 'boolean' }>>} */
const options = {
  demo: { port: { type: 'string' } },
  render: {
    out: { type: 'string' },
    size: { type: 'string' },
    frames: { type: 'string' },
    samples: { type: 'string' },
    format: { type: 'string' },
    alpha: { type: 'string' },
    bits: { type: 'string' },
    numbers: { type: 'string' },
    light: { type: 'string' },
    rate: { type: 'string' },
    megabits: { type: 'string' },
    'film-quality': { type: 'string' },
    quality: { type: 'string' },
    laps: { type: 'string' },
    sound: { type: 'string' },
    'sound-from': { type: 'string' },
    'sound-gain': { type: 'string' },
    'sound-blend': { type: 'string' },
    every: { type: 'string' },
    pattern: { type: 'string' },
    'count-from': { type: 'string' },
    channels: { type: 'string' },
    'ten-bits': { type: 'boolean' },
    lines: { type: 'boolean' },
    resume: { type: 'boolean' },
  },
  check: { pictures: { type: 'boolean' }, final: { type: 'boolean' }, json: { type: 'boolean' } },
  batch: { resume: { type: 'boolean' } },
};

/** @param {{ port?: string }} values */
async function demo({ port }) {
  const wanted = port === undefined ? 4321 : Number(port);
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65535)
    throw new UsageError(`--port must be a number up to 65535, not "${port}"`);
  const { startServer } = await import('./server.mjs');
  /** @param {number} at @returns {ReturnType<typeof startServer>} */
  const start = (at) =>
    startServer({ port: at }).catch((/** @type {NodeJS.ErrnoException} */ error) => {
      // a taken port is only a problem when it was asked for
      if (error.code === 'EADDRINUSE' && port === undefined && at < wanted + 20) return start(at + 1);
      if (error.code === 'EADDRINUSE') throw new UsageError(`port ${at} is in use: choose another with --port`);
      throw error;
    });
  const server = await start(wanted);
  console.log(`Isomorph is at ${server.url}  (Ctrl+C stops it)`);
}

/** @typedef {{ positionals: string[], values: Record<string, string | boolean | undefined> }} Parsed a command line */

/** A value that is text, where one was given. @param {Parsed} parsed @param {string} name */
function textOf({ values }, name) {
  const value = values[name];
  return typeof value === 'string' ? value : undefined;
}

/** Those of some values that were given, by name. @param {Parsed} parsed @param {string[]} names @returns {Record<string, string>} */
const given = (parsed, ...names) =>
  Object.fromEntries(
    names.flatMap((name) => {
      const value = textOf(parsed, name);
      return value === undefined ? [] : [[name, value]];
    }),
  );

/** @param {unknown} thrown */
const asError = (thrown) => (thrown instanceof Error ? thrown : new Error(String(thrown)));

/** @param {string} target */
const pieceFile = (target) =>
  target.startsWith('demo:')
    ? fileURLToPath(new URL(`../demo/${target.slice(5)}.isomorph.json`, import.meta.url))
    : resolve(target);

/**
 * What can be known to be wrong before anything is installed, built or started.
 * @param {string} command
 * @param {Parsed} parsed
 */
function checkAsked(command, parsed) {
  const [target, ...extra] = parsed.positionals;
  if (target === undefined) throw new UsageError(`${command} needs a piece: a file, or demo:NAME`);
  if (extra.length > 0) throw new UsageError(`one piece at a time; "${extra[0]}" is too many`);
  const file = pieceFile(target);
  if (!existsSync(file))
    throw new UsageError(
      target.startsWith('demo:') ? `there is no demo piece "${target.slice(5)}"` : `there is no file ${target}`,
    );
  if (statSync(file).isDirectory()) throw new UsageError(`${target} is a folder: name a piece in it`);
  if (command !== 'render') return;
  const out = textOf(parsed, 'out');
  if (out === undefined) throw new UsageError('render needs --out FILE or --out DIR');
  readFormat(textOf(parsed, 'format'), out);
}

/** @param {Parsed} parsed */
function checkList({ positionals: [list, ...extra] }) {
  if (list === undefined) throw new UsageError('batch needs a list: a file of JSON');
  if (extra.length > 0) throw new UsageError(`one list at a time; "${extra[0]}" is too many`);
  if (!existsSync(list)) throw new UsageError(`there is no file ${list}`);
}

/** @param {readonly string[]} args */
async function main([command, ...rest]) {
  if (command === undefined || command === 'help' || command === '--help' || command === '-h') {
    console.log(HELP[rest[0] ?? ''] ?? GENERAL);
    return;
  }
  if (command === '--version' || command === '-v') {
    const { version } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));
    console.log(`isomorph ${version}`);
    return;
  }
  if (!Object.hasOwn(options, command))
    throw new UsageError(`there is no command "${command}": demo, render, check and batch are known`);
  if (rest.includes('--help') || rest.includes('-h')) {
    console.log(HELP[command]);
    return;
  }
  /** @type {Parsed} */
  let parsed;
  try {
    parsed = parseArgs({ args: rest, options: options[command], allowPositionals: command !== 'demo' });
  } catch (error) {
    throw new UsageError(asError(error).message.split('. ')[0]);
  }
  if (command === 'batch') checkList(parsed);
  else if (command !== 'demo') checkAsked(command, parsed);
  await ensurePackages();
  await ensureBuilt();
  if (command === 'demo') return demo(given(parsed, 'port'));
  if (command === 'batch') {
    const { batch } = await import('./batch.mjs');
    process.exitCode = await batch(resolve(parsed.positionals[0]), parsed.values.resume === true, pieceFile);
    return;
  }
  const { check, render } = await import('./headless.mjs');
  const file = pieceFile(parsed.positionals[0]);
  process.exitCode =
    command === 'check'
      ? await check(file, {
          pictures: parsed.values.pictures === true,
          final: parsed.values.final === true,
          json: parsed.values.json === true,
        })
      : await render(file, { ...parsed.values, out: textOf(parsed, 'out') ?? '' });
}

try {
  await main(process.argv.slice(2));
} catch (thrown) {
  const error = asError(thrown);
  if (ending) await new Promise(() => undefined);
  console.error(`isomorph: ${error.message}`);
  if (process.env.DEBUG) console.error(error.stack);
  process.exit(error instanceof UsageError || error.name === 'UsageError' ? 2 : 1);
}
