import { definitionOf, type Layer } from '../layers/kinds';
import { asksOf, type Effect } from '../look/effects/kinds';
import type { Piece } from '../piece/schema';

/** Whether something of a layer hides what is behind it. */
function hides(layer: Layer): boolean {
  const { bodies } = definitionOf(layer.kind);
  return bodies ? bodies(layer) : 'matter' in layer;
}

/** What an effect asks for and a piece does not hold, in words; null where it has all it needs. */
export function lackOf({ layers }: Piece, effect: Effect): string | null {
  const seen = layers.filter(({ hidden }) => !hidden);
  for (const asked of asksOf(effect, 0)) {
    if (asked.of === 'layer' && !seen.some(({ id }) => id === asked.id))
      return asked.id === ''
        ? 'It needs a layer to act on: choose one under “Where”.'
        : 'It needs a layer that is hidden or gone: nothing is masked by it.';
    if ((asked.of === 'near' || asked.of === 'fog') && !seen.some(hides))
      return 'It needs depth, and no layer has any: light that is added is as far away as what is behind it.';
  }
  return null;
}
