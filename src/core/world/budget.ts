import { worldOf } from './layers';
import type { World } from '../elements/world';
import { definitionOf, type Layer } from '../layers/kinds';
import { treatmentOf, type Treatment } from '../treatments/kinds';
import type { PiecePath } from '../piece/paths';
import type { Piece } from '../piece/schema';

/** The most of each that a piece may ask for. Beyond it the program would stand still, or the graphics memory be full. */
export const MOST_OF = {
  /** elements of a layer */
  elements: 2_100_000,
  /** bodies of a layer */
  bodies: 200_000,
  /** earlier moments that trails show of a layer, all together */
  moments: 48,
  /** elements of all layers, once for each moment they are shown at */
  shown: 12_000_000,
  /** pairs of points that a net looks at in a frame */
  pairs: 4_000_000,
} as const;

/** Something that is more than can be had. */
export interface Excess {
  path: PiecePath;
  /** the whole sentence, with the number and what to do */
  says: string;
}

const number = (n: number): string => Math.round(n).toLocaleString('en-US');
/** Moments a treatment shows at once. */
const momentsOf = (t: Treatment): number => (t.off ? 1 : (treatmentOf(t.kind).echoes?.(t, 0, 1).length ?? 1));

const countOf = (layer: Layer, context: World): number => {
  const definition = definitionOf(layer.kind);
  return definition.mostElements?.(layer) ?? definition.elementCount(layer, 1, context);
};

/** Pairs of points nearer than the links are long, if they were spread evenly over their extents. */
function pairsOf(piece: Piece, layer: Layer, context: World): number {
  const definition = definitionOf(layer.kind);
  if (!definition.linking) return 0;
  const limit = Math.max(...[0, 0.25, 0.5, 0.75].map((phase) => definition.linking?.(layer, phase).limit ?? 0));
  const [first = null, second = null] = definition.madeOf?.(layer) ?? [];
  const ends = [first, second].map((id) => piece.layers.find((other) => other.id === id) ?? layer);
  const sides = ends.map((end) => {
    const { halfWidth, halfHeight, from, to } = context.extentOf(end.id);
    const volume = [2 * halfWidth, 2 * halfHeight, to - from].reduce((v, size) => v * Math.max(size, limit), 1);
    return { count: countOf(end, context), volume };
  });
  const [a, b] = sides;
  const near = Math.min(1, (limit * 2) ** 3 / Math.max(a.volume, b.volume, 1e-9));
  return a.count * b.count * near * (second === null ? 0.5 : 1);
}

/** What a piece asks for beyond what can be had, in the order of its layers; cheap enough for every edit. */
export function excessOf(piece: Piece): Excess[] {
  const context = worldOf(piece);
  let shown = 0;
  const found = piece.layers.flatMap((layer, index): Excess[] => {
    const name = `“${layer.name}”`;
    const path = ['layers', index];
    const count = countOf(layer, context);
    const solid = definitionOf(layer.kind).bodies?.(layer) === true;
    const most = solid ? MOST_OF.bodies : MOST_OF.elements;
    const moments = layer.treatments.reduce((n, t) => n * momentsOf(t), 1);
    shown += layer.hidden ? 0 : count * moments;
    const over: Excess[] = [];
    if (count > most)
      over.push({
        path,
        says: `${name} would have ${number(count)} ${solid ? 'bodies' : 'elements'}; the most is ${number(most)}. Make its counts smaller.`,
      });
    if (moments > MOST_OF.moments)
      over.push({
        path: [...path, 'treatments'],
        says: `The trails of ${name} would show ${number(moments)} moments at once; the most is ${MOST_OF.moments}. Take fewer echoes, or one of the trails away.`,
      });
    const pairs = count > most ? 0 : pairsOf(piece, layer, context);
    if (pairs > MOST_OF.pairs)
      over.push({
        path: [...path, 'distance'],
        says: `${name} would look at about ${number(pairs)} pairs of points in every frame; the most is ${number(MOST_OF.pairs)}. Make its links shorter, or its points fewer.`,
      });
    return over;
  });
  if (found.length === 0 && shown > MOST_OF.shown)
    found.push({
      path: ['layers'],
      says: `All layers together would draw ${number(shown)} elements in every frame; the most is ${number(MOST_OF.shown)}. Make a count smaller, or hide a layer.`,
    });
  return found;
}
