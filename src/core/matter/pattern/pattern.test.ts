import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { RF } from '../../kernel/scratch';
import { newLayer } from '../../layers/kinds';
import { toDocument } from '../../piece/document';
import { parsePiece } from '../../world/open';
import { evaluateAnimated } from '../../time/animated';
import { isAlike, isGlued, newPattern, patternOf, PATTERNS } from './kinds';
import { cellPattern, cellsBy, flowPattern } from './pattern.gen';
import { evolution, periodOf, runAt } from './setting';

type Three = [number, number, number];
interface Sample {
  value: number;
  slope: Three;
}
type Law = (p: Three, period: Three, seed: number, lap: number, cycles: number) => Sample;

const read = (): Sample => ({ value: RF[0], slope: [RF[1], RF[2], RF[3]] });
const LAWS: Record<string, Law> = {
  ...Object.fromEntries(
    Object.entries(cellsBy).map(([name, by]): [string, Law] => [
      `cells read as ${name}`,
      (p, period, seed, lap, cycles) => {
        cellPattern(...p, ...period, seed, lap, cycles, by);
        return read();
      },
    ]),
  ),
  ...Object.fromEntries(
    [1, 3, 4].map((octaves): [string, Law] => [
      `clouds of ${octaves} octaves`,
      (p, period, seed, lap, cycles) => {
        flowPattern(...p, ...period, seed, lap, cycles, octaves);
        return read();
      },
    ]),
  ),
};

const whole = fc.integer({ min: -9, max: 9 });
const share = fc.integer({ min: 1, max: 4094 }).map((n) => n / 4095);
const place = fc
  .tuple(whole, whole, whole, share, share, share)
  .map(([x, y, z, u, v, w]): Three => [x + u, y + v, z + w]);
const PERIOD: Three = [6, 8, 5];

describe.each(Object.entries(LAWS))('%s', (_, law) => {
  it('repeat in space and after every lap, and lie within 0..1', () => {
    fc.assert(
      fc.property(place, share, fc.constantFrom(0, 1, 2), (p, lap, axis) => {
        const here = law(p, PERIOD, 7, lap, 3);
        expect(here.value).toBeGreaterThanOrEqual(0);
        expect(here.value).toBeLessThanOrEqual(1);
        const beyond: Three = [...p];
        beyond[axis] += PERIOD[axis];
        expect(Math.abs(law(beyond, PERIOD, 7, lap, 3).value - here.value)).toBeLessThan(1e-12);
        expect(Math.abs(law(p, PERIOD, 7, lap + 1, 3).value - here.value)).toBeLessThan(1e-12);
      }),
      { seed: 4 },
    );
  });

  it('change from place to place as their slope says', () => {
    const h = 1e-5;
    let [compared, folds] = [0, 0];
    fc.assert(
      fc.property(place, share, fc.constantFrom(0, 1, 2), (p, lap, axis) => {
        const at = (by: number): number => {
          const q: Three = [...p];
          q[axis] += by;
          return law(q, PERIOD, 7, lap, 3).value;
        };
        const [before, here, after] = [at(-h), at(0), at(h)];
        // where another point becomes the nearest, or it is cut off, there is a fold
        if (Math.abs(after - here - (here - before)) > 1e-7) return void folds++;
        compared++;
        expect(Math.abs((after - before) / (2 * h) - law(p, PERIOD, 7, lap, 3).slope[axis])).toBeLessThan(2e-3);
      }),
      { seed: 5, numRuns: 600 },
    );
    expect(compared).toBeGreaterThan(560);
    expect(folds).toBeLessThan(40);
  });

  it('use their range: half of all places are within the middle half, or nearly', () => {
    const values = Array.from({ length: 4000 }, (_unused, i) => {
      const p: Three = [(i * 0.7548776662) % 1, (i * 0.569840291) % 1, (i * 0.3141592653) % 1].map(
        (v) => v * 400,
      ) as Three;
      return law(p, [512, 512, 512], 11, 0.3, 2).value;
    }).sort((a, b) => a - b);
    const at = (q: number): number => values[Math.floor(q * values.length)];
    expect(at(0.5)).toBeGreaterThan(0.3);
    expect(at(0.5)).toBeLessThan(0.75);
    expect(at(0.95) - at(0.05)).toBeGreaterThan(0.5);
  });
});

describe('patterns', () => {
  it.each(PATTERNS.names.map((kind) => [kind]))('%s have three whole numbers for their program', (kind) => {
    const choices = patternOf(kind).choices(newPattern(kind));
    expect(choices).toHaveLength(3);
    for (const n of choices) expect(Number.isInteger(n)).toBe(true);
  });

  it('close: what runs and evolves is after a lap where it was before', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -32, max: 32 }),
        fc.integer({ min: 0, max: 64 }),
        place,
        share,
        (runs, cycles, p, phase) => {
          const pattern = newPattern('flow', { runs, cycles, octaves: 2 });
          if (pattern.kind !== 'flow') throw new Error('another kind');
          const at = (lap: number): number => {
            const { cycles: most, lap: gone } = evolution(pattern, lap);
            const down: Three = [p[0], p[1] + runAt(pattern, lap), p[2]];
            return LAWS['clouds of 3 octaves'](down, periodOf(pattern), 3, gone, most).value;
          };
          expect(Math.abs(at(phase) - at(phase + 1))).toBeLessThan(1e-9);
        },
      ),
      { seed: 6, numRuns: 300 },
    );
  });

  it('run down by what their number says', () => {
    const pattern = newPattern('cells', { runs: 2, cycles: 0 });
    if (pattern.kind !== 'cells') throw new Error('another kind');
    // after a quarter of the lap what was at a place is four patches lower
    const at = (y: number, phase: number): number =>
      LAWS['cells read as edges']([0.3, y + runAt(pattern, phase), 0.7], periodOf(pattern), 1, 0, 1).value;
    for (const y of [0.1, 2.3, 5.9]) expect(Math.abs(at(y - 4, 0.25) - at(y, 0))).toBeLessThan(1e-12);
  });

  it('are alike on every body only where each has the same one at the same place', () => {
    expect(isAlike(newPattern('bare'))).toBe(true);
    expect(isAlike(newPattern('cells', { lies: 'body', vary: false }))).toBe(true);
    expect(isAlike(newPattern('cells', { lies: 'body', vary: true }))).toBe(false);
    expect(isAlike(newPattern('picture', { lies: 'body' }))).toBe(true);
    for (const lies of ['layer', 'world', 'view'] as const)
      expect(isAlike(newPattern('flow', { lies, vary: false }))).toBe(false);
    expect([isGlued('layer'), isGlued('view'), isGlued('world'), isGlued('body')]).toEqual([true, true, false, false]);
  });

  it('are read from documents, and documents without them have none', () => {
    const plain = toDocument(pieceOf({ kind: 'copies' }));
    const layers = plain.piece.layers.map((layer) => ({
      ...layer,
      pattern: {
        kind: 'cells',
        relief: 0.3,
        level: { law: 'swing', middle: 0.5, reach: 0.4, cycles: 1, wave: 'sine', shift: 0 },
      },
    }));
    const read_ = parsePiece({ ...plain, piece: { ...plain.piece, layers } });
    if (!read_.ok) throw new Error(JSON.stringify(read_.problems));
    const [layer] = read_.piece.layers;
    if (layer.kind !== 'copies' || layer.pattern.kind !== 'cells') throw new Error('no pattern');
    expect(evaluateAnimated(layer.pattern.relief, 0)).toBe(0.3);
    const fresh = newLayer('copies', 'a', 'A');
    expect('pattern' in fresh && fresh.pattern.kind).toBe('bare');
  });
});
