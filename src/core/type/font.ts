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
