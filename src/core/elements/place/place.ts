import { fromAxis, multiply, rotate, type Quaternion, type Vec3 } from '../../space/vector';
import { still, type Extent } from '../extent';
import { reachedValues } from '../../forms';
import type { Animated } from '../../time/animated';
import { standAt, type Placement, type Stand } from './form';
import type { PlaceValues } from './place.gen';

const DEGREE = Math.PI / 180;

/** How a placed layer is turned: heading to the right, then pitch upwards, then bank clockwise as seen looking ahead. */
export const placementTurn = (p: Pick<Stand, 'heading' | 'pitch' | 'bank'>): Quaternion =>
  multiply(
    fromAxis([0, 1, 0], -p.heading * DEGREE),
    multiply(fromAxis([1, 0, 0], p.pitch * DEGREE), fromAxis([0, 0, 1], -p.bank * DEGREE)),
  );

export const placementValues = (p: Stand): PlaceValues => ({
  placeAt: [p.aside, p.above, -p.ahead],
  placeTurn: placementTurn(p),
  placeScale: p.scale,
});

/** Numbers between which a value stays over the lap: the least and the most. */
function between(value: Animated): [number, number] {
  const reached = reachedValues(value);
  // what is wound goes on within a lap, and a little past it while the shutter is open
  if (typeof value === 'object' && value.law === 'wound') reached.push(value.start + 1.05 * value.perLap);
  return [Math.min(...reached), Math.max(...reached)];
}

const moves = (...values: readonly Animated[]): boolean => values.some((value) => typeof value !== 'number');

/**
 * The extent of a box with these half sizes about the layer's own middle, once placed, wherever it is in the lap; its elements reach
 * `body` metres.
 */
export function placedExtent(p: Placement, half: Vec3, body: number): Extent {
  const scale = between(p.scale)[1];
  const [aside, above, ahead] = [p.aside, p.above, p.ahead].map(between);
  const most: Vec3 = [0, 0, 0];
  // what turns may look any way
  if (moves(p.heading, p.pitch, p.bank)) most.fill(Math.hypot(...half) * scale);
  else {
    const q = placementTurn(standAt(p, 0));
    for (let corner = 0; corner < 4; corner++) {
      const at = rotate(q, [half[0], corner & 1 ? half[1] : -half[1], corner & 2 ? half[2] : -half[2]]);
      for (let k = 0; k < 3; k++) most[k] = Math.max(most[k], Math.abs(at[k]) * scale);
    }
  }
  const reach = ([least, greatest]: readonly number[]): number => (greatest - least) / 2;
  return still({
    halfWidth: most[0] + reach(aside),
    halfHeight: most[1] + reach(above),
    centre: [(aside[0] + aside[1]) / 2, (above[0] + above[1]) / 2],
    from: ahead[0] - most[2],
    to: ahead[1] + most[2],
    body: body * scale,
  });
}
