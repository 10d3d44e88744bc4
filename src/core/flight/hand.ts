import { hash4, unitFrom } from '../random/hash';

/** The six ways a hand moves a camera, in the order used everywhere. */
export const HAND_AXES = ['aside', 'up', 'along', 'pitch', 'yaw', 'roll'] as const;
export type HandAxis = (typeof HAND_AXES)[number];

/** Peak amplitudes (metres, degrees) and rates (Hz). */
export type HandSwings = Record<HandAxis, { amount: number; hz: number }>;

const swings = (
  [aside, up, along]: readonly [number, number, number],
  [pitch, yaw, roll]: readonly [number, number, number],
  hz: number,
): HandSwings => ({
  aside: { amount: aside, hz },
  up: { amount: up, hz },
  along: { amount: along, hz },
  pitch: { amount: pitch, hz },
  yaw: { amount: yaw, hz },
  roll: { amount: roll, hz },
});

/** Figures of the trade: common practice among camera operators, no published source. */
export const HANDS = {
  none: { label: 'None', swings: swings([0, 0, 0], [0, 0, 0], 1) },
  standing: { label: 'Standing', swings: swings([0.03, 0.03, 0.008], [0.25, 0.25, 0.25], 1) },
  walking: { label: 'Walking', swings: swings([0.1, 0.2, 0.04], [1, 1, 1], 1.5) },
  running: { label: 'Running', swings: swings([0.1, 0.2, 0.08], [1.6, 1.6, 1.6], 2.6) },
} as const;
export type HandName = keyof typeof HANDS;

/** Rates around an axis's own, as a share of it, and their weights: a hand is not a pendulum. */
const RANDOM = [
  [0.62, 0.5],
  [0.85, 0.8],
  [1, 1],
  [1.19, 0.7],
  [1.45, 0.35],
] as const;
const REGULAR = [[1, 1]] as const;

/** A prime number of moments at which the largest swing of a lap is looked for at most. */
const MOST_STEPS = 32_749;

interface Wave {
  cycles: number;
  weight: number;
  turn: number;
}

const sumAt = (waves: readonly Wave[], phase: number): number =>
  waves.reduce((sum, w) => sum + w.weight * Math.sin(2 * Math.PI * (w.cycles * phase + w.turn)), 0);

function channelWaves(hz: number, seconds: number, seed: number, channel: number, regular: boolean): Wave[] {
  const waves = (regular ? REGULAR : RANDOM).map(([share, weight], i) => ({
    cycles: Math.max(1, Math.round(hz * share * seconds)),
    weight,
    turn: unitFrom(hash4(seed, channel, i, 9)[0]),
  }));
  let peak = 0;
  // of a very long lap the largest swing is known well enough from some of it, at phases that beat with none of its rates
  const steps = Math.min(MOST_STEPS, Math.max(64, waves[waves.length - 1].cycles * 64));
  for (let i = 0; i < steps; i++) peak = Math.max(peak, Math.abs(sumAt(waves, i / steps)));
  return waves.map((w) => ({ ...w, weight: w.weight / peak }));
}

export interface HandOffset {
  /** metres to the right, up, and backwards along the view */
  position: [number, number, number];
  /** radians: pitch, yaw, roll */
  rotation: [number, number, number];
}

export interface HandSpec {
  swings: HandSwings;
  /** multiplies every rate */
  speed: number;
  seed: number;
  /** single swings instead of a mixture of rates */
  regular: boolean;
  /** length of the lap */
  seconds: number;
}

const RADIANS = Math.PI / 180;

/**
 * The hand's offset over the lap. Every rate is rounded to whole cycles per lap, so it closes; the largest swing of each
 * axis in the lap is its amplitude. Multiply the result to fade it.
 */
export function handOver({ swings, speed, seed, regular, seconds }: HandSpec): (phase: number) => HandOffset {
  const axes = HAND_AXES.map((axis, channel) => {
    const { amount, hz } = swings[axis];
    const size = channel < 3 ? amount : amount * RADIANS;
    return size === 0 ? null : { size, waves: channelWaves(hz * speed, seconds, seed, channel, regular) };
  });
  return (phase) => {
    const [x, y, z, pitch, yaw, roll] = axes.map((axis) => (axis ? axis.size * sumAt(axis.waves, phase) : 0));
    return { position: [x, y, z], rotation: [pitch, yaw, roll] };
  };
}
