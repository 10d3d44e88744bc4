import type { Ease, Key } from './animated';
import type { Bezier } from './easing';
import { wrapPhase } from './lap';
import { periodicSlopes } from './spline';

type Curve = [number, number, number, number];

const inOrder = (keys: Key[]): Key[] => keys.sort((a, b) => a.at - b.at);

/** The phase on the nearest whole frame, or on the nearest beat where the lap has beats and they are asked for. */
export const snapPhase = (at: number, frames: number, beats: number | null): number => {
  const onBeat = beats === null ? at : Math.round(at * beats) / beats;
  return wrapPhase(Math.round(wrapPhase(onBeat) * frames) / frames);
};

/**
 * Some keys moved together, around the lap. A key that would land on one that stays gives way by keeping its own phase.
 * @param by phase and value to add; phases end on whole frames
 */
export function moveKeys(
  keys: readonly Key[],
  ids: ReadonlySet<string>,
  by: { phase: number; value: number },
  frames: number,
): Key[] {
  const frameOf = (at: number): number => Math.round(wrapPhase(at) * frames) % frames;
  const stays = new Set(keys.filter(({ id }) => !ids.has(id)).map(({ at }) => frameOf(at)));
  const blocked = keys.some((key) => ids.has(key.id) && stays.has(frameOf(key.at + by.phase)));
  return inOrder(
    keys.map((key) =>
      ids.has(key.id)
        ? {
            ...key,
            at: blocked ? key.at : frameOf(key.at + by.phase) / frames,
            value: Number((key.value + by.value).toPrecision(7)),
          }
        : key,
    ),
  );
}

/** How the chosen keys lead on. */
export const easeKeys = (keys: readonly Key[], ids: ReadonlySet<string>, ease: Ease): Key[] =>
  keys.map((key) => (ids.has(key.id) ? { ...key, ease } : key));

/** Without the chosen keys; one always remains, or there would be no value. */
export function removeKeys(keys: readonly Key[], ids: ReadonlySet<string>): Key[] {
  const rest = keys.filter(({ id }) => !ids.has(id));
  return rest.length > 0 ? rest : keys.slice(0, 1);
}

/** Keys taken along, by their distance in phase from the first of them. */
export type KeyClip = readonly { after: number; value: number; ease: Ease }[];

/** The chosen keys, to be pasted elsewhere; the first is the one after the widest gap, so a group across the seam stays one. */
export function copyKeys(keys: readonly Key[], ids: ReadonlySet<string>): KeyClip {
  const chosen = inOrder(keys.filter(({ id }) => ids.has(id)));
  if (chosen.length === 0) return [];
  const gap = (i: number): number => wrapPhase(chosen[i].at - chosen[(i + chosen.length - 1) % chosen.length].at) || 1;
  const first = chosen.reduce((best, _, i) => (gap(i) > gap(best) ? i : best), 0);
  const start = chosen[first].at;
  return chosen
    .map(({ at, value, ease }) => ({ after: wrapPhase(at - start), value, ease }))
    .sort((a, b) => a.after - b.after);
}

/** Keys pasted from a phase on; those in the way are replaced. @param newId gives ids for them */
export function pasteKeys(
  keys: readonly Key[],
  clip: KeyClip,
  at: number,
  frames: number,
  newId: () => string,
): { keys: Key[]; pasted: string[] } {
  const made = clip.map(({ after, value, ease }) => ({
    id: newId(),
    at: snapPhase(at + after, frames, null),
    value,
    ease,
  }));
  const taken = new Set(made.map((key) => Math.round(key.at * frames)));
  const rest = keys.filter((key) => !taken.has(Math.round(key.at * frames) % frames));
  return { keys: inOrder([...rest, ...made]), pasted: made.map(({ id }) => id) };
}

/** The stretch from a key to the next around the lap. */
interface Stretch {
  from: Key;
  to: Key;
  width: number;
  rise: number;
}

export function stretchOf(keys: readonly Key[], index: number): Stretch {
  const from = keys[index];
  const to = keys[(index + 1) % keys.length];
  return { from, to, width: wrapPhase(to.at - from.at) || 1, rise: to.value - from.value };
}

/** The ease of a key as a cubic Bézier, when it can be one: not for holds, nor where two keys have the same value. */
export function bezierOf(keys: readonly Key[], index: number): Bezier | null {
  const { from, width, rise } = stretchOf(keys, index);
  if (from.ease === 'hold' || keys.length < 2 || Math.abs(rise) < 1e-9) return null;
  if (from.ease === 'linear') return [1 / 3, 1 / 3, 2 / 3, 2 / 3];
  if (from.ease !== 'smooth') return from.ease;
  const slopes = periodicSlopes(
    keys.map(({ at }) => at),
    keys.map(({ value }) => value),
  );
  const [out, into] = [slopes[index], slopes[(index + 1) % keys.length]];
  return [1 / 3, (out * width) / 3 / rise, 2 / 3, 1 - (into * width) / 3 / rise];
}

/** A handle of a curve: the one that leaves a key, or the one that arrives at the next. */
export type HandleEnd = 'leaves' | 'arrives';

/** Where a handle is: phase (not wrapped, from its key on) and value. */
export function handleAt(keys: readonly Key[], index: number, end: HandleEnd): { phase: number; value: number } | null {
  const curve = bezierOf(keys, index);
  if (!curve) return null;
  const { from, width, rise } = stretchOf(keys, index);
  const [x, y] = end === 'leaves' ? [curve[0], curve[1]] : [curve[2], curve[3]];
  return { phase: from.at + x * width, value: from.value + y * rise };
}

const held = (x: number, y: number): [number, number] => [
  Number(Math.min(1, Math.max(0, x)).toFixed(4)),
  Number(Math.min(5, Math.max(-4, y)).toFixed(4)),
];

/** The slope, in value per lap, with which a curve leaves its key or arrives at the next. */
function slopeAt(keys: readonly Key[], index: number, end: HandleEnd): number | null {
  const curve = bezierOf(keys, index);
  if (!curve) return null;
  const { width, rise } = stretchOf(keys, index);
  const [dx, dy] = end === 'leaves' ? [curve[0], curve[1]] : [1 - curve[2], 1 - curve[3]];
  return dx < 1e-6 ? null : (dy * rise) / (dx * width);
}

/** The keys with a handle dragged to a place. @param smooth keeps the curve on the key's other side in line with it, across the seam too */
export function moveHandle(
  keys: readonly Key[],
  index: number,
  end: HandleEnd,
  to: { phase: number; value: number },
  smooth: boolean,
): Key[] {
  const curve = bezierOf(keys, index);
  if (!curve) return [...keys];
  const { from, width, rise } = stretchOf(keys, index);
  // the lap in which the handle is nearest to its own stretch: left of the key it stays at the key
  const off = to.phase - from.at;
  const [x, y] = held((off - Math.round(off - width / 2)) / width, (to.value - from.value) / rise);
  const ease: Curve = end === 'leaves' ? [x, y, curve[2], curve[3]] : [curve[0], curve[1], x, y];
  const moved = keys.map((key, i) => (i === index ? { ...key, ease } : key));
  if (!smooth) return moved;
  const slope = slopeAt(moved, index, end);
  const other = end === 'leaves' ? (index + keys.length - 1) % keys.length : (index + 1) % keys.length;
  const across = slope === null || other === index ? null : bezierOf(moved, other);
  if (!across || slope === null) return moved;
  const stretch = stretchOf(moved, other);
  const inLine: Curve =
    end === 'leaves'
      ? [across[0], across[1], ...held(across[2], 1 - (slope * (1 - across[2]) * stretch.width) / stretch.rise)]
      : [...held(across[0], (slope * across[0] * stretch.width) / stretch.rise), across[2], across[3]];
  return moved.map((key, i) => (i === other ? { ...key, ease: inLine } : key));
}
