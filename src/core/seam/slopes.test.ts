import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { setAt } from '../piece/paths';
import type { Piece } from '../piece/schema';
import { evaluateAnimated, type Animated } from '../time/animated';
import { stateReport } from './report';
import { smoothAtSeam } from './slopes';

const keyed = (ease: string, ...values: readonly (readonly [number, number])[]): Animated =>
  ({ law: 'keyed', keys: values.map(([at, value]) => ({ id: String(at), at, value, ease })) }) as Animated;
/** There and back: a corner at the seam. */
const corner = keyed('linear', [0, 0], [0.4, 2]);

const still = { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 } };
const finding = (piece: Piece, id: string) => stateReport(piece).findings.find((one) => one.id === id);
const repaired = (piece: Piece, id: string): Piece => {
  const repair = finding(piece, id)?.repair;
  if (!repair) throw new Error('nothing mends it');
  return setAt(piece, repair.path, repair.value);
};

describe('slopes at the seam', () => {
  it('a camera that turns a corner there is named, and mended by its own value alone', () => {
    const route = { kind: 'keys', aside: corner, above: keyed('smooth', [0, 0], [0.5, 1]), ahead: 0 };
    const piece = pieceOf({ kind: 'copies' } as never, { flight: { route } });
    expect(finding(piece, 'camera')).toMatchObject({ ok: false, repair: { path: ['flight', 'route', 'aside'] } });
    const mended = repaired(piece, 'camera');
    expect(stateReport(mended).ok).toBe(true);
    // it still goes through its keys, and all else is as it was
    const aside = (mended.flight.route as { aside: Animated }).aside;
    expect([0, 0.4].map((at) => evaluateAnimated(aside, at))).toEqual([0, 2]);
    expect(mended.layers).toEqual(piece.layers);
  });

  it('a way that breaks off there is seen also where the view is whipped round at the same moment', () => {
    const route = { kind: 'keys', aside: keyed('smooth', [0, 0], [0.4, 2]), above: corner, ahead: 0 };
    const piece = pieceOf({ kind: 'copies' } as never, { flight: { route, aim: 'ahead' } });
    expect(finding(piece, 'camera')).toMatchObject({ ok: false, repair: { path: ['flight', 'route', 'above'] } });
  });

  it('several values are mended at once where no one is to blame alone', () => {
    const route = { kind: 'keys', aside: corner, above: corner, ahead: 0 };
    const piece = pieceOf({ kind: 'copies' } as never, { flight: { route } });
    expect(finding(piece, 'camera')?.repair).toMatchObject({
      path: ['flight'],
      says: 'Match the slopes of 2 values at the seam',
    });
    expect(stateReport(repaired(piece, 'camera')).ok).toBe(true);
  });

  it('a layer that is carried round a corner there is mended too', () => {
    const piece = pieceOf({ kind: 'copies', arrangement: 'ring', count: 5, aside: corner } as never, { flight: still });
    expect(finding(piece, 'layer:one')).toMatchObject({ ok: false, repair: { path: ['layers', 0, 'aside'] } });
    expect(stateReport(repaired(piece, 'layer:one')).ok).toBe(true);
  });

  it('offers nothing where it meets, where it does not come back, or where no key stands there', () => {
    const smooth = pieceOf({ kind: 'copies', aside: keyed('smooth', [0, 0], [0.4, 2]) } as never, { flight: still });
    expect(finding(smooth, 'layer:one')).toMatchObject({ ok: true, repair: null });
    const gone = pieceOf({ kind: 'copies', aside: { law: 'wound', start: 0, perLap: 1 } } as never, { flight: still });
    expect(finding(gone, 'layer:one')).toMatchObject({ ok: false, repair: null });
    const away = keyed('linear', [0.2, 0], [0.6, 2]) as Parameters<typeof smoothAtSeam>[0];
    expect(smoothAtSeam(away)).toBe(away);
  });
});
