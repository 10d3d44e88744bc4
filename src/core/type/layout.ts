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
  /** whether that circle is in the plane of the text, or lies flat, with letters that face outwards */
  around: 'plane' | 'drum';
  /** degrees that base lines rise; not around a drum */
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
  /** towards the reader */
  z: number;
  /** radians that it is turned: counter-clockwise, or around a drum to the right */
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
  const lift = font.capHeight / 2;
  return lines.flatMap(({ glyphs, width }, line) => {
    const left = setting.align === 'left' ? -widest / 2 : setting.align === 'right' ? widest / 2 - width : -width / 2;
    const base = -line * setting.leading - middle;
    return groupsOf(glyphs, setting.elements).map((group): SetElement => {
      const first = group[0];
      const last = group[group.length - 1];
      const origin = (first.x + last.x + last.width) / 2;
      const at = bent(left + origin, base + lift, widest, setting);
      return {
        glyphs: group.map(({ id, x, y }) => ({ id, x: x - origin, y: y - lift })),
        text: group.map((glyph) => glyph.text).join(''),
        ...at,
        line,
      };
    });
  });
}

/** Where something of straight lines is, and how it is turned, when they are bent and turned as is said. */
export function bent(
  x: number,
  y: number,
  widest: number,
  { bend, around, rise }: Pick<Setting, 'bend' | 'around' | 'rise'>,
): { x: number; y: number; z: number; turn: number } {
  const radius = bend === 0 || widest === 0 ? Infinity : widest / ((bend * Math.PI) / 180);
  const angle = x / radius;
  if (around === 'drum' && Number.isFinite(radius))
    return { x: Math.sin(angle) * radius, y, z: Math.cos(angle) * radius, turn: angle };
  const slope = (rise * Math.PI) / 180;
  const [px, py] = Number.isFinite(radius)
    ? [Math.sin(angle) * (radius + y), Math.cos(angle) * (radius + y) - radius]
    : [x, y];
  return {
    x: px * Math.cos(slope) - py * Math.sin(slope),
    y: px * Math.sin(slope) + py * Math.cos(slope),
    z: 0,
    turn: slope - angle,
  };
}
