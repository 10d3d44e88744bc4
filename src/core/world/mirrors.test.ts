import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { dot, type Vec3 } from '../space/vector';
import { newTreatment, type Treatment } from '../treatments/kinds';
import { mirrored, mirrorsOf, planeOf, type Plane } from './mirrors';

/** Where a ground of some fields lies at a phase. */
function groundPlane(fields: object, treatments: Treatment[] = [], phase = 0): Plane | null {
  const piece = pieceOf({ kind: 'ground', mirrors: 'all', ...fields, treatments });
  return planeOf(piece, piece.layers[0], phase);
}

describe('what lies in a plane', () => {
  it('is water, at its level', () => {
    const plane = groundPlane({ surface: 'water', above: -1.4 });
    expect(plane?.along).toBeCloseTo(-1.4, 12);
    expect(plane?.normal).toEqual([expect.closeTo(0, 12), 1, expect.closeTo(0, 12)]);
  });

  it('is water that goes up and down, where it is at a phase', () => {
    const treatments = [{ ...newTreatment('wave', 'wave'), amount: 0.4, wavelength: 8 } as Treatment];
    const [low, high] = [0.1, 0.25].map((phase) => groundPlane({ surface: 'water' }, treatments, phase)?.along ?? 0);
    expect(Math.abs(high - low)).toBeGreaterThan(0);
  });

  it('is land without hills, of however many cells', () => {
    const plane = groundPlane({ relief: 0, above: 0.25, rows: 200 });
    expect(plane?.along).toBeCloseTo(0.25, 12);
    expect(plane?.normal[1]).toBeCloseTo(1, 12);
  });

  it('is not land with hills, nor water out of shape', () => {
    expect(groundPlane({ relief: 0.5 })).toBeNull();
    expect(groundPlane({ surface: 'water' }, [newTreatment('disorder', 'disorder')])).toBeNull();
  });

  it('mirrors where it is asked for, seen and flat', () => {
    const asked = (more: object): boolean =>
      mirrorsOf(pieceOf({ kind: 'ground', surface: 'water', mirrors: 'all', ...more })).length > 0;
    expect([{}, { mirrors: 'sky' }, { hidden: true }].map(asked)).toEqual([true, false, false]);
    expect([1, 0].map((relief) => asked({ surface: 'land', relief }))).toEqual([false, true]);
  });

  it('is as far behind a mirror as it is before it, straight across', () => {
    const plane: Plane = { normal: [0.6, 0.8, 0], along: 1.5 };
    const p: Vec3 = [3, -2, 5];
    const q = mirrored(plane, p);
    expect(dot(plane.normal, q) - plane.along).toBeCloseTo(plane.along - dot(plane.normal, p), 12);
    expect(mirrored(plane, q)).toEqual(p.map((v) => expect.closeTo(v, 12) as number));
    // straight across: nothing moves along the plane
    expect(dot([-0.8, 0.6, 0], q)).toBeCloseTo(dot([-0.8, 0.6, 0], p), 12);
  });
});
