// Memory that an export of many frames takes beside one of few: every process of the browser together, at its greatest.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { clearInterval, setInterval } from 'node:timers';
import { launchProfile } from '../../bin/browser.mjs';

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
 * @param {string} url
 * @param {(what: string, ratio: number, aim: string, detail: string, reached?: number | null) => void} line
 * @param {readonly string[]} [formats]
 */
export async function memoryRow(url, line, formats = ['mp4', 'png']) {
  const counts = [50, 200, 600];
  for (const format of formats) {
    /** @type {number[]} */
    const most = [];
    for (const count of counts) {
      // a browser of its own each, whose files are on the disk
      const folder = mkdtempSync(join(tmpdir(), 'isomorph-memory-'));
      const context = await launchProfile(folder);
      const page = await context.newPage();
      await page.goto(`${url}/lab`);
      await page.waitForFunction(() => 'lab' in globalThis);
      let greatest = 0;
      const look = setInterval(() => (greatest = Math.max(greatest, megabytes(process.pid))), 500);
      await page.evaluate(
        ([piece, asked, last]) => {
          const { lab } = globalThis;
          const document = { format: 'isomorph', version: 1, piece };
          return lab.render(lab.parse(document), { format: asked, width: 1920, height: 1080, samples: '1', last });
        },
        /** @type {const} */ ([PIECE, format, count - 1]),
      );
      clearInterval(look);
      most.push(greatest);
      await context.close();
      rmSync(folder, { recursive: true });
    }
    const detail = `${counts.join(', ')} frames: ${most.map((mb) => mb.toFixed(0)).join(', ')} MB`;
    line(`memory of 600 frames of 1080p as ${format} / of 50`, most[2] / most[0], '≤ 1.1', detail);
  }
}
