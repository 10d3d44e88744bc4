import { stateReport } from '../../../../core/seam/report';
import { ROUTES } from '../../../../core/flight/routes/kinds';
import { describe, expect, it } from 'vitest';
import { cameraPose } from '../../../../core/world/camera';
import { PieceSchema, type Piece } from '../../../../core/piece/schema';
import { addStation, changeStation, shiftStation, withRoute } from './routeEdits';

const piece: Piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 100, rate: { num: 25, den: 1 } },
  layers: [
    { kind: 'copies', id: 'ring', name: 'Ring', arrangement: 'ring', count: 6, once: true, ahead: 6 },
    { kind: 'tunnel', id: 'way', name: 'Way' },
  ],
  flight: {},
  look: {},
});
const view = { aside: 1, above: 2, ahead: 3, yaw: 10, pitch: 5, roll: 0 };

describe('routes', () => {
  it.each(ROUTES.names)('%s: choosing it gives a valid flight whose camera closes', (kind) => {
    const chosen = withRoute(piece, kind, 0.3);
    expect(chosen.flight.route.kind).toBe(kind);
    expect(PieceSchema.safeParse(chosen).success).toBe(true);
    expect(stateReport(chosen).findings.find(({ id }) => id === 'camera')).toMatchObject({ ok: true });
    expect(cameraPose(chosen, 0.5).quaternion.every(Number.isFinite)).toBe(true);
  });

  it('keys and stations begin where the camera was', () => {
    for (const kind of ['keys', 'stations'] as const) {
      const [before, after] = [cameraPose(piece, 0.3), cameraPose(withRoute(piece, kind, 0.3), 0)];
      after.position.forEach((v, i) => expect(v).toBeCloseTo(before.position[i], 2));
    }
  });

  it('stations are added, changed and shifted around the lap', () => {
    const { route } = withRoute(piece, 'stations', 0).flight;
    if (route.kind !== 'stations') throw new Error('no stations');
    const two = addStation(route, view);
    const [, { id }] = two.stops;
    expect(two.stops[1]).toMatchObject(view);
    expect(changeStation(two, id, { rest: 5 }).stops[1].rest).toBe(5);
    expect(shiftStation(two, id, 1).stops[0].id).toBe(id);
  });
});
