import { layerElements } from '../../world/layers';
import { fitNoise } from '../../noise/fit';
import { flowNoiseInto } from '../../noise/flow';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

const SPACING = 2;
const TILE = 8;
const [NOISE_SEED, COUNT] = [1 + 31, 4000];

/** The two noises that a drift of seed 1 gathers by, at its elements' places; and how far from rest each is. */
function gatheredBy(more: object, phase = 0.2): { first: number[]; second: number[]; moved: number[] } {
  const at = (treatments: Treatment[]): Float64Array =>
    layerElements(pieceWith({ kind: 'field', count: COUNT, width: 12, height: 12 }, treatments), 'one', phase).position;
  const rest = at([]);
  const places = at([treat('drift', { amount: 0, gatherScale: SPACING, gather: 1, gatherCycles: 2, ...more })]);
  const { scale, period } = fitNoise(SPACING, TILE);
  const sample = { value: 0, gx: 0, gy: 0, gz: 0 };
  const noise = (seed: number): number[] =>
    Array.from({ length: COUNT }, (_, i) => {
      const [x, y, z] = [0, 1, 2].map((k) => places[i * 3 + k] * scale[k]);
      flowNoiseInto(sample, x, y, z, phase, 2, period, seed);
      return sample.value;
    });
  const moved = Array.from({ length: COUNT }, (_, i) =>
    Math.hypot(...[0, 1, 2].map((k) => places[i * 3 + k] - rest[i * 3 + k])),
  );
  return { first: noise(NOISE_SEED), second: noise(NOISE_SEED + 1), moved };
}

const middle = (values: number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1];
const sizes = (values: number[]): number[] => values.map(Math.abs);

describe('drift', () => {
  it('gathers into threads where both noises are 0, into veils where one is, into clumps where it is great', () => {
    const rest = gatheredBy({ gathers: 'no' });
    expect(middle(rest.moved)).toBe(0);
    const [size1, size2] = [middle(sizes(rest.first)), middle(sizes(rest.second))];
    const threads = gatheredBy({ gathers: 'threads' });
    expect(middle(sizes(threads.first))).toBeLessThan(size1 / 8);
    expect(middle(sizes(threads.second))).toBeLessThan(size2 / 8);
    const veils = gatheredBy({ gathers: 'veils' });
    expect(middle(sizes(veils.first))).toBeLessThan(size1 / 8);
    expect(middle(sizes(veils.second))).toBeGreaterThan(size2 / 2);
    const clumps = gatheredBy({ gathers: 'clumps' });
    const risen = clumps.first.filter((value, i) => value >= rest.first[i]).length;
    expect(risen / COUNT).toBeGreaterThan(0.99);
    expect(middle(clumps.first)).toBeGreaterThan(0.3);
  });

  it('gathering moves nothing farther than it may, half as far by half, and the other way below 0', () => {
    for (const gathers of ['threads', 'veils', 'clumps']) {
      const { moved } = gatheredBy({ gathers });
      expect(Math.max(...moved)).toBeLessThanOrEqual(0.8 * SPACING + 1e-9);
      const half = gatheredBy({ gathers, gather: 0.5 });
      const away = gatheredBy({ gathers, gather: -0.5 });
      moved.forEach((way, i) => {
        expect(half.moved[i]).toBeCloseTo(way / 2, 9);
        expect(away.moved[i]).toBeCloseTo(way / 2, 9);
      });
      const spread = gathers === 'clumps' ? away.first : sizes(away.first);
      const now =
        gathers === 'clumps' ? gatheredBy({ gathers: 'no' }).first : sizes(gatheredBy({ gathers: 'no' }).first);
      if (gathers === 'clumps') expect(middle(spread)).toBeLessThan(middle(now));
      else expect(middle(spread)).toBeGreaterThan(middle(now));
    }
  });

  it('what it gathers into comes back after a lap, and stands still with no cycles', () => {
    const at = (phase: number, gatherCycles: number): Float64Array =>
      layerElements(
        pieceWith({ kind: 'field', count: 500 }, [treat('drift', { amount: 0, gathers: 'threads', gatherCycles })]),
        'one',
        phase,
      ).position;
    expect(at(0.3, 0)).toEqual(at(0.8, 0));
    expect(at(0.3, 2)).not.toEqual(at(0.8, 2));
    const [now, later] = [at(0.25, 2), at(1.25, 2)];
    now.forEach((v, i) => {
      expect(later[i]).toBeCloseTo(v, 9);
    });
  });

  it('drift carries no element farther than it says, and air that stands still holds it', () => {
    const rest = layerElements(pieceWith({ kind: 'field', count: 3000 }), 'one', 0.2);
    const at = (phase: number, more: object) =>
      layerElements(
        pieceWith({ kind: 'field', count: 3000 }, [treat('drift', { amount: 0.5, ...more })]),
        'one',
        phase,
      );
    const carried = at(0.2, {});
    let sum = 0;
    let most = 0;
    for (let i = 0; i < 3000; i++) {
      const d = Math.hypot(...[0, 1, 2].map((k) => carried.position[i * 3 + k] - rest.position[i * 3 + k]));
      sum += d;
      most = Math.max(most, d);
    }
    expect(sum / 3000).toBeGreaterThan(0.1);
    // what the engine relies on when it leaves out what it cannot see
    expect(most).toBeLessThan(4 * 0.5);
    expect(at(0.2, { cycles: 0 }).position).toEqual(at(0.7, { cycles: 0 }).position);
  });
});
