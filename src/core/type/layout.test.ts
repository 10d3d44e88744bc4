import { describe, expect, it } from 'vitest';
import { stockBytes } from '../../../tests/stock';
import { openFont } from '../../formats/font/font';
import { STAND_IN, withMore } from './font';
import { setText, shapedLine, type Setting } from './layout';

const anton = openFont(stockBytes('fonts/anton.woff2'), 'Anton');
const spectral = openFont(stockBytes('fonts/spectral.woff2'), 'Spectral');
const PLAIN: Setting = {
  elements: 'letters',
  align: 'centre',
  tracking: 0,
  leading: 1.2,
  bend: 0,
  around: 'plane',
  rise: 0,
};

describe('a font with letters of another one', () => {
  const ext = openFont(stockBytes('fonts/anton.more.woff2'), 'Anton');
  const both = withMore(anton, ext);

  it('takes what it lacks from it, and nothing else', () => {
    expect(anton.lacks('Łódź')).toEqual(['Ł', 'ź']);
    expect(both.lacks('Łódź я')).toEqual(['я']);
    expect(both.shape('AVATAR', true)).toEqual(anton.shape('AVATAR', true));
  });

  it('sets both on one line, each by its own advances', () => {
    const line = both.shape('aŁb', false);
    const own = (font: typeof anton, letter: string): number => font.shape(letter, false)[0].advance;
    expect(line.map(({ x }) => x)).toEqual([
      0,
      expect.closeTo(own(anton, 'a'), 9),
      expect.closeTo(own(anton, 'a') + own(ext, 'Ł'), 9),
    ]);
    expect(both.outline(line[1].id)).toBe(ext.outline(ext.shape('Ł', false)[0].id));
    expect(both.outline(line[2].id)).toBe(anton.outline(line[2].id));
  });
});

describe('setting text', () => {
  it('takes letters in reading order, line by line, without spaces', () => {
    const set = setText(anton, 'To We\nAV', { ...PLAIN, tracking: 0.1 });
    expect(set.map(({ text }) => text).join('')).toBe('ToWeAV');
    expect(set.map(({ line }) => line)).toEqual([0, 0, 0, 0, 1, 1]);
    expect(set[4].y - set[0].y).toBeCloseTo(-1.2, 9);
  });

  it.each([
    ['words', ['Out', 'of', 'the', 'dark']],
    ['lines', ['Outof', 'thedark']],
  ] as const)('takes %s as one', (elements, expected) => {
    expect(
      setText(anton, 'Out of\nthe dark', { ...PLAIN, elements }).map(({ text }) => text.replaceAll(' ', '')),
    ).toEqual(expected);
  });

  it('puts every glyph where its line has it, however it is grouped', () => {
    const places = (elements: Setting['elements']): number[] =>
      setText(spectral, 'AVATAR office', { ...PLAIN, elements, tracking: 0.03 })
        .flatMap(({ x, glyphs }) =>
          glyphs.filter(({ id }) => spectral.outline(id).length > 0).map((glyph) => x + glyph.x),
        )
        .map((v) => Math.round(v * 1e9) / 1e9);
    expect(places('words')).toEqual(places('letters'));
    expect(places('lines')).toEqual(places('letters'));
  });

  it('is centred on the middle of its capitals', () => {
    const [first] = setText(anton, 'H', PLAIN);
    expect([first.x, first.y]).toEqual([0, 0]);
    const [top, bottom] = setText(anton, 'H\nH', PLAIN);
    expect(top.y).toBeCloseTo(-bottom.y, 12);
  });

  it('aligns lines of other lengths', () => {
    const x = (align: Setting['align']): number[] => {
      const set = setText(anton, 'LONGEST\nI', { ...PLAIN, align });
      return [set[0].x, set[7].x];
    };
    const wide = shapedLine(anton, 'LONGEST', 0).width;
    const [l, i] = ['L', 'I'].map((letter) => shapedLine(anton, letter, 0).width);
    expect(x('left')[1]).toBeCloseTo(-wide / 2 + i / 2, 9);
    expect(x('left')[0]).toBeCloseTo(-wide / 2 + l / 2, 9);
    expect(x('right')[1]).toBeCloseTo(wide / 2 - i / 2, 9);
    expect(x('centre')[1]).toBeCloseTo(0, 9);
  });

  it('spaces letters by as much, and joins none then', () => {
    const plain = shapedLine(spectral, 'office', 0);
    const spaced = shapedLine(spectral, 'office', 0.1);
    expect(plain.glyphs.length).toBeLessThan(6);
    expect(spaced.glyphs).toHaveLength(6);
    const loose = shapedLine(anton, 'TIDE', 0.1);
    const tight = shapedLine(anton, 'TIDE', 0);
    expect(loose.width - tight.width).toBeCloseTo(0.3, 9);
  });

  // a circle on which the widest line takes up as many degrees (elementary geometry)
  it('bends a line along a circle, its middle on top, every letter upright on it', () => {
    const set = setText(anton, 'MARROW QUAY', { ...PLAIN, bend: 180 });
    const { width } = shapedLine(anton, 'MARROW QUAY', 0);
    const radius = width / Math.PI;
    const middle = -radius;
    for (const { x, y, turn } of set) {
      expect(Math.hypot(x, y - middle)).toBeCloseTo(radius, 9);
      expect(Math.atan2(x, y - middle)).toBeCloseTo(-turn, 9);
    }
    const low = setText(anton, 'MARROW QUAY', { ...PLAIN, bend: -90 });
    expect(low[0].y).toBeGreaterThan(low[5].y);
  });

  it('bends a line around a drum that letters face out from', () => {
    const set = setText(anton, 'MARROW QUAY', { ...PLAIN, bend: 180, around: 'drum' });
    const radius = shapedLine(anton, 'MARROW QUAY', 0).width / Math.PI;
    for (const { x, z, turn } of set) {
      expect(Math.hypot(x, z)).toBeCloseTo(radius, 9);
      // its front, turned about the upright axis, is the way out
      expect([Math.sin(turn) * radius, Math.cos(turn) * radius]).toEqual([expect.closeTo(x, 9), expect.closeTo(z, 9)]);
    }
  });

  it('turns base lines about the middle', () => {
    const straight = setText(anton, 'AB\nCD', PLAIN);
    const turned = setText(anton, 'AB\nCD', { ...PLAIN, rise: 90 });
    turned.forEach(({ x, y, turn }, i) => {
      expect([x, y]).toEqual([expect.closeTo(-straight[i].y, 12), expect.closeTo(straight[i].x, 12)]);
      expect(turn).toBeCloseTo(Math.PI / 2, 12);
    });
  });

  it('has nothing to set of nothing', () => {
    expect(setText(anton, '', PLAIN)).toEqual([]);
    expect(setText(anton, ' \n\n ', { ...PLAIN, elements: 'lines' })).toEqual([]);
    expect(setText(STAND_IN, 'ab c', PLAIN)).toHaveLength(3);
  });
});
