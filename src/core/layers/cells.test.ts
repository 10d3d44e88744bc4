import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { layerElements } from '../world/layers';
import type { Layer } from './kinds';

const KINDS = ['copies', 'field', 'ground', 'tunnel'] as const;
const places = (kind: Layer['kind'], more: object, phase: number): number[] => [
  ...layerElements(pieceOf({ kind, spread: 1, ...more } as Partial<Layer> & { kind: Layer['kind'] }), 'one', phase)
    .place,
];

describe('places by cells', () => {
  it('are those of the lap before, and within the gradient', () => {
    for (const kind of KINDS)
      for (const placeBy of ['cells', 'edges']) {
        const here = places(kind, { placeBy }, 0.37);
        const after = places(kind, { placeBy }, 1.37);
        expect(here.every((v, i) => v >= 0 && v <= 1 && Math.abs(v - after[i]) < 1e-9)).toBe(true);
        expect(new Set(here.map((v) => v.toFixed(3))).size).toBeGreaterThan(kind === 'tunnel' ? 3 : 8);
      }
  });

  it('are one for all of a cell, and move with the lap where cells do', () => {
    // cells as wide as four copies are apart: far fewer numbers than copies
    const of = { kind: 'copies', placeBy: 'cells', placeScale: 4 } as const;
    const all = places('copies', of, 0);
    const groups = new Set(all.map((v) => v.toFixed(6)));
    expect(groups.size).toBeLessThan(all.length / 4);
    expect(places('copies', of, 0.4)).not.toEqual(all);
    expect(places('ground', { placeBy: 'cells' }, 0.4)).toEqual(places('ground', { placeBy: 'cells' }, 0));
  });
});
