import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { boxOf } from '../extent';
import { ramp } from '../../forms';
import { newTreatment } from '../../treatments/kinds';
import type { Animated } from '../../time/animated';
import { stateReport } from '../../seam/report';
import { layerExtent, layerPoints } from '../../world/layers';
import { stepsOf } from '../../world/steps';
import { stillAt } from './form';

const keyed = (...values: readonly (readonly [number, number])[]): Animated => ({
  law: 'keyed',
  keys: values.map(([at, value]) => ({ id: String(at), at, value, ease: 'smooth' })),
});
const wound = (perLap: number, start = 0): Animated => ({ law: 'wound', start, perLap });
const swing = (middle: number, reach: number): Animated => ({
  law: 'swing',
  middle,
  reach,
  cycles: 2,
  wave: 'sine',
  shift: 0.1,
});

const one = (fields: object): ReturnType<typeof pieceOf> =>
  pieceOf({
    ...{
      kind: 'copies',
      id: 'c',
      arrangement: 'grid',
      countX: 3,
      countY: 2,
      countZ: 1,
      gradient: ramp('#ffffff'),
      ahead: 6,
    },
    ...fields,
  } as never);

describe('a layer that is carried about', () => {
  it.each([
    ['aside, by keys', { aside: keyed([0, -2], [0.4, 3]) }],
    ['ahead, to and fro', { ahead: swing(7, 2.5) }],
    ['turned all round', { heading: wound(360), bank: swing(0, 40) }],
    ['popping up', { above: keyed([0, -4], [0.2, 1], [0.7, 1]), scale: keyed([0, 0.2], [0.5, 2]) }],
  ])('%s: is the same as one that stands where it is then; within its extent; and closes', (_, fields) => {
    const piece = one(fields);
    const { low, high } = boxOf(layerExtent(piece, piece.layers[0]));
    const { body } = layerExtent(piece, piece.layers[0]);
    for (let i = 0; i < 40; i++) {
      const phase = i / 40;
      const points = layerPoints(piece, 'c', phase);
      const still = { ...piece, layers: [stillAt(piece.layers[0], phase)] };
      expect(layerPoints(still, 'c', phase).position).toEqual(points.position);
      for (let k = 0; k < points.position.length; k++) {
        expect(points.position[k]).toBeGreaterThan(low[k % 3] - body - 1e-3);
        expect(points.position[k]).toBeLessThan(high[k % 3] + body + 1e-3);
      }
    }
    expect(stateReport(piece).ok).toBe(true);
  });

  it('does not close where it does not come back, and says so', () => {
    expect(stateReport(one({ aside: wound(1.5) })).ok).toBe(false);
    expect(stateReport(one({ heading: wound(90) })).ok).toBe(false);
    const report = stateReport(one({ above: wound(0.5) }));
    expect(report.findings.find(({ layerId }) => layerId === 'c')?.ok).toBe(false);
  });

  it('carried on by whole tiles it closes, for the world has it in every tile', () => {
    const piece = one({ ahead: wound(8, 2) });
    expect(piece.tile).toBe(8);
    expect(stateReport(piece).ok).toBe(true);
    expect(stateReport(one({ ahead: wound(5, 2) })).ok).toBe(false);
  });

  it('stands still as the same object, and its turns are wound by whole ones', () => {
    const piece = one({ treatments: [newTreatment('drift', 'd')] });
    expect(stillAt(piece.layers[0], 0.3)).toBe(piece.layers[0]);
    expect(stepsOf(piece, { path: ['layers', 0] })).toMatchObject({ closing: { heading: 360, bank: 360 }, plain: {} });
  });
});
