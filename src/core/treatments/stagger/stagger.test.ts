import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { newLayer } from '../../layers/kinds';
import { routeOfLayer } from '../../world/route';
import { pieceOf, treatedPiece as pieceWith } from '../../../../tests/pieces';

const never = (): never => {
  throw new Error('the route is not drawn');
};

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('stagger', () => {
  it('stagger lets them arrive one after another', () => {
    const at = (amount: number) =>
      layerElements(
        pieceWith({ kind: 'copies', arrangement: 'line', count: 10 }, [
          treat('stagger', { amount, overlap: 0.1, ease: 'even' }),
        ]),
        'one',
        0,
      ).size;
    expect([...at(0)].every((s) => s === 0)).toBe(true);
    const half = [...at(0.5)];
    expect(half.slice(0, 4).every((s) => s > 0.29)).toBe(true);
    expect(half.slice(6).every((s) => s === 0)).toBe(true);
    expect([...at(1)].every((s) => Math.abs(s - 0.3) < 1e-6)).toBe(true);
  });

  it('along a drawn route that closes it goes once around it, wherever that leads', () => {
    const way = newLayer('tunnel', 'way', 'Way', 1);
    const amount = 0.37;
    const first = treat('stagger', { amount, by: 'along', overlap: 0.005, ease: 'even' });
    const follows = newLayer('copies', 'one', 'One', 2);
    const piece = pieceOf(follows, {
      layers: [
        { ...way, route: 'closed' },
        { ...follows, arrangement: 'route', follow: 'way', count: 60, variation: 0, treatments: [first] },
      ],
    });
    const { path } = routeOfLayer(piece, 'way').track ?? never();
    const { position, size, count } = layerElements(piece, 'one', 0);
    const fine = Array.from({ length: 2000 }, (_, i) => path.pointAt((i / 2000) * path.length));
    let [here, away, near] = [0, 0, 0];
    for (let i = 0; i < count; i++) {
      const off = fine.map((p) => Math.hypot(...p.map((v, k) => v - position[i * 3 + k])));
      const share = off.indexOf(Math.min(...off)) / 2000;
      // on the edge it is either
      if (Math.abs(share - amount) < 0.02 || share > 0.98) near++;
      else if (share < amount) expect(size[i], `copy ${i} at ${share}`).toBeGreaterThan((here++, 0.1));
      else expect(size[i], `copy ${i} at ${share}`).toBe((away++, 0));
    }
    expect([here > 15, away > 30, near < 6]).toEqual([true, true, true]);
  });
});
