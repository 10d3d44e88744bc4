import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { layerElements } from '../../world/layers';
import { exposedPiece, exposureOf } from '../../world/exposed';
import { newTreatment } from '../kinds';

const leaping = (fields: object = {}) =>
  pieceOf({
    kind: 'copies',
    arrangement: 'line',
    count: 5,
    treatments: [newTreatment('leap', 'l', 1, { begins: 10, leaves: 80, steps: 3, every: 4, wait: 8, ...fields })],
  });
const plain = layerElements(pieceOf({ kind: 'copies', arrangement: 'line', count: 5 }), 'one', 0);
const at = (piece: ReturnType<typeof leaping>, frame: number) =>
  layerElements(exposedPiece(piece, exposureOf(piece, frame / 100)), 'one', frame / 100);

/** Metres that an element is from its place. */
const off = (piece: ReturnType<typeof leaping>, frame: number, i: number): number => {
  const { position } = at(piece, frame);
  return Math.hypot(...[0, 1, 2].map((k) => position[i * 3 + k] - plain.position[i * 3 + k]));
};

describe('leap', () => {
  it('has each there from its own frame to its own frame, one after another', () => {
    const piece = leaping();
    for (let i = 0; i < 5; i++) {
      const there = Array.from({ length: 100 }, (_, frame) => at(piece, frame).fade[i] > 0);
      expect([there.indexOf(true), there.lastIndexOf(true)]).toEqual([10 + 2 * i, 79 + 2 * i]);
    }
  });

  it('jumps in as many jumps, ever nearer, stands in its place, and leaves the same way', () => {
    const piece = leaping({ spreadX: 0, spreadY: 0, spreadZ: 0, away: 3 });
    const way = Array.from({ length: 70 }, (_, k) => Math.round(off(piece, 10 + k, 0) * 1000) / 1000);
    expect([...new Set(way)]).toEqual([3, 2, 1, 0]);
    expect(way.slice(0, 13)).toEqual([3, 3, 3, 3, 2, 2, 2, 2, 1, 1, 1, 1, 0]);
    expect([...way].reverse()).toEqual(way);
  });

  it('stands still for all of the open shutter, and goes on across the seam', () => {
    const piece = leaping({ begins: 95, leaves: 50 });
    const shown = exposedPiece(piece, exposureOf(piece, 0.99));
    const [a, b] = [0.9853, 0.9947].map((phase) => layerElements(shown, 'one', phase).position);
    expect(a).toEqual(b);
    expect(at(piece, 99).fade[0]).toBe(1);
    expect(at(piece, 0).fade[0]).toBe(1);
    expect(at(piece, 70).fade[0]).toBe(0);
  });
});
