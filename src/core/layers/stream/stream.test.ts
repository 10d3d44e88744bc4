import { stateReport } from '../../seam/report';
import { layerElements } from '../../world/layers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../../piece/schema';
import { newLayer } from '../kinds';
import { birthsOf } from './births';

const SECONDS = 10;
const pieceWith = (stream: object, flight: object = {}): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 250, rate: { num: 25, den: 1 } },
    tile: 8,
    layers: [{ ...newLayer('stream', 'one', 'One', 5), ahead: 0, ...stream }],
    flight,
    look: {},
  });
const alive = (piece: Piece, phase: number, share = 1): number =>
  layerElements(piece, 'one', phase, share).light.reduce((sum, v, i, all) => sum + (all[i] > 0 || v > 0 ? 1 : 0), 0);
const constant = { sizeLife: Array(8).fill(1), lightLife: Array(8).fill(1) };

describe('births', () => {
  it('25 a second living 5 s: 125 ± 1 alive at every phase, the first frame included (laws §5)', () => {
    const piece = pieceWith({ rate: 25, life: 5, lifeSpread: 0, ...constant });
    for (let i = 0; i <= 200; i++) expect(Math.abs(alive(piece, i / 200) - 125)).toBeLessThanOrEqual(1);
  });

  it('lives longer than the lap overlap themselves', () => {
    const piece = pieceWith({ rate: 10, life: 23, lifeSpread: 0, ...constant });
    for (let i = 0; i <= 40; i++) expect(Math.abs(alive(piece, i / 40) - 230)).toBeLessThanOrEqual(3);
  });

  it('are rounded to a whole number a lap, which is shown', () => {
    expect(birthsOf(2.34, SECONDS, 1)).toMatchObject({ births: 23, rate: 2.3 });
    expect(birthsOf(0.001, SECONDS, 1).births).toBe(1);
  });

  it('a number alive is what is there', () => {
    const piece = pieceWith({ stated: 'alive', alive: 200, life: 3, lifeSpread: 0, ...constant });
    for (const phase of [0, 0.31, 0.77]) expect(Math.abs(alive(piece, phase) - 200)).toBeLessThanOrEqual(2);
  });

  it('a share keeps the first ones where they are, and spread evenly over the lap', () => {
    const piece = pieceWith({ rate: 40, life: 4, lifeSpread: 0, ...constant });
    const all = layerElements(piece, 'one', 0.3);
    const quarter = layerElements(piece, 'one', 0.3, 0.25);
    const where = new Map(
      Array.from({ length: all.count }, (_, i) => [
        `${all.key[i]}:${all.position.subarray(i * 3, i * 3 + 3).join()}`,
        i,
      ]),
    );
    for (let i = 0; i < quarter.count; i++)
      expect(where.has(`${quarter.key[i]}:${quarter.position.subarray(i * 3, i * 3 + 3).join()}`)).toBe(true);
    for (let i = 0; i < 20; i++) expect(Math.abs(alive(piece, i / 20, 0.25) - 40)).toBeLessThanOrEqual(4);
  });

  it('early death takes some of them', () => {
    const early = alive(pieceWith({ rate: 50, life: 4, lifeSpread: 0, early: 0.5, ...constant }), 0.4);
    expect(early).toBeGreaterThan(120);
    expect(early).toBeLessThan(185);
  });
});

describe('motion in closed form', () => {
  const still = { form: 'point', speedSpread: 0, spread: 0, turbulence: 0, lifeSpread: 0, variation: 0, ...constant };

  it.each([
    ['no drag', { drag: 0, gravity: 3 }],
    ['drag', { drag: 1.3, gravity: 3, windX: 0.7 }],
    ['hardly any drag', { drag: 0.004, gravity: 3, windX: 5 }],
  ])('%s: position is the integral of dv/dt = k (wind − v) + g', (_, forces) => {
    const piece = pieceWith({ ...still, ...forces, rate: 5, life: 4, speed: 2, sent: 'aside' });
    const { drag = 0, gravity = 0, windX = 0 } = forces as { drag?: number; gravity?: number; windX?: number };
    const { position, order, light, count } = layerElements(piece, 'one', 0.5);
    for (let i = 0; i < count; i++) {
      if (light[i] === 0) continue;
      const age = ((((0.5 - order[i]) % 1) + 1) % 1) * SECONDS;
      if (age > 4) continue;
      // a thousand small steps of the same equation
      let [x, y, vx, vy] = [0, 0, 2, 0];
      const dt = age / 4000;
      for (let s = 0; s < 4000; s++) {
        const [ax, ay] = [drag * (windX - vx), -drag * vy - gravity];
        x += (vx + (ax * dt) / 2) * dt;
        y += (vy + (ay * dt) / 2) * dt;
        vx += ax * dt;
        vy += ay * dt;
      }
      expect(position[i * 3]).toBeCloseTo(x, 2);
      expect(position[i * 3 + 1]).toBeCloseTo(y, 2);
    }
  });

  it('what is born on a moving emitter keeps its motion', () => {
    const piece = pieceWith({
      ...still,
      rate: 20,
      life: 2,
      speed: 0,
      drag: 0,
      gravity: 0,
      circle: 1.5,
      circleTurns: 1,
    });
    const { position, order, light, count } = layerElements(piece, 'one', 0.25);
    for (let i = 0; i < count; i++) {
      if (light[i] === 0) continue;
      const laps = (((0.25 - order[i]) % 1) + 1) % 1;
      if (laps * SECONDS > 2) continue;
      const turn = 2 * Math.PI * order[i];
      const pace = (2 * Math.PI * 1.5) / SECONDS;
      // along the tangent from where it was born
      expect(position[i * 3]).toBeCloseTo(1.5 * Math.sin(turn) + Math.cos(turn) * pace * laps * SECONDS, 3);
      expect(position[i * 3 + 1]).toBeCloseTo(1.5 * Math.cos(turn) - Math.sin(turn) * pace * laps * SECONDS, 3);
    }
  });

  it('a surface gives birth on itself', () => {
    const piece = pieceWith({
      ...still,
      form: 'surface',
      source: 'sphere',
      detail: 6,
      width: 2,
      height: 2,
      depth: 2,
      speed: 0,
      drag: 0,
      rate: 40,
    });
    const { position, count } = layerElements(piece, 'one', 0.1);
    for (let i = 0; i < count; i++) {
      const r = Math.hypot(...position.subarray(i * 3, i * 3 + 3));
      expect(r).toBeGreaterThan(0.97);
      expect(r).toBeLessThanOrEqual(1 + 1e-5);
    }
  });
});

it('every stream closes: lives of any length, emitters that move, with and without a travelling camera', () => {
  const unit = fc.double({ min: 0, max: 1, noNaN: true });
  const streams = fc.record({
    form: fc.constantFrom('point', 'box', 'plane', 'ball', 'disc', 'surface'),
    source: fc.constant('sphere'),
    drawn: fc.constantFrom('particles', 'bodies'),
    detail: fc.constant(1),
    rate: unit.map((u) => 0.2 + 10 * u),
    life: unit.map((u) => 0.05 + 24 * u),
    lifeSpread: unit.map((u) => Math.max(0, u * 0.6 - 0.1)),
    early: unit,
    sent: fc.constantFrom('up', 'aside', 'outward'),
    spread: unit,
    speed: unit,
    drag: unit.map((u) => u * 2),
    windY: unit,
    gravity: unit,
    turbulence: unit,
    groups: fc.array(
      fc
        .record({
          share: fc.constantFrom(1, 2.5),
          life: fc.constantFrom(0.4, 1, 1.6),
          speed: fc.constantFrom(0, 1, 2),
          swirl: fc.constantFrom(0, 1),
          to: fc.constantFrom(0.5, 1),
        })
        .map((one) => ({ id: 'g', ...one })),
      { maxLength: 3 },
    ),
    circle: fc.constantFrom(0, 1.2),
    travels: fc.boolean(),
    rounds: fc.integer({ min: -1, max: 2 }),
    placeBy: fc.constantFrom('age', 'chance', 'group', 'birth'),
  });
  fc.assert(
    fc.property(streams, fc.integer({ min: 0, max: 1 }), (stream, tilesPerLap) => {
      const { findings } = stateReport(pieceWith(stream, { route: { kind: 'run', tilesPerLap } }));
      expect(findings.filter(({ ok }) => !ok).map((f) => `${f.subject}: ${f.says}`)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});
