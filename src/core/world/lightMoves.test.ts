import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { lightOf, newLight, type Light } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { normalize, rotate, subtract, type Vec3 } from '../space/vector';
import { cameraPose } from './camera';
import { lightAimedAt, lightFromDirection, lightMovedTo, tableFrame } from './lightMoves';
import { standingOf } from './lights';

const SWUNG = { law: 'swing', middle: 1, reach: 0.5, cycles: 1, wave: 'sine', shift: 0 } as const;
const piece = (lights: Light[], route: object = { kind: 'orbit', radius: 5 }): Piece =>
  pieceOf({ kind: 'copies' }, { flight: { route }, look: { lights } });
const close = (a: readonly number[], b: readonly number[], digits = 2): void =>
  a.forEach((v, k) => expect(v).toBeCloseTo(b[k], digits));
const PHASE = 0.3;

describe('a light that is dragged', () => {
  it.each([['world'], ['camera'], ['layer']] as const)(
    'on the %s is where it was brought, and keeps its movement',
    (hangs) => {
      const light = newLight('spot', 'a', { hangs, layer: 'one', above: SWUNG });
      const p = piece([light]);
      const moved = lightMovedTo(p, light, PHASE, [1.5, -0.25, 2]);
      close(standingOf(piece([moved]), moved, PHASE).place, [1.5, -0.25, 2]);
      if (moved.kind !== 'spot' || typeof moved.above !== 'object' || moved.above.law !== 'swing')
        throw new Error('it no longer swings');
      expect(moved.above.reach).toBe(0.5);
    },
  );

  it('shines at the place its beam is dragged to, wherever it hangs', () => {
    for (const hangs of ['world', 'camera'] as const) {
      const light = newLight('softBox', 'a', { hangs });
      const p = piece([light]);
      const goal: Vec3 = [0.4, -1, 0.8];
      const turned = lightAimedAt(p, light, PHASE, goal);
      const { place, rotation } = standingOf(p, turned, PHASE);
      close(rotate(rotation, [0, 0, -1]), normalize(subtract(goal, place)), 2);
    }
    const at = newLight('spot', 'b', { aims: 'target' });
    const p = piece([at]);
    const moved = lightAimedAt(p, at, PHASE, [1, 2, -3]);
    expect(moved.kind === 'spot' && moved.aimAt).toMatchObject({ aside: 1, above: 2, ahead: 3 });
    const onLayer = newLight('spot', 'c', { aims: 'target', aimAt: { on: 'layer', layer: 'one' } });
    expect(lightAimedAt(p, onLayer, PHASE, [1, 2, -3])).toBe(onLayer);
  });

  it('without a place comes from where it was brought', () => {
    for (const hangs of ['world', 'camera'] as const) {
      const sun = newLight('sun', 'a', { hangs });
      const p = piece([sun]);
      const way = normalize([0.3, 0.7, -0.4]);
      const turned = lightFromDirection(p, sun, PHASE, way);
      close(lightOf('sun').at(turned, PHASE, standingOf(p, turned, PHASE)).from, way);
    }
    const around = newLight('surroundings', 'b');
    expect(lightFromDirection(piece([around]), around, PHASE, [1, 0, 0])).toBe(around);
  });
});

it('the table lies about what is focused on, the camera before it', () => {
  const p = piece([]);
  for (const phase of [0, 0.2, 0.9]) {
    const { middle, right, towards, away } = tableFrame(p, phase);
    const { position, focusDistance } = cameraPose(p, phase);
    const to = subtract(position, middle);
    expect(Math.hypot(...to)).toBeCloseTo(focusDistance, 6);
    expect(right[0] * to[0] + right[2] * to[2]).toBeCloseTo(0, 6);
    expect(towards[0] * to[0] + towards[2] * to[2]).toBeCloseTo(away, 6);
  }
});
