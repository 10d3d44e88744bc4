import { evaluateAnimated, jumpsOf, type Ease, type Key, type Wave } from './animated';
import { exposedPhase, type Exposure } from './exposure';

/** A key of something that is mixed: a colour, a gradient. */
export interface MixedKey<V> {
  id: string;
  at: number;
  value: V;
  ease: Ease;
}

/** Keys, and the frame they are evaluated for where that is not the moment's own; never in a document. */
export interface KeyedMix<V> {
  law: 'keyed';
  keys: MixedKey<V>[];
  exposure?: Exposure | undefined;
}

/** From one to another and back; whole cycles per lap close. */
export interface SwungMix<V> {
  law: 'swing';
  from: V;
  to: V;
  cycles: number;
  wave: Wave;
  shift: number;
}

/** Its hues go round so many times per lap; whole turns close. */
export interface WoundMix<V> {
  law: 'wound';
  start: V;
  perLap: number;
}

/**
 * Something over the lap of which others are mixed, but which is no number (a colour, a gradient): fixed, keyed, swinging between
 * two, or turned through all hues. V is no object with a law of its own.
 */
export type Mixed<V> = V | Moving<V>;
export type Moving<V> = KeyedMix<V> | SwungMix<V> | WoundMix<V>;

/** Whether it changes over the lap. */
export const isMoving = <V>(value: Mixed<V>): value is Moving<V> =>
  typeof value === 'object' && value !== null && 'law' in value;

/** What is mixed at a moment: values with their shares, which sum to 1 but may be below 0, and turns that their hues are moved on by. */
export interface Mixture<V> {
  of: readonly (readonly [value: V, share: number])[];
  turn: number;
}

/** For each key a value that is 1 at it and 0 at all others: every way from key to key is linear in what the keys hold. */
const shares = new WeakMap<readonly object[], readonly Key[][]>();

/** Between colours there is no way off what lies between them: of a free curve only the pace is left. */
const paceOf = (ease: Ease): Ease =>
  typeof ease === 'string' || Array.isArray(ease) ? ease : [ease.leaves[0], 1 / 3, ease.arrives[0], 2 / 3];

function sharesOf(keys: readonly MixedKey<unknown>[]): readonly Key[][] {
  let known = shares.get(keys);
  if (!known) {
    known = keys.map((one) =>
      keys.map(({ id, at, ease }, i) => ({ id, at, ease: paceOf(ease), value: keys[i] === one ? 1 : 0 })),
    );
    shares.set(keys, known);
  }
  return known;
}

/** What a value is mixed of at a phase, which is not wrapped. Nothing with a share of 0 is among it. */
export function mixtureAt<V>(value: Mixed<V>, phase: number): Mixture<V> {
  if (!isMoving(value)) return { of: [[value, 1]], turn: 0 };
  switch (value.law) {
    case 'keyed': {
      const { keys, exposure } = value;
      const at = exposure ? exposedPhase(jumpsOf(value), phase, exposure) : phase;
      const of = sharesOf(keys).map(
        (own, i) => [keys[i].value, evaluateAnimated({ law: 'keyed', keys: own }, at)] as const,
      );
      return { of: of.filter(([, share]) => share !== 0), turn: 0 };
    }
    case 'swing': {
      const { cycles, wave, shift } = value;
      const to = evaluateAnimated({ law: 'swing', middle: 0.5, reach: 0.5, cycles, wave, shift }, phase);
      const of = [[value.from, 1 - to] as const, [value.to, to] as const];
      return { of: of.filter(([, share]) => share !== 0), turn: 0 };
    }
    case 'wound':
      return { of: [[value.start, 1]], turn: value.perLap * phase };
  }
}

/** Whether it is after a lap what it was before. */
export const closesMixed = (value: Mixed<unknown>): boolean =>
  !isMoving(value) || value.law === 'keyed' || Number.isInteger(value.law === 'swing' ? value.cycles : value.perLap);

/** The nearest that closes: whole cycles, whole turns. Unchanged when it closes already. */
export function snapMixed<V>(value: Mixed<V>): Mixed<V> {
  if (!isMoving(value) || closesMixed(value)) return value;
  if (value.law === 'swing') return { ...value, cycles: Math.max(1, Math.round(value.cycles)) };
  return value.law === 'wound' ? { ...value, perLap: Math.round(value.perLap) } : value;
}

/** The same with every colour or gradient in it changed. */
export function mappedMix<V, W>(value: Mixed<V>, change: (one: V) => W): Mixed<W> {
  if (!isMoving(value)) return change(value);
  switch (value.law) {
    case 'keyed':
      return { ...value, keys: value.keys.map((key) => ({ ...key, value: change(key.value) })) };
    case 'swing':
      return { ...value, from: change(value.from), to: change(value.to) };
    case 'wound':
      return { ...value, start: change(value.start) };
  }
}

/** Every colour or gradient it states. */
export function statedMix<V>(value: Mixed<V>): V[] {
  const found: V[] = [];
  mappedMix(value, (one) => found.push(one));
  return found;
}
