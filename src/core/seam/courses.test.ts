import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newEffect } from '../look/effects/kinds';
import { setAt } from '../piece/paths';
import type { Piece } from '../piece/schema';
import type { Animated } from '../time/animated';
import { stateReport } from './report';

const keys = (ease: string, ...list: readonly (readonly [number, unknown])[]) => ({
  law: 'keyed',
  keys: list.map(([at, value], i) => ({ id: String(i), at, value, ease })),
});
const still = { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 } };
const lookOf = (exposure: unknown, more: object = {}): Piece =>
  pieceOf(
    { kind: 'field', count: 12 },
    {
      flight: still,
      look: { effects: [{ ...newEffect('tone', 't'), exposure: exposure as Animated }], ...more },
    },
  );
const open = (piece: Piece) => stateReport(piece).findings.filter(({ ok }) => !ok);
const repaired = (piece: Piece): Piece =>
  open(piece).reduce((so, { repair }) => (repair ? setAt(so, repair.path, repair.value) : so), piece);

describe('what comes back and breaks off at the seam', () => {
  it('an effect that turns a corner there alone is named, and mended by smoothing it', () => {
    const piece = lookOf({
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value: 0, ease: 'linear' },
        { id: 'b', at: 0.5, value: 1, ease: [0.2, 0, 0.9, 1] },
      ],
    });
    // it leaves the seam at full pace and comes in at none; in the middle it turns a corner too
    expect(open(piece)).toEqual([]);
    const alone = lookOf(keys('smooth', [0, 0], [0.3, 0.4], [0.7, 0.5]));
    expect(open(alone)).toEqual([]);
    const corner = setAt(alone, ['look', 'effects', 0, 'exposure', 'keys', 2, 'ease'], [0.6, 0, 1, 0.4]);
    expect(open(corner)).toMatchObject([
      { id: 'course:look.effects.0.exposure', gap: 0, repair: { path: ['look', 'effects', 0, 'exposure'] } },
    ]);
    expect(open(repaired(corner))).toEqual([]);
  });

  it('one that jumps there alone is named, and one that does so on every beat is not', () => {
    const ramp = (...beats: number[]): unknown => ({
      law: 'keyed',
      keys: beats.flatMap((at, i) => [
        { id: `u${i}`, at, value: 0, ease: 'linear' },
        { id: `d${i}`, at: at + 0.9 / beats.length, value: 1, ease: 'hold' },
      ]),
    });
    const once = open(lookOf(ramp(0)));
    expect(once).toMatchObject([{ subject: 'Look, Tone, exposure', repair: { value: { law: 'keyed' } } }]);
    expect(once[0].gap).toBeGreaterThan(0.9);
    expect(open(lookOf(ramp(0, 0.25, 0.5, 0.75)))).toEqual([]);
  });

  it('colours and gradients as well', () => {
    const sky = (ease: string, last: string) =>
      lookOf(0, { background: keys(ease, [0, '#000000'], [0.5, '#204060'], [0.8, last]) });
    expect(open(sky('smooth', '#101010'))).toEqual([]);
    const held = setAt(sky('smooth', '#a01010'), ['look', 'background', 'keys', 2, 'ease'], 'hold');
    expect(open(held)).toMatchObject([{ id: 'course:look.background' }]);
    expect(open(repaired(held))).toEqual([]);
  });

  it('an angle that comes to a whole turn has come back', () => {
    const turn = (to: number): Piece =>
      lookOf(0, {
        effects: [
          newEffect('tone', 't'),
          setAt(
            { ...newEffect('move', 'm'), turn: keys('linear', [0, 0], [0.9, to]) },
            ['turn', 'keys', 1, 'ease'],
            'hold',
          ),
        ],
      });
    expect(open(turn(1))).toEqual([]);
    expect(open(turn(0.9))).toMatchObject([{ id: 'course:look.effects.1.turn' }]);
  });

  it('a triangle whose corner stands at the seam is one of several', () => {
    const swing = { law: 'swing', middle: 0, reach: 1, cycles: 1, wave: 'triangle', shift: 0 };
    expect(open(lookOf(swing))).toEqual([]);
  });
});
