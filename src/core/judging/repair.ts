import { animatedIn, mixedIn } from '../forms/walk';
import type { Flash } from '../look/effects/flash/flash';
import { effectOf, reachOf, type Effect } from '../look/effects/kinds';
import { lightName, type Light } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { lawOf, type Animated } from '../time/animated';
import { lapSeconds } from '../time/lap';
import { MOST_FLASHES, type FlashReport } from './flashes';

/** What mends a lap that flashes too much, in words, and the piece so mended. */
export interface FlashRepair {
  says: string;
  piece: Piece;
}

/** What may be why a lap flashes: the piece without it, and with a share of it. */
interface Suspect {
  name: string;
  without: Piece;
  less: { says: string; piece: Piece }[];
}

/** Shares of it that are tried, the most first. */
const SHARES = [0.5, 0.25, 0.12, 0.06] as const;

const keyed = (value: Animated, change: (v: number) => number): Animated => {
  if (typeof value === 'number') return change(value);
  switch (value.law) {
    case 'keyed':
      return { ...value, keys: value.keys.map((key) => ({ ...key, value: change(key.value) })) };
    case 'swing':
      return {
        ...value,
        middle: change(value.middle),
        reach: change(value.middle + value.reach) - change(value.middle),
      };
    case 'wound':
      return { ...value, start: change(value.start), perLap: change(value.start + value.perLap) - change(value.start) };
  }
};

/** A value times a share, whatever its law; free curves between keys keep their form. */
const times = (value: Animated, share: number): Animated => keyed(value, (v) => v * share);

/** A value that moves by a share of what it moved, about its middle. */
function calmed(value: Animated, share: number): Animated {
  if (typeof value === 'number') return value;
  const middle =
    value.law === 'keyed'
      ? value.keys.reduce((sum, key) => sum + key.value / value.keys.length, 0)
      : value.law === 'swing'
        ? value.middle
        : value.start;
  return keyed(value, (v) => middle + (v - middle) * share);
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const withEffect = (piece: Piece, effect: Effect): Piece => ({
  ...piece,
  look: { ...piece.look, effects: piece.look.effects.map((own) => (own.id === effect.id ? effect : own)) },
});
const withLight = (piece: Piece, light: Light): Piece => ({
  ...piece,
  look: { ...piece.look, lights: piece.look.lights.map((own) => (own.id === light.id ? light : own)) },
});

/** Fewer beats of a flash: as many as are allowed, and if possible a whole part of what there are. */
function fewer(piece: Piece, effect: Flash): { says: string; piece: Piece }[] {
  const most = Math.floor(MOST_FLASHES * lapSeconds(piece.lap.frames, piece.lap.rate) + 1e-9);
  const whole = Array.from({ length: most }, (_, i) => most - i).find((beats) => effect.beats % beats === 0) ?? most;
  const beats = 2 * whole >= most ? whole : most;
  if (beats < 1 || beats >= effect.beats) return [];
  return [
    {
      says: `Flash on ${beats} beats of a lap instead of ${effect.beats}.`,
      piece: withEffect(piece, { ...effect, beats }),
    },
  ];
}

/** Whether an effect is another from frame to frame: one that always does the same lets through what moves. */
function changes(effect: Effect): boolean {
  const part = { form: effectOf(effect.kind).form, value: effect, path: [], words: [], above: null };
  const moves = [...animatedIn(part).map(({ value }) => lawOf(value) !== 'fixed'), mixedIn(part).length > 0];
  return reachOf(effect)?.acts === 'stretch' || 'beats' in effect || 'bursts' in effect || moves.includes(true);
}

function suspectsOf(piece: Piece): Suspect[] {
  const effects = piece.look.effects.flatMap((effect): Suspect[] => {
    const reach = reachOf(effect);
    if (effect.off || !reach || !changes(effect)) return [];
    const { label } = effectOf(effect.kind);
    const less = SHARES.map((share) => ({
      says: `Take ${percent(share)} of ${label}.`,
      piece: withEffect(piece, { ...effect, amount: times(reach.amount, share) } as Effect),
    }));
    return [
      {
        name: label,
        without: withEffect(piece, { ...effect, off: true }),
        less: effect.kind === 'flash' ? [...fewer(piece, effect), ...less] : less,
      },
    ];
  });
  const lights = piece.look.lights.flatMap((light): Suspect[] => {
    const moves = 'dimmer' in light && lawOf(light.dimmer) !== 'fixed';
    // one that is as it is lights what moves: without it all is dark, which mends nothing
    if (light.off || !(moves || ('shines' in light && light.shines === 'stretch'))) return [];
    const less = moves
      ? SHARES.map((share) => ({
          says: `Let the dimmer of ${lightName(light)} move by ${percent(share)} of what it does.`,
          piece: withLight(piece, { ...light, dimmer: calmed(light.dimmer, share) }),
        }))
      : [];
    return [{ name: lightName(light), without: withLight(piece, { ...light, off: true }), less }];
  });
  // flashes themselves first
  return [...effects.sort((a, b) => Number(b.name === FLASH) - Number(a.name === FLASH)), ...lights];
}
const FLASH = effectOf('flash').label;

/**
 * Finds one light or effect without which a lap does not flash too much, and the least that mends it.
 * @param measure how a piece flashes; null stops
 * @returns null when stopped, or when no single one is why
 */
export async function flashRepair(
  piece: Piece,
  measure: (piece: Piece) => Promise<FlashReport | null>,
): Promise<FlashRepair | null> {
  for (const { name, without, less } of suspectsOf(piece)) {
    const report = await measure(without);
    if (!report) return null;
    if (report.fails) continue;
    for (const repair of less) {
      const mended = await measure(repair.piece);
      if (!mended) return null;
      if (!mended.fails) return repair;
    }
    return { says: `Switch ${name} off.`, piece: without };
  }
  return null;
}
