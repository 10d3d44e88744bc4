import { Held } from '../kept';
import type { Shape } from './shape';

/** A glyph of a shaped line, in shares of the em. */
export interface ShapedGlyph {
  id: number;
  /** where its own origin is on the line */
  x: number;
  y: number;
  /** to the next one, kerned */
  advance: number;
  /** the same without kerning */
  width: number;
  /** the letters it stands for: several for a ligature */
  text: string;
}

/** An open font. All lengths are shares of the em, y up from the base line. */
export interface Font {
  readonly name: string;
  readonly capHeight: number;
  readonly ascent: number;
  /** below the base line, so negative */
  readonly descent: number;
  /**
   * The glyphs of one line, from left to right, kerned.
   * @param ligatures whether letters may join into one glyph
   */
  shape(text: string, ligatures: boolean): ShapedGlyph[];
  /** the outline of a glyph, its overlaps joined; none for a space */
  outline(id: number): readonly Shape[];
  /** letters of a text that it has no glyph for, each once */
  lacks(text: string): string[];
}

/** Added to the numbers of another font's glyphs: more than any font has. */
const OTHERS = 1_000_000;

/** A font that takes letters it lacks from another one of its family, where that has them. */
export function withMore(font: Font, more: Font): Font {
  const lacks = (text: string): string[] => {
    const lacking = font.lacks(text);
    return lacking.length === 0 ? lacking : more.lacks(lacking.join(''));
  };
  const shape = (text: string, ligatures: boolean): ShapedGlyph[] => {
    const borrowed = new Set(font.lacks(text));
    for (const letter of borrowed.size > 0 ? more.lacks([...borrowed].join('')) : []) borrowed.delete(letter);
    if (borrowed.size === 0) return font.shape(text, ligatures);
    const runs: { text: string; other: boolean }[] = [];
    for (const letter of text) {
      const other = borrowed.has(letter);
      const last = runs.at(-1);
      if (last?.other === other) last.text += letter;
      else runs.push({ text: letter, other });
    }
    let start = 0;
    return runs.flatMap((run) => {
      const from = start;
      return (run.other ? more : font).shape(run.text, ligatures).map((glyph) => {
        start = Math.max(start, from + glyph.x + glyph.advance);
        return { ...glyph, x: from + glyph.x, id: run.other ? glyph.id + OTHERS : glyph.id };
      });
    });
  };
  const outline = (id: number): readonly Shape[] => (id >= OTHERS ? more.outline(id - OTHERS) : font.outline(id));
  return { ...font, lacks, shape, outline };
}

/** Every font that is open. */
export const FONTS = new Held<Font>();

/** What stands in for letters of a font that is not there: a frame for each. */
export const STAND_IN: Font = {
  name: 'no font',
  capHeight: 0.7,
  ascent: 0.8,
  descent: -0.2,
  shape: (text) =>
    [...text].map((letter, i) => ({
      id: letter.trim() === '' ? 0 : 1,
      x: i * 0.6,
      y: 0,
      advance: 0.6,
      width: 0.6,
      text: letter,
    })),
  outline: (id) =>
    id === 0
      ? []
      : [
          {
            outline: Float64Array.of(0.06, 0, 0.54, 0, 0.54, 0.7, 0.06, 0.7),
            holes: [Float64Array.of(0.12, 0.06, 0.12, 0.64, 0.48, 0.64, 0.48, 0.06)],
          },
        ],
  lacks: () => [],
};
