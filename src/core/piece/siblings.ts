import type { AnimatedGradient } from '../colour/animated';
import type { Gradient } from '../colour/colour';
import { mappedMix } from '../time/mixed';
import { isShown, valueAt, type Control, type Form, type Heading } from '../forms';
import { withParts, type Part } from '../forms/walk';
import { hash4, unitFrom } from '../random/hash';
import type { Animated } from '../time/animated';

/** How far a sibling is from where it comes from: 0 the same .. 1 bold. */
export interface Wander {
  seed: number;
  boldness: number;
}

/** How far siblings may go. */
export interface Kin {
  form: Form;
  /** steps that fields of a part keep */
  steps(part: Part): Readonly<Record<string, number>>;
  /** only fields under these headings, of the thing itself */
  groups?: readonly Heading[] | undefined;
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
function wandered(value: number, meta: Control, by: number, step: number): number {
  const { min = -Infinity, max = Infinity, comfort = max } = meta;
  const range = Number.isFinite(comfort) ? comfort : 1;
  // what is nothing stays nothing, unless it is a bold one: most such values are for other uses of the thing
  const awake = Math.abs(by) > 0.7 && (by > 0 || min < 0) ? by * range * 0.12 : 0;
  const moved = Math.abs(value) > range * 1e-4 ? value * 2 ** (by * 1.1) : value + awake;
  const held = clamp(moved, Math.max(min, -4 * range), Math.min(max, Math.max(comfort * 2, value)));
  if (step > 0) return clamp(Math.round(held / step) * step, min, max);
  return meta.control === 'integer' ? Math.round(held) : Number(held.toPrecision(4));
}

function wanderedAnimated(value: Animated, meta: Control, by: number, step: number): Animated {
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

/** A value moved as far as a throw of the dice says; as it is where its control moves nothing. */
function moved(value: unknown, control: Control, step: number, boldness: number, by: number, other: number): unknown {
  switch (control.control) {
    case 'number':
    case 'integer':
      return wandered(value as number, control, by, step);
    case 'animated':
      return wanderedAnimated(value as Animated, control, by, step);
    case 'gradient':
      return mappedMix(value as AnimatedGradient, (one) =>
        wanderedGradient(one, by * 1.2, 2 ** (other * 0.3 * boldness)),
      );
    case 'choice': {
      if (boldness <= 0.6 || Math.abs(other) >= 0.3) return value;
      const choices = Object.keys(control.choices ?? {});
      return choices[Math.floor(((by / boldness + 1) / 2) * choices.length) % choices.length];
    }
    case 'seed':
      return boldness > 0.4 ? Math.floor(Math.abs(other) * 100_000) : value;
    default:
      return value;
  }
}

function wanderedPart(part: Part, { steps, groups }: Kin, wander: Wander): object {
  const dice = new Dice(wander.seed);
  const step = steps(part);
  const changes: Record<string, unknown> = {};
  for (const [name, { control, schema }] of Object.entries(part.form.fields)) {
    const [chosen, by, other] = [dice.next(), dice.next() * wander.boldness, dice.next()];
    if (
      !control ||
      control.kept ||
      !isShown(control, part.value) ||
      (groups && !(control.group && groups.includes(control.group)))
    )
      continue;
    // near ones change few values, bold ones most
    if (Math.abs(chosen) > 0.25 + 0.5 * wander.boldness) continue;
    const next = moved(valueAt(part.value, name), control, step[name] ?? 0, wander.boldness, by, other);
    if (schema.safeParse(next).success) changes[name] = next;
  }
  return { ...part.value, ...changes };
}

/**
 * A sibling of a part of the piece: some of its values moved, a little or boldly, each still legal and closing as before.
 * The same wander gives the same sibling. References, names and what is hidden or kept stay.
 */
export const siblingOf = <T extends object>(whole: T, kin: Kin, wander: Wander): T =>
  withParts(kin.form, whole, (part) => {
    if (!part.above) return wanderedPart(part, kin, wander);
    const index = part.path.at(-1);
    // each part of a list, and one whose kind can be chosen, wanders by itself, as far as the whole; others stay
    const chosen = part.above.form.fields[String(index)]?.parts?.remade !== undefined;
    if (!(typeof index === 'number' || chosen) || kin.groups) return part.value;
    const own = typeof index === 'number' ? index + 1 : 0;
    return wanderedPart(part, kin, { seed: wander.seed * 31 + own, boldness: wander.boldness });
  });
