import { handFields } from '../flight/flight';
import { HANDS, type HandName } from '../flight/hand';

/** JSON of a piece, before anything is known of it. */
type Json = Record<string, unknown>;

const number = (value: unknown, otherwise: number): number => (typeof value === 'number' ? value : otherwise);
const taken = (layer: Json, name: string): unknown => {
  const { [name]: value } = layer;
  Reflect.deleteProperty(layer, name);
  return value;
};
const moves = (value: unknown): boolean => value !== undefined && value !== 0;

/** Version 1 had the drift of particles and the turning and disorder of tunnels among the layer's own fields. */
function treatmentsOfVersion1(layer: Json): Json {
  const out = { ...layer };
  const treatments: Json[] = [];
  if (out.kind === 'field') {
    const amount = taken(out, 'drift') ?? 0.15;
    const scale = number(taken(out, 'driftScale'), 2.5);
    const cycles = number(taken(out, 'driftCycles'), 3);
    if (moves(amount)) treatments.push({ kind: 'drift', id: 'drift', seed: layer.seed ?? 1, amount, scale, cycles });
  }
  if (out.kind === 'tunnel') {
    const radius = number(out.radius, 2);
    const disorder = number(taken(out, 'disorder'), 0.03);
    if (disorder > 0)
      treatments.push({
        kind: 'disorder',
        id: 'disorder',
        seed: layer.seed ?? 1,
        amount: 1,
        shiftX: (radius * disorder) / 2,
        shiftY: (radius * disorder) / 2,
        shiftZ: 0,
        turns: disorder / 8,
        spread: disorder,
      });
    const spin = taken(out, 'spin');
    if (moves(spin)) treatments.push({ kind: 'turn', id: 'turn', what: 'each', axis: 'along', amount: spin });
    const build = taken(out, 'build') ?? 'rings';
    out.lines = build === 'rings' ? 'rings' : build === 'wire' ? 'net' : 'none';
    out.wall = build === 'ribs' || build === 'skin' ? build : 'none';
  }
  return { ...out, treatments };
}

/** Version 2 had one choice of route and of hand among the fields of the flight, and kept the route's own upright. */
function flightOfVersion2(flight: Json): Json {
  const out = { ...flight };
  const [kind, follow, tilesPerLap, start] = ['route', 'follow', 'tilesPerLap', 'start'].map((name) =>
    taken(out, name),
  );
  const tiles = {
    ...(tilesPerLap === undefined ? {} : { tilesPerLap }),
    ...(start === undefined ? {} : { start }),
  };
  const [shake, scale, speed, seed] = ['shake', 'shakeScale', 'shakeSpeed', 'shakeSeed'].map((name) =>
    taken(out, name),
  );
  const hand = typeof shake === 'string' && Object.hasOwn(HANDS, shake) ? HANDS[shake as HandName] : null;
  return {
    ...out,
    route: kind === 'along' ? { kind: 'along', follow: follow ?? null, ...tiles } : { kind: 'run', ...tiles },
    horizon: 'carried',
    ...(hand && shake !== 'none' ? handFields(hand.swings) : {}),
    ...(scale === undefined ? {} : { handScale: scale }),
    ...(speed === undefined ? {} : { handSpeed: speed }),
    ...(seed === undefined ? {} : { handSeed: seed }),
  };
}

/** What brings a piece from each version to the next. */
const steps: Record<number, (piece: Json) => Json> = {
  1: (piece) => ({
    ...piece,
    layers: Array.isArray(piece.layers)
      ? piece.layers.map((layer: unknown) =>
          typeof layer === 'object' && layer !== null ? treatmentsOfVersion1(layer as Json) : layer,
        )
      : piece.layers,
  }),
  2: (piece) => ({
    ...piece,
    flight:
      typeof piece.flight === 'object' && piece.flight !== null ? flightOfVersion2(piece.flight as Json) : piece.flight,
  }),
};

/**
 * Brings the piece of an older document to the newest version. What is not an object is left for the validation to name.
 * @throws RangeError when there is no way from that version
 */
export function migratePiece(piece: unknown, version: number, newest: number): unknown {
  let migrated = piece;
  for (let from = version; from < newest; from++) {
    const step = steps[from] as ((p: Json) => Json) | undefined;
    if (!step) throw new RangeError(`no migration from version ${from}`);
    if (typeof migrated === 'object' && migrated !== null) migrated = step(migrated as Json);
  }
  return migrated;
}
