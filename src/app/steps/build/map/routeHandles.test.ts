import { describe, expect, it } from 'vitest';
import { circuitPoints } from '../../../../core/flight/routes/circuit/circuit';
import { PieceSchema, type Piece } from '../../../../core/piece/schema';
import { addPointAt, draggedPoint, hitPoint, routeMarks } from './routeHandles';
import { mapView } from './view';

const points = [
  { id: 'a', aside: -4, above: 0, ahead: 4 },
  { id: 'b', aside: 0, above: 1, ahead: 9 },
  { id: 'c', aside: 4, above: 0, ahead: 4 },
  { id: 'd', aside: 0, above: 0, ahead: -1 },
];
const flown = (route: object): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'P',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    layers: [],
    flight: { route },
    look: {},
  });

describe('a circuit in the map', () => {
  const piece = flown({ kind: 'circuit', points, tilt: 20, raise: 0.5 });
  const view = mapView(piece, 840, 160);
  const { flight } = piece;

  it('is seen whole, in true proportion, plan beside side', () => {
    expect(view.perMetre).toBe(view.across);
    for (const { at } of routeMarks(piece))
      for (const lane of ['plan', 'side'] as const) {
        const [x, y] = [view.x(-at[2], lane), view.y(at[lane === 'plan' ? 0 : 1], lane)];
        const { left, right, top, bottom } = view.lanes[lane];
        expect(x).toBeGreaterThanOrEqual(left - 1);
        expect(x).toBeLessThanOrEqual(right + 1);
        expect(y).toBeGreaterThanOrEqual(top - 1);
        expect(y).toBeLessThanOrEqual(bottom + 1);
        expect(view.laneAt(x, y)).toBe(lane);
        expect(view.along(x, lane)).toBeCloseTo(-at[2], 9);
      }
  });

  it('points are found, and follow the pointer also when the circuit leans', () => {
    const [, { at }] = routeMarks(piece);
    const here = [view.x(-at[2], 'plan'), view.y(at[0], 'plan')] as const;
    expect(hitPoint(piece, view, ...here)).toEqual({ id: 'b', lane: 'plan' });
    expect(hitPoint(piece, view, here[0], here[1] + 40)).toBeNull();
    for (const lane of ['plan', 'side'] as const) {
      const moved = draggedPoint(flight, 'b', lane, view, here, [here[0] + view.perMetre, here[1] - view.across]);
      if (moved.route.kind !== 'circuit') throw new Error('no circuit');
      const [before, after] = [at, circuitPoints(moved.route)[1]];
      // the middle, about which it leans, moves along a little
      expect(after[2] - before[2]).toBeCloseTo(-1, 0);
      expect(after[lane === 'plan' ? 0 : 1] - before[lane === 'plan' ? 0 : 1]).toBeCloseTo(1, 0);
    }
  });

  it('a new point comes into the stretch it is nearest to', () => {
    const level = flown({ kind: 'circuit', points });
    if (level.flight.route.kind !== 'circuit') throw new Error('no circuit');
    const map = mapView(level, 840, 160);
    const added = addPointAt(level.flight.route, map, [map.x(7, 'plan'), map.y(3, 'plan')]);
    expect(added.route.points.map(({ id }) => id)).toEqual(['a', 'b', added.id, 'c', 'd']);
    expect(added.route.points[2]).toMatchObject({ aside: 3, above: 0.5, ahead: 7 });
    const fromSide = addPointAt(level.flight.route, map, [map.x(9, 'side'), map.y(2, 'side')]);
    expect(fromSide.route.points.find(({ id }) => id === fromSide.id)?.above).toBeCloseTo(2, 1);
  });

  it('stations are dragged too; other routes have no marks', () => {
    const stations = flown({
      kind: 'stations',
      stops: [{ id: 's', aside: 0, above: 0, ahead: 2, yaw: 0, pitch: 0, roll: 0 }],
    });
    const moved = draggedPoint(stations.flight, 's', 'side', view, [0, 0], [view.perMetre, -view.across]);
    expect(moved.route).toMatchObject({ stops: [{ ahead: 3, above: 1, aside: 0 }] });
    expect(routeMarks(flown({ kind: 'run' }))).toEqual([]);
    const run = flown({ kind: 'run' }).flight;
    expect(draggedPoint(run, 's', 'plan', view, [0, 0], [9, 9])).toBe(run);
  });

  it('points that are aimed at or focused on are marks while they are in use', () => {
    const aimed: Piece = { ...piece, flight: { ...flight, aim: 'target' } };
    expect(routeMarks(piece).filter(({ target }) => target)).toEqual([]);
    expect(routeMarks(aimed).filter(({ target }) => target)).toMatchObject([{ id: 'aimAt', words: 'aim' }]);
    const moved = draggedPoint(aimed.flight, 'aimAt', 'plan', view, [0, 0], [view.perMetre * 2, view.across]);
    expect(moved.aimAt).toMatchObject({ ahead: 8, aside: -1, above: 0 });
  });
});
