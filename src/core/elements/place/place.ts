import { fromAxis, multiply, rotate, type Quaternion, type Vec3 } from '../../space/vector';
import { still, type Extent } from '../extent';
import type { Placement } from './form';
import type { PlaceValues } from './place.gen';

const DEGREE = Math.PI / 180;

/** How a placed layer is turned: heading to the right, then pitch upwards, then bank clockwise as seen looking ahead. */
export const placementTurn = (p: Placement): Quaternion =>
  multiply(
    fromAxis([0, 1, 0], -p.heading * DEGREE),
    multiply(fromAxis([1, 0, 0], p.pitch * DEGREE), fromAxis([0, 0, 1], -p.bank * DEGREE)),
  );

export const placementValues = (p: Placement): PlaceValues => ({
  placeAt: [p.aside, p.above, -p.ahead],
  placeTurn: placementTurn(p),
  placeScale: p.scale,
});

/** The extent of a box with these half sizes about the layer's own middle, once placed; its elements reach `body` metres. */
export function placedExtent(p: Placement, half: Vec3, body: number): Extent {
  const q = placementTurn(p);
  const most: Vec3 = [0, 0, 0];
  for (let corner = 0; corner < 4; corner++) {
    const at = rotate(q, [half[0], corner & 1 ? half[1] : -half[1], corner & 2 ? half[2] : -half[2]]);
    for (let k = 0; k < 3; k++) most[k] = Math.max(most[k], Math.abs(at[k]) * p.scale);
  }
  return still({
    halfWidth: most[0],
    halfHeight: most[1],
    centre: [p.aside, p.above],
    from: p.ahead - most[2],
    to: p.ahead + most[2],
    body: body * p.scale,
  });
}
