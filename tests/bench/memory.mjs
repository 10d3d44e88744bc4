// Memory that an export of many frames takes beside one of few: every process of the browser together, at its greatest.
import { execFileSync } from 'node:child_process';
import { clearInterval, setInterval } from 'node:timers';

/** Megabytes of a process and all its descendants: what is theirs, and their part of what they share. @param {number} top */
function megabytes(top) {
  const rows = execFileSync('ps', ['-eo', 'pid,ppid,rss'], { encoding: 'utf8' })
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.trim().split(/\s+/).map(Number));
  const own = new Set([top]);
  for (let before = 0; before < own.size;) {
    before = own.size;
    for (const [pid, parent] of rows) if (own.has(parent)) own.add(pid);
  }
  return rows.reduce((sum, [pid, , rss]) => sum + (own.has(pid) ? rss / 1024 : 0), 0);
}

/** A piece that is quickly drawn. */
const PIECE = {
  ...{ id: 'memory', name: 'Memory', layers: [], flight: {}, look: {} },
  lap: { frames: 600, rate: { num: 30, den: 1 } },
};

/**
 * @param {import('playwright-core').Browser} browser
 * @param {string} url
 * @param {(what: string, ratio: number, aim: string, detail: string, reached?: number | null) => void} line
 */
export async function memoryRow(browser, url, line) {
  /** @type {Record<string, number>} */
  const most = {};
  const counts = [50, 200, 600];
  for (const format of ['mp4', 'png'])
    for (const count of counts) {
      // each in a page of its own, which is forgotten afterwards
      const context = await browser.newContext();
      const page = await context.newPage();
      await page.goto(`${url}/lab`);
      await page.waitForFunction(() => 'lab' in globalThis);
      const top = process.pid;
      let greatest = 0;
      const look = setInterval(() => (greatest = Math.max(greatest, megabytes(top))), 500);
      await page.evaluate(
        ([piece, asked, last]) => {
          const { lab } = globalThis;
          const document = { format: 'isomorph', version: 1, piece };
          return lab.render(lab.parse(document), { format: asked, width: 1920, height: 1080, samples: '1', last });
        },
        /** @type {const} */ ([PIECE, format, count - 1]),
      );
      clearInterval(look);
      most[`${format} ${count}`] = greatest;
      await context.close();
    }
  for (const format of ['mp4', 'png']) {
    const [few, some, many] = counts.map((count) => most[`${format} ${count}`]);
    const detail = `${counts.join(', ')} frames: ${[few, some, many].map((mb) => mb.toFixed(0)).join(', ')} MB`;
    line(`memory of 600 frames of 1080p as ${format} / of 50`, many / few, '≤ 1.1', detail);
  }
}
