/* global PerformanceObserver */
// Rows of models: a ring of twenty of a million triangles, beside bare instances of as many; and how long a page stands still while one of 50 MB is read.
import { createHash } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Document, WebIO } from '@gltf-transform/core';
import { zipSync } from 'fflate';
import { pace, rounds } from './drawing.mjs';

const [width, height] = [412, 231];

/** A ball with knobs on it, so many steps around and half as many up, as a GLB. */
async function knobbly(steps) {
  const rows = steps / 2;
  const position = new Float32Array((steps + 1) * (rows + 1) * 3);
  for (let j = 0; j <= rows; j++)
    for (let i = 0; i <= steps; i++) {
      const [u, v] = [((i % steps) / steps) * 2 * Math.PI, (j / rows) * Math.PI];
      const r = 1 + 0.05 * Math.sin(9 * u) * Math.sin(11 * v) * Math.sin(v);
      const at = (j * (steps + 1) + i) * 3;
      position.set([r * Math.sin(v) * Math.sin(u), r * Math.cos(v), r * Math.sin(v) * Math.cos(u)], at);
    }
  const index = new Uint32Array(steps * rows * 6);
  for (let j = 0, to = 0; j < rows; j++)
    for (let i = 0; i < steps; i++, to += 6) {
      const a = j * (steps + 1) + i;
      index.set([a, a + steps + 1, a + 1, a + 1, a + steps + 1, a + steps + 2], to);
    }
  const document = new Document();
  const buffer = document.createBuffer();
  const list = (array, type) => document.createAccessor().setType(type).setArray(array).setBuffer(buffer);
  const normal = position.map((v, i) => {
    const from = i - (i % 3);
    return v / (Math.hypot(position[from], position[from + 1], position[from + 2]) || 1);
  });
  const primitive = document
    .createPrimitive()
    .setAttribute('POSITION', list(position, 'VEC3'))
    .setAttribute('NORMAL', list(normal, 'VEC3'))
    .setAttribute('TEXCOORD_0', list(new Float32Array((position.length / 3) * 2), 'VEC2'))
    .setIndices(list(index, 'SCALAR'));
  document
    .createScene()
    .addChild(document.createNode('ball').setMesh(document.createMesh('ball').addPrimitive(primitive)));
  return Buffer.from(await new WebIO().writeBinary(document));
}

const ringOf = (hash) => ({
  format: 'isomorph',
  version: 8,
  piece: {
    ...{ id: 'b', name: 'Ring', lap: { frames: 100, rate: { num: 25, den: 1 } }, tile: 60 },
    layers: [
      {
        ...{ kind: 'copies', id: 'r', name: 'Ring', seed: 1, once: true, arrangement: 'ring', count: 20, radius: 2.4 },
        ...{ source: 'model', model: { hash, name: 'ball.glb' }, size: 0.7, ahead: 9 },
        treatments: [
          { kind: 'turn', id: 't', what: 'each', axis: 'up', amount: { law: 'wound', start: 0, perLap: 1 } },
        ],
      },
    ],
    flight: {
      route: { kind: 'keys', aside: 0, above: 0, ahead: 0 },
      aim: 'own',
      focalMm: 36,
      fNumber: 64,
      shutterDeg: 0,
    },
    look: { effects: [{ kind: 'tone', id: 'tone' }], reach: 40, fogDistance: 1000 },
  },
});

/** A ring of twenty of a million triangles / twenty bare instances of it. */
export async function modelRow(page, line) {
  const bytes = await knobbly(1000);
  const hash = createHash('sha256').update(bytes).digest('hex');
  const json = ringOf(hash);
  const zip = Buffer.from(
    zipSync({ 'piece.isomorph.json': Buffer.from(JSON.stringify(json)), [`files/${hash}`]: [bytes, { level: 0 }] }),
  );
  const started = performance.now();
  await page.evaluate((text) => globalThis.lab.unpack(text, 'ring.isomorph.zip'), zip.toString('base64'));
  const ready = performance.now() - started;
  const { ours, still } = await rounds(3, {
    ours: () => pace(page, json, [width, height], 1, 4),
    still: () => page.evaluate(([w, h]) => globalThis.peers.ballsPace(w, h, 1000, 20, 1), [width, height]),
  });
  line(
    'ring of 20 of a million triangles, turning / bare instances, still',
    ours / still,
    '≤ 0.1',
    `${ours.toFixed(0)} ms, peer ${still.toFixed(0)} ms; made ready in ${(ready / 1000).toFixed(1)} s`,
  );
}

/** The longest time that the page stands still while a model of 50 MB is dropped, read and shown. */
export async function readingRow(browser, url, window) {
  const bytes = await knobbly(1322);
  const path = join(mkdtempSync(join(tmpdir(), 'isomorph-')), 'large.glb');
  writeFileSync(path, bytes);
  const page = await browser.newPage({ viewport: window });
  await page.goto(`${url}/#/recipe/slipway-spiral`);
  await page.getByRole('button', { name: 'Pause' }).click({ timeout: 60_000 });
  await page.getByText(/passes, final/).waitFor({ timeout: 240_000 });
  await page.evaluate(() => {
    globalThis.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) globalThis.longest = Math.max(globalThis.longest, duration);
    }).observe({ type: 'longtask' });
  });
  await page.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: /Bring a model/ }).click();
  await page.getByRole('button', { name: /^Model:/ }).waitFor();
  await page.waitForTimeout(3000);
  const longestOf = async (act) => {
    await page.evaluate(() => (globalThis.longest = 0));
    await act();
    await page.waitForTimeout(3000);
    return page.evaluate(() => globalThis.longest);
  };
  const chosen = (name) => page.getByRole('button', { name: `Model: ${name}` }).waitFor({ timeout: 120_000 });
  await page.getByRole('button', { name: /^Model:/ }).click();
  await page.waitForTimeout(8000);
  const edit = await longestOf(async () => {
    await page.getByRole('menuitem', { name: 'Capstan' }).click();
    await chosen('Capstan');
  });
  let seconds = 0;
  const longest = await longestOf(async () => {
    const started = performance.now();
    await page.locator('input[type=file]').first().setInputFiles(path);
    await chosen('large.glb');
    seconds = (performance.now() - started) / 1000;
  });
  console.log(
    `${'longest task of the page while a model of 50 MB is read'.padEnd(62)} ${longest.toFixed(0).padStart(7)} ms  aim < 100     ${(bytes.length / 1e6).toFixed(0)} MB, there after ${seconds.toFixed(1)} s; of choosing one that ships ${edit.toFixed(0)} ms`,
  );
  await page.close();
}
