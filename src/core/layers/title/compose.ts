import { memo } from '../../memo';
import { relief, type Relief } from '../../solids/relief';
import { broken } from '../../solids/pieces';
import type { Mesh } from '../../solids/mesh';
import { FONTS, STAND_IN, type Font } from '../../type/font';
import { MARKS, NO_MARK } from '../../type/mark';
import { bent, setText, shapedLine, type SetElement, type SetGlyph } from '../../type/layout';
import { shapesArea, shapesBounds, shapesMoved, type Shape } from '../../type/shape';
import { piecesOf } from '../../treatments/kinds';
import type { TitleLayer } from './form';
import { numberText } from './number';

/** What stands at a place of a title: lengths in ems. */
export interface Composed extends SetElement {
  /** its shapes about its own origin, and what tells them from others */
  shapes: readonly Shape[];
  shape: string;
  /** where its edge is along the way out of it, of a base line */
  base: number;
  /** place in the text, for numbers: it is there while that letter is the one */
  slot: number;
}

/** A title composed: elements in the order of their shapes, so that those of one shape follow one another. */
export interface Composition {
  elements: readonly Composed[];
  /** for each element its place in reading order, 0..1, and its number there */
  order: readonly number[];
  key: readonly number[];
  /** half the size of the whole, aside, up and along */
  half: [number, number, number];
}

export const fontOf = (layer: TitleLayer): Font => FONTS.at(layer.font) ?? STAND_IN;

/** Whether its letters stand around a drum. */
export const isDrum = ({ shows, bend, around }: TitleLayer): boolean =>
  shows !== 'mark' && bend !== 0 && around === 'drum';

/** What a font is told from others by, and whether it is there. */
const fontKey = ({ font }: TitleLayer): string => (font && FONTS.has(font.hash) ? font.hash : 'none');
const markKey = ({ mark }: TitleLayer): string => (mark && MARKS.has(mark.hash) ? mark.hash : 'none');

/** All that a composition depends on. */
export const compositionKey = (layer: TitleLayer): string => {
  const { shows, text, elements, apart, tracking, leading, align, bend, around, rise } = layer;
  const { format, digits, decimals, before, after } = layer;
  if (shows === 'mark') return JSON.stringify([shows, markKey(layer), apart]);
  const setting = [fontKey(layer), tracking, bend, around, rise];
  return shows === 'words'
    ? JSON.stringify([shows, ...setting, text, elements, leading, align])
    : JSON.stringify([shows, ...setting, format, digits, decimals, before, after]);
};

const composed = memo<Composition>(60);

/** What a title is made of: the same for the same key. */
export const compositionOf = (layer: TitleLayer): Composition =>
  composed(compositionKey(layer), () => {
    const found = layer.shows === 'mark' ? marked(layer) : layer.shows === 'number' ? counted(layer) : set(layer);
    return arranged(
      found.filter(({ shapes }) => shapesArea(shapes) > 0),
      isDrum(layer),
    );
  });

/** Elements of one shape after another, with their places in reading order. */
function arranged(elements: readonly Composed[], drum: boolean): Composition {
  const slots = [...new Set(elements.map(({ slot }) => slot))].sort((a, b) => a - b);
  const rank = new Map(slots.map((slot, i) => [slot, i]));
  const first = new Map<string, number>();
  elements.forEach(({ shape }, i) => first.has(shape) || first.set(shape, i));
  const sorted = [...elements].sort((a, b) => (first.get(a.shape) ?? 0) - (first.get(b.shape) ?? 0));
  const key = sorted.map(({ slot }) => rank.get(slot) ?? 0);
  const half: [number, number, number] = [0, 0, 0];
  for (const { x, y, z, shapes, turn } of sorted) {
    const bounds = shapesBounds(shapes);
    if (!bounds) continue;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    for (const px of [bounds.left, bounds.right])
      for (const py of [bounds.bottom, bounds.top]) {
        const at = drum ? [x + px * c, y + py, z - px * s] : [x + px * c - py * s, y + px * s + py * c, z];
        at.forEach((v, k) => (half[k] = Math.max(half[k], Math.abs(v))));
      }
  }
  return {
    elements: sorted,
    order: key.map((k) => (slots.length > 1 ? k / (slots.length - 1) : 0)),
    key,
    half,
  };
}

const shapesOf = (font: Font, glyphs: readonly SetGlyph[]): Shape[] =>
  glyphs.flatMap(({ id, x, y }) => shapesMoved(font.outline(id), x, y));

const shapeKey = (prefix: string, glyphs: readonly SetGlyph[]): string =>
  `${prefix} ${glyphs.map(({ id, x, y }) => `${id},${x.toFixed(5)},${y.toFixed(5)}`).join(' ')}`;

/** Words, letter by letter, word by word or line by line. */
function set(layer: TitleLayer): Composed[] {
  const font = fontOf(layer);
  const elements = setText(font, layer.text, layer);
  const lines = layer.text.split('\n').length;
  const middle = (font.capHeight - (lines - 1) * layer.leading) / 2;
  return elements.map((element, slot) => ({
    ...element,
    shapes: shapesOf(font, element.glyphs),
    shape: shapeKey(fontKey(layer), element.glyphs),
    base: -element.line * layer.leading - middle,
    slot,
  }));
}

/** Every letter that a number may show at each of its places, digits as wide as the widest. */
function counted(layer: TitleLayer): Composed[] {
  const font = fontOf(layer);
  // letters, not halves of them
  const written = [...numberText(layer, 0, 25)];
  const [head, tail] = [[...layer.before].length, written.length - [...layer.after].length];
  const glyphOf = (letter: string) => shapedLine(font, letter, 0).glyphs.at(0);
  const digits = [...'0123456789'];
  const widest = Math.max(...digits.map((digit) => glyphOf(digit)?.advance ?? 0));
  const places = written.map((letter, slot) => {
    const counts = slot >= head && slot < tail && /\d/.test(letter);
    return { slot, letters: counts ? digits : [letter], width: counts ? widest : (glyphOf(letter)?.advance ?? 0) };
  });
  const width = places.reduce((sum, place) => sum + place.width, 0) + layer.tracking * (places.length - 1);
  const line = places.map(({ width: own }, i) => ({
    x: places.slice(0, i).reduce((sum, place) => sum + place.width + layer.tracking, 0) + own / 2 - width / 2,
  }));
  return places.flatMap(({ slot, letters }) =>
    letters.flatMap((letter): Composed[] => {
      const glyph = glyphOf(letter);
      if (!glyph || letter.trim() === '') return [];
      const own = { id: glyph.id, x: -glyph.advance / 2, y: -font.capHeight / 2 };
      const at = bent(line[slot].x, 0, width, layer);
      return [
        {
          glyphs: [own],
          text: letter,
          ...at,
          line: 0,
          shapes: shapesOf(font, [own]),
          shape: shapeKey(fontKey(layer), [own]),
          base: -font.capHeight / 2,
          slot,
        },
      ];
    }),
  );
}

/** The shapes of a mark. */
function marked(layer: TitleLayer): Composed[] {
  const mark = MARKS.at(layer.mark) ?? NO_MARK;
  const groups = layer.apart ? mark.paths : [mark.paths.flat()];
  return groups.flatMap((shapes, slot): Composed[] => {
    const bounds = shapesBounds(shapes);
    if (!bounds) return [];
    const [x, y] = [(bounds.left + bounds.right) / 2, (bounds.bottom + bounds.top) / 2];
    return [
      {
        glyphs: [],
        text: '',
        x,
        y,
        z: 0,
        turn: 0,
        line: 0,
        shapes: shapesMoved(shapes, -x, -y),
        shape: `${markKey(layer)} ${layer.apart ? slot : 'all'}`,
        base: -0.5,
        slot,
      },
    ];
  });
}

const meshes = memo<Mesh>(400);

/** The mesh of an element, one em high. */
export function meshOf(layer: TitleLayer, { shape, shapes }: Pick<Composed, 'shape' | 'shapes'>): Mesh {
  const { count, seed } = piecesOf(layer.treatments);
  const how: Relief = { depth: layer.depth, bevel: layer.bevel, steps: layer.round };
  return meshes(JSON.stringify([shape, how, count, seed]), () => {
    const whole = relief(shapes, how);
    return count > 1 ? broken(whole, count, seed) : whole;
  });
}

/** A title as it reads, not turned or bent. Of a number each place as it is at nothing. */
export const sketchShapes = (layer: TitleLayer): Shape[] => {
  const written = layer.shows === 'number' ? [...numberText(layer, 0, 25)] : null;
  return compositionOf({ ...layer, bend: 0, rise: 0 })
    .elements.filter(({ slot, text }) => written === null || written[slot] === text)
    .flatMap(({ shapes, x, y }) => shapesMoved(shapes, x, y));
};
