import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { LIGHTS, newLight, type Light } from '../look/lights/kinds';
import { setAt } from '../piece/paths';
import type { Piece } from '../piece/schema';
import { lightFindings } from './lights';
import { sceneSymmetry } from './symmetry';

const piece = (lights: Light[], route: object): Piece =>
  pieceOf({ kind: 'copies' }, { flight: { route }, look: { lights, reach: 30 } });
const found = (p: Piece) => lightFindings(p, sceneSymmetry(p));
const run = { kind: 'run', tilesPerLap: 1 };
const third = { kind: 'orbit', symmetry: 3, turnsPerLap: 1 / 3 };
const SWUNG = { law: 'swing', middle: 1, reach: 0.5, cycles: 2, wave: 'sine', shift: 0.1 } as const;

describe('how lights close', () => {
  it.each(LIGHTS.names.map((kind) => [kind]))(
    'a %s closes where the camera comes back, and where it travels',
    (kind) => {
      for (const route of [{ kind: 'keys' }, run]) {
        const [finding] = found(piece([newLight(kind, 'a', { dimmer: SWUNG })], route));
        expect([kind, finding.says, finding.ok]).toEqual([kind, finding.says, true]);
      }
    },
  );

  it('what stands in a world that is turned by a part does not, and hangs on the camera in one step', () => {
    for (const kind of ['spot', 'sun'] as const) {
      const p = piece([newLight(kind, 'a')], third);
      const [finding] = found(p);
      expect(finding.ok).toBe(false);
      expect(finding.says).toMatch(/turn too/);
      if (!finding.repair) throw new Error('there is no repair');
      const [after] = found(setAt(p, finding.repair.path, finding.repair.value));
      expect([kind, after.ok]).toEqual([kind, true]);
    }
  });

  it('a light that winds aside and never comes back is found', () => {
    const gone = newLight('point', 'a', { aside: { law: 'wound', start: 0, perLap: 2 } });
    const [finding] = found(piece([gone], { kind: 'keys' }));
    expect(finding.ok).toBe(false);
    expect(finding.says).toMatch(/does not come back/);
  });

  it('one that turns round at the seam is found by its speed', () => {
    const keys = [
      { id: 'a', at: 0, value: 0, ease: 'linear' },
      { id: 'b', at: 0.5, value: 2, ease: 'linear' },
    ];
    const jerk = newLight('point', 'a', { aside: { law: 'keyed', keys } });
    const [finding] = found(piece([jerk], { kind: 'keys' }));
    expect(finding.ok).toBe(false);
    expect(finding.says).toMatch(/speed/);
  });

  it('where nothing is made of anything, no light is looked at', () => {
    const p = pieceOf({ kind: 'field' }, { flight: { route: third }, look: { lights: [newLight('sun', 'a')] } });
    expect(found(p)).toEqual([]);
  });
});
