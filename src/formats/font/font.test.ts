import { readFileSync } from 'node:fs';
import opentype from 'opentype.js';
import { describe, expect, it } from 'vitest';
import { stockBytes } from '../../../tests/stock';
import { STOCK } from '../../core/kept';
import { contourArea, shapesArea, shapesBounds } from '../../core/type/shape';
import { openFont, triedFont } from './font';

const fonts = STOCK.filter(({ kind }) => kind === 'font');
/** The same fonts as another library reads them, from the same release as WOFF. */
const PEERS = [
  { name: 'Anton', path: '@fontsource/anton/files/anton-latin-400-normal.woff', kerns: true },
  // the other library does not read kerning in extension lookups
  { name: 'Spectral', path: '@fontsource/spectral/files/spectral-latin-600-normal.woff', kerns: false },
] as const;
const peerBytes = (path: string): Uint8Array =>
  new Uint8Array(readFileSync(new URL(`../../../node_modules/${path}`, import.meta.url)));

describe('fonts that ship', () => {
  it.each(fonts)('$name has the letters of western Europe', ({ path, name }) => {
    expect(triedFont(stockBytes(path), name).lacks('Marrow Quay 0123456789 äöüßéåñç')).toEqual([]);
  });

  it.each(fonts)('$name: every letter is shapes that are solid on the left and do not overlap', ({ path, name }) => {
    const font = openFont(stockBytes(path), name);
    for (const { id, text } of font.shape('ABDOPQRabdegopq04689&%@ÄÖéß', false)) {
      const shapes = font.outline(id);
      expect(shapes.length, text).toBeGreaterThan(0);
      for (const { outline, holes } of shapes) {
        expect(contourArea(outline), text).toBeGreaterThan(0);
        for (const hole of holes) expect(contourArea(hole), text).toBeLessThan(0);
      }
    }
    const holesOf = (letter: string): number =>
      font.outline(font.shape(letter, false)[0].id).reduce((sum, { holes }) => sum + holes.length, 0);
    expect(holesOf('I')).toBe(0);
    // a stencil's bridges open what would be holes
    if (!name.includes('Stencil')) expect([holesOf('O'), holesOf('B')]).toEqual([1, 2]);
  });
});

// opentype.js 1.3.4, and through it the fonts' own hmtx, GPOS and GSUB tables
describe.each(PEERS)('$name beside another reading of it', ({ name, path, kerns }) => {
  const ours = openFont(peerBytes(path), name);
  const buffer = peerBytes(path);
  const peer = opentype.parse(buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength));
  const em = peer.unitsPerEm;

  it('has the advances of its own tables', () => {
    for (const letter of 'AVTyg0123 (fin)') {
      const [glyph] = ours.shape(letter, false);
      expect(glyph.advance).toBeCloseTo((peer.charToGlyph(letter).advanceWidth ?? NaN) / em, 9);
    }
  });

  const kerning = (): void => {
    const text = 'AVATAR Tyger LT To We 0123 (fin)';
    const glyphs = ours.shape(text, false);
    const theirs = [...text].map((letter) => peer.charToGlyph(letter));
    let x = 0;
    let kerned = 0;
    theirs.forEach((glyph, i) => {
      expect(glyphs[i].id).toBe(glyph.index);
      expect(glyphs[i].x).toBeCloseTo(x, 9);
      const kern = i + 1 < theirs.length ? peer.getKerningValue(glyph, theirs[i + 1]) : 0;
      if (kern !== 0) kerned++;
      x += ((glyph.advanceWidth ?? 0) + kern) / em;
    });
    expect(kerned).toBeGreaterThan(3);
  };
  if (kerns) it('kerns the same pairs by as much', kerning);

  it('joins the same ligatures, and none where they are not wanted', () => {
    const joined = ours.shape('office', true).map(({ text }) => text);
    const theirs = peer.stringToGlyphs('office');
    expect(joined).toHaveLength(theirs.length);
    expect(joined.join('')).toBe('office');
    expect(ours.shape('office', false)).toHaveLength(6);
  });

  it('has outlines with the same bounds and area', () => {
    for (const letter of 'ABgQ&8é') {
      const { id } = ours.shape(letter, false)[0];
      const glyph = peer.charToGlyph(letter);
      const { x1, x2, y1, y2 } = glyph.getBoundingBox();
      const bounds = shapesBounds(ours.outline(id));
      for (const [found, expected] of [
        [bounds?.left, x1],
        [bounds?.right, x2],
        [bounds?.bottom, y1],
        [bounds?.top, y2],
      ] as const)
        expect(Math.abs((found ?? NaN) - expected / em)).toBeLessThan(0.0008);
      expect(shapesArea(ours.outline(id))).toBeCloseTo(peerArea(glyph, em), 3);
    }
  });
});

/** Area of a glyph by Green's theorem over its own curves, sixty steps each. */
function peerArea(glyph: opentype.Glyph, em: number): number {
  let [x, y, sx, sy, sum] = [0, 0, 0, 0, 0];
  const to = (nx: number, ny: number): void => {
    sum += (x * ny - nx * y) / 2;
    [x, y] = [nx, ny];
  };
  // its path has y downwards
  for (const c of glyph.getPath(0, 0, em).commands) {
    if (c.type === 'M') [x, y, sx, sy] = [c.x, c.y, c.x, c.y];
    else if (c.type === 'L') to(c.x, c.y);
    else if (c.type === 'Q') {
      const [x0, y0] = [x, y];
      for (let i = 1; i <= 60; i++) {
        const [t, s] = [i / 60, 1 - i / 60];
        to(s * s * x0 + 2 * s * t * c.x1 + t * t * c.x, s * s * y0 + 2 * s * t * c.y1 + t * t * c.y);
      }
    } else if (c.type === 'Z') to(sx, sy);
  }
  return Math.abs(sum) / em ** 2;
}

describe('what is no font', () => {
  it('is refused in words', () => {
    for (const bytes of [new Uint8Array(), new TextEncoder().encode('OTTO nothing'), new Uint8Array(5000).fill(7)])
      expect(() => triedFont(bytes, 'odd.ttf')).toThrow(/“odd.ttf” is not a font/);
  });

  it('names letters that are lacking', () => {
    expect(openFont(stockBytes('fonts/anton.woff2'), 'Anton').lacks('Aя漢 Bя')).toEqual(['я', '漢']);
  });

  it('joins what overlaps itself: the strokes of a letter drawn as one line that crosses itself', () => {
    const font = openFont(stockBytes('fonts/unbounded.woff2'), 'Unbounded');
    const [shape, ...more] = font.outline(font.shape('B', false)[0].id);
    expect(more).toHaveLength(0);
    expect(shape.holes).toHaveLength(2);
  });
});
