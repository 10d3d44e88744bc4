import { hash4, unitFrom } from '../src/core/random/hash';
import { EFFECTS, effectOf, startedEffect, type Effect, type EffectKind } from '../src/core/look/effects/kinds';
import { animatedIn } from '../src/core/forms/walk';
import type { Animated } from '../src/core/time/animated';

/** A number 0..1 for each draw. */
type Chance = () => number;
const chance = (seed: number): Chance => {
  let n = 0;
  return () => unitFrom(hash4(n++, seed, 5, 91)[0]);
};

/** A value about a number that moves by one of the laws that close, and stays between two. */
function moving(
  value: Animated,
  [low, high]: readonly [number, number],
  step: number | undefined,
  next: Chance,
): Animated {
  const middle = typeof value === 'number' ? value : low + (high - low) * 0.3;
  const room = Math.min(middle - low, high - middle);
  const law = Math.floor(next() * (step === undefined ? 3 : 4));
  if (law === 3 && step !== undefined)
    return { law: 'wound', start: middle, perLap: step * Math.floor(1 + 3 * next()) };
  const reach = (room > 0 ? room : 0) * 0.6 * next();
  if (law < 2)
    return {
      law: 'swing',
      middle,
      reach,
      cycles: 1 + Math.floor(4 * next()),
      wave: law === 0 ? 'sine' : 'noise',
      shift: next(),
    };
  return {
    law: 'keyed',
    keys: [0.1, 0.4, 0.8].map((at, i) => ({
      id: `${i}`,
      at,
      value: middle + reach * (2 * next() - 1),
      ease: 'smooth' as const,
    })),
  };
}

/** An effect that is seen, whose values move, and which acts somewhere for a while; by chance. */
function randomEffect(kind: EffectKind, next: Chance): Effect {
  const effect = startedEffect(kind, kind);
  const { form, closingSteps } = effectOf(kind);
  const changed: Record<string, unknown> = {};
  for (const { name, field, value } of animatedIn({ form, value: effect, path: [], words: [], above: null })) {
    const { min = -1, max = 1, comfort = max } = field.control ?? {};
    changed[name] = moving(value, [Math.max(min, -comfort), comfort], closingSteps?.(effect)[name], next);
  }
  const masks = ['everywhere', 'ellipse', 'light'] as const;
  if ('mask' in effect) {
    changed['mask'] = masks[Math.floor(next() * masks.length)];
    changed['maskTurned'] = next() < 0.4;
    if (next() < 0.4) Object.assign(changed, { acts: 'stretch', from: 80, to: 30, fadeIn: 9, fadeOut: 5 });
  }
  return EFFECTS.schema.parse({ ...effect, ...changed });
}

/** Chains by chance in which every kind of effect is once, each with a tone. */
export function randomChains(seed: number, length: number): Effect[][] {
  const next = chance(seed);
  const kinds = EFFECTS.names.filter((kind) => kind !== 'tone');
  const shuffled = kinds.map((kind) => ({ kind, at: next() })).sort((a, b) => a.at - b.at);
  return Array.from({ length: Math.ceil(kinds.length / length) }, (_, i) => [
    startedEffect('tone', 'tone'),
    ...shuffled.slice(i * length, (i + 1) * length).map(({ kind }) => randomEffect(kind, next)),
  ]);
}
