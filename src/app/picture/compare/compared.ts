import { effectOf, type Effect } from '../../../core/look/effects/kinds';
import type { Piece } from '../../../core/piece/schema';
import type { ComparedTo } from '../../state/bench';
import type { History } from '../../state/history';

const withEffects = (piece: Piece, keep: (effect: Effect) => boolean): Piece => ({
  ...piece,
  look: { ...piece.look, effects: piece.look.effects.filter((effect) => effectOf(effect.kind).always || keep(effect)) },
});

/** The piece that the open one is compared with; null where there is none, or no longer. */
export function comparedPiece(
  { present, past, gesture }: History<Piece>,
  held: Piece | null,
  to: ComparedTo | null,
): Piece | null {
  switch (to?.with) {
    case 'before':
      return gesture ?? past.at(-1) ?? null;
    case 'opened':
      return past[0] ?? gesture;
    case 'held':
      return held;
    case 'plain':
      return withEffects(present, () => false);
    case 'without':
      return present.look.effects.some(({ id }) => id === to.effect)
        ? withEffects(present, ({ id }) => id !== to.effect)
        : null;
    case undefined:
      return null;
  }
}

/** What it can be compared with, by keys, in words. */
export function comparisons({ present, past }: History<Piece>, held: Piece | null): Record<string, string> {
  const effects = present.look.effects.filter(({ kind, off }) => !off && !effectOf(kind).always);
  return {
    none: 'Against nothing',
    ...(past.length > 0 ? { before: 'Before the last change', opened: 'As far back as undo goes' } : {}),
    ...(held ? { held: 'As it was held' } : {}),
    plain: 'Without effects',
    ...Object.fromEntries(effects.map(({ id, kind }) => [WITHOUT + id, `Without ${effectOf(kind).label}`])),
  };
}
const WITHOUT = 'without ';

export const comparedKey = (to: ComparedTo | null): string =>
  to ? (to.with === 'without' ? WITHOUT + to.effect : to.with) : 'none';

const PLAIN = ['before', 'opened', 'held', 'plain'] as const;

/** What a key stands for; null for nothing. */
export const comparedOf = (key: string): ComparedTo | null => {
  const plain = PLAIN.find((name) => name === key);
  return plain
    ? { with: plain }
    : key.startsWith(WITHOUT)
      ? { with: 'without', effect: key.slice(WITHOUT.length) }
      : null;
};
