import fc from 'fast-check';
import { Matrix4, Quaternion as ThreeQuaternion, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import {
  cross,
  fromAxis,
  fromColumns,
  length,
  multiply,
  normalize,
  rotate,
  subtract,
  type Quaternion,
  type Vec3,
} from './vector';

// three's own classes are the outside reference
const number = fc.double({ min: -1, max: 1, noNaN: true });
const vector = fc.tuple(number, number, number).filter((v) => length(v as Vec3) > 0.1) as fc.Arbitrary<Vec3>;
const rotation = fc
  .tuple(vector, fc.double({ min: -7, max: 7, noNaN: true }))
  .map(([axis, angle]) => fromAxis(normalize(axis), angle));
const near = (a: readonly number[], b: readonly number[]): void => a.forEach((v, i) => expect(v).toBeCloseTo(b[i], 9));

describe('vectors and rotations', () => {
  it('turn as three turns', () => {
    fc.assert(
      fc.property(rotation, rotation, vector, (a, b, v) => {
        const three = new ThreeQuaternion(...a).multiply(new ThreeQuaternion(...b));
        near(multiply(a, b), three.toArray());
        near(rotate(a, v), new Vector3(...v).applyQuaternion(new ThreeQuaternion(...a)).toArray());
      }),
    );
  });

  it('a rotation from its own columns is itself, up to sign', () => {
    fc.assert(
      fc.property(rotation, (q) => {
        const columns = (
          [
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ] as Vec3[]
        ).map((e) => rotate(q, e)) as [Vec3, Vec3, Vec3];
        const back = fromColumns(...columns);
        const sign = Math.sign(back.reduce((sum, v, i) => sum + v * q[i], 0));
        near(
          back.map((v) => v * sign),
          q,
        );
        const basis = new Matrix4().makeBasis(
          ...(columns.map((c) => new Vector3(...c)) as [Vector3, Vector3, Vector3]),
        );
        const three = new ThreeQuaternion().setFromRotationMatrix(basis).toArray() as Quaternion;
        const other = Math.sign(back.reduce((sum, v, i) => sum + v * three[i], 0));
        near(
          back.map((v) => v * other),
          three,
        );
      }),
    );
  });

  it('a cross product stands on both of its vectors', () => {
    fc.assert(
      fc.property(vector, vector, (a, b) => {
        near(cross(a, b), new Vector3().crossVectors(new Vector3(...a), new Vector3(...b)).toArray());
        near(subtract(cross(a, b), cross(b, a).map((v) => -v) as Vec3), [0, 0, 0]);
      }),
    );
  });
});
