// The product's own small server: static files and Astro's pages, on this machine only, with the headers a browser needs
// to hold everything else out. Used by `demo`, by the command line's headless browser and by the tests.
import { createHash } from 'node:crypto';
import { createServer } from 'node:http';
import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import sirv from 'sirv';
import { answerWork } from './work.mjs';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');

/**
 * @typedef {import('node:http').IncomingMessage} Request
 * @typedef {import('node:http').ServerResponse} Response
 */

/** @param {readonly string[]} hashes of inline scripts */
const policy = (hashes) =>
  [
    "default-src 'none'",
    `script-src 'self' 'wasm-unsafe-eval' ${hashes.map((hash) => `'sha256-${hash}'`).join(' ')}`.trim(),
    "worker-src 'self' blob:",
    // React sets styles through the object model; the accessible components add a few style elements of their own
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ');

const HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
};

/** @param {string} html */
const inlineScriptHashes = (html) =>
  [...html.matchAll(/<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g)]
    .filter(([, code = '']) => code.trim() !== '')
    .map(([, code = '']) => createHash('sha256').update(code).digest('base64'));

/** Host names that mean this machine, so that a foreign page cannot reach us through a name that resolves here. */
const LOCAL = new Set(['localhost', '127.0.0.1', '[::1]']);
/** @param {string | undefined} authority */
const isLocal = (authority) => LOCAL.has((authority ?? '').replace(/:\d+$/, '').toLowerCase());

/** Where a browser says a request comes from, when that is us or the user. */
const OWN_SITES = new Set(['same-origin', 'none']);
/** A link followed from another page: shows our page, and tells that page nothing. @param {Request} request */
const isNavigation = ({ headers }) =>
  headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document';

/** The path of an address, decoded; null when it cannot be. @param {string} url */
function pathOf(url) {
  try {
    return decodeURIComponent(new URL(url, 'http://localhost').pathname);
  } catch {
    return null;
  }
}

/** @param {Response} response @param {number} status @param {string} words */
function refuse(response, status, words) {
  response.writeHead(status, { 'Content-Type': 'text/plain; charset=utf-8', ...HEADERS });
  response.end(words + '\n');
}

/**
 * Starts the server on the built app.
 * @param {{ port?: number, host?: string, work?: { at: string, folder: string } | null }} options port: 0 picks a free one; work: a folder that is offered
 *   under an address of its own
 * @returns {Promise<{url: string, close: () => Promise<void>}>}
 */
export async function startServer({ port = 0, host = '127.0.0.1', work = null } = {}) {
  const entry = join(root, 'dist/server/entry.mjs');
  if (!existsSync(entry)) throw new Error('the app is not built: run npm run build');
  const { handler } = await import(pathToFileURL(entry).href);
  const files = sirv(join(root, 'dist/client'), { dev: false, etag: true, setHeaders: setStaticHeaders });
  /** @param {Request} request @param {Response} response */
  const answer = (request, response) => {
    const { host: authority, origin } = request.headers;
    if (!isLocal(authority)) return refuse(response, 403, 'This server answers only to localhost.');
    if (origin && !(URL.canParse(origin) && new URL(origin).host === authority))
      return refuse(response, 403, 'Requests from other sites are refused.');
    if (!OWN_SITES.has(String(request.headers['sec-fetch-site'] ?? 'none')) && !isNavigation(request))
      return refuse(response, 403, 'Requests from other sites are refused.');
    const path = pathOf(request.url ?? '/');
    if (path === null) return refuse(response, 400, 'That address cannot be read.');
    // pictures ship at the sizes they are needed in
    if (path.startsWith('/_image')) return refuse(response, 404, 'There is nothing here.');
    if (work && path.startsWith(work.at)) return answerWork(work.folder, path.slice(work.at.length), request, response);
    if (!path.startsWith('/api/') && request.method !== 'GET' && request.method !== 'HEAD') {
      response.setHeader('Allow', 'GET, HEAD');
      return refuse(response, 405, 'Only GET and HEAD are answered here.');
    }
    // nothing here is long enough to be asked for in parts: RFC 9110 §14.2 lets a server ignore that
    delete request.headers.range;
    return files(request, response, () => {
      withPolicy(response);
      return handler(request, response);
    });
  };
  const server = createServer((request, response) => {
    // one request that fails is one answer that says so
    const failed = (/** @type {unknown} */ error) => {
      const words = error instanceof Error ? error.stack : String(error);
      console.error(`${request.method} ${request.url}: ${words}`);
      if (response.headersSent) response.destroy();
      else refuse(response, 500, 'Something went wrong with this request; the server goes on.');
    };
    response.on('error', failed);
    Promise.resolve()
      .then(() => answer(request, response))
      .catch(failed);
  });
  server.on('clientError', (_, socket) => socket.writable && socket.end('HTTP/1.1 400 Bad Request\r\n\r\n'));
  await new Promise((done, fail) => server.once('error', fail).listen(port, host, () => done(undefined)));
  const address = server.address();
  if (address === null || typeof address === 'string') throw new Error('the server has no address');
  const url = `http://${host.includes(':') ? `[${host}]` : host}:${address.port}`;
  const close = () =>
    new Promise((/** @type {(value: void) => void} */ done) => {
      server.closeAllConnections();
      server.close(() => done());
    });
  return { url, close };
}

/** @param {Response} response @param {string} path */
function setStaticHeaders(response, path) {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  response.setHeader('Content-Security-Policy', policy([]));
  response.setHeader('Cache-Control', path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache');
}

/** Holds a page back until it is whole, to name the inline scripts Astro wrote in the policy. @param {Response} response */
function withPolicy(response) {
  /** @type {Buffer[]} */
  const chunks = [];
  const { writeHead, end } = response;
  let status = 200;
  /** @type {import('node:http').OutgoingHttpHeaders} */
  let headers = {};
  response.writeHead = (/** @type {number} */ code, /** @type {unknown[]} */ ...rest) => {
    status = code;
    headers = Object.assign({}, ...rest.filter((value) => typeof value === 'object'));
    return response;
  };
  response.write = (chunk) => {
    chunks.push(Buffer.from(chunk));
    return true;
  };
  response.end = (chunk) => {
    if (chunk && typeof chunk !== 'function') chunks.push(Buffer.from(chunk));
    const body = Buffer.concat(chunks);
    for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
    response.setHeader('Content-Security-Policy', policy(inlineScriptHashes(body.toString('utf8'))));
    response.setHeader('Cache-Control', 'no-cache');
    writeHead.call(response, status, headers);
    return end.call(response, body, 'utf8');
  };
}
