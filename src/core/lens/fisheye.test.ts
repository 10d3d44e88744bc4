import { describe, expect, it } from 'vitest';
import { dot, fromAxis, inverse, rotate, type Vec3 } from '../space/vector';
import {
  fisheyePlace,
  fisheyeWay,
  radiansPerPixel,
  raisedBy,
  sidePixels,
  sidesOf,
  type Side,
  OVERLAP,
} from './fisheye';

const DEGREE = Math.PI / 180;
/** Ways all over a sphere, evenly: a spiral of equal steps in height. */
const WAYS = Array.from({ length: 2000 }, (_, i): Vec3 => {
  const z = 1 - (2 * i + 1) / 2000;
  const turn = i * Math.PI * (3 - Math.sqrt(5));
  return [Math.sqrt(1 - z * z) * Math.cos(turn), Math.sqrt(1 - z * z) * Math.sin(turn), z];
});
const fromAxisOf = (way: Vec3): number => Math.acos(Math.max(-1, Math.min(1, -way[2])));

/** Where a side sees a way: shares −1…1 of its half with what goes beyond; null where it does not. */
function placeInSide(way: Vec3, { turn }: Side): [number, number] | null {
  const [x, y, z] = rotate(inverse(turn), way);
  if (z >= 0) return null;
  const at: [number, number] = [x / -z / (1 + OVERLAP), y / -z / (1 + OVERLAP)];
  return Math.max(Math.abs(at[0]), Math.abs(at[1])) < 1 ? at : null;
}

describe('a fisheye', () => {
  it('sees an angle from its axis as far from the middle as that is large', () => {
    for (const degrees of [0.5, 10, 45, 90, 135, 179]) {
      const way = rotate(fromAxis([0, 1, 0], -degrees * DEGREE), [0, 0, -1]);
      const [x, y] = fisheyePlace(way);
      expect(x).toBeCloseTo(degrees * DEGREE, 12);
      expect(y).toBeCloseTo(0, 12);
    }
  });

  it('is undone by the other way round', () => {
    for (const way of WAYS) {
      const back = fisheyeWay(...fisheyePlace(way));
      for (const k of [0, 1, 2]) expect(back[k]).toBeCloseTo(way[k], 10);
    }
    expect(fisheyeWay(0, 0)).toEqual([0, 0, -1]);
    // straight behind: on the rim of a full turn
    expect(fisheyePlace([0, 0, 1])).toEqual([0, Math.PI]);
  });

  it('raised by a right angle has the zenith in its middle, and what the camera faces at the bottom', () => {
    const rotation = raisedBy([0, 0, 0, 1], { angle: Math.PI, raised: 90 * DEGREE });
    const middle = rotate(rotation, [0, 0, -1]);
    expect(middle[1]).toBeCloseTo(1, 12);
    const faced = rotate([-rotation[0], -rotation[1], -rotation[2], rotation[3]], [0, 0, -1]);
    const [x, y] = fisheyePlace(faced);
    expect(x).toBeCloseTo(0, 12);
    expect(y).toBeCloseTo(-Math.PI / 2, 12);
  });
});

describe('the sides of the cube', () => {
  it.each([
    [60, 1],
    [80, 1],
    [100, 5],
    [180, 5],
    [220, 5],
    [300, 6],
    [360, 6],
  ])('of a circle of %i° are %i', (degrees, count) => {
    expect(sidesOf(degrees * DEGREE)).toHaveLength(count);
  });

  it.each([40, 75, 110, 180, 230, 270, 360])(
    'cover a circle of %i°, each way by one, two or three of them',
    (degrees) => {
      const angle = degrees * DEGREE;
      const sides = sidesOf(angle);
      let seams = 0;
      for (const way of WAYS.filter((one) => fromAxisOf(one) <= angle / 2)) {
        const seen = sides.filter((side) => placeInSide(way, side) !== null);
        expect(seen.length).toBeGreaterThanOrEqual(1);
        expect(seen.length).toBeLessThanOrEqual(3);
        if (seen.length > 1) seams++;
      }
      if (degrees >= 110) expect(seams).toBeGreaterThan(0);
    },
  );

  it('see a way where a camera that is turned to them does', () => {
    for (const side of sidesOf(2 * Math.PI)) {
      const [right, up, ahead] = (
        [
          [1, 0, 0],
          [0, 1, 0],
          [0, 0, -1],
        ] as Vec3[]
      ).map((axis) => rotate(side.turn, axis));
      for (const way of WAYS) {
        const at = placeInSide(way, side);
        if (!at) continue;
        const depth = dot(way, ahead);
        expect(at[0] * (1 + OVERLAP)).toBeCloseTo(dot(way, right) / depth, 9);
        expect(at[1] * (1 + OVERLAP)).toBeCloseTo(dot(way, up) / depth, 9);
      }
    }
  });

  it('are as fine in their middle as the circle is', () => {
    const size = { width: 4096, height: 4096 };
    const half = sidePixels(Math.PI, size) / 2 / (1 + OVERLAP);
    // a pixel at the middle of a side spans the angle whose tangent is one by its focal length, which is half its width
    expect(Math.atan(1 / half) / radiansPerPixel(Math.PI, size)).toBeCloseTo(1, 2);
    // the circle fills the shorter side
    expect(radiansPerPixel(Math.PI, { width: 1920, height: 1080 })).toBe(Math.PI / 1080);
  });
});
