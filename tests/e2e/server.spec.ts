import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';

const ask = (
  headers: Record<string, string>,
  path = '/',
  method = 'GET',
): Promise<{ status: number; headers: Record<string, string | string[] | undefined>; body: string }> =>
  new Promise((resolve, reject) => {
    const request = httpRequest({ host: '127.0.0.1', port: 4399, path, headers, method }, (response) => {
      let body = '';
      response.on('data', (chunk: Buffer) => (body += chunk.toString()));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, headers: response.headers, body }));
    });
    request.on('error', reject);
    request.end();
  });

test('pages carry a content policy without eval, for every path', async () => {
  for (const path of ['/', '/lab', '/icon.svg']) {
    const { status, headers } = await ask({ host: '127.0.0.1:4399' }, path);
    expect(status).toBe(200);
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'none'");
    // WebAssembly may be compiled, text may not
    expect(policy).not.toMatch(/(?<!wasm-)unsafe-eval/);
    expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
    expect(headers['x-content-type-options']).toBe('nosniff');
  }
});

test('foreign hosts and origins are refused', async () => {
  expect((await ask({ host: 'evil.example' })).status).toBe(403);
  expect((await ask({ host: '127.0.0.1.evil.example:4399' })).status).toBe(403);
  expect((await ask({ host: '127.0.0.1:4399', origin: 'http://evil.example' })).status).toBe(403);
  expect((await ask({ host: '127.0.0.1:4399', origin: 'null' })).status).toBe(403);
  expect((await ask({ host: 'localhost:4399' })).status).toBe(200);
  expect((await ask({ host: '127.0.0.1:4399', origin: 'http://127.0.0.1:4399' })).status).toBe(200);
});

test('nothing outside the built files is served', async () => {
  for (const path of [
    '/../package.json',
    '/%2e%2e/package.json',
    '/..%2fpackage.json',
    '/node_modules/three/package.json',
  ])
    expect((await ask({ host: '127.0.0.1:4399' }, path)).status).not.toBe(200);
});

const here = { host: '127.0.0.1:4399' };

test('a request that cannot be answered ends neither the process nor another request', async () => {
  for (const range of ['bytes=abc', 'bytes=9-2', 'bytes=-1', 'bytes=0-99999999999999', 'lines=1', 'bytes=0-0,5-9'])
    expect([200, 206]).toContain((await ask({ ...here, range }, '/icon.svg')).status);
  for (const path of ['/%', '/%ff%fe', '/\\0', '//', '/_astro/%2e%2e/%2e%2e/server/entry.mjs'])
    expect((await ask(here, path)).status).toBeGreaterThanOrEqual(200);
  expect((await ask(here)).status).toBe(200);
});

test('pictures are not resized for whoever asks', async () => {
  for (const path of ['/_image?href=/icon.svg&w=9999&h=9999&f=webp', '/%5Fimage?href=/icon.svg&w=10'])
    expect((await ask(here, path)).status).toBe(404);
});

test('other methods and other sites are refused', async () => {
  for (const method of ['POST', 'PUT', 'DELETE', 'OPTIONS'])
    for (const path of ['/', '/icon.svg']) expect((await ask(here, path, method)).status).toBe(405);
  expect((await ask(here, '/', 'HEAD')).status).toBe(200);
  for (const site of ['cross-site', 'same-site'])
    expect((await ask({ ...here, 'sec-fetch-site': site, 'sec-fetch-mode': 'no-cors' }, '/icon.svg')).status).toBe(403);
  expect((await ask({ ...here, 'sec-fetch-site': 'same-origin' }, '/icon.svg')).status).toBe(200);
  // a link to us from somewhere else still opens
  const link = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };
  expect((await ask({ ...here, ...link })).status).toBe(200);
});
