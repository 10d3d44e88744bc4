import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS, CHROMIUM_ENV, chromiumPath } from './bin/browser.mjs';
import { ensureKernels } from './scripts/kernels/build.mjs';

await ensureKernels();

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/browser',
  // drawing keeps a core busy, the interface mostly waits: two at a time take two thirds of the time
  workers: 2,
  // machines that draw on a busy CPU stall now and then; a test that needs its second try is reported as flaky
  retries: process.env['CI'] ? 1 : 0,
  // long: none asserts how long it takes, and machines that are shared may be four times as slow
  timeout: 180_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: 'http://127.0.0.1:4399',
    viewport: { width: 1280, height: 800 },
    // layout is in CSS pixels; one in sixteen of the real ones is drawn, on machines that draw on a busy CPU
    deviceScaleFactor: 0.25,
    launchOptions: { executablePath: chromiumPath() ?? '', args: CHROMIUM_ARGS, env: CHROMIUM_ENV },
    screenshot: 'only-on-failure',
  },
  webServer: { command: 'node bin/isomorph.mjs demo --port 4399', url: 'http://127.0.0.1:4399', timeout: 180_000 },
});
