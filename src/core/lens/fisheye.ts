import { fromAxis, multiply, type Quaternion, type Vec3 } from '../space/vector';

// A fisheye sees a circle in which the way from the middle is the angle from the axis: the equidistant projection, r = f θ, which domes are
// projected with. (Source: K. Miyamoto, "Fish Eye Lens", J. Opt. Soc. Am. 54, 1964, from memory; for domes common practice.) A circle
// cannot be drawn as a picture of straight lines is, so the sides of a cube around the eye are, each as a picture of its own, and every
// pixel of the circle looks up the side that it is seen in.

/** What a fisheye sees. */
export interface Fisheye {
  /** radians from edge to edge of the circle, over its middle; up to a full turn */
  angle: number;
  /** radians that the middle of the circle is above where the camera faces */
  raised: number;
}

/** How far the sides of the cube go beyond its edges, as a share of their half: there both are seen, one passing into the other. */
export const OVERLAP = 0.06;

/** A side of the cube around the eye, by the rotation that turns the middle of the picture to its own. */
export interface Side {
  name: 'ahead' | 'left' | 'right' | 'up' | 'down' | 'back';
  turn: Quaternion;
  /** radians from the middle of the picture at which it begins to be seen */
  from: number;
}

const QUARTER = Math.PI / 2;
/** Radians from the middle of a side to the middle of its edges, and to its corners, with what goes beyond. */
const EDGE = Math.atan(1 + OVERLAP);
const CORNER = Math.atan(Math.SQRT2 * (1 + OVERLAP));

const side = (name: Side['name'], axis: Vec3, quarters: number, from: number): Side => ({
  name,
  turn: fromAxis(axis, quarters * QUARTER),
  from,
});

const SIDES: readonly Side[] = [
  side('ahead', [0, 1, 0], 0, 0),
  side('left', [0, 1, 0], 1, QUARTER - EDGE),
  side('right', [0, 1, 0], -1, QUARTER - EDGE),
  side('up', [1, 0, 0], 1, QUARTER - EDGE),
  side('down', [1, 0, 0], -1, QUARTER - EDGE),
  side('back', [0, 1, 0], 2, 2 * QUARTER - CORNER),
];

/** The sides that a fisheye sees something of. @param angle radians from edge to edge */
export const sidesOf = (angle: number): Side[] => SIDES.filter(({ from }) => from < angle / 2);

/** Radians of the circle for each of its pixels. @param width @param height pixels of the picture, whose shorter side the circle fills */
export const radiansPerPixel = (angle: number, { width, height }: { width: number; height: number }): number =>
  angle / Math.min(width, height);

/**
 * Pixels from edge to edge of a side, with what goes beyond: its middle is as fine as the circle.
 * @param angle radians from edge to edge of the circle @param size of the picture, pixels
 */
export const sidePixels = (angle: number, size: { width: number; height: number }): number =>
  Math.max(2, Math.ceil((2 * (1 + OVERLAP)) / radiansPerPixel(angle, size)));

/** Turns what a camera faces to the middle of a fisheye's circle. */
export const raisedBy = (rotation: Quaternion, { raised }: Fisheye): Quaternion =>
  multiply(rotation, fromAxis([1, 0, 0], raised));

/**
 * Where a way is seen in the circle.
 * @param way in the axes of the picture: x right, y up, looking along −z; of any length but 0
 * @returns radians from the middle, to the right and up; straight behind it any way would do
 */
export function fisheyePlace([x, y, z]: Vec3): [number, number] {
  const off = Math.hypot(x, y);
  const angle = Math.atan2(off, -z);
  const each = off > 0 ? angle / off : 0;
  return off > 0 ? [x * each, y * each] : [0, angle];
}

/** The way, of length 1, that is seen so many radians from the middle of the circle. The other way round of {@link fisheyePlace}. */
export function fisheyeWay(x: number, y: number): Vec3 {
  const angle = Math.hypot(x, y);
  const each = angle > 0 ? Math.sin(angle) / angle : 1;
  return [x * each, y * each, -Math.cos(angle)];
}
