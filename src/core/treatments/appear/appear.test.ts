import { describe, expect, it } from 'vitest';
import { levelIn } from '../../look/stretch';
import { layerElements } from '../../world/layers';
import { steppedPiece } from '../../world/exposed';
import { treatedPiece as pieceWith } from '../../../../tests/pieces';
import { newTreatment } from '../kinds';

const COUNT = 6;
const boxes = (...each: object[]) =>
  pieceWith(
    { kind: 'copies', arrangement: 'line', count: COUNT, fill: false, spacing: 1, ahead: 4 },
    each.map((more, i) => newTreatment('appear', `appear-${i}`, 1, more)),
  );
/** How far each element is there on a frame. */
const there = (piece: ReturnType<typeof boxes>, frame: number): number[] => [
  ...layerElements(piece, 'one', frame / piece.lap.frames).fade,
];

describe('appear', () => {
  it('is there for its stretch alone, with its fades, as every stretch is; across the seam too', () => {
    for (const [from, to, comes, goes] of [
      [10, 30, 0, 0],
      [10, 30, 6, 4],
      [95, 8, 5, 5],
      [40, 44, 30, 10],
      [7, 7, 3, 3],
    ]) {
      const piece = boxes({ from, to, comes, goes });
      const { frames } = piece.lap;
      const gone = boxes({ how: 'gone', from, to, comes, goes });
      const stretch = { from, to, fadeIn: comes, fadeOut: goes };
      for (let frame = -3; frame < frames + 3; frame++) {
        const level = levelIn(stretch, frame, frames);
        for (const fade of there(piece, frame)) expect(fade).toBeCloseTo(level, 6);
        for (const fade of there(gone, frame)) expect(fade).toBeCloseTo(1 - level, 6);
      }
    }
  });

  it('one by one the last comes so many frames after the first, and several that are gone leave several stretches', () => {
    const piece = boxes({ from: 10, to: 20, wait: 10 });
    const counts = Array.from({ length: 40 }, (_, frame) => there(piece, frame).reduce((sum, v) => sum + v, 0));
    expect(counts[9]).toBe(0);
    expect(counts[10]).toBeGreaterThanOrEqual(1);
    expect(Math.max(...counts.map((v, i) => (i > 0 ? Math.abs(v - counts[i - 1]) : 0)))).toBeLessThan(COUNT / 2);
    expect(counts[29]).toBe(1);
    expect(counts[30]).toBe(0);
    const twice = boxes({ how: 'gone', from: 10, to: 20 }, { how: 'gone', from: 50, to: 60 });
    const seen = Array.from({ length: 100 }, (_, frame) => there(twice, frame)[0]);
    expect(seen.filter((v) => v === 0)).toHaveLength(20);
  });

  it('changes on whole frames: while the shutter of a frame is open all of it is as on that frame', () => {
    const piece = boxes({ from: 10, to: 30 });
    const { frames } = piece.lap;
    const onFrame = (frame: number) => steppedPiece(piece, { frame: frame / frames, reach: 0.6 / frames, frames });
    for (const [frame, level] of [
      [9, 0],
      [10, 1],
      [29, 1],
      [30, 0],
    ])
      for (const aside of [-0.45, 0, 0.45])
        expect([...layerElements(onFrame(frame), 'one', (frame + aside) / frames).fade]).toEqual(
          Array.from({ length: COUNT }, () => level),
        );
  });
});
