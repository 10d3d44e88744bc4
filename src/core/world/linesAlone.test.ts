import { describe, expect, it } from 'vitest';
import { demoPiece, pieceOf } from '../../../tests/pieces';
import { newLayer, type Layer } from '../layers/kinds';
import { PieceSchema } from '../piece/schema';
import { cameraPose } from './camera';
import { linesAlone } from './linesAlone';
import { mirrorsOf } from './mirrors';

describe('the lines of a piece alone', () => {
  it('leaves the lines of bodies, grounds and walls, white, what hides them, and nothing that shines', () => {
    const layers = (['copies', 'field', 'ground', 'tunnel', 'backdrop', 'title', 'plants', 'links'] as const).map(
      (kind): Layer => {
        const layer = newLayer(kind, kind, kind, 1);
        return layer.kind === 'copies' ? { ...layer, lines: { ...layer.lines, drawn: 'wire', wide: 0.01 } } : layer;
      },
    );
    const { layers: left, look } = linesAlone(pieceOf(layers[0], { layers }));
    expect(left.filter(({ hidden }) => hidden).map(({ kind }) => kind)).toEqual(['field', 'backdrop', 'links']);
    const [copies] = left;
    expect(copies).toMatchObject({ lines: { drawn: 'wire', wide: 0.01, over: 'nothing', shines: 1 } });
    // what has none draws none, and hides
    expect(left.find(({ kind }) => kind === 'ground')).toMatchObject({
      lines: { drawn: 'edges', contours: false, creases: false, borders: false, over: 'nothing' },
    });
    // the wires of a tunnel are light
    expect(left.find(({ kind }) => kind === 'tunnel')).toMatchObject({ hidden: false, light: 0 });
    expect(look).toMatchObject({ background: '#000000', lights: [], mist: 'none' });
    expect(look.effects.map(({ kind }) => kind)).toEqual(['tone']);
  });

  it('is without the images of lines', () => {
    const lake = pieceOf({ kind: 'ground', surface: 'water', mirrors: 'all' });
    expect(mirrorsOf(lake)).toHaveLength(1);
    expect(mirrorsOf(linesAlone(lake))).toEqual([]);
  });

  it('is a piece that can be kept, and flown as before', () => {
    const piece = demoPiece('pier-in-ink');
    const lines = linesAlone(piece);
    expect(() => PieceSchema.parse(lines)).not.toThrow();
    expect(cameraPose(lines, 0.3)).toEqual(cameraPose(piece, 0.3));
  });
});
