import { describe, expect, it } from 'vitest';
import { RF } from '../../kernel/scratch';
import { newMatter, matterOf } from '../kinds';
import { filmColour } from './optics.gen';

const WAVES = [650, 532, 450];
const WATER = 1.33;

const film = (cosine: number, thickness: number, index = WATER): number[] => {
  filmColour(cosine, thickness, index);
  return [RF[0], RF[1], RF[2]];
};

describe('a thin film', () => {
  // Dark where the light from the lower side has gone a whole number of waves farther, bright half way between, since half a wave is
  // lost at the upper side: 2 n d cos t = m λ, where sin t = sin i / n (Snell). Any optics textbook on interference in thin films.
  it.each([0, 20, 45, 70].map((degrees) => [degrees]))(
    'seen at %i° is dark and bright at the thicknesses that the path difference says',
    (degrees) => {
      const angle = (degrees * Math.PI) / 180;
      const inside = Math.asin(Math.sin(angle) / WATER);
      WAVES.forEach((wave, band) => {
        const perOrder = wave / (2 * WATER * Math.cos(inside));
        const at = (d: number): number => film(Math.cos(angle), d)[band];
        const found: number[] = [];
        const step = perOrder / 400;
        for (let d = step; d < 2.7 * perOrder; d += step)
          if ((at(d) - at(d - step)) * (at(d + step) - at(d)) <= 0) found.push(d / perOrder);
        expect(found).toHaveLength(5);
        // bright, dark, bright, dark, bright
        [0.5, 1, 1.5, 2, 2.5].forEach((order, i) => expect(Math.abs(found[i] - order)).toBeLessThan(0.02));
        expect(at(0.5 * perOrder)).toBeGreaterThan(0.95);
        expect(at(perOrder)).toBeLessThan(0.05);
      });
    },
  );

  it('is black where it is hardly there, and pales where it is many waves thick', () => {
    expect(Math.max(...film(1, 4))).toBeLessThan(0.01);
    for (const v of film(1, 4000)) expect(Math.abs(v - 0.5)).toBeLessThan(0.06);
  });

  it('runs down by whole streaks and evolves by whole cycles', () => {
    const matter = newMatter('film', { runs: 3, cycles: 2 });
    const values = (phase: number) => matterOf('film').values(matter, phase);
    expect(values(1.25)).toEqual(values(0.25));
    expect(values(0.25)[10]).toBe(8 * 3 * 0.25);
  });
});
