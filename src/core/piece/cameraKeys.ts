import { frameOfLap } from '../time/stretch';
import type { Piece } from './schema';
import { routeOf } from '../flight/routes/kinds';
import { valueAt } from '../forms';
import { AnimatedSchema, type Animated, type Ease, type Key } from '../time/animated';

type Flight = Piece['flight'];

/** The values that a view kept as a key sets together. */
const inRoute = ({ route }: Flight): readonly string[] => routeOf(route.kind).keyed ?? [];
const inFlight = ['yaw', 'pitch', 'roll'] as const;

const keysOf = (value: Animated): readonly Key[] =>
  typeof value === 'object' && value.law === 'keyed' ? value.keys : [];

const frameOf = (at: number, frames: number): number => Math.round(at * frames) % frames;

/** A frame at which views were kept, with how they lead on; null where the values differ. */
export interface CameraKey {
  frame: number;
  ease: Ease | null;
}

const valueIn = ({ route }: Flight, name: string): Animated => AnimatedSchema.parse(valueAt(route, name));

const valuesOf = (flight: Flight): Animated[] => {
  const names = inRoute(flight);
  return names.length > 0
    ? [...names.map((name) => valueIn(flight, name)), ...inFlight.map((name) => flight[name])]
    : [];
};

/** The frames of the lap at which a free route has keys, in order. */
export function cameraKeys({ flight, lap: { frames } }: Piece): CameraKey[] {
  const found = new Map<number, string[]>();
  for (const value of valuesOf(flight))
    for (const { at, ease } of keysOf(value)) {
      const frame = frameOf(at, frames);
      found.set(frame, [...(found.get(frame) ?? []), JSON.stringify(ease)]);
    }
  return [...found]
    .sort(([a], [b]) => a - b)
    .map(([frame, eases]) => ({
      frame,
      ease: eases.every((e) => e === eases[0]) ? (JSON.parse(eases[0]) as Ease) : null,
    }));
}

/** The piece with the keys of all six values changed together. */
function withKeys(piece: Piece, change: (keys: readonly Key[]) => Key[]): Piece {
  const { flight } = piece;
  const names = inRoute(flight);
  if (names.length === 0) return piece;
  const changed = (value: Animated): Animated => {
    const keys = keysOf(value);
    if (keys.length === 0) return value;
    const next = change(keys).sort((a, b) => a.at - b.at);
    return next.length > 0 ? { law: 'keyed', keys: next } : keys[0].value;
  };
  return {
    ...piece,
    flight: {
      ...flight,
      route: { ...flight.route, ...Object.fromEntries(names.map((name) => [name, changed(valueIn(flight, name))])) },
      ...Object.fromEntries(inFlight.map((name) => [name, changed(flight[name])])),
    },
  };
}

/** All keys at a frame moved to another; where there are some already nothing changes. */
export function moveCameraKey(piece: Piece, from: number, to: number): Piece {
  const { frames } = piece.lap;
  const target = frameOfLap(Math.round(to), frames);
  if (target === from || cameraKeys(piece).some(({ frame }) => frame === target)) return piece;
  return withKeys(piece, (keys) =>
    keys.map((key) => (frameOf(key.at, frames) === from ? { ...key, at: target / frames } : key)),
  );
}

/** How all keys at a frame lead on. */
export const easeCameraKey = (piece: Piece, frame: number, ease: Ease): Piece =>
  withKeys(piece, (keys) => keys.map((key) => (frameOf(key.at, piece.lap.frames) === frame ? { ...key, ease } : key)));

/** Without the keys at a frame; a value whose last key goes stays where it was. */
export const removeCameraKey = (piece: Piece, frame: number): Piece =>
  withKeys(piece, (keys) => keys.filter((key) => frameOf(key.at, piece.lap.frames) !== frame));
