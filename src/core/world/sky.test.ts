import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { evenAt, evenOf } from '../panorama/even';
import { panoramaOf } from '../panorama/panorama';
import { hexToLinear } from '../colour/colour';
import { normalize, type Vec3 } from '../space/vector';
import { skyAt } from './sky';

const RAMP = [
  { at: 0, colour: '#101010' },
  { at: 0.5, colour: '#c06020' },
  { at: 1, colour: '#204080' },
];
const dome = (more: object = {}) => ({
  kind: 'backdrop' as const,
  form: 'dome' as const,
  gradient: RAMP,
  clouds: 0,
  light: 1,
  ...more,
});

describe('the sky of a piece', () => {
  it('goes from straight below over the horizon to straight above', () => {
    const sky = skyAt(pieceOf(dome()), 0.2);
    for (const [d, colour] of [
      [[0, -1, 0], '#101010'],
      [[0, 1, 0], '#204080'],
      [[0.6, 0, -0.8], '#c06020'],
    ] as [Vec3, string][])
      sky?.law(d).forEach((v, k) => expect(v).toBeCloseTo(hexToLinear(colour)[k], 2));
  });

  it('comes round in a lap with its clouds, and is the same all the while without', () => {
    const cloudy = pieceOf(dome({ clouds: 0.8, cloudCycles: 2 }));
    const d = normalize([0.3, 0.12, -0.9]);
    const at = (phase: number): readonly number[] => skyAt(cloudy, phase)?.law(d) ?? [];
    at(1.125).forEach((v, k) => expect(v).toBeCloseTo(at(0.125)[k], 10));
    expect(at(0.125)).not.toEqual(at(0.3));
    expect(skyAt(cloudy, 0.125)?.key).not.toBe(skyAt(cloudy, 0.3)?.key);
    const clear = pieceOf(dome());
    expect(skyAt(clear, 0.125)?.key).toBe(skyAt(clear, 0.3)?.key);
    expect(skyAt(pieceOf(dome({ light: 2 })), 0)?.key).not.toBe(skyAt(clear, 0)?.key);
  });

  it('is none where it is hidden, or where there is a sweep', () => {
    expect(skyAt(pieceOf(dome({ hidden: true })), 0)).toBeNull();
    expect(skyAt(pieceOf({ kind: 'backdrop', form: 'sweep' }), 0)).toBeNull();
  });

  it('of one colour lights matt white in that colour, whichever way that faces', () => {
    const sky = skyAt(pieceOf(dome({ gradient: [{ at: 0, colour: '#80a0c0' }], light: 1.5 })), 0);
    if (!sky) throw new Error('there is none');
    const even = evenOf(panoramaOf(sky.law, 64));
    for (const n of [
      [0, 1, 0],
      [0, -1, 0],
      [0.6, 0, 0.8],
    ] as Vec3[])
      evenAt(even, n).forEach((v, k) => expect(v / (1.5 * hexToLinear('#80a0c0')[k])).toBeCloseTo(1, 2));
  });
});
