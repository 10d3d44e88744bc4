import { converter, interpolate } from 'culori';
import { describe, expect, it } from 'vitest';
import {
  fromLinear,
  gradientAt,
  gradientTable,
  hexToLinear,
  linearToHex,
  linearToOklab,
  oklabToLinear,
  toLinear,
} from './colour';

describe('colour', () => {
  // IEC 61966-2-1: 0.5 encodes 0.21404 linear; the two branches meet at 0.04045
  it('has the sRGB transfer function', () => {
    expect(toLinear(0.5)).toBeCloseTo(0.21404, 5);
    expect(fromLinear(0.21404)).toBeCloseTo(0.5, 4);
    expect(toLinear(0.04045)).toBeCloseTo(0.0031308, 6);
    for (let i = 0; i <= 255; i++) expect(Math.round(fromLinear(toLinear(i / 255)) * 255)).toBe(i);
  });

  it('agrees with culori on Oklab and on gradients mixed in it', () => {
    const oklab = converter('oklab');
    for (const hex of ['#12566a', '#f2b84b', '#ff6f91', '#061018']) {
      const ours = linearToOklab(hexToLinear(hex));
      const theirs = oklab(hex);
      expect(ours[0]).toBeCloseTo(theirs?.l ?? NaN, 4);
      expect(ours[1]).toBeCloseTo(theirs?.a ?? NaN, 4);
      expect(ours[2]).toBeCloseTo(theirs?.b ?? NaN, 4);
      expect(linearToHex(oklabToLinear(ours))).toBe(hex);
    }
    const between = interpolate(['#12566a', '#f2b84b'], 'oklab');
    const gradient = [
      { at: 0, colour: '#12566a' },
      { at: 1, colour: '#f2b84b' },
    ];
    const rgb = converter('rgb');
    for (const t of [0.1, 0.35, 0.5, 0.8]) {
      const theirs = rgb(between(t));
      gradientAt(gradient, t).forEach((v, i) =>
        expect(fromLinear(v)).toBeCloseTo([theirs.r, theirs.g, theirs.b][i], 3),
      );
    }
  });

  it('a gradient keeps its ends and never leaves a gap', () => {
    const gradient = [
      { at: 0.8, colour: '#ffffff' },
      { at: 0.2, colour: '#000000' },
    ];
    expect(linearToHex(gradientAt(gradient, 0))).toBe('#000000');
    expect(linearToHex(gradientAt(gradient, 1))).toBe('#ffffff');
    expect(gradientTable(gradient).every((v) => Number.isFinite(v) && v >= 0)).toBe(true);
    expect(linearToHex(gradientAt([{ at: 0.5, colour: '#ff8a2a' }], 0.1))).toBe('#ff8a2a');
  });
});
