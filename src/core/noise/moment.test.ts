import { describe, expect, it } from 'vitest';
import { RF } from '../kernel/scratch';
import { hash4, unitFrom } from '../random/hash';
import { fitNoise } from './fit';
import { flowNoise } from './flow.gen';
import { momentOf, type MomentTable } from './moment';
import { curlAt, flowNoiseAt } from './moment.gen';

const TILE = 12;
const noise = fitNoise(1.5, TILE);
const [px, py, pz] = noise.period;
/** A box of 6 by 4 by 12 metres, and lattice places in it, or up to so many metres beyond. */
const box = { low: [-2, -2.5, -TILE], high: [4, 1.5, 0] };
const placeIn = (i: number, beyond = 0): number[] => {
  const u = hash4(i, 7, 2, 1).map(unitFrom);
  const at = [1 + (u[0] * 2 - 1) * (3 + beyond), -0.5 + (u[1] * 2 - 1) * (2 + beyond), -u[2] * TILE];
  return at.map((metres, k) => metres * noise.scale[k]);
};
const momentAt = (lap: number, potentials: 1 | 3, octaves = 1, samples = 1e6): MomentTable =>
  momentOf({ ...noise, seed: 9, potentials, lap, cycles: 3, octaves }, box, samples);
/** The window of an octave as moment.glsl has it, and where its entries begin. */
const windowOf = ({ from, size, octaves }: MomentTable, octave: number, potentials: number) => {
  const first = from.map((v) => v * 2 ** octave - 2);
  const many = (o: number): number[] => (o < octaves ? size.map((v) => v * 2 ** o + 5) : [0, 0, 0]);
  const start = Array.from({ length: octave }, (_, o) => 2 * potentials * many(o).reduce((a, b) => a * b)).reduce(
    (a, b) => a + b,
    0,
  );
  return { first, many: many(octave), start };
};
const numbers = (n: number): number[] => Array.from(RF.subarray(0, n));

describe('a table of a moment', () => {
  it('gives value and gradient of the hashed noise, to the last bit', () => {
    let read = 0;
    for (const lap of [0, 0.21, 0.77]) {
      const moment = momentAt(lap, 1);
      const { first, many } = windowOf(moment, 0, 1);
      for (let i = 0; i < 400; i++) {
        const [x, y, z] = placeIn(i);
        flowNoise(x, y, z, px, py, pz, 9, lap, 3);
        const hashed = numbers(4);
        const args = [first[0], first[1], first[2], many[0], many[1], many[2]] as const;
        flowNoiseAt(x, y, z, px, py, pz, 9, lap, 3, moment.table.numbers, 0, ...args);
        expect(numbers(4)).toEqual(hashed);
        // proves that the table was read: with numbers of its own in place of the gradients the value is another
        flowNoiseAt(x, y, z, px, py, pz, 9, lap, 3, new Float64Array(moment.table.entries * 4), 0, ...args);
        if (RF[0] === 0 && hashed[0] !== 0) read++;
      }
    }
    expect(read).toBe(1200);
  });

  it('gives the hashed curl in every octave it holds, in those it does not, and outside its window', () => {
    const moment = momentAt(0.4, 3, 3, 12_000);
    // the third octave has too many vertices for so many samples
    expect(moment.octaves).toBe(2);
    let outside = 0;
    for (let octave = 0; octave < 3; octave++) {
      const times = 2 ** octave;
      const { first, many, start } = windowOf(moment, octave, 3);
      for (let i = 0; i < 300; i++) {
        const [x, y, z] = placeIn(i, 3).map((v) => v * times + ((octave * 0.37) % 1));
        const curl = (table: Float64Array, window: readonly number[]): number[] => {
          const [a, b, c, d, e, f] = window;
          curlAt(x, y, z, px * times, py * times, pz * times, 9 + 3 * octave, 0.4, 3, table, start, a, b, c, d, e, f);
          return numbers(3);
        };
        const hashed = curl(new Float64Array(), [0, 0, 0, 0, 0, 0]);
        expect(curl(moment.table.numbers, [...first, ...many])).toEqual(hashed);
        const unread = curl(new Float64Array(moment.table.entries * 4), [...first, ...many]);
        if (unread.some((v) => v !== 0)) outside++;
      }
    }
    // all of the third octave, and of the others those that are too far out, but not all of them
    expect(outside).toBeGreaterThan(300 + 100);
    expect(outside).toBeLessThan(900 - 100);
  });

  it('holds what is within its extent, at its very borders', () => {
    const moment = momentAt(0.1, 1);
    const { first, many } = windowOf(moment, 0, 1);
    const empty = new Float64Array(moment.table.entries * 4);
    for (const cx of [-2, 4])
      for (const cy of [-2.5, 1.5])
        for (const cz of [-TILE, 0]) {
          const [x, y, z] = [cx, cy, cz].map((metres, k) => metres * noise.scale[k]);
          flowNoiseAt(
            x,
            y,
            z,
            px,
            py,
            pz,
            9,
            0.1,
            3,
            empty,
            0,
            first[0],
            first[1],
            first[2],
            many[0],
            many[1],
            many[2],
          );
          expect(RF[0]).toBe(0);
        }
  });

  it('is not made for few samples, nor for a window of more vertices than there are samples', () => {
    expect(momentAt(0.1, 3, 1, 100)).toMatchObject({ octaves: 0, size: [0, 0, 0] });
    expect(momentAt(0.1, 3, 1, 100).table.entries).toBe(0);
    const wide = { low: [-Infinity, -2, -TILE], high: [Infinity, 2, 0] };
    expect(momentOf({ ...noise, seed: 1, potentials: 1, lap: 0, cycles: 1, octaves: 1 }, wide, 1e9).octaves).toBe(0);
  });
});
