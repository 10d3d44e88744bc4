import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { setAt } from '../piece/paths';
import { hash4, unitFrom } from '../random/hash';
import { mistFindings } from './mist';
import { stateReport } from './report';
import { sceneSymmetry } from './symmetry';

const piece = (look: object, route: object, tile = 12) => ({
  ...pieceOf({ kind: 'copies' }, { flight: { route }, look: { mist: 'lies', reach: 30, ...look } }),
  tile,
});
const found = (p: ReturnType<typeof piece>) => mistFindings(p, sceneSymmetry(p));
const third = { kind: 'orbit', symmetry: 3, turnsPerLap: 1 / 3 };

describe('how mist closes', () => {
  it('whatever its numbers, where the camera comes back and where it travels', () => {
    for (let i = 0; i < 40; i++) {
      const [a, b, c, d] = hash4(i, 5, 0, 0).map(unitFrom);
      const look = {
        ...{
          mistPatches: a,
          mistSize: 0.2 + 9 * b,
          mistAside: 40 * c - 20,
          mistAhead: 30 * d - 15,
          mistEvolves: i % 7,
        },
        ...{
          mistSeed: i,
          mistFloor: { law: 'swing', middle: 0, reach: 0.4, cycles: 1 + (i % 3), wave: 'sine', shift: a },
        },
      };
      for (const route of [{ kind: 'keys' }, { kind: 'run', tilesPerLap: 2 }, { kind: 'orbit', turnsPerLap: 1 }]) {
        const [finding] = found(piece(look, route, 3 + 20 * d));
        expect([i, route.kind, finding.says, finding.ok]).toEqual([i, route.kind, finding.says, true]);
      }
    }
  });

  it('in patches it does not under a part of a turn, and lies evenly in one step', () => {
    const p = piece({}, third);
    const [finding] = found(p);
    expect(finding.ok).toBe(false);
    expect(finding.says).toMatch(/another side/);
    expect(stateReport(p).ok).toBe(false);
    if (!finding.repair) throw new Error('there is no repair');
    const [after] = found(setAt(p, finding.repair.path, finding.repair.value) as typeof p);
    expect(after.ok).toBe(true);
  });

  it('a floor that does not come back is found', () => {
    const [finding] = found(piece({ mistFloor: { law: 'wound', start: 0, perLap: 0.3 } }, { kind: 'keys' }));
    expect(finding.ok).toBe(false);
  });

  it('says nothing where there is none', () => {
    expect(found(piece({ mist: 'none' }, third))).toEqual([]);
  });
});
