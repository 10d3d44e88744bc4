import type { Ease, Key } from './animated';
import { wrapPhase } from './lap';
import { periodicSlopes } from './spline';

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

/** A stretch as a cubic Bézier: the share of the way at which each handle is, and by how much it is above its own key. */
interface Handles {
  leaves: readonly [number, number];
  arrives: readonly [number, number];
}

/** The handles of the stretch after a key; none where it holds, or is the only one. */
function handlesOf(keys: readonly Key[], index: number): Handles | null {
  const { from, width, rise } = stretchOf(keys, index);
  if (from.ease === 'hold' || keys.length < 2) return null;
  if (from.ease === 'linear') return { leaves: [1 / 3, rise / 3], arrives: [2 / 3, -rise / 3] };
  if (from.ease === 'smooth') {
    const slopes = periodicSlopes(
      keys.map(({ at }) => at),
      keys.map(({ value }) => value),
    );
    const [out, into] = [slopes[index], slopes[(index + 1) % keys.length]];
    return { leaves: [1 / 3, (out * width) / 3], arrives: [2 / 3, (-into * width) / 3] };
  }
  if (!Array.isArray(from.ease)) return from.ease;
  const [x1, y1, x2, y2] = from.ease;
  return { leaves: [x1, y1 * rise], arrives: [x2, (y2 - 1) * rise] };
}

/** A handle of a curve: the one that leaves a key, or the one that arrives at the next. */
export type HandleEnd = 'leaves' | 'arrives';

/** Where a handle is: phase (not wrapped, from its key on) and value. */
export function handleAt(keys: readonly Key[], index: number, end: HandleEnd): { phase: number; value: number } | null {
  const handles = handlesOf(keys, index);
  if (!handles) return null;
  const { from, to, width } = stretchOf(keys, index);
  const [x, above] = handles[end];
  return { phase: from.at + x * width, value: (end === 'leaves' ? from : to).value + above };
}

/** All that a keyed value may come to: its keys and handles, between which every curve stays. */
export const hullOf = (keys: readonly Key[]): number[] =>
  keys.flatMap(({ value }, i) => [
    value,
    ...(['leaves', 'arrives'] as const).flatMap((end) => handleAt(keys, i, end)?.value ?? []),
  ]);

const rounded = (v: number): number => Number(v.toPrecision(7));

/** The ease with these handles: shares of the rise where there is one and they are within an ease's law, else free. */
function easeOf({ leaves, arrives }: Handles, rise: number): Ease {
  const [y1, y2] = [leaves[1] / rise, 1 + arrives[1] / rise];
  const [x1, x2] = [leaves[0], arrives[0]].map((x) => Number(Math.min(1, Math.max(0, x)).toFixed(4)));
  const lawful = [y1, y2].every((y) => y >= -4 && y <= 5);
  if (lawful) return [x1, Number(y1.toFixed(4)), x2, Number(y2.toFixed(4))];
  return { leaves: [x1, rounded(leaves[1])], arrives: [x2, rounded(arrives[1])] };
}

/** The slope, in value per lap, with which a curve leaves its key or arrives at the next; null where its handle is at the key's phase. */
function slopeAt(handles: Handles, width: number, end: HandleEnd): number | null {
  const [x, above] = handles[end];
  const dx = end === 'leaves' ? x : x - 1;
  return Math.abs(dx) < 1e-6 ? null : above / (dx * width);
}

/**
 * The keys with a handle dragged to a place: between two that are level it lifts the curve off them.
 * @param smooth keeps the curve on the key's other side in line with it, across the seam too
 */
export function moveHandle(
  keys: readonly Key[],
  index: number,
  end: HandleEnd,
  to: { phase: number; value: number },
  smooth: boolean,
): Key[] {
  const handles = handlesOf(keys, index);
  if (!handles) return [...keys];
  const stretch = stretchOf(keys, index);
  const { from, width } = stretch;
  const own = (end === 'leaves' ? from : stretch.to).value;
  // the lap in which the handle is nearest to its own stretch: left of the key it stays at the key
  const off = to.phase - from.at;
  const x = Math.min(1, Math.max(0, (off - Math.round(off - width / 2)) / width));
  const next: Handles = { ...handles, [end]: [x, to.value - own] };
  const moved = keys.map((key, i) => (i === index ? { ...key, ease: easeOf(next, stretch.rise) } : key));
  if (!smooth) return moved;
  const slope = slopeAt(next, width, end);
  const other = end === 'leaves' ? (index + keys.length - 1) % keys.length : (index + 1) % keys.length;
  const across = slope === null || other === index ? null : handlesOf(moved, other);
  if (!across || slope === null) return moved;
  const beyond = stretchOf(moved, other);
  const far = end === 'leaves' ? 'arrives' : 'leaves';
  const dx = far === 'leaves' ? across.leaves[0] : across.arrives[0] - 1;
  const inLine: Handles = { ...across, [far]: [across[far][0], slope * dx * beyond.width] };
  return moved.map((key, i) => (i === other ? { ...key, ease: easeOf(inLine, beyond.rise) } : key));
}
