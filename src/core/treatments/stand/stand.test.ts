import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { newLayer } from '../../layers/kinds';
import type { Piece } from '../../piece/schema';
import { stateReport } from '../../seam/report';
import { boxOf } from '../../elements/extent';
import { rotate, type Quaternion } from '../../space/vector';
import { layerElements, layerExtent, worldOf } from '../../world/layers';
import { newTreatment } from '../kinds';

/** Copies on hills. */
const onHills = (treatment: object, copies: object = {}, land: object = {}): Piece =>
  pieceOf(
    {
      ...{ kind: 'copies', arrangement: 'grid', countX: 6, countY: 1, countZ: 5, stepX: 1.1, stepZ: 1.3, size: 0.5 },
      ...{ treatments: [newTreatment('stand', 's', 1, { on: 'land', ...treatment })], ...copies },
    } as never,
    {
      tile: 12,
      layers: [
        {
          ...newLayer('copies', 'one', 'One', 5),
          ...{ arrangement: 'grid', countX: 6, countY: 1, countZ: 5, stepX: 1.1, stepZ: 1.3, size: 0.5, ahead: 6 },
          treatments: [newTreatment('stand', 's', 1, { on: 'land', ...treatment })],
          ...copies,
        },
        {
          ...newLayer('ground', 'land', 'Land', 4),
          relief: 1.4,
          valley: 0.5,
          above: -0.8,
          aside: 0.4,
          width: 30,
          ...land,
        },
      ],
    },
  );

describe('elements that stand on a ground', () => {
  it.each(['round', 'ridged', 'cobbles', 'columns'])(
    'have their feet on it, where it is %s, also where they are carried over it',
    (form) => {
      for (const copies of [
        {},
        { aside: { law: 'swing', middle: 0, reach: 2, cycles: 1, wave: 'sine', shift: 0 }, heading: 25, scale: 1.4 },
      ]) {
        const piece = onHills({}, copies, { form, octaves: 3 });
        const at = worldOf(piece).groundOf('land');
        if (!at) throw new Error('no ground');
        const heights = new Set<number>();
        for (const phase of [0, 0.2, 0.7]) {
          const { position, size, count } = layerElements(piece, 'one', phase);
          for (let i = 0; i < count; i++) {
            const { height } = at(position[i * 3], position[i * 3 + 2]);
            expect(position[i * 3 + 1] - 0.5 * size[i]).toBeCloseTo(height, 6);
            heights.add(Math.round(height * 100));
          }
        }
        // it is no plain
        expect(heights.size).toBeGreaterThan(10);
        expect(stateReport(piece).ok).toBe(true);
      }
    },
  );

  it('lean with it as far as they are to', () => {
    const at = worldOf(onHills({})).groundOf('land');
    if (!at) throw new Error('no ground');
    for (const leans of [1, 0.5]) {
      const { position, rotation, count } = layerElements(onHills({ leans }), 'one', 0);
      for (let i = 0; i < count; i++) {
        const { slopeX, slopeZ } = at(position[i * 3], position[i * 3 + 2]);
        const up = rotate([...rotation.subarray(i * 4, i * 4 + 4)] as unknown as Quaternion, [0, 1, 0]);
        // square to both of the ground’s own ways, which rise by as much of its slope
        expect(up[0] + up[1] * slopeX * leans).toBeCloseTo(0, 6);
        expect(up[2] + up[1] * slopeZ * leans).toBeCloseTo(0, 6);
      }
    }
  });

  it('over it are as high as they were over nothing; without a ground, and at no amount, all is as it was', () => {
    const tall = { countY: 3, stepY: 0.6 };
    const bare = layerElements(onHills({ on: null }, tall), 'one', 0);
    const at = worldOf(onHills({}, tall)).groundOf('land');
    if (!at) throw new Error('no ground');
    const over = layerElements(onHills({ how: 'over', lift: 0.2 }, tall), 'one', 0);
    for (let i = 0; i < bare.count; i++) {
      const { height } = at(bare.position[i * 3], bare.position[i * 3 + 2]);
      expect(over.position[i * 3 + 1]).toBeCloseTo(bare.position[i * 3 + 1] + height + 0.2, 6);
    }
    expect(layerElements(onHills({ amount: 0 }, tall), 'one', 0).position).toEqual(bare.position);
    expect(layerElements(onHills({ on: 'gone' }, tall), 'one', 0).position).toEqual(bare.position);
  });

  it('stay within the extent that is stated', () => {
    for (const treatment of [{}, { how: 'over', lift: -2 }, { foot: 2, lift: 3 }]) {
      const piece = onHills(treatment, { above: 5, variation: 1, grow: 2 });
      const { low, high } = boxOf(layerExtent(piece, piece.layers[0]));
      const { position, count } = layerElements(piece, 'one', 0.3);
      for (let i = 0; i < count; i++) {
        expect(position[i * 3 + 1]).toBeGreaterThan(low[1]);
        expect(position[i * 3 + 1]).toBeLessThan(high[1]);
      }
    }
  });
});
