// `render` and `check`: the same engine and exporter as in the app, in a browser without a window.
import { createHash, randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { launchBrowser } from './browser.mjs';
import { beforeEnd } from '../scripts/run.mjs';
import { expectedBytes, readFormat, takeOutput, UsageError } from './output.mjs';
import { startServer } from './server.mjs';

/**
 * @typedef {import('playwright-core').Page} Page
 * @typedef {import('../src/core/piece/schema').Piece} Piece
 * @typedef {import('../src/export/client').ExportProgress} ExportProgress
 * @typedef {import('./output.mjs').Output} Output
 * @typedef {Record<string, unknown> & { width: number, height: number, first: number, last: number }} Asked what is rendered: fields of a delivery
 * @typedef {Record<string, string | boolean | undefined> & { out: string }} RenderValues as they are typed
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

/** Channels beside a picture, by the names they are asked for. */
const CHANNELS = ['depth', 'normal', 'motion', 'line', 'mattes'];

/** @param {string | undefined} text @returns {Record<string, boolean>} */
function readChannels(text) {
  const asked = text === undefined ? [] : text.split(',').map((name) => name.trim());
  const odd = asked.find((name) => !CHANNELS.includes(name));
  if (odd !== undefined) throw new UsageError(`--channels are ${CHANNELS.join(', ')}; "${odd}" is none`);
  return Object.fromEntries(asked.map((name) => [name, true]));
}

/** Options that are fields of a delivery as they are: what they may be, it says. */
const FIELDS = /** @type {const} */ ({
  alpha: ['alpha', String],
  bits: ['bits', String],
  numbers: ['numbers', String],
  light: ['light', String],
  rate: ['rate', String],
  megabits: ['megabits', Number],
  'film-quality': ['filmQuality', Number],
  quality: ['pictureQuality', Number],
  laps: ['repeats', Number],
  'sound-from': ['soundFrom', Number],
  'sound-gain': ['soundGain', Number],
  'sound-blend': ['soundBlend', Number],
  every: ['every', Number],
  pattern: ['numbered', String],
  'count-from': ['countFrom', Number],
});

/** @param {RenderValues} values */
const readFields = (values) =>
  Object.fromEntries(
    Object.entries(FIELDS).flatMap(([option, [field, as]]) => {
      const value = values[option];
      return typeof value === 'string' ? [[field, as(value)]] : [];
    }),
  );

/**
 * A sound is kept by the page, as one that is brought in is.
 * @param {Page} page @param {string | undefined} file @returns {Promise<{ sound?: { hash: string, name: string } }>}
 */
async function readSound(page, file) {
  if (file === undefined) return {};
  const name = basename(file);
  const given = { text: readFileSync(file).toString('base64'), name };
  const { hash, kind } = await page
    .evaluate(({ text, name: as }) => globalThis.lab.keep(text, as), given)
    .catch((/** @type {unknown} */ error) => {
      throw new UsageError(cleaned(error));
    });
  if (kind !== 'sound') throw new UsageError(`${name} is no sound`);
  return { sound: { hash, name } };
}

/** @param {unknown} value */
const textOr = (value) => (typeof value === 'string' ? value : undefined);

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
 * @param {{ at: string, folder: string } | null} [kept] a folder that the page may write to
 */
async function withLab(file, work, kept = null) {
  const given = readGiven(file);
  const server = await startServer({ work: kept });
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

/** @param {string} file @param {RenderValues} values @returns {Promise<number>} the exit code */
export async function render(file, values) {
  const { out } = values;
  const format = readFormat(textOr(values.format), out);
  const channels = readChannels(textOr(values.channels));
  // the folder is known when the output is taken, which is when the size is
  const kept = { at: `/work/${randomUUID()}/`, folder: '' };
  const work = async (/** @type {Page} */ page, /** @type {Piece} */ piece) => {
    const one = format.kind === 'poster';
    const frames =
      one && values.frames === undefined ? { first: 0, last: 0 } : readFrames(textOr(values.frames), piece.lap.frames);
    if (one && frames.first !== frames.last)
      throw new UsageError(`${out} is one picture: choose one frame with --frames N, or a folder`);
    /** @type {Asked} */
    const delivery = {
      format: format.kind,
      ...readSize(textOr(values.size), piece),
      ...frames,
      samples: String(readSamples(textOr(values.samples), piece)),
      shows: values.lines === true ? 'lines' : 'picture',
      tenBits: values['ten-bits'] === true,
      ...channels,
      ...readFields(values),
      ...(await readSound(page, textOr(values.sound))),
    };
    const key = await page
      .evaluate(({ p, d }) => globalThis.lab.deliveryKey(p, d), { p: piece, d: delivery })
      .catch((/** @type {unknown} */ error) => {
        throw new UsageError(cleaned(error));
      });
    const output = takeOutput(out, format, expectedBytes(format, delivery));
    kept.folder = output.work;
    let closed = false;
    const close = () => {
      if (closed) return;
      closed = true;
      const parts = output.release();
      if (parts > 0)
        process.stderr.write(`\nWhat is finished of ${out} is kept: the same command with --resume goes on with it.\n`);
    };
    const forget = beforeEnd(close);
    try {
      output.begin(createHash('sha256').update(key).digest('hex'), values.resume === true);
      return await renderTo(page, piece, delivery, out, output, kept.at, format.film);
    } finally {
      forget();
      close();
    }
  };
  return withLab(file, work, kept);
}

/** Seconds between two lines of progress where nobody looks at a terminal. */
const LINE_EVERY = 30;

/** @param {number} seconds */
const duration = (seconds) =>
  seconds >= 5400
    ? `${Math.floor(seconds / 3600)} h ${Math.floor((seconds % 3600) / 60)} min`
    : seconds >= 90
      ? `${Math.floor(seconds / 60)} min ${Math.ceil(seconds % 60)} s`
      : `${Math.ceil(seconds)} s`;

/** Tells how far a render is: on a terminal as it goes, else in a line now and then. */
function teller() {
  let told = performance.now();
  return (/** @type {ExportProgress} */ { done, of, left }) => {
    const words = `${done} of ${of} frames${left === null ? '' : `, ${duration(left)} left`}`;
    if (process.stderr.isTTY) process.stderr.write(`\r${words}   `);
    else if (performance.now() - told > LINE_EVERY * 1000) {
      told = performance.now();
      process.stderr.write(`${words}\n`);
    }
  };
}

/**
 * @param {Page} page @param {Piece} piece @param {Asked} delivery @param {string} out @param {Output} output
 * @param {string} at where the page writes @param {boolean} film
 */
async function renderTo(page, piece, delivery, out, output, at, film) {
  await page.exposeFunction('tellProgress', teller());
  const { seconds, verified, remarks, found, names, drawn } = await page
    .evaluate(
      async ({ p, d, keeping, upload }) => {
        const { lab } = globalThis;
        const result = await lab.render(p, d, globalThis.tellProgress, keeping);
        if (upload) await lab.upload(`${keeping.at}whole`);
        return { ...result, names: lab.pictureNames(p, d), drawn: lab.isDrawn(d) };
      },
      { p: piece, d: delivery, keeping: { at }, upload: !film && !output.folder },
    )
    .catch((/** @type {unknown} */ error) => {
      throw new Error(cleaned(error));
    });
  if (process.stderr.isTTY) process.stderr.write('\n');
  if (output.folder) output.files(names);
  else output.file();
  const before = found > 0 ? `, ${found} of them from before` : '';
  const { width, height } = delivery;
  const size = drawn ? `, ${width}×${height}` : '';
  console.log(`${out}: ${verified.says}${before}${size}, rendered in ${seconds.toFixed(1)} s`);
  for (const remark of remarks) console.log(`  ${remark}`);
  return verified.ok ? 0 : 1;
}

/** @param {string} file @param {{ pictures?: boolean, final?: boolean, json?: boolean }} values @returns {Promise<number>} the exit code */
export async function check(file, { pictures = false, final = false, json = false }) {
  return withLab(file, async (page, piece) => {
    await page.exposeFunction('tellProgress', final ? teller() : () => undefined);
    const report = await page.evaluate(
      async ({ p, withPictures, asDelivered }) => {
        const { lab } = globalThis;
        const state = await lab.stateReport(p);
        const of = p.lap.frames;
        const began = performance.now();
        const told = lab.proxy((/** @type {number} */ share) => {
          const left = share > 0 ? ((performance.now() - began) / 1000) * (1 / share - 1) : null;
          void globalThis.tellProgress({ done: Math.round(share * of), of, left });
        });
        const picture = withPictures
          ? await lab.engine.api.seamPictures({ piece: p, ...lab.seamSize(p, asDelivered ? 'final' : 'small') }, told)
          : null;
        return { ok: state.ok && (picture?.ok ?? true), piece: p.name, state, picture };
      },
      { p: piece, withPictures: pictures || final, asDelivered: final },
    );
    if (process.stderr.isTTY) process.stderr.write('\n');
    console.log(json ? JSON.stringify(report, null, 2) : reportWords(report));
    return report.ok ? 0 : 1;
  });
}

/**
 * A report as lines to read.
 * @param {{ ok: boolean, piece: string, state: import('../src/core/seam/report').StateReport, picture: import('../src/engine/protocol').PictureReport | null }} report
 */
function reportWords({ ok, piece, state, picture }) {
  const wrong = state.findings.filter((finding) => !finding.ok);
  const lines = wrong.map(
    ({ subject, says, repair, instead }) =>
      `  ${subject}: ${says}${repair ? ` ${repair.says}.` : ''}${instead ? ` ${instead.says}.` : ''}`,
  );
  const guilty = picture?.guilty;
  const share = guilty
    ? ` (${Math.round(guilty.share * 100)} % of it by ${guilty.id === null ? 'the camera' : `the ${guilty.part} ${guilty.id}`})`
    : '';
  const seen = picture ? [`  The picture ${picture.verdict}${share}`] : [];
  const head = `${piece} ${ok ? 'closes' : 'does not close'}: ${state.findings.length} parts compared, ${wrong.length} of them open`;
  return [head, ...lines, ...seen].join('\n');
}
