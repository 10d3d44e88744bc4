import { layerElements, worldOf } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { definitionOf } from '../kinds';
import { pieceOf as pieceWith } from '../../../../tests/pieces';

describe('particle field', () => {
  it('the first k of N are the same particles whatever N: working and final count show one composition', () => {
    const few = layerElements(pieceWith({ kind: 'field', count: 4000 }), 'one', 0.3, 0.25);
    const many = layerElements(pieceWith({ kind: 'field', count: 4000 }), 'one', 0.3);
    expect(few.count).toBe(1000);
    expect(many.position.subarray(0, 3000)).toEqual(few.position);
    expect(many.size.subarray(0, 1000)).toEqual(few.size);
  });

  it('a corridor stays clear for the camera', () => {
    const { position, count } = layerElements(
      pieceWith({ kind: 'field', shape: 'corridor', width: 4, height: 4, hollow: 0.4, count: 5000 }),
      'one',
      0,
    );
    for (let i = 0; i < count; i++) {
      const r = Math.hypot(position[i * 3], position[i * 3 + 1]);
      expect(r).toBeGreaterThanOrEqual(0.4 * 2 - 1e-5);
      expect(r).toBeLessThanOrEqual(2 + 1e-5);
    }
  });

  it.each(['box', 'ball', 'shell', 'disc', 'corridor'] as const)('a %s fills its volume evenly', (shape) => {
    const { position, count } = layerElements(
      pieceWith({ kind: 'field', shape, width: 2, height: 2, depth: 2, ahead: 4, hollow: 0.5, count: 8000 }),
      'one',
      0,
    );
    let left = 0;
    let below = 0;
    let most = 0;
    for (let i = 0; i < count; i++) {
      if (position[i * 3] < 0) left++;
      if (position[i * 3 + 1] < 0) below++;
      most = Math.max(most, Math.abs(position[i * 3]), Math.abs(position[i * 3 + 1]));
    }
    expect(left / count).toBeCloseTo(0.5, 1);
    expect(below / count).toBeCloseTo(0.5, 1);
    expect(most).toBeLessThanOrEqual(1 + 1e-5);
  });

  it('a ball holds as many in its inner half as its volume says', () => {
    const { position, count } = layerElements(
      pieceWith({ kind: 'field', shape: 'ball', width: 2, height: 2, depth: 2, ahead: 0, count: 8000 }),
      'one',
      0,
    );
    let inner = 0;
    for (let i = 0; i < count; i++) if (Math.hypot(...position.subarray(i * 3, i * 3 + 3)) < 0.5) inner++;
    expect(inner / count).toBeCloseTo(1 / 8, 1);
  });

  it('sizes follow a steep law: many tiny, few large', () => {
    const { size: scale } = layerElements(
      pieceWith({ kind: 'field', size: 0.01, variation: 1, count: 20000 }),
      'one',
      0,
    );
    const sorted = [...scale].sort((a, b) => a - b);
    expect(sorted[0]).toBeGreaterThanOrEqual(0.0099);
    expect(sorted[sorted.length - 1]).toBeLessThanOrEqual(0.1201);
    // median of a power law of exponent 2.5 from 1 to 12: (1 - 0.5 (1 - 12^-1.5))^(-2/3)
    expect(sorted[10000] / 0.01).toBeCloseTo((1 - 0.5 * (1 - 12 ** -1.5)) ** (-2 / 3), 1);
  });

  it.each(['even', 'clouds'] as const)(
    'its slices hold every particle once, each where the slice says, %s',
    (dense) => {
      const piece = pieceWith({ kind: 'field', shape: 'box', count: 3000, dense });
      const [drawing] = definitionOf('field').drawings(piece.layers[0], 1, worldOf(piece));
      if (drawing.as !== 'sprites') throw new Error('particles are sprites');
      expect([...drawing.order].sort((a, b) => a - b)).toEqual(Array.from({ length: 3000 }, (_, id) => id));
      const { position } = layerElements(piece, 'one', 0);
      for (const { from, to, first, count } of drawing.parts)
        for (const id of drawing.order.subarray(first, first + count)) {
          const along = -position[id * 3 + 2] / 8;
          if (along < from - 1e-6 || along > to + 1e-6)
            throw new Error(`particle ${id} at ${along} is outside ${from}…${to}`);
        }
    },
  );
});
