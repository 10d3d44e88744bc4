import { densityOfMist, mistOf } from '../air/mist';
import type { Piece } from '../piece/schema';
import { hash4, unitFrom } from '../random/hash';
import type { Vec3 } from '../space/vector';
import { cameraPose } from '../world/camera';
import { smallest, SLOPE_TOLERANCE, TOLERANCE, type Finding, type Repair } from './finding';
import { matchSlopes } from './slopes';
import { applySymmetry, type Symmetry } from './symmetry';

/** Places at which both sides of the seam are compared. */
const PLACES = 60;

/** Places about the camera where the lap begins, as far as things are drawn, and near the floor of the mist. */
function placesOf(piece: Piece, floor: number, height: number): Vec3[] {
  const { position } = cameraPose(piece, 0);
  return Array.from({ length: PLACES }, (_, i) => {
    const [a, b, c] = hash4(i, 1, 72, 0).map(unitFrom);
    const far = piece.look.reach;
    return [position[0] + (2 * a - 1) * far, floor + (2 * b - 1) * height, position[2] + (2 * c - 1) * far];
  });
}

const even = (): Repair => ({ says: 'Let it lie evenly', path: ['look', 'mistPatches'], value: 0 });

/** How mist goes on from the end of the lap to its start, under what carries the scene from one to the next. */
export function mistFindings(piece: Piece, g: Symmetry): Finding[] {
  const { look, tile } = piece;
  const lies = mistOf(look, tile, 0);
  if (!lies) return [];
  const [full, floor, height] = lies.shape;
  const places = placesOf(piece, floor, height);
  /** densities at a phase, of the places of the lap's start or of where they are carried to */
  const at = (phase: number, carried: boolean): number[] => {
    const mist = mistOf(look, tile, phase) ?? lies;
    return places.map((place) => densityOfMist(mist, carried ? applySymmetry(g, place) : place) / full);
  };
  const worst = (a: readonly number[], b: readonly number[]): number =>
    Math.max(...a.map((v, i) => Math.abs(v - b[i])));
  const gap = worst(at(1, true), at(0, false));
  const slopeGapOver = (h: number): number => {
    const slope = ([v0, v1, v2]: readonly (readonly number[])[], sign: number): number[] =>
      v0.map((v, i) => (sign * (-3 * v + 4 * v1[i] - v2[i])) / (2 * h));
    const before = slope([at(1, true), at(1 - h, true), at(1 - 2 * h, true)], -1);
    const after = slope([at(0, false), at(h, false), at(2 * h, false)], 1);
    const quick = Math.max(0.05, ...before.map(Math.abs), ...after.map(Math.abs));
    return worst(before, after) / quick;
  };
  const slopeGap = gap < TOLERANCE ? smallest(slopeGapOver) : 0;
  const ok = gap < TOLERANCE && slopeGap < SLOPE_TOLERANCE;
  return [
    {
      id: 'mist',
      subject: 'Mist',
      layerId: null,
      ok,
      gap,
      slopeGap,
      says: ok ? okWords(look.mistPatches !== 0, g) : openWords(gap),
      repair:
        gap < TOLERANCE
          ? ok
            ? null
            : matchSlopes(piece, ['look'], (mended) => mistFindings(mended, g).every((one) => one.ok))
          : g.turns !== 0
            ? even()
            : null,
    },
  ];
}

function okWords(patchy: boolean, g: Symmetry): string {
  if (!patchy) return 'lies evenly, and is as thick on both sides';
  return g.advance !== 0 ? 'moves by whole waves, and repeats with the tile' : 'moves by whole waves';
}

const openWords = (gap: number): string =>
  gap < TOLERANCE
    ? 'changes at another speed on both sides of the seam'
    : 'is seen from another side after the lap, and has other patches there';
