#!/usr/bin/env node
// The command line: demo, render, check. Words and exit codes for people and scripts; the work is the app's own.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt, ensurePackages } from '../scripts/run.mjs';

const HELP = `Isomorph
  demo    [--port N]                           build if needed and serve the app with its demo pieces
  render  <piece.isomorph.json|demo:NAME> --out FILE|DIR
          [--size WxH] [--frames A-B] [--samples N] [--format mp4|webm|png]
  check   <piece.isomorph.json|demo:NAME>      seam report as JSON; exit code 1 when the lap does not close
          [--pictures]                         also render the lap and compare neighbouring frames`;

/** A mistake in what was asked for: one line, exit code 2. */
export class UsageError extends Error {}

const options = {
  demo: { port: { type: 'string' } },
  render: {
    out: { type: 'string' },
    size: { type: 'string' },
    frames: { type: 'string' },
    samples: { type: 'string' },
    format: { type: 'string' },
  },
  check: { pictures: { type: 'boolean' } },
};

async function demo({ port }) {
  const wanted = port === undefined ? 4321 : Number(port);
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65535)
    throw new UsageError(`--port must be a number up to 65535, not "${port}"`);
  const { startServer } = await import('./server.mjs');
  const start = (at) =>
    startServer({ port: at }).catch((error) => {
      // a taken port is only a problem when it was asked for
      if (error.code === 'EADDRINUSE' && port === undefined && at < wanted + 20) return start(at + 1);
      if (error.code === 'EADDRINUSE') throw new UsageError(`port ${at} is in use: choose another with --port`);
      throw error;
    });
  const server = await start(wanted);
  console.log(`Isomorph is at ${server.url}  (Ctrl+C stops it)`);
}

async function main([command, ...rest]) {
  if (command === undefined || command === 'help' || command === '--help') {
    console.log(HELP);
    return;
  }
  if (!(command in options)) throw new UsageError(`there is no command "${command}": demo, render and check are known`);
  let parsed;
  try {
    parsed = parseArgs({ args: rest, options: options[command], allowPositionals: command !== 'demo' });
  } catch (error) {
    throw new UsageError(error.message.split('. ')[0]);
  }
  ensurePackages();
  ensureBuilt();
  if (command === 'demo') return demo(parsed.values);
  const { check, render } = await import('./headless.mjs');
  const [target, ...extra] = parsed.positionals;
  if (target === undefined) throw new UsageError(`${command} needs a piece: a file, or demo:NAME`);
  if (extra.length > 0) throw new UsageError(`one piece at a time; "${extra[0]}" is too many`);
  const file = target.startsWith('demo:')
    ? new URL(`../demo/${target.slice(5)}.isomorph.json`, import.meta.url).pathname
    : resolve(target);
  if (!existsSync(file))
    throw new UsageError(
      target.startsWith('demo:') ? `there is no demo piece "${target.slice(5)}"` : `there is no file ${target}`,
    );
  process.exitCode = await (command === 'check' ? check : render)(file, parsed.values);
}

try {
  await main(process.argv.slice(2));
} catch (error) {
  console.error(`isomorph: ${error.message}`);
  if (process.env.DEBUG) console.error(error.stack);
  process.exit(error instanceof UsageError || error.name === 'UsageError' ? 2 : 1);
}
