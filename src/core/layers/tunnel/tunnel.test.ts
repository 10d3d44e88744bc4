import { stateReport } from '../../seam/report';
import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../../piece/schema';
import { cameraPose } from '../../world/camera';
import { setAt } from '../../piece/paths';
import { subtract, type Vec3 } from '../../space/vector';
import { routePoints, tunnelRoute } from './tunnel';
import { wallQuads, wallTriangles } from '../wall';
import { pieceOf as pieceWith } from '../../../../tests/pieces';

describe('tunnel', () => {
  it('reduces by whole orbits: the strides divide the ring count, and what remains stays', () => {
    const piece = pieceWith({ kind: 'tunnel', rings: 40, sides: 5, nested: 0 });
    const all = layerElements(piece, 'one', 0);
    const quarter = layerElements(piece, 'one', 0, 0.25);
    expect(all.count).toBe(41 * 5);
    expect(quarter.count).toBe(11 * 5);
    for (let ring = 0; ring < 10; ring++)
      expect(quarter.position.subarray(ring * 15, ring * 15 + 15)).toEqual(
        all.position.subarray(ring * 60, ring * 60 + 15),
      );
  });

  it('its last ring is the next tile’s first', () => {
    const piece = pieceWith({ kind: 'tunnel', rings: 12, sides: 5, nested: 0, twist: 0.2, wobble: 0.2 });
    const { position } = layerElements(piece, 'one', 0.4);
    const first = position.subarray(0, 15);
    const last = position.subarray(12 * 15, 13 * 15);
    // twisted by one side of five: corner i of the last ring is corner i + 1 of the first
    for (let corner = 0; corner < 5; corner++)
      for (let k = 0; k < 2; k++) expect(last[corner * 3 + k]).toBeCloseTo(first[((corner + 1) % 5) * 3 + k], 1);
    expect(last[2]).toBeCloseTo(first[2] - 8, 4);
  });

  it.each([['straight'], ['helix'], ['onward'], ['ring'], ['closed']] as const)(
    'a wall along a %s route knows the ring before its first, and the second past its end',
    (route) => {
      // turned by two of five sides from one end to the other
      const piece = pieceWith({ kind: 'tunnel', rings: 12, sides: 5, nested: 0, twist: 0.4, wall: 'skin', route });
      for (const share of [1, 0.5]) {
        const { position, count } = layerElements(piece, 'one', 0.4, share);
        const rings = 12 * share;
        expect(count).toBe((rings + 3) * 5);
        const corner = (ring: number, i: number): Vec3 =>
          [...position.subarray((ring * 5 + (i % 5)) * 3, (ring * 5 + (i % 5)) * 3 + 3)] as Vec3;
        const tile = route === 'ring' || route === 'closed' ? 0 : 8;
        for (let i = 0; i < 5; i++) {
          const past = subtract(corner(rings + 1, i), corner(1, i + 2));
          const before = subtract(corner(rings + 2, i + 2), corner(rings - 1, i));
          expect(Math.hypot(past[0], past[1], past[2] + tile)).toBeLessThan(1e-4);
          expect(Math.hypot(before[0], before[1], before[2] - tile)).toBeLessThan(1e-4);
        }
      }
    },
  );

  it('a wall has a quad for every side of every ring, and ribs for every second', () => {
    const wall = { as: 'surface', corners: 5, copies: 2, rings: 6, gaps: false, round: false } as const;
    const all = wallQuads(wall);
    expect(all).toHaveLength(6 * 5);
    expect(all[4]).toEqual([4, 0, 14, 10]);
    // between the outer of two copies
    expect(all[5]).toEqual([10, 11, 20, 21]);
    const ribs = wallQuads({ ...wall, gaps: true });
    expect(ribs).toEqual(all.filter((_, i) => Math.floor(i / 5) % 2 === 0));
    expect([...wallTriangles(wall).subarray(24, 30)]).toEqual([4, 0, 14, 0, 10, 14]);
  });

  it('colour is one per ring', () => {
    const { place } = layerElements(pieceWith({ kind: 'tunnel', rings: 10, sides: 6, nested: 0 }), 'one', 0.1);
    for (let ring = 0; ring < 10; ring++) expect(new Set(place.subarray(ring * 6, ring * 6 + 6)).size).toBe(1);
  });

  it('its rings stand on the helix of its route', () => {
    const piece = pieceWith({
      kind: 'tunnel',
      rings: 30,
      sides: 6,
      nested: 0,
      route: 'helix',
      helixRadius: 1.5,
      radius: 1,
      wobble: 0,
    });
    const { position } = layerElements(piece, 'one', 0);
    for (let ring = 0; ring < 30; ring++) {
      const centre = [0, 1, 2].map(
        (k) => Array.from({ length: 6 }, (_, c) => position[(ring * 6 + c) * 3 + k]).reduce((a, b) => a + b) / 6,
      );
      expect(Math.hypot(centre[0], centre[1])).toBeCloseTo(1.5, 4);
      expect(centre[2]).toBeCloseTo((-(ring + 0.5) / 30) * 8, 3);
    }
  });
});

describe('a tunnel carried along a ring or a drawn curve', () => {
  const centresOf = (piece: Piece, rings: number, corners: number): Vec3[] => {
    const { position } = layerElements(piece, 'one', 0.3);
    return Array.from({ length: rings }, (_, ring): Vec3 => {
      const sum = [0, 0, 0];
      for (let c = 0; c < corners; c++) for (let k = 0; k < 3; k++) sum[k] += position[(ring * corners + c) * 3 + k];
      return [sum[0] / corners, sum[1] / corners, sum[2] / corners];
    });
  };
  const tunnel = (more: object): Piece =>
    pieceWith({ kind: 'tunnel', rings: 48, sides: 6, nested: 0, radius: 0.7, wobble: 0, twist: 0, ...more } as never);

  it('a ring is a circle about the middle of the world, its outlines across it', () => {
    const piece = tunnel({ route: 'ring', ringRadius: 5 });
    const { position } = layerElements(piece, 'one', 0);
    for (const [i, [x, y, z]] of centresOf(piece, 48, 6).entries()) {
      expect(Math.hypot(x, z)).toBeCloseTo(5, 4);
      expect(y).toBeCloseTo(0, 6);
      // every corner at its distance, in the plane through the axis of the ring
      for (let c = 0; c < 6; c++) {
        const [px, py, pz] = position.subarray((i * 6 + c) * 3, (i * 6 + c) * 3 + 3);
        expect(Math.hypot(px - x, py - y, pz - z)).toBeCloseTo(0.7, 5);
        expect(Math.abs(px * z - pz * x)).toBeLessThan(1e-3);
      }
    }
  });

  it('stands evenly along the curve the camera flies, and passes through its points', () => {
    for (const route of ['closed', 'onward'] as const) {
      const piece = tunnel({ route });
      const [layer] = piece.layers;
      if (layer.kind !== 'tunnel') throw new Error('no tunnel');
      const { track } = tunnelRoute(layer, piece.tile);
      if (!track) throw new Error('no track');
      const centres = centresOf(piece, 48, 6);
      centres.forEach((centre, i) => {
        const want = track.path.pointAt(((i + 0.5) / 48) * track.path.length);
        expect(Math.hypot(...subtract(centre, want))).toBeLessThan(1e-3);
      });
      for (const point of routePoints(layer)) {
        const near = Array.from({ length: 2000 }, (_, i) => track.path.pointAt((i / 2000) * track.path.length));
        expect(Math.min(...near.map((p) => Math.hypot(...subtract(p, point))))).toBeLessThan(0.02);
      }
    }
  });

  it('goes on in the next tile where it left this one, turned as it was', () => {
    const piece = tunnel({ route: 'onward', rings: 20, twist: 1 / 6 });
    const { position } = layerElements(piece, 'one', 0);
    // the ring past the end is the first, a tile farther and a side on
    for (let c = 0; c < 6; c++) {
      const last = [...position.subarray((20 * 6 + c) * 3, (20 * 6 + c) * 3 + 3)];
      const side = (c + 1) % 6;
      const first = [...position.subarray(side * 3, side * 3 + 3)];
      expect(last[0]).toBeCloseTo(first[0], 5);
      expect(last[1]).toBeCloseTo(first[1], 5);
      expect(last[2]).toBeCloseTo(first[2] - piece.tile, 5);
    }
  });

  it('a camera along it flies in its middle and closes; one that travels on is told', () => {
    for (const [route, tiles] of [
      ['ring', 2],
      ['closed', 1],
      ['onward', 3],
    ] as const) {
      const piece = tunnel({ route });
      const flown = (kind: string): Piece =>
        PieceSchema.parse({ ...piece, flight: { route: { kind, follow: 'one', tilesPerLap: tiles } } });
      expect(stateReport(flown('along')).findings.filter(({ ok }) => !ok)).toEqual([]);
      const centres = centresOf(piece, 48, 6);
      const at = cameraPose(flown('along'), 10.5 / 48 / tiles).position;
      expect(Math.hypot(...subtract(at, centres[10]))).toBeLessThan(1e-3);
      const travelling = stateReport(flown('run'));
      expect(travelling.ok).toBe(route === 'onward');
      const repair = travelling.findings.find(({ ok }) => !ok)?.repair;
      if (repair) expect(stateReport(setAt(flown('run'), repair.path, repair.value)).ok).toBe(true);
      expect(repair !== undefined).toBe(route !== 'onward');
    }
  });

  it('a drawn section has the corners of its outline', () => {
    const outline = [
      [-0.5, -0.5],
      [0.5, -0.5],
      [0, 0.5],
    ];
    const { position } = layerElements(
      pieceWith({ kind: 'tunnel', section: 'drawn', outline, rings: 4, nested: 0, radius: 3, twist: 0 } as never),
      'one',
      0,
    );
    expect([...position.subarray(0, 9)].map((v) => Number(v.toFixed(6)))).toEqual([-3, -3, -1, 3, -3, -1, 0, 3, -1]);
  });
});
