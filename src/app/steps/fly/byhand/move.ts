import type { View } from '../../../../core/flight/routes/view';
import { viewTurn } from '../../../../core/flight/routes/view';
import { rotate, type Vec3 } from '../../../../core/space/vector';

/** What the keys of the hand do: metres ahead, aside and up, and turns of roll, in units of the pace. */
export const MOVES: Record<string, { move?: Vec3; roll?: number }> = {
  KeyW: { move: [0, 0, -1] },
  KeyS: { move: [0, 0, 1] },
  KeyA: { move: [-1, 0, 0] },
  KeyD: { move: [1, 0, 0] },
  KeyR: { move: [0, 1, 0] },
  KeyF: { move: [0, -1, 0] },
  KeyQ: { roll: -1 },
  KeyE: { roll: 1 },
  ArrowUp: { move: [0, 0, -1] },
  ArrowDown: { move: [0, 0, 1] },
  ArrowLeft: { move: [-1, 0, 0] },
  ArrowRight: { move: [1, 0, 0] },
};

/** Degrees of roll per second while its key is held. */
const ROLL = 40;

/** The view after some seconds with keys held. @param pace metres per second */
export function moved(view: View, held: ReadonlySet<string>, pace: number, seconds: number): View {
  let [x, y, z] = [0, 0, 0];
  let roll = 0;
  for (const key of held) {
    const does = MOVES[key] as (typeof MOVES)[string] | undefined;
    if (does?.move) [x, y, z] = [x + does.move[0], y + does.move[1], z + does.move[2]];
    roll += does?.roll ?? 0;
  }
  const far = Math.hypot(x, y, z);
  const way = rotate(viewTurn(view), far > 0 ? [x / far, y / far, z / far] : [0, 0, 0]);
  const step = pace * seconds;
  return {
    ...view,
    aside: view.aside + way[0] * step,
    above: view.above + way[1] * step,
    ahead: view.ahead - way[2] * step,
    roll: view.roll + roll * ROLL * seconds,
  };
}

/** The view turned by a drag. @param degrees to the right and down */
export const looked = (view: View, right: number, down: number): View => ({
  ...view,
  yaw: view.yaw + right,
  pitch: Math.min(90, Math.max(-90, view.pitch - down)),
});

/** The next pace after turning the wheel. @param turns up is faster */
export const paced = (pace: number, turns: number): number => Math.min(200, Math.max(0.05, pace * 1.2 ** turns));
