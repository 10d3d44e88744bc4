import type { Font, ShapedGlyph } from './font';

/** How lines of text are set. Lengths are shares of the em. */
export interface Setting {
  elements: 'letters' | 'words' | 'lines';
  align: 'left' | 'centre' | 'right';
  /** added between letters */
  tracking: number;
  /** from one base line to the next */
  leading: number;
  /** degrees of a circle that a line is bent along, its middle on top; below 0 its middle is at the bottom */
  bend: number;
  /** degrees that base lines rise */
  rise: number;
}

/** A glyph of an element, by where its own origin is from that of the element. */
export interface SetGlyph {
  id: number;
  x: number;
  y: number;
}

/** What moves as one: a letter, a word or a line. Its origin is in the middle of its advance, half as high as capitals are. */
export interface SetElement {
  glyphs: readonly SetGlyph[];
  /** the letters it stands for */
  text: string;
  x: number;
  y: number;
  /** radians that it is turned counter-clockwise */
  turn: number;
  /** of the line it is on, from 0 */
  line: number;
}

/** A line of glyphs with tracking, and how wide it is. */
export function shapedLine(font: Font, text: string, tracking: number): { glyphs: ShapedGlyph[]; width: number } {
  const glyphs = font.shape(text, tracking === 0).map((glyph, i) => ({ ...glyph, x: glyph.x + tracking * i }));
  const last = glyphs.at(-1);
  const width = last ? Math.max(...glyphs.map(({ x, advance }) => x + advance)) : 0;
  return { glyphs, width };
}

const isSpace = (text: string): boolean => text.trim() === '';

/** The glyphs of a line in groups that move as one; spaces are in none. */
function groupsOf(glyphs: readonly ShapedGlyph[], elements: Setting['elements']): ShapedGlyph[][] {
  if (elements === 'letters') return glyphs.filter(({ text }) => !isSpace(text)).map((glyph) => [glyph]);
  const words: ShapedGlyph[][] = [];
  let open = false;
  for (const glyph of glyphs) {
    if (isSpace(glyph.text)) open = false;
    else if (open) words[words.length - 1].push(glyph);
    else {
      words.push([glyph]);
      open = true;
    }
  }
  return elements === 'words' || words.length === 0 ? words : [words.flat()];
}

/**
 * Lines of text as elements in reading order. The block is centred on the origin: aside by its alignment, upright between the
 * top of the first line's capitals and the last base line.
 */
export function setText(font: Font, text: string, setting: Setting): SetElement[] {
  const lines = text.split('\n').map((line) => shapedLine(font, line, setting.tracking));
  const widest = Math.max(0, ...lines.map(({ width }) => width));
  const middle = (font.capHeight - (lines.length - 1) * setting.leading) / 2;
  const slope = (setting.rise * Math.PI) / 180;
  const lift = font.capHeight / 2;
  return lines.flatMap(({ glyphs, width }, line) => {
    const left = setting.align === 'left' ? -widest / 2 : setting.align === 'right' ? widest / 2 - width : -width / 2;
    const base = -line * setting.leading - middle;
    return groupsOf(glyphs, setting.elements).map((group): SetElement => {
      const first = group[0];
      const last = group[group.length - 1];
      const origin = (first.x + last.x + last.width) / 2;
      const at = bent(left + origin, base + lift, widest, setting.bend);
      return {
        glyphs: group.map(({ id, x, y }) => ({ id, x: x - origin, y: y - lift })),
        text: group.map((glyph) => glyph.text).join(''),
        x: at.x * Math.cos(slope) - at.y * Math.sin(slope),
        y: at.x * Math.sin(slope) + at.y * Math.cos(slope),
        turn: at.turn + slope,
        line,
      };
    });
  });
}

/** A place of straight lines on lines that are bent, so that the widest takes up so many degrees. */
function bent(x: number, y: number, widest: number, degrees: number): { x: number; y: number; turn: number } {
  if (degrees === 0 || widest === 0) return { x, y, turn: 0 };
  const radius = widest / ((degrees * Math.PI) / 180);
  const angle = x / radius;
  return { x: Math.sin(angle) * (radius + y), y: Math.cos(angle) * (radius + y) - radius, turn: -angle };
}
