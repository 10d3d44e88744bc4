import type { LightPoint } from '../../lens/lightPoint';
import { animated } from '../../forms';
import type { Vec3 } from '../../space/vector';

/** How large a lamp is that is a ball. */
export const radius = (metres: number) => ({
  radius: animated(metres, {
    label: 'Radius',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 0.5,
    hint: 'Metres from its middle to its edge: the larger, the softer its shadows and the wider its highlights.',
  }),
});

/** A point of an even disc across what it shines along. @param at of which the third number does not count */
export function onDisc(half: number, [u, v]: LightPoint): Vec3 {
  const r = half * Math.sqrt(u);
  const turn = 2 * Math.PI * v;
  return [r * Math.cos(turn), r * Math.sin(turn), 0];
}

/**
 * The share of an even disc's radius within which a share of what makes it lies, where a ball looks like such a disc from everywhere:
 * its density goes as 1/√(1 − r²), so that what is within r is (asin r − r √(1 − r²)) · 2/π.
 */
function within(share: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 40; i++) {
    const r = (low + high) / 2;
    if (((Math.asin(r) - r * Math.sqrt(1 - r * r)) * 2) / Math.PI < share) low = r;
    else high = r;
  }
  return (low + high) / 2;
}

/** A point of a ball that shines like an even disc whichever way it is looked at. */
export function inBall(half: number, [u, v, w]: LightPoint): Vec3 {
  const z = 1 - 2 * u;
  const across = Math.sqrt(Math.max(0, 1 - z * z));
  const turn = 2 * Math.PI * v;
  const r = half * within(w);
  return [r * across * Math.cos(turn), r * across * Math.sin(turn), r * z];
}
