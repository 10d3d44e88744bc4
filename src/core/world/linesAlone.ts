import { newEffect, type Effect } from '../look/effects/kinds';
import type { Piece } from '../piece/schema';
import { drawsLines, type Lines } from '../lines/lines';
import { newMatter } from '../matter/kinds';
import { valueAt } from '../forms';
import { definitionOf, type Layer } from '../layers/kinds';

const WHITE = [{ at: 0, colour: '#ffffff' }];

/** Lines of a layer alone, white; where it has none it only hides those behind it. */
function alone(lines: Lines): Lines {
  const none = drawsLines(lines) ? {} : ({ drawn: 'edges', contours: false, creases: false, borders: false } as const);
  return { ...lines, ...none, over: 'nothing', inks: WHITE, shines: 1 };
}

/** The fields of a layer that say which lines are drawn along it. */
const LINES = ['lines', 'ink'] as const;

/** A layer of which nothing but its lines is seen; what has none to draw, as it is made of nothing, is gone. */
function ofLines(layer: Layer): Layer {
  const fields = LINES.flatMap((name) => {
    const lines = valueAt(layer, name);
    return typeof lines === 'object' && lines !== null ? [[name, alone(lines as Lines)] as const] : [];
  });
  if (fields.length === 0) return { ...layer, hidden: true };
  const solid = 'matter' in layer ? { matter: newMatter('plain') } : {};
  // what is added as light beside it, as the wires of a tunnel
  const shines = 'light' in layer && !definitionOf(layer.kind).bodies?.(layer) ? { light: 0 } : {};
  // an image of a line is none
  const mirrors = 'mirrors' in layer ? { mirrors: 'sky' } : {};
  return { ...layer, ...solid, ...shines, ...mirrors, ...Object.fromEntries(fields) } as Layer;
}

/**
 * A piece whose picture is its drawn lines alone, white on black: seen by the same lens and shutter, hidden by the same bodies, fading into the same fog, without
 * mist, lights or effects.
 */
export const linesAlone = (piece: Piece): Piece => ({
  ...piece,
  layers: piece.layers.map(ofLines),
  look: {
    ...piece.look,
    ...{ background: '#000000', backgroundEdge: '#000000', fogColour: '#000000', mist: 'none', haze: 0, lights: [] },
    effects: [{ ...newEffect('tone', 'tone'), curve: 'straight' } as Effect],
  },
});
