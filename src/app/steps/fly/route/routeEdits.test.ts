import { stateReport } from '../../../../core/seam/report';
import { ROUTES } from '../../../../core/flight/routes/kinds';
import { describe, expect, it } from 'vitest';
import { newLayer } from '../../../../core/layers/kinds';
import { inverse, rotate, subtract } from '../../../../core/space/vector';
import { cameraPose } from '../../../../core/world/camera';
import { PieceSchema, type Piece } from '../../../../core/piece/schema';
import { addStation, changeStation, shiftStation, withReading, withRoute } from './routeEdits';

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

describe('the view from where a figure reads', () => {
  const figure = (fields: object): Piece =>
    PieceSchema.parse({
      ...piece,
      layers: [...piece.layers, { ...newLayer('impossible', 'odd', 'Odd'), ahead: 9, once: false, ...fields }],
      flight: { ...piece.flight, yaw: 12, handScale: 1, fNumber: 1.4 },
    });

  it('has the lens for it, stands still, is sharp in all its depth, and has the figure once', () => {
    const seen = withReading(figure({}), 'odd', 0.4);
    expect(seen.flight).toMatchObject({
      lens: 'orthographic',
      aim: 'own',
      yaw: 0,
      handScale: 0,
      fNumber: 22,
      focusOn: 'target',
    });
    expect(seen.flight.route).toMatchObject({ kind: 'reading', of: 'odd' });
    expect(seen.layers.find(({ id }) => id === 'odd')).toMatchObject({ once: true });
    // in the middle of the picture
    const { position, quaternion } = cameraPose(seen, 0);
    const [x, y, z] = rotate(inverse(quaternion), subtract([0, 0, -9], position));
    expect([x, y]).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]);
    expect(z).toBeLessThan(-5);
    // wide enough for all of it
    expect(Number(seen.flight.widthM)).toBeGreaterThan(2.5);
  });

  it('of one that is made for a reader near by is as near as that, through a lens with perspective', () => {
    const seen = withReading(figure({ distance: 7, scale: 2 }), 'odd', 0);
    expect(seen.flight).toMatchObject({ lens: 'perspective', sensorMm: 36, route: { back: 14 } });
    expect(withReading(seen, 'nothing', 0)).toBe(seen);
  });
});
