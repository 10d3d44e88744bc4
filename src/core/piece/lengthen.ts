import { routeOf } from '../flight/routes/kinds';
import { holds, isShown, valueAt, type Control } from '../forms';
import type { FormLike } from '../forms/field';
import { heldBy, withParts, type Held, type Part } from '../forms/walk';
import type { Animated } from '../time/animated';
import { isMoving, type Moving } from '../time/mixed';
import { PIECE, PieceSchema, type Piece } from './schema';

/** Why a lap cannot be lengthened. */
class Cannot extends Error {}

/** Keys of one lap, once for each of so many. */
const keysOver = <K extends { id: string; at: number }>(keys: readonly K[], laps: number): K[] =>
  Array.from({ length: laps }, (_, lap) =>
    keys.map((key) => ({ ...key, id: lap === 0 ? key.id : `${key.id}.${lap}`, at: (key.at + lap) / laps })),
  ).flat();

/** What changes over the lap, changing as it did in each of so many laps. */
function movingOver(value: Exclude<Animated, number> | Moving<unknown>, laps: number): unknown {
  switch (value.law) {
    case 'keyed':
      return { ...value, keys: keysOver(value.keys, laps) };
    case 'swing':
      return { ...value, cycles: value.cycles * laps };
    case 'wound':
      return { ...value, perLap: value.perLap * laps };
  }
}

function heldOver({ field: { control }, value }: Held, laps: number): unknown {
  if (isMoving(value)) return movingOver(value as Moving<unknown>, laps);
  if (!control?.perLap || typeof value !== 'number') return value;
  const more = value * laps;
  if (more > (control.max ?? Infinity) || more < (control.min ?? -Infinity))
    throw new Cannot(`${control.label} cannot be ${more}`);
  return more;
}

/** Whether there may be one of its like for each lap. */
const repeats = ({ moment }: Control, value: object): boolean =>
  typeof moment === 'object' ? holds(moment, value) : moment === true;

/** What begins and ends on frames of the lap, once for each of so many; null for what does not. */
function stretchesOver<T extends object>({ fields }: FormLike, value: T, frames: number, laps: number): T[] | null {
  const moments = Object.entries(fields).flatMap(([name, { control }]) =>
    control?.moment !== undefined && isShown(control, value)
      ? [{ name, control, at: Number(valueAt(value, name)) }]
      : [],
  );
  if (moments.length === 0) return null;
  const once = moments.find(({ control }) => !repeats(control, value));
  if (once) throw new Cannot(`${once.control.label} is one frame of the lap`);
  const [from, to] = moments;
  return Array.from({ length: laps }, (_, lap): T => {
    // what is on across the seam ends in the next lap
    const ends = to.at + (to.at < from.at ? lap + 1 : lap) * frames;
    const moved = {
      [from.name]: from.at + lap * frames,
      [to.name]: ends > laps * frames ? ends - laps * frames : ends,
    };
    return { ...value, ...moved, ...again(value, lap) };
  });
}

/** An id of its own for all but the first. */
const again = (value: object, lap: number): { id?: string } =>
  'id' in value && lap > 0 ? { id: `${String(value.id)}.${lap}` } : {};

function partOver(part: Part, frames: number, laps: number): object {
  const held = heldBy(part).map((one) => [one, heldOver(one, laps)] as const);
  const changes = held.filter(([one, next]) => next !== one.value).map(([one, next]) => [one.name, next] as const);
  const lists = Object.entries(part.form.fields).flatMap(([name, { parts }]) => {
    const list: unknown = valueAt(part.value, name);
    if (!parts?.many || !Array.isArray(list)) return [];
    const each = list.map((one: object) => stretchesOver(parts.formOf(one), one, frames, laps));
    return each.every((one) => one === null)
      ? []
      : [[name, list.flatMap((one: object, i) => each[i] ?? [one])] as const];
  });
  return { ...part.value, ...Object.fromEntries(changes), ...Object.fromEntries(lists) };
}

/**
 * The piece with a lap so many times as long, in which all goes on at its pace: what comes back after one lap does so each
 * time, and what does not has several to do it in. Noise that is made for a lap goes another way in the longer one.
 * @param laps 2 or more
 * @returns null where it cannot be stated so
 */
export function lengthened(piece: Piece, laps: number): Piece | null {
  const { lap } = piece;
  try {
    const over = withParts(PIECE, piece, (part) => partOver(part, lap.frames, laps));
    const { route } = over.flight;
    const flight = { ...over.flight, route: routeOf(route.kind).overLaps?.(route, laps) ?? route };
    const tempo = lap.tempo && { ...lap.tempo, beats: lap.tempo.beats * laps };
    const parsed = PieceSchema.safeParse({ ...over, flight, lap: { ...lap, frames: lap.frames * laps, tempo } });
    return parsed.success ? parsed.data : null;
  } catch (error) {
    if (error instanceof Cannot) return null;
    throw error;
  }
}
