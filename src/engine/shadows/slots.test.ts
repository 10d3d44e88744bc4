import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newLight, type Light } from '../../core/look/lights/kinds';
import { SHADED } from '../../core/world/lights';
import { MOST_AROUND, MOST_FLAT, MOST_VIEWS, shadowSlots, unshaded, viewsOf } from './slots';

const of = (lights: Light[], route: object = { kind: 'keys' }) =>
  shadowSlots(pieceOf({ kind: 'copies' }, { look: { lights, reach: 40 }, flight: { route } }));
const shaded = (kind: 'point' | 'spot', n: number): Light[] =>
  Array.from({ length: n }, (_, i) => newLight(kind, `${kind}${i}`, { shadow: true }));

describe('room for shadows', () => {
  it('is given in the order of the list until there is none left', () => {
    const { slots, views } = of([...shaded('point', 3), ...shaded('spot', 10)]);
    const found = slots.filter((slot) => slot !== null);
    expect(views).toBeLessThanOrEqual(MOST_VIEWS);
    expect(found.filter(({ sees }) => sees === 'around')).toHaveLength(3);
    expect(found.filter(({ sees }) => sees === 'cone')).toHaveLength(MOST_VIEWS - 18);
    const taken = found.flatMap(({ square, sees }) => Array.from({ length: viewsOf(sees) }, (_, k) => square + k));
    expect(new Set(taken).size).toBe(taken.length);
    expect(Math.max(...taken)).toBe(views - 1);
  });

  it('of one sort is no more than the programs have', () => {
    expect(of(shaded('point', 8)).slots.filter((slot) => slot !== null)).toHaveLength(MOST_AROUND);
    expect(of(shaded('spot', 12)).slots.filter((slot) => slot !== null)).toHaveLength(MOST_FLAT);
    const many = pieceOf(
      { kind: 'copies' },
      { look: { lights: shaded('spot', 12) }, flight: { route: { kind: 'keys' } } },
    );
    expect(unshaded(many).map(({ id }) => id)).toEqual(['spot8', 'spot9', 'spot10', 'spot11']);
  });

  it('of a light that stands in every tile is for the nearest', () => {
    const found = of(shaded('spot', 1), { kind: 'run' }).slots;
    expect(found.length).toBeGreaterThan(SHADED);
    expect(found.filter((slot) => slot !== null).map((slot) => slot?.row)).toEqual([0, 1, 2]);
  });
});
