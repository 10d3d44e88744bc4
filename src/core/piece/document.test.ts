import { parsePiece } from '../world/open';
import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { toDocument } from './document';
import type { Piece } from './schema';

const demos = readdirSync('demo').map(
  (name) => JSON.parse(readFileSync(`demo/${name}`, 'utf8')) as { version: number; piece: Piece },
);
const [demo] = demos;

const broken = (change: (piece: Record<string, unknown>) => void): unknown => {
  const copy = structuredClone(demo) as unknown as { piece: Record<string, unknown> };
  change(copy.piece);
  return copy;
};
const problems = (json: unknown): string => {
  const parsed = parsePiece(json);
  return parsed.ok ? 'none' : parsed.problems.map(({ where, what }) => `${where}: ${what}`).join('\n');
};

describe('documents', () => {
  it('every demo piece reads, has no unknown field, and survives writing and reading', () => {
    expect(demos.length).toBeGreaterThanOrEqual(3);
    for (const json of demos) {
      const parsed = parsePiece(json);
      if (!parsed.ok) throw new Error(problems(json));
      expect(parsed.unknown).toEqual([]);
      const again = parsePiece(JSON.parse(JSON.stringify(toDocument(parsed.piece))));
      expect(again.ok && again.piece).toEqual(parsed.piece);
    }
  });

  it.each([null, 3, 'text', [], {}, { format: 'other', version: 1, piece: {} }])('refuses other JSON: %j', (json) => {
    expect(problems(json)).toMatch(/not an Isomorph piece/);
  });

  it('refuses a newer version, and says so', () => {
    expect(problems({ ...demo, version: 99 })).toMatch(/newer Isomorph.*99/);
  });

  it('names the place of a value out of range, with the range', () => {
    const json = broken((piece) => ((piece.layers as Record<string, unknown>[])[0].size = 9000));
    expect(problems(json)).toMatch(/^layers\.0\.size: must be between/);
    const frames = broken((piece) => ((piece.lap as Record<string, unknown>).frames = 1));
    expect(problems(frames)).toMatch(/lap\.frames: must be at least 2/);
  });

  it('checks the numbers inside animated values', () => {
    const json = broken(
      (piece) =>
        ((piece.flight as Record<string, unknown>).focalMm = {
          law: 'keyed',
          keys: [{ id: 'a', at: 0, value: -5, ease: 'linear' }],
        }),
    );
    expect(problems(json)).toMatch(/flight\.focalMm/);
    const empty = broken((piece) => ((piece.flight as Record<string, unknown>).focalMm = { law: 'keyed', keys: [] }));
    expect(problems(empty)).toMatch(/flight\.focalMm/);
  });

  it('refuses two layers of one id', () => {
    const json = broken((piece) => (piece.layers as unknown[]).push((piece.layers as unknown[])[0]));
    expect(problems(json)).toMatch(/used by two layers/);
  });

  it('keeps fields it does not know, and lists them', () => {
    const json = broken((piece) => {
      piece.clientNote = 'less pink';
      (piece.look as Record<string, unknown>).aurora = 3;
    });
    const parsed = parsePiece(json);
    expect(parsed.ok && parsed.unknown).toEqual(['clientNote', 'look.aurora']);
    expect(parsed.ok && (parsed.piece as Record<string, unknown>).clientNote).toBe('less pink');
  });
});

describe('documents of version 1', () => {
  const version1 = {
    format: 'isomorph',
    version: 1,
    piece: {
      id: 'old',
      name: 'Old',
      lap: { frames: 100, rate: { num: 25, den: 1 } },
      layers: [
        { kind: 'field', id: 'motes', name: 'Motes', seed: 4, drift: 0.4, driftScale: 3, driftCycles: 2 },
        { kind: 'field', id: 'still', name: 'Still', drift: 0 },
        {
          kind: 'tunnel',
          id: 'rings',
          name: 'Rings',
          radius: 2,
          disorder: 0.1,
          build: 'wire',
          spin: { law: 'wound', start: 0, perLap: 0.2 },
        },
        { kind: 'tunnel', id: 'wall', name: 'Wall', build: 'skin', disorder: 0 },
      ],
      flight: {},
      look: {},
    },
  };

  it('drift, spin and disorder become treatments, and what a tunnel is made of two fields', () => {
    const parsed = parsePiece(version1);
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    const [motes, still, rings, wall] = parsed.piece.layers;
    expect(parsed.unknown).toEqual([]);
    expect(motes.treatments).toMatchObject([{ kind: 'drift', amount: 0.4, scale: 3, cycles: 2, seed: 4 }]);
    expect(still.treatments).toEqual([]);
    expect(rings.treatments).toMatchObject([
      { kind: 'disorder', shiftX: 0.1 },
      { kind: 'turn', what: 'each', amount: { law: 'wound', perLap: 0.2 } },
    ]);
    expect(rings).toMatchObject({ lines: 'net', wall: 'none' });
    expect(wall).toMatchObject({ lines: 'none', wall: 'skin', treatments: [] });
  });

  it('the route and the hand of version 2 keep what they do', () => {
    const flight = { route: 'along', follow: 'rings', tilesPerLap: 2, start: 1, shake: 'walking', shakeScale: 0.5 };
    const parsed = parsePiece({ ...version1, version: 2, piece: { ...version1.piece, layers: [], flight } });
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    expect(parsed.unknown).toEqual([]);
    expect(parsed.piece.flight).toMatchObject({
      route: { kind: 'along', follow: 'rings', tilesPerLap: 2, start: 1 },
      horizon: 'carried',
      handUp: 0.2,
      handUpHz: 1.5,
      handScale: 0.5,
    });
    const still = parsePiece({ ...version1, version: 2, piece: { ...version1.piece, layers: [], flight: {} } });
    expect(still).toMatchObject({ ok: true, piece: { flight: { route: { kind: 'run', tilesPerLap: 1 }, handUp: 0 } } });
  });

  it('what is not a piece at all is still named by the validation', () => {
    expect(parsePiece({ format: 'isomorph', version: 1, piece: { layers: 'none' } })).toMatchObject({ ok: false });
    expect(parsePiece({ format: 'isomorph', version: 1, piece: 7 })).toMatchObject({ ok: false });
  });
});
