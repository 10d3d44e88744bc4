import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { normalize, rotate, scale, add, subtract, type Vec3 } from '../../space/vector';
import type { Piece } from '../../piece/schema';
import { lightFindings } from '../../seam/lights';
import { sceneSymmetry } from '../../seam/symmetry';
import { cameraPose } from '../../world/camera';
import { tableFrame } from '../../world/lightMoves';
import { isAiming, lightRows, lightSlots, standingOf } from '../../world/lights';
import { LOOK } from '../form';
import { lightsTrouble } from './kinds';
import { RIGS, type Rig } from './rigs';

const set = (rig: Rig, route: object, onCamera: boolean): { piece: Piece; middle: Vec3 } => {
  const bare = pieceOf({ kind: 'copies' }, { flight: { route, focusM: 4 } });
  const frame = tableFrame(bare, 0);
  const piece = { ...bare, look: LOOK.schema.parse({ lights: rig.lights({ ...frame, onCamera }) }) };
  return { piece, middle: frame.middle };
};

describe.each(RIGS.map((rig) => [rig.label, rig] as const))('the rig %s', (_, rig) => {
  it('is lights of their own, and closes where it is set up', () => {
    for (const [route, onCamera] of [
      [{ kind: 'orbit', radius: 5 }, false],
      [{ kind: 'run' }, true],
      [{ kind: 'orbit', radius: 5, symmetry: 3, turnsPerLap: 1 / 3 }, true],
    ] as const) {
      const { piece } = set(rig, route, onCamera);
      expect(lightsTrouble(piece.look.lights)).toBeNull();
      for (const finding of lightFindings(piece, sceneSymmetry(piece)))
        expect([finding.subject, finding.says, finding.ok]).toEqual([finding.subject, finding.says, true]);
    }
  });

  it('shines at the subject, whatever it is set up on', () => {
    for (const onCamera of [false, true]) {
      const { piece, middle } = set(rig, { kind: 'orbit', radius: 5 }, onCamera);
      const { position, quaternion, focusDistance } = cameraPose(piece, 0);
      const subject = onCamera ? add(position, scale(rotate(quaternion, [0, 0, -1]), focusDistance)) : middle;
      let light = 0;
      lightRows(piece, 0).forEach((row, i) => {
        const of = lightSlots(piece)[i].light;
        if (!row.place) return;
        const way = normalize(subtract(subject, row.place));
        const { rotation } = standingOf(piece, of, 0);
        const shines = rotate(rotation, [0, 0, -1]);
        if (isAiming(of)) expect([of.id, shines.every((v, k) => Math.abs(v - way[k]) < 0.02)]).toEqual([of.id, true]);
        light++;
      });
      expect(light).toBeGreaterThan(0);
    }
  });
});
