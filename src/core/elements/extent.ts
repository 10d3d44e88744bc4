/** Where a layer's elements may be. */
export interface Extent {
  /** half width and half height in metres about the centre, and the centre */
  halfWidth: number;
  halfHeight: number;
  centre: readonly [number, number];
  /** metres of advance where it begins and ends within the tile */
  from: number;
  to: number;
  /** metres that a winding route takes it aside */
  bend: number;
  /** metres that motion may carry an element out of these bounds */
  carried: number;
  /** metres from an element's centre to its farthest vertex, as the bounds above hold it; 0 for particles */
  body: number;
  /** the most its elements' own sizes are multiplied by */
  grown: number;
  /** how far treatments may lean elements out of their plane: the largest sine of the angle */
  tilted: number;
}

/** An extent that nothing moves; of a point at the origin where nothing is said. */
export const still = (bounds: Partial<Extent>): Extent => ({
  halfWidth: 0,
  halfHeight: 0,
  centre: [0, 0],
  from: 0,
  to: 0,
  bend: 0,
  carried: 0,
  body: 0,
  grown: 1,
  tilted: 0,
  ...bounds,
});

/** An extent that lets its elements be carried some metres farther. */
export const carriedFarther = (extent: Extent, metres: number): Extent => ({
  ...extent,
  carried: extent.carried + metres,
});

/** An extent whose elements may be anywhere within `radius` of its middle, in every direction. */
export const rounded = (extent: Extent, radius: number): Extent => {
  const middle = (extent.from + extent.to) / 2;
  return {
    ...extent,
    halfWidth: Math.max(extent.halfWidth, radius),
    halfHeight: Math.max(extent.halfHeight, radius),
    from: Math.min(extent.from, middle - radius),
    to: Math.max(extent.to, middle + radius),
  };
};

/** The box that an extent is within, in metres: its lowest corner and its highest. */
export function boxOf(extent: Extent): { low: [number, number, number]; high: [number, number, number] } {
  const { halfWidth, halfHeight, centre, from, to, bend, carried } = extent;
  const [x, y] = [halfWidth + bend + carried, halfHeight + bend + carried];
  return {
    low: [centre[0] - x, centre[1] - y, -to - carried],
    high: [centre[0] + x, centre[1] + y, carried - from],
  };
}

/** The largest sine of angles up to so many turns. */
export const sineOf = (turns: number): number => Math.sin(2 * Math.PI * Math.min(0.25, turns));

/** Half the diagonal of an extent in metres. */
export const halfDiagonal = (extent: Extent): number =>
  Math.hypot(extent.halfWidth, extent.halfHeight, (extent.to - extent.from) / 2);

/** The middle of an extent as a position. */
export const middleOf = (extent: Extent): [number, number, number] => [
  extent.centre[0],
  extent.centre[1],
  -(extent.from + extent.to) / 2,
];

/** The extent with what its elements' own growth and leaning add. */
export const withBodies = (extent: Extent): Extent => {
  const grown = extent.body * (extent.grown - 1);
  const leaning = extent.body * extent.grown * extent.tilted;
  return {
    ...extent,
    halfWidth: extent.halfWidth + grown,
    halfHeight: extent.halfHeight + grown,
    from: extent.from - Math.max(grown, leaning),
    to: extent.to + Math.max(grown, leaning),
  };
};
