import type { Path } from './frame';
import { closedSpline } from './spline';
import { add, cross, scale, subtract, type Vec3 } from './vector';

export type PathSpec =
  | { kind: 'straight'; length: number }
  /** closed and smooth through at least two points */
  | { kind: 'closed'; points: readonly Vec3[] }
  /** smooth through at least two points, and on through the same again `advance` metres along −z */
  | { kind: 'onward'; points: readonly Vec3[]; advance: number }
  /** `turns` about the −z axis over `advance` metres along it */
  | { kind: 'helix'; radius: number; turns: number; advance: number };

/**
 * The path of a specification. Points advance along −z; a straight path is a helix of radius 0.
 * Frames are rotation-minimising with the leftover twist of each turn spread evenly, so they repeat after every turn.
 */
export function pathFromSpec(spec: PathSpec): Path {
  if (spec.kind === 'closed') return closedSpline(spec.points);
  if (spec.kind === 'onward') return closedSpline(spec.points, [0, 0, -spec.advance]);
  const advance = spec.kind === 'helix' ? spec.advance : spec.length;
  const radius = spec.kind === 'helix' ? spec.radius : 0;
  const turns = spec.kind === 'helix' ? spec.turns : 0;
  const total = Math.hypot(advance, 2 * Math.PI * radius * turns);
  const angleAt = (s: number): number => (2 * Math.PI * turns * s) / total;
  const slope = (2 * Math.PI * radius * turns) / advance;
  const inv = 1 / Math.hypot(1, slope);
  return {
    length: total,
    pointAt(s) {
      const a = angleAt(s);
      return [radius * Math.cos(a), radius * Math.sin(a), (-advance * s) / total];
    },
    frameAt(s) {
      const a = angleAt(s);
      const [c, sn] = [Math.cos(a), Math.sin(a)];
      const outward: Vec3 = [c, sn, 0];
      const tangent: Vec3 = [-slope * sn * inv, slope * c * inv, -inv];
      const over = cross(outward, tangent);
      return {
        tangent,
        right: subtract(scale(outward, c), scale(over, sn)),
        up: add(scale(outward, sn), scale(over, c)),
      };
    },
  };
}
