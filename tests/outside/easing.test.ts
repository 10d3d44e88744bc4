import bezierEasing from 'bezier-easing';
import { expect, it } from 'vitest';
import { cubicBezier, EASE_PRESETS, type Bezier } from '../../src/core/time/easing';

// W3C css-easing-1: cubic-bezier(); an independent implementation is the bezier-easing package.
const curves: Bezier[] = [
  ...Object.values(EASE_PRESETS),
  [0.25, 0.1, 0.25, 1],
  [0.42, 0, 1, 1],
  [0, 0, 0.58, 1],
  [0.9, -1, 0.1, 2],
];

it.each(curves)('agrees with bezier-easing over 10 000 points: %d %d %d %d', (...curve) => {
  const theirs = bezierEasing(...(curve as [number, number, number, number]));
  let worst = 0;
  for (let i = 0; i <= 10_000; i++)
    worst = Math.max(worst, Math.abs(cubicBezier(i / 10_000, curve as Bezier) - theirs(i / 10_000)));
  expect(worst).toBeLessThan(1e-4);
});

// cubic-bezier(1, 0, 0, 1) is vertical in its middle, where bezier-easing is off by 0.08. In closed form
// x − ½ = 4 (t − ½)³ and y = 3t² − 2t³.
it('is exact where a curve is vertical', () => {
  for (let i = 0; i <= 1000; i++) {
    const t = 0.5 + Math.cbrt((i / 1000 - 0.5) / 4);
    expect(cubicBezier(i / 1000, [1, 0, 0, 1])).toBeCloseTo(t * t * (3 - 2 * t), 3);
  }
});

it('is symmetric where its curve is', () => {
  const curve: Bezier = [0.45, 0, 0.55, 1];
  for (let i = 0; i <= 100; i++)
    expect(cubicBezier(i / 100, curve) + cubicBezier(1 - i / 100, curve)).toBeCloseTo(1, 9);
});
