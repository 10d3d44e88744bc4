import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { standAt } from '../../../core/elements/place/form';
import type { CopiesLayer } from '../../../core/layers/copies/form';
import type { Layer, Piece } from '../../../core/piece/schema';
import { evaluateAnimated, type Animated } from '../../../core/time/animated';
import { carried, gripsAt, type StandGrip } from './carried';

const WIDTH = 800;
const HEIGHT = 450;
const FLIGHT = { route: { kind: 'keys', aside: 0.5, above: 1, ahead: 0 }, yaw: 14, pitch: -8, roll: 0.04, focalMm: 32 };
const pieceWith = (layer: object): Piece =>
  pieceOf({ kind: 'copies', once: true, aside: 1, above: 0.4, ahead: 7, ...layer } as never, {
    flight: FLIGHT,
    frame: { width: 1600, height: 900 },
  });

const dragged = (piece: Piece, grip: StandGrip, by: [number, number], reach = 1, phase = 0): Piece => {
  const [layer] = piece.layers;
  const seen = gripsAt(piece, layer, phase);
  if (!seen) throw new Error('out of sight');
  return { ...piece, layers: [{ ...layer, ...carried(layer, grip, seen, by, WIDTH, reach, phase) } as Layer] };
};
const standOf = (piece: Piece, phase = 0) => standAt(piece.layers[0] as CopiesLayer, phase);

describe('the grips in the picture', () => {
  it('what is carried goes with the pointer, pixel for pixel, however the camera is turned', () => {
    const before = pieceWith({});
    const after = dragged(before, 'carry', [60, -35]);
    const [a, b] = [before, after].map((piece) => gripsAt(piece, piece.layers[0], 0));
    // metres are rounded to thousandths: a tenth of a pixel here
    expect(((b?.x ?? 0) - (a?.x ?? 0)) * WIDTH).toBeCloseTo(60, 0);
    expect(((b?.y ?? 0) - (a?.y ?? 0)) * HEIGHT).toBeCloseTo(-35, 0);
    expect(Math.abs((b?.span ?? 0) - (a?.span ?? 0))).toBeLessThan(0.01);
  });

  it('carried away it stays where it is in the picture and is farther off', () => {
    const before = pieceWith({});
    const after = dragged(before, 'away', [0, -80]);
    const [a, b] = [before, after].map((piece) => gripsAt(piece, piece.layers[0], 0));
    expect(b?.span).toBeGreaterThan((a?.span ?? 0) * 1.05);
    expect(standOf(after).ahead).toBeGreaterThan(standOf(before).ahead);
  });

  it('turns, tilts and scales by the pointer', () => {
    const piece = pieceWith({ heading: 10, scale: 2 });
    expect(standOf(dragged(piece, 'turn', [40, 9])).heading).toBe(30);
    expect(standOf(dragged(piece, 'tilt', [9, -30])).pitch).toBe(15);
    expect(standOf(dragged(piece, 'scale', [0, 0], 1.5)).scale).toBe(3);
  });

  it('sets a key where there are keys, at the phase it is seen at', () => {
    const above: Animated = {
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value: 0, ease: 'smooth' },
        { id: 'b', at: 0.5, value: 1, ease: 'smooth' },
      ],
    };
    const after = dragged(pieceWith({ above }), 'carry', [0, -50], 1, 0.25);
    const own = (after.layers[0] as CopiesLayer).above;
    expect(own).toMatchObject({ keys: [{ at: 0, value: 0 }, { at: 0.25 }, { at: 0.5, value: 1 }] });
    expect(evaluateAnimated(own, 0.25)).toBeGreaterThan(evaluateAnimated(above, 0.25) + 0.2);
  });

  it('are not where there is nothing to carry: along a route, hidden, out of sight', () => {
    const gripsOf = (layer: object) => {
      const piece = pieceWith(layer);
      return gripsAt(piece, piece.layers[0], 0);
    };
    expect(gripsOf({})).not.toBeNull();
    expect(gripsOf({ arrangement: 'route' })).toBeNull();
    expect(gripsOf({ hidden: true })).toBeNull();
    expect(gripsOf({ ahead: -3 })).toBeNull();
    // in every tile the nearest before the camera is taken
    expect(gripsOf({ once: false, ahead: -3 })).not.toBeNull();
    const field = pieceOf({ kind: 'field' });
    expect(gripsAt(field, field.layers[0], 0)).toBeNull();
  });
});
