import type { World } from '../elements/world';
import { definitionOf, type Layer } from '../layers/kinds';
import { covers, isAlike, newPattern, patternOf, type Covering } from '../matter/pattern/kinds';
import type { Piece } from '../piece/schema';
import { worldOf } from '../world/layers';
import { rides } from '../world/route';
import type { Finding, Repair } from './finding';
import type { Symmetry } from './symmetry';

/** Whether a pattern is the same after a part of a turn: of bodies that take one another's place each must have the same. */
const turnsAlike = (layer: Layer, pattern: Covering, world: World): boolean =>
  isAlike(pattern) && definitionOf(layer.kind).elementCount(layer, 1, world) > 1;

/** On each body, and on all alike, it closes wherever the bodies do. */
const onBodies = (piece: Piece, layer: Layer, pattern: Covering): Repair => ({
  says: 'Let every body have the same',
  path: ['layers', piece.layers.indexOf(layer), 'pattern'],
  value: newPattern(pattern.kind, { ...pattern, lies: 'body', vary: false }),
});

/** How what covers a layer goes on from the end of the lap to its start. */
export function patternFindings(piece: Piece, layer: Layer, g: Symmetry): Finding[] {
  if (!('pattern' in layer) || !covers(layer.pattern)) return [];
  const { pattern } = layer;
  const world = worldOf(piece);
  const hangs = rides(layer) && pattern.lies !== 'world';
  const ok = g.turns === 0 || hangs || turnsAlike(layer, pattern, world);
  const bodies = definitionOf(layer.kind).bodies?.(layer) === true;
  const alone = definitionOf(layer.kind).elementCount(layer, 1, world) <= 1;
  return [
    {
      id: `pattern:${layer.id}`,
      subject: `${layer.name}, ${patternOf(pattern.kind).label.toLowerCase()}`,
      layerId: layer.id,
      ok,
      gap: ok ? 0 : 1,
      slopeGap: 0,
      says: ok ? okWords(pattern, g) : 'is seen from another side after the lap, and is another there',
      repair: !ok && bodies && !alone ? onBodies(piece, layer, pattern) : null,
    },
  ];
}

function okWords(pattern: Covering, g: Symmetry): string {
  const moves = ('cycles' in pattern && pattern.cycles > 0) || ('runs' in pattern && pattern.runs !== 0);
  const how = moves ? 'evolves and runs by whole cycles' : 'stands still';
  if (pattern.lies === 'body') return `${how} on each body`;
  if (pattern.lies === 'world' && g.advance !== 0) return `${how}, and repeats with the tile`;
  return pattern.lies === 'world' ? `${how} in the world` : `${how}, and goes with what it covers`;
}
