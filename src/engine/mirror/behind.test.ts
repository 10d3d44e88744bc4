import * as THREE from 'three';
import { describe, expect, it } from 'vitest';
import { mirrored, type Plane } from '../../core/world/mirrors';
import type { Vec3 } from '../../core/space/vector';
import { behind, nearSide, towardsEye, type Sees } from './behind';

const PLANE: Plane = { normal: [0.28, 0.96, 0], along: -1.2 };
const VIEW = new THREE.Matrix4()
  .compose(
    new THREE.Vector3(0.4, 1.1, 3),
    new THREE.Quaternion().setFromEuler(new THREE.Euler(-0.3, 0.5, 0.1)),
    new THREE.Vector3(1, 1, 1),
  )
  .invert();
const LENS: Sees = { width: 320, height: 180, pixelFocal: 300, flat: 0, focus: 4, far: 60, lens: [0.03, -0.02] };
const seenIn = (view: THREE.Matrix4, p: Vec3): THREE.Vector3 => new THREE.Vector3(...p).applyMatrix4(view);

describe('an eye behind a mirror', () => {
  it('sees a thing where its image is seen, turned over from left to right', () => {
    const own = behind(VIEW, PLANE);
    for (const p of [
      [1, 2, -6],
      [-3, 0.2, -2],
      [0, 9, -30],
    ] as Vec3[]) {
      const thing = seenIn(own, p);
      const image = seenIn(VIEW, mirrored(PLANE, p));
      expect(thing.x).toBeCloseTo(-image.x, 10);
      expect(thing.y).toBeCloseTo(image.y, 10);
      expect(thing.z).toBeCloseTo(image.z, 10);
    }
    // a view like any other
    expect(own.determinant()).toBeCloseTo(1, 10);
  });

  it('is as far from the mirror as the eye before it', () => {
    expect(towardsEye(PLANE, VIEW).w).toBeCloseTo(0.28 * 0.4 + 0.96 * 1.1 + 1.2, 10);
    expect(towardsEye(PLANE, behind(VIEW, PLANE)).w).toBeCloseTo(towardsEye(PLANE, VIEW).w, 10);
  });

  it.each([
    ['with perspective', LENS],
    ['without', { ...LENS, flat: 3, far: 90 }],
  ])(
    'has the mirror for its near side, and all of the picture before its far side, in order of depth: %s',
    (_, lens) => {
      const side = nearSide(PLANE, behind(VIEW, PLANE), lens);
      const [own, away] = [new THREE.Vector3(side.x, side.y, side.z), side.w];
      // as frame/view.glsl has it: depth in the buffer, of a place in the view
      const depthOf = (v: THREE.Vector3): number => (own.dot(v) + away) / (lens.flat > 0 ? 1 : -v.z) - 1;
      for (const [px, py] of [
        [-160, -90],
        [160, 90],
        [0, 0],
        [160, -90],
        [-40, 60],
      ]) {
        // along the line of sight of a pixel from the point of the lens it looks through
        const at = (d: number): THREE.Vector3 => {
          const over = lens.flat > 0 ? lens.flat : d;
          const shift = (d - lens.focus) / (lens.flat > 0 ? lens.flat : lens.focus);
          return new THREE.Vector3(
            (px * over) / lens.pixelFocal - lens.lens[0] * shift,
            (py * over) / lens.pixelFocal - lens.lens[1] * shift,
            -d,
          );
        };
        let before = -Infinity;
        for (const d of [0.5, 1, 2, 5, 12, 30, 59]) {
          const depth = depthOf(at(d));
          if (own.dot(at(59)) > own.dot(at(0.5))) expect(depth).toBeGreaterThan(before);
          expect(depth).toBeLessThanOrEqual(1);
          before = depth;
        }
      }
      const onIt = seenIn(behind(VIEW, PLANE), [-1.2 * 0.28 - 0.96 * 2, -1.2 * 0.96 + 0.28 * 2, -7]);
      expect(depthOf(onIt)).toBeCloseTo(-1, 9);
    },
  );
});
