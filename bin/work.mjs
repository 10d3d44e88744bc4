// The folder where the command line keeps finished parts, as its own server offers it to its own page: read, written, listed. Nobody else
// has the address, which is made up anew for every render.
import { createReadStream, existsSync, openSync, readdirSync, closeSync, statSync, writeSync } from 'node:fs';
import { join } from 'node:path';

/** @typedef {import('node:http').IncomingMessage} Request */
/** @typedef {import('node:http').ServerResponse} Response */

const NAME = /^(\d+(\.json)?|whole)$/;

/** @param {Response} response @param {number} status @param {string} words */
function say(response, status, words) {
  response.writeHead(status, { 'Content-Type': 'text/plain; charset=utf-8' });
  response.end(words);
}

/** @param {string} folder @param {Response} response */
function list(folder, response) {
  const found = existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => NAME.test(name))
        .map((name) => ({ name, bytes: statSync(join(folder, name)).size }))
    : [];
  response.writeHead(200, { 'Content-Type': 'application/json' });
  response.end(JSON.stringify(found));
}

/** @param {string} file @param {Request} request @param {Response} response @param {number | null} at */
async function write(file, request, response, at) {
  try {
    const handle = openSync(file, at === null ? 'w' : 'r+');
    try {
      let place = at ?? 0;
      for await (const chunk of request)
        for (let from = 0; from < chunk.length;) {
          const written = writeSync(handle, chunk, from, chunk.length - from, place);
          from += written;
          place += written;
        }
    } finally {
      closeSync(handle);
    }
    say(response, 200, '');
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? error.code : '';
    if (code === 'ENOSPC' || code === 'EDQUOT') say(response, 507, 'the disk is full');
    else say(response, 500, error instanceof Error ? error.message : String(error));
  }
}

/**
 * Answers for a folder.
 * @param {string} folder
 * @param {string} name of a file in it; empty for the list
 * @param {Request} request
 * @param {Response} response
 */
export async function answerWork(folder, name, request, response) {
  if (name === '') return list(folder, response);
  if (!NAME.test(name)) return say(response, 404, 'There is nothing here.');
  const file = join(folder, name);
  if (request.method === 'PUT') {
    const at = new URL(request.url ?? '', 'http://localhost').searchParams.get('at');
    return write(file, request, response, at === null ? null : Number(at));
  }
  if (!existsSync(file)) return say(response, 404, 'There is nothing here.');
  response.writeHead(200, { 'Content-Type': 'application/octet-stream', 'Content-Length': statSync(file).size });
  createReadStream(file).pipe(response);
}
