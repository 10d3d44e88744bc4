import type { FileRef } from '../../core/kept';
import { newEffect, withEffect, type Effect } from '../../core/look/effects/kinds';
import type { Piece } from '../../core/piece/schema';
import { newId } from './edit';

/** A file as the table of colours of a piece: of its first lookup that is on, or of a new one. */
export function placeTable(piece: Piece, file: FileRef): { piece: Piece; id: string; says: string } {
  const { effects } = piece.look;
  const there = effects.find(({ kind, off }) => kind === 'table' && !off);
  const table: Effect = { ...(there ?? newEffect('table', newId('effect'))), kind: 'table', file } as Effect;
  const next = there ? effects.map((effect) => (effect === there ? table : effect)) : withEffect(effects, table);
  return {
    piece: { ...piece, look: { ...piece.look, effects: next } },
    id: table.id,
    says: there
      ? `Colours go by “${file.name}” now.`
      : `Colours go by “${file.name}”, a lookup table among the effects.`,
  };
}
