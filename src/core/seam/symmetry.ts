import { flightRoute } from '../flight/camera';
import type { Piece } from '../piece/schema';
import { fromAxis, rotate, type Quaternion, type Vec3 } from '../space/vector';

/** The one transform that must carry the scene at phase φ onto the scene at φ + 1: a turn about −z, then an advance along it. */
export interface Symmetry {
  kind: 'identity' | 'translation' | 'rotation' | 'screw';
  /** turns about the z axis */
  turns: number;
  /** metres along −z */
  advance: number;
}

const EPS = 1e-9;

/** The symmetry that follows from the camera's advance per lap. */
export function sceneSymmetry(piece: Piece): Symmetry {
  const advance = piece.flight.tilesPerLap * piece.tile;
  const raw = flightRoute(piece).turnsPerMetre * advance;
  const turns = Math.abs(raw - Math.round(raw)) < EPS ? 0 : raw - Math.floor(raw);
  const moves = Math.abs(advance) > EPS;
  const kind = moves ? (turns > 0 ? 'screw' : 'translation') : turns > 0 ? 'rotation' : 'identity';
  return { kind, turns, advance };
}

export const symmetryRotation = (g: Symmetry): Quaternion => fromAxis([0, 0, 1], g.turns * 2 * Math.PI);

/** The point under the symmetry. */
export function applySymmetry(g: Symmetry, point: Vec3): Vec3 {
  const [x, y, z] = rotate(symmetryRotation(g), point);
  return [x, y, z - g.advance];
}
