// What a delivery says is left after a tenth of its frames, beside what then was left: every format with one piece, and pieces with one format.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../../scripts/run.mjs';

const ONE = 'slipway-spiral';
const FORMATS = ['mp4', 'webm', 'webmAv1', 'png', 'exr', 'gif', 'prores422', 'hevc'];
const PIECES = ['foam-rise', 'glass-tide-gate', 'lantern-theatre', 'star-wake', 'bell-field', 'tumbler-and-streaks'];
/** Share of the frames after which it is asked. */
const AFTER = 0.1;

/**
 * @param {import('playwright-core').Browser} browser
 * @param {string} url
 * @param {(what: string, ratio: number, aim: string, detail: string, reached?: number | null) => void} line
 */
export async function remainingRows(browser, url, line) {
  const asked = [...FORMATS.map((format) => [ONE, format]), ...PIECES.map((piece) => [piece, 'mp4'])];
  for (const [name, format] of asked) {
    const document = JSON.parse(readFileSync(join(root, 'demo', `${name}.isomorph.json`), 'utf8'));
    const page = await browser.newPage();
    await page.goto(`${url}/lab`);
    await page.waitForFunction(() => 'lab' in globalThis);
    const { told, seconds } = await page.evaluate(
      async ({ json, kind }) => {
        const { lab } = globalThis;
        /** @type {{ done: number, of: number, left: number | null, at: number }[]} */
        const told = [];
        const delivery = { format: kind, width: 320, height: 180, samples: '1' };
        await lab.render(lab.parse(json), delivery, (now) => told.push({ ...now, at: performance.now() / 1000 }));
        return { told, seconds: performance.now() / 1000 };
      },
      { json: document, kind: format },
    );
    await page.close();
    const then = told.find(({ done, of, left }) => done > AFTER * of && left !== null);
    const last = told.at(-1);
    if (!then || !last) throw new Error(`${name} as ${format} told nothing`);
    const left = seconds - then.at;
    const detail = `${then.left.toFixed(1)} s said, ${left.toFixed(1)} s were left, ${(seconds - last.at).toFixed(1)} s of them after the last of ${last.of} frames`;
    line(
      `left of ${document.piece.name} as ${format} after a tenth: said / was`,
      then.left / left,
      '0.75–1.25',
      detail,
    );
  }
}
