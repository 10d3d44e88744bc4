// Ratios against a peer or a limit in the same run. Machines are noisy: ratios mean more than times.
import { readFileSync } from 'node:fs';
import { build, createServer } from 'vite';
import { launchBrowser } from '../../bin/browser.mjs';
import { startServer } from '../../bin/server.mjs';
import { ensureBuilt, root } from '../../scripts/run.mjs';

const line = (what, ratio, aim, detail) =>
  console.log(`${what.padEnd(58)} ${ratio.toFixed(2).padStart(7)}×   aim ${aim.padEnd(8)} ${detail}`);

const vite = await createServer({
  root,
  configFile: false,
  server: { middlewareMode: true },
  appType: 'custom',
  logLevel: 'error',
});
const { noiseRatio } = await vite.ssrLoadModule('/tests/bench/noise.ts');
const noise = noiseRatio();
line(
  'flow noise with gradient / four calls of simplex-noise 4D',
  noise.ratio,
  '≤ 0.5',
  `${noise.ours.toFixed(0)} ns, peer ${noise.peer.toFixed(0)} ns`,
);
const core = await vite.ssrLoadModule('/tests/bench/core.ts');
const links = core.linkRatios();
const ms = (value) => `${value.toFixed(0)} ms`;
line('brute force / links of 20 000 points', links.ratio, '≥ 50', `${ms(links.ours)}, peer ${ms(links.brute)}`);
const flight = core.flightCost();
line(
  'cameras of a frame of 64 passes, everything on / 1/60 s',
  flight.share,
  '≤ 0.1',
  `${ms(flight.frame)}, prepared in ${ms(flight.prepared)}`,
);
line('links of 20 000 points / of 10 000', links.growth, '≤ 2.3', '');
const batch = core.batchRatio();
line(
  '100 000 elements, disorder and drift / their noise alone',
  batch.ratio,
  '≤ 1.5',
  `${ms(batch.ours)}, noise ${ms(batch.noise)}`,
);
const poisson = core.poissonRatio();
line(
  'darts at all places / Poisson-disk by a grid',
  poisson.ratio,
  '≥ 1',
  `${ms(poisson.ours)}, peer ${ms(poisson.brute)}`,
);
await vite.close();

await ensureBuilt();
const peers = await build({
  root,
  configFile: false,
  logLevel: 'error',
  build: { write: false, minify: false, lib: { entry: 'tests/bench/peers.ts', formats: ['iife'], name: 'peers' } },
});
const server = await startServer();
const browser = await launchBrowser();
const page = await browser.newPage();
await page.goto(`${server.url}/lab`);
await page.waitForFunction(() => 'lab' in globalThis);
await page.evaluate(`${peers[0].output[0].code}; globalThis.peers = peers;`);

const COUNT = 200_000;
const [width, height, frames] = [960, 540, 6];
const drifting = {
  format: 'isomorph',
  version: 2,
  piece: {
    id: 'bench',
    name: 'Bench',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 8,
    layers: [
      {
        id: 'dots',
        name: 'Dots',
        kind: 'field',
        seed: 3,
        shape: 'ball',
        width: 9,
        height: 5,
        depth: 8,
        ahead: 6,
        count: COUNT,
        size: 0.0015,
        variation: 0,
        glint: 0,
        softness: 1,
        light: 1,
        treatments: [{ kind: 'drift', id: 'drift', seed: 3, amount: 0.3, scale: 2, cycles: 2 }],
        gradient: [{ at: 0, colour: '#8899aa' }],
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 40, fNumber: 64, shutterDeg: 0 },
    look: { glow: [], reach: 7.5, fogDistance: 1000, nearFade: 0.1 },
  },
};
const paces = { ours: [], still: [], rewritten: [] };
for (let round = 0; round < 3; round++) {
  paces.ours.push(
    await page.evaluate(
      ([json, w, h, n]) =>
        globalThis.lab.engine.api.pace(
          { piece: globalThis.lab.parse(json), frameIndex: 0, width: w, height: h, passes: 1 },
          n,
        ),
      [drifting, width, height, frames],
    ),
  );
  for (const [name, rewrite] of [
    ['still', false],
    ['rewritten', true],
  ])
    paces[name].push(
      await page.evaluate(
        ([c, w, h, n, r]) => globalThis.peers.pointsPace(c, w, h, n, r),
        [COUNT, width, height, frames, rewrite],
      ),
    );
}
const middle = (list) => [...list].sort((a, b) => a - b)[1];
const [ours, still, rewritten] = [middle(paces.ours), middle(paces.still), middle(paces.rewritten)];
line(
  '200 000 drifting particles / bare points that stand still',
  ours / still,
  '≤ 1.5',
  `${ours.toFixed(0)} ms, peer ${still.toFixed(0)} ms`,
);
line(
  'points moved by rewriting a buffer / drifting particles',
  rewritten / ours,
  '≥ 5',
  `peer ${rewritten.toFixed(0)} ms`,
);

const boxes = (amount) => ({
  format: 'isomorph',
  version: 2,
  piece: {
    id: 'boxes',
    name: 'Boxes',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 60,
    layers: [
      {
        id: 'boxes',
        name: 'Boxes',
        kind: 'copies',
        once: true,
        countX: 40,
        countY: 25,
        countZ: 20,
        stepX: 0.3,
        stepY: 0.3,
        stepZ: 0.3,
        size: 0.18,
        bevel: 0.1,
        detail: 1,
        ahead: 14,
        treatments: [
          { kind: 'disorder', id: 'a', amount },
          { kind: 'turn', id: 'b', what: 'each', axis: 'up' },
          { kind: 'wave', id: 'c', amount: 0.3 },
        ],
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 40, fNumber: 64, shutterDeg: 0 },
    look: { glow: [], reach: 40, fogDistance: 1000 },
  },
});
const boxPaces = { ours: [], still: [] };
for (let round = 0; round < 3; round++) {
  boxPaces.ours.push(
    await page.evaluate(
      ([json, w, h]) =>
        globalThis.lab.engine.api.pace(
          { piece: globalThis.lab.parse(json), frameIndex: 0, width: w, height: h, passes: 1 },
          3,
        ),
      [boxes(0.5), width, height],
    ),
  );
  boxPaces.still.push(await page.evaluate(([w, h]) => globalThis.peers.boxesPace(w, h, 3), [width, height]));
}
const [boxesOurs, boxesStill] = [middle(boxPaces.ours), middle(boxPaces.still)];
line(
  '20 000 boxes, three treatments / bare instances, still',
  boxesOurs / boxesStill,
  '≤ 1.5',
  `${boxesOurs.toFixed(0)} ms, peer ${boxesStill.toFixed(0)} ms`,
);
const builds = await page.evaluate(
  async ([one, two]) => {
    const at = async (json) => {
      await globalThis.lab.engine.api.still({
        piece: globalThis.lab.parse(json),
        frameIndex: 0,
        width: 64,
        height: 36,
        passes: 1,
      });
      return globalThis.lab.engine.api.builds();
    };
    const first = await at(one);
    return (await at(two)) - first;
  },
  [boxes(0.5), boxes(0.6)],
);
line('rest elements made anew by another treatment value', builds, '0', 'times');

const tunnel = JSON.parse(readFileSync(new URL('../../demo/ropewalk-tunnel.isomorph.json', import.meta.url), 'utf8'));
const times = await page.evaluate(
  ([json]) => globalThis.lab.exportTimes(globalThis.lab.parse(json), 48, 640, 360),
  [tunnel],
);
const limit = Math.max(times.render, times.encode);
line(
  'export of 48 frames / the larger of rendering and encoding',
  times.both / limit,
  '≤ 1.2',
  `${times.both.toFixed(1)} s; rendering ${times.render.toFixed(1)} s, encoding ${times.encode.toFixed(1)} s`,
);

await browser.close();
await server.close();
process.exit(0);
