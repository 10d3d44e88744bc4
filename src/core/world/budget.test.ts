import { layerLinks } from './layers';
import { parsePiece } from './open';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { definitionOf, presetLayer, LAYERS } from '../layers/kinds';
import { excessOf, MOST_OF } from './budget';
import { PieceSchema, type Piece } from '../piece/schema';

const piece = (layers: object[], tile = 8): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'P',
    tile,
    lap: { frames: 250, rate: { num: 25, den: 1 } },
    layers,
    flight: {},
    look: {},
  });
const says = (layers: object[], tile?: number): string[] => excessOf(piece(layers, tile)).map((excess) => excess.says);
const copies = { kind: 'copies', id: 'c', name: 'Blocks', arrangement: 'grid' };

describe('what a piece may cost', () => {
  it('every demo piece and every preset is far below it', () => {
    for (const name of readdirSync('demo')) {
      const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}`, 'utf8')));
      expect(parsed.ok).toBe(true);
    }
    for (const kind of LAYERS.names)
      definitionOf(kind).presets.forEach((_, i) =>
        expect(says([presetLayer(kind, i, { id: 'x', name: 'X', seed: 1 })])).toEqual([]),
      );
  });

  it('a grid of 64 million is refused with the number and what to do', () => {
    expect(says([{ ...copies, countX: 400, countY: 400, countZ: 400 }])).toEqual([
      '“Blocks” would have 64,000,000 bodies; the most is 200,000. Make its counts smaller.',
    ]);
    expect(says([{ ...copies, countX: 100, countY: 100, countZ: 20 }])).toEqual([]);
  });

  it('a net that would look at too many pairs, trails of too many moments, and too much in all', () => {
    const net = { kind: 'links', id: 'n', name: 'Net', form: 'ball', count: 60_000, distance: 3 };
    expect(says([net])[0]).toMatch(/^“Net” would look at about [\d,]+ pairs of points in every frame/);
    expect(says([{ ...net, count: 3000, distance: 0.4 }])).toEqual([]);
    const trail = (id: string) => ({ kind: 'trails', id, count: 12 });
    expect(says([{ ...copies, treatments: [trail('a'), trail('b')] }])[0]).toMatch(/would show 169 moments at once/);
    const dust = (id: string) => ({ kind: 'field', id, name: id, count: 2_000_000 });
    expect(says([1, 2, 3].map((n) => dust(`d${n}`)))).toEqual([]);
    expect(says([1, 2, 3, 4, 5, 6, 7].map((n) => dust(`d${n}`)))[0]).toMatch(
      /^All layers together would draw 14,000,000/,
    );
  });

  it('the pairs foretold are about those found', () => {
    const whole = piece([{ kind: 'links', id: 'n', name: 'Net', form: 'box', count: 4000, distance: 0.5, most: 16 }]);
    const found = layerLinks(whole, whole.layers[0], 0, () => 1).count;
    expect(found).toBeLessThan(MOST_OF.pairs / 10);
    expect(excessOf(whole)).toEqual([]);
  });
});
