import type { Piece } from '../piece/schema';
import { multiply } from '../space/vector';
import { cameraPose, type CameraPose } from '../world/camera';
import { smallest, SLOPE_TOLERANCE, TOLERANCE, type Finding } from './finding';
import { matchSlopes } from './slopes';
import { applySymmetry, symmetryRotation, type Symmetry } from './symmetry';

const distance = (a: readonly number[], b: readonly number[]): number => Math.hypot(...a.map((v, i) => v - b[i]));

/** How the camera goes on from the end of the lap to its start. */
export function cameraFinding(piece: Piece, g: Symmetry): Finding {
  const values = ({ position, quaternion, ...pose }: CameraPose): number[] => [
    ...position,
    ...quaternion,
    pose.focalMm / 50,
    pose.focusDistance / 10,
    pose.fNumber / 8,
    (pose.orthoWidth ?? 0) / 10,
    pose.fisheye?.angle ?? 0,
    pose.fisheye?.raised ?? 0,
  ];
  const end = values(cameraPose(piece, 1));
  // a rotation and its negative are the same: all are compared with the sign of the end's
  const aligned = (v: number[]): number[] =>
    end[3] * v[3] + end[4] * v[4] + end[5] * v[5] + end[6] * v[6] >= 0
      ? v
      : v.map((n, i) => (i >= 3 && i < 7 ? -n : n));
  const at = (phase: number): number[] => aligned(values(cameraPose(piece, phase)));
  const carried = (phase: number): number[] => {
    const pose = cameraPose(piece, phase);
    return aligned(
      values({
        ...pose,
        position: applySymmetry(g, pose.position),
        quaternion: multiply(symmetryRotation(g), pose.quaternion),
      }),
    );
  };
  const gap = distance(end, carried(0));
  const size = (v: readonly number[]): number => Math.hypot(...v);
  // place, turn and lens each against its own speed: a view that is whipped round must not hide a way that breaks off
  const kinds = [0, 3, 7, end.length];
  // one-sided differences of second order
  const slopeGapOver = (h: number): number => {
    const [b1, b2, a0, a1, a2] = [at(1 - h), at(1 - 2 * h), carried(0), carried(h), carried(2 * h)];
    const before = end.map((v, i) => (3 * v - 4 * b1[i] + b2[i]) / (2 * h));
    const after = a0.map((v, i) => (-3 * v + 4 * a1[i] - a2[i]) / (2 * h));
    const gaps = kinds.slice(1).map((to, i) => {
      const [was, will] = [before, after].map((v) => v.slice(kinds[i], to));
      return distance(was, will) / Math.max(size(was), size(will), 0.05);
    });
    return Math.max(...gaps);
  };
  const slopeGap = smallest(slopeGapOver);
  const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE;
  const metres = g.advance.toFixed(2).replace(/\.?0+$/, '');
  const same = g.advance !== 0 ? `travels ${metres} m` : g.turns !== 0 ? `turns ${turnWords(g.turns)}` : 'returns';
  return {
    id: 'camera',
    subject: 'Camera',
    layerId: null,
    ok,
    gap,
    slopeGap,
    // what meets and goes on otherwise may have a key there
    repair: ok || gap >= TOLERANCE ? null : matchSlopes(piece, ['flight'], (mended) => cameraFinding(mended, g).ok),
    says: ok
      ? `${same}, at the same speed on both sides`
      : gap < TOLERANCE
        ? `changes speed at the seam by ${(slopeGap * 100).toFixed(0)} %`
        : `ends ${gap.toFixed(3)} away from where it began`,
  };
}

/** Turns as a fraction where they are one, backwards where that is shorter. */
function turnWords(turns: number): string {
  const signed = turns > 0.5 ? turns - 1 : turns;
  const part = Math.round(1 / signed);
  return Math.abs(1 / signed - part) < 1e-6 ? `1/${Math.abs(part)} of a turn` : `${signed.toFixed(3)} of a turn`;
}
