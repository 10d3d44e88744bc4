import { layerElements } from '../../src/core/world/layers';
import { presetLayer } from '../../src/core/layers/kinds';
import { performance } from 'node:perf_hooks';
import { cameraPose } from '../../src/core/world/camera';
import { linkPoints } from '../../src/core/layers/links/neighbours';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { RF } from '../../src/core/kernel/scratch';
import { curlAt } from '../../src/core/noise/moment.gen';
import { hash4, unitFrom } from '../../src/core/random/hash';
import { poissonDisk } from '../../src/core/scatter/poisson';
import { newTreatment } from '../../src/core/treatments/kinds';

const cloud = (count: number): Float64Array =>
  Float64Array.from({ length: count * 3 }, (_, i) => unitFrom(hash4(Math.floor(i / 3), 3, 1, 1)[i % 3]) * 10);

/** The least of some runs, in milliseconds. */
function best(runs: number, work: () => void): number {
  let least = Infinity;
  for (let i = 0; i < runs; i++) {
    const started = performance.now();
    work();
    least = Math.min(least, performance.now() - started);
  }
  return least;
}

/** Linking by the grid against looking at all pairs, and how it grows when points double in the same density. */
export function linkRatios(): { ours: number; brute: number; growth: number; ratio: number } {
  const count = 20_000;
  const points = cloud(count);
  const limit = 0.45;
  const options = { limit, most: 8, tile: 0 };
  // it runs for every frame: what counts is its pace once it is under way
  const ours = best(24, () => linkPoints(points, null, options));
  const half = points.slice(0, (count / 2) * 3).map((v, i) => (i % 3 === 0 ? v / 2 : v));
  const smaller = best(24, () => linkPoints(half, null, options));
  let found = 0;
  const brute = best(1, () => {
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < count; j++) {
        const x = points[i * 3] - points[j * 3];
        const y = points[i * 3 + 1] - points[j * 3 + 1];
        const z = points[i * 3 + 2] - points[j * 3 + 2];
        if (x * x + y * y + z * z < limit * limit) found++;
      }
  });
  if (found === 0) throw new Error('nothing is linked');
  return { ours, brute, growth: ours / smaller, ratio: brute / ours };
}

/** A batch of 100 000 particles with disorder and drift against the bare cost of the drift's noise. */
export function batchRatio(): { ours: number; noise: number; ratio: number } {
  const count = 100_000;
  const field = presetLayer('field', 0, { id: 'dots', name: 'Dots', seed: 3 });
  const treatments = [newTreatment('disorder', 'a'), newTreatment('drift', 'b')];
  const piece: Piece = PieceSchema.parse({
    id: 'bench',
    name: 'Bench',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    layers: [{ ...field, count, treatments }],
    flight: {},
    look: {},
  });
  const ours = best(3, () => layerElements(piece, 'dots', 0.3));
  // without a table, as a kernel would without one
  const hashed = new Float64Array();
  let sum = 0;
  const noise = best(3, () => {
    for (let i = 0; i < count; i++) {
      curlAt((i % 97) * 0.37, (i % 89) * 0.29, i * 1.7e-5, 512, 512, 3, 11, 0.3, 3, hashed, 0, 0, 0, 0, 0, 0, 0);
      sum += RF[0];
    }
  });
  if (!Number.isFinite(sum)) throw new Error('noise is not a number');
  return { ours, noise, ratio: ours / noise };
}

/** Places in a box with a least distance, against throwing darts at all places found so far. */
export function poissonRatio(): { ours: number; brute: number; ratio: number } {
  const size = [10, 10, 10] as const;
  const [count, distance] = [4000, 0.5];
  const ours = best(2, () => poissonDisk(size, count, distance, true, 3));
  const brute = best(1, () => {
    const placed: number[] = [];
    for (let draw = 0; placed.length < count * 3 && draw < 400_000; draw++) {
      const at = hash4(draw, 5, 5, 5).map((h) => unitFrom(h) * 10);
      let free = true;
      for (let i = 0; i < placed.length && free; i += 3) {
        let z = Math.abs(placed[i + 2] - at[2]);
        z = Math.min(z, 10 - z);
        free = Math.hypot(placed[i] - at[0], placed[i + 1] - at[1], z) >= distance;
      }
      if (free) placed.push(at[0], at[1], at[2]);
    }
  });
  return { ours, brute, ratio: brute / ours };
}

/**
 * The camera of a frame of 64 passes on a circuit with everything on it, aimed softly at one of 100 000 particles, against a
 * sixtieth of a second; and how long the flight takes to be prepared after a change.
 */
export function flightCost(): { frame: number; prepared: number; share: number } {
  const field = presetLayer('field', 0, { id: 'dots', name: 'Dots', seed: 3 });
  const at = (i: number): number => (i / 12) * 2 * Math.PI;
  const base: Piece = PieceSchema.parse({
    id: 'bench',
    name: 'Bench',
    lap: { frames: 250, rate: { num: 25, den: 1 } },
    layers: [{ ...field, count: 100_000, treatments: [newTreatment('drift', 'b')] }],
    flight: {
      route: {
        kind: 'circuit',
        points: Array.from({ length: 12 }, (_, i) => ({
          id: `p${i}`,
          aside: 6 * Math.sin(at(i)),
          above: i % 2,
          ahead: 6 * Math.cos(at(i)),
        })),
      },
      aim: 'target',
      aimAt: { on: 'element', layer: 'dots', element: 70_000 },
      aimSoft: 1,
      bank: 0.6,
      handUp: 0.1,
      handYaw: 1,
    },
    look: {},
  });
  const pass = (piece: Piece, i: number): number => cameraPose(piece, 0.3 + i / 64 / 250).position[0];
  pass(base, 0);
  const frame = best(5, () => {
    for (let i = 0; i < 64; i++) pass(base, i);
  });
  const prepared = best(3, () => pass({ ...base, flight: { ...base.flight } }, 0));
  return { frame, prepared, share: frame / (1000 / 60) };
}
