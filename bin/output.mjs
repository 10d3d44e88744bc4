// Where a render goes: checked before anything is drawn, written beside and renamed when it is whole, by one process at a time.
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
  writeSync,
} from 'node:fs';
import { basename, dirname, extname, join, resolve } from 'node:path';

/** A mistake in what was asked for: one line, exit code 2. */
export class UsageError extends Error {
  /** @override */
  name = 'UsageError';
}

/** @typedef {'mp4' | 'webm' | 'png'} Format */

/**
 * A place that is this process's to write to.
 * @typedef {object} Output
 * @property {boolean} folder
 * @property {(data: Uint8Array) => void} file writes one file, and only then gives it its name
 * @property {(entries: [string, Uint8Array][]) => void} files writes the files of a folder, [name, bytes], and only then gives them their names
 * @property {() => void} release
 */

/** @type {readonly Format[]} */
const FORMATS = ['mp4', 'webm', 'png'];

/** @param {string} text @returns {text is Format} */
const isFormat = (text) => FORMATS.some((format) => format === text);

/**
 * The format of an output, from its name and what was asked for.
 * @param {string | undefined} format
 * @param {string} out
 * @returns {Format}
 */
export function readFormat(format, out) {
  const extension = extname(out).slice(1).toLowerCase();
  /** @type {Record<Format, string[]>} */
  const fits = { mp4: ['mp4'], webm: ['webm'], png: ['png', 'zip', ''] };
  if (format !== undefined && !isFormat(format))
    throw new UsageError(`--format must be mp4, webm or png, not "${format}"`);
  const chosen = format ?? FORMATS.find((name) => fits[name].includes(extension));
  if (chosen === undefined)
    throw new UsageError(`--out ends in .${extension}: name the format with --format mp4, webm or png`);
  const known = Object.values(fits).flat().includes(extension);
  if (known && !fits[chosen].includes(extension) && !(chosen === 'png' && isFolder(out)))
    throw new UsageError(
      `${basename(out)} is no name for ${chosen}: ${extension === '' ? `it needs an ending, .${chosen}` : `it ends in .${extension}`}`,
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

/**
 * Takes an output for this process.
 * @param {string} out
 * @param {Format} format
 * @param {number} bytes about how large it will be
 * @returns {Output}
 * @throws UsageError in words when it cannot be written, has no room, or another render has it
 */
export function takeOutput(out, format, bytes) {
  const path = resolve(out);
  const folder = format === 'png' && !['.zip', '.png'].includes(extname(path).toLowerCase());
  if (!folder && isFolder(path)) throw new UsageError(`${out} is a folder: name a file in it`);
  if (folder && existsSync(path) && !isFolder(path)) throw new UsageError(`${out} is a file: name a folder`);
  const [lock, part] = [`${path}.lock`, `${path}.part`];
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
  const release = () => {
    rmSync(part, { recursive: true, force: true });
    rmSync(lock, { force: true });
  };
  /** @param {string} file @param {Uint8Array} data */
  const writeWhole = (file, data) => {
    const handle = openSync(file, 'w');
    try {
      for (let at = 0; at < data.length;) at += writeSync(handle, data, at);
      fsyncSync(handle);
    } finally {
      closeSync(handle);
    }
  };
  /** @param {() => void} work */
  const guarded = (work) => {
    try {
      work();
    } catch (error) {
      throw new Error(`${out} was not written: ${wordsOf(asFailure(error))}`, { cause: error });
    }
  };
  return {
    folder,
    file: (data) =>
      guarded(() => {
        writeWhole(part, data);
        renameSync(part, path);
      }),
    files: (entries) =>
      guarded(() => {
        rmSync(part, { recursive: true, force: true });
        mkdirSync(part, { recursive: true });
        for (const [name, data] of entries) writeWhole(join(part, name), data);
        if (!existsSync(path)) renameSync(part, path);
        else for (const [name] of entries) renameSync(join(part, name), join(path, name));
      }),
    release,
  };
}

/**
 * About how many bytes a render will have; rather more than it usually is.
 * @param {Format} format
 * @param {{ width: number, height: number, first: number, last: number }} frames
 */
export function expectedBytes(format, { width, height, first, last }) {
  const pixels = width * height * (last - first + 1);
  return 200_000 + (format === 'png' ? pixels * 2.2 : (pixels * 0.25) / 8);
}
