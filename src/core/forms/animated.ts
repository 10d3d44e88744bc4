import { hullOf } from '../time/keys';
import { AnimatedSchema, type Animated } from '../time/animated';
import { controlled, fieldOf, type Field, type Info } from './field';
import { inRange, rangeWords } from './number';

/** Every number an animated value states, without what its law makes of them between. */
export function statedValues(value: Animated): number[] {
  if (typeof value === 'number') return [value];
  if (value.law === 'keyed') return value.keys.map((key) => key.value);
  if (value.law === 'swing') return [value.middle - Math.abs(value.reach), value.middle + Math.abs(value.reach)];
  return [value.start];
}

/** Numbers between which an animated value stays, but for a wound one, which goes on. */
export const reachedValues = (value: Animated): number[] =>
  typeof value === 'object' && value.law === 'keyed' ? hullOf(value.keys) : statedValues(value);

/** The largest size an animated value may come to, either way. */
export const largest = (value: Animated): number =>
  Math.max(
    ...reachedValues(value).map(Math.abs),
    // a wound value goes on: one lap of it is what is shown, but repairs and notes may look at two
    typeof value === 'number' || value.law !== 'wound' ? 0 : Math.abs(value.start) + Math.abs(value.perLap),
  );

/** A value that may change over the lap. */
export const animated = (initial: Animated, info: Info): Field<Animated> =>
  fieldOf<Animated>(
    AnimatedSchema.refine((value) => inRange(info, statedValues(value)), { error: rangeWords(info) }),
    initial,
    controlled('animated', info),
  );
