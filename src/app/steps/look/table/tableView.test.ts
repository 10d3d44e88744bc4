import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../../tests/pieces';
import { lightOf, newLight, type Light } from '../../../../core/look/lights/kinds';
import type { Piece } from '../../../../core/piece/schema';
import { normalize, rotate, subtract } from '../../../../core/space/vector';
import { standingOf } from '../../../../core/world/lights';
import { draggedLight, hitTable, spotOf, tableMarks, tableView, type Half } from './tableView';

const SIZE = [840, 180] as const;
const piece = (lights: Light[], route: object = { kind: 'orbit', radius: 5 }): Piece =>
  pieceOf({ kind: 'copies' }, { flight: { route, focusM: 5 }, look: { lights, reach: 30 } });
const markOf = (p: Piece, phase = 0.1) => {
  const view = tableView(p, phase, ...SIZE);
  const marks = tableMarks(p, phase);
  return { view, marks, mark: marks[0] };
};
const HALVES: readonly Half[] = ['plan', 'front'];

describe('the light table', () => {
  it('has the camera at the lower edge of its plan, and every lamp within its rim', () => {
    const p = piece([newLight('spot', 'a', { aside: 2, above: 3, ahead: -1 })]);
    const { view, mark } = markOf(p);
    const camera = spotOf(view, 'plan', {
      place: view.frame.middle.map((v, k) => v + view.frame.towards[k] * view.frame.away) as [number, number, number],
    });
    expect(camera[0]).toBeCloseTo(view.middle.plan[0], 6);
    expect(camera[1]).toBeGreaterThan(view.middle.plan[1]);
    for (const half of HALVES) {
      const [x, y] = spotOf(view, half, mark);
      expect(Math.hypot(x - view.middle[half][0], y - view.middle[half][1])).toBeLessThanOrEqual(view.rim);
    }
  });

  it('a lamp goes where it is dragged, in both halves, whatever it hangs on', () => {
    for (const hangs of ['world', 'camera'] as const)
      for (const half of HALVES) {
        const p = piece([newLight('spot', 'a', { hangs })]);
        const { view, marks, mark } = markOf(p);
        const from = spotOf(view, half, mark);
        const hit = hitTable(view, marks, null, ...from);
        expect(hit).toEqual({ id: 'a', half, grip: 'lamp' });
        const light = draggedLight(p, 0.1, view, mark, { id: 'a', half, grip: 'lamp' }, from, [
          from[0] + 12,
          from[1] - 7,
        ]);
        const after = tableMarks({ ...p, look: { ...p.look, lights: [light] } }, 0.1)[0];
        const at = spotOf(view, half, after);
        expect(at[0] - from[0]).toBeCloseTo(12, 0);
        expect(at[1] - from[1]).toBeCloseTo(-7, 0);
      }
  });

  it('the nearest of its repetitions is on it, and dragging that moves them all', () => {
    const p = piece([newLight('point', 'a', { aside: 1, above: 1, ahead: 2 })], { kind: 'run', tilesPerLap: 4 });
    const { view, mark } = markOf(p, 0.6);
    const from = spotOf(view, 'plan', mark);
    const light = draggedLight(p, 0.6, view, mark, { id: 'a', half: 'plan', grip: 'lamp' }, from, [
      from[0] + 10,
      from[1],
    ]);
    if (light.kind !== 'point') throw new Error('it is another');
    expect(light.ahead).toBeCloseTo(2, 2);
    expect(light.aside).toBeCloseTo(1 + 10 / view.perMetre, 2);
  });

  it('a beam is turned by its end, which only the chosen one offers', () => {
    const p = piece([newLight('softBox', 'a')]);
    const { view, marks, mark } = markOf(p);
    if (!mark.goal) throw new Error('it has no beam');
    const end = spotOf(view, 'front', { place: mark.goal });
    expect(hitTable(view, marks, null, ...end)?.grip).not.toBe('beam');
    expect(hitTable(view, marks, 'a', ...end)?.grip).toBe('beam');
    const light = draggedLight(p, 0.1, view, mark, { id: 'a', half: 'front', grip: 'beam' }, end, [
      end[0],
      end[1] + 20,
    ]);
    const { place, rotation } = standingOf({ ...p, look: { ...p.look, lights: [light] } }, light, 0.1);
    const goal = [mark.goal[0], mark.goal[1] - 20 / view.perMetre, mark.goal[2]] as [number, number, number];
    rotate(rotation, [0, 0, -1]).forEach((v, k) => expect(v).toBeCloseTo(normalize(subtract(goal, place))[k], 2));
  });

  it('a sun goes round the rim, and over it', () => {
    const p = piece([newLight('sun', 'a', { aside: 0.5, above: 0.6, behind: 0.62 })]);
    const { view, mark } = markOf(p);
    const to: [number, number] = [view.middle.plan[0] - view.rim * 2, view.middle.plan[1]];
    const level = draggedLight(p, 0.1, view, mark, { id: 'a', half: 'plan', grip: 'lamp' }, [0, 0], to);
    const from = lightOf('sun').at(level, 0.1, standingOf(p, level, 0.1)).from;
    from.forEach((v, k) => expect(v).toBeCloseTo(-view.frame.right[k], 2));
    const over = draggedLight(p, 0.1, view, mark, { id: 'a', half: 'plan', grip: 'lamp' }, [0, 0], view.middle.plan);
    expect(lightOf('sun').at(over, 0.1, standingOf(p, over, 0.1)).from[1]).toBeCloseTo(1, 2);
  });

  it('what is around everywhere does not stand on it', () => {
    expect(tableMarks(piece([newLight('surroundings', 'a')]), 0)).toEqual([]);
  });
});
