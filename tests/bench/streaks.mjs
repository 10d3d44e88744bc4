// Ribbons, and figures with nets between their particles: beside bare lines that stand still.
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { pace, rounds } from './drawing.mjs';

const bytes = readFileSync(new URL('../../stock/motions/tumbling.bvh', import.meta.url));
const TUMBLING = { hash: createHash('sha256').update(bytes).digest('hex'), name: 'Tumbling' };

const [width, height] = [412, 231];
const NODES = 24;

const pieceOf = (layers) => ({
  format: 'isomorph',
  version: 8,
  piece: {
    ...{ id: 'b', name: 'Streaks', lap: { frames: 100, rate: { num: 25, den: 1 } }, tile: 60, layers },
    flight: {
      ...{ route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, aim: 'own' },
      ...{ focalMm: 36, fNumber: 4, focusM: 6, shutterDeg: 180 },
    },
    look: { effects: [{ kind: 'tone', id: 'tone' }], reach: 40, fogDistance: 1000 },
  },
});

const ribbons = pieceOf([
  {
    ...{ kind: 'stream', id: 'r', name: 'Ribbons', seed: 1, once: true, form: 'ball', width: 3, height: 3, depth: 3 },
    ...{ ahead: 7, stated: 'alive', alive: 2000, life: 4, lifeSpread: 0, speed: 0.5, spread: 1, turbulence: 1 },
    ...{ drawn: 'ribbons', ribbon: 1, nodes: NODES },
  },
]);

/** Twelve figures that tumble, of so many particles each, and a net between those that are near one another. */
const figures = pieceOf([
  {
    ...{ kind: 'links', id: 'net', name: 'Net', seed: 1, once: true, from: 'crowd', distance: 0.09, most: 4 },
  },
  {
    ...{ kind: 'figure', id: 'crowd', name: 'Crowd', seed: 1, once: true, motion: TUMBLING, drawn: 'points' },
    ...{ points: 400, around: 0.03, arrangement: 'grid', countX: 4, countY: 1, countZ: 3, late: 0.08 },
    ...{ stepX: 1.4, stepZ: 1.4, ahead: 8, above: -1 },
  },
]);

/** 2000 ribbons, and twelve figures with nets / as many bare lines that stand still. */
export async function streakRows(page, line) {
  for (const [what, piece, count] of [
    ['2000 ribbons of 24 places in swirls / bare lines, still', ribbons, 2000 * (NODES - 1)],
    ['12 figures of particles with nets / bare lines, still', figures, 12 * 400 * 2],
  ]) {
    const { ours, still } = await rounds(3, {
      ours: () => pace(page, piece, [width, height], 1, 4),
      still: () => page.evaluate(([w, h, n]) => globalThis.peers.linesPace(w, h, n, 4), [width, height, count]),
    });
    line(what, ours / still, '', `${ours.toFixed(0)} ms, peer ${still.toFixed(1)} ms`);
  }
}
