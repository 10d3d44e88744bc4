import type { Sees } from '../../core/look/lights/definition';
import type { Light } from '../../core/look/lights/kinds';
import type { Piece } from '../../core/piece/schema';
import { lightSlots, seesOf } from '../../core/world/lights';

/** The most views of lights that a frame has, and of those the most that are not one of six around. */
export const MOST_VIEWS = 24;
export const MOST_FLAT = 8;
export const MOST_AROUND = MOST_VIEWS / 6;

/** A row of the table of lights that casts shadows: the first of its views among all, one or six, and its number among those that have as many. */
export interface ShadowSlot {
  row: number;
  sees: Sees['as'];
  square: number;
  number: number;
}

/** Lights that are to cast shadows, and for whose nearest there is no room. */
export function unshaded(piece: Piece): Light[] {
  const { slots } = shadowSlots(piece);
  return lightSlots(piece).flatMap((slot, row) =>
    slot.repetition === 0 && seesOf(slot, 0) !== null && slots[row] === null ? [slot.light] : [],
  );
}

/** Views that a light is looked from. */
export const viewsOf = (sees: Sees['as']): number => (sees === 'around' ? 6 : 1);

interface ShadowSlots {
  /** by row */
  slots: readonly (ShadowSlot | null)[];
  /** how many views there are */
  views: number;
}

const known = new WeakMap<Piece, ShadowSlots>();

/** The rows of the table of lights that cast shadows, as many as there is room for; the same at every phase. */
export function shadowSlots(piece: Piece): ShadowSlots {
  let found = known.get(piece);
  if (!found) known.set(piece, (found = slotsOf(piece)));
  return found;
}

function slotsOf(piece: Piece): ShadowSlots {
  let square = 0;
  const taken = { one: 0, around: 0 };
  const slots = lightSlots(piece).map((slot, row): ShadowSlot | null => {
    const sees = seesOf(slot, 0)?.as;
    if (!sees || square + viewsOf(sees) > MOST_VIEWS) return null;
    const sort = sees === 'around' ? 'around' : 'one';
    if (taken[sort] >= (sort === 'one' ? MOST_FLAT : MOST_AROUND)) return null;
    const found = { row, sees, square, number: taken[sort]++ };
    square += viewsOf(sees);
    return found;
  });
  return { slots, views: square };
}
