import type { Rgb } from '../colour/colour';
import type { Vec3 } from '../space/vector';
import { directionAt, shareOfRow, type Panorama } from './panorama';

/** Real spherical harmonics of order 0, 1 and 2 of a direction of length 1. */
function harmonics([x, y, z]: Vec3): number[] {
  return [
    0.28209479177387814,
    ...[y, z, x].map((v) => 0.4886025119029199 * v),
    1.0925484305920792 * x * y,
    1.0925484305920792 * y * z,
    0.31539156525252005 * (3 * z * z - 1),
    1.0925484305920792 * x * z,
    0.5462742152960396 * (x * x - y * y),
  ];
}

/** What the cosine of matt surfaces leaves of each order, over π. */
const COSINE = [1, 2 / 3, 1 / 4] as const;
const ORDERS = [0, 1, 1, 1, 2, 2, 2, 2, 2] as const;

/**
 * What matt surfaces give back of a panorama: nine colours for the harmonics of their normal, whose sum is the light of matt white
 * there. Ramamoorthi and Hanrahan, "An Efficient Representation for Irradiance Environment Maps", SIGGRAPH 2001: within 1 % on
 * average, 9 % at most, of the true one.
 */
export function evenOf(panorama: Panorama): Rgb[] {
  const sums = ORDERS.map((): Rgb => [0, 0, 0]);
  for (let y = 0; y < panorama.height; y++) {
    const share = 4 * Math.PI * shareOfRow(panorama, y);
    for (let x = 0; x < panorama.width; x++) {
      const at = (y * panorama.width + x) * 3;
      harmonics(directionAt((x + 0.5) / panorama.width, (y + 0.5) / panorama.height)).forEach((h, i) => {
        for (let k = 0; k < 3; k++) sums[i][k] += panorama.rgb[at + k] * h * share;
      });
    }
  }
  return sums.map((sum, i) => sum.map((v) => v * COSINE[ORDERS[i]]) as Rgb);
}

/** The light of matt white with a normal; never negative. */
export function evenAt(even: readonly Rgb[], normal: Vec3): Rgb {
  const h = harmonics(normal);
  return [0, 1, 2].map((k) =>
    Math.max(
      0,
      even.reduce((sum, rgb, i) => sum + rgb[k] * h[i], 0),
    ),
  ) as Rgb;
}
