import { describe, expect, it } from 'vitest';
import { lightTargets } from './levels';
import { LEVELS, Targets } from './targets';
import { makeView } from './view';

describe('light by the size of its blur', () => {
  it('has a target for each level, whose size the programs know, and remembers which were drawn into', () => {
    const view = makeView();
    const targets = new Targets(64, 36);
    const used = LEVELS.map(() => false);
    const { level, few } = lightTargets(view, targets, true, used);
    expect(few).toBe(true);
    for (const n of [0, 2]) {
      const target = level(n);
      expect(target).toBe(targets.levels[n]);
      expect(target.width).toBe(64 * view.uLevel.value);
    }
    expect(used.slice(0, 3)).toEqual([false, true, false]);
  });
});
