import { create, type Font as OpenedFont, type Glyph } from 'fontkit';
import { Trouble } from '../../core/trouble';
import type { Font, ShapedGlyph } from '../../core/type/font';
import { shapesBounds, type Shape } from '../../core/type/shape';
import { PathBuilder } from '../shapes/path';
import { shapesOf } from '../shapes/shapes';

/** Chords are off by at most so many ems: a quarter of a pixel where a letter is 400 pixels high. */
const TOLERANCE = 0.0006;
/** Points of one glyph; more are no letter. */
const MOST_POINTS = 20_000;

/** What letters look like whose outline cannot be read: nothing. */
const NONE: readonly Shape[] = [];

function outlineOf(glyph: Glyph, em: number): readonly Shape[] {
  const path = new PathBuilder({ tolerance: TOLERANCE, most: MOST_POINTS });
  for (const { command, args } of glyph.path.commands) {
    const [a, b, c, d, e, f] = args.map((v) => v / em);
    if (command === 'moveTo') path.moveTo(a, b);
    else if (command === 'lineTo') path.lineTo(a, b);
    else if (command === 'quadraticCurveTo') path.quadraticTo(a, b, c, d);
    else if (command === 'bezierCurveTo') path.cubicTo(a, b, c, d, e, f);
    else path.close();
  }
  return shapesOf(path.contours(), 'nonzero');
}

const words = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/**
 * Opens a font: OpenType or TrueType, WOFF or WOFF2; of a collection the first.
 * @throws Trouble `refused` when it cannot be read
 */
export function openFont(bytes: Uint8Array, name: string): Font {
  const refuse = (what: string): never => {
    throw new Trouble('refused', `“${name}” is not a font that can be read`, { received: what });
  };
  let opened: OpenedFont;
  try {
    const made = create(bytes as Parameters<typeof create>[0]);
    const [first] = 'fonts' in made ? made.fonts : [made];
    opened = first;
    if (!(opened.unitsPerEm >= 16 && opened.unitsPerEm <= 16_384)) refuse('it has no em');
  } catch (error) {
    return error instanceof Trouble ? refuse(error.received ?? error.message) : refuse(words(error));
  }
  const em = opened.unitsPerEm;
  const outlines = new Map<number, readonly Shape[]>();
  const glyphs = new Map<number, Glyph>();

  const outline = (id: number): readonly Shape[] => {
    const known = outlines.get(id);
    if (known) return known;
    let shapes = NONE;
    try {
      shapes = outlineOf(glyphs.get(id) ?? opened.getGlyph(id), em);
    } catch {
      // a glyph that cannot be read is not there; the others are
    }
    outlines.set(id, shapes);
    return shapes;
  };

  /** Letter by letter, where the font's own rules fail. */
  const plain = (text: string): ShapedGlyph[] => {
    let x = 0;
    return opened.glyphsForString(text).map((glyph, i): ShapedGlyph => {
      glyphs.set(glyph.id, glyph);
      const advance = glyph.advanceWidth / em;
      const placed = { id: glyph.id, x, y: 0, advance, width: advance, text: [...text][i] ?? '' };
      x += advance;
      return placed;
    });
  };

  const shape = (text: string, ligatures: boolean): ShapedGlyph[] => {
    if (text === '') return [];
    try {
      const run = opened.layout(text, ligatures ? {} : { liga: false, clig: false, dlig: false });
      let x = 0;
      return run.glyphs.map((glyph, i): ShapedGlyph => {
        glyphs.set(glyph.id, glyph);
        const { xAdvance, xOffset, yOffset } = run.positions[i];
        const placed = {
          id: glyph.id,
          x: (x + xOffset) / em,
          y: yOffset / em,
          advance: xAdvance / em,
          width: glyph.advanceWidth / em,
          text: String.fromCodePoint(...glyph.codePoints),
        };
        x += xAdvance;
        return placed;
      });
    } catch {
      try {
        return plain(text);
      } catch {
        // not even its list of letters can be read
        return [];
      }
    }
  };

  const share = (v: number, otherwise: number): number =>
    Number.isFinite(v) && Math.abs(v) <= 4 * em && v !== 0 ? v / em : otherwise;
  const capHeight = (): number => {
    const stated = share(opened.capHeight, 0);
    if (stated > 0) return stated;
    const glyph = shape('H', false).at(0);
    return (glyph && shapesBounds(outline(glyph.id))?.top) || 0.7;
  };
  try {
    return {
      name: [opened.familyName, opened.subfamilyName].filter((part) => part && part !== 'Regular').join(' ') || name,
      capHeight: capHeight(),
      ascent: share(opened.ascent, 0.8),
      descent: share(opened.descent, -0.2),
      shape,
      outline,
      lacks(text) {
        const letters = [...new Set(text)].filter((letter) => letter.trim() !== '');
        try {
          return letters.filter((letter) => !opened.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0));
        } catch {
          return letters;
        }
      },
    };
  } catch (error) {
    return refuse(words(error));
  }
}

/** Letters that a font is tried with before it is kept. */
const TRIED = 'Hamburgefonstiv AVATAR office 0123456789 ÄÖÜß — “Marrow Quay”';

/**
 * Opens a font and tries it, so that one that fails does so before it is kept.
 * @throws Trouble `refused` when it has no letters that can be drawn
 */
export function triedFont(bytes: Uint8Array, name: string): Font {
  const font = openFont(bytes, name);
  const drawn = font.shape(TRIED, true).filter(({ id }) => font.outline(id).length > 0);
  if (drawn.length === 0) throw new Trouble('refused', `“${name}” has no letters that can be drawn`);
  return font;
}
