import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../../tests/pieces';
import { newLight, type Light } from '../../../../core/look/lights/kinds';
import type { Piece } from '../../../../core/piece/schema';
import { standingOf } from '../../../../core/world/lights';
import { draggedLight, hitLight, lightMarks } from './lights';
import { LANES, mapView } from './view';

const piece = (light: Light, route: object = { kind: 'run', tilesPerLap: 3 }): Piece =>
  pieceOf({ kind: 'copies' }, { flight: { route }, look: { lights: [light] } });

describe('lights on the map', () => {
  it.each([['world'], ['camera']] as const)(
    'one %s is grasped where it is shown, and goes where it is dragged',
    (hangs) => {
      const light = newLight('spot', 'a', { hangs, aside: 0.5, above: 0.8, ahead: 2 });
      const p = piece(light);
      const phase = 0.7;
      const view = mapView(p, 800, 180);
      const [mark] = lightMarks(p, phase, view.span);
      expect(-mark.place[2]).toBeGreaterThanOrEqual(0);
      expect(-mark.place[2]).toBeLessThanOrEqual(view.span);
      for (const lane of LANES) {
        const at: [number, number] = [view.x(-mark.place[2], lane), view.y(mark.place[lane === 'plan' ? 0 : 1], lane)];
        const hit = hitLight(view, [mark], ...at);
        expect(hit).toMatchObject({ lane });
        const moved = draggedLight(p, phase, mark, lane, view, at, [at[0] + 10, at[1] - 6]);
        const [before, after] = [standingOf(p, light, phase).place, standingOf(piece(moved), moved, phase).place];
        expect(before[2] - after[2]).toBeCloseTo(10 / view.perMetre, 2);
        const side = lane === 'plan' ? 0 : 1;
        expect(after[side] - before[side]).toBeCloseTo(6 / view.across, 2);
        expect(after[1 - side]).toBeCloseTo(before[1 - side], 2);
      }
    },
  );

  it('what is off, and what has no place, is not on it', () => {
    expect(lightMarks(piece(newLight('sun', 'a')), 0, 24)).toEqual([]);
    expect(lightMarks(piece({ ...newLight('spot', 'a'), off: true }), 0, 24)).toEqual([]);
  });
});
