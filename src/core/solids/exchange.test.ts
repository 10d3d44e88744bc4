import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { definitionOf } from '../layers/kinds';
import { toDocument } from '../piece/document';
import { stateReport } from '../seam/report';
import { parsePiece } from '../world/open';
import { layerPoints, worldOf } from '../world/layers';
import { newTreatment } from '../treatments/kinds';
import { bodiesOn, ExchangeForm, exchangeWords, type Exchange } from './exchange';

const of = (...fields: Partial<Exchange>[]): Exchange[] =>
  fields.map((one, i) => ExchangeForm.schema.parse({ id: String(i), ...one }));
const elements = { count: 10, numberOf: (i: number) => i, total: 10, seed: 4 };
const on = (exchanges: Exchange[], frame: number, lap = 100): number[] => [
  ...bodiesOn(exchanges, elements, frame, lap),
];

describe('exchanges', () => {
  it('are on whole frames, the last not in them, and go on across the seam', () => {
    const first = (exchange: Partial<Exchange>, frame: number): number => on(of(exchange), frame)[0];
    expect([59, 60, 89, 90].map((f) => first({ from: 60, to: 90 }, f))).toEqual([0, 1, 1, 0]);
    expect([89, 90, 99, 0, 9, 10].map((f) => first({ from: 90, to: 10 }, f))).toEqual([0, 1, 1, 1, 1, 0]);
    expect([89, 90, 99, 0, 9, 10].map((f) => first({ from: 90, to: 110 }, f))).toEqual([0, 1, 1, 1, 1, 0]);
  });

  it('the later of two in the list goes before the earlier', () => {
    const two = of({ from: 10, to: 50 }, { from: 30, to: 70 });
    expect([9, 10, 29, 30, 69, 70].map((f) => on(two, f)[0])).toEqual([0, 1, 1, 2, 2, 0]);
  });

  it('are of every third, beginning with the second', () => {
    expect(on(of({ who: 'every', every: 3, first: 2 }), 80)).toEqual([0, 1, 0, 0, 1, 0, 0, 1, 0, 0]);
  });

  it('are of a share by chance, the same ones on every frame, more of them with a larger share', () => {
    const many = { ...elements, count: 4000, total: 4000 };
    const chosen = (share: number, frame = 70): Uint8Array => bodiesOn(of({ who: 'chance', share }), many, frame, 100);
    const [third, half] = [chosen(0.3), chosen(0.5)];
    // a share of chance: three standard deviations of a binomial count
    expect(Math.abs(third.reduce((sum, v) => sum + v, 0) / 4000 - 0.3)).toBeLessThan(3 * Math.sqrt((0.3 * 0.7) / 4000));
    expect(chosen(0.3, 90)).toEqual(third);
    third.forEach((v, i) => v === 1 && expect(half[i]).toBe(1));
  });

  it('come one by one, in order or by chance, each for as long as the first', () => {
    const inOrder = of({ from: 20, to: 40, wait: 45 });
    const framesOf = (exchanges: Exchange[], element: number): number[] =>
      Array.from({ length: 100 }, (_, f) => f).filter((f) => on(exchanges, f)[element] === 1);
    for (let i = 0; i < 10; i++)
      expect(framesOf(inOrder, i)).toEqual(Array.from({ length: 20 }, (_, k) => 20 + 5 * i + k));
    const byChance = of({ from: 20, to: 40, wait: 45, turns: 'chance' });
    const starts = Array.from({ length: 10 }, (_, i) => framesOf(byChance, i)[0]);
    expect(Array.from({ length: 10 }, (_, i) => framesOf(byChance, i).length)).toEqual(Array(10).fill(20));
    expect([...starts].sort((a, b) => a - b)).not.toEqual(starts);
    expect(Math.max(...starts)).toBeLessThanOrEqual(65);
  });

  it('are of the same elements while fewer are drawn', () => {
    const layer = pieceOf({
      kind: 'copies',
      id: 'c',
      arrangement: 'ring',
      count: 20,
      exchanges: of({ who: 'chance', share: 0.4 }),
    }).layers[0];
    const definition = definitionOf('copies');
    const world = worldOf(pieceOf({ kind: 'copies' }));
    const [all, half] = [1, 0.5].map((share) => [...(definition.bodiesOn?.(layer, share, world, 70) ?? [])]);
    expect(half).toEqual(all.filter((_, i) => i % 2 === 0));
  });

  it('what stands for the layer in the seam’s numbers is of the bodies that are shown', () => {
    const piece = pieceOf({
      ...{ kind: 'copies', id: 'c', source: 'box', bevel: 0, arrangement: 'ring', count: 4 },
      exchanges: of({ body: 'tetrahedron', who: 'every', every: 2 }),
    });
    const { frames } = piece.lap;
    expect(layerPoints(piece, 'c', 20 / frames).count).toBe(4 * 8);
    expect(layerPoints(piece, 'c', 80 / frames).count).toBe(2 * 8 + 2 * 4);
  });

  it('a ring that turns by one of its places closes while all are exchanged together, not while some are', () => {
    const report = (exchanges: Exchange[]): boolean =>
      stateReport(
        pieceOf({
          ...{ kind: 'copies', id: 'c', arrangement: 'ring', count: 8, spread: 0, exchanges },
          treatments: [
            newTreatment('turn', 't', 1, { axis: 'along', amount: { law: 'wound', start: 0, perLap: 1 / 8 } }),
          ],
        }),
      ).ok;
    expect(report([])).toBe(true);
    expect(report(of({ from: 90, to: 10 }))).toBe(true);
    expect(report(of({ from: 90, to: 10, who: 'every', every: 3 }))).toBe(false);
  });

  it('are called by their body and their frames', () => {
    expect(exchangeWords(of({ body: 'torus', from: 3, to: 9 })[0])).toBe('Ring, 3 to 9');
    const model = { hash: 'a'.repeat(64), name: 'Capstan' };
    expect(exchangeWords(of({ body: 'model', model, from: 3, to: 9 })[0])).toBe('Capstan, 3 to 9');
  });

  it('the one that a document of version 7 had is the first of the list', () => {
    const document = toDocument(pieceOf({ kind: 'copies', id: 'c' }));
    const layersOf = (fields: object): unknown => {
      const [{ exchanges: _, ...layer }] = document.piece.layers as unknown as Record<string, unknown>[];
      const read = parsePiece({
        ...document,
        version: 7,
        piece: { ...document.piece, layers: [{ ...layer, ...fields }] },
      });
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      expect(read.unknown).toEqual([]);
      return (read.piece.layers[0] as unknown as { exchanges: Exchange[] }).exchanges;
    };
    expect(layersOf({ exchange: 'torus', exchangeFrom: 12, exchangeTo: 34 })).toEqual([
      expect.objectContaining({ body: 'torus', from: 12, to: 34, who: 'all', wait: 0 }),
    ]);
    expect(layersOf({ exchange: 'none', exchangeFrom: 12, exchangeTo: 34 })).toEqual([]);
    expect(layersOf({})).toEqual([]);
  });
});
