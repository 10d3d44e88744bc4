import { effectOf, type Effect } from '../../../core/look/effects/kinds';
import type { Piece } from '../../../core/piece/schema';
import type { ComparedTo } from '../../state/bench';
import type { Version } from '../../../store/versions';
import type { History } from '../../state/history';

const withEffects = (piece: Piece, keep: (effect: Effect) => boolean): Piece => ({
  ...piece,
  look: { ...piece.look, effects: piece.look.effects.filter((effect) => effectOf(effect.kind).always || keep(effect)) },
});

/** The piece that the open one is compared with; null where there is none, or no longer. */
export function comparedPiece(
  { present, past, gesture }: History<Piece>,
  versions: readonly Version[],
  to: ComparedTo | null,
): Piece | null {
  switch (to?.with) {
    case 'before':
      return gesture ?? past.at(-1) ?? null;
    case 'opened':
      return past[0] ?? gesture;
    case 'version':
      return versions.find(({ id }) => id === to.id)?.piece ?? null;
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
export function comparisons({ present, past }: History<Piece>, versions: readonly Version[]): Record<string, string> {
  const effects = present.look.effects.filter(({ kind, off }) => !off && !effectOf(kind).always);
  return {
    none: 'Against nothing',
    ...(past.length > 0 ? { before: 'Before the last change', opened: 'As far back as undo goes' } : {}),
    ...Object.fromEntries(versions.map(({ id, name }) => [VERSION + id, name])),
    plain: 'Without effects',
    ...Object.fromEntries(effects.map(({ id, kind }) => [WITHOUT + id, `Without ${effectOf(kind).label}`])),
  };
}
const WITHOUT = 'without ';
const VERSION = 'version ';

export function comparedKey(to: ComparedTo | null): string {
  switch (to?.with) {
    case 'without':
      return WITHOUT + to.effect;
    case 'version':
      return VERSION + to.id;
    default:
      return to?.with ?? 'none';
  }
}

const PLAIN = ['before', 'opened', 'plain'] as const;

/** What a key stands for; null for nothing. */
export function comparedOf(key: string): ComparedTo | null {
  const plain = PLAIN.find((name) => name === key);
  if (plain) return { with: plain };
  if (key.startsWith(WITHOUT)) return { with: 'without', effect: key.slice(WITHOUT.length) };
  return key.startsWith(VERSION) ? { with: 'version', id: key.slice(VERSION.length) } : null;
}
