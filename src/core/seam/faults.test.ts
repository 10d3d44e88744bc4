import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { birthsOf } from '../layers/stream/births';
import { newEffect } from '../look/effects/kinds';
import { newLight } from '../look/lights/kinds';
import { setAt } from '../piece/paths';
import type { Piece } from '../piece/schema';
import { newTreatment, type Treatment } from '../treatments/kinds';
import type { Finding, Repair } from './finding';
import { stateReport } from './report';

// Faults as they are made, each planted in a piece that closes: found, named, and mended by one press.

const still = { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 } };
const wound = (perLap: number) => ({ law: 'wound', start: 0, perLap });
const swing = (cycles: number) => ({ law: 'swing', middle: 1, reach: 0.5, cycles, wave: 'sine', shift: 0.1 });
const turning = (perLap: number): Treatment =>
  ({ ...newTreatment('turn', 't'), what: 'all', axis: 'along', amount: wound(perLap) }) as Treatment;
const ring = (perLap: number): Piece =>
  pieceOf(
    {
      kind: 'copies',
      arrangement: 'ring',
      count: 20,
      radius: 2,
      spread: 0,
      variation: 0,
      once: true,
      treatments: [turning(perLap)],
    } as never,
    { flight: still },
  );
const drifting = (cycles: number): Piece =>
  pieceOf({ kind: 'field', count: 60, treatments: [{ ...newTreatment('drift', 'd'), cycles } as Treatment] });
const lit = (cycles: number): Piece =>
  pieceOf(
    { kind: 'copies' },
    { flight: still, look: { lights: [newLight('sun', 'sun', { dimmer: swing(cycles) } as object)] } },
  );
const travelling = (tilesPerLap: number): Piece =>
  pieceOf({ kind: 'field', count: 60 }, { flight: { route: { kind: 'run', tilesPerLap } } });
const twisted = (twist: number): Piece => pieceOf({ kind: 'tunnel', rings: 12, sides: 5, twist } as never);
const toned = (cycles: number): Piece =>
  pieceOf(
    { kind: 'field', count: 12 },
    { look: { effects: [{ ...newEffect('tone', 't'), exposure: swing(cycles) }] } },
  );

const open = (piece: Piece): Finding[] => stateReport(piece).findings.filter(({ ok }) => !ok);
const mend = (piece: Piece, { path, value }: Repair): Piece => setAt(piece, path, value);

describe('planted faults', () => {
  const faults: [what: string, good: Piece, bad: Piece, named: string, longer: boolean][] = [
    ['two cycles and a half', drifting(2), drifting(2.5), 'Evolves', true],
    ['a ring of 20 turned by a thirtieth', ring(1 / 20), ring(1 / 30), 'Turn', true],
    ['a light of half a cycle', lit(1), lit(1.5), 'Sun', true],
    ['tiles that do not come out whole', travelling(1), travelling(1.25), 'Travel', true],
    ['a twist by no whole sides', twisted(0.4), twisted(0.27), 'Twist', false],
    ['an exposure that does not come back', toned(2), toned(2.2), 'exposure', true],
  ];

  it.each(faults)('%s', (_, good, bad, named, longer) => {
    expect(open(good)).toEqual([]);
    const found = open(bad);
    expect(found.some(({ subject }) => subject.toLowerCase().includes(named.toLowerCase()))).toBe(true);
    const repairs = found.flatMap(({ repair }) => repair ?? []);
    expect(open(repairs.reduce(mend, bad))).toEqual([]);
    const instead = found.flatMap((one) => one.instead ?? []);
    expect(instead.length > 0).toBe(longer);
    // a longer lap mends all of it by itself, and leaves each pace as it was
    if (longer) expect(open(mend(bad, instead[0]))).toEqual([]);
  });

  it('several at once are mended by one longer lap where one does', () => {
    const bad = setAt(drifting(2.5), ['flight', 'route', 'tilesPerLap'], 1.25);
    const laps = open(bad).flatMap(({ instead }) => (instead ? [(instead.value as Piece).lap.frames / 100] : []));
    expect(new Set(laps)).toEqual(new Set([4]));
    const longer = open(bad).find(({ instead }) => instead)?.instead;
    if (!longer) throw new Error('nothing lengthens it');
    expect(longer.says).toBe('Or make 4 laps one, of 400 frames: then it comes out whole');
    expect(open(mend(bad, longer))).toEqual([]);
  });

  it('a stream cannot be given a rate that does not come out whole', () => {
    for (const rate of [0.3, 7.77, 40.37, 211.1])
      for (const seconds of [1.001, 2.4, 10]) {
        const { births, rate: made } = birthsOf(rate, seconds, 2);
        expect(Number.isInteger(births)).toBe(true);
        expect(made * seconds).toBeCloseTo(births, 9);
      }
  });
});
