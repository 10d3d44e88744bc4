// `render` and `check`: the same engine and exporter as in the app, in a browser without a window.
import { readFileSync } from 'node:fs';
import { basename, extname } from 'node:path';
import { unzipSync } from 'fflate';
import { launchBrowser } from './browser.mjs';
import { beforeEnd } from '../scripts/run.mjs';
import { expectedBytes, readFormat, takeOutput, UsageError } from './output.mjs';
import { startServer } from './server.mjs';

/**
 * @typedef {import('playwright-core').Page} Page
 * @typedef {import('../src/core/piece/schema').Piece} Piece
 * @typedef {import('../src/export/client').ExportProgress} ExportProgress
 * @typedef {import('./output.mjs').Format} Format
 * @typedef {import('./output.mjs').Output} Output
 * @typedef {{ format: Format, width: number, height: number, first: number, last: number, samples: string, shows: string, clear: boolean }} Asked what is rendered
 * @typedef {{ out: string, size?: string, frames?: string, samples?: string, format?: string, lines?: boolean, clear?: boolean }} RenderValues as they are typed
 */

/** @param {string} text */
const wholeNumber = (text) => (/^\d+$/.test(text) ? Number(text) : NaN);

/** @param {string | undefined} text @param {Piece} piece */
function readSize(text, piece) {
  if (text === undefined) return { width: piece.frame.width, height: piece.frame.height };
  const match = /^(\d+)x(\d+)$/.exec(text);
  if (!match) throw new UsageError(`--size must be like 640x360, not "${text}"`);
  const [width, height] = [Number(match[1]), Number(match[2])];
  if (Math.min(width, height) < 16 || Math.max(width, height) > 8192)
    throw new UsageError(`--size must be between 16 and 8192 pixels a side, not ${text}`);
  return { width, height };
}

/** @param {string | undefined} text @param {number} lapFrames */
function readFrames(text, lapFrames) {
  if (text === undefined) return { first: 0, last: lapFrames - 1 };
  const match = /^(\d+)(?:-(\d+))?$/.exec(text);
  const first = match ? Number(match[1]) : NaN;
  const last = match ? Number(match[2] ?? match[1]) : NaN;
  if (!(first <= last && last < lapFrames))
    throw new UsageError(`--frames must be like 0-${lapFrames - 1} within this lap, not "${text}"`);
  return { first, last };
}

/** @param {string | undefined} text @param {Piece} piece */
function readSamples(text, piece) {
  if (text === undefined) return piece.samples;
  const samples = wholeNumber(text);
  if (![1, 4, 16, 64, 256].includes(samples))
    throw new UsageError(`--samples must be 1, 4, 16, 64 or 256, not "${text}"`);
  return samples;
}

/**
 * A piece as its file is: read as JSON, or an archive as base64.
 * @param {string} file
 * @returns {{ json: unknown, zip: string | null, name: string }}
 */
function readGiven(file) {
  const bytes = readFileSync(file);
  const name = basename(file);
  if (bytes.subarray(0, 2).toString('latin1') === 'PK') return { json: null, zip: bytes.toString('base64'), name };
  try {
    return { json: JSON.parse(bytes.toString('utf8')), zip: null, name };
  } catch (error) {
    throw new UsageError(`${name} is not JSON (${messageOf(error)})`);
  }
}

/**
 * Opens the lab page, hands it the piece, and closes everything afterwards.
 * @template T
 * @param {string} file
 * @param {(page: Page, piece: Piece) => Promise<T>} work
 */
async function withLab(file, work) {
  const given = readGiven(file);
  const server = await startServer();
  /** @type {import('playwright-core').Browser | undefined} */
  let browser;
  const forget = beforeEnd(() => browser?.close());
  try {
    browser = await launchBrowser();
    const page = await browser.newPage();
    await page.goto(`${server.url}/lab`);
    await page.waitForFunction(() => 'lab' in globalThis);
    const piece = await page
      .evaluate(
        ({ json, zip, name }) => (zip === null ? globalThis.lab.parse(json) : globalThis.lab.unpack(zip, name)),
        given,
      )
      .catch((/** @type {unknown} */ error) => {
        throw new UsageError(`${basename(file)} was not read: ${cleaned(error)}`);
      });
    const missing = await page.evaluate((p) => globalThis.lab.missing(p), piece);
    if (missing.length > 0)
      throw new UsageError(
        `${basename(file)} names files that are not in it: ${missing.join(', ')}. Save it again with them.`,
      );
    return await work(page, piece);
  } finally {
    forget();
    await browser?.close();
    await server.close();
  }
}

/** @param {unknown} error */
const messageOf = (error) => (error instanceof Error ? error.message : String(error));

/** What the page said, without the driver's own words. @param {unknown} error */
const cleaned = (error) =>
  messageOf(error)
    .replace(/^page\.evaluate: (Error: )?/, '')
    .split('\n')[0];

const SLICE = 3 * 1024 * 1024;

/** @param {Page} page @param {number} size */
async function fetchBytes(page, size) {
  /** @type {Buffer[]} */
  const parts = [];
  for (let at = 0; at < size; at += SLICE)
    parts.push(
      Buffer.from(
        await page.evaluate(({ from, to }) => globalThis.lab.slice(from, to), {
          from: at,
          to: Math.min(size, at + SLICE),
        }),
        'base64',
      ),
    );
  return Buffer.concat(parts);
}

/** @param {Buffer} bytes @param {Format} format @param {string} out @param {Output} output */
function writeResult(bytes, format, out, output) {
  if (format !== 'png' || extname(out) === '.zip') {
    output.file(bytes);
    return out;
  }
  const pictures = Object.entries(unzipSync(bytes));
  if (!output.folder) {
    output.file(pictures[0][1]);
    return out;
  }
  output.files(pictures);
  return `${out} (${pictures.length} pictures)`;
}

/** @param {string} file @param {RenderValues} values @returns {Promise<number>} the exit code */
export async function render(file, values) {
  const { out } = values;
  const format = readFormat(values.format, out);
  return withLab(file, async (page, piece) => {
    const frames = readFrames(values.frames, piece.lap.frames);
    const delivery = {
      format,
      ...readSize(values.size, piece),
      ...frames,
      samples: String(readSamples(values.samples, piece)),
      shows: values.lines === true ? 'lines' : 'picture',
      clear: values.clear === true,
    };
    if (delivery.clear && (!values.lines || format !== 'png'))
      throw new UsageError('--clear is for --lines in pictures: video has no alpha');
    if (extname(out) === '.png' && frames.first !== frames.last)
      throw new UsageError(`${out} is one picture: choose one frame with --frames N, or a folder`);
    const output = takeOutput(out, format, expectedBytes(format, delivery));
    const forget = beforeEnd(output.release);
    try {
      return await renderTo(page, piece, delivery, out, output);
    } finally {
      forget();
      output.release();
    }
  });
}

/** @param {Page} page @param {Piece} piece @param {Asked} delivery @param {string} out @param {Output} output */
async function renderTo(page, piece, delivery, out, output) {
  const quiet = !process.stderr.isTTY;
  await page.exposeFunction('tellProgress', (/** @type {ExportProgress} */ { done, of, left }) => {
    if (!quiet)
      process.stderr.write(`\r${done} of ${of} frames${left === null ? '' : `, ${Math.ceil(left)} s left`}   `);
  });
  const { size, seconds, verified } = await page
    .evaluate(({ p, d }) => globalThis.lab.render(p, d, globalThis.tellProgress), { p: piece, d: delivery })
    .catch((/** @type {unknown} */ error) => {
      throw new Error(cleaned(error));
    });
  if (!quiet) process.stderr.write('\n');
  const where = writeResult(await fetchBytes(page, size), delivery.format, out, output);
  console.log(`${where}: ${verified.says}, ${delivery.width}×${delivery.height}, rendered in ${seconds.toFixed(1)} s`);
  return verified.ok ? 0 : 1;
}

/** @param {string} file @param {{ pictures?: boolean }} values @returns {Promise<number>} the exit code */
export async function check(file, { pictures = false }) {
  return withLab(file, async (page, piece) => {
    const report = await page.evaluate(
      async ({ p, withPictures }) => {
        const { lab } = globalThis;
        const state = await lab.stateReport(p);
        const size = { width: 320, height: Math.max(16, Math.round((320 * p.frame.height) / p.frame.width)) };
        const picture = withPictures
          ? await lab.engine.api.seamPictures(
              { piece: p, ...size, passes: 1 },
              lab.proxy(() => undefined),
            )
          : null;
        return { ok: state.ok && (picture?.ok ?? true), piece: p.name, state, picture };
      },
      { p: piece, withPictures: pictures },
    );
    console.log(JSON.stringify(report, null, 2));
    return report.ok ? 0 : 1;
  });
}
