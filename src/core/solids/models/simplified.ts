import { MeshoptSimplifier } from 'meshoptimizer';
import { SHADING, longestEdge } from '../details/deviation';
import { MOST_DETAILS, type Detail } from '../details/details';
import { NearestTriangle } from '../details/nearest';

/** What simplifies models runs once this has come about. */
export const simplifierReady: Promise<void> = MeshoptSimplifier.ready;

/** Vertices and triangles of a whole model, three numbers each. */
export interface Columns {
  position: Float32Array;
  normal: Float32Array;
  uv: Float32Array;
  dye: Float32Array | null;
  index: Uint32Array;
}

/** Of fewer triangles nothing is taken away; a detail keeps no more than so much of the one before, or is not worth having. */
const FEW = 60;
const WORTH = 0.75;
/** What the coarsest has, where there is enough to begin with. */
const COARSEST = 200;
/** Vertices whose distance to a detail is measured. */
const MEASURED = 6000;
/** What is between them may be a little farther off. */
const BETWEEN = 1.15;

/** How far a model is from some of its own triangles at most, and its normals, as details of other meshes say it (details/deviation.ts). */
function errorOf({ position, normal }: Columns, index: Uint32Array): number {
  const nearest = new NearestTriangle(position, index);
  const count = position.length / 3;
  const step = Math.max(1, count / MEASURED);
  let most = 0;
  for (let at = 0; at < count; at += step) {
    const v = Math.floor(at) * 3;
    const { distance, triangle } = nearest.to(position[v], position[v + 1], position[v + 2]);
    most = Math.max(most, distance);
    const corners = [0, 1, 2].map((k) => index[triangle * 3 + k] * 3);
    const wide = narrowest(position, corners);
    // the least of its corners: a crease there has normals of both sides
    const turn = Math.min(...corners.map((c) => Math.hypot(...[0, 1, 2].map((k) => normal[c + k] - normal[v + k]))));
    most = Math.max(most, Math.min(turn, 1) * wide * SHADING);
  }
  return most * BETWEEN;
}

function narrowest(position: Float32Array, [a, b, c]: readonly number[]): number {
  const side = (p: number, q: number): number => Math.hypot(...[0, 1, 2].map((k) => position[p + k] - position[q + k]));
  const [x, y, z] = [side(a, b), side(b, c), side(c, a)];
  const half = (x + y + z) / 2;
  return (2 * Math.sqrt(Math.max(0, half * (half - x) * (half - y) * (half - z)))) / Math.max(x, y, z, 1e-12);
}

/** Weights of what is not a place, beside a model one across: turns of normals, places on pictures, dyes. */
const WEIGHTS = { normal: 0.15, uv: 0.2, dye: 0.2 };

/**
 * A model in fewer and fewer triangles: by quadric errors that heed normals and places on pictures (Garland & Heckbert, IEEE Visualization
 * 98; meshoptimizer). What each is off by is measured at some thousand of the vertices.
 */
export function detailsOf(columns: Columns): Detail[] {
  const { position, normal, uv, dye, index } = columns;
  const whole: Detail = { index, error: 0, longest: longestEdge({ position }, index) };
  const details = [whole];
  const triangles = index.length / 3;
  if (triangles <= FEW) return details;
  const width = dye ? 8 : 5;
  const attributes = new Float32Array((position.length / 3) * width);
  for (let i = 0; i < position.length / 3; i++) {
    for (let k = 0; k < 3; k++) {
      attributes[i * width + k] = normal[i * 3 + k];
      if (dye) attributes[i * width + 5 + k] = dye[i * 3 + k];
    }
    attributes[i * width + 3] = uv[i * 3];
    attributes[i * width + 4] = uv[i * 3 + 1];
  }
  const weights = [
    ...[WEIGHTS.normal, WEIGHTS.normal, WEIGHTS.normal, WEIGHTS.uv, WEIGHTS.uv],
    ...(dye ? [WEIGHTS.dye, WEIGHTS.dye, WEIGHTS.dye] : []),
  ];
  const share = Math.min(0.4, (COARSEST / triangles) ** (1 / (MOST_DETAILS - 1)));
  while (details.length < MOST_DETAILS) {
    const before = details[details.length - 1];
    const target = Math.max(FEW, Math.floor((before.index.length / 3) * share)) * 3;
    const [found] = MeshoptSimplifier.simplifyWithAttributes(
      before.index,
      position,
      3,
      attributes,
      width,
      weights,
      null,
      target,
      1,
    );
    if (found.length === 0 || found.length > before.index.length * WORTH) break;
    details.push({
      index: found,
      error: Math.max(before.error, errorOf(columns, found)),
      longest: longestEdge({ position }, found),
    });
    if (found.length / 3 <= FEW) break;
  }
  return details;
}
