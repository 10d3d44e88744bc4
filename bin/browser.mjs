// Debian's or the user's own Chromium, started without a window. Used by the command line, the benches and the pictures
// in docs/. Playwright's driver is used without a browser download of its own.
import { existsSync } from 'node:fs';
import { chromium } from 'playwright-core';

const CANDIDATES = [
  process.env.ISOMORPH_CHROMIUM,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  'C:\\Program Files\\Google\\Chrome\\Application\\chrome.exe',
];

/** Path of an installed Chromium, or null. */
export const chromiumPath = () => CANDIDATES.find((path) => path && existsSync(path)) ?? null;

/** Switches for drawing on the CPU without a window. The sandbox stays on, except for root, who has none. */
export const CHROMIUM_ARGS = [
  ...(process.getuid?.() === 0 ? ['--no-sandbox'] : []),
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
  '--disable-background-networking',
  '--disable-quic',
  '--no-first-run',
  '--disable-component-update',
  '--disable-sync',
];

/** @throws Error in words when no browser is installed */
export async function launchBrowser() {
  const executablePath = chromiumPath();
  if (!executablePath)
    throw new Error('no Chromium found: install it (apt-get install chromium) or name it in ISOMORPH_CHROMIUM');
  // what a signal means is for the command to say
  const signals = { handleSIGINT: false, handleSIGTERM: false, handleSIGHUP: false };
  return chromium.launch({ executablePath, args: CHROMIUM_ARGS, ...signals });
}
