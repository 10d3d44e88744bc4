import { flightOf } from '../world/camera';
import { carriedBy } from '../world/flight';
import type { Travel } from '../flight/routes/definition';
import type { Piece } from '../piece/schema';
import { fromAxis, type Quaternion, type Vec3 } from '../space/vector';

/** The one transform that must carry the scene at phase φ onto the scene at φ + 1: a turn, then an advance along −z. */
export interface Symmetry extends Travel {
  kind: 'identity' | 'translation' | 'rotation' | 'screw';
}

const EPS = 1e-9;

/** The symmetry that follows from what the camera gains per lap. Whole turns are none. */
export function sceneSymmetry(piece: Piece): Symmetry {
  const { travel } = flightOf(piece);
  const whole = Math.abs(travel.turns - Math.round(travel.turns)) < EPS;
  const turns = whole ? 0 : travel.turns - Math.floor(travel.turns);
  const moves = Math.abs(travel.advance) > EPS;
  const kind = moves ? (turns > 0 ? 'screw' : 'translation') : turns > 0 ? 'rotation' : 'identity';
  return { ...travel, kind, turns };
}

export const symmetryRotation = (g: Symmetry): Quaternion => fromAxis(g.axis, g.turns * 2 * Math.PI);

/** The point under the symmetry. */
export const applySymmetry = (g: Symmetry, point: Vec3): Vec3 => carriedBy(g, 1, point);
