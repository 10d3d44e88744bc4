import { expect, it } from 'vitest';
import { EFFECTS, effectsTrouble, startedEffect, startedEffects } from '../effects/kinds';
import { CHAINS, takenOver } from './chains';

it('chains that ship are whole looks, each of another name, of kinds that there are', () => {
  expect(new Set(CHAINS.map(({ name }) => name)).size).toBe(CHAINS.length);
  expect(CHAINS.map(({ name, effects }) => [name, effectsTrouble(effects)]).filter(([, trouble]) => trouble)).toEqual(
    [],
  );
  // what a chain sets is there: nothing is set that no effect knows
  for (const { name, effects } of CHAINS)
    for (const effect of effects) {
      const known = Object.keys(startedEffect(effect.kind, 'x'));
      expect([name, effect.kind, Object.keys(effect).filter((field) => !known.includes(field))]).toEqual([
        name,
        effect.kind,
        [],
      ]);
    }
  expect(new Set(CHAINS.flatMap(({ effects }) => effects.map(({ kind }) => kind))).size).toBeGreaterThan(
    EFFECTS.names.length / 2,
  );
});

it('taken over, effects have names of their own, and act everywhere where their layer is not', () => {
  let n = 0;
  const masked = { ...startedEffect('flash', 'f'), mask: 'layer', maskLayer: 'boxes' } as ReturnType<
    typeof startedEffect
  >;
  const effects = [...startedEffects(), masked];
  const there = takenOver(effects, [{ id: 'boxes' }], () => `own-${n++}`);
  const gone = takenOver(effects, [{ id: 'motes' }], () => `own-${n++}`);
  const flash = (list: readonly object[]) => list.find((effect) => 'kind' in effect && effect.kind === 'flash');
  expect(flash(there)).toMatchObject({ mask: 'layer', maskLayer: 'boxes' });
  expect(flash(gone)).toMatchObject({ mask: 'everywhere', maskLayer: null });
  expect(effectsTrouble(there)).toBeNull();
  const ids = [...there, ...gone].filter(({ kind }) => kind !== 'tone').map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
});
