import { layerElements, pipelineOf } from '../../world/layers';
import { reachKernel } from '../reach/reach.gen';
import { describe, expect, it } from 'vitest';
import { runKernel } from '../../kernel/kernel';
import { layerEchoes } from '../../world/pipeline';
import { newTreatment, type Treatment, type TreatmentKind } from '../kinds';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);

describe('trails', () => {
  it('trails are earlier moments, each fainter; two multiply', () => {
    const { layers } = pieceWith({ kind: 'field' }, [treat('trails', { count: 3, spacing: 5, amount: 0.5 })]);
    expect(layerEchoes(layers[0], 0.1, 100)).toEqual([
      { behind: 0, light: 1, of: [] },
      { behind: 0.05, light: 0.5, of: ['trails'] },
      { behind: 0.1, light: 0.25, of: ['trails'] },
      { behind: 0.15, light: 0.125, of: ['trails'] },
    ]);
    const twice = pieceWith({ kind: 'field' }, [
      treat('trails', { count: 2 }),
      treat('trails', { count: 1, id: 'two' }),
    ]);
    expect(layerEchoes(twice.layers[0], 0, 100)).toHaveLength(6);
  });

  it('trails are only where they reach: earlier moments fade, the present one stays', () => {
    const piece = pieceWith({ kind: 'copies', arrangement: 'line', count: 5, fill: false, spacing: 1, ahead: 4 }, [
      treat('trails', { reach: 'plane', reachAhead: 4, reachInner: 0.1, reachOuter: 1.9 }),
    ]);
    const last = pipelineOf(piece, piece.layers[0], 1).element.at(-1);
    const elements = layerElements(piece, 'one', 0);
    expect([...elements.fade]).toEqual([1, 1, 1, 1, 1]);
    if (!last?.reach) throw new Error('no reach');
    const weight = new Float64Array(5);
    const slope = new Float64Array(15);
    runKernel(reachKernel, 0, 5, last.reach(0), { position: elements.position, order: elements.order, weight, slope });
    runKernel(last.kernel, 0, 5, last.values(0, ['trails']), { weight, fade: elements.fade });
    const [a, b, c, d, e] = elements.fade;
    expect([a, c, e]).toEqual([0, 1, 0]);
    expect(b).toBeCloseTo(d, 9);
    expect(b).toBeGreaterThan(0.3);
    expect(b).toBeLessThan(0.9);
  });
});
