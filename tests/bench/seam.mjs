// The report on the pictures of every demo piece: how near each comes to what the report calls a fault. All of them close.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../../scripts/run.mjs';

/** What the report fails at: see engine/seam/pictureReport.ts. */
const [JUMP, POP, ALONE, LATER] = [2.2, 2, 1.5, 0.01];
const SIZE = { width: 160, height: 90, passes: 1 };

/**
 * @param {import('playwright-core').Browser} browser
 * @param {string} url
 * @param {(what: string, ratio: number, aim: string, detail: string, reached?: number | null) => void} line
 */
export async function seamRows(browser, url, line) {
  const page = await browser.newPage();
  await page.goto(`${url}/lab`);
  await page.waitForFunction(() => 'lab' in globalThis);
  const folder = join(root, 'demo');
  for (const file of readdirSync(folder).sort()) {
    const json = JSON.parse(readFileSync(join(folder, file), 'utf8'));
    const { report, seconds } = await page.evaluate(
      async ({ document, size }) => {
        const { lab } = globalThis;
        const started = performance.now();
        const found = await lab.engine.api.seamPictures(
          { piece: lab.parse(document), ...size },
          lab.proxy(() => undefined),
        );
        return { report: found, seconds: (performance.now() - started) / 1000 };
      },
      { document: json, size: SIZE },
    );
    const { score, pop, later, verdict, step } = report;
    const shares = [score / JUMP, pop.score / Math.max(POP, ALONE * pop.elsewhere), later.share / LATER];
    const detail = `${verdict}; join ${score.toFixed(2)} of ${JUMP}, one place ${pop.score.toFixed(2)} (elsewhere ${pop.elsewhere.toFixed(2)}), a lap later ${(100 * later.share).toFixed(2)} %; ${step.length} frames, ${seconds.toFixed(0)} s`;
    line(`pictures of ${json.piece.name} / what counts as a fault`, Math.max(...shares), '< 1', detail);
  }
  await page.close();
}
