// Rows of screens: how 24 panels with four clips of 1280 × 720 play in the application, and what memory they take lap after lap.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { zipSync } from 'fflate';

const STOCK = fileURLToPath(new URL('../../stock/clips/', import.meta.url));
const CLIPS = ['tide-chart.mp4', 'scanning-beam.mp4', 'signal-flags.webm', 'lamp-test.webm'];
const LAP = { frames: 50, rate: { num: 25, den: 1 } };
const LAPS = 10;

/** The clips that ship, enlarged, as files of a piece: all in H.264. */
function enlarged() {
  const folder = mkdtempSync(join(tmpdir(), 'isomorph-'));
  return CLIPS.map((name) => {
    const path = join(folder, name.replace('webm', 'mp4'));
    const args = ['-y', '-loglevel', 'error', '-i', join(STOCK, name), '-vf', 'scale=1280:720', '-c:v', 'libx264'];
    if (spawnSync('ffmpeg', [...args, '-crf', '23', '-g', '25', '-an', path]).status !== 0) return null;
    const bytes = readFileSync(path);
    return { name, bytes, hash: createHash('sha256').update(bytes).digest('hex') };
  });
}

/** A packed piece of 24 panels that show them, each from a frame of its own. */
function packedPiece(files) {
  const shows = files.map(({ name, hash }) => ({ id: name, kind: 'clip', file: { hash, name }, apart: 'order' }));
  const grid = { arrangement: 'grid', countX: 6, countY: 4, countZ: 1, stepX: 0.92, stepY: 0.54 };
  const wall = { kind: 'screen', id: 'w', name: 'Wall', seed: 1, once: true, shows, ...grid, size: 0.5, ahead: 5 };
  const flight = { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, aim: 'own', focusM: 5, focalMm: 34 };
  const piece = { id: 'b', name: 'Wall of clips', lap: LAP, layers: [wall], flight, look: {} };
  const json = JSON.stringify({ format: 'isomorph', version: 6, piece });
  return Buffer.from(
    zipSync({
      'piece.isomorph.json': Buffer.from(json),
      ...Object.fromEntries(files.map(({ hash, bytes }) => [`files/${hash}`, [bytes, { level: 0 }]])),
    }),
  );
}

/** Megabytes that all processes of the browser hold, as the system counts them (shared pages in each). */
function residentMb() {
  const lines = execFileSync('ps', ['-eo', 'rss=,args='], { encoding: 'utf8' }).split('\n');
  return lines
    .filter((line) => /chrom/.test(line) && /--type=(renderer|gpu-process)/.test(line))
    .reduce((sum, line) => sum + Number(line.trim().split(/\s+/)[0]) / 1024, 0);
}

/** @param playing how what is open plays: see live.mjs */
export async function screenRows(browser, url, playing, window) {
  const files = enlarged();
  if (files.includes(null)) {
    console.log('24 panels with 4 clips: not measured, there is no ffmpeg to enlarge the clips with');
    return;
  }
  const page = await browser.newPage({ viewport: window });
  await page.goto(url);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open file' }).click();
  const buffer = packedPiece(files);
  await (await chooser).setFiles({ name: 'wall.isomorph.zip', mimeType: 'application/zip', buffer });
  const first = await playing(page);
  // one lap of decoding, then as it goes on
  const { fps, less } = await playing(page);
  const row = (what, value, unit, aim, detail) =>
    console.log(`${what.padEnd(62)} ${value.padStart(7)} ${unit}  ${aim.padEnd(11)} ${detail}`);
  row('24 panels, 4 clips of 720p, while decoding, playing', first.fps.toFixed(1), 'fps', 'aim ≥ 8', first.less);
  row('the same, decoded', fps.toFixed(1), 'fps', 'aim ≥ 8', less);
  const lapMs = (LAP.frames * LAP.rate.den * 1000) / LAP.rate.num;
  const held = [residentMb()];
  for (let lap = 0; lap < LAPS; lap++) {
    await page.waitForTimeout(lapMs);
    held.push(residentMb());
  }
  const grown = held[LAPS] / held[0];
  row(`memory after ${LAPS} laps over that before`, grown.toFixed(3), '×', 'aim ≤ 1.1', `${held[LAPS].toFixed(0)} MB`);
  await page.close();
}
