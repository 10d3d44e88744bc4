import { isJson, stated, taken, type Json } from './json';

/** The hands that version 2 knew, by name: largest swings in metres and degrees, and their rate in hertz. */
const HANDS: Readonly<Record<string, { metres: number[]; degrees: number[]; hz: number }>> = {
  standing: { metres: [0.03, 0.03, 0.008], degrees: [0.25, 0.25, 0.25], hz: 1 },
  walking: { metres: [0.1, 0.2, 0.04], degrees: [1, 1, 1], hz: 1.5 },
  running: { metres: [0.1, 0.2, 0.08], degrees: [1.6, 1.6, 1.6], hz: 2.6 },
};
const SWINGS = ['handAside', 'handUp', 'handAlong', 'handPitch', 'handYaw', 'handRoll'];

function swingsOf(name: unknown): Json {
  const hand = typeof name === 'string' && Object.hasOwn(HANDS, name) ? HANDS[name] : undefined;
  if (!hand) return {};
  const amounts = [...hand.metres, ...hand.degrees];
  return Object.fromEntries(
    SWINGS.flatMap((field, i) => [
      [field, amounts[i]],
      [`${field}Hz`, hand.hz],
    ]),
  );
}

function flightOfVersion2(flight: Json): Json {
  const { values, rest } = taken(
    flight,
    ...['route', 'follow', 'tilesPerLap', 'start', 'shake', 'shakeScale', 'shakeSpeed', 'shakeSeed'],
  );
  const [kind, follow, tilesPerLap, start, shake, handScale, handSpeed, handSeed] = values;
  const tiles = stated({ tilesPerLap, start });
  return {
    ...rest,
    route: kind === 'along' ? { kind: 'along', follow: follow ?? null, ...tiles } : { kind: 'run', ...tiles },
    horizon: 'carried',
    ...swingsOf(shake),
    ...stated({ handScale, handSpeed, handSeed }),
  };
}

/** Version 2 had one choice of route and of hand among the fields of the flight, and kept the route's own upright. */
export const from2 = (piece: Json): Json => ({
  ...piece,
  flight: isJson(piece.flight) ? flightOfVersion2(piece.flight) : piece.flight,
});
