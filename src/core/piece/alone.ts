import { effectOf } from '../look/effects/kinds';
import type { Piece } from './schema';

/** One layer, light or effect that is looked at by itself. */
export interface Alone {
  of: 'layers' | 'lights' | 'effects';
  id: string;
}

/**
 * The piece as it is seen while one part is shown alone: without other layers, lights, or effects but for what a look cannot be without.
 * One that is hidden or off is seen all the same; one that there is no more changes nothing.
 */
export function aloneIn(piece: Piece, alone: Alone | null): Piece {
  if (!alone) return piece;
  const { of, id } = alone;
  const { look } = piece;
  const all: readonly { id: string }[] = of === 'layers' ? piece.layers : look[of];
  if (!all.some((part) => part.id === id)) return piece;
  if (of === 'layers')
    return { ...piece, layers: piece.layers.map((layer) => ({ ...layer, hidden: layer.id !== id })) };
  if (of === 'lights')
    return { ...piece, look: { ...look, lights: look.lights.map((light) => ({ ...light, off: light.id !== id })) } };
  const effects = look.effects.map((effect) => ({
    ...effect,
    off: effect.id !== id && effectOf(effect.kind).always !== true,
  }));
  return { ...piece, look: { ...look, effects } };
}
