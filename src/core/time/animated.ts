import { z } from 'zod';
import { hash4 } from '../random/hash';
import { bezierThrough, cubicBezier } from './easing';
import { exposedPhase, type Exposure } from './exposure';
import { wrapPhase } from './lap';
import { hermite, periodicSlopes } from './spline';

/** Numbers that stay numbers whatever is worked out from them. */
const size = z.number().min(-1e9).max(1e9);
const share = z.number().min(0).max(1);

/**
 * How a key leads to the next one. `smooth` gives a periodic C2 curve through the smooth keys' neighbours; four numbers are a CSS
 * cubic-bezier from one value to the next; a free curve, which may rise between two keys that are level, is one by its two handles: the
 * share of the way at which each is, and by how much it is above its own key, in units of the value.
 */
export const EaseSchema = z.union([
  z.enum(['linear', 'hold', 'smooth']),
  z.tuple([share, z.number().min(-4).max(5), share, z.number().min(-4).max(5)]),
  z.object({ leaves: z.tuple([share, size]), arrives: z.tuple([share, size]) }),
]);
export type Ease = z.infer<typeof EaseSchema>;

const KeySchema = z.object({ id: z.string().max(64), at: z.number().min(0).lt(1), value: size, ease: EaseSchema });
export type Key = z.infer<typeof KeySchema>;

/** Of keys at one and the same moment only the last counts: between two there is no way from one to the other. */
export const apart = <K extends { at: number }>(keys: K[]): K[] => {
  const last = new Map(keys.map((key) => [Math.round(key.at * 1e9), key]));
  return last.size === keys.length ? keys : keys.filter((key) => last.get(Math.round(key.at * 1e9)) === key);
};

const KeyedSchema = z.object({
  law: z.literal('keyed'),
  keys: z.array(KeySchema).min(1).max(500).overwrite(apart),
});

export const WaveSchema = z.enum(['sine', 'triangle', 'noise']);
export type Wave = z.infer<typeof WaveSchema>;

const SwingSchema = z.object({
  law: z.literal('swing'),
  middle: size,
  reach: size,
  /** whole cycles per lap close; other numbers are kept, and reported at the seam */
  cycles: z.number().min(0).max(1000),
  wave: WaveSchema,
  shift: z.number().min(-1e6).max(1e6),
});

const WoundSchema = z.object({ law: z.literal('wound'), start: size, perLap: z.number().min(-1e6).max(1e6) });

/** A value over the lap: a plain number is fixed; otherwise keyed, swinging or wound (laws: time is a circle). */
export const AnimatedSchema = z.union([size, z.discriminatedUnion('law', [KeyedSchema, SwingSchema, WoundSchema])]);
export type Animated = number | Keyed | Swing | Wound;
/** Keys, and the frame they are evaluated for where that is not the moment's own; never in a document. */
export type Keyed = z.infer<typeof KeyedSchema> & { exposure?: Exposure };
export type Swing = z.infer<typeof SwingSchema>;
export type Wound = z.infer<typeof WoundSchema>;
export type Law = 'fixed' | 'keyed' | 'swing' | 'wound';

export const lawOf = (value: Animated): Law => (typeof value === 'number' ? 'fixed' : value.law);

/**
 * The value at a phase of the lap. The phase is not wrapped: 1.25 is a quarter into the second lap, where a wound value
 * has gone on and an open swing has not come back. In the unit of the value.
 */
export function evaluateAnimated(value: Animated, phase: number): number {
  if (typeof value === 'number') return value;
  switch (value.law) {
    case 'keyed':
      return evaluateKeys(
        value.keys,
        wrapPhase(value.exposure ? exposedPhase(jumpsOf(value), phase, value.exposure) : phase),
      );
    case 'swing':
      return value.middle + value.reach * wave(value, phase * value.cycles + value.shift);
    case 'wound':
      return value.start + value.perLap * phase;
  }
}

/** The phases at which a keyed value becomes another from one moment to the next: where a hold ends. */
export function jumpsOf({ keys }: { keys: readonly { at: number; value: unknown; ease: Ease }[] }): number[] {
  if (!keys.some(({ ease }) => ease === 'hold')) return [];
  const sorted = [...keys].sort((a, b) => a.at - b.at);
  return sorted
    .filter(({ value }, i) => {
      const before = sorted[(i + sorted.length - 1) % sorted.length];
      return before.ease === 'hold' && JSON.stringify(before.value) !== JSON.stringify(value);
    })
    .map(({ at }) => at);
}

function wave(swing: Swing, turns: number): number {
  const at = wrapPhase(turns);
  if (swing.wave === 'sine') return Math.sin(2 * Math.PI * at);
  if (swing.wave === 'triangle') return 1 - 4 * Math.abs(at - 0.5);
  // hashed smooth noise with one knot per cycle and eight knots at least, repeating after the swing's own cycles
  const knots = Math.max(4, Math.round(swing.cycles) * 2);
  const x = (turns / Math.max(swing.cycles, 1e-9)) * knots;
  const base = Math.floor(x);
  const knot = (i: number): number => hash4(((i % knots) + knots) % knots, 77, knots, 5)[0] / 2 ** 31 - 1;
  const slope = (i: number): number => (knot(i + 1) - knot(i - 1)) / 2;
  return hermite(x - base, 1, knot(base), slope(base), knot(base + 1), slope(base + 1));
}

/** Keys in order, and the slopes of the smooth curve through them once they are asked for. */
interface Curve {
  keys: readonly Key[];
  slopes: readonly number[] | null;
}

/** What was worked out for lists of keys, which never change: a frame asks for the same ones hundreds of times. */
const curves = new WeakMap<readonly Key[], Curve>();

function curveOf(keys: readonly Key[]): Curve {
  let curve = curves.get(keys);
  if (!curve) curves.set(keys, (curve = { keys: [...keys].sort((a, b) => a.at - b.at), slopes: null }));
  return curve;
}

function evaluateKeys(unsorted: readonly Key[], phase: number): number {
  const curve = curveOf(unsorted);
  const { keys } = curve;
  if (keys.length === 1) return keys[0].value;
  let index = keys.length - 1;
  for (let i = 0; i < keys.length; i++) if (keys[i].at <= phase) index = i;
  if (phase < keys[0].at) index = keys.length - 1;
  const from = keys[index];
  const to = keys[(index + 1) % keys.length];
  const width = wrapPhase(to.at - from.at) || 1;
  const t = wrapPhase(phase - from.at) / width;
  if (from.ease === 'hold') return from.value;
  if (from.ease === 'linear') return from.value + (to.value - from.value) * t;
  if (from.ease === 'smooth') {
    const slopes = (curve.slopes ??= periodicSlopes(
      keys.map((key) => key.at),
      keys.map((key) => key.value),
    ));
    return hermite(t, width, from.value, slopes[index], to.value, slopes[(index + 1) % keys.length]);
  }
  const rise = to.value - from.value;
  if (Array.isArray(from.ease)) return from.value + rise * cubicBezier(t, from.ease);
  const { leaves, arrives } = from.ease;
  return from.value + bezierThrough(t, [leaves[0], arrives[0]], [leaves[1], rise + arrives[1], rise]);
}

/** Whether the value closes: what it gains per lap is a whole number of `step`s (0: must return to the same value). */
export function closes(value: Animated, step = 0): boolean {
  const gain = evaluateAnimated(value, 1.25) - evaluateAnimated(value, 0.25);
  const size = Math.abs(evaluateAnimated(value, 0.25)) + Math.abs(gain) + 1;
  const left = step > 0 ? Math.abs(gain / step - Math.round(gain / step)) * step : Math.abs(gain);
  const swings = typeof value === 'number' || value.law !== 'swing' || Number.isInteger(value.cycles);
  return left < 1e-9 * size && swings;
}

/** The nearest value that closes: whole cycles, whole steps. Unchanged when it closes already. */
export function snapAnimated(value: Animated, step = 0): Animated {
  if (typeof value === 'number' || closes(value, step)) return value;
  if (value.law === 'swing') return { ...value, cycles: Math.max(1, Math.round(value.cycles)) };
  if (value.law === 'wound')
    return step > 0 ? { ...value, perLap: Math.round(value.perLap / step) * step } : value.start;
  return value;
}

/** A value that goes on by so much in every lap. */
export const wound = (perLap: number, start = 0): Wound => ({ law: 'wound', start, perLap });

/**
 * The value with a key at a phase: a key that is there already, within half a frame, takes the value; a value without keys
 * becomes keyed there.
 */
export function keyedAt(value: Animated, phase: number, v: number, id: string, frames: number): Animated {
  const near = 0.5 / frames;
  const keys = typeof value === 'object' && value.law === 'keyed' ? value.keys : [];
  const found = keys.find(({ at }) => Math.abs(at - phase) < near);
  const next = found
    ? keys.map((key) => (key === found ? { ...key, value: v } : key))
    : [...keys, { id, at: phase, value: v, ease: 'smooth' as const }];
  return { law: 'keyed', keys: [...next].sort((a, b) => a.at - b.at) };
}

/** The value moved as a whole: at every phase so much more than before. */
export function raisedBy(value: Animated, by: number): Animated {
  if (typeof value === 'number') return value + by;
  switch (value.law) {
    case 'keyed':
      return { ...value, keys: value.keys.map((key) => ({ ...key, value: key.value + by })) };
    case 'swing':
      return { ...value, middle: value.middle + by };
    case 'wound':
      return { ...value, start: value.start + by };
  }
}
