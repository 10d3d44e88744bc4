import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newLight } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { cutsOf, flownInParts, partsOfTurn } from './parts';
import { stateReport } from './report';

const ring = (fields: object, look: object = {}): Piece =>
  pieceOf(
    {
      ...{
        kind: 'copies',
        arrangement: 'ring',
        radius: 3,
        align: true,
        source: 'box',
        size: 0.4,
        ahead: 5,
        once: true,
      },
      ...{ variation: 0, placeBy: 'order', gradient: [{ at: 0, colour: '#ffffff' }] },
      ...fields,
    } as never,
    {
      flight: { route: { kind: 'orbit', around: { on: 'point', aside: 0, above: 0, ahead: 5 }, turnsPerLap: 1 } },
      look: { lights: [], ...look },
    },
  );

const reported = (piece: Piece, parts: number) => stateReport(flownInParts(piece, parts) ?? piece);

describe('parts of a turn after which a world looks the same', () => {
  it('are as many as a ring has copies', () => {
    // a ring lies in the plane that faces the way ahead: stood up it goes round the middle
    for (const count of [5, 12, 20]) expect([count, partsOfTurn(ring({ count, pitch: 90 }))]).toEqual([count, count]);
  });

  it('each of them closes, and no more would', () => {
    const piece = ring({ count: 12, pitch: 90 });
    for (const cut of cutsOf(12)) expect([cut, reported(piece, cut).ok]).toEqual([cut, true]);
    expect(reported(piece, 24).ok).toBe(false);
    expect(reported(piece, 5).ok).toBe(false);
  });

  it('are what all layers have in common', () => {
    const [twelve, eight] = [ring({ count: 12, pitch: 90 }), ring({ count: 8, pitch: 90, radius: 2 })];
    const layers = [...twelve.layers, { ...eight.layers[0], id: 'two' }];
    expect(partsOfTurn({ ...twelve, layers })).toBe(4);
  });

  it('are fewer where colours differ, or a lamp stands at one side', () => {
    const ramp = [
      { at: 0, colour: '#ff0000' },
      { at: 1, colour: '#0000ff' },
    ];
    expect(partsOfTurn(ring({ count: 12, pitch: 90, gradient: ramp }))).toBe(1);
    expect(partsOfTurn(ring({ count: 12, pitch: 90 }, { lights: [newLight('point', 'a', { aside: 2 })] }))).toBe(1);
  });

  it('are one in a world of chance, and none on another route', () => {
    expect(partsOfTurn(ring({ arrangement: 'scatter', count: 9 }))).toBe(1);
    expect(partsOfTurn(pieceOf({ kind: 'copies' }))).toBeNull();
  });

  it('are cut by all that divides them', () => {
    expect(cutsOf(20)).toEqual([20, 10, 5, 4, 2]);
    expect(cutsOf(1)).toEqual([]);
  });
});
