import { hash4, unitFrom } from '../random/hash';
import { evaluateAnimated } from '../time/animated';
import type { Air } from './form';
import { mistAt, mistDepth, mistEven } from './mist.gen';

type Place = readonly [number, number, number];

/** Mist at a moment, as its kernel takes it. */
export interface Mist {
  /** 1 / metres of full mist after which a third of the light is left; height up to which it is full; metres it thins over */
  shape: Place;
  /** groups of waves that there is anything of */
  groups: number;
  /** the kernel's table, four numbers an entry */
  waves: Float64Array;
}

/** A wave that stands in the world: turns a metre along x, y and z, turns at the middle, and how much there is of it. */
interface Wave {
  rate: Place;
  start: number;
  amount: number;
}

/** Lengths of the waves beside the distance between banks, how much there is of each, and how steeply it stands. */
const LENGTHS = [1.7, 1.13, 0.71, 0.43];
const AMPS = [0.62, 0.56, 0.46, 0.34];
const STEEP = 0.35;

/** What tells hashes of mist from others. */
const CHANNEL = 71;

/** Groups of four waves in the square of one and four, and the numbers of each in the table. */
const GROUPS = 6;
const NUMBERS = 20;
export const MIST_ENTRIES = ((GROUPS + 1) * NUMBERS) / 4;

/** The four waves that are squared, at a phase. */
function wavesOf(air: Air, tile: number, phase: number): Wave[] {
  const patches = evaluateAnimated(air.mistPatches, phase);
  return LENGTHS.map((length, i) => {
    const [turn, steep, begin, count] = hash4(i, air.mistSeed, CHANNEL, 0).map(unitFrom);
    const perMetre = 1 / (length * air.mistSize);
    // three eighths of a turn from one to the next, and a little aside
    const way = 2 * Math.PI * ((i * 3) / 8 + 0.1 * turn);
    const x = perMetre * Math.cos(way);
    const z = Math.round(perMetre * Math.sin(way) * tile) / tile;
    const y = perMetre * STEEP * (2 * steep - 1);
    const cycles = Math.round(air.mistEvolves * (0.4 + 0.6 * count)) * (i % 2 === 0 ? 1 : -1);
    const drifted = Math.round(-x * air.mistAside + z * air.mistAhead);
    return { rate: [x, y, z], start: begin + phase * (drifted + cycles), amount: AMPS[i] * patches };
  });
}

/** The square of one and some waves, its mean 1: by cos a cos b = (cos(a + b) + cos(a − b)) / 2 a sum of waves again. */
function squared(waves: readonly Wave[]): Wave[] {
  const even = 1 + 0.5 * waves.reduce((sum, { amount }) => sum + amount * amount, 0);
  const product = (a: Wave, b: Wave, sign: number, amount: number): Wave => ({
    rate: [a.rate[0] + sign * b.rate[0], a.rate[1] + sign * b.rate[1], a.rate[2] + sign * b.rate[2]],
    start: a.start + sign * b.start,
    amount: amount / even,
  });
  return [
    { rate: [0, 0, 0], start: 0, amount: 1 },
    ...waves.map((wave) => ({ ...wave, amount: (2 * wave.amount) / even })),
    ...waves.map((wave) => product(wave, wave, 1, 0.5 * wave.amount ** 2)),
    ...waves.flatMap((a, i) =>
      waves.slice(i + 1).flatMap((b) => [1, -1].map((sign) => product(a, b, sign, a.amount * b.amount))),
    ),
  ];
}

/**
 * The mist of a look at a phase; null where there is none.
 * @param tile metres along z after which it repeats
 * @param phase not wrapped
 */
export function mistOf(air: Air, tile: number, phase: number): Mist | null {
  if (air.mist === 'none') return null;
  const at = (value: Air['mistFloor']): number => evaluateAnimated(value, phase);
  const waves = wavesOf(air, tile, phase);
  const table = new Float64Array(4 * MIST_ENTRIES);
  [...waves, ...squared(waves)].forEach(({ rate, start, amount }, i) => {
    const from = Math.floor(i / 4) * NUMBERS + (i % 4);
    // of the start only what is not whole
    [...rate, start - Math.floor(start), amount].forEach((value, entry) => (table[from + 4 * entry] = value));
  });
  // evenly it is the first wave alone, which has no length
  const groups = waves.every(({ amount }) => amount === 0) ? 1 : GROUPS;
  return { shape: [1 / at(air.mistClear), at(air.mistFloor), at(air.mistHeight)], groups, waves: table };
}

/** How often the light between two places is divided by e. */
export const depthOfMist = ({ shape, groups, waves }: Mist, from: Place, to: Place): number =>
  mistDepth(...from, ...to, ...shape, waves, groups);

/** How dense it is at a place: the share of light that a metre of it takes. */
export const densityOfMist = ({ shape, waves }: Mist, place: Place): number => mistAt(...place, ...shape, waves);

/** How often the light between two places is divided by e, were the mist without patches. */
export const evenDepthOfMist = ({ shape }: Mist, from: Place, to: Place): number => mistEven(...from, ...to, ...shape);
