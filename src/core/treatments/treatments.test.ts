import { stateReport } from '../seam/report';
import { layerElements, layerPoints, layerExtent } from '../world/layers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runKernel, type KernelValues } from '../kernel/kernel';
import { LAYERS } from '../layers/kinds';
import { type Piece } from '../piece/schema';
import { newTreatment, treatmentOf, type Treatment, type TreatmentKind, TREATMENTS } from './kinds';
import { treatedPiece as pieceWith } from '../../../tests/pieces';

const treat = (kind: TreatmentKind, more: object = {}): Treatment => newTreatment(kind, kind, 1, more);
const unit = fc.double({ min: 0, max: 1, noNaN: true });
const signed = unit.map((u) => u * 2 - 1);
const vector = fc.tuple(signed, signed, signed);

/** What a space kernel makes of one point. */
function bent(kind: TreatmentKind, values: KernelValues, p: readonly number[], weight: number) {
  const { kernel } = treatmentOf(kind);
  if (!kernel) throw new Error('no kernel');
  const columns = {
    p: Float64Array.from(p),
    weight: Float64Array.of(weight),
    q: new Float64Array(3),
    jacobian: new Float64Array(9),
    byWeight: new Float64Array(3),
  };
  runKernel(kernel, 0, 1, values, columns);
  return columns;
}

describe('space maps', () => {
  const maps: [TreatmentKind, fc.Arbitrary<KernelValues>][] = [
    [
      'twist',
      fc.record({
        amount: signed,
        axis: fc.integer({ min: 0, max: 2 }),
        middle: vector,
        length_: unit.map((u) => 2 + 6 * u),
        tiled: fc.integer({ min: 0, max: 1 }),
      }),
    ],
    [
      'bend',
      fc.record({
        amount: signed.map((s) => s * 0.6),
        heading: signed,
        axis: fc.integer({ min: 0, max: 2 }),
        middle: vector,
        length_: unit.map((u) => 2 + 6 * u),
        anchor: signed.map((s) => s * 0.5),
        tiled: fc.integer({ min: 0, max: 1 }),
      }),
    ],
    [
      'taper',
      fc.record({
        amount: signed.map((s) => s * 0.8),
        axis: fc.integer({ min: 0, max: 2 }),
        middle: vector,
        length_: unit.map((u) => 2 + 6 * u),
        waists: fc.integer({ min: 1, max: 4 }),
        tiled: fc.integer({ min: 0, max: 1 }),
      }),
    ],
    [
      'wave',
      fc.record({
        amount: signed.map((s) => s * 0.4),
        direction: fc.constantFrom([0, 1, 0], [1, 0, 0], [0, 0, 1]),
        by: fc.constantFrom([0, 0, 0], [1, 0, 0], [0, 0, 1]),
        waves: unit.map((u) => 0.1 + u),
        beats: fc.integer({ min: -3, max: 3 }),
        middle: vector,
        lap: unit,
      }),
    ],
  ];
  it.each(maps)('%s: Jacobian and derivative by weight are those of central differences', (kind, values) => {
    fc.assert(
      fc.property(values, vector, unit, (v, at, weight) => {
        const p = at.map((x) => x * 1.7);
        const here = bent(kind, v, p, weight);
        const h = 1 / 128;
        for (let column = 0; column < 3; column++) {
          const shifted = (sign: number) => p.map((x, k) => (k === column ? x + sign * h : x));
          const ahead = bent(kind, v, shifted(1), weight).q;
          const behind = bent(kind, v, shifted(-1), weight).q;
          // where a map ends its two sides have different derivatives: both are right there
          const kink = [0, 1, 2].some((row) => Math.abs(ahead[row] + behind[row] - 2 * here.q[row]) / (h * h) > 60);
          if (kink) continue;
          for (let row = 0; row < 3; row++)
            expect(Math.abs((ahead[row] - behind[row]) / (2 * h) - here.jacobian[column * 3 + row])).toBeLessThan(0.03);
        }
        const more = bent(kind, v, p, weight + h).q;
        const less = bent(kind, v, p, weight - h).q;
        for (let row = 0; row < 3; row++)
          expect(Math.abs((more[row] - less[row]) / (2 * h) - here.byWeight[row])).toBeLessThan(0.03);
      }),
      { numRuns: 150 },
    );
  });

  it('an arc keeps lengths along its axis and ends where a circle does', () => {
    // a quarter circle of length 4: radius 8 / π
    const values = { amount: 0.25, heading: 0, axis: 1, middle: [0, 0, 0], length_: 4, anchor: -0.5, tiled: 0 };
    const top = bent('bend', values, [0, 2, 0], 1).q;
    const foot = bent('bend', values, [0, -2, 0], 1).q;
    expect([...foot].map((v) => Math.abs(v - [0, -2, 0][foot.indexOf(v)]) < 1e-5)).not.toContain(false);
    const radius = 8 / Math.PI;
    expect(Math.hypot(top[0], top[2])).toBeCloseTo(radius, 4);
    expect(top[1]).toBeCloseTo(radius - 2, 4);
  });

  it('turning the side it bends to leaves what it holds where it is', () => {
    const at = (heading: number) =>
      bent('bend', { amount: 0.3, heading, axis: 1, middle: [0, 0, 0], length_: 4, anchor: 0, tiled: 0 }, [0, 0, 0], 1)
        .q;
    for (const heading of [0, 0.2, 0.7]) expect(Math.hypot(...at(heading))).toBeLessThan(1e-6);
  });
});

describe('every treatment', () => {
  it.each(TREATMENTS.names)('%s: at no amount everything is as it was', (kind) => {
    for (const layer of LAYERS.names) {
      const plain = layerPoints(pieceWith({ kind: layer }), 'one', 0.3);
      const amount = kind === 'stagger' ? 1 : 0;
      // a shattered body has other vertices, so it is compared with itself elsewhere
      if (kind === 'shatter') continue;
      const treated = layerPoints(pieceWith({ kind: layer }, [treat(kind, { amount })]), 'one', 0.3);
      const most = treated.position.reduce((worst, v, i) => Math.max(worst, Math.abs(v - plain.position[i])), 0);
      expect(most).toBeLessThan(1e-5);
      expect(treated.light).toEqual(plain.light);
    }
  });

  const reaches = fc.record({
    reach: fc.constantFrom('everywhere', 'point', 'plane', 'route', 'order', 'noise'),
    reachInner: unit.map((u) => u * 0.5),
    reachOuter: unit.map((u) => 0.6 + u * 2),
    reachInvert: fc.boolean(),
    reachAhead: fc.constantFrom<unknown>(3, { law: 'wound', start: 1, perLap: 8 }),
  });
  const amountOf: Record<TreatmentKind, (u: number) => unknown> = {
    disorder: (u) => ({ law: 'swing', middle: u, reach: u, cycles: 2, wave: 'sine', shift: u }),
    drift: (u) => u,
    turn: (u) => ({ law: 'wound', start: u, perLap: Math.round(u * 3) }),
    stagger: (u) => ({ law: 'swing', middle: 0.5, reach: u / 2, cycles: 1, wave: 'sine', shift: u }),
    leap: (u) => u,
    appear: (u) => u,
    pulse: (u) => u,
    face: (u) => u,
    stand: (u) => u,
    snap: (u) => u,
    trails: (u) => u,
    shatter: (u) => ({ law: 'swing', middle: 0.5, reach: u / 2, cycles: 1, wave: 'sine', shift: u }),
    twist: (u) => Math.round(u * 3),
    bend: (u) => u * 60,
    taper: (u) => u * 1.2 - 0.6,
    wave: (u) => u * 0.5,
  };
  // what turns only in part comes back the way it went: see turn.ts
  const amountFor = (kind: TreatmentKind, reach: string, u: number) =>
    kind === 'turn' && reach !== 'everywhere'
      ? { amount: { law: 'swing', middle: 0, reach: u, cycles: 1, wave: 'sine', shift: 0 } }
      : { amount: amountOf[kind](u) };
  const axes = fc.constantFrom('along', 'up', 'aside');
  const treatment = (kind: TreatmentKind) =>
    fc
      .record({
        reach: reaches,
        u: unit,
        axis: axes,
        seed: fc.integer({ min: 0, max: 1e6 }),
        what: fc.constantFrom('all', 'each'),
      })
      .map(({ reach, u, axis, seed, what }) =>
        treat(kind, { ...reach, axis, seed, what, ...amountFor(kind, reach.reach, u) }),
      );
  const layers = fc.constantFrom(
    { kind: 'field', shape: 'box' } as const,
    { kind: 'field', shape: 'ball', width: 3, height: 3, depth: 3 } as const,
    { kind: 'field', shape: 'grid', width: 3, height: 2, count: 80 } as const,
    { kind: 'tunnel', twist: 0.2, wobble: 0.2 } as const,
    { kind: 'tunnel', twist: 0, route: 'helix', helixRadius: 0.8, helixTurns: 1 } as const,
    { kind: 'tunnel', twist: 1, route: 'onward', section: 'drawn', nested: 0 } as const,
    { kind: 'copies', arrangement: 'ring', count: 9 } as const,
    { kind: 'copies', arrangement: 'line', count: 6, fill: true, source: 'frame' } as const,
    { kind: 'copies', arrangement: 'scatter', count: 40, fill: true, distance: 0.2 } as const,
    { kind: 'copies', arrangement: 'route', count: 12, winds: 2, source: 'cone' } as const,
  );

  it.each(TREATMENTS.names)('%s closes on every layer, whatever the interface offers', (kind) => {
    fc.assert(
      fc.property(layers, treatment(kind), fc.integer({ min: 0, max: 2 }), (layer, t, tilesPerLap) => {
        const { findings } = stateReport(pieceWith(layer, [t], { route: { kind: 'run', tilesPerLap } }));
        expect(findings.filter(({ ok }) => !ok).map((f) => `${f.subject}: ${f.says}`)).toEqual([]);
      }),
      { numRuns: 24 },
    );
  });

  it.each(TREATMENTS.names)('%s closes on what is carried around a ring or a closed curve', (kind) => {
    const closed = fc.constantFrom(
      { kind: 'tunnel', route: 'ring', ringRadius: 4, twist: 0.2 } as const,
      { kind: 'tunnel', route: 'closed', twist: 1, section: 'drawn' } as const,
    );
    fc.assert(
      fc.property(closed, treatment(kind), (layer, t) => {
        const { findings } = stateReport(
          pieceWith(layer, [{ ...t, reachAhead: 1 }], { route: { kind: 'run', tilesPerLap: 0 } }),
        );
        expect(findings.filter(({ ok }) => !ok).map((f) => `${f.subject}: ${f.says}`)).toEqual([]);
      }),
      { numRuns: 12 },
    );
  });

  it.each(TREATMENTS.names)('%s: no NaN, and nothing leaves the extent that is stated', (kind) => {
    fc.assert(
      fc.property(layers, treatment(kind), treatment('drift'), unit, (layer, t, air, phase) => {
        const piece = pieceWith(layer, [t, { ...air, id: 'air' }]);
        const points = layerPoints(piece, 'one', phase * 3);
        for (const list of [points.position, points.scale, points.place, points.light])
          expect(list.every(Number.isFinite)).toBe(true);
        const { halfWidth, halfHeight, centre, from, to, bend, carried } = layerExtent(piece, piece.layers[0]);
        let outside = -Infinity;
        for (let i = 0; i < points.count; i++) {
          const [x, y, z] = points.position.subarray(i * 3, i * 3 + 3);
          outside = Math.max(
            outside,
            Math.abs(x - centre[0]) - halfWidth - bend - carried,
            Math.abs(y - centre[1]) - halfHeight - bend - carried,
            from - carried + z,
            -z - to - carried,
          );
        }
        expect(outside).toBeLessThan(1e-4);
      }),
      { numRuns: 30 },
    );
  });
});

describe('what the seam report says of treatments', () => {
  const failures = (piece: Piece): string[] =>
    stateReport(piece)
      .findings.filter(({ ok }) => !ok)
      .map(({ id }) => id);
  const ring = {
    kind: 'copies',
    arrangement: 'ring',
    count: 20,
    source: 'box',
    gradient: [{ at: 0, colour: '#888888' }],
    placeBy: 'order',
    spread: 0,
  } as const;
  const turned = (perLap: number, more: object = {}): Piece =>
    pieceWith({ ...ring, ...more }, [treat('turn', { amount: { law: 'wound', start: 0, perLap } })]);

  it('a ring of 20 may turn by 1/20 a lap when all look alike, and only then', () => {
    expect(failures(turned(1 / 20))).toEqual([]);
    expect(failures(turned(1 / 7))).toEqual(
      expect.arrayContaining(['layer:one', 'value:layers.0.treatments.0.amount']),
    );
    const two = [
      { at: 0, colour: '#222222' },
      { at: 1, colour: '#eeeeee' },
    ];
    expect(failures(turned(1 / 20, { spread: 1, placeBy: 'chance', gradient: two }))).toContain('layer:one');
    // in one colour all look alike, wherever on the gradient they are
    expect(failures(turned(1 / 20, { spread: 1, placeBy: 'chance' }))).toEqual([]);
  });

  it('a box turned by a quarter about itself is the same box', () => {
    const each = (perLap: number): Piece =>
      pieceWith({ ...ring, count: 5 }, [treat('turn', { what: 'each', amount: { law: 'wound', start: 0, perLap } })]);
    expect(failures(each(1 / 4))).toEqual([]);
    expect(failures(each(1 / 3))).toContain('layer:one');
  });

  it('a twist that does not tile is named and mended, also when it moves', () => {
    const twisted = (amount: unknown): Piece => pieceWith({ kind: 'tunnel', twist: 0 }, [treat('twist', { amount })]);
    expect(failures(twisted(0.4))).toEqual([]);
    expect(failures(twisted(0.33))).toContain('value:layers.0.treatments.0.amount');
    const swinging = twisted({ law: 'swing', middle: 0.4, reach: 0.1, cycles: 1, wave: 'sine', shift: 0 });
    const finding = stateReport(swinging).findings.find(({ id }) => id === 'value:layers.0.treatments.0.amount');
    expect(finding).toMatchObject({ ok: false, repair: { value: 0.4 } });
  });

  it('a layer that stands once fails when the camera travels on', () => {
    const once = pieceWith({ kind: 'copies', once: true }, [], { route: { kind: 'run', tilesPerLap: 1 } });
    expect(failures(once)).toEqual(['layer:one']);
    expect(failures(pieceWith({ kind: 'copies', once: true }, [], { route: { kind: 'run', tilesPerLap: 0 } }))).toEqual(
      [],
    );
  });
});

describe('any treatment', () => {
  it('a treatment that is off does nothing', () => {
    const plain = layerElements(pieceWith({ kind: 'field' }), 'one', 0.4);
    const off = layerElements(pieceWith({ kind: 'field' }, [treat('drift', { off: true, amount: 2 })]), 'one', 0.4);
    expect(off.position).toEqual(plain.position);
  });
});
