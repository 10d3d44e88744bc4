import type { Tone } from '../look/effects/tone/tone';
import { stateReport } from './report';
import { randomPiece } from '../../../tests/randomPieces';
import { ROUTES } from '../flight/routes/kinds';
import { handFields } from '../flight/handFields';
import { layerElements } from '../world/layers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HANDS, type HandName } from '../flight/hand';
import { PieceSchema, type Piece } from '../piece/schema';
import { newTreatment, type Treatment } from '../treatments/kinds';
import { cameraPose } from '../world/camera';
import { applySymmetry, sceneSymmetry } from './symmetry';

const toneOf = (p: Piece): Tone => {
  const tone = p.look.effects.find((effect) => effect.kind === 'tone');
  if (!tone) throw new Error('a look has a tone');
  return tone;
};

// Properties over random pieces: everything the interface offers closes; what it does not offer is found.
const unit = fc.double({ min: 0, max: 1, noNaN: true });
const fieldLayer = fc.record({
  id: fc.constant('field'),
  kind: fc.constant('field'),
  name: fc.constant('Field'),
  seed: fc.integer({ min: 0, max: 1e6 }),
  shape: fc.constantFrom('box', 'corridor'),
  count: fc.integer({ min: 20, max: 250 }),
  hollow: fc.constant(0.4),
  placeBy: fc.constantFrom('random', 'position', 'noise'),
  placeScale: unit.map((u) => 0.5 + 4 * u),
  placeCycles: fc.integer({ min: 1, max: 6 }),
});
const tunnelLayer = (helix: boolean) =>
  fc
    .record({
      sides: fc.integer({ min: 3, max: 9 }),
      twistSteps: fc.integer({ min: -6, max: 6 }),
      rings: fc.integer({ min: 2, max: 24 }),
      wobble: unit,
      accent: unit,
      nested: unit,
      turns: fc.integer({ min: -2, max: 2 }),
      seed: fc.integer({ min: 0, max: 1e6 }),
    })
    .map(({ sides, twistSteps, turns, nested, wobble, ...rest }) => ({
      id: 'tunnel',
      kind: 'tunnel',
      name: 'Tunnel',
      sides,
      twist: twistSteps / sides,
      nested: nested * 0.9,
      wobble: wobble * 0.5,
      ...(helix ? { route: 'helix', helixTurns: turns, helixRadius: 1.2 } : {}),
      ...rest,
    }));
const closing: fc.Arbitrary<Piece> = fc
  .record({
    field: fieldLayer,
    tunnel: fc.boolean().chain(tunnelLayer),
    tiles: fc.integer({ min: -2, max: 3 }),
    along: fc.boolean(),
    rolls: fc.integer({ min: -2, max: 2 }),
    tile: unit.map((u) => 3 + 12 * u),
    hand: fc.constantFrom<HandName[]>('none', 'standing', 'walking'),
    cycles: fc.integer({ min: 1, max: 5 }),
  })
  .map(({ field, tunnel, tiles, along, rolls, tile, hand, cycles }) =>
    PieceSchema.parse({
      id: 'p',
      name: 'P',
      lap: { frames: 120, rate: { num: 25, den: 1 } },
      tile,
      layers: [field, tunnel],
      flight: {
        route: along ? { kind: 'along', follow: 'tunnel', tilesPerLap: tiles } : { kind: 'run', tilesPerLap: tiles },
        ...handFields(HANDS[hand].swings),
        roll: { law: 'wound', start: 0, perLap: rolls },
        focusM: { law: 'swing', middle: 4, reach: 2, cycles, wave: 'noise', shift: 0.2 },
      },
      look: {
        effects: [
          {
            kind: 'tone',
            id: 't',
            exposure: { law: 'swing', middle: 0, reach: 0.5, cycles, wave: 'sine', shift: 0 },
          },
        ],
      },
    }),
  );

describe('random pieces', () => {
  it('whatever the interface offers closes', () => {
    fc.assert(
      fc.property(closing, (piece) => {
        const { findings } = stateReport(piece);
        expect(findings.filter(({ ok }) => !ok).map((f) => `${f.subject}: ${f.says}`)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  // two hundred, by the fifty: each lot has every kind of route
  it.each([0, 50, 100, 150])(
    'those put together by chance of presets, routes, rigs and chains close, from %i on',
    (from) => {
      const open: string[] = [];
      const routes = new Set<string>();
      for (let seed = from; seed < from + 50; seed++) {
        const piece = randomPiece(seed);
        routes.add(piece.flight.route.kind);
        for (const { ok, subject, says } of stateReport(piece).findings)
          if (!ok) open.push(`${seed}: ${subject} ${says}`);
      }
      expect(open).toEqual([]);
      expect(routes.size).toBe(ROUTES.names.length);
    },
  );

  it('the camera one lap on is the camera carried by the scene’s symmetry', () => {
    fc.assert(
      fc.property(closing, unit, (piece, phase) => {
        const g = sceneSymmetry(piece);
        const here = applySymmetry(g, cameraPose(piece, phase).position);
        const next = cameraPose(piece, phase + 1).position;
        const gap = Math.hypot(...here.map((v, i) => v - next[i]));
        expect(gap).toBeLessThan(1e-6);
      }),
      { numRuns: 80 },
    );
  });

  it('elements do not depend on the lap they are seen in: phases a whole lap apart are equal to float32', () => {
    fc.assert(
      fc.property(closing, fc.integer({ min: 0, max: 63 }), (piece, at) => {
        for (const layer of piece.layers) {
          if (layer.kind === 'tunnel') continue;
          const a = layerElements(piece, layer.id, at / 64);
          const b = layerElements(piece, layer.id, at / 64 + 3);
          const gap = a.position.reduce((most, v, i) => Math.max(most, Math.abs(v - b.position[i])), 0);
          expect(gap).toBeLessThan(1e-4);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('a value that does not close is found, whichever it is', () => {
    const faults: [string, (piece: Piece) => void][] = [
      ['travel', (p) => Object.assign(p.flight.route, { tilesPerLap: 1.37 })],
      ['roll', (p) => (p.flight.roll = { law: 'wound', start: 0, perLap: 0.31 })],
      [
        'focus',
        (p) => (p.flight.focusM = { law: 'swing', middle: 4, reach: 1, cycles: 1.5, wave: 'sine', shift: 0.1 }),
      ],
      ['exposure', (p) => (toneOf(p).exposure = { law: 'wound', start: 0, perLap: 0.4 })],
      ['drift', (p) => p.layers[0].treatments.push({ ...newTreatment('drift', 'faulty'), cycles: 2.4 } as Treatment)],
      ['twist', (p) => Object.assign(p.layers[1], { sides: 5, twist: 0.13 })],
      [
        'spin',
        (p) => {
          Object.assign(p.layers[1], { sides: 5 });
          const amount = { law: 'wound', start: 0, perLap: 0.27 } as const;
          p.layers[1].treatments.push({ ...newTreatment('turn', 'faulty'), what: 'each', amount } as Treatment);
        },
      ],
    ];
    fc.assert(
      fc.property(closing, fc.constantFrom(...faults), (piece, [, plant]) => {
        const faulty = structuredClone(piece);
        plant(faulty);
        expect(stateReport(faulty).ok).toBe(false);
      }),
      { numRuns: 60 },
    );
  });
});
