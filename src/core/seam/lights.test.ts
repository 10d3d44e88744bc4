import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { LIGHTS, newLight, type Light } from '../look/lights/kinds';
import { setAt } from '../piece/paths';
import type { Piece } from '../piece/schema';
import { lightRows } from '../world/lights';
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

  it('a pattern that moves on by whole steps, or turns whole turns, closes; by half of one it does not', () => {
    const of = (fields: object) =>
      found(piece([newLight('spot', 'a', { mask: 'rays', ...fields })], { kind: 'keys' }))[0].ok;
    expect(of({ maskRun: 3 })).toBe(true);
    expect(of({ maskTurn: { law: 'wound', start: 0.2, perLap: -2 } })).toBe(true);
    expect(of({ maskRun: 0.5 })).toBe(false);
    expect(of({ maskTurn: { law: 'wound', start: 0, perLap: 0.25 } })).toBe(false);
  });

  it('a light that is half a tile from the camera where the lap ends closes, whatever the tile', () => {
    for (const tile of [8, 2.1, 7.3])
      for (const at of [0.5, -0.5, 0.25]) {
        const p = piece([newLight('point', 'a', { ahead: at * tile })], { kind: 'run', tilesPerLap: 3 });
        const [finding] = found({ ...p, tile });
        expect([tile, at, finding.says, finding.ok]).toEqual([tile, at, finding.says, true]);
      }
  });

  it('what is hung on the camera to close keeps its place and its aim where the lap begins', () => {
    const light = newLight('spot', 'a', { aside: 1.5, above: 2, ahead: 4, heading: 30, tilt: -50 });
    const p = piece([light], third);
    const [{ repair }] = found(p);
    if (!repair) throw new Error('there is no repair');
    const mended = setAt(p, repair.path, repair.value);
    const [before, after] = [p, mended].map((one) => lightRows(one, 0)[0]);
    before.place?.forEach((v, k) => expect(after.place?.[k]).toBeCloseTo(v, 2));
    before.from.forEach((v, k) => expect(after.from[k]).toBeCloseTo(v, 2));
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
    const p = piece([jerk], { kind: 'keys' });
    const [finding] = found(p);
    expect(finding.ok).toBe(false);
    expect(finding.says).toMatch(/speed/);
    expect(finding.repair?.path).toEqual(['look', 'lights', 0, 'aside']);
    const mended = setAt(p, finding.repair?.path ?? [], finding.repair?.value);
    expect(found(mended)[0].ok).toBe(true);
  });

  it('where nothing is made of anything, no light is looked at', () => {
    const p = pieceOf({ kind: 'field' }, { flight: { route: third }, look: { lights: [newLight('sun', 'a')] } });
    expect(found(p)).toEqual([]);
  });
});
