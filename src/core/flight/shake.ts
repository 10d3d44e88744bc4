import { hash4, unitFrom } from '../random/hash';

export type ShakeName = 'none' | 'standing' | 'walking' | 'running';

/** Peak amplitudes (metres, degrees) and rates (Hz). Common practice among camera operators, no published source. */
interface Hand {
  aside: number;
  up: number;
  along: number;
  angle: number;
  hz: number;
}

const HANDS: Record<Exclude<ShakeName, 'none'>, Hand> = {
  standing: { aside: 0.03, up: 0.03, along: 0.008, angle: 0.25, hz: 1 },
  walking: { aside: 0.1, up: 0.2, along: 0.04, angle: 1, hz: 1.5 },
  running: { aside: 0.1, up: 0.2, along: 0.08, angle: 1.6, hz: 2.6 },
};

/** Rates around the preset's own, as a share of it, and their weights: a hand is not a pendulum. */
const PARTIALS = [
  [0.62, 0.5],
  [0.85, 0.8],
  [1, 1],
  [1.19, 0.7],
  [1.45, 0.35],
] as const;

interface Wave {
  cycles: number;
  weight: number;
  turn: number;
}

const sumAt = (waves: readonly Wave[], phase: number): number =>
  waves.reduce((sum, w) => sum + w.weight * Math.sin(2 * Math.PI * (w.cycles * phase + w.turn)), 0);

function channelWaves(hz: number, seconds: number, seed: number, channel: number): Wave[] {
  const waves = PARTIALS.map(([share, weight], i) => ({
    cycles: Math.max(1, Math.round(hz * share * seconds)),
    weight,
    turn: unitFrom(hash4(seed, channel, i, 9)[0]),
  }));
  let peak = 0;
  const steps = Math.max(64, waves[waves.length - 1].cycles * 64);
  for (let i = 0; i < steps; i++) peak = Math.max(peak, Math.abs(sumAt(waves, i / steps)));
  return waves.map((w) => ({ ...w, weight: w.weight / peak }));
}

export interface ShakeOffset {
  /** metres to the right, up, and along the view */
  position: [number, number, number];
  /** radians: pitch, yaw, roll */
  rotation: [number, number, number];
}

export interface ShakeSpec {
  name: ShakeName;
  scale: number;
  speed: number;
  seed: number;
  seconds: number;
}

const memo = new Map<string, Wave[][]>();

/**
 * The hand's offset at a phase. Every partial has whole cycles per lap, so it closes; each channel's largest swing in the
 * lap is the preset's amplitude times `scale`.
 */
export function shakeAt(spec: ShakeSpec, phase: number): ShakeOffset {
  if (spec.name === 'none') return { position: [0, 0, 0], rotation: [0, 0, 0] };
  const hand = HANDS[spec.name];
  const key = `${hand.hz * spec.speed}/${spec.seconds}/${spec.seed}`;
  let waves = memo.get(key);
  if (!waves) {
    waves = [0, 1, 2, 3, 4, 5].map((channel) => channelWaves(hand.hz * spec.speed, spec.seconds, spec.seed, channel));
    if (memo.size > 32) memo.clear();
    memo.set(key, waves);
  }
  const [x, y, z, pitch, yaw, roll] = waves.map((channel) => sumAt(channel, phase) * spec.scale);
  const angle = (hand.angle * Math.PI) / 180;
  return {
    position: [x * hand.aside, y * hand.up, z * hand.along],
    rotation: [pitch * angle, yaw * angle, roll * angle],
  };
}
