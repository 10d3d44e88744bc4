import { evaluateAnimated, raisedBy, type Animated, type Ease } from '../../core/time/animated';
import { newId } from '../state/edit';

/** A key of any value: a number, a colour, a gradient. */
export interface AnyKey<V> {
  id: string;
  at: number;
  value: V;
  ease: Ease;
}

/** Sets a keyed value at a phase: moves the key that is there, or adds one. */
export function setKey<V>(keys: readonly AnyKey<V>[], phase: number, value: V, within: number): AnyKey<V>[] {
  const near = keys.find((key) => Math.min(Math.abs(key.at - phase), 1 - Math.abs(key.at - phase)) < within);
  if (near) return keys.map((key) => (key === near ? { ...key, value } : key));
  const before =
    [...keys]
      .sort((a, b) => a.at - b.at)
      .filter((key) => key.at < phase)
      .at(-1) ?? keys.at(-1);
  return [...keys, { id: newId('key'), at: phase, value, ease: before?.ease ?? 'smooth' }].sort((a, b) => a.at - b.at);
}

/** Keys nearer than this, as a share of the lap, are one. */
const SAME = 1e-4;

/**
 * A value that is a number at a phase. One with keys gets one there, or has the one that is there moved; one that swings or winds does so about
 * another middle.
 */
export function broughtTo(value: Animated, phase: number, to: number): Animated {
  if (typeof value === 'number') return to;
  if (value.law === 'keyed') return { ...value, keys: setKey(value.keys, phase - Math.floor(phase), to, SAME) };
  return raisedBy(value, to - evaluateAnimated(value, phase));
}
