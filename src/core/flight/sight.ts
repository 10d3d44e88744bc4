import { layerElement } from '../layers/batch';
import { layerExtent } from '../layers/context';
import type { Piece } from '../piece/schema';
import type { Quaternion, Vec3 } from '../space/vector';
import { evaluateAnimated } from '../time/animated';
import { middleOf } from '../treatments/base';
import { worldAt, type Target } from './target';

/** Where a target is, and how it is turned. */
export interface Sighted {
  position: Vec3;
  rotation: Quaternion;
}

const UPRIGHT: Quaternion = [0, 0, 0, 1];

/**
 * Where a target is at a phase, which is not wrapped, in the tile the lap begins in. A layer that is not there stands at
 * the world's origin, an element beyond the last is the last.
 * @param still the piece with a camera that nothing in it can follow, so that aiming at what looks at the camera ends
 */
export function sightTarget(still: Piece, of: Target, phase: number): Sighted {
  if (of.on === 'point')
    return {
      position: worldAt(
        evaluateAnimated(of.aside, phase),
        evaluateAnimated(of.above, phase),
        evaluateAnimated(of.ahead, phase),
      ),
      rotation: UPRIGHT,
    };
  const layer = still.layers.find(({ id }) => id === of.layer);
  if (!layer) return { position: [0, 0, 0], rotation: UPRIGHT };
  if (of.on === 'layer') return { position: middleOf(layerExtent(still, layer)), rotation: UPRIGHT };
  return (
    layerElement(still, layer.id, of.element, phase) ?? {
      position: middleOf(layerExtent(still, layer)),
      rotation: UPRIGHT,
    }
  );
}
