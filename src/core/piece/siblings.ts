import type { z } from 'zod';
import { hash4, unitFrom } from '../random/hash';
import type { Animated } from '../time/animated';
import { controlOf, isShown, type ControlMeta, type Gradient } from './fields';

/** How far a sibling is from where it comes from: 0 the same .. 1 bold. */
export interface Wander {
  seed: number;
  boldness: number;
}

/** What an object of the piece is, for making siblings of it. */
export interface Kin {
  schema: z.ZodType;
  /** steps that must be kept, by field */
  steps: Record<string, number>;
  /** only fields of this group */
  group?: string | undefined;
  /** fields that are lists of objects of their own kinds, in order */
  parts?: Readonly<Record<string, readonly Kin[]>> | undefined;
}

class Dice {
  private at = 0;
  constructor(private readonly seed: number) {}
  /** −1 … 1 */
  next(): number {
    return unitFrom(hash4(this.at++, this.seed, 68, 0)[0]) * 2 - 1;
  }
}

const clamp = (v: number, low: number, high: number): number => Math.min(high, Math.max(low, v));

/** A number moved: by a factor where it has a size, by a part of its range where it is nothing. */
function wandered(value: number, meta: ControlMeta, by: number, step: number): number {
  const { min = -Infinity, max = Infinity, comfort = max } = meta;
  const range = Number.isFinite(comfort) ? comfort : 1;
  // what is nothing stays nothing, unless it is a bold one: most such values are for other uses of the thing
  const awake = Math.abs(by) > 0.7 && (by > 0 || min < 0) ? by * range * 0.12 : 0;
  const moved = Math.abs(value) > range * 1e-4 ? value * 2 ** (by * 1.1) : value + awake;
  const held = clamp(moved, Math.max(min, -4 * range), Math.min(max, Math.max(comfort * 2, value)));
  if (step > 0) return clamp(Math.round(held / step) * step, min, max);
  return meta.control === 'integer' ? Math.round(held) : Number(held.toPrecision(4));
}

function wanderedAnimated(value: Animated, meta: ControlMeta, by: number, step: number): Animated {
  if (typeof value === 'number') return wandered(value, meta, by, step);
  if (value.law === 'swing') {
    const reach = Number((value.reach * 2 ** (by * 1.3)).toPrecision(4));
    const low = Math.max(meta.min ?? -Infinity, value.middle - Math.abs(reach));
    const high = Math.min(meta.max ?? Infinity, value.middle + Math.abs(reach));
    return { ...value, reach: Math.sign(reach) * Math.min(value.middle - low, high - value.middle) };
  }
  if (value.law === 'wound' && step > 0) {
    const perLap = Math.round((value.perLap * 2 ** (by * 1.5)) / step) * step;
    return { ...value, perLap: perLap === 0 ? Math.sign(value.perLap || 1) * step : perLap };
  }
  return value;
}

/** Every colour turned about the grey axis and made lighter or darker a little, by the same amount. */
function wanderedGradient(gradient: Gradient, turn: number, lift: number): Gradient {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const third = (1 - c) / 3;
  const root = s / Math.sqrt(3);
  return gradient.map(({ at, colour }) => {
    const rgb = [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16));
    const turned = [0, 1, 2].map(
      (k) => rgb[k] * (c + third) + rgb[(k + 1) % 3] * (third - root) + rgb[(k + 2) % 3] * (third + root),
    );
    const hex = turned.map((v) =>
      Math.round(clamp(v * lift, 0, 255))
        .toString(16)
        .padStart(2, '0'),
    );
    return { at, colour: `#${hex.join('')}` };
  });
}

/**
 * A sibling of an object of the piece: some of its values moved, a little or boldly, each still legal and closing as before.
 * The same wander gives the same sibling. References, names and what is hidden or kept stay.
 */
export function siblingOf<T extends object>(object: T, kin: Kin, wander: Wander): T {
  const dice = new Dice(wander.seed);
  const fields = (kin.schema as unknown as z.ZodObject).shape as Record<string, z.ZodType>;
  const out = { ...object } as Record<string, unknown>;
  for (const [name, field] of Object.entries(fields)) {
    const meta = controlOf(field);
    const value = out[name];
    const [chosen, by, other] = [dice.next(), dice.next() * wander.boldness, dice.next()];
    if (!meta || meta.kept || !isShown(meta, object) || (kin.group !== undefined && meta.group !== kin.group)) continue;
    // near ones change few values, bold ones most
    if (Math.abs(chosen) > 0.25 + 0.5 * wander.boldness) continue;
    const step = kin.steps[name] ?? 0;
    let next = value;
    if (meta.control === 'number' || meta.control === 'integer') next = wandered(value as number, meta, by, step);
    if (meta.control === 'animated') next = wanderedAnimated(value as Animated, meta, by, step);
    if (meta.control === 'gradient')
      next = wanderedGradient(value as Gradient, by * 1.2, 2 ** (other * 0.3 * wander.boldness));
    if (meta.control === 'choice' && wander.boldness > 0.6 && Math.abs(other) < 0.3) {
      const choices = Object.keys(meta.choices ?? {});
      next = choices[Math.floor(((by / wander.boldness + 1) / 2) * choices.length) % choices.length];
    }
    if (meta.control === 'seed' && wander.boldness > 0.4) next = Math.floor(Math.abs(other) * 100_000);
    if (field.safeParse(next).success) out[name] = next;
  }
  // each part wanders by itself, as far as the whole
  for (const [name, kins] of Object.entries(kin.parts ?? {}))
    out[name] = (out[name] as object[]).map((part, i) =>
      siblingOf(part, kins[i], { seed: wander.seed * 31 + i + 1, boldness: wander.boldness }),
    );
  return out as unknown as T;
}
