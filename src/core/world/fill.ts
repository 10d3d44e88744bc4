import { boxOf } from '../elements/extent';
import type { Flight } from '../flight/form';
import type { Target } from '../flight/target';
import type { Piece } from '../piece/schema';
import { cornersOf } from '../space/box';
import { cross, dot, rotate, scale, subtract, type Vec3 } from '../space/vector';
import { cameraPose, flightOf, sceneOfPiece } from './camera';
import { extentIn } from './scene';

/** Which side of the picture a subject fills. */
export type Filled = 'height' | 'width';

/** The corners of what a target is, about the place it is at: a layer's bounds, an element's own, nothing of a point. */
export function cornersAbout(piece: Piece, of: Target): Vec3[] {
  const layer = of.on === 'point' ? undefined : piece.layers.find(({ id }) => id === of.layer);
  if (!layer) return [];
  const extent = extentIn(sceneOfPiece(piece), layer);
  const around = extent.body * extent.grown;
  if (of.on === 'element') return cornersOf({ low: [-around, -around, -around], high: [around, around, around] });
  const box = boxOf(extent);
  const half = subtract(box.high, box.low).map((v) => v / 2) as Vec3;
  return cornersOf({ low: scale(half, -1), high: half });
}

/**
 * What fills the picture where nothing else is said: what is held in size, or what the camera aims at; where that is nothing with a
 * size, the first layer that is made of something.
 */
export function subjectOf({ flight, layers }: Piece): Target {
  const said = flight.hold === 'none' ? flight.aimAt : flight.holdAt;
  const named = flight.aim === 'target' || flight.hold !== 'none';
  if (named && said.on !== 'point') return said;
  const solid = layers.find((layer) => !layer.hidden && 'matter' in layer);
  return solid ? { ...said, on: 'layer', layer: solid.id } : said;
}

/**
 * A flight that holds a subject so large that it reaches from edge to edge, as it is seen at a phase, and is focused on it: the lens
 * follows it where nothing held it before. Its nearest corners fill the picture, since they are seen the largest.
 * @returns null where the subject is nothing that has a size, or the camera is within it
 */
export function filling(piece: Piece, subject: Target, side: Filled, phase: number): Flight | null {
  const { flight, frame } = piece;
  const free: Piece = { ...piece, flight: { ...flight, hold: 'none' } };
  const pose = cameraPose(free, phase);
  const [ahead, up] = [rotate(pose.quaternion, [0, 0, -1]), rotate(pose.quaternion, [0, 1, 0])];
  const across = side === 'width' ? cross(ahead, up) : up;
  const middle = subtract(flightOf(free).sight(subject, phase).position, pose.position);
  const depth = dot(middle, ahead);
  // as wide as a corner would be at the depth of the middle, where the width is held
  const seen = cornersAbout(free, subject).map((corner) => {
    const far = depth + dot(corner, ahead);
    return far > 0.05 ? Math.abs((dot(corner, across) * depth) / far) : Infinity;
  });
  const half = Math.max(0, ...seen);
  if (half === 0 || !Number.isFinite(half)) return null;
  const width = side === 'width' ? 2 * half : (2 * half * frame.width) / frame.height;
  return {
    ...flight,
    hold: flight.hold === 'none' ? 'lens' : flight.hold,
    holdAt: subject,
    holdWidth: Number(width.toPrecision(5)),
    focusOn: 'target',
    focusAt: subject,
  };
}
