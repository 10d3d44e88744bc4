import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../random/hash';
import { AIR } from './form';
import { densityOfMist, depthOfMist, evenDepthOfMist, mistOf, type Mist } from './mist';

type Place = [number, number, number];

const look = (fields: object = {}) => AIR.schema.parse({ mist: 'lies', ...fields });
const mist = (fields: object = {}, phase = 0.3, tile = 24): Mist => {
  const made = mistOf(look(fields), tile, phase);
  if (!made) throw new Error('there is no mist');
  return made;
};

/** Lines that look up, down, along the floor, and through it. */
function lines(count: number): [Place, Place][] {
  return Array.from({ length: count }, (_, i) => {
    const h = [...hash4(i, 1, 0, 0), ...hash4(i, 2, 0, 0)].map(unitFrom);
    const from: Place = [h[0] * 20 - 10, h[1] * 6 - 2, h[2] * 20 - 10];
    const flat = i % 3 === 0;
    const long = i % 2 === 0 ? 30 : 3;
    const to: Place = [
      from[0] + (h[3] - 0.5) * long,
      flat ? from[1] : from[1] + (h[4] - 0.5) * long * 0.4,
      from[2] + (h[5] - 0.5) * long,
    ];
    return [from, to];
  });
}

const between = (a: Place, b: Place, t: number): Place => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];
const length = (a: Place, b: Place): number => Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);

/** The sum over so many slices of a line of what lies in them. */
function summed(of: Mist, from: Place, to: Place, slices = 20_000): number {
  let sum = 0;
  for (let i = 0; i < slices; i++) sum += densityOfMist(of, between(from, to, (i + 0.5) / slices));
  return (sum * length(from, to)) / slices;
}

describe('mist', () => {
  it('lies along a line as a sum of thin slices says, however it looks', () => {
    const thick = mist({ mistPatches: 1, mistSize: 1.5, mistHeight: 0.8, mistFloor: 0.3 });
    for (const [from, to] of lines(120)) {
      const depth = depthOfMist(thick, from, to);
      expect(Math.abs(depth - summed(thick, from, to))).toBeLessThan(2e-5 * (1 + depth));
    }
  });

  it('takes what two parts of a line take', () => {
    const some = mist({ mistSize: 0.7 });
    for (const [from, to] of lines(60)) {
      const via = between(from, to, 0.37);
      const whole = depthOfMist(some, from, to);
      expect(Math.abs(depthOfMist(some, from, via) + depthOfMist(some, via, to) - whole)).toBeLessThan(
        1e-4 * (1 + whole),
      );
    }
  });

  it('is as even fog in its floor, and ends upwards', () => {
    const even = mist({ mistPatches: 0, mistClear: 5, mistFloor: 1, mistHeight: 0.5 });
    expect(depthOfMist(even, [0, 0, 0], [0, 0.5, -10])).toBeCloseTo(Math.hypot(0.5, 10) / 5, 6);
    // the whole of an exponential atmosphere above its floor is one scale height of it
    expect(depthOfMist(even, [0, 1, 0], [0, 500, 0])).toBeCloseTo(0.5 / 5, 6);
    expect(depthOfMist(even, [0, 0, 0], [0, 500, 0])).toBeCloseTo((1 + 0.5) / 5, 6);
    // far above there is hardly any
    expect(depthOfMist(even, [0, 9, 0], [50, 9, 0])).toBeLessThan(2e-6);
  });

  it('is in the mean what it is without patches', () => {
    const even = mist({ mistPatches: 0, mistFloor: 0.4 });
    for (const [from, to] of lines(100))
      expect(evenDepthOfMist(even, from, to)).toBeCloseTo(depthOfMist(even, from, to), 4);
  });

  it('is nowhere less than none, and in patches as much as without', () => {
    const patchy = mist({ mistPatches: 1, mistSize: 1, mistFloor: 10 });
    let sum = 0;
    let least = Infinity;
    const count = 40_000;
    for (let i = 0; i < count; i++) {
      const [a, b, c] = hash4(i, 3, 0, 0).map(unitFrom);
      const density = densityOfMist(patchy, [a * 96, b * 2, c * 96]);
      sum += density;
      least = Math.min(least, density);
    }
    expect(least).toBeGreaterThanOrEqual(0);
    expect(Math.abs((sum / count) * 7 - 1)).toBeLessThan(0.03);
  });

  it('repeats with the tile, and from lap to lap', () => {
    const fields = { mistSize: 1.3, mistAside: 7, mistAhead: -3, mistEvolves: 4 };
    const [start, end] = [mist(fields, 0.2), mist(fields, 1.2)];
    for (const [place] of lines(50)) {
      const here = densityOfMist(start, place);
      expect(densityOfMist(start, [place[0], place[1], place[2] - 24])).toBeCloseTo(here, 10);
      expect(densityOfMist(end, place)).toBeCloseTo(here, 10);
    }
  });

  it('drifts about as far as it is told to', () => {
    const fields = { mistPatches: 1, mistSize: 3, mistAside: 30, mistEvolves: 0 };
    const [start, soon] = [mist(fields, 0), mist(fields, 0.02)];
    // 0.6 m further to the right after a fiftieth of the lap; against where it was it is another
    let moved = 0;
    let stayed = 0;
    for (const [place] of lines(200)) {
      const here = densityOfMist(start, place);
      moved += Math.abs(densityOfMist(soon, [place[0] + 0.6, place[1], place[2]]) - here);
      stayed += Math.abs(densityOfMist(soon, place) - here);
    }
    expect(moved).toBeLessThan(0.2 * stayed);
  });

  it('is not there unless it is asked for', () => {
    expect(mistOf(AIR.schema.parse({}), 24, 0)).toBeNull();
  });
});
