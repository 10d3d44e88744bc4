import { acrossAt, cameraPose, type CameraPose } from '../../../../core/world/camera';
import { viewPlace, viewTurn, type View } from '../../../../core/flight/routes/view';
import { lightOf, type Light } from '../../../../core/look/lights/kinds';
import { evaluateAnimated } from '../../../../core/time/animated';
import { isHanging, standingOf } from '../../../../core/world/lights';
import { depthLimitsMm } from '../../../../core/lens/optics';
import type { Piece } from '../../../../core/piece/schema';
import { add, inverse, rotate, subtract, type Vec3 } from '../../../../core/space/vector';
import { OBSERVER_MM } from './modes';

/** Nearer than this to the observer's eye, in metres, nothing is drawn. */
const NEAR = 0.05;

/** Projects lines of the world into an observer's picture, cut off where they pass behind the eye. */
export function projector(
  view: View,
  width: number,
  height: number,
): (a: Vec3, b: Vec3) => [number, number, number, number] | null {
  const place = viewPlace(view);
  const back = inverse(viewTurn(view));
  const focal = (width * OBSERVER_MM) / 36;
  const seen = (p: Vec3): Vec3 => rotate(back, subtract(p, place));
  const flat = ([x, y, z]: Vec3): [number, number] => [width / 2 + (x / -z) * focal, height / 2 - (y / -z) * focal];
  return (from, to) => {
    let [a, b] = [seen(from), seen(to)];
    if (a[2] > -NEAR && b[2] > -NEAR) return null;
    const cut = (inside: Vec3, outside: Vec3): Vec3 => {
      const t = (inside[2] + NEAR) / (inside[2] - outside[2]);
      return [0, 1, 2].map((k) => inside[k] + (outside[k] - inside[k]) * t) as Vec3;
    };
    if (a[2] > -NEAR) a = cut(b, a);
    if (b[2] > -NEAR) b = cut(a, b);
    return [...flat(a), ...flat(b)];
  };
}

/** Corners of what the camera sees at a distance, in the world. */
export function fieldCorners(pose: CameraPose, distance: number, aspect: number): Vec3[] {
  const width = acrossAt(pose, distance);
  const [x, y] = [width / 2, width / aspect / 2];
  return [
    [-x, -y],
    [x, -y],
    [x, y],
    [-x, y],
  ].map(([u, v]) => add(pose.position, rotate(pose.quaternion, [u, v, -distance])));
}

/** What of the camera is shown: its route over the lap, and its field with the sharp plane and its limits. */
export function cameraFigure(
  piece: Piece,
  phase: number,
): {
  route: Vec3[];
  pose: CameraPose;
  /** distances in metres: sharp, and the nearest and farthest that still are */
  sharp: number;
  near: number;
  far: number;
} {
  const calm = { ...piece, flight: { ...piece.flight, handScale: 0 } };
  const pose = cameraPose(piece, phase);
  const { near, far } = depthLimitsMm(pose.focalMm, pose.fNumber, pose.focusDistance * 1000);
  return {
    route: Array.from({ length: 161 }, (_, i) => cameraPose(calm, i / 160).position),
    pose,
    sharp: pose.focusDistance,
    near: near / 1000,
    far: Math.min(far / 1000, pose.focusDistance * 4, piece.look.reach),
  };
}

/** The most metres along its beam that a light is drawn. */
const BEAM = 2;

/** A light as it is seen from outside: its name, where it is, and lines that show what it is, in the world. */
export interface LightFigure {
  light: Light;
  place: Vec3;
  lines: Vec3[][];
}

/** The lights that stand somewhere, in the tile the lap begins in. */
export const lightFigures = (piece: Piece, phase: number): LightFigure[] =>
  piece.look.lights.flatMap((light): LightFigure[] => {
    if (light.off || !isHanging(light)) return [];
    const { place, rotation } = standingOf(piece, light, phase);
    const reach = 'reach' in light ? evaluateAnimated(light.reach, phase) : BEAM;
    const figure = lightOf(light.kind).figure?.(light, phase, Math.min(BEAM, reach)) ?? [];
    return [{ light, place, lines: figure.map((line) => line.map((p) => add(place, rotate(rotation, p)))) }];
  });
