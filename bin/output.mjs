// Where a render goes: checked before anything is drawn, written beside and renamed when it is whole, by one process at a time.
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { basename, dirname, extname, join, resolve } from 'node:path';
import { FORMAT_NAMES, FORMATS } from './formats.mjs';

/** A mistake in what was asked for: one line, exit code 2. */
export class UsageError extends Error {
  /** @override */
  name = 'UsageError';
}

/** @typedef {import('./formats.mjs').FormatWords} FormatWords */

/**
 * A place that is this process's to write to, and a folder beside it where finished parts are kept until it is whole.
 * @typedef {object} Output
 * @property {boolean} folder
 * @property {string} work where parts are kept
 * @property {(key: string, resume: boolean) => number} begin makes that folder ready; how many parts are in it. With other settings than its own it is begun anew, or refused where it is to be gone on with
 * @property {() => void} file gives the whole file its name
 * @property {(names: readonly string[]) => void} files gives the parts their names in the folder
 * @property {() => number} release lets others have it; how many parts stay kept
 */

/**
 * The format of an output, from its name and what was asked for.
 * @param {string | undefined} asked
 * @param {string} out
 * @returns {FormatWords}
 */
export function readFormat(asked, out) {
  const ending = extname(out).slice(1).toLowerCase();
  if (asked !== undefined && !Object.hasOwn(FORMATS, asked))
    throw new UsageError(`--format must be one of ${FORMAT_NAMES}, not "${asked}"`);
  const all = Object.values(FORMATS);
  const chosen = asked === undefined ? all.find(({ endings }) => endings.includes(ending)) : FORMATS[asked];
  if (chosen === undefined)
    throw new UsageError(`--out ends in .${ending}: name the format with --format, one of ${FORMAT_NAMES}`);
  const known = all.some(({ endings }) => endings.includes(ending));
  const { endings } = chosen;
  if (known && !endings.includes(ending) && !(endings.includes('') && isFolder(out)))
    throw new UsageError(
      `${basename(out)} is no name for ${asked}: ${ending === '' ? `it needs an ending, .${endings[0]}` : `it ends in .${ending}`}`,
    );
  return chosen;
}

/** @param {string} path */
const isFolder = (path) => existsSync(path) && statSync(path).isDirectory();
/** Failures of the file system, in words. @type {Record<string, string>} */
const WORDS = {
  ENOSPC: 'the disk is full',
  EDQUOT: 'the disk quota is used up',
  EACCES: 'it may not be written there',
  EPERM: 'it may not be written there',
  EROFS: 'that disk is read-only',
  ENOTDIR: 'a part of its path is a file',
  ENAMETOOLONG: 'its name is too long',
};

/** @param {unknown} error @returns {NodeJS.ErrnoException} */
const asFailure = (error) => (error instanceof Error ? error : new Error(String(error)));

/** @param {NodeJS.ErrnoException} error */
const wordsOf = (error) =>
  error.syscall === 'mkdir' && error.code === 'EEXIST'
    ? 'a part of its path is a file'
    : (WORDS[error.code ?? ''] ?? error.message);

/** @param {number} pid */
const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return asFailure(error).code === 'EPERM';
  }
};

/** Parts that are whole, in a folder. @param {string} work */
const partsIn = (work) => (existsSync(work) ? readdirSync(work).filter((name) => /^\d+\.json$/.test(name)).length : 0);

/** Makes sure that what was written stands on the disk. @param {string} path */
function settle(path) {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/**
 * Takes an output for this process.
 * @param {string} out
 * @param {FormatWords} format
 * @param {number} bytes about how large it will be
 * @returns {Output}
 * @throws UsageError in words when it cannot be written, has no room, or another render has it
 */
export function takeOutput(out, format, bytes) {
  const path = resolve(out);
  const folder = format.endings.includes('') && extname(path).toLowerCase() !== '.zip';
  if (!folder && isFolder(path)) throw new UsageError(`${out} is a folder: name a file in it`);
  if (folder && existsSync(path) && !isFolder(path)) throw new UsageError(`${out} is a file: name a folder`);
  const [lock, work] = [`${path}.lock`, `${path}.parts`];
  const job = join(work, 'job');
  try {
    mkdirSync(dirname(path), { recursive: true });
    if (existsSync(lock)) {
      const pid = Number(readFileSync(lock, 'utf8'));
      if (pid > 0 && alive(pid)) throw new UsageError(`${out} is being rendered already, by process ${pid}`);
      rmSync(lock, { force: true });
    }
    const handle = openSync(lock, 'wx');
    writeSync(handle, String(process.pid));
    closeSync(handle);
    const { bavail, bsize } = statfsSync(dirname(path));
    if (bavail * bsize < bytes) {
      rmSync(lock, { force: true });
      throw new UsageError(
        `${out} needs about ${Math.ceil(bytes / 1e6)} MB, and the disk has ${Math.floor((bavail * bsize) / 1e6)} MB left`,
      );
    }
  } catch (thrown) {
    if (thrown instanceof UsageError) throw thrown;
    const error = asFailure(thrown);
    if (error.code === 'EEXIST' && error.syscall === 'open') throw new UsageError(`${out} is being rendered already`);
    throw new UsageError(`${out} cannot be written: ${wordsOf(error)}`, { cause: error });
  }
  let finished = false;
  /** @param {() => void} work */
  const finish = (work) => {
    try {
      work();
      finished = true;
    } catch (error) {
      throw new Error(`${out} was not written: ${wordsOf(asFailure(error))}`, { cause: error });
    }
  };
  return {
    folder,
    work,
    begin(key, resume) {
      const known = existsSync(job) ? readFileSync(job, 'utf8') : null;
      const parts = partsIn(work);
      if (resume && parts > 0 && known !== key)
        throw new UsageError(
          `${out} was begun with other settings, another piece or by another version: without --resume it begins anew`,
        );
      if (!resume || known !== key) rmSync(work, { recursive: true, force: true });
      mkdirSync(work, { recursive: true });
      writeFileSync(job, key);
      return partsIn(work);
    },
    file: () =>
      finish(() => {
        const whole = join(work, 'whole');
        settle(whole);
        renameSync(whole, path);
      }),
    files: (names) =>
      finish(() => {
        const part = join(work, 'pictures');
        mkdirSync(part, { recursive: true });
        for (const [index, name] of names.entries()) {
          mkdirSync(dirname(join(part, name)), { recursive: true });
          settle(join(work, String(index)));
          renameSync(join(work, String(index)), join(part, name));
        }
        if (!existsSync(path)) renameSync(part, path);
        else
          for (const name of names) {
            mkdirSync(dirname(join(path, name)), { recursive: true });
            renameSync(join(part, name), join(path, name));
          }
      }),
    release() {
      const parts = finished ? 0 : partsIn(work);
      if (parts === 0) rmSync(work, { recursive: true, force: true });
      rmSync(lock, { force: true });
      return parts;
    },
  };
}

/** Bytes of a pixel and frame, rather more than they usually are. @type {Readonly<Record<string, number>>} */
const PIXEL_BYTES = { png: 2.2, exr: 6, poster: 2.2, sheet: 2.2, gif: 1.2 };

/**
 * About how many bytes a render will have; rather more than it usually is.
 * @param {FormatWords} format
 * @param {{ width: number, height: number, first: number, last: number }} frames
 */
export const expectedBytes = ({ kind }, { width, height, first, last }) =>
  200_000 + width * height * (last - first + 1) * (PIXEL_BYTES[kind] ?? 0.25 / 8);
