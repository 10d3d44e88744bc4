import { middleOf } from '../elements/extent';
import { elementIn } from './elements';
import { extentIn, type Scene } from './scene';
import type { Sighted } from '../flight/routes/definition';
import type { Quaternion } from '../space/vector';
import { evaluateAnimated } from '../time/animated';
import { worldAt, type Target } from '../flight/target';

const UPRIGHT: Quaternion = [0, 0, 0, 1];

/**
 * Where a target is at a phase, which is not wrapped, in the tile the lap begins in. A layer that is not there stands at
 * the world's origin, an element beyond the last is the last.
 * @param still the scene of the piece with a camera that nothing in it can follow, so that aiming at what looks at the camera ends
 */
export function sightTarget(still: Scene, of: Target, phase: number): Sighted {
  if (of.on === 'point')
    return {
      position: worldAt(
        evaluateAnimated(of.aside, phase),
        evaluateAnimated(of.above, phase),
        evaluateAnimated(of.ahead, phase),
      ),
      rotation: UPRIGHT,
    };
  const layer = still.piece.layers.find(({ id }) => id === of.layer);
  if (!layer) return { position: [0, 0, 0], rotation: UPRIGHT };
  if (of.on === 'layer') return { position: middleOf(extentIn(still, layer)), rotation: UPRIGHT };
  return (
    elementIn(still, layer.id, of.element, phase) ?? {
      position: middleOf(extentIn(still, layer)),
      rotation: UPRIGHT,
    }
  );
}
