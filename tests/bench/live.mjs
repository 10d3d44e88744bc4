// Rows of the application itself: how every demo piece plays in it, and how soon a page shows a picture.
import { readdirSync, readFileSync } from 'node:fs';

export const WINDOW = { width: 1280, height: 800 };
/** Seconds that a piece plays before it is looked at, for its size to settle. */
const SETTLE_S = 6;

/** How one demo piece plays: frames a second, and what of it is drawn. */
async function played(browser, url, name) {
  const page = await browser.newPage({ viewport: WINDOW });
  await page.goto(url);
  await page.getByRole('button', { name: `Open ${name}` }).click();
  const so = await playing(page);
  await page.close();
  return so;
}

/** How what is open plays: frames a second, and what of it is drawn. */
export async function playing(page) {
  const quality = page.getByLabel('Quality of the picture');
  await quality.filter({ hasText: /fps/ }).waitFor({ timeout: 60_000 });
  const said = [];
  await page.waitForTimeout(SETTLE_S * 1000);
  for (let i = 0; i < 3; i++) {
    await page.waitForTimeout(1000);
    said.push(await quality.textContent());
  }
  const words = said.at(-1) ?? '';
  const [, fps = '0'] = /([\d.]+) fps/.exec(words) ?? [];
  // what is said to be less than all of it
  const [, ...less] = words.split('·').map((word) => word.trim());
  return { fps: Number(fps), less: less.join(', ') || 'all of it' };
}

export async function liveRows(browser, url) {
  const folder = new URL('../../demo/', import.meta.url);
  const names = readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .map((file) => JSON.parse(readFileSync(new URL(file, folder), 'utf8')).piece.name);
  const all = [];
  for (const name of names) {
    const { fps, less } = await played(browser, url, name);
    all.push(fps);
    console.log(
      `${`${name}, playing in the application`.padEnd(62)} ${fps.toFixed(1).padStart(7)} fps  aim ≥ 8      ${less}`,
    );
  }
  const mean = Math.exp(all.reduce((sum, fps) => sum + Math.log(Math.max(fps, 0.01)), 0) / all.length);
  console.log(`${'geometric mean'.padEnd(62)} ${mean.toFixed(1).padStart(7)} fps  aim ≥ 11`);
}

/** How sixty letters with depth play that come one after another and sharpen. */
export async function titleRow(browser, url) {
  const arriving = {
    kind: 'stagger',
    id: 's',
    seed: 1,
    overlap: 0.4,
    ease: 'settle',
    grow: 0,
    fade: 1,
    blur: 0.3,
    fromZ: -0.4,
  };
  const title = {
    ...{
      kind: 'title',
      id: 't',
      name: 'Title',
      seed: 1,
      once: true,
      size: 0.4,
      ahead: 4,
      depth: 0.15,
      bevel: 0.015,
      round: 3,
    },
    text: 'SALTMARSH LAMPLIGHT WEEK\nSLIPWAY ROPEWALK BELL BARGE\nMARROW QUAY HARBOUR',
    treatments: [arriving],
  };
  const flight = { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, aim: 'own', focusM: 4, focalMm: 30 };
  const lap = { frames: 100, rate: { num: 25, den: 1 } };
  const json = {
    format: 'isomorph',
    version: 6,
    piece: { id: 'b', name: 'Letters', lap, layers: [title], flight, look: {} },
  };
  const page = await browser.newPage({ viewport: WINDOW });
  await page.goto(url);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open file' }).click();
  const buffer = Buffer.from(JSON.stringify(json));
  await (await chooser).setFiles({ name: 'letters.isomorph.json', mimeType: 'application/json', buffer });
  const { fps, less } = await playing(page);
  await page.close();
  console.log(
    `${'60 letters with depth and a stagger, playing'.padEnd(62)} ${fps.toFixed(1).padStart(7)} fps  aim ≥ 8      ${less}`,
  );
}

/** From opening a page to its first picture, beside a page of bare three. */
export async function startRow(browser, url, peerCode, line) {
  const ours = [];
  const bare = [];
  for (let round = 0; round < 3; round++) {
    const page = await browser.newPage({ viewport: WINDOW });
    await page.goto(url);
    await page.getByRole('button', { name: 'Open Ropewalk tunnel' }).click();
    await page
      .getByLabel('Quality of the picture')
      .filter({ hasText: /fps|passes/ })
      .waitFor();
    const address = page.url();
    const started = performance.now();
    await page.goto('about:blank');
    await page.goto(address);
    await page
      .getByLabel('Quality of the picture')
      .filter({ hasText: /fps|passes/ })
      .waitFor({ timeout: 60_000 });
    ours.push(performance.now() - started);
    await page.close();
    const peer = await browser.newPage({ viewport: WINDOW });
    const begun = performance.now();
    await peer.setContent('<!doctype html><title>bare</title>');
    await peer.evaluate(peerCode);
    await peer.evaluate(() => globalThis.peers.boxesPace(824, 462, 1));
    bare.push(performance.now() - begun);
    await peer.close();
  }
  const least = (list) => Math.min(...list);
  line(
    'page to first picture / to that of bare three',
    least(ours) / least(bare),
    '≤ 2.0',
    `${(least(ours) / 1000).toFixed(1)} s, peer ${(least(bare) / 1000).toFixed(1)} s`,
  );
}

/** How near one pass comes to 256 of the same frame, decibels, of every demo piece. */
export async function nearRows(page, line) {
  const [width, height, passes] = [412, 231, 256];
  const folder = new URL('../../demo/', import.meta.url);
  for (const file of readdirSync(folder)) {
    const json = JSON.parse(readFileSync(new URL(file, folder), 'utf8'));
    const decibels = await page.evaluate(
      async ([j, w, h, n]) => {
        const piece = globalThis.lab.parse(j);
        const drawn = (p) => globalThis.lab.engine.api.pixels({ piece, frameIndex: 5, width: w, height: h, passes: p });
        return globalThis.peers.bytesNearness(await drawn(1), await drawn(n));
      },
      [json, width, height, passes],
    );
    line(`${json.piece.name}: 30 dB / one pass against ${passes}`, 30 / decibels, '≤ 1.0', `${decibels.toFixed(1)} dB`);
  }
}
