import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { PieceSchema } from './schema';
import { framed, shapeOf, SHAPES } from './shapes';

describe('shapes of the picture', () => {
  it.each(Object.keys(SHAPES))('%s is legal, known again, and seen by a fisheye where it is a dome’s alone', (name) => {
    const piece = framed(pieceOf({ kind: 'field' }, { flight: { lens: 'orthographic' } }), name);
    expect(PieceSchema.safeParse(piece).success).toBe(true);
    expect(shapeOf(piece)).toBe(name);
    expect(piece.flight.lens).toBe(SHAPES[name].dome ? 'fisheye' : 'orthographic');
    // and from there to a wall: the circle goes, whatever there was before it
    const wall = framed(framed(piece, 'dome4096'), '3840x480');
    expect(wall.flight.lens).toBe('perspective');
    expect([wall.frame.width, wall.frame.height]).toEqual([3840, 480]);
  });

  it('a size of one’s own is none of them, nor is a square that no fisheye sees', () => {
    expect(shapeOf(pieceOf({ kind: 'field' }, { frame: { width: 500, height: 300 } }))).toBeNull();
    expect(shapeOf(pieceOf({ kind: 'field' }, { frame: { width: 2048, height: 2048 } }))).toBeNull();
    expect(() => framed(pieceOf({ kind: 'field' }), 'nowhere')).toThrow('nowhere');
  });
});
