// Debian's or the user's own Chromium, started without a window. Used by the command line, the benches and the pictures
// in docs/. Playwright's driver is used without a browser download of its own.
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
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

/** Whether a library is installed, in Debian's folders of any architecture. @param {string} name */
const hasLibrary = (name) =>
  existsSync('/usr/lib') &&
  readdirSync('/usr/lib').some((folder) => folder.includes('-linux-gnu') && existsSync(join('/usr/lib', folder, name)));

const root = process.getuid?.() === 0;
/**
 * Mesa draws twice as fast on a CPU as what Chromium brings with it, and keeps the programs it has built. Root alone has it, who has no sandbox
 * that would keep it from that.
 */
const mesa = root && hasLibrary('libEGL_mesa.so.0') && hasLibrary('dri/swrast_dri.so');

/** Switches for drawing on the CPU without a window. The sandbox stays on, except for root, who has none. */
export const CHROMIUM_ARGS = [
  ...(root ? ['--no-sandbox'] : []),
  ...(mesa
    ? ['--use-gl=angle', '--use-angle=gl-egl', '--ignore-gpu-blocklist']
    : ['--use-angle=swiftshader', '--enable-unsafe-swiftshader']),
  '--disable-background-networking',
  '--disable-quic',
  '--no-first-run',
  '--disable-component-update',
  '--disable-sync',
];

/** What of the environment that needs. */
export const CHROMIUM_ENV = {
  ...process.env,
  ...(mesa ? { EGL_PLATFORM: 'surfaceless', LIBGL_ALWAYS_SOFTWARE: '1' } : {}),
};

/** How the browser is started. @throws Error in words when none is installed */
function options() {
  const executablePath = chromiumPath();
  if (!executablePath)
    throw new Error('no Chromium found: install it (apt-get install chromium) or name it in ISOMORPH_CHROMIUM');
  // what a signal means is for the command to say
  const signals = { handleSIGINT: false, handleSIGTERM: false, handleSIGHUP: false };
  return { executablePath, args: CHROMIUM_ARGS, env: CHROMIUM_ENV, ...signals };
}

/** @throws Error in words when no browser is installed */
export const launchBrowser = async () => chromium.launch(options());

/** A browser whose files lie in a folder, as a user's do: without one they are held in memory. @param {string} folder */
export const launchProfile = async (folder) => chromium.launchPersistentContext(folder, options());
