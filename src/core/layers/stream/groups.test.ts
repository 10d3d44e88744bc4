import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { migratePiece } from '../../piece/migrate';
import { DOCUMENT_VERSION, PieceSchema } from '../../piece/schema';
import { layerElements, layerExtent } from '../../world/layers';
import type { StreamLayer } from './form';
import { groupValues, type Group } from './groups';

const group = (id: string, more: Partial<Group> = {}): Group => ({
  ...{ id, name: id, share: 1, speed: 1, spread: 1, life: 1, drag: 1, swirl: 1, wind: 1, size: 1, from: 0, to: 1 },
  ...more,
});
const plain = {
  form: 'point',
  rate: 40,
  life: 2,
  lifeSpread: 0,
  drag: 0,
  turbulence: 0,
  spread: 0,
  speedSpread: 0,
  variation: 0,
};
const elements = (groups: Group[], more: Partial<StreamLayer> = {}) =>
  layerElements(pieceOf({ kind: 'stream', above: 0, ahead: 0, ...plain, ...more, groups } as never), 'one', 0.4);

describe('groups of a stream', () => {
  it('share its particles as they say: any that follow one another too', () => {
    const { groupRows, groupTable } = groupValues([group('a', { share: 3 }), group('b'), group('c', { share: 0.5 })]);
    const turns = Array.from({ length: groupRows }, (_, i) => groupTable[i * 4]);
    const count = (of: number[], which: number): number => of.filter((one) => one === which).length;
    expect(count(turns, 0) / groupRows).toBeCloseTo(3 / 4.5, 1);
    expect(count(turns, 2) / groupRows).toBeCloseTo(0.5 / 4.5, 1);
    for (let from = 0; from + 9 <= groupRows; from++) expect(count(turns.slice(from, from + 9), 0)).toBeGreaterThan(4);
    // even ones take turns
    expect(groupValues([group('a'), group('b')]).groupRows).toBe(2);
  });

  it('differ by their factors and by nothing else', () => {
    const own = elements([]);
    const two = elements([group('a'), group('b', { speed: 2, size: 3, from: 0.5, to: 0.75 })], {
      sizeLife: Array(8).fill(1) as number[],
    });
    expect(two.count).toBe(own.count);
    for (let i = 0; i < two.count; i++) {
      if (own.fade[i] === 0) continue;
      const second = two.key[i] % 2 === 1;
      // sent up from the origin, without drag: twice as fast is twice as far
      expect(two.position[i * 3 + 1]).toBeCloseTo(own.position[i * 3 + 1] * (second ? 2 : 1), 5);
      if (second) {
        expect(two.size[i]).toBeCloseTo(0.036, 6);
        expect(two.place[i]).toBeCloseTo(0.5 + 0.25 * own.place[i], 5);
      }
    }
  });

  it('live, drag, swirl and drift on the wind as they say', () => {
    const wild = { drag: 1, turbulence: 1, windX: 1 };
    const lasting = (groups: Group[]): number => elements(groups).fade.filter((v) => v > 0).length;
    expect(lasting([group('a', { life: 0.5 })]) / lasting([])).toBeCloseTo(0.5, 1);
    const mean = (groups: Group[]): number => {
      const { position, fade, count } = elements(groups, wild);
      let [sum, many] = [0, 0];
      for (let i = 0; i < count; i++)
        if (fade[i] > 0) {
          sum += position[i * 3];
          many++;
        }
      return sum / many;
    };
    expect(mean([group('a', { wind: 3, swirl: 0 })])).toBeCloseTo(3 * mean([group('a', { swirl: 0 })]), 5);
    expect(mean([group('a', { drag: 5, swirl: 0 })])).toBeGreaterThan(mean([group('a', { swirl: 0 })]) * 1.5);
    const still = elements([group('a', { swirl: 0 })], { turbulence: 2 });
    for (let i = 0; i < still.count; i++) expect(Math.abs(still.position[i * 3])).toBeLessThan(1e-9);
  });

  it('stay within the extent that is stated for the quickest of them', () => {
    const groups = [group('a'), group('b', { speed: 4, life: 2, wind: 3, swirl: 2, size: 5 })];
    const piece = pieceOf({ kind: 'stream', above: 0, ahead: 0, windY: 0.5, drag: 0.4, groups } as never);
    const { halfWidth, halfHeight, centre } = layerExtent(piece, piece.layers[0]);
    for (const phase of [0, 0.5]) {
      const { position, fade, count } = layerElements(piece, 'one', phase);
      for (let i = 0; i < count; i++) {
        if (fade[i] === 0) continue;
        expect(Math.abs(position[i * 3] - centre[0])).toBeLessThan(halfWidth);
        expect(Math.abs(position[i * 3 + 1] - centre[1])).toBeLessThan(halfHeight);
      }
    }
  });

  it('of a document of version 8 are those that its factors made', () => {
    const old = {
      ...pieceOf({ kind: 'field' } as never),
      layers: [{ kind: 'stream', id: 's', name: 'S', seed: 1, groups: 3, groupSpeed: 0.5, groupLife: 2 }],
    };
    const [layer] = PieceSchema.parse(migratePiece(old, 8, DOCUMENT_VERSION)).layers as StreamLayer[];
    expect(layer.groups.map(({ speed, life, drag, size }) => [speed, life, drag, size])).toEqual([
      [1, 1, 1, 1],
      [0.5, 2, 1, 0.7],
      [0.25, 4, 1, 0.7 ** 2],
    ]);
    const alone = { ...old, layers: [{ kind: 'stream', id: 's', name: 'S', seed: 1, groups: 1 }] };
    expect((PieceSchema.parse(migratePiece(alone, 8, DOCUMENT_VERSION)).layers[0] as StreamLayer).groups).toEqual([]);
  });
});
