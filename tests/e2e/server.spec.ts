import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';

const ask = (
  headers: Record<string, string>,
  path = '/',
): Promise<{ status: number; headers: Record<string, string | string[] | undefined>; body: string }> =>
  new Promise((resolve, reject) => {
    const request = httpRequest({ host: '127.0.0.1', port: 4399, path, headers }, (response) => {
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
    expect(policy).not.toContain('unsafe-eval');
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
