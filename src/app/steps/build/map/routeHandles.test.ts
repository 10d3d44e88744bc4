import { MOST_POINTS } from '../../../../core/forms';
import { describe, expect, it } from 'vitest';
import { circuitPoints } from '../../../../core/flight/routes/circuit/circuit';
import { PieceSchema, type Piece } from '../../../../core/piece/schema';
import { newLayer } from '../../../../core/layers/kinds';
import { addPoint, removePoint } from '../../../parts/curvePoints';
import { addPointAt, curvesOf } from './curves';
import { draggedPoint, hitPoint, routeMarks } from './routeHandles';
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

const B = 'flight.route.points:b';

describe('a circuit in the map', () => {
  const piece = flown({ kind: 'circuit', points, tilt: 20, raise: 0.5 });
  const view = mapView(piece, 840, 160);
  const { flight } = piece;

  it('is seen whole, in true proportion, plan beside side', () => {
    expect(view.perMetre).toBe(view.across);
    for (const { at } of routeMarks(piece, null))
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
    const [, { at }] = routeMarks(piece, null);
    const here = [view.x(-at[2], 'plan'), view.y(at[0], 'plan')] as const;
    expect(hitPoint(piece, null, view, ...here)).toEqual({ id: B, lane: 'plan' });
    expect(hitPoint(piece, null, view, here[0], here[1] + 40)).toBeNull();
    for (const lane of ['plan', 'side'] as const) {
      const moved = draggedPoint(piece, null, B, lane, view, here, [here[0] + view.perMetre, here[1] - view.across]);
      if (moved.flight.route.kind !== 'circuit') throw new Error('no circuit');
      const [before, after] = [at, circuitPoints(moved.flight.route)[1]];
      // the middle, about which it leans, moves along a little
      expect(after[2] - before[2]).toBeCloseTo(-1, 0);
      expect(after[lane === 'plan' ? 0 : 1] - before[lane === 'plan' ? 0 : 1]).toBeCloseTo(1, 0);
    }
  });

  it('a new point comes into the stretch it is nearest to', () => {
    const level = flown({ kind: 'circuit', points });
    const map = mapView(level, 840, 160);
    const added = addPointAt(curvesOf(level, null), map, [map.x(7, 'plan'), map.y(3, 'plan')]);
    if (!added) throw new Error('no curve');
    expect(added.points.map(({ id }) => id)).toEqual(['a', 'b', added.id, 'c', 'd']);
    expect(added.points[2]).toMatchObject({ aside: 3, above: 0.5, ahead: 7 });
    const fromSide = addPointAt(curvesOf(level, null), map, [map.x(9, 'side'), map.y(2, 'side')]);
    expect(fromSide?.points.find(({ id }) => id === fromSide.id)?.above).toBeCloseTo(2, 1);
  });

  it('stations are dragged too; other routes have no marks', () => {
    const stations = flown({
      kind: 'stations',
      stops: [{ id: 's', aside: 0, above: 0, ahead: 2, yaw: 0, pitch: 0, roll: 0 }],
    });
    const moved = draggedPoint(stations, null, 's', 'side', view, [0, 0], [view.perMetre, -view.across]);
    expect(moved.flight.route).toMatchObject({ stops: [{ ahead: 3, above: 1, aside: 0 }] });
    expect(routeMarks(flown({ kind: 'run' }), null)).toEqual([]);
    const run = flown({ kind: 'run' });
    expect(draggedPoint(run, null, 's', 'plan', view, [0, 0], [9, 9])).toBe(run);
  });

  it('points that are aimed at or focused on are marks while they are in use', () => {
    const aimed: Piece = { ...piece, flight: { ...flight, aim: 'target' } };
    expect(routeMarks(piece, null).filter(({ target }) => target, null)).toEqual([]);
    expect(routeMarks(aimed, null).filter(({ target }) => target, null)).toMatchObject([{ id: 'aimAt', words: 'aim' }]);
    const moved = draggedPoint(aimed, null, 'aimAt', 'plan', view, [0, 0], [view.perMetre * 2, view.across]);
    expect(moved.flight.aimAt).toMatchObject({ ahead: 8, aside: -1, above: 0 });
  });
});

describe('the route of a tunnel in the map', () => {
  const onward = points.map((p, i) => ({ ...p, ahead: i * 2 }));
  const piece = PieceSchema.parse({
    ...flown({ kind: 'circuit', points }),
    layers: [{ ...newLayer('tunnel', 'way', 'Way', 1), route: 'onward', onward }],
  });
  const view = mapView(piece, 840, 160);
  const key = 'layers.0.onward:c';

  it('has its points marked only while its layer is chosen, beside those of the flight', () => {
    expect(routeMarks(piece, null)).toHaveLength(4);
    expect(routeMarks(piece, 'way').map(({ id }) => id)).toEqual(
      expect.arrayContaining(['flight.route.points:c', key]),
    );
  });

  it('a point follows the pointer in both lanes, and the other curve stays', () => {
    const inPlan = draggedPoint(piece, 'way', key, 'plan', view, [0, 0], [view.perMetre, -2 * view.across]);
    expect(inPlan.layers[0]).toMatchObject({ onward: [{}, {}, { id: 'c', aside: 6, above: 0, ahead: 5 }, {}] });
    expect(inPlan.flight).toEqual(piece.flight);
    const fromSide = draggedPoint(piece, 'way', key, 'side', view, [0, 0], [0, -view.across]);
    expect(fromSide.layers[0]).toMatchObject({ onward: [{}, {}, { id: 'c', aside: 4, above: 1, ahead: 4 }, {}] });
  });

  it('a point between the last and the first lies before the next tile', () => {
    const own = curvesOf(piece, 'way').filter(({ path }) => path[0] === 'layers');
    const added = addPointAt(own, view, [view.x(7.4, 'plan'), view.y(-2, 'plan')]);
    expect(added?.points.map(({ id }) => id).indexOf(added.id)).toBe(4);
    expect(added?.points.at(-1)).toMatchObject({ ahead: 7.4, aside: -2 });
    expect(addPoint(onward, null, 8).points.at(-1)).toMatchObject({ ahead: 7, aside: -2 });
    expect(addPoint(onward, 'b').points[2]).toMatchObject({ aside: 2, ahead: 3 });
    const full = own.map((curve) => ({ ...curve, points: Array.from({ length: MOST_POINTS }, () => curve.points[0]) }));
    expect(addPointAt(full, view, [view.x(7.4, 'plan'), view.y(-2, 'plan')])).toBeNull();
    let few: typeof points = [...points];
    for (const { id } of points) few = [...removePoint(few, id)];
    expect(few).toHaveLength(2);
  });
});
