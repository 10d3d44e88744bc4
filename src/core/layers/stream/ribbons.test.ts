import { describe, expect, it } from 'vitest';
import { takeStock } from '../../../../tests/stock';
import { PieceSchema, type Piece } from '../../piece/schema';
import { stateReport } from '../../seam/report';
import type { Vec3 } from '../../space/vector';
import { pathFromSpec } from '../../space/path';
import { sceneOfPiece } from '../../world/camera';
import { elementIn } from '../../world/elements';
import { frameKeys } from '../../world/frameKey';
import { layerElements, layerExtent } from '../../world/layers';
import { definitionOf, newLayer } from '../kinds';

takeStock();

const SECONDS = 10;
const pieceWith = (stream: object, more: object[] = [], piece: object = {}): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 250, rate: { num: 25, den: 1 } },
    tile: 8,
    layers: [{ ...newLayer('stream', 'one', 'One', 5), ahead: 0, ...stream }, ...more],
    flight: {},
    look: {},
    ...piece,
  });
const placeOf = ({ position }: { position: ArrayLike<number> }, i: number): Vec3 => [
  position[i * 3],
  position[i * 3 + 1],
  position[i * 3 + 2],
];
const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const walker = (more: object = {}): object => ({
  ...newLayer('figure', 'walker', 'Walker', 3),
  above: 0,
  ahead: 3,
  ...more,
});

describe('a ribbon', () => {
  const NODES = 11;
  const BACK = 0.9;
  const wild = { rate: 6, life: 3, speed: 1.4, drag: 0.7, gravity: 2, windX: 0.4, circle: 0.8, circleTurns: 3 };

  it.each([
    ['of particles that are thrown', {}],
    ['carried by swirls that evolve', { turbulence: 1.2, whirl: 1, whirlCycles: 5 }],
    ['released along the travel', { travels: true, rounds: 2, turbulence: 0.4 }],
  ])('%s lies where the particles were before', (_, more) => {
    const ribbons = pieceWith({ ...wild, ...more, drawn: 'ribbons', nodes: NODES, ribbon: BACK });
    const dots = pieceWith({ ...wild, ...more });
    const now = layerElements(ribbons, 'one', 0.37);
    let compared = 0;
    for (let node = 0; node < NODES; node++) {
      const then = layerElements(dots, 'one', 0.37 - (node * BACK) / (NODES - 1) / SECONDS);
      const places = new Map<number, Vec3[]>();
      for (let i = 0; i < then.count; i++)
        if (then.fade[i] > 0) places.set(then.key[i], [...(places.get(then.key[i]) ?? []), placeOf(then, i)]);
      for (let i = node; i < now.count; i += NODES) {
        if (now.fade[i] === 0) continue;
        const own = placeOf(now, i);
        expect(Math.min(...(places.get(now.key[i]) ?? []).map((was) => apart(was, own)))).toBeLessThan(1e-4);
        compared++;
      }
    }
    expect(compared).toBeGreaterThan(150);
  });

  it('begins where its particle was born, goes out when that does, and is as wide along its way as said', () => {
    const piece = pieceWith({
      ...wild,
      drawn: 'ribbons',
      nodes: NODES,
      ribbon: BACK,
      variation: 0,
      size: 0.02,
      sizeLife: Array(8).fill(1),
      ribbonWidth: [2, 1, 1, 1, 1, 1, 1, 0.5],
    });
    const now = layerElements(piece, 'one', 0.2);
    let [begun, ended] = [0, 0];
    for (let i = 0; i < now.count; i += NODES) {
      const there = Array.from({ length: NODES }, (_, node) => now.fade[i + node] > 0);
      if (there[0] && !there[NODES - 1]) begun++;
      if (!there[0] && there[NODES - 1]) ended++;
      // there is no gap in it
      expect(there.filter((on, k) => k > 0 && on !== there[k - 1]).length).toBeLessThanOrEqual(1);
      expect(now.size[i]).toBeCloseTo(0.04);
      expect(now.size[i + NODES - 1]).toBeCloseTo(0.01);
    }
    expect(Math.min(begun, ended)).toBeGreaterThan(0);
  });

  it('closes, of any length', () => {
    for (const ribbon of [0.2, 4, 13])
      expect(
        stateReport(pieceWith({ ...wild, drawn: 'ribbons', nodes: 8, ribbon })).findings.filter(({ ok }) => !ok),
      ).toEqual([]);
  });

  it('is drawn from place to place, each line as wide as they are large', () => {
    const piece = pieceWith({ ...wild, drawn: 'ribbons', nodes: 5 });
    const [layer] = piece.layers;
    const drawings = definitionOf('stream').drawings(layer, 1, sceneOfPiece(piece).world);
    expect(drawings).toMatchObject([{ as: 'segments', sized: true }]);
    const { pairs } = drawings[0] as { pairs: Uint32Array };
    expect([...pairs.subarray(0, 10)]).toEqual([0, 1, 1, 2, 2, 3, 3, 4, 5, 6]);
    expect(Math.max(...pairs)).toBe(layerElements(piece, 'one', 0).count - 1);
  });
});

describe('an emitter that something carries', () => {
  const HAND = 9;
  const thrown = {
    carried: 'element',
    layer: 'walker',
    element: HAND,
    form: 'point',
    rate: 30,
    life: 1,
    turbulence: 0,
  };

  it('is where that is, at any moment, also between the places it was looked for at', () => {
    const piece = pieceWith({ ...thrown, speed: 0, drag: 60, lifeSpread: 0 }, [walker()]);
    for (const phase of [0, 0.123, 0.456, 0.999]) {
      const all = layerElements(piece, 'one', phase);
      let newest = -1;
      for (let i = 0; i < all.count; i++) {
        // the youngest has its place on the gradient at the start: by age
        if (all.fade[i] > 0 && (newest < 0 || all.place[i] < all.place[newest])) newest = i;
      }
      const age = all.place[newest] * 1;
      const hand = elementIn(sceneOfPiece(piece), 'walker', HAND, phase - age / SECONDS)?.position ?? [9, 9, 9];
      // dragged to a stop at once, it has gone no more than its first speed for a sixtieth of a second
      expect(apart(placeOf(all, newest), hand)).toBeLessThan(0.05);
    }
  });

  it.each([1, 3, -2])('goes along a curve drawn for it %i times a lap, evenly, and hands that on', (times) => {
    const points = [
      [-2, 0, 3],
      [0, 1.5, 6],
      [2, 0, 4],
    ].map(([aside, above, ahead], i) => ({ id: `p${i}`, aside, above, ahead }));
    const drawn = { carried: 'drawn', path: points, times, form: 'point', rate: 30, life: 1, turbulence: 0 };
    const piece = pieceWith({ ...drawn, speed: 0, drag: 0, gravity: 0, lifeSpread: 0 });
    const path = pathFromSpec({ kind: 'closed', points: points.map((p): Vec3 => [p.aside, p.above, -p.ahead]) });
    const along = (phase: number): Vec3 => path.pointAt(((((phase * times) % 1) + 1) % 1) * path.length);
    const speed = (path.length * Math.abs(times)) / SECONDS;
    for (const phase of [0.02, 0.4, 0.97]) {
      const all = layerElements(piece, 'one', phase);
      let seen = 0;
      for (let i = 0; i < all.count; i++) {
        if (all.fade[i] === 0) continue;
        seen++;
        const age = all.place[i];
        const born = phase - age / SECONDS;
        const [a, b] = [along(born - 1e-5), along(born + 1e-5)];
        const pace = a.map((v, k) => (b[k] - v) / (2e-5 * SECONDS)) as Vec3;
        expect(Math.hypot(...pace)).toBeCloseTo(speed, 2);
        expect(apart(placeOf(all, i), along(born).map((v, k) => v + pace[k] * age) as Vec3)).toBeLessThan(0.02);
      }
      expect(seen).toBeGreaterThan(10);
    }
    expect(stateReport(piece).ok).toBe(true);
    expect(definitionOf('stream').curve?.(piece.layers[0], piece.tile)?.points).toHaveLength(3);
  });

  it('hands on its motion', () => {
    const piece = pieceWith({ ...thrown, speed: 0, drag: 0, gravity: 0, lifeSpread: 0 }, [walker()]);
    const scene = sceneOfPiece(piece);
    const all = layerElements(piece, 'one', 0.4);
    let fastest = 0;
    for (let i = 0; i < all.count; i++) {
      if (all.fade[i] === 0) continue;
      const age = all.place[i];
      const born = 0.4 - age / SECONDS;
      const [a, b] = [-1e-5, 1e-5].map((d) => elementIn(scene, 'walker', HAND, born + d)?.position ?? [0, 0, 0]);
      const speed = a.map((v, k) => (b[k] - v) / (2e-5 * SECONDS)) as Vec3;
      const from = elementIn(scene, 'walker', HAND, born)?.position ?? [0, 0, 0];
      expect(apart(placeOf(all, i), from.map((v, k) => v + speed[k] * age) as Vec3)).toBeLessThan(0.06);
      fastest = Math.max(fastest, Math.hypot(...speed));
    }
    // a hand of a walk swings
    expect(fastest).toBeGreaterThan(0.5);
  });

  it('closes on one that goes ahead by tiles, and leaves what it threw where it was', () => {
    const piece = pieceWith({ ...thrown, speed: 0.3, life: 6 }, [walker({ travel: 'tiles', tiles: 1 })]);
    expect(stateReport(piece).findings.filter(({ ok }) => !ok)).toEqual([]);
    const { from, to, halfWidth, halfHeight, centre } = layerExtent(piece, piece.layers[0]);
    for (const phase of [0, 0.5, 0.99]) {
      const { position, count } = layerElements(piece, 'one', phase);
      for (let i = 0; i < count; i++) {
        expect(-position[i * 3 + 2]).toBeGreaterThan(from);
        expect(-position[i * 3 + 2]).toBeLessThan(to);
        expect(Math.abs(position[i * 3] - centre[0])).toBeLessThan(halfWidth);
        expect(Math.abs(position[i * 3 + 1] - centre[1])).toBeLessThan(halfHeight);
      }
    }
  });

  it('stays at its own place on what is not there, and is not carried by what it carries', () => {
    const all = layerElements(pieceWith({ ...thrown, layer: null, speed: 0 }), 'one', 0.3);
    for (let i = 0; i < all.count; i++) expect(apart(placeOf(all, i), [0, 0, 0])).toBeLessThan(1e-6);
    const each = (id: string, layer: string): object => ({
      ...newLayer('stream', id, id, 5),
      ...thrown,
      layer,
      element: 0,
    });
    expect(() => pieceWith({}, [each('a', 'b'), each('b', 'a')])).toThrow(/leads back/);
  });

  it('shows a key of its carrier on later frames too', () => {
    const keyed = (value: number): object =>
      walker({
        treatments: [
          {
            kind: 'drift',
            id: 'd',
            amount: {
              law: 'keyed',
              keys: [
                { id: 'a', at: 0, value: 0, ease: 'hold' },
                { id: 'b', at: 0.1, value, ease: 'hold' },
                { id: 'c', at: 0.12, value: 0, ease: 'hold' },
              ],
            },
          },
        ],
      });
    const [one, other] = [0.1, 0.5].map((value) => frameKeys(pieceWith(thrown, [keyed(value)])));
    expect(one(27)).not.toBe(other(27));
    expect(one(33)).not.toBe(other(33));
  });
});
