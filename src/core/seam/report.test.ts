import type { Tone } from '../look/effects/tone/tone';
import { stateReport } from './report';
import { parsePiece } from '../world/open';
import { readFileSync, readdirSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Layer, type Piece } from '../piece/schema';
import { newLight } from '../look/lights/kinds';
import { sceneSymmetry } from './symmetry';
import { mendValues } from './values';

const toneOf = (p: Piece): Tone => {
  const tone = p.look.effects.find((effect) => effect.kind === 'tone');
  if (!tone) throw new Error('a look has a tone');
  return tone;
};

const read = (name: string): Piece => {
  const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}`, 'utf8')));
  if (!parsed.ok) throw new Error(`${name} does not read`);
  return parsed.piece;
};
const tunnel = read('ropewalk-tunnel.isomorph.json');
const spiral = read('slipway-spiral.isomorph.json');

const plant = (piece: Piece, change: (copy: Piece) => void): Piece => {
  const copy = structuredClone(piece);
  change(copy);
  return copy;
};
const turnOf = (layer: Layer) => layer.treatments.find(({ kind }) => kind === 'turn') ?? {};
const failures = (piece: Piece): string[] =>
  stateReport(piece)
    .findings.filter(({ ok }) => !ok)
    .map(({ id }) => id);

describe('state half of the seam report', () => {
  it.each(readdirSync('demo'))('%s closes', (name) => {
    const report = stateReport(read(name));
    expect(report.findings.filter(({ ok }) => !ok).map((f) => `${f.subject}: ${f.says}`)).toEqual([]);
    expect(report.ok).toBe(true);
  });

  it('finds the symmetry that the camera’s advance gives', () => {
    expect(sceneSymmetry(tunnel)).toMatchObject({ kind: 'translation', advance: 8, turns: 0 });
    expect(sceneSymmetry(plant(tunnel, (p) => Object.assign(p.flight.route, { tilesPerLap: 0 }))).kind).toBe(
      'identity',
    );
    const half = plant(spiral, (p) => {
      const [wires] = p.layers;
      if (wires.kind === 'tunnel') wires.helixTurns = 1.25;
    });
    expect(sceneSymmetry(half)).toMatchObject({ kind: 'screw', turns: 0.25 });
  });

  it('names a camera that stops between tiles, and mends it', () => {
    const faulty = plant(tunnel, (p) => Object.assign(p.flight.route, { tilesPerLap: 1.3 }));
    expect(failures(faulty)).toContain('value:flight.route.tilesPerLap');
    const repair = stateReport(faulty).findings.find(({ id }) => id === 'value:flight.route.tilesPerLap')?.repair;
    expect(repair).toMatchObject({ path: ['flight', 'route', 'tilesPerLap'], value: 1 });
  });

  it('names the layer whose turn does not fit its sides', () => {
    const faulty = plant(tunnel, (p) => {
      const frames = p.layers[1];
      Object.assign(turnOf(frames), { amount: { law: 'wound', start: 0, perLap: 1 / 7 } });
    });
    expect(failures(faulty)).toEqual(expect.arrayContaining(['layer:frames', 'value:layers.1.treatments.1.amount']));
    const repair = stateReport(faulty).findings.find(({ id }) => id === 'value:layers.1.treatments.1.amount')?.repair;
    expect(repair?.value).toMatchObject({ law: 'wound', perLap: 0.2 });
  });

  it('names drift with broken cycles, although comparing φ mod 1 with itself would not', () => {
    const faulty = plant(tunnel, (p) => {
      const [motes] = p.layers;
      Object.assign(motes.treatments[0], { cycles: 2.5 });
    });
    expect(failures(faulty)).toEqual(expect.arrayContaining(['layer:motes', 'value:layers.0.treatments.0.cycles']));
  });

  it('names a swing that does not come back and one of the look', () => {
    const faulty = plant(tunnel, (p) => {
      toneOf(p).exposure = { law: 'swing', middle: 0, reach: 1, cycles: 1.5, wave: 'sine', shift: 0 };
    });
    expect(failures(faulty)).toEqual([
      `value:look.effects.${faulty.look.effects.findIndex(({ kind }) => kind === 'tone')}.exposure`,
    ]);
  });

  it('names colours and gradients that do not come back, and what turns by no whole turns, and mends them', () => {
    const faulty = plant(tunnel, (p) => {
      p.look.background = { law: 'swing', from: '#000000', to: '#102040', cycles: 2.4, wave: 'sine', shift: 0 };
      const motes = p.layers[0] as { gradient: unknown };
      motes.gradient = { law: 'wound', start: motes.gradient, perLap: 0.6 };
      p.look.lights = [newLight('panorama', 'all', { turn: { law: 'wound', start: 0.1, perLap: 1.3 } })];
    });
    expect(failures(faulty)).toEqual(
      expect.arrayContaining(['value:look.background', 'value:layers.0.gradient', 'value:look.lights.0.turn']),
    );
    const mended = mendValues(faulty);
    expect(mended.look.background).toMatchObject({ cycles: 2 });
    expect(mended.look.lights[0]).toMatchObject({ turn: { law: 'wound', perLap: 1 } });
    expect(failures(mended)).toEqual([]);
  });

  it('names a twist that does not tile', () => {
    const faulty = plant(tunnel, (p) => {
      const frames = p.layers[1];
      if (frames.kind === 'tunnel') frames.twist = 0.27;
    });
    expect(failures(faulty)).toContain('value:layers.1.twist');
  });

  it('says nothing of hidden layers', () => {
    const faulty = plant(tunnel, (p) => {
      const [motes] = p.layers;
      Object.assign(motes.treatments[0], { cycles: 2.5 });
      motes.hidden = true;
    });
    expect(failures(faulty)).toEqual([]);
  });

  it('repairing every finding in turn always ends in a lap that closes', () => {
    const wrong = fc.record({
      tiles: fc.double({ min: 0.3, max: 4, noNaN: true }),
      spin: fc.double({ min: -2, max: 2, noNaN: true }),
      cycles: fc.double({ min: 0.2, max: 6, noNaN: true }),
      twist: fc.double({ min: -1, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(wrong, ({ tiles, spin, cycles, twist }) => {
        let piece = plant(tunnel, (p) => {
          Object.assign(p.flight.route, { tilesPerLap: tiles });
          const [motes, frames] = p.layers;
          if (motes.kind === 'field') {
            Object.assign(motes.treatments[0], { cycles });
            motes.count = 300;
          }
          if (frames.kind === 'tunnel') {
            Object.assign(turnOf(frames), { amount: { law: 'wound', start: 0, perLap: spin } });
            frames.twist = twist;
          }
        });
        for (let round = 0; round < 8; round++) {
          const repair = stateReport(piece).findings.find((f) => !f.ok && f.repair)?.repair;
          if (!repair) break;
          piece = plant(piece, (p) => {
            const [last, ...path] = [...repair.path].reverse();
            const target = path
              .reverse()
              .reduce<Record<string, unknown>>((o, k) => o[k] as Record<string, unknown>, p as never);
            target[last] = repair.value;
          });
        }
        expect(failures(piece)).toEqual([]);
        expect(PieceSchema.safeParse(piece).success).toBe(true);
      }),
      { numRuns: 8 },
    );
  });

  it.each([
    ['a layer of only one', 1, {}],
    ['a layer of three', 3, {}],
    ['one among sixty', 60, { reach: 'point', reachAbove: 2, reachInner: 0.02, reachOuter: 0.04 }],
  ])('finds a jerk at the seam of %s', (_, count, reach) => {
    const jerking = (ease: 'linear' | 'smooth'): boolean => {
      const piece = PieceSchema.parse({
        id: 'p',
        name: 'P',
        lap: { frames: 100, rate: { num: 25, den: 1 } },
        layers: [
          {
            kind: 'copies',
            id: 'few',
            name: 'Few',
            arrangement: 'ring',
            count,
            radius: 2,
            once: true,
            treatments: [
              {
                kind: 'turn',
                id: 't',
                what: 'all',
                axis: 'up',
                ...reach,
                // there and back: at the seam it turns round at full speed
                amount: {
                  law: 'keyed',
                  keys: [
                    { id: 'a', at: 0, value: 0, ease },
                    { id: 'b', at: 0.5, value: 0.2, ease },
                  ],
                },
              },
            ],
          },
        ],
        flight: { route: { kind: 'run', tilesPerLap: 0 } },
        look: {},
      });
      return stateReport(piece).findings.find(({ id }) => id === 'layer:few')?.ok === false;
    };
    expect([jerking('linear'), jerking('smooth')]).toEqual([true, false]);
  });
});
