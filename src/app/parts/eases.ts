import type { Ease } from '../../core/time/animated';
import { EASE_PRESETS } from '../../core/time/easing';

/** Words for every ease that has a name. */
export const EASE_WORDS: Record<string, string> = {
  smooth: 'Smooth',
  linear: 'Linear',
  hold: 'Hold',
  ...Object.fromEntries(Object.keys(EASE_PRESETS).map((name) => [name, name[0].toUpperCase() + name.slice(1)])),
};

/** The ease of a name. */
export const easeCalled = (name: string): Ease =>
  name === 'smooth' || name === 'linear' || name === 'hold'
    ? name
    : ([...EASE_PRESETS[name]] as [number, number, number, number]);

/** The name of an ease; `own` for a curve that has none. */
export const easeName = (ease: Ease): string =>
  typeof ease === 'string'
    ? ease
    : !Array.isArray(ease)
      ? 'own'
      : (Object.keys(EASE_PRESETS).find((name) => EASE_PRESETS[name].every((v, i) => v === ease[i])) ?? 'own');
