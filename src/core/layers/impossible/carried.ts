import { memo } from '../../memo';
import { hash4, unitFrom } from '../../random/hash';
import { relief } from '../../solids/relief';
import type { Mesh } from '../../solids/mesh';
import { FONTS, STAND_IN } from '../../type/font';
import { shapedLine } from '../../type/layout';
import { shapesArea, shapesMoved } from '../../type/shape';
import { shapeKey, wayOf } from './stood';
import type { ImpossibleLayer } from './form';

/** Something that goes round: rounds ahead of the first, metres aside and up as it is read, its order, and its letter. */
export interface Carried {
  ahead: number;
  aside: number;
  up: number;
  order: number;
  /** the letter it is, by its place among the letters there are; 0 for what is none */
  letter: number;
}

const lists = memo<{ carried: Carried[]; letters: Mesh[] }>(24);

/** Depth of letters, and how far their edges are taken off, in ems. */
const LETTER = { depth: 0.08, bevel: 0.006, steps: 1 };

const NONE = { carried: [], letters: [] };

/** What goes round a figure at a share of the final count, things of one letter after one another. */
export function carriedOf(layer: ImpossibleLayer, share: number): { carried: Carried[]; letters: Mesh[] } {
  if (layer.carries === 'none') return NONE;
  const { carries, seed, size, text, strays, thickness } = layer;
  const particles = carries === 'particles';
  const count = particles ? Math.max(1, Math.round(layer.count * share)) : layer.count;
  const font = FONTS.at(layer.font) ?? STAND_IN;
  const fontKey = layer.font && FONTS.has(layer.font.hash) ? layer.font.hash : 'none';
  const key = JSON.stringify([
    carries,
    count,
    seed,
    ...(particles ? [strays, thickness] : []),
    ...(carries === 'letters' ? [text, fontKey, size, shapeKey(layer)] : []),
  ]);
  return lists(key, () => {
    const order = (i: number): number => (count > 1 ? i / (count - 1) : 0);
    if (particles)
      return {
        carried: Array.from({ length: count }, (_, i): Carried => {
          const h = hash4(i, seed, 78, 0);
          const [u, v, w] = h.map((n) => unitFrom(n));
          // evenly over a disc as wide as they stray
          const far = Math.sqrt(v) * strays * thickness * 0.5;
          const angle = 2 * Math.PI * w;
          return { ahead: u, aside: far * Math.cos(angle), up: far * Math.sin(angle), order: order(i), letter: 0 };
        }),
        letters: [],
      };
    if (carries === 'lamps')
      return {
        carried: Array.from({ length: count }, (_, i) => ({
          ahead: i / count,
          aside: 0,
          up: 0,
          order: order(i),
          letter: 0,
        })),
        letters: [],
      };
    const { length } = wayOf(layer);
    const { glyphs } = shapedLine(font, text, 0);
    const outlines = new Map<number, number>();
    const letters: Mesh[] = [];
    const all: Carried[] = [];
    for (const { id, x, advance } of glyphs) {
      const shapes = shapesMoved(font.outline(id), -advance / 2, -font.capHeight / 2);
      if (shapesArea(shapes) <= 0) continue;
      let letter = outlines.get(id);
      if (letter === undefined) {
        letter = letters.length;
        outlines.set(id, letter);
        letters.push(relief(shapes, LETTER));
      }
      for (let k = 0; k < count; k++)
        all.push({ ahead: k / count + ((x + advance / 2) * size) / length, aside: 0, up: 0, order: 0, letter });
    }
    all.sort((a, b) => a.letter - b.letter || a.ahead - b.ahead);
    const rank = [...all].sort((a, b) => a.ahead - b.ahead);
    rank.forEach((one, i) => (one.order = rank.length > 1 ? i / (rank.length - 1) : 0));
    return { carried: all, letters };
  });
}
